import type { LogEvent } from '#core/facts/index';
import { coat, done, lacquer, NOW, part, planOf, primed, primer, shelf } from '#core/invented/index';
import { planView } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { doneEvents } from '#core/plan/index';
import { readMinutes, seemsToHaveTaken, withMinutes } from '#core/plan/index';
import { partedEvents } from './screens/bench/outcome/partedEvents.ts';
import { onTheirGrounds } from './screens/job-sheet/coats/looks/onTheirGrounds.ts';
import { SECTION_NAMES } from './screens/job-sheet/sectionNames.ts';
import { sectionStates } from './screens/job-sheet/sectionStates.ts';
import { entriesOf } from '#core/log/index';
import { STAGE_NAMES } from '#core/log/index';
import { HAND_NAMES } from './views/words/handNames.ts';
import { stepTitle } from './views/words/stepTitle.ts';
import { supplyText } from '#core/amounts/index';

/** What the record, the job sheet and the bench say, below the browser. */

const note = (id: string, ago: number): LogEvent => ({ id, at: toIso(NOW - ago), kind: 'note', text: id });

describe('the record', () => {
  it('stands newest first, by the time that counts', () => {
    const events = [note('old', 300), note('new', 10), note('middle', 100)];
    expect(entriesOf(events).map(({ event }) => event.id)).toEqual(['new', 'middle', 'old']);
  });
  it('shows a corrected time on the entry it is about, and takes the last word', () => {
    const amend = (id: string, ago: number, to: number): LogEvent => ({
      id,
      at: toIso(NOW - ago),
      kind: 'amend',
      amends: 'coat',
      to: toIso(NOW - to),
    });
    const events = [note('coat', 10), amend('first', 5, 500), amend('second', 4, 700)];
    const [entry, ...others] = entriesOf(events);
    expect(others).toEqual([]);
    expect([entry.event.id, entry.at, entry.undone]).toEqual(['coat', NOW - 700, false]);
  });
  it('says what it took on the entry it is about, and keeps it where it was entered', () => {
    const worked = done('wash', 30) as Extract<LogEvent, { kind: 'done' }>;
    const events: LogEvent[] = [
      worked,
      { id: 'm', at: toIso(NOW - 5), kind: 'amend', amends: worked.id, to: toIso(NOW - 60), minutes: 17 },
    ];
    expect(entriesOf(events)).toEqual([{ event: { ...worked, minutes: 17 }, at: NOW - 60, undone: false }]);
  });
  it('keeps what was taken back, and says so; taking that back brings it again', () => {
    const undo = (id: string, undoes: string, ago: number): LogEvent => ({ id, at: toIso(NOW - ago), kind: 'undo', undoes });
    const events = [note('coat', 10), undo('u1', 'coat', 5)];
    expect(entriesOf(events).map(({ undone }) => undone)).toEqual([true]);
    expect(entriesOf([...events, undo('u2', 'u1', 3)]).map(({ undone }) => undone)).toEqual([false]);
  });
  it('has a word for every kind of work', () => {
    for (const name of Object.values(STAGE_NAMES)) expect(name).toMatch(/^[A-Z][a-z]/);
    expect(new Set(Object.values(STAGE_NAMES)).size).toBe(Object.keys(STAGE_NAMES).length);
  });
});

