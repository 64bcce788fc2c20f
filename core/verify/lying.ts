import { type ResolvedLayer, resolveLayer } from '#core/coats/index';
import { type FilmSet, type FilmTimes, filmTimes, type WarmSpell } from '#core/drying/index';
import type { EventOf, Part, Piece } from '#core/facts/index';
import { evidenceOf, historyOf, learnedFactor } from '#core/plan/index';
import { type Minute, toMinute } from '#core/units/index';
import type { PlacedStep, Verified } from './verified.ts';

/** The films that lie on a part as a plan is lived through: what the log has laid, and what each placed coat adds. */

/** A film as it lies on a zone at some moment of the story. */
export type LyingFilm = {
  readonly resolved: ResolvedLayer;
  readonly placeId: string;
  readonly first: Minute;
  readonly last: Minute;
  readonly um: number;
  readonly coats: number;
  readonly flatted: boolean;
  readonly seen?: EventOf<'dryness'>;
};

export type Told = ReturnType<typeof toldBy>;

/** What the log has shown beside the films: learned factors and evidence of joints. */
export function toldBy({ facts, clocks, conditions }: Pick<Verified, 'facts' | 'clocks' | 'conditions'>) {
  const history = historyOf(facts);
  return {
    history,
    evidence: evidenceOf({ facts, clocks, history, conditions }),
    learned: (productId: string) => learnedFactor(productId, { facts, clocks, history }),
  };
}

type Around = Pick<Verified, 'facts' | 'clocks'>;

export class LyingFilms {
  readonly #around: Around;
  readonly #told: Told;
  readonly #piece: Piece;
  readonly #part: Part;
  readonly #zones = new Map<string, LyingFilm[]>();
  readonly #warmed: WarmSpell[];

  constructor(around: Around, told: Told, piece: Piece, part: Part) {
    this.#around = around;
    this.#told = told;
    this.#piece = piece;
    this.#part = part;
    this.#warmed = told.history
      .warmed(piece.id, part.id)
      .flatMap(({ since, minutes, surfaceC }) => ('at' in since ? [{ from: since.at, to: since.at + minutes, surfaceC }] : []));
    for (const zone of part.zones) this.#zones.set(zone.id, this.#laidBefore(zone.id));
  }

  /** Bottom to top, as they lie on a zone. */
  on(zoneId: string): readonly LyingFilm[] {
    return this.#zones.get(zoneId) ?? [];
  }

  /** One more coat of a layer on each of these zones, from its end on. */
  coat(zones: readonly string[], resolved: ResolvedLayer, step: PlacedStep): void {
    const { facts } = this.#around;
    for (const zone of zones) {
      const films = [...this.on(zone)];
      films.push(...this.#onto(films, resolved, step.placed.end, step.coat?.filmUm ?? 0, facts.workshop[0].dryPlaceId));
      this.#zones.set(zone, films);
    }
  }

  warm(step: PlacedStep): void {
    if (step.warm) this.#warmed.push({ from: step.placed.end, to: step.placed.end + step.warm.minutes, surfaceC: step.warm.surfaceC });
  }

  flat(zone: string): void {
    const films = [...this.on(zone)];
    const top = films.pop();
    if (top) this.#zones.set(zone, [...films, { ...top, flatted: true }]);
  }

  /** Taken off to the ground. */
  bare(): void {
    for (const zone of this.#zones.keys()) this.#zones.set(zone, []);
  }

  #laidBefore(zoneId: string): LyingFilm[] {
    const { facts } = this.#around;
    const films: LyingFilm[] = [];
    for (const coat of this.#told.history.coatsOn(this.#piece.id, this.#part.id, zoneId)) {
      const layer = this.#part.layers.find((own) => own.id === coat.layerId) ?? {
        id: coat.layerId,
        coats: 1,
        covers: 'all' as const,
        ...(coat.productId
          ? { productId: coat.productId }
          : { wanted: { family: coat.family, role: coat.role, name: coat.name, lab: coat.lab } }),
      };
      films.push(...this.#onto(films, resolveLayer(layer, facts), coat.at, coat.filmUm, coat.placeId));
    }
    const seen = this.#told.history.dryness(this.#part.id, zoneId)[0];
    const top = films.at(-1);
    if (seen && top && toMinute(seen.at) >= top.last) films[films.length - 1] = { ...top, seen };
    return films.map((film) => (this.#flattedBefore(film) ? { ...film, flatted: true } : film));
  }

  #flattedBefore({ resolved }: LyingFilm): boolean {
    const key = `${this.#piece.id}.${this.#part.id}.flat.${resolved.layer.id}.`;
    return this.#told.history.doneOf(this.#piece.id, this.#part.id).some(([own]) => own.startsWith(key));
  }

  /** The films with one more coat: on the same layer's, or as a film of its own. */
  #onto(films: LyingFilm[], resolved: ResolvedLayer, at: Minute, um: number, placeId: string): LyingFilm[] {
    const top = films.at(-1);
    if (top?.resolved.layer.id !== resolved.layer.id) return [{ resolved, placeId, first: at, last: at, um, coats: 1, flatted: false }];
    const { seen: _old, ...rest } = top;
    films.pop();
    return [{ ...rest, last: at, um: top.um + um, coats: top.coats + 1 }];
  }

  /** The moments of a film, the topmost unless another is named. */
  times(films: readonly LyingFilm[], index = films.length - 1): FilmTimes {
    return this.#drying(films, index).times;
  }

  /** And how much dries with it, against two normal coats: all laid since the last layer that had reached dry. */
  #drying(films: readonly LyingFilm[], index: number): { readonly times: FilmTimes; readonly ratio: number } {
    const film = films[index];
    const normal = film.resolved.filmUm;
    const below = index > 0 ? this.#drying(films, index - 1) : null;
    const ratio = film.um / (2 * normal) + (below && isOpenAt(below.times, film.first) ? below.ratio : 0);
    const set: FilmSet = {
      family: film.resolved.family,
      label: film.resolved.label,
      placeId: film.placeId,
      firstCoatEnd: film.first,
      lastCoatEnd: film.last,
      coatRatio: film.um / film.coats / normal,
      filmRatio: ratio,
      warmed: this.#warmed,
      ...(film.resolved.product ? { learned: this.#told.learned(film.resolved.product.id) } : {}),
    };
    const times = filmTimes(set, this.#around.clocks);
    return { times: film.seen ? withSeen(times, film.seen) : times, ratio };
  }
}

function isOpenAt({ tape, dry }: FilmTimes, first: Minute): boolean {
  return tape !== null && first < tape && (dry === null || first < dry);
}

/** What the finger has said of a film is put over what the clock says. */
const MOMENT_OF = { coat: 'opens', tape: 'tape', handle: 'handle', fit: 'fit', flat: 'flat' } as const;
const STILL_TACKY_WAIT = 10;

function withSeen(times: FilmTimes, { stage, seen, at }: EventOf<'dryness'>): FilmTimes {
  const key = MOMENT_OF[stage];
  const said = times[key];
  const moment = toMinute(at);
  return { ...times, [key]: seen === 'dry' ? Math.min(said ?? moment, moment) : Math.max(said ?? 0, moment + STILL_TACKY_WAIT) };
}
