import { conditionsOf } from '#core/drying/index';
import type { Facts, Reading } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { DAY, HOUR, toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** Free on Tuesday and Friday; it is a Tuesday evening. */
const twice = [2, 5].map((weekday) => ({ weekday, from: '19:00', to: '21:30' }));
const viewOf = (readings: readonly Reading[]) => {
  const facts: Facts = {
    ...shelf,
    workshop: [{ ...shelf.workshop[0], freeHours: twice }],
    places: shelf.places.map((place) => ({ ...place, heated: false })),
    readings: [...readings],
    pieces: [piece(part({ finish: 'bare', layers: [primer(), lacquer()] }))],
  };
  const { pieces, steps } = plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
  const first = steps.flatMap(({ coat, placed }) => (coat && placed ? [placed.start] : [])).sort((a, b) => a - b)[0];
  return { notes: pieces[0].airNotes, first };
};
const cold = (days: number): Reading => ({
  id: 'cold',
  placeId: shelf.workshop[0].sprayPlaceId,
  at: toIso(NOW),
  airC: 9,
  rh: 78,
  from: 'typed',
  until: toIso(NOW + days * DAY),
});

describe('coats that the air forbids', () => {
  it('say nothing where they go on in the first stay', () => {
    const { notes, first } = viewOf([]);
    expect(notes).toEqual([]);
    expect(first).toBeLessThan(NOW + 3 * HOUR);
  });
  it('name every stay that is spoilt, and what is wrong then', () => {
    const { notes, first } = viewOf([cold(5)]);
    expect(first).toBeGreaterThan(NOW + 6 * DAY);
    expect(notes).toHaveLength(1);
    expect(notes[0]).toMatch(/^No coat in .* on .*Fri 4 Dec: 9\.0 °C is outside 10–32 °C\.$/);
  });
});
