import fc from 'fast-check';
import { conditionsOf } from '#core/drying/index';
import { type Cut, type CutNumbers, type Layer, type LogEvent, type Part, standingZones, type Task } from '#core/facts/index';
import {
  at,
  clear,
  coat,
  cut,
  done,
  lacquer,
  NOW,
  part,
  piece,
  planOf,
  type Planned,
  primed,
  primer,
  shelf,
  steps,
  wanted,
} from '#core/invented/index';
import { totalCost } from '#core/masking/index';
import { verifyPlan } from '#core/verify/index';
import { cutRefused, dividedPart } from '#core/zones/index';
import { describe, expect, it } from 'vitest';

const colour = (id: string, l: number, covers: Layer['covers'], more: Partial<Layer> = {}): Layer =>
  wanted(id, 'acrylic-lacquer', 'colour', {
    covers,
    wanted: { family: 'acrylic-lacquer', role: 'colour', name: id, lab: { l, a: 0, b: 0 } },
    ...more,
  });
const waist = cut('waist', 'all', 'line', { mm: 18 });
const HANG: Task = {
  id: 'hang',
  kind: 'hang',
  name: 'Hang and seal',
  partIds: ['body'],
  minutes: 20,
  after: { partId: 'body', layerId: 'red' },
  before: { partId: 'body', layerId: 'outside' },
};
const twoTone = (more: Partial<Part> = {}) =>
  part({
    finish: 'bare',
    cuts: [waist],
    layers: [primer(), colour('light', 90, ['waist-one']), colour('dark', 20, ['waist-other'])],
    ...more,
  });

/** Zones that a coat reached, in spite of neither being its own, nor covered, nor covered by a later colour. */
function reachedBy(result: Planned, own: Part): string[] {
  const divided = dividedPart(own);
  const coats = result.steps.filter((step) => step.coat && (step.coat.role === 'colour' || step.coat.role === 'metallic'));
  const order = [...new Set(coats.map((step) => step.coat?.layerId ?? ''))];
  const zonesOf = (layerId: string) => coats.find((step) => step.coat?.layerId === layerId)?.on[0].zoneIds ?? [];
  const maskOf = (layerId: string) =>
    result.steps.filter((step) => step.stage === 'mask' && step.id.includes(`.mask.${layerId}.`)).flatMap((step) => step.on[0].zoneIds);
  return order.flatMap((layerId, place) => {
    const covered = new Set([...zonesOf(layerId), ...maskOf(layerId)]);
    const near = divided.edges.flatMap(({ a, b }) => (zonesOf(layerId).includes(a) ? [b] : zonesOf(layerId).includes(b) ? [a] : []));
    const coloured = (zone: string, layers: readonly string[]) => layers.some((id) => zonesOf(id).includes(zone));
    return near.filter((zone) => !covered.has(zone) && coloured(zone, order.slice(0, place)) && !coloured(zone, order.slice(place + 1)));
  });
}

describe('tape on a film that is wet when the stay ends', () => {
  const laid = (id: string, number: number, ago: number, zoneId: string): LogEvent => {
    const event = coat(id, number, ago, 'acrylic-lacquer', 'colour', 15);
    if (event.kind !== 'done' || !event.coat) return event;
    const { productId: _none, ...own } = event.coat;
    return { ...event, coat: own, on: [{ partId: 'body', zoneIds: [zoneId] }] };
  };
  const masked = (ago: number) => [
    ...primed,
    ...[1, 2].map((number) => laid('light', number, 2900 - number * 20, 'waist-one')),
    done('mask', ago + 30, 'dark'),
    ...[1, 2].map((number) => laid('dark', number, ago + 20 - number * 10, 'waist-other')),
  ];
  const lateFacts = { ...shelf, workshop: [{ ...shelf.workshop[0], freeHours: [{ weekday: 2, from: '18:00', to: '19:05' }] }] };
  it.each([0, 5])('comes off in its window, though the free hour is over by then (%i min ago)', (ago) => {
    const result = planOf(twoTone(), masked(ago), {}, lateFacts);
    const [off] = steps(result, 'unmask');
    expect(at(off) - (NOW - ago)).toBeGreaterThanOrEqual(9);
    expect(at(off) - (NOW - ago)).toBeLessThanOrEqual(20);
    expect(result.sessions[0].stepIds).toContain(off.id);
  });
  it('waits for the next free hour once its window has shut', () => {
    expect(at(steps(planOf(twoTone(), masked(600), {}, lateFacts), 'unmask')[0]) - NOW).toBeGreaterThan(1440);
  });
});

