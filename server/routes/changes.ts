import type { FastifyPluginAsync, FastifyRequest } from 'fastify';
import type { Changes } from '../changes.ts';
import type { Store } from '../store/store.ts';

const HEARTBEAT_MS = 20_000;

/** Server-sent events: one line a change, so that every open tab shows the same. A stream ends when it may listen no longer. */
export function changeRoutes(
  store: Store,
  changes: Changes,
  mayListen: (request: FastifyRequest) => boolean = () => true,
): FastifyPluginAsync {
  return async (app) => {
    const open = new Set<() => void>();
    app.addHook('preClose', async () => {
      for (const end of open) end();
    });
    app.get('/api/changes', async (request, reply) => {
      reply.hijack();
      reply.raw.writeHead(200, {
        ...(reply.getHeaders() as Record<string, string>),
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
      });
      const send = () => {
        if (mayListen(request)) reply.raw.write(`data: ${store.changes}\n\n`);
        else end();
      };
      const stop = changes.subscribe(send);
      const beat = setInterval(() => reply.raw.write(': still here\n\n'), HEARTBEAT_MS);
      const end = () => {
        clearInterval(beat);
        stop();
        open.delete(end);
        reply.raw.end();
      };
      open.add(end);
      send();
      request.raw.on('close', end);
    });
  };
}
