import { boothLoads, LYING_APART_MM } from '#core/amounts/index';
import type { Part, Piece } from '#core/facts/index';
import type { Activity, Load, Problem } from '#core/schedule/index';
import { PRACTICE } from '#core/strip/index';
import { type Minute, toMinute } from '#core/units/index';
import { resolveRef, type PlanContext, type Ref } from '../../films/index.ts';
import type { Step } from '../../steps/index.ts';

/** Ovens and tubs as the schedule needs them: a part lies in the oven for its spell, in the tub from stripper on to paint off. */

/** The part of a vessel that the parts of a step take; never more than all of it. */
function shareOf(step: Step, pieces: readonly Piece[], floor: { readonly longMm: number; readonly wideMm: number }): number {
  const parts = pieces.find(({ id }) => id === step.pieceId)?.parts ?? [];
  const own = step.on.flatMap(({ partId }): Part[] => parts.filter(({ id }) => id === partId));
  return Math.min(
    1,
    own.reduce((sum, part) => sum + boothLoads(part, floor, LYING_APART_MM).share, 0),
  );
}

/** When the stripper of a bath went on, for the step that takes the part out again. */
function bathSince({ stage, method, constraints }: Step): { readonly since: Ref; readonly least: number } | null {
  if (stage !== 'strip-off' || !method || !PRACTICE[method].bath) return null;
  const [dwell] = constraints.flatMap(({ rule }) => (rule.is === 'dwell' ? [rule] : []));
  return dwell ?? null;
}

/** What a step takes up, where it takes up any. */
export function vesselOf(step: Step, { workshop, facts }: PlanContext): Pick<Activity, 'loads'> {
  const { oven, tub } = workshop;
  const { warm } = step;
  if (warm?.by === 'oven' && oven) {
    const load = { what: 'oven', batch: `${warm.surfaceC} ${warm.minutes}`, share: shareOf(step, facts.pieces, oven) };
    return { loads: (_start, end) => ({ ...load, from: end, to: end + warm.minutes }) };
  }
  const bath = tub ? bathSince(step) : null;
  // What lies in a bath by the log is there, whatever else wants the tub.
  if (!tub || !bath || 'at' in bath.since) return {};
  const load = { what: 'tub', batch: step.treatment ?? step.id, share: shareOf(step, facts.pieces, tub) };
  return { loads: (_start, end, endOf) => ({ ...load, from: resolveRef(bath.since, endOf), to: end }) };
}

/** Vessels there are, and what is in them now by the log. */
export function vesselsOf(steps: readonly Step[], { workshop, facts, history, now }: PlanContext): Pick<Problem, 'vessels'> {
  const { oven, tub } = workshop;
  if (!oven && !tub) return {};
  const taken = [
    ...(tub ? steps.flatMap((step) => bathLoad(step, facts.pieces, tub, now)) : []),
    ...history.events.flatMap((event): Load[] => {
      if (event.kind !== 'warmed' || event.by !== 'oven') return [];
      const from = toMinute(event.at);
      const to = from + event.minutes;
      return to > now ? [{ what: 'oven', batch: `${event.surfaceC} ${event.minutes}`, share: 1, from, to }] : [];
    }),
  ];
  return { vessels: { counts: { tub: workshop.tubs ?? 1 }, taken } };
}

function bathLoad(step: Step, pieces: readonly Piece[], tub: { longMm: number; wideMm: number }, now: Minute): Load[] {
  const bath = bathSince(step);
  if (!bath || !('at' in bath.since)) return [];
  const from = bath.since.at;
  return [
    { what: 'tub', batch: step.treatment ?? step.id, share: shareOf(step, pieces, tub), from, to: Math.max(now, from + bath.least) + 1 },
  ];
}