describe('colours on zones', () => {
  it('light goes on first, and the dark within its mask', () => {
    const titles = planOf(twoTone()).steps.map((step) => step.title);
    expect(titles.indexOf('Coat 1 of 2, light')).toBeLessThan(titles.indexOf('Mask waist one'));
    expect(titles.indexOf('Mask waist one')).toBeLessThan(titles.indexOf('Coat 1 of 2, dark'));
    expect(titles).toContain('Tape off, dark');
  });
  it('a light colour all over keeps its zone under tape while the second goes on', () => {
    const own = twoTone({ layers: [primer(), colour('light', 90, 'all'), colour('dark', 20, ['waist-other'])] });
    expect(planOf(own).steps.map((step) => step.title)).toContain('Mask waist one');
    expect(reachedBy(planOf(own), own)).toEqual([]);
  });
  it('minutes of the order are those of its steps, over all copies', () => {
    const result = planOf(twoTone({ copies: 3 }));
    const order = result.pieces[0].steps.masking.get('body');
    const masks = steps(result, 'mask').concat(steps(result, 'unmask'));
    expect(order && order.parts.masking + order.parts.covering).toBeCloseTo(
      masks.reduce((sum, step) => sum + step.minutes, 0),
      -1,
    );
    expect(order && totalCost(order.parts)).toBeCloseTo(order?.cost ?? 0, 9);
  });
  it('returns go on before the outside, which is a later round of the same colour with the finished edge covered', () => {
    const own = twoTone({
      cuts: [cut('hull', 'all', 'inside')],
      layers: [primer(), colour('red', 40, ['hull-other']), colour('outside', 40, ['hull-one'], { round: 2, coats: 3 })],
    });
    const result = planOf(own, [], { tasks: [HANG] });
    const titles = result.steps.map((step) => step.title);
    expect(titles.indexOf('Coat 2 of 2, red')).toBeLessThan(titles.indexOf('Mask hull other'));
    expect(titles.indexOf('Mask hull other')).toBeLessThan(titles.indexOf('Coat 1 of 3, outside'));
    const later = steps(result, 'coat').find((step) => step.title === 'Coat 1 of 3, outside');
    expect(later?.detail).toContain('round 2: key the finished edge, overlap it by 10 mm');
    expect(at(steps(result, 'task')[0])).toBeLessThan(at(later));
  });
  it('a line that runs on over another part is marked with both mounted', () => {
    const edges = [{ a: 'waist-one', b: 'waist-other', mm: 280, curve: 'straight' as const, runsOnTo: 'lid', runs: 'along the rib' }];
    const own = twoTone({ edges });
    const mask = steps(planOf(own, [], { parts: [own, part({ id: 'lid', name: 'Lid', pegs: [] })] }), 'mask')[0];
    expect(mask.detail).toContain('it runs along the rib; marked with Lid mounted');
    expect(mask.supplies).toContainEqual(expect.objectContaining({ spec: 'fine line 3 mm', amount: expect.closeTo(0.322, 9) }));
  });
  it('a task between two colours decides which goes first, whatever tape would cost', () => {
    const tied = { ...HANG, after: { partId: 'body', layerId: 'dark' }, before: { partId: 'body', layerId: 'light' } };
    const result = planOf(twoTone(), [], { tasks: [tied] });
    expect(result.pieces[0].steps.masking.get('body')?.order).toEqual(['dark', 'light']);
    expect(result.steps.every((step) => step.placed !== null)).toBe(true);
  });
  it('an order insisted on that cannot be laid stops the part and says why', () => {
    const hot = wanted('hot', 'high-temperature', 'colour', { covers: ['waist-one'] });
    const own = twoTone({ layers: [hot, colour('dark', 20, ['waist-other'])], colourOrder: ['hot', 'dark'] });
    expect(planOf(own).pieces[0].steps.stopped).toContain('can never be taped');
  });
  it('a colour brushed instead takes no mask, and the plan prices it before', () => {
    const order = planOf(twoTone()).pieces[0].steps.masking.get('body');
    expect(order?.brushed?.map(({ zoneId }) => zoneId)).toEqual(['light', 'dark']);
    const layers = [primer(), colour('light', 90, ['waist-one']), colour('dark', 20, ['waist-other'], { hand: 'brush' })];
    expect(steps(planOf(twoTone({ layers })), 'mask')).toEqual([]);
  });
  it('a large mask is put on over several sittings, its cover first', () => {
    const sheet = { id: 's', zoneId: 'all', longMm: 1200, shortMm: 1000, count: 2, seen: true };
    const masks = steps(planOf(twoTone({ faces: [sheet], cuts: [cut('waist', 'all', 'line', { mm: 500 })] })), 'mask');
    expect(masks.length).toBeGreaterThan(1);
    expect(masks[0]).toMatchObject({
      title: expect.stringContaining('sitting 1 of'),
      detail: expect.stringContaining('cover first, the line edge last'),
    });
  });
  it('what was primed before it was divided is not primed again', () => {
    const result = planOf(twoTone(), primed);
    expect(result.steps.filter((step) => step.coat?.role === 'fine-primer')).toEqual([]);
    expect(result.pieces[0].stacks.body.layers[0].laidCoats).toBe(2);
  });
  it('no coat reaches what it must not, however a part is divided and coloured', () => {
    const hows: readonly (readonly [Cut['how'], CutNumbers])[] = [
      ['line', { mm: 12 }],
      ['stripe', { mm: 3 }],
      ['ends', { share: 0.4 }],
      ['rim', { mm: 1 }],
      ['shapes', { shape: 'star', count: 4, longMm: 6 }],
    ];
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(4), fc.nat(9)), { minLength: 1, maxLength: 3 }),
        fc.array(fc.integer({ min: 5, max: 95 }), { minLength: 8, maxLength: 8 }),
        fc.boolean(),
        (choices, lights, allOver) => {
          let own = part({ finish: 'bare', layers: [primer()] });
          for (const [index, [how, of]] of choices.entries()) {
            const zones = standingZones(own);
            const next = cut(`c${index}`, zones[of % zones.length].id, hows[how][0], hows[how][1]);
            if (cutRefused(own, next) === null) own = { ...own, cuts: [...(own.cuts ?? []), next] };
          }
          const zones = standingZones(own).slice(0, 8);
          const colours = zones.map((zone, index) => colour(`k${index}`, lights[index], allOver && index === 0 ? 'all' : [zone.id]));
          own = { ...own, layers: [primer(), ...colours] };
          const result = planOf(own);
          expect(reachedBy(result, own)).toEqual([]);
          const facts = { ...shelf, pieces: [piece(own)], events: [] };
          expect(verifyPlan(result, facts, conditionsOf(facts, NOW))).toEqual([]);
        },
      ),
      { seed: 41, numRuns: process.env.PROOF ? 300 : 25 },
    );
  });
});

