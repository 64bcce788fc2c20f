import { describe, expect, it } from 'vitest';
import { type Part, PRINTING_STAYS, type StripMethod } from '#core/facts/index';
import { part as invented, piece as inventedPiece } from '#core/invented/index';
import { stripQuestionOf, stripVerdict } from './index.ts';

/** What stays on a part while it is stripped decides with it, wherever a mask keeps nothing out. */

const part = (id: string, more: Partial<Part>): Part => ({ ...invented(), id, name: id, finish: 'sound', ...more });
const verdicts = (parts: readonly Part[], methods: readonly StripMethod[]) => {
  const piece = { ...inventedPiece(parts[0]), leadExcluded: true, parts: [...parts] };
  return methods.map((method) => stripVerdict(stripQuestionOf(piece.parts[0], piece), method));
};
const FLOWS = ['gel', 'chlorinated', 'caustic', 'alkaline', 'alcohol'] as const;
const BY_HAND = ['wet-sand', 'scuff'] as const;

describe('what stays on a part that is stripped', () => {
  it.each([
    ['a printed deck', part('deck', { material: 'tinplate', printed: true }), FLOWS],
    ['plating', part('badge', { material: 'brass', staysPlated: true }), FLOWS],
    ['glazing', part('window', { material: 'clear', staysClear: true }), FLOWS],
    ['a rubber seal', part('seal', { material: 'rubber' }), ['gel', 'chlorinated', 'alcohol']],
  ] as const)('%s rules out what a mask does not keep out', (_, kept, methods) => {
    const hull = part('hull', { material: 'steel' });
    const alone = verdicts([hull], methods).map(({ verdict }) => verdict);
    const carrying = verdicts([hull, { ...kept, maskedInPlace: true, within: 'hull' }], methods);
    expect(alone).not.toContain('never');
    const ruledOut = carrying.filter(({ verdict, because }) => verdict === 'never' && because.includes(`${kept.name} stays on it`));
    expect(ruledOut.length).toBeGreaterThanOrEqual(methods.length - 1);
    const byHand = (parts: readonly Part[]) => verdicts(parts, BY_HAND).map(({ verdict }) => verdict);
    expect(byHand([hull, { ...kept, maskedInPlace: true, within: 'hull' }])).toEqual(byHand([hull]));
    // What comes off is stripped, or washed, by itself.
    expect(verdicts([hull, { ...kept, within: 'hull' }], methods).map(({ verdict }) => verdict)).toEqual(alone);
    expect(verdicts([hull, { ...kept, maskedInPlace: true, within: 'else' }], methods).map(({ verdict }) => verdict)).toEqual(alone);
  });

  it('counts a face of its own whose printing stays', () => {
    const [top] = part('hull', {}).zones;
    const printed = part('hull', { material: 'tinplate', zones: [top, { id: 'deck', name: 'Deck', bare: PRINTING_STAYS }] });
    expect(verdicts([printed], FLOWS).map(({ verdict }) => verdict)).toEqual(FLOWS.map(() => 'never'));
    expect(verdicts([printed], ['gel'])[0].because).toBe(
      'Solvent gel: Deck stays on it and no mask keeps this out; the printing is to stay, and it is only washed.',
    );
    expect(verdicts([printed], BY_HAND).map(({ verdict }) => verdict)).not.toContain('never');
  });
});
