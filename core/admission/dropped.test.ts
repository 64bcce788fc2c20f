import type { Facts, Family, Layer, Part, Role } from '#core/facts/index';
import { part, piece, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { admissible, droppedSaid } from './index.ts';

const flatted = (family: Family, role: Role): Layer => ({
  id: 'own',
  wanted: { family, role, name: 'wanted', lab: { l: 40, a: 50, b: 30 } },
  coats: 2,
  covers: 'all',
  flatAfter: 600,
});
const facts: Facts = { ...shelf };
const said = (own: Part) => {
  const chosen = piece(own);
  return droppedSaid(chosen, admissible(chosen, facts), facts);
};

describe('a choice that cannot stand with another', () => {
  it.each([
    ['a texture', flatted('texture', 'colour'), 'A texture coat is never flatted'],
    ['a metallic', flatted('acrylic-lacquer', 'metallic'), 'A metallic is never flatted'],
    ['an etch primer', flatted('etch-primer', 'primer'), 'Etch primer is only padded'],
  ])('ends the flatting of %s, and says so with the reason', (_what, own, why) => {
    expect(said(part({ layers: [own] }))).toEqual([expect.stringContaining(`is out. ${why}`)]);
  });
  it('ends a way of stripping that the part does not bear', () => {
    const [text] = said(part({ material: 'aluminium', finish: 'sound', stripMethod: 'caustic', layers: [] }));
    expect(text).toContain('goes without caustic');
  });
  it('says nothing where all of it stands', () => {
    expect(said(part({ layers: [flatted('lacquer-primer', 'filler-primer')] }))).toEqual([]);
  });
});
