import { batchMl, CAN_RESIDUE, reserveMl } from '#core/amounts/index';
import { leadDays, type PaintNeed, shelfCans, type ShelfCan, usableMl } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import type { Placed } from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import type { Step } from '../steps/index.ts';

/** Which steps wait for paint that is not on the shelf: until the shop can have it here. */
export function waitForPaint(steps: readonly Step[], facts: Facts, now: Minute): Step[] {
  const cans = shelfCans(facts);
  const left = new Map<string, number>();
  return steps.map((step) => {
    const { coat } = step;
    if (!coat) return step;
    const had = left.get(coat.mix) ?? (coat.productId ? usableMl(cans, coat.productId, CAN_RESIDUE) : 0);
    left.set(coat.mix, had - coat.ml);
    if (had >= coat.ml) return step;
    const lead = leadDays(facts, coat.productId);
    // Today's evening is no time to shop: what is missing is here tomorrow at the soonest.
    const arrives = now + Math.max(1, lead) * DAY - 6 * 60;
    if (step.notBefore !== undefined && step.notBefore >= arrives) return step;
    return { ...step, notBefore: arrives, notBeforeWhy: `${coat.name} must be bought first` };
  });
}

/** mL of each paint that the pending steps take, batch by batch, against what the shelf holds. */
export function paintNeeds(
  steps: readonly Step[],
  placed: ReadonlyMap<string, Placed>,
  facts: Facts,
  cans: readonly ShelfCan[] = shelfCans(facts),
): PaintNeed[] {
  const needs = new Map<string, { steps: Step[] }>();
  for (const step of steps) {
    // Nothing is bought for a coat that would not sit.
    if (!step.coat || step.stopped !== undefined) continue;
    const entry = needs.get(step.coat.mix) ?? { steps: [] };
    entry.steps.push(step);
    needs.set(step.coat.mix, entry);
  }
  return [...needs].map(([mix, { steps: own }]) => {
    const coat = own[0].coat as NonNullable<Step['coat']>;
    const batches = new Map<string, number>();
    for (const step of own) {
      const at = placed.get(step.id)?.start;
      const batch = at === undefined ? step.pieceId : String(Math.floor(at / (6 * 60)));
      batches.set(batch, (batches.get(batch) ?? 0) + (step.coat?.ml ?? 0));
    }
    const neededMl = [...batches.values()].reduce((sum, ml) => sum + batchMl(ml) * (1 - CAN_RESIDUE), 0);
    const pieces = new Set(own.map((step) => step.pieceId));
    const keptMl = facts.workshop[0] ? pieces.size * reserveMl(coat.role, facts.workshop[0]) : 0;
    const shelfMl = coat.productId ? usableMl(cans, coat.productId, CAN_RESIDUE) : 0;
    const starts = own.flatMap((step) => placed.get(step.id)?.start ?? []);
    return {
      mix,
      productId: coat.productId,
      name: coat.name,
      family: coat.family,
      role: coat.role,
      neededMl,
      shelfMl,
      keptMl,
      // A can is not bought for the touch-up jar alone; where one is bought, it holds the jar too.
      jarMl: neededMl > shelfMl ? keptMl : Math.min(keptMl, shelfMl - neededMl),
      missingMl: neededMl > shelfMl ? (neededMl + keptMl - shelfMl) / (1 - CAN_RESIDUE) : 0,
      neededBy: starts.length > 0 ? Math.min(...starts) : null,
    };
  });
}
