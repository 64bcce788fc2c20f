import cookie from '@fastify/cookie';
import rateLimit from '@fastify/rate-limit';
import Fastify, { type FastifyInstance, type FastifyReply, type FastifyRequest } from 'fastify';
import { counted } from '#core/units/index';
import { z } from 'zod';
import { serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import type { Changes } from '../changes.ts';
import { rightNow } from '../clock.ts';
import { guardHost } from '../guard.ts';
import { servePages } from '../pages.ts';
import type { CalendarPlans } from '../planning/calendarPlans.ts';
import { answerWithProblems, problem } from '../problems.ts';
import { answerBadAddress, listensFor, type Patience, readJson } from '../requests.ts';
import { calendarRoutes } from '../routes/calendar.ts';
import { changeRoutes } from '../routes/changes.ts';
import { benchRoutes } from '../routes/bench.ts';
import { pictureReading } from '../routes/pictures.ts';
import { searchRoutes } from '../routes/search.ts';
import type { Device, Devices } from '../store/devices.ts';
import type { Pictures } from '../store/pictures.ts';
import type { Store } from '../store/store.ts';
import { secured } from '../secured.ts';
import type { Pairing } from './pairing.ts';
import { pairingPage } from './pairingPage.ts';

export type PhoneOptions = {
  readonly store: Store;
  readonly pictures: Pictures;
  readonly changes: Changes;
  readonly devices: Devices;
  readonly pairing: Pairing;
  readonly calendars: CalendarPlans;
  /** The name phones reach this machine by, with its port. */
  readonly host: () => string;
  readonly webFolder?: string;
  readonly patience: Patience;
};

const COOKIE = 'enamelos-phone';
const A_YEAR = 365 * 86_400;
/** Requests of one address a minute: far more than a person at a bench makes, or one who types a code. */
const MOST_A_MINUTE = { paired: 600, stranger: 60 };

declare module 'fastify' {
  interface FastifyRequest {
    device: Device | null;
  }
}

/**
 * What the home network sees: to a stranger the pairing page alone, to a paired phone bench, board, shelf and log. Import,
 * removing and settings have no address here at all.
 */
export async function buildPhoneApp(options: PhoneOptions): Promise<FastifyInstance> {
  const { store, pictures, changes, devices, calendars, host, webFolder, patience } = options;
  const app = Fastify({ bodyLimit: 1_000_000, forceCloseConnections: true, frameworkErrors: answerBadAddress, ...listensFor(patience) });
  readJson(app);
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.decorateRequest('device', null);
  answerWithProblems(app);
  guardHost(app, host);
  await secured(app);
  await app.register(rateLimit, { global: false });
  await app.register(cookie);
  // Counted before anything is answered, whether the address exists or not.
  const limits = {
    paired: app.createRateLimit({ max: MOST_A_MINUTE.paired, timeWindow: 60_000 }),
    stranger: app.createRateLimit({ max: MOST_A_MINUTE.stranger, timeWindow: 60_000 }),
  };
  app.addHook('onRequest', async (request, reply) => {
    request.device = devices.holding(request.cookies[COOKIE]);
    const tally = await limits[request.device ? 'paired' : 'stranger'](request);
    if (!tally.isAllowed && tally.isExceeded) return tooMany(reply, tally.ttlInSeconds);
    if (!request.device && !isPairing(request)) return turnAway(request, reply);
  });
  pairingRoutes(app, options);
  await app.register(benchRoutes(store, changes, true));
  await app.register(pictureReading(pictures));
  await app.register(calendarRoutes(store, calendars));
  await app.register(searchRoutes(store));
  await app.register(changeRoutes(store, changes, (request) => devices.holding(request.cookies[COOKIE]) !== null));
  if (webFolder) await servePages(app, webFolder);
  return app;
}

function isPairing(request: FastifyRequest): boolean {
  return request.url.split('?')[0] === '/pair';
}

function tooMany(reply: FastifyReply, seconds: number): FastifyReply {
  return reply
    .status(429)
    .header('retry-after', seconds)
    .type('application/problem+json')
    .send(problem(429, 'Too many requests in a minute.', `Wait ${counted(seconds, 'second')}, then go on.`));
}

/** A stranger learns nothing but how to pair. */
function turnAway(request: FastifyRequest, reply: FastifyReply): FastifyReply {
  if (request.method === 'GET' && !request.url.startsWith('/api')) return reply.status(401).type('text/html').send(pairingPage(''));
  return reply
    .status(401)
    .type('application/problem+json')
    .send(problem(401, 'This phone is not paired.', 'Pair it with the code on the computer: Workshop, Phone at the bench.'));
}

const askedSchema = z.object({ code: z.string().default(''), name: z.string().default('') });
const UNREADABLE = 'That could not be read. Type the code from the screen of the computer.';

function pairingRoutes(app: FastifyInstance, { devices, pairing }: PhoneOptions): void {
  app.addContentTypeParser('application/x-www-form-urlencoded', { parseAs: 'string' }, (_request, body, done) =>
    done(null, Object.fromEntries(new URLSearchParams(String(body)))),
  );
  app.get('/pair', async (request, reply) => {
    const asked = askedSchema.safeParse(request.query);
    if (!asked.success) return reply.status(400).type('text/html').send(pairingPage('', UNREADABLE));
    return reply.type('text/html').send(pairingPage(asked.data.code.slice(0, 20)));
  });
  app.post('/pair', async (request, reply) => {
    const asked = askedSchema.safeParse(request.body ?? {});
    if (!asked.success) return reply.status(400).type('text/html').send(pairingPage('', UNREADABLE));
    const { code, name } = asked.data;
    const tried = pairing.try(code);
    if (tried.answer === 'paired') {
      const secret = devices.add(name.trim().slice(0, 40) || 'Phone', rightNow().toISOString());
      return reply.setCookie(COOKIE, secret, { path: '/', httpOnly: true, sameSite: 'strict', maxAge: A_YEAR }).redirect('/bench', 303);
    }
    if (tried.answer === 'too-soon') void reply.header('retry-after', tried.seconds);
    const [status, said] = refusal(tried);
    return reply.status(status).type('text/html').send(pairingPage('', said));
  });
}

function refusal(tried: ReturnType<Pairing['try']>): [status: number, said: string] {
  if (tried.answer === 'too-soon') return [429, `Wait ${tried.seconds} s before the next try.`];
  if (tried.answer === 'no-code') return [403, 'No code is open. Make a new one on the computer.'];
  return [403, 'That is not the code on the screen. Read it again.'];
}
