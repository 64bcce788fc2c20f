import { cleanerMl } from '../beforePaint/surfaceParts.ts';
import { papers } from '#core/prep/index';
import { lastWipe } from '#core/prep/index';
import { type Edge, plain } from '#core/facts/index';
import { maskMinutes } from '#core/masking/index';
import { workSize } from '#core/survey/index';
import { workMinutes } from '#core/units/index';
import type { PlacedLayer, PlannedFilm } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { onceReached, tapeOff, whileClean } from '../constraints.ts';

/** What follows the last coat of a layer: tape off, flatting with its wash and wipe. */

export const FLAT_AT_100CM2 = 3;
export const RINSE_AT_100CM2 = 1;

/** Tape off where a mask was put on, on the clock of the film just laid. */
export function addTapeOff(
  chain: StepChain,
  top: PlannedFilm,
  placed: PlacedLayer,
  keepers: { readonly zones: readonly number[]; readonly edges: readonly Pick<Edge, 'mm' | 'curve'>[] },
): void {
  const { resolved, index } = placed;
  if (keepers.zones.length === 0 || !wasMasked(chain, index)) return;
  const { part } = chain.of;
  chain.add(
    {
      stage: 'unmask',
      layerIndex: index,
      zones: keepers.zones,
      title: `Tape off, ${resolved.name}`,
      minutes: maskMinutes(keepers.edges, []).unmask * part.copies,
      detail: 'low, pulled back on itself; look at the edge: crisp, no bleed, nothing lifted',
      because: 'Left through full cure tape tears the edge and leaves glue.',
      treatment: `tape off ${resolved.mix}`,
      tight: true,
    },
    [tapeOff(top)],
  );
}

/** A mask of this layer is on, or will be. */
function wasMasked(chain: StepChain, layerIndex: number): boolean {
  const key = chain.keyOf({ stage: 'mask', layerIndex });
  return chain.isDone({ stage: 'mask', layerIndex }) || chain.steps.some((step) => step.keys.includes(key));
}

export function addUnmaskBare(chain: StepChain, top: PlannedFilm): void {
  chain.add(
    {
      stage: 'unmask',
      subject: 'bare',
      title: 'Unmask what takes no paint',
      minutes: 1 + chain.of.part.copies,
      because: 'Tape comes off while the edge is soft.',
      treatment: 'unmask what takes no paint',
      tight: true,
    },
    [tapeOff(top)],
  );
}

/** Flatting once the film is hard enough, then washed, dried and wiped before the next coat. False where none is asked for. */
export function addFlatting(chain: StepChain, film: PlannedFilm, placed: PlacedLayer): boolean {
  const { resolved, index, zones } = placed;
  const grit = resolved.layer.flatAfter;
  if (grit === undefined) return false;
  const { part } = chain.of;
  const size = workSize(
    part,
    zones.map((zone) => part.zones[zone].id),
  );
  const flat = chain.add(
    {
      stage: 'flat',
      layerIndex: index,
      zones,
      grit,
      title: `Flat with P${grit}, wet`,
      minutes: workMinutes(FLAT_AT_100CM2, size, 'flat'),
      setup: 2,
      detail: 'light strokes, edges last and hardly at all; paper that clogs means the film is not ready',
      hazards: ['dust'],
      because: 'Under side light: pits, seams and scratches show now or never.',
      supplies: papers([grit], size),
      treatment: `flat P${grit} ${resolved.mix}`,
    },
    [
      onceReached(film, 'flat', `the ${resolved.name} must be hard enough to sand`),
      // A label may let it be sanded before it lets it be held and wiped.
      onceReached(film, 'handle', `the ${resolved.name} must bear a hand`),
    ],
  );
  const wipe = lastWipe(part.material, film.family);
  chain.add(
    {
      stage: 'rinse',
      layerIndex: index,
      zones,
      title: 'Wash the sanding mud off, dry, wipe',
      minutes: 2 + workMinutes(RINSE_AT_100CM2, size, 'wash'),
      setup: 2,
      scuffMinutes: 2,
      detail: `rinse, dry; last wipe with ${wipe}; gloves`,
      because: `Sanding mud under the next coat shows for ever; ${plain(film.family)} bears ${wipe}.`,
      supplies: [{ kind: 'cleaner', spec: wipe, unit: 'mL', amount: cleanerMl(part) }],
      treatment: `rinse P${grit} ${resolved.mix}`,
      tight: true,
    },
    [whileClean(flat)],
  );
  return true;
}
