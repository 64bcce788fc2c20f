import { conditionsOf } from '#core/drying/index';
import type { Facts, Family } from '#core/facts/index';
import { layer, lacquer, NOW, part, piece, primed, primer, shelf, wanted } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { plan } from '../plan.ts';
import { type Compared, compareSystems } from './comparing.ts';

/** Whole systems on one piece side by side. */

const own = piece(part({ layers: [primer(), lacquer(), layer('clear', 'acrylic-lacquer', 'clear', 2)] }));
const facts = (more: Partial<Facts> = {}): Facts => ({ ...shelf, pieces: [own], ...more });
const compared = (of: Facts) => compareSystems({ facts: of, pieceId: 'bell', now: NOW, conditions: conditionsOf(of, NOW) });
const familiesOf = ({ piece: made }: Compared) => made?.parts[0].layers.map((own) => own.wanted?.family ?? 'owned');
const find = (list: readonly Compared[], id: string) => list.find((each) => each.id === id);

describe('systems compared', () => {
  const all = compared(facts());
  it('begin with the piece as it is planned, and hold the same colours and coats in other families', () => {
    expect(all[0]).toMatchObject({ id: 'as-is', piece: null });
    expect(familiesOf(find(all, 'enamel') as Compared)?.slice(1)).toEqual(['acrylic-enamel', 'acrylic-enamel']);
    const water = find(all, 'water')?.piece?.parts[0].layers ?? [];
    expect(water.map(({ wanted }) => wanted?.family)).toEqual(['water-acrylic', 'water-acrylic', 'waterborne-sealer']);
    expect(water.map(({ coats }) => coats)).toEqual(own.parts[0].layers.map(({ coats }) => coats));
    expect(water.every(({ hand }) => hand === 'airbrush')).toBe(true);
  });
  it('say what each would be said to be once it is taken: the same plan', () => {
    for (const each of all.slice(1)) {
      const made = plan({ facts: facts({ pieces: [each.piece as typeof own] }), now: NOW, conditions: conditionsOf(facts(), NOW) });
      const [{ money, sessions, attendedMinutes }] = made.pieces;
      expect([each.money, each.sessions, each.minutes]).toEqual([money.total, sessions, Math.round(attendedMinutes)]);
    }
  });
  it('keep two colours that go by one word apart: each is bought by itself', () => {
    const greys = [lacquer(2, { id: 'light' }), { ...lacquer(2, { id: 'dark' }), productId: 'dark-grey' }];
    const dark = {
      ...(shelf.products.find(({ id }) => id === lacquer().productId) as Facts['products'][number]),
      id: 'dark-grey',
      name: 'Dark grey',
      lab: { l: 30, a: 0, b: 0 },
    };
    const two = facts({ products: [...shelf.products, dark], cans: [], pieces: [piece(part({ layers: [primer(), ...greys] }))] });
    const enamel = find(compared(two), 'enamel')?.piece as typeof own;
    const made = plan({ facts: { ...two, pieces: [enamel] }, now: NOW, conditions: conditionsOf(two, NOW), datesOf: [] });
    expect(new Set(made.steps.flatMap(({ coat }) => (coat?.family === 'acrylic-enamel' ? [coat.mix] : []))).size).toBe(2);
  });
  it('are each as if the piece were alone', () => {
    const busy = compared(facts({ pieces: [own, { ...own, id: 'other' }, { ...own, id: 'third' }] }));
    expect(busy.map(({ id, likelyDays }) => [id, likelyDays])).toEqual(all.map(({ id, likelyDays }) => [id, likelyDays]));
  });
  it('warn of isocyanates where they are, and nowhere else', () => {
    expect(all.filter(({ hazards }) => hazards.includes('isocyanate')).map(({ id }) => id)).toEqual(['twopack']);
    expect(find(all, 'twopack')?.wears).toBe('hardest');
  });
  it('count every joint by its verdict, and are as bad as the worst of them', () => {
    for (const { joints, verdict } of all) expect(verdict).toBe(joints.stop > 0 ? 'stop' : joints.care > 0 ? 'care' : 'sits');
  });
});

