import type { JointAnswer, StackJoint } from '#core/coats/index';
import type { FilmState } from '#core/drying/index';
import type { Minute } from '#core/units/index';

/** The verdict of one joint of a part's stack, bottom first. */
export type JointOfPart = {
  readonly partId: string;
  readonly layerId: string;
  /** The layer below, or null for the part itself. */
  readonly belowLayerId: string | null;
  readonly joint: StackJoint;
  /** It lies on the old paint that is kept. */
  readonly onOldPaint?: boolean;
  /** Laid already: the verdict is history. */
  readonly laid: boolean;
  /** Its window shut for good before it was on, and when: the part is planned stripped, or with a fresh base coat. */
  readonly overshot?: { readonly since: Minute; readonly way: 'fresh-base' | 'strip' };
  /** What it would be this very minute, where the film below is laid already. */
  readonly now?: { readonly state: FilmState; readonly answer: JointAnswer };
};
