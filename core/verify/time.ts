import { NEXT_COAT_SETUP_MINUTES } from '#core/amounts/index';
import { airAt, airVerdict, familyDrying, sprayRange } from '#core/drying/index';
import { type Hand, WORK_STAGES } from '#core/facts/index';
import { busyTime, freeIntervals } from '#core/schedule/index';
import { lastAwaited } from '#core/survey/index';
import { toMinute } from '#core/units/index';
import { broken, partsWithSteps, type PlacedStep, TOLERANCE, type Verified, type Violation } from './verified.ts';

/** Rules of the clock and the calendar: one person, free hours, one paint in the booth, right air, nothing before it is here. */

/** To clean what a paint was laid with, and for the other one, where the person says nothing else. */
const CLEANING: Readonly<Record<Hand, number>> = { aerosol: 3, airbrush: 12, gun: 20, brush: 5 };
const CHANGING = 5;

export function hourViolations({ plan, facts, steps }: Verified): Violation[] {
  const usual = freeIntervals(facts.workshop[0], plan.now, { busy: busyTime(facts) });
  // "I have 45 minutes" is said for the stay that is on, beside the hours of the workshop.
  const free = [...plan.free, ...usual];
  return steps.flatMap((step, index) => {
    const { start, end } = step.placed;
    const found: Violation[] = [];
    if (start < plan.now - TOLERANCE) found.push(broken('now', step, 'it starts in the past'));
    if (!free.some((span) => start >= span.from - TOLERANCE && end <= span.to + TOLERANCE))
      found.push(broken('free hours', step, 'it does not lie in one free stretch'));
    const before = steps[index - 1];
    if (before && start < before.placed.end - TOLERANCE) found.push(broken('one person', step, `it overlaps “${before.title}”`));
    return found;
  });
}

/** One paint in the booth at a time; and each part goes through its work in order. */
export function orderViolations(verified: Verified): Violation[] {
  const { steps, plan, facts } = verified;
  const own = facts.workshop[0]?.benchMinutes;
  const stayOf = (step: PlacedStep) => plan.free.findIndex((span) => step.placed.start < span.to);
  const booth = steps.flatMap((step, index) => {
    const [worked, sprayed] = [steps[index - 1], steps.slice(0, index).findLast((own) => own.coat)];
    const sameStay = sprayed && stayOf(sprayed) === stayOf(step);
    const changed = step.coat && sameStay && sprayed.coat?.mix !== step.coat.mix;
    const between = worked ? step.placed.start - worked.placed.end : Number.POSITIVE_INFINITY;
    const hand = sprayed?.coat?.hand ?? 'aerosol';
    const wanted = (own?.change ?? CHANGING) + (own?.cleanUp?.[hand] ?? CLEANING[hand]);
    const rushed = changed && between < wanted - TOLERANCE;
    return [
      ...(rushed ? [broken('booth', step, `only ${between.toFixed(1)} min to change the paint`)] : []),
      ...setUpViolation(step, sameStay ? sprayed : undefined, worked),
    ];
  });
  return [...booth, ...partsWithSteps(verified).flatMap(({ steps: own }) => stageOrder(own))];
}

/** Set-up is spared only behind the same work done at once, or by the paint that is still in the booth, which is shaken again. */
function setUpViolation(step: PlacedStep, sprayed: PlacedStep | undefined, worked: PlacedStep | undefined): Violation[] {
  const { saved, start } = step.placed;
  if (saved === 0) return [];
  const atOnce = worked !== undefined && worked.placed.end >= start - TOLERANCE && sameWork(worked, step);
  const stillIn = step.coat !== undefined && sprayed?.coat?.mix === step.coat.mix && sprayed.coat.hand === step.coat.hand;
  const most = atOnce ? step.setup : stillIn ? step.setup - Math.min(step.setup, NEXT_COAT_SETUP_MINUTES) : 0;
  return saved > most + TOLERANCE ? [broken('set-up', step, `${saved} min of set-up are left out, and nothing before it shares them`)] : [];
}

