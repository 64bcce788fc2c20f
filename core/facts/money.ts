import { z } from 'zod';
import { dateSchema, idSchema, moneySchema, nameSchema } from './basics.ts';

/** What may be spent, and what pieces were bought for. */

const monthSchema = z.string().regex(/^(19[7-9]\d|2[01]\d\d)-(0[1-9]|1[0-2])$/, 'A month reads like 2026-12.');

/** Money for one piece, for several together, or for everything that is spent in a month. A piece that is gone counts no more. */
export const budgetSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema.optional(),
    pieceIds: z.array(idSchema).min(1, 'A budget is for at least one piece.').max(200).optional(),
    month: monthSchema.optional(),
    amount: moneySchema,
  })
  .refine(
    ({ pieceIds, month }) => (pieceIds === undefined) !== (month === undefined),
    'A budget is for pieces or for a month, one of the two.',
  )
  .refine(({ pieceIds = [] }) => new Set(pieceIds).size === pieceIds.length, 'A piece stands in a budget once.');
export type Budget = z.infer<typeof budgetSchema>;

/** How the price of a lot is shared out among its pieces: the same for each, by what each will be worth, or as typed. */
export const LOT_SPLITS = ['equally', 'by-worth', 'typed'] as const;

/** Pieces bought together, or one by itself: what was paid for them as they came, and for their way here. */
export const lotSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    paid: moneySchema,
    postage: moneySchema.optional(),
    boughtOn: dateSchema.optional(),
    split: z.enum(LOT_SPLITS),
    pieces: z
      .array(z.strictObject({ pieceId: idSchema, share: moneySchema.optional() }))
      .min(1, 'A lot has at least one piece.')
      .max(200),
  })
  .refine(({ pieces }) => new Set(pieces.map(({ pieceId }) => pieceId)).size === pieces.length, 'A piece stands in a lot once.');
export type Lot = z.infer<typeof lotSchema>;
