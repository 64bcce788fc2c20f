import { conditionsOf, dryingRate, mayBeWarmed, reachedWarmed, clocksOf, warmthLimit } from '#core/drying/index';
import type { AirSeries, Facts, Family, Layer, LogEvent, Piece, Place, Warm } from '#core/facts/index';
import { clear, coat, enamel, lacquer, NOW, part, piece, primed, primer, shelf } from '#core/invented/index';
import { DAY, HOUR, localMoment, toIso } from '#core/units/index';
import { verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';
import { type Plan, plan } from './plan.ts';
import { changesFor, gainOf, warmthOf } from './ways/index.ts';

/** Low oven, full sun and warm room: optional steps that hurry a film, only as hot as all of the part bears. */

const OVEN = { longMm: 400, wideMm: 350, highMm: 300, mostC: 90 };
const yard: Place = { ...shelf.places[0], id: 'yard', name: 'Yard', kind: 'outdoors', heated: false };
const warmed = (own: Layer, warm: Warm): Layer => ({ ...own, warm });
const oven = (surfaceC: number, minutes = 120): Warm => ({ by: 'oven', surfaceC, minutes });
const factsOf = (pieces: readonly Piece[], more: Partial<Facts> = {}, workshop: Partial<Facts['workshop'][0]> = {}): Facts => ({
  ...shelf,
  ...more,
  pieces: [...pieces],
  workshop: [{ ...shelf.workshop[0], oven: OVEN, ...workshop }],
});
const planned = (facts: Facts): Plan => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const lawful = (result: Plan, facts: Facts) => verifyPlan(result, facts, conditionsOf(facts, NOW));
const spells = ({ steps }: Plan) => steps.filter(({ warm }) => warm !== undefined);
const coatStart = ({ steps }: Plan, layerId: string) =>
  steps.find((step) => step.coat?.layerId === layerId && step.coat.number === 1)?.placed?.start;

describe('a warm spell on the drying clock', () => {
  it('is the sum of hours inside and outside it, by small steps', () => {
    const conditions = conditionsOf({ ...shelf, places: [{ ...shelf.places[0], swingC: 6 }] }, NOW);
    const clocks = clocksOf(conditions);
    const placeId = shelf.places[0].id;
    for (const [mechanism, surfaceC, from, to, hours] of [
      ['oxidation', 70, 60, 180, 48],
      ['evaporation', 50, 0, 600, 5],
      ['crosslinking', 55, 2000, 2060, 30],
      ['coalescence', 40, 30, 90, 100],
    ] as const) {
      const spell = { from: NOW + from, to: NOW + to, surfaceC };
      let [at, sum] = [NOW, 0];
      while (sum < hours) {
        const inside = at >= spell.from && at < spell.to;
        sum += inside ? dryingRate(mechanism, surfaceC, 50) / 60 : clocks.progress(placeId, mechanism, at, at + 1);
        at++;
      }
      expect(Math.abs((reachedWarmed(clocks, { placeId, mechanism, from: NOW, hours }, [spell]) ?? 0) - at)).toBeLessThan(3);
    }
  });
  it('changes nothing where it lies before the coat', () => {
    const clocks = clocksOf(conditionsOf(shelf, NOW));
    const wait = { placeId: shelf.places[0].id, mechanism: 'oxidation' as const, from: NOW, hours: 10 };
    expect(reachedWarmed(clocks, wait, [{ from: NOW - 300, to: NOW - 60, surfaceC: 80 }])).toBe(reachedWarmed(clocks, wait, []));
  });
});

describe('a low oven after the colour', () => {
  const stack = (own: Layer) => piece(part({ layers: [primer(), own, clear] }));
  const slow = { ...enamel(), flatAfter: 1000 };
  const facts = factsOf(
    [stack(warmed(slow, oven(50, 240)))],
    {},
    { atHome: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '08:00', to: '23:45' })) },
  );
  const result = planned(facts);

  it('is one attended step after the flash-off, and what follows comes sooner', () => {
    const [spell] = spells(result);
    expect(spell.title).toMatch(/low oven.*50 °C for 4 h/);
    expect(spell.minutes).toBeLessThan(10);
    expect(spell.hazards).toContain('heat');
    const last = result.steps.findLast(({ coat: own }) => own?.layerId === 'enamel')?.placed?.end ?? 0;
    expect(spell.placed?.start).toBeGreaterThanOrEqual(
      mayBeWarmed('acrylic-enamel', shelf.places[0].id, last, clocksOf(conditionsOf(facts, NOW))) ?? 0,
    );
    expect(coatStart(result, 'clear')).toBeLessThan(coatStart(planned(factsOf([stack(slow)])), 'clear') ?? 0);
    expect(lawful(result, facts)).toEqual([]);
  });

  it('is seen by the verifier where it comes too soon, too late at night, or hotter than the film bears', () => {
    const tampered = (change: (step: Plan['steps'][0]) => Plan['steps'][0]): string[] =>
      lawful({ ...result, steps: result.steps.map((step) => (step.warm ? change(step) : step)) }, facts).map(({ rule }) => rule);
    const moved = (by: number) =>
      tampered((step) =>
        step.placed ? { ...step, placed: { ...step.placed, start: step.placed.start + by, end: step.placed.end + by } } : step,
      );
    const last = result.steps.findLast(({ coat: own }) => own?.layerId === 'enamel')?.placed?.end ?? 0;
    expect(moved(last + 1 - (spells(result)[0].placed?.start ?? 0))).toContain('flash-off');
    expect(moved(2 * HOUR)).toContain('at home');
    expect(tampered((step) => ({ ...step, warm: oven(70) }))).toContain('warmth');
  });

  it('is on only while somebody is at home: without such hours it waits for a stay that is long enough, or has no date', () => {
    const short = factsOf(
      facts.pieces,
      {},
      { freeHours: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '19:00', to: '20:30' })) },
    );
    expect(spells(planned(short))[0]).toMatchObject({ placed: null, unplacedWhy: expect.stringContaining('nobody is at home') });
    const hour = factsOf([stack(warmed(slow, oven(50, 30)))], {}, { freeHours: short.workshop[0].freeHours });
    expect(spells(planned(hour))[0].placed).not.toBeNull();
    expect(lawful(planned(hour), hour)).toEqual([]);
  });

  it('of two pieces with other heat is not on for both at once, with the same heat it is', () => {
    const second = (warm: Warm) =>
      piece(part({ id: 'lid', name: 'Lid', pegs: [2], layers: [primer(), warmed(lacquer(), warm)] }), { id: 'box', name: 'Box' });
    const pair = (warm: Warm) =>
      factsOf([piece(part({ layers: [primer(), warmed(lacquer(), oven(50))] })), second(warm)], {}, { atHome: facts.workshop[0].atHome });
    const [same, other] = [pair(oven(50)), pair(oven(45, 90))];
    const times = (own: Facts) =>
      spells(planned(own)).map(({ placed, warm }) => ({ from: placed?.end ?? 0, to: (placed?.end ?? 0) + (warm?.minutes ?? 0) }));
    const overlap = ([a, b]: ReturnType<typeof times>) => Math.min(a.to, b.to) - Math.max(a.from, b.from);
    expect(overlap(times(same))).toBeGreaterThan(60);
    expect(overlap(times(other))).toBeLessThanOrEqual(0);
    for (const own of [same, other]) expect(lawful(planned(own), own)).toEqual([]);
  });
});

