import type { Piece } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import type { SectionKey } from './sectionNames.ts';

/** What holds a piece up, and where it is put right; no place where it is of no single part. */
export type Hold = { readonly text: string; readonly place?: MendPlace };

export type MendPlace = {
  readonly section: SectionKey;
  readonly partId: string;
  /** The layer and part, or the part, that it is of. */
  readonly who: string;
  /** The words of the link. */
  readonly mend: string;
  /** That section tells the reason by itself, beside its mends. */
  readonly told: boolean;
};

/** Each reason once: what is undecided, what stops it, else why there is no date, and what is still missing. */
export function holdsOf(piece: Piece, view: PieceView): Hold[] {
  const { undecided, stopped, noDateWhy } = view;
  const noDate = noDateWhy !== null && !(stopped && noDateWhy.includes(stopped)) && noDateWhy !== undecided ? [{ text: noDateWhy }] : [];
  const missing = piece.parts.flatMap((part) =>
    (view.stacks[part.id]?.missing ?? []).map((text): Hold => {
      return { text, place: { section: 'coats', partId: part.id, who: part.name, mend: 'Put it on under Coats', told: false } };
    }),
  );
  return [...(undecided ? [{ text: undecided }] : []), ...(stopped ? [stopOf(piece, view, stopped)] : []), ...noDate, ...missing];
}

function stopOf(piece: Piece, view: PieceView, stopped: string): Hold {
  const joint = view.joints.find((own) => own.joint.verdict === 'stop' && !own.laid && stopped.includes(own.joint.answer.because));
  if (joint) {
    const layer = view.stacks[joint.partId]?.layers.find(({ layerId }) => layerId === joint.layerId)?.name ?? 'A layer';
    const part = piece.parts.find(({ id }) => id === joint.partId)?.name.toLowerCase() ?? 'a part';
    return {
      text: stopped,
      place: { section: 'coats', partId: joint.partId, who: `${layer} on ${part}`, mend: 'The ways to mend it', told: true },
    };
  }
  const refused = piece.parts.find(({ id }) => {
    const why = view.strips[id]?.refused;
    return why !== undefined && stopped.includes(why);
  });
  if (!refused) return { text: stopped };
  return { text: stopped, place: { section: 'strip', partId: refused.id, who: refused.name, mend: 'Choose another method', told: false } };
}
