import { z } from 'zod';
import { clockSchema, dateSchema, idSchema, lengthSchema, momentSchema, moneySchema, nameSchema } from '../basics.ts';
import { referenceSchema, targetSchema } from '../paint/colours.ts';
import { aimSchema, limitSchema, looksLikeSchema, portraitSchema, workStageSchema } from '../names.ts';
import { knownSchema, type Task, taskSchema, touchUpSchema, type When } from './onThePart.ts';
import { type Part, partSchema, type SchemaIssue } from './part.ts';
import { bagSchema, fasteningSchema, pictureSchema } from './teardown.ts';

/** Something bought for the piece: on the way, or still to be ordered. */
export const parcelSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  price: moneySchema,
  source: z.string().trim().max(80).optional(),
  /** Absent: not ordered yet. */
  orderedAt: dateSchema.optional(),
  leadDays: z.int('Days are whole.').min(0).max(400, 'A lead time is at most 400 days.').optional(),
  /** The day it is said to come; absent: ordered day and lead time. */
  due: dateSchema.optional(),
  arrived: z.boolean(),
  /** What waits for it: a task, or the work on a part, from a stage on where one is named; absent: the fit. */
  holds: z
    .strictObject({ partId: idSchema.optional(), stage: workStageSchema.optional(), taskId: idSchema.optional() })
    .refine((holds) => (holds.partId === undefined) !== (holds.taskId === undefined), 'It holds a part or a task, one of the two.')
    .optional(),
});
export type Parcel = z.infer<typeof parcelSchema>;

const wordsSchema = z.string().trim().max(400);

export const pieceSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    looksLike: looksLikeSchema,
    /** A drawing of its own for its portrait; absent: drawn by its look. */
    portrait: portraitSchema.optional(),
    longestMm: lengthSchema,
    /** Scale denominator, where it is a scale model; sets only the relief. */
    scale: z.int().min(1).max(2000).optional(),
    aim: aimSchema,
    /** What it will be worth when it is finished, and what one that is ready would cost. */
    worth: moneySchema.optional(),
    readyMade: moneySchema.optional(),
    /** What it was said to come to when it was added: minor units and minutes at the bench. */
    expected: z.strictObject({ total: moneySchema, minutes: z.int().min(0).max(1_000_000) }).optional(),
    neededBy: dateSchema.optional(),
    /** The hour of that day; absent: by its end. */
    neededAt: clockSchema.optional(),
    createdAt: momentSchema,
    /** A laboratory or XRF has cleared the old paint of lead, or it was made since 1990 for certain. */
    leadExcluded: z.boolean(),
    /** Runs on the mains: the electrical caution shows. */
    mains: z.boolean(),
    parts: z.array(partSchema).min(1, 'A piece has at least one part.').max(60),
    /** What was drafted and not yet confirmed, by question key. */
    guesses: z.array(z.string().max(160)),
    /** Colours chosen at quick-add, by name and hex, for its portrait. */
    swatches: z.array(z.string().regex(/^#[0-9a-f]{6}$/)).max(3),
    finished: z.boolean(),
    parcels: z.array(parcelSchema).max(40),
    /** Steps of the person's own. */
    tasks: z.array(taskSchema).max(60).optional(),
    /** What the person knows of findings of the sceptic; a part, layer or task that is gone leaves its word without effect. */
    knows: z.array(knownSchema).max(200).optional(),
    /** Laid aside for a time: nothing of it is planned until it is taken up again. */
    held: z
      .strictObject({
        since: momentSchema,
        where: z.string().trim().max(80).optional(),
        /** The day it is taken up again, planned from then on; absent: when somebody says so. */
        until: dateSchema.optional(),
      })
      .optional(),
    /** Its turn beside other pieces; absent: as it comes. */
    turn: z.enum(['first', 'last']).optional(),
    /** What is still to be touched up after the fit. */
    touchUps: z.array(touchUpSchema).max(60).optional(),
    /** How far the work goes; absent: inside too, stripped as each part needs. */
    limit: limitSchema.optional(),
    fastenings: z.array(fasteningSchema).max(80).optional(),
    bags: z.array(bagSchema).max(80).optional(),
    /** Order of reassembly by part id; absent: the reverse of teardown. */
    fitOrder: z.array(idSchema).optional(),
    pictures: z.array(pictureSchema).max(120).optional(),
    /** Pieces seen together: one target colour, same mix and coats. */
    set: nameSchema.optional(),
    /** What its colours are read from, and what they are to be. */
    references: z.array(referenceSchema).max(40).optional(),
    targets: z.array(targetSchema).max(40).optional(),
    wishes: wordsSchema.optional(),
    /** How the factory did it: sprayed assembled or apart, what was left bare, where colours met. */
    factory: z
      .strictObject({
        words: wordsSchema.optional(),
        sprayed: z.enum(['assembled', 'apart']).optional(),
        /** Parts that were sprayed as one, each body by its parts. */
        bodies: z.array(z.array(idSchema).min(2, 'A body has at least two parts.').max(60)).max(30).optional(),
      })
      .optional(),
    /** A sample board: its parts are tiles, planned like any part, judged dry at the end. */
    board: z.strictObject({ varies: z.enum(['joint', 'ground', 'coats', 'clear', 'wait']), forPieceId: idSchema.optional() }).optional(),
    spares: z
      .array(z.strictObject({ id: idSchema, name: nameSchema }))
      .max(60)
      .optional(),
    /** Survey questions answered, by key. */
    surveyed: z.array(z.string().max(160)).optional(),
    /** Survey questions put off: they are no answer and stay open. */
    passedOver: z.array(z.string().max(160)).optional(),
    /** Why it is preserved rather than repainted, in the person's words. */
    keptBecause: wordsSchema.optional(),
    /** Minutes the person says one go at a kind of work takes over the whole piece, by stage. */
    minutes: z
      .partialRecord(
        workStageSchema,
        z.number('Type minutes.').min(1, 'Work takes at least a minute.').max(6000, 'That is over a hundred hours.'),
      )
      .optional(),
    /** Amounts of supplies corrected by the person, by kind and spec, in the unit of their kind. */
    supplies: z.record(z.string().max(100), z.number().min(0).max(100_000)).optional(),
  })
  .superRefine((piece, context) => {
    for (const { id, path, what } of idsNamed(piece)) {
      if (!what.has(id)) context.addIssue({ code: 'custom', path, message: `“${id}” is not on this piece.` });
    }
    for (const [i, part] of piece.parts.entries()) {
      if (belongsToItself(part.id, piece.parts))
        context.addIssue({ code: 'custom', path: ['parts', i, 'within'], message: 'These parts belong to each other in a circle.' });
    }
    const coats = piece.parts.flatMap(({ layers }) => layers).reduce((sum, layer) => sum + layer.coats, 0);
    if (coats > MOST_COATS)
      context.addIssue({
        code: 'custom',
        path: ['parts'],
        message: `${coats} coats on one piece are more than can be planned: at most ${MOST_COATS}. Were layers repeated by mistake?`,
      });
    for (const { path, message } of [...taskProblems(piece), ...fitProblems(piece)]) context.addIssue({ code: 'custom', path, message });
  });