describe('a part in the warm', () => {
  const zones = [
    { id: 'roof', name: 'Roof' },
    { id: 'sides', name: 'Sides' },
  ];
  const faces = zones.map(({ id }) => ({ id, zoneId: id, longMm: 80, shortMm: 40, count: 2, seen: true }));
  const over = (id: string, more: Partial<Layer> = {}) => ({ ...lacquer(1, { covers: [id], ...more }), id });
  it('is not at hand for its other zone, nor for the fit', () => {
    const two = piece(part({ zones, faces, layers: [primer(), over('roof', { warm: oven(45, 60) }), over('sides')] }));
    const facts = factsOf([two]);
    const result = planned(facts);
    const until = (spells(result)[0].placed?.end ?? Number.NaN) + 60;
    const later = result.steps.filter(({ placed }) => (placed?.start ?? 0) > until - 60);
    expect(later.length).toBeGreaterThan(1);
    for (const { placed } of later) expect(placed?.start).toBeGreaterThanOrEqual(until);
    const hurried = {
      ...result,
      steps: result.steps.map((step) => (step.warm ? { ...step, warm: { ...step.warm, minutes: 3000 } } : step)),
    };
    expect(lawful(hurried, facts).map(({ rule }) => rule)).toContain('at hand');
  });
});

