import { newWorkshop } from '#core/buying/index';
import { EMPTY_FACTS, type Facts, sheetSchema } from '#core/facts/index';
import { part, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { offerAnswersSchema } from './screens/buying/prices/offerAnswers.ts';
import { freshTask, taskAnswersSchema } from './screens/job-sheet/finish/taskAnswers.ts';
import { READY_TASKS } from './screens/job-sheet/finish/readyTasks.ts';
import { DIVISION_WAYS, readNumbers } from './screens/job-sheet/masking/divisions.ts';
import { decalAnswersSchema, freshDecal } from './screens/job-sheet/masking/dressings/decalAnswers.ts';
import { detailAnswersSchema, freshDetail } from './screens/job-sheet/masking/dressings/detailAnswers.ts';
import { placeSchema } from './screens/workshop/placeAnswers.ts';
import { FRESH_PARCEL, parcelAnswersSchema } from './screens/job-sheet/dates/parcelAnswers.ts';
import { fasteningAnswersSchema, type TypedFastening } from './screens/job-sheet/survey/apart/fasteningAnswers.ts';
import { quickAnswersSchema, type TypedAnswers } from './screens/pieces/quickAnswers.ts';
import { canAnswersSchema, canFacts, type TypedCan } from './screens/shelf/canAnswers.ts';
import { ratioAnswersSchema, ratioText, typedMix } from './screens/shelf/ratioAnswers.ts';
import { stockAnswersSchema } from './screens/shelf/stockAnswers.ts';
import { readingAnswersSchema } from './screens/workshop/air/readingAnswers.ts';

/** What a person types into a form: absurd, negative, without a unit, to come. Each is refused at its own field, in words. */

const NOW = Date.UTC(2026, 11, 1, 19) / 60_000;
const { workshop } = newWorkshop('Europe/Lisbon');
const facts: Facts = { ...EMPTY_FACTS, products: shelf.products, sheets: shelf.sheets, workshop: [workshop] };
let ids = 0;
const newId = () => `id-${++ids}`;

/** The field a refusal stands at, and what it says; null where all is taken. */
function refusal(schema: z.ZodType, typed: unknown): { readonly field: string; readonly text: string } | null {
  const read = schema.safeParse(typed);
  if (read.success) return null;
  const [issue] = read.error.issues;
  return { field: issue.path.join('.'), text: issue.message };
}

describe('quick-add', () => {
  const schema = quickAnswersSchema(workshop, facts, () => NOW);
  const typed = (more: Partial<TypedAnswers> = {}): TypedAnswers => ({
    name: 'Bell',
    longest: '90 mm',
    looksLike: 'cast-body',
    colours: [],
    whereNow: 'untouched',
    since: null,
    sinceEarliest: null,
    lastProductId: '',
    aim: 'own-scheme',
    scale: '',
    budget: '',
    neededBy: '',
    ...more,
  });
  it.each<[string, Partial<TypedAnswers>, string, string]>([
    ['no name', { name: '   ' }, 'name', 'Give the piece a name'],
    ['a name without end', { name: 'x'.repeat(81) }, 'name', '80 characters'],
    ['no size', { longest: '' }, 'longest', 'Type its longest side'],
    ['a size in words', { longest: 'tall' }, 'longest', 'Type a number'],
    ['a negative size', { longest: '-40' }, 'longest', 'between 5 mm and 3 m'],
    ['the wrong unit', { longest: '90 m' }, 'longest', 'Check the unit'],
    ['a scale of nothing', { scale: '1:0' }, 'scale', '1:43'],
    ['a scale it would round', { scale: '1:76.2' }, 'scale', '1:76 is near enough'],
    ['a budget in words', { budget: 'little' }, 'budget', 'a sum of money'],
    ['a negative budget', { budget: '-3' }, 'budget', 'sum of money is 0 or more'],
    ['a budget in other money', { budget: '45 USD' }, 'budget', 'Prices are in EUR here'],
    ['no such day', { neededBy: '2026-13-01' }, 'neededBy', '2026-12-24'],
    ['primed without a time', { whereNow: 'primed' }, 'since', 'when the last coat went on'],
    ['cleared tomorrow', { whereNow: 'cleared', since: NOW + 1440 }, 'since', 'still to come'],
    ['coloured in another age', { whereNow: 'coloured', since: NOW - 12 * 366 * 1440 }, 'since', 'Is the year right'],
  ])('refuses %s at its field', (_name, more, field, text) => {
    expect(refusal(schema, typed(more))).toEqual({ field, text: expect.stringContaining(text) });
  });
  it('reads sizes, scales and sums as people type them', () => {
    const read = schema.parse(typed({ longest: '4 3/4 in', scale: '1:43', budget: '45,50', colours: ['#c23a2a'], neededBy: '2026-12-24' }));
    expect(read).toMatchObject({ scale: 43, budget: 4550, colours: [{ name: 'red', hex: '#c23a2a' }], neededBy: '2026-12-24' });
    expect(read.longestMm).toBeCloseTo(120.65, 2);
  });
  it('takes the time and the paint of the last coat, and forgets both where nothing is coated', () => {
    const productId = shelf.products.find((product) => product.id.includes('clear'))?.id ?? '';
    const coated = schema.parse(typed({ whereNow: 'cleared', since: NOW - 60, lastProductId: productId }));
    expect(coated).toMatchObject({ since: NOW - 60, lastCoat: { productId, role: 'clear' } });
    const bare = schema.parse(typed({ whereNow: 'bare', since: NOW - 60, lastProductId: productId }));
    expect([bare.since, bare.lastCoat]).toEqual([undefined, undefined]);
  });
});

describe('a can', () => {
  const schema = canAnswersSchema(workshop, shelf.sheets);
  const typed = (more: Partial<TypedCan> = {}): TypedCan => ({
    sameAs: '',
    kind: 'colour',
    hand: 'aerosol',
    thinner: 'lacquer',
    swatch: ['#c23a2a'],
    volume: '400 mL',
    left: '',
    paid: '',
    name: '',
    ...more,
  });
  it.each<[string, Partial<TypedCan>, string, string]>([
    ['no thinner', { thinner: '' }, 'thinner', 'thinned or cleaned with'],
    ['no colour', { swatch: [] }, 'swatch', 'nearest to its colour'],
    ['an empty volume', { volume: '' }, 'volume', 'Type a number'],
    ['no volume at all', { volume: '0' }, 'volume', 'above 0 mL'],
    ['a barrel', { volume: '200 l' }, 'volume', 'at most 20 L'],
    ['more left than it holds', { left: '500' }, 'left', 'the whole can'],
    ['a negative rest', { left: '-2' }, 'left', 'between nothing'],
    ['a price in words', { paid: 'cheap' }, 'paid', 'a sum of money'],
  ])('refuses %s at its field', (_name, more, field, text) => {
    expect(refusal(schema, typed(more))).toEqual({ field, text: expect.stringContaining(text) });
  });
  it.each<[string, Partial<TypedCan>, string, string]>([
    ['a lacquer primer', { kind: 'primer' }, 'lacquer-primer', 'aerosol'],
    ['a lacquer basecoat', { kind: 'base', hand: 'gun' }, 'solvent-base', 'gun'],
    ['an enamel can', { thinner: 'enamel' }, 'acrylic-enamel', 'aerosol'],
    ['a bottle thinned with water', { thinner: 'water', hand: 'airbrush' }, 'water-acrylic', 'airbrush'],
    ['a basecoat thinned with water', { kind: 'base', thinner: 'water', hand: 'airbrush' }, 'waterborne-base', 'airbrush'],
    ['a water clear', { kind: 'satin', thinner: 'water', hand: 'airbrush', swatch: [] }, 'waterborne-sealer', 'airbrush'],
    ['a two-pack clear', { kind: 'gloss', thinner: 'hardener', swatch: [] }, 'urethane-2k', 'aerosol'],
    ['a two-pack primer', { kind: 'primer', thinner: 'hardener' }, 'epoxy-primer', 'aerosol'],
    ['an etch primer, whatever it is thinned with', { kind: 'etch', thinner: '' }, 'etch-primer', 'aerosol'],
    ['a candy', { kind: 'candy', thinner: '', hand: 'airbrush' }, 'candy', 'airbrush'],
    ['a dye', { kind: 'dye', thinner: '' }, 'dye', 'aerosol'],
    ['a stove paint', { kind: 'heat', thinner: '' }, 'high-temperature', 'aerosol'],
    ['a rust barrier', { kind: 'rust', thinner: '', hand: 'brush' }, 'rust-barrier', 'brush'],
    ['a texture', { kind: 'texture', thinner: '' }, 'texture', 'aerosol'],
    ['wall paint', { kind: 'latex', thinner: '', hand: 'brush' }, 'latex', 'brush'],
    ['a wood sealer', { kind: 'sealer', thinner: '', swatch: [] }, 'wood-sealer', 'aerosol'],
    ['nitro lacquer', { thinner: 'nitro' }, 'nitro-lacquer', 'aerosol'],
    ['who knows what', { thinner: 'unknown' }, 'unknown', 'aerosol'],
  ])('makes of %s its family', (_name, more, family, hand) => {
    const { sheet, product, can } = canFacts(schema.parse(typed(more)), newId, '2026-12-01T19:00:00Z');
    expect(sheet).toMatchObject({ family, hand, isocyanate: family === 'urethane-2k' });
    expect(sheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([]);
    expect([product.sheetId, can.productId]).toEqual([sheet?.id, product.id]);
    expect(product.transparent).toBe(family === 'candy');
  });
  it('like another one shares its sheet and asks only its colour', () => {
    const [like] = shelf.sheets.filter(({ role }) => role === 'colour');
    const read = schema.parse(typed({ sameAs: like.id, thinner: '', kind: 'etch' }));
    const { sheet, product } = canFacts(read, newId, '2026-12-01T19:00:00Z');
    expect([sheet, product.sheetId]).toEqual([null, like.id]);
    expect(product.name).toContain(like.name);
    expect(refusal(schema, typed({ sameAs: like.id, swatch: [] }))).toMatchObject({ field: 'swatch' });
  });
  it('says how a clear shines where its front says it', () => {
    const glossOf = (kind: string) => canFacts(schema.parse(typed({ kind, swatch: [] })), newId, '2026-12-01T19:00:00Z').sheet?.label.gloss;
    expect(['gloss', 'satin', 'flat'].map(glossOf)).toEqual([85, 35, 10]);
  });
  it('is opened where something is missing, and costs what was paid', () => {
    const { can, product } = canFacts(schema.parse(typed({ left: '120', paid: '8,90', name: 'Own red' })), newId, '2026-12-01T19:00:00Z');
    expect(can).toMatchObject({ leftMl: 120, opened: true, paid: 890 });
    expect(product).toMatchObject({ name: 'Own red', typicalPrice: 890 });
    expect(canFacts(schema.parse(typed()), newId, '2026-12-01T19:00:00Z').can).toMatchObject({ opened: false, paid: 0 });
  });
});

describe('ratios of a label', () => {
  const typed = (more = {}) => ({ least: '', usual: '', most: '', hardener: '', gloss: '', ...more });
  it.each([
    ['a ratio in words', { usual: 'some' }, 'usual', '4:1'],
    ['half a ratio', { hardener: '4:' }, 'hardener', '4:1'],
    ['limits without the usual', { least: '10 %' }, 'usual', 'what is usual'],
    ['a usual above the most', { usual: '50 %', most: '20 %' }, 'usual', 'between least and most'],
    ['a usual below the least', { usual: '5 %', least: '20 %' }, 'usual', 'between least and most'],
    ['gloss in words', { hardener: '2:1', gloss: 'much' }, 'gloss', 'number of units'],
  ])('refuses %s at its field', (_name, more, field, text) => {
    expect(refusal(ratioAnswersSchema, typed(more))).toEqual({ field, text: expect.stringContaining(text) });
  });
  it('reads 4:1, 25 % and 0.25 alike, and keeps the range of the label', () => {
    for (const usual of ['4:1', '25 %', '0.25'])
      expect(ratioAnswersSchema.parse(typed({ usual })).thinning).toEqual({ least: 0.25, usual: 0.25, most: 0.25 });
    expect(ratioAnswersSchema.parse(typed({ least: '10:1', usual: '4:1', most: '50 %' })).thinning).toEqual({
      least: 0.1,
      usual: 0.25,
      most: 0.5,
    });
  });
  it('says a label without a word as nothing', () => expect(ratioAnswersSchema.parse(typed())).toEqual({}));
  it.each([
    [0.25, '4:1'],
    [1 / 12, '12:1'],
    [1, '1:1'],
    [0.3, '30 %'],
    [1.5, '1:1.5'],
    [3, '1:3'],
    [0, '0 %'],
    [undefined, ''],
  ])('writes %s as %s, and reads it back', (parts, text) => {
    expect(ratioText(parts)).toBe(text);
    if (parts !== undefined) expect(ratioAnswersSchema.parse(typed({ usual: text })).thinning?.usual).toBeCloseTo(parts, 9);
  });
});

describe('a fastening', () => {
  const schema = fasteningAnswersSchema('mm', 'f1');
  const typed = (more: Partial<TypedFastening> = {}): TypedFastening => ({
    kind: 'screw',
    count: '2',
    a: 'body',
    b: 'base',
    behind: '',
    note: '',
    across: '',
    deep: '',
    thread: 'M2',
    gap: '',
    ...more,
  });
  it.each<[string, Partial<TypedFastening>, string]>([
    ['half a screw', { count: '1.5' }, 'count'],
    ['no screw at all', { count: '0' }, 'count'],
    ['a post in words', { kind: 'rivet', across: 'two', deep: '8' }, 'across'],
    ['a post without depth', { kind: 'rivet', across: '4.2' }, 'deep'],
    ['a post like a pillar', { kind: 'rivet', across: '90', deep: '8' }, 'across'],
    ['a gap of a hand', { gap: '90000' }, 'gap'],
    ['a gap in words', { gap: 'wide' }, 'gap'],
  ])('refuses %s at its field', (_name, more, field) => expect(refusal(schema, typed(more))?.field).toBe(field));
  it('keeps what was measured, and drops what joins a part to itself', () => {
    expect(schema.parse(typed({ kind: 'rivet', across: '4.2 mm', deep: '0.8 cm' })).post).toEqual({
      acrossMm: 4.2,
      deepMm: 8,
      thread: 'M2',
    });
    expect(schema.parse(typed({ b: 'body', behind: 'body' }))).toEqual({ id: 'f1', kind: 'screw', a: 'body', count: 2, note: '' });
    expect(schema.parse(typed({ kind: 'screw', across: '4' })).post).toBeUndefined();
  });
});

describe('a parcel', () => {
  const schema = parcelAnswersSchema('EUR', 'parcel');
  const typed = (more = {}) => ({ ...FRESH_PARCEL, name: 'Tyres', ...more });
  it.each([
    ['no name', { name: ' ' }, 'name', 'Say what is to come'],
    ['a price in words', { price: 'dear' }, 'price', 'a sum of money'],
    ['a negative price', { price: '-1' }, 'price', 'sum of money is 0 or more'],
    ['no such day', { due: '2026-02-31' }, 'due', ''],
    ['half a day to come', { days: '2,5' }, 'days', 'Days are whole'],
    ['days in words', { days: 'soon' }, 'days', ''],
  ])('refuses %s at its field', (_name, more, field, text) => {
    expect(refusal(schema, typed(more))).toEqual({ field, text: expect.stringContaining(text) });
  });
  it('holds the fit, or the part that waits for it, and invents no day', () => {
    expect(schema.parse(typed())).toEqual({ id: 'parcel', name: 'Tyres', price: 0, arrived: false });
    expect(schema.parse(typed({ price: '6,40', due: '2026-12-20', source: 'Quay', holds: 'part wheels' }))).toEqual({
      id: 'parcel',
      name: 'Tyres',
      price: 640,
      arrived: false,
      due: '2026-12-20',
      source: 'Quay',
      holds: { partId: 'wheels' },
    });
  });
});

describe('a row of stock', () => {
  const typed = (more = {}) => ({ kind: 'paper', spec: 'P400', left: '', unit: 'sheet', ...more });
  it.each([
    ['no name', { spec: ' ' }, 'spec'],
    ['a negative count', { left: '-1' }, 'left'],
    ['a count in words', { left: 'many' }, 'left'],
    ['more than anyone keeps', { left: '200000' }, 'left'],
  ])('refuses %s at its field', (_name, more, field) => expect(refusal(stockAnswersSchema, typed(more))?.field).toBe(field));
  it('knows a paper by its grit however it was typed', () => {
    for (const spec of ['400', 'P400', 'p 400', 'P 400']) expect(stockAnswersSchema.parse(typed({ spec })).spec).toBe('P400');
    expect(stockAnswersSchema.parse(typed({ kind: 'tape', spec: 'fine line 3 mm' })).spec).toBe('fine line 3 mm');
  });
  it('may be some, never counted', () => {
    expect(stockAnswersSchema.parse(typed())).not.toHaveProperty('left');
    expect(stockAnswersSchema.parse(typed({ left: '4' }))).toMatchObject({ left: 4 });
  });
});

describe('a reading of the air', () => {
  const schema = readingAnswersSchema(workshop, 'shed', () => NOW);
  const typed = (more = {}) => ({ airC: '18', rh: '55', surfaceC: '', windMs: '', counts: '', ...more });
  it.each([
    ['no temperature', { airC: '' }, 'airC'],
    ['an oven', { airC: '180' }, 'airC'],
    ['humidity above all', { rh: '140' }, 'rh'],
    ['humidity in words', { rh: 'damp' }, 'rh'],
    ['a part on fire', { surfaceC: '400' }, 'surfaceC'],
    ['a hurricane', { windMs: '90' }, 'windMs'],
    ['wind backwards', { windMs: '-2' }, 'windMs'],
  ])('refuses %s at its field', (_name, more, field) => expect(refusal(schema, typed(more))?.field).toBe(field));
  it('is read in the unit that was typed', () => {
    expect(schema.parse(typed({ airC: '64 °F', rh: '55 %', surfaceC: '15', windMs: '3 m/s' }))).toMatchObject({
      airC: 17.8,
      rh: 55,
      surfaceC: 15,
      windMs: 3,
      from: 'typed',
    });
    expect(schema.parse(typed())).not.toHaveProperty('surfaceC');
  });
});

/** Every field that is refused, whatever else is. */
const refused = (schema: z.ZodType, typed: unknown) => [
  ...new Set((schema.safeParse(typed).error?.issues ?? []).map(({ path }) => String(path[0]))),
];

describe('a form says all it lacks at once', () => {
  it('of a price', () => {
    const paint = offerAnswersSchema(undefined, 'mL', 'EUR');
    expect(refused(paint, { pack: '', price: 'dear', stock: '1,5' })).toEqual(['pack', 'price', 'stock']);
    expect(refused(paint, { pack: '40 g', price: '7.20', stock: '' })).toEqual(['pack']);
    expect(paint.parse({ pack: '0.4 l', price: '7,20', stock: '3' })).toEqual({ amount: 400, price: 720, stock: 3 });
    const tape = offerAnswersSchema({ kind: 'supply', supply: 'tape', spec: '3 mm', unit: 'm' }, 'mL', 'EUR');
    expect(tape.parse({ pack: '33', price: '4', stock: '' })).toEqual({ amount: 33, price: 400 });
    const part = offerAnswersSchema({ kind: 'parcel', pieceId: 'p', parcelId: 'q' }, 'mL', 'EUR');
    expect(part.parse({ pack: '', price: '4', stock: '' })).toEqual({ amount: 1, price: 400 });
  });
  it('of places where films dry', () => {
    const schema = placeSchema('mm');
    expect(refused(schema, { count: '1.5', long: '9 m', weight: 'light' })).toEqual(['count', 'long', 'weight']);
    expect(schema.parse({ count: '4', long: '33.3', weight: '1 kg' })).toEqual({ count: 4, longMm: 33.3, grams: 1000 });
  });
  it('of a division', () => {
    const fields = DIVISION_WAYS.find(({ how }) => how === 'panel')?.fields ?? [];
    const told = readNumbers(fields, { longMm: 'long', shortMm: '3,3', count: 'two' }, 'mm');
    expect(told).toEqual({ problems: { longMm: expect.stringContaining('Type a number'), count: expect.stringContaining('how many') } });
    expect(readNumbers(fields, { longMm: '8.25', shortMm: '3,3', count: '2' }, 'mm')).toEqual({
      numbers: { longMm: 8.25, shortMm: 3.3, count: 2 },
    });
  });
  it('of a step of one’s own, a decal and a detail', () => {
    const step = taskAnswersSchema({ id: 't', currency: 'EUR', moments: { after: [], before: [] } });
    const typed = { ...freshTask(READY_TASKS[0], []), name: ' ', minutes: 'ten', price: '4' };
    expect(refused(step, typed).sort()).toEqual(['buy', 'minutes', 'name', 'partIds']);
    const spot = { zoneId: 'z', after: null };
    expect(refused(decalAnswersSchema(part(), 'mm', 'd'), { ...freshDecal(spot), long: 'wide' }).sort()).toEqual(['long', 'name', 'short']);
    expect(refused(detailAnswersSchema(facts, 'd'), { ...freshDetail(spot), count: '0', minutes: 'few' }).sort()).toEqual([
      'count',
      'minutes',
      'name',
    ]);
  });
});

describe('a mix as the label says it', () => {
  it.each([
    ['12:1', true, { hardener: '12:1' }],
    ['12:1', false, { usual: '12:1' }],
    ['12:1:1', true, { hardener: '12:1', usual: '12:1' }],
    ['4:1:2', false, { hardener: '4:1', usual: '2:1' }],
  ])('%s, of two parts: %s', (mix, twoPart, typed) => expect(typedMix(mix, twoPart)).toEqual(typed));
  it('is refused in words', () => expect(typedMix('thin', true)).toBeNull());
});
