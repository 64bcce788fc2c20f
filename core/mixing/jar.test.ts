import { CAN_RESIDUE, PAINT_DENSITY } from '#core/amounts/index';
import { lostPaint, shelfCans } from '#core/buying/index';
import { colourDifference, DROP_ML, labOf, recipesFor } from '#core/colour/index';
import { type Facts, factsSchema, type Label, type LogEvent, type Product } from '#core/facts/index';
import { NOW, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  benchPaints,
  bottleTinted,
  flattenedBy,
  gramsOf,
  inTheJar,
  jarOfMix,
  keepsUntil,
  lookOf,
  mixedGloss,
  mixedPaint,
  mostTint,
  nearestPaints,
  putRight,
  rangesOf,
  tintTable,
  wholeBottle,
} from './index.ts';

/** A mix from its cup to its end: put right, made larger, tinted by weight, lost; the shelf adds up all along. */

const lacquerSheet = (id: string, label: Label = {}) => ({ ...sheetOf('acrylic-lacquer'), id, label });
function sheetOf(family: string) {
  const own = shelf.sheets.find((sheet) => sheet.family === family && sheet.role === 'colour');
  if (!own) throw new Error(`no sheet of ${family}`);
  return own;
}
const paint = (id: string, hex: string, sheetId = 'gloss', more: Partial<Product> = {}): Product => ({
  ...shelf.products[0],
  id,
  sheetId,
  name: id,
  lab: labOf(hex),
  transparent: false,
  typicalMl: 100,
  typicalPrice: 500,
  ...more,
});
const can = (productId: string, leftMl: number) => ({
  id: `can-${productId}`,
  productId,
  packMl: 100,
  leftMl,
  leftAt: toIso(NOW - 9000),
  opened: true,
  paid: 400,
});
const WHITE = paint('white', '#f4f4f0');
const OCHRE = paint('ochre', '#c89838');
const BROWN = paint('brown', '#6b4a30');
const FLAT = paint('soot', '#262626', 'flat');
const bench = (left: Record<string, number>, products: Product[] = [], events: LogEvent[] = []): Facts => ({
  ...shelf,
  sheets: [
    ...shelf.sheets,
    lacquerSheet('gloss', { gloss: 85 }),
    lacquerSheet('flat', { gloss: 8 }),
    lacquerSheet('weak', { tintAtMost: 2 }),
  ],
  products: [WHITE, OCHRE, BROWN, FLAT, ...products],
  cans: Object.entries(left).map(([id, ml]) => can(id, ml)),
  events,
});
const FULL = { white: 100, ochre: 60, brown: 30, soot: 40 };
const paints = benchPaints(bench(FULL));
const TARGET = labOf('#e6dcc0');
const [recipe] = recipesFor({ target: TARGET, paints: paints.slice(0, 3), maxPaints: 3, drops: 30 });
let given = 0;
const newId = () => `id-${++given}`;
const mixed = (times = 3) => {
  const poured = recipe.portions.map(({ id, drops }) => ({ id, drops: drops * times }));
  const made = mixedPaint({ name: 'Ivory', poured, lab: recipe.lab, paints, pieceId: 'bell' }, toIso(NOW), newId);
  if (!made) throw new Error('nothing was mixed');
  return made;
};
const allMl = (facts: Facts) => shelfCans(facts).reduce((sum, own) => sum + own.leftMl, 0);
const worth = (facts: Facts) => shelfCans(facts).reduce((sum, own) => sum + (own.leftMl / own.packMl) * own.paid, 0);

