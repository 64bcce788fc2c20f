import { colourDifference, ingredientOf, labOf, mixedLab } from '#core/colour/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts, Layer, Product, Sheet } from '#core/facts/index';
import { coat, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../solver/highs.ts';
import { plan } from './plan.ts';
import { type PricedSaving, savingsOf } from './ways/index.ts';

/** A colour mixed here: its paints are what is needed of it, it is poured once for all, and it may be cheaper than a can filled for it. */

const sheet: Sheet = {
  ...shelf.sheets[0],
  id: 'bottles',
  name: 'Bottles',
  family: 'acrylic-lacquer',
  role: 'colour',
  label: {},
  hand: 'airbrush',
  form: 'bottle',
};
const paint = (id: string, hex: string): Product => ({
  id,
  sheetId: 'bottles',
  name: id,
  lab: labOf(hex),
  transparent: false,
  typicalMl: 100,
  typicalPrice: 900,
});
const [WHITE, BLUE] = [paint('white', '#f4f4f0'), paint('blue', '#1d4b78')];
const can = (productId: string, leftMl: number) => ({
  id: `can-${productId}`,
  productId,
  packMl: 400,
  leftMl,
  leftAt: toIso(NOW - 99),
  opened: false,
  paid: 800,
});
const mix = (name = 'sky'): Product => ({
  ...paint(name, '#8fb0cc'),
  mix: {
    parts: [
      { productId: 'blue', ml: 1 },
      { productId: 'white', ml: 3 },
    ],
  },
});
const sky: Layer = { id: 'sky-layer', productId: 'sky', coats: 2, covers: 'all' };
const bench = (left: Partial<Record<'white' | 'blue' | 'sky', number>>, more: Partial<Facts> = {}): Facts => ({
  ...shelf,
  sheets: [...shelf.sheets, sheet],
  products: [...shelf.products, WHITE, BLUE, mix()],
  cans: [...shelf.cans, ...Object.entries(left).map(([id, ml]) => can(id, ml))],
  pieces: [
    piece(part({ layers: [primer(), sky] })),
    piece(part({ id: 'gong-body', pegs: [2], layers: [primer({ id: 'p2' }), { ...sky, id: 'sky2' }] }), { id: 'gong', name: 'Gong' }),
  ],
  ...more,
});
const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const needsOf = (facts: Facts) => new Map(planned(facts).needs.map((need) => [need.mix, need]));
const pours = (facts: Facts) =>
  planned(facts).steps.flatMap(({ pour, placed, pieceId }) => (pour ? [{ ...pour, at: placed?.start, pieceId }] : []));

describe('what an own mix lacks', () => {
  it('is needed of its paints in its proportion, and nothing of it is bought', () => {
    const needs = needsOf(bench({ white: 300, blue: 300 }));
    const own = needs.get('sky');
    expect([own?.missingMl, needs.get('white')?.missingMl, needs.get('blue')?.missingMl]).toEqual([0, 0, 0]);
    expect(own?.toMixMl).toBeGreaterThan(own?.neededMl ?? 0);
    expect(needs.get('white')?.neededMl).toBeCloseTo((own?.toMixMl ?? 0) * 0.75, 6);
    expect(needs.get('blue')?.neededMl).toBeCloseTo((own?.toMixMl ?? 0) * 0.25, 6);
    expect(
      needs
        .get('white')
        ?.byPiece.map(({ pieceId }) => pieceId)
        .sort(),
    ).toEqual(['bell', 'gong']);
  });
  it('is bought as the paint that runs out, when it is wanted', () => {
    const facts = bench({ white: 300 });
    const needs = needsOf(facts);
    expect(needs.get('blue')?.missingMl).toBeGreaterThan(0);
    const { purchases, steps } = planned(facts);
    expect(purchases.shops.flatMap(({ lines }) => lines.map(({ name }) => name))).toEqual(['blue']);
    const first = steps.filter((step) => step.coat?.mix === 'sky').sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0))[0];
    expect(first.notBeforeWhy).toBe('blue must be bought first');
  });
  it('is nothing where the jar has enough, and only the rest where it has some', () => {
    expect(needsOf(bench({ white: 300, blue: 300, sky: 200 })).get('sky')?.toMixMl).toBe(0);
    const [none, some] = [{}, { sky: 5 }].map((jar) => needsOf(bench({ white: 300, blue: 300, ...jar })).get('sky')?.toMixMl ?? 0);
    expect(some).toBeGreaterThan(0);
    expect(none - some).toBeCloseTo(5, 6);
  });
  it('holds up only the coats that what is here does not reach', () => {
    const held = (left: number) =>
      planned(bench({ white: left, blue: 300 })).steps.filter(
        (step) => step.coat?.mix === 'sky' && step.notBeforeWhy === 'white must be bought first',
      ).length;
    const aCoat = planned(bench({ white: 300, blue: 300 })).steps.find((step) => step.coat?.mix === 'sky')?.coat?.paintMl ?? 0;
    expect([0, 1, 2, 3, 4].map((coats) => held(0.75 * aCoat * (coats + 0.1)))).toEqual([4, 3, 2, 1, 0]);
  });
  it('goes through a mix of mixes, and two that are made of each other end', () => {
    const pale: Product = {
      ...paint('pale', '#c0d0e0'),
      mix: {
        parts: [
          { productId: 'sky', ml: 1 },
          { productId: 'white', ml: 1 },
        ],
      },
    };
    const of = (first: Product, second: Product) => {
      const layers = [primer(), { ...sky, productId: 'pale' }];
      return needsOf(
        bench({ white: 300, blue: 300 }, { products: [...shelf.products, WHITE, BLUE, first, second], pieces: [piece(part({ layers }))] }),
      );
    };
    const needs = of(mix(), pale);
    const all = needs.get('pale')?.toMixMl ?? 0;
    const skyMl = needs.get('sky')?.toMixMl ?? 0;
    expect(needs.get('sky')?.neededMl).toBeCloseTo(all / 2, 6);
    expect(needs.get('white')?.neededMl).toBeCloseTo(all / 2 + skyMl * 0.75, 6);
    const circle = of({ ...mix(), mix: { parts: [{ productId: 'pale', ml: 1 }] } }, pale);
    expect([...circle.keys()].sort()).toEqual(expect.arrayContaining(['pale', 'sky', 'white']));
  });
});

