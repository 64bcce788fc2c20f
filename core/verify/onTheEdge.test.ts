import { conditionsOf, DryingClocks } from '#core/drying/index';
import type { Facts, Layer, Part, Piece, Warm, Workshop } from '#core/facts/index';
import { enamel, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { coats, line, told, type Told } from '#core/invented/planted/telling';
import { type Plan, plan, type PlannedStep } from '#core/plan/index';
import { describe, expect, it } from 'vitest';
import { sense, verifyPlan } from './index.ts';

/** A moment or half a minute to either side of where a rule begins to speak: nothing is forgiven that is seen, nothing called out that is not there. */

const candy: Layer = {
  id: 'candy',
  wanted: { family: 'candy', role: 'colour', name: 'candy', lab: { l: 40, a: 0, b: 0 } },
  coats: 2,
  covers: 'all',
};
const steel = (more: Partial<Part> = {}) => part({ material: 'steel', finish: 'bare', ...more });
const factsOf = (own: readonly Part[], more: Partial<Piece> = {}, workshop: Partial<Workshop> = {}): Facts => ({
  ...shelf,
  workshop: [{ ...shelf.workshop[0], ...workshop }],
  pieces: [piece(own[0], { parts: [...own], ...more })],
});
const planned = (facts: Facts): Plan => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const rulesOf = (tampered: Plan, facts: Facts) => verifyPlan(tampered, facts, conditionsOf(facts, NOW)).map(({ rule }) => rule);
const at = (honest: Plan, id: string, start: number): Plan => ({
  ...honest,
  steps: honest.steps.map((step) =>
    step.id === id && step.placed ? { ...step, placed: { ...step.placed, start, end: start + step.placed.end - step.placed.start } } : step,
  ),
});
const first = ({ steps }: Plan, wanted: (step: PlannedStep) => boolean) => {
  const found = steps.filter((step) => step.placed && wanted(step)).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0))[0];
  if (!found?.placed) throw new Error('The plan has no such step.');
  return { window: found.window, ...found.placed };
};
const rulesSensed = ({ facts, ...sensed }: Told) => sense(sensed, facts, conditionsOf(facts, NOW)).map(({ rule }) => rule);

describe('two steps of one person', () => {
  const facts = factsOf([steel()]);
  const honest = planned(facts);
  const coat = first(honest, ({ coat: own }) => own !== undefined);
  const ends = honest.steps.flatMap(({ placed }) => (placed && placed.end <= coat.start ? [placed.end] : []));
  const before = Math.max(...ends);
  it('may meet and may not overlap by half a minute', () => {
    expect(rulesOf(at(honest, coat.id, before), facts)).not.toContain('one person');
    expect(rulesOf(at(honest, coat.id, before - 0.5), facts)).toContain('one person');
  });
});

describe('a window', () => {
  const facts = factsOf([steel({ layers: [primer(), enamel()] })]);
  const honest = planned(facts);
  const second = first(honest, ({ coat }) => coat?.layerId === 'enamel' && coat.number === 2);
  const shuts = second.window?.to ?? Number.NaN;
  it('is kept by a coat at the very moment it shuts, and not half a minute later', () => {
    expect(rulesOf(at(honest, second.id, shuts), facts)).not.toContain('recoat window');
    expect(rulesOf(at(honest, second.id, shuts + 0.5), facts)).toContain('recoat window');
  });
});

describe('a parcel for one part', () => {
  it('does not hold what is done to all of them', () => {
    const parts = [steel(), steel({ id: 'lid', name: 'Lid', pegs: [2] })];
    const parcels = [{ id: 'x', name: 'Paint for the lid', price: 500, arrived: false, due: '2026-12-20', holds: { partId: 'lid' } }];
    const facts = factsOf(parts, { parcels });
    const honest = planned(facts);
    expect(first(honest, ({ stage }) => stage === 'teardown').start).toBeLessThan(NOW + 1440);
    expect(rulesOf(honest, facts)).toEqual([]);
  });
});

describe('steel under old paint that stays', () => {
  it('is not bare because it was wiped', () => {
    const facts = factsOf([part({ material: 'steel', finish: 'sound', stripMethod: 'scuff', oldPaint: 'baked-enamel' })]);
    const honest = planned(facts);
    const coat = first(honest, (step) => step.coat !== undefined);
    const late = at(honest, coat.id, coat.start + 3 * 1440);
    expect(first(honest, ({ stage }) => stage === 'clean').end).toBeLessThan(coat.start + 1);
    expect(rulesOf(late, facts)).not.toContain('flash rust');
  });
});