describe('a spell is left out, with the reason', () => {
  const refused = (warm: Warm, own: Partial<Piece['parts'][0]> = {}, more: Partial<Piece> = {}, workshop = {}) => {
    const whole = piece(part({ layers: [primer(), warmed(lacquer(), warm)], ...own }), more);
    const facts = factsOf([whole], {}, workshop);
    const { refused: why } = warmthOf({
      piece: whole,
      part: whole.parts[0],
      layer: whole.parts[0].layers[1],
      facts,
      conditions: conditionsOf(facts, NOW),
      now: NOW,
    });
    expect(spells(planned(facts)).length).toBe(why === null ? 1 : 0);
    return why;
  };
  it('where it is hotter than part or film bears', () => {
    expect(refused(oven(55))).toBeNull();
    expect(refused(oven(56))).toMatch(/At most 55 °C/);
    expect(refused(oven(50), { material: 'resin' })).toMatch(/At most 45 °C: the cast resin/);
    expect(warmthLimit(['zinc'], ['alkyd-enamel']).limitC).toBe(80);
  });
  it('where it can hurt: lead in paint that stays, celluloid', () => {
    expect(refused(oven(50), { finish: 'sound', stripMethod: 'scuff' }, { leadExcluded: false })).toMatch(/Lead/);
    expect(refused(oven(50), { finish: 'sound', stripMethod: 'scuff' })).toBeNull();
    expect(refused(oven(40), { stops: ['celluloid'] })).toMatch(/Celluloid/);
  });
  it('where there is no oven, or none so large or so hot', () => {
    expect(refused(oven(50), {}, {}, { oven: undefined })).toMatch(/No oven/);
    expect(refused(oven(50), {}, {}, { oven: { ...OVEN, mostC: 45 } })).toMatch(/at most 45 °C/);
    expect(refused(oven(50), {}, {}, { oven: { ...OVEN, longMm: 60, wideMm: 60, highMm: 60 } })).toMatch(/larger than the oven/);
    expect(refused(oven(50), { copies: 40 })).toMatch(/40 copies/);
  });
  it('where dark plastic would lie in the sun, or there is no yard', () => {
    const sun: Warm = { by: 'sun', surfaceC: 40, minutes: 120 };
    expect(refused(sun)).toMatch(/No place in the open/);
    const dark = piece(
      part({
        material: 'abs',
        layers: [
          warmed(
            {
              ...lacquer(),
              productId: undefined,
              wanted: { family: 'acrylic-lacquer', role: 'colour', name: 'black', lab: { l: 10, a: 0, b: 0 } },
            },
            sun,
          ),
        ],
      }),
    );
    const facts = factsOf([dark], { places: [...shelf.places, yard] });
    const asked = {
      piece: dark,
      part: dark.parts[0],
      layer: dark.parts[0].layers[0],
      facts,
      conditions: conditionsOf(facts, NOW),
      now: NOW,
    };
    expect(warmthOf(asked).refused).toMatch(/Dark plastic/);
  });
});

