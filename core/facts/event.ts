import { z } from 'zod';
import { idSchema, labSchema, momentSchema, moneySchema, volumeSchema } from './basics.ts';
import { mixPartsSchema } from './paint/paint.ts';
import { mendSchema } from './piece/condition.ts';
import { familySchema, handSchema, roleSchema, sheenSchema, stripMethodSchema, weightSchema } from './names.ts';
import { supplyLineSchema } from './stock.ts';
import { warmSchema } from './paint/warm.ts';

/** What lies in the log: appended, never edited. Each event carries a client-made id, so a repeat changes nothing. */

const head = { id: idSchema, at: momentSchema };
/** Cans on the shelf, bought cans and jars: their ids are made from those of events. */
const canIdSchema = z.string().max(80);
const stepKeySchema = z.string().min(1).max(300);
const stepKeysSchema = z.array(stepKeySchema).min(1, 'Name at least one step.').max(60);

/** What each piece bears of a purchase for several, minor units. */
const sharesSchema = z.array(z.strictObject({ pieceId: idSchema, paid: moneySchema })).max(200);

/** The coat as it was really put on, so that later edits of stack or product never alter laid film. */
export const laidCoatSchema = z.strictObject({
  layerId: idSchema,
  productId: idSchema.optional(),
  name: z.string().max(120),
  family: familySchema,
  role: roleSchema,
  lab: labSchema,
  hand: handSchema,
  filmUm: z.number().min(0).max(1000),
  /** The surface was keyed first. */
  scuffed: z.boolean().optional(),
  placeId: idSchema,
  ml: z.number().min(0).max(5000).optional(),
  /** How heavily it went on; absent: normal. */
  weight: weightSchema.optional(),
  /** Parts of reducer and hardener to one part of paint, as mixed; absent: as the sheet says. */
  ratio: z.strictObject({ reducer: z.number().min(0).max(20), hardener: z.number().min(0).max(20) }).optional(),
});
export type LaidCoat = z.infer<typeof laidCoatSchema>;

/** What a step really took, minutes. */
const tookSchema = z.number('Type minutes.').min(0, 'Minutes are 0 or more.').max(2000, 'Over 33 hours: type what the work itself took.');

export const doneSchema = z.strictObject({
  ...head,
  kind: z.literal('done'),
  pieceId: idSchema,
  stepKeys: stepKeysSchema,
  /** Parts and zones it was done to. */
  on: z.array(z.strictObject({ partId: idSchema, zoneIds: z.array(idSchema) })).min(1),
  coat: laidCoatSchema.optional(),
  method: stripMethodSchema.optional(),
  grit: z.int().min(60).max(5000).optional(),
  minutes: tookSchema.optional(),
  /** Minutes the plan had given it: what the log learns from. */
  expected: z.number().min(0).max(1_000_000).optional(),
  /** What it used up beside paint, as planned. */
  supplies: z.array(supplyLineSchema).max(40).optional(),
  /** The bright steel it left went into the dry box, as the plan had it. */
  boxed: z.boolean().optional(),
  /** `recalled`: remembered afterwards, dated back. */
  recalled: z.boolean().optional(),
  /** The day is known only between two moments; `at` is the later one. */
  between: z.strictObject({ from: momentSchema, to: momentSchema }).optional(),
});

const partIdsSchema = z.array(idSchema).min(1, 'Name at least one part.');

/** Minutes of a strip dwell: at most a week. */
const dwellSchema = z
  .number('Type the dwell in minutes.')
  .min(0, 'A dwell is not negative.')
  .max(7 * 1440, 'A dwell is at most 7 days. Was it minutes or hours?');

/** What was left after an application of stripper. */
export const stripOutcomeSchema = z.enum(['clean', 'most', 'little']);
export type StripOutcome = z.infer<typeof stripOutcomeSchema>;

