import { z } from 'zod';
import { dateSchema, idSchema, moneySchema } from './basics.ts';
import { supplyLineSchema } from './stock.ts';

/** What a shop asks for anything that is no paint. */

/** A supply by kind and spec, or something a piece waits for: decals, glass, a spare part, outside work. */
export const goodsOfSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('supply'),
    supply: supplyLineSchema.shape.kind,
    spec: supplyLineSchema.shape.spec,
    unit: supplyLineSchema.shape.unit,
  }),
  z.strictObject({ kind: z.literal('parcel'), pieceId: idSchema, parcelId: idSchema }),
]);
export type GoodsOf = z.infer<typeof goodsOfSchema>;

/** One price of it: a pack of so many sheets, metres, mL or pieces. */
export const goodsSchema = z.strictObject({
  id: idSchema,
  shopId: idSchema,
  of: goodsOfSchema,
  amount: z
    .number('Type how much is in a pack.')
    .positive('A pack holds more than nothing.')
    .max(100_000, 'That is more than anyone keeps. Check the unit.'),
  price: moneySchema,
  stock: z.int('Count the packs.').min(0, 'Count the packs.').optional(),
  seenOn: dateSchema,
});
export type Goods = z.infer<typeof goodsSchema>;
