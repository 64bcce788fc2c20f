import { collectionSchema, eventSchema, factsSchema, idSchema } from '#core/facts/index';
import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Changes } from '../changes.ts';
import type { Store } from '../store/store.ts';

const addressSchema = z.object({ collection: collectionSchema, id: idSchema });
const revisionSchema = z.object({ revision: z.int().min(0) });
const snapshotSchema = z
  .object({ facts: factsSchema, revisions: z.record(z.string(), z.int()), changes: z.int(), demo: z.boolean() })
  .meta({ id: 'Snapshot' });

/** Reading and writing facts, and the log. */
export function factRoutes(store: Store, changes: Changes): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    const announce = () => changes.announce(store.snapshot().changes);

    app.get('/api/workshop', { schema: { response: { 200: snapshotSchema } } }, async () => store.snapshot());

    app.put(
      '/api/facts/:collection/:id',
      {
        schema: {
          params: addressSchema,
          body: z.object({ revision: z.int().min(0), value: z.unknown() }),
          response: { 200: revisionSchema },
        },
      },
      async ({ params, body }) => {
        const { revision } = store.put(params.collection, params.id, body.value, body.revision);
        announce();
        return { revision };
      },
    );

    app.delete(
      '/api/facts/:collection/:id',
      {
        schema: {
          params: addressSchema,
          querystring: z.object({ revision: z.coerce.number().int().min(1) }),
          response: { 200: revisionSchema },
        },
      },
      async ({ params, query }) => {
        const revision = store.remove(params.collection, params.id, query.revision);
        announce();
        return { revision };
      },
    );

    app.post(
      '/api/undo/:collection/:id',
      { schema: { params: addressSchema, body: revisionSchema, response: { 200: revisionSchema } } },
      async ({ params, body }) => {
        const revision = store.undo(params.collection, params.id, body.revision);
        announce();
        return { revision };
      },
    );

    app.post(
      '/api/events',
      { schema: { body: z.object({ events: z.array(eventSchema).min(1).max(500) }), response: { 200: z.object({ added: z.int() }) } } },
      async ({ body }) => {
        const added = store.append(body.events);
        if (added > 0) announce();
        return { added };
      },
    );
  };
}
