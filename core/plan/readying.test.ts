import { conditionsOf } from '#core/drying/index';
import { plan } from './plan.ts';
import { describe, expect, it } from 'vitest';
import type { Facts, Layer, LogEvent } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { at, cans, done, enamel, lacquer, NOW, part, piece, planOf, primer, shelf, steps, workshop } from '#core/invented/index';

describe('bare polypropylene', () => {
  const skid = (material: 'pp' | 'unknown' | 'abs') => part({ material, layers: [lacquer()] });
  it('gets promoter right before its first coat, and once only', () => {
    const result = planOf(skid('pp'));
    const [promoter, ...more] = steps(result, 'promoter');
    const first = steps(result, 'coat')[0];
    expect(more).toEqual([]);
    expect(promoter.hazards).toContain('solvent');
    const wait = at(first) - (promoter.placed?.end as number);
    expect(wait).toBeGreaterThanOrEqual(10 - 1e-6);
    expect(wait).toBeLessThanOrEqual(60 + 1e-6);
    expect(result.pieces[0].steps.joints[0].joint.verdict).toBe('sits');
  });
  it('is feared where the material is unknown, and nowhere else', () => {
    expect(steps(planOf(skid('unknown')), 'promoter')[0].because).toContain('may be polypropylene');
    expect(steps(planOf(skid('abs')), 'promoter')).toEqual([]);
  });
  it('gets a second one when the first went off without its coat', () => {
    const earlier = (minutes: number): LogEvent[] => [done('prep', 200), done('clean', 150), done('promoter', minutes, 'colour')];
    const soon = planOf(skid('pp'), earlier(20));
    expect(steps(soon, 'promoter')).toEqual([]);
    const late = planOf(skid('pp'), earlier(90));
    expect(steps(late, 'promoter')).toHaveLength(1);
    expect(at(steps(late, 'coat')[0])).toBeGreaterThan(at(steps(late, 'promoter')[0]));
  });
});

describe('a try on scrap', () => {
  const two = (events: LogEvent[]) => {
    const other = piece(part({ id: 'arm', pegs: [2] }), { id: 'gong', name: 'Gong' });
    const facts: Facts = { ...shelf, pieces: [piece(part()), other], events };
    return plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }).steps.filter(({ stage }) => stage === 'scrap-test');
  };
  it('done for one piece serves the next one too', () => {
    const titles = two([]).map(({ title }) => title);
    expect([titles.length, new Set(titles).size]).toEqual([2, 2]);
    const tried = ['primer', 'colour'].map((layerId) => done('scrap-test', 30, layerId));
    expect(two(tried)).toEqual([]);
  });
});

describe('another colour over acrylic enamel', () => {
  const stripe: Layer = { ...enamel(2), id: 'stripe' };
  const open: Facts = {
    ...shelf,
    workshop: [
      {
        ...workshop,
        started: true,
        hands: ['aerosol'],
        freeHours: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '00:00', to: '23:59' })),
      },
    ],
  };
  it('waits 48 h, not the 24 h of the same colour', () => {
    const coats = steps(planOf(part({ layers: [primer(), enamel(2), stripe] }), [], {}, open), 'coat');
    const below = coats.filter((step) => step.coat?.layerId === 'enamel').at(-1);
    const above = coats.find((step) => step.coat?.layerId === 'stripe');
    expect(at(above) - (below?.placed?.end as number)).toBeGreaterThanOrEqual(48 * 60 - 1);
  });
});

describe('paint kept for touch-up', () => {
  const need = (leftMl: number, touchUpMl?: number) => {
    const bench = { ...shelf.workshop[0], ...(touchUpMl === undefined ? {} : { touchUpMl }) };
    const colour = 'starter-acrylic-lacquer-colour-product';
    const own = cans.map((can) => (can.productId === colour ? { ...can, leftMl } : can));
    const result = planOf(part(), [], {}, { ...shelf, cans: own, workshop: [bench] });
    const found = result.needs.find((one) => one.productId === colour);
    if (!found) throw new Error('The colour is no longer needed.');
    return { ...found, primer: result.needs.find((one) => one.role === 'fine-primer') };
  };
  it('is 5 mL of a colour and nothing of a primer, unless the person says otherwise', () => {
    expect(need(400)).toMatchObject({ keptMl: 5, jarMl: 5, missingMl: 0, primer: { keptMl: 0 } });
    expect(need(400, 20)).toMatchObject({ keptMl: 20 });
    expect(need(400, 0)).toMatchObject({ keptMl: 0, jarMl: 0 });
  });
  it('is bought with a can that is bought anyway, never by itself', () => {
    const { neededMl } = need(400);
    const scarce = need(neededMl + 2 + 0.05 * 400);
    expect(scarce.missingMl).toBe(0);
    expect(scarce.jarMl).toBeLessThan(5);
    const short = need(neededMl / 2);
    expect(short.missingMl * 0.95).toBeCloseTo(short.neededMl + 5 - short.shelfMl, 6);
  });
  it('is asked for at the last check of the piece', () => {
    expect(steps(planOf(part()), 'fit')[0].checks?.join(' ')).toMatch(/Touch-up jars .*\(5 mL\)/);
    const plain = piece(part({ layers: [primer()] }));
    expect(steps(planOf(plain.parts[0]), 'fit')[0].checks?.join(' ')).not.toContain('Touch-up');
  });
});

describe('reducer on the shelf', () => {
  const thinnedBottle = {
    ...shelf,
    workshop: [{ ...shelf.workshop[0], hands: ['airbrush' as const] }],
    sheets: shelf.sheets.map((sheet) => ({
      ...sheet,
      hand: 'airbrush' as const,
      form: 'bottle' as const,
      label: { ...sheet.label, thinning: { least: 0.5, usual: 1, most: 2 } },
    })),
  };
  const reducer = (stock: typeof shelf.stock) =>
    planOf(part({ finish: 'bare' }), [], {}, { ...thinnedBottle, stock }).needs.find((need) => need.what === 'reducer');
  it('is used before any is bought, and a row never counted is enough', () => {
    const need = reducer([]);
    expect(need?.missingMl).toBeGreaterThan(0);
    const row = { id: 'r', kind: 'cleaner' as const, spec: need?.name ?? '', unit: 'mL' as const, leftAt: toIso(NOW) };
    expect(reducer([{ ...row, left: 500 }])?.missingMl).toBe(0);
    expect(reducer([{ ...row, left: 0 }])?.missingMl).toBe(need?.missingMl);
    expect(reducer([row])?.missingMl).toBe(0);
  });
});
