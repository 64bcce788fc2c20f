import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { eventSchema, pieceSchema, readWorkshopText } from '#core/facts/index';
import { plan, planView } from '#core/plan/index';
import { toMinute } from '#core/units/index';
import { rebased } from './app/writing/rebase.ts';
import { doneEvent, doneEvents } from '#core/plan/index';
import { layOutText, packUpText, stayOf, todayText, whoText } from './screens/bench/tonight/stay.ts';
import { partKeyParts } from './screens/bench/outcome/stepKeyParts.ts';
import { foldedAxis } from './screens/drying-board/foldedAxis.ts';
import { sectionStates } from './screens/job-sheet/sectionStates.ts';
import { duplicated } from './screens/pieces/duplicated.ts';

const read = readWorkshopText(readFileSync(new URL('../demo/breakwater.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem.error);
const { facts } = read.value;
const NOW = toMinute(read.value.writtenAt);
const view = planView(plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW) }));
/** The crane as it would be with nothing marked: its tower and jib go side by side. */
const unmarked = {
  ...facts,
  pieces: facts.pieces.map((piece) => ({
    ...piece,
    parts: piece.parts.map(({ marks: _marks, features: _features, service: _service, ...part }) => ({
      ...part,
      faces: part.faces.map(({ holes: _holes, ...face }) => face),
    })),
  })),
};
const sideBySide = planView(plan({ facts: unmarked, now: NOW, conditions: conditionsOf(unmarked, NOW) }));
const groupedStep = (words: string) => sideBySide.steps.find((step) => step.id.includes(words)) ?? sideBySide.steps[0];
const stepIn = (words: string) => view.steps.find((step) => step.id.includes(words)) ?? view.steps[0];

describe('the stay on Tonight', () => {
  it('is the one that is on', () => {
    const stay = stayOf(view);
    expect(stay?.on).toBe(true);
    expect(stay?.session.stepIds[0]).toContain('roller.frame.coat');
  });
  it('is tonight from five in the afternoon to four in the morning, and today else', () => {
    const at = (hour: number) => NOW - (NOW % 1440) + hour * 60;
    expect([3.9, 4, 10, 16.9, 17, 23].map((hour) => todayText(at(hour), 'UTC'))).toEqual([
      'Tonight',
      'Today',
      'Today',
      'Today',
      'Tonight',
      'Tonight',
    ]);
  });
  it('is none in an empty plan', () => expect(stayOf({ ...view, sessions: [] })).toBeNull());
  it('says what to lay out and how to pack up', () => {
    const steps = (stayOf(view)?.session.stepIds ?? []).map((id) => view.steps.find((step) => step.id === id) ?? view.steps[0]);
    expect(layOutText(steps)).toContain('Dunlin lock green');
    // By the width that the steps take, and the list has.
    const masks = view.steps.filter(({ supplies }) => supplies.some(({ kind }) => kind === 'tape'));
    expect(masks.length).toBeGreaterThan(0);
    for (const step of masks)
      for (const { spec } of step.supplies.filter(({ kind }) => kind === 'tape')) expect(layOutText([step])).toContain(`${spec} tape`);
    expect(packUpText(steps)).toContain('nozzles');
    expect(layOutText([])).toBe('gloves');
  });
  it('names pegs, piece and parts', () => {
    expect(whoText(stepIn('roller.frame.coat'), 'Road roller', ['Frame'])).toBe('peg 7 · Road roller frame');
    expect(whoText(groupedStep('crane.tower.strip-off'), 'Harbour crane', ['Tower', 'Jib'])).toBe(
      'pegs 12, 13 · Harbour crane tower and jib',
    );
    expect(whoText(stepIn('tram.-.fit'), 'Tram no. 7', ['Body'])).toBe('Tram no. 7');
  });
});

