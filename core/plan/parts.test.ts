import { describe, expect, it } from 'vitest';
import { bandsOf, type HungFilm, lineState, nextMoments } from '#core/bench/index';
import { newWorkshop } from '#core/buying/index';
import { DryingClocks, type FilmTimes } from '#core/drying/index';
import { FAULTS } from '#core/faults/index';
import { EMPTY_FACTS, type Facts, newPart, newPiece, type LogEvent, type Part, type Piece } from '#core/facts/index';
import { cautionsFor, coatHazards } from '#core/safety/index';
import { CLEANERS, lastWipe } from '#core/prep/index';
import { toIso } from '#core/units/index';
import { paintNeeds } from './dates/index.ts';
import { factorFrom, historyOf, laidFilms, type PlannedFilm, tapeOffWindow, timesOf } from './films/index.ts';
import { dwell, nextCoat, onceReached, tapeOff, whileClean } from './steps/constraints.ts';
import { allowedBy, type Constraint, preparationOf, type Step, stepsLookedAt } from './steps/index.ts';
import type { EndOf } from './films/index.ts';
import { planOf } from '#core/invented/index';
import { stripChoice } from './verdicts/index.ts';

const NOW = 30_000_000;
const room = new DryingClocks({ room: { start: NOW, tempC: [20], rh: [50], rests: '', measured: false } });
const lab = { l: 50, a: 0, b: 0 };
const film = (family: PlannedFilm['family'], last: PlannedFilm['last'], more: Partial<PlannedFilm> = {}): PlannedFilm => ({
  family,
  role: 'colour',
  name: family,
  lab,
  layerId: 'l',
  placeId: 'room',
  first: last,
  last,
  coats: 1,
  filmUm: 12,
  normalUm: 12,
  flatted: false,
  ...more,
});
const never = () => {
  throw new Error('no step should be asked');
};

describe('films', () => {
  it('are made of consecutive coats of one layer', () => {
    const coat = (layerId: string, at: number) => ({
      layerId,
      name: 'x',
      family: 'acrylic-lacquer' as const,
      role: 'colour' as const,
      lab,
      hand: 'aerosol' as const,
      filmUm: 12,
      placeId: 'room',
      at,
      eventId: `${at}`,
    });
    const films = laidFilms(
      [coat('a', 1), coat('a', 2), coat('b', 3)],
      () => 12,
      () => undefined,
      () => undefined,
    );
    expect(films.map((one) => [one.layerId, one.coats, one.filmUm])).toEqual([
      ['a', 2, 24],
      ['b', 1, 12],
    ]);
    expect(films[1].below).toMatchObject({ layerId: 'a', coats: 2 });
  });
  it('count with what lies wet below them, and not with what is dry', () => {
    const primer = film('lacquer-primer', { at: NOW }, { coats: 2, filmUm: 24 });
    const soon = film('acrylic-lacquer', { at: NOW + 30 }, { coats: 2, filmUm: 24, below: primer });
    const later = film('acrylic-lacquer', { at: NOW + 600 }, { coats: 2, filmUm: 24, below: primer });
    const wait = (one: PlannedFilm) => (timesOf(one, room, never).tape as number) - ('at' in one.last ? one.last.at : 0);
    expect(wait(later)).toBeCloseTo(180, 1);
    expect(wait(soon)).toBeCloseTo(180 * 4, 1);
  });
  it('believe a finger over the clock, both ways', () => {
    const plain = timesOf(film('water-acrylic', { at: NOW }), room, never).opens as number;
    expect(timesOf(film('water-acrylic', { at: NOW }, { observed: { stage: 'coat', seen: 'dry', at: NOW + 12 } }), room, never).opens).toBe(
      NOW + 12,
    );
    expect(
      timesOf(film('water-acrylic', { at: NOW }, { observed: { stage: 'coat', seen: 'tacky', at: plain + 5 } }), room, never).opens,
    ).toBe(plain + 15);
  });
  it('let tape off on the clock', () => {
    expect(tapeOffWindow(film('acrylic-lacquer', { at: NOW }), room, never)).toEqual({
      from: expect.closeTo(NOW + 10, 3),
      to: expect.closeTo(NOW + 20, 3),
    });
    expect(tapeOffWindow(film('alkyd-enamel', { at: NOW }), room, never).to - NOW).toBeCloseTo(40, 3);
  });
});

