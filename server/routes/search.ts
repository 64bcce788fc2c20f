import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Store } from '../store/store.ts';

const kindSchema = z.enum(['piece', 'part', 'paint', 'entry']);
const foundSchema = z
  .object({
    kind: kindSchema,
    id: z.string(),
    pieceId: z.string(),
    at: z.string(),
    title: z.string(),
    body: z.string(),
    shownTitle: z.string(),
    shownBody: z.string(),
  })
  .meta({ id: 'Found' });
const MOST = 2000;

/** Words looked for in pieces, parts, paints and the log, best first; what matched stands between U+E000 and U+E001. */
export function searchRoutes(store: Store): FastifyPluginAsync {
  return async (plugin) => {
    plugin.withTypeProvider<ZodTypeProvider>().get(
      '/api/search',
      {
        schema: {
          querystring: z.object({
            q: z.string().max(20_000),
            kind: kindSchema.optional(),
            most: z.coerce.number().int().min(1).max(MOST).default(30),
          }),
          response: { 200: z.array(foundSchema) },
        },
      },
      async ({ query }) => store.find(query.q, query.most, query.kind),
    );
  };
}
