import { type DryingClocks, familyDrying, type FilmSet, type FilmTimes, filmTimes, type WarmSpell } from '#core/drying/index';
import type { EventOf, Family, Label, Lab, Role } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { Coat } from './history.ts';
import { type EndOf, type Ref, resolveRef } from './ref.ts';
import type { Warmed } from './warmed.ts';

/** A stage that a person can see or feel, and the moment of a film it speaks of. */
export type SeenStage = EventOf<'dryness'>['stage'];
const MOMENT_OF: Record<SeenStage, keyof FilmTimes> = { coat: 'opens', tape: 'tape', handle: 'handle', fit: 'fit', flat: 'flat' };

/** One layer's film on a zone, laid or planned; times come out once its coats have times. */
export type PlannedFilm = {
  readonly family: Family;
  readonly role: Role;
  readonly name: string;
  readonly lab: Lab;
  readonly layerId: string;
  readonly productId?: string;
  /** The surface below was keyed before its first coat. */
  readonly keyed?: boolean;
  readonly label?: Label;
  readonly placeId: string;
  readonly first: Ref;
  readonly last: Ref;
  /** Its last coat that is in the log already, where the plan lays more on it. */
  readonly soFar?: Ref;
  readonly coats: number;
  readonly filmUm: number;
  readonly normalUm: number;
  readonly flatted: boolean;
  /** The film it lies on: counts with it while not yet dry. */
  readonly below?: PlannedFilm;
  /** Said by the person's finger: the film opened or was tape-safe then; or was still tacky. */
  readonly observed?: { readonly stage: SeenStage; readonly seen: 'dry' | 'tacky'; readonly at: Minute };
  readonly learned?: number;
  /** Its last coat may be older by so many minutes: it dries from the later moment, and its windows shut from the earlier. */
  readonly doubtMin?: Minute;
  /** Warm spells it goes through, by the log or by the plan; absent: none. */
  readonly warmed?: readonly Warmed[];
};

function spellsOf({ warmed = [] }: PlannedFilm, endOf: EndOf): WarmSpell[] {
  return warmed.map(({ since, minutes, surfaceC }) => {
    const from = resolveRef(since, endOf);
    return { from, to: from + minutes, surfaceC };
  });
}

/** A film as it dries, and how much paint dries with it, ÷ two normal coats: all laid since the last layer that had reached dry. */
type Drying = { readonly times: FilmTimes; readonly ratio: number };

/** From the ground up, each film once: what lies below decides how much dries together. */
function dryingOf(film: PlannedFilm, clocks: DryingClocks, endOf: EndOf): Drying {
  const below = film.below && dryingOf(film.below, clocks, endOf);
  const ratio = film.filmUm / (2 * film.normalUm) + (below && isOpenUnder(below.times, resolveRef(film.first, endOf)) ? below.ratio : 0);
  const set: FilmSet = {
    family: film.family,
    label: film.label,
    placeId: film.placeId,
    firstCoatEnd: resolveRef(film.first, endOf),
    lastCoatEnd: resolveRef(film.last, endOf),
    coatRatio: film.filmUm / film.coats / film.normalUm,
    filmRatio: ratio,
    learned: film.learned,
    ...(film.warmed ? { warmed: spellsOf(film, endOf) } : {}),
  };
  return { times: asFelt(film, overCandy(film, doubted(film, filmTimes(set, clocks)))), ratio };
}

function isOpenUnder({ tape, dry }: FilmTimes, started: Minute): boolean {
  return tape !== null && started < tape && (dry === null || started < dry);
}

const STILL_TACKY_WAIT = 10;

/** The moments of a film, with what the person's finger said put over what the clock predicts. */
export function timesOf(film: PlannedFilm, clocks: DryingClocks, endOf: EndOf): FilmTimes {
  return dryingOf(film, clocks, endOf).times;
}

function asFelt(film: PlannedFilm, predicted: FilmTimes): FilmTimes {
  if (!film.observed) return predicted;
  const key = MOMENT_OF[film.observed.stage];
  const said = predicted[key];
  const at =
    film.observed.seen === 'dry'
      ? Math.min(said ?? film.observed.at, film.observed.at)
      : Math.max(said ?? 0, film.observed.at + STILL_TACKY_WAIT);
  return { ...predicted, [key]: at };
}

/** A candy takes tape only on its cured clear: sooner the pull goes through to it (trade §6). */
function overCandy({ below }: PlannedFilm, times: FilmTimes): FilmTimes {
  return below?.family === 'candy' ? { ...times, tape: times.cured } : times;
}

/** Of two days it may be the worse is taken for each: the windows of the older film, the dryness of the younger. */
function doubted({ doubtMin }: PlannedFilm, times: FilmTimes): FilmTimes {
  if (!doubtMin) return times;
  const sooner = (at: Minute | null) => (at === null ? null : at - doubtMin);
  return { ...times, shuts: sooner(times.shuts), layerShuts: sooner(times.layerShuts), clearShuts: sooner(times.clearShuts) };
}

/** Films on a zone from the log, metal first: consecutive coats of the same layer are one film. */
export function laidFilms(
  coats: readonly Coat[],
  normalUm: (coat: Coat) => number,
  label: (coat: Coat) => Label | undefined,
  learned: (coat: Coat) => number | undefined,
  warmed: readonly Warmed[] = [],
): PlannedFilm[] {
  const films: PlannedFilm[] = [];
  for (const coat of coats) {
    const top = films.at(-1);
    if (top && top.layerId === coat.layerId) {
      films[films.length - 1] = {
        ...top,
        last: { at: coat.at },
        coats: top.coats + 1,
        filmUm: top.filmUm + coat.filmUm,
        doubtMin: coat.doubtMin,
      };
    } else {
      films.push({
        family: coat.family,
        role: coat.role,
        name: coat.name,
        lab: coat.lab,
        layerId: coat.layerId,
        ...(coat.productId ? { productId: coat.productId } : {}),
        ...(coat.scuffed ? { keyed: true } : {}),
        label: label(coat),
        placeId: coat.placeId,
        first: { at: coat.at },
        last: { at: coat.at },
        coats: 1,
        filmUm: coat.filmUm,
        normalUm: normalUm(coat),
        flatted: false,
        below: top,
        learned: learned(coat),
        ...(coat.doubtMin === undefined ? {} : { doubtMin: coat.doubtMin }),
        ...(warmed.length > 0 ? { warmed } : {}),
      });
    }
  }
  return films;
}

/** Minutes after the last coat in which tape comes off, on the drying clock. */
export function tapeOffWindow(film: PlannedFilm, clocks: DryingClocks, endOf: EndOf): { from: Minute; to: Minute } {
  const drying = familyDrying(film.family);
  const last = resolveRef(film.last, endOf);
  const at = (minutes: number) => clocks.reached(film.placeId, drying.early ?? drying.mechanism, last, minutes / 60) ?? last + minutes;
  return { from: at(drying.tapeOff[0]), to: at(drying.tapeOff[1]) };
}
