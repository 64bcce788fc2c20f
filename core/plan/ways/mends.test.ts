import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownedFamilies } from '#core/buying/index';
import { knownIn, remediesFor, resolveLayer } from '#core/coats/index';
import { conditionsOf } from '#core/drying/index';
import { FAMILIES, type Family, type Layer, type Material, MATERIALS, type Piece, type Role } from '#core/facts/index';
import { NOW, part, piece, shelf } from '#core/invented/index';
import { plan } from '../plan.ts';
import { layersMended } from '../verdicts/index.ts';
import { type Mended, pricedMends } from './mends.ts';

const LAB = { l: 45, a: 10, b: 10 };
const wanted = (id: string, family: Family, role: Role): Layer => ({
  id,
  wanted: { family, role, name: id, lab: LAB },
  coats: 2,
  covers: 'all',
});
const planned = (own: Piece) => {
  const facts = { ...shelf, pieces: [own], events: [] };
  return { facts, result: plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }) };
};
const RANK = { sits: 0, care: 1, stop: 2 } as const;
const worst = (own: Piece, layerId: string) =>
  planned(own)
    .result.pieces[0].steps.joints.filter((entry) => entry.layerId === layerId)
    .map((entry) => entry.joint.verdict)
    .reduce((a, b) => (RANK[b] > RANK[a] ? b : a), 'sits' as 'sits' | 'care' | 'stop');

const family = fc.constantFrom<Family>(...FAMILIES);
const material = fc.constantFrom<Material>(...MATERIALS);
const role = fc.constantFrom<Role>('colour', 'metallic', 'clear');

describe('a mend that is offered', () => {
  it('really passes when it is taken, as well as was said, and never worse than before', () => {
    let seen = 0;
    fc.assert(
      fc.property(material, family, family, role, (of, below, above, as) => {
        const own = piece(part({ material: of, finish: 'bare', layers: [wanted('low', below, 'primer'), wanted('top', above, as)] }));
        const { facts, result } = planned(own);
        const bad = result.pieces[0].steps.joints.filter((entry) => entry.joint.verdict !== 'sits');
        for (const entry of bad) {
          let ids = 0;
          const mends: Mended[] = pricedMends(own, entry, LAB, facts, NOW, conditionsOf(facts, NOW), () => `new-${++ids}`);
          for (const mend of mends) {
            seen++;
            const taken = piece({ ...own.parts[0], layers: [...mend.layers] });
            const after = worst(taken, entry.layerId);
            expect(after).not.toBe('stop');
            expect(RANK[after]).toBeLessThanOrEqual(RANK[mend.verdict]);
            expect(RANK[mend.verdict]).toBeLessThan(RANK[entry.joint.verdict]);
            expect(new Set(mend.layers.map((layer) => layer.id)).size).toBe(mend.layers.length);
          }
        }
      }),
      { seed: 31, numRuns: process.env.PROOF ? 400 : 40 },
    );
    expect(seen).toBeGreaterThan(20);
  });
  it('is one of the remedies, in their order: the screen adds none', () => {
    const own = piece(part({ material: 'polystyrene', layers: [wanted('top', 'acrylic-lacquer', 'colour')] }));
    const { facts, result } = planned(own);
    let ids = 0;
    const mends = pricedMends(own, result.pieces[0].steps.joints[0], LAB, facts, NOW, conditionsOf(facts, NOW), () => `new-${++ids}`);
    expect(mends.length).toBeGreaterThan(2);
    const { below, above, answer } = result.pieces[0].steps.joints[0].joint;
    const offered = remediesFor(below, above, knownIn(answer), ownedFamilies(facts)).map((remedy) => remedy.text);
    const places = mends.map((mend) => offered.indexOf(mend.text));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places).not.toContain(-1);
  });
});

