import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Changes } from '../changes.ts';
import { rightNow } from '../clock.ts';
import type { Copies } from '../store/copies.ts';
import type { Store } from '../store/store.ts';

const copySchema = z
  .object({
    name: z.string(),
    at: z.string(),
    bytes: z.int(),
    holds: z.object({ pieces: z.int(), events: z.int(), pictures: z.int() }).nullable(),
  })
  .meta({ id: 'Copy' });

/** The copies of the workshop, and going back to one: what stands now is copied first, so that too can be taken back. */
export function copyRoutes(store: Store, copies: Copies, changes: Changes): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();

    app.get('/api/copies', { schema: { response: { 200: z.array(copySchema) } } }, async () => copies.list());

    app.post(
      '/api/copies/:name/restore',
      {
        schema: { params: z.object({ name: z.string().max(100) }), response: { 200: z.object({ before: z.string(), setAside: z.int() }) } },
      },
      async ({ params }) => {
        const { facts, pictures, aside } = copies.read(params.name);
        const before = await copies.before('restore', rightNow().toISOString());
        store.replaceAll(facts, pictures, aside);
        changes.announce(store.changes);
        return { before, setAside: aside.length };
      },
    );
  };
}
