import { z } from 'zod';
import { dateSchema, idSchema, labSchema, momentSchema, moneySchema, nameSchema, volumeSchema } from '../basics.ts';
import { measuredSchema } from './colours.ts';
import { familySchema, handSchema, roleSchema } from '../names.ts';

const minutesSchema = z.number().min(0, 'Minutes are not negative.').max(200_000, 'That is more than four months. Was it hours?');
const ratioSchema = z.number().min(0, 'Parts are not negative.').max(20, 'At most 20 parts to one.');

/** What the can's own label says; anything absent falls back to the family default. */
export const labelSchema = z
  .strictObject({
    touchMin: minutesSchema.optional(),
    coatFromMin: minutesSchema.optional(),
    coatUntilMin: minutesSchema.optional(),
    /** Another product on top, from then, and until then at the latest. */
    layerFromMin: minutesSchema.optional(),
    layerUntilMin: minutesSchema.optional(),
    /** A clear on top, where the label speaks of it by itself: from and until. */
    clearFromMin: minutesSchema.optional(),
    clearUntilMin: minutesSchema.optional(),
    /** What the label asks once that time is over. */
    afterwards: z.enum(['scuff', 'again', 'never']).optional(),
    /** The hottest the cured film bears in service, °C. */
    heatC: z
      .number()
      .min(20, 'That is no heat: 20 °C is the least.')
      .max(1200, 'A paint bears at most 1200 °C. Check the unit.')
      .optional(),
    /** After the window has shut, from then again. */
    againMin: minutesSchema.optional(),
    flatMin: minutesSchema.optional(),
    tapeSafeMin: minutesSchema.optional(),
    handleMin: minutesSchema.optional(),
    fitMin: minutesSchema.optional(),
    cureMin: minutesSchema.optional(),
    filmUm: z.number().positive('A film is above 0 µm.').max(500, 'A coat is at most 500 µm.').optional(),
    solids: z.number().positive('Solids are above 0 %.').max(1, 'Solids are at most 100 %.').optional(),
    minC: z.number().min(-20).max(60).optional(),
    maxC: z.number().min(-20).max(60).optional(),
    maxRh: z.number().min(20).max(100).optional(),
    /** Gloss units at 60°, 0 to 100. */
    gloss: z.number().min(0, 'Gloss is 0 to 100 units.').max(100, 'Gloss is 0 to 100 units.').optional(),
    /** Parts of reducer to one part of paint, by volume: least, usual, most. */
    thinning: z.strictObject({ least: ratioSchema, usual: ratioSchema, most: ratioSchema }).optional(),
    /** Parts of hardener to one part of paint, by volume, and gloss units it adds at the most. */
    hardener: z
      .strictObject({
        parts: ratioSchema,
        least: ratioSchema.optional(),
        most: ratioSchema.optional(),
        glossAtMost: z.number().min(-60).max(60).optional(),
      })
      .optional(),
    /** Tint it bears at most, per cent of the whole by weight. */
    tintAtMost: z.number().min(0, 'Tint is 0 to 30 %.').max(30, 'More than 30 % is no tint but a mix.').optional(),
    inductionMin: minutesSchema.optional(),
    potLifeMin: minutesSchema.optional(),
    /** How its coats go on. */
    pattern: z.enum(['mist-then-wet', 'one-wet']).optional(),
    /** Families the label says it must not go over. */
    notOver: z.array(familySchema).max(25).optional(),
    /** Families the label names as fit below it. */
    over: z.array(familySchema).max(25).optional(),
  })
  .superRefine((label, context) => {
    const wrong = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
    const { coatFromMin, coatUntilMin, againMin, potLifeMin, inductionMin, minC, maxC, thinning, hardener } = label;
    for (const what of ['layer', 'clear'] as const) {
      const [from, until] = [label[`${what}FromMin`], label[`${what}UntilMin`]];
      if (from !== undefined && until !== undefined && from >= until)
        wrong(`${what}UntilMin`, 'It shuts before it opens. Check the two times on the label.');
    }
    if (coatUntilMin !== undefined && coatFromMin !== undefined && coatFromMin >= coatUntilMin)
      wrong('coatUntilMin', 'The recoat window closes before it opens. Check the two times on the label.');
    if (againMin !== undefined && coatUntilMin !== undefined && againMin < coatUntilMin)
      wrong('againMin', 'It reopens before it has shut. Check the times on the label.');
    if (potLifeMin !== undefined && inductionMin !== undefined && potLifeMin <= inductionMin)
      wrong('potLifeMin', 'The pot life is over before the induction is. Check the two times.');
    if (minC !== undefined && maxC !== undefined && minC >= maxC) wrong('maxC', 'The warmest is below the coldest. Check the range.');
    if (thinning && !(thinning.least <= thinning.usual && thinning.usual <= thinning.most))
      wrong('thinning', 'Parts of reducer go from least over usual to most.');
    if (hardener && !((hardener.least ?? hardener.parts) <= hardener.parts && hardener.parts <= (hardener.most ?? hardener.parts)))
      wrong('hardener', 'Parts of hardener go from least over usual to most.');
  });