function sameWork(one: PlacedStep, other: PlacedStep): boolean {
  if (one.coat && other.coat) return one.coat.mix === other.coat.mix && one.coat.hand === other.coat.hand;
  return one.stage === other.stage && one.method === other.method && one.grit === other.grit;
}

const BEFORE_PAINT = WORK_STAGES.slice(0, WORK_STAGES.indexOf('clean') + 1);

/** Nothing of the surface is worked once a coat is on; the fit comes last. */
function stageOrder(steps: readonly PlacedStep[]): Violation[] {
  const firstCoat = steps.find((step) => step.coat);
  const fit = steps.find((step) => step.stage === 'fit');
  return steps.flatMap((step) => {
    const late = firstCoat && BEFORE_PAINT.includes(step.stage) && step.placed.start > firstCoat.placed.start;
    if (late) return [broken('order of work', step, 'it comes after the first coat')];
    return fit && step !== fit && step.placed.end > fit.placed.start + TOLERANCE
      ? [broken('order of work', step, 'it comes after the fit')]
      : [];
  });
}

/** A sprayed coat goes on in air that lets it. */
export function airViolations({ facts, conditions, steps }: Verified): Violation[] {
  const air = conditions[facts.workshop[0].sprayPlaceId];
  if (!air) return [];
  return steps.flatMap((step) => {
    const { coat } = step;
    if (!coat || coat.hand === 'brush') return [];
    const drying = familyDrying(coat.family);
    const sheetId = facts.products.find((product) => product.id === coat.productId)?.sheetId;
    const label = facts.sheets.find((sheet) => sheet.id === sheetId)?.label;
    const verdict = airVerdict(airAt(air, step.placed.start), sprayRange(drying.early ?? drying.mechanism, coat.family, label));
    return verdict.verdict === 'stop' ? [broken('air', step, verdict.because)] : [];
  });
}

/** Nothing starts before what it waits for is here, nor before the person wants it. */
export function parcelViolations(verified: Verified): Violation[] {
  const { plan, facts } = verified;
  const held = partsWithSteps(verified).flatMap(({ piece, part, steps }) =>
    piece.parcels
      .filter((parcel) => parcel.holds?.partId === part.id && !parcel.arrived)
      .flatMap((parcel) => {
        const awaited = lastAwaited([parcel], plan.now);
        const stage = parcel.holds?.stage;
        return (
          steps
            // What is done to the piece as a whole waits for no single part, though it has but one.
            .filter((step) => step.keys.some((key) => key.split('.')[1] === part.id))
            .filter((step) => stage === undefined || WORK_STAGES.indexOf(step.stage) >= WORK_STAGES.indexOf(stage))
            .filter((step) => awaited !== null && (awaited.at === null || step.placed.start < awaited.at - TOLERANCE))
            .map((step) => broken('parcel', step, `${parcel.name} is not here yet`))
        );
      }),
  );
  const fits = partsWithSteps(verified).flatMap(({ piece, part, steps }) =>
    part.id !== piece.parts[0].id
      ? []
      : steps
          .filter((step) => step.stage === 'fit')
          .flatMap((step) => {
            const awaited = lastAwaited(
              piece.parcels.filter((parcel) => !parcel.arrived && parcel.holds === undefined),
              plan.now,
            );
            const early = awaited !== null && (awaited.at === null || step.placed.start < awaited.at - TOLERANCE);
            return early ? [broken('parcel', step, 'what the fit waits for is not here yet')] : [];
          }),
  );
  const waits = facts.events.filter((event) => event.kind === 'wait');
  const undone = new Set(facts.events.flatMap((event) => (event.kind === 'undo' ? [event.undoes] : [])));
  const early = verified.steps.flatMap((step) => {
    const wait = waits.filter((event) => event.stepKeys.includes(step.id) && !undone.has(event.id)).at(-1);
    return wait && step.placed.start < toMinute(wait.until) - TOLERANCE
      ? [broken('put off', step, `it was put off until ${wait.until}`)]
      : [];
  });
  return [...held, ...fits, ...early];
}
