import { describe, expect, it } from 'vitest';
import { toIso } from '#core/units/index';
import type { Layer, LogEvent, Part, Piece, WorkStage } from '#core/facts/index';
import { at, base, clear, coat, done, enamel, lacquer, NOW, part, planOf, primed, primer, shelf, steps } from '#core/invented/index';
import { partKey, pieceKey } from './steps/index.ts';

/** One invented piece at a time, told as a restorer would, and what the plan must say to it. */

describe('from metal to clear', () => {
  it('goes through every stage in order', () => {
    const order = steps(planOf(part({ finish: 'flaking', layers: [primer({ flatAfter: 800 }), lacquer(), clear] }))).map(
      (step) => step.stage,
    );
    const first = (stage: WorkStage) => order.indexOf(stage);
    const wanted: WorkStage[] = ['teardown', 'wash', 'strip-on', 'strip-off', 'prep', 'clean', 'coat', 'flat', 'fit'];
    for (let i = 1; i < wanted.length; i++) expect(first(wanted[i])).toBeGreaterThan(first(wanted[i - 1]));
  });
  it('flats the primer only once it is hard, on the clock', () => {
    const result = planOf(part({ layers: [primer({ flatAfter: 800 }), lacquer()] }));
    const last = steps(result, 'coat')
      .filter((step) => step.coat?.layerId === 'primer')
      .at(-1);
    expect(at(steps(result, 'flat')[0]) - (last?.placed?.end ?? 0)).toBeGreaterThanOrEqual(180 - 1);
  });
  it('lays coats of lacquer ten minutes apart and of enamel within its hour', () => {
    const lacquers = steps(planOf(part({ layers: [primer(), lacquer(3)] }), primed), 'coat');
    for (let i = 1; i < lacquers.length; i++)
      expect(at(lacquers[i]) - (lacquers[i - 1].placed?.end ?? 0)).toBeGreaterThanOrEqual(10 - 1e-6);
    const enamels = steps(planOf(part({ layers: [primer(), enamel(3)] }), primed), 'coat');
    expect(at(enamels[2]) - (enamels[0].placed?.end ?? 0)).toBeLessThanOrEqual(60 + 1e-6);
  });
  it('waits for dry primer under enamel, not under lacquer', () => {
    const fresh = [coat('primer', 1, 80, 'lacquer-primer', 'fine-primer', 12), coat('primer', 2, 45, 'lacquer-primer', 'fine-primer', 12)];
    const [colour] = steps(planOf(part(), fresh), 'coat');
    // It could go on at once, and waits only because the piece ends sooner for it.
    expect([colour.placed?.hold.by, colour.placed?.hold.text]).toEqual([
      'notBefore',
      expect.stringContaining('the film below dries first'),
    ]);
    expect(at(steps(planOf(part({ layers: [primer(), enamel()] }), fresh), 'coat')[0]) - (NOW - 45)).toBeGreaterThanOrEqual(180 - 1);
  });
  it('waits for cured enamel under lacquer clear, and says care', () => {
    const result = planOf(part({ layers: [primer(), enamel(2), clear] }), primed);
    const coats = steps(result, 'coat');
    const lastEnamel = coats.filter((step) => step.coat?.layerId === 'enamel').at(-1);
    const firstClear = coats.find((step) => step.coat?.layerId === 'clear');
    expect(at(firstClear) - (lastEnamel?.placed?.end ?? 0)).toBeGreaterThanOrEqual(7 * 1440 - 1);
    expect(result.pieces[0].steps.joints.find((entry) => entry.layerId === 'clear')?.joint.verdict).toBe('care');
    expect(firstClear?.detail).toContain('mist coats first');
  });
});

