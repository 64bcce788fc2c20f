import { type Ageing, type Reference, REFERENCE_KINDS, type ReferenceKind, type Tolerance } from '#core/facts/index';
import { besideWords } from '../words.ts';
import { colourDifference } from '../spaces.ts';
import { UNSURE_DELTA_E } from './patch.ts';

/** How far a reference can be trusted, and what is near enough to it (trade §10). */

type Kind = { readonly name: string; readonly deltaE: number; readonly because: string };

/** Photographs by trade §10; the others are defaults of this program: a good eye in two lights tells about 2. */
const KINDS: Record<ReferenceKind, Kind> = {
  'hidden-spot': { name: 'paint that saw no light', deltaE: 2, because: 'paint under a part keeps the colour it was sprayed in' },
  'unfaded-example': { name: 'a good unfaded example', deltaE: 3, because: 'another one of its kind may be of another batch' },
  chip: { name: 'a chip held on it', deltaE: 3, because: 'a chip is compared by eye' },
  code: { name: 'a colour code', deltaE: 4, because: 'a code names a recipe, not this batch; neighbouring numbers are no steps of shade' },
  'photo-card': {
    name: 'a photo with a grey card',
    deltaE: UNSURE_DELTA_E.withCard,
    because: 'a card takes the light out, not the camera',
  },
  photo: { name: 'a photo', deltaE: UNSURE_DELTA_E.without, because: 'light and camera colour a photo as they like' },
  'aged-spot': { name: 'paint that saw light', deltaE: 4, because: 'it was another colour once' },
};

/** In two lights by eye a third is gained: what matches in one may part in the other. */
const TWO_LIGHTS = 2 / 3;
const BY_EYE: readonly ReferenceKind[] = ['hidden-spot', 'unfaded-example', 'chip', 'aged-spot'];

/** What each adds, ΔE, as independent of the rest. */
const AGED: Record<Ageing, number> = { faded: 6, yellowed: 4, dirty: 3 };

/** How to look beneath what lies over a colour. */
export const LOOK_BENEATH: Record<Ageing, string> = {
  faded: 'look under a clip, a plate or a seam, or inside: where no light came it has kept its colour',
  yellowed: 'rub a coin of the clear through with compound until the cloth takes no more yellow; the colour is beneath',
  dirty: 'wash a spot with detergent and let it dry before it is read',
};

export type Trust = { readonly name: string; readonly deltaE: number; readonly because: string };

/** What a reading of this reference is good for: ± ΔE2000, and why. */
export function trustOf({ kind, light, ageings = [] }: Pick<Reference, 'kind' | 'light' | 'ageings'>): Trust {
  const { name, deltaE, because } = KINDS[kind];
  const seen = light === 'both' && BY_EYE.includes(kind) ? deltaE * TWO_LIGHTS : deltaE;
  return {
    name,
    deltaE: Math.hypot(seen, ...ageings.map((ageing) => AGED[ageing])),
    because: [because, ...(ageings.length > 0 ? [`it is ${ageings.join(' and ')}`] : [])].join('; '),
  };
}

/** The reference to go by: the surest that has been read; of equals the better kind. Undefined where none has been. */
export function bestReference(references: readonly Reference[]): Reference | undefined {
  return references
    .filter((own) => own.lab !== undefined)
    .sort(
      (one, other) =>
        trustOf(one).deltaE - trustOf(other).deltaE || REFERENCE_KINDS.indexOf(one.kind) - REFERENCE_KINDS.indexOf(other.kind),
    )[0];
}

/** ΔE2000 that is near enough: nobody tells it apart; a match in hand; a family likeness (trade §10). */
export const TOLERANCE_DELTA_E: Record<Tolerance, number> = { exact: 1, near: 2, family: 5 };

/** Two spots that were read, how far they lie from each other (ΔE2000), and whether their readings can tell them apart. */
export type SpotsApart = {
  readonly one: Reference;
  readonly other: Reference;
  readonly deltaE: number;
  /** How the one is beside the other: lighter, yellower. */
  readonly beside: readonly string[];
  /** More than what the less sure of the two may be off. */
  readonly told: boolean;
};

/** The spots of one piece among themselves, the farthest apart first: one colour that faded here and not there, or two colours. */
export function spotsApart(references: readonly Reference[]): SpotsApart[] {
  const read = references.flatMap((own) => (own.lab ? [{ own, lab: own.lab }] : []));
  return read
    .flatMap((one, index) =>
      read.slice(index + 1).map((other): SpotsApart => {
        const deltaE = colourDifference(one.lab, other.lab);
        const unsure = Math.max(trustOf(one.own).deltaE, trustOf(other.own).deltaE);
        return { one: one.own, other: other.own, deltaE, beside: besideWords(one.lab, other.lab), told: deltaE > unsure };
      }),
    )
    .sort((a, b) => b.deltaE - a.deltaE);
}
