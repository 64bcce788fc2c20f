import type { FastifyInstance } from 'fastify';
import { problem } from './problems.ts';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Only this machine's own pages may talk to the server: the Host must be a loopback name, and so must an Origin. */
export function guardLoopback(app: FastifyInstance): void {
  app.addHook('onRequest', async (request, reply) => {
    const host = nameOf(request.headers.host ?? '');
    const origin = request.headers.origin;
    const foreign = !LOOPBACK.includes(host) || (origin !== undefined && new URL(safeUrl(origin)).host !== request.headers.host);
    if (!foreign) return;
    return reply
      .status(403)
      .type('application/problem+json')
      .send(problem(403, 'This workshop answers only to this machine.', 'Open it at http://127.0.0.1 with its port.'));
  });
}

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '');
}

function safeUrl(origin: string): string {
  return URL.canParse(origin) ? origin : 'http://nowhere.invalid';
}
