import { flatRefused, type StackJoint } from '#core/coats/index';
import { familyDrying, labelUntilMin } from '#core/drying/index';
import { lastWipe } from '#core/prep/index';
import { workSize } from '#core/survey/index';
import { HOUR, listed, plural, workMinutes } from '#core/units/index';
import type { PartFilms, PlacedLayer, PlannedFilm } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { onceReached } from '../constraints.ts';
import { SCUFF_AT_100CM2, SCUFF_SETUP } from './coatSteps.ts';

/** A ground that a mask shuts out of its window is keyed before the tape goes on, never beside fresh graphics (trade §2, §9). */

/** Whatever is masked on this film comes after its window: tape waits longer than the film lets the next paint on unscuffed. */
export function isShutByTape(film: PlannedFilm, joint: StackJoint): boolean {
  const later = joint.branches.filter(({ state }) => state !== 'fresh');
  if (later.length === 0 || !later.every(({ scuff }) => scuff)) return false;
  const drying = familyDrying(film.family);
  const label = labelUntilMin(film.label, joint.above.role);
  const until = Math.min(drying.coatUntil ?? Number.POSITIVE_INFINITY, label === undefined ? Number.POSITIVE_INFINITY : label / HOUR);
  return drying.tape !== null && until <= drying.tape;
}

export type Ground = {
  readonly film: PlannedFilm;
  /** Its layer’s place in the stack. */
  readonly layerIndex: number;
  /** Where it lies open and takes paint later, the graphics’ own zones among them. */
  readonly zones: readonly number[];
  /** What lies open on it, gone round. */
  readonly round: readonly string[];
};

/** Scuffs a ground all over where it takes more paint: the clear over everything then asks for no paper beside fresh graphics. */
export function addKeying(chain: StepChain, films: PartFilms, { film, layerIndex, zones, round }: Ground, above: PlacedLayer): void {
  const { part } = chain.of;
  const size = workSize(
    part,
    zones.map((zone) => part.zones[zone].id),
  );
  const wipe = lastWipe(part.material, film.family);
  chain.add(
    {
      stage: 'flat',
      layerIndex,
      zones,
      acts: ['scuff', 'solvent-wipe'],
      title: `Scuff the ${film.name}`,
      minutes: SCUFF_SETUP + workMinutes(SCUFF_AT_100CM2, size, 'scuff'),
      setup: 2,
      detail: [
        'P800 wet or a grey pad, even and dull all over; the edges lightly',
        ...(round.length > 0 ? [`round ${listed(round)}, never over ${plural(round.length, 'it', 'them')}`] : []),
        `wash, dry, last wipe with ${wipe}`,
      ].join('; '),
      hazards: ['dust'],
      because: `Its window is over before it bears tape, so ${above.resolved.name} needs a key; scuffed later, the paper would run into the mask or the graphics.`,
      treatment: `scuff ${film.name}`,
    },
    [
      onceReached(film, 'flat', `the ${film.name} must be hard enough to scuff`),
      onceReached(film, 'tape', `the ${film.name} is masked next`),
    ],
  );
  films.flat(zones);
}

/** Scuffing is for films that bear paper at all. */
export function bearsKeying(layer: PlacedLayer): boolean {
  return flatRefused(layer.resolved) === null;
}
