import type { Conditions } from '#core/drying/index';
import { EMPTY_FACTS, type Can, type Facts, type LogEvent, type Sheet } from '#core/facts/index';
import { DAY, HOUR, toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { canFact, cartridgeMinutes, keepingOf, letDowns, newWorkshop, readShelf, shelfCans, shelfToCsv, usesOf } from './index.ts';

/** How cans keep, what was done with them, and the shelf as a table. */

const NOW = Date.UTC(2026, 11, 1, 19) / 60_000;
const { workshop, places: usual } = newWorkshop('Europe/Lisbon');
const places = [...usual, { ...usual[0], id: 'shed', name: 'Shed' }];
const sheet = (id: string, more: Partial<Sheet>): Sheet => ({
  id,
  name: id,
  family: 'acrylic-lacquer',
  role: 'colour',
  hand: 'aerosol',
  forPlastics: false,
  isocyanate: false,
  label: {},
  source: 'default',
  ...more,
});
const sheets = [
  sheet('lacquer', {}),
  sheet('water', { family: 'water-acrylic', hand: 'airbrush' }),
  sheet('twopack', { family: 'urethane-2k', hand: 'gun' }),
];
const can = (productId: string, more: Partial<Can> = {}): Can => ({
  id: `can-${productId}`,
  productId,
  packMl: 400,
  leftMl: 300,
  leftAt: toIso(NOW - 400 * DAY),
  opened: true,
  paid: 800,
  ...more,
});
const products = sheets.map(({ id }) => ({
  id,
  sheetId: id,
  name: `Paint ${id}`,
  lab: { l: 50, a: 0, b: 0 },
  transparent: false,
  typicalMl: 400,
  typicalPrice: 800,
}));
const facts = (cans: Can[], more: Partial<Facts> = {}): Facts => ({
  ...EMPTY_FACTS,
  workshop: [workshop],
  places,
  sheets,
  products,
  cans,
  ...more,
});
const air = (tempC: number[]): Conditions =>
  Object.fromEntries(places.map(({ id }) => [id, { start: NOW, tempC, rh: tempC.map(() => 50), rests: '', measured: true }]));
const mild = air(Array.from({ length: 14 * 24 }, () => 15));
const frosty = air(Array.from({ length: 14 * 24 }, (_, hour) => (hour === 50 ? -3 : 8)));
const kinds = (own: Facts, conditions = mild) => (keepingOf(own, conditions, NOW).get(own.cans[0].id) ?? []).map(({ kind }) => kind);
const coat = (id: string, productId: string, at: number, more = {}): LogEvent => ({
  id,
  at: toIso(at),
  kind: 'done',
  pieceId: 'tram',
  stepKeys: [id],
  on: [{ partId: 'a', zoneIds: ['z'] }],
  coat: {
    layerId: 'l',
    productId,
    name: 'x',
    family: 'acrylic-lacquer',
    role: 'colour',
    lab: { l: 50, a: 0, b: 0 },
    hand: 'aerosol',
    filmUm: 12,
    placeId: places[0].id,
    ml: 10,
  },
  ...more,
});

describe('a can', () => {
  it('that is fresh, closed and nearly full says nothing', () => {
    expect(kinds(facts([can('lacquer', { opened: false })]))).toEqual([]);
    expect(kinds(facts([can('lacquer', { leftMl: 0 })]))).toEqual([]);
  });
  it.each([
    ['past its day', { expires: '2026-11-30' }, ['expired']],
    ['on its day', { expires: '2026-12-01' }, ['expiring']],
    ['within the month', { expires: '2026-12-31' }, ['expiring']],
    ['after it', { expires: '2027-01-02' }, []],
    ['nearly empty', { leftMl: 30 }, ['low']],
  ] as const)('%s is said so', (_what, more, expected) => expect(kinds(facts([can('water', { ...more })]))).toEqual(expected));
  it('of water paint freezes closed or open, hardener only once it is open, lacquer never', () => {
    expect(kinds(facts([can('water', { opened: false })]), frosty)).toEqual(['frost']);
    expect(kinds(facts([can('twopack', { opened: false })]), frosty)).toEqual([]);
    expect(kinds(facts([can('twopack')]), frosty)).toEqual(['frost']);
    expect(kinds(facts([can('lacquer', { openedOn: '2026-11-20' })]), frosty)).toEqual([]);
    expect(keepingOf(facts([can('water')]), frosty, NOW).get('can-water')?.[0].text).toContain('falls to -3 °C in 2 days');
    const ofTheirs = { ...workshop, units: { ...workshop.units, temperature: 'F', dates: 'month-first' } } as const;
    const said = keepingOf(facts([can('water', { expires: '2026-11-30' })], { workshop: [ofTheirs] }), frosty, NOW).get('can-water');
    expect(said?.map(({ text }) => text)).toEqual([expect.stringContaining('11/30/2026'), expect.stringContaining('27 °F')]);
    expect(keepingOf(facts([can('water')]), frosty, NOW + 51 * HOUR).get('can-water')).toBeUndefined();
  });
  it('freezes where it stands, not where things dry', () => {
    const [first, second] = [places[0], places[places.length - 1]];
    const conditions = { ...mild, [first.id]: frosty[first.id] };
    expect(kinds(facts([can('water', { placeId: first.id })]), conditions)).toEqual(['frost']);
    expect(kinds(facts([can('water', { placeId: second.id })]), conditions)).toEqual([]);
  });
  it('goes stale after its time, counted from when it was opened', () => {
    expect(kinds(facts([can('twopack', { openedOn: '2026-05-01' })]))).toEqual(['stale']);
    expect(kinds(facts([can('twopack', { openedOn: '2026-11-01' })]))).toEqual([]);
    // Opened by the first coat out of it.
    const own = facts([can('twopack', { opened: false })], { events: [coat('c', 'twopack', NOW - 300 * DAY)] });
    expect(kinds(own)).toEqual(['stale']);
  });
  it.each([
    ['urethane-2k', 'aerosol', 2],
    ['urethane-2k', 'gun', 180],
    ['epoxy-primer', 'gun', 180],
    ['etch-primer', 'aerosol', 365],
    ['acrylic-lacquer', 'aerosol', 3 * 365],
    ['alkyd-enamel', 'brush', 3 * 365],
    ['water-acrylic', 'airbrush', 2 * 365],
  ] as const)('of %s for the %s keeps %d days once it is open', (family, hand, days) => {
    const kind = sheet('own', { family, hand });
    const opened = (ago: number) => {
      const own = { ...can('own', { openedOn: toIso(NOW - ago * DAY).slice(0, 10) }), productId: 'own' };
      const product = { ...products[0], id: 'own', sheetId: 'own' };
      return kinds({ ...facts([own]), sheets: [...sheets, kind], products: [...products, product] }).includes('stale');
    };
    expect([opened(days), opened(days + 2)]).toEqual([false, true]);
  });
  it('says the gravest first, and how long in days, months or years', () => {
    const said = (openedOn: string) => keepingOf(facts([can('water', { openedOn })]), mild, NOW).get('can-water')?.[0].text;
    expect(said('2024-11-01')).toContain('Open for 25 months; it usually keeps 24 months');
    expect(said('2021-11-01')).toContain('Open for 5 years');
    expect(kinds(facts([can('water', { openedOn: '2021-01-01', expires: '2026-11-01', leftMl: 10 })]), frosty)).toEqual([
      'expired',
      'frost',
      'stale',
      'low',
    ]);
    const soon = air(Array.from({ length: 48 }, (_, hour) => (hour === 5 ? -2 : 8)));
    expect(keepingOf(facts([can('water')]), soon, NOW).get('can-water')?.[0].text).toContain('within a day');
    expect(kinds(facts([can('water', { placeId: 'gone' })]), frosty)).toEqual([]);
  });
  it('of spray that was not used for months may have a dry nozzle', () => {
    const used = (days: number) => facts([can('lacquer')], { events: [coat('c', 'lacquer', NOW - days * DAY)] });
    expect([kinds(used(91)), kinds(used(89)), kinds(used(20))]).toEqual([['nozzle'], [], []]);
  });
});

describe('what is known of a paint', () => {
  it('is what it was used on, and what it promised and did not hold', () => {
    const events: LogEvent[] = [
      coat('c', 'lacquer', NOW - 3 * DAY),
      coat('d', 'lacquer', NOW - DAY),
      { id: 'l', at: toIso(NOW), kind: 'let-down', productId: 'lacquer', text: 'dry to tape in an hour' },
      { id: 'm', at: toIso(NOW), kind: 'let-down', productId: 'water', text: 'covers in one' },
      { id: 'u', at: toIso(NOW), kind: 'undo', undoes: 'm' },
    ];
    const own = facts([can('lacquer')], { events });
    expect(usesOf('lacquer', own)).toEqual([{ pieceId: 'tram', ml: 20, coats: 2, last: NOW - DAY }]);
    const later = { ...coat('e', 'lacquer', NOW - 60), pieceId: 'fan' } as LogEvent;
    expect(usesOf('lacquer', { events: [...events, later] }).map(({ pieceId }) => pieceId)).toEqual(['fan', 'tram']);
    expect([letDowns('lacquer', own), letDowns('water', own)]).toEqual([['dry to tape in an hour'], []]);
  });
  it('and how long the respirator was worn since its cartridges were changed: brushed and remembered coats left out', () => {
    const brushed = coat('b', 'lacquer', NOW - 60);
    const events = [
      coat('old', 'lacquer', NOW - 9 * DAY, { minutes: 50 }),
      coat('c', 'lacquer', NOW - 90, { minutes: 12 }),
      coat('d', 'lacquer', NOW - 80),
      { ...brushed, coat: { ...(brushed.kind === 'done' && brushed.coat ? brushed.coat : {}), hand: 'brush' } } as LogEvent,
      coat('r', 'lacquer', NOW - 70, { recalled: true }),
    ];
    const since = (days: number) => ({ ...workshop, cartridgesSince: toIso(NOW - days * DAY) });
    expect(cartridgeMinutes({ workshop: [since(2)], events })).toBe(17);
    expect(cartridgeMinutes({ workshop: [since(20)], events })).toBe(67);
    // The coat of the very minute counts.
    expect(cartridgeMinutes({ workshop: [since(9)], events })).toBe(67);
    expect(cartridgeMinutes({ workshop: [workshop], events })).toBeNull();
  });
});

describe('the shelf as a table', () => {
  const own = facts([can('lacquer', { expires: '2027-03-01', placeId: places[0].id }), can('water')], {
    events: [{ id: 'buy', at: toIso(NOW - DAY), kind: 'bought', productId: 'water', packMl: 17, count: 1, paid: 290 }],
  });
  const read = (text: string) => readShelf(text, own, () => 'new', toIso(NOW));
  it('comes back as it was: nothing of any can is another', () => {
    const { cans, wrong } = read(shelfToCsv(own));
    expect(wrong).toEqual([]);
    expect(cans).toEqual(shelfCans(own).map(({ id }) => canFact(id, own)));
    expect(shelfCans({ ...own, cans: [...cans] })).toEqual(shelfCans(own));
  });
  it('with semicolons, decimal commas and a byte-order mark says the same, and what is left counts from now', () => {
    const { cans } = read('\uFEFFcan;paint;pack_ml;left_ml;opened;paid\ncan-lacquer;Paint lacquer;400;120,5;yes;8,00\n');
    expect(cans).toMatchObject([{ id: 'can-lacquer', leftMl: 120.5, leftAt: toIso(NOW), paid: 800 }]);
  });
  it('keeps what is reckoned where the table only rounds it, and opens what lacks something', () => {
    const row = (left: string, opened = 'no') =>
      read(`can,paint,pack_ml,left_ml,opened\ncan-lacquer,Paint lacquer,400,${left},${opened}\n`).cans[0];
    expect([row('300.04').leftAt, row('299.9').leftAt]).toEqual([own.cans[0].leftAt, toIso(NOW)]);
    expect([row('400').opened, row('399').opened, row('400', 'ja').opened]).toEqual([false, true, true]);
  });
  it('takes a row without an id as another can, full unless it says otherwise', () => {
    const { cans } = read('paint,pack_ml\nPaint water,17\n');
    expect(cans).toMatchObject([{ id: 'new', productId: 'water', leftMl: 17, opened: false }]);
  });
  it.each([
    ['Nobody,400,,,', 'No paint is called'],
    ['Paint water,0,,,', 'is no pack'],
    ['Paint water,17,-1,,', 'is no volume'],
    ['Paint water,17,18,,', 'More is left'],
    ['Paint water,17,,nowhere,', 'No place is called'],
    ['Paint water,17,,,can-lacquer', 'of another paint'],
    ['Paint water,17,,,gone', 'No can gone'],
  ])('names what is wrong with %s', (row, why) => {
    const { cans, wrong } = read(`paint,pack_ml,left_ml,place,can\n${row}\nPaint water,17,,,\n`);
    expect(wrong).toEqual([{ line: 2, why: expect.stringContaining(why) }]);
    expect(cans).toHaveLength(1);
  });
  it('refuses the same can twice, and a table that is none', () => {
    expect(read('can,paint,pack_ml\ncan-water,Paint water,400\ncan-water,Paint water,400\n').wrong).toMatchObject([{ line: 3 }]);
    expect(() => read('name,size\na,b\n')).toThrow(/lacks paint, pack_ml/);
  });
});

describe('a can that was bought', () => {
  const bought: LogEvent = { id: 'buy', at: toIso(NOW - DAY), kind: 'bought', productId: 'water', packMl: 17, count: 2, paid: 580 };
  const more = { ...(canFact('buy-0', facts([], { events: [bought] })) as Can), placeId: places[0].id };
  it('has more said of it without being there twice, and goes with its purchase', () => {
    const own = facts([more], { events: [bought, coat('c', 'water', NOW - 60)] });
    expect(shelfCans(own).map(({ id }) => id)).toEqual(['buy-0', 'buy-1']);
    expect(shelfCans(own).reduce((sum, { leftMl }) => sum + leftMl, 0)).toBeLessThan(34);
    const undone = facts([more], { events: [bought, { id: 'u', at: toIso(NOW), kind: 'undo', undoes: 'buy' }] });
    expect([shelfCans(undone), canFact('buy-0', undone)]).toEqual([[], null]);
  });
});
