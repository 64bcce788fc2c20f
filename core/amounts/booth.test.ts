import { describe, expect, it } from 'vitest';
import { boothLoads, changingMinutes } from './index.ts';

const wheel = (copies: number, longMm = 40, shortMm = 40) => ({
  copies,
  faces: [{ id: 'f', zoneId: 'z', longMm, shortMm, count: 2, seen: true }],
});
const booth = { longMm: 500, wideMm: 300 };

describe('a booth', () => {
  it('takes all at once where nothing is said of its size', () =>
    expect(boothLoads(wheel(90), undefined)).toMatchObject({ loads: 1, minutes: 0, tooLarge: false }));
  it('takes five by three wheels side by side, and two minutes for each load more', () => {
    expect(boothLoads(wheel(15), booth)).toEqual({ loads: 1, share: 1, minutes: 0, tooLarge: false });
    expect(boothLoads(wheel(16), booth)).toMatchObject({ loads: 2, minutes: 2, tooLarge: false });
    expect(boothLoads(wheel(46), booth).loads).toBe(4);
  });
  it('is shared: two parts that each fill two thirds of it go in two loads', () => {
    const share = boothLoads(wheel(10), booth).share;
    expect([changingMinutes(share), changingMinutes(2 * share)]).toEqual([0, 2]);
  });
  it('is turned to fit more', () => expect(boothLoads(wheel(2, 280, 180), booth).loads).toBe(1));
  it('says what is larger than it', () => {
    expect(boothLoads(wheel(1, 600, 100), booth)).toMatchObject({ loads: 1, minutes: 0, tooLarge: true });
    expect(boothLoads(wheel(1, 400, 310), booth).tooLarge).toBe(true);
    expect(boothLoads(wheel(1, 290, 490), booth).tooLarge).toBe(false);
  });
});
