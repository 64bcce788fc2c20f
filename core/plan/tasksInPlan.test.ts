import { type DoneEvent, type LogEvent, type Part, type Piece, pieceSchema, type Task } from '#core/facts/index';
import {
  at,
  clear,
  coat,
  done,
  enamel,
  lacquer,
  NOW,
  part,
  piece,
  planOf,
  type Planned,
  primer,
  solePiece,
  steps,
} from '#core/invented/index';
import { glueNote, lostByFitting } from '#core/survey/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

const shell = (more: Partial<Part> = {}) => part({ finish: 'bare', layers: [primer(), lacquer(), clear], ...more });
const task = (more: Partial<Task> = {}): Task => ({
  id: 'light',
  kind: 'light-test',
  name: 'Light test',
  partIds: ['body'],
  minutes: 10,
  ...more,
});
const withTasks = (tasks: Task[], more: Partial<Piece> = {}, own = shell()): Planned => planOf(own, [], { tasks, ...more });
const coatOf = (result: Planned, layerId: string) => steps(result, 'coat').filter((step) => step.coat?.layerId === layerId);
const problemsOf = (own: Piece) => pieceSchema.safeParse(own).error?.issues.map(({ message }) => message) ?? [];

describe('steps of one’s own', () => {
  it('come after one layer and before the next, on the clock of the film below', () => {
    const result = withTasks([task({ after: { partId: 'body', layerId: 'colour' }, before: { partId: 'body', layerId: 'clear' } })]);
    const [own] = steps(result, 'task');
    expect(own).toMatchObject({ title: 'Light test', minutes: 10, detail: expect.stringContaining('every compartment') });
    expect(at(own)).toBeGreaterThan((coatOf(result, 'colour').at(-1)?.placed?.end ?? 0) + 60);
    expect(own.placed?.end).toBeLessThanOrEqual(at(coatOf(result, 'clear')[0]));
  });
  it('leave alone what sets: the next step waits for it', () => {
    const glue = task({ kind: 'glue', name: 'Glue the step', aloneMinutes: 720, before: { partId: 'body', stage: 'clean' } });
    const result = withTasks([glue]);
    const [own] = steps(result, 'task');
    expect(at(steps(result, 'clean')[0]) - (own.placed?.end ?? 0)).toBeGreaterThanOrEqual(720);
    const events = [done('task', 60, 'light')].map((event) => ({ ...event, stepKeys: ['bell.-.task.light.1'] }));
    const later = planOf(shell(), events, { tasks: [glue] });
    expect(steps(later, 'task')).toEqual([]);
    expect(at(steps(later, 'clean')[0])).toBeGreaterThanOrEqual(NOW + 660);
  });
  it('without a before hold up the fit at the end', () => {
    const result = withTasks([task({ aloneMinutes: 1440, after: { partId: 'body', layerId: 'clear' } })]);
    expect(at(steps(result, 'fit')[0]) - (steps(result, 'task')[0].placed?.end ?? 0)).toBeGreaterThanOrEqual(1440);
  });
  it('come one after the other', () => {
    const result = withTasks([
      task({ id: 'hang', kind: 'hang', name: 'Hang it', after: { taskId: 'seals' } }),
      task({ id: 'seals', kind: 'seals', name: 'Seals', aloneMinutes: 60 }),
    ]);
    const own = (title: string) => steps(result, 'task').find((step) => step.title === title);
    expect(at(own('Hang it')) - (own('Seals')?.placed?.end ?? 0)).toBeGreaterThanOrEqual(60);
  });
  it('wait for one that is to come before them', () => {
    const result = withTasks([
      task({ id: 'join', kind: 'join', name: 'Join' }),
      task({ before: { taskId: 'join' }, after: { partId: 'body', layerId: 'colour' } }),
    ]);
    const own = (title: string) => steps(result, 'task').find((step) => step.title === title);
    expect(at(own('Join'))).toBeGreaterThanOrEqual(own('Light test')?.placed?.end ?? Number.POSITIVE_INFINITY);
  });
  it('wait for the parcel they need', () => {
    const lamp = { id: 'lamp', name: 'Lamp', price: 240, arrived: false, holds: { taskId: 'light' } };
    const held = steps(withTasks([task()], { parcels: [lamp] }), 'task')[0];
    expect(held.unplacedWhy).toContain('Lamp');
    const due = { ...lamp, due: toIso(NOW + 5 * 1440).slice(0, 10) };
    expect(at(steps(withTasks([task()], { parcels: [due] }), 'task')[0])).toBeGreaterThan(NOW + 4 * 1440);
  });
  it('are refused after themselves, by whatever way round, and after what is not there', () => {
    const own = (tasks: Task[]) => problemsOf(piece(shell(), { tasks }));
    expect(own([task({ after: { taskId: 'light' } })])[0]).toContain('would come after itself');
    const circle = [
      task({ id: 'a', name: 'A', after: { taskId: 'b' } }),
      task({ id: 'b', name: 'B', after: { taskId: 'c' } }),
      task({ id: 'c', name: 'C', before: undefined, after: { taskId: 'a' } }),
    ];
    expect(own(circle)).toHaveLength(3);
    expect(
      own([task({ id: 'a', name: 'A', before: { taskId: 'b' } }), task({ id: 'b', name: 'B', before: { taskId: 'a' } })]),
    ).toHaveLength(2);
    expect(own([task({ after: { partId: 'body', layerId: 'ghost' } })])).toEqual(['That layer is not on this part.']);
    expect(own([task({ after: { partId: 'ghost', stage: 'wash' } })])).toContain('That part is not on this piece.');
    expect(own([task({ after: { partId: 'body', stage: 'wash' } })])).toEqual([]);
  });
});

