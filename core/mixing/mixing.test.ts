import { CAN_RESIDUE } from '#core/amounts/index';
import { shelfCans, starterShelf, usableMl } from '#core/buying/index';
import { colourDifference, DROP_ML, labOf, recipesFor } from '#core/colour/index';
import { EMPTY_FACTS, factsSchema, type Facts, type LogEvent } from '#core/facts/index';
import { toIso } from '#core/units/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cupFor, keptRecipe, mixedPaint, nearestPaints, rangesOf } from './index.ts';

const NOW = 30_000_000;
const starter = starterShelf();
const [sheet] = starter.sheets.filter((own) => own.family === 'acrylic-lacquer' && own.role === 'colour');
const tint = (id: string, hex: string) => ({
  ...starter.products[0],
  id,
  sheetId: sheet.id,
  name: id,
  lab: labOf(hex),
  transparent: false,
});
const white = tint('white', '#f4f4f0');
const ochre = tint('ochre', '#c89838');
const brown = tint('brown', '#6b4a30');
const can = (productId: string, leftMl: number) => ({
  id: `can-${productId}`,
  productId,
  packMl: 100,
  leftMl,
  leftAt: toIso(NOW - 9000),
  opened: true,
  paid: 400,
});
const bench = (left: Record<string, number>, events: LogEvent[] = []): Facts => ({
  ...EMPTY_FACTS,
  sheets: starter.sheets,
  products: [white, ochre, brown, { ...tint('glaze', '#c02020'), transparent: true }],
  cans: Object.entries(left).map(([id, ml]) => can(id, ml)),
  events,
});
const full = bench({ white: 100, ochre: 60, brown: 30, glaze: 50 });
const [range] = rangesOf(full);
const target = labOf('#e6dcc0');
const [recipe] = recipesFor({ target, paints: range.paints, maxPaints: 3, drops: 30 });
let given = 0;
const newId = () => `id-${++given}`;
const mixed = (ml: number) => {
  const made = mixedPaint(
    { name: 'Tram ivory', poured: cupFor(recipe, ml, range.paints).portions, lab: recipe.lab, paints: range.paints },
    toIso(NOW),
    newId,
  );
  if (!made) throw new Error('nothing was mixed');
  return made;
};

describe('ranges of the shelf', () => {
  it('are opaque colours of one family with paint left', () => {
    expect(range.paints.map(({ id }) => id)).toEqual(['white', 'ochre', 'brown']);
    expect(rangesOf(bench({ white: 100, ochre: 0 }))[0].paints.map(({ id }) => id)).toEqual(['white']);
    expect(rangesOf(bench({ glaze: 50 }))).toEqual([]);
  });
  it('never put two families into one cup', () => {
    const enamel = starter.sheets.find((own) => own.family === 'acrylic-enamel' && own.role === 'colour');
    const both = {
      ...full,
      products: [...full.products, { ...ochre, id: 'enamel', sheetId: enamel?.id ?? '' }],
      cans: [...full.cans, can('enamel', 90)],
    };
    expect(rangesOf(both).map(({ family }) => family)).toEqual(['acrylic-lacquer', 'acrylic-enamel']);
    for (const own of rangesOf(both)) expect(new Set(own.paints.map((paint) => paint.sheet.family)).size).toBe(1);
  });
});

describe('a cup of a size', () => {
  it('keeps the recipe’s own proportion in whole drops', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 60, noNaN: true }), (ml) => {
        const cup = cupFor(recipe, ml, range.paints);
        expect(cup.ml).toBeGreaterThanOrEqual(ml - 1e-6);
        const times = cup.portions.map(({ drops }, at) => drops / recipe.portions[at].drops);
        expect(new Set(times).size).toBe(1);
        expect(Number.isInteger(times[0])).toBe(true);
      }),
      { seed: 4, numRuns: 60 },
    );
  });
  it('says which paint runs out first, and how far it goes', () => {
    const { scarcest, enough } = cupFor(recipe, 10, range.paints);
    const tightest = Math.min(...recipe.portions.map(({ id, drops }) => (range.paints.find((own) => own.id === id)?.ml ?? 0) / drops));
    expect(enough).toBe(true);
    expect((scarcest?.paint.ml ?? 0) / (scarcest?.needMl ?? 1)).toBeCloseTo(scarcest?.cups ?? 0, 9);
    expect((scarcest?.cups ?? 0) * (scarcest?.needMl ?? 0)).toBeGreaterThan(0);
    expect(tightest).toBeGreaterThan(0);
    expect(cupFor(recipe, 2000, range.paints).enough).toBe(false);
  });
});