describe('how a part is held', () => {
  it('stands with each coat', () => {
    const held = { by: 'rod' as const, spot: 'the front screw hole', startOn: 'the underside' };
    const [first] = steps(planOf(part({ finish: 'bare', hold: held })), 'coat');
    expect(first.detail).toContain('Body on a rod, held at the front screw hole; start on the underside');
  });
});

describe('covers', () => {
  it('are one step before paint with their minutes, and come off after the last coat', () => {
    const result = planOf(part({ finish: 'bare', features: [{ id: 'w', kind: 'windows', count: 12 }] }));
    expect(steps(result, 'mask')).toMatchObject([{ title: 'Cover and plug', minutes: 11 }]);
    expect(steps(result, 'unmask')).toHaveLength(1);
  });
});

const detail = (more: object = {}) => ({
  id: 'rail',
  name: 'rail, white',
  zoneId: 'all',
  after: 'colour',
  way: 'brush' as const,
  family: 'water-acrylic' as const,
  lab: { l: 90, a: 0, b: 0 },
  count: 2,
  ...more,
});
const decal = (more: object = {}) => ({
  id: 'number',
  name: 'number 7',
  zoneId: 'all',
  after: 'colour',
  kind: 'waterslide' as const,
  count: 2,
  spare: true,
  longMm: 9,
  shortMm: 6,
  ...more,
});
const cleared = (more: Partial<Part> = {}) => part({ finish: 'bare', layers: [primer(), lacquer(), clear], ...more });
const verdictOf = (result: Planned, id: string) => result.pieces[0].steps.dressings.find((own) => own.id === id);

