import { COLLECTION_NAMES, type Facts, FORMAT, FORMAT_VERSION, type WorkshopFile } from '#core/facts/index';
import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { packed, unpacked } from '../archive.ts';
import type { Changes } from '../changes.ts';
import { reencode } from '../reencode.ts';
import type { Pictures, StoredPicture } from '../store/pictures.ts';
import { BadFact, type Store } from '../store/store.ts';
import { readWorkshopFile } from '#core/admission/index';

const countsSchema = z.record(z.string(), z.object({ now: z.int(), file: z.int() }));
const answerSchema = z.object({ applied: z.boolean(), counts: countsSchema });
const MOST_TEXT = 20_000_000;
const MOST_ZIP = 200_000_000;

/** The open file out and in: import says what it will change before it does, and is all or nothing. */
export function fileRoutes(store: Store, pictures: Pictures, changes: Changes): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    app.addContentTypeParser('application/zip', { parseAs: 'buffer' }, (_request, body, done) => done(null, body));

    app.get('/api/export', async (_request, reply) => {
      const { facts } = store.snapshot();
      const file: WorkshopFile = { format: FORMAT, version: FORMAT_VERSION, writtenAt: `${new Date().toISOString().slice(0, 19)}Z`, facts };
      const images = pictures.having(pictureIds(facts));
      if (images.length === 0) {
        return reply.header('content-disposition', 'attachment; filename="enamelos-workshop.json"').type('application/json').send(file);
      }
      const zip = packed(JSON.stringify(file), images);
      return reply.header('content-disposition', 'attachment; filename="enamelos-workshop.zip"').type('application/zip').send(zip);
    });

    app.post(
      '/api/import',
      { bodyLimit: MOST_TEXT, schema: { body: z.object({ text: z.string(), apply: z.boolean() }), response: { 200: answerSchema } } },
      async ({ body }) => take(body.text, [], body.apply),
    );

    app.post(
      '/api/import-zip',
      { bodyLimit: MOST_ZIP, schema: { querystring: z.object({ apply: z.enum(['yes', 'no']) }), response: { 200: answerSchema } } },
      async ({ body, query }) => {
        const zip = unpacked(Buffer.isBuffer(body) ? body : Buffer.alloc(0));
        // Every picture is read before anything is written: one that is none refuses the file.
        const images: StoredPicture[] = [];
        for (const { id, bytes } of zip.pictures) images.push(await reencode(id, bytes));
        return take(zip.text, images, query.apply === 'yes');
      },
    );

    function take(text: string, images: readonly StoredPicture[], apply: boolean) {
      const read = readWorkshopFile(text);
      if (!read.ok) throw new BadFact(read.problem);
      const counts = { ...comparison(store.snapshot().facts, read.value.facts), pictures: pictureCounts(read.value.facts) };
      if (apply) {
        for (const image of images) pictures.put(image);
        store.replaceAll(read.value.facts);
        changes.announce(store.snapshot().changes);
      }
      return { applied: apply, counts };
    }

    function pictureCounts(file: Facts): { now: number; file: number } {
      return { now: pictureIds(store.snapshot().facts).length, file: pictureIds(file).length };
    }
  };
}

function pictureIds(facts: Facts): string[] {
  return facts.pieces.flatMap((piece) => (piece.pictures ?? []).map((picture) => picture.id));
}

function comparison(now: Facts, file: Facts): Record<string, { now: number; file: number }> {
  const names = [...COLLECTION_NAMES, 'events'] as const;
  return Object.fromEntries(names.map((name) => [name, { now: now[name].length, file: file[name].length }]));
}
