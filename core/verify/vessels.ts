import { boothLoads, LYING_APART_MM } from '#core/amounts/index';
import { mayBeWarmed, warmthLimit } from '#core/drying/index';
import type { Facts, Part } from '#core/facts/index';
import { freeIntervals, type Load, lotsOf } from '#core/schedule/index';
import { PRACTICE } from '#core/strip/index';
import { joinedSpans } from '#core/units/index';
import { broken, type PlacedStep, TOLERANCE, type Verified, type Violation } from './verified.ts';

/** Ovens and tubs hold one load at a time; a film is warmed after its flash-off, no hotter than all of the part bears, and attended. */

export function vesselViolations(verified: Verified): Violation[] {
  return [...tooMany(verified, 'oven', ovenLoads(verified)), ...tooMany(verified, 'tub', bathLoads(verified)), ...warmViolations(verified)];
}

type StepLoad = { readonly step: PlacedStep; readonly load: Load };

function ovenLoads({ steps, facts }: Verified): StepLoad[] {
  const { oven } = facts.workshop[0];
  return steps.flatMap((step) => {
    const { warm, placed } = step;
    if (warm?.by !== 'oven' || !oven) return [];
    const batch = `${warm.surfaceC} ${warm.minutes}`;
    return [{ step, load: { what: 'oven', batch, share: shareOf(step, facts, oven), from: placed.end, to: placed.end + warm.minutes } }];
  });
}

function bathLoads({ steps, facts }: Verified): StepLoad[] {
  const { tub } = facts.workshop[0];
  return steps.flatMap((step) => {
    if (step.stage !== 'strip-off' || !step.method || !PRACTICE[step.method].bath || !tub) return [];
    const [, , , subject, number] = step.keys[0].split('.');
    const on = steps.find(
      (own) =>
        own.stage === 'strip-on' && own.pieceId === step.pieceId && own.keys.includes(step.keys[0].replace('.strip-off.', '.strip-on.')),
    );
    const batch = `${step.method} ${subject} ${number}`;
    return on ? [{ step, load: { what: 'tub', batch, share: shareOf(step, facts, tub), from: on.placed.end, to: step.placed.end } }] : [];
  });
}

function shareOf(step: PlacedStep, facts: Facts, floor: { readonly longMm: number; readonly wideMm: number }): number {
  const share = partsOf(step, facts).reduce((sum, part) => sum + boothLoads(part, floor, LYING_APART_MM).share, 0);
  return Math.min(1, share);
}

function partsOf({ pieceId, on }: PlacedStep, facts: Facts): Part[] {
  const parts = facts.pieces.find(({ id }) => id === pieceId)?.parts ?? [];
  return on.flatMap(({ partId }) => parts.filter(({ id }) => id === partId));
}

function tooMany({ facts }: Verified, what: 'oven' | 'tub', loads: readonly StepLoad[]): Violation[] {
  const most = what === 'tub' ? (facts.workshop[0].tubs ?? 1) : 1;
  return loads.flatMap(({ step, load }) => {
    const within = loads.map((own) => own.load).filter(({ from, to }) => from <= load.from && to > load.from + TOLERANCE);
    return lotsOf(within).length > most ? [broken(what, step, 'it is taken then')] : [];
  });
}

function warmViolations({ steps, facts, plan, clocks }: Verified): Violation[] {
  const workshop = facts.workshop[0];
  const home = freeIntervals(
    { ...workshop, freeHours: [...workshop.freeHours, ...(workshop.atHome ?? [])], longestStay: undefined },
    plan.now,
  );
  const attended = joinedSpans([...plan.free, ...home]);
  return steps.flatMap((step, index) => {
    const { warm, placed } = step;
    if (!warm) return [];
    const found: Violation[] = [];
    const until = placed.end + warm.minutes;
    if (warm.by === 'oven' && !attended.some(({ from, to }) => placed.start >= from - TOLERANCE && until <= to + TOLERANCE))
      found.push(broken('at home', step, 'nobody is at home while the oven is on'));
    for (const other of steps) {
      const meets =
        other !== step && other.pieceId === step.pieceId && other.on.some(({ partId }) => step.on.some((own) => own.partId === partId));
      if (meets && other.placed.end > placed.end + TOLERANCE && other.placed.start < until - TOLERANCE)
        found.push(broken('at hand', other, 'the part lies in the warm then'));
    }
    for (const { partId } of step.on) {
      const before = steps
        .slice(0, index)
        .filter(({ coat, pieceId, on }) => coat && pieceId === step.pieceId && on.some((own) => own.partId === partId));
      const part = partsOf(step, facts).find(({ id }) => id === partId);
      const families = before.flatMap(({ coat }) => coat?.family ?? []);
      if (part && warm.surfaceC > warmthLimit([part.material], families).limitC)
        found.push(broken('warmth', step, 'it is hotter than that bears'));
      const last = before.at(-1);
      const from = last?.coat ? mayBeWarmed(last.coat.family, workshop.dryPlaceId, last.placed.end, clocks) : null;
      if (from !== null && placed.start < from - TOLERANCE) found.push(broken('flash-off', step, 'the film has not flashed off'));
    }
    return found;
  });
}
