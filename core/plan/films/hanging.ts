import { type Band, bandsOf, type HungFilm, lineState, type LineState } from '#core/bench/index';
import type { Lab, Part, Piece } from '#core/facts/index';
import type { Placed } from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import type { PlanContext } from './context.ts';
import { laidFilms, type PlannedFilm, timesOf } from './films.ts';
import { type EndOf, resolveRef } from './ref.ts';
import { layersInOrder } from './layerOrder.ts';
import { learnedFactor } from './learning.ts';
import { isPlanned } from '#core/safety/index';

const CURED_SHOWN = 2 * DAY;

export type BandOfFilm = Band & { readonly lab: Lab; readonly name: string };

/** A part as it hangs: its top film now, and every band it will show on the drying board. */
export type HangingPart = {
  readonly pieceId: string;
  readonly partId: string;
  readonly name: string;
  readonly pegs: readonly number[];
  readonly state: LineState | null;
  readonly hung: HungFilm | null;
  readonly bands: readonly BandOfFilm[];
};

/** When dust would stick to a part: from each of its coats until that is touch-dry. */
export type WetPart = Pick<HangingPart, 'pieceId' | 'partId' | 'pegs'> & {
  readonly wet: readonly { readonly from: Minute; readonly until: Minute; readonly name: string; readonly placeId: string }[];
};

/** The film of a zone as it is after one coat; it lasts until the next coat goes on. */
type AfterCoat = { readonly film: PlannedFilm; readonly laid: boolean };

/** Steps that make a part's films; parts side by side share one. */
export type FilmSteps = {
  /** The one that lays a coat of a layer. */
  readonly coat: (pieceId: string, partId: string, layerId: string, number: number, position?: 'back') => string | undefined;
  /** The one that puts the part with that layer into the warm. */
  readonly warm: (pieceId: string, partId: string, layerId: string) => string | undefined;
};

export function hangingFilms(
  context: PlanContext,
  placed: ReadonlyMap<string, Placed>,
  pieces: readonly Piece[],
  steps: FilmSteps,
): (HangingPart & WetPart)[] {
  return pieces
    .filter((piece) => !piece.finished)
    .flatMap((piece) => piece.parts.filter(isPlanned).map((part) => hangingPart(piece, part, context, placed, steps)));
}

function hangingPart(
  piece: Piece,
  part: Part,
  context: PlanContext,
  placed: ReadonlyMap<string, Placed>,
  steps: FilmSteps,
): HangingPart & WetPart {
  const endOf: EndOf = (id) => placed.get(id)?.end ?? Number.POSITIVE_INFINITY;
  const laid = laidCoats(piece, part, context).sort((a, b) => lastAt(a, endOf) - lastAt(b, endOf));
  const planned = [
    ...plannedCoats(
      piece,
      part,
      context,
      placed,
      { ...steps, coat: (pieceId, partId, layerId, number) => steps.coat(pieceId, partId, layerId, number, 'back') },
      laid,
    ),
    ...plannedCoats(piece, part, context, placed, steps, laid),
  ].sort((a, b) => lastAt(a, endOf) - lastAt(b, endOf));
  const now = laid.at(-1);
  const times = now ? timesOf(observed(now.film, part, context), context.clocks, endOf) : null;
  const hung: HungFilm | null =
    now && times
      ? {
          pieceId: piece.id,
          partIds: [part.id],
          pegs: part.pegs,
          name: `${piece.name}, ${part.name}`,
          coatName: now.film.name,
          lab: now.film.lab,
          times,
        }
      : null;
  return {
    pieceId: piece.id,
    partId: part.id,
    name: part.name,
    pegs: part.pegs,
    state: times ? lineState(times, context.now) : null,
    hung,
    bands: bandsAlong([...laid, ...planned], context, endOf),
    wet: [...laid, ...planned].map(({ film }) => wetSpell(film, context, endOf)),
  };
}

