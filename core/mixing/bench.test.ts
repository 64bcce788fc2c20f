import { colourDifference, DROP_ML, labOf, recipesFor } from '#core/colour/index';
import type { Facts, LogEvent, Product, Sheet } from '#core/facts/index';
import { NOW, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import {
  benchPaints,
  cupFor,
  flattenedBy,
  jarOfMix,
  likeliestRange,
  lookOf,
  mostTint,
  nearestPaints,
  rangesOf,
  tintTable,
  wholeBottle,
} from './index.ts';

/** The paints of a bench: which may go together, how far they go, and which of several is meant. */

const sheet = (id: string, more: Partial<Sheet>): Sheet => ({
  ...shelf.sheets[0],
  id,
  name: id,
  role: 'colour',
  label: {},
  hand: 'airbrush',
  ...more,
});
const SHEETS = [
  sheet('lacquer', { family: 'acrylic-lacquer' }),
  sheet('lacquer-can', { family: 'acrylic-lacquer', hand: 'aerosol' }),
  sheet('alcohol', { family: 'alcohol-acrylic' }),
  sheet('water', { family: 'water-acrylic', label: { gloss: 30 } }),
  sheet('water-flat', { family: 'water-acrylic', label: { gloss: 26 } }),
];
const paint = (id: string, hex: string, sheetId: string, more: Partial<Product> = {}): Product => ({
  ...shelf.products[0],
  id,
  sheetId,
  name: id,
  lab: labOf(hex),
  transparent: false,
  typicalMl: 10,
  typicalPrice: 300,
  ...more,
});
const can = (productId: string, leftMl: number, at = NOW - 9000) => ({
  id: `can-${productId}-${leftMl}`,
  productId,
  packMl: 20,
  leftMl,
  leftAt: toIso(at),
  opened: true,
  paid: 300,
});
const bench = (products: Product[], cans = products.map(({ id }) => can(id, 10)), events: LogEvent[] = []): Facts => ({
  ...shelf,
  sheets: SHEETS,
  products,
  cans,
  events,
});
const WHITE = paint('white', '#f4f4f0', 'alcohol');
const BLUE = paint('blue', '#1d4b78', 'alcohol');
const RED = paint('red', '#c23a2a', 'lacquer');
const SPRAYED = paint('sprayed', '#2c6b3a', 'lacquer-can');
const CREAM = paint('cream', '#e6dcc0', 'water');

describe('ranges', () => {
  const facts = bench([WHITE, BLUE, RED, SPRAYED, CREAM]);
  it('come with the most paints first, and with what else takes their thinner', () => {
    const ranges = rangesOf(bench([CREAM, WHITE, BLUE, paint('third', '#808080', 'alcohol'), RED, SPRAYED]));
    expect(ranges.map(({ family }) => family)).toEqual(['alcohol-acrylic', 'acrylic-lacquer', 'water-acrylic']);
    expect(ranges[0].foreign.map(({ id }) => id)).toEqual(['red', 'sprayed']);
    expect(ranges[1].foreign).toEqual([]);
    expect(ranges[2].foreign).toEqual([]);
  });
  it('nearest to a colour are those that mix to it, three paints where there are few', () => {
    expect(likeliestRange(rangesOf(facts), labOf('#c23a2a'))?.family).toBe('acrylic-lacquer');
    expect(likeliestRange(rangesOf(facts), labOf('#e6dcc0'))?.family).toBe('water-acrylic');
    const three = [paint('y', '#e8b820', 'alcohol'), WHITE, BLUE];
    const [best] = recipesFor({ target: labOf('#7fa36b'), paints: benchPaints(bench(three)), maxPaints: 3, drops: 20 });
    expect(best.portions).toHaveLength(3);
    expect(likeliestRange(rangesOf(bench([...three, paint('olive', '#6f8f52', 'water')])), best.lab)?.family).toBe('alcohol-acrylic');
    expect(likeliestRange([], WHITE.lab)).toBeUndefined();
  });
  it('take what a spray can still gives, a bottle to its last drop, and of one not owned a pack', () => {
    const paints = benchPaints(bench([WHITE, BLUE, SPRAYED], [can('white', 10), can('sprayed', 10)]));
    expect(paints.map(({ id, owned, ml }) => [id, owned, ml])).toEqual([
      ['white', true, 10],
      ['blue', false, 10],
      ['sprayed', true, 10 - 0.05 * 20],
    ]);
  });
});

describe('a cup', () => {
  const paints = benchPaints(bench([WHITE, BLUE]));
  const portions = [
    { id: 'white', drops: 9 },
    { id: 'blue', drops: 1 },
  ];
  it('that holds a whole number of recipes is not made larger', () => {
    expect(cupFor({ portions }, 20 * DROP_ML, paints).portions.map(({ drops }) => drops)).toEqual([18, 2]);
    expect(cupFor({ portions }, 20.1 * DROP_ML, paints).portions.map(({ drops }) => drops)).toEqual([27, 3]);
  });
  it('looks as its recipe does', () => {
    const [recipe] = recipesFor({ target: labOf('#7fb0cc'), paints, maxPaints: 2, drops: 20 });
    expect(recipe.portions).toHaveLength(2);
    expect(colourDifference(lookOf(recipe.portions, paints), recipe.lab)).toBeLessThan(1e-9);
    expect(colourDifference(lookOf([{ id: 'blue', drops: 1 }], paints), BLUE.lab)).toBeLessThan(0.1);
  });
  it('says the paint that gives the fewest such cups', () => {
    const few = benchPaints(bench([WHITE, BLUE], [can('white', 10), can('blue', 0.8)]));
    expect(cupFor({ portions }, 0.5, few).scarcest?.paint.id).toBe('blue');
    expect(cupFor({ portions }, 0.5, paints).scarcest?.paint.id).toBe('white');
  });
});

describe('which of several', () => {
  const mix = paint('mix', '#9fb8c8', 'alcohol', {
    mix: {
      parts: [
        { productId: 'white', ml: 3 },
        { productId: 'blue', ml: 1 },
      ],
    },
  });
  it('jars of a mix is meant: the fullest', () => {
    const facts = bench([WHITE, BLUE, mix], [can('white', 10), can('mix', 2), can('mix', 7), can('mix', 0)]);
    expect(jarOfMix(facts, 'mix')?.leftMl).toBe(7);
    expect(jarOfMix(bench([mix], []), 'mix')).toBeUndefined();
  });
  it('paints is the bottle of a mix of two; one paint alone has none', () => {
    const paints = benchPaints(bench([WHITE, BLUE]));
    expect(wholeBottle(mix, paints)?.base.id).toBe('white');
    expect(wholeBottle({ ...mix, mix: { parts: [{ productId: 'white', ml: 3 }] } }, paints)).toBeNull();
    expect(wholeBottle(mix, paints)?.tints[0].ml).toBeCloseTo(paints[0].ml / 3, 9);
  });
  it('offers counts: the cheapest that is in stock; a transparent paint is given three coats', () => {
    const offer = (id: string, price: number) => ({ id, shopId: 's', productId: 'blue', packMl: 10, price, seenOn: '2026-11-01' });
    const facts = {
      ...bench([WHITE, BLUE, paint('glaze', '#1d4b78', 'alcohol', { transparent: true })], [can('white', 10)]),
      offers: [offer('a', 420), offer('b', 260), offer('c', 380)],
    };
    const rows = nearestPaints(facts, { target: BLUE.lab, ground: { l: 95, a: 0, b: 0 } }, 9);
    expect(rows.find(({ product }) => product.id === 'blue')?.price).toBe(260);
    expect(rows.find(({ product }) => product.id === 'glaze')?.coats).toBe(3);
  });
});

describe('limits', () => {
  const paints = benchPaints(bench([CREAM, paint('soft', '#808080', 'water-flat'), paint('dull', '#404040', 'water', { gloss: 4 })]));
  it('of tint are five per cent where no label speaks, and what is just enough is enough', () => {
    expect(mostTint(paints[0])).toEqual({ percent: 5, source: 'default' });
    const [row] = tintTable(paints[0], paints[1], 5, null);
    expect(tintTable(paints[0], { ...paints[1], ml: row.tintMl }, 5, null)[0].enough).toBe(true);
  });
  it('of gloss: less than an eye sees is not said, more is, by the dullest of them', () => {
    const of = (...ids: string[]) =>
      flattenedBy(
        ids.map((id, at) => ({ id, drops: 10 - 3 * at })),
        paints,
      );
    expect(of('cream', 'soft')).toBeNull();
    expect(of('cream', 'dull', 'soft')?.flat.id).toBe('dull');
    expect(of('dull', 'cream')).toBeNull();
  });
});
