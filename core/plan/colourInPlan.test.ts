import type { Facts, Layer, LogEvent, Part, Piece, Product, Reference } from '#core/facts/index';
import { at, clear, coat, done, lacquer, NOW, part, piece, planOf, primed, primer, shelf, solePiece, steps } from '#core/invented/index';
import { reachOf, shelfCans } from '#core/buying/index';
import { clocksOf, conditionsOf } from '#core/drying/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { evidenceOf, hasTileAlong, historyOf, plan, plannedInColour, tileAlong } from './index.ts';
import { stepsLookedAt } from './steps/index.ts';

/** What a colour asks of the plan: read before the old paint goes, one mix for all, a look once it has dried down. */

const PLATE: Reference = { id: 'plate', kind: 'hidden-spot', where: 'under the plate', partId: 'body' };
const old = (more: Partial<Part> = {}) => part({ finish: 'sound', oldPaint: 'baked-enamel', ...more });
const withReference = (own: Part, events: LogEvent[] = [], reference: Partial<Reference> = {}) =>
  planOf(own, events, { references: [{ ...PLATE, ...reference }] });

describe('old paint that a colour is read from', () => {
  it.each([['gel'], ['scuff']] as const)('is read before %s', (stripMethod) => {
    const result = withReference(old({ stripMethod }));
    const [reading] = steps(result, 'reference');
    expect(reading.title).toBe('Read the colour: under the plate');
    const gone = result.steps.filter((step) => ['test-patch', 'strip', 'strip-on', 'prep'].includes(step.stage));
    expect(gone.length).toBeGreaterThan(0);
    for (const step of gone) expect(at(step)).toBeGreaterThanOrEqual(reading.placed?.end ?? Number.POSITIVE_INFINITY);
    expect(at(steps(result, 'wash')[0])).toBeLessThanOrEqual(at(reading));
  });
  it('is looked at beneath what lies over it', () => {
    const [reading] = steps(withReference(old(), [], { kind: 'aged-spot', ageings: ['yellowed', 'dirty'] }), 'reference');
    expect(reading.detail).toContain('compound');
    expect(reading.detail).toContain('wash a spot');
  });
  it('asks nothing once it is read, matched at the bench, or too late', () => {
    expect(steps(withReference(old(), [], { lab: { l: 50, a: 0, b: 0 } }), 'reference')).toEqual([]);
    expect(steps(withReference(old(), [done('reference', 30, 'plate')]), 'reference')).toEqual([]);
    expect(steps(withReference(old({ stripMethod: 'gel' }), [done('strip-on', 60, 'gel')]), 'reference')).toEqual([]);
    expect(steps(withReference(part(), primed), 'reference')).toEqual([]);
    expect(steps(withReference(old(), [], { partId: undefined }), 'reference')).toEqual([]);
  });
});

const OWN: Product = { ...productOf(), id: 'ivory', name: 'Ivory', mix: { parts: [{ productId: productOf().id, ml: 10 }] } };
function productOf(): Product {
  const own = shelf.products.find(({ id }) => id === 'starter-water-acrylic-colour-product') ?? shelf.products[0];
  return own;
}
const ivory = (coats: number): Layer => ({ id: 'ivory', productId: 'ivory', coats, covers: 'all', hand: 'airbrush' });
const set = (jarMl: number, details: Part['details'] = []): { facts: Facts; pieces: Piece[] } => {
  const own = part({
    finish: 'bare',
    layers: [primer(), ivory(2)],
    details,
    faces: [
      { id: 'f', zoneId: 'all', longMm: 100, shortMm: 40, count: 5, seen: true },
      { id: 'g', zoneId: 'all', longMm: 100, shortMm: 40, count: 2, seen: false },
    ],
  });
  const pieces = [piece(own, { set: 'pair' }), piece({ ...own, pegs: [2] }, { id: 'second', name: 'Second', set: 'pair' })];
  const jar = { id: 'jar', productId: 'ivory', packMl: 100, leftMl: jarMl, leftAt: toIso(NOW - 99), opened: true, paid: 100 };
  return { facts: { ...shelf, products: [...shelf.products, OWN], cans: [...shelf.cans, jar], pieces }, pieces };
};
const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });

