import { request } from 'node:http';
import { connect } from 'node:net';
import { describe, expect, it } from 'vitest';
import { demoText, note, testWorkshop } from '../testWorkshop.ts';
import { buildApp } from '../app.ts';
import { CODE_DIGITS, Pairing } from './pairing.ts';
import { namedAddresses } from './phoneListener.ts';

/** The door to the home network: shut by default, and behind it only what the bench needs. */

const bench = testWorkshop();
const NAME = 'bench.test';

type Reply = { status: number; body: string; headers: Record<string, string | string[] | undefined> };
/** A request as a phone sends it: to the bound address, under the name it was given. */
const ask = (url: string, path: string, options: { method?: string; headers?: Record<string, string>; body?: string } = {}) =>
  new Promise<Reply>((resolve, reject) => {
    const { port } = new URL(url);
    const sent = request(
      { host: '127.0.0.1', port, path, method: options.method ?? 'GET', headers: { host: `${NAME}:${port}`, ...options.headers } },
      (reply) => {
        let body = '';
        reply.on('data', (chunk) => {
          body += chunk;
        });
        reply.on('end', () => resolve({ status: reply.statusCode ?? 0, body, headers: reply.headers }));
        reply.on('error', reject);
      },
    );
    sent.on('error', reject);
    sent.end(options.body);
  });

const reopen = async () => {
  await bench.app.close();
  bench.app = await buildApp({ ...bench.opened, changes: bench.changes, phoneAddresses: namedAddresses(`${NAME}=127.0.0.1`) });
  const { body } = await bench.send('POST', '/api/phone/open', { name: NAME, hours: 3 });
  return body as { url: string; code: { code: string } };
};
/** What the server says to a request whose body never comes. */
const dribbled = (port: number) =>
  new Promise<string>((resolve, reject) => {
    const socket = connect({ host: '127.0.0.1', port }, () =>
      socket.write(`POST /pair HTTP/1.1\r\nhost: ${NAME}:${port}\r\ncontent-type: application/json\r\ncontent-length: 900\r\n\r\n{`),
    );
    let said = '';
    socket.on('data', (chunk) => {
      said += chunk;
    });
    socket.on('close', () => resolve(said));
    socket.on('error', reject);
  });
const FORM = { 'content-type': 'application/x-www-form-urlencoded' };
const pair = async (url: string, code: string, name = 'Old phone') => {
  const reply = await ask(url, '/pair', { method: 'POST', headers: FORM, body: new URLSearchParams({ code, name }).toString() });
  return { ...reply, cookie: String(reply.headers['set-cookie'] ?? '').split(';')[0] };
};
const paired = async () => {
  const { url, code } = await reopen();
  const { cookie } = await pair(url, code.code);
  return { url, cookie: { cookie } };
};
const JSON_TYPE = { 'content-type': 'application/json' };

