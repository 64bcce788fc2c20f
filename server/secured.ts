import helmet from '@fastify/helmet';
import type { FastifyInstance } from 'fastify';

/** Headers that keep a page to its own scripts and this server; plain http, so nothing about https. */
export async function secured(app: FastifyInstance): Promise<void> {
  await app.register(helmet, {
    strictTransportSecurity: false,
    crossOriginOpenerPolicy: false,
    originAgentCluster: false,
    // Without a referrer a browser sends a form as from nowhere, and the guard turns it away.
    referrerPolicy: { policy: 'same-origin' },
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
}
