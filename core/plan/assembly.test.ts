import type { Fastening, LogEvent, Part, Piece } from '#core/facts/index';
import { at, enamel, NOW, part, planOf } from '#core/invented/index';
import { DAY, HOUR, toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** Putting a piece together again, part by part. */

const face = (id: string, longMm: number) => [{ id, zoneId: 'all', longMm, shortMm: 20, count: 2, seen: true }];
const shell = part({ id: 'body', name: 'Body', faces: face('b', 200) });
const base = part({ id: 'base', name: 'Base', faces: face('u', 80), copies: 1 });
const wheels = part({ id: 'wheels', name: 'Wheels', faces: face('w', 20), copies: 4 });
const joint = (more: Partial<Fastening>): Fastening => ({ id: 'j', kind: 'screw', a: 'base', b: 'body', count: 2, note: '', ...more });

const planned = (parts: Part[], more: Partial<Piece> = {}, events: LogEvent[] = []) =>
  planOf(shell, events, { parts, ...more }).steps.filter(({ stage }) => stage === 'assemble' || stage === 'fit');
const titlesOf = (steps: ReturnType<typeof planned>) => steps.map(({ title }) => title);
const fitted = (id: string, daysAgo: number): LogEvent => ({
  id: `on-${id}`,
  at: toIso(NOW - daysAgo * DAY),
  kind: 'done',
  pieceId: 'bell',
  stepKeys: [`bell.-.assemble.${id}.1`],
  on: [{ partId: id, zoneIds: ['all'] }],
});

describe('putting together', () => {
  it('goes part by part in the order of fitting, and ends with the last look', () => {
    expect(titlesOf(planned([shell, base, wheels]))).toEqual(['Fit wheels × 4 to body', 'Fit base to body', 'Check and photograph']);
    const own = planned([shell, base, wheels], { fitOrder: ['base', 'body', 'wheels'] });
    expect(titlesOf(own)).toEqual(['Fit body to base', 'Fit wheels × 4 to base', 'Check and photograph']);
  });
  it('a piece of one part is only looked over', () => {
    expect(titlesOf(planned([shell]))).toEqual(['Check and photograph']);
  });
  it('takes longer with every copy', () => {
    const [four, one] = planned([shell, base, wheels]);
    expect([one.minutes, four.minutes]).toEqual([3, 6]);
  });
  it.each([
    ['screws', { kind: 'screw', note: 'M2 × 6', heads: 'replace' } as const, /^2 screws, M2 × 6; new screws where the heads are seen$/, 0],
    ['clips', { kind: 'clip' } as const, /tape or felt where the clip rubs/, 0],
    ['glue', { kind: 'glue', count: 1 } as const, /bare keyed faces/, 12 * HOUR],
  ])('says how %s hold, and waits for what must set', (_, own, text, wait) => {
    const [first, second] = planned([shell, base, wheels], { fastenings: [joint(own)], fitOrder: ['body', 'base', 'wheels'] });
    expect(first.detail).toMatch(text);
    expect(at(second) - (first.placed?.end ?? Number.NaN)).toBeGreaterThanOrEqual(wait);
    expect(first.placed).not.toBeNull();
  });
  it('goes on what it is joined to, whatever else is together', () => {
    const on = planned([shell, base, wheels], { fastenings: [joint({ a: 'wheels', b: 'base' })], fitOrder: ['body', 'base', 'wheels'] });
    expect(titlesOf(on)[1]).toBe('Fit wheels × 4 to base');
  });
  it('needs the films of both parts, and of no other', () => {
    const parts = [shell, wheels, part({ ...base, layers: [enamel()] })];
    const [first, second] = planned(parts, { fitOrder: ['body', 'wheels', 'base'] });
    expect(at(second) - at(first)).toBeGreaterThan(DAY);
  });
  it('goes on where the log stops, its glue still counted', () => {
    const glue = { fastenings: [joint({ kind: 'glue' })], fitOrder: ['body', 'base', 'wheels'] };
    const bare = (own: Part): Part => ({ ...own, layers: [], zones: [{ id: 'all', name: 'All over', bare: 'polished' }] });
    const parts = [shell, base, wheels].map(bare);
    const steps = planned(parts, glue, [fitted('base', 0)]);
    expect(titlesOf(steps)).toEqual(['Fit wheels × 4 to body', 'Check and photograph']);
    expect(at(steps[0])).toBeGreaterThanOrEqual(NOW + 12 * HOUR);
  });
  it('a part that went on earlier, is gone or never came off has no step', () => {
    const parts = [shell, { ...base, gone: true }, { ...wheels, maskedInPlace: true, within: 'body' }];
    expect(titlesOf(planned(parts))).toEqual(['Check and photograph']);
    const early = [shell, { ...base, fit: { stage: 'after-clear' as const, onPartId: 'body' } }];
    expect(titlesOf(planned(early))).toEqual(['Check and photograph']);
  });
  it('a part on a peened axle never came off', () => {
    const axle = { fastenings: [joint({ kind: 'axle', a: 'wheels', b: 'body' })] };
    expect(titlesOf(planned([shell, base, wheels], axle))).toEqual(['Fit base to body', 'Check and photograph']);
    expect(titlesOf(planned([shell, base, wheels], { fastenings: [joint({ kind: 'axle', a: 'body', b: 'wheels' })] }))).toHaveLength(2);
  });
  it.each([
    ['for one part', { partId: 'base', stage: 'assemble' as const }, [false, true]],
    ['for nothing in particular', undefined, [true, true]],
  ])('a parcel %s holds what needs it', (_, holds, held) => {
    const parcel = { id: 'x', name: 'Screws', price: 4, arrived: false, leadDays: 60, ...(holds ? { holds } : {}) };
    const steps = planned([shell, base, wheels], { parcels: [parcel], fitOrder: ['body', 'wheels', 'base'] });
    expect(steps.slice(0, 2).map((step) => at(step) >= NOW + 60 * DAY)).toEqual(held);
  });
  it('what would be shut in is said where it is shut in', () => {
    const behind = { fastenings: [joint({ behind: 'wheels' })], fitOrder: ['body', 'wheels', 'base'] };
    const [first] = planned([shell, base, wheels], behind);
    expect(first.detail).toContain('lies behind Wheels: fit Wheels after it');
  });
  it('finished layers are looked at before anything covers them', () => {
    const [first, second] = planned([shell, base]);
    expect(first.inspects?.length).toBeGreaterThan(0);
    expect(second.inspects).toBeUndefined();
  });
});
