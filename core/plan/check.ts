import type { Facts } from '#core/facts/index';
import { toIso } from '#core/units/index';
import type { Plan } from './plan.ts';

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
    })),
    purchases: plan.purchases,
    needs: plan.needs,
    cautions: plan.cautions,
    hanging: plan.hanging.map((part) => ({ piece: part.pieceId, part: part.partId, pegs: part.pegs, state: part.state })),
  };
}