describe('done at the bench', () => {
  const [wash] = planOf(part(), [], {
    parts: ['a', 'b', 'c'].map((id) => part({ id, name: id, finish: 'flaking', pegs: [] })),
  }).steps.filter((step) => step.stage === 'wash');
  let ids = 0;
  const newId = () => `e${++ids}`;
  it('is one entry of all parts of a row', () => {
    const [event, ...others] = doneEvents(wash, newId, NOW, 'shed', undefined, () => undefined);
    expect(others).toEqual([]);
    expect(event.kind === 'done' && [event.on.length, event.stepKeys.length]).toEqual([3, 3]);
  });
  it('or of only these, with just their keys', () => {
    const [event] = doneEvents(wash, newId, NOW - 90, 'shed', ['b'], () => undefined);
    expect(event.kind === 'done' && [event.on.map((on) => on.partId), event.stepKeys, event.at]).toEqual([
      ['b'],
      [wash.keys[1]],
      toIso(NOW - 90),
    ]);
  });
  it('puts a part into the warm as planned, for the films to go by', () => {
    const oven = { longMm: 400, wideMm: 300, highMm: 300, mostC: 90 };
    const warm = { by: 'oven' as const, surfaceC: 50, minutes: 60 };
    const facts = { ...shelf, workshop: [{ ...shelf.workshop[0], oven }] };
    const [step] = planOf(part({ layers: [primer({ warm })] }), [], {}, facts).steps.filter((own) => own.warm !== undefined);
    const events = doneEvents(step, newId, NOW, 'shed', undefined, () => undefined);
    expect(events.map(({ kind }) => kind)).toEqual(['done', 'warmed']);
    expect(events[1]).toMatchObject({ at: toIso(NOW), partIds: ['body'], ...warm });
  });
  it('shares what a row took as the plan had it, and asks for minutes that can be', () => {
    const events = wash.on.flatMap(({ partId }) => doneEvents(wash, newId, NOW, 'shed', [partId], () => undefined));
    const timed = withMinutes([...events, note('beside', 0)], 45);
    expect(timed.map((event) => (event.kind === 'done' ? event.minutes : null))).toEqual([15, 15, 15, null]);
    expect(withMinutes(events, null)).toEqual(events);
    expect(['', '25', '1 h', '0', '-3', '5000', 'soon'].map((text) => readMinutes(text).minutes)).toEqual([
      null,
      25,
      60,
      null,
      null,
      null,
      null,
    ]);
    expect(['', '25', '0', 'soon'].map((text) => readMinutes(text).problem !== '')).toEqual([false, false, true, true]);
  });
  it('guesses what a step took from what was done before it, not where something dried in between', () => {
    const earlier = (ago: number) => [done('wash', ago)];
    expect([9, 24, 30].map((ago) => seemsToHaveTaken(earlier(ago), NOW, 10))).toEqual([9, 24, 30]);
    expect([31, 9 * 1440, 0].map((ago) => seemsToHaveTaken(earlier(ago), NOW, 10))).toEqual([null, null, null]);
    expect(seemsToHaveTaken([...earlier(40), ...earlier(12)], NOW, 10)).toBe(12);
    expect(seemsToHaveTaken([], NOW, 10)).toBeNull();
  });
  it('pours a mix before the coat that needs it, once, whichever parts were coated', () => {
    const [first] = planOf(part({ layers: [primer(), lacquer()] })).steps.filter((own) => own.coat?.layerId === 'colour');
    const parts = [
      { productId: 'white', name: 'White', ml: 6 },
      { productId: 'blue', name: 'Blue', ml: 2 },
    ];
    const pour = { productId: 'sky', name: 'Sky', ml: 8, parts, text: '' };
    const events = doneEvents({ ...first, pour }, newId, NOW, 'shed', undefined, () => undefined);
    expect(events.map(({ kind }) => kind)).toEqual(['mixed', 'done']);
    expect(events[0]).toMatchObject({
      productId: 'sky',
      parts: [
        { productId: 'white', ml: 6 },
        { productId: 'blue', ml: 2 },
      ],
    });
    expect(events[0].at <= events[1].at).toBe(true);
  });
  it('takes the fastenings each with its own end', () => {
    expect(
      partedEvents('bell', { s1: 'came-off', s2: 'broke' }, newId, NOW).map((event) => [event.kind, 'outcome' in event && event.outcome]),
    ).toEqual([
      ['parted', 'came-off'],
      ['parted', 'broke'],
    ]);
  });
});

describe('words of a step', () => {
  const coats = planOf(part({ finish: 'bare' })).steps.filter((step) => step.coat);
  const [first] = coats;
  it('say of a coat past its window that it is keyed first, and of nothing else', () => {
    const placed = first.placed && { ...first.placed, scuff: true };
    expect(stepTitle({ ...first, placed })).toBe('Scuff, then coat 1 of 2, fine primer, grey');
    expect(stepTitle(first)).toBe('Coat 1 of 2, fine primer, grey');
    expect(stepTitle({ ...first, placed, coat: undefined })).toBe(first.title);
  });
  it.each([
    [4, 'sheet', '4 sheets'],
    [1, 'sheet', '1 sheet'],
    [0, 'pair', 'no pairs'],
    [0.25, 'm', '0.3 m'],
    [562.4, 'mL', '562.4 mL'],
    [1, 'piece', '1 piece'],
  ] as const)('say %s of a %s as %s', (amount, unit, text) => expect(supplyText(amount, unit)).toBe(text));
  it('call a brush a brush', () =>
    expect(HAND_NAMES).toEqual({ aerosol: 'spray can', airbrush: 'airbrush', gun: 'spray gun', brush: 'brush' }));
});

describe('coats on another ground', () => {
  const lab = (l: number) => ({ l, a: 0, b: 0 });
  const ground = (l: number) => ({
    ...primer(),
    productId: undefined,
    wanted: { family: 'lacquer-primer' as const, role: 'fine-primer' as const, name: 'ground', lab: lab(l) },
  });
  const yellow = (coats: number) => ({
    ...lacquer(coats),
    productId: undefined,
    wanted: { family: 'acrylic-lacquer' as const, role: 'colour' as const, name: 'yellow', lab: { l: 80, a: 8, b: 75 } },
  });
  const onWhite = [ground(96), yellow(3)];
  const onBlack = [ground(12), yellow(3)];
  it('follow it where they were a guess, and say so', () => {
    const { layers, note: said } = onTheirGrounds(onWhite, onBlack, shelf, true);
    expect(layers[1].coats).toBeGreaterThan(3);
    expect(said).toContain(`yellow takes ${layers[1].coats} coats: changed.`);
  });
  it('stay where they were chosen, and say what it would take', () => {
    const { layers, note: said } = onTheirGrounds(onWhite, onBlack, shelf, false);
    expect(layers[1].coats).toBe(3);
    expect(said).toContain('you chose 3');
  });
  it('say nothing where the ground is the same', () => {
    expect(onTheirGrounds(onWhite, [ground(96), yellow(5)], shelf, true)).toEqual({ layers: [ground(96), yellow(5)], note: '' });
  });
});