describe('a remedy as a changed stack', () => {
  const own = part({ layers: [wanted('low', 'lacquer-primer', 'primer'), wanted('top', 'acrylic-lacquer', 'colour')] });
  const newId = () => 'new';
  const remedy = { text: '', verdict: 'sits' as const };
  it('lays mist first, puts a barrier or a base right below, or stands another paint in its place', () => {
    expect(layersMended({ ...remedy, kind: 'mist' }, own, 'top', newId)?.[1].mistFirst).toBe(true);
    const barrier = layersMended({ ...remedy, kind: 'barrier', barrier: 'epoxy-primer' }, own, 'top', newId);
    expect(barrier?.map((layer) => layer.id)).toEqual(['low', 'new', 'top']);
    expect(barrier?.[1]).toMatchObject({ wanted: { family: 'epoxy-primer', role: 'primer' }, flatAfter: 800, covers: 'all' });
    expect(layersMended({ ...remedy, kind: 'base', barrier: 'solvent-base' }, own, 'top', newId)?.[1].wanted?.role).toBe('metallic');
    const stand = layersMended(
      { ...remedy, kind: 'stand-in', above: { family: 'water-acrylic', role: 'colour' }, lab: LAB },
      own,
      'top',
      newId,
    );
    expect(stand?.[1]).toMatchObject({ id: 'top', coats: 2, wanted: { family: 'water-acrylic', lab: LAB } });
  });
  it('is none where the schedule waits, or where there is no such layer', () => {
    for (const kind of ['wait', 'scuff', 'promoter', 'product', 'brush', 'thinner'] as const)
      expect(layersMended({ ...remedy, kind }, own, 'top', newId)).toBeNull();
    expect(layersMended({ ...remedy, kind: 'mist' }, own, 'elsewhere', newId)).toBeNull();
  });
});

describe('a stand-in for a matt clear', () => {
  const sheet = (id: string, family: Family, gloss: number) => ({
    ...shelf.sheets[0],
    id: `${id}-sheet`,
    name: id,
    family,
    role: 'clear' as const,
    hand: 'airbrush' as const,
    label: { gloss },
  });
  const product = (id: string) => ({
    ...shelf.products[0],
    id,
    sheetId: `${id}-sheet`,
    name: id,
    lab: { l: 97, a: 0, b: 0 },
    transparent: true,
  });
  const can = (id: string) => ({ ...shelf.cans[0], id: `can-${id}`, productId: id });
  it('is the matt one of the shelf before any from the shop', () => {
    const names = ['lacquer matt', 'water matt', 'water gloss'];
    const facts = {
      ...shelf,
      sheets: [
        ...shelf.sheets,
        sheet('lacquer matt', 'acrylic-lacquer', 10),
        sheet('water matt', 'water-acrylic', 10),
        sheet('water gloss', 'water-acrylic', 85),
      ],
      products: [...shelf.products, ...names.map(product)],
      cans: [...shelf.cans, ...names.map(can)],
    };
    const brown = wanted('brown', 'water-acrylic', 'colour');
    const own = piece(
      part({
        finish: 'bare',
        layers: [wanted('low', 'lacquer-primer', 'fine-primer'), brown, { id: 'top', productId: 'lacquer matt', coats: 2, covers: 'all' }],
      }),
    );
    const all = { ...facts, pieces: [own] };
    const conditions = conditionsOf(all, NOW);
    const [entry] = plan({ facts: all, now: NOW, conditions, datesOf: [] }).pieces[0].steps.joints.filter(
      ({ layerId }) => layerId === 'top',
    );
    let ids = 0;
    const mend = pricedMends(own, entry, LAB, all, NOW, conditions, () => `new-${++ids}`).find(
      ({ text }) => text === 'water matt, on your shelf, instead',
    );
    const taken = mend?.layers.find(({ id }) => id === 'top');
    expect(taken && resolveLayer(taken, all).product?.id).toBe('water matt');
    expect(mend?.money).toBeLessThanOrEqual(0);
  });
});
