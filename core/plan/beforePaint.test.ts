import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { eventSchema, type LogEvent, type Mark, type Part, type Piece } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { at, done, NOW, part, piece, planOf, shelf, steps } from '#core/invented/index';
import { plan } from './plan.ts';
import { partKey, pieceKey, preparationOf } from './steps/index.ts';
import { priceWays, withPiece } from './ways/index.ts';

const steel = (more: Partial<Part> = {}) => part({ material: 'steel', finish: 'flaking', ...more });
const stripped = (
  outcome: 'clean' | 'most' | 'little',
  minutesAgo: number,
  application = 1,
  dwellMinutes = 30,
  method: 'gel' | 'caustic' = 'gel',
): LogEvent => ({
  id: `s${method}${application}${outcome}`,
  at: toIso(NOW - minutesAgo),
  kind: 'stripped',
  pieceId: 'bell',
  partIds: ['body'],
  method,
  application,
  outcome,
  dwellMinutes,
});
const patch = (method: 'gel' | 'alcohol', outcome: 'clean' | 'most' | 'little' | 'harmed', dwellMinutes = 30): LogEvent => ({
  id: `p${method}${outcome}`,
  at: toIso(NOW - 500),
  kind: 'patch',
  pieceId: 'bell',
  partIds: ['body'],
  method,
  outcome,
  dwellMinutes,
});
const begun = [done('teardown', 900), done('wash', 800), done('strip-on', 200, 'gel'), done('strip-off', 150, 'gel')];
const mark = (id: string, kind: Mark['kind'], more: Partial<Mark> = {}): Mark => ({ id, kind, severity: 'marked', where: 'left', ...more });
const methodOf = (own: Part, events: LogEvent[] = []) => planOf(own, events).pieces[0].steps.strips.get('body');

describe('a strip that leaves paint', () => {
  it('is planned again, later and dearer, when most came off', () => {
    const clean = planOf(steel(), [...begun, stripped('clean', 150)]);
    const most = planOf(steel(), [...begun, stripped('most', 150)]);
    expect(steps(clean, 'strip-on')).toEqual([]);
    expect(steps(most, 'strip-on').map((step) => step.id)).toEqual([partKey('bell', 'body', 'strip-on', 'gel', 2)]);
    expect(at(steps(most, 'prep')[0])).toBeGreaterThan(at(steps(clean, 'prep')[0]));
    expect(most.pieces[0].attendedMinutes).toBeGreaterThan(clean.pieces[0].attendedMinutes);
    expect(most.pieces[0].money.total).toBeGreaterThan(clean.pieces[0].money.total);
  });
  it('goes over to another method after two applications that did nothing', () => {
    const choice = methodOf(steel(), [...begun, stripped('little', 300, 1), stripped('little', 150, 2, 120)]);
    expect(choice).toMatchObject({ method: 'alcohol', instead: 'gel' });
    expect(choice?.because).toContain('Never a stronger bath');
  });
  it('drops applications still expected once it is clean', () => {
    const two = steel({ finish: 'sound', stripMethod: 'gel' });
    expect(steps(planOf(two), 'strip-on').length).toBe(2);
    expect(steps(planOf(two, [...begun, stripped('clean', 150)]), 'strip-on').length).toBe(0);
  });
  it('learns the dwell for this method and material', () => {
    const usual = preparationOf(piece(steel()), steel(), { ...shelf, pieces: [piece(steel())] }).options.find(
      (row) => row.method === 'gel',
    );
    const facts = { ...shelf, pieces: [piece(steel())], events: [stripped('clean', 9000, 1, 90)] };
    const learned = preparationOf(facts.pieces[0], steel(), facts).options.find((row) => row.method === 'gel');
    expect(learned?.dwell?.usual as number).toBeGreaterThan(usual?.dwell?.usual as number);
  });
  it('refuses a dwell of ninety days', () => {
    const bad = { ...stripped('clean', 10), dwellMinutes: 90 * 1440 };
    expect(eventSchema.safeParse(bad).error?.issues[0].message).toContain('at most 7 days');
  });
});

describe('a test patch', () => {
  const unknown = part({ finish: 'unknown', material: 'cast-iron' });
  it('is required where the finish is unknown, and settles the method', () => {
    expect(steps(planOf(unknown), 'test-patch').length).toBe(1);
    expect(steps(planOf(unknown, [patch('gel', 'clean')]), 'test-patch').length).toBe(0);
    expect(methodOf(unknown, [patch('gel', 'little'), patch('alcohol', 'most')])).toMatchObject({ method: 'alcohol' });
    expect(methodOf(unknown, [patch('gel', 'most', 60), patch('alcohol', 'clean', 90)])).toMatchObject({ method: 'alcohol' });
  });
  it('that harms rules its method out, even one the person chose', () => {
    expect(methodOf({ ...unknown, stripMethod: 'gel' }, [patch('gel', 'harmed')])).toMatchObject({ method: 'alcohol', chosen: false });
  });
});

