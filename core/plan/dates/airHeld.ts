import type { Place, Workshop } from '#core/facts/index';
import { type FreeInterval, stayIndex } from '#core/schedule/index';
import { dayText, HOUR, listedShort, type Minute } from '#core/units/index';
import type { SprayAir } from './holding/air.ts';
import type { PlannedStep } from './plannedStep.ts';

/** Free stays in which nothing of a piece is done because no air for its next coat comes in them: said before anybody stands there. */

const MOST_DAYS = 4;

/** One sentence for each thing that is wrong with the air, with the days it spoils. */
export function airNotes(
  steps: readonly PlannedStep[],
  free: readonly FreeInterval[],
  air: SprayAir,
  { sprayPlaceId, timeZone }: Workshop,
  places: readonly Place[],
): string[] {
  const where = places.find(({ id }) => id === sprayPlaceId)?.name ?? 'the booth';
  const spoilt = new Map<string, Set<string>>();
  for (const { stay, because } of heldStays(steps, free, air)) {
    const days = spoilt.get(because) ?? new Set();
    spoilt.set(because, days.add(dayText(free[stay].from, timeZone)));
  }
  return [...spoilt].map(([because, days]) => `No coat in ${where} on ${listedShort([...days], MOST_DAYS)}: ${because}`);
}

type Held = { readonly stay: number; readonly because: string };

/** Stays between the first coat of one stay and the work before it. */
function heldStays(steps: readonly PlannedStep[], free: readonly FreeInterval[], air: SprayAir): Held[] {
  const placed = steps
    .flatMap((step) => (step.placed ? [{ step, stay: stayIndex(free, step.placed.start) }] : []))
    .sort((one, other) => (one.step.placed?.start ?? 0) - (other.step.placed?.start ?? 0));
  return placed.flatMap(({ step: { coat }, stay }, index) => {
    const earlier = placed.slice(0, index);
    if (!coat || earlier.some((own) => own.stay === stay && own.step.coat)) return [];
    const last = Math.max(-1, ...earlier.filter((own) => own.stay < stay).map((own) => own.stay));
    return free.slice(last + 1, stay).flatMap((span, at): Held[] => {
      const because = throughout(span, (moment) => air.stops(coat, moment));
      return because ? [{ stay: last + 1 + at, because }] : [];
    });
  });
}

/** What stops a coat at every hour of a stay, as it is at its beginning. */
function throughout({ from, to }: FreeInterval, stops: (moment: Minute) => string | null): string | null {
  for (let moment = from; moment < to; moment += HOUR) if (stops(moment) === null) return null;
  return stops(from);
}
