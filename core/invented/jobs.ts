import {
  type Decal,
  type Detail,
  EMPTY_FACTS,
  type Facts,
  type Fit,
  FIT_STAGES,
  type LogEvent,
  looksLikeSchema,
  MATERIALS,
  type Part,
  type Piece,
  pieceSchema,
  POLISH_PAPERS,
  staysOf,
  type Task,
  TASK_KINDS,
  type When,
  withZone,
  WORK_STAGES,
  type Workshop,
} from '#core/facts/index';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { draftPiece, partKey, type QuickAnswers, seededRandom, type WhereNow } from '#core/plan/index';
import { partBeside } from '#core/survey/index';
import { toIso } from '#core/units/index';

/** Whole jobs made up from a seed as people combine them, and as no planner would: what the sceptic is to find nothing of the tool’s in. */

const WHERE: readonly WhereNow[] = ['untouched', 'bare', 'primed', 'coloured', 'cleared'];
const SYSTEMS = ['quickest', 'hardest', 'cheapest'] as const;
const HEXES = ['#e6dcc0', '#1d4b78', '#2c6b3a', '#c23a2a', '#26282a', '#e8c020', '#f4f4f0', '#c9ccd0'];
const WEEKS: readonly Workshop['freeHours'][] = [
  [{ weekday: 6, from: '10:00', to: '11:30' }],
  [1, 2, 3, 4, 5].map((weekday) => ({ weekday, from: '19:00', to: '21:00' })),
  [2, 4].map((weekday) => ({ weekday, from: '19:00', to: '21:30' })),
  [
    { weekday: 6, from: '09:00', to: '17:00' },
    { weekday: 7, from: '09:00', to: '17:00' },
  ],
];

class Chance {
  readonly #random: () => number;
  constructor(seed: number) {
    this.#random = seededRandom(seed);
  }
  pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.#random() * list.length)];
  }
  /** True that often. */
  in(share: number): boolean {
    return this.#random() < share;
  }
  upTo(most: number): number {
    return Math.floor(this.#random() * (most + 1));
  }
}

/** A workshop with one job in it, out of the ordinary in a few ways; the same seed, the same job. */
export function inventedJob(seed: number, now: number): Facts {
  const chance = new Chance(seed);
  let ids = 0;
  const newId = () => `j${seed}-${++ids}`;
  const { workshop, places } = newWorkshop('Europe/Lisbon');
  const shelf = starterShelf();
  const hands = chance.pick([['aerosol'], ['aerosol', 'airbrush'], ['aerosol', 'airbrush', 'brush'], ['aerosol', 'gun']] as const);
  const whereNow = chance.pick(WHERE);
  const createdAt = now - chance.upTo(5000);
  const answers: QuickAnswers = {
    name: 'Job',
    looksLike: chance.pick(looksLikeSchema.options),
    longestMm: 30 + chance.upTo(600),
    aim: chance.pick(['own-scheme', 'as-original', 'serviceable', 'aged'] as const),
    whereNow,
    system: chance.pick(SYSTEMS),
    colours: Array.from({ length: chance.upTo(3) }, (_, at) => ({ name: `colour ${at + 1}`, hex: chance.pick(HEXES) })),
    ...(chance.in(0.4) ? { scale: chance.pick([18, 24, 43, 76, 87]) } : {}),
    ...(whereNow === 'untouched' || whereNow === 'bare' ? {} : { since: createdAt - chance.upTo(9000) }),
  };
  const drafted = draftPiece(answers, createdAt, [...hands], newId, [], workshop.dryPlaceId);
  const piece = changes(chance, newId).reduce((own, change) => kept(own, change), { ...drafted.piece, leadExcluded: chance.in(0.5) });
  return {
    ...EMPTY_FACTS,
    ...shelf,
    sheets: chance.in(0.3)
      ? shelf.sheets.map((sheet) => ({ ...sheet, label: { ...sheet.label, handleMin: 30 + chance.upTo(300) } }))
      : shelf.sheets,
    workshop: [{ ...workshop, started: true, hands: [...hands], freeHours: [...chance.pick(WEEKS)] }],
    places,
    events: [...drafted.events, ...(chance.in(0.25) ? outOfOrder(chance, piece, now, newId, workshop.dryPlaceId) : [])],
    // Said last: what has been chosen for it, and done on it, is there already.
    pieces: [chance.in(0.06) ? { ...piece, aim: 'preserve' } : piece],
  };
}

type Change = (piece: Piece) => Piece;

/** A change that leads to no piece there can be is not made. */
function kept(piece: Piece, change: Change): Piece {
  const read = pieceSchema.safeParse(change(piece));
  return read.success ? read.data : piece;
}

function changes(chance: Chance, newId: () => string): readonly Change[] {
  const some = (share: number, change: Change): Change[] => (chance.in(share) ? [change] : []);
  return [
    ...some(0.2, (piece) => ofPart(piece, chance, (part) => ({ ...part, material: chance.pick(MATERIALS) }))),
    ...some(0.15, (piece) => ofPart(piece, chance, (part) => ({ ...part, material: 'unknown', finish: 'unknown' }))),
    ...some(0.2, (piece) => addedPart(piece, newId)),
    ...some(0.25, (piece) => divided(piece, chance, newId)),
    ...some(0.2, (piece) => ofPart(piece, chance, (part) => (part.faces.length > 1 ? { ...part, faces: part.faces.slice(1) } : part))),
    ...some(0.15, (piece) => (piece.parts.length > 1 ? ofPart(piece, chance, (part) => ({ ...part, gone: true })) : piece)),
    ...some(0.2, (piece) => copiedStack(piece, chance, newId)),
    ...some(0.5, (piece) => ofPart(piece, chance, (part) => dressed(part, chance, newId))),
    ...some(0.5, (piece) => fitted(piece, chance)),
    ...Array.from({ length: chance.upTo(3) }, (): Change => (piece) => withTask(piece, chance, newId)),
    ...some(0.15, (piece) => ofPart(piece, chance, (part) => polished(part, chance))),
  ];
}

