import type { LogEvent } from '#core/facts/index';
import { coat, lacquer, NOW, part, planOf, primed, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { coatsToHide, resolveLayer, shareSeen } from '../index.ts';

const PRODUCT = 'starter-acrylic-lacquer-colour-product';
const laid = (coats: number): LogEvent[] =>
  Array.from({ length: coats }, (_, index) => coat('colour', index + 1, 300 - index * 15, 'acrylic-lacquer', 'colour', 12));
const shows: LogEvent = {
  id: 'seen',
  at: toIso(NOW - 5),
  kind: 'inspected',
  pieceId: 'bell',
  partIds: ['body'],
  layerId: 'colour',
  outcome: 'one-more',
  reason: 'the ground shows',
};
const BLACK = { l: 5, a: 0, b: 0 };
const WHITE = { l: 98, a: 0, b: 0 };

describe('“the ground shows”', () => {
  it.each([2, 3, 5])('after %s coats teaches that this paint takes one more', (coats) => {
    const share = shareSeen(PRODUCT, [...laid(coats), shows]) ?? 0;
    expect(coatsToHide(BLACK, WHITE, share).coats).toBe(coats + 1);
  });
  it('is known to every other piece in that paint, and never makes it hide better', () => {
    const facts = { ...shelf, events: [...laid(5), shows] };
    const taught = resolveLayer(lacquer(), facts).share;
    expect(taught).toBeGreaterThan(resolveLayer(lacquer(), shelf).share);
    expect(resolveLayer(lacquer(), { ...shelf, events: [...laid(1), shows] }).share).toBe(resolveLayer(lacquer(), shelf).share);
  });
  it('is unlearned with the entry, and says nothing where nothing was laid', () => {
    expect(shareSeen(PRODUCT, [...laid(3), shows, { id: 'u', at: toIso(NOW), kind: 'undo', undoes: 'seen' }])).toBeUndefined();
    expect(shareSeen(PRODUCT, [shows])).toBeUndefined();
    expect(shareSeen(PRODUCT, [...laid(3), { ...shows, outcome: 'accepted' }])).toBeUndefined();
  });
  it('adds a coat in its window with its mL and its money', () => {
    const coats = (events: LogEvent[]) => planOf(part(), events).steps.filter((step) => step.coat?.layerId === 'colour');
    const before = [...primed, ...laid(2)];
    expect(coats(before)).toEqual([]);
    const [more] = coats([...before, shows]);
    expect(more.coat?.number).toBe(3);
    expect(more.coat?.ml).toBeGreaterThan(0);
    expect(more.placed).not.toBeNull();
  });
});