/** The person's finger, where it touched this film after its last coat. */
function observed(film: PlannedFilm, part: Part, context: PlanContext): PlannedFilm {
  const said = part.zones.flatMap((zone) => context.history.dryness(part.id, zone.id))[0];
  const at = said ? Date.parse(said.at) / 60_000 : 0;
  return said && 'at' in film.last && at >= film.last.at ? { ...film, observed: { stage: said.stage, seen: said.seen, at } } : film;
}

function lastAt({ film }: AfterCoat, endOf: EndOf): Minute {
  return 'at' in film.last ? film.last.at : endOf(film.last.step);
}

/** After each laid coat, every coat once even where it covered several zones. */
function laidCoats(piece: Piece, part: Part, context: PlanContext): AfterCoat[] {
  const seen = new Set<string>();
  return part.zones.flatMap((zone) => {
    const coats = context.history.coatsOn(piece.id, part.id, zone.id);
    const learned = (coat: (typeof coats)[number]) => (coat.productId ? learnedFactor(coat.productId, context) : undefined);
    return coats.flatMap((coat, index) => {
      if (seen.has(coat.eventId)) return [];
      seen.add(coat.eventId);
      const label = context.facts.sheets.find(
        (sheet) => sheet.id === context.facts.products.find((product) => product.id === coat.productId)?.sheetId,
      )?.label;
      const film = laidFilms(
        coats.slice(0, index + 1),
        (each) => each.filmUm,
        () => label,
        learned,
        context.history.warmed(piece.id, part.id),
      ).at(-1);
      return film ? [{ film, laid: true }] : [];
    });
  });
}

/** After each planned coat, on top of what that layer has already. */
function plannedCoats(
  piece: Piece,
  part: Part,
  context: PlanContext,
  placed: ReadonlyMap<string, Placed>,
  steps: FilmSteps,
  laid: readonly AfterCoat[],
): AfterCoat[] {
  return layersInOrder(part, context).layers.flatMap(({ resolved }) => {
    const into = steps.warm(piece.id, part.id, resolved.layer.id);
    const { warm } = resolved.layer;
    const warmed = warm && into && placed.has(into) ? { warmed: [{ since: { step: into }, ...warm }] } : {};
    let film = laid.filter((entry) => entry.film.layerId === resolved.layer.id).at(-1)?.film;
    const entries: AfterCoat[] = [];
    for (let number = 1; number <= resolved.layer.coats; number++) {
      const step = steps.coat(piece.id, part.id, resolved.layer.id, number);
      if (!step || !placed.has(step)) continue;
      film = film
        ? { ...film, last: { step }, coats: film.coats + 1, filmUm: film.filmUm + resolved.filmUm }
        : {
            family: resolved.family,
            role: resolved.role,
            name: resolved.name,
            lab: resolved.lab,
            layerId: resolved.layer.id,
            label: resolved.label,
            placeId: context.workshop.dryPlaceId,
            first: { step },
            last: { step },
            coats: 1,
            filmUm: resolved.filmUm,
            normalUm: resolved.filmUm,
            flatted: false,
          };
      if (number === resolved.layer.coats) film = { ...film, ...warmed };
      entries.push({ film, laid: false });
    }
    return entries;
  });
}

function wetSpell(film: PlannedFilm, context: PlanContext, endOf: EndOf): WetPart['wet'][number] {
  const from = resolveRef(film.last, endOf);
  const { touch, opens } = timesOf(film, context.clocks, endOf);
  return { from, until: touch ?? opens ?? from, name: film.name, placeId: film.placeId };
}

function bandsAlong(entries: readonly AfterCoat[], context: PlanContext, endOf: EndOf): BandOfFilm[] {
  return entries.flatMap((entry, index) => {
    const from = lastAt(entry, endOf);
    const times = timesOf(entry.film, context.clocks, endOf);
    const next = entries[index + 1];
    const until = next ? lastAt(next, endOf) : (times.cured ?? times.fit ?? from + DAY) + CURED_SHOWN;
    return bandsOf(times, from, Math.max(from, until)).map((band) => ({ ...band, lab: entry.film.lab, name: entry.film.name }));
  });
}
