import type { Piece } from '#core/facts/index';
import { atLocal, type Minute, toIso } from '#core/units/index';
import type { HangingPart } from '../films/index.ts';
import { plan, type PlanInput } from '../plan.ts';
import { withPiece } from './ways.ts';

/** A piece laid aside for weeks: when it may be wrapped, and what has to be done again once it is taken up. */

/** From when on paper or film may touch every coat of a piece; null: one of them never cures by itself. `now`: at once. */
export function wrapsFrom(pieceId: string, hanging: readonly Pick<HangingPart, 'hung' | 'pieceId'>[], now: Minute): Minute | null {
  const cured = hanging.flatMap(({ hung, pieceId: own }) => (own === pieceId && hung ? [hung.times.cured] : []));
  return cured.some((at) => at === null) ? null : Math.max(now, ...(cured as Minute[]));
}

export type Resumed = {
  /** Steps that begin with keying, rubbing off or wiping again, only because it lay. */
  readonly redone: readonly { readonly title: string; readonly minutes: number }[];
  /** Minutes more at the bench in all. */
  readonly more: Minute;
  /** When it would end. */
  readonly end: Minute | null;
};

/** What lying until a day costs a piece, beside being worked on from now. @param date YYYY-MM-DD */
export function resumedOn(date: string, piece: Piece, input: PlanInput): Resumed {
  const { held, ...taken } = piece;
  const own = (of: Piece) => {
    const result = plan({ ...input, facts: { ...withPiece(input.facts, of), agreed: [] }, datesOf: [] });
    return {
      steps: result.steps.filter(({ pieceId }) => pieceId === piece.id),
      end: result.pieces.find(({ pieceId }) => pieceId === piece.id)?.planned ?? null,
    };
  };
  const at = atLocal(date, 0, input.facts.workshop[0].timeZone);
  const [now, later] = [own(taken), own({ ...taken, held: { since: held?.since ?? toIso(input.now), until: date } })];
  const keyedNow = new Set(now.steps.flatMap(({ keys, placed }) => (placed?.scuff ? keys : [])));
  const redone = later.steps.filter(({ keys, placed }) => placed?.scuff && placed.start >= at && !keys.some((key) => keyedNow.has(key)));
  return {
    redone: redone.map(({ title, scuffMinutes }) => ({ title, minutes: scuffMinutes })),
    more: redone.reduce((sum, { scuffMinutes }) => sum + scuffMinutes, 0),
    end: later.end,
  };
}
