import { describe, expect, it } from 'vitest';
import { type EdgeStep, levellings } from './index.ts';

const film = (name: string, filmUm: number, coats: number) => ({ name, family: 'acrylic-lacquer' as const, filmUm, coats, mlPerCoat: 6 });
const edge = (more: Partial<EdgeStep> = {}): EdgeStep => ({
  stepUm: 36,
  mm: 1000,
  curve: 'straight',
  colour: film('blue', 12, 3),
  neighbour: { ...film('ivory', 12, 3), areaCm2: 100 },
  clear: film('clear', 13, 2),
  ...more,
});
const by = (way: string, own: EdgeStep) => levellings(own).find((levelling) => levelling.way === way);

describe('levelling an edge', () => {
  it('by clear takes the step, three times the polish, and 15 µm to stay', () => {
    // 36 + 3 × (4 + 2.5 + 1 + 1) + 15 = 76.5 µm: six coats of 13 µm, four more than planned.
    const way = by('more-clear', edge());
    expect(way).toMatchObject({ stepLeftUm: 0, ml: 24, text: expect.stringContaining('6 coats of clear in all, 76.5 µm') });
    // Six coats are three times the normal film: as slow as it gets, four times two days.
    expect(way?.days).toBe(8);
    expect(way?.filmLeftUm).toBeCloseTo(15 + (78 - 76.5), 9);
    expect(way?.minutes).toBe(4 * 3 + 3 * 3);
    expect(by('more-clear', edge({ clear: null }))).toBeUndefined();
    const bands = (edges: boolean) => by('more-clear', edge({ stepUm: 24, polish: { papers: [1000, 2000], edges } }))?.text;
    expect(bands(false)).toBe('4 coats of clear in all, 48.5 µm, then P1000, P2000 and compound, flats only');
    expect(bands(true)).toBe('6 coats of clear in all, 67.5 µm, then P1000, P2000 and compound, edges too');
  });
  it('by the edge alone goes half way, lest the ground shows', () => {
    expect(by('flat-edge', edge())).toMatchObject({ stepLeftUm: 12, filmLeftUm: 12, minutes: 14, days: 4.5, ml: 0 });
    expect(by('flat-edge', edge({ colour: { ...film('glow', 7, 3), family: 'candy' } }))).toBeUndefined();
  });
  it('by spraying the neighbour up costs its mask and its coats', () => {
    expect(by('respray', edge())).toMatchObject({ stepLeftUm: 0, filmLeftUm: 72, minutes: 3 + 4 + 2 + 9, ml: 18 });
    expect(by('respray', edge({ stepUm: 20 }))?.stepLeftUm).toBe(4);
  });
});
