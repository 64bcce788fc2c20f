import { COLLECTION_NAMES, collectionSchema, idSchema } from '#core/facts/index';
import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Changes } from '../changes.ts';
import { type Store, WRITTEN_TOGETHER } from '../store/store.ts';
import { writeRoute } from './bench.ts';

const addressSchema = z.object({ collection: collectionSchema, id: idSchema });
const revisionSchema = z.object({ revision: z.int().min(0) });
const setAsideSchema = z.object({ collection: z.string(), id: z.string(), why: z.string(), body: z.string() });

/** Writing facts, removing them and going back. */
export function factRoutes(store: Store, changes: Changes): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    const announce = () => changes.announce(store.changes);

    app.get('/api/set-aside', { schema: { response: { 200: z.array(setAsideSchema) } } }, async () => store.setAside());

    writeRoute(app, store, changes, COLLECTION_NAMES);

    // A price list or a shelf in one go; pieces are written one by one, for each of them is looked through.
    app.put(
      '/api/facts/:collection',
      {
        bodyLimit: 20_000_000,
        schema: {
          params: z.object({ collection: z.enum(WRITTEN_TOGETHER) }),
          body: z.object({
            writes: z
              .array(z.object({ revision: z.int().min(0), value: z.unknown() }))
              .min(1)
              .max(20_000),
          }),
          response: { 200: z.object({ written: z.int() }) },
        },
      },
      async ({ params, body }) => {
        const written = store.putTogether(params.collection, body.writes);
        announce();
        return { written };
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
  };
}
