import { type Family, FORMAT, FORMAT_VERSION, type Layer, type Part, type Role, type StripMethod } from '#core/facts/index';
import { layer, part, piece, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { admissible, readWorkshopFile, refusedIn } from './index.ts';

const at = (own: Part) => refusedIn(piece(own, { leadExcluded: false }), shelf, 'piece')?.at;
const crack = (mend: 'filler' | 'sand' | 'rust-soak' | 'glue') => [
  { id: 'm', kind: 'crack' as const, severity: 'slight' as const, where: 'middle', mend },
];

const flatted = (family: Family, role: Role): Layer => ({
  id: 'own',
  wanted: { family, role, name: 'wanted', lab: { l: 40, a: 50, b: 30 } },
  coats: 2,
  covers: 'all',
  flatAfter: 1500,
});

const DECAL = {
  id: 'd',
  name: 'Number 7',
  zoneId: 'all',
  after: null,
  kind: 'waterslide' as const,
  count: 2,
  spare: true,
  longMm: 8,
  shortMm: 5,
};
const STRIPE = {
  id: 's',
  of: 'all',
  how: 'stripe' as const,
  numbers: { mm: 800 },
  at: '2026-11-01T10:00:00Z',
  into: ['a', 'b', 'c'].map((id) => ({ id, name: id })),
};

describe('what no path takes in', () => {
  it.each<[string, Partial<Part>, string]>([
    ['filler on glazing that stays clear', { material: 'clear', staysClear: true, marks: crack('filler') }, 'marks.0.mend'],
    ['paper on printing that stays', { material: 'tinplate', printed: true, marks: crack('sand') }, 'marks.0.mend'],
    ['a rust soak on magnesium', { material: 'magnesium', marks: crack('rust-soak') }, 'marks.0.mend'],
    ['filler over grain', { material: 'vinyl', surface: 'grained', marks: crack('filler') }, 'marks.0.mend'],
    ['caustic on aluminium', { material: 'aluminium', finish: 'sound', stripMethod: 'caustic' as StripMethod }, 'stripMethod'],
    ['gel on polystyrene', { material: 'polystyrene', finish: 'sound', stripMethod: 'gel' as StripMethod }, 'stripMethod'],
    ['dry brushing where lead is not excluded', { material: 'steel', finish: 'sound', stripMethod: 'brush' as StripMethod }, 'stripMethod'],
    ['flatting of a transparent red', { layers: [flatted('candy', 'colour')] }, 'layers.0.flatAfter'],
    ['flatting of a silver', { layers: [flatted('acrylic-lacquer', 'metallic')] }, 'layers.0.flatAfter'],
    ['flatting of a texture', { layers: [flatted('texture', 'colour')] }, 'layers.0.flatAfter'],
  ])('%s', (_name, own, place) => {
    expect(at(part(own))).toBe(`piece.parts.0.${place}`);
    expect(refusedIn(admissible(piece(part(own)), shelf), shelf, 'piece')).toBeNull();
  });
  it('a decal larger than its face, nor a stripe wider than its part', () => {
    expect(at(part({ decals: [{ ...DECAL, longMm: 900 }] }))).toBe('piece.parts.0.decals.0');
    expect(at(part({ decals: [DECAL] }))).toBeUndefined();
    expect(at(part({ cuts: [STRIPE] }))).toBe('piece.parts.0.cuts.0');
  });
  it('but glue on a cracked pane, gel on steel and a flatted primer', () => {
    expect(at(part({ material: 'clear', staysClear: true, marks: crack('glue') }))).toBeUndefined();
    expect(at(part({ material: 'steel', finish: 'sound', stripMethod: 'gel' }))).toBeUndefined();
    expect(at(part({ layers: [layer('p', 'lacquer-primer', 'filler-primer', 2, { flatAfter: 600 })] }))).toBeUndefined();
  });
  it('is refused in a file with its place and what to do', () => {
    const facts = { ...shelf, pieces: [piece(part({ material: 'clear', staysClear: true, marks: crack('filler') }))] };
    const read = readWorkshopFile(JSON.stringify({ format: FORMAT, version: FORMAT_VERSION, writtenAt: '2026-12-01T19:00:00Z', facts }));
    expect(read.ok ? null : read.problem).toMatchObject({
      at: 'facts.pieces.0.parts.0.marks.0.mend',
      mend: expect.stringContaining('mend'),
    });
  });
});
