import cookie from '@fastify/cookie';
import rateLimit from '@fastify/rate-limit';
import Fastify, { type FastifyInstance, type FastifyReply, type FastifyRequest } from 'fastify';
import { serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import type { Changes } from '../changes.ts';
import { rightNow } from '../clock.ts';
import { guardHost } from '../guard.ts';
import { servePages } from '../pages.ts';
import { answerWithProblems, problem } from '../problems.ts';
import { answerBadAddress, readJson } from '../requests.ts';
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
  /** The name phones reach this machine by, with its port. */
  readonly host: () => string;
  readonly webFolder?: string;
};

const COOKIE = 'enamelos-phone';
const A_YEAR = 365 * 86_400;
/** Requests of one address a minute: far more than a person at a bench makes. */
const MOST_A_MINUTE = 600;

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
  const { store, pictures, changes, devices, host, webFolder } = options;
  const app = Fastify({ bodyLimit: 1_000_000, forceCloseConnections: true, frameworkErrors: answerBadAddress });
  readJson(app);
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.decorateRequest('device', null);
  answerWithProblems(app);
  guardHost(app, host);
  await secured(app);
  await app.register(rateLimit, { max: MOST_A_MINUTE, timeWindow: 60_000 });
  await app.register(cookie);
  app.addHook('onRequest', async (request, reply) => {
    request.device = devices.holding(request.cookies[COOKIE]);
    if (!request.device && !isPairing(request)) return turnAway(request, reply);
  });
  pairingRoutes(app, options);
  await app.register(benchRoutes(store, changes, true));
  await app.register(pictureReading(pictures));
  await app.register(calendarRoutes(store));
  await app.register(searchRoutes(store));
  await app.register(changeRoutes(store, changes, (request) => devices.holding(request.cookies[COOKIE]) !== null));
  if (webFolder) await servePages(app, webFolder);
  return app;
}

function isPairing(request: FastifyRequest): boolean {
  return request.url.split('?')[0] === '/pair';
}

/** A stranger learns nothing but how to pair. */
function turnAway(request: FastifyRequest, reply: FastifyReply): FastifyReply {
  if (request.method === 'GET' && !request.url.startsWith('/api')) return reply.status(401).type('text/html').send(pairingPage(''));
  return reply
    .status(401)
    .type('application/problem+json')
    .send(problem(401, 'This phone is not paired.', 'Pair it with the code on the computer: Workshop, Phone at the bench.'));
}

function pairingRoutes(app: FastifyInstance, { devices, pairing }: PhoneOptions): void {
  app.addContentTypeParser('application/x-www-form-urlencoded', { parseAs: 'string' }, (_request, body, done) =>
    done(null, Object.fromEntries(new URLSearchParams(String(body)))),
  );
  app.get('/pair', async (request, reply) => {
    const { code = '' } = request.query as { code?: string };
    return reply.type('text/html').send(pairingPage(String(code).slice(0, 20)));
  });
  app.post('/pair', async (request, reply) => {
    const { code = '', name = '' } = (request.body ?? {}) as { code?: string; name?: string };
    const tried = pairing.try(String(code));
    if (tried.answer === 'paired') {
      const secret = devices.add(String(name).trim().slice(0, 40) || 'Phone', rightNow().toISOString());
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
