import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TurnQueue } from './turnQueue.ts';

describe('whose turn it is', () => {
  const queueOf = (ranks: Readonly<Record<string, number>>) => {
    const queue = new TurnQueue<string, { rank: number }>();
    for (const [own, rank] of Object.entries(ranks)) queue.put(own, { rank });
    return queue;
  };
  const inTurn = (queue: TurnQueue<string, { rank: number }>) => {
    const order: string[] = [];
    for (let next = queue.take(); next; next = queue.take()) order.push(next.own);
    return order;
  };

  it('is by rank, and of equal ranks by who came first, also after being put again', () => {
    const queue = queueOf({ tram: 3, crane: 1, fan: 3, vane: 2 });
    queue.put('tram', { rank: 3 });
    expect(inTurn(queue)).toEqual(['crane', 'vane', 'tram', 'fan']);
  });
  it('is by the rank put last, sooner or later than before', () => {
    const queue = queueOf({ tram: 1, crane: 2, fan: 3 });
    queue.put('tram', { rank: 4 });
    expect(queue.soonest).toBe(2);
    queue.put('fan', { rank: 0 });
    expect(queue.soonest).toBe(0);
    expect([...queue.turns()].map(([own]) => own).sort()).toEqual(['crane', 'fan', 'tram']);
    expect(inTurn(queue)).toEqual(['fan', 'crane', 'tram']);
    expect(queue.soonest).toBe(Number.POSITIVE_INFINITY);
  });
  it('is the same as sorting would give, whatever is put, put again and taken between', () => {
    const act = fc.oneof(fc.record({ own: fc.integer({ min: 0, max: 12 }), rank: fc.integer({ min: -3, max: 3 }) }), fc.constant('take'));
    fc.assert(
      fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
        const queue = new TurnQueue<number, { rank: number }>();
        const plain = new Map<number, number>();
        const came: number[] = [];
        for (const next of acts) {
          if (typeof next !== 'string') {
            if (!came.includes(next.own)) came.push(next.own);
            plain.set(next.own, next.rank);
            queue.put(next.own, { rank: next.rank });
            continue;
          }
          const [first] = [...plain].sort((a, b) => a[1] - b[1] || came.indexOf(a[0]) - came.indexOf(b[0]));
          expect(queue.take()?.own).toBe(first?.[0]);
          if (first) plain.delete(first[0]);
        }
      }),
    );
  });
});
