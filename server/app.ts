import helmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import swagger from '@fastify/swagger';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, jsonSchemaTransformObject, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import { existsSync } from 'node:fs';
import { Changes } from './changes.ts';
import { guardLoopback } from './guard.ts';
import { problem, answerWithProblems } from './problems.ts';
import { changeRoutes } from './routes/changes.ts';
import { factRoutes } from './routes/facts.ts';
import { fileRoutes } from './routes/files.ts';
import { pictureRoutes } from './routes/pictures.ts';
import type { Pictures } from './store/pictures.ts';
import type { Store } from './store/store.ts';

export type AppOptions = { readonly store: Store; readonly pictures: Pictures; readonly changes?: Changes; readonly webFolder?: string };

/** The server of one workshop: facts and log, files, changes, and the built pages. */
export async function buildApp({ store, pictures, changes = new Changes(), webFolder }: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({ bodyLimit: 5_000_000, forceCloseConnections: true });
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  answerWithProblems(app);
  guardLoopback(app);
  await app.register(helmet, {
    strictTransportSecurity: false,
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        workerSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'", 'data:'],
        upgradeInsecureRequests: null,
      },
    },
  });
  await app.register(swagger, {
    openapi: { info: { title: 'Enamelos', version: '0.1.0' } },
    transform: jsonSchemaTransform,
    transformObject: jsonSchemaTransformObject,
  });
  await app.register(factRoutes(store, changes));
  await app.register(fileRoutes(store, pictures, changes));
  await app.register(pictureRoutes(pictures));
  await app.register(changeRoutes(store, changes));
  app.get('/api/openapi.json', { schema: { hide: true } }, async () => app.swagger());
  if (webFolder && existsSync(webFolder)) await servePages(app, webFolder);
  return app;
}

async function servePages(app: FastifyInstance, webFolder: string): Promise<void> {
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
