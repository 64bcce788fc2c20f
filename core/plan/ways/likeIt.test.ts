import { lacquer, NOW, part, piece, primed, primer, shelf } from '#core/invented/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { describe, expect, it } from 'vitest';
import { plan } from '../plan.ts';
import { nextLikeIt } from './likeIt.ts';

const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });

describe('the next piece like one that is finished', () => {
  const own = piece(part({ layers: [primer(), lacquer()] }), {
    finished: true,
    parcels: [{ id: 'glass', name: 'Glass', price: 400, arrived: true, orderedAt: '2026-11-01' }],
  });
  const facts: Facts = { ...shelf, pieces: [own], events: primed };
  it('is planned from the start, and costs what the same piece would that nobody has begun', () => {
    const [next] = planned(nextLikeIt(own, facts)).pieces;
    const [fresh] = planned({
      ...shelf,
      pieces: [{ ...own, finished: false, parcels: nextLikeIt(own, facts).pieces[0].parcels }],
      events: [],
    }).pieces;
    expect([next.money.byUse, next.attendedMinutes]).toEqual([fresh.money.byUse, fresh.attendedMinutes]);
    expect(next.attendedMinutes).toBeGreaterThan(planned(facts).pieces[0].attendedMinutes);
    expect(next.money.byUse).toBeGreaterThan(400);
  });
  it('leaves the piece itself and the shelf as they are', () => {
    expect(nextLikeIt(own, facts).cans).toBe(shelf.cans);
    expect(own.finished).toBe(true);
  });
});