describe('one mix for a pair', () => {
  const enough = planned(set(100).facts);
  it('is sized for both, a fifth over, and lasts', () => {
    const [mix] = enough.mixes;
    const coats = enough.steps.flatMap(({ coat }) => (coat?.productId === 'ivory' ? [coat.paintMl] : []));
    expect(mix.need.coatsMl).toBeCloseTo(
      coats.reduce((sum, ml) => sum + ml, 0),
      9,
    );
    // And what clears the nozzle once.
    expect(reachOf(mix.need)).toMatchObject({ needMl: mix.need.coatsMl + 2, shortMl: 0, tight: false });
    expect(mix.need.byPiece.map(({ pieceId }) => pieceId).sort()).toEqual(['bell', 'second']);
    expect(mix.runsDry).toBeNull();
    const inColour = plannedInColour(OWN.lab, enough.steps, set(100).facts);
    expect(inColour.ml).toBeCloseTo(mix.need.coatsMl, 9);
    expect(inColour.withSpareMl).toBeCloseTo(1.2 * inColour.ml, 9);
  });
  it('that runs short says at which coat, in the order they come, and what half a coat on hidden faces saves', () => {
    const need = enough.mixes[0].need.coatsMl;
    for (const share of [0.2, 0.5, 0.9]) {
      const left = share * need;
      const result = planned(set(left + 5).facts);
      const [mix] = result.mixes;
      const { needMl, haveMl, shortMl } = reachOf(mix.need);
      expect(shortMl).toBeCloseTo(Math.max(0, needMl - haveMl), 9);
      const coats = result.steps.filter((step) => step.coat?.productId === 'ivory').sort((a, b) => at(a) - at(b));
      // The nozzles are cleared out of the same jar.
      let poured = needMl - mix.need.coatsMl;
      const dry = coats.find((step) => {
        poured += step.coat?.paintMl ?? 0;
        return poured > haveMl + 1e-6;
      });
      expect(mix.runsDry?.stepId).toBe(dry?.id);
      // Two faces of seven are hidden; half of their paint may stay in the jar.
      expect(mix.hiddenSavesMl).toBeCloseTo((mix.need.coatsMl * 2) / 7 / 2, 6);
    }
  });
  it('does the brushed details too', () => {
    const detail = {
      id: 'd',
      name: 'rim',
      zoneId: 'all',
      after: 'ivory',
      way: 'brush' as const,
      family: 'water-acrylic' as const,
      lab: OWN.lab,
      count: 4,
      productId: 'ivory',
    };
    const { facts } = set(100, [detail]);
    expect(planned(facts).mixes[0].need.neededMl - enough.mixes[0].need.neededMl).toBeCloseTo(2 * 4 * 0.1, 6);
    // Once it is brushed the bottle has given it.
    const brushed: LogEvent = { ...done('detail', 5, 'd'), id: 'brushed' };
    const left = (own: Facts) => shelfCans(own).find(({ productId }) => productId === 'ivory')?.leftMl ?? 0;
    expect(left(facts) - left({ ...facts, events: [brushed] })).toBeCloseTo(4 * 0.1, 9);
    const other = set(100, [{ ...detail, productId: undefined }]).facts;
    expect(planned(other).mixes[0].need.neededMl).toBeCloseTo(enough.mixes[0].need.neededMl, 9);
  });
});

describe('a sheen that is wanted', () => {
  const shown = (sheen: 'satin' | undefined, events: LogEvent[] = []) =>
    planOf(
      part({ finish: 'bare', layers: [primer(), lacquer(), clear], zones: [{ id: 'all', name: 'All over', ...(sheen ? { sheen } : {}) }] }),
      events,
    );
  it('is looked at once it has dried down, before the end', () => {
    const result = shown('satin');
    const [look] = steps(result, 'look');
    const last = steps(result, 'coat').at(-1);
    expect(look.title).toBe('Look at the sheen again, dried down');
    expect(look.asks).toEqual({ kind: 'sheen' });
    expect(at(look) - (last?.placed?.end ?? 0)).toBeGreaterThanOrEqual(60);
    expect(at(steps(result, 'fit')[0])).toBeGreaterThanOrEqual(look.placed?.end ?? Number.POSITIVE_INFINITY);
    expect(steps(shown(undefined), 'look')).toEqual([]);
  });
  it('remembers how it looked wet', () => {
    const wet: LogEvent = {
      id: 'wet',
      at: toIso(NOW - 5),
      kind: 'sheen-read',
      pieceId: 'bell',
      partId: 'body',
      layerId: 'clear',
      when: 'wet',
      looks: 'gloss',
    };
    expect(steps(shown('satin', [wet]), 'look')[0].detail).toContain('wet it looked gloss');
    expect(steps(shown('satin'), 'look')[0].detail).toContain('satins look glossy');
  });
});

