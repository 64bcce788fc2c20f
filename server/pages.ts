import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';
import { problem } from './problems.ts';

/** The built pages: the single page at every address of its own, problems at unknown addresses of the API. */
export async function servePages(app: FastifyInstance, webFolder: string): Promise<void> {
  await app.register(fastifyStatic, {
    root: webFolder,
    wildcard: false,
    setHeaders(reply, path) {
      reply.header('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  app.setNotFoundHandler((request, reply) => {
    if (request.method === 'GET' && !request.url.startsWith('/api')) return reply.sendFile('index.html');
    return reply
      .status(404)
      .type('application/problem+json')
      .send(problem(404, 'There is nothing at this address.', 'See /api/openapi.json for the addresses.'));
  });
}
