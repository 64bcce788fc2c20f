import { describe, expect, it } from 'vitest';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import { EMPTY_FACTS, type Facts, looksLikeSchema, type Piece } from '#core/facts/index';
import { NOW } from '#core/invented/index';
import { draftPiece, plan } from '#core/plan/index';
import { sense } from './index.ts';

/** What is preserved is cleaned and kept: its plan has little in it, and nothing that a practitioner would call out. */

function preserved(change: (piece: Piece) => Piece, looksLike = looksLikeSchema.options[0]) {
  const { workshop, places } = newWorkshop('Europe/Lisbon');
  let ids = 0;
  const answers = {
    name: 'Kept',
    looksLike,
    longestMm: 310,
    colours: [{ name: 'maroon', hex: '#6b2230' }],
    aim: 'preserve',
    whereNow: 'untouched',
  } as const;
  const { piece } = draftPiece(answers, NOW, ['aerosol'], () => `k${++ids}`, [], workshop.dryPlaceId);
  const facts: Facts = { ...EMPTY_FACTS, ...starterShelf(), workshop: [{ ...workshop, started: true }], places, pieces: [change(piece)] };
  const conditions = conditionsOf(facts, NOW);
  const made = plan({ facts, now: NOW, conditions, datesOf: [] });
  return { made, findings: sense(made, facts, conditions), piece: facts.pieces[0] };
}

const ofMaterial = (material: Piece['parts'][number]['material'], printed: boolean) => (piece: Piece) => ({
  ...piece,
  parts: piece.parts.map((part) => ({ ...part, material, printed })),
});

describe('a preserved piece', () => {
  it.each(looksLikeSchema.options)('that looks like a %s has a plan nobody laughs at', (looksLike) => {
    const { made, findings } = preserved((piece) => piece, looksLike);
    expect(findings.map(({ because }) => because)).toEqual([]);
    expect(made.steps.every((step) => step.placed)).toBe(true);
    expect(made.steps.filter(({ stage }) => /^(strip|prep|repair|coat|mask)/.test(stage))).toEqual([]);
  });
  it.each([
    ['wood', false, /mineral spirit/, /wash|water,/i],
    ['wood', true, /soft brush/, /spirit|wash/i],
    ['tinplate', true, /barely damp/, /spirit|lukewarm/],
    ['tinplate', false, /neutral detergent/, /spirit/],
  ] as const)('of %s, printed %s, is cleaned as it bears it', (material, printed, wanted, unwanted) => {
    const { made, findings } = preserved(ofMaterial(material, printed));
    expect(findings).toEqual([]);
    const washed = made.steps.filter(({ stage }) => stage === 'wash').map(({ title, detail }) => `${title}: ${detail}`);
    expect(washed.join('\n')).toMatch(wanted);
    expect(washed.join('\n')).not.toMatch(unwanted);
  });
  it('keeps the colours that were named for another aim', () => {
    const { piece } = preserved((own) => own);
    expect(piece.parts.flatMap(({ layers }) => layers).length).toBeGreaterThan(0);
    const { made: painted } = preserved((own) => ({ ...own, aim: 'own-scheme' }));
    expect(painted.steps.some(({ coat }) => coat?.name.includes('maroon'))).toBe(true);
  });
});
