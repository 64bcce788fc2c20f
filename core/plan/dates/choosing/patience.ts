import { familyDrying } from '#core/drying/index';
import { type Activity, type Problem, type Schedule, schedule } from '#core/schedule/index';
import type { Minute } from '#core/units/index';
import type { Step } from '../../steps/index.ts';

/**
 * The next layer on as soon as it may go can end later: films that are laid on soft ones dry together, as one thick film. Where a
 * piece ends sooner with a layer left for the next stay, that is planned.
 */

/** Less than this is no gain: dates are whole evenings. */
const WORTH_MINUTES = 60;
const WHY = 'the film below dries first: laid on it soft, both would take longer and the piece end later';

export type Patient = { readonly problem: Problem; readonly result: Schedule };

/** The problem with layers that wait on purpose, where all pieces together end sooner for it; else as it was. */
export function withPatience(problem: Problem, steps: readonly Step[]): Patient {
  const asIs = { problem, result: schedule(problem) };
  const pieces = new Map<string, Step[]>();
  for (const step of steps) if (step.stopped === undefined) pieces.set(step.pieceId, [...(pieces.get(step.pieceId) ?? []), step]);
  const waits = new Map([...pieces.values()].flatMap((own) => [...waitsOf(own, problem, asIs.result)]));
  if (waits.size === 0) return asIs;
  const patient = delayed(problem, waits);
  const tried = { problem: patient, result: schedule(patient) };
  const ends = ({ result }: Patient) => [...pieces.values()].reduce((sum, own) => sum + endOf(own, result), 0);
  const lost = tried.result.unplaced.length > asIs.result.unplaced.length;
  return lost || ends(tried) > ends(asIs) - WORTH_MINUTES ? asIs : tried;
}

/** First coats of one piece that had better wait, each with the moment from which on; found with the piece by itself. */
function waitsOf(own: readonly Step[], problem: Problem, planned: Schedule): Map<string, Minute> {
  const eager = own.filter((step) => isEager(step, planned));
  const waits = new Map<string, Minute>();
  if (eager.length === 0 || own.some((step) => !planned.placed.has(step.id))) return waits;
  const alone = onlyOf(own, problem);
  let best = schedule(alone);
  for (const step of eager) {
    const start = best.placed.get(step.id)?.start;
    const next = start === undefined ? undefined : problem.free.find((span) => span.from > start)?.from;
    if (next === undefined) continue;
    const tried = new Map([...waits, [step.id, next] as const]);
    const result = schedule(delayed(alone, tried));
    if (result.unplaced.length > best.unplaced.length || endOf(own, result) > endOf(own, best) - WORTH_MINUTES) continue;
    waits.set(step.id, next);
    best = result;
  }
  return waits;
}

/** The first coat of a layer on a film of the same stay; what needs its clear gets that as it is meant to. */
function isEager({ id, coat, constraints }: Step, { placed }: Schedule): boolean {
  const start = placed.get(id)?.start;
  if (coat?.number !== 1 || start === undefined) return false;
  return constraints.some(({ rule }) => {
    if (rule.is !== 'on-film' || familyDrying(rule.film.family).needsClear) return false;
    const { last } = rule.film;
    const end = 'at' in last ? last.at : placed.get(last.step)?.end;
    return end !== undefined && start - end < SAME_STAY;
  });
}

const SAME_STAY: Minute = 8 * 60;

function onlyOf(own: readonly Step[], problem: Problem): Problem {
  const ids = new Set(own.map(({ id }) => id));
  return {
    ...problem,
    activities: problem.activities.filter(({ id }) => ids.has(id)),
    gaps: problem.gaps.filter((gap) => ids.has(gap.to) && gap.from.every((id) => ids.has(id))),
  };
}

function delayed(problem: Problem, waits: ReadonlyMap<string, Minute>): Problem {
  const later = (activity: Activity): Activity => {
    const from = waits.get(activity.id);
    if (from === undefined || (activity.notBefore ?? 0) >= from) return activity;
    return { ...activity, notBefore: from, notBeforeWhy: WHY };
  };
  return { ...problem, activities: problem.activities.map(later) };
}

function endOf(own: readonly Step[], { placed }: Schedule): Minute {
  return Math.max(0, ...own.map(({ id }) => placed.get(id)?.end ?? 0));
}
