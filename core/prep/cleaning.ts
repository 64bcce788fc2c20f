import { type Family, isMetal, type Material } from '#core/facts/index';

export type Cleaner = { readonly name: string; readonly removes: string; readonly notOn: readonly Material[]; readonly notOnText: string };

const PLASTICS: readonly Material[] = ['abs', 'polystyrene', 'resin', 'clear', 'pp', 'vinyl', 'rubber', 'plated-plastic', 'unknown'];
const HOBBY_ACRYLICS: readonly Family[] = ['alcohol-acrylic', 'water-acrylic'];

/** Cleaners and what they must not meet (trade §5). */
export const CLEANERS: readonly Cleaner[] = [
  { name: 'warm water and detergent', removes: 'handling grease, sanding mud', notOn: [], notOnText: 'dry at once on steel' },
  { name: 'mineral spirit', removes: 'oil, wax, polish', notOn: ['rubber'], notOnText: 'foam, rubber' },
  {
    name: 'wax-and-grease remover',
    removes: 'silicone, polish, prints',
    notOn: ['polystyrene', 'clear', 'unknown'],
    notOnText: 'styrene and clear plastic unless marked plastic-safe',
  },
  { name: 'isopropyl alcohol', removes: 'prints, light grease', notOn: [], notOnText: 'any hobby acrylic' },
  { name: 'acetone', removes: 'everything, fast', notOn: PLASTICS, notOnText: 'any plastic, any paint to be kept' },
  {
    name: 'plastic prep cleaner',
    removes: 'mould release, trim dressing',
    notOn: ['steel', 'cast-iron', 'tinplate', 'unknown'],
    notOnText: 'bare steel',
  },
];

/** The last wipe before a coat on this material. */
export function lastWipe(material: Material, below?: Family): string {
  if (below && HOBBY_ACRYLICS.includes(below)) return 'warm water and detergent';
  if (material === 'polystyrene' || material === 'clear' || material === 'unknown') return 'isopropyl alcohol';
  if (isMetal(material) || material === 'wood') return 'wax-and-grease remover';
  return 'plastic prep cleaner';
}

export type CleaningPlan = {
  readonly steps: readonly string[];
  readonly forbidden: readonly { readonly name: string; readonly why: string }[];
};

/** Which end the washing begins with; both schools end grease-free and dry (trade §5, §16). */
export type WashOrder = 'soap-first' | 'spirit-first';

/**
 * Cleaning from grease to tack cloth for a material and what it keeps.
 * @param keepsPaint old paint stays on it, so nothing may dissolve it
 */
export function cleaningPlan(
  material: Material,
  { keepsPaint, below, order = 'soap-first' }: { keepsPaint: boolean; below?: Family; order?: WashOrder },
): CleaningPlan {
  const dry = material === 'steel' || material === 'cast-iron' || material === 'tinplate' ? 'rinse, dry at once by warm air' : 'rinse, dry';
  const degrease = material === 'rubber' || keepsPaint ? lastWipe(material, below) : 'mineral spirit';
  const soap = 'wash in warm water and detergent';
  const steps = [
    ...(order === 'soap-first' ? [soap] : [`wipe with ${degrease}`, soap]),
    dry,
    'abrade',
    'wash the sanding mud off',
    dry,
    `wipe with ${lastWipe(material, below)}: one cloth wet on, one dry off`,
    'gloves from here on',
    'tack cloth with a light hand, then spray',
  ];
  const forbidden = CLEANERS.flatMap((cleaner) => {
    if (cleaner.notOn.includes(material)) return [{ name: cleaner.name, why: `it is not used on ${cleaner.notOnText}` }];
    if (keepsPaint && cleaner.name === 'acetone') return [{ name: cleaner.name, why: 'it takes the paint that stays' }];
    if (below && HOBBY_ACRYLICS.includes(below) && cleaner.name === 'isopropyl alcohol')
      return [{ name: cleaner.name, why: 'it dissolves hobby acrylic' }];
    return [];
  });
  return { steps, forbidden };
}