describe('bare steel', () => {
  it('meets metal prep before it flash-rusts, sooner in damp air', () => {
    const result = planOf(steel());
    const off = steps(result, 'strip-off').at(-1);
    const prep = steps(result, 'metal-prep')[0];
    expect(at(prep) - (off?.placed?.end ?? 0)).toBeLessThan(240);
    expect(prep.placed?.scuff).toBe(false);
  });
  it('has no phosphate under acid etch: the primer itself must come in time', () => {
    const etched = steel({
      layers: [
        {
          id: 'etch',
          wanted: { family: 'etch-primer', role: 'primer', name: 'etch', lab: { l: 60, a: 0, b: 0 } },
          coats: 1,
          covers: 'all',
        },
      ],
    });
    expect(steps(planOf(etched), 'metal-prep')).toEqual([]);
    expect(steps(planOf(steel({ rustGuard: 'prime' })), 'metal-prep')).toEqual([]);
  });
  it('needs none on zinc', () => expect(steps(planOf(part({ finish: 'flaking' })), 'metal-prep')).toEqual([]));
});

describe('repairs and the gate', () => {
  const gouged = part({ marks: [mark('m', 'gouge')], material: 'zinc' });
  it('are steps with their waits, before the papers', () => {
    const order = steps(planOf(gouged)).map((step) => step.stage);
    expect(order.indexOf('repair')).toBeLessThan(order.indexOf('prep'));
    const [fill, file] = steps(planOf(gouged), 'repair');
    expect(at(file) - (fill.placed?.end ?? 0)).toBeGreaterThanOrEqual(45 - 1e-6);
  });
  it('put what did not pass right, and wipe again', () => {
    const ready = [done('teardown', 900), done('wash', 800), done('prep', 700), done('clean', 600)];
    const failed: LogEvent = {
      id: 'f',
      at: toIso(NOW - 500),
      kind: 'failed-check',
      pieceId: 'bell',
      partIds: ['body'],
      item: 'Rims of holes matt',
    };
    expect(steps(planOf(part(), ready), 'clean')).toEqual([]);
    const again = planOf(part(), [...ready, failed]);
    expect(steps(again, 'repair')[0]).toMatchObject({ title: 'Put right what did not pass', detail: 'Rims of holes matt' });
    expect(steps(again, 'clean')[0].id).toBe(partKey('bell', 'body', 'clean', '-', 2));
  });
  it('carry their list on the step they guard', () => {
    expect(steps(planOf(gouged), 'clean')[0].checks?.some((item) => item.includes('gouge, left'))).toBe(true);
  });
});