describe('a jar', () => {
  it('is put right by what is poured into it: the bottles give it, the recipe and the colour follow', () => {
    const { product, event } = mixed();
    const before = bench(FULL, [product], [event]);
    const jar = jarOfMix(before, product.id);
    if (!jar) throw new Error('no jar');
    const correction = { additions: [{ id: 'white', drops: 6 }], lab: labOf('#ece4cc') };
    const mended = putRight(product, jar, correction, toIso(NOW + 5), 'mend');
    const after = bench(FULL, [mended.product], [event, mended.event]);
    expect(factsSchema.safeParse(after).error).toBeUndefined();
    expect(allMl(after)).toBeCloseTo(allMl(before), 9);
    expect(jarOfMix(after, product.id)?.leftMl).toBeCloseTo(jar.leftMl + 6 * DROP_ML, 9);
    expect(shelfCans(after).filter((own) => own.productId === product.id)).toHaveLength(1);
    expect(mended.product.lab).toEqual(correction.lab);
    const ml = (own: Product, id: string) => own.mix?.parts.find((part) => part.productId === id)?.ml ?? 0;
    expect(ml(mended.product, 'white')).toBeCloseTo(ml(product, 'white') + 6 * DROP_ML, 6);
    expect(worth(after)).toBeCloseTo(worth(before), 0);
    // Undone, all of it is back where it was.
    const undone = bench(FULL, [product], [event, mended.event, { id: 'u', at: toIso(NOW + 9), kind: 'undo', undoes: 'mend' }]);
    expect(shelfCans(undone)).toEqual(shelfCans(before));
  });
  it('half used up holds half of each paint, and drops count for more', () => {
    const { product, event } = mixed();
    const used: LogEvent = { id: 'w', at: toIso(NOW + 2), kind: 'weighed', canId: `${event.id}-0`, leftMl: 1 };
    const facts = bench(FULL, [product], [event, used]);
    const jar = jarOfMix(facts, product.id);
    if (!jar) throw new Error('no jar');
    expect(inTheJar(product, jar.leftMl).reduce((sum, { drops }) => sum + drops, 0)).toBeCloseTo(1 / DROP_ML, 9);
    const { product: mended } = putRight(product, jar, { additions: [{ id: 'brown', drops: 2 }], lab: TARGET }, toIso(NOW + 5), 'm');
    const whole = mended.mix?.parts.reduce((sum, part) => sum + part.ml, 0);
    expect(whole).toBeCloseTo(1 + 2 * DROP_ML, 9);
  });
  it('weighed since is not filled a second time by what went in before', () => {
    const { product, event } = mixed();
    const pour: LogEvent = {
      id: 'p',
      at: toIso(NOW + 2),
      kind: 'mixed',
      productId: product.id,
      parts: [{ productId: 'white', ml: 1 }],
      intoCanId: `${event.id}-0`,
    };
    const weighed: LogEvent = { id: 'w', at: toIso(NOW + 3), kind: 'weighed', canId: `${event.id}-0`, leftMl: 2 };
    expect(jarOfMix(bench(FULL, [product], [event, pour, weighed]), product.id)?.leftMl).toBe(2);
  });
  it('that is lost is empty, and what it had cost is counted to the piece it was for', () => {
    const { product, event } = mixed();
    const before = bench(FULL, [product], [event]);
    const jar = jarOfMix(before, product.id);
    const spoiled: LogEvent = { id: 's', at: toIso(NOW + 5), kind: 'spoiled', canId: jar?.id ?? '', why: 'curdled', pieceId: 'bell' };
    const after = bench(FULL, [product], [event, spoiled]);
    expect(jarOfMix(after, product.id)).toBeUndefined();
    expect(lostPaint(after)).toEqual([{ canId: jar?.id, productId: product.id, ml: jar?.leftMl, cost: jar?.paid, pieceId: 'bell' }]);
    expect(lostPaint(before)).toEqual([]);
    // A can that is not there, or is empty by then, costs nothing.
    expect(
      lostPaint(
        bench(FULL, [product], [event, spoiled, { ...spoiled, id: 't', at: toIso(NOW + 6) }, { ...spoiled, id: 'x', canId: 'none' }]),
      ),
    ).toHaveLength(1);
  });
  it('made large is the bottle that remains in the cup’s own proportion, and the cup goes back into it', () => {
    const { product, event } = mixed();
    const facts = bench(FULL, [product], [event]);
    const bottle = wholeBottle(product, benchPaints(facts));
    const jar = jarOfMix(facts, product.id);
    if (!bottle || !jar) throw new Error('no bottle');
    expect(bottle.base.id).toBe('white');
    const into = bottleTinted(product, jar, bottle, toIso(NOW + 5), 'bottle');
    const after = bench(FULL, [product], [event, into]);
    expect(allMl(after)).toBeCloseTo(allMl(facts), 9);
    const parts = Object.fromEntries(into.parts.map((part) => [part.productId, part.ml]));
    for (const part of product.mix?.parts ?? [])
      expect(parts[part.productId] / parts.white).toBeCloseTo(
        part.ml / (product.mix?.parts.find((own) => own.productId === 'white')?.ml ?? 1),
        9,
      );
    expect(bottle.tints.every(({ enough }) => enough)).toBe(true);
    const scarce = wholeBottle(product, benchPaints(bench({ ...FULL, brown: CAN_RESIDUE * 100 + 1 }, [product], [event])));
    expect(scarce?.tints.some(({ enough }) => !enough)).toBe(true);
    expect(wholeBottle(product, benchPaints(bench(FULL)).slice(1))).toBeNull();
  });
});