describe('the phone at the bench', () => {
  it('is off until it is opened, and off again when it is closed', async () => {
    expect((await bench.get('/api/phone')).body).toMatchObject({ url: null, code: null, devices: [] });
    const { url } = await reopen();
    expect((await ask(url, '/pair')).status).toBe(200);
    await bench.send('POST', '/api/phone/close');
    await expect(ask(url, '/pair')).rejects.toThrow();
    expect((await bench.get('/api/phone')).body).toMatchObject({ url: null, code: null });
  });
  it('shows a stranger the pairing page and nothing else', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    const { url } = await reopen();
    for (const path of ['/', '/bench', '/log', '/assets/index.js', '/index.html', '/sw.js'])
      expect(await ask(url, path)).toMatchObject({ status: 401, body: expect.stringContaining('Pair this phone') });
    for (const [method, path] of [
      ['GET', '/api/workshop'],
      ['GET', '/api/changes'],
      ['GET', '/api/search?q=a'],
      ['GET', '/api/pictures/crane-front'],
      ['GET', '/api/calendar.ics'],
      ['GET', '/api/export'],
      ['GET', '/api/phone'],
      ['GET', '/api/openapi.json'],
      ['POST', '/api/events'],
      ['POST', '/api/phone/open'],
      ['PUT', '/api/facts/cans/x'],
    ]) {
      const reply = await ask(url, path, { method });
      expect([path, reply.status, reply.body.includes('Tram')]).toEqual([path, 401, false]);
    }
    expect((await ask(url, '/bench', { headers: { cookie: 'enamelos-phone=guessed' } })).status).toBe(401);
  });
  it('keeps to the name it was opened by, and to pages of its own', async () => {
    const { url, cookie } = await paired();
    for (const host of ['127.0.0.1', 'localhost:4180', 'evil.example', `${NAME}:1`])
      expect((await ask(url, '/api/workshop', { headers: { ...cookie, host } })).status).toBe(403);
    const foreign = await ask(url, '/api/events', {
      method: 'POST',
      headers: { ...cookie, ...JSON_TYPE, origin: 'http://evil.example' },
      body: '{}',
    });
    expect(foreign.status).toBe(403);
    expect((await ask(url, '/api/workshop', { headers: { ...cookie, host: new URL(url).host.toUpperCase() } })).status).toBe(200);
  });
  it('lets a paired phone log and count what stands on the shelf, and not import, remove or set', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    const { url, cookie } = await paired();
    const facts = JSON.parse((await ask(url, '/api/workshop', { headers: cookie })).body);
    expect([facts.phone, facts.facts.pieces.length]).toEqual([true, 9]);
    const send = (method: string, path: string, body: object | null) =>
      ask(url, path, { method, headers: { ...cookie, ...(body ? JSON_TYPE : {}) }, ...(body ? { body: JSON.stringify(body) } : {}) });
    expect(JSON.parse((await send('POST', '/api/events', { events: [note('from-phone')] })).body)).toEqual({ added: 1 });
    expect((await ask(url, '/api/calendar.ics', { headers: cookie })).body).toContain('BEGIN:VEVENT');
    const [can] = facts.facts.cans;
    expect(
      (await send('PUT', `/api/facts/cans/${can.id}`, { revision: facts.revisions[`cans/${can.id}`], value: { ...can, opened: true } }))
        .status,
    ).toBe(200);
    const { workshop, pieces } = facts.facts;
    for (const [method, path, body] of [
      ['PUT', '/api/facts/workshop/workshop', { revision: facts.revisions['workshop/workshop'], value: workshop[0] }],
      ['PUT', `/api/facts/pieces/${pieces[0].id}`, { revision: facts.revisions[`pieces/${pieces[0].id}`], value: pieces[0] }],
      ['DELETE', `/api/facts/cans/${can.id}?revision=2`, null],
      ['POST', `/api/undo/cans/${can.id}`, { revision: 2 }],
      ['POST', '/api/import', { text: demoText, apply: true }],
      ['POST', '/api/copies/x/restore', {}],
      ['POST', '/api/phone/open', { name: NAME, hours: 3 }],
      ['GET', '/api/export', null],
    ] as const) {
      const { status } = await send(method, path, body);
      expect([path, [404, 422].includes(status)]).toEqual([path, true]);
    }
    expect(bench.opened.store.snapshot().facts.pieces).toHaveLength(9);
  });
  it('turns a revoked phone away at once, its open stream as well', async () => {
    const { url, cookie } = await paired();
    const { port } = new URL(url);
    const ended = new Promise<void>((resolve) => {
      request({ host: '127.0.0.1', port, path: '/api/changes', headers: { ...cookie, host: `${NAME}:${port}` } }, (reply) => {
        reply.resume();
        reply.on('end', resolve);
      }).end();
    });
    await expect.poll(async () => (await ask(url, '/api/workshop', { headers: cookie })).status).toBe(200);
    const [{ id, name }] = bench.opened.devices.list();
    expect(name).toBe('Old phone');
    await bench.send('DELETE', `/api/phone/devices/${id}`);
    await ended;
    expect((await ask(url, '/api/workshop', { headers: cookie })).status).toBe(401);
    expect((await bench.send('DELETE', `/api/phone/devices/${id}`)).status).toBe(404);
  });
  it('knows a phone again after it was off', async () => {
    const { cookie } = await paired();
    const { url } = await reopen();
    expect((await ask(url, '/api/workshop', { headers: cookie })).status).toBe(200);
  });
  it('gives its code once, and never to be guessed', async () => {
    const { url, code } = await reopen();
    expect(await pair(url, '12345678')).toMatchObject({ status: 403, cookie: '' });
    expect(await pair(url, code.code)).toMatchObject({ status: 429, cookie: '' });
    await bench.send('POST', '/api/phone/code');
    const fresh = ((await bench.get('/api/phone')).body as { code: { code: string } }).code.code;
    expect((await pair(url, fresh, '<b>x</b>'.repeat(20))).cookie).toContain('enamelos-phone=');
    expect(bench.opened.devices.list()[0].name.length).toBeLessThanOrEqual(40);
    expect((await pair(url, fresh)).status).toBe(403);
    const shown = await ask(url, `/pair?code=${encodeURIComponent('"><script>alert(1)</script>')}`);
    expect(shown.body).not.toContain('<script>');
  });
  it.each([
    ['JSON', { 'content-type': 'application/json' }, JSON.stringify({ code: { toString: 'x' }, name: [1] })],
    ['JSON that is no object', { 'content-type': 'application/json' }, '[]'],
    ['a number', { 'content-type': 'application/json' }, JSON.stringify({ code: 12345678 })],
  ])('refuses %s where text is wanted, and the code still pairs', async (_what, headers, body) => {
    const { url, code } = await reopen();
    expect((await ask(url, '/pair', { method: 'POST', headers, body })).status).toBe(400);
    expect((await pair(url, code.code)).cookie).toContain('enamelos-phone=');
  });
  it('reads no code that stands twice in the address', async () => {
    const { url } = await reopen();
    expect((await ask(url, '/pair?code=1&code=2')).status).toBe(400);
  });
  it('soon hears a stranger no more, whatever address is asked, and a paired phone all the same', async () => {
    const { url, cookie } = await paired();
    const statuses = await Promise.all(
      Array.from({ length: 90 }, (_, index) => ask(url, index % 2 ? '/pair' : `/nowhere/${index}`).then(({ status }) => status)),
    );
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(25);
    const refused = await ask(url, '/pair');
    expect([refused.status, Number(refused.headers['retry-after']) > 0]).toEqual([429, true]);
    expect((await ask(url, '/api/workshop', { headers: cookie })).status).toBe(200);
  });
  it('cuts off whoever begins a request and never ends it', async () => {
    await bench.app.close();
    const patience = { arrives: 200, looked: 100 };
    const phoneAddresses = namedAddresses(`${NAME}=127.0.0.1`);
    bench.app = await buildApp({ ...bench.opened, changes: bench.changes, patience, phoneAddresses });
    const { body } = await bench.send('POST', '/api/phone/open', { name: NAME, hours: 3 });
    const own = await bench.app.listen({ port: 0, host: '127.0.0.1' });
    for (const port of [Number(new URL(body.url).port), Number(new URL(own).port)]) expect(await dribbled(port)).toContain('408');
  });
  it('opens for no name of another machine, nor for ever', async () => {
    expect((await bench.send('POST', '/api/phone/open', { name: 'evil.example', hours: 1 })).status).toBe(422);
    expect((await bench.send('POST', '/api/phone/open', { name: NAME, hours: 0 })).status).toBe(422);
    expect((await bench.send('POST', '/api/phone/open', { name: NAME, hours: 99 })).status).toBe(422);
    expect(() => namedAddresses('nonsense')).toThrow(/name=address/);
  });
});

