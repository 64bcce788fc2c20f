import { describe, expect, it } from 'vitest';
import { EMPTY_FACTS, type Facts, looksLikeSchema, pieceSchema } from '#core/facts/index';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import { labOf } from '#core/colour/index';
import { toMinute } from '#core/units/index';
import { plan } from '../plan.ts';
import { draftPiece, layersOfSystem, type QuickAnswers, type WhereNow } from './draft.ts';
import { outlook, sharpen } from './sharpen.ts';

const NOW = Math.floor(Date.UTC(2026, 11, 1, 18) / 60_000);
const { workshop, places } = newWorkshop('Europe/Lisbon');
const base: Facts = {
  ...EMPTY_FACTS,
  ...starterShelf(),
  workshop: [{ ...workshop, started: true, hands: ['aerosol', 'airbrush'] }],
  places,
};
let ids = 0;
const newId = () => `d${++ids}`;
const answers = (more: Partial<QuickAnswers> = {}): QuickAnswers => ({
  name: 'Ferry',
  looksLike: 'cast-body',
  longestMm: 140,
  aim: 'own-scheme',
  whereNow: 'untouched',
  colours: [
    { name: 'cream', hex: '#e6dcc0' },
    { name: 'blue', hex: '#1d4b78' },
  ],
  ...more,
});
const draft = (more: Partial<QuickAnswers> = {}, pegs: number[] = []) =>
  draftPiece(answers(more), NOW, ['aerosol', 'airbrush'], newId, pegs, workshop.dryPlaceId);
const planOf = (drafted: ReturnType<typeof draft>) => {
  const facts = { ...base, pieces: [drafted.piece], events: [...drafted.events] };
  return plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW) });
};

describe('what is asked of a drafted piece', () => {
  const asked = (more: Partial<QuickAnswers>) => draft(more).piece.guesses.filter((guess) => guess.startsWith('finish:')).length;
  it.each<[WhereNow, boolean]>([
    ['untouched', true],
    ['bare', false],
    ['primed', false],
    ['coloured', false],
    ['cleared', false],
  ])('%s: how its old paint sits, only where there is any', (whereNow, asks) => {
    const since = whereNow === 'untouched' || whereNow === 'bare' ? {} : { since: NOW - 3000 };
    expect(asked({ whereNow, ...since }) > 0).toBe(asks);
  });
});

describe('a piece drafted from a few answers', () => {
  for (const looksLike of looksLikeSchema.options) {
    it(`is valid and planned whole: ${looksLike}`, () => {
      const drafted = draft({ looksLike });
      expect(pieceSchema.safeParse(drafted.piece).error?.issues ?? []).toEqual([]);
      const result = planOf(drafted);
      expect(result.pieces[0].stopped).toBeUndefined();
      expect(result.pieces[0].likely).not.toBeNull();
      expect(result.pieces[0].money.total).toBeGreaterThan(0);
    });
  }
  it('keeps every colour that was picked, whatever the piece looks like', () => {
    const three = ['#e6dcc0', '#1d4b78', '#c23a2a'].map((hex, index) => ({ name: `colour ${index}`, hex }));
    for (const looksLike of looksLikeSchema.options) {
      const { piece } = draft({ colours: three, looksLike });
      const names = new Set(
        piece.parts.flatMap(({ layers }) => layers.flatMap(({ wanted, productId }) => wanted?.name ?? productId ?? [])),
      );
      expect([looksLike, three.filter(({ name }) => !names.has(name))]).toEqual([looksLike, []]);
      expect(pieceSchema.safeParse(piece).error?.issues ?? []).toEqual([]);
    }
    const panel = draft({ colours: three, looksLike: 'large-panel' }).piece.parts[0];
    expect(panel.zones.map(({ name }) => name)).toEqual(['Upper', 'Middle', 'Lower']);
    expect(panel.edges).toHaveLength(2);
    const whole = draft({ colours: three.slice(0, 1), looksLike: 'large-panel' }).piece.parts[0];
    const area = (faces: typeof panel.faces) => faces.reduce((sum, face) => sum + (face.longMm ?? 0) * (face.shortMm ?? 0) * face.count, 0);
    expect(Math.abs(area(panel.faces) / area(whole.faces) - 1)).toBeLessThan(0.01);
  });
  it('divides the main part between two colours, with a tape line', () => {
    const { piece } = draft();
    expect(piece.parts[0].zones.map((zone) => zone.name)).toEqual(['Upper', 'Lower']);
    expect(piece.parts[0].edges[0].mm).toBe(392);
    expect(planOf(draft()).steps.map((step) => step.stage)).toEqual(expect.arrayContaining(['mask', 'unmask']));
  });
  it('is one colour where one was chosen, and bare of layers where none was', () => {
    expect(draft({ colours: [{ name: 'red', hex: '#c23a2a' }] }).piece.parts[0].zones).toHaveLength(1);
    const none = draft({ colours: [], aim: 'preserve' });
    expect(none.piece.parts[0].layers).toEqual([]);
  });
  it('marks what it guessed', () => {
    const { piece } = draft();
    expect(piece.guesses).toContain('lead');
    expect(piece.guesses).toContain(`material:${piece.parts[0].id}`);
    expect(piece.guesses).toContain(`finish:${piece.parts[0].id}`);
  });
  it('hangs its parts on free pegs', () => {
    expect(draft({}, [1, 3]).piece.parts.map((part) => part.pegs[0])).toEqual([2, 4, 5]);
    expect(
      draft(
        {},
        Array.from({ length: 40 }, (_, index) => index + 1),
      ).piece.parts[0].pegs,
    ).toEqual([]);
  });
  it('sizes by scale of the longest side', () => {
    const [small, large] = [draft({ longestMm: 60 }), draft({ longestMm: 600 })].map(
      (drafted) => planOf(drafted).pieces[0].attendedMinutes,
    );
    expect(large).toBeGreaterThan(small * 2);
  });
});

