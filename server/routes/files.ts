import { randomUUID } from 'node:crypto';
import { broughtIn, isPieceText, readPieceText, readWorkshopFile } from '#core/admission/index';
import { COLLECTION_NAMES, type Facts, idSchema } from '#core/facts/index';
import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { exported, exportedPiece, imagesOf, pictureIds } from '../workshopFiles.ts';
import { unpacked } from '../archive.ts';
import type { Changes } from '../changes.ts';
import { rightNow } from '../clock.ts';
import type { Copies } from '../store/copies.ts';
import type { Pictures, StoredPicture } from '../store/pictures.ts';
import { BadFact, UnknownFact } from '../store/refusals.ts';
import type { Store } from '../store/store.ts';

const countsSchema = z.record(z.string(), z.object({ now: z.int(), file: z.int() }));
/** `before`: the copy made first, which undoes the import. */
const answerSchema = z.object({
  applied: z.boolean(),
  counts: countsSchema,
  before: z.string().optional(),
  /** One piece comes in beside what is here. */
  piece: z
    .object({
      id: z.string(),
      name: z.string(),
      matched: z.array(z.string()),
      brought: z.array(z.string()),
      otherCurrency: z.string().nullable(),
      placesUnknown: z.array(z.string()),
      entries: z.int(),
      pictures: z.int(),
    })
    .optional(),
});
const MOST_TEXT = 20_000_000;
const MOST_ZIP = 200_000_000;

/** The open file out and in: import says what it will change before it does, and is all or nothing. */
export function fileRoutes(store: Store, pictures: Pictures, copies: Copies, changes: Changes): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    app.addContentTypeParser('application/zip', { parseAs: 'buffer' }, (_request, body, done) => done(null, body));

    app.get('/api/export', async (_request, reply) => {
      const { facts } = store.snapshot();
      const { bytes, kind } = exported({ facts, pictures: pictures.having(pictureIds(facts)) }, rightNow().toISOString());
      return reply
        .header('content-disposition', `attachment; filename="enamelos-workshop.${kind}"`)
        .type(`application/${kind}`)
        .send(bytes);
    });

    app.get('/api/pieces/:id/export', { schema: { params: z.object({ id: idSchema }) } }, async ({ params }, reply) => {
      const { facts } = store.snapshot();
      const contents = { facts, pictures: pictures.having(pictureIds(facts)) };
      const file = exportedPiece(contents, params.id, rightNow().toISOString());
      if (!file) throw new UnknownFact('This piece is not here.');
      return reply
        .header('content-disposition', `attachment; filename="enamelos-piece.${file.kind}"`)
        .type(`application/${file.kind}`)
        .send(file.bytes);
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
        const zip = await unpacked(Buffer.isBuffer(body) ? body : Buffer.alloc(0));
        return take(zip.text, await imagesOf(zip), query.apply === 'yes');
      },
    );

    async function take(text: string, images: readonly StoredPicture[], apply: boolean) {
      if (isPieceText(text)) return takePiece(text, images, apply);
      const read = readWorkshopFile(text);
      if (!read.ok) throw new BadFact(read.problem);
      const counts = { ...comparison(store.snapshot().facts, read.value.facts), pictures: pictureCounts(read.value.facts) };
      if (!apply) return { applied: false, counts };
      const before = await copies.before('import', rightNow().toISOString());
      store.replaceAll(read.value.facts, images);
      changes.announce(store.changes);
      return { applied: true, counts, before };
    }

    function takePiece(text: string, images: readonly StoredPicture[], apply: boolean) {
      const read = readPieceText(text);
      if (!read.ok) throw new BadFact(read.problem);
      const own = broughtIn(read.value, store.snapshot().facts, randomUUID);
      const named = images.flatMap((image) => {
        const id = own.pictures.get(image.id);
        return id === undefined ? [] : [{ ...image, id }];
      });
      if (apply) {
        store.bringIn(own, named);
        changes.announce(store.changes);
      }
      const { report, piece, events } = own;
      return {
        applied: apply,
        counts: {},
        piece: {
          ...report,
          matched: [...report.matched],
          brought: [...report.brought],
          placesUnknown: [...report.placesUnknown],
          id: piece.id,
          entries: events.length,
          pictures: named.length,
        },
      };
    }

    function pictureCounts(file: Facts): { now: number; file: number } {
      return { now: pictureIds(store.snapshot().facts).length, file: pictureIds(file).length };
    }
  };
}

function comparison(now: Facts, file: Facts): Record<string, { now: number; file: number }> {
  const names = [...COLLECTION_NAMES, 'events'] as const;
  return Object.fromEntries(names.map((name) => [name, { now: now[name].length, file: file[name].length }]));
}
