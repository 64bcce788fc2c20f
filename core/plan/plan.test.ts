import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { type Facts, type LogEvent, readWorkshopText } from '#core/facts/index';
import { toIso, toMinute } from '#core/units/index';
import { generatedFacts } from '#core/invented/index';
import { verifyPlan } from '#core/verify/index';
import { plan, type Plan } from './plan.ts';

const read = readWorkshopText(readFileSync(new URL('../../demo/breakwater.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem.error);
const demo = read.value;
const NOW = toMinute(demo.writtenAt);
const planOf = (facts: Facts, now = NOW) => plan({ facts, now, conditions: conditionsOf(facts, now) });
const demoPlan = planOf(demo.facts);
const RUNS = process.env.PROOF ? 200 : 25;

/** Every rule a plan breaks, found without the scheduler and without its constraints. */
const broken = (result: Plan, facts: Facts): string[] =>
  verifyPlan(result, facts, conditionsOf(facts, result.now)).map(({ rule, text }) => `${rule}: ${text}`);

describe('facts move the plan', () => {
  const doneOf = (stepId: string, at: number): LogEvent => {
    const step = demoPlan.steps.find((candidate) => candidate.id === stepId);
    if (!step?.coat) throw new Error('no coat');
    const {
      number: _number,
      of: _of,
      mix: _mix,
      holds: _holds,
      paintMl: _p,
      reducerMl: _r,
      hardenerMl: _h,
      filmMl: _f,
      sweepsMl: _s,
      ml,
      ...coat
    } = step.coat;
    return {
      id: `t-${at}`,
      at: toIso(at),
      kind: 'done',
      pieceId: step.pieceId,
      stepKeys: [...step.keys],
      on: step.on.map((on) => ({ partId: on.partId, zoneIds: [...on.zoneIds] })),
      coat: { ...coat, placeId: 'shed', ml },
    };
  };

  it('drops a done step, opens the next after it, and the same event twice changes nothing', () => {
    const first = demoPlan.sessions[0].stepIds[0];
    const event = doneOf(first, NOW + 2);
    const facts = { ...demo.facts, events: [...demo.facts.events, event] };
    const once = planOf(facts, NOW + 2);
    expect(once.steps.some((step) => step.id === first)).toBe(false);
    const next = once.steps.find((step) => step.id.includes('roller.frame.coat'));
    expect(next?.placed?.start as number).toBeGreaterThanOrEqual(NOW + 2 + 10);
    expect(broken(once, facts)).toEqual([]);
  });
  it('counts a coat once when two tabs say done at the same moment', () => {
    const first = demoPlan.sessions[0].stepIds[0];
    const twice = [doneOf(first, NOW + 2), { ...doneOf(first, NOW + 3), id: 'other-tab' }];
    const result = planOf({ ...demo.facts, events: [...demo.facts.events, ...twice] }, NOW + 4);
    const left = result.steps.filter((step) => step.id.includes('roller.frame.coat'));
    expect(left.map((step) => step.coat?.number)).toEqual([3]);
    expect(result.pieces.find((piece) => piece.pieceId === 'roller')?.stacks.frame.layers[1].laidCoats).toBe(2);
  });
  it('plans the coat that is missing where a later one was entered before it', () => {
    const first = demoPlan.sessions[0].stepIds[0];
    const [second, third] = [first, first.replace(/2$/, '3')];
    expect(second).toBe('roller.frame.coat.green-f.2');
    const event = { ...doneOf(second, NOW + 2), stepKeys: [third] };
    const result = planOf({ ...demo.facts, events: [...demo.facts.events, event] }, NOW + 4);
    const left = result.steps.filter((step) => step.id.includes('roller.frame.coat'));
    expect(left.map(({ id, coat }) => [id, coat?.number])).toEqual([[second, 3]]);
    expect(left[0].title).toContain('Coat 3 of 3');
    expect(left[0].placed?.start as number).toBeGreaterThanOrEqual(NOW + 2 + 10);
  });
  it('stays quick with hundreds of copies of many faces', () => {
    const pieces = demo.facts.pieces.map((piece) => ({
      ...piece,
      parts: piece.parts.map((part) => ({ ...part, copies: 200, faces: part.faces.map((face) => ({ ...face, count: 200 })) })),
    }));
    const result = planOf({ ...demo.facts, pieces });
    expect(result.pieces.find((piece) => piece.pieceId === 'crane')?.stopped).toContain('Check sizes and copies');
    expect(broken(result, { ...demo.facts, pieces })).toEqual([]);
  });
  it('puts a step off until the time asked', () => {
    const key = demoPlan.steps.find((step) => step.pieceId === 'tram')?.id as string;
    const until = NOW + 2 * 1440;
    const later = planOf({
      ...demo.facts,
      events: [...demo.facts.events, { id: 'w', at: toIso(NOW), kind: 'wait', pieceId: 'tram', stepKeys: [key], until: toIso(until) }],
    });
    expect(later.steps.find((step) => step.id === key)?.placed?.start as number).toBeGreaterThanOrEqual(until);
  });
  it('plans let cure and look again after trouble', () => {
    const event: LogEvent = {
      id: 'x',
      at: toIso(NOW),
      kind: 'trouble',
      pieceId: 'roller',
      stepKeys: ['roller.frame.coat.green-f.1'],
      partIds: ['frame'],
      sign: 'run',
    };
    const facts = { ...demo.facts, events: [...demo.facts.events, event] };
    const after = planOf(facts);
    const look = after.steps.find((step) => step.title === 'Look at it again');
    expect(look?.placed?.start as number).toBeGreaterThan(NOW + 2 * 1440);
    expect(broken(after, facts)).toEqual([]);
  });
  it('takes an undone event back', () => {
    const event = doneOf(demoPlan.sessions[0].stepIds[0], NOW + 2);
    const undone = planOf({
      ...demo.facts,
      events: [...demo.facts.events, event, { id: 'u', at: toIso(NOW + 3), kind: 'undo', undoes: event.id }],
    });
    expect(JSON.stringify(undone.steps)).toBe(JSON.stringify(demoPlan.steps));
  });
  it('believes the finger over the clock', () => {
    const event: LogEvent = {
      id: 'd',
      at: toIso(NOW),
      kind: 'dryness',
      pieceId: 'roller',
      partId: 'frame',
      zoneId: 'all',
      stage: 'coat',
      seen: 'tacky',
    };
    const tacky = planOf({ ...demo.facts, events: [...demo.facts.events, event] });
    expect(tacky.hanging.find((part) => part.partId === 'frame')?.state).toBe('wet');
  });
  it('never dries a solvent film where people sleep', () => {
    const places = demo.facts.places.map((place) => ({ ...place, sleptIn: true }));
    const result = planOf({ ...demo.facts, places });
    const placed = result.steps.filter((step) => step.coat && step.placed);
    expect(placed.map((step) => step.coat?.family).filter((family) => family !== 'water-acrylic')).toEqual([]);
    expect(result.steps.some((step) => step.stopped?.includes('where people sleep'))).toBe(true);
  });
  it('has no date, and says why, where no hour is free or the stack is empty', () => {
    const workshop = { ...demo.facts.workshop[0], freeHours: [], extraFree: [] };
    const result = planOf({ ...demo.facts, workshop: [workshop] });
    expect(result.steps.every((step) => step.placed === null && (step.unplacedWhy ?? '').length > 0)).toBe(true);
    expect(result.steps.some((step) => step.unplacedWhy?.startsWith('no hour of the week is free'))).toBe(true);
  });
});

describe('generated workshops', () => {
  it('never break a window, a calendar or the one-person rule', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), fc.integer({ min: 1, max: 5 }), (seed, pieces) => {
        const facts = generatedFacts(pieces, seed, NOW);
        const result = planOf(facts);
        expect(broken(result, facts)).toEqual([]);
        expect(result.steps.length).toBeGreaterThan(0);
      }),
      { seed: 5, numRuns: RUNS },
    );
  });
});
