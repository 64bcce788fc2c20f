import { DROP_ML, ingredientOf, labOf, mixedLab, overTransparent } from '#core/colour/index';
import {
  type Can,
  type Chart,
  type Facts,
  type Family,
  type Feature,
  type FeatureKind,
  type Hand,
  type Lab,
  type Label,
  type Layer,
  newPart,
  type Part,
  type Product,
  type Role,
} from '#core/facts/index';
import { toIso, toMinute } from '#core/units/index';

/** The moment the demo file speaks of; loading shifts everything from it to now. */
export const DEMO_MOMENT = toMinute('2026-12-01T19:00:00Z');

/** Moments before or after the demo's own now. */
export function demoTime(minutes: number): string {
  return toIso(DEMO_MOMENT + minutes);
}

type Paint = readonly [id: string, sheet: string, name: string, hex: string, ml: number, price: number];

/** What the labels of the demo say beyond the family: sheen, mixing and how coats go on. */
const LABELS: Record<string, Label> = {
  sanderling: { gloss: 32 },
  turnstone: { gloss: 55 },
  dunlin: { gloss: 82 },
  plover: { gloss: 25, thinning: { least: 0.3, usual: 0.5, most: 1 } },
  knot: { pattern: 'mist-then-wet', gloss: 60 },
};

type SheetRow = readonly [id: string, name: string, family: Family, role: Role, hand: Hand];

const SHEETS: readonly SheetRow[] = [
  ['turnstone', 'Turnstone lacquer', 'acrylic-lacquer', 'colour', 'aerosol'],
  ['whimbrel', 'Whimbrel fine primer', 'lacquer-primer', 'fine-primer', 'aerosol'],
  ['sanderling', 'Sanderling clear', 'acrylic-lacquer', 'clear', 'aerosol'],
  ['dunlin', 'Dunlin spray enamel', 'acrylic-enamel', 'colour', 'aerosol'],
  ['knot', 'Knot candy', 'candy', 'colour', 'airbrush'],
  ['plover', 'Plover hobby colour', 'water-acrylic', 'colour', 'airbrush'],
  ['stint', 'Stint rust barrier', 'rust-barrier', 'primer', 'aerosol'],
];

const PAINTS: readonly Paint[] = [
  ['ivory', 'turnstone', 'Turnstone ivory', '#e6dcc0', 400, 890],
  ['estuary', 'turnstone', 'Turnstone estuary blue', '#1d4b78', 400, 890],
  ['slate', 'turnstone', 'Turnstone slate', '#3c4146', 400, 890],
  ['marram', 'turnstone', 'Turnstone marram green', '#5d7c4a', 400, 890],
  ['samphire', 'turnstone', 'Turnstone samphire green', '#5e7e4b', 400, 890],
  ['primer-grey', 'whimbrel', 'Whimbrel primer, grey', '#969696', 400, 760],
  ['primer-white', 'whimbrel', 'Whimbrel primer, white', '#f0f0ee', 400, 760],
  ['satin', 'sanderling', 'Sanderling satin clear', '#ffffff', 400, 940],
  ['lock-green', 'dunlin', 'Dunlin lock green', '#2c6b3a', 400, 690],
  ['buoy-red', 'dunlin', 'Dunlin buoy red', '#c23a2a', 400, 690],
  ['soot', 'dunlin', 'Dunlin soot', '#26282a', 400, 690],
  ['candy-red', 'knot', 'Knot deep red', '#a8121c', 60, 1120],
  ['cream', 'plover', 'Plover shell cream', '#efe6cf', 17, 290],
  ['oat', 'plover', 'Plover oat cream', '#eee6cd', 17, 290],
  ['chalk', 'plover', 'Plover chalk white', '#f4f3ee', 17, 290],
  ['dune', 'plover', 'Plover dune ochre', '#c99a3c', 17, 290],
  ['peat', 'plover', 'Plover peat brown', '#64452e', 17, 290],
  ['tar', 'plover', 'Plover tar black', '#202124', 17, 290],
];

/** Polished aluminium as it shines through a transparent colour. */
export const POLISHED: Lab = { l: 84, a: 0, b: 1 };

/** The transparent red over it, as its tiles dried: a little browner than its swatch promises. */
export function redOverMetal(coats: number): Lab {
  const { l, a, b } = overTransparent(POLISHED, labOf('#9c1620'), coats);
  return { l: tenth(l), a: tenth(a), b: tenth(b) };
}

/** Mixed on the bench to touch the tram in: drops of each, a twentieth of a millilitre. */
export const TRAM_IVORY = [
  { productId: 'chalk', drops: 54 },
  { productId: 'dune', drops: 3 },
  { productId: 'peat', drops: 2 },
] as const;
export const tramIvoryParts = () => TRAM_IVORY.map(({ productId, drops }) => ({ productId, ml: Math.round(drops * DROP_ML * 100) / 100 }));

