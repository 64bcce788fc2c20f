import type { FastifyError, FastifyInstance, FastifyReply, FastifyRequest, FastifyServerOptions } from 'fastify';
import { problem } from './problems.ts';

/** An address that cannot be read is answered like anything else that is wrong. */
export function answerBadAddress(_error: FastifyError, _request: FastifyRequest, reply: FastifyReply): void {
  void reply
    .status(400)
    .type('application/problem+json')
    .send(JSON.stringify(problem(400, 'This address cannot be read.', 'Check the % signs in it.')));
}

/** JSON with or without the byte-order mark some editors write first. */
export function readJson(app: FastifyInstance): void {
  const parse = app.getDefaultJsonParser('error', 'error');
  app.removeContentTypeParser('application/json');
  app.addContentTypeParser('application/json', { parseAs: 'string' }, (request, body, done) =>
    parse(request, String(body).replace(/^\uFEFF/, ''), done),
  );
}

/** How long a request may take to arrive, body and all, and how often that is looked at, in milliseconds. */
export type Patience = { readonly arrives: number; readonly looked: number };
/** A workshop with its pictures comes in over the machine's own loopback: two minutes are plenty. */
export const PATIENCE: Patience = { arrives: 120_000, looked: 10_000 };

/** Whoever begins a request and never ends it is cut off. */
export function listensFor({ arrives, looked }: Patience): Pick<FastifyServerOptions, 'requestTimeout'> & { http: object } {
  return { requestTimeout: arrives, http: { connectionsCheckingInterval: looked, headersTimeout: arrives } };
}
