import { type Collection, collectionSchema, eventSchema, factsSchema, idSchema } from '#core/facts/index';
import type { FastifyInstance, FastifyPluginAsync, FastifyReply } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Changes } from '../changes.ts';
import type { Store } from '../store/store.ts';

const snapshotSchema = z
  .object({
    facts: factsSchema,
    revisions: z.record(z.string(), z.int()),
    changes: z.int(),
    demo: z.boolean(),
    setAside: z.int(),
    trouble: z.string().optional(),
    phone: z.literal(true).optional(),
  })
  .meta({ id: 'Snapshot' });

/** The cans and papers of the shelf: what a phone may write besides the log. */
const SHELF: readonly Collection[] = ['cans', 'stock'];

/** What is done at the bench: reading the workshop, adding to the log; for a phone the shelf as well. */
export function benchRoutes(store: Store, changes: Changes, phone = false): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();

    app.get('/api/workshop', { schema: { response: { 200: snapshotSchema } } }, (_request, reply) => {
      // Text already: the schema says what is in it, and is not run over a long log for every page.
      void (reply as FastifyReply).type('application/json').serializer(String).send(store.snapshotText(phone));
    });

    app.post(
      '/api/events',
      { schema: { body: z.object({ events: z.array(eventSchema).min(1).max(500) }), response: { 200: z.object({ added: z.int() }) } } },
      async ({ body }) => {
        const added = store.append(body.events);
        if (added > 0) changes.announce(store.changes);
        return { added };
      },
    );

    if (phone) writeRoute(app, store, changes, SHELF);
  };
}

/** The address a fact is written at, for these collections. */
export function writeRoute(plugin: FastifyInstance, store: Store, changes: Changes, collections: readonly Collection[]): void {
  const own = collectionSchema.extract(collections as [Collection, ...Collection[]]);
  plugin.withTypeProvider<ZodTypeProvider>().put(
    '/api/facts/:collection/:id',
    {
      schema: {
        params: z.object({ collection: own, id: idSchema }),
        body: z.object({ revision: z.int().min(0), value: z.unknown() }),
        response: { 200: z.object({ revision: z.int().min(0) }) },
      },
    },
    async ({ params, body }) => {
      const { revision } = store.put(params.collection, params.id, body.value, body.revision);
      changes.announce(store.changes);
      return { revision };
    },
  );
}