describe('an oven', () => {
  const warm: Warm = { by: 'oven', surfaceC: 50, minutes: 120 };
  const own: Layer = { ...enamel(), warm };
  const oven = { longMm: 400, wideMm: 350, highMm: 300, mostC: 90 };
  const atHome = (to: string): Partial<Workshop> => ({
    oven,
    atHome: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '06:00', to })),
  });
  it('may end with the minute somebody leaves', () => {
    const facts = factsOf([steel({ layers: [primer(), own] })], {}, atHome('23:30'));
    const honest = planned(facts);
    const spell = first(honest, (step) => step.warm !== undefined);
    const day = spell.start - (spell.start % 1440);
    const ends = day + 23.5 * 60;
    const length = spell.end - spell.start;
    const lastStart = ends - warm.minutes - length;
    expect(rulesOf(at(honest, spell.id, lastStart), facts)).not.toContain('at home');
    expect(rulesOf(at(honest, spell.id, lastStart + 0.5), facts)).toContain('at home');
  });
});

describe('the second coat of a stay that was used to its end', () => {
  const parts = [part({ layers: [primer(), { ...enamel(), id: 'enamel' }] })];
  const begun = [line(0, 'teardown', ['record', 'open'], { wide: '-' }), ...coats(1, 'primer', 2)];
  it('is not called out on the next evening, for there was no time for it', () => {
    // The stay ends at half past eleven, four and a half hours on.
    const late = [...begun, ...coats(4.35, 'enamel', 1), ...coats(24.2, 'enamel', 1).map((own) => ({ ...own, coat: 2 }))];
    expect(rulesSensed(told(late, { parts }))).not.toContain('one-go');
    // 41 min are wanted: six for the coat, 35 to change the paint, shake and clear. Here are 44.
    const justEnough = [...begun, ...coats(3.48, 'enamel', 1), ...coats(24.2, 'enamel', 1).map((own) => ({ ...own, coat: 2 }))];
    expect(rulesSensed(told(justEnough, { parts }))).toContain('one-go');
    const early = [...begun, ...coats(2, 'enamel', 1), ...coats(24.2, 'enamel', 1).map((own) => ({ ...own, coat: 2 }))];
    expect(rulesSensed(told(early, { parts }))).toContain('one-go');
  });
  it('is called out of a candy though something else was done between', () => {
    const lines = [
      ...begun,
      ...coats(2, 'candy', 1),
      line(3, 'look', ['look'], { subject: 'sheen' }),
      ...coats(24, 'candy', 1).map((own) => ({ ...own, coat: 2 })),
    ];
    expect(rulesSensed(told(lines, { parts: [part({ layers: [primer(), candy] })] }))).toContain('one-go');
  });
});

describe('bright steel', () => {
  it('is primed in time at the very moment it would begin to rust', () => {
    const lines = (primed: number) => [
      line(0, 'teardown', ['record', 'open'], { wide: '-' }),
      line(0.5, 'strip', ['strip-blast']),
      ...coats((primed - NOW) / 60, 'primer', 2),
    ];
    const story = (primed: number) => told(lines(primed), { parts: [steel({ finish: 'bare', layers: [primer()] })] });
    const { facts, steps } = story(NOW + 90);
    const bared = steps[1].placed?.end ?? Number.NaN;
    const rusts = new DryingClocks(conditionsOf(facts, NOW)).flashRust(facts.workshop[0].sprayPlaceId, bared);
    expect(rulesSensed(story(rusts))).not.toContain('bare-steel');
    expect(rulesSensed(story(rusts + 0.5))).toContain('bare-steel');
  });
});

describe('a look in a short window', () => {
  it('is nobody’s hindrance where no coat follows', () => {
    const begun = [line(0, 'teardown', ['record', 'open'], { wide: '-' }), ...coats(1, 'primer', 2), ...coats(2, 'candy', 2, 12)];
    const parts = [part({ layers: [primer(), candy] })];
    expect(rulesSensed(told([...begun, line(2.32, 'look', ['look'], { subject: 'sheen' })], { parts }))).not.toContain('extras-in-window');
  });
});

describe('a tub', () => {
  it('is taken by baths alone, and not by gel on two parts at once', () => {
    const tub = { longMm: 300, wideMm: 200, deepMm: 200 };
    const old = { finish: 'flaking' as const, stripMethod: 'gel' as const };
    const facts = factsOf(
      [part(old), part({ ...old, id: 'lid', name: 'Lid', pegs: [2] }), part({ ...old, id: 'base', name: 'Base', pegs: [3] })],
      {},
      { tub },
    );
    const honest = planned(facts);
    expect(honest.steps.some(({ stage, method }) => stage === 'strip-off' && method === 'gel')).toBe(true);
    expect(rulesOf(honest, facts)).toEqual([]);
  });
});