describe('the sections of a job sheet', () => {
  let ids = 0;
  const newId = () => `s${++ids}`;
  const state = (more: Parameters<typeof planOf>[2], events: LogEvent[] = [], own = part({ finish: 'bare' })) => {
    const plan = planView(planOf(own, events, more));
    const facts = { ...shelf, events };
    const piece = { ...pieceOf(own), ...more };
    return sectionStates(piece, plan.pieces[0], plan, facts);
  };
  it('each say their state', () => expect(Object.keys(state({})).sort()).toEqual(SECTION_NAMES.map(({ key }) => key).sort()));
  it('count with their words: no, one, two', () => {
    const parcel = (id: string) => ({ id, name: id, price: 0, arrived: false, due: '2026-12-05' });
    expect(state({ parcels: [parcel('a')] }).finish).toBe('1 parcel not here');
    expect(state({ parcels: [parcel('a'), parcel('b')] }).finish).toBe('2 parcels not here');
    expect(state({}).record).toBe('no entries');
    expect(state({}, [done('wash', 20)]).record).toBe('1 entry');
    expect(state({ guesses: ['material:body'] }).survey).toBe('1 guess to settle');
    // A part without old paint is asked nothing of lead.
    expect(state({ guesses: ['lead'] }).survey).toBe('1 part');
    expect(state({ passedOver: ['stops', 'limit'] }).survey).toBe('2 questions left open');
    expect(state({}).survey).toBe('1 part');
  });
  it('say what is left to fit, what it costs without a budget, and that nothing is left to do', () => {
    expect(state({}).finish).toBe('when all is dry');
    const all = planOf(part({ finish: 'bare' }), [], {}).steps;
    const events = all
      .filter(({ stage }) => stage !== 'fit')
      .flatMap((step, index) => doneEvents(step, newId, NOW - 50_000 + index * 400, 'shed', undefined, () => step.coat?.layerId));
    expect(state({}, events).finish).toBe('ready to fit');
    // The last coat has been on for an hour: it bears that in a day or more.
    const laidNow = all
      .filter(({ stage }) => stage !== 'fit')
      .flatMap((step, index) => doneEvents(step, newId, NOW - 8_000 + index * 100, 'shed', undefined, () => step.coat?.layerId));
    const wet = laidNow.map((event) => (event.kind === 'done' && event.coat ? { ...event, at: toIso(NOW - 60) } : event));
    expect(state({}, wet).finish).toMatch(/^fits from [A-Z][a-z]{2} \d+ [A-Z][a-z]{2}$/);
    const last = all
      .filter(({ stage }) => stage === 'fit')
      .flatMap((step) => doneEvents(step, newId, NOW - 10, 'shed', undefined, () => undefined));
    expect(state({}, [...events, ...last])).toMatchObject({ finish: 'nothing left to fit', dates: 'nothing left to do' });
    expect(state({ finished: true }).finish).toBe('finished');
    expect(state({}).strip).not.toBe('done');
    expect(state({}, events).strip).toBe('done');
    expect(state({}).money).toMatch(/^(about )?\d+\.\d\d [A-Z]{3}$/);
  });
  it('say what would not sit, what is laid, and what nobody has decided', () => {
    const styrene = part({ material: 'polystyrene', finish: 'bare' });
    expect(state({}, [], styrene).coats).toMatch(/would not sit$/);
    const laid = [
      ...primed,
      coat('colour', 1, 50, 'acrylic-lacquer', 'colour', 12),
      coat('colour', 2, 30, 'acrylic-lacquer', 'colour', 12),
    ];
    expect(state({}, laid).coats).toBe('all laid');
    const base = { family: 'solvent-base' as const, role: 'colour' as const, name: 'base', lab: { l: 40, a: 20, b: 0 } };
    const unclear = part({ finish: 'bare', layers: [primer(), { ...lacquer(2), productId: undefined, wanted: base }] });
    expect(state({}, [], unclear).coats).toBe('a clear is missing');
    expect(state({}, [], part({ layers: [] })).dates).not.toBe('finished');
    expect(state({ finished: true }).dates).toBe('finished');
  });
});

function pieceOf(own: ReturnType<typeof part>) {
  return {
    id: 'bell',
    name: 'Bell',
    looksLike: 'cast-body' as const,
    longestMm: 100,
    aim: 'own-scheme' as const,
    createdAt: toIso(NOW),
    leadExcluded: true,
    mains: false,
    parts: [own],
    guesses: [],
    swatches: [],
    finished: false,
    parcels: [],
  };
}
