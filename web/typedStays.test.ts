import { newWorkshop } from '#core/buying/index';
import {
  DECAL_KINDS,
  type Decal,
  DETAIL_WAYS,
  type Detail,
  FASTENINGS,
  type Fastening,
  type Parcel,
  type Part,
  type Task,
  TASK_KINDS,
} from '#core/facts/index';
import { part, shelf } from '#core/invented/index';
import {
  parseAmount,
  parseClock,
  parseMoney,
  parseQuantity,
  parseRatio,
  typedMoney,
  typedNumber,
  typedQuantity,
  typedTime,
} from '#core/units/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parcelAnswersSchema, typedParcel } from './screens/job-sheet/dates/parcelAnswers.ts';
import { taskAnswersSchema, typedTask } from './screens/job-sheet/finish/taskAnswers.ts';
import { decalAnswersSchema, typedDecal } from './screens/job-sheet/masking/dressings/decalAnswers.ts';
import { detailAnswersSchema, typedDetail } from './screens/job-sheet/masking/dressings/detailAnswers.ts';
import { fasteningAnswersSchema, typedFastening } from './screens/job-sheet/survey/apart/fasteningAnswers.ts';
import { ratioAnswersSchema, typedRatios } from './screens/shelf/ratioAnswers.ts';
import { clockFigures } from '#core/units/index';

/** What is typed stays: read, shown again to be changed, and kept without a change, a fact is the same fact. */

const { workshop } = newWorkshop('Europe/Lisbon');
/** Numbers as people type them: 3.3, 0.05, 2.75, whole ones. */
const decimals = (least: number, most: number) =>
  fc.oneof(
    fc.constantFrom(3.3, 0.05, 2.75, 12.34, 7, 100).filter((own) => own >= least && own <= most),
    fc.integer({ min: Math.ceil(least * 100), max: Math.floor(most * 100) }).map((own) => own / 100),
  );
const words = fc.constantFrom('Tyres', 'Glass, 0.3 mm', 'Nº 7', 'Polish the rim', 'Glue', 'x');
const maybe = <T>(own: fc.Arbitrary<T>) => fc.option(own, { nil: undefined });
const holding = <T extends object>(own: T): T => JSON.parse(JSON.stringify(own));

const body: Part = part({ id: 'body' });
const zoneId = body.zones[0].id;

const decals: fc.Arbitrary<Decal> = fc
  .record({
    name: words,
    kind: fc.constantFrom(...DECAL_KINDS),
    count: fc.integer({ min: 1, max: 8 }),
    spare: fc.boolean(),
    sides: fc.tuple(decimals(0.5, 20), decimals(0.5, 20)),
    after: fc.constantFrom('colour', null),
    at: maybe(fc.constantFrom('12 mm behind the door')),
    unseen: fc.constantFrom(true, undefined),
  })
  .map(({ sides, ...own }) => holding({ id: 'd', zoneId, ...own, longMm: Math.max(...sides), shortMm: Math.min(...sides) }));

const details: fc.Arbitrary<Detail> = fc
  .record({
    name: words,
    way: fc.constantFrom(...DETAIL_WAYS),
    family: fc.constantFrom('alcohol-acrylic', 'alkyd-enamel', 'urethane-2k'),
    count: fc.integer({ min: 1, max: 30 }),
    after: fc.constantFrom('colour', null),
    minutesEach: maybe(decimals(0.5, 240)),
    lab: fc.constantFrom({ l: 41.7, a: 3.1, b: -8.2 }, { l: 0, a: 0, b: 0 }),
  })
  .map((own) => holding({ id: 'd', zoneId, ...own }) as Detail);

const tasks: fc.Arbitrary<Task> = fc
  .record({
    kind: fc.constantFrom(...TASK_KINDS),
    name: words,
    minutes: decimals(1, 600),
    aloneMinutes: maybe(decimals(0.05, 10_000)),
    acts: maybe(fc.constantFrom(['drill'], ['handle'], ['drill', 'solvent-wipe'])),
    fits: maybe(fc.constantFrom('rubber', 'glazing')),
    after: maybe(fc.constantFrom({ partId: 'body', layerId: 'colour' })),
    note: maybe(fc.constantFrom('the long one')),
  })
  .map((own) => holding({ id: 't', partIds: ['body'], ...own }) as Task);

const parcels: fc.Arbitrary<Parcel> = fc
  .record({
    name: words,
    price: fc.integer({ min: 0, max: 99_999 }),
    arrived: fc.boolean(),
    due: maybe(fc.constantFrom('2026-12-20')),
    leadDays: maybe(fc.integer({ min: 0, max: 400 })),
    orderedAt: maybe(fc.constantFrom('2026-12-01')),
    source: maybe(fc.constantFrom('Quay')),
    holds: maybe(
      fc.constantFrom({ partId: 'body' }, { partId: 'body', stage: 'decal' }, { partId: 'body', stage: 'wash' }, { taskId: 't' }),
    ),
  })
  .map((own) => holding({ id: 'p', ...own }) as Parcel);

