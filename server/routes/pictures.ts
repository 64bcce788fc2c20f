import { idSchema } from '#core/facts/index';
import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { reencode } from '../reencode.ts';
import type { Pictures } from '../store/pictures.ts';
import { UnknownFact } from '../store/refusals.ts';
import type { Store } from '../store/store.ts';

const MOST_BYTES = 20_000_000;
const addressSchema = z.object({ id: idSchema });

/** Pictures in, by the id their fact has. */
export function pictureRoutes(store: Store): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    app.addContentTypeParser(/^(image\/.+|application\/octet-stream)$/, { parseAs: 'buffer' }, (_request, body, done) => done(null, body));

    app.put(
      '/api/pictures/:id',
      {
        bodyLimit: MOST_BYTES,
        schema: { params: addressSchema, response: { 200: z.object({ width: z.int(), height: z.int() }) } },
      },
      async ({ params, body }) => {
        const picture = await reencode(params.id, Buffer.isBuffer(body) ? body : Buffer.alloc(0));
        store.putPicture(picture);
        return { width: picture.width, height: picture.height };
      },
    );
  };
}

/** Pictures to look at. */
export function pictureReading(pictures: Pictures): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    app.get('/api/pictures/:id', { schema: { params: addressSchema } }, async ({ params }, reply) => {
      const picture = pictures.get(params.id);
      if (!picture) throw new UnknownFact('This picture is not here.');
      return reply.type('image/jpeg').header('cache-control', 'private, max-age=86400').send(picture.bytes);
    });
  };
}
