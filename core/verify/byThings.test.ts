import { conditionsOf } from '#core/drying/index';
import type { Facts, Label, Layer, LogEvent, Part, Warm } from '#core/facts/index';
import { changed, enamel, factsOf, foundIn, honestPlan, movedTo, NOW, part, piece, primer } from '#core/invented/index';
import type { Plan } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { verifyPlan } from './index.ts';

/** Rules that ask which thing is meant: of two parts, two tubs, two labels, the one and not the other. */

const rulesOf = (own: Plan, of: Facts) => verifyPlan(own, of, conditionsOf(of, NOW)).map(({ rule }) => rule);
const steel = (more: Partial<Part> = {}) => part({ material: 'steel', finish: 'bare', ...more });

describe('a part that lies in the warm', () => {
  const warm: Warm = { by: 'oven', surfaceC: 50, minutes: 120 };
  const layers: Layer[] = [primer(), { ...enamel(), warm }];
  const parts = [
    steel({ layers }),
    part({ id: 'base', name: 'Base', pegs: [3], finish: 'bare', layers: [primer()] }),
    steel({ id: 'lid', name: 'Lid', pegs: [2], layers: layers.map((layer) => ({ ...layer, id: `lid-${layer.id}`, warm: undefined })) }),
  ];
  const of = factsOf(parts, {}, { oven: { longMm: 400, wideMm: 350, highMm: 300, mostC: 90 } });
  const honest = honestPlan(of);
  const spell = foundIn(honest, ({ warm: own }) => own !== undefined);
  const both = foundIn(honest, ({ on }) => on.length === 2);
  it('is not at hand for work on it and another together, and is again once it is out', () => {
    const during = spell.placed.end + 30;
    expect(rulesOf(movedTo(honest, both.id, during), of)).toContain('at hand');
    expect(rulesOf(movedTo(honest, both.id, spell.placed.end + warm.minutes), of)).not.toContain('at hand');
  });
  it('leaves the others at hand', () => {
    const base = foundIn(honest, ({ on }) => on.length === 1 && on[0].partId === 'base');
    expect(rulesOf(movedTo(honest, base.id, spell.placed.end + 30), of)).not.toContain('at hand');
  });
});

describe('tubs', () => {
  const soaked = (id: string) =>
    piece(part({ id, name: id, finish: 'sound', stripMethod: 'alcohol', layers: [primer()] }), { id, name: id });
  const bench = (tubs: number): Facts => ({
    ...factsOf([steel()], {}, { tub: { longMm: 120, wideMm: 60, deepMm: 120 }, tubs }),
    pieces: [soaked('one'), soaked('two')],
  });
  it('are as many as there are: two baths at once lie in two, and not in one', () => {
    const two = honestPlan(bench(2));
    expect(two.steps.filter(({ stage, placed }) => stage === 'strip-off' && placed).length).toBe(2);
    expect(rulesOf(two, bench(2))).not.toContain('tub');
    expect(rulesOf(two, bench(1))).toContain('tub');
  });
});

describe('the label of the paint itself', () => {
  const of = factsOf([steel()]);
  const honest = honestPlan(of);
  const coat = foundIn(honest, ({ coat: own }) => own !== undefined);
  const own = of.products.find(({ id }) => id === coat.coat?.productId)?.sheetId;
  const labelled = (sheetId: string | undefined, label: Label): Facts => ({
    ...of,
    sheets: of.sheets.map((sheet) => (sheet.id === sheetId ? { ...sheet, label: { ...sheet.label, ...label } } : sheet)),
  });
  const other = of.sheets.find(
    ({ id }) => !of.products.some((product) => product.sheetId === id && coat.coat?.productId === product.id),
  )?.id;
  it('says in what air it goes on, and no other label does', () => {
    expect(rulesOf(honest, of)).not.toContain('air');
    expect(rulesOf(honest, labelled(own, { minC: 35 }))).toContain('air');
    expect(rulesOf(honest, labelled(other, { minC: 35 }))).not.toContain('air');
    expect(rulesOf(honest, labelled(own, { maxRh: 25 }))).toContain('air');
  });
});

describe('what was put off', () => {
  it('may begin with the very minute it was put off to', () => {
    const of = factsOf([steel()]);
    const honest = honestPlan(of);
    const { id, placed } = foundIn(honest, ({ stage }) => stage === 'clean');
    const until = (minutes: number): LogEvent => ({
      id: 'w',
      at: toIso(NOW),
      kind: 'wait',
      pieceId: honest.pieces[0].pieceId,
      stepKeys: [id],
      until: toIso(placed.start + minutes),
    });
    expect(rulesOf(honest, { ...of, events: [until(0)] })).not.toContain('put off');
    expect(rulesOf(honest, { ...of, events: [until(1)] })).toContain('put off');
  });
});

describe('bright steel', () => {
  const of = factsOf([steel()]);
  const honest = honestPlan(of);
  const bared = foundIn(honest, ({ stage }) => stage === 'prep');
  const coat = foundIn(honest, ({ coat: own }) => own !== undefined);
  const days = 24 * 60;
  it('keeps in a dry box for fourteen days to the minute', () => {
    const boxed = changed(
      honest,
      ({ id }) => id === bared.id,
      () => ({ afterwards: 'it waits in the dry box' }),
    );
    const only = { ...boxed, steps: boxed.steps.filter(({ id }) => id === bared.id || id === coat.id) };
    expect(rulesOf(movedTo(only, coat.id, bared.placed.end + 14 * days), of)).not.toContain('flash rust');
    expect(rulesOf(movedTo(only, coat.id, bared.placed.end + 14 * days + 0.5), of)).toContain('flash rust');
    const open = { ...honest, steps: honest.steps.filter(({ id }) => id === bared.id || id === coat.id) };
    expect(rulesOf(movedTo(open, coat.id, bared.placed.end + 3 * days), of)).toContain('flash rust');
  });
});