function tramIvory(): Product {
  const paintOf = (id: string) => PAINTS.find(([own]) => own === id)?.[3] ?? '#ffffff';
  const lab = mixedLab(
    TRAM_IVORY.map(({ productId }) => ingredientOf({ id: productId, lab: rounded(paintOf(productId)) })),
    TRAM_IVORY.map(({ drops }) => drops),
  );
  return {
    id: 'tram-ivory',
    sheetId: 'plover',
    name: 'Tram ivory, mixed',
    lab: { l: tenth(lab.l), a: tenth(lab.a), b: tenth(lab.b) },
    transparent: false,
    typicalMl: 17,
    typicalPrice: 290,
    mix: { parts: tramIvoryParts(), forPieceId: 'tram' },
  };
}

export const DEMO_NAMES = new Map(PAINTS.map(([id, , name]) => [id, name]));

/** Everything in the demo but its pieces and its log. */
export function workshopFacts(): Omit<Facts, 'pieces' | 'events'> {
  return {
    workshop: [
      {
        id: 'workshop',
        name: 'Breakwater bench',
        currency: 'EUR',
        timeZone: 'Europe/Lisbon',
        units: { length: 'mm', volume: 'mL', temperature: 'C', clock: 24 },
        freeHours: [
          ...[2, 3, 4].map((weekday) => ({ weekday, from: '19:00', to: '21:45' })),
          { weekday: 6, from: '10:00', to: '13:30' },
          { weekday: 7, from: '15:00', to: '18:00' },
        ],
        extraFree: [{ from: demoTime(-20), to: demoTime(210) }],
        away: [],
        hands: ['aerosol', 'airbrush', 'brush'],
        sprayPlaceId: 'shed',
        dryPlaceId: 'shed',
        started: true,
      },
    ],
    places: [
      { id: 'shed', name: 'Shed', kind: 'shed', heated: true, sleptIn: false, meanC: 16.5, swingC: 2, meanRh: 58, hasSensor: true },
      {
        id: 'spare-room',
        name: 'Spare room',
        kind: 'room',
        heated: true,
        sleptIn: false,
        meanC: 19.5,
        swingC: 1,
        meanRh: 50,
        hasSensor: false,
      },
    ],
    readings: [{ id: 'shed', placeId: 'shed', at: demoTime(-4), airC: 17.2, rh: 58, from: 'sensor' }],
    sheets: SHEETS.map(([id, name, family, role, hand]) => ({
      id,
      name,
      family,
      role,
      hand,
      forPlastics: false,
      isocyanate: false,
      label: LABELS[id] ?? {},
      source: 'label' as const,
    })),
    products: [
      ...PAINTS.map(([id, sheetId, name, hex, typicalMl, typicalPrice]) => ({
        id,
        sheetId,
        name,
        lab: rounded(hex),
        transparent: sheetId === 'knot',
        typicalMl,
        typicalPrice,
        ...(CODES[id] ? { code: CODES[id] } : {}),
      })),
      tramIvory(),
    ],
    cans: [
      can('can-ivory', 'ivory', 400, 210, 890),
      can('can-estuary', 'estuary', 400, 160, 890),
      can('can-slate', 'slate', 400, 260, 890),
      can('can-grey', 'primer-grey', 400, 330, 760),
      can('can-white', 'primer-white', 400, 90, 760),
      can('can-green', 'lock-green', 400, 340, 690),
      can('can-samphire', 'samphire', 400, 130, 890),
      can('can-candy', 'candy-red', 60, 55, 1120, { openedOn: '2026-11-14', placeId: 'spare-room' }),
      can('can-soot', 'soot', 400, 180, 690),
      can('can-red', 'buoy-red', 400, 58, 690),
      can('can-chalk', 'chalk', 17, 14, 290),
      can('can-chalk-2', 'chalk', 17, 17, 290),
      can('can-oat', 'oat', 17, 16, 290),
      can('can-dune', 'dune', 17, 11, 290, { openedOn: '2024-09-02', expires: '2026-12-18' }),
      can('can-peat', 'peat', 17, 2, 290),
      can('can-tar', 'tar', 17, 9, 290),
    ],
    shops: [
      { id: 'quay', name: 'Quay hardware', delivery: 0, leadDays: 1 },
      { id: 'lantern', name: 'Lantern hobby post', delivery: 490, freeOver: 4500, leadDays: 3 },
      { id: 'saltmarsh', name: 'Saltmarsh paints', delivery: 650, minimum: 1500, leadDays: 4 },
    ],
    offers: [
      offer('quay', 'satin', 400, 890),
      offer('quay', 'primer-grey', 400, 790),
      offer('quay', 'soot', 400, 720),
      offer('quay', 'buoy-red', 400, 720),
      offer('lantern', 'estuary', 400, 860),
      offer('lantern', 'satin', 400, 940),
      offer('lantern', 'cream', 17, 290),
      offer('lantern', 'candy-red', 60, 1120),
      offer('lantern', 'marram', 400, 870),
      offer('saltmarsh', 'estuary', 400, 790),
      offer('saltmarsh', 'marram', 400, 790),
    ],
    agreed: [],
    airSeries: [],
    systems: [],
    stock: [],
    charts: [harbourChart()],
    calendars: [],
    budgets: [
      ...Object.entries(BUDGETS).map(([pieceId, amount]) => ({ id: `budget-${pieceId}`, pieceIds: [pieceId], amount })),
      { id: 'budget-parlour', name: 'For the parlour', pieceIds: ['lamp', 'balance'], amount: 3800 },
      { id: 'budget-december', month: '2026-12', amount: 9000 },
    ],
    lots: [
      {
        id: 'attic',
        name: 'Two boxes from an attic',
        paid: 3600,
        postage: 790,
        boughtOn: '2026-10-12',
        split: 'by-worth',
        pieces: [{ pieceId: 'crane' }, { pieceId: 'roller' }, { pieceId: 'vane' }],
      },
    ],
    goods: [
      paper('quay', 400, 4, 140),
      paper('quay', 600, 4, 140),
      paper('lantern', 600, 10, 290),
      paper('lantern', 1500, 10, 320),
      tape('lantern', 'fine line 3 mm', 33, 390),
    ],
  };
}

