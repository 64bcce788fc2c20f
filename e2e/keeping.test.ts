import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { keepOnly, launchBrowser, openPage, type Running, startServer } from './harness.ts';

/** Nothing lost and nothing stuck: the server away, many tabs, and yesterday brought back. */

const PHONE_NAME = 'bench.test';
let server: Running;
let browser: Browser;
beforeAll(async () => {
  [server, browser] = await Promise.all([
    startServer(true, { ENAMELOS_PHONE: `${PHONE_NAME}=127.0.0.1` }),
    // What a router would do on a home network: a name that leads to this machine.
    launchBrowser(`--host-resolver-rules=MAP ${PHONE_NAME} 127.0.0.1`),
  ]);
  await keepOnly(server, 'crane', 'tram');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

/** The page opens without the server too. */
const KEEPS = { serviceWorkers: 'allow' } as const;

type Event = { kind: string; text?: string; id: string };
const events = async () => (await (await fetch(`${server.url}/api/workshop`)).json()).facts.events as Event[];
const notes = async () => (await events()).flatMap(({ kind, text }) => (kind === 'note' && text?.startsWith('evening') ? [text] : []));

describe('two tabs while the server comes and goes', () => {
  it('lose nothing, open again without it, and say what has been sent', { timeout: 900_000 }, async () => {
    const { page: one, context, errors } = await openPage(browser, `${server.url}/bench`, KEEPS);
    const done = one.getByRole('button', { name: /^Done/ });
    await done.waitFor();
    await one.evaluate(() => navigator.serviceWorker.ready);
    const two = await context.newPage();
    const note = async (text: string, tab = two) => {
      await tab.getByRole('textbox', { name: 'A note' }).fill(text);
      await tab.getByRole('button', { name: 'Note it' }).click();
    };
    await two.goto(`${server.url}/log`);
    await note('evening 0');
    await two.getByText('evening 0').waitFor();
    const logged = (await events()).length;
    await server.stop('SIGKILL');
    await done.click();
    await one.getByText(/Kept here, 1 entry to send/).waitFor();
    await note('evening 1');
    await one.getByText(/Kept here, 2 entries to send/).waitFor();
    for (const page of [one, two]) await page.reload();
    await done.waitFor();
    await two.getByText('This is the workshop as last seen here').waitFor();
    await note('evening 2');
    await two.getByText('evening 2').waitFor();
    await server.restart();
    await one.getByText('Sent: the server has everything.').waitFor();
    await expect.poll(notes).toEqual(['evening 0', 'evening 1', 'evening 2']);
    await expect.poll(async () => (await events()).length).toBe(logged + 3);
    await expect.poll(() => two.getByText('as last seen here').count()).toBe(0);
    // A proof does it twenty times over; every press arrives once.
    const rounds = process.env.PROOF ? 20 : 2;
    await one.goto(`${server.url}/log`);
    for (let round = 3; round < 3 + rounds; round++) {
      await server.stop('SIGKILL');
      await Promise.all([note(`beside ${round}`, one), note(`evening ${round}`)]);
      await two.getByText(`evening ${round}`).waitFor();
      await server.restart();
      await expect.poll(async () => (await events()).length).toBe(logged + 3 + 2 * (round - 2));
    }
    expect(new Set((await events()).map(({ id }) => id)).size).toBe(logged + 3 + 2 * rounds);
    expect(errors).toEqual([]);
    await context.close();
  });

  it('keep a change too, show it, and send it when the server answers', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/pieces/crane/coats?part=jib`, KEEPS);
    type Layered = { id: string; parts: { id: string; layers: { coats: number }[] }[] };
    const coats = async () => {
      const { facts } = await (await fetch(`${server.url}/api/workshop`)).json();
      const crane = (facts.pieces as Layered[]).find(({ id }) => id === 'crane');
      return crane?.parts.find(({ id }) => id === 'jib')?.layers.at(-1)?.coats ?? Number.NaN;
    };
    const more = page.getByRole('button', { name: /^More coats of/ }).first();
    await more.waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready);
    const before = await coats();
    await server.stop('SIGKILL');
    await more.click();
    await page.getByText('Kept here: it is sent when the server answers.').waitFor();
    await page.getByText(/Kept here, 1 change to send/).waitFor();
    await page.reload();
    await page.getByText('This is the workshop as last seen here').waitFor();
    await page
      .getByText(`${before + 1} coats`, { exact: true })
      .first()
      .waitFor();
    await server.restart();
    await expect.poll(coats).toBe(before + 1);
    await expect.poll(() => page.getByText(/Kept here/).count()).toBe(0);
    expect(errors).toEqual([]);
    await context.close();
  });

  it('and eight more open without one of them hanging', async () => {
    const { page, context } = await openPage(browser, `${server.url}/log`, KEEPS);
    const others = [];
    for (let tab = 0; tab < 8; tab++) {
      const other = await context.newPage();
      await other.goto(`${server.url}/log`);
      await other.getByRole('heading', { name: 'Log' }).waitFor({ timeout: 15_000 });
      others.push(other);
    }
    await page.getByRole('textbox', { name: 'A note' }).fill('heard by all');
    await page.getByRole('button', { name: 'Note it' }).click();
    for (const other of others) await other.getByText('heard by all').waitFor();
    await context.close();
  });
});

describe('a phone at the bench', () => {
  it('is paired by the code on the screen, logs what is done, and is turned away when it is taken out', async () => {
    const { page: desk, context } = await openPage(browser, `${server.url}/workshop`);
    const section = desk.getByRole('region', { name: 'Phone at the bench' });
    const name = section.getByRole('button', { name: PHONE_NAME });
    if (await name.count()) await name.click();
    await section.getByRole('button', { name: 'Open it for a phone' }).click();
    await section.getByAltText(/QR code/).waitFor();
    const url = (await section.getByText(`http://${PHONE_NAME}`).textContent()) ?? '';
    const code = (await section.locator('.tracking-wider').textContent()) ?? '';
    const { page: phone, context: held } = await openPage(browser, url.trim(), {
      ...KEEPS,
      viewport: { width: 390, height: 844 },
      hasTouch: true,
    });
    await phone.getByLabel('Code').fill('00000000');
    await phone.getByRole('button', { name: 'Pair' }).click();
    await phone.getByText('That is not the code').waitFor();
    // A wrong code makes the next try wait: until then the page stays, and afterwards it is the bench.
    await expect
      .poll(async () => {
        if ((await phone.getByLabel('Code').count()) === 0) return 'paired';
        await phone.getByLabel('Code').fill(code);
        await phone.getByLabel('Name of this phone').fill('Bench phone');
        await phone.getByRole('button', { name: 'Pair' }).click();
        return 'not yet';
      })
      .toBe('paired');
    await phone.getByRole('button', { name: /^Done/ }).waitFor();
    expect(await phone.evaluate(() => [window.isSecureContext, 'randomUUID' in crypto])).toEqual([false, false]);
    await phone.getByText('neither rings nor keeps its screen on').waitFor();
    const logged = (await events()).length;
    await phone.getByRole('button', { name: /^Done/ }).click();
    await expect.poll(async () => (await events()).length).toBe(logged + 1);
    await phone.goto(`${url.trim()}/log`);
    await phone.getByRole('heading', { name: 'Log' }).waitFor();
    expect(await phone.getByRole('link', { name: 'Workshop' }).count()).toBe(0);
    expect(await phone.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await section.getByRole('button', { name: 'Take Bench phone out' }).click();
    await section.getByText('Bench phone').waitFor({ state: 'detached' });
    await phone.getByRole('textbox', { name: 'A note' }).fill('too late');
    await phone.getByRole('button', { name: 'Note it' }).click();
    await phone.getByText('This phone is not paired.').waitFor();
    expect((await events()).length).toBe(logged + 1);
    await section.getByRole('button', { name: 'Close it now' }).click();
    await section.getByRole('button', { name: 'Open it for a phone' }).waitFor();
    await held.close();
    await context.close();
  });
});

describe('a planner that fails', () => {
  const opened = async (script: () => void) => {
    const { page, context } = await openPage(browser, `${server.url}/pieces`);
    await page.addInitScript(script);
    await page.reload();
    return { page, context };
  };
  it('leaves every page on which nothing is planned open, and says what to do on the others', async () => {
    const { page, context } = await opened(() => {
      const Plain = Worker;
      // Asked for a plan, it is asked for something that it does not know.
      globalThis.Worker = class extends Plain {
        override postMessage(message: { path?: string[] }, transfer?: unknown) {
          super.postMessage(
            message.path?.[0] === 'soon' ? { ...message, path: ['nothing-it-knows'] } : message,
            transfer as Transferable[],
          );
        }
      };
    });
    await page.getByText('The plan could not be worked out.').waitFor();
    await page.getByRole('link', { name: /tram/i }).first().waitFor();
    for (const [link, heading] of [
      ['Log', 'Log'],
      ['Paint shelf', 'Paint shelf'],
      ['Workshop', 'Copies'],
    ]) {
      await page.getByRole('link', { name: link, exact: true }).click();
      await page.getByRole('heading', { name: heading, exact: true }).first().waitFor();
    }
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await page.getByRole('heading', { name: 'There is no plan of this' }).waitFor();
    await context.close();
  });
  it('to start is said, with a way to keep everything', async () => {
    const { page, context } = await opened(() => {
      const Plain = Worker;
      globalThis.Worker = class extends Plain {
        constructor(address: string | URL, options?: WorkerOptions) {
          super(String(address).includes('plan.worker') ? '/nowhere.js' : address, options);
        }
      };
    });
    await page.getByRole('heading', { name: 'The planner does not start' }).waitFor();
    expect(await page.getByRole('link', { name: 'Export the workshop' }).getAttribute('href')).toBe('/api/export');
    await context.close();
  });
});

describe('the workshop of the day before', () => {
  it('comes back with its pictures, and the day that was undone with it', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces`);
    const pieces = async () =>
      ((await (await fetch(`${server.url}/api/workshop`)).json()).facts.pieces as { name: string }[]).map((piece) => piece.name);
    await page.getByRole('button', { name: 'Remove Harbour crane' }).click();
    await expect.poll(pieces).not.toContain('Harbour crane');
    await page.goto(`${server.url}/workshop`);
    await page.getByRole('button', { name: /^Go back to the copy of .*of the day/ }).click();
    await page.getByText(/^Back to/).waitFor();
    await expect.poll(pieces).toContain('Harbour crane');
    await page.goto(`${server.url}/pieces/crane/survey`);
    await expect
      .poll(() =>
        page.locator('main img').evaluateAll((images) => images.filter((image) => (image as HTMLImageElement).naturalWidth > 10).length),
      )
      .toBeGreaterThan(0);
    await page.goto(`${server.url}/workshop`);
    await page
      .getByRole('button', { name: /before going back/ })
      .first()
      .click();
    await expect.poll(pieces).not.toContain('Harbour crane');
    await context.close();
  });
});
