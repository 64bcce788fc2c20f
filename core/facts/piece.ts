import { z } from 'zod';
import { clockSchema, copiesSchema, dateSchema, idSchema, lengthSchema, momentSchema, moneySchema, nameSchema } from './basics.ts';
import { referenceSchema, targetSchema } from './colours.ts';
import { featureSchema, markSchema, materialTestSchema, meshSchema, serviceSchema, surveyStopSchema } from './condition.ts';
import {
  aimSchema,
  finishSchema,
  limitSchema,
  looksLikeSchema,
  materialSchema,
  portraitSchema,
  oldPaintSchema,
  workStageSchema,
  stripMethodSchema,
} from './names.ts';
import { layerSchema } from './layer.ts';
import { decalSchema, detailSchema, fitSchema, holdSchema, type Task, taskSchema, touchUpSchema, type When } from './onThePart.ts';
import { bagSchema, fasteningSchema, pictureSchema } from './teardown.ts';
import { type Cut, cutSchema, edgeSchema, zoneSchema } from './zones.ts';
import { zoneIdsOf } from './zoneTree.ts';

/** A pattern of round holes through a face. The wall counts to this face as deep as it is painted from here. */
export const holesSchema = z.strictObject({
  count: z.int('Holes are whole.').min(1, 'At least one hole.').max(200_000),
  acrossMm: lengthSchema,
  wallMm: z.number().min(0).max(500),
});

/** A flat stretch of surface: longer × shorter × count. Belongs to one zone. */
export const faceSchema = z
  .strictObject({
    id: idSchema,
    zoneId: idSchema,
    longMm: lengthSchema,
    shortMm: lengthSchema,
    count: copiesSchema,
    seen: z.boolean(),
    holes: holesSchema.optional(),
  })
  .superRefine((face, context) => {
    if (face.holes && !holesFit(face.holes, face)) {
      context.addIssue({
        code: 'custom',
        path: ['holes'],
        message: 'These holes do not fit the sheet: together they are larger than it. Count and measure them again.',
      });
    }
  });

/** Round holes of one size cover at most π/√12 of a sheet. */
const DENSEST_HOLES = Math.PI / Math.sqrt(12);

function holesFit(holes: { count: number; acrossMm: number }, face: { longMm: number; shortMm: number }): boolean {
  const open = (holes.count * Math.PI * holes.acrossMm ** 2) / 4;
  return holes.acrossMm < Math.min(face.longMm, face.shortMm) && open <= DENSEST_HOLES * face.longMm * face.shortMm;
}
export type Face = z.infer<typeof faceSchema>;

