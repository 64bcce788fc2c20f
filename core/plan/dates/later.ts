import { unitPrice } from '#core/amounts/index';
import type { Facts } from '#core/facts/index';
import { workSize } from '#core/survey/index';
import { quarterSheets } from '#core/units/index';
import type { PlannedStep } from './plannedStep.ts';

/** What a layer costs that is left open past its window: when it may go on again, keyed first, and what the keying takes. */

/** The paper a shut film is keyed with before its next coat. */
const KEYED_WITH = { kind: 'paper', spec: 'P600' } as const;

/** Coats whose window shuts and opens again only for a keyed film, each with its later price. */
export function withLaterPrices(steps: readonly PlannedStep[], { pieces, stock }: Pick<Facts, 'pieces' | 'stock'>): PlannedStep[] {
  const { price } = unitPrice(KEYED_WITH, stock);
  return steps.map((step) => {
    if (!step.coat || step.window?.to == null || step.missedUntil === null || !step.missedScuffs) return step;
    const parts = pieces.find(({ id }) => id === step.pieceId)?.parts ?? [];
    const own = parts.filter(({ id }) => step.on.some(({ partId }) => partId === id));
    const sheets = own.reduce((sum, part) => sum + quarterSheets(workSize(part)), 0);
    return { ...step, later: { from: step.missedUntil, minutes: step.scuffMinutes, cost: Math.ceil(sheets) * price } };
  });
}