describe('starting in the middle', () => {
  const stages = (whereNow: WhereNow) => new Set(planOf(draft({ whereNow, since: NOW - 3 * 1440 })).steps.map((step) => step.stage));
  it('leaves out what is behind', () => {
    expect(stages('untouched').has('strip-on')).toBe(true);
    expect(stages('bare').has('strip-on')).toBe(false);
    expect(stages('bare').has('prep')).toBe(true);
    expect(stages('primed').has('prep')).toBe(false);
    expect(stages('coloured').has('mask')).toBe(false);
    expect([...stages('cleared')].filter((stage) => stage === 'coat')).toEqual([]);
  });
  it('writes matching events, dated back and marked as recalled', () => {
    const { events } = draft({ whereNow: 'primed', since: NOW - 4320 });
    expect(events.length).toBeGreaterThan(3);
    expect(events.every((event) => event.recalled && Date.parse(event.at) / 60_000 < NOW - 4000)).toBe(true);
    expect(events.every((event) => event.coat?.role.endsWith('primer'))).toBe(true);
  });
  it('never invents a time: without one nothing is in the log', () => {
    for (const whereNow of ['primed', 'coloured', 'cleared'] as const) expect(draft({ whereNow }).events).toEqual([]);
  });
  it('ends the last coat of every part at the time that was said', () => {
    for (const whereNow of ['primed', 'coloured', 'cleared'] as const) {
      const { events } = draft({ whereNow, since: NOW - 700 });
      expect(Math.max(...events.map((event) => toMinute(event.at)))).toBe(NOW - 700);
    }
  });
  it('keeps what the last coat was of', () => {
    const lastCoat = { productId: 'own', name: 'Own clear', family: 'acrylic-lacquer', role: 'clear', lab: { l: 90, a: 0, b: 0 } } as const;
    const { events } = draft({ whereNow: 'cleared', since: NOW - 700, lastCoat });
    expect(events.filter((event) => event.coat?.role === 'clear').every((event) => event.coat?.productId === 'own')).toBe(true);
    expect(events.filter((event) => event.coat?.role !== 'clear').some((event) => event.coat?.productId === 'own')).toBe(false);
  });
});

describe('a piece whose colour nobody has named', () => {
  it('gets a system as a guess, so that nothing is undecided', () => {
    const { piece } = draft({ colours: [] });
    expect(piece.guesses.filter((guess) => guess.startsWith('coats:'))).toHaveLength(
      piece.parts.filter((part) => part.layers.length > 0).length,
    );
    expect(planOf({ piece, events: [], budget: null }).pieces[0].likely).not.toBeNull();
  });
  it('but nothing at all where it is preserved', () => {
    expect(draft({ colours: [], aim: 'preserve' }).piece.parts.every((part) => part.layers.length === 0)).toBe(true);
  });
});

describe('ready systems on a part', () => {
  it('keep its zones', () => {
    const part = draft().piece.parts[0];
    const swatches = [
      { name: 'cream', lab: labOf('#e6dcc0') },
      { name: 'blue', lab: labOf('#1d4b78') },
    ];
    const layers = layersOfSystem('hardest', part, swatches, newId);
    const covers = layers.filter((layer) => layer.wanted?.role === 'colour').map((layer) => layer.covers);
    expect(covers).toEqual([[part.zones[0].id], [part.zones[1].id]]);
  });
});

describe('sharpen', () => {
  it('asks only what changes something, weightiest first, and each answer settles its guess', () => {
    const { piece } = draft();
    const facts = { ...base, pieces: [piece] };
    const asked = sharpen(piece, facts, NOW, conditionsOf(facts, NOW));
    expect(asked.length).toBeGreaterThan(0);
    for (let i = 1; i < asked.length; i++) expect(asked[i - 1].weight).toBeGreaterThanOrEqual(asked[i].weight);
    for (const question of asked) {
      expect(question.stake.length).toBeGreaterThan(5);
      for (const answer of question.answers) {
        expect(answer.piece.guesses).not.toContain(question.guess);
        expect(pieceSchema.safeParse(answer.piece).success).toBe(true);
      }
    }
  });
  it('gives the range of money over its guesses, and one figure where nothing is guessed', () => {
    const { piece } = draft();
    const facts = { ...base, pieces: [piece] };
    const conditions = conditionsOf(facts, NOW);
    const guessed = outlook(piece, facts, NOW, conditions);
    const { total } = plan({ facts, now: NOW, conditions }).pieces[0].money;
    expect(guessed.leastMoney).toBeLessThanOrEqual(total);
    expect(guessed.mostMoney).toBeGreaterThan(guessed.leastMoney);
    expect(guessed.leastKnown).toBe(sharpen(piece, facts, NOW, conditions)[0].question);
    expect(outlook({ ...piece, guesses: [] }, facts, NOW, conditions)).toEqual({ leastMoney: total, mostMoney: total, leastKnown: null });
  });
  it('is silent when nothing is guessed', () => {
    const { piece } = draft();
    const sure = { ...piece, guesses: [] };
    expect(sharpen(sure, { ...base, pieces: [sure] }, NOW, conditionsOf(base, NOW))).toEqual([]);
  });
});
