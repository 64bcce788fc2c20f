import { capital, counted } from '#core/units/index';
import { plain } from '#core/facts/index';
import { PAPER_PRICE, STRIPPER_PRICE } from '#core/strip/index';
import type { Stock, SupplyKind, SupplyLine, SupplyUnit } from '#core/facts/index';

/** What is used up beside paint, as lines by kind: papers by grit, tape by width, stripper, gloves, cups (trade §12). */

/** One line by its own name: kind and spec. */
export function supplyKey({ kind, spec }: Pick<SupplyLine, 'kind' | 'spec'>): string {
  return `${kind} ${spec}`;
}

/** Lines of the same kind and spec added up, in the order they first came. */
export function addedUp(lines: readonly SupplyLine[]): SupplyLine[] {
  const sums = new Map<string, SupplyLine>();
  for (const line of lines) {
    const known = sums.get(supplyKey(line));
    sums.set(supplyKey(line), known ? { ...known, amount: known.amount + line.amount } : line);
  }
  return [...sums.values()];
}

const WHOLE: readonly SupplyUnit[] = ['sheet', 'pair', 'piece'];

/** What has to be at hand: whole sheets, pairs and pieces, metres to a tenth, mL whole. */
export function roundedUp({ amount, ...line }: SupplyLine): SupplyLine {
  if (WHOLE.includes(line.unit)) return { ...line, amount: Math.ceil(amount - 1e-6) };
  return { ...line, amount: line.unit === 'm' ? Math.ceil(amount * 10 - 1e-6) / 10 : Math.ceil(amount - 1e-6) };
}

/** Usual prices, minor units of money for one unit; a stock row's own price comes before them. */
const USUAL_PRICE: Record<SupplyKind, number> = {
  paper: PAPER_PRICE,
  pad: 90,
  tape: 25,
  cover: 15,
  stripper: 2.4,
  cleaner: 1.2,
  'metal-prep': 1.5,
  filler: 6,
  promoter: 8,
  compound: 5,
  protection: 1.5,
  gloves: 25,
  'tack-cloth': 120,
  cup: 15,
  'spare-part': 100,
};

/** Strippers differ too much for one price. */
const STRIPPERS: Readonly<Record<string, number>> = Object.fromEntries(
  Object.entries(STRIPPER_PRICE).map(([method, price]) => [plain(method), price]),
);

/** What one unit costs, minor units of money, and what that rests on. */
export function unitPrice(line: Pick<SupplyLine, 'kind' | 'spec'>, stock: readonly Stock[]): { price: number; source: 'own' | 'default' } {
  const own = stock.find((row) => row.kind === line.kind && row.spec === line.spec)?.unitPrice;
  const usual = (line.kind === 'stripper' ? STRIPPERS[line.spec] : undefined) ?? USUAL_PRICE[line.kind];
  return own === undefined ? { price: usual, source: 'default' } : { price: own, source: 'own' };
}

/** As a shop would call it: "Paper P400", "Tape, fine line 3 mm", "Solvent gel". */
export function supplyName({ kind, spec }: Pick<SupplyLine, 'kind' | 'spec'>): string {
  if (kind === 'paper') return `Paper ${spec}`;
  return kind === 'tape' || kind === 'gloves' || kind === 'spare-part' ? `${capital(kind)}, ${spec}` : capital(spec);
}

/** "5 sheets", "4.2 m": an amount in the unit of its kind. */
export function supplyText(amount: number, unit: SupplyUnit): string {
  const rounded = Math.round(amount * 10) / 10;
  return unit === 'm' || unit === 'mL' ? `${rounded} ${unit}` : counted(rounded, unit);
}