export const partSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    material: materialSchema,
    copies: copiesSchema,
    finish: finishSchema,
    printed: z.boolean(),
    staysClear: z.boolean(),
    zones: z.array(zoneSchema).min(1, 'A part has at least one zone.'),
    faces: z.array(faceSchema).min(1, 'A part needs at least one face. Give its longest and shorter side.'),
    edges: z.array(edgeSchema),
    /** How zones were divided, oldest first; the zones that get films follow from them. */
    cuts: z.array(cutSchema).max(40, 'A part may be divided forty times.').optional(),
    layers: z.array(layerSchema),
    details: z.array(detailSchema).max(60).optional(),
    decals: z.array(decalSchema).max(60).optional(),
    /** How it is held while it is sprayed. */
    hold: holdSchema.optional(),
    /** When it goes on, and on what; absent: at the end, in the fit order. */
    fit: fitSchema.optional(),
    /** Left out: the tool's advice is planned. */
    stripMethod: stripMethodSchema.optional(),
    /** The person's "I know" over a verdict that ruins the part (never over one that hurts a person). */
    iKnow: z.array(stripMethodSchema).optional(),
    /** Order of colours insisted on, by layer id. */
    colourOrder: z.array(idSchema).optional(),
    /** Tag numbers of its copies on the drying line. */
    pegs: z.array(z.int().min(1).max(40)).max(40),
    /** A second material in the same part: every method is judged by the worse of the two. */
    alsoMaterial: materialSchema.optional(),
    /** The test that told the material; absent: not tested. */
    toldBy: materialTestSchema.optional(),
    /** Layers of old paint that show at a chip. */
    oldCoats: z.int('Layers are whole.').min(1).max(12).optional(),
    /** Lit from inside: light is blocked, then white inside, leak test before it closes. */
    lit: z.boolean().optional(),
    /** The part it belongs to, where it is a sub-assembly's. */
    within: idSchema.optional(),
    /** Reached bare steel is either primed at once or treated with phosphoric metal prep; absent: as advised. */
    rustGuard: z.enum(['prime', 'metal-prep']).optional(),
    marks: z.array(markSchema).max(60).optional(),
    features: z.array(featureSchema).optional(),
    service: z.array(serviceSchema).optional(),
    /** Hazards met on it: left alone, or not planned at all. */
    stops: z.array(surveyStopSchema).optional(),
    /** A tile sprayed along with the real coats: judged dry like those of a board, and never fitted. */
    tile: z.boolean().optional(),
    /** Taken out of the piece after work had been logged on it: kept for the record, not planned. */
    gone: z.boolean().optional(),
    /** Too fragile to take off: masked where it is, not planned itself. */
    maskedInPlace: z.boolean().optional(),
    /** Plating that is to stay: it is only cleaned. */
    staysPlated: z.boolean().optional(),
    /** What its old paint is, asked with the thinner rub; absent: not asked yet. */
    oldPaint: oldPaintSchema.optional(),
    /** What a 30 s rub with lacquer thinner on a hidden spot did; absent: not tried. */
    rub: z.enum(['dissolves', 'wrinkles', 'no-change']).optional(),
    /** A face that takes no paper, or comes from a printer with layer lines and support marks. */
    surface: z.enum(['grained', '3d-printed']).optional(),
    /** How what stays bare by choice is finished; absent: as advised. */
    bareCare: z
      .strictObject({
        brighten: z.enum(['none', 'brighten', 'polish', 'plate']).optional(),
        protect: z.enum(['none', 'oil', 'wax', 'clear']).optional(),
      })
      .optional(),
    /** What one copy weighs, g: a hook or a shelf must carry it; absent: not weighed. */
    grams: z.number('Type grams.').min(0.1, 'A part weighs at least 0.1 g.').max(200_000, 'At most 200 kg. Check the unit.').optional(),
    /** The hottest it gets in service, °C, where it serves in heat. */
    serviceC: z.number().min(20, 'That is no heat: 20 °C is the least.').max(1200, 'At most 1200 °C. Check the unit.').optional(),
    mesh: meshSchema.optional(),
  })
  .superRefine((part, context) => {
    const roots = new Set(part.zones.map((zone) => zone.id));
    const zones = zoneIdsOf(part);
    const layers = new Set(part.layers.map((layer) => layer.id));
    const check = (id: string, path: (string | number)[], among: ReadonlySet<string> = zones) => {
      if (!among.has(id)) context.addIssue({ code: 'custom', path, message: `No zone "${id}" on this part.` });
    };
    for (const { path, message } of cutProblems(part)) context.addIssue({ code: 'custom', path, message });
    for (const kind of ['details', 'decals'] as const) {
      part[kind]?.forEach((own, i) => {
        check(own.zoneId, [kind, i, 'zoneId']);
        if (own.after !== null && !layers.has(own.after))
          context.addIssue({ code: 'custom', path: [kind, i, 'after'], message: 'That layer is not on this part.' });
      });
    }
    part.faces.forEach((face, i) => {
      check(face.zoneId, ['faces', i, 'zoneId'], roots);
    });
    part.edges.forEach((edge, i) => {
      check(edge.a, ['edges', i, 'a']);
      check(edge.b, ['edges', i, 'b']);
    });
    part.layers.forEach((layer, i) => {
      if (layer.covers !== 'all')
        layer.covers.forEach((id, k) => {
          check(id, ['layers', i, 'covers', k]);
        });
    });
    if (part.stripMethod === 'caustic' && ['aluminium', 'magnesium', 'galvanised'].includes(part.material)) {
      context.addIssue({
        code: 'custom',
        path: ['stripMethod'],
        message: 'Caustic never meets this metal: it reacts violently. Choose another method.',
      });
    }
    if (part.within === part.id) context.addIssue({ code: 'custom', path: ['within'], message: 'A part does not belong to itself.' });
    if (part.stripMethod === 'heat') {
      context.addIssue({ code: 'custom', path: ['stripMethod'], message: 'Heat never meets old paint. Choose another method.' });
    }
  });
