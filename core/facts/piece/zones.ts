import { z } from 'zod';
import { idSchema, lengthSchema, momentSchema, nameSchema } from '../basics.ts';
import { featureKindSchema } from './condition.ts';
import { curveSchema, sheenSchema } from '../names.ts';

/** Zones of a part, the lines between them, and the cuts that made them. */

/** Papers that finish a film, coarsest first. */
export const POLISH_PAPERS = [1000, 1500, 2000, 3000] as const;

/** A film polished when it is hard: by these papers, wet, then compound; on its flats alone, or on its edges too (trade §7). */
export const polishSchema = z.strictObject({
  papers: z.array(z.literal(POLISH_PAPERS)).max(POLISH_PAPERS.length),
  edges: z.boolean(),
});
export type Polish = z.infer<typeof polishSchema>;

/** A set of faces that gets the same film; a bare zone says why. */
export const zoneSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  bare: z.string().max(80).optional(),
  /** The gloss wanted here, judged after dry-down. */
  sheen: sheenSchema.optional(),
  polish: polishSchema.optional(),
});
export type Zone = z.infer<typeof zoneSchema>;

/**
 * Where two zones meet: the tape line. Between zones that were never cut it is measured; between others it corrects what follows
 * from the cuts, and 0 mm says that they neither meet nor reach each other.
 */
export const edgeSchema = z.strictObject({
  a: idSchema,
  b: idSchema,
  mm: z.number('Type a length in millimetres.').min(0, 'A line is not shorter than 0 mm.').max(20_000, 'A line is at most 20 m.'),
  curve: curveSchema,
  /** The smallest radius along it, mm: it decides the width of the tape. */
  radiusMm: lengthSchema.optional(),
  /** Where it runs, measured from a fixed feature: lines are mirrored by it. */
  runs: z.string().trim().max(120).optional(),
  /** Sides it has been measured and marked on. */
  ticked: z
    .array(z.enum(['left', 'right']))
    .max(2)
    .optional(),
  /** The part whose line this one runs on from: both are marked mounted. */
  runsOnTo: idSchema.optional(),
});
export type Edge = z.infer<typeof edgeSchema>;

/** Ways to divide a zone, each with the zones it makes, in this order. */
export const CUTS = ['line', 'stripe', 'ends', 'sides', 'inside', 'flip', 'panel', 'rim', 'shapes', 'feature', 'trace'] as const;
export const cutKindSchema = z.enum(CUTS);
export type CutKind = z.infer<typeof cutKindSchema>;

export const MASK_SHAPES = ['round', 'star', 'diamond', 'number', 'badge'] as const;
export const maskShapeSchema = z.enum(MASK_SHAPES);
export type MaskShape = z.infer<typeof maskShapeSchema>;

const shareSchema = z
  .number('Type a share.')
  .gt(0, 'A share is above 0: a zone without area is none.')
  .lt(1, 'A share is below the whole: nothing would be left beside it.');

/** The numbers of a cut; which it needs goes by its kind. */
export const cutNumbersSchema = z.strictObject({
  /** Of the zone's area, that goes to its last new zone (the stripe of a stripe). */
  share: shareSchema.optional(),
  /** Height of a line, width of a stripe or a rim, mm. */
  mm: lengthSchema.optional(),
  /** Lower edge of a stripe above the lower edge of its zone, mm. */
  fromMm: z.number().min(0, 'A height is not below the edge.').max(5000).optional(),
  count: z.int('A count is whole.').min(1, 'At least one.').max(500, 'At most 500 at a time.').optional(),
  longMm: lengthSchema.optional(),
  shortMm: lengthSchema.optional(),
  shape: maskShapeSchema.optional(),
  feature: featureKindSchema.optional(),
});
export type CutNumbers = z.infer<typeof cutNumbersSchema>;

const pointSchema = z.tuple([z.number().min(0).max(1), z.number().min(0).max(1)]);

/** An outline on a picture, as shares of its width, with one known length on it. */
export const traceSchema = z.strictObject({
  pictureId: idSchema,
  /** Height of the picture as a share of its width. */
  tall: z.number().positive().max(20),
  outline: z.array(pointSchema).min(3, 'An outline has at least three corners.').max(200),
  known: z.strictObject({ from: pointSchema, to: pointSchema, mm: lengthSchema }),
});
export type Trace = z.infer<typeof traceSchema>;

export const cutSchema = z
  .strictObject({
    id: idSchema,
    /** The zone that was divided. */
    of: idSchema,
    into: z.array(zoneSchema).min(2, 'A division makes at least two zones.').max(3),
    how: cutKindSchema,
    numbers: cutNumbersSchema,
    trace: traceSchema.optional(),
    at: momentSchema,
    /** Put together again after work had been logged on its zones: they are the one zone they came from. */
    merged: z.boolean().optional(),
  })
  .superRefine((cut, context) => {
    const issue = (path: string[], message: string) => context.addIssue({ code: 'custom', path, message });
    if (cut.into.length !== (cut.how === 'stripe' ? 3 : 2)) issue(['into'], 'A stripe makes three zones, every other division two.');
    for (const name of missingNumbers(cut.how, cut.numbers)) issue(['numbers', name], NUMBER_WANTED[name]);
    if (cut.how === 'trace' && !cut.trace) issue(['trace'], 'Draw the outline on a picture first.');
    if (cut.trace?.known.from.every((own, axis) => own === cut.trace?.known.to[axis]))
      issue(['trace', 'known'], 'The known length has no length on the picture: set its two ends apart.');
  });
export type Cut = z.infer<typeof cutSchema>;

type NumberName = keyof CutNumbers;

const NUMBERS_OF: Record<CutKind, readonly NumberName[]> = {
  line: [],
  stripe: ['mm'],
  ends: [],
  sides: [],
  inside: [],
  flip: [],
  panel: ['longMm', 'shortMm'],
  rim: ['mm'],
  shapes: ['shape', 'count', 'longMm'],
  feature: ['feature', 'count', 'longMm', 'shortMm'],
  trace: [],
};

const NUMBER_WANTED: Record<NumberName, string> = {
  share: 'Say how much of it.',
  mm: 'Say how wide, in mm.',
  fromMm: 'Say how high, in mm.',
  count: 'Say how many.',
  longMm: 'Say how long, in mm.',
  shortMm: 'Say how wide, in mm.',
  shape: 'Choose a shape.',
  feature: 'Choose what it is.',
};

function missingNumbers(how: CutKind, numbers: CutNumbers): NumberName[] {
  return NUMBERS_OF[how].filter((name) => numbers[name] === undefined);
}