/** Numbers on the labels of some paints. */
const CODES: Readonly<Record<string, string>> = { ivory: 'T 11', estuary: 'T 27', marram: 'T 34', samphire: 'T 35' };

/** What may be spent on each piece, minor units. */
const BUDGETS = { tram: 5500, roller: 6000, seaplane: 5000, crane: 7000, fan: 4500, vane: 4000, lamp: 900 };

function paper(shopId: string, grit: number, amount: number, price: number): Facts['goods'][number] {
  const of = { kind: 'supply', supply: 'paper', spec: `P${grit}`, unit: 'sheet' } as const;
  return { id: `${shopId}-P${grit}`, shopId, of, amount, price, seenOn: '2026-11-20' };
}

function tape(shopId: string, spec: string, metres: number, price: number): Facts['goods'][number] {
  const of = { kind: 'supply', supply: 'tape', spec, unit: 'm' } as const;
  return { id: `${shopId}-tape`, shopId, of, amount: metres, price, seenOn: '2026-11-20' };
}

function rounded(hex: string) {
  const { l, a, b } = labOf(hex);
  return { l: tenth(l), a: tenth(a), b: tenth(b) };
}

function can(id: string, productId: string, packMl: number, leftMl: number, paid: number, more: Partial<Can> = {}): Can {
  return { id, productId, packMl, leftMl, leftAt: demoTime(-12 * 1440), opened: leftMl < packMl, paid, ...more };
}

function offer(shopId: string, productId: string, packMl: number, price: number) {
  return { id: `${shopId}-${productId}`, shopId, productId, packMl, price, seenOn: '2026-11-24' };
}

/** A layer of a product; `covers` all unless zones are named. */
export function coatsOf(id: string, productId: string, coats: number, more: Partial<Layer> = {}): Layer {
  return { id, productId, coats, covers: 'all', ...more };
}

/** A part of one zone, all over. */
export function simplePart(id: string, name: string, more: Partial<Part> & Pick<Part, 'material' | 'faces' | 'layers'>): Part {
  return newPart({ id, name, ...more });
}

/** Features of a part by their kinds, one of each. */
export function features(...kinds: FeatureKind[]): Feature[] {
  return kinds.map((kind) => ({ id: kind, kind, count: 1 }));
}

export function face(id: string, longMm: number, shortMm: number, count = 1, zoneId = 'all', seen = true) {
  return { id, zoneId, longMm, shortMm, count, seen };
}

function tenth(value: number): number {
  return Math.round(value * 10) / 10;
}

/** A chart of the harbour's own colours, held beside what is painted. */
const HARBOUR_CHART: readonly (readonly [string, string])[] = [
  ['Mole white', '#eceae2'],
  ['Sandbank', '#d8c79c'],
  ['Line ivory', '#e7dabf'],
  ['Ferry yellow', '#e0b02c'],
  ['Buoy red', '#b8352a'],
  ['Bollard brown', '#5c4230'],
  ['Weed green', '#4c7048'],
  ['Channel blue', '#21507e'],
  ['Fog', '#a7acb0'],
  ['Tar', '#232528'],
];

function harbourChart(): Chart {
  return { id: 'harbour', name: 'Harbour chart', colours: HARBOUR_CHART.map(([name, hex]) => ({ name, lab: rounded(hex) })) };
}
