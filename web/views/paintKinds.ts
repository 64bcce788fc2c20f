import type { Family, Hand, Role } from '#core/facts/index';

/** What a can says it is, in the words on its front; most of them tell the family at once. */

export type CanKind = {
  readonly value: string;
  readonly label: string;
  readonly role: Role;
  /** Absent: what it is thinned or cleaned with tells it. */
  readonly family?: Family;
  /** Gloss units it dries to, where the word says so. */
  readonly gloss?: number;
  /** In the word for a paint without a name. */
  readonly noun: string;
  /** It has no colour of its own. */
  readonly clear?: boolean;
  readonly transparent?: boolean;
};

export const CAN_KINDS: readonly CanKind[] = [
  { value: 'primer', label: 'Primer', role: 'fine-primer', noun: 'primer' },
  { value: 'filler', label: 'Filler primer', role: 'filler-primer', noun: 'filler primer' },
  { value: 'etch', label: 'Etch primer', role: 'primer', family: 'etch-primer', noun: 'etch primer' },
  { value: 'epoxy', label: 'Epoxy primer', role: 'primer', family: 'epoxy-primer', noun: 'epoxy primer' },
  { value: 'rust', label: 'Rust barrier', role: 'primer', family: 'rust-barrier', noun: 'rust barrier' },
  { value: 'colour', label: 'Colour', role: 'colour', noun: 'paint' },
  { value: 'metallic', label: 'Metallic', role: 'metallic', noun: 'metallic' },
  { value: 'base', label: 'Basecoat, to be cleared', role: 'colour', noun: 'basecoat' },
  { value: 'candy', label: 'Candy', role: 'colour', family: 'candy', noun: 'candy', transparent: true },
  { value: 'dye', label: 'Vinyl and leather dye', role: 'colour', family: 'dye', noun: 'dye' },
  { value: 'heat', label: 'High temperature', role: 'colour', family: 'high-temperature', noun: 'high-temperature paint' },
  { value: 'texture', label: 'Texture', role: 'colour', family: 'texture', noun: 'texture paint' },
  { value: 'latex', label: 'Wall paint', role: 'colour', family: 'latex', noun: 'wall paint' },
  { value: 'gloss', label: 'Clear, gloss', role: 'clear', gloss: 85, noun: 'gloss clear', clear: true },
  { value: 'satin', label: 'Clear, satin', role: 'clear', gloss: 35, noun: 'satin clear', clear: true },
  { value: 'flat', label: 'Clear, flat', role: 'clear', gloss: 10, noun: 'flat clear', clear: true },
  { value: 'sealer', label: 'Wood sealer', role: 'clear', family: 'wood-sealer', noun: 'wood sealer', clear: true },
];

/** What a paint is thinned or cleaned with tells its family. */
export type Thinner = { readonly value: string; readonly label: string; readonly family: (kind: CanKind) => Family };

export const THINNERS: readonly Thinner[] = [
  { value: 'lacquer', label: 'Lacquer thinner', family: ({ role, value }) => lacquerOf(role, value) },
  { value: 'enamel', label: 'Its enamel thinner', family: () => 'acrylic-enamel' },
  { value: 'spirit', label: 'Mineral spirit', family: () => 'alkyd-enamel' },
  { value: 'alcohol', label: 'Alcohol or its own', family: () => 'alcohol-acrylic' },
  { value: 'water', label: 'Water', family: ({ value, role }) => waterOf(role, value) },
  { value: 'hardener', label: 'Comes with hardener', family: ({ role }) => (role.endsWith('primer') ? 'epoxy-primer' : 'urethane-2k') },
  { value: 'nitro', label: 'Nitro thinner', family: () => 'nitro-lacquer' },
  { value: 'unknown', label: 'Type unknown: ask the shop', family: () => 'unknown' },
];

function lacquerOf(role: Role, value: string): Family {
  if (role.endsWith('primer')) return 'lacquer-primer';
  return value === 'base' ? 'solvent-base' : 'acrylic-lacquer';
}

function waterOf(role: Role, value: string): Family {
  if (value === 'base') return 'waterborne-base';
  return role === 'clear' ? 'waterborne-sealer' : 'water-acrylic';
}

export const HANDS_OF_CANS: readonly { readonly value: Hand; readonly label: string }[] = [
  { value: 'aerosol', label: 'Spray can' },
  { value: 'airbrush', label: 'Bottle, airbrushed' },
  { value: 'brush', label: 'Tin, brushed' },
  { value: 'gun', label: 'Tin, for the gun' },
];

/** Which clear goes with what lies below, where nobody has said another; never one with isocyanates. */
const CLEAR_OVER: Partial<Record<Family, Family>> = {
  'water-acrylic': 'waterborne-sealer',
  'waterborne-base': 'waterborne-sealer',
  'waterborne-sealer': 'waterborne-sealer',
  'acrylic-enamel': 'acrylic-enamel',
  'alkyd-enamel': 'alkyd-enamel',
  'nitro-lacquer': 'nitro-lacquer',
};

/** The family wanted of such a paint over what lies below. */
export function familyOver(kind: CanKind, below: Family | undefined): Family {
  if (kind.family) return kind.family;
  if (kind.role.endsWith('primer')) return 'lacquer-primer';
  return (below && CLEAR_OVER[below]) ?? 'acrylic-lacquer';
}
