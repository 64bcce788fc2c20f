import { conditionsOf } from '#core/drying/index';
import type { Facts, Workshop } from '#core/facts/index';
import { enamel, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { plan } from './plan.ts';
import { type Change, changesFor, gainOf } from './ways/index.ts';

/** What would make a piece sooner: every change is planned anew, and says what it gains and who pays for it. */

const slow = () => piece(part({ layers: [primer(), enamel()] }));
const factsOf = (workshop: Partial<Workshop> = {}, pieces = [slow()], more: Partial<Facts> = {}): Facts => ({
  ...shelf,
  ...more,
  pieces,
  workshop: [{ ...shelf.workshop[0], ...workshop }],
});
const tried = (facts: Facts, pieceId = 'bell') => {
  const conditions = conditionsOf(facts, NOW);
  const asIs = plan({ facts, now: NOW, conditions, datesOf: [] });
  const own = facts.pieces.find(({ id }) => id === pieceId) ?? facts.pieces[0];
  const changes = changesFor(own, facts, asIs, conditions);
  return { asIs, changes, gains: changes.map((change) => gainOf(change, pieceId, asIs)) };
};
const labels = (changes: readonly Change[]) => changes.map(({ label }) => label);
const endOf = (facts: Facts, conditions = conditionsOf(facts, NOW)) =>
  plan({ facts, now: NOW, conditions, datesOf: [] }).pieces[0].planned as number;

describe('what would make a piece sooner', () => {
  it('is what the plan of the changed world says, no more', () => {
    const { asIs, changes, gains } = tried(factsOf({ freeHours: [{ weekday: 2, from: '19:00', to: '21:00' }] }));
    expect(gains.some(Boolean)).toBe(true);
    for (const [index, gain] of gains.entries()) {
      const then = endOf(changes[index].facts, changes[index].conditions);
      if (gain) expect([gain.end, gain.gained]).toEqual([then, (asIs.pieces[0].planned as number) - then]);
      else expect((asIs.pieces[0].planned as number) - then).toBeLessThan(60);
    }
  });

  it('tries an evening on days that have none, as long as the usual one, never on a day away', () => {
    const freeHours = [{ weekday: 2, from: '18:00', to: '20:30' }];
    const { changes } = tried(factsOf({ freeHours, away: [{ from: '2026-12-03', to: '2026-12-04' }] }));
    const evenings = labels(changes).filter((label) => label.startsWith('one more evening'));
    expect(evenings.length > 0 && evenings.every((label) => label.endsWith('18:00 to 20:30'))).toBe(true);
    expect(evenings.some((label) => /, Tue/.test(label))).toBe(false);
    const all = tried(factsOf({ freeHours })).changes;
    expect(labels(all).filter((label) => label.startsWith('one more evening')).length).toBe(evenings.length + 2);
  });

  it('says the hours by the clock of the workshop', () => {
    const { changes } = tried(
      factsOf({ units: { ...shelf.workshop[0].units, clock: 12 }, freeHours: [{ weekday: 2, from: '18:00', to: '20:30' }] }),
    );
    expect(labels(changes).find((label) => label.startsWith('one more evening'))).toMatch(/6:00 pm to 8:30 pm$/);
  });

  it('gives a piece without enough hours a date, by an evening long enough to work', () => {
    const tonight = [{ from: toIso(NOW), to: toIso(NOW + 150) }];
    const few = factsOf({ freeHours: [], extraFree: tonight }, [piece(part({ layers: [primer()] }))]);
    const { asIs, gains } = tried(few);
    expect(asIs.pieces[0].planned).toBeNull();
    const dated = gains.filter((gain) => gain !== null);
    const short = tried(factsOf({ freeHours: [{ weekday: 2, from: '19:00', to: '19:20' }] })).changes;
    expect(labels(short).every((label) => !label.includes('19:20'))).toBe(true);
    expect(dated.map(({ label }) => label)).toContain('one more evening, Wed 2 Dec, 19:00 to 21:00');
    for (const gain of dated) expect(gain.gained).toBe(0);
  });

  it('puts it before the others only where there are others, and says who pays', () => {
    expect(labels(tried(factsOf()).changes)).not.toContain('this piece before the others');
    const many = ['second', 'third', 'fourth', 'bell'].map((id) => ({ ...slow(), id, name: id }));
    const { changes, gains, asIs } = tried(factsOf({ freeHours: [{ weekday: 2, from: '19:00', to: '20:00' }] }, many));
    const first = gains[labels(changes).indexOf('this piece before the others')];
    expect(first?.gained).toBeGreaterThan(0);
    expect(first?.pays?.pieceId).not.toBe('bell');
    expect(asIs.pieces.length).toBe(4);
  });

  it('gives up what the workshop wishes, and only that', () => {
    const plain = labels(tried(factsOf()).changes);
    const wished = tried(factsOf({ goal: 'calmest', longestStay: 45, quietHours: [{ from: '20:00', to: '08:00' }] })).changes;
    expect(labels(wished).filter((label) => !plain.includes(label))).toEqual([
      'planned for the soonest end',
      'stays as long as your hours',
      'no quiet hours',
    ]);
  });

  it('doubles the room that is said to be short, and only that', () => {
    const plain = labels(tried(factsOf()).changes);
    const pieces = ['a', 'b', 'c', 'bell'].map((id) => ({ ...slow(), id, name: id }));
    const { changes, gains } = tried(
      factsOf(
        { booth: { longMm: 300, wideMm: 200 }, dryingPlaces: [{ count: 1, longMm: 300 }], tub: { longMm: 300, wideMm: 200, deepMm: 200 } },
        pieces,
      ),
    );
    const more = labels(changes).filter((label) => !plain.includes(label) && !label.startsWith('this piece'));
    expect(more).toEqual(['a booth twice as long', 'twice as many drying places', 'one tub more']);
    expect(gains[labels(changes).indexOf('twice as many drying places')]?.gained).toBeGreaterThan(0);
    expect(gains[labels(changes).indexOf('one tub more')]).toBeNull();
  });

  it('takes a clear as glossy and a colour as near from the shelf, no other', () => {
    const gloss = (id: string, more: Partial<Facts['products'][number]>) => {
      const own = shelf.products.find((product) => product.id === id) as Facts['products'][number];
      return { ...own, id: `${id}-2`, name: `Second ${own.name}`, ...more };
    };
    const colour = enamel().productId as string;
    const [near, far] = [gloss(colour, {}), gloss(colour, { id: 'far', lab: { l: 20, a: 40, b: 0 } })];
    const cans = [near, far].map(({ id }) => ({ ...shelf.cans[0], id: `can-${id}`, productId: id }));
    const { changes } = tried(factsOf({}, [slow()], { products: [...shelf.products, near, far], cans: [...shelf.cans, ...cans] }));
    const swaps = labels(changes).filter((label) => label.includes(' for ') && label.startsWith('Second'));
    expect(swaps.length).toBe(1);
    expect(changes.find(({ label }) => label === swaps[0])?.facts.pieces[0].parts[0].layers[1].productId).toBe(near.id);
  });

  it('takes another primer of the same kind from the shelf, for layers that are not begun', () => {
    const own = shelf.products.find(({ id }) => id === primer().productId) as Facts['products'][number];
    const quick = { ...own, id: 'quick', name: 'Quick grey' };
    const can = { ...shelf.cans[0], id: 'can-quick', productId: 'quick' };
    const change = (cans: Facts['cans']) =>
      tried(factsOf({}, [slow()], { products: [...shelf.products, quick], cans })).changes.find(({ label }) =>
        label.startsWith('Quick grey for'),
      );
    expect(change([...shelf.cans, can])?.facts.pieces[0].parts[0].layers.map(({ productId }) => productId)).toEqual([
      'quick',
      enamel().productId,
    ]);
    expect(change(shelf.cans)).toBeUndefined();
  });
});