describe('a mix that is kept', () => {
  it('is a paint of its family with its recipe, and a jar filled out of the bottles', () => {
    const { product, event } = mixed(8);
    const facts = { ...full, products: [...full.products, product], events: [event] };
    expect(factsSchema.safeParse(facts).error).toBeUndefined();
    expect(product).toMatchObject({ name: 'Tram ivory', sheetId: sheet.id });
    expect(colourDifference(product.lab, recipe.lab)).toBe(0);
    const ml = (own: Facts) =>
      own.products.reduce(
        (sum, { id }) =>
          sum +
          shelfCans(own)
            .filter((each) => each.productId === id)
            .reduce((all, each) => all + each.leftMl, 0),
        0,
      );
    expect(ml(facts)).toBeCloseTo(ml(full), 6);
    const jar = shelfCans(facts).find((each) => each.productId === product.id);
    expect(jar?.leftMl).toBeCloseTo(
      event.parts.reduce((sum, part) => sum + part.ml, 0),
      9,
    );
    expect(jar?.paid).toBe(Math.round(4 * (jar?.leftMl ?? 0)));
    expect(usableMl(shelfCans(facts), product.id, CAN_RESIDUE)).toBeGreaterThan(7);
  });
  it('gives its paints back when it is undone', () => {
    const { product, event } = mixed(8);
    const events: LogEvent[] = [event, { id: 'undo', at: toIso(NOW + 1), kind: 'undo', undoes: event.id }];
    const facts = { ...full, products: [...full.products, product], events };
    expect(shelfCans(facts).map(({ leftMl }) => leftMl)).toEqual([100, 60, 30, 50]);
  });
  it('is mixed again by its own recipe, at any size, into the same paint', () => {
    const { product, event } = mixed(8);
    const again = keptRecipe(product, target, range.paints);
    expect(again?.portions).toEqual(recipe.portions);
    expect(again?.deltaE).toBeCloseTo(recipe.deltaE, 9);
    if (!again) return;
    const more = mixedPaint(
      { name: '', poured: cupFor(again, 16, range.paints).portions, lab: again.lab, paints: range.paints, again: product },
      toIso(NOW + 5),
      newId,
    );
    expect(more?.product).toBe(product);
    const facts = { ...full, products: [...full.products, product], events: [event, ...(more ? [more.event] : [])] };
    expect(usableMl(shelfCans(facts), product.id, 0)).toBeGreaterThanOrEqual(24);
    expect(keptRecipe(product, target, range.paints.slice(1))).toBeNull();
    expect(keptRecipe(white, target, range.paints)).toBeNull();
  });
  it('may go into another mix', () => {
    const { product, event } = mixed(8);
    const facts = { ...full, products: [...full.products, product], events: [event] };
    expect(rangesOf(facts)[0].paints.map(({ id }) => id)).toContain(product.id);
  });
  it('counts in drops of a twentieth of a millilitre', () => {
    for (const part of mixed(5).event.parts) expect(Math.abs(part.ml / DROP_ML - Math.round(part.ml / DROP_ML))).toBeLessThan(1e-6);
  });
});

describe('the nearest paints', () => {
  it('are ranked, with what each is off', () => {
    const near = nearestPaints(full, { target }, 3);
    expect(near[0].product.id).toBe('white');
    expect(near.map(({ deltaE }) => deltaE)).toEqual([...near.map(({ deltaE }) => deltaE)].sort((a, b) => a - b));
    expect(near[0].beside).toContain('lighter');
    expect(near.some(({ product }) => product.transparent)).toBe(false);
  });
});