describe('several coatings for one part', () => {
  const two = piece(part({ layers: [primer(), lacquer()] }), {
    parts: [
      part({ layers: [primer(), lacquer()] }),
      part({ id: 'base', name: 'Base', pegs: [2], layers: [primer({ id: 'p2' }), lacquer(2, { id: 'c2' })] }),
    ],
  });
  const of = facts({ pieces: [two] });
  const all = compareSystems({ facts: of, pieceId: 'bell', partId: 'base', now: NOW, conditions: conditionsOf(of, NOW) });
  it('change that part and no other, and are judged by its joints and its top alone', () => {
    expect(all.length).toBeGreaterThan(2);
    for (const { piece: made } of all) if (made) expect(made.parts[0].layers).toEqual(two.parts[0].layers);
    const enamel = find(all, 'enamel');
    expect(enamel?.piece?.parts[1].layers.at(-1)?.wanted?.family).toBe('acrylic-enamel');
    expect(enamel?.wears).toBe('hard once cured');
    const whole = find(compared(of), 'enamel');
    expect(Object.values(enamel?.joints ?? {}).reduce((sum, own) => sum + own, 0) * 2).toBe(
      Object.values(whole?.joints ?? {}).reduce((sum, own) => sum + own, 0),
    );
  });
});

describe('what is laid', () => {
  const all = compared(facts({ events: primed }));
  it('stays in every system', () => {
    for (const { piece: made } of all) if (made) expect(made.parts[0].layers[0]).toEqual(own.parts[0].layers[0]);
    expect(familiesOf(find(all, 'enamel') as Compared)?.[1]).toBe('acrylic-enamel');
  });
});

describe('what is what it is for what it does', () => {
  it.each<Family>(['texture', 'high-temperature', 'candy', 'dye'])('such as %s is kept in every family', (family) => {
    const kept = piece(part({ layers: [primer(), wanted('own', family, 'colour')] }));
    for (const { id, piece: made } of compared(facts({ pieces: [kept] }))) {
      if (made && id !== 'shelf') expect(made.parts[0].layers[1]).toEqual(kept.parts[0].layers[1]);
    }
  });
});

describe('what stands on the shelf', () => {
  const [product] = shelf.products.filter(({ id }) => id === lacquer().productId);
  const near = { ...product, id: 'near', name: 'Near red', lab: { ...product.lab, l: product.lab.l + 3 } };
  const nearer = { ...product, id: 'nearer', name: 'Nearer red', lab: { ...product.lab, l: product.lab.l + 1 } };
  const far = { ...product, id: 'far', name: 'Far', lab: { ...product.lab, l: product.lab.l - 30 } };
  const mixed = { ...nearer, id: 'mixed', mix: { parts: [{ productId: product.id, ml: 5 }] } };
  const can = (productId: string, leftMl = 200) => ({
    id: `can-${productId}`,
    productId,
    packMl: 400,
    leftMl,
    leftAt: '2026-11-01T10:00:00Z',
    opened: true,
    paid: 0,
  });
  const taken = (cans: readonly ReturnType<typeof can>[]) => {
    const of = facts({ products: [...shelf.products, near, nearer, far, mixed], cans: [...cans] });
    return find(compared(of), 'shelf')?.piece?.parts[0].layers[1].productId;
  };
  it('is taken in the nearest colour of which there is any, never a far one, an empty can or a mix', () => {
    expect(taken([can('near'), can('nearer'), can('far'), can('mixed')])).toBe('nearer');
    expect(taken([can('near'), can('nearer', 0)])).toBe('near');
    expect(taken([can('far')])).toBeUndefined();
    // What is planned already is left where there is enough to call it owned.
    expect(taken([can(product.id), can('nearer')])).toBeUndefined();
  });
  it('says its days from now', () => {
    const [asIs] = compared(facts());
    const made = plan({ facts: facts(), now: NOW, conditions: conditionsOf(facts(), NOW) });
    expect(asIs.likelyDays).toBeCloseTo(((made.pieces[0].likely ?? 0) - NOW) / 1440, 9);
  });
});

describe('a stack of one’s own', () => {
  it('is laid out on parts without a coat, and left where one is on', () => {
    const systems = [{ id: 's', name: 'Barge black', layers: [primer(), layer('top', 'alkyd-enamel', 'colour', 3)] }];
    const laidOut = find(compared(facts({ systems })), 'own s')?.piece?.parts[0].layers;
    expect(laidOut?.map(({ productId }) => productId)).toEqual(systems[0].layers.map(({ productId }) => productId));
    expect(find(compared(facts({ systems, events: primed })), 'own s')).toBeUndefined();
  });
  it('is nothing to compare on a piece that is not there', () =>
    expect(compareSystems({ facts: facts(), pieceId: 'gone', now: NOW, conditions: conditionsOf(facts(), NOW) })).toEqual([]));
});
