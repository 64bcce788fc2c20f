import type { Part } from '#core/facts/index';
import { dwellOn, dwells, FLASH_RUSTING } from '#core/strip/index';
import { DAY } from '#core/units/index';
import { broken, partsWithSteps, type PlacedStep, TOLERANCE, type Verified, type Violation } from './verified.ts';

/** Rules of the bare part: no stripper lies past its longest dwell, and steel that will be painted is not bare for days. */

/** Every stripper that goes on comes off in its time, patch by patch. */
export function bathViolations(verified: Verified): Violation[] {
  return partsWithSteps(verified).flatMap(({ part, steps }) =>
    steps
      .filter((step) => step.stage === 'strip-off' && step.method && dwells(step.method))
      .flatMap((off) => {
        const on = steps
          .filter((step) => step.stage === 'strip-on' && step.method === off.method && step.placed.end <= off.placed.start + TOLERANCE)
          .at(-1);
        if (!on || !off.method) return [];
        const lay = off.placed.start - on.placed.end;
        const { most } = dwellOn(off.method, part.material);
        return lay > most + TOLERANCE ? [broken('dwell', off, `it lay ${Math.round(lay)} min, ${most} at the most`)] : [];
      }),
  );
}

/** A dry box keeps steel bright for so long. */
const DRY_BOX_MINUTES = 14 * DAY;

/** From each step that bares steel to the next that works it, metal prep and primer among them, it rusts unless boxed or rubbed off. */
export function rustViolations(verified: Verified): Violation[] {
  const { clocks, facts } = verified;
  return partsWithSteps(verified)
    .filter(({ part }) => FLASH_RUSTING.includes(part.material) && willBePainted(part))
    .flatMap(({ steps }) => {
      const own = steps.filter((step) => step.keys.length > 1 || step.on.length === 1);
      return own.flatMap((step, index) => {
        const next = own.slice(index + 1).find(countsAgainstRust);
        if (!bares(step, own) || !next) return [];
        const rusts = clocks.flashRust(facts.workshop[0].sprayPlaceId, step.placed.end);
        if (next.placed.start <= rusts + TOLERANCE || next.placed.scuff) return [];
        const boxed =
          step.afterwards !== undefined ||
          own.slice(0, own.indexOf(next)).some((other) => other.afterwards !== undefined && other.placed.end >= step.placed.end);
        const inTime = next.placed.start <= step.placed.end + DRY_BOX_MINUTES + TOLERANCE;
        return boxed && inTime ? [] : [broken('flash rust', next, `the steel has been bare since “${step.title}”`)];
      });
    });
}

function willBePainted(part: Part): boolean {
  return part.layers.length > 0 && part.zones.some((zone) => zone.bare === undefined);
}

/** Sanding to metal, and the last of a stripping; scuffing paint that stays bares nothing. */
function bares(step: PlacedStep, all: readonly PlacedStep[]): boolean {
  if (step.stage === 'prep') return sands(step);
  // A wiped surface is still bare steel; only metal prep keeps it.
  if (step.stage === 'clean') return !keptBefore(step, all);
  if (step.stage !== 'strip' && step.stage !== 'strip-off') return false;
  const later = all.filter((other) => other !== step && other.placed.start >= step.placed.end - TOLERANCE);
  return !later.some(({ stage }) => stage === 'strip-on' || stage === 'strip-off' || stage === 'strip');
}

/** Old paint that stays, or metal prep that comes next, keeps the steel from here on. */
function keptBefore(step: PlacedStep, all: readonly PlacedStep[]): boolean {
  const next = all.slice(all.indexOf(step) + 1).find((other) => other.stage === 'metal-prep' || other.coat !== undefined);
  const bared = all.some((other) => other.stage === 'prep' && sands(other) && other.placed.start < step.placed.start);
  return !bared || next?.stage === 'metal-prep';
}

function sands({ acts }: PlacedStep): boolean {
  return acts.includes('dry-sand') || acts.includes('wet-sand');
}

function countsAgainstRust(step: PlacedStep): boolean {
  return (
    step.stage === 'prep' || step.stage === 'clean' || step.stage === 'metal-prep' || step.stage === 'repair' || step.coat !== undefined
  );
}