describe('the pairing code', () => {
  let now = 0;
  const fresh = () => {
    now = 1_000_000;
    const pairing = new Pairing(() => now);
    pairing.renew();
    return pairing;
  };
  const codeOf = (pairing: Pairing) => pairing.current()?.code ?? '';
  it('works once, with spaces as it is read, for ten minutes', () => {
    const pairing = fresh();
    const code = codeOf(pairing);
    expect(code).toHaveLength(CODE_DIGITS);
    expect(pairing.try(`${code.slice(0, 4)} ${code.slice(4)}`)).toEqual({ answer: 'paired' });
    expect(pairing.try(code)).toEqual({ answer: 'no-code' });
    pairing.renew();
    now += 10 * 60_000;
    expect(pairing.try(codeOf(pairing))).toEqual({ answer: 'no-code' });
  });
  it('makes each wrong try wait twice as long, and is void after six', () => {
    const pairing = fresh();
    const code = codeOf(pairing);
    for (const pause of [1, 2, 4, 8, 16]) {
      expect(pairing.try('00000000x')).toEqual({ answer: 'wrong' });
      expect(pairing.try(code)).toEqual({ answer: 'too-soon', seconds: pause });
      now += pause * 1000;
    }
    expect(pairing.try('nothing')).toEqual({ answer: 'wrong' });
    now += 3_600_000;
    expect(pairing.try(code)).toEqual({ answer: 'no-code' });
  });
  it.each(['１２３４５６７８', '日本語日本語日本', '', '\u0000'.repeat(8)])('takes %j for a wrong one', (typed) => {
    expect(fresh().try(typed)).toEqual({ answer: 'wrong' });
  });
  it('guessed a thousand times is not found', () => {
    const pairing = fresh();
    const answers = Array.from({ length: 1000 }, (_, guess) => {
      now += 500;
      return pairing.try(String(guess).padStart(CODE_DIGITS, '9')).answer;
    });
    expect(answers).not.toContain('paired');
    expect(answers.filter((answer) => answer === 'wrong').length).toBeLessThanOrEqual(6);
  });
});
