import { conditionsOf } from '#core/drying/index';
import type { Facts, Label, LogEvent, Part, Piece, Workshop } from '#core/facts/index';
import { type Plan, plan, type PlannedStep } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { NOW, piece, shelf } from './testBench.ts';

/** An honest plan of one invented piece, and single steps of it moved or changed: what each rule is tried on at its edge. */

export const factsOf = (
  own: readonly Part[],
  more: Partial<Piece> = {},
  workshop: Partial<Workshop> = {},
  events: readonly LogEvent[] = [],
): Facts => ({
  ...shelf,
  workshop: [{ ...shelf.workshop[0], ...workshop }],
  pieces: [piece(own[0], { parts: [...own], ...more })],
  events: [...events],
});

export const honestPlan = (facts: Facts): Plan => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });

export const changed = (own: Plan, which: (step: PlannedStep) => boolean, change: (step: PlannedStep) => Partial<PlannedStep>): Plan => ({
  ...own,
  steps: own.steps.map((step) => (which(step) ? { ...step, ...change(step) } : step)),
});

export const movedTo = (own: Plan, id: string, start: number): Plan =>
  changed(
    own,
    (step) => step.id === id,
    ({ placed }) => ({ placed: placed && { ...placed, start, end: start + placed.end - placed.start } }),
  );

/** The first step of its kind by its date. */
export const foundIn = ({ steps }: Plan, which: (step: PlannedStep) => boolean) => {
  const step = steps.filter((own) => own.placed && which(own)).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0))[0];
  if (!step?.placed) throw new Error('The plan has no such step.');
  return { ...step, placed: step.placed };
};

/** A two-pack clear with a label of its own, its product and a full can: what is mixed right before it is sprayed. */
export const withHardClear = (facts: Facts, label: Label): Facts => ({
  ...facts,
  sheets: [
    ...facts.sheets,
    {
      id: 'hard-sheet',
      name: 'Hard clear',
      family: 'urethane-2k',
      role: 'clear',
      hand: 'airbrush',
      form: 'tin',
      forPlastics: false,
      isocyanate: true,
      label,
      source: 'label',
    },
  ],
  products: [
    ...facts.products,
    {
      id: 'hard-clear',
      sheetId: 'hard-sheet',
      name: 'Hard clear',
      lab: { l: 95, a: 0, b: 0 },
      transparent: true,
      typicalMl: 500,
      typicalPrice: 2500,
    },
  ],
  cans: [...facts.cans, { id: 'c', productId: 'hard-clear', packMl: 500, leftMl: 500, leftAt: toIso(NOW - 9), opened: false, paid: 2500 }],
});
