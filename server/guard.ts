import type { FastifyInstance, FastifyRequest } from 'fastify';
import { problem } from './problems.ts';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Only this machine's own pages may talk to the server: the Host must be a loopback name, and so must an Origin. */
export function guardLoopback(app: FastifyInstance): void {
  guard(
    app,
    (host) => LOOPBACK.includes(nameOf(host)),
    'This workshop answers only to this machine.',
    'Open it at http://127.0.0.1 with its port.',
  );
}

/** Only under the one name it was opened by, port included: a page of elsewhere cannot speak through a phone's browser. */
export function guardHost(app: FastifyInstance, own: () => string): void {
  guard(app, (host) => host === own(), 'This is not the address the phone was given.', 'Scan the code on the computer again.');
}

function guard(app: FastifyInstance, known: (host: string) => boolean, title: string, mend: string): void {
  app.addHook('onRequest', async (request, reply) => {
    const host = (request.headers.host ?? '').toLowerCase();
    const { origin } = request.headers;
    if (known(host) && (origin === undefined || hostOf(origin) === host) && !isChangeFromElsewhere(request)) return;
    return reply
      .status(403)
      .type('application/problem+json')
      .send(problem(403, title, mend));
  });
}

/** A browser says itself where a request comes from, also where it names no origin; a change comes from the own pages alone. */
function isChangeFromElsewhere({ method, headers }: FastifyRequest): boolean {
  const from = headers['sec-fetch-site'];
  return method !== 'GET' && method !== 'HEAD' && from !== undefined && from !== 'same-origin' && from !== 'none';
}

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '');
}

/** The host an Origin names, in lower case; null for one that is no address. */
function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
