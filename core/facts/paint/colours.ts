import { z } from 'zod';
import { idSchema, labSchema, momentSchema, nameSchema } from '../basics.ts';

/** Colours as they were read, what they are read from, and what is wanted. */

/** The light a colour was judged in: two lights tell a match from a likeness. */
export const LIGHTS = ['daylight', 'lamp', 'both'] as const;
export const lightSchema = z.enum(LIGHTS);
export type Light = z.infer<typeof lightSchema>;

/** What a paint's colour value rests on. */
export const READ_WITH = ['instrument', 'chart', 'picture', 'eye', 'label'] as const;
export const measuredSchema = z.strictObject({ with: z.enum(READ_WITH), light: lightSchema });
export type Measured = z.infer<typeof measuredSchema>;

/** What a colour is read from, best first (trade §10); the last is paint that saw light. */
export const REFERENCE_KINDS = ['hidden-spot', 'unfaded-example', 'chip', 'code', 'photo-card', 'photo', 'aged-spot'] as const;
export const referenceKindSchema = z.enum(REFERENCE_KINDS);
export type ReferenceKind = z.infer<typeof referenceKindSchema>;

/** What stands between a reading and the colour as it once was. */
export const AGEINGS = ['faded', 'yellowed', 'dirty'] as const;
export const ageingSchema = z.enum(AGEINGS);
export type Ageing = z.infer<typeof ageingSchema>;

export const referenceSchema = z.strictObject({
  id: idSchema,
  kind: referenceKindSchema,
  /** Where it is, in the person's words: under the name plate, a sister model. */
  where: nameSchema,
  /** Absent: still to be read. */
  lab: labSchema.optional(),
  /** How far four of five pixels of a patch lie apart, ΔE. */
  spread: z.number().min(0).max(100).optional(),
  light: lightSchema.optional(),
  ageings: z.array(ageingSchema).max(AGEINGS.length).optional(),
  /** The part whose own old paint it is: read before that is stripped or scuffed. */
  partId: idSchema.optional(),
  pictureId: idSchema.optional(),
  readAt: momentSchema.optional(),
});
export type Reference = z.infer<typeof referenceSchema>;

/** How near is near enough. */
export const TOLERANCES = ['exact', 'near', 'family'] as const;
export const toleranceSchema = z.enum(TOLERANCES);
export type Tolerance = z.infer<typeof toleranceSchema>;

/** A colour that a piece is to have. */
export const targetSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  lab: labSchema,
  tolerance: toleranceSchema,
  /** The reference it goes by. */
  referenceId: idSchema.optional(),
  /** Set off from the reading on purpose, and why. */
  shifted: z.string().trim().max(120).optional(),
});
export type ColourTarget = z.infer<typeof targetSchema>;

/** A chart of colours somebody owns. */
export const chartSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  colours: z
    .array(z.strictObject({ name: nameSchema, lab: labSchema }))
    .min(1, 'A chart has at least one colour.')
    .max(2000, 'A chart has at most 2000 colours. Take only the ones you use.'),
});
export type Chart = z.infer<typeof chartSchema>;