describe('a bottle tinted by weight', () => {
  it('has the per cent of the paint it goes into: 0.8 g in 32 g are 2.5 %, and 2.8 g in 112 g', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 100, noNaN: true }), (ml) => {
        for (const row of tintTable(paints[0], paints[2], ml, TARGET)) {
          expect((100 * row.tintG) / gramsOf(WHITE, ml)).toBeCloseTo(row.percent, 9);
          expect(row.tintMl).toBeCloseTo(row.tintG / PAINT_DENSITY, 9);
          expect(row.deltaE).toBeCloseTo(colourDifference(row.lab, TARGET), 9);
        }
      }),
      { seed: 8, numRuns: 30 },
    );
    const grams = (baseG: number) => tintTable(paints[0], paints[2], baseG / PAINT_DENSITY, null, [2.5])[0].tintG;
    expect([grams(32), grams(112)].map((own) => own.toFixed(2))).toEqual(['0.80', '2.80']);
  });
  it('gets darker with every step of a dark tint, and weak where its label says so', () => {
    const rows = tintTable(paints[0], paints[2], 50, null);
    const light = rows.map(({ lab }) => lab.l);
    expect(light).toEqual([...light].sort((a, b) => b - a));
    expect(rows.every(({ weakens, deltaE }) => !weakens && deltaE === null)).toBe(true);
    const weak = benchPaints(bench({ ...FULL, base: 90 }, [paint('base', '#f4f4f0', 'weak')])).find(({ id }) => id === 'base');
    if (!weak) throw new Error('no base');
    expect(tintTable(weak, paints[2], 50, null).flatMap(({ percent, weakens }) => (weakens ? [percent] : []))).toEqual([2.5, 3, 4, 5]);
    expect(mostTint(weak)).toEqual({ percent: 2, source: 'label' });
    expect(mostTint(paints[0]).source).toBe('default');
  });
  it('says where the tint is not enough', () => {
    const scarce = { ...paints[2], ml: 0.4 };
    const rows = tintTable(paints[0], scarce, 50, null);
    expect(rows.filter(({ enough }) => enough).map(({ percent }) => percent)).toEqual([0.5]);
  });
});

