import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import type { LogEvent } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { clear, coat, enamel, NOW, part, piece, planOf, primer, shelf } from '#core/invented/index';
import { filmsAhead, spreadAfter } from '../films/index.ts';
import { plan } from '../plan.ts';
import { pieceDates, seededRandom } from './risk.ts';

const stack = part({ layers: [primer(), enamel(), clear] });
const touched: LogEvent = {
  id: 'touch',
  at: toIso(NOW - 2970),
  kind: 'dryness',
  pieceId: 'bell',
  partId: 'body',
  zoneId: 'all',
  stage: 'coat',
  seen: 'tacky',
};

describe('likely and safe dates', () => {
  it('are the same for the same seed, and none without steps', () => {
    const [a, b] = [seededRandom(3), seededRandom(3)];
    expect([a(), a(), a()]).toEqual([b(), b(), b()]);
    expect(pieceDates([], new Map(), [], 1)).toBeNull();
    const dates = () => planOf(stack).pieces[0];
    expect(dates().safe).toBe(dates().safe);
  });
  it('are never sooner than the plan, and the safe one never before the likely', () => {
    const { planned, likely, safe } = planOf(stack).pieces[0];
    expect(likely as number).toBeGreaterThanOrEqual(planned as number);
    expect(safe as number).toBeGreaterThanOrEqual(likely as number);
  });
  it('are run for the pieces asked for alone', () => {
    const facts = { ...shelf, pieces: [piece(stack), piece(stack, { id: 'gong', name: 'Gong' })], events: [] };
    const asked = { facts, now: NOW, conditions: conditionsOf(facts, NOW) };
    const safe = (datesOf?: readonly string[]) =>
      plan({ ...asked, ...(datesOf ? { datesOf } : {}) }).pieces.map((own) => own.safe !== null);
    expect(safe()).toEqual([true, true]);
    expect(safe([])).toEqual([false, false]);
    expect(safe(['gong'])).toEqual(plan(asked).pieces.map((own) => own.pieceId === 'gong'));
  });
  it('spread less the more often a film was touched', () => {
    expect(spreadAfter(0)).toBe(0.25);
    expect(spreadAfter(3)).toBe(0.125);
    const { steps } = planOf(part({ layers: [primer(), enamel(), clear] }));
    const placed = new Map(steps.flatMap((step) => (step.placed ? [[step.id, step.placed] as const] : [])));
    const always = [{ from: 0, to: 1e9 }];
    const safe = (spread: number) => pieceDates(steps, placed, always, 5, () => spread)?.safe as number;
    expect(safe(0.25)).toBeGreaterThan(safe(0.1));
    expect(safe(0.1)).toBeGreaterThan(safe(0));
  });
});

describe('a touch is judged by the label where there is one', () => {
  const sheetId = shelf.products.find((own) => own.id === 'starter-lacquer-primer-fine-primer-product')?.sheetId;
  const slow = { ...shelf, sheets: shelf.sheets.map((own) => (own.id === sheetId ? { ...own, label: { coatFromMin: 60 } } : own)) };
  const wetCoat = [coat('primer', 1, 2980, 'lacquer-primer', 'fine-primer', 12)];
  const opens = (known: typeof shelf, events: LogEvent[]) => {
    const facts = { ...known, pieces: [piece(part())], events };
    const [film] = filmsAhead(facts, NOW - 2960, conditionsOf(facts, NOW - 2960)).films;
    return film.stages.find((stage) => stage.name === 'next coat')?.at as number;
  };
  it('tacky after ten minutes of an hour says nothing new', () => {
    const before = opens(slow, wetCoat);
    expect(before).toBeCloseTo(NOW - 2980 + 60, 3);
    expect(opens(slow, [...wetCoat, touched])).toBeCloseTo(before, 3);
  });
  it('tacky after ten minutes of ten does', () => {
    expect(opens(shelf, [...wetCoat, touched])).toBeGreaterThan(NOW - 2980 + 10);
  });
});
