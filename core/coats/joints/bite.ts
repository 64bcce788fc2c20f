import type { BelowFamily, Family, Hand, Material } from '#core/facts/index';

/** Bite of a coat and resistance of what it goes on (trade §6, rule 5). */

const BITE: Record<Family, number> = {
  latex: 1,
  'waterborne-base': 1,
  'waterborne-sealer': 1,
  'water-acrylic': 1,
  'alcohol-acrylic': 2,
  'alkyd-enamel': 2,
  'acrylic-enamel': 3,
  texture: 3,
  'urethane-2k': 3,
  'epoxy-primer': 3,
  'acrylic-lacquer': 4,
  'nitro-lacquer': 4,
  'lacquer-primer': 4,
  'wood-sealer': 4,
  candy: 4,
  'solvent-base': 4,
  'etch-primer': 4,
  'high-temperature': 4,
  'rust-barrier': 4,
  dye: 5,
  // Dye and heat paint announce themselves; of the ordinary paints lacquer bites hardest.
  unknown: 4,
};

/** Bite of a paint by its family and the hand that lays it: alkyd from an aerosol carries a hotter solvent. */
export function biteOf(family: Family, by?: Hand): number {
  return family === 'alkyd-enamel' && by === 'aerosol' ? 3 : BITE[family];
}

/** Dry and cured; null: it never cures (bare basecoats, unknown old paint). */
const RESISTANCE: Record<BelowFamily, readonly [number, number | null]> = {
  'acrylic-lacquer': [2, 2],
  'nitro-lacquer': [2, 2],
  'lacquer-primer': [2, 2],
  'wood-sealer': [2, 2],
  candy: [2, null],
  'solvent-base': [2, null],
  'alkyd-enamel': [2, 3],
  'acrylic-enamel': [2, 3],
  'alcohol-acrylic': [3, 3],
  'water-acrylic': [2, 3],
  'waterborne-base': [2, null],
  'waterborne-sealer': [2, 3],
  'urethane-2k': [4, 5],
  'epoxy-primer': [4, 5],
  'etch-primer': [4, 4],
  dye: [3, 3],
  'high-temperature': [2, 3],
  'rust-barrier': [2, 4],
  texture: [2, 3],
  latex: [1, 2],
  unknown: [2, null],
  'baked-enamel': [4, 4],
  'powder-coat': [5, 5],
  'polyester-filler': [5, 5],
  putty: [2, 2],
  decal: [3, 3],
  'printed-decal': [1, 1],
};

export function filmResistance(family: BelowFamily, cured: boolean): number {
  const [dry, full] = RESISTANCE[family];
  return cured ? (full ?? dry) : dry;
}

const BARE_RESISTANCE: Record<Material, number> = {
  zinc: 5,
  steel: 5,
  galvanised: 5,
  tinplate: 5,
  'cast-iron': 5,
  aluminium: 5,
  magnesium: 5,
  brass: 5,
  wood: 5,
  resin: 5,
  pp: 5,
  abs: 3,
  vinyl: 3,
  rubber: 3,
  'plated-plastic': 3,
  polystyrene: 2,
  clear: 1,
  unknown: 1,
};

export function bareResistance(material: Material): number {
  return BARE_RESISTANCE[material];
}

const PLASTICS: readonly Material[] = ['abs', 'polystyrene', 'resin', 'clear', 'pp', 'vinyl', 'rubber', 'plated-plastic', 'unknown'];

export function isPlastic(material: Material): boolean {
  return PLASTICS.includes(material);
}

/** What is, or may be, PP or PE: nothing holds there without adhesion promoter (trade §6, rule 7). */
export function wantsPromoter(material: Material): boolean {
  return material === 'pp' || material === 'unknown';
}

/** A product made for plastics bites 1 less on these. */
export const KIND_TO: readonly Material[] = ['abs', 'polystyrene', 'resin'];

export const LACQUER_GROUP: readonly BelowFamily[] = ['acrylic-lacquer', 'lacquer-primer', 'wood-sealer', 'candy', 'solvent-base'];
export const ENAMELS: readonly BelowFamily[] = ['alkyd-enamel', 'acrylic-enamel'];
export const FLEXIBLE: readonly Material[] = ['vinyl', 'rubber'];
export const WATER_TYPES: readonly BelowFamily[] = ['water-acrylic', 'waterborne-base', 'waterborne-sealer', 'latex'];
/** Set hard and sanded matt, they hold a coat by themselves. */
export const FILLERS: readonly BelowFamily[] = ['polyester-filler', 'putty'];
export const DECALS: readonly BelowFamily[] = ['decal', 'printed-decal'];
