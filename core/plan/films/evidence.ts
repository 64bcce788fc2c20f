import { type Evidence, paintKey } from '#core/coats/index';
import { airAt, type Conditions, filmState } from '#core/drying/index';
import type { EventOf, Facts, Part, Piece } from '#core/facts/index';
import type { PlanContext } from './context.ts';
import { laidFilms, type PlannedFilm, timesOf } from './films.ts';
import type { EndOf } from './ref.ts';
import type { History } from './history.ts';

/** What the person's boards and finished jobs have shown: each joint as it was really laid, in the state the film below then had. */

const LOGGED: EndOf = () => Number.POSITIVE_INFINITY;

type Source = Pick<PlanContext, 'facts' | 'clocks' | 'history'> & { readonly conditions: Conditions };

/** All evidence in the log: tiles judged on boards, and joints of finished pieces that had no trouble. */
export function evidenceOf(source: Source): Evidence[] {
  const tiles = source.history.events.filter((event): event is EventOf<'tile'> => event.kind === 'tile');
  return source.facts.pieces.flatMap((piece) => {
    const judged = piece.parts.filter((part) => isTile(piece, part));
    const fromTiles = judged.flatMap((part) => {
      const own = tiles.filter((tile) => tile.pieceId === piece.id && tile.partId === part.id);
      return newestOfLayer(own).flatMap((tile) => fromTile(piece, part, tile, source));
    });
    if (!piece.finished) return fromTiles;
    const sound = piece.parts.filter((part) => !judged.includes(part) && source.history.troubles(part.id).length === 0);
    return [...fromTiles, ...sound.flatMap((part) => fromJob(piece, part, source))];
  });
}

/** A tile of a board, or one that was sprayed along with the piece. */
export function isTile(piece: Pick<Piece, 'board'>, part: Pick<Part, 'tile'>): boolean {
  return piece.board !== undefined || part.tile === true;
}

/** A tile looked at twice is judged by the later look. */
function newestOfLayer(tiles: readonly EventOf<'tile'>[]): EventOf<'tile'>[] {
  return [...new Map(tiles.map((tile) => [tile.layerId, tile])).values()];
}

function fromTile(piece: Piece, part: Part, tile: EventOf<'tile'>, source: Source): Evidence[] {
  const joint = jointsLaid(piece, part, source.facts, source.history).find(({ above }) => above.layerId === tile.layerId);
  return joint ? [asEvidence(joint, part, tile.outcome, `Board “${piece.name}”, ${part.name}`, tile.at, source)] : [];
}

function fromJob(piece: Piece, part: Part, source: Source): Evidence[] {
  return jointsLaid(piece, part, source.facts, source.history).map((joint) =>
    asEvidence(joint, part, 'held', `${piece.name}, finished`, new Date(lastAt(joint.above) * 60_000).toISOString(), source),
  );
}

type LaidJoint = { readonly below: PlannedFilm | null; readonly above: PlannedFilm };

function jointsLaid(piece: Piece, part: Part, facts: Facts, history: History): LaidJoint[] {
  const seen = new Set<string>();
  return part.zones.flatMap((zone) => {
    const films = laidFilms(
      history.coatsOn(piece.id, part.id, zone.id),
      (coat) => coat.filmUm,
      (coat) => facts.sheets.find((sheet) => sheet.id === facts.products.find((product) => product.id === coat.productId)?.sheetId)?.label,
      () => undefined,
    );
    return films.flatMap((above, index) => {
      const below = films[index - 1] ?? null;
      const key = `${below?.layerId} ${above.layerId}`;
      if (seen.has(key)) return [];
      seen.add(key);
      return [{ below, above }];
    });
  });
}

function lastAt(film: PlannedFilm): number {
  return 'at' in film.last ? film.last.at : 0;
}

function asEvidence(
  { below, above }: LaidJoint,
  part: Part,
  outcome: Evidence['outcome'],
  from: string,
  at: string,
  source: Source,
): Evidence {
  const laidAt = 'at' in above.first ? above.first.at : 0;
  const flatted = below !== null && isFlatted(source.history, part.id, below.layerId);
  const air = source.conditions[above.placeId];
  return {
    below: below ? paintKey(below) : `bare ${part.material}`,
    above: paintKey(above),
    material: part.material,
    state: below ? filmState(timesOf(below, source.clocks, LOGGED), laidAt) : 'bare',
    ...(below ? { minutesAfter: laidAt - lastAt(below) } : {}),
    scuffed: below === null || flatted || above.keyed === true,
    outcome,
    from,
    at,
    ...(air ? { air: airAt(air, laidAt) } : {}),
  };
}

function isFlatted(history: History, partId: string, layerId: string): boolean {
  return [...history.done.keys()].some((key) => key.includes(`.${partId}.flat.${layerId}.`));
}
