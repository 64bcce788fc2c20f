import { conditionsOf } from '#core/drying/index';
import type { Facts, Piece } from '#core/facts/index';
import { generatedFacts, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { BetterPlan, eveningOf, plan, type Plan } from '#core/plan/index';
import { DAY, toIso } from '#core/units/index';
import { verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

/** What is the same work with the same paint is one batch, of whatever piece: one set-up, one clean-up, one row of the evening. */

const second = (more: Partial<Piece> = {}): Piece =>
  piece(part({ id: 'lid', name: 'Lid', pegs: [2] }), { id: 'box', name: 'Box', createdAt: toIso(NOW + 1), ...more });
const factsOf = (pieces: readonly Piece[], more: Partial<Facts> = {}): Facts => ({ ...shelf, pieces: [...pieces], ...more });
const planned = (facts: Facts, more: Partial<Parameters<typeof plan>[0]> = {}): Plan =>
  plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [], ...more });
const attended = ({ sessions }: Plan) => sessions.reduce((sum, { attendedMinutes }) => sum + attendedMinutes, 0);
const setUps = ({ steps }: Plan) => steps.filter(({ setup, placed }) => setup > 0 && placed?.saved === 0).length;
const stepsIn = ({ steps }: Plan, ids: readonly string[]) => ids.flatMap((id) => steps.find((step) => step.id === id) ?? []);

describe('two pieces that take the same primer', () => {
  const facts = factsOf([piece(part()), second()]);
  const result = planned(facts, { effort: 20 });
  const coats = result.steps.filter(({ coat }) => coat?.role.endsWith('primer') && coat.number === 1);
  it('are primed in one go, with one set-up', () => {
    const [one, other] = coats.sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
    expect(one.placed?.saved).toBe(0);
    expect(other.placed?.saved).toBe(other.setup);
    expect(Math.abs(other.minutes - ((other.placed?.end ?? 0) - (other.placed?.start ?? 0)))).toBeLessThan(0.51);
    expect(verifyPlan(result, facts, conditionsOf(facts, NOW))).toEqual([]);
  });
  it('take fewer minutes and set-ups than part by part, and no more stays', () => {
    const apart = planned(facts, { partByPart: true });
    expect(attended(result)).toBeLessThan(attended(apart));
    expect(setUps(result)).toBeLessThan(setUps(apart));
    expect(result.sessions.length).toBeLessThanOrEqual(apart.sessions.length);
  });
  it('stand in one row of the evening, with the parts of both', () => {
    const rows = result.sessions.flatMap((session) => eveningOf(session, stepsIn(result, session.stepIds)).rows);
    const primed = rows.find((row) => row.kind === 'work' && row.steps.some(({ id }) => id === coats[1].id));
    expect(primed?.kind === 'work' && new Set(primed.steps.map(({ pieceId }) => pieceId)).size).toBe(2);
  });
});

