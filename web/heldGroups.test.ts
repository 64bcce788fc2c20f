import { part, planOf } from '#core/invented/index';
import { planView } from '#core/plan/index';
import { describe, expect, it } from 'vitest';
import { mendPlace } from './screens/job-sheet/mendPlace.ts';
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

describe('the way to the mend', () => {
  it('leads to the layer that would not sit, on its part', () => {
    const place = mendPlace(piece(), styrene.pieces[0]);
    expect(place).toMatchObject({ section: 'coats', partId: 'body', told: true });
    expect(place?.who).toMatch(/ on /);
  });
  it('is none where nothing is held', () => {
    const fine = planView(planOf(part({ material: 'steel', finish: 'bare' })));
    expect(mendPlace(piece(part({ material: 'steel', finish: 'bare' })), fine.pieces[0])).toBeNull();
  });
});
