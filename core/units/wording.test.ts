import { describe, expect, it } from 'vitest';
import { asSentence, capital, counted, listed, listedShort, plural, sentences } from './index.ts';

const LONG = 'The upper half of the very long outer casing with its two riveted handles and the pressed lettering';

describe('counts', () => {
  it('say none, one, two and many as a person does', () => {
    expect([0, 1, 2, 4812].map((count) => counted(count, 'part'))).toEqual(['no parts', '1 part', '2 parts', '4812 parts']);
  });
  it('know the plurals that are no mere s', () => {
    expect([counted(1, 'guess'), counted(3, 'guess'), counted(2, 'copy'), counted(0, 'entry')]).toEqual([
      '1 guess',
      '3 guesses',
      '2 copies',
      'no entries',
    ]);
    expect(counted(2, 'sheet of P400', 'sheets of P400')).toBe('2 sheets of P400');
  });
  it('let a verb agree', () => {
    expect([plural(1, 'has'), plural(2, 'has'), plural(1, 'needs'), plural(5, 'needs')]).toEqual(['has', 'have', 'needs', 'need']);
  });
  it('take half a unit as more than one word, never “1 parts”', () => {
    expect(counted(1.5, 'metre')).toBe('1.5 metres');
    expect(counted(1, 'metre')).toBe('1 metre');
  });
});

describe('lists', () => {
  it('of none, one, two and many', () => {
    expect(listed([])).toBe('');
    expect(listed(['body'])).toBe('body');
    expect(listed(['body', 'base'])).toBe('body and base');
    expect(listed(['body', 'base', 'wheels', 'roof'])).toBe('body, base, wheels and roof');
    expect(listed(['gel', 'brush'], 'or')).toBe('gel or brush');
  });
  it('say nothing twice and leave out what is empty', () => {
    expect(listed(['body', '', 'body', 'base'])).toBe('body and base');
  });
  it('bear long names, and names with an and in them', () => {
    expect(listed([LONG, 'nuts and bolts', 'roof'])).toBe(`${LONG}, nuts and bolts and roof`);
  });
  it('stop at so many', () => {
    expect(listedShort(['a', 'b', 'c', 'd', 'e'], 2)).toBe('a, b and 3 more');
    expect(listedShort(['a', 'b'], 2)).toBe('a and b');
  });
});

describe('sentences', () => {
  it('begin with a capital and end with one mark', () => {
    expect(asSentence('it is dry')).toBe('It is dry.');
    expect(asSentence('Is it dry?')).toBe('Is it dry?');
    expect(asSentence('  ')).toBe('');
    expect(capital('élan')).toBe('Élan');
  });
  it('stand one after the other', () => {
    expect(sentences('one thing', undefined, '', 'another.')).toBe('One thing. Another.');
  });
});
