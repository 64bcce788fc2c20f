import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import type { Facts, Layer, LogEvent, Part, Piece } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { at, clear, coat, enamel, lacquer, NOW, part, piece, planOf, primed, primer, shelf, steps } from '#core/invented/index';
import { filmsAhead } from './films/index.ts';
import { plan } from './plan.ts';
import { partKey } from './steps/index.ts';
import { designBoard, pricedMends, proposeBoard, whatIf } from './ways/index.ts';

const abs = (more: Partial<Part> = {}) => part({ material: 'abs', layers: [lacquer()], ...more });
const factsOf = (pieces: Piece[], events: LogEvent[] = [], more: Partial<Facts> = {}): Facts => ({ ...shelf, pieces, events, ...more });
const planned = (facts: Facts, now = NOW) => plan({ facts, now, conditions: conditionsOf(facts, now) });
let made = 0;
const newId = () => `new-${++made}`;

describe('mends', () => {
  const styrene = part({ material: 'polystyrene', layers: [lacquer(), clear] });
  const facts = factsOf([piece(styrene)]);
  const stop = planned(facts).pieces[0].steps.joints.find((entry) => entry.joint.verdict === 'stop');
  if (!stop) throw new Error('Lacquer on polystyrene no longer stops.');
  const mends = pricedMends(facts.pieces[0], stop, { l: 50, a: 0, b: 0 }, facts, NOW, conditionsOf(facts, NOW), newId);
  it('are offered, and each really passes when it is applied', () => {
    expect(mends.length).toBeGreaterThan(1);
    for (const mend of mends) {
      const changed = factsOf([piece({ ...styrene, layers: [...mend.layers] })]);
      const joints = planned(changed).pieces[0].steps.joints.filter((entry) => entry.layerId === stop.layerId);
      expect(joints.length).toBeGreaterThan(0);
      for (const entry of joints) expect(entry.joint.verdict).not.toBe('stop');
    }
  });
  it('say nothing of a joint that sits', () => {
    const fine = factsOf([piece(part())]);
    const sits = planned(fine).pieces[0].steps.joints[0];
    expect(pricedMends(fine.pieces[0], sits, { l: 50, a: 0, b: 0 }, fine, NOW, conditionsOf(fine, NOW), newId)).toEqual([]);
  });
});

