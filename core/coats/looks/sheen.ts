import type { Family, Label, Role, Sheen } from '#core/facts/index';

/** Gloss in units at 60°, and the levers that reach another (trade §7). Judged only after dry-down: satins look glossy wet. */

const BANDS: readonly (readonly [Sheen, number])[] = [
  ['flat', 10],
  ['satin', 35],
  ['semi-gloss', 70],
  ['gloss', 100],
];

/** Gloss units that stand for a sheen seen by eye. */
export const SHEEN_UNITS: Record<Sheen, number> = { flat: 5, satin: 22, 'semi-gloss': 52, gloss: 85 };

export function sheenName(gloss: number): Sheen {
  return BANDS.find(([, most]) => gloss <= most)?.[0] ?? 'gloss';
}

const USUAL: Partial<Record<Family, number>> = {
  'alkyd-enamel': 85,
  'acrylic-enamel': 80,
  'urethane-2k': 90,
  'acrylic-lacquer': 60,
  'nitro-lacquer': 65,
  'alcohol-acrylic': 40,
  'water-acrylic': 20,
  'waterborne-base': 15,
  'waterborne-sealer': 30,
  'solvent-base': 20,
  candy: 60,
  'rust-barrier': 60,
  texture: 8,
  'high-temperature': 12,
  latex: 15,
};
const PRIMER_GLOSS = 5;
const LACQUER_CLEAR_GLOSS = 75;

/** Gloss a film dries to: label, else the family's usual. */
export function glossOf(family: Family, role: Role, label?: Label): { gloss: number; source: 'label' | 'default' } {
  if (label?.gloss !== undefined) return { gloss: label.gloss, source: 'label' };
  if (role.endsWith('primer')) return { gloss: PRIMER_GLOSS, source: 'default' };
  if (family === 'acrylic-lacquer' && role === 'clear') return { gloss: LACQUER_CLEAR_GLOSS, source: 'default' };
  return { gloss: USUAL[family] ?? 50, source: 'default' };
}

/** Ways from the gloss a stack dries to, to the one wanted; empty where it is reached. */
export function sheenLevers(gloss: number, wanted: Sheen, top: { readonly role: Role; readonly label?: Label }): string[] {
  const have = sheenName(gloss);
  if (have === wanted) return [];
  const higher = BANDS.findIndex(([name]) => name === wanted) > BANDS.findIndex(([name]) => name === have);
  const hardener = top.label?.hardener?.glossAtMost;
  if (higher)
    return [
      `a ${wanted} clear on top`,
      ...(top.role === 'clear' ? ['flat and polish it: P1500, P2000, P3000, compound'] : []),
      ...(hardener && hardener > 0 ? [`hardener at the top of its range, up to ${hardener} units more`] : []),
    ];
  return [
    `a ${wanted} clear or the product’s own ${wanted}`,
    'flattener stirred into the last coat, within the label',
    ...(hardener && hardener < 0 ? [`hardener at the top of its range, down to ${-hardener} units less`] : []),
  ];
}
