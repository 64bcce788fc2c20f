import { lacquer, part, planOf, primer } from '#core/invented/index';
import { planView } from '#core/plan/index';
import { describe, expect, it } from 'vitest';
import { holdsOf } from './screens/job-sheet/mendPlace.ts';
import { heldGroups } from './screens/job-sheet/dates/heldGroups.ts';

/** What blocks is said once, with the way to its mend; what only waits for it lies under it. */

const styrene = planView(planOf(part({ material: 'polystyrene', finish: 'bare' })));
const piece = (own = part({ material: 'polystyrene', finish: 'bare' })) => ({ id: 'bell', parts: [own] }) as never;

describe('steps without a date', () => {
  const undated = styrene.steps.filter(({ placed }) => !placed);
  it('lie under the reason at the root, each once', () => {
    const groups = heldGroups(undated);
    expect(undated.length).toBeGreaterThan(2);
    expect(groups).toHaveLength(1);
    expect(groups[0].held).toHaveLength(undated.length);
    expect(groups[0].why).not.toMatch(/^waits for/);
  });
  it('are two groups where two things hold them', () => {
    const [one, other] = undated;
    const held = [
      one,
      { ...other, stopped: undefined, unplacedWhy: 'waits for “The fit”: waits for “A parcel”: nobody knows when it comes' },
    ];
    expect(heldGroups(held).map(({ why }) => why)).toEqual([expect.any(String), 'nobody knows when it comes']);
  });
});

describe('what holds a piece up', () => {
  const steel = (more: object = {}) => part({ material: 'steel', finish: 'bare', ...more });
  const base = { family: 'solvent-base' as const, role: 'colour' as const, name: 'base', lab: { l: 40, a: 20, b: 0 } };
  const unclear = steel({ layers: [primer(), { ...lacquer(2), productId: undefined, wanted: base }] });
  it('is said of the layer that would not sit, on its part, with the way to Coats', () => {
    const [hold, ...more] = holdsOf(piece(), styrene.pieces[0]);
    expect(more).toEqual([]);
    expect(hold).toMatchObject({ text: styrene.pieces[0].stopped, place: { section: 'coats', partId: 'body', told: true } });
    expect(hold.place?.who).toMatch(/ on body$/);
  });
  it('is the part that lacks its clear, which Coats does not tell by itself', () => {
    const [hold] = holdsOf(piece(unclear), planView(planOf(unclear)).pieces[0]);
    expect(hold).toMatchObject({ place: { section: 'coats', partId: 'body', told: false } });
    expect(hold.text).toContain('needs a clear on top');
  });
  it('names no part for what is of none, beside what is of one', () => {
    const view = { ...planView(planOf(unclear)).pieces[0], undecided: 'The lid has neither coat nor a reason to stay bare.' };
    expect(holdsOf(piece(unclear), view).map(({ place }) => place?.partId)).toEqual([undefined, 'body']);
  });
  it('is nothing where nothing is held', () => expect(holdsOf(piece(steel()), planView(planOf(steel())).pieces[0])).toEqual([]));
});