const glazing = (more: Partial<Part> = {}) =>
  part({
    id: 'glazing',
    name: 'Glazing',
    material: 'clear',
    staysClear: true,
    finish: 'bare',
    zones: [{ id: 'all', name: 'All', bare: 'stays clear' }],
    layers: [],
    pegs: [],
    ...more,
  });
const fitted = (own: Part, host = shell()) => planOf(host, [], { parts: [host, own] });

describe('a part that goes on early', () => {
  it('is a step between two coats of what it sits on, and its glue sets first', () => {
    const result = fitted(glazing({ fit: { stage: 'before-layer', onPartId: 'body', layerId: 'clear' } }));
    const [own] = steps(result, 'task');
    expect(own).toMatchObject({ title: 'Fit Glazing on Body', detail: expect.stringContaining('cyanoacrylate fogs') });
    expect(at(own)).toBeGreaterThan(coatOf(result, 'colour').at(-1)?.placed?.end ?? 0);
    expect(at(coatOf(result, 'clear')[0]) - (own.placed?.end ?? 0)).toBeGreaterThanOrEqual(720);
  });
  it('goes on before paint, between surface and cleaning, or after the last coat', () => {
    const early = fitted(glazing({ fit: { stage: 'before-paint', onPartId: 'body' } }));
    expect(at(steps(early, 'task')[0])).toBeGreaterThan(at(early.steps.find((step) => step.title.startsWith('Wash the glazing'))));
    expect(at(steps(early, 'task')[0])).toBeLessThan(at(steps(early, 'clean')[0]));
    const late = fitted(glazing({ fit: { stage: 'after-clear', onPartId: 'body' } }));
    expect(at(steps(late, 'task')[0])).toBeGreaterThan(coatOf(late, 'clear').at(-1)?.placed?.end ?? 0);
    expect(at(steps(late, 'task')[0])).toBeLessThan(at(steps(late, 'fit')[0]));
  });
  it('with the same coats is painted with it as one body, and nothing loses its date', () => {
    const rail = shell({ id: 'rail', name: 'Rail', pegs: [2], fit: { stage: 'before-paint', onPartId: 'body' } });
    const result = fitted(rail);
    const [own] = steps(result, 'task');
    expect(own).toMatchObject({ title: 'Fit Rail on Body', detail: expect.stringContaining('one body') });
    expect(result.steps.every(({ placed }) => placed !== null)).toBe(true);
    for (const step of steps(result, 'coat')) expect(at(step)).toBeGreaterThan(own.placed?.end ?? Number.POSITIVE_INFINITY);
    const clean = steps(result, 'clean')[0];
    expect(at(clean)).toBeGreaterThanOrEqual(own.placed?.end ?? Number.POSITIVE_INFINITY);
  });
  it('goes on at the end, with the reason, where the work on its host is past that', () => {
    const rail = shell({ id: 'rail', name: 'Rail', pegs: [2], fit: { stage: 'before-paint', onPartId: 'body' } });
    const host = shell();
    const result = planOf(host, [coat('primer', 1, 4000, 'lacquer-primer', 'fine-primer', 12)], { parts: [host, rail] });
    expect(solePiece(result).lateFits).toEqual([
      { partId: 'rail', because: expect.stringMatching(/^Rail goes on at the end: it cannot come before the paint of Body any more/) },
    ]);
    expect(result.steps.filter(({ placed }) => placed === null)).toEqual([]);
    expect(steps(result, 'assemble').some(({ title }) => title.includes('rail'))).toBe(true);
  });
  it('says what is lost there', () => {
    const host = shell({ faces: [{ id: 'f', zoneId: 'all', longMm: 100, shortMm: 40, count: 5, seen: false }], lit: true });
    const lost = (fit: Part['fit'], own = glazing()) => lostByFitting(piece(host, { parts: [host, own] }), own, fit).join(' ');
    expect(lost({ stage: 'before-paint', onPartId: 'body' })).toContain('masked on both sides');
    expect(lost({ stage: 'before-layer', onPartId: 'body', layerId: 'clear' })).toMatch(/can no longer be sprayed.*Test the light/);
    expect(lost({ stage: 'before-layer', onPartId: 'body', layerId: 'clear' }, shell({ id: 'lid', name: 'Lid' }))).toContain(
      'Lid sits there',
    );
    expect(lost(undefined)).toBe('');
  });
  it('is refused on what goes on itself, on nobody, and before a layer that is not there', () => {
    const own = (fit: Part['fit'], host = shell()) => problemsOf(piece(host, { parts: [host, glazing({ fit })] }));
    expect(own({ stage: 'after-clear', onPartId: 'body' }, shell({ fit: { stage: 'after-clear', onPartId: 'glazing' } }))[0]).toContain(
      'on what goes on itself',
    );
    expect(own({ stage: 'before-layer', onPartId: 'body', layerId: 'ghost' })).toEqual(['That layer is not on Body.']);
    expect(own({ stage: 'before-paint' })).toEqual(['Say which part it goes on.']);
  });
  it('is told its glue by both materials', () => {
    expect(glueNote('clear', 'abs')).toContain('fogs');
    expect(glueNote('polystyrene', 'polystyrene')).toContain('scrape the paint off');
    expect(glueNote('pp', 'zinc')).toContain('screw or clip');
    expect(glueNote('zinc', 'steel')).toContain('epoxy');
  });
});

