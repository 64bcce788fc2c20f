import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { type Facts, FAMILIES, type Family, type Layer, type LogEvent, MATERIALS, type Part, type Role } from '#core/facts/index';
import { type Minute, toIso } from '#core/units/index';
import { NOW, part, piece, planOf, shelf, steps } from '#core/invented/index';
import type { PlannedStep } from './dates/index.ts';
import { doneEvents } from './doneAsPlanned.ts';
import { historyOf } from './films/index.ts';
import { type Plan, plan } from './plan.ts';
import { tileAlong } from './ways/index.ts';

/**
 * Plans lived through at the bench: whatever the plan says comes next is done when it says, logged, and planned anew. The end is
 * reached, nothing is done twice, and no coat goes on a film that would not take it at that very minute.
 */

const MOST_STEPS = 150;
const RUNS = process.env.PROOF ? 150 : 15;

type Lived = { readonly facts: Facts; readonly done: readonly PlannedStep[]; readonly last: Plan; readonly verdicts: readonly string[] };

const firstOf = ({ steps }: Plan): PlannedStep | undefined =>
  steps.filter((step) => step.placed).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0))[0];

/** `late`: minutes by which the person misses each start; what is next is then asked anew. */
function live(start: Facts, late: number): Lived {
  let facts = start;
  let now = NOW;
  const done: PlannedStep[] = [];
  const verdicts: string[] = [];
  let ids = 0;
  const newId = () => `e${++ids}`;
  const planned = () => plan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [] });
  let last = planned();
  for (let count = 0; count < MOST_STEPS; count++) {
    if (late > 0) {
      now = Math.max(now, (firstOf(last)?.placed?.start ?? now) + late);
      last = planned();
    }
    const next = firstOf(last);
    if (!next?.placed) break;
    if (next.coat && !next.placed.scuff) verdicts.push(...verdictsNow(facts, next, next.placed.start));
    now = next.placed.end;
    facts = {
      ...facts,
      events: [...facts.events, ...doneEvents(next, newId, now, facts.workshop[0].dryPlaceId, undefined, () => next.coat?.layerId)],
    };
    done.push(next);
    last = planned();
  }
  return { facts, done, last, verdicts };
}

/** What the joint says at the minute the coat goes on, for the first coat of a layer on a laid film. */
function verdictsNow(facts: Facts, step: PlannedStep, at: Minute): string[] {
  if (step.coat?.number !== 1) return [];
  const result = plan({ facts, now: at, conditions: conditionsOf(facts, at), datesOf: [] });
  return result.pieces.flatMap(({ steps }) =>
    steps.joints.flatMap((entry) => (entry.layerId === step.coat?.layerId && entry.now ? [entry.now.answer.verdict] : [])),
  );
}

const paint = (id: string, family: Family, role: Role, coats: number): Layer => ({
  id,
  productId: `${family} ${role}`,
  coats,
  covers: 'all',
});

/** Every paint of the stack stands on the shelf, so that nothing waits for a shop. */
function factsOf(own: Part): Facts {
  const owned = [...new Set(own.layers.map((layer) => layer.productId ?? ''))].map((id) => {
    const [family, role] = id.split(' ') as [Family, Role];
    return { id, family, role };
  });
  return {
    ...shelf,
    sheets: owned.map(({ id, family, role }) => ({ ...shelf.sheets[0], id, name: id, family, role, label: {} })),
    products: owned.map(({ id }) => ({ ...shelf.products[0], id, sheetId: id, name: id, lab: { l: 60, a: 0, b: 0 } })),
    cans: owned.map(({ id }) => ({ ...shelf.cans[0], id, productId: id })),
    pieces: [piece({ ...own, finish: 'bare' })],
    events: [],
  };
}
const coatsLaid = ({ facts }: Lived) => historyOf(facts).coatsOn('bell', 'body', 'all').length;

