import type { Family, Hand, Lab, Product, Role, Sheet } from '#core/facts/index';

/** A paint that is wanted and not owned, as a layer asks for it. */
export type WantedPaint = {
  readonly name: string;
  readonly family: Family;
  readonly role: Role;
  readonly hand: Hand;
  readonly lab: Lab;
  readonly packMl: number;
  readonly price: number;
};

/** Its sheet and its product, so that it can be offered, bought and stand on the shelf; its label is still to be read. */
export function paintWanted(wanted: WantedPaint, newId: () => string): { readonly sheet: Sheet; readonly product: Product } {
  const { name, family, role, hand, lab, packMl, price } = wanted;
  const sheet: Sheet = {
    id: newId(),
    name,
    family,
    role,
    hand,
    forPlastics: false,
    isocyanate: family === 'urethane-2k',
    label: {},
    source: 'default',
  };
  return {
    sheet,
    product: { id: newId(), sheetId: sheet.id, name, lab, transparent: family === 'candy', typicalMl: packMl, typicalPrice: price },
  };
}
