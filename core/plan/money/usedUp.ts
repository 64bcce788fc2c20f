import { addedUp } from '#core/amounts/index';
import type { SupplyLine } from '#core/facts/index';
import { additivesOf } from '../dates/index.ts';
import type { Step } from '../steps/index.ts';

/** Reducer and hardener stand on the shelf among the cleaners, counted in mL. */
export const ADDITIVE = { kind: 'cleaner', unit: 'mL' } as const;

/** What a step uses up beside paint: papers, tape, cups, and the reducer and hardener of its coat; below a thousandth is nothing. */
export function usedUp({ supplies, coat }: Pick<Step, 'supplies' | 'coat'>): SupplyLine[] {
  const mixedIn = coat ? additivesOf(coat).map(({ name, ml }): SupplyLine => ({ ...ADDITIVE, spec: name, amount: ml })) : [];
  return addedUp([...supplies, ...mixedIn])
    .map((line) => ({ ...line, amount: Math.round(line.amount * 1000) / 1000 }))
    .filter(({ amount }) => amount > 0);
}
