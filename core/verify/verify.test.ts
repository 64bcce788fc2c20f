import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWorkshopFile } from '#core/admission/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { generatedFacts } from '#core/invented/index';
import { type Plan, plan, type PlannedStep } from '#core/plan/index';
import { toMinute } from '#core/units/index';
import { verifyPlan } from './index.ts';

const NOW = Date.UTC(2026, 11, 1, 18) / 60_000;
const RUNS = process.env.PROOF ? 60 : 8;

const planned = (facts: Facts, now = NOW): Plan => plan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [] });
const verified = (facts: Facts, result: Plan) =>
  verifyPlan(result, facts, conditionsOf(facts, result.now)).map(({ rule, text }) => `${rule}: ${text}`);

describe('every plan keeps every rule', () => {
  it('of workshops made up from a seed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), fc.integer({ min: 1, max: 4 }), (seed, pieces) => {
        const facts = generatedFacts(pieces, seed, NOW);
        expect(verified(facts, planned(facts))).toEqual([]);
      }),
      { seed: 7, numRuns: RUNS },
    );
  });
  it('of the demo', () => {
    const read = readWorkshopFile(readFileSync(new URL('../../demo/breakwater.json', import.meta.url), 'utf8'));
    if (!read.ok) throw new Error(read.problem.error);
    const now = toMinute(read.value.writtenAt);
    expect(verified(read.value.facts, planned(read.value.facts, now))).toEqual([]);
  });
});

describe('a plan tampered with', () => {
  const facts = generatedFacts(2, 3, NOW);
  const honest = planned(facts);
  /** The plan with one step moved by so many minutes. */
  const moved = (step: PlannedStep, minutes: number): Plan => ({
    ...honest,
    steps: honest.steps.map((own) =>
      own.id === step.id && own.placed
        ? { ...own, placed: { ...own.placed, start: own.placed.start + minutes, end: own.placed.end + minutes } }
        : own,
    ),
  });
  const first = (wanted: (step: PlannedStep) => boolean): PlannedStep => {
    const found = honest.steps
      .filter((step) => step.placed && wanted(step))
      .sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0))[0];
    if (!found) throw new Error('The made-up workshop has no such step.');
    return found;
  };
  const rules = (tampered: Plan) => new Set(verifyPlan(tampered, facts, conditionsOf(facts, NOW)).map(({ rule }) => rule));

  it('is caught outside the free hours, in the past and over another step', () => {
    const step = first(() => true);
    expect(rules(moved(step, 6 * 60))).toContain('free hours');
    expect(rules(moved(step, -60 * 24))).toContain('now');
    const second = first((own) => (own.placed?.start ?? 0) > (step.placed?.start ?? 0));
    const onto = (step.placed?.start ?? 0) - (second.placed?.start ?? 0);
    expect(rules(moved(second, onto))).toContain('one person');
  });
  it('is caught laying a coat on a film that does not take it yet', () => {
    const second = first((step) => step.coat?.number === 2);
    expect(rules(moved(second, -9))).toContain('recoat window');
  });
  it('is caught flatting and fitting too soon', () => {
    for (const stage of ['flat', 'fit'] as const) {
      const step = first((own) => own.stage === stage);
      const coats = honest.steps.filter(
        (own) => own.coat && own.pieceId === step.pieceId && (own.placed?.end ?? 0) <= (step.placed?.start ?? 0),
      );
      const last = Math.max(...coats.map((own) => own.placed?.end ?? 0));
      expect(rules(moved(step, last + 5 - (step.placed?.start ?? 0)))).toContain(stage);
    }
  });
  it('is caught leaving stripper on past its dwell', () => {
    const off = honest.steps.filter((step) => step.stage === 'strip-off' && step.method === 'gel' && step.placed).at(-1);
    if (!off) throw new Error('Nothing is stripped by gel here.');
    expect(rules(moved(off, 2 * 1440))).toContain('dwell');
  });
});