describe('the sun', () => {
  const forecast = (cloud: (hour: number) => number): AirSeries => ({
    id: 'f',
    placeId: 'yard',
    from: 'forecast',
    start: toIso(NOW),
    tempC: Array.from({ length: 72 }, () => 18),
    rh: Array.from({ length: 72 }, () => 50),
    cloud: Array.from({ length: 72 }, (_, hour) => cloud(hour)),
  });
  const slow = piece(part({ layers: [primer(), enamel()] }));
  const with_ = (series: AirSeries, own = slow) =>
    factsOf(
      [own],
      { places: [...shelf.places, yard], airSeries: [series] },
      { freeHours: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '09:00', to: '12:00' })) },
    );
  it('is offered when the forecast promises it, by daylight only', () => {
    const facts = with_(forecast((hour) => (hour > 30 ? 10 : 90)));
    const ask = (own: Facts) =>
      warmthOf({
        piece: own.pieces[0],
        part: own.pieces[0].parts[0],
        layer: own.pieces[0].parts[0].layers[1],
        facts: own,
        conditions: conditionsOf(own, NOW),
        now: NOW,
      }).offers.find(({ by }) => by === 'sun');
    const offer = ask(facts);
    expect(offer?.sun?.from).toBeGreaterThan(NOW + 30 * HOUR);
    const begins = localMoment(offer?.sun?.from ?? 0, 'Europe/Lisbon').minuteOfDay;
    expect(begins > 7 * HOUR && begins < 17 * HOUR).toBe(true);
    expect(offer?.warm.surfaceC).toBeGreaterThan(30);
    expect(ask(with_(forecast(() => 90)))?.sun).toBeUndefined();
  });
  it('is waited for: under cloud the spell comes later', () => {
    const sun: Warm = { by: 'sun', surfaceC: 33, minutes: 120 };
    const own = piece(part({ layers: [primer(), warmed(enamel(), sun)] }));
    const start = (cloud: (hour: number) => number) => spells(planned(with_(forecast(cloud), own)))[0].placed?.start ?? 0;
    expect(start((hour) => (hour < 60 ? 100 : 0)) - start(() => 0)).toBeGreaterThan(12 * HOUR);
  });
});

describe('warmth by the log', () => {
  const stack = piece(part({ layers: [primer(), { ...enamel(1), flatAfter: 1000 }, clear] }));
  const laid = [...primed, coat('enamel', 1, 320, 'acrylic-enamel', 'colour', 20)];
  const spell = (surfaceC: number, minutes: number): LogEvent => ({
    id: 'w',
    at: toIso(NOW - 250),
    kind: 'warmed',
    pieceId: 'bell',
    partIds: ['body'],
    by: 'oven',
    surfaceC,
    minutes,
  });
  it('moves the film as it was measured, in the plan and where it hangs', () => {
    const [cold, warm] = [[], [spell(55, 240)]].map((more) => planned(factsOf([stack], { events: [...laid, ...more] })));
    expect(coatStart(warm, 'clear')).toBeLessThan((coatStart(cold, 'clear') ?? 0) - DAY / 4);
    const cured = (result: Plan) => result.hanging[0].hung?.times.cured ?? 0;
    expect(cured(warm)).toBeLessThan(cured(cold));
    const facts = factsOf([stack], { events: [...laid, spell(55, 240)] });
    expect(lawful(warm, facts)).toEqual([]);
  });
});

describe('what would make it sooner', () => {
  it('tries the oven after a slow colour, as the plan of it says', () => {
    const atHome = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '08:00', to: '23:45' }));
    const facts = factsOf([piece(part({ layers: [primer(), { ...enamel(), flatAfter: 1000 }, clear] }))], {}, { atHome });
    const conditions = conditionsOf(facts, NOW);
    const asIs = planned(facts);
    const change = changesFor(facts.pieces[0], facts, asIs, conditions).find(({ label }) => /low oven after .*enamel/i.test(label));
    expect(change && gainOf(change, 'bell', asIs)?.gained).toBeGreaterThan(0);
    const none = factsOf(facts.pieces, {}, { oven: undefined });
    expect(changesFor(none.pieces[0], none, asIs, conditions).some(({ label }) => label.includes('oven'))).toBe(false);
  });
});