describe('what goes on by hand', () => {
  it('waits until all colours are on, and covers come off before it', () => {
    const own = twoTone({
      layers: [primer(), colour('light', 90, ['waist-one']), colour('dark', 20, ['waist-other']), clear],
      features: [{ id: 'w', kind: 'windows', count: 2 }],
      decals: [decal({ zoneId: 'waist-one', after: 'light' })],
      details: [detail({ zoneId: 'waist-one', after: 'clear', family: 'alkyd-enamel', way: 'wash' })],
    });
    const result = planOf(own);
    const titles = result.steps.map((step) => step.title);
    expect(titles.indexOf('Decal number 7, left and right alike')).toBeGreaterThan(titles.indexOf('Tape off, dark'));
    expect(titles.indexOf('Unmask what takes no paint')).toBeLessThan(titles.indexOf('rail, white, 2 of them'));
    expect(result.steps.every((step) => step.placed !== null)).toBe(true);
  });
});

describe('details', () => {
  it('are short steps between two layers, once the film below bears a hand', () => {
    const result = planOf(cleared({ details: [detail({ family: 'alcohol-acrylic' })] }));
    const [own] = steps(result, 'detail');
    expect(own).toMatchObject({ title: 'rail, white, 2 of them', minutes: 6 });
    expect(at(own)).toBeGreaterThan(at(steps(result, 'coat').find((step) => step.coat?.layerId === 'colour')));
    expect(at(own)).toBeLessThan(at(steps(result, 'coat').find((step) => step.coat?.role === 'clear')));
  });
  it('whose film a clear would lift wait until they have cured, with care', () => {
    const result = planOf(cleared({ details: [detail()] }));
    expect(verdictOf(result, 'rail')).toMatchObject({ below: { verdict: 'sits' }, above: { verdict: 'care', layerId: 'clear' } });
    const first = steps(result, 'coat').find((step) => step.coat?.role === 'clear');
    expect(at(first) - at(steps(result, 'detail')[0])).toBeGreaterThan(3 * 1440 * 0.9);
  });
  it('by pen leave what comes over them to be tried', () => {
    const result = planOf(cleared({ details: [detail({ way: 'pen', family: 'acrylic-lacquer' })] }));
    expect(verdictOf(result, 'rail')?.above?.because).toContain('until it is tried');
  });
  it.each([
    ['alkyd-enamel', 'sits', 'can be wiped back until it is touch-dry'],
    ['acrylic-lacquer', 'sits', ''],
    ['urethane-2k', 'care', 'lock that under'],
  ] as const)('wiped back in %s are %s on lacquer', (family, verdict, text) => {
    const below = verdictOf(planOf(cleared({ details: [detail({ way: 'wipe-back', family })] })), 'rail')?.below;
    expect(below?.verdict).toBe(verdict);
    expect(below?.because).toContain(text);
  });
  it('on the bare part come before the first coat, and a solvent that eats it stops', () => {
    const before = planOf(cleared({ details: [detail({ after: null })] }));
    expect(at(steps(before, 'detail')[0])).toBeLessThan(at(steps(before, 'coat')[0]));
    const styrene = planOf(cleared({ material: 'polystyrene', details: [detail({ after: null, family: 'acrylic-lacquer' })] }));
    expect(styrene.pieces[0].steps.stopped).toContain('rail, white');
  });
  it('take the minutes that were typed', () => {
    const result = planOf(cleared({ details: [detail({ minutesEach: 10, family: 'alcohol-acrylic' })] }));
    expect(steps(result, 'detail')[0].minutes).toBe(22);
  });
});

