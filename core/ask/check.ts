import type { Facts } from '#core/facts/index';
import { isPlanned, unplannedBecause } from '#core/safety/index';
import { fitOrder, partAreaCm2, postPlan, unreachableLater } from '#core/survey/index';
import { toIso } from '#core/units/index';
import { bathsOf, type Plan, preparationOf } from '#core/plan/index';

/** Plain text and JSON views of a plan for scripts. */

export type CheckRow = {
  readonly piece: string;
  readonly part: string;
  readonly layer: string;
  readonly on: string;
  readonly verdict: string;
  readonly rule: string;
  readonly because: string;
  readonly remedies: readonly string[];
};

/** Every joint of every part with its verdict, and every strip method that is refused. */
export function checkRows(
  plan: Plan,
  facts: Facts,
  remediesOf: (entry: Plan['pieces'][number]['steps']['joints'][number]) => string[],
): CheckRow[] {
  return plan.pieces.flatMap((piece) => {
    const fact = facts.pieces.find((candidate) => candidate.id === piece.pieceId);
    const strips = [...piece.steps.strips].flatMap(([partId, choice]) =>
      choice.refused
        ? [
            {
              piece: fact?.name ?? '',
              part: partName(fact, partId),
              layer: choice.method ?? 'strip',
              on: 'old paint',
              verdict: 'stop',
              rule: choice.verdict?.rule ?? 'strip',
              because: choice.refused,
              remedies: [],
            },
          ]
        : [],
    );
    const joints = piece.steps.joints.map((entry) => ({
      piece: fact?.name ?? '',
      part: partName(fact, entry.partId),
      layer: layerName(piece, entry.partId, entry.layerId),
      on: entry.belowLayerId ? layerName(piece, entry.partId, entry.belowLayerId) : 'the bare part',
      verdict: entry.laid ? 'laid' : entry.joint.verdict,
      rule: entry.joint.answer.rule,
      because: entry.joint.answer.because,
      remedies: entry.laid ? [] : remediesOf(entry),
    }));
    return [...strips, ...joints];
  });
}

function partName(piece: Facts['pieces'][number] | undefined, partId: string): string {
  return piece?.parts.find((part) => part.id === partId)?.name ?? partId;
}

function layerName(piece: Plan['pieces'][number], partId: string, layerId: string): string {
  return piece.stacks[partId]?.layers.find((layer) => layer.layerId === layerId)?.name ?? layerId;
}

/** The plan as documented JSON: moments in ISO text, money in minor units. */
export function planJson(plan: Plan, facts: Facts, rows: readonly CheckRow[]) {
  const workshop = facts.workshop[0];
  return {
    format: 'enamelos-plan',
    version: 1,
    now: toIso(plan.now),
    currency: workshop?.currency,
    steps: plan.steps.map((step) => ({
      key: step.id,
      keys: step.keys,
      piece: step.pieceId,
      stage: step.stage,
      title: step.title,
      detail: step.detail,
      minutes: step.minutes,
      pegs: step.pegs,
      because: step.because,
      source: step.source,
      start: step.placed ? toIso(step.placed.start) : null,
      end: step.placed ? toIso(step.placed.end) : null,
      scuffFirst: step.placed?.scuff ?? false,
      holds: step.placed ? step.placed.hold : { by: 'stop', text: step.unplacedWhy },
      hazards: step.hazards,
      ...(step.coat ? { coat: step.coat } : {}),
      ...(step.checks ? { checks: step.checks } : {}),
      ...(step.looks ? { looksAfterMinutes: step.looks } : {}),
    })),
    sessions: plan.sessions.map((session) => ({
      from: toIso(session.from),
      to: toIso(session.to),
      minutes: session.attendedMinutes,
      steps: session.stepIds,
    })),
    verdicts: rows,
    pieces: plan.pieces.map((piece) => ({
      id: piece.pieceId,
      likely: piece.likely === null ? null : toIso(piece.likely),
      safe: piece.safe === null ? null : toIso(piece.safe),
      sessions: piece.sessions,
      minutes: piece.attendedMinutes,
      money: piece.money,
      stopped: piece.stopped ?? null,
      late: piece.late,
      masking: Object.fromEntries(piece.steps.masking),
      beyond: piece.beyond,
      notes: piece.notes,
      ...beforePaint(piece.pieceId, facts),
    })),
    purchases: plan.purchases,
    needs: plan.needs,
    cautions: plan.cautions,
    hanging: plan.hanging.map((part) => ({ piece: part.pieceId, part: part.partId, pegs: part.pegs, state: part.state })),
  };
}

/** Survey, teardown, strip and surface of a piece, part by part. */
function beforePaint(pieceId: string, facts: Facts) {
  const piece = facts.pieces.find((candidate) => candidate.id === pieceId);
  if (!piece) return {};
  const parts = piece.parts.map((part) => ({
    id: part.id,
    name: part.name,
    material: part.material,
    areaCm2: Math.round(partAreaCm2(part) * 10) / 10,
    ...(isPlanned(part)
      ? preparationOf(piece, part, facts)
      : { left: unplannedBecause(part.stops) ?? (part.gone ? 'gone' : 'masked in place') }),
  }));
  const posts = (piece.fastenings ?? []).flatMap((fastening) =>
    fastening.post ? [{ fastening: fastening.id, count: fastening.count, ...postPlan(fastening.post) }] : [],
  );
  const baths = bathsOf(piece).map(({ method, bath }) => ({
    method,
    together: bath.together.map((part) => part.id),
    out: bath.out.map(({ part, why }) => ({ part: part.id, why })),
  }));
  return { parts, posts, baths, fitOrder: fitOrder(piece).map((part) => part.id), unreachable: unreachableLater(piece) };
}