describe('a flat paint in a gloss', () => {
  it('takes more of the gloss than its share, and is named', () => {
    const flat = paints.find(({ id }) => id === 'soot');
    const portions = (soot: number) => [{ id: 'white', drops: 20 - soot }, ...(soot > 0 ? [{ id: 'soot', drops: soot }] : [])];
    expect(mixedGloss(portions(0), paints)).toBeCloseTo(85, 6);
    const tenth = mixedGloss(portions(2), paints);
    expect(tenth).toBeLessThan(0.9 * 85 + 0.1 * 8 - 3);
    expect(mixedGloss(portions(6), paints)).toBeLessThan(tenth);
    expect(flattenedBy(portions(2), paints)).toMatchObject({ flat: { id: flat?.id }, from: 85 });
    expect(
      flattenedBy(
        [
          { id: 'white', drops: 9 },
          { id: 'ochre', drops: 3 },
        ],
        paints,
      ),
    ).toBeNull();
    const made = mixedPaint({ name: 'Slate', poured: portions(6), lab: lookOf(portions(6), paints), paints }, toIso(NOW), newId);
    expect(made?.product.gloss).toBe(Math.round(mixedGloss(portions(6), paints)));
    expect(() => mixedGloss([], paints)).toThrow(RangeError);
  });
});

describe('what else may go into a cup', () => {
  const enamel = (id: string, family: string) => paint(id, '#1d4b78', sheetOf(family).id);
  it('is one that would be bought, or another family that takes the same thinner', () => {
    const facts = bench(FULL, [enamel('blue', 'alkyd-enamel'), paint('teal', '#2a7f86'), enamel('base', 'acrylic-enamel')]);
    const [range] = rangesOf({ ...facts, cans: [...facts.cans, can('base', 50)] });
    expect(range.toBuy.map(({ id }) => id)).toContain('teal');
    expect(range.toBuy.every(({ owned, sheet }) => !owned && sheet.family === range.family)).toBe(true);
    expect(range.foreign.map(({ id }) => id)).not.toContain('base');
  });
});

describe('the nearest paint', () => {
  const white = { l: 95, a: 0, b: 1 };
  it('over the ground planned is as it looks after its coats, at its share or at a whole pack', () => {
    const offer = { id: 'o', shopId: 's', productId: 'teal', packMl: 100, price: 350, seenOn: '2026-11-01' };
    const facts = {
      ...bench(FULL, [paint('teal', '#2a7f86')]),
      offers: [offer, { ...offer, id: 'p', price: 300, stock: 0 }],
      shops: [{ id: 's', name: 'Shop', delivery: 0, leadDays: 6 }],
    };
    const rows = nearestPaints(facts, { target: TARGET, ground: white, mlPerCoat: 4 }, 9);
    expect(rows[0].product.id).toBe('white');
    const teal = rows.find(({ product }) => product.id === 'teal');
    expect(teal).toMatchObject({ owned: false, price: 350, leadDays: 6 });
    const ochre = rows.find(({ product }) => product.id === 'ochre');
    expect(ochre).toMatchObject({ owned: true, leadDays: 0, price: Math.round(((ochre?.coats ?? 0) * 4 * 500) / 100) });
    expect(nearestPaints(facts, { target: TARGET }, 9)[0].price).toBeNull();
  });
  it('may be a transparent one only over a ground that is named', () => {
    const facts = bench(FULL, [paint('glaze', '#e6dcc0', 'gloss', { transparent: true })]);
    expect(nearestPaints(facts, { target: TARGET }, 9).some(({ product }) => product.transparent)).toBe(false);
    expect(nearestPaints(facts, { target: TARGET, ground: white }, 9).some(({ product }) => product.transparent)).toBe(true);
  });
});

describe('a mix in its jar', () => {
  it.each([
    ['acrylic-lacquer', '2026-11-26', '2027-11-26'],
    ['water-acrylic', '2026-08-31', '2027-02-28'],
    ['alkyd-enamel', '2027-05-31', '2028-02-29'],
    ['urethane-2k', '2026-11-26', null],
  ] as const)('of %s mixed on %s is good until %s', (family, mixedAt, until) => {
    expect(keepsUntil(family, mixedAt)).toBe(until);
  });
});
