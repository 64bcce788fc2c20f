import type { LogEvent, Piece, WorkStage } from '#core/facts/index';
import {
  at,
  clear,
  coat,
  done,
  enamel,
  lacquer,
  NOW,
  part,
  planOf,
  primed,
  primer,
  shelf,
  steps,
  mark,
  solePiece as own,
  stages,
  titles,
  wanted,
} from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** What a restorer would say of what came of the work, of its rows, its dates and its tools. */

describe('an inspection', () => {
  const seen = (outcome: 'accepted' | 'one-more' | 'sent-back', layerId: string, more = {}): LogEvent => ({
    id: 'seen',
    at: toIso(NOW - 2),
    kind: 'inspected',
    pieceId: 'bell',
    partIds: ['body'],
    layerId,
    outcome,
    reason: 'seen in side light',
    ...more,
  });
  const coloured = [
    ...primed,
    coat('colour', 1, 40, 'acrylic-lacquer', 'colour', 12),
    coat('colour', 2, 20, 'acrylic-lacquer', 'colour', 12),
  ];
  const withClear = part({ layers: [primer(), lacquer(), clear] });
  it('accepted changes nothing of what follows', () => {
    const keys = (events: LogEvent[]) => planOf(withClear, events).steps.map((step) => step.id);
    expect(keys([...coloured, seen('accepted', 'colour')])).toEqual(keys(coloured));
  });
  it('asks one more coat, of that layer alone', () => {
    const result = planOf(withClear, [...coloured, seen('one-more', 'colour')]);
    expect(steps(result, 'coat').filter((step) => step.coat?.layerId === 'colour')).toHaveLength(1);
    expect(steps(result, 'coat').filter((step) => step.coat?.layerId === 'primer')).toEqual([]);
  });
  it.each(['layer', 'surface', 'strip'] as const)('sent back to the %s lays it again, with more at the bench', (backTo) => {
    const before = planOf(withClear, coloured);
    const after = planOf(withClear, [...coloured, seen('sent-back', 'colour', { backTo })]);
    expect(steps(after, 'coat').filter((step) => step.coat?.layerId === 'colour').length).toBeGreaterThan(0);
    expect(own(after).attendedMinutes).toBeGreaterThan(own(before).attendedMinutes);
    expect(own(after).planned).not.toBeNull();
    const primer = steps(after, 'coat').filter((step) => step.coat?.layerId === 'primer');
    expect(primer).toHaveLength(backTo === 'layer' ? 0 : 2);
  });
  it('guards primer, colour and clear, each on the step that covers it', () => {
    const guarded = (events: LogEvent[]) =>
      planOf(withClear, events).steps.flatMap((step) => (step.inspects ?? []).map(({ what }) => what));
    expect(guarded([])).toEqual(expect.arrayContaining(['primer', 'colour', 'clear']));
  });
});

describe('teardown that went otherwise', () => {
  const fastened: Partial<Piece> = { fastenings: [{ id: 's', kind: 'screw', a: 'body', count: 2, note: '' }] };
  const ended = (outcome: 'came-off' | 'would-not' | 'broke' | 'left'): LogEvent[] => [
    done('teardown', 30),
    { id: 'p', at: toIso(NOW - 30), kind: 'parted', pieceId: 'bell', fasteningId: 's', outcome },
  ];
  it('changes nothing where all came off', () => {
    expect(titles(planOf(part(), ended('came-off'), fastened))).toBe(titles(planOf(part(), [done('teardown', 30)], fastened)));
  });
  it.each(['would-not', 'left'] as const)('turns to brushing in place where it %s', (outcome) => {
    const coats = steps(planOf(part(), ended(outcome), fastened), 'coat');
    expect(new Set(coats.map((step) => step.coat?.hand))).toEqual(new Set(['brush']));
  });
  it('mends or buys what broke', () => {
    expect(own(planOf(part(), ended('broke'), fastened)).attendedMinutes).toBeGreaterThan(
      own(planOf(part(), ended('came-off'), fastened)).attendedMinutes,
    );
  });
});

describe('the first use of a product', () => {
  it('plans a try on scrap, and none once it has been laid', () => {
    expect(stages(planOf(part({ finish: 'bare' }))).has('scrap-test')).toBe(true);
    const used = [...primed, coat('colour', 1, 10, 'acrylic-lacquer', 'colour', 12)];
    expect(stages(planOf(part({ finish: 'bare', layers: [primer(), lacquer(3)] }), used)).has('scrap-test')).toBe(false);
  });
});

