import type { PaintNeed } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import { listed } from '#core/units/index';
import { coatsIn, inOrder, runsDryAt } from './oneMix.ts';
import { partsOf } from './paintNeeds.ts';
import type { PlannedStep, Pour } from '../plannedStep.ts';

/** What is mixed out of bottles and jars right before a coat: once, for every piece that takes it. */

/** A cup is not measured finer than this, mL. */
const FINEST_ML = 0.05;

/** The steps with what is mixed right before them: before the first coat that the jar does not reach, or its try on scrap. */
export function withPours(steps: readonly PlannedStep[], needs: readonly PaintNeed[], facts: Facts): readonly PlannedStep[] {
  const pours = new Map(
    needs.flatMap((need) => {
      const pour = pourOf(need, facts);
      const own = coatsIn(need, steps);
      const first = runsDryAt(need, own)?.stepId ?? own[0]?.id;
      // A paint that is tried on scrap first is mixed for that.
      const tried = first === own[0]?.id ? inOrder(steps.filter(({ treatment }) => treatment === `scrap ${need.mix}`))[0]?.id : undefined;
      return pour && first ? [[tried ?? first, pour] as const] : [];
    }),
  );
  if (pours.size === 0) return steps;
  return steps.map((step) => {
    const pour = pours.get(step.id);
    return pour ? { ...step, pour, detail: [pour.text, step.detail].filter(Boolean).join('; ') } : step;
  });
}

function pourOf({ toMixMl, productId, name, byPiece }: PaintNeed, facts: Facts): Pour | null {
  if (toMixMl <= 0 || productId === undefined) return null;
  // The dark goes into the light (trade §10).
  const lightFirst = [...partsOf(productId, facts)].sort((a, b) => b.product.lab.l - a.product.lab.l);
  const parts = lightFirst.map(({ product, share }) => ({
    productId: product.id,
    name: product.name,
    ml: rounded(Math.max(FINEST_ML, Math.ceil((toMixMl * share) / FINEST_ML - 1e-9) * FINEST_ML)),
  }));
  const ml = rounded(parts.reduce((sum, part) => sum + part.ml, 0));
  const whole = byPiece.length > 1 ? `, for all ${byPiece.length} pieces` : '';
  const what = listed(parts.map((part) => `${part.name} ${spoken(part.ml)}`));
  return { productId, name, ml, parts, text: `mix ${spoken(ml)} first${whole}: ${what}, the dark drop by drop` };
}

function spoken(ml: number): string {
  return `${ml < 10 ? rounded(ml) : Math.round(ml * 10) / 10} mL`;
}

function rounded(ml: number): number {
  return Math.round(ml * 100) / 100;
}