export type Part = z.infer<typeof partSchema>;

type Problem = { readonly path: (string | number)[]; readonly message: string };

/** Each cut divides a zone that stands when it is made, into zones that are new. */
function cutProblems({ zones, cuts = [] }: { zones: readonly { id: string }[]; cuts?: readonly Cut[] }): Problem[] {
  const standing = new Set(zones.map((zone) => zone.id));
  const known = new Set(standing);
  return cuts.flatMap((cut, i) => {
    const problems: Problem[] = [];
    if (!standing.has(cut.of))
      problems.push({ path: ['cuts', i, 'of'], message: `No zone "${cut.of}" to divide: it is not there, or divided already.` });
    for (const [k, { id }] of cut.into.entries()) {
      if (known.has(id)) problems.push({ path: ['cuts', i, 'into', k, 'id'], message: `There is a zone "${id}" already.` });
      known.add(id);
      if (cut.merged !== true) standing.add(id);
    }
    if (cut.merged !== true) standing.delete(cut.of);
    return problems;
  });
}

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
    factory: wordsSchema.optional(),
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
    for (const { path, message } of [...taskProblems(piece), ...fitProblems(piece)]) context.addIssue({ code: 'custom', path, message });
  });
export type Piece = z.infer<typeof pieceSchema>;

type NamedId = { readonly id: string; readonly path: (string | number)[]; readonly what: ReadonlySet<string> };

/** Every id of a part or picture that a piece names, with its place. */
function idsNamed(piece: {
  parts: readonly Part[];
  parcels: readonly Parcel[];
  fastenings?: readonly { a: string; b?: string; behind?: string }[];
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
function taskProblems({ tasks = [], parts }: { tasks?: readonly Task[]; parts: readonly Part[] }): Problem[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const missing = (when: When): string | null => {
    if ('taskId' in when) return byId.has(when.taskId) ? null : 'That task is not on this piece.';
    const part = parts.find((own) => own.id === when.partId);
    if (!part) return 'That part is not on this piece.';
    return 'layerId' in when && !part.layers.some((layer) => layer.id === when.layerId) ? 'That layer is not on this part.' : null;
  };
  return tasks.flatMap((task, i) => {
    const wrong = (['after', 'before'] as const).flatMap((end): Problem[] => {
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
function fitProblems({ parts }: { parts: readonly Part[] }): Problem[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const enclosed = (part: Part): boolean => {
    const seen = new Set<string>();
    for (let host = part.fit?.onPartId; host !== undefined && !seen.has(host); host = byId.get(host)?.fit?.onPartId) {
      if (host === part.id) return true;
      seen.add(host);
    }
    return false;
  };
  return parts.flatMap((part, i): Problem[] => {
    const path = ['parts', i, 'fit'];
    if (enclosed(part)) return [{ path, message: `${part.name} would be fitted on what goes on itself: one of them must go on first.` }];
    const host = byId.get(part.fit?.onPartId ?? '');
    if (part.fit?.layerId !== undefined && host && !host.layers.some((layer) => layer.id === part.fit?.layerId))
      return [{ path: [...path, 'layerId'], message: `That layer is not on ${host.name}.` }];
    return [];
  });
}
