import { z } from 'zod';
import { copiesSchema, idSchema, labSchema, lengthSchema, nameSchema } from '../basics.ts';
import { actSchema, familySchema, fittingSchema, senseRuleSchema, workStageSchema } from '../names.ts';

/** What goes onto a part besides coats: details, decals, tasks of one's own, other parts, and touch-ups at the end. */

/** After which layer of the part; null: before the first, on bare metal or plastic. */
const afterSchema = idSchema.nullable();

/** How a detail is put on, or taken back. */
export const DETAIL_WAYS = ['brush', 'pen', 'small-mask', 'wash', 'wipe-back', 'worn-edge', 'drybrush'] as const;
export const detailWaySchema = z.enum(DETAIL_WAYS);
export type DetailWay = z.infer<typeof detailWaySchema>;

export const detailSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  zoneId: idSchema,
  after: afterSchema,
  way: detailWaySchema,
  family: familySchema,
  lab: labSchema,
  /** The paint or the mix it is done with; absent: any of that family and colour. */
  productId: idSchema.optional(),
  count: copiesSchema,
  /** Minutes for one, typed by the person. */
  minutesEach: z.number('Type minutes.').min(0.5, 'A detail takes at least half a minute.').max(240).optional(),
});
export type Detail = z.infer<typeof detailSchema>;

export const DECAL_KINDS = ['waterslide', 'printed', 'vinyl'] as const;
export const decalKindSchema = z.enum(DECAL_KINDS);
export type DecalKind = z.infer<typeof decalKindSchema>;

export const decalSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  zoneId: idSchema,
  after: afterSchema,
  kind: decalKindSchema,
  /** 2: a pair, left and right alike. */
  count: copiesSchema,
  spare: z.boolean(),
  longMm: lengthSchema,
  shortMm: lengthSchema,
  /** Where it sits, measured from a fixed feature. */
  at: z.string().trim().max(120).optional(),
  /** On a side that is hardly seen: it goes first. */
  unseen: z.boolean().optional(),
});
export type Decal = z.infer<typeof decalSchema>;

/** A moment of the work: a task, a layer, or a kind of work on a part. */
export const whenSchema = z.union([
  z.strictObject({ taskId: idSchema }),
  z.strictObject({ partId: idSchema, layerId: idSchema }),
  z.strictObject({ partId: idSchema, stage: workStageSchema }),
]);
export type When = z.infer<typeof whenSchema>;

export const TASK_KINDS = ['own', 'glue', 'glazing', 'join', 'light-test', 'tyre', 'screw', 'seals', 'hang', 'old-glue'] as const;
export const taskKindSchema = z.enum(TASK_KINDS);
export type TaskKind = z.infer<typeof taskKindSchema>;

export const taskSchema = z.strictObject({
  id: idSchema,
  kind: taskKindSchema,
  name: nameSchema,
  partIds: z.array(idSchema).min(1, 'Say which part it is about.').max(60),
  /** At the bench. */
  minutes: z.number('Type minutes.').min(1, 'A task takes at least a minute.').max(600, 'More than ten hours at the bench: make several.'),
  /** Left alone after it: glue that sets, a soak, a machine at work. */
  aloneMinutes: z
    .number()
    .min(0, 'A wait is not negative.')
    .max(60 * 24 * 60, 'A wait is at most sixty days.')
    .optional(),
  after: whenSchema.optional(),
  before: whenSchema.optional(),
  note: z.string().trim().max(200).optional(),
  /** What is done in it; absent: what its kind says. */
  acts: z.array(actSchema).max(12).optional(),
  /** What sits on its parts once it is done, and may suffer later; absent: what its kind says. */
  fits: fittingSchema.optional(),
});
export type Task = z.infer<typeof taskSchema>;

export const FIT_STAGES = ['before-paint', 'before-layer', 'after-clear', 'end'] as const;
export const fitStageSchema = z.enum(FIT_STAGES);
export type FitStage = z.infer<typeof fitStageSchema>;

export const fitSchema = z
  .strictObject({
    stage: fitStageSchema,
    onPartId: idSchema.optional(),
    /** The layer of what it sits on that goes on after it: a clear, or the colour of another zone. */
    layerId: idSchema.optional(),
  })
  .refine((fit) => fit.stage === 'end' || fit.onPartId !== undefined, 'Say which part it goes on.')
  .refine((fit) => fit.stage !== 'before-layer' || fit.layerId !== undefined, 'Say before which layer it goes on.');
export type Fit = z.infer<typeof fitSchema>;

/** “I know”, said of a finding: it is quiet from then on, and stays marked. */
export const knownSchema = z.strictObject({
  rule: senseRuleSchema,
  partId: idSchema.optional(),
  layerId: idSchema.optional(),
  taskId: idSchema.optional(),
});
export type Known = z.infer<typeof knownSchema>;

export const HOLDS = ['hook', 'rod', 'clip', 'turntable', 'box'] as const;
export const holdSchema = z.strictObject({
  by: z.enum(HOLDS),
  /** The unseen spot that the holder touches. */
  spot: z.string().trim().max(80).optional(),
  /** The face nobody will see, sprayed first: if the nozzle spits, it spits there. */
  startOn: z.string().trim().max(80).optional(),
  weightG: z
    .number('Type a weight in grams.')
    .positive('A weight is above 0 g.')
    .max(50_000, 'More than 50 kg: check the unit.')
    .optional(),
});
export type Hold = z.infer<typeof holdSchema>;

/** Damage at fitting, bare screw holes, missed spots. */
export const touchUpSchema = z.strictObject({
  id: idSchema,
  where: nameSchema,
  partId: idSchema.optional(),
  /** The layer whose paint mends it; absent: the last colour of the part. */
  layerId: idSchema.optional(),
  clear: z.boolean(),
  /** Touched in, left as it is, or still to do. */
  settled: z.enum(['done', 'left']).optional(),
});
export type TouchUp = z.infer<typeof touchUpSchema>;
