import { type FreeInterval, type Goal, type Judge, type Problem, roomOf, type Schedule, stayIndex } from '#core/schedule/index';
import { DAY, HOUR, type Minute } from '#core/units/index';
import type { Step } from '../../steps/index.ts';
import { PIN_LEEWAY } from './pins.ts';

/** What a schedule is worth to the person: all of it placed, nothing late, then what matters to them. */

export type Wishes = {
  /** The moment each piece is needed by, where it is. */
  readonly needed: ReadonlyMap<string, Minute>;
  readonly pins: ReadonlyMap<string, Minute>;
  /** Starts agreed on: to be disturbed as little as may be. */
  readonly agreed: ReadonlyMap<string, Minute>;
};

export function judgeFor(goal: Goal, problem: Problem, steps: readonly Step[], { needed, pins, agreed }: Wishes): Judge {
  const pieceOf = new Map(steps.map((step) => [step.id, step.pieceId]));
  return (schedule) => {
    const ends = endsOf(schedule, pieceOf);
    const stayOf = (at: Minute) => stayIndex(problem.free, at);
    const late = inHours([...needed].reduce((sum, [pieceId, by]) => sum + Math.max(0, (ends.get(pieceId) ?? by) - by), 0));
    const resumed = resumedLayers(steps, schedule, stayOf);
    const sum = inHours([...ends.values()].reduce((total, end) => total + end - problem.now, resumed * RESUMED));
    const lost = [...pins].filter(([id, at]) => (schedule.placed.get(id)?.start ?? Number.POSITIVE_INFINITY) > at + PIN_LEEWAY).length;
    const moved = [...agreed].filter(
      ([id, at]) => stayOf(schedule.placed.get(id)?.start ?? Number.POSITIVE_INFINITY) !== stayOf(at),
    ).length;
    const first = [schedule.unplaced.length, lost, late, moved];
    const work = [...schedule.placed.values()].reduce((total, { start, end }) => total + end - start, 0);
    switch (goal) {
      case 'soonest':
        return [...first, sum, staysIn(schedule, problem.free), work];
      case 'fewest-sessions':
        return [...first, staysIn(schedule, problem.free), sum, work];
      case 'calmest': {
        const room = roomOf(schedule, problem);
        return [...first, -room.least, -room.sum, sum, work];
      }
    }
  };
}

/** A colour begun one evening is finished that evening, unless that ends the pieces more than a day sooner in all. */
const RESUMED: Minute = DAY;

/** Layers that are taken up again in another stay, once for each. */
function resumedLayers(steps: readonly Step[], { placed }: Schedule, stayOf: (at: Minute) => number): number {
  const stays = new Map<string, Set<number>>();
  for (const { id, pieceId, on, coat } of steps) {
    const start = placed.get(id)?.start;
    if (!coat || start === undefined) continue;
    const layer = `${pieceId} ${on[0].partId} ${coat.layerId}`;
    stays.set(layer, (stays.get(layer) ?? new Set()).add(stayOf(start)));
  }
  return [...stays.values()].reduce((sum, own) => sum + own.size - 1, 0);
}

/** Whole hours: nobody rearranges an evening for minutes. */
function inHours(minutes: Minute): number {
  return Math.round(minutes / HOUR);
}

function endsOf({ placed }: Schedule, pieceOf: ReadonlyMap<string, string>): Map<string, Minute> {
  const ends = new Map<string, Minute>();
  for (const { id, end } of placed.values()) {
    const piece = pieceOf.get(id) ?? id;
    ends.set(piece, Math.max(ends.get(piece) ?? 0, end));
  }
  return ends;
}

function staysIn({ placed }: Schedule, free: readonly FreeInterval[]): number {
  return new Set([...placed.values()].map(({ start }) => stayIndex(free, start))).size;
}
