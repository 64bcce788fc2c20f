import { z } from 'zod';
import { dateSchema, idSchema, labSchema, momentSchema, moneySchema, nameSchema, volumeSchema } from './basics.ts';
import { familySchema, handSchema, roleSchema } from './names.ts';

const minutesSchema = z.number().min(0, 'Minutes are not negative.').max(200_000);

/** What the can's own label says; anything absent falls back to the family default. */
export const labelSchema = z
  .strictObject({
    coatFromMin: minutesSchema.optional(),
    coatUntilMin: minutesSchema.optional(),
    tapeSafeMin: minutesSchema.optional(),
    handleMin: minutesSchema.optional(),
    filmUm: z.number().positive('A film is above 0 µm.').max(500, 'A coat is at most 500 µm.').optional(),
    solids: z.number().positive('Solids are above 0 %.').max(1, 'Solids are at most 100 %.').optional(),
    maxRh: z.number().min(20).max(100).optional(),
  })
  .refine(
    (label) => label.coatUntilMin === undefined || label.coatFromMin === undefined || label.coatFromMin < label.coatUntilMin,
    'The recoat window closes before it opens. Check the two times on the label.',
  );
export type Label = z.infer<typeof labelSchema>;

/** What a product range shares. */
export const sheetSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  family: familySchema,
  role: roleSchema,
  hand: handSchema,
  thinner: familySchema.optional(),
  forPlastics: z.boolean(),
  isocyanate: z.boolean(),
  label: labelSchema,
  source: z.enum(['label', 'default']),
});
export type Sheet = z.infer<typeof sheetSchema>;

/** A sheet in one colour. `share` is what one normal coat lets through of the contrast below; absent: by colour. */
export const productSchema = z.strictObject({
  id: idSchema,
  sheetId: idSchema,
  name: nameSchema,
  lab: labSchema,
  transparent: z.boolean(),
  share: z.number().min(0.01).max(0.99).optional(),
  /** Usual pack and price where no offer is known; prices then read "about". */
  typicalMl: volumeSchema,
  typicalPrice: moneySchema,
});
export type Product = z.infer<typeof productSchema>;

export const canSchema = z
  .strictObject({
    id: idSchema,
    productId: idSchema,
    packMl: volumeSchema,
    /** Left in it when it was entered or last weighed. */
    leftMl: z.number().min(0, 'A can cannot hold less than nothing.'),
    leftAt: momentSchema,
    opened: z.boolean(),
    paid: moneySchema,
  })
  .refine((can) => can.leftMl <= can.packMl, 'More is left than the can holds. Check pack and remainder.');
export type Can = z.infer<typeof canSchema>;

export const shopSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  delivery: moneySchema,
  freeOver: moneySchema.optional(),
  minimum: moneySchema.optional(),
  leadDays: z.int().min(0).max(120),
});
export type Shop = z.infer<typeof shopSchema>;

export const offerSchema = z.strictObject({
  id: idSchema,
  shopId: idSchema,
  productId: idSchema,
  packMl: volumeSchema,
  price: moneySchema,
  stock: z.int().min(0).optional(),
  seenOn: dateSchema,
});
export type Offer = z.infer<typeof offerSchema>;