describe('the whole piece', () => {
  const lid = part({ id: 'lid', name: 'Lid' });
  const two = (more: Partial<Piece> = {}) =>
    planOf(part(), [], {
      parts: [part(), lid],
      fastenings: [{ id: 'rivet', kind: 'rivet', a: 'body', b: 'lid', count: 2, note: '', post: { acrossMm: 4, deepMm: 7 } }],
      ...more,
    });
  it('opens riveted posts after teardown, and tries the bare parts together before any is cleaned', () => {
    const result = two();
    const posts = result.steps.find((step) => step.id === pieceKey('bell', 'teardown', 'rivet'));
    expect(posts).toMatchObject({ title: 'Drill and tap 2 posts, M2', minutes: 12 });
    const fit = steps(result, 'dry-fit')[0];
    for (const prep of steps(result, 'prep')) expect(at(fit)).toBeGreaterThanOrEqual((prep.placed?.end ?? 0) - 1e-6);
    for (const clean of steps(result, 'clean')) expect(at(clean)).toBeGreaterThanOrEqual((fit.placed?.end ?? 0) - 1e-6);
  });
  it('tries a stopped part as it is, so that the others go on', () => {
    const result = two({ parts: [part(), part({ id: 'lid', name: 'Lid', material: 'unknown' })] });
    expect(steps(result, 'wash').length + steps(result, 'strip-on').length).toBeGreaterThan(0);
    const stopped = result.steps.filter((step) => step.stopped !== undefined && !['assemble', 'fit'].includes(step.stage));
    expect(stopped.length).toBeGreaterThan(0);
    for (const step of stopped) expect(step.on.map(({ partId }) => partId)).toEqual(['lid']);
    const fit = steps(result, 'dry-fit')[0];
    const clean = steps(result, 'clean').filter((step) => step.on[0].partId === 'body');
    for (const step of clean) expect(at(step)).toBeGreaterThanOrEqual((fit.placed?.end ?? 0) - 1e-6);
    expect(clean).toHaveLength(1);
  });
  it('leaves a post too thin for any thread alone', () => {
    const thin = two({
      fastenings: [{ id: 'rivet', kind: 'rivet', a: 'body', b: 'lid', count: 2, note: '', post: { acrossMm: 2.5, deepMm: 7 } }],
    });
    expect(thin.steps.some((step) => step.title.startsWith('Drill'))).toBe(false);
  });
  it('masks fragile parts where they sit and plans nothing else on them', () => {
    const glazed = planOf(part(), [], { parts: [part(), part({ id: 'pane', name: 'Pane', maskedInPlace: true, within: 'body' })] });
    expect(steps(glazed, 'mask')[0].detail).toContain('Pane: masked in place');
    expect(glazed.steps.some((step) => step.stage === 'wash' && step.on.some((on) => on.partId === 'pane'))).toBe(false);
  });
  it('plans nothing on a part with asbestos or for food, and no solvent on celluloid', () => {
    for (const stop of ['asbestos', 'radium', 'food', 'gas', 'helmet'] as const) {
      expect(steps(planOf(part({ stops: [stop] })), 'coat')).toEqual([]);
    }
    expect(planOf(part({ stops: ['celluloid'] })).pieces[0].stopped).toContain('no solvent');
  });
  it('holds a part until its replacement has come', () => {
    const parcels = [{ id: 'w', name: 'Window', price: 400, leadDays: 10, arrived: false, holds: { partId: 'body' } }];
    const result = planOf(part(), [], { parcels });
    expect(at(steps(result, 'wash')[0])).toBeGreaterThanOrEqual(NOW + 10 * 1440 - 1);
    expect(steps(result, 'wash')[0].notBeforeWhy).toContain('not ordered yet');
    expect(result.pieces[0].money).toMatchObject({ committed: 0 });
    expect(planOf(part(), [], { parcels: [{ ...parcels[0], orderedAt: '2026-12-01' }] }).pieces[0].money.committed).toBe(400);
  });
  it('stays within its limit and says what is beyond it', () => {
    const hidden = { id: 'h', zoneId: 'all', longMm: 100, shortMm: 100, count: 4, seen: false };
    const own = part({ faces: [...part().faces, hidden] });
    const [whole, outside] = [planOf(own), planOf(own, [], { limit: 'outside' })];
    expect(outside.pieces[0].beyond).toEqual(['Body: 400 cm² hidden']);
    expect(outside.pieces[0].attendedMinutes).toBeLessThan(whole.pieces[0].attendedMinutes);
    expect(planOf(part({ finish: 'sound' }), [], { limit: 'to-bare' }).pieces[0].steps.strips.get('body')?.method).toBe('gel');
  });
});

describe('what a part has to serve', () => {
  const verdicts = (service: Part['service']) =>
    planOf(part({ service })).pieces[0].steps.joints.map((entry) => [entry.layerId, entry.joint.verdict, entry.joint.answer.rule]);
  it('judges only the last film', () => {
    expect(verdicts(undefined).every(([, verdict]) => verdict === 'sits')).toBe(true);
    expect(verdicts(['heat'])).toContainEqual(['colour', 'stop', '8 service']);
    expect(verdicts(['heat']).find(([layer]) => layer === 'primer')?.[1]).toBe('sits');
    expect(verdicts(['fuel'])).toContainEqual(['colour', 'stop', '8 service']);
    expect(verdicts(['abrasion'])).toContainEqual(['colour', 'care', '8 service']);
  });
});

describe('sets and ways', () => {
  it('say where pieces seen together differ', () => {
    const other = { ...piece(part({ layers: [] })), id: 'buoy', name: 'Buoy', set: 'Pier' };
    const facts = { ...shelf, pieces: [{ ...piece(part()), set: 'Pier' }, other] };
    const result = plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW) });
    expect(result.pieces.find((own) => own.pieceId === 'bell')?.notes[0]).toContain('Buoy');
  });
  it('are priced to the end, each beside all other pieces', () => {
    const own = piece(steel());
    const facts = { ...shelf, pieces: [own] };
    const kept = withPiece(facts, { ...own, parts: [steel({ finish: 'sound' })] });
    const [strip, keep] = priceWays(
      [
        { label: 'strip', facts },
        { label: 'keep', facts: kept },
      ],
      'bell',
      NOW,
      conditionsOf(facts, NOW),
    );
    expect(strip.minutes).toBeGreaterThan(0);
    expect(keep.label).toBe('keep');
    expect(keep.money).not.toBe(strip.money);
  });
});