describe('a mix is poured', () => {
  it('once, before the first of all that take it, its try on scrap, in whole measures', () => {
    const facts = bench({ white: 300, blue: 300 });
    const [pour, ...others] = pours(facts);
    expect(others).toEqual([]);
    const { steps } = planned(facts);
    expect(steps.flatMap((step) => (step.pour ? [step.stage] : []))).toEqual(['scrap-test']);
    const starts = steps.flatMap(({ coat: own, placed }) => (own?.mix === 'sky' && placed ? [placed.start] : []));
    expect(pour.at).toBeLessThan(Math.min(...starts));
    expect(pour.parts.map(({ productId }) => productId)).toEqual(['white', 'blue']);
    expect(pour.ml).toBeGreaterThanOrEqual(needsOf(facts).get('sky')?.toMixMl ?? 0);
    for (const { ml } of pour.parts) expect(Math.round(ml * 20) / 20).toBeCloseTo(ml, 9);
    expect(pour.text).toMatch(/^mix [\d.]+ mL first, for all 2 pieces: white [\d.]+ mL and blue [\d.]+ mL/);
  });
  it('for one piece says so: nothing of all pieces', () => {
    const [bell] = bench({}).pieces;
    expect(pours(bench({ white: 300, blue: 300 }, { pieces: [bell] }))[0].text).toMatch(/^mix [\d.]+ mL first: white/);
  });
  it('where a jar runs dry, before the coat it does not reach', () => {
    const all = needsOf(bench({ white: 300, blue: 300 })).get('sky')?.neededMl ?? 0;
    const facts = bench({ white: 300, blue: 300, sky: 0.7 * all });
    const [pour] = pours(facts);
    const coats = planned(facts).steps.filter((step) => step.coat?.mix === 'sky');
    expect(pour.at).toBeGreaterThan(Math.min(...coats.map(({ placed }) => placed?.start ?? 0)));
  });
  it('no more once it stands in its jar: the entry draws its paints', () => {
    const facts = bench({ white: 300, blue: 300 });
    const [pour] = pours(facts);
    const parts = pour.parts.map(({ productId, ml }) => ({ productId, ml }));
    const after = bench({ white: 300, blue: 300 }, { events: [{ id: 'm', at: toIso(NOW - 5), kind: 'mixed', productId: 'sky', parts }] });
    expect(pours(after)).toEqual([]);
    expect(needsOf(after).get('white')).toBeUndefined();
  });
});

