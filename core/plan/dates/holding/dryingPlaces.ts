import type { DryingClocks } from '#core/drying/index';
import type { Part, Piece, Workshop } from '#core/facts/index';
import type { Activity, Hung, Problem, Spell } from '#core/schedule/index';
import { HOUR, type Minute } from '#core/units/index';
import { type EndOf, type HangingPart, type PlannedFilm, timesOf } from '../../films/index.ts';
import type { Step } from '../../steps/index.ts';

/** What hangs where films dry: every copy from its coat on until it bears a hand and can be laid down (trade §12). */

/** A film that nothing later looks at is laid down after about this. */
const USUALLY_HANGS: Minute = 12 * HOUR;

/** The longest side of a part’s largest face, mm: what a hook or a shelf must take. */
export function longestOf({ faces }: Pick<Part, 'faces'>): number {
  return Math.max(0, ...faces.map(({ longMm, shortMm }) => Math.max(longMm, shortMm)));
}

/** What its place must take of a part. */
function hungOf(part: Part): Hung {
  return { count: part.copies, longMm: longestOf(part), ...(part.grams === undefined ? {} : { grams: part.grams }) };
}

/** The warmth to come has no date when its coat gets one: until then a film is taken to hang for as long as without. */
function notYetWarmed({ warmed, ...film }: PlannedFilm): PlannedFilm {
  return { ...film, warmed: (warmed ?? []).filter(({ since }) => 'at' in since) };
}

/** What each coat hangs, and until when. */
export class Hangers {
  readonly #pieces: ReadonlyMap<string, Piece>;
  readonly #films: ReadonlyMap<string, PlannedFilm>;
  readonly #clocks: DryingClocks;

  constructor(steps: readonly Step[], pieces: readonly Piece[], clocks: DryingClocks) {
    this.#pieces = new Map(pieces.map((piece) => [piece.id, piece]));
    this.#films = new Map(
      steps.flatMap(({ constraints }) =>
        constraints.flatMap(({ rule }) =>
          'film' in rule && 'step' in rule.film.last ? [[rule.film.last.step, notYetWarmed(rule.film)] as const] : [],
        ),
      ),
    );
    this.#clocks = clocks;
  }

  of(step: Step): Pick<Activity, 'hangs'> {
    if (!step.coat) return {};
    const parts = this.#pieces.get(step.pieceId)?.parts ?? [];
    const copies = step.on.flatMap(({ partId }) => {
      const part = parts.find(({ id }) => id === partId);
      return part ? [{ what: `${step.pieceId} ${partId}`, copies: hungOf(part) }] : [];
    });
    const film = this.#films.get(step.id);
    return {
      hangs: (start, end, endOf) => {
        const until = film ? this.#handledAt(film, step.id, end, endOf) : end + USUALLY_HANGS;
        return copies.map((own): Spell => ({ ...own, from: start, until }));
      },
    };
  }

  #handledAt(film: PlannedFilm, stepId: string, end: Minute, endOf: EndOf): Minute {
    const times = timesOf(film, this.#clocks, (id) => (id === stepId ? end : endOf(id)));
    return times.handle ?? end + USUALLY_HANGS;
  }
}

/** Places as the workshop says, with what hangs there by the log. */
export function dryingOf(
  { dryingPlaces }: Workshop,
  pieces: readonly Piece[],
  hanging: readonly Pick<HangingPart, 'pieceId' | 'partId' | 'hung'>[],
  now: Minute,
): Pick<Problem, 'drying'> {
  if (!dryingPlaces || dryingPlaces.length === 0) return {};
  return { drying: { places: dryingPlaces, hanging: hanging.flatMap((own) => hungNow(own, pieces, now)) } };
}

function hungNow(
  { pieceId, partId, hung }: Pick<HangingPart, 'pieceId' | 'partId' | 'hung'>,
  pieces: readonly Piece[],
  now: Minute,
): Spell[] {
  const part = pieces.find(({ id }) => id === pieceId)?.parts.find(({ id }) => id === partId);
  const until = hung?.times.handle ?? null;
  if (!part || until === null || until <= now) return [];
  return [{ what: `${pieceId} ${partId}`, from: now, until, copies: hungOf(part) }];
}