export type Piece = z.infer<typeof pieceSchema>;

/** Sixty parts of five layers of five coats; more is a slip of the finger, and would hold the planner for minutes. */
const MOST_COATS = 1500;

type NamedId = { readonly id: string; readonly path: (string | number)[]; readonly what: ReadonlySet<string> };

/** Every id of a part or picture that a piece names, with its place. */
function idsNamed(piece: {
  parts: readonly Part[];
  parcels: readonly Parcel[];
  fastenings?: readonly { a: string; b?: string; behind?: string }[];
  factory?: { bodies?: readonly (readonly string[])[] };
  bags?: readonly { pictureId?: string }[];
  tasks?: readonly { id: string; partIds: readonly string[] }[];
  touchUps?: readonly { partId?: string }[];
  references?: readonly { id: string; partId?: string; pictureId?: string }[];
  targets?: readonly { id: string; referenceId?: string }[];
  pictures?: readonly { id: string; partId?: string }[];
}): NamedId[] {
  const parts = new Set(piece.parts.map((part) => part.id));
  const pictures = new Set((piece.pictures ?? []).map((picture) => picture.id));
  const named = (id: string | undefined, path: (string | number)[], what: ReadonlySet<string>): NamedId[] =>
    id === undefined ? [] : [{ id, path, what }];
  return [
    ...piece.parts.flatMap((part, i) => [
      ...named(part.within, ['parts', i, 'within'], parts),
      ...(part.marks ?? []).flatMap((mark, k) => named(mark.pin?.pictureId, ['parts', i, 'marks', k, 'pin'], pictures)),
    ]),
    ...piece.parcels.flatMap((parcel, i) => [
      ...named(parcel.holds?.partId, ['parcels', i, 'holds', 'partId'], parts),
      ...named(parcel.holds?.taskId, ['parcels', i, 'holds', 'taskId'], new Set((piece.tasks ?? []).map((task) => task.id))),
    ]),
    ...(piece.fastenings ?? []).flatMap((own, i) => [
      ...named(own.a, ['fastenings', i, 'a'], parts),
      ...named(own.b, ['fastenings', i, 'b'], parts),
      ...named(own.behind, ['fastenings', i, 'behind'], parts),
    ]),
    ...(piece.factory?.bodies ?? []).flatMap((body, i) => body.flatMap((id, k) => named(id, ['factory', 'bodies', i, k], parts))),
    ...(piece.pictures ?? []).flatMap((own, i) => named(own.partId, ['pictures', i, 'partId'], parts)),
    ...(piece.bags ?? []).flatMap((bag, i) => named(bag.pictureId, ['bags', i, 'pictureId'], pictures)),
    ...piece.parts.flatMap((part, i) =>
      part.layers.flatMap((layer, k) =>
        named(layer.targetId, ['parts', i, 'layers', k, 'targetId'], new Set((piece.targets ?? []).map(({ id }) => id))),
      ),
    ),
    ...piece.parts.flatMap((part, i) => [
      ...named(part.fit?.onPartId, ['parts', i, 'fit', 'onPartId'], parts),
      ...part.edges.flatMap((edge, k) => named(edge.runsOnTo, ['parts', i, 'edges', k, 'runsOnTo'], parts)),
      ...(part.cuts ?? []).flatMap((cut, k) => named(cut.trace?.pictureId, ['parts', i, 'cuts', k, 'trace'], pictures)),
    ]),
    ...(piece.tasks ?? []).flatMap((task, i) => task.partIds.flatMap((id, k) => named(id, ['tasks', i, 'partIds', k], parts))),
    ...(piece.references ?? []).flatMap((own, i) => [
      ...named(own.partId, ['references', i, 'partId'], parts),
      ...named(own.pictureId, ['references', i, 'pictureId'], pictures),
    ]),
    ...(piece.targets ?? []).flatMap((own, i) =>
      named(own.referenceId, ['targets', i, 'referenceId'], new Set((piece.references ?? []).map(({ id }) => id))),
    ),
    ...(piece.touchUps ?? []).flatMap((own, i) => named(own.partId, ['touchUps', i, 'partId'], parts)),
  ];
}