describe('a board', () => {
  const own = piece(abs());
  const facts = factsOf([own]);
  const joints = planned(facts).pieces[0].steps.joints;
  const proposal = proposeBoard(own, joints, facts, NOW, newId);
  it('of one tile settles what is care, stack and material the same', () => {
    expect(joints[0].joint.verdict).toBe('care');
    expect(proposal?.board.parts).toHaveLength(1);
    expect(proposal?.board.parts[0]).toMatchObject({ material: 'abs', zones: [{ id: 'all' }] });
    expect(proposal?.board.parts[0].layers).toHaveLength(1);
    expect(proposal?.settles[0]).toContain('body');
  });
  it('shares a tile between stacks that begin alike', () => {
    const two = piece(abs(), { parts: [abs(), abs({ id: 'lid', name: 'Lid', layers: [{ ...lacquer(), id: 'other' }] })] });
    const all = factsOf([two]);
    expect(proposeBoard(two, planned(all).pieces[0].steps.joints, all, NOW, newId)?.board.parts).toHaveLength(1);
  });
  it('is proposed for a paint of unknown family, not for what a key or a need holds open', () => {
    const proposed = (layers: Layer[], material: Part['material'] = 'zinc') => {
      const tried = piece(part({ material, finish: 'bare', layers }));
      const all = factsOf([tried]);
      return proposeBoard(tried, planned(all).pieces[0].steps.joints, all, NOW, newId)?.settles.length ?? 0;
    };
    const wanted = (family: 'unknown' | 'etch-primer' | 'candy'): Layer => ({
      id: 'top',
      wanted: { family, role: 'colour', name: family, lab: { l: 50, a: 0, b: 0 } },
      coats: 1,
      covers: 'all',
    });
    expect(proposed([wanted('unknown')])).toBe(1);
    expect(proposed([wanted('etch-primer')], 'resin')).toBe(0);
    expect(proposed([wanted('candy')], 'aluminium')).toBe(0);
  });
  it('is planned like a piece, judged dry at the end, with no teardown', () => {
    const result = planned(factsOf([proposal?.board as Piece]));
    expect(steps(result, 'teardown')).toEqual([]);
    expect(steps(result, 'fit')).toEqual([]);
    const judge = steps(result, 'look').at(-1);
    expect(judge?.asks).toMatchObject({ kind: 'tile' });
    expect(at(judge)).toBeGreaterThan(Math.max(...steps(result, 'coat').map((step) => at(step))));
  });
  it('overrules the table once it is judged, and gives it back when the judgement is withdrawn', () => {
    const board = proposal?.board as Piece;
    const tile = board.parts[0];
    const layer = tile.layers[0];
    const laid: LogEvent = {
      ...(coat(layer.id, 1, 5000, 'acrylic-lacquer', 'colour', 12) as Extract<LogEvent, { kind: 'done' }>),
      id: 'laid',
      pieceId: board.id,
      stepKeys: [partKey(board.id, tile.id, 'coat', layer.id, 1)],
      on: [{ partId: tile.id, zoneIds: ['all'] }],
    };
    const judged: LogEvent = {
      id: 'judged',
      at: toIso(NOW - 60),
      kind: 'tile',
      pieceId: board.id,
      partId: tile.id,
      layerId: layer.id,
      outcome: 'held',
    };
    const verdict = (events: LogEvent[]) =>
      planned(factsOf([own, board], events)).pieces.find((entry) => entry.pieceId === own.id)?.steps.joints[0].joint;
    expect(verdict([laid])).toMatchObject({ verdict: 'care' });
    expect(verdict([laid, judged])).toMatchObject({ verdict: 'sits', answer: { source: 'own' } });
    expect(verdict([laid, { ...judged, outcome: 'lifted' }])).toMatchObject({ verdict: 'stop' });
    const softened = factsOf([own, board], [laid, { ...judged, outcome: 'softened' }]);
    const after = planned(softened).pieces.find((entry) => entry.pieceId === own.id)?.steps.joints ?? [];
    expect(after[0].joint.verdict).toBe('care');
    expect(proposeBoard(own, after, softened, NOW, newId)).toBeNull();
    expect(verdict([laid, judged, { id: 'u', at: toIso(NOW), kind: 'undo', undoes: 'judged' }])).toMatchObject({ verdict: 'care' });
  });
  it('is designed one thing apart', () => {
    const stack = part({ layers: [primer(), lacquer(), clear] });
    const tiles = (varies: 'ground' | 'coats' | 'clear' | 'wait') => designBoard(piece(stack), stack, varies, shelf, NOW, newId).parts;
    expect(tiles('ground').map((tile) => tile.layers[0].wanted?.name)).toEqual(['primer, white', 'primer, grey', 'primer, black']);
    expect(tiles('coats').map((tile) => tile.layers[1].coats)).toEqual([1, 2, 3]);
    expect(tiles('clear').map((tile) => tile.layers.length)).toEqual([3, 2]);
    expect(tiles('wait')).toHaveLength(2);
  });
});

describe('the verdict this minute', () => {
  const own = part({ layers: [primer(), enamel()] });
  const joint = (now: number) =>
    planOf(
      own,
      primed.map((event) => ({ ...event, at: toIso(NOW - 20) })),
      {},
      shelf,
      now,
    ).pieces[0].steps.joints.find((entry) => entry.layerId === 'enamel');
  it('tells a stack that would stop now from the same that sits at its time', () => {
    expect(joint(NOW)?.now).toMatchObject({ state: 'fresh', answer: { verdict: 'stop' } });
    expect(joint(NOW)?.joint.verdict).toBe('sits');
    expect(joint(NOW + 2 * 1440)?.now).toMatchObject({ answer: { verdict: 'sits' } });
  });
  it('knows what the label says, as the plan does', () => {
    const sheetId = shelf.products.find((product) => product.id === 'starter-acrylic-enamel-colour-product')?.sheetId;
    const sheets = shelf.sheets.map((sheet) =>
      sheet.id === sheetId ? { ...sheet, label: { notOver: ['lacquer-primer' as const] } } : sheet,
    );
    const entry = planOf(own, primed, {}, { ...shelf, sheets }).pieces[0].steps.joints.find((found) => found.layerId === 'enamel');
    expect(entry?.joint).toMatchObject({ verdict: 'stop', answer: { source: 'label' } });
    expect(entry?.now).toMatchObject({ answer: { verdict: 'stop', source: 'label' } });
  });
});

