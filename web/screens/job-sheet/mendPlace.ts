import type { Piece } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import type { SectionKey } from './sectionNames.ts';

export type MendPlace = {
  readonly section: SectionKey;
  readonly partId: string;
  readonly who: string;
  readonly mend: string;
  /** That section tells the reason by itself. */
  readonly told: boolean;
};

/** The section and part where what holds the piece up is put right; null where it is of no part. */
export function mendPlace(piece: Piece, view: PieceView): MendPlace | null {
  const stops = view.joints.filter((own) => own.joint.verdict === 'stop' && !own.laid);
  const joint = stops.find((own) => view.stopped?.includes(own.joint.answer.because)) ?? stops[0];
  if (view.stopped && joint) {
    const layer = view.stacks[joint.partId]?.layers.find(({ layerId }) => layerId === joint.layerId)?.name ?? 'A layer';
    const who = `${layer} on ${nameOf(piece, joint.partId)}`;
    return { section: 'coats', partId: joint.partId, who, mend: 'The ways to mend it', told: true };
  }
  const refused = piece.parts.find(({ id }) => view.strips[id]?.refused);
  if (view.stopped && refused)
    return { section: 'strip', partId: refused.id, who: refused.name, mend: 'Choose another method', told: false };
  const bare = piece.parts.find(({ id }) => (view.stacks[id]?.missing.length ?? 0) > 0);
  return bare ? { section: 'coats', partId: bare.id, who: bare.name, mend: 'Put it on under Coats', told: false } : null;
}

const nameOf = ({ parts }: Piece, id: string) => parts.find((part) => part.id === id)?.name.toLowerCase() ?? 'a part';
