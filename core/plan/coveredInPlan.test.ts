import { describe, expect, it } from 'vitest';
import type { Part } from '#core/facts/index';
import { enamel, part, piece, planOf } from '#core/invented/index';

/** What stays on a part is covered before anything wet or rough is done round it. */

const hull = part({ id: 'hull', name: 'hull', material: 'tinplate', finish: 'flaking', layers: [enamel()] });
const deck = (more: Partial<Part> = {}) =>
  part({ id: 'deck', name: 'Deck', material: 'tinplate', printed: true, within: 'hull', layers: [], ...more });
const details = (parts: Part[]) =>
  planOf(hull, [], { ...piece(hull), parts })
    .steps.filter(({ stage, on }) => ['strip', 'prep', 'metal-prep'].includes(stage) && on.some(({ partId }) => partId === 'hull'))
    .map(({ detail }) => detail);

describe('a printed deck that does not come off its hull', () => {
  it('is covered before stripping, sanding and acid', () => {
    const said = details([hull, deck({ maskedInPlace: true })]);
    expect(said.length).toBeGreaterThanOrEqual(3);
    for (const detail of said) expect(detail).toMatch(/^Deck covered first, the edge taped/);
  });
  it.each([
    ['comes off', deck()],
    ['sits on another part', deck({ maskedInPlace: true, within: 'else' })],
    ['is gone', deck({ maskedInPlace: true, gone: true })],
  ])('is named nowhere where it %s', (_, own) => {
    const said = details([hull, own]);
    expect(said.length).toBeGreaterThan(0);
    expect(said.join(' ')).not.toContain('covered first');
  });
});