function belongsToItself(id: string, parts: readonly Part[]): boolean {
  const above = new Map(parts.map((part) => [part.id, part.within]));
  const seen = new Set<string>();
  for (let next = above.get(id); next !== undefined && !seen.has(next); next = above.get(next)) {
    if (next === id) return true;
    seen.add(next);
  }
  return false;
}

/** A task comes after or before things there are, and never after itself by any way round. */
function taskProblems({ tasks = [], parts }: { tasks?: readonly Task[]; parts: readonly Part[] }): SchemaIssue[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const missing = (when: When): string | null => {
    if ('taskId' in when) return byId.has(when.taskId) ? null : 'That task is not on this piece.';
    const part = parts.find((own) => own.id === when.partId);
    if (!part) return 'That part is not on this piece.';
    return 'layerId' in when && !part.layers.some((layer) => layer.id === when.layerId) ? 'That layer is not on this part.' : null;
  };
  return tasks.flatMap((task, i) => {
    const wrong = (['after', 'before'] as const).flatMap((end): SchemaIssue[] => {
      const message = task[end] ? missing(task[end]) : null;
      return message ? [{ path: ['tasks', i, end], message }] : [];
    });
    return comesAfterItself(task.id, tasks)
      ? [...wrong, { path: ['tasks', i, 'after'], message: `“${task.name}” would come after itself. Take one of its ties out.` }]
      : wrong;
  });
}

/** Tasks each one waits for: those it names as before it, and those that name it as after them. */
function comesAfterItself(id: string, tasks: readonly Task[]): boolean {
  const waitsFor = (own: string): string[] =>
    tasks.flatMap(({ id: other, after, before }) => [
      ...(other === own && after && 'taskId' in after ? [after.taskId] : []),
      ...(before && 'taskId' in before && before.taskId === own ? [other] : []),
    ]);
  const seen = new Set<string>();
  const open = waitsFor(id);
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (next === id) return true;
    if (seen.has(next)) continue;
    seen.add(next);
    open.push(...waitsFor(next));
  }
  return false;
}

/** A part goes on what is there before it, and never on something that is itself closed into it. */
function fitProblems({ parts }: { parts: readonly Part[] }): SchemaIssue[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const enclosed = (part: Part): boolean => {
    const seen = new Set<string>();
    for (let host = part.fit?.onPartId; host !== undefined && !seen.has(host); host = byId.get(host)?.fit?.onPartId) {
      if (host === part.id) return true;
      seen.add(host);
    }
    return false;
  };
  return parts.flatMap((part, i): SchemaIssue[] => {
    const path = ['parts', i, 'fit'];
    if (enclosed(part)) return [{ path, message: `${part.name} would be fitted on what goes on itself: one of them must go on first.` }];
    const host = byId.get(part.fit?.onPartId ?? '');
    if (part.fit?.layerId !== undefined && host && !host.layers.some((layer) => layer.id === part.fit?.layerId))
      return [{ path: [...path, 'layerId'], message: `That layer is not on ${host.name}.` }];
    return [];
  });
}