describe('decals', () => {
  const clearAfter = (result: Planned) => at(steps(result, 'coat').find((step) => step.coat?.role === 'clear'));
  it('dry a day before the clear, which goes on in mist coats', () => {
    const result = planOf(cleared({ decals: [decal()] }));
    const [own] = steps(result, 'decal');
    expect(own).toMatchObject({ title: 'Decal number 7, left and right alike', minutes: 20 });
    expect(clearAfter(result) - (own.placed?.end ?? 0)).toBeGreaterThanOrEqual(1440);
    expect(verdictOf(result, 'number')?.above?.verdict).toBe('care');
  });
  it('already on still keep the clear waiting for their day', () => {
    const events = [...primed, ...[1, 2].map((number) => done('coat', 3000, 'colour', number)), done('decal', 60, 'number')];
    const result = planOf(cleared({ decals: [decal()] }), events);
    expect(clearAfter(result)).toBeGreaterThanOrEqual(NOW - 60 + 1440);
  });
  it('are never cleared younger than their day, whatever kind they are and whenever they went on', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('waterslide', 'printed', 'vinyl'),
        fc.constantFrom('primer', 'colour'),
        fc.integer({ min: 1, max: 6 }),
        fc.option(fc.integer({ min: 5, max: 4000 }), { nil: null }),
        (kind, after, count, ago) => {
          const before = [...primed, ...[1, 2].map((number) => coat('colour', number, 5000 - number, 'acrylic-lacquer', 'colour', 12))];
          const events = ago === null ? [] : [...before, done('decal', ago, 'number')];
          const result = planOf(cleared({ decals: [decal({ kind, after, count })] }), events);
          const on = ago === null ? (steps(result, 'decal').at(-1)?.placed?.end ?? Number.NaN) : NOW - ago;
          const first = clearAfter(result);
          if (!Number.isNaN(first)) expect(first - on).toBeGreaterThanOrEqual(1440);
        },
      ),
      { seed: 43, numRuns: process.env.PROOF ? 300 : 30 },
    );
  });
  it('printed at home are sealed first, and the sealing dries', () => {
    const [seal, own] = steps(planOf(cleared({ decals: [decal({ kind: 'printed' })] })), 'decal');
    expect(seal.title).toBe('Seal the printed sheet, number 7');
    expect(at(own) - (seal.placed?.end ?? 0)).toBeGreaterThanOrEqual(180);
  });
  it('of vinyl want a cured film', () => {
    const result = planOf(cleared({ layers: [primer(), lacquer()], decals: [decal({ kind: 'vinyl' })] }));
    const coat = steps(result, 'coat').at(-1);
    expect(at(steps(result, 'decal')[0]) - (coat?.placed?.end ?? 0)).toBeGreaterThan(2 * 1440);
  });
  it('start with the one that has a spare, on the side that is hardly seen', () => {
    const decals = [
      decal({ id: 'a', name: 'crest', spare: false }),
      decal({ id: 'b', name: 'line', unseen: true }),
      decal({ id: 'c', name: 'word' }),
    ];
    expect(steps(planOf(cleared({ decals })), 'decal').map((step) => step.title.split(',')[0])).toEqual([
      'Decal line',
      'Decal word',
      'Decal crest',
    ]);
  });
  it('on a matt ground are told of silvering', () => {
    const result = planOf(cleared({ layers: [primer(), clear], decals: [decal({ after: 'primer' })] }));
    expect(verdictOf(result, 'number')?.below).toMatchObject({ verdict: 'care', because: expect.stringContaining('silver') });
  });
});

describe('a mask forced before its film is tape-safe', () => {
  const families = [
    ['acrylic-lacquer', false],
    ['alkyd-enamel', true],
  ] as const;
  it.each(families)('on %s is told with its moment where it would save an evening: %s', (family, told) => {
    const light = wanted('light', family, 'colour', {
      covers: ['waist-one'],
      wanted: { family, role: 'colour', name: 'light', lab: { l: 90, a: 0, b: 0 } },
    });
    const result = planOf(
      twoTone({
        layers: [
          primer(),
          light,
          { ...colour('dark', 20, ['waist-other']), wanted: { family, role: 'colour', name: 'dark', lab: { l: 20, a: 0, b: 0 } } },
        ],
      }),
    );
    const [mask] = steps(result, 'mask');
    const last = steps(result, 'coat').findLast((step) => at(step) < at(mask));
    if (!told) return expect(mask.forcedFrom ?? at(mask)).toBeLessThanOrEqual(at(mask));
    expect(mask.forcedFrom).toBeGreaterThan(last?.placed?.end ?? Number.POSITIVE_INFINITY);
    expect(mask.forcedFrom).toBeLessThan(at(mask) - 60);
  });
});