describe('a done event', () => {
  it('carries what was really put on and fits the schema', () => {
    const event = doneEvent(stepIn('roller.frame.coat'), 'e1', NOW, 'shed');
    expect(eventSchema.safeParse(event).success).toBe(true);
    expect(event.coat).toMatchObject({ family: 'acrylic-enamel', filmUm: 15, placeId: 'shed' });
    expect(event.stepKeys).toEqual(['roller.frame.coat.green-f.2']);
    // What the respirator is worn for, until somebody types what it really took.
    expect(event.expected).toBeCloseTo(stepIn('roller.frame.coat').minutes, 0);
  });
  it('is one a part where parts side by side have layers of their own', () => {
    const step = groupedStep('crane.tower.coat.primer-t.1');
    let ids = 0;
    const events = doneEvents(
      step,
      () => `e${++ids}`,
      NOW,
      'shed',
      undefined,
      (partId) => partKeyParts(step.keys[step.on.findIndex((on) => on.partId === partId)]).subject,
    );
    expect(events.map((event) => event.kind === 'done' && event.coat?.layerId)).toEqual(['primer-t', 'primer-j']);
    const only = doneEvents(
      step,
      () => `e${++ids}`,
      NOW,
      'shed',
      ['jib'],
      () => 'primer-j',
    );
    expect(only).toHaveLength(1);
    const minutes = events.map((event) => (event.kind === 'done' ? event.expected : 0) ?? 0);
    expect(minutes[0] + minutes[1]).toBeCloseTo(step.minutes, 0);
    for (const event of [...events, ...only]) expect(eventSchema.safeParse(event).success).toBe(true);
  });
  it('covers the whole piece where the step does', () => {
    const event = doneEvent(stepIn('balance.-.teardown'), 'e', NOW, 'shed');
    expect(event.stepKeys).toEqual(['balance.-.teardown.-.1']);
    expect(event.on.length).toBe(3);
  });
});

describe('the folded axis', () => {
  const session = { from: 1000, to: 1120, stepIds: [], attendedMinutes: 60, freeUntil: 1200 };
  it('draws bench hours wider, keeps order and fills the width', () => {
    const axis = foldedAxis(0, 10_080, 1000, [session], false);
    expect(axis.fold).toBeGreaterThan(5);
    expect(axis.place(0)).toBe(0);
    expect(axis.place(10_080)).toBeCloseTo(1000, 6);
    let before = -1;
    for (let at = 0; at <= 10_080; at += 60) {
      expect(axis.place(at)).toBeGreaterThan(before);
      before = axis.place(at);
    }
    expect(axis.place(1060) - axis.place(1000)).toBeGreaterThan(5 * (axis.place(3060) - axis.place(3000)));
  });
  it('draws every minute alike when asked, and without sessions', () => {
    expect(foldedAxis(0, 100, 1000, [session], true).place(50)).toBeCloseTo(500, 6);
    expect(foldedAxis(0, 100, 1000, [], false).place(25)).toBeCloseTo(250, 6);
  });
});

describe('a duplicate', () => {
  it('is valid, has ids of its own and nothing done', () => {
    let ids = 0;
    const tram = facts.pieces[0];
    const copy = duplicated(tram, () => `n${++ids}`, [1, 2, 3]);
    expect(pieceSchema.safeParse(copy).error?.issues ?? []).toEqual([]);
    expect(copy.parts.map((part) => part.pegs[0])).toEqual([4, 5, 6]);
    const idsOf = (piece: typeof tram) => piece.parts.flatMap((part) => [part.id, ...part.layers.map((layer) => layer.id)]);
    expect(idsOf(copy).filter((id) => idsOf(tram).includes(id))).toEqual([]);
    expect(copy.parcels.map(({ name, arrived, orderedAt }) => [name, arrived, orderedAt])).toEqual(
      tram.parcels.map(({ name }) => [name, false, undefined]),
    );
    expect([copy.spares, copy.bags]).toEqual([undefined, undefined]);
    const here = { ...copy, parcels: copy.parcels.map((parcel) => ({ ...parcel, arrived: true })) };
    const both = { ...facts, pieces: [tram, here] };
    expect(plan({ facts: both, now: NOW, conditions: conditionsOf(both, NOW) }).pieces.every((piece) => piece.likely !== null)).toBe(true);
  });
});

