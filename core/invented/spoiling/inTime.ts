import { DAY } from '#core/units/index';
import { AROUND, pick, placedOf, type PlacedStep, type Spoil, type Spoilt, startingAt, twoOnAPart, withStep } from './spoil.ts';

/** Steps at another hour than theirs. */

const SHIFTS = [-4320, -1440, -240, -45, -10, 10, 45, 240, 1440, 4320, 20_000];
const LATER = [60, DAY, 2 * DAY, 7 * DAY, 14 * DAY];

function shifted(steps: readonly PlacedStep[], ...[plan, facts, random]: Parameters<Spoil>): Spoilt | null {
  const step = pick(steps, random);
  const by = pick(SHIFTS, random) ?? 0;
  return step ? { what: `${step.title} ${by} min away`, plan: startingAt(plan, step, step.placed.start + by), facts } : null;
}

export const IN_TIME: readonly Spoil[] = [
  (plan, facts, random) => shifted(placedOf(plan), plan, facts, random),
  (plan, facts, random) => {
    const coats = placedOf(plan).filter(({ coat }) => coat);
    return shifted(coats, plan, facts, random);
  },
  function atAnEdgeOfItsWindow(plan, facts, random) {
    const windowed = placedOf(plan).filter(({ window }) => window);
    const step = pick(windowed, random);
    if (!step?.window) return null;
    const { from, to } = step.window;
    const edge = to !== null && random() < 0.7 ? to : from;
    const off = pick(AROUND, random) ?? 0;
    return {
      what: `${step.title} ${off} min off where its window ${edge === to ? 'shuts' : 'opens'}`,
      plan: startingAt(plan, step, edge + off),
      facts,
    };
  },
  function atAnEdgeOfAStay(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const stay = pick(plan.free, random);
    if (!step || !stay) return null;
    const off = pick(AROUND, random) ?? 0;
    const ends = random() < 0.5;
    const start = ends ? stay.to + off : stay.from + off;
    return { what: `${step.title} ${off} min off the ${ends ? 'end' : 'beginning'} of a stay`, plan: startingAt(plan, step, start), facts };
  },
  function behindAnother(plan, facts, random) {
    const [step, other] = [pick(placedOf(plan), random), pick(placedOf(plan), random)];
    if (!step || !other || step === other) return null;
    const off = pick(AROUND, random) ?? 0;
    return { what: `${step.title} ${off} min off the end of ${other.title}`, plan: startingAt(plan, step, other.placed.end + off), facts };
  },
  function longBehindAnother(plan, facts, random) {
    const two = twoOnAPart(plan, random);
    const later = pick(LATER, random) ?? DAY;
    const off = pick(AROUND, random) ?? 0;
    if (!two) return null;
    const [step, other] = two;
    return {
      what: `${step.title} ${later} min and ${off} behind ${other.title}`,
      plan: startingAt(plan, step, other.placed.end + later + off),
      facts,
    };
  },
  function beforeItsPart(plan, facts, random) {
    const two = twoOnAPart(plan, random);
    if (!two) return null;
    const [step, other] = two;
    return { what: `${step.title} before ${other.title}`, plan: startingAt(plan, step, other.placed.start - step.minutes), facts };
  },
  function pinned(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const by = pick(SHIFTS, random) ?? 0;
    if (!step) return null;
    const start = step.placed.start + by;
    const moved = startingAt(plan, step, start);
    return { what: `${step.title} pinned ${by} min away`, plan: withStep(moved, step.id, (own) => ({ ...own, pinnedTo: start })), facts };
  },
];