describe('two-part paint', () => {
  const twoPack: Layer = { id: 'hard', productId: 'hard', coats: 2, covers: 'all' };
  const sheet = {
    ...shelf.sheets[0],
    id: 'hard',
    name: 'Hard',
    family: 'urethane-2k' as const,
    role: 'colour' as const,
    label: { potLifeMin: 60, inductionMin: 15, hardener: { parts: 0.25 } },
  };
  const product = { ...shelf.products[0], id: 'hard', sheetId: 'hard', name: 'Hard' };
  const facts = { ...shelf, sheets: [...shelf.sheets, sheet], products: [...shelf.products, product] };
  it('is mixed first, stands its induction, and is all on within its pot life', () => {
    const result = planOf(part({ layers: [twoPack] }), [], {}, facts);
    const mix = steps(result, 'mix')[0];
    const mixed = mix.placed?.end as number;
    expect(mix.detail).toContain('hardener');
    for (const own of steps(result, 'coat')) {
      expect(at(own) - mixed).toBeGreaterThanOrEqual(15 - 1e-6);
      expect(at(own) - mixed).toBeLessThanOrEqual(60 + 1e-6);
    }
  });
});

describe('what if', () => {
  const facts = factsOf([piece(part({ layers: [primer(), enamel(), clear] }))]);
  const end = (wish: Parameters<typeof whatIf>[3]) => whatIf(facts, NOW, conditionsOf(facts, NOW), wish)[0].end as number;
  it('ends later in the cold and never sooner from a later start', () => {
    expect(end({ warmerC: -8 })).toBeGreaterThan(end({}));
    expect(end({ startInMinutes: 3 * 1440 })).toBeGreaterThanOrEqual(end({}));
    expect(end({})).toBe(planned(facts).pieces[0].planned);
  });
});

describe('films now and ahead', () => {
  const hanging = primed.map((event) => ({ ...event, at: toIso(NOW - 30) }));
  const facts = factsOf([piece(part())], hanging);
  it('have every stage in order, a band round it, and what would quicken them', () => {
    const [film] = filmsAhead(facts, NOW, conditionsOf(facts, NOW)).films;
    const cured = film.stages.find((stage) => stage.name === 'cured');
    expect(cured?.early as number).toBeLessThan(cured?.at as number);
    expect(cured?.late as number).toBeGreaterThan(cured?.at as number);
    expect(film.aids.find((aid) => aid.name === 'a fan')?.hours as number).toBeLessThan(film.curesInHours as number);
  });
  it('learn from a finger and forget when told', () => {
    const touch = (minutes: number): LogEvent => ({
      id: `t${minutes}`,
      at: toIso(NOW - 30 + minutes),
      kind: 'dryness',
      pieceId: 'bell',
      partId: 'body',
      zoneId: 'all',
      stage: 'tape',
      seen: 'dry',
    });
    const product = 'starter-lacquer-primer-fine-primer-product';
    const learned = (events: LogEvent[]) =>
      filmsAhead({ ...facts, events: [...hanging, ...events] }, NOW, conditionsOf(facts, NOW)).learned;
    expect(learned([touch(25)])[0]).toMatchObject({ productId: product, observations: 1 });
    expect(learned([touch(25)])[0].factor).toBeLessThan(1);
    expect(learned([touch(25), { id: 'f', at: toIso(NOW), kind: 'forget', productId: product }])).toEqual([]);
  });
});
