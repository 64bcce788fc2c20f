import { describe, expect, it } from 'vitest';
import { FAMILIES, type Family } from '#core/facts/index';
import { DryingClocks, FAMILY_DRYING, familyDrying, type FilmSet, filmState, filmTimes } from './index.ts';

/** The trade's own table, in minutes (m), hours (h) and days (d): touch, coat from – until, layer, again, flat, tape, handle, fit, cure. */
const TABLE = `
acrylic-lacquer   evaporation  10m 10m –   30m –     48h  3h  1h  24h 3d
nitro-lacquer     evaporation  10m 20m –   1h  –     7d   12h 2h  3d  14d
lacquer-primer    evaporation  10m 10m –   30m –     3h   3h  1h  24h 2d
wood-sealer       evaporation  10m 10m –   30m –     3h   3h  1h  24h 2d
alkyd-enamel      oxidation    2h  20m 1h  48h 48h   7d   48h 8h  48h 14d
acrylic-enamel    oxidation    30m 10m 1h  48h 24h   3d   48h 4h  48h 7d
alcohol-acrylic   evaporation  10m 20m –   1h  –     24h  6h  2h  24h 2d
water-acrylic     coalescence  20m 30m –   2h  –     48h  24h 4h  24h 3d
waterborne-base   coalescence  20m 20m 24h 45m scuff 2h   24h 2h  24h –
waterborne-sealer coalescence  15m 15m 24h 1h  scuff 24h  12h 2h  24h 3d
solvent-base      evaporation  10m 10m 24h 20m scuff 2h   2h  30m 24h –
urethane-2k       crosslinking 30m 10m 6h  16h scuff 24h  24h 12h 36h 7d
epoxy-primer      crosslinking 2h  30m 72h 2h  scuff 24h  24h 12h 24h 7d
etch-primer       evaporation  10m 10m 24h 20m scuff –    –   1h  24h 1d
dye               evaporation  10m 10m –   1h  –     –    2h  1h  24h 2d
candy             evaporation  10m 10m 24h 10m never –    –   2h  24h –
high-temperature  evaporation  30m 10m 1h  7d  7d    –    –   24h 7d  7d
rust-barrier      evaporation  30m 15m 1h  24h 24h   48h  24h 4h  48h 7d
texture           evaporation  30m 10m 1h  24h 24h   –    24h 4h  48h 7d
latex             coalescence  1h  4h  –   4h  –     7d   24h 8h  3d  21d`;

const hours = (text: string): number | string | null => {
  const match = /^(\d+)([mhd])$/.exec(text);
  if (!match) return text === '–' ? null : text;
  return Number(match[1]) * { m: 1 / 60, h: 1, d: 24 }[match[2] as 'm' | 'h' | 'd'];
};

const ROWS = TABLE.trim()
  .split('\n')
  .map((line) => line.split(/\s+/));

describe('drying table', () => {
  it('has a row for every family that has a name', () => {
    expect(ROWS.map(([family]) => family).sort()).toEqual(Object.keys(FAMILY_DRYING).sort());
    expect(Object.keys(FAMILY_DRYING).length).toBe(FAMILIES.length - 1);
  });

  for (const [family, mechanism, touch, from, until, layer, again, flat, tape, handle, fit, cure] of ROWS) {
    it(`dries ${family} as the trade says`, () => {
      const row = familyDrying(family as Family);
      expect(row.mechanism).toBe(mechanism);
      const got = [row.touch, row.coatFrom, row.coatUntil, row.layerFrom, row.again, row.flat, row.tape, row.handle, row.fit, row.cure];
      const wanted = [touch, from, until, layer, again, flat, tape, handle, fit, cure].map(hours);
      got.forEach((value, index) => {
        if (typeof wanted[index] === 'number') expect(value).toBeCloseTo(wanted[index] as number, 6);
        else expect(value).toBe(wanted[index]);
      });
    });
  }
});

describe('states on the clock at 20 °C', () => {
  const clocks = new DryingClocks({ room: { start: 0, tempC: [20], rh: [50], rests: '', measured: false } });
  const two = (family: Family): FilmSet => ({ family, placeId: 'room', firstCoatEnd: 0, lastCoatEnd: 30, coatRatio: 1, filmRatio: 1 });
  const CASES: readonly (readonly [Family, number, ReturnType<typeof filmState>])[] = [
    ['acrylic-lacquer', 35, 'wet'],
    ['acrylic-lacquer', 60, 'fresh'],
    ['acrylic-lacquer', 30 + 4 * 60, 'dry'],
    ['acrylic-lacquer', 30 + 73 * 60, 'cured'],
    ['alkyd-enamel', 55, 'fresh'],
    ['alkyd-enamel', 61, 'shut'],
    ['alkyd-enamel', 30 + 49 * 60, 'dry'],
    ['acrylic-enamel', 61, 'shut'],
    ['acrylic-enamel', 30 + 25 * 60, 'dry'],
    ['waterborne-base', 30 + 23 * 60, 'fresh'],
    ['waterborne-base', 30 + 25 * 60, 'dry'],
    ['waterborne-base', 30 + 90 * 1440, 'dry'],
    ['urethane-2k', 30 + 5 * 60, 'fresh'],
    ['urethane-2k', 30 + 7 * 60, 'shut'],
    ['urethane-2k', 30 + 17 * 60, 'dry'],
    ['epoxy-primer', 30 + 73 * 60, 'dry'],
    ['candy', 30 + 10 * 60, 'fresh'],
    ['candy', 30 + 25 * 60, 'shut'],
    ['etch-primer', 30 + 12 * 60, 'fresh'],
    ['high-temperature', 30 + 5 * 60, 'shut'],
    ['latex', 30 + 2 * 60, 'wet'],
    ['latex', 30 + 30 * 60, 'dry'],
  ];
  for (const [family, at, state] of CASES) {
    it(`${family} after ${at - 30} min is ${state}`, () => expect(filmState(filmTimes(two(family), clocks), at)).toBe(state));
  }
  it('runs an acrylic enamel by evaporation at first and by oxidation after', () => {
    const cold = new DryingClocks({ room: { start: 0, tempC: [10], rh: [50], rests: '', measured: false } });
    const times = filmTimes(two('acrylic-enamel'), cold);
    expect((times.opens as number) - 30).toBeCloseTo(10 * 1.6, 2);
    expect((times.tape as number) - 30).toBeCloseTo(48 * 60 * 2, 1);
  });
  it('never tapes an etch primer or a candy', () => {
    expect(filmTimes(two('etch-primer'), clocks).tape).toBeNull();
    expect(filmTimes(two('candy'), clocks).tape).toBeNull();
  });
});
