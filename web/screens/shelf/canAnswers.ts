import { typicalPack } from '#core/buying/index';
import { namedColour } from '#core/colour/index';
import { type Can, type Family, type Hand, type Product, type Role, roleSchema, type Sheet, type Workshop } from '#core/facts/index';
import { parseNumber, parseQuantity } from '#core/units/index';
import { z } from 'zod';

/** What a paint is thinned or cleaned with tells its family. */
export type Thinner = {
  readonly value: string;
  readonly label: string;
  readonly family: (role: Role) => Family;
  readonly hand: Hand;
};
export const THINNERS: readonly Thinner[] = [
  {
    value: 'lacquer-can',
    label: 'Spray can, lacquer thinner',
    family: (role) => (role.endsWith('primer') ? 'lacquer-primer' : 'acrylic-lacquer'),
    hand: 'aerosol',
  },
  { value: 'enamel-can', label: 'Spray can, enamel', family: () => 'acrylic-enamel', hand: 'aerosol' },
  { value: 'spirit', label: 'Mineral spirit', family: () => 'alkyd-enamel', hand: 'brush' },
  { value: 'alcohol', label: 'Alcohol or its own', family: () => 'alcohol-acrylic', hand: 'airbrush' },
  { value: 'water', label: 'Water', family: () => 'water-acrylic', hand: 'airbrush' },
  { value: 'hardener', label: 'Comes with hardener', family: () => 'urethane-2k', hand: 'aerosol' },
  { value: 'unknown', label: 'Not known', family: () => 'unknown', hand: 'aerosol' },
];
const CLEAR_HEX = '#f4f4f0';

/** A can as it was typed, read; every refusal names its field. */
export function canAnswersSchema({ units }: Workshop) {
  const volume = (text: string, context: z.RefinementCtx): number => {
    const read = parseQuantity(text, 'volume', units.volume);
    if (read.ok && read.value > 0 && read.value <= 20_000) return read.value;
    context.addIssue({ code: 'custom', message: read.ok ? 'The volume is above 0 mL and at most 20 L. Check the unit.' : read.mend });
    return z.NEVER;
  };
  return z
    .object({
      role: roleSchema,
      thinner: z.string().min(1, 'Say what it is thinned or cleaned with: that tells its family.'),
      swatch: z.array(z.string()),
      volume: z.string().transform(volume),
      left: z.string(),
      paid: z.string(),
      name: z.string().trim().max(80),
    })
    .transform((typed, context) => {
      const kind = THINNERS.find(({ value }) => value === typed.thinner);
      const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
      if (typed.swatch.length === 0 && typed.role !== 'clear') refuse('swatch', 'Choose the swatch nearest to its colour.');
      const left = typed.left.trim() ? parseQuantity(typed.left, 'volume', units.volume) : ({ ok: true, value: typed.volume } as const);
      if (!left.ok) refuse('left', left.mend);
      else if (left.value < 0 || left.value > typed.volume) refuse('left', 'What is left is between nothing and the whole can.');
      const paid = typed.paid.trim() ? parseNumber(typed.paid) : null;
      if (typed.paid.trim() && (paid === null || paid < 0)) refuse('paid', 'A price is a sum of money, such as 8,90.');
      if (!kind || !left.ok || context.issues.length > 0) return z.NEVER;
      const { role, volume: packMl, swatch, name } = typed;
      return {
        kind,
        role,
        packMl,
        hex: swatch[0] ?? CLEAR_HEX,
        leftMl: left.value,
        paid: paid === null ? null : Math.round(paid * 100),
        name,
      };
    });
}
export type TypedCan = z.input<ReturnType<typeof canAnswersSchema>>;
export type CanAnswers = z.output<ReturnType<typeof canAnswersSchema>>;

/** The sheet, the product and the can that the answers make. */
export function canFacts(
  { kind, role, packMl, hex, leftMl, paid, name }: CanAnswers,
  newId: () => string,
  now: string,
): { readonly sheet: Sheet; readonly product: Product; readonly can: Can } {
  const colour = namedColour(hex);
  const family = kind.family(role);
  const usual =
    role === 'clear' ? 'clear' : `${colour.name} ${role === 'colour' || role === 'metallic' ? 'paint' : role.replace('-', ' ')}`;
  const title = name || usual;
  const sheet: Sheet = {
    id: newId(),
    name: title,
    family,
    role,
    hand: kind.hand,
    forPlastics: false,
    isocyanate: family === 'urethane-2k',
    label: {},
    source: 'default',
  };
  const product: Product = {
    id: newId(),
    sheetId: sheet.id,
    name: title,
    lab: colour.lab,
    ...(colour.edgeOn ? { edgeOn: colour.edgeOn } : {}),
    ...(role === 'metallic' ? { flake: colour.flake ?? 'metallic' } : {}),
    transparent: false,
    typicalMl: packMl,
    typicalPrice: paid ?? typicalPack(family, role).price,
  };
  const can: Can = { id: newId(), productId: product.id, packMl, leftMl, leftAt: now, opened: leftMl < packMl, paid: paid ?? 0 };
  return { sheet, product, can };
}
