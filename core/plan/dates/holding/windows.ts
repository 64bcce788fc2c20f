import type { DryingClocks } from '#core/drying/index';
import type { Allowed, Gap, Placed, Schedule } from '#core/schedule/index';
import { type EndOf, timesOf } from '../../films/index.ts';
import { allowedBy, gapOf, stepsLookedAt } from '../../steps/index.ts';
import type { Minute } from '#core/units/index';
import type { Constraint, Step } from '../../steps/index.ts';
import type { PlannedStep } from '../plannedStep.ts';

/** The stretch of all gaps to a placed step at once in which it may start, and when the next one would open. */
function windowOf(
  placed: Placed,
  result: Schedule,
  gaps: readonly (Gap & { readonly waits: boolean })[],
  now: Minute,
): Pick<PlannedStep, 'window' | 'opens' | 'missedUntil' | 'missedScuffs'> {
  let window: { from: Minute; to: Minute | null } = { from: 0, to: null };
  let missed: Allowed | undefined;
  let opens = { at: now, why: '' };
  for (const gap of gaps) {
    if (!gap.from.every((id) => result.placed.has(id))) continue;
    const spans = gap.allowed((id) => (result.placed.get(id) as Placed).end);
    // The stretch that is on, or comes next, whichever of them it was planned into.
    const next = spans.find(({ to }) => to === null || to >= now);
    if (gap.waits && next && next.from > opens.at) opens = { at: next.from, why: gap.reason };
    const at = spans.findIndex(
      (stretch) => placed.start >= stretch.from - 1e-6 && (stretch.to === null || placed.start <= stretch.to + 1e-6),
    );
    const span = spans[at];
    if (!span) continue;
    if (span.to !== null && (window.to === null || span.to < window.to)) missed = spans[at + 1];
    const to = span.to === null ? window.to : window.to === null ? span.to : Math.min(span.to, window.to);
    window = { from: Math.max(window.from, span.from), to };
  }
  return { window, ...(opens.why ? { opens } : {}), missedUntil: missed?.from ?? null, ...(missed?.scuff ? { missedScuffs: true } : {}) };
}

/** Set by the scheduler on what only waits for another step. */
const WAITS = 'waits for a step that has no date';

/** Why a step has no date: its own reason, or that of the step it waits for. */
function whyUnplaced(steps: readonly Step[], result: Schedule): (step: Step) => Pick<PlannedStep, 'unplacedWhy' | 'heldBy'> {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const own = new Map(result.unplaced.map(({ id, why }) => [id, why]));
  const open = steps.filter(({ id }) => !result.placed.has(id));
  const holdersOf = (step: Step): readonly Step[] =>
    step.constraints.flatMap(stepsLookedAt).flatMap((id) => {
      const other = byId.get(id);
      return other && !result.placed.has(id) ? [other] : [];
    });
  const said = new Map<string, string>();
  for (const step of open) {
    const reason = step.stopped ?? own.get(step.id);
    if (reason !== undefined && reason !== WAITS) said.set(step.id, reason);
  }
  // From the roots outwards, so that steps which wait for each other still hear what holds one of them.
  for (let heard = -1; heard < said.size; ) {
    heard = said.size;
    for (const step of open) {
      if (said.has(step.id)) continue;
      const before = holdersOf(step).find(({ id }) => said.has(id));
      const why = before && said.get(before.id);
      if (why) said.set(step.id, why.startsWith('waits for') ? why : `waits for “${before.title}”: ${why}`);
    }
  }
  // Where no step has a reason of its own, the one that is waited for is named, so that nobody takes it for one.
  return (step) => {
    const unplacedWhy = said.get(step.id) ?? WAITS;
    const [holder] = unplacedWhy === WAITS ? holdersOf(step) : [];
    return holder ? { unplacedWhy, heldBy: holder.id } : { unplacedWhy };
  };
}

/** Bright steel that cannot be primed in its hours waits in a dry box: said on the step before. */
const DRY_BOX =
  'then into a dry box, or wrapped tight in film where none is large enough, with a bag of drying agent; bare steel rusts within hours in the open';

/** Sooner than this by force is worth no risk, minutes. */
const WORTH_FORCING = 60;

/** When a mask that waits for tape-safe films could be forced: once all of them bear a hand. */
function forcedMask(step: Step, placed: Placed, clocks: DryingClocks, endOf: EndOf): Minute | null {
  const films =
    step.stage === 'mask' ? step.constraints.flatMap(({ rule }) => (rule.is === 'stage' && rule.stage === 'tape' ? [rule.film] : [])) : [];
  const hands = films.map((film) => timesOf(film, clocks, endOf).handle);
  if (hands.length === 0 || hands.includes(null)) return null;
  const from = Math.max(...(hands as Minute[]));
  return from + WORTH_FORCING < placed.start ? from : null;
}

/** Until when what is mixed for a coat may be used. */
function mixOf({ constraints }: Step, clocks: DryingClocks, endOf: EndOf): Pick<PlannedStep, 'mixGoodUntil'> {
  const ends = constraints.flatMap(({ rule }) => (rule.is === 'pot-life' ? (allowedBy(rule, clocks, endOf)[0]?.to ?? []) : []));
  return ends.length === 0 ? {} : { mixGoodUntil: Math.min(...ends) };
}

/** Rules by which a film or a dwell must be waited for; all else is an order of steps. */
const WAITS_FOR: readonly Constraint['rule']['is'][] = ['next-coat', 'on-film', 'stage', 'flashed-off', 'tape-off', 'dwell', 'pot-life'];

/** All steps with their places, their windows, and what has to be done with the part afterwards. */
export function withWindows(steps: readonly Step[], result: Schedule, clocks: DryingClocks, now: Minute): PlannedStep[] {
  const why = whyUnplaced(steps, result);
  const boxed = new Set<string>();
  const endOf = (id: string) => (result.placed.get(id) as Placed).end;
  const planned = steps.map((step): PlannedStep => {
    const placed = result.placed.get(step.id) ?? null;
    if (!placed) return { ...step, placed, ...why(step), window: null, missedUntil: null };
    for (const constraint of step.constraints) {
      if (constraint.rule.is !== 'before-rust') continue;
      const [inTime] = allowedBy(constraint.rule, clocks, endOf);
      if (inTime && inTime.to !== null && placed.start > inTime.to + 1e-6) for (const id of stepsLookedAt(constraint)) boxed.add(id);
    }
    const gaps = step.constraints.map((constraint) => ({
      ...gapOf(step.id, constraint, clocks),
      waits: WAITS_FOR.includes(constraint.rule.is),
    }));
    const forcedFrom = forcedMask(step, placed, clocks, endOf);
    return {
      ...step,
      minutes: Math.round(placed.end - placed.start),
      placed,
      ...windowOf(placed, result, gaps, now),
      ...(forcedFrom === null ? {} : { forcedFrom }),
      ...mixOf(step, clocks, endOf),
    };
  });
  return planned.map((step) => (boxed.has(step.id) ? { ...step, afterwards: DRY_BOX } : step));
}
