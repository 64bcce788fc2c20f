import { type FilmState, filmState, type FilmTimes } from '#core/drying/index';
import type { Lab } from '#core/facts/index';
import type { Minute } from '#core/units/index';

/** The state of every film now, and what opens or shuts next. */

export type HungFilm = {
  readonly pieceId: string;
  readonly partIds: readonly string[];
  readonly pegs: readonly number[];
  readonly name: string;
  readonly coatName: string;
  readonly lab: Lab;
  readonly times: FilmTimes;
};

/** Where a tag hangs on the drying line. `open` is what the trade calls fresh; `tape-safe` is dry and may be taped. */
export type LineState = 'wet' | 'open' | 'shut' | 'tape-safe' | 'cured';
export const LINE_STATES: readonly LineState[] = ['wet', 'open', 'shut', 'tape-safe', 'cured'];

/** What a film may be called on the line at a moment: open films count as tape-safe once they are. */
export function lineState(times: FilmTimes, at: Minute): LineState {
  const state: FilmState = filmState(times, at);
  if (state === 'cured') return 'cured';
  if (state === 'wet') return 'wet';
  if (times.shuts === null && times.tape !== null && at >= times.tape) return 'tape-safe';
  if (state === 'dry') return 'tape-safe';
  return state === 'shut' ? 'shut' : 'open';
}

export type MomentKind = 'opens' | 'shuts' | 'tape' | 'dry' | 'handle' | 'cured';
export type LineMoment = {
  readonly at: Minute;
  readonly kind: MomentKind;
  readonly pegs: readonly number[];
  readonly name: string;
  readonly pieceId: string;
  readonly text: string;
};

const WORDS: Record<MomentKind, string> = {
  opens: 'may be coated',
  shuts: 'shuts',
  tape: 'tape may go on',
  dry: 'opens again',
  handle: 'may be handled',
  cured: 'cured',
};

/** The next moments of all hung films, soonest first. */
export function nextMoments(films: readonly HungFilm[], now: Minute): LineMoment[] {
  return films
    .flatMap((film) =>
      (Object.keys(WORDS) as MomentKind[]).flatMap((kind) => {
        const at = film.times[kind];
        if (at === null || at <= now) return [];
        if (kind === 'dry' && film.times.shuts === null) return [];
        return [{ at, kind, pegs: film.pegs, name: film.name, pieceId: film.pieceId, text: `${who(film)} ${WORDS[kind]}` }];
      }),
    )
    .sort((a, b) => a.at - b.at);
}

function who(film: HungFilm): string {
  if (film.pegs.length === 0) return film.name;
  return film.pegs.length === 1 ? `peg ${film.pegs[0]}` : `pegs ${film.pegs.join(' ')}`;
}

/** A stretch of one state, for the drying board. */
export type Band = { readonly from: Minute; readonly to: Minute; readonly state: LineState };

/** How a film passes through its states from its last coat until `until`. */
export function bandsOf(times: FilmTimes, from: Minute, until: Minute): Band[] {
  const turns = [times.opens, times.shuts, times.dry, times.tape, times.cured].filter(
    (at): at is Minute => at !== null && at > from && at < until,
  );
  const edges = [from, ...[...new Set(turns)].sort((a, b) => a - b), until];
  const bands: Band[] = [];
  for (let i = 0; i + 1 < edges.length; i++) {
    const state = lineState(times, (edges[i] + edges[i + 1]) / 2);
    const last = bands.at(-1);
    if (last?.state === state) bands[bands.length - 1] = { ...last, to: edges[i + 1] };
    else if (edges[i + 1] > edges[i]) bands.push({ from: edges[i], to: edges[i + 1], state });
  }
  return bands;
}