describe('gaps', () => {
  const allowed = ({ rule }: Constraint, endOf: EndOf = never) => allowedBy(rule, room, endOf);
  it('open twice for an enamel: in its window, and again later', () => {
    const spans = allowed(nextCoat(film('alkyd-enamel', { at: NOW }), true));
    expect(spans.map((span) => [Math.round(span.from - NOW), span.to === null ? null : Math.round(span.to - NOW)])).toEqual([
      [20, 60],
      [2880, null],
    ]);
  });
  it('ask a scuff past the window of a 2K and never come back for candy', () => {
    expect(allowed(nextCoat(film('urethane-2k', { at: NOW }), true))[1]).toMatchObject({ scuff: true });
    expect(allowed(nextCoat(film('candy', { at: NOW }), false))).toHaveLength(1);
    expect(allowed(nextCoat(film('acrylic-lacquer', { at: NOW }), true))[0].to).toBeNull();
  });
  it('know no scuff within a set that takes none', () => {
    expect(allowed(nextCoat(film('solvent-base', { at: NOW }), true))).toHaveLength(2);
    expect(allowed(nextCoat(film('solvent-base', { at: NOW }), false))).toHaveLength(1);
  });
  it('follow the end of planned steps', () => {
    const next = nextCoat(film('acrylic-lacquer', { step: 'one' }), true);
    expect(stepsLookedAt(next)).toEqual(['one']);
    expect(next.together).toEqual(['one']);
    expect(allowed(next, () => NOW + 100)[0].from).toBeCloseTo(NOW + 110, 3);
  });
  it('keep dwells, clean surfaces and late tape', () => {
    expect(allowed(dwell({ step: 'on' }, [5, 60], ''), () => NOW)).toEqual([{ from: NOW + 5, to: NOW + 60 }]);
    expect(allowed(dwell({ at: NOW }, [5, 60], ''))).toHaveLength(2);
    expect(allowed(whileClean({ at: NOW }))).toEqual([
      { from: NOW, to: NOW + 1440 },
      { from: NOW + 1440, to: null, scuff: true },
    ]);
    expect(allowed(tapeOff(film('acrylic-lacquer', { at: NOW })))).toHaveLength(2);
    expect(allowed(tapeOff(film('acrylic-lacquer', { step: 's' })), () => NOW)).toHaveLength(1);
    expect(allowed(onceReached(film('acrylic-lacquer', { at: NOW }), 'tape', ''))[0].from).toBeCloseTo(NOW + 180, 3);
  });
  it('are data: written down and read again they say the same', () => {
    const { constraints } = planOf(part('a')).steps.flatMap((step) => (step.coat ? [step] : []))[1];
    expect(JSON.parse(JSON.stringify(constraints))).toEqual(constraints);
  });
});

describe('learning', () => {
  it('shrinks towards the default', () => {
    expect(factorFrom([])).toBeUndefined();
    expect(factorFrom([2])).toBeCloseTo(2 ** 0.2, 6);
    expect(factorFrom(Array(16).fill(2))).toBeCloseTo(2 ** 0.8, 6);
    expect(factorFrom([0.5, 2])).toBeCloseTo(1, 6);
  });
});

const part = (id: string, more: Partial<Part> = {}): Part =>
  newPart({
    id,
    name: id,
    material: 'zinc',
    zones: [{ id: `${id}z`, name: 'all' }],
    faces: [{ id: `${id}f`, zoneId: `${id}z`, longMm: 50, shortMm: 20, count: 1, seen: true }],
    layers: [{ id: `${id}l`, coats: 2, covers: 'all', wanted: { family: 'acrylic-lacquer', role: 'colour', name: 'red', lab } }],
    ...more,
  });