describe('a thinner in doubt', () => {
  const facts: Facts = {
    ...shelf,
    sheets: shelf.sheets.map((sheet) =>
      sheet.family === 'water-acrylic' ? { ...sheet, thinner: 'acrylic-lacquer' as const, hand: 'airbrush' as const } : sheet,
    ),
  };
  const water: Layer = { id: 'water', productId: 'starter-water-acrylic-colour-product', coats: 2, covers: 'all', hand: 'airbrush' };
  const own = part({ material: 'abs', finish: 'bare', layers: [water] });
  const tested = (outcome: 'smooth' | 'curdled'): LogEvent => ({
    id: outcome,
    at: toIso(NOW - 9),
    kind: 'cup-test',
    productId: 'starter-water-acrylic-colour-product',
    thinner: 'acrylic-lacquer',
    outcome,
  });
  const cup = (events: LogEvent[] = [], more = facts) =>
    steps(planOf(own, events, {}, more), 'scrap-test').filter((step) => step.asks?.kind === 'cup-test');
  it('is tried in a cup before the first coat', () => {
    const result = planOf(own, [], {}, facts);
    const [test] = cup();
    expect(test.asks).toMatchObject({ kind: 'cup-test', thinner: 'acrylic-lacquer' });
    expect(at(steps(result, 'coat')[0])).toBeGreaterThanOrEqual(test.placed?.end ?? Number.POSITIVE_INFINITY);
    expect(cup([], shelf)).toEqual([]);
  });
  it('is no matter once the cup stayed smooth, and stops the coat once it curdled', () => {
    expect(cup([tested('smooth')])).toEqual([]);
    expect(planOf(own, [tested('smooth')], {}, facts).steps.some(({ stopped }) => stopped?.includes('curdles'))).toBe(false);
    const curdled = planOf(own, [tested('curdled')], {}, facts);
    expect(steps(curdled, 'coat').every(({ stopped }) => stopped?.includes('thin it with'))).toBe(true);
  });
});

describe('paint that is lost', () => {
  it('is counted to the piece it was for', () => {
    const jar = { id: 'jar', productId: 'ivory', packMl: 10, leftMl: 10, leftAt: toIso(NOW - 99), opened: true, paid: 250 };
    const facts = { ...shelf, products: [...shelf.products, OWN], cans: [...shelf.cans, jar] };
    const spoiled: LogEvent = { id: 's', at: toIso(NOW - 5), kind: 'spoiled', canId: 'jar', why: 'curdled', pieceId: 'bell' };
    expect(solePiece(planOf(part(), [spoiled], {}, facts)).money.used).toBe(250);
    expect(solePiece(planOf(part(), [{ ...spoiled, pieceId: undefined }], {}, facts)).money.used).toBe(0);
  });
});

describe('a tile sprayed along', () => {
  const body = part({ finish: 'bare', layers: [primer(), lacquer()] });
  let id = 0;
  const along = tileAlong(body, () => `tile-${++id}`);
  const own = piece(body, { parts: [body, along] });
  const facts: Facts = { ...shelf, pieces: [own] };
  const result = planned(facts);
  it('takes its coats with the part’s own, in the same rows', () => {
    const coats = result.steps.filter((step) => step.stage === 'coat');
    expect(coats).toHaveLength(4);
    for (const step of coats) expect(step.on.map(({ partId }) => partId).sort()).toEqual(['body', along.id].sort());
  });
  it('is judged dry, and nothing is fitted to it or waits for it', () => {
    const look = result.steps.find((step) => step.asks?.kind === 'tile');
    expect(look?.on).toEqual([expect.objectContaining({ partId: along.id })]);
    const alone = planned({ ...shelf, pieces: [piece(body)] });
    const endOf = (own: typeof result) => own.steps.filter((step) => step.stage === 'fit' || step.stage === 'assemble');
    expect(endOf(result).map(({ title }) => title)).toEqual(endOf(alone).map(({ title }) => title));
    for (const step of endOf(result)) expect(step.constraints.flatMap(stepsLookedAt)).not.toContain(look?.id);
  });
  it('is evidence like a tile of a board', () => {
    const laid = [1, 2].flatMap((number) => [
      onTile(coat('primer', number, 4000 - number * 20, 'lacquer-primer', 'fine-primer', 12), along.layers[0].id),
      onTile(coat('colour', number, 3000 - number * 20, 'acrylic-lacquer', 'colour', 12), along.layers[1].id),
    ]);
    const judged: LogEvent = {
      id: 'j',
      at: toIso(NOW - 60),
      kind: 'tile',
      pieceId: 'bell',
      partId: along.id,
      layerId: along.layers[1].id,
      outcome: 'held',
    };
    const known = { ...facts, events: [...laid, judged] };
    const conditions = conditionsOf(known, NOW);
    const evidence = evidenceOf({ facts: known, clocks: clocksOf(conditions), history: historyOf(known), conditions });
    expect(evidence).toHaveLength(1);
    expect(evidence[0]).toMatchObject({ outcome: 'held' });
    expect(hasTileAlong(own, body)).toBe(true);
  });
  function onTile(event: LogEvent, layerId: string): LogEvent {
    if (event.kind !== 'done' || !event.coat) return event;
    return { ...event, id: `${event.id}-tile`, on: [{ partId: along.id, zoneIds: ['all'] }], coat: { ...event.coat, layerId } };
  }
});
