import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ask, QUESTION_NAMES, questionSchemas } from './ask.ts';

const answer = (name: string, input: unknown) => {
  const asked = ask(name, input);
  if (!asked.ok) throw new Error(`${asked.problem.at}: ${asked.problem.error}`);
  return asked.answer as Record<string, unknown>;
};
const problem = (name: string, input: unknown) => {
  const asked = ask(name, input);
  return asked.ok ? null : asked.problem;
};

describe('questions of a script', () => {
  it('answers each with a because', () => {
    const inputs: Record<string, unknown> = {
      dew: { airC: 12, rh: 85 },
      sense: {
        file: JSON.parse(readFileSync(new URL('../../demo/breakwater.json', import.meta.url), 'utf8')),
        now: '2026-12-01T19:00:00Z',
      },
      clock: { mechanism: 'oxidation', referenceHours: 48, startHour: 0, tempC: [10], rh: [50] },
      strip: { material: 'zinc', method: 'gel', finish: 'sound' },
      joint: { below: { family: null, material: 'zinc' }, above: { family: 'lacquer-primer' } },
      amount: { family: 'acrylic-lacquer', tool: 'aerosol', faces: [{ longMm: 75, shortMm: 30 }], coats: 1 },
      ladder: { from: 80, next: 'colour' },
      schedule: {
        goal: 'soonest',
        free: [{ from: 0, to: 60 }],
        capacity: {},
        activities: [{ id: 'a', minutes: 5, attended: true }],
        gaps: [],
      },
      order: {
        zones: [
          { id: 'dark', family: 'acrylic-lacquer', lab: { l: 20, a: 0, b: 0 }, share: 0.1, areaCm2: 40 },
          { id: 'light', family: 'acrylic-lacquer', lab: { l: 90, a: 0, b: 5 }, share: 0.4, areaCm2: 40 },
        ],
        edges: [{ a: 'dark', b: 'light', mm: 200, curve: 'straight' }],
        ground: { l: 60, a: 0, b: 0 },
      },
      mix: {
        targetLab: { l: 60, a: 0, b: 0 },
        paints: [
          { id: 'white', lab: { l: 96, a: 0, b: 1 } },
          { id: 'black', lab: { l: 12, a: 0, b: 0 }, share: 0.1, ml: 4 },
        ],
        maxPaints: 2,
        drops: 12,
      },
      hide: { groundLab: { l: 95, a: 0, b: 0 }, coatLab: { l: 20, a: 0, b: 0 }, share: 0.1 },
    };
    expect(Object.keys(inputs).sort()).toEqual(QUESTION_NAMES.filter((name) => name !== 'buy').sort());
    for (const [name, input] of Object.entries(inputs)) {
      const got = answer(name, input);
      expect(String(got.because).length).toBeGreaterThan(10);
      expect(['own', 'label', 'default']).toContain(got.source);
    }
  });
  it('meets the worked figures', () => {
    expect(answer('clock', { mechanism: 'oxidation', referenceHours: 48, startHour: 0, tempC: [10], rh: [50] }).hours).toBeCloseTo(96, 2);
    expect(answer('dew', { airC: 22, rh: 65 }).verdict).toBe('sits');
    expect(
      answer('amount', { family: 'acrylic-lacquer', tool: 'aerosol', faces: Array(5).fill({ longMm: 30, shortMm: 75 }), coats: 2 }),
    ).toMatchObject({ holds: 'sweeps' });
    expect(
      answer('amount', { filmUm: 12, solids: 0.1, tool: 'aerosol', faces: Array(5).fill({ longMm: 75, shortMm: 30 }), coats: 1 }).filmMl,
    ).toBeCloseTo(4.5, 1);
    expect(answer('clock', { mechanism: 'coalescence', referenceHours: 1, startHour: 3, tempC: [5], rh: [50] }).hours).toBeNull();
  });
  it('lists methods and the advised one without a method', () => {
    const got = answer('strip', { material: 'aluminium' });
    expect((got.methods as { method: string; verdict: string }[]).find((row) => row.method === 'caustic')?.verdict).toBe('never');
    expect(got.advised).toBe('gel');
    expect(answer('strip', { material: 'steel', finish: 'bare' }).advised).toBeNull();
  });
  it('orders colours, prices an order insisted on, and says why one cannot be', () => {
    const zone = (id: string, l: number, family = 'acrylic-lacquer') => ({ id, family, lab: { l, a: 0, b: 0 }, share: 0.3, areaCm2: 50 });
    const edges = [{ a: 'dark', b: 'light', mm: 200, curve: 'straight' }];
    const ground = { l: 60, a: 0, b: 0 };
    const two = { zones: [zone('dark', 15), zone('light', 92)], edges, ground };
    const best = answer('order', two);
    expect(best).toMatchObject({ order: ['light', 'dark'], runnerUp: { order: ['dark', 'light'] } });
    expect(Object.values(best.parts as Record<string, number>).reduce((a, b) => a + b, 0)).toBeCloseTo(best.cost as number, 9);
    const other = answer('order', { ...two, insist: ['dark', 'light'] });
    expect(other.cost).toBeCloseTo((best.runnerUp as { cost: number }).cost, 9);
    const never = { ...two, zones: [zone('dark', 15, 'high-temperature'), zone('light', 92)], insist: ['dark', 'light'] };
    expect(answer('order', never).stop).toContain('never be taped');
  });
  it('orders more than twelve zones by their colours, and refuses thirteen colours', () => {
    const zone = (index: number, l: number) => ({
      id: `z${index}`,
      family: 'acrylic-lacquer',
      lab: { l, a: 0, b: 0 },
      share: 0.3,
      areaCm2: 20,
    });
    const edges = Array.from({ length: 13 }, (_, index) => ({ a: `z${index}`, b: `z${index + 1}`, mm: 50, curve: 'straight' }));
    const striped = Array.from({ length: 14 }, (_, index) => zone(index, index % 2 === 0 ? 90 : 20));
    const got = answer('order', { zones: striped, edges, ground: { l: 60, a: 0, b: 0 } });
    expect((got.order as string[]).slice(0, 7)).toEqual(['z0', 'z2', 'z4', 'z6', 'z8', 'z10', 'z12']);
    expect(got.because).toContain('those of one colour are ordered together');
    const many = Array.from({ length: 14 }, (_, index) => zone(index, 5 + index * 6));
    expect(problem('order', { zones: many, edges, ground: { l: 60, a: 0, b: 0 } })?.error).toContain('More than 12 colours');
  });
  it('slows a thick film and speeds with a fan', () => {
    const hours = (more: object) =>
      answer('clock', { mechanism: 'evaporation', referenceHours: 10, startHour: 0, tempC: [20], rh: [50], ...more }).hours;
    expect(hours({ filmRatio: 2 })).toBeCloseTo(40, 3);
    expect(hours({ filmRatio: 2, stage: 'coat' })).toBeCloseTo(20, 3);
    expect(hours({ air: 'fan' })).toBeCloseTo(10 / 1.3, 3);
    expect(hours({ air: 'box' })).toBeCloseTo(10 / 0.7, 3);
  });
  it('offers ways to mend a stop', () => {
    const got = answer('joint', {
      below: { family: null, material: 'polystyrene', scuffed: true },
      above: { family: 'acrylic-lacquer', by: 'aerosol' },
    });
    expect(got.verdict).toBe('stop');
    expect((got.remedies as { text: string }[]).length).toBeGreaterThan(1);
  });
  it('lets own evidence and a label speak for the bite, and gives the tables back without them', () => {
    const input = {
      below: { family: 'alkyd-enamel', material: 'steel', state: 'dry', scuffed: true },
      above: { family: 'acrylic-lacquer', by: 'aerosol' },
    };
    expect(answer('joint', input)).toMatchObject({ verdict: 'stop', source: 'default' });
    expect(answer('joint', { ...input, own: 'held' })).toMatchObject({ verdict: 'sits', source: 'own', rule: '1 own evidence' });
    expect(answer('joint', { ...input, own: 'softened' })).toMatchObject({ verdict: 'care', source: 'own' });
    expect(answer('joint', { ...input, label: 'names' })).toMatchObject({ verdict: 'sits', source: 'label' });
    expect(answer('joint', { ...input, label: 'names', own: 'lifted' })).toMatchObject({ verdict: 'stop', source: 'own' });
    expect(answer('joint', { ...input, below: { ...input.below, state: 'wet' }, own: 'held' })).toMatchObject({ verdict: 'stop' });
    expect(answer('joint', { ...input, own: 'held' }).remedies).toEqual([]);
    const fine = {
      below: { family: 'lacquer-primer', material: 'steel', state: 'dry' },
      above: { family: 'acrylic-enamel', role: 'colour', by: 'aerosol' },
    };
    expect(answer('joint', fine)).toMatchObject({ verdict: 'sits', remedies: [] });
    for (const said of [{ own: 'lifted' }, { label: 'forbids' }] as const) {
      const stopped = answer('joint', { ...fine, ...said });
      expect(stopped.verdict).toBe('stop');
      expect((stopped.remedies as unknown[]).length).toBeGreaterThan(0);
    }
    const forbidden = answer('joint', { ...fine, label: 'forbids' }).remedies as { kind: string }[];
    expect(forbidden.filter(({ kind }) => kind === 'wait' || kind === 'scuff')).toEqual([]);
    expect(problem('joint', { ...input, own: 'perhaps' })?.at).toBe('own');
  });
  it('names place and mend of bad input', () => {
    const cases: readonly (readonly [string, unknown, string])[] = [
      ['dew', { airC: 20, rh: 0 }, 'rh'],
      ['order', { zones: [], edges: [], ground: { l: 50, a: 0, b: 0 } }, 'zones'],
      [
        'order',
        {
          zones: [{ id: 'a', family: 'candy', lab: { l: 5, a: 0, b: 0 }, share: 0.2, areaCm2: 3 }],
          edges: [{ a: 'a', b: 'ghost', mm: 5, curve: 'tight' }],
          ground: { l: 50, a: 0, b: 0 },
        },
        'edges.0.b',
      ],
      ['dew', { airC: 20, rh: 50, wind: 3 }, '(whole)'],
      ['clock', { mechanism: 'magic', referenceHours: 1, startHour: 0, tempC: [20], rh: [50] }, 'mechanism'],
      ['clock', { mechanism: 'oxidation', referenceHours: 1, startHour: 0, tempC: [20, 21], rh: [50] }, 'tempC'],
      ['clock', { mechanism: 'oxidation', referenceHours: -1, startHour: 0, tempC: [20], rh: [50] }, 'referenceHours'],
      ['strip', { material: 'moonstone' }, 'material'],
      ['joint', { below: { family: 'paint', material: 'zinc' }, above: { family: 'latex' } }, 'below.family'],
      ['amount', { tool: 'aerosol', faces: [{ longMm: 1, shortMm: 1 }], coats: 1 }, '(whole)'],
      ['amount', { family: 'candy', tool: 'aerosol', faces: [{ longMm: -1, shortMm: 1 }], coats: 1 }, 'faces.0.longMm'],
      ['hide', { groundLab: { l: 200, a: 0, b: 0 }, coatLab: { l: 1, a: 0, b: 0 }, share: 0.1 }, 'groundLab.l'],
      ['hide', { groundLab: { l: 20, a: 0, b: 0 }, coatLab: { l: 1, a: 0, b: 0 }, share: 1 }, 'share'],
      ['tarot', {}, '(question)'],
      ['constructor', {}, '(question)'],
    ];
    for (const [name, input, at] of cases) {
      const got = problem(name, input);
      expect([name, got?.at]).toEqual([name, at]);
      expect(got?.mend.length).toBeGreaterThan(5);
    }
  });
  it('publishes a schema for each', () => expect(Object.keys(questionSchemas())).toEqual(QUESTION_NAMES));
});