describe('windows', () => {
  const enamelled = (minutesAgo: number) => [...primed, coat('enamel', 1, minutesAgo, 'acrylic-enamel', 'colour', 15)];
  it('uses the one that is open now', () => {
    const [next] = steps(planOf(part({ layers: [primer(), enamel()] }), enamelled(30)), 'coat');
    expect(at(next)).toBe(NOW);
    expect(next.window?.to).toBeCloseTo(NOW + 30, 3);
    expect(next.missedUntil).toBeGreaterThan(NOW + 20 * 60);
  });
  it('waits a day when it was missed', () => {
    const [next] = steps(planOf(part({ layers: [primer(), enamel()] }), enamelled(90)), 'coat');
    expect(at(next) - (NOW - 90)).toBeGreaterThanOrEqual(24 * 60 - 1);
  });
  it('keeps bare steel bright in a dry box for a fortnight, and rubs the rust off after that', () => {
    const steel = (ago: number) =>
      steps(
        planOf(part({ material: 'steel', rustGuard: 'prime' }), [
          done('wash', ago + 60),
          { ...done('prep', ago + 30), boxed: true } as LogEvent,
          done('clean', ago),
        ]),
        'coat',
      )[0];
    expect(steel(30).placed?.scuff).toBe(false);
    expect(steel(2 * 1440).placed?.scuff).toBe(false);
    expect(steel(15 * 1440).placed?.scuff).toBe(true);
    const zinc = steps(planOf(part(), [done('wash', 660), done('prep', 630), done('clean', 600)]), 'coat')[0];
    expect(zinc.placed?.scuff).toBe(false);
  });
});

describe('two colours on one part', () => {
  const zones = [
    { id: 'up', name: 'Upper' },
    { id: 'low', name: 'Lower' },
  ];
  const faces = zones.map((zone) => ({ id: `f${zone.id}`, zoneId: zone.id, longMm: 100, shortMm: 20, count: 4, seen: true }));
  const wanted = (id: string, name: string, l: number, covers: string[]): Layer => ({
    id,
    coats: 2,
    covers,
    wanted: { family: 'acrylic-lacquer', role: 'colour', name, lab: { l, a: 0, b: 0 } },
  });
  const two = (more: Partial<Part> = {}) =>
    part({
      zones,
      faces,
      edges: [{ a: 'up', b: 'low', mm: 240, curve: 'straight' }],
      layers: [primer(), wanted('dark', 'dark', 20, ['low']), wanted('light', 'light', 90, ['up']), clear],
      ...more,
    });

  it('masks the first before the second, takes tape off in time, and clears all over', () => {
    const result = planOf(two());
    const stages = steps(result).map((step) => `${step.stage} ${step.coat?.layerId ?? ''}`.trim());
    expect(stages.indexOf('coat light')).toBeLessThan(stages.indexOf('mask'));
    expect(stages.indexOf('mask')).toBeLessThan(stages.indexOf('coat dark'));
    expect(stages.lastIndexOf('coat dark')).toBeLessThan(stages.indexOf('unmask'));
    expect(stages.indexOf('unmask')).toBeLessThan(stages.indexOf('coat clear'));
    const last =
      steps(result, 'coat')
        .filter((step) => step.coat?.layerId === 'dark')
        .at(-1)?.placed?.end ?? 0;
    const off = at(steps(result, 'unmask')[0]) - last;
    expect(off).toBeGreaterThanOrEqual(10 - 1e-6);
    expect(off).toBeLessThanOrEqual(20 + 1e-6);
  });
  it('tapes only once the first is tape-safe', () => {
    const result = planOf(two());
    const light =
      steps(result, 'coat')
        .filter((step) => step.coat?.layerId === 'light')
        .at(-1)?.placed?.end ?? 0;
    expect(at(steps(result, 'mask')[0]) - light).toBeGreaterThanOrEqual(180 - 1);
  });
  it('follows an order the person insists on', () => {
    const order = steps(planOf(two({ colourOrder: ['dark', 'light'] })), 'coat').map((step) => step.coat?.layerId);
    expect(order.indexOf('dark')).toBeLessThan(order.indexOf('light'));
  });
  it('needs no tape where the zones never touch', () => {
    expect(steps(planOf(two({ edges: [] })), 'mask')).toEqual([]);
  });
});

describe('what comes from outside', () => {
  it('holds reassembly for a parcel, three days more when it is overdue', () => {
    const parcel = (due: string, arrived = false) => ({ parcels: [{ id: 'x', name: 'Tyres', price: 500, due, arrived }] });
    const fitStep = (more: Partial<Piece>) => steps(planOf(part(), primed, more), 'fit')[0];
    expect(at(fitStep(parcel('2027-01-20')))).toBeGreaterThan(Date.UTC(2027, 0, 20) / 60_000);
    expect(fitStep(parcel('2026-11-20')).notBeforeWhy).toContain('overdue');
    expect(fitStep(parcel('2027-01-20', true)).notBefore).toBeUndefined();
  });
  it('waits a day for paint that is not on the shelf', () => {
    const [first] = steps(planOf(part(), primed, {}, base), 'coat');
    expect(first.notBeforeWhy).toContain('must be bought first');
    expect(at(first)).toBeGreaterThan(NOW + 12 * 60);
  });
  it('does not spray in the cold, and says why', () => {
    const cold = { ...shelf, places: shelf.places.map((place) => ({ ...place, meanC: 6 })) };
    const [first] = steps(planOf(part(), primed, {}, cold), 'coat');
    expect(first.placed).toBeNull();
    expect(first.unplacedWhy?.length).toBeGreaterThan(5);
  });
  it('is late when the day is too near', () => {
    expect(planOf(part({ layers: [primer(), enamel(3), clear] }), [], { neededBy: '2026-12-04' }).pieces[0].late).toBe(true);
    expect(planOf(part(), primed, { neededBy: '2027-06-01' }).pieces[0].late).toBe(false);
  });
});