function ofPart(piece: Piece, chance: Chance, change: (part: Part) => Part): Piece {
  const { id } = chance.pick(piece.parts);
  return { ...piece, parts: piece.parts.map((part) => (part.id === id ? change(part) : part)) };
}

function addedPart(piece: Piece, newId: () => string): Piece {
  const { part, guesses } = partBeside(piece, newId);
  return { ...piece, parts: [...piece.parts, part], guesses: [...piece.guesses, ...guesses] };
}

function divided(piece: Piece, chance: Chance, newId: () => string): Piece {
  return ofPart(piece, chance, (part) => {
    const of = chance.pick(part.zones);
    const into = ['one', 'other'].map((name) => ({ id: newId(), name }));
    return { ...part, cuts: [{ id: newId(), of: of.id, how: 'line', numbers: { share: 0.4 }, at: piece.createdAt, into }] };
  });
}

function polished(part: Part, chance: Chance): Part {
  const { id } = chance.pick(part.zones);
  const papers = POLISH_PAPERS.filter(() => chance.in(0.6));
  return withZone(part, id, (zone) => ({ ...zone, polish: { papers, edges: chance.in(0.4) } }));
}

/** The stack of one part on another, as somebody copies it. */
function copiedStack(piece: Piece, chance: Chance, newId: () => string): Piece {
  const from = chance.pick(piece.parts);
  return ofPart(piece, chance, (part) =>
    part.id === from.id || staysOf(part)
      ? part
      : { ...part, layers: from.layers.map((layer) => ({ ...layer, id: newId(), covers: 'all' as const })) },
  );
}

function dressed(part: Part, chance: Chance, newId: () => string): Part {
  const zoneId = chance.pick(part.zones).id;
  const after = chance.pick([...part.layers.map(({ id }) => id), null]);
  const detail: Detail = {
    id: newId(),
    name: 'rail',
    zoneId,
    after,
    way: 'brush',
    family: 'alcohol-acrylic',
    lab: { l: 70, a: 0, b: 0 },
    count: 2,
  };
  const decal: Decal = {
    id: newId(),
    name: 'number',
    zoneId,
    after: part.layers.at(-1)?.id ?? null,
    kind: chance.pick(['waterslide', 'printed', 'vinyl'] as const),
    count: 1,
    spare: false,
    longMm: 12,
    shortMm: 6,
  };
  return chance.in(0.5) ? { ...part, details: [detail] } : { ...part, decals: [decal] };
}

/** One part goes on another at some stage of the work. */
function fitted(piece: Piece, chance: Chance): Piece {
  const host = chance.pick(piece.parts);
  const layer = chance.pick(host.layers);
  return ofPart(piece, chance, (part) => {
    if (part.id === host.id) return part;
    const stage = chance.pick(FIT_STAGES);
    const fit: Fit = { stage, onPartId: host.id, ...(layer && stage === 'before-layer' ? { layerId: layer.id } : {}) };
    return { ...part, fit };
  });
}

function withTask(piece: Piece, chance: Chance, newId: () => string): Piece {
  const when = (): When => {
    const part = chance.pick(piece.parts);
    const layer = chance.pick(part.layers);
    return layer && chance.in(0.6) ? { partId: part.id, layerId: layer.id } : { partId: part.id, stage: chance.pick(WORK_STAGES) };
  };
  const task: Task = {
    id: newId(),
    kind: chance.pick(TASK_KINDS),
    name: 'A step of one’s own',
    partIds: [chance.pick(piece.parts).id],
    minutes: 2 + chance.upTo(25),
    ...(chance.in(0.3) ? { aloneMinutes: chance.upTo(1440) } : {}),
    ...(chance.in(0.35) ? { after: when() } : {}),
    ...(chance.in(0.25) ? { before: when() } : {}),
  };
  return { ...piece, tasks: [...(piece.tasks ?? []), task] };
}

/** A coat entered as laid, of whichever layer. */
function outOfOrder(chance: Chance, piece: Piece, now: number, newId: () => string, placeId: string): LogEvent[] {
  const part = chance.pick(piece.parts);
  const layer = chance.pick(part.layers);
  if (!layer?.wanted) return [];
  const { family, role, name, lab } = layer.wanted;
  return [
    {
      id: newId(),
      at: toIso(now - 60 - chance.upTo(20_000)),
      kind: 'done',
      pieceId: piece.id,
      stepKeys: [partKey(piece.id, part.id, 'coat', layer.id, 1)],
      on: [{ partId: part.id, zoneIds: part.zones.map(({ id }) => id) }],
      coat: { layerId: layer.id, name, family, role, lab, hand: 'aerosol', filmUm: 12, placeId, ml: 5 },
    },
  ];
}
