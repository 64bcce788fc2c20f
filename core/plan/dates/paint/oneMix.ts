import { type PaintNeed, reachOf } from '#core/buying/index';
import { colourDifference } from '#core/colour/index';
import type { Detail, Facts, Lab } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';
import type { Minute } from '#core/units/index';
import type { PlannedStep } from '../plannedStep.ts';
import { detailsToCome } from './detailsToCome.ts';

/**
 * One mix for all that is to look alike: panels of a set, both sides of a seam, brushed details. How much it takes, whether the jar
 * lasts, and where it would run dry: a second mix is never quite the first (trade §10).
 */

export type ColourUse = {
  /** Paint from its bottle, all coats and details still to come. */
  readonly ml: number;
  /** The same with a fifth over (trade §6). */
  readonly withSpareMl: number;
  readonly pieces: readonly { readonly pieceId: string; readonly ml: number }[];
};

/** What is mixed over what the coats need. */
const SPARE = 0.2;
/** Two colours nearer than this are one, ΔE2000. */
const SAME = 1;

/** What is planned in a colour, whatever paint it is to come from. */
export function plannedInColour(lab: Lab, steps: readonly PlannedStep[], facts: Facts): ColourUse {
  return plannedFor(
    steps,
    facts,
    (step) => step.coat !== undefined && colourDifference(step.coat.lab, lab) < SAME,
    (detail) => colourDifference(detail.lab, lab) < SAME,
  );
}

export type MixLasts = {
  /** What its coats, its details and the nozzles take, and whether the jar has it. */
  readonly need: PaintNeed;
  readonly productId: string;
  /** The first coat the jar does not reach; null where it lasts. */
  readonly runsDry: RunsDry | null;
  /** What coats half as heavy on faces nobody sees would save, mL. */
  readonly hiddenSavesMl: number;
};

export type RunsDry = { readonly stepId: string; readonly pieceId: string; readonly title: string; readonly at: Minute | null };

/** Every mix with something planned in it. @param facts with their zones divided */
export function mixesLast(needs: readonly PaintNeed[], steps: readonly PlannedStep[], facts: Facts): MixLasts[] {
  return needs.flatMap((need) => {
    const product = facts.products.find(({ id }) => id === need.productId);
    if (need.what !== 'paint' || !product?.mix) return [];
    const own = coatsIn(need, steps);
    return [
      {
        need,
        productId: product.id,
        runsDry: runsDryAt(need, own),
        hiddenSavesMl: hiddenSpots(own, facts).reduce((sum, { savesMl }) => sum + savesMl, 0),
      },
    ];
  });
}

/** The coats still to come in a paint, in their order. */
export function coatsIn({ mix }: Pick<PaintNeed, 'mix'>, steps: readonly PlannedStep[]): PlannedStep[] {
  return inOrder(steps.filter(({ coat, stopped }) => coat?.mix === mix && stopped === undefined));
}

/** By their dates; what has none comes last. */
export function inOrder(steps: readonly PlannedStep[]): PlannedStep[] {
  return [...steps].sort((a, b) => (a.placed?.start ?? Number.POSITIVE_INFINITY) - (b.placed?.start ?? Number.POSITIVE_INFINITY));
}

/** The first of these coats, in their order, that what is here does not reach; null where it lasts. */
export function runsDryAt(need: PaintNeed, coats: readonly PlannedStep[]): RunsDry | null {
  if (reachOf(need).shortMl === 0) return null;
  // What clears the nozzles, and what details take, is gone before the coats are on.
  let left = need.shelfMl - need.neededMl + coats.reduce((sum, { coat }) => sum + (coat?.paintMl ?? 0), 0);
  for (const { id, pieceId, title, placed, coat } of coats) {
    left -= coat?.paintMl ?? 0;
    if (left < -1e-6) return { stepId: id, pieceId, title, at: placed?.start ?? null };
  }
  return null;
}

/** How heavily a face that nobody sees may be sprayed where paint is short. */
const HIDDEN_WEIGHT = 0.5;

/** A part of which faces that nobody sees may be sprayed thinly, and what that saves of the paint, mL from its container. */
export type HiddenSpot = { readonly pieceId: string; readonly partId: string; readonly savesMl: number };

/** Where a paint that is short may be thinned out, what saves most first. */
export function hiddenSpots(steps: readonly PlannedStep[], facts: Facts): HiddenSpot[] {
  const spots = new Map<string, HiddenSpot>();
  for (const step of steps)
    for (const { partId, ml } of hiddenOn(step, facts)) {
      const key = `${step.pieceId} ${partId}`;
      const known = spots.get(key)?.savesMl ?? 0;
      spots.set(key, { pieceId: step.pieceId, partId, savesMl: known + ml * (1 - HIDDEN_WEIGHT) });
    }
  return [...spots.values()].filter(({ savesMl }) => savesMl > 0).sort((a, b) => b.savesMl - a.savesMl);
}

/** What of a coat goes on faces that nobody sees, part by part, mL from the container. */
function hiddenOn({ pieceId, on, coat }: PlannedStep, { pieces }: Facts): { readonly partId: string; readonly ml: number }[] {
  const piece = pieces.find((own) => own.id === pieceId);
  return on.flatMap(({ partId, zoneIds, ml }) => {
    const part = piece?.parts.find((own) => own.id === partId);
    if (!part || !coat || coat.ml <= 0) return [];
    const faces = part.faces.filter((face) => zoneIds.includes(face.zoneId));
    const all = areaMm2(faces);
    const paintMl = ((ml ?? coat.ml) / coat.ml) * coat.paintMl;
    return all > 0 ? [{ partId, ml: (paintMl * areaMm2(faces.filter((face) => !face.seen))) / all }] : [];
  });
}

function plannedFor(
  steps: readonly PlannedStep[],
  facts: Facts,
  takesCoat: (step: PlannedStep) => boolean,
  takesDetail: (detail: Detail) => boolean,
): ColourUse {
  const byPiece = new Map<string, number>();
  const add = (pieceId: string, ml: number) => byPiece.set(pieceId, (byPiece.get(pieceId) ?? 0) + ml);
  for (const step of steps) if (step.coat && step.stopped === undefined && takesCoat(step)) add(step.pieceId, step.coat.paintMl);
  for (const { pieceId, detail, ml } of detailsToCome(steps, facts)) if (takesDetail(detail)) add(pieceId, ml);
  const ml = [...byPiece.values()].reduce((sum, own) => sum + own, 0);
  return { ml, withSpareMl: ml * (1 + SPARE), pieces: [...byPiece].map(([pieceId, own]) => ({ pieceId, ml: own })) };
}
