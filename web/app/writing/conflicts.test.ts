import { describe, expect, it } from 'vitest';
import { conflictsBetween } from './conflicts.ts';
import { rebased } from './rebase.ts';

const piece = {
  id: 'p',
  name: 'Tram',
  aim: 'own',
  parts: [
    { id: 'a', name: 'Body', material: 'zinc' },
    { id: 'b', name: 'Roof', material: 'steel' },
  ],
};
const withPart = (id: string, more: object) => ({
  ...piece,
  parts: piece.parts.map((part) => (part.id === id ? { ...part, ...more } : part)),
});

describe('two changes since both saw the same', () => {
  it.each<[string, object, object]>([
    ['to different fields', { ...piece, name: 'Tram 7' }, { ...piece, aim: 'preserve' }],
    ['to different parts', withPart('a', { material: 'brass' }), withPart('b', { material: 'brass' })],
    ['to the same', { ...piece, name: 'Tram 7' }, { ...piece, name: 'Tram 7' }],
    ['one of them none', piece, { ...piece, name: 'Tram 7' }],
    [
      'adding different parts',
      { ...piece, parts: [...piece.parts, { id: 'c', name: 'Pole' }] },
      { ...piece, parts: [...piece.parts, { id: 'd', name: 'Bell' }] },
    ],
  ])('%s go together', (_name, mine, theirs) => {
    expect(conflictsBetween(piece, mine, theirs)).toEqual([]);
    const both = rebased<object>(piece, mine, theirs);
    expect(conflictsBetween(piece, both, mine)).toEqual([]);
  });
  it.each<[string, object, object, string, string, string]>([
    ['to one field', { ...piece, name: 'Tram 7' }, { ...piece, name: 'Old tram' }, 'name', 'Tram 7', 'Old tram'],
    [
      'to one field of a part',
      withPart('a', { material: 'brass' }),
      withPart('a', { material: 'abs' }),
      'parts, Body, material',
      'brass',
      'abs',
    ],
    [
      'where one took a part out and the other changed it',
      { ...piece, parts: [piece.parts[1]] },
      withPart('a', { material: 'abs' }),
      'parts, Body',
      'taken out',
      '{"id":"a","name":"Body","material":"abs"}',
    ],
    ['to a list without names', { ...piece, marks: [1, 2] }, { ...piece, marks: [1, 3] }, 'marks', '[1,2]', '[1,3]'],
  ])('%s do not: both are shown with where they are', (_name, mine, theirs, where, own, other) => {
    expect(conflictsBetween(piece, mine, theirs)).toEqual([{ where, mine: own, theirs: other }]);
  });
});
