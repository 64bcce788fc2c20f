import { dividedFacts } from '#core/zones/index';
import { resolveLayer } from '#core/coats/index';
import {
  AIDS,
  airAt,
  changedAir,
  type Conditions,
  clocksOf,
  DryingClocks,
  type ForcedCure,
  forcedCure,
  referenceHours,
  type Stage,
  familyDrying,
  type FilmTimes,
  sunSurface,
  warmthLimit,
} from '#core/drying/index';
import type { EventOf, Facts, Family, Part, Piece } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';
import { laidFilms, type PlannedFilm, timesOf } from './films.ts';
import type { EndOf } from './ref.ts';
import { historyOf } from './history.ts';
import { type Learned, learnedFactor, learnedProducts, observationsOf, spreadAfter } from './learning.ts';
import { isPlanned } from '#core/safety/index';

/** Every stage of every film that hangs, now and ahead, and what would quicken it. */

export type FilmStage = {
  readonly name: string;
  readonly at: Minute | null;
  /** The band: nine in ten films of this kind are between. */
  readonly early: Minute | null;
  readonly late: Minute | null;
  readonly source: 'own' | 'label' | 'default';
};

export type FilmAhead = {
  readonly pieceId: string;
  readonly partId: string;
  readonly who: string;
  readonly pegs: readonly number[];
  readonly paint: string;
  readonly laidAt: Minute;
  readonly stages: readonly FilmStage[];
  /** Hours until cured as it hangs, and with each aid; null: never. */
  readonly curesInHours: number | null;
  readonly aids: readonly { readonly name: string; readonly hours: number | null }[];
  readonly oven: ForcedCure;
  /** Warm spells it went through, as logged. */
  readonly warmed: readonly EventOf<'warmed'>[];
  /** Surface in full sun now, °C, and whether part and coating bear it. */
  readonly sun: { readonly surfaceC: number; readonly bears: boolean };
};

export type FilmsAhead = { readonly films: readonly FilmAhead[]; readonly learned: readonly Learned[] };

const ROWS: readonly (readonly [name: string, time: keyof FilmTimes, stage: Stage])[] = [
  ['touch', 'touch', 'touch'],
  ['next coat', 'opens', 'coatFrom'],
  ['shuts', 'shuts', 'coatFrom'],
  ['other paint', 'layer', 'layerFrom'],
  ['again', 'dry', 'again'],
  ['handle', 'handle', 'handle'],
  ['tape-safe', 'tape', 'tape'],
  ['flat', 'flat', 'flat'],
  ['fit', 'fit', 'fit'],
  ['cured', 'cured', 'cure'],
];

const NINETY = 1.645;
const LOGGED: EndOf = () => Number.POSITIVE_INFINITY;

export function filmsAhead(known: Facts, now: Minute, conditions: Conditions): FilmsAhead {
  const facts = dividedFacts(known);
  const history = historyOf(facts);
  const clocks = clocksOf(conditions);
  const aided = AIDS.map(({ name, change }) => ({ name, clocks: new DryingClocks(changedAir(conditions, change)) }));
  const films = facts.pieces
    .filter((piece) => !piece.finished)
    .flatMap((piece) => piece.parts.filter(isPlanned).flatMap((part) => topFilm(piece, part)));
  return {
    films,
    learned: learnedProducts(
      facts.products.map((product) => product.id),
      { facts, history, clocks },
    ),
  };

  function topFilm(piece: Piece, part: Part): FilmAhead[] {
    const tops = part.zones.flatMap((zone) => {
      const coats = history.coatsOn(piece.id, part.id, zone.id);
      const resolved = (layerId: string) => {
        const layer = part.layers.find((own) => own.id === layerId);
        return layer && resolveLayer(layer, facts);
      };
      return laidFilms(
        coats,
        (coat) => resolved(coat.layerId)?.filmUm ?? coat.filmUm,
        (coat) => resolved(coat.layerId)?.label,
        (coat) => (coat.productId ? learnedFactor(coat.productId, { facts, history, clocks }) : undefined),
        history.warmed(piece.id, part.id),
      ).slice(-1);
    });
    const newest = tops.sort((a, b) => endOf(b) - endOf(a))[0];
    return newest ? [ahead(piece, part, newest)] : [];
  }

  function inSun(part: Part, film: PlannedFilm, below: readonly Family[]): FilmAhead['sun'] {
    const air = conditions[film.placeId];
    const surfaceC = sunSurface(air ? airAt(air, now).airC : 20, film.lab.l);
    return { surfaceC, bears: surfaceC <= warmthLimit([part.material], [film.family, ...below]).limitC };
  }

  function ahead(piece: Piece, part: Part, film: PlannedFilm): FilmAhead {
    const times = timesOf(film, clocks, LOGGED);
    const laidAt = endOf(film);
    const observations = film.productId ? observationsOf(film.productId, { facts, history, clocks }) : 0;
    const spread = Math.exp(NINETY * spreadAfter(observations));
    const stages = ROWS.map(([name, time, stage]): FilmStage => {
      const at = times[time];
      const source = film.learned === undefined ? referenceHours(familyDrying(film.family), stage, film.label).source : 'own';
      const scaled = (factor: number) => (at === null ? null : laidAt + (at - laidAt) * factor);
      return { name, at, early: scaled(1 / spread), late: scaled(spread), source };
    });
    const below = part.zones.flatMap(({ id }) => history.coatsOn(piece.id, part.id, id).map(({ family }) => family));
    const cureIn = (own: DryingClocks) => {
      const cured = timesOf(film, own, LOGGED).cured;
      return cured === null ? null : Math.max(0, (cured - now) / 60);
    };
    return {
      pieceId: piece.id,
      partId: part.id,
      who: `${piece.name}, ${part.name.toLowerCase()}`,
      pegs: part.pegs,
      paint: film.name,
      laidAt,
      stages,
      curesInHours: cureIn(clocks),
      aids: aided.map(({ name, clocks: own }) => ({ name, hours: cureIn(own) })),
      oven: forcedCure(part.material, film.family, below),
      warmed: history.events.filter(
        (event): event is EventOf<'warmed'> =>
          event.kind === 'warmed' && event.pieceId === piece.id && event.partIds.includes(part.id) && toMinute(event.at) >= laidAt,
      ),
      sun: inSun(part, film, below),
    };
  }
}

function endOf(film: PlannedFilm): Minute {
  return 'at' in film.last ? film.last.at : 0;
}
