import { conditionsOf } from '#core/drying/index';
import type { Facts, Layer } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { doneEvents } from '../doneAsPlanned.ts';
import { plan } from '../plan.ts';

/** What a piece costs stays what it was said to cost while it is worked on: nothing is free because nobody noted buying it. */

/** Every step done as planned, one after the other, with what each used up. */
function lived(start: Facts, after: (step: number, facts: Facts, now: number) => void): Facts {
  let facts = start;
  let now = NOW;
  for (let number = 0; number < 60; number++) {
    const { steps } = plan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [] });
    const [next] = steps.filter(({ placed }) => placed !== null).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
    if (!next) return facts;
    now = next.placed?.end ?? now;
    const events = doneEvents(
      next,
      () => `e${number}-${facts.events.length}`,
      now,
      facts.workshop[0].dryPlaceId,
      undefined,
      () => next.coat?.layerId,
    );
    facts = { ...facts, events: [...facts.events, ...events] };
    after(number, facts, now);
  }
  throw new Error('It never ends.');
}

describe('a piece lived through', () => {
  const colour = { family: 'acrylic-lacquer', role: 'colour', name: 'sea green', lab: { l: 50, a: -20, b: 0 } } as const;
  const own = (layers: Layer[], cans: Facts['cans']): Facts => ({ ...shelf, cans, pieces: [piece(part({ layers }))] });
  const money = (facts: Facts, now: number) => plan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [] }).pieces[0].money;
  it.each<[string, Facts]>([
    ['out of cans that stand there', own([primer(), lacquer()], shelf.cans)],
    ['out of cans that nobody noted', own([primer(), lacquer()], [])],
    ['in a colour that is no product yet', own([primer(), { id: 'c', wanted: colour, coats: 3, covers: 'all' }], shelf.cans)],
  ])('%s costs at every step about what it was said to cost, and has nothing planned in the end', (_how, start) => {
    const said = money(start, NOW);
    let last = said;
    lived(start, (_number, facts, now) => {
      last = money(facts, now);
      // Parts of a sheet are used where whole ones were planned: it never costs more than that, but for rounding.
      expect(last.total).toBeLessThanOrEqual(said.total + 30);
      expect(last.total).toBeGreaterThanOrEqual(said.total * 0.45);
      expect(Math.abs(last.byUse - said.byUse)).toBeLessThanOrEqual(Math.max(60, said.byUse * 0.25));
    });
    expect(last.planned + last.consumables).toBe(0);
    expect(last.committed).toBeGreaterThan(0);
    expect(last.used).toBe(last.byUse);
  });
});
