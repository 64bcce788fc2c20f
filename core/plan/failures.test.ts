import { conditionsOf } from '#core/drying/index';
import type { Facts, LogEvent, Part, Piece, StripMethod } from '#core/facts/index';
import { inventedJob, NOW, part, planOf, solePiece as own } from '#core/invented/index';
import { plan, preparationOf } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** What fails at the bench is never the end of the dates: the next best way that fits the stays is planned (trade §3). */

const JOBS = Array.from({ length: 40 }, (_, index) => index + 1);
const at = toIso(NOW - 1);
/** Minutes one waits for a stripper that does nothing. */
const WAITED: Partial<Record<StripMethod, number>> = { gel: 25, alcohol: 240, alkaline: 240, caustic: 60 };

const planOfAll = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const pieceIn = (facts: Facts, piece: Piece) => planOfAll(facts).pieces.find(({ pieceId }) => pieceId === piece.id);
const withEvents = (facts: Facts, ...events: object[]): Facts => ({ ...facts, events: [...facts.events, ...(events as LogEvent[])] });

/**
 * A person’s own ties against each other, and a plastic nobody has tested, stop a step whatever has failed before; and no soak is done
 * within an hour and a half a week, which is said.
 */
const OF_THE_PERSON = /tie|lift, craze or wrinkle|the longest free stay has 79 min: free a longer one/;
const lost = (facts: Facts, piece: Piece): string | null => {
  const planned = pieceIn(facts, piece);
  return planned?.planned !== null || OF_THE_PERSON.test(planned.noDateWhy ?? '') ? null : (planned.noDateWhy ?? 'no date');
};

/** The first two parts are screwed to each other, where the job has told nothing of it. */
const screwed = (piece: Piece): Piece =>
  piece.parts.length < 2
    ? piece
    : { ...piece, fastenings: [{ id: 'screws', kind: 'screw', a: piece.parts[0].id, b: piece.parts[1].id, count: 2, note: '' }] };

/** Every piece of the invented jobs that has a date. */
const dated = JOBS.flatMap((seed) => {
  const invented = inventedJob(seed, NOW);
  const facts = { ...invented, pieces: invented.pieces.map(screwed) };
  return facts.pieces.filter((piece) => pieceIn(facts, piece)?.planned !== null).map((piece) => ({ facts, piece }));
});

describe('a failure', () => {
  it('of fastenings that would not, or broke, loses no dates', () => {
    let tried = 0;
    for (const { facts, piece } of dated)
      for (const { id } of piece.fastenings ?? [])
        for (const outcome of ['would-not', 'broke']) {
          tried++;
          expect(
            lost(withEvents(facts, { id: 'parted', at, kind: 'parted', pieceId: piece.id, fasteningId: id, outcome }), piece),
          ).toBeNull();
        }
    expect(tried).toBeGreaterThan(10);
  });
  it('of every stripper in turn loses no dates, and what failed is not planned again', () => {
    let tried = 0;
    const failing = (facts: Facts, piece: Piece, of: Part, failed: readonly StripMethod[]): void => {
      const method = pieceIn(facts, piece)?.steps.strips.get(of.id)?.method;
      if (!method || WAITED[method] === undefined) return;
      tried++;
      expect(failed).not.toContain(method);
      const hardly = [1, 2].map((application) => ({
        id: `${method}-${application}`,
        at,
        kind: 'stripped',
        pieceId: piece.id,
        partIds: [of.id],
        method,
        application,
        outcome: 'little',
        dwellMinutes: WAITED[method],
      }));
      const after = withEvents(facts, ...hardly);
      expect(lost(after, piece)).toBeNull();
      failing(after, piece, of, [...failed, method]);
    };
    for (const { facts, piece } of dated) for (const of of piece.parts) failing(facts, piece, of, []);
    expect(tried).toBeGreaterThan(10);
  });
  it.each(['strip', 'surface', 'layer'] as const)('that is sent back to the %s loses no dates', (backTo) => {
    let tried = 0;
    for (const { facts, piece } of dated)
      for (const of of piece.parts)
        for (const { id } of of.layers) {
          const laid = facts.events.some((event) => event.kind === 'done' && event.coat?.layerId === id && event.on[0].partId === of.id);
          if (!laid) continue;
          tried++;
          const back = {
            id: 'back',
            at,
            kind: 'inspected',
            pieceId: piece.id,
            partIds: [of.id],
            layerId: id,
            outcome: 'sent-back',
            backTo,
          };
          expect(lost(withEvents(facts, { ...back, reason: 'seen in side light' }), piece)).toBeNull();
        }
    expect(tried).toBeGreaterThan(10);
  });
});

describe('a method that failed', () => {
  it('stands in no list of methods any more', () => {
    const flaking = part({ finish: 'flaking', material: 'zinc' });
    const planned = planOf(flaking);
    const method = own(planned).steps.strips.get('body')?.method as StripMethod;
    const facts = { ...inventedJob(1, NOW), pieces: [{ ...inventedJob(1, NOW).pieces[0], id: 'bell', parts: [flaking] }], events: [] };
    const patch = { id: 'patch', at, kind: 'patch', pieceId: 'bell', partIds: ['body'], method, outcome: 'harmed', dwellMinutes: 9 };
    const listed = (of: Facts) => preparationOf(of.pieces[0], flaking, of).options.map((option) => option.method);
    expect(listed(facts)).toContain(method);
    expect(listed(withEvents(facts, patch))).not.toContain(method);
  });
});