describe('an own mix instead of a can filled for it', () => {
  const wanted: Layer = {
    id: 'custom',
    wanted: { family: 'acrylic-lacquer', role: 'colour', name: 'filled to order', lab: mixedLab([WHITE, BLUE].map(ingredientOf), [3, 1]) },
    coats: 3,
    covers: 'all',
  };
  const facts = (left: Partial<Record<'white' | 'blue', number>>, layer: Layer = wanted): Facts =>
    bench(left, {
      products: [...shelf.products, WHITE, BLUE],
      cans: [
        ...shelf.cans.filter(({ productId }) => productId === primer().productId),
        ...Object.entries(left).map(([id, ml]) => can(id, ml)),
      ],
      pieces: [piece(part({ layers: [primer(), layer] }))],
    });
  const ways = async (own: Facts) => (await savingsOf({ facts: own, now: NOW, conditions: conditionsOf(own, NOW) }, solveWithHighs)).ways;
  const mixing = (list: readonly PricedSaving[]) => list.find(({ label }) => label.startsWith('Mix filled to order from'));
  it('is offered with its shade, saves what it says, and is poured from the shelf', async () => {
    const own = facts({ white: 300, blue: 300 });
    const way = mixing(await ways(own));
    expect(way?.label).toBe('Mix filled to order from white and blue');
    expect(way?.lost).toMatch(/ΔE\), by airbrush/);
    const after: Facts = {
      ...own,
      pieces: [...(way?.changes.pieces ?? [])],
      products: [...own.products, ...(way?.changes.products ?? [])],
    };
    const [before, then] = [planned(own), planned(after)];
    expect(before.purchases.total - then.purchases.total).toBe(way?.saved);
    expect(then.pieces[0].steps.joints.map(({ joint }) => joint.verdict)).not.toContain('stop');
    expect(then.steps.filter(({ pour }) => pour)).toHaveLength(1);
    const laid = then.steps.find(({ coat: laying }) => laying?.mix.startsWith('mix-of'))?.coat;
    expect(colourDifference(laid?.lab ?? BLUE.lab, wanted.wanted?.lab ?? WHITE.lab)).toBeLessThan(2);
    expect(laid?.hand).toBe('airbrush');
  });
  it.each<[string, Partial<Sheet>, Partial<Product>]>([
    ['glitters', {}, { flake: 'metallic' }],
    ['comes out of spray cans', { hand: 'aerosol', form: 'aerosol' }, {}],
    ['dries in another sheen', { label: { gloss: 4 } }, {}],
    ['is a mix itself', {}, { mix: { parts: [{ productId: 'white', ml: 1 }] } }],
  ])('is not mixed with what %s', async (_what, ofSheet, ofPaint) => {
    const own = facts({ white: 300, blue: 300 });
    const sheets = [...own.sheets, { ...sheet, ...ofSheet, id: 'odd' }];
    const products = own.products.map((each) => (each.id === 'blue' ? { ...each, sheetId: 'odd', ...ofPaint } : each));
    expect(mixing(await ways({ ...own, sheets, products }))).toBeUndefined();
  });
  it('is not, where the shelf has too little, the colour is out of reach, glitters or is on already', async () => {
    expect(mixing(await ways(facts({ white: 300, blue: 1 })))).toBeUndefined();
    expect(mixing(await ways(facts({ white: 300 })))).toBeUndefined();
    const far = { ...wanted, wanted: { ...wanted.wanted, lab: labOf('#c23a2a') } } as Layer;
    expect(mixing(await ways(facts({ white: 300, blue: 300 }, far)))).toBeUndefined();
    const glitter = { ...wanted, wanted: { ...wanted.wanted, flake: 'metallic' } } as Layer;
    expect(mixing(await ways(facts({ white: 300, blue: 300 }, glitter)))).toBeUndefined();
    const begun = { ...facts({ white: 300, blue: 300 }), events: [coat('custom', 1, 30, 'acrylic-lacquer', 'colour', 12)] };
    expect(mixing(await ways(begun))).toBeUndefined();
  });
});