describe('who chose what would be ruined', () => {
  const glass = (more: object) => part({ id: 'glass', name: 'Glass', material: 'clear', staysClear: true, pegs: [2], layers: [], ...more });
  const chosen = (more: object) => {
    const lines = [
      line(0, 'teardown', ['record', 'open'], { wide: '-' }),
      line(0.5, 'assemble', ['glue-on'], { wide: 'glass', on: ['body', 'glass'] }),
      ...coats(24, 'primer', 1),
    ];
    const { facts, ...sensed } = told(lines, { parts: [part({ layers: [primer()] }), glass(more)] });
    return sense(sensed, facts, conditionsOf(facts, NOW))
      .filter(({ rule }) => rule === 'ruins-fitted')
      .map(({ chosenBy }) => chosenBy);
  };
  it('is the person where somebody said when it goes on, else the tool', () => {
    expect(chosen({ fit: { stage: 'before-paint', onPartId: 'body' } })).toEqual(['person']);
    expect(chosen({})).toEqual(['tool']);
  });
});

describe('old paint that stays', () => {
  it('is what the first coat is judged on, where nothing has taken it off', () => {
    const kept = { material: 'steel' as const, finish: 'sound' as const, stripMethod: 'scuff' as const };
    const honest = planned(factsOf([part({ ...kept, oldPaint: 'baked-enamel' })]));
    expect(rulesOf(honest, factsOf([part({ ...kept, oldPaint: 'baked-enamel' })]))).not.toContain('joint');
    expect(rulesOf(honest, factsOf([part({ ...kept, oldPaint: 'unknown' })]))).toContain('joint');
  });
});

describe('the same work twice', () => {
  const begun = [line(0, 'teardown', ['record', 'open'], { wide: '-' })];
  const washed = (at: number) => [line(at, 'wash', ['water-wash']), line(at + 0.3, 'wash', ['water-wash'])];
  it('is for nothing on bare metal, and no matter on a film', () => {
    expect(rulesSensed(told([...begun, ...washed(0.5)]))).toContain('done-again');
    expect(rulesSensed(told([...begun, ...coats(1, 'primer', 1), ...washed(200)]))).not.toContain('done-again');
  });
});

describe('another paint', () => {
  it('needs the nozzle cleared and the paint changed, one after the other', () => {
    const facts = factsOf([steel()]);
    const honest = planned(facts);
    const next = first(honest, ({ coat }) => coat?.layerId === 'colour' && coat.number === 1);
    const worked = Math.max(...honest.steps.flatMap(({ placed }) => (placed && placed.end <= next.start ? [placed.end] : [])));
    // Three minutes to clear a can, five to change it.
    expect(rulesOf(at(honest, next.id, worked + 7), facts)).toContain('booth');
    expect(rulesOf(at(honest, next.id, worked + 8), facts)).not.toContain('booth');
  });
});

describe('a coat on one zone of two', () => {
  it('is on that zone: tape on it waits for it, as on a part without zones', () => {
    const zones = [
      { id: 'all', name: 'Upper' },
      { id: 'low', name: 'Lower' },
    ];
    const own = part({ zones, layers: [primer(), { ...enamel(), id: 'enamel', covers: ['all'] }] });
    const lines = [
      line(0, 'teardown', ['record', 'open'], { wide: '-' }),
      ...coats(1, 'primer', 1),
      line(1.3, 'task', ['tape'], { wide: 'bands' }),
    ];
    expect(
      rulesSensed(
        told(lines, {
          parts: [own],
          more: { tasks: [{ id: 'bands', kind: 'own', name: 'Tape', partIds: ['body'], minutes: 5, acts: ['tape'] }] },
        }),
      ),
    ).toContain('film-bears');
  });
});

describe('what is put on a part', () => {
  const begun = [line(0, 'teardown', ['record', 'open'], { wide: '-' })];
  const pressed = (hour: number) => {
    const badge = { id: 'badge', kind: 'own' as const, name: 'Badge', partIds: ['body'], minutes: 5, acts: ['press-on' as const] };
    const lines = [...begun, ...coats(1, 'primer', 1), line(hour, 'task', ['press-on'], { wide: 'badge' })];
    return rulesSensed(told(lines, { parts: [part({ layers: [primer()] })], more: { tasks: [badge] } }));
  };
  it('is pressed on once the film bears that, and need not wait until it has cured', () => {
    expect(pressed(3)).toContain('film-bears');
    expect(pressed(60)).not.toContain('film-bears');
  });
  it.each([
    ['rubber', true],
    ['steel', false],
  ] as const)('of %s is ruined by paint: %s', (material, ruined) => {
    const tyre = part({ id: 'tyre', name: 'Tyre', material, pegs: [2], layers: [] });
    const lines = [...begun, line(0.5, 'assemble', ['slide-on'], { wide: 'tyre', on: ['body', 'tyre'] }), ...coats(24, 'primer', 1)];
    expect(rulesSensed(told(lines, { parts: [part({ layers: [primer()] }), tyre] })).includes('ruins-fitted')).toBe(ruined);
  });
});
