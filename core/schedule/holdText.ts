import type { Minute } from '#core/units/index';
import type { Activity, Gap, Placed, Problem } from './model.ts';
import type { Slot } from './timeline.ts';

/** Why a step begins when it does and not sooner, in words. */

type Around = {
  readonly problem: Pick<Problem, 'free' | 'now'>;
  /** What the activity waits for. */
  readonly gaps: readonly Gap[];
  readonly endOf: (id: string) => Minute;
};

/** The gap that opens last before a start. */
type Binding = { readonly gap: Gap; readonly with?: string; readonly from: Minute };

export function holdOf(activity: Activity, slot: Slot, around: Around): Placed['hold'] {
  if (activity.notBefore !== undefined && slot.start <= activity.notBefore + 1)
    return { by: 'notBefore', text: activity.notBeforeWhy ?? 'asked not to start sooner' };
  const binding = bindingGap(slot.start, around);
  if (slot.hold.by === 'window')
    return binding ? { by: 'window', with: binding.with, text: binding.gap.reason } : { by: 'nothing', text: 'it can start at once' };
  const text = {
    person: 'you are at another step',
    calendar: calendarText(activity, slot.start, binding, around),
    resource: 'another paint is in the booth; it must be cleared first',
    places: 'every place where it could dry is taken',
    vessel: 'what it goes into is taken until then',
    conditions: 'the air is not right sooner',
    notBefore: '',
    nothing: 'it can start at once',
  }[slot.hold.by];
  return { by: slot.hold.by, with: slot.hold.with ?? binding?.with, text };
}

/** What made it miss the stay before this one, where something did; else there was none it could have used. */
function calendarText(activity: Activity, start: Minute, binding: Binding | null, { problem: { free, now } }: Around): string {
  const missed = free.findLast((span) => span.to <= start + 1e-6 && span.to > now);
  const lastStart = missed ? missed.to - activity.minutes : Number.POSITIVE_INFINITY;
  const why =
    (activity.notBefore ?? 0) > lastStart ? activity.notBeforeWhy : binding && binding.from > lastStart ? binding.gap.reason : undefined;
  return why ? `${why}; these are your next free hours` : 'these are your next free hours';
}

function bindingGap(start: Minute, { gaps, endOf }: Around): Binding | null {
  let latest: Binding | null = null;
  for (const gap of gaps) {
    const span = gap.allowed(endOf).find((stretch) => start >= stretch.from - 1e-6 && (stretch.to === null || start <= stretch.to + 1e-6));
    if (span && (!latest || span.from > latest.from)) latest = { gap, with: gap.from.at(-1), from: span.from };
  }
  return latest;
}