export type Label = z.infer<typeof labelSchema>;

/** What a product range shares. */
export const sheetSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  family: familySchema,
  role: roleSchema,
  hand: handSchema,
  thinner: familySchema.optional(),
  /** How it comes: sprayed from its can, or from a bottle or tin that is thinned. */
  form: z.enum(['aerosol', 'bottle', 'tin']).optional(),
  forPlastics: z.boolean(),
  isocyanate: z.boolean(),
  label: labelSchema,
  source: z.enum(['label', 'default']),
});
export type Sheet = z.infer<typeof sheetSchema>;

/** What a mix was made of: paint from its bottles, mL. */
export const mixPartsSchema = z
  .array(z.strictObject({ productId: idSchema, ml: volumeSchema }))
  .min(1, 'A mix has at least one paint in it.')
  .max(5, 'More than five paints turn to mud.');

/** What glitters in it: flakes, pearl, or a film like chrome. */
export const FLAKES = ['metallic', 'pearl', 'chrome'] as const;
export const flakeSchema = z.enum(FLAKES);
export type Flake = z.infer<typeof flakeSchema>;

/** A sheet in one colour. `share` is what one normal coat lets through of the contrast below; absent: by colour. */
export const productSchema = z.strictObject({
  id: idSchema,
  sheetId: idSchema,
  name: nameSchema,
  lab: labSchema,
  transparent: z.boolean(),
  share: z.number().min(0.01).max(0.99).optional(),
  /** What its colour value rests on; absent: as it looked when it was entered. */
  measured: measuredSchema.optional(),
  /** Seen face-on it has its Lab, from the edge this one. */
  edgeOn: labSchema.optional(),
  flake: flakeSchema.optional(),
  /** One normal coat of it, dried, over black and over white: the two readings that give absorption and scattering apart. */
  drawdown: z.strictObject({ black: labSchema, white: labSchema }).optional(),
  /** Gloss units it dries to where that is another than its sheet's, as of a mix with a flat paint in it. */
  gloss: z.number().min(0, 'Gloss is 0 to 100 units.').max(100, 'Gloss is 0 to 100 units.').optional(),
  /** Weight of a millilitre, g; absent: as its kind usually has. */
  density: z.number().min(0.6, 'No paint is as light as that.').max(3, 'No paint is as heavy as that.').optional(),
  /** Usual pack and price where no offer is known; prices then read "about". */
  typicalMl: volumeSchema,
  typicalPrice: moneySchema,
  /** Its number on the label or the colour card, or nothing. */
  code: z.string().trim().min(1).max(40, 'A code has at most 40 characters.').optional(),
  /** Mixed on this bench: its recipe, for the piece it was made for. */
  mix: z.strictObject({ parts: mixPartsSchema, forPieceId: idSchema.optional() }).optional(),
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
    /** When it was opened, where that is known: paint, hardener and nozzles age from then on. */
    openedOn: dateSchema.optional(),
    /** Good until, as printed on it. */
    expires: dateSchema.optional(),
    /** Where it stands; absent: where things dry. */
    placeId: idSchema.optional(),
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
