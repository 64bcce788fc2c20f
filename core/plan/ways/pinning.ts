import { type FreeInterval, LAY_OUT_MINUTES, PACK_UP_MINUTES, stayIndex } from '#core/schedule/index';
import { type Minute, toIso } from '#core/units/index';
import type { Agreed } from '#core/facts/index';
import { PIN_LEEWAY, type PlannedStep } from '../dates/index.ts';
import type { PiecePlan } from '../piecePlan.ts';
import { type Plan, plan, type PlanInput } from '../plan.ts';

/** Putting a step to another time by hand: what refuses it at once, and what it moves or breaks once all is planned anew. */

/** Why a step cannot begin at a moment, as far as can be told without planning anew; null: it may be tried. */
export function dropRefused(
  { placed, minutes, window }: PlannedStep,
  at: Minute,
  { now, free }: Pick<Plan, 'now' | 'free'>,
  moment: (at: Minute) => string,
): string | null {
  if (at < now - PIN_LEEWAY) return 'That time has passed.';
  const stay = free.find((span) => at >= span.from && at + minutes <= span.to);
  if (!stay) {
    const next = nextRoom(free, at, minutes);
    return `You are not free then for ${minutes} min${next ? `; the next stay with room begins ${moment(next.from)}` : ''}.`;
  }
  if (window && at < window.from - 1)
    return `Not before ${moment(window.from)}: ${placed?.hold.by === 'window' ? placed.hold.text : 'what it waits for is not ready sooner'}.`;
  return null;
}

function nextRoom(free: readonly FreeInterval[], at: Minute, minutes: Minute): FreeInterval | undefined {
  return free.find((span) => span.from > at && span.to - span.from >= minutes + LAY_OUT_MINUTES + PACK_UP_MINUTES);
}

/** What comes of a pin when everything is planned anew with it. */
export type PinTried = {
  readonly stepId: string;
  readonly at: Minute;
  /** Where the step then begins; null: it finds no place. */
  readonly start: Minute | null;
  /** Why it does not begin when it was put; null: it does. */
  readonly refused: string | null;
  /** Other steps that change their stay: of the piece itself, and of others. */
  readonly moved: { readonly own: number; readonly others: number };
  /** Pieces that end at least an hour later or sooner. */
  readonly ends: readonly { readonly pieceId: string; readonly later: Minute }[];
  /** Steps that had a date and lose it. */
  readonly lost: readonly { readonly pieceId: string; readonly title: string; readonly why: string }[];
};

/** Less than this changes nobody’s plans. */
const WORTH_SAYING: Minute = 60;

/** The plan as it is shown: when each step begins, when each piece ends. */
export type Shown = {
  readonly starts: Readonly<Record<string, Minute>>;
  readonly ends: Readonly<Record<string, Minute | null>>;
};

export function shownIn({
  steps,
  pieces,
}: Pick<Plan, 'steps'> & { readonly pieces: readonly Pick<PiecePlan, 'pieceId' | 'planned'>[] }): Shown {
  return {
    starts: Object.fromEntries(steps.flatMap(({ id, placed }) => (placed ? [[id, placed.start]] : []))),
    ends: Object.fromEntries(pieces.map(({ pieceId, planned }) => [pieceId, planned])),
  };
}

/** A pin tried: everything else stays as it is shown, as far as it can. */
export function tryPin(input: PlanInput, step: Pick<PlannedStep, 'id' | 'keys'>, at: Minute, shown: Shown): PinTried {
  const facts = { ...input.facts, agreed: [withPin(input.facts.agreed[0], step, at, input.now, shown)] };
  const result = plan({ ...input, facts, datesOf: [] });
  const own = result.steps.find(({ id }) => id === step.id);
  const start = own?.placed?.start ?? null;
  const kept = start !== null && Math.abs(start - at) <= PIN_LEEWAY;
  return {
    stepId: step.id,
    at,
    start,
    refused: kept ? null : (own?.placed?.hold.text ?? own?.unplacedWhy ?? 'it finds no place'),
    moved: movedBeside(step.id, own?.pieceId, shown, result),
    ends: result.pieces.flatMap(({ pieceId, planned }) => {
      const was = shown.ends[pieceId] ?? null;
      const later = planned === null || was === null ? 0 : planned - was;
      return Math.abs(later) < WORTH_SAYING ? [] : [{ pieceId, later }];
    }),
    lost: result.steps.flatMap(({ id, pieceId, title, placed, unplacedWhy }) =>
      placed === null && shown.starts[id] !== undefined ? [{ pieceId, title, why: unplacedWhy ?? '' }] : [],
    ),
  };
}

function movedBeside(stepId: string, pieceId: string | undefined, { starts }: Shown, { steps, free }: Plan): PinTried['moved'] {
  const stayOf = (start: Minute) => stayIndex(free, start);
  const moved = steps.filter(({ id, placed }) => {
    const was = starts[id];
    return id !== stepId && was !== undefined && placed !== null && stayOf(was) !== stayOf(placed.start);
  });
  const own = moved.filter((step) => step.pieceId === pieceId).length;
  return { own, others: moved.length - own };
}

/** What is agreed, with a step pinned and all else as it is shown; null takes the pin out. */
export function withPin(
  agreed: Agreed | undefined,
  { keys }: Pick<PlannedStep, 'keys'>,
  at: Minute | null,
  now: Minute,
  shown: Shown,
): Agreed {
  const others = Object.entries(shown.starts).filter(([key]) => !keys.includes(key));
  const pins = Object.fromEntries(Object.entries(agreed?.pins ?? {}).filter(([key]) => !keys.includes(key)));
  const own = at === null ? {} : Object.fromEntries(keys.map((key) => [key, toIso(at)]));
  return {
    id: 'agreed',
    at: toIso(now),
    starts: Object.fromEntries(others.map(([key, start]) => [key, toIso(start)])),
    pins: { ...pins, ...own },
  };
}
