import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DryingClocks, filmTimes, type FilmTimes } from '#core/drying/index';
import { FAMILIES } from '#core/facts/index';
import { bandsOf, type HungFilm, LINE_STATES, lineState, nextMoments } from './index.ts';

const air = { room: { start: 0, tempC: [20], rh: [50], rests: '', measured: false } };
const laid = (family: (typeof FAMILIES)[number], at = 100): FilmTimes =>
  filmTimes({ family, placeId: 'room', firstCoatEnd: at - 20, lastCoatEnd: at, coatRatio: 1, filmRatio: 1 }, new DryingClocks(air));
const hung = (times: FilmTimes, more: Partial<HungFilm> = {}): HungFilm => ({
  pieceId: 'bell',
  partIds: ['body'],
  pegs: [7],
  name: 'Bell, body',
  coatName: 'slate',
  lab: { l: 40, a: 0, b: 0 },
  times,
  ...more,
});

describe('bands of a film', () => {
  it('cover its time without gap or overlap, no two alike in a row, in the order of drying', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FAMILIES),
        fc.integer({ min: 100, max: 4000 }),
        fc.integer({ min: 1, max: 30_000 }),
        (family, from, length) => {
          const times = laid(family);
          const bands = bandsOf(times, from, from + length);
          expect(bands[0].from).toBe(from);
          expect(bands.at(-1)?.to).toBe(from + length);
          for (const [index, band] of bands.entries()) {
            expect(band.to).toBeGreaterThan(band.from);
            expect(band.state).toBe(lineState(times, (band.from + band.to) / 2));
            const next = bands[index + 1];
            if (!next) continue;
            expect(next.from).toBe(band.to);
            expect(next.state).not.toBe(band.state);
            expect(LINE_STATES.indexOf(next.state)).toBeGreaterThan(LINE_STATES.indexOf(band.state));
          }
        },
      ),
      { seed: 12, numRuns: 200 },
    );
  });
  it('name an enamel’s way: wet, open, shut, tape-safe, cured', () => {
    expect(bandsOf(laid('alkyd-enamel'), 100, 100 + 30 * 1440).map((band) => band.state)).toEqual([
      'wet',
      'open',
      'shut',
      'tape-safe',
      'cured',
    ]);
  });
  it('never shut a lacquer', () => {
    expect(bandsOf(laid('acrylic-lacquer'), 100, 100 + 30 * 1440).map((band) => band.state)).toEqual(['wet', 'open', 'tape-safe', 'cured']);
  });
});

describe('the next moments', () => {
  const enamel = hung(laid('alkyd-enamel'));
  const lacquer = hung(laid('acrylic-lacquer', 130), { pegs: [2, 3], name: 'Gong' });
  it('come soonest first, and only what is still to come', () => {
    const now = 115;
    const moments = nextMoments([enamel, lacquer], now);
    expect(moments.length).toBeGreaterThan(6);
    for (const [index, moment] of moments.entries()) {
      expect(moment.at).toBeGreaterThan(now);
      if (index > 0) expect(moment.at).toBeGreaterThanOrEqual(moments[index - 1].at);
    }
    expect(nextMoments([enamel], 1e9)).toEqual([]);
  });
  it('say which peg, or which part where there is none', () => {
    expect(nextMoments([enamel], 110)[0].text).toBe('peg 7 may be coated');
    expect(nextMoments([lacquer], 135)[0].text).toBe('pegs 2 3 may be coated');
    expect(nextMoments([hung(laid('alkyd-enamel'), { pegs: [] })], 125).map((moment) => moment.text)[0]).toBe('Bell, body shuts');
  });
  it('speak of reopening only where something shuts', () => {
    expect(nextMoments([enamel], 100).some((moment) => moment.kind === 'dry')).toBe(true);
    expect(nextMoments([lacquer], 100).some((moment) => moment.kind === 'dry')).toBe(false);
  });
});
