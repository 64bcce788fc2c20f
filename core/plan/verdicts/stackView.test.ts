import { describe, expect, it } from 'vitest';
import type { Family, Lab, Layer, Part, Piece, Role } from '#core/facts/index';
import { clear, coat, part, planOf, primer } from '#core/invented/index';

const WHITE = { l: 95, a: 0, b: 1 };
const YELLOW = { l: 80, a: 8, b: 78 };
const BLACK = { l: 15, a: 0, b: 0 };
const wanted = (id: string, family: Family, role: Role, { lab = WHITE, ...rest }: Partial<Layer> & { lab?: Lab } = {}): Layer => ({
  id,
  wanted: { family, role, name: id, lab },
  coats: 2,
  covers: 'all',
  ...rest,
});
const twoZones: Partial<Part> = {
  zones: [
    { id: 'all', name: 'Hull' },
    { id: 'deck', name: 'Deck' },
  ],
  faces: [
    { id: 'f', zoneId: 'all', longMm: 100, shortMm: 40, count: 4, seen: true },
    { id: 'g', zoneId: 'deck', longMm: 80, shortMm: 30, count: 1, seen: true },
  ],
  edges: [{ a: 'all', b: 'deck', mm: 240, curve: 'straight' }],
};
const viewOf = (more: Partial<Part>, whole: Partial<Piece> = {}, events: Parameters<typeof planOf>[1] = []) =>
  planOf(part(more), events, whole).pieces[0].stacks.body;

describe('what a stack still needs', () => {
  it('is a clear over basecoat and candy, until it has one', () => {
    const base = wanted('silver base', 'solvent-base', 'metallic');
    expect(viewOf({ layers: [primer(), base] }).needs.join(' ')).toContain('silver base is no finish by itself');
    expect(viewOf({ layers: [primer(), base, clear] }).needs).toEqual([]);
    const candy = wanted('ruby', 'candy', 'colour');
    expect(viewOf({ layers: [primer(), base, candy] }).needs.join(' ')).toContain('ruby is no finish by itself');
    expect(viewOf({ layers: [primer(), base, candy, clear] }).needs).toEqual([]);
  });
  it('is judged zone by zone: a clear beside it does not help', () => {
    const base = wanted('sand', 'waterborne-base', 'colour');
    const covers = ['all'];
    expect(viewOf({ ...twoZones, layers: [primer(), base, { ...clear, covers }] }).needs).toEqual([
      'sand is no finish by itself: it needs a clear on top on deck.',
    ]);
    expect(viewOf({ ...twoZones, layers: [primer(), { ...base, covers }, { ...clear, covers }] }).needs).toEqual([]);
  });
  it('is a light ground under a colour that hides weakly', () => {
    const yellow = wanted('buttercup', 'acrylic-lacquer', 'colour', { lab: YELLOW });
    const under = (lab: typeof WHITE) =>
      viewOf({ layers: [wanted('ground', 'lacquer-primer', 'fine-primer', { lab }), yellow] }).needs.join(' ');
    expect(under(BLACK)).toContain('buttercup hides weakly: it wants a white or light ground, not ground');
    expect(under(WHITE)).toBe('');
  });
  it('is a light block and white inside where it is lit', () => {
    const black = wanted('block', 'acrylic-lacquer', 'colour', { lab: BLACK });
    const white = wanted('bright', 'acrylic-lacquer', 'colour', { lab: WHITE });
    expect(
      viewOf({ lit: true, layers: [wanted('cream', 'acrylic-lacquer', 'colour', { lab: { l: 85, a: 0, b: 10 } })] }).needs.join(' '),
    ).toContain('blocks the light');
    expect(viewOf({ lit: true, layers: [black] }).needs.join(' ')).toContain('white over the light block');
    expect(viewOf({ lit: true, layers: [black, white] }).needs).toEqual([]);
    expect(viewOf({ lit: true, layers: [white, black] }).needs.join(' ')).toContain('white over the light block');
  });
  it('is a first coat at all', () => expect(viewOf({ layers: [] }).needs.join(' ')).toContain('No coats yet'));
});

describe('the film in section', () => {
  it('adds up coats, takes off what flatting takes, and stands against the relief of the scale', () => {
    const layers = [primer({ coats: 2, flatAfter: 800 }), wanted('top', 'acrylic-lacquer', 'colour', { coats: 3 })];
    const stack = viewOf({ layers }, { scale: 76 });
    expect(stack.layers.map((layer) => layer.um)).toEqual([20, 36]);
    expect(stack).toMatchObject({ filmUm: 56, reliefUm: 100, reliefText: 'detail still good' });
    expect(viewOf({ layers }).reliefUm).toBeNull();
  });
  it('is thickest where most layers lie, and steps where one ends', () => {
    const stack = viewOf({
      ...twoZones,
      layers: [
        primer({ coats: 1 }),
        wanted('hull', 'acrylic-lacquer', 'colour', { coats: 4, covers: ['all'] }),
        wanted('deck', 'acrylic-lacquer', 'colour', { coats: 1, covers: ['deck'], lab: BLACK }),
      ],
    });
    expect(stack.filmUm).toBe(12 + 4 * 12);
    expect(stack.edgeSteps).toMatchObject([{ zones: 'Hull to Deck', um: 48 }]);
  });
  it('knows what is laid and what is still a wish', () => {
    const laid = [coat('primer', 1, 900, 'lacquer-primer', 'fine-primer', 12)];
    const stack = viewOf({ layers: [primer(), wanted('top', 'acrylic-lacquer', 'colour')] }, {}, laid);
    expect(stack.layers.map((layer) => [layer.laidCoats, layer.coats])).toEqual([
      [1, 2],
      [0, 2],
    ]);
  });
  it('asks hiding of colours alone, over the ground they meet', () => {
    const stack = viewOf({ layers: [primer(), wanted('snow', 'acrylic-lacquer', 'colour'), clear] });
    expect(stack.layers.map((layer) => layer.coatsToHide === null)).toEqual([true, false, true]);
    expect(stack.layers[1].groundName).not.toBe('bare');
  });
});