describe('one row for one treatment', () => {
  const parts = (count: number) =>
    Array.from({ length: count }, (_, index) =>
      part({ id: `p${index}`, name: `Part ${index}`, material: 'steel', finish: 'flaking', pegs: [] }),
    );
  it.each([2, 5, 8])('washes %s parts in one', (count) => {
    const result = planOf(part(), [], { parts: parts(count) });
    const washes = steps(result, 'wash');
    expect(washes).toHaveLength(1);
    expect(washes[0].on).toHaveLength(count);
    expect(washes[0].keys).toHaveLength(count);
    const single = planOf(part(), [], { parts: parts(1) });
    expect(washes[0].minutes).toBeLessThan(count * (steps(single, 'wash')[0]?.minutes ?? 0));
  });
});

describe('minutes a person typed', () => {
  it.each<WorkStage>(['wash', 'prep', 'fit'])('for %s stand in place of the reckoning', (stage) => {
    const minutes = (typed?: number) =>
      steps(planOf(part({ finish: 'bare' }), [], typed === undefined ? {} : { minutes: { [stage]: typed } }), stage).reduce(
        (sum, step) => sum + step.minutes,
        0,
      );
    // To the rounding of its steps.
    expect(Math.abs(minutes(40) - 40)).toBeLessThanOrEqual(2);
    expect(minutes()).not.toBe(40);
  });
});

describe('a piece that has no date', () => {
  it('says which window, hour or parcel is missing', () => {
    const noHours = { ...shelf, workshop: [{ ...shelf.workshop[0], freeHours: [] }] };
    expect(own(planOf(part(), [], {}, noHours)).noDateWhy).toMatch(/hour/);
    const parcel = { id: 'x', name: 'Glazing', price: 500, arrived: false };
    expect(own(planOf(part(), [], { parcels: [parcel] })).noDateWhy).toMatch(/Glazing/i);
    expect(own(planOf(part({ layers: [] }))).noDateWhy).toMatch(/Not decided/);
  });
});

describe('a parcel', () => {
  const tyres = { id: 'x', name: 'Tyres', price: 500, arrived: false, due: '2026-12-20' };
  it('holds the fit, or the work on the part that waits for it', () => {
    const fitHeld = planOf(part(), [], { parcels: [tyres] });
    expect(at(steps(fitHeld, 'coat')[0])).toBeLessThan(Date.UTC(2026, 11, 20) / 60_000);
    expect(at(steps(fitHeld, 'fit')[0])).toBeGreaterThanOrEqual(Date.UTC(2026, 11, 20) / 60_000);
    const partHeld = planOf(part(), [], { parcels: [{ ...tyres, holds: { partId: 'body' } }] });
    expect(
      at(partHeld.steps.find((step) => step.on.some((on) => on.partId === 'body') && step.stage !== 'teardown')),
    ).toBeGreaterThanOrEqual(Date.UTC(2026, 11, 20) / 60_000);
  });
  it('holds nothing once it is here', () => {
    expect(at(steps(planOf(part(), [], { parcels: [{ ...tyres, arrived: true }] }), 'fit')[0])).toBeLessThan(
      Date.UTC(2026, 11, 20) / 60_000,
    );
  });
});

describe('grain and prints', () => {
  it('grain takes a grey pad, never paper', () => {
    const result = planOf(part({ material: 'vinyl', surface: 'grained', finish: 'bare', layers: [wanted('dye', 'dye', 'colour')] }));
    expect(titles(result)).not.toMatch(/P\d{2,}/);
  });
  it('layer lines and support marks of a print are sanded with a dust mask', () => {
    const printed = part({
      material: 'resin',
      surface: '3d-printed',
      finish: 'bare',
      marks: [mark('layer-lines'), { ...mark('support-marks'), id: 'n' }],
    });
    const result = planOf(printed);
    expect(titles(result)).toMatch(/lines|supports?|support marks/i);
    expect(result.steps.flatMap((step) => step.hazards)).toContain('dust');
  });
});

describe('the tool of a layer', () => {
  it.each(['aerosol', 'airbrush', 'brush'] as const)('is %s where the person says so and owns it', (hand) => {
    const coats = steps(planOf(part({ finish: 'bare', layers: [primer(), lacquer(2, { hand })] })), 'coat').filter(
      (step) => step.coat?.layerId === 'colour',
    );
    expect(new Set(coats.map((step) => step.coat?.hand))).toEqual(new Set([hand]));
  });
  it('an enamel for a large panel is drafted for what is owned', () => {
    expect(steps(planOf(part({ layers: [primer(), enamel()] })), 'coat').every((step) => step.coat?.hand !== 'gun')).toBe(true);
  });
});
