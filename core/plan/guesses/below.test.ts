import type { Facts } from '#core/facts/index';
import { clear, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { conditionsOf } from '#core/drying/index';
import { missingBelow, plan, recalledBelow } from '#core/plan/index';
import { DAY, toMinute } from '#core/units/index';
import { describe, expect, it } from 'vitest';

const own = piece(part({ finish: 'bare', layers: [primer(), lacquer(), clear] }));
const planned = (events: Facts['events'] = []) => {
  const facts: Facts = { ...shelf, pieces: [own], events };
  return plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }).steps;
};
const coatOf = (layerId: string, number: number, events?: Facts['events']) => {
  const steps = planned(events);
  const step = steps.find(({ coat }) => coat?.layerId === layerId && coat.number === number);
  if (!step) throw new Error(`No coat ${number} of ${layerId}.`);
  return { step, steps };
};
let ids = 0;
const newId = () => `recalled-${++ids}`;

describe('what lies below a coat entered out of order', () => {
  it('is what the stack has below it and the log does not', () => {
    const { step, steps } = coatOf('clear', 2);
    expect(missingBelow(step, steps, own).map(({ layerId, same, coats }) => [layerId, same, coats.length])).toEqual([
      ['primer', false, 2],
      ['colour', false, 2],
      ['clear', true, 1],
    ]);
    const first = coatOf('primer', 1);
    expect(missingBelow(first.step, first.steps, own)).toEqual([]);
    const wash = steps.find(({ stage }) => stage === 'wash');
    expect(wash && missingBelow(wash, steps, own)).toEqual([]);
  });
  it('is entered as recalled, lower layers a day earlier, and nothing is charged for it', () => {
    const { step, steps } = coatOf('clear', 2);
    const events = recalledBelow(missingBelow(step, steps, own), step, NOW, newId, 'shed');
    expect(events.map(({ at, coat }) => [coat?.layerId, NOW - toMinute(at)])).toEqual([
      ['clear', 15],
      ['colour', 15 + DAY],
      ['colour', 30 + DAY],
      ['primer', 30 + 2 * DAY],
      ['primer', 45 + 2 * DAY],
    ]);
    expect(events.every(({ recalled, supplies, coat }) => recalled && !supplies && coat && !('ml' in coat))).toBe(true);
    const left = planned([...events]).filter(({ coat }) => coat);
    expect(left.map(({ coat }) => [coat?.layerId, coat?.number])).toEqual([['clear', 2]]);
  });
  it('leaves out what was never there', () => {
    const { step, steps } = coatOf('clear', 1);
    const [, colour] = missingBelow(step, steps, own);
    const events = recalledBelow([colour], step, NOW, newId, 'shed');
    expect(new Set(events.map(({ coat }) => coat?.layerId))).toEqual(new Set(['colour']));
  });
});
