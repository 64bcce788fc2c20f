import { offerSchema, shopSchema } from '#core/facts/index';
import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Shops } from '../standins/shops.ts';
import type { Store } from '../store/store.ts';

/** What shops ask today for the paints of the workshop; nothing is written: the person takes it, or leaves it. */
export function shopRoutes(store: Store, shops: Shops): FastifyPluginAsync {
  return async (plugin) => {
    plugin.withTypeProvider<ZodTypeProvider>().get(
      '/api/shops/prices',
      {
        schema: {
          querystring: z.object({ today: z.iso.date() }),
          response: { 200: z.object({ shops: z.array(shopSchema), offers: z.array(offerSchema) }).nullable() },
        },
      },
      // The answer of a shop that does not answer is none.
      async ({ query }) => shops.ask(store.snapshot().facts, query.today),
    );
  };
}