describe('money of a piece', () => {
  it('counts bought, planned, consumables and what is over', () => {
    const bought: LogEvent = {
      id: 'b',
      at: toIso(NOW - 50),
      kind: 'bought',
      productId: base.products[0].id,
      packMl: 400,
      count: 1,
      paid: 990,
      pieceId: 'bell',
    };
    const budgets = [{ id: 'own', pieceIds: ['bell'], amount: 500 }];
    const { money } = planOf(part(), [bought], {}, { ...base, budgets }).pieces[0];
    expect(money.committed).toBe(990);
    expect(money.total).toBe(money.committed + money.planned + money.consumables);
    expect(money.over).toBe(money.total - 500);
  });
  it('plans nothing to buy where the shelf covers all', () => {
    const result = planOf(part(), primed);
    expect(result.purchases.total).toBe(0);
    expect(result.pieces[0].money.planned).toBe(0);
  });
  it('counts what was sprayed as used', () => expect(planOf(part(), primed).pieces[0].money.used).toBe(20));
});

describe('agreed sessions', () => {
  it('say what moved', () => {
    const first = planOf(part(), primed);
    const [next] = steps(first, 'coat');
    const agreed = [{ id: 'agreed' as const, at: toIso(NOW), starts: { [next.id]: toIso(at(next)) } }];
    expect(planOf(part(), primed, {}, { ...shelf, agreed }).moved).toEqual([]);
    const wait: LogEvent = { id: 'w', at: toIso(NOW), kind: 'wait', pieceId: 'bell', stepKeys: [next.id], until: toIso(NOW + 1470) };
    const moved = planOf(part(), [...primed, wait], {}, { ...shelf, agreed }).moved;
    expect(moved[0]).toMatchObject({ stepId: next.id, why: 'you put it off' });
  });
});

describe('what is refused or finished', () => {
  it('plans nothing on a finished piece', () => expect(steps(planOf(part(), [], { finished: true }))).toEqual([]));
  it('masks what stays bare before the primer and frees it in time', () => {
    const zones = [
      { id: 'all', name: 'All over' },
      { id: 'pin', name: 'Hinge pin', bare: 'works oiled' },
    ];
    const result = planOf(
      part({ zones, faces: [...part().faces, { id: 'p', zoneId: 'pin', longMm: 10, shortMm: 3, count: 1, seen: false }] }),
    );
    expect(steps(result, 'mask')[0].detail).toContain('works oiled');
    expect(steps(result, 'unmask')).toHaveLength(1);
    expect(steps(result, 'coat').every((step) => step.on.every((on) => !on.zoneIds.includes('pin')))).toBe(true);
  });
  it('stops at a coat that would lift and still plans what lies before it', () => {
    const result = planOf(part({ material: 'polystyrene' }));
    expect(result.pieces[0].stopped).toContain('polystyrene');
    expect(steps(result, 'prep')[0].placed).not.toBeNull();
    expect(steps(result, 'coat').every((step) => step.placed === null)).toBe(true);
    expect(result.pieces[0].likely).toBeNull();
  });
  it('strips sound old paint that the primer would lift, and says so', () => {
    const result = planOf(part({ finish: 'sound' }));
    expect(result.pieces[0].steps.strips.get('body')?.because).toContain('would lift it');
    expect(steps(result).some((step) => step.stage === 'strip-on')).toBe(true);
  });
  it('knows the keys of its steps by piece and part', () => {
    const result = planOf(part());
    expect(result.steps[0].id).toBe(pieceKey('bell', 'teardown'));
    expect(steps(result, 'wash')[0].id).toBe(partKey('bell', 'body', 'wash'));
  });
});