describe('the states of a job sheet', () => {
  const states = (id: string) => {
    const piece = facts.pieces.find((own) => own.id === id);
    const own = view.pieces.find((candidate) => candidate.pieceId === id);
    if (!piece || !own) throw new Error(id);
    return sectionStates(piece, own, view, facts);
  };
  it('say the next decision', () => {
    expect(states('lamp').coats).toBe('1 would not sit');
    expect(states('lamp').dates).toBe('stopped');
    expect(states('lamp').money).toContain('over');
    expect(states('seaplane').coats).toBe('1 with care');
    expect(states('tram')).toMatchObject({ strip: 'done', masking: '1 mask', finish: '1 parcel not here' });
    expect(states('crane')).toMatchObject({ strip: 'solvent gel', survey: '2 guesses to settle' });
    expect(states('balance').strip).not.toBe('done');
    expect(states('vane').dates).toBe('finished');
  });
});

describe('a quick edit after another', () => {
  const shown = {
    id: 'a',
    name: 'Hull',
    parts: [
      { id: 'x', material: 'zinc', coats: 1 },
      { id: 'y', material: 'zinc', coats: 1 },
    ],
    note: 'old',
  };
  type Shown = { id: string; name: string; parts: { id: string; material: string; coats: number }[]; note?: string };
  const base: Shown = shown;
  it('keeps what the one before changed', () => {
    const newest = { ...base, parts: [{ ...base.parts[0], coats: 3 }, base.parts[1]] };
    const changed = { ...base, parts: [{ ...base.parts[0], material: 'steel' }, base.parts[1]] };
    expect(rebased(base, changed, newest).parts[0]).toEqual({ id: 'x', material: 'steel', coats: 3 });
    expect(rebased(base, { ...base, name: 'Keel' }, newest)).toMatchObject({ name: 'Keel', parts: newest.parts });
  });
  it('follows what was added, taken out and dropped on either side', () => {
    const added = { ...base, parts: [...base.parts, { id: 'z', material: 'brass', coats: 1 }] };
    const taken = { ...base, parts: [base.parts[1]] };
    expect(rebased(base, taken, added).parts.map((part) => part.id)).toEqual(['y', 'z']);
    const { note: _note, ...dropped } = base;
    expect(rebased(base, dropped as Shown, { ...base, name: 'Keel' })).toEqual({ id: 'a', name: 'Keel', parts: base.parts });
    expect(rebased(base, base, added)).toBe(added);
    expect(rebased(base, added, base)).toBe(added);
  });
  it('keep what both took out of one list of names, and a colour below its clear', () => {
    const colour = (id: string, covers: unknown) => ({ id, covers });
    const stack = (...layers: object[]) => ({ id: 'a', layers });
    const [cream, clear, red, black] = [
      colour('cream', ['1', '2', '3']),
      colour('clear', 'all'),
      colour('red', ['3']),
      colour('black', ['2']),
    ];
    const shown = stack(cream, clear);
    const changed = stack({ ...cream, covers: ['1', '2'] }, red, clear);
    const newest = stack({ ...cream, covers: ['1', '3'] }, black, clear);
    const both = rebased(shown, changed, newest).layers as { id: string; covers: unknown }[];
    expect(both.map(({ id }) => id)).toEqual(['cream', 'red', 'black', 'clear']);
    expect(both[0].covers).toEqual(['1']);
    const whole = rebased<object>({ covers: 'all' }, { covers: ['1', '2'] }, { covers: ['1', '3'] });
    expect(whole).toEqual({ covers: ['1'] });
    expect(rebased(['1'], ['1', '2'], ['1', '3'])).toEqual(['1', '2', '3']);
    expect(rebased<object>({}, { passed: ['1'] }, { passed: ['2'] })).toEqual({ passed: ['1', '2'] });
    expect(rebased(shown, changed, newest, 'as-changed').layers[0]).toEqual({ ...cream, covers: ['1', '2'] });
  });
  it('stand in the order that someone gave them', () => {
    const list = (...ids: string[]) => ids.map((id) => ({ id, n: 1 }));
    const order = (own: readonly { id: string }[]) => own.map(({ id }) => id).join('');
    expect(order(rebased(list('a', 'b', 'c'), list('c', 'a', 'b'), list('a', 'b', 'd', 'c')))).toBe('cabd');
    expect(order(rebased(list('a', 'b', 'c'), list('a', 'b', 'c', 'e'), list('c', 'b', 'a')))).toBe('ceba');
  });
});
