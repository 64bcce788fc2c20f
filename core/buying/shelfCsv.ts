import { type Can, canSchema, type Facts } from '#core/facts/index';
import { parseMoney, parseNumber } from '#core/units/index';
import { canFact, shelfCans } from './shelf.ts';
import { named, readTable, tableText, type WrongLine } from './table.ts';

/** The cans on the shelf as a table both ways: one row a can, paint and place by name; money as sums, volumes in mL. */

const COLUMNS = ['can', 'paint', 'code', 'pack_ml', 'left_ml', 'opened', 'opened_on', 'expires', 'place', 'paid'] as const;
type Column = (typeof COLUMNS)[number];

export function shelfToCsv(facts: Facts): string {
  const rows = shelfCans(facts).flatMap((can) => {
    const fact = canFact(can.id, facts);
    const product = facts.products.find(({ id }) => id === can.productId);
    if (!fact || !product) return [];
    return [
      {
        can: can.id,
        paint: product.name,
        code: product.code ?? '',
        pack_ml: can.packMl,
        left_ml: Math.round(can.leftMl * 10) / 10,
        opened: can.opened ? 'yes' : 'no',
        opened_on: fact.openedOn ?? '',
        expires: fact.expires ?? '',
        place: facts.places.find(({ id }) => id === fact.placeId)?.name ?? '',
        paid: (can.paid / 100).toFixed(2),
      },
    ];
  });
  return tableText(rows, COLUMNS);
}

export type ReadShelf = { readonly cans: readonly Can[]; readonly wrong: readonly WrongLine[] };

/**
 * Reads such a table. A row with the id of a can that stands there changes it, one without is another can; what is left counts from
 * now on where it differs. Cans without a row stay as they are. @throws RangeError where it is no such table
 */
export function readShelf(text: string, facts: Facts, newId: () => string, now: string): ReadShelf {
  const currency = facts.workshop[0]?.currency ?? 'EUR';
  const seen = new Set<string>();
  const { rows, wrong } = readTable<Column, Can>(text, ['paint', 'pack_ml'], (row) => {
    const can = canOf(row, facts, currency, newId, now);
    if (typeof can === 'string') return can;
    if (seen.has(can.id)) return `The can ${can.id} stands twice in the table: empty the first column of one of them.`;
    seen.add(can.id);
    return can;
  });
  return { cans: rows, wrong };
}

const YES = /^(yes|y|ja|1|true|x)$/i;
const NO = /^(no|n|nein|0|false|)$/i;
/** Less than this is the rounding of the table, mL. */
const SAME_ML = 0.06;

function canOf(
  row: Readonly<Partial<Record<Column, string>>>,
  facts: Facts,
  currency: string,
  newId: () => string,
  now: string,
): Can | string {
  const { can = '', paint = '', pack_ml = '', left_ml = '', opened = '', opened_on = '', expires = '', place = '', paid = '' } = row;
  const product = named(facts.products, paint);
  if (!product) return `No paint is called “${paint}”: enter one can of it first, or write it as it is here.`;
  const [packMl, left] = [parseNumber(pack_ml), left_ml === '' ? undefined : parseNumber(left_ml)];
  if (packMl === null || packMl <= 0) return `“${pack_ml}” is no pack: type its mL, above 0.`;
  if (left === null || (left !== undefined && left < 0)) return `“${left_ml}” is no volume: type the mL that are left, 0 or more.`;
  const known = can === '' ? null : canFact(can, facts);
  if (can !== '' && !known) return `No can ${can} stands here: empty its first column to enter it as another.`;
  if (known && known.productId !== product.id) return `The can ${can} is of another paint here: empty its first column to enter another.`;
  if (!YES.test(opened) && !NO.test(opened)) return `Opened: write yes or no, not “${opened}”.`;
  const at = place === '' ? undefined : named(facts.places, place);
  if (place !== '' && !at) return `No place is called “${place}”: write it as it is here, or leave it empty.`;
  const cost = paid === '' ? undefined : parseMoney(paid, currency);
  if (cost && !cost.ok) return cost.mend;
  const reckoned = shelfCans(facts).find(({ id }) => id === known?.id)?.leftMl;
  const same = left === undefined || (reckoned !== undefined && Math.abs(reckoned - left) < SAME_ML);
  const parsed = canSchema.safeParse({
    id: known?.id ?? newId(),
    productId: product.id,
    packMl,
    leftMl: known && same ? known.leftMl : (left ?? packMl),
    leftAt: known && same ? known.leftAt : now,
    opened: YES.test(opened) || (left !== undefined && left < packMl),
    ...(opened_on === '' ? {} : { openedOn: opened_on }),
    ...(expires === '' ? {} : { expires }),
    ...(at ? { placeId: at.id } : {}),
    paid: cost?.value ?? known?.paid ?? 0,
  });
  return parsed.success ? parsed.data : parsed.error.issues[0].message;
}
