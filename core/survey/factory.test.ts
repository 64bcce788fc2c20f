import { lacquer, part, piece, planOf, primer, shelf, titles } from '#core/invented/index';
import { assembledPiece, factoryText, standingFit, withBodyOf } from '#core/survey/index';
import { describe, expect, it } from 'vitest';

const body = part({ finish: 'bare' });
const lid = part({
  ...body,
  id: 'lid',
  name: 'Lid',
  pegs: [2],
  faces: [{ id: 'l', zoneId: 'all', longMm: 40, shortMm: 30, count: 1, seen: true }],
});
const own = piece(body, { parts: [body, lid], factory: { sprayed: 'assembled', bodies: [['lid', 'body']] } });

describe('what the factory sprayed as one body', () => {
  it('goes on the largest of it before its paint, and is painted with it', () => {
    expect(standingFit(own, lid)).toEqual({ stage: 'before-paint', onPartId: 'body' });
    expect(standingFit(own, body)).toBeUndefined();
    const { steps } = planOf(body, [], own, shelf);
    const fit = steps.find(({ title }) => title === 'Fit Lid on Body');
    expect(fit?.detail).toContain('painted with it as one body');
    const first = steps.find(({ coat }) => coat);
    expect(first?.on.map(({ partId }) => partId).sort()).toEqual(['body', 'lid']);
    expect((fit?.placed?.start ?? Number.NaN) < (first?.placed?.start ?? 0)).toBe(true);
  });
  it('is sprayed apart where its owner says when it goes on, its coats are others, or the factory sprayed part by part', () => {
    expect(standingFit(own, { ...lid, fit: { stage: 'end' } })).toEqual({ stage: 'end' });
    expect(standingFit({ ...own, factory: { ...own.factory, sprayed: 'apart' } }, lid)).toBeUndefined();
    const odd = { ...lid, layers: [primer(), lacquer(3)] };
    expect(standingFit({ ...own, parts: [body, odd] }, odd)).toBeUndefined();
    const apart = { ...own, factory: { sprayed: 'apart' as const } };
    expect(assembledPiece(apart)).toBe(apart);
    expect(titles(planOf(body, [], apart, shelf))).not.toContain('painted with');
  });
  it('is said of each part: with another, with a body there is, by itself', () => {
    expect(withBodyOf([], 'a', 'b')).toEqual([['b', 'a']]);
    expect(withBodyOf([['b', 'a']], 'c', 'a')).toEqual([['b', 'a', 'c']]);
    expect(
      withBodyOf(
        [
          ['b', 'a'],
          ['c', 'd'],
        ],
        'a',
        'd',
      ),
    ).toEqual([['c', 'd', 'a']]);
    expect(withBodyOf([['b', 'a', 'c']], 'a', null)).toEqual([['b', 'c']]);
  });
  it('is told in words', () => {
    expect(factoryText({ ...own, factory: { ...own.factory, words: 'drum bare' } })).toBe(
      'sprayed assembled; Lid and Body as one; drum bare',
    );
    expect(factoryText({ ...own, factory: { sprayed: 'apart' } })).toBe('sprayed part by part');
    expect(factoryText({ ...own, factory: undefined })).toBe('');
  });
});