const piece = (...parts: Part[]): Piece =>
  newPiece({ id: 'p', name: 'p', looksLike: 'cast-body', longestMm: 50, createdAt: toIso(NOW), leadExcluded: true, parts });

describe('history', () => {
  it('keeps the last putting-off and forgets what was undone', () => {
    const waiting = (id: string, until: number): LogEvent => ({
      id,
      at: toIso(NOW + until),
      kind: 'wait',
      pieceId: 'p',
      stepKeys: ['k'],
      until: toIso(NOW + until * 10),
    });
    const history = (events: LogEvent[]) => historyOf({ ...EMPTY_FACTS, events });
    expect(history([waiting('a', 10), waiting('b', 20)]).notBefore.get('k')).toBe(NOW + 200);
    expect(history([waiting('a', 10), { id: 'u', at: toIso(NOW + 30), kind: 'undo', undoes: 'a' }]).notBefore.size).toBe(0);
  });
});

describe('strip choice', () => {
  it('is the advised unless the person chose, and refuses what hurts', () => {
    expect(
      stripChoice(part('a', { finish: 'flaking' }), { ...piece(part('a', { finish: 'flaking' })), leadExcluded: false }),
    ).toMatchObject({ method: 'gel', chosen: false });
    expect(
      stripChoice(part('a', { finish: 'flaking', stripMethod: 'alcohol' }), {
        ...piece(part('a', { finish: 'flaking', stripMethod: 'alcohol' })),
        leadExcluded: false,
      }),
    ).toMatchObject({ method: 'alcohol', chosen: true });
    expect(
      stripChoice(part('a', { finish: 'flaking', stripMethod: 'blast' }), {
        ...piece(part('a', { finish: 'flaking', stripMethod: 'blast' })),
        leadExcluded: false,
      }).refused,
    ).toContain('lead');
    expect(
      stripChoice(part('a', { finish: 'flaking', stripMethod: 'blast', iKnow: ['blast'] }), {
        ...piece(part('a', { finish: 'flaking', stripMethod: 'blast', iKnow: ['blast'] })),
        leadExcluded: false,
      }).refused,
    ).toContain('lead');
  });
  it('takes an "I know" only where the part alone is at risk', () => {
    const plastic = { material: 'abs' as const, finish: 'flaking' as const, stripMethod: 'gel' as const };
    expect(stripChoice(part('a', plastic), { ...piece(part('a', plastic)), leadExcluded: true }).refused).toContain('melts');
    expect(
      stripChoice(part('a', { ...plastic, iKnow: ['gel'] }), { ...piece(part('a', { ...plastic, iKnow: ['gel'] })), leadExcluded: true })
        .refused,
    ).toBeUndefined();
  });
  it('has nothing to strip on bare metal', () =>
    expect(stripChoice(part('a'), { ...piece(part('a')), leadExcluded: true }).method).toBeNull());
  it('counts minutes by area and applications', () => {
    const large = part('a', { faces: [{ id: 'f', zoneId: 'az', longMm: 100, shortMm: 100, count: 1, seen: true }], finish: 'unknown' });
    const { workshop } = newWorkshop('Europe/Lisbon');
    const own = preparationOf(piece(large), large, { ...EMPTY_FACTS, workshop: [workshop], pieces: [piece(large)] });
    expect(own.options.find((row) => row.method === 'gel')).toMatchObject({ applications: 2, minutes: 33, cost: 96 });
  });
});

