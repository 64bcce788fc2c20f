import { isMetal, type Material } from '#core/facts/index';

export type Cleaner = { readonly name: string; readonly removes: string; readonly notOn: readonly Material[]; readonly notOnText: string };

const PLASTICS: readonly Material[] = ['abs', 'polystyrene', 'resin', 'clear', 'pp', 'vinyl', 'plated-plastic', 'unknown'];

/** Cleaners and what they must not meet (BRIEF §5). */
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
export function lastWipe(material: Material): string {
  if (material === 'polystyrene' || material === 'clear' || material === 'unknown') return 'isopropyl alcohol';
  if (isMetal(material)) return 'wax-and-grease remover';
  return 'plastic prep cleaner';
}
