import { COLLECTION_NAMES, type Facts, FORMAT, FORMAT_VERSION, readWorkshopText, workshopFileSchema } from '#core/facts/index';
import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Changes } from '../changes.ts';
import { BadFact, type Store } from '../store/store.ts';

const countsSchema = z.record(z.string(), z.object({ now: z.int(), file: z.int() }));

/** The open file out and in: import says what it will change before it does, and is all or nothing. */
export function fileRoutes(store: Store, changes: Changes): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    app.get('/api/export', { schema: { response: { 200: workshopFileSchema } } }, async (_request, reply) => {
      const { facts } = store.snapshot();
      reply.header('content-disposition', 'attachment; filename="enamelos-workshop.json"');
      return { format: FORMAT, version: FORMAT_VERSION, writtenAt: `${new Date().toISOString().slice(0, 19)}Z`, facts } as const;
    });

    app.post(
      '/api/import',
      {
        bodyLimit: 20_000_000,
        schema: {
          body: z.object({ text: z.string(), apply: z.boolean() }),
          response: { 200: z.object({ applied: z.boolean(), counts: countsSchema }) },
        },
      },
      async ({ body }) => {
        const read = readWorkshopText(body.text);
        if (!read.ok) throw new BadFact(read.problem);
        const counts = comparison(store.snapshot().facts, read.value.facts);
        if (body.apply) {
          store.replaceAll(read.value.facts);
          changes.announce(store.snapshot().changes);
        }
        return { applied: body.apply, counts };
      },
    );
  };
}

function comparison(now: Facts, file: Facts): Record<string, { now: number; file: number }> {
  const names = [...COLLECTION_NAMES, 'events'] as const;
  return Object.fromEntries(names.map((name) => [name, { now: now[name].length, file: file[name].length }]));
}