const fastenings: fc.Arbitrary<Fastening> = fc
  .record({
    kind: fc.constantFrom(...FASTENINGS),
    count: fc.integer({ min: 1, max: 40 }),
    b: maybe(fc.constant('base')),
    note: fc.constantFrom('', 'M2 × 6'),
    post: maybe(fc.record({ acrossMm: decimals(1, 12), deepMm: decimals(1, 40), thread: fc.constantFrom('M2', 'M2.5', '1-72') })),
    gapUm: maybe(decimals(0, 2000)),
    heads: maybe(fc.constantFrom('repaint', 'leave')),
  })
  .map(({ post, ...own }) => holding({ id: 'f', a: 'body', ...own, ...(own.kind === 'rivet' ? { post } : {}) }) as Fastening);

const moments = { after: [{ key: 'body layer colour', label: 'colour', value: { partId: 'body', layerId: 'colour' } }], before: [] };

describe('what was entered, opened to be changed and kept as it is', () => {
  it('is the same decal', () =>
    fc.assert(fc.property(decals, (own) => void expect(decalAnswersSchema(body, 'mm', own.id).parse(typedDecal(own, 'mm'))).toEqual(own))));
  it('is the same detail', () =>
    fc.assert(fc.property(details, (own) => void expect(detailAnswersSchema(shelf, own.id, own).parse(typedDetail(own))).toEqual(own))));
  it('is the same step of one’s own', () =>
    fc.assert(
      fc.property(tasks, (own) => {
        const schema = taskAnswersSchema({ id: own.id, currency: 'EUR', moments, was: own });
        expect(schema.parse(typedTask(own))).toEqual({ task: own, buy: null });
      }),
    ));
  it('is the same parcel', () =>
    fc.assert(fc.property(parcels, (own) => void expect(parcelAnswersSchema('EUR', own.id, own).parse(typedParcel(own))).toEqual(own))));
  it('is the same fastening', () =>
    fc.assert(
      fc.property(fastenings, (own) => {
        const piece = { parts: [body, { ...body, id: 'base' }] };
        expect(fasteningAnswersSchema('mm', own.id).parse(typedFastening(own, piece, 'mm'))).toEqual(own);
      }),
    ));
  it('is the same label', () =>
    fc.assert(
      fc.property(decimals(0.05, 4), maybe(decimals(0.05, 2)), maybe(decimals(1, 90)), (usual, parts, glossAtMost) => {
        const label = holding({
          thinning: { least: usual, usual, most: usual },
          ...(parts === undefined ? {} : { hardener: { parts, glossAtMost } }),
        });
        const read = ratioAnswersSchema.parse(typedRatios(label));
        expect(read.thinning?.usual).toBeCloseTo(usual, 9);
        expect(read.hardener?.glossAtMost).toBe(label.hardener?.glossAtMost);
        expect(read.hardener?.parts ?? 0).toBeCloseTo(label.hardener?.parts ?? 0, 9);
      }),
    ));
});

describe('a field of its own', () => {
  const close = (own: number, read: ReturnType<typeof parseQuantity>) => expect(read.ok ? read.value : Number.NaN).toBeCloseTo(own, 3);
  it('shows a measure so that it reads back, in every unit', () =>
    fc.assert(
      fc.property(decimals(0.05, 3000), (own) => {
        close(own, parseQuantity(typedQuantity(own, 'mm'), 'length', 'mm'));
        close(own, parseQuantity(typedQuantity(own, 'in'), 'length', 'in'));
        close(own, parseQuantity(typedQuantity(own, 'mL'), 'volume', 'ml'));
        close(own, parseQuantity(typedQuantity(own, 'oz'), 'volume', 'oz'));
        close(own, parseQuantity(typedQuantity(own, 'C'), 'temperature', 'c'));
        close(own, parseQuantity(typedQuantity(own, 'F'), 'temperature', 'f'));
        close(own, parseQuantity(typedTime(own), 'duration', 'min'));
        close(own, parseAmount(typedNumber(own), 'sheet'));
      }),
    ));
  it('shows money to the cent', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_999 }), (own) => {
        expect(parseMoney(typedMoney(own), workshop.currency)).toEqual({ ok: true, value: own });
      }),
    ));
  it('shows an hour by twelve or twenty-four', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.constantFrom(12 as const, 24 as const), (minute, hours) => {
        const own = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
        expect(parseClock(clockFigures(own, hours))).toBe(own);
      }),
    ));
  it.each([
    ['2,75', 2.75],
    ['¾', 0.75],
    ['1 ¾', 1.75],
    ['0.05', 0.05],
  ])('reads %s', (typed, value) => close(value, parseQuantity(typed, 'length', 'mm')));
  it('reads a ratio as it was said', () => expect(parseRatio('1:3')).toBe(3));
});