describe('a tub', () => {
  const soaked = (id: string, material: 'zinc' | 'steel') =>
    piece(part({ id, name: id, material, finish: 'sound', stripMethod: 'alcohol', layers: [primer()] }), { id, name: id });
  const tub = { longMm: 120, wideMm: 60, deepMm: 120 };
  const baths = (facts: Facts) => {
    const { steps } = planned(facts);
    return facts.pieces.map(({ id }) => {
      const find = (stage: string) => steps.find((own) => own.pieceId === id && own.stage === stage)?.placed;
      return { from: find('strip-on')?.end ?? Number.NaN, to: find('strip-off')?.end ?? Number.NaN };
    });
  };
  const overlap = ([a, b]: ReturnType<typeof baths>) => Math.min(a.to, b.to) - Math.max(a.from, b.from);
  it('holds one bath at a time, and two tubs hold two', () => {
    const facts = factsOf([soaked('one', 'zinc'), soaked('two', 'zinc')], {}, { tub });
    expect(overlap(baths(facts))).toBeLessThanOrEqual(0.01);
    expect(lawful(planned(facts), facts)).toEqual([]);
    const two = factsOf(facts.pieces, {}, { tub, tubs: 2 });
    expect(overlap(baths(two))).toBeGreaterThan(0);
  });
  it('large enough takes both together', () => {
    const facts = factsOf([soaked('one', 'zinc'), soaked('two', 'zinc')], {}, { tub: { longMm: 600, wideMm: 500, deepMm: 200 } });
    expect(overlap(baths(facts))).toBeGreaterThan(0);
  });
});

describe('a colour that is warmed hotter than the one beside it bears', () => {
  const two = (family: Family, covers: string): Layer => ({
    id: family,
    wanted: { family, role: 'colour', name: family, lab: { l: family === 'urethane-2k' ? 80 : 12, a: 0, b: 0 } },
    coats: 2,
    covers: [covers],
  });
  const panel = (hotFirst: boolean, insisted?: string[]) => {
    const hot = warmed(two('high-temperature', 'in'), oven(85));
    const mild = two('urethane-2k', 'out');
    return part({
      material: 'steel',
      finish: 'bare',
      zones: [
        { id: 'out', name: 'Outside' },
        { id: 'in', name: 'Inside' },
      ],
      faces: ['out', 'in'].map((zoneId) => ({ id: zoneId, zoneId, longMm: 200, shortMm: 150, count: 1, seen: true })),
      layers: hotFirst ? [hot, mild] : [mild, hot],
      ...(insisted ? { colourOrder: insisted } : {}),
    });
  };
  const run = (own: Piece['parts'][0]) => {
    const facts = factsOf([piece(own)]);
    return { facts, result: planned(facts) };
  };
  it('goes on first, and out of the warm before the other is laid', () => {
    const { facts, result } = run(panel(true));
    const [spell] = spells(result);
    expect(spell?.placed).not.toBeNull();
    expect(coatStart(result, 'urethane-2k') ?? 0).toBeGreaterThanOrEqual((spell?.placed?.end ?? Number.NaN) + 85);
    expect(lawful(result, facts)).toEqual([]);
  });
  it('is left unwarmed where the other lies below it or is insisted on first', () => {
    for (const own of [panel(false), panel(true, ['urethane-2k', 'high-temperature'])]) {
      const { facts, result } = run(own);
      expect(spells(result)).toEqual([]);
      expect(lawful(result, facts)).toEqual([]);
    }
  });
});
