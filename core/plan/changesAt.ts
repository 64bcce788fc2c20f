import type { Minute } from '#core/units/index';
import type { Plan } from './plan.ts';

/** The air is known by the hour, and a step put off moves with the clock: later than this a plan is always made anew, minutes. */
const AT_MOST = 15;

/**
 * The first minute at which this plan would be another one though nothing was entered: a step that should have begun, a film that
 * opens, shuts or gets dry, or a quarter of an hour later. Until then the minute alone has passed.
 */
export function changesAt({ now, steps, hanging }: Pick<Plan, 'now' | 'hanging'> & { readonly steps: readonly Timed[] }): Minute {
  const starts = steps.flatMap(({ placed }) => (placed ? [placed.start] : []));
  const films = hanging.flatMap(({ hung }) => (hung ? Object.values(hung.times) : []));
  const next = [...starts, ...films].filter((at): at is Minute => at !== null && at > now);
  // What should begin now is late with the next minute.
  const due = starts.some((at) => at <= now) ? now + 1 : Number.POSITIVE_INFINITY;
  return Math.min(due, now + AT_MOST, ...next);
}

type Timed = { readonly placed: { readonly start: Minute } | null };
