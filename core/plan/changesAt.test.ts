import { readFileSync } from 'node:fs';
import { conditionsOf } from '#core/drying/index';
import { type Facts, readWorkshopText } from '#core/facts/index';
import { inventedJob, NOW } from '#core/invented/index';
import { toMinute } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { changesAt } from './changesAt.ts';
import { plan } from './plan.ts';

const read = readWorkshopText(readFileSync(new URL('../../demo/breakwater.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem.error);
const demo = { facts: read.value.facts, now: toMinute(read.value.writtenAt) };
const planAt = (facts: Facts, now: number) => plan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [] });
/** What a person reads off a plan, but for the minute it is. */
const said = ({ steps, hanging, pieces, purchases }: ReturnType<typeof plan>) => ({
  steps: steps.map(({ id, title, placed, unplacedWhy }) => [id, title, placed, unplacedWhy]),
  hanging: hanging.map(({ partId, state }) => [partId, state]),
  pieces: pieces.map(({ pieceId, planned, money }) => [pieceId, planned, money.total]),
  purchases,
});

describe('a minute that has passed', () => {
  it.each<[string, { facts: Facts; now: number }]>([
    ['the demo', demo],
    ...Array.from({ length: 24 }, (_, seed): [string, { facts: Facts; now: number }] => [
      `job ${seed + 1}`,
      { facts: inventedJob(seed + 1, NOW), now: NOW + 7 },
    ]),
  ])('changes nothing before it is said to: %s', (_name, { facts, now }) => {
    const first = planAt(facts, now);
    const until = changesAt(first);
    expect(until).toBeGreaterThan(now);
    for (const later of new Set([now + 1, Math.ceil((now + until) / 2), until - 1]))
      if (later > now && later < until) expect(said(planAt(facts, later))).toEqual(said(first));
  });
  it('is not waited for where a film shuts or a step begins within it', () => {
    const first = planAt(demo.facts, demo.now);
    const until = changesAt(first);
    expect(until).toBeLessThanOrEqual(demo.now + 15);
    const [film] = first.hanging.flatMap(({ hung }) => (hung ? [hung] : []));
    const soon = { ...film, times: { ...film.times, shuts: demo.now + 3 } };
    const hanging = [{ ...first.hanging[0], hung: soon }];
    expect(changesAt({ now: demo.now, hanging, steps: [] })).toBe(demo.now + 3);
    expect(changesAt({ now: demo.now, hanging: [], steps: [{ placed: { start: demo.now + 5 } }] })).toBe(demo.now + 5);
    expect(changesAt({ now: demo.now, hanging: [], steps: [{ placed: { start: demo.now } }] })).toBe(demo.now + 1);
    expect(changesAt({ now: demo.now, hanging: [], steps: [{ placed: null }] })).toBe(demo.now + 15);
  });
});