export const eventSchema = z.discriminatedUnion('kind', [
  doneSchema,
  z.strictObject({
    ...head,
    kind: z.literal('dryness'),
    pieceId: idSchema,
    partId: idSchema,
    zoneId: idSchema,
    /** coat and tape by a touch, handle by a thumb print, fit by a nail print, flat by paper that clogs. */
    stage: z.enum(['coat', 'tape', 'handle', 'fit', 'flat']),
    seen: z.enum(['dry', 'tacky']),
  }),
  /** Parts were warmed from `at` on, as measured; with the step of the plan, or out of one's own head. */
  z.strictObject({ ...head, kind: z.literal('warmed'), pieceId: idSchema, partIds: partIdsSchema, ...warmSchema.shape }),
  z.strictObject({ ...head, kind: z.literal('wait'), pieceId: idSchema, stepKeys: stepKeysSchema, until: momentSchema }),
  z.strictObject({
    ...head,
    kind: z.literal('trouble'),
    pieceId: idSchema,
    stepKeys: stepKeysSchema,
    partIds: z.array(idSchema).min(1),
    sign: z.enum(['run', 'fish-eye', 'blushing', 'crazing', 'dust', 'tape-lift']),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('bought'),
    productId: idSchema,
    packMl: volumeSchema,
    count: z.int().min(1).max(50),
    paid: moneySchema,
    shopId: idSchema.optional(),
    pieceId: idSchema.optional(),
    /** Bought for several: what each of them bears of it, minor units. */
    shares: sharesSchema.optional(),
  }),
  /** Something bought beside paint: it stands on the shelf from then on. */
  z.strictObject({
    ...head,
    kind: z.literal('stocked'),
    supply: supplyLineSchema.shape.kind,
    spec: supplyLineSchema.shape.spec,
    unit: supplyLineSchema.shape.unit,
    amount: supplyLineSchema.shape.amount,
    paid: moneySchema,
    shopId: idSchema.optional(),
    shares: sharesSchema.optional(),
  }),
  /** A cup of a mix was made: it stands on the shelf as a jar, and its paints are drawn from their bottles. */
  z.strictObject({
    ...head,
    kind: z.literal('mixed'),
    productId: idSchema,
    parts: mixPartsSchema,
    pieceId: idSchema.optional(),
    /** Poured into a jar that stands there, such as drops that bring it back; absent: a jar of its own. */
    intoCanId: canIdSchema.optional(),
  }),
  /** What was in a can or a jar is lost. */
  z.strictObject({
    ...head,
    kind: z.literal('spoiled'),
    canId: canIdSchema,
    why: z.enum(['curdled', 'wrong-colour', 'dried', 'spilt']),
    pieceId: idSchema.optional(),
  }),
  /** A promise of its label that did not hold: said again wherever the paint is chosen. */
  z.strictObject({
    ...head,
    kind: z.literal('let-down'),
    productId: idSchema,
    text: z.string().trim().min(1, 'Say what it promised and what came of it.').max(200, 'Keep it to 200 characters.'),
  }),
  /** A paint stirred with a doubtful thinner in a cup, before any goes into the gun. */
  z.strictObject({
    ...head,
    kind: z.literal('cup-test'),
    productId: idSchema,
    thinner: familySchema,
    outcome: z.enum(['smooth', 'curdled']),
  }),
  /** A dried film as it was read, on a tile or on the piece: how many coats of a paint, over which ground. */
  z.strictObject({
    ...head,
    kind: z.literal('colour-read'),
    productId: idSchema,
    coats: z.int('Coats are whole.').min(1, 'At least one coat.').max(12),
    groundLab: labSchema,
    lab: labSchema,
    pieceId: idSchema.optional(),
    partId: idSchema.optional(),
  }),
  /** How much a film shines: wet, and again once it has dried down. */
  z.strictObject({
    ...head,
    kind: z.literal('sheen-read'),
    pieceId: idSchema,
    partId: idSchema,
    layerId: idSchema,
    when: z.enum(['wet', 'dry']),
    looks: sheenSchema,
  }),
  z.strictObject({
    ...head,
    kind: z.literal('patch'),
    pieceId: idSchema,
    partIds: partIdsSchema,
    method: stripMethodSchema,
    outcome: z.enum(['clean', 'most', 'little', 'harmed']),
    dwellMinutes: dwellSchema,
  }),
  z.strictObject({
    ...head,
    kind: z.literal('stripped'),
    pieceId: idSchema,
    partIds: partIdsSchema,
    method: stripMethodSchema,
    /** Which application it was, from 1. */
    application: z.int().min(1).max(20),
    outcome: stripOutcomeSchema,
    dwellMinutes: dwellSchema,
  }),
  /** What became of a joint on a tile of a sample board, judged dry. */
  z.strictObject({
    ...head,
    kind: z.literal('tile'),
    pieceId: idSchema,
    partId: idSchema,
    /** The upper layer of the joint. */
    layerId: idSchema,
    outcome: z.enum(['held', 'softened', 'lifted']),
    note: z.string().trim().max(200).optional(),
  }),
  /** The learned factor of a product is forgotten from here on. */
  z.strictObject({ ...head, kind: z.literal('forget'), productId: idSchema }),
  /** One of several alike that is looked at by itself: ticked, or by `off` no longer. */
  z.strictObject({
    ...head,
    kind: z.literal('ticked'),
    pieceId: idSchema,
    partIds: partIdsSchema,
    item: z.string().trim().min(1, 'Say what is ticked.').max(160),
    off: z.boolean().optional(),
  }),
  /** A check that was not passed; a pass is the done step it guards. */
  z.strictObject({
    ...head,
    kind: z.literal('failed-check'),
    pieceId: idSchema,
    partIds: partIdsSchema,
    item: z.string().trim().min(1, 'Say what did not pass.').max(160),
  }),
  /** An inspection after a coat, a mask or a whole stage (trade §2). A pass is also the done step it guards. */
  z.strictObject({
    ...head,
    kind: z.literal('inspected'),
    pieceId: idSchema,
    partIds: partIdsSchema,
    /** The layer that was looked at. */
    layerId: idSchema,
    outcome: z.enum(['accepted', 'one-more', 'sent-back']),
    /** What was seen: accepted in spite of it, or the cause of what follows. */
    reason: z.string().trim().min(1, 'Say what you saw.').max(160),
    /** Where the work goes on again. */
    backTo: z.enum(['strip', 'surface', 'layer']).optional(),
  }),
  /** How a fastening ended at teardown. */
  z.strictObject({
    ...head,
    kind: z.literal('parted'),
    pieceId: idSchema,
    fasteningId: idSchema,
    outcome: z.enum(['came-off', 'would-not', 'broke', 'left']),
  }),
  /** What a soak or metal prep left of the rust. */
  z.strictObject({
    ...head,
    kind: z.literal('treated'),
    pieceId: idSchema,
    partIds: partIdsSchema,
    markId: idSchema,
    mend: mendSchema,
    outcome: stripOutcomeSchema,
  }),
  /** What a corner cleaned first has shown of a piece that is preserved: go on, or leave it as it is. */
  z.strictObject({ ...head, kind: z.literal('corner'), pieceId: idSchema, outcome: z.enum(['go-on', 'leave']) }),
  /** An entry of the log happened at another time, or took so many minutes: the entry stays, this is what counts. */
  z.strictObject({ ...head, kind: z.literal('amend'), amends: idSchema, to: momentSchema, minutes: tookSchema.optional() }),
  /** A row of stock counted again. */
  z.strictObject({ ...head, kind: z.literal('counted'), stockId: idSchema, left: z.number().min(0).max(100_000) }),
  z.strictObject({
    ...head,
    kind: z.literal('weighed'),
    canId: canIdSchema,
    leftMl: z.number().min(0).max(20_000),
    by: z.enum(['eye', 'scale']).optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('note'),
    pieceId: idSchema.optional(),
    text: z.string().trim().min(1, 'Write something.').max(2000, 'A note has at most 2000 characters.'),
  }),
  z.strictObject({ ...head, kind: z.literal('undo'), undoes: idSchema }),
]);
export type LogEvent = z.infer<typeof eventSchema>;
export type DoneEvent = z.infer<typeof doneSchema>;
export type EventOf<K extends LogEvent['kind']> = Extract<LogEvent, { kind: K }>;