describe('a plan lived through', () => {
  const primed = paint('primer', 'lacquer-primer', 'fine-primer', 2);
  const STACKS: readonly (readonly [string, readonly Layer[]])[] = [
    [
      'lacquer to clear',
      [{ ...primed, flatAfter: 800 }, paint('colour', 'acrylic-lacquer', 'colour', 3), paint('clear', 'acrylic-lacquer', 'clear', 2)],
    ],
    ['enamel in its hour', [primed, paint('enamel', 'alkyd-enamel', 'colour', 3)]],
    [
      'base and 2K clear',
      [
        paint('epoxy', 'epoxy-primer', 'primer', 2),
        paint('base', 'solvent-base', 'metallic', 3),
        paint('clear', 'urethane-2k', 'clear', 2),
      ],
    ],
    ['water over lacquer primer', [primed, paint('water', 'water-acrylic', 'colour', 4)]],
    [
      'candy over its metallic',
      [
        primed,
        paint('silver', 'solvent-base', 'metallic', 2),
        paint('ruby', 'candy', 'colour', 3),
        paint('clear', 'acrylic-lacquer', 'clear', 2),
      ],
    ],
    ['heat paint alone', [paint('hot', 'high-temperature', 'colour', 2)]],
  ];
  it.each(STACKS)('%s: every coat goes on once, on a film that takes it', (_name, layers) => {
    const lived = live(factsOf(part({ material: 'steel', layers: [...layers] })), 0);
    expect(lived.last.steps).toEqual([]);
    expect(coatsLaid(lived)).toBe(layers.reduce((sum, layer) => sum + layer.coats, 0));
    expect(lived.verdicts).not.toContain('stop');
    expect(new Set(lived.done.map((step) => step.id)).size).toBe(lived.done.length);
    expect(lived.done.at(-1)?.stage).toBe('fit');
  });
  it('keeps a colour that waits for its primer waiting once that is on: the end is as it was said at first', () => {
    const start = factsOf(part({ material: 'steel', layers: [primed, paint('colour', 'acrylic-lacquer', 'colour', 2)] }));
    const first = plan({ facts: start, now: NOW, conditions: conditionsOf(start, NOW), datesOf: [] });
    const waits = first.steps.find((step) => step.coat?.layerId === 'colour');
    expect(waits?.placed?.hold.text).toContain('the film below dries first');
    const lived = live(start, 0);
    expect(lived.done.at(-1)?.placed?.end).toBeCloseTo(first.pieces[0].planned ?? 0, 0);
  });
  it('reads its colour first, sprays a tile along and looks at the sheen at the end', () => {
    const layers = [primed, paint('colour', 'acrylic-lacquer', 'colour', 2), paint('clear', 'acrylic-lacquer', 'clear', 2)];
    const body = part({ material: 'steel', finish: 'sound', layers, zones: [{ id: 'all', name: 'All over', sheen: 'satin' }] });
    let id = 0;
    const along = tileAlong(body, () => `tile-${++id}`);
    const start = factsOf(body);
    const own = {
      ...piece(body, { references: [{ id: 'plate', kind: 'hidden-spot', where: 'under the plate', partId: 'body' }] }),
      parts: [body, along],
    };
    const lived = live({ ...start, pieces: [own] }, 0);
    const stages = lived.done.map((step) => step.stage);
    expect(lived.last.steps).toEqual([]);
    expect(stages.indexOf('reference')).toBeGreaterThan(stages.indexOf('wash'));
    expect(stages.indexOf('reference')).toBeLessThan(
      stages.findIndex((stage) => stage === 'strip-on' || stage === 'strip' || stage === 'prep'),
    );
    expect(lived.done.filter((step) => step.title.includes('sheen'))).toHaveLength(1);
    expect(lived.done.filter((step) => step.asks?.kind === 'tile')).toHaveLength(1);
    // Every coat goes onto part and tile in one go.
    for (const step of lived.done) if (step.coat) expect(step.on).toHaveLength(2);
  });
  it('comes to its end for any two paints that may lie on each other, punctual or a little late', () => {
    let finished = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...MATERIALS),
        fc.constantFrom(...FAMILIES),
        fc.constantFrom(...FAMILIES),
        fc.integer({ min: 1, max: 3 }),
        fc.constantFrom(0, 3),
        (material, below, above, coats, late) => {
          const start = factsOf(part({ material, layers: [paint('low', below, 'primer', coats), paint('top', above, 'colour', coats)] }));
          const first = plan({ facts: start, now: NOW, conditions: conditionsOf(start, NOW), datesOf: [] });
          const lived = live(start, late);
          // What was stopped or unplaced at first is left; everything else is done, and nothing new is stuck.
          const stuck = first.steps.filter((step) => !step.placed).length;
          expect(lived.last.steps.length).toBeLessThanOrEqual(stuck);
          expect(lived.verdicts).not.toContain('stop');
          if (stuck > 0) return;
          finished++;
          expect(coatsLaid(lived)).toBe(2 * coats);
        },
      ),
      { seed: 41, numRuns: RUNS },
    );
    expect(finished).toBeGreaterThan(1);
  });
});

describe('a strip by hand in many sittings', () => {
  const panel = part({
    material: 'steel',
    finish: 'flaking',
    stripMethod: 'wet-sand',
    faces: [{ id: 'f', zoneId: 'all', longMm: 1300, shortMm: 1200, count: 2, seen: true }],
  });
  it('asks what came off once, at the last sitting, and never grows by being done', () => {
    let events: LogEvent[] = [];
    const left = () => steps(planOf(panel, events), 'strip');
    const sittings = left();
    expect(sittings.length).toBeGreaterThan(5);
    expect(sittings.map((step) => step.asks !== undefined)).toEqual(sittings.map((_, index) => index === sittings.length - 1));
    for (const [index, step] of sittings.entries()) {
      events = [
        ...events,
        {
          id: `done-${index}`,
          at: toIso(NOW - 500 + index),
          kind: 'done',
          pieceId: 'bell',
          stepKeys: [...step.keys],
          on: [{ partId: 'body', zoneIds: ['all'] }],
        },
      ];
      expect(left()).toHaveLength(sittings.length - index - 1);
    }
  });
  it('is over where it is clean sooner', () => {
    const clean: LogEvent = {
      id: 'c',
      at: toIso(NOW - 5),
      kind: 'stripped',
      pieceId: 'bell',
      partIds: ['body'],
      method: 'wet-sand',
      application: 1,
      outcome: 'clean',
      dwellMinutes: 0,
    };
    expect(steps(planOf(panel, [clean]), 'strip')).toEqual([]);
  });
});
