import type { LogEvent, Mend, Part } from '#core/facts/index';
import { NOW, part, planOf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** What soaks and metal prep leave of the rust decides what follows. */

type Outcome = 'clean' | 'most' | 'little';
const rusty = (mend: Mend = 'rust-soak'): Part =>
  part({ material: 'steel', finish: 'bare', marks: [{ id: 'm', kind: 'rust-deep', severity: 'marked', where: 'foot', mend }] });
const treated = (outcome: Outcome, ago: number, mend: Mend = 'rust-soak'): LogEvent => ({
  id: `${mend}-${outcome}-${ago}`,
  at: toIso(NOW - ago),
  kind: 'treated',
  pieceId: 'bell',
  partIds: ['body'],
  markId: 'm',
  mend,
  outcome,
});
const repairs = (events: LogEvent[], own = rusty()) => planOf(own, events).steps.filter((step) => step.stage === 'repair');
const titles = (events: LogEvent[], own = rusty()) => repairs(events, own).map((step) => step.title);

describe('deep rust', () => {
  it('is soaked, and what became of it is asked when it comes out', () => {
    expect(titles([])).toEqual(['Into the rust soak, foot', 'Out of the soak, rinse, dry, foot']);
    expect(repairs([]).map((step) => step.asks?.kind)).toEqual([undefined, 'treated']);
  });
  it('is done with once it is clean', () => expect(titles([treated('clean', 10)])).toEqual([]));
  it.each(['most', 'little'] as const)('is soaked again where %s came off', (outcome) => {
    expect(titles([treated(outcome, 10)])).toContain('Into the rust soak, foot');
  });
  it('goes another way once soaking has brought little twice, even where soaking was chosen', () => {
    const after = titles([treated('little', 300), treated('little', 10)]);
    expect(after.length).toBeGreaterThan(0);
    expect(after.join(' ')).not.toContain('soak');
  });
  it('is not given up for one bad time among good ones', () => {
    expect(titles([treated('little', 300), treated('most', 10)]).join(' ')).toContain('soak');
  });
  it('forgets what was taken back', () => {
    const undone: LogEvent = { id: 'u', at: toIso(NOW), kind: 'undo', undoes: treated('clean', 10).id };
    expect(titles([treated('clean', 10), undone])).toEqual(titles([]));
  });
  it('is judged mark by mark and part by part', () => {
    const other: LogEvent = { ...treated('clean', 10), id: 'other', markId: 'elsewhere' } as LogEvent;
    expect(titles([other])).toEqual(titles([]));
    const lid: LogEvent = { ...treated('clean', 10), id: 'lid', partIds: ['lid'] } as LogEvent;
    expect(titles([lid])).toEqual(titles([]));
  });
});
