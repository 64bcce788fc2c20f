import { capital, type Parsed, parseNumber, parseQuantity, plural } from '#core/units/index';
import { sideNames } from '#core/zones/index';
import { type Cut, type CutKind, type CutNumbers, FEATURES_COVERED, type FeatureKind, MASK_SHAPES, plain } from '#core/facts/index';

/** Ways to divide a zone: what each asks, what its zones are called at first. */

export type NumberField = {
  readonly key: 'mm' | 'fromMm' | 'longMm' | 'shortMm' | 'count' | 'share';
  readonly label: string;
  readonly usual: (zone: ZoneSize) => number | null;
};

export type ZoneSize = { readonly longMm: number; readonly tallMm: number };

export type DivisionWay = {
  readonly how: CutKind;
  readonly button: string;
  readonly fields: readonly NumberField[];
  readonly names: (name: string) => readonly string[];
  /** What is chosen from a list, where it is one of several kinds. */
  readonly kinds?: { readonly key: 'shape' | 'feature'; readonly options: readonly { readonly value: string; readonly label: string }[] };
};

const rounded = (mm: number) => Math.max(0.5, Math.round(mm * 2) / 2);

const size = (label: string, key: 'longMm' | 'shortMm', share: number): NumberField => ({
  key,
  label,
  usual: ({ longMm, tallMm }) => rounded(Math.min(longMm, tallMm) * share),
});
const count: NumberField = { key: 'count', label: 'how many', usual: () => 1 };

const FEATURES_OF_ZONES: readonly FeatureKind[] = FEATURES_COVERED.filter(
  (kind) => !['neighbour', 'clip', 'works', 'seals', 'pivots', 'tapped-posts'].includes(kind),
);

/** What is left round a panel or shapes is no longer all over. */
function restOf(name: string): string {
  return name === 'All over' ? 'Field' : name;
}

export const DIVISION_WAYS: readonly DivisionWay[] = [
  {
    how: 'line',
    button: 'by a line',
    fields: [{ key: 'mm', label: 'height above its lower edge', usual: ({ tallMm }) => rounded(tallMm / 2) }],
    names: () => ['Upper', 'Lower'],
  },
  {
    how: 'stripe',
    button: 'by a stripe',
    fields: [
      { key: 'mm', label: 'width of the stripe', usual: ({ tallMm }) => rounded(Math.min(4, tallMm / 6)) },
      { key: 'fromMm', label: 'from its lower edge', usual: ({ tallMm }) => rounded(tallMm / 2) },
    ],
    names: () => ['Above', 'Stripe', 'Below'],
  },
  {
    how: 'ends',
    button: 'front, rear',
    fields: [{ key: 'mm', label: 'length of the rear', usual: ({ longMm }) => rounded(longMm / 2) }],
    names: () => ['Front', 'Rear'],
  },
  { how: 'sides', button: 'left, right', fields: [], names: () => ['Left', 'Right'] },
  { how: 'inside', button: 'inside, outside', fields: [], names: () => ['Outside', 'Inside'] },
  {
    how: 'flip',
    button: 'one side, then the other',
    fields: [],
    names: sideNames,
  },
  {
    how: 'panel',
    button: 'a panel',
    fields: [size('length', 'longMm', 0.6), size('width', 'shortMm', 0.4), count],
    names: (name) => [restOf(name), 'Panel'],
  },
  {
    how: 'rim',
    button: 'a rim',
    fields: [{ key: 'mm', label: 'width of the rim', usual: ({ tallMm }) => rounded(Math.min(2, tallMm / 10)) }],
    names: (name) => [restOf(name), 'Rim'],
  },
  {
    how: 'shapes',
    button: 'shapes',
    fields: [size('height of one', 'longMm', 0.25), count],
    names: (name) => [restOf(name), 'Shapes'],
    kinds: { key: 'shape', options: MASK_SHAPES.map((value) => ({ value, label: value })) },
  },
  {
    how: 'feature',
    button: 'a feature',
    fields: [size('length of one', 'longMm', 0.3), size('width', 'shortMm', 0.2), count],
    names: (name) => [restOf(name), 'Feature'],
    kinds: { key: 'feature', options: FEATURES_OF_ZONES.map((value) => ({ value, label: plain(value) })) },
  },
];

function counted(text: string): Parsed {
  const value = parseNumber(text);
  return value === null ? { ok: false, mend: 'Type how many, such as 2.' } : { ok: true, value };
}

/** The typed numbers of a division, or what is wrong with each that cannot be read. */
export function readNumbers(
  fields: readonly NumberField[],
  typed: Readonly<Record<string, string>>,
  unit: string,
): { readonly numbers: CutNumbers } | { readonly problems: Readonly<Record<string, string>> } {
  const numbers: Partial<Record<NumberField['key'], number>> = {};
  const problems: Record<string, string> = {};
  for (const { key } of fields) {
    const read = key === 'count' ? counted(typed[key]) : parseQuantity(typed[key], 'length', unit);
    if (read.ok) numbers[key] = read.value;
    else problems[key] = read.mend;
  }
  return Object.keys(problems).length > 0 ? { problems } : { numbers };
}

export type Described = {
  readonly way: DivisionWay;
  readonly zone: { readonly id: string; readonly name: string };
  readonly numbers: CutNumbers;
  /** Names of the zones there are: no two are called alike. */
  readonly taken: readonly string[];
};

/** The cut a form has described, with zones of its own. */
export function cutOf({ way, zone, numbers, taken }: Described, at: string, newId: () => string): Cut {
  const kind = numbers.shape ? plural(numbers.count ?? 1, numbers.shape) : numbers.feature && plain(numbers.feature);
  const names = way.names(zone.name).map((name, index) => (kind && index === 1 ? capital(kind) : name));
  const others = taken.filter((name) => name !== zone.name);
  return { id: newId(), of: zone.id, how: way.how, numbers, at, into: names.map((name) => ({ id: newId(), name: unlike(name, others) })) };
}

function unlike(name: string, others: readonly string[]): string {
  let number = 2;
  let own = name;
  for (; others.includes(own); number++) own = `${name} ${number}`;
  return own;
}
