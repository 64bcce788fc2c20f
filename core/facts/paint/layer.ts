import { z } from 'zod';
import { idSchema, labSchema, nameSchema } from '../basics.ts';
import { familySchema, handSchema, roleSchema, weightSchema } from '../names.ts';
import { flakeSchema } from './paint.ts';
import { warmSchema } from './warm.ts';

/** Layers of a part, and stacks of them saved to be used again. */

/** What a layer wants where no product is chosen yet. */
export const wantedSchema = z.strictObject({
  family: familySchema,
  role: roleSchema,
  name: nameSchema,
  lab: labSchema,
  /** What glitters in it, and what is seen of it from the edge. */
  flake: flakeSchema.optional(),
  edgeOn: labSchema.optional(),
  /** The sheen wanted of a clear, gloss units; absent: any. */
  gloss: z.number().min(0).max(100).optional(),
});

export const layerSchema = z
  .strictObject({
    id: idSchema,
    productId: idSchema.optional(),
    wanted: wantedSchema.optional(),
    coats: z.int('Coats are whole.').min(1, 'A layer has at least one coat.').max(12, 'More than 12 coats drown any piece.'),
    covers: z.union([z.literal('all'), z.array(idSchema).min(1, 'A layer covers at least one zone.')]),
    /** Sanded flat after it dries, with this grit. */
    flatAfter: z.int().min(80).max(3000).optional(),
    /** Mist coats first: the mend for a care joint below. */
    mistFirst: z.boolean().optional(),
    /** The target of the piece that its colour is to meet. */
    targetId: idSchema.optional(),
    /** May be left out: the plan says until when it is cheap. */
    optional: z.boolean().optional(),
    /** What it is laid with; absent: as its sheet says and as the tools owned allow. */
    hand: handSchema.optional(),
    /** A later round of the same colour, such as the outside after returns and inside: kept apart on purpose, after all before it. */
    round: z.int().min(2).max(9).optional(),
    /** Warmed after its last coat; absent: it dries as it hangs. */
    warm: warmSchema.optional(),
    /** How heavily each coat goes on, first to last; coats without a word are normal. Absent: as the sheet says. */
    weights: z.array(weightSchema).max(12).optional(),
  })
  .refine(
    (layer) => (layer.productId === undefined) !== (layer.wanted === undefined),
    'A layer names a product or what is wanted, one of the two.',
  );
export type Layer = z.infer<typeof layerSchema>;

/** A stack saved to be used again: layers that cover all of a part. */
export const systemSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  layers: z.array(layerSchema).min(1, 'A system has at least one layer.').max(20),
});
export type System = z.infer<typeof systemSchema>;
