import type { Session } from '#core/plan/index';

/** Time to place on the board, and back: bench minutes are drawn wider than drying minutes, by a factor that is said. */
export type Axis = {
  readonly from: number;
  readonly to: number;
  readonly fold: number;
  readonly place: (at: number) => number;
  /** The moment drawn at a place; outside the board its nearest end. */
  readonly momentAt: (place: number) => number;
};

const SHARE_OF_BENCH = 0.5;
const MOST_FOLD = 24;

/** Piecewise straight: sessions take up to half the width between them. `plain` draws every minute alike. */
export function foldedAxis(
  from: number,
  to: number,
  width: number,
  sessions: readonly Pick<Session, 'from' | 'to'>[],
  plain: boolean,
): Axis {
  const spans = sessions
    .map((session) => ({ from: Math.max(from, session.from - 6), to: Math.min(to, session.to + 6) }))
    .filter((span) => span.to > span.from);
  const bench = spans.reduce((sum, span) => sum + span.to - span.from, 0);
  const rest = to - from - bench;
  const wanted = bench > 0 && rest > 0 ? (SHARE_OF_BENCH / (1 - SHARE_OF_BENCH)) * (rest / bench) : 1;
  const fold = plain ? 1 : Math.min(MOST_FOLD, Math.max(1, wanted));
  const scale = width / (rest + bench * fold);
  const place = (at: number) => {
    const inside = Math.min(to, Math.max(from, at));
    const benchBefore = spans.reduce((sum, span) => sum + Math.max(0, Math.min(inside, span.to) - span.from), 0);
    return (inside - from - benchBefore + benchBefore * fold) * scale;
  };
  const momentAt = (wantedPlace: number) => {
    let [low, high] = [from, to];
    while (high - low > 0.25) {
      const middle = (low + high) / 2;
      if (place(middle) < wantedPlace) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  return { from, to, fold, place, momentAt };
}