describe('an evening', () => {
  const facts = factsOf([piece(part()), second()]);
  const result = planned(facts);
  it('holds every step of its session once and in order, and says what part by part would take', () => {
    for (const session of result.sessions) {
      const evening = eveningOf(session, stepsIn(result, session.stepIds));
      const work = evening.rows.flatMap((row) => (row.kind === 'work' ? [row] : []));
      expect(work.flatMap(({ steps }) => steps.map(({ id }) => id))).toEqual(session.stepIds);
      expect(work.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(session.attendedMinutes);
      const alone = stepsIn(result, session.stepIds).reduce((sum, step) => sum + (step.placed?.saved ?? 0), session.attendedMinutes);
      expect(evening.partByPart).toBe(alone);
    }
  });
  it('changes the paint in minutes of its own', () => {
    const red = { ...piece(part({ id: 'tin', layers: [lacquer(1)] }), { id: 'tin', createdAt: toIso(NOW + 2) }) };
    const both = planned(factsOf([piece(part({ layers: [primer()] })), red]));
    const changes = both.sessions.flatMap((session) =>
      eveningOf(session, stepsIn(both, session.stepIds)).rows.filter(({ kind }) => kind === 'change'),
    );
    expect(changes.length).toBeGreaterThan(0);
    for (const change of changes) expect(change.kind === 'change' && change.minutes).toBeGreaterThanOrEqual(8);
  });
  it('says what is done while a coat flashes', () => {
    const rows = result.sessions.flatMap((session) => eveningOf(session, stepsIn(result, session.stepIds)).rows);
    for (const [index, row] of rows.entries()) {
      if (row.kind !== 'work' || !row.whileItFlashes) continue;
      const batchOf = (own: typeof row) => own.steps.find(({ coat }) => coat)?.batch;
      const sprayed = (list: typeof rows) => list.find((own) => own.kind === 'work' && own.steps.some(({ coat }) => coat));
      const [before, after] = [sprayed(rows.slice(0, index).reverse()), sprayed(rows.slice(index + 1))];
      expect(before?.kind === 'work' && batchOf(before)).toBe(after?.kind === 'work' && batchOf(after));
    }
  });
});

describe('ten pieces together', () => {
  it.each([1, 3])('of generated workshop %i take fewer stays, set-ups and minutes than part by part', (seed) => {
    const facts = generatedFacts(10, seed, NOW);
    const [together, apart] = [planned(facts), planned(facts, { partByPart: true })];
    expect(together.sessions.length).toBeLessThan(apart.sessions.length);
    expect(setUps(together)).toBeLessThan(0.8 * setUps(apart));
    expect(attended(together)).toBeLessThan(0.95 * attended(apart));
  });
});

describe('looking for a better plan', () => {
  const facts = generatedFacts(6, 3, NOW);
  const conditions = conditionsOf(facts, NOW);
  const search = () => new BetterPlan({ facts, now: NOW, conditions, datesOf: [] });
  const ends = ({ pieces }: Plan) => pieces.reduce((sum, { planned: end }) => sum + (end ?? Number.POSITIVE_INFINITY), 0);
  it('ends sooner in all, breaks nothing, and ends once it stops paying', () => {
    const looked = search();
    let gained = 0;
    for (let best = ends(looked.best()); looked.next(); ) {
      const now = ends(looked.best());
      if (now < best) gained = looked.round;
      best = Math.min(best, now);
    }
    expect(looked.round).toBeLessThanOrEqual(looked.of);
    // A third of its rounds go by without a gain before it gives up.
    expect(looked.round - gained).toBeGreaterThanOrEqual(Math.min(looked.of - gained, Math.floor(looked.of / 3)));
    expect(looked.next()).toBe(false);
    const found = looked.found();
    expect(found && ends(found.plan)).toBeLessThan(ends(planned(facts)) - 60);
    expect(found && verifyPlan(found.plan, facts, conditions)).toEqual([]);
  });
  it('is the same each time, and the turns it found give its plan at once', () => {
    const looked = [search(), search()].map((own) => {
      for (let round = 0; round < 12; round++) own.next();
      return own.found();
    });
    const starts = (result: Plan) => result.steps.map(({ id, placed }) => [id, placed?.start]);
    expect(looked[0] && starts(looked[0].plan)).toEqual(looked[1] && starts(looked[1].plan));
    const again = planned(facts, { turns: looked[0]?.turns });
    expect(ends(again)).toBeLessThanOrEqual(ends(planned(facts)));
  });
  it('finds nothing where it has not begun', () => expect(search().found()).toBeNull());
});

describe('an agreed plan', () => {
  const agreedOn = (facts: Facts, result: Plan, pins?: Record<string, string>): Facts => ({
    ...facts,
    agreed: [
      {
        id: 'agreed',
        at: toIso(NOW),
        starts: Object.fromEntries(result.steps.flatMap(({ id, placed }) => (placed ? [[id, toIso(placed.start)]] : []))),
        ...(pins ? { pins } : {}),
      },
    ],
  });
  it.each([2, 5, 7])('stays as it is (workshop %i), and ten minutes later moves no more than a plan without it', (seed) => {
    const facts = generatedFacts(3, seed, NOW);
    const agreed = agreedOn(facts, planned(facts));
    const late =
      planned(agreed).steps.reduce((first, { placed }) => Math.min(first, placed?.start ?? first), Number.POSITIVE_INFINITY) + 10;
    expect(planned(agreed).moved).toEqual([]);
    const movedIn = (own: Facts) => {
      const result = plan({ facts: own, now: late, conditions: conditionsOf(own, late), datesOf: [], effort: 20 });
      expect(verifyPlan(result, own, conditionsOf(own, late))).toEqual([]);
      const starts = agreed.agreed[0].starts;
      return result.steps.filter(({ id, placed }) => placed && Math.abs(placed.start - Date.parse(starts[id]) / 60_000) > 720).length;
    };
    expect(movedIn(agreed)).toBeLessThanOrEqual(movedIn(facts));
  });
  it('holds nobody back who has an hour and a half right now', () => {
    const facts = factsOf([piece(part())]);
    const later = planned(facts).steps.map((step) => ({
      ...step,
      placed: step.placed && { ...step.placed, start: step.placed.start + 3 * DAY + 10 },
    }));
    const agreed = agreedOn(facts, { ...planned(facts), steps: later });
    expect(planned(agreed).sessions[0].from).toBeGreaterThan(NOW + DAY);
    expect(planned(agreed, { stayMinutes: 90 }).sessions[0].from).toBe(NOW);
  });
  it('leaves room for a step that is pinned, and says where a pin cannot be kept', () => {
    const facts = factsOf([piece(part()), second()]);
    const free = planned(facts);
    const wash = free.steps.find(({ stage, pieceId }) => stage === 'wash' && pieceId === 'box');
    const evenings = free.free.filter(({ from }) => from > NOW);
    const at = Math.ceil(evenings[2].from) + 30;
    const pinned = planned(agreedOn(facts, free, { [wash?.id ?? '']: toIso(at) }));
    const own = pinned.steps.find(({ id }) => id === wash?.id);
    expect(own).toMatchObject({ pinnedTo: at, placed: { start: at, hold: { by: 'notBefore', text: 'you pinned it to then' } } });
    const lost = planned(agreedOn(facts, free, { [wash?.id ?? '']: toIso(evenings[0].from - 120) }));
    const late = lost.steps.find(({ id }) => id === wash?.id);
    expect(late?.placed?.start).toBeGreaterThan((late?.pinnedTo ?? 0) + 15);
  });
});

describe('drying places', () => {
  const two = [piece(part()), second()];
  const withPlaces = (count: number, longMm = 300): Facts =>
    factsOf(two, { workshop: shelf.workshop.map((own) => ({ ...own, dryingPlaces: [{ count, longMm }] })) });
  const primerOf = (result: Plan, pieceId: string) =>
    result.steps.find((step) => step.pieceId === pieceId && step.coat?.number === 1 && step.coat.layerId === 'primer');
  it('for one part let the second hang only once the first can be laid down', () => {
    const [facts, roomy] = [withPlaces(1), withPlaces(2)];
    const [one, both] = [planned(facts), planned(roomy)];
    expect(verifyPlan(one, facts, conditionsOf(facts, NOW))).toEqual([]);
    const starts = (result: Plan) => ['bell', 'box'].map((id) => primerOf(result, id)?.placed?.start ?? Number.NaN).sort((a, b) => a - b);
    const [alone, together] = [starts(one), starts(both)];
    expect(alone[1] - alone[0]).toBeGreaterThan(together[1] - together[0] + 30);
    const waits = ['bell', 'box'].map((id) => primerOf(one, id)?.placed?.hold.by);
    expect(one.steps.some(({ placed }) => placed?.hold.by === 'places') || waits.includes('places')).toBe(true);
  });
  it('that are all too short say so, and nothing is sprayed', () => {
    const result = planned(withPlaces(5, 60));
    expect(primerOf(result, 'bell')?.placed).toBeNull();
    expect(result.pieces[0].noDateWhy).toContain('no place where films dry');
  });
  it('too few in the verifier’s count are a broken rule', () => {
    const facts = withPlaces(1);
    const tampered = planned(factsOf(two));
    expect(verifyPlan(tampered, facts, conditionsOf(facts, NOW)).map(({ rule }) => rule)).toContain('places');
  });
});