describe('touch-ups', () => {
  const spot = (more = {}) => ({ id: 'chip', where: 'screw hole, left', partId: 'body', clear: true, ...more });
  it('are short steps after the fit, with the paint of the part, and clear once that is dry', () => {
    const [own, over] = steps(planOf(shell(), [], { touchUps: [spot()] }), 'touch-up');
    expect(own).toMatchObject({
      title: 'Touch in: screw hole, left',
      minutes: 5,
      detail: expect.stringContaining('acrylic lacquer, white'),
    });
    expect(over).toMatchObject({ title: 'Clear over: screw hole, left', minutes: 3 });
    expect(at(over) - (own.placed?.end ?? Number.NaN)).toBeGreaterThanOrEqual(20);
    const result = planOf(shell(), [], { touchUps: [spot({ clear: false })] });
    expect(at(steps(result, 'touch-up')[0])).toBeGreaterThan(at(steps(result, 'fit')[0]));
    expect(steps(result, 'touch-up')).toHaveLength(1);
  });
  it('in enamel wait for hours before their clear', () => {
    const [own, over] = steps(planOf(shell({ layers: [primer(), enamel()] }), [], { touchUps: [spot()] }), 'touch-up');
    expect(at(over) - (own.placed?.end ?? Number.NaN)).toBeGreaterThanOrEqual(6 * 60);
  });
  it('that are settled, or done at the bench, are none', () => {
    expect(steps(planOf(shell(), [], { touchUps: [spot({ settled: 'left' })] }), 'touch-up')).toEqual([]);
    const event = { ...(done('touch-up', 10, 'chip') as DoneEvent), stepKeys: ['bell.-.touch-up.chip.1'] };
    const left = (clear: boolean, ...events: LogEvent[]) =>
      steps(planOf(shell(), events, { touchUps: [spot({ clear })] }), 'touch-up').map(({ title }) => title);
    expect(left(false, event)).toEqual([]);
    expect(left(true, event)).toEqual(['Clear over: screw hole, left']);
    expect(left(true, event, { ...event, id: 'over', stepKeys: ['bell.-.touch-up.chip-clear.1'] })).toEqual([]);
  });
});
