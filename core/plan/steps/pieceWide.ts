import type { Piece, WorkStage } from '#core/facts/index';
import { usualActs } from './acts.ts';
import { pieceKey } from './keys.ts';
import type { Step } from './step.ts';

/** A step that is done to a piece as a whole. */
export function pieceWide(
  piece: Piece,
  stage: WorkStage,
  subject: string,
  rest: Pick<Step, 'title' | 'minutes' | 'detail' | 'hazards' | 'because'> &
    Partial<Pick<Step, 'acts' | 'stopped' | 'checks' | 'inspects' | 'asks' | 'supplies' | 'constraints' | 'setup'>>,
): Step {
  const id = pieceKey(piece.id, stage, subject);
  const parts = piece.parts.filter(({ gone }) => !gone);
  return {
    id,
    keys: [id],
    pieceId: piece.id,
    stage,
    acts: usualActs({ stage }),
    on: parts.map((part) => ({ partId: part.id, zoneIds: part.zones.map((zone) => zone.id) })),
    pegs: parts.flatMap((part) => part.pegs),
    setup: 0,
    scuffMinutes: 0,
    source: 'default',
    supplies: [],
    constraints: [],
    batch: null,
    treatment: null,
    tight: false,
    ...rest,
    minutes: Math.max(1, Math.round(rest.minutes)),
  };
}