const STANDING = new WeakMap<readonly LogEvent[], readonly LogEvent[]>();

/**
 * The log as it counts: undone events and undos themselves left out, amended times in place, in order of time. Remembered for as
 * long as the log stands as it is: shelf, money and films all ask for it.
 */
export function standingEvents(events: readonly LogEvent[]): readonly LogEvent[] {
  const standing = STANDING.get(events) ?? standingOf(events);
  STANDING.set(events, standing);
  return standing;
}

function standingOf(events: readonly LogEvent[]): LogEvent[] {
  const undos = events.filter((event) => event.kind === 'undo');
  const undone = new Set<string>();
  // A later undo may itself have been undone, so the newest speaks first.
  for (const undo of [...undos].sort((a, b) => (a.at < b.at ? 1 : -1))) {
    if (!undone.has(undo.id)) undone.add(undo.undoes);
  }
  const standing = events.filter((event) => event.kind !== 'undo' && !undone.has(event.id));
  const amended = amendments(standing);
  return standing
    .filter((event) => event.kind !== 'amend')
    .map((event) => {
      const own = amended.get(event.id);
      if (!own) return event;
      return { ...event, at: own.to, ...(event.kind === 'done' && own.minutes !== undefined ? { minutes: own.minutes } : {}) };
    })
    .map((event) => ({ event, at: Date.parse(event.at) }))
    .sort((a, b) => a.at - b.at)
    .map(({ event }) => event);
}

type Amended = { readonly to: string; readonly minutes: number | undefined };

/** What counts of each entry that was put right: its last time, and the last minutes that were said. */
function amendments(events: readonly LogEvent[]): ReadonlyMap<string, Amended> {
  const amended = new Map<string, Amended>();
  const inOrder = events.flatMap((event) => (event.kind === 'amend' ? [event] : [])).sort((a, b) => (a.at < b.at ? -1 : 1));
  for (const { amends, to, minutes } of inOrder) amended.set(amends, { to, minutes: minutes ?? amended.get(amends)?.minutes });
  return amended;
}
