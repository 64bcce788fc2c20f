import { type ResolvedLayer, resolveLayer } from '#core/coats/index';
import type { Act, Facts, LogEvent, Part, Piece, SenseRule, SupplyLine, Task, WorkStage } from '#core/facts/index';
import { partKey, pieceKey, type PlannedStep } from '#core/plan/index';
import type { Minute, Span } from '#core/units/index';
import { hours, NOW, part, piece, shelf } from '../testBench.ts';

/** Plans told by hand, step by step and hour by hour, as no planner would make them: what the sceptic is tried on. */

/** A plan as it is told: facts, and steps on them. */
export type Told = { readonly facts: Facts; readonly steps: readonly PlannedStep[]; readonly now: Minute; readonly free: readonly Span[] };

/** Every evening from seven to half past eleven. */
const EVENINGS: readonly Span[] = Array.from({ length: 60 }, (_, day) => ({ from: NOW + day * 1440, to: NOW + day * 1440 + 270 }));

/** An absurd plan, the rule that names it, and its mended twin. */
export type Planted = { readonly name: string; readonly rule: SenseRule; readonly absurd: Told; readonly mended: Told };

export type Line = {
  /** Hours from the evening the plan begins; null: it has no date. */
  readonly at: number | null;
  readonly stage: WorkStage;
  readonly acts: readonly Act[];
  /** Parts it is done on; absent: the body. */
  readonly on?: readonly string[];
  /** Piece-wide, a task or a part that goes on: the subject of its key. */
  readonly wide?: string;
  readonly subject?: string;
  readonly coat?: number;
  readonly more?: Partial<PlannedStep>;
};

const USUAL_MINUTES = 6;

/** One step on a part, or on several. */
export function line(at: number | null, stage: WorkStage, acts: readonly Act[], more: Omit<Line, 'at' | 'stage' | 'acts'> = {}): Line {
  return { at, stage, acts, ...more };
}

/** A step of the person's own. */
export function ownStep(at: number | null, task: Task, acts: readonly Act[]): Line {
  return { at, stage: 'task', acts, wide: task.id, on: task.partIds };
}

/** Coats of a layer, so many minutes apart. */
export function coats(at: number, subject: string, count = 1, apart = 20, on?: readonly string[]): Line[] {
  return Array.from({ length: count }, (_, n) =>
    line(at + (n * apart) / 60, 'coat', ['spray'], { subject, coat: n + 1, ...(on ? { on } : {}) }),
  );
}

/** Papers as a step uses them up. */
export function papersOf(...grits: readonly number[]): Partial<PlannedStep> {
  return { supplies: grits.map((grit): SupplyLine => ({ kind: 'paper', spec: `P${grit}`, unit: 'sheet', amount: 1 })) };
}

export function ownTask(id: string, more: Partial<Task> = {}): Task {
  return { id, kind: 'own', name: id, partIds: ['body'], minutes: 10, ...more };
}

/** The plan that these lines tell of these parts. */
export function told(
  lines: readonly Line[],
  { parts = [part()], more = {}, events = [] }: { parts?: readonly Part[]; more?: Partial<Piece>; events?: readonly LogEvent[] } = {},
): Told {
  const own = piece(parts[0], { parts: [...parts], pictures: [], ...more });
  const facts: Facts = {
    ...shelf,
    workshop: [{ ...shelf.workshop[0], freeHours: hours.map((span) => ({ ...span, from: '06:00', to: '23:30' })) }],
    pieces: [own],
    events: [...events],
  };
  return { facts, now: NOW, free: EVENINGS, steps: lines.map((each, index) => stepOf(each, index, own, facts)) };
}

function stepOf(told: Line, index: number, own: Piece, facts: Facts): PlannedStep {
  const on = (told.on ?? ['body']).map((id) => own.parts.find((each) => each.id === id)).filter((each) => each !== undefined);
  const subject = told.subject ?? '-';
  const keys = told.wide
    ? [pieceKey(own.id, told.stage, told.wide)]
    : on.map(({ id }) => partKey(own.id, id, told.stage, subject, told.coat ?? index + 1));
  const layer = told.stage === 'coat' ? on[0].layers.find(({ id }) => id === told.subject) : undefined;
  const start = told.at === null ? null : NOW + told.at * 60;
  const minutes = told.more?.minutes ?? USUAL_MINUTES;
  return {
    id: keys[0],
    keys,
    pieceId: own.id,
    stage: told.stage,
    acts: told.acts,
    title: `${told.stage} ${subject}`,
    detail: '',
    on: on.map((each) => ({ partId: each.id, zoneIds: each.zones.map(({ id }) => id) })),
    pegs: [],
    minutes,
    setup: 0,
    scuffMinutes: 0,
    hazards: [],
    because: '',
    source: 'default',
    supplies: [],
    constraints: [],
    batch: null,
    treatment: null,
    tight: false,
    ...(layer ? { coat: coatOf(resolveLayer(layer, facts), told.coat ?? 1) } : {}),
    placed: start === null ? null : { id: keys[0], start, end: start + minutes, scuff: false, hold: { by: 'nothing', text: '' }, saved: 0 },
    window: null,
    missedUntil: null,
    ...told.more,
  };
}

function coatOf({ layer, name, family, role, lab, hand, filmUm, mix }: ResolvedLayer, number: number): PlannedStep['coat'] {
  return {
    layerId: layer.id,
    ...(layer.productId ? { productId: layer.productId } : {}),
    name,
    family,
    role,
    lab,
    hand,
    filmUm,
    mix,
    weight: 'normal',
    number,
    of: layer.coats,
    ml: 5,
    paintMl: 5,
    reducerMl: 0,
    hardenerMl: 0,
    filmMl: 5,
    sweepsMl: 0,
    holds: 'film',
    boothShare: 0.1,
  };
}

/** The piece is photographed, opened, washed and wiped. */
export const BEGUN: readonly Line[] = [
  line(0, 'teardown', ['record', 'open'], { wide: '-' }),
  line(0.3, 'wash', ['water-wash']),
  line(0.6, 'clean', ['solvent-wipe']),
];

/** Two coats of primer and two of colour on the body, the last of them put down three hours after the evening began. */
export const PAINTED: readonly Line[] = [...BEGUN, ...coats(1, 'primer', 2), ...coats(2, 'colour', 2)];

/** Days by which those films bear anything. */
export const HARD = 24 * 14;