describe('paint needs', () => {
  const step = (id: string, ml: number, more: Partial<Step> = {}): Step => ({
    id,
    keys: [id],
    pieceId: 'p',
    stage: 'coat',
    acts: ['spray'],
    title: id,
    detail: '',
    on: [],
    pegs: [],
    minutes: 5,
    batch: null,
    scuffMinutes: 0,
    hazards: [],
    because: '',
    source: 'default',
    setup: 0,
    supplies: [],
    constraints: [],
    treatment: null,
    tight: false,
    coat: {
      layerId: 'l',
      name: 'red',
      family: 'acrylic-lacquer',
      role: 'colour',
      lab,
      hand: 'aerosol',
      filmUm: 12,
      number: 1,
      of: 1,
      weight: 'normal',
      ml,
      paintMl: ml,
      reducerMl: 0,
      hardenerMl: 0,
      filmMl: ml,
      sweepsMl: 0,
      mix: 'red',
      holds: 'film',
      boothShare: 0,
    },
    ...more,
  });
  it('add the nozzle once a batch', () => {
    const placed = new Map([
      ['a', { id: 'a', start: NOW, end: NOW + 5, scuff: false, saved: 0, hold: { by: 'nothing' as const, text: '' } }],
      ['b', { id: 'b', start: NOW + 20, end: NOW + 25, scuff: false, saved: 0, hold: { by: 'nothing' as const, text: '' } }],
    ]);
    const [together] = paintNeeds([step('a', 10), step('b', 10)], placed, EMPTY_FACTS as Facts);
    expect(together.neededMl).toBeCloseTo(22, 6);
    expect(together.missingMl).toBeCloseTo(22 / 0.95, 6);
    expect(together.portions).toEqual([{ amount: together.missingMl, neededBy: NOW }]);
  });
  it('buy nothing for a coat that would not sit', () => {
    expect(paintNeeds([step('a', 10, { stopped: 'it would lift' })], new Map(), EMPTY_FACTS as Facts)).toEqual([]);
  });
});

describe('the drying line', () => {
  const times: FilmTimes = {
    touch: 10,
    opens: 10,
    shuts: 60,
    layer: 100,
    clear: 100,
    layerShuts: null,
    clearShuts: null,
    dry: 200,
    tape: 200,
    flat: 300,
    handle: 150,
    fit: 300,
    cured: 900,
  };
  it('walks from wet to cured', () => {
    expect([5, 30, 100, 250, 1000].map((at) => lineState(times, at))).toEqual(['wet', 'open', 'shut', 'tape-safe', 'cured']);
    expect(lineState({ ...times, shuts: null, dry: 200 }, 100)).toBe('open');
  });
  it('says the next moments in words', () => {
    const hung: HungFilm = { pieceId: 'p', partIds: ['a'], pegs: [7, 8], name: 'Roller', coatName: 'green', lab, times };
    const moments = nextMoments([hung], 30);
    expect(moments[0]).toMatchObject({ at: 60, kind: 'shuts', text: 'pegs 7 8 shuts' });
    expect(moments.map((moment) => moment.at)).toEqual([...moments.map((moment) => moment.at)].sort((x, y) => x - y));
  });
  it('draws bands without holes', () => {
    const bands = bandsOf(times, 0, 1000);
    expect(bands.map((band) => band.state)).toEqual(['wet', 'open', 'shut', 'tape-safe', 'cured']);
    for (let i = 1; i < bands.length; i++) expect(bands[i].from).toBe(bands[i - 1].to);
  });
});

describe('words of warning', () => {
  it('stand for every hazard of a coat', () => {
    expect(coatHazards('urethane-2k', 'aerosol', true)).toContain('isocyanate');
    expect(coatHazards('water-acrylic', 'airbrush', false)).toEqual(['airbrush-water']);
    expect(coatHazards('alkyd-enamel', 'brush', false)).toEqual(['solvent', 'rags']);
    expect(coatHazards('epoxy-primer', 'gun', false)).toContain('epoxy');
    expect(coatHazards('etch-primer', 'aerosol', false)).toContain('acid');
    expect(cautionsFor(['lead', 'lead', 'mains'])).toHaveLength(2);
  });
  it('never wipe plastic with acetone', () => {
    const acetone = CLEANERS.find((cleaner) => cleaner.name === 'acetone');
    for (const plastic of ['abs', 'polystyrene', 'clear', 'unknown'] as const) expect(acetone?.notOn).toContain(plastic);
    expect(lastWipe('polystyrene')).toBe('isopropyl alcohol');
    expect(lastWipe('zinc')).toBe('wax-and-grease remover');
  });
  it('know six signs of trouble with their cures', () => {
    expect(FAULTS).toHaveLength(6);
    for (const fault of FAULTS) expect(fault.causes.length).toBeGreaterThan(1);
  });
});
