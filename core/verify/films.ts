import { jointInState, type JointVerdict, keptPaint, type ResolvedLayer, resolveLayer } from '#core/coats/index';
import { familyDrying, type FilmSet, type FilmState, filmState, type FilmTimes, filmTimes, type WarmSpell } from '#core/drying/index';
import type { EventOf, Part, Piece } from '#core/facts/index';
import { evidenceOf, historyOf, learnedFactor } from '#core/plan/index';
import { type Minute, toMinute } from '#core/units/index';
import { backZones } from '#core/zones/index';
import { broken, partsWithSteps, type PlacedStep, TOLERANCE, type Verified, type Violation } from './verified.ts';

/** Rules of the films: each coat goes on a film that takes it at that minute; tape, paper and hands wait for theirs. */

/** A film as it lies on a zone at some moment of the story. */
type Film = {
  readonly resolved: ResolvedLayer;
  readonly placeId: string;
  readonly first: Minute;
  readonly last: Minute;
  readonly um: number;
  readonly coats: number;
  readonly flatted: boolean;
  readonly keyed: boolean;
  readonly seen?: EventOf<'dryness'>;
};

export function filmViolations(verified: Verified): Violation[] {
  const told = tellerOf(verified);
  return partsWithSteps(verified).flatMap(({ piece, part, steps }) => new Story(verified, told, piece, part).live(steps));
}

/** What the log has shown beside the films: learned factors and evidence of joints. */
function tellerOf({ facts, clocks, conditions }: Verified) {
  const history = historyOf(facts);
  return {
    history,
    evidence: evidenceOf({ facts, clocks, history, conditions }),
    learned: (productId: string) => learnedFactor(productId, { facts, clocks, history }),
  };
}

class Story {
  readonly #verified: Verified;
  readonly #told: ReturnType<typeof tellerOf>;
  readonly #piece: Piece;
  readonly #part: Part;
  readonly #zones = new Map<string, Film[]>();
  readonly #warmed: WarmSpell[];
  #stripped = false;

  constructor(verified: Verified, told: ReturnType<typeof tellerOf>, piece: Piece, part: Part) {
    this.#verified = verified;
    this.#told = told;
    this.#piece = piece;
    this.#part = part;
    this.#warmed = told.history
      .warmed(piece.id, part.id)
      .flatMap(({ since, minutes, surfaceC }) => ('at' in since ? [{ from: since.at, to: since.at + minutes, surfaceC }] : []));
    for (const zone of part.zones) this.#zones.set(zone.id, this.#laidBefore(zone.id));
  }

  live(steps: readonly PlacedStep[]): Violation[] {
    return steps.flatMap((step) => this.#meet(step));
  }

  #laidBefore(zoneId: string): Film[] {
    const { facts } = this.#verified;
    const films: Film[] = [];
    for (const coat of this.#told.history.coatsOn(this.#piece.id, this.#part.id, zoneId)) {
      const layer = this.#part.layers.find((own) => own.id === coat.layerId) ?? {
        id: coat.layerId,
        coats: 1,
        covers: 'all' as const,
        ...(coat.productId
          ? { productId: coat.productId }
          : { wanted: { family: coat.family, role: coat.role, name: coat.name, lab: coat.lab } }),
      };
      films.push(...this.#onto(films, resolveLayer(layer, facts), coat.at, coat.filmUm, coat.placeId, coat.scuffed === true));
    }
    const seen = this.#told.history.dryness(this.#part.id, zoneId)[0];
    const top = films.at(-1);
    if (seen && top && toMinute(seen.at) >= top.last) films[films.length - 1] = { ...top, seen };
    return films.map((film) => (this.#flattedBefore(film) ? { ...film, flatted: true } : film));
  }

  #flattedBefore({ resolved }: Film): boolean {
    const key = `${this.#piece.id}.${this.#part.id}.flat.${resolved.layer.id}.`;
    return [...this.#told.history.done.keys()].some((own) => own.startsWith(key));
  }

  /** The films with one more coat: on the same layer's, or as a film of its own. */
  #onto(films: Film[], resolved: ResolvedLayer, at: Minute, um: number, placeId: string, keyed: boolean): Film[] {
    const top = films.at(-1);
    if (top?.resolved.layer.id !== resolved.layer.id)
      return [{ resolved, placeId, first: at, last: at, um, coats: 1, flatted: false, keyed }];
    const { seen: _old, ...rest } = top;
    films.pop();
    return [{ ...rest, last: at, um: top.um + um, coats: top.coats + 1 }];
  }

  #times(films: readonly Film[], index = films.length - 1): FilmTimes {
    const film = films[index];
    const normal = film.resolved.filmUm;
    const set: FilmSet = {
      family: film.resolved.family,
      label: film.resolved.label,
      placeId: film.placeId,
      firstCoatEnd: film.first,
      lastCoatEnd: film.last,
      coatRatio: film.um / film.coats / normal,
      filmRatio: this.#ratio(films, index),
      warmed: this.#warmed,
      ...(film.resolved.product ? { learned: this.#told.learned(film.resolved.product.id) } : {}),
    };
    const times = filmTimes(set, this.#verified.clocks);
    return film.seen ? withSeen(times, film.seen) : times;
  }

  /** Film laid since the last layer that had reached dry, against two normal coats. */
  #ratio(films: readonly Film[], index: number): number {
    const own = films[index].um / (2 * films[index].resolved.filmUm);
    if (index === 0) return own;
    const below = this.#times(films, index - 1);
    const { first } = films[index];
    const open = below.tape !== null && first < below.tape && (below.dry === null || first < below.dry);
    return open ? own + this.#ratio(films, index - 1) : own;
  }

  #meet(step: PlacedStep): Violation[] {
    const on = step.on.find((own) => own.partId === this.#part.id);
    if (!on) return [];
    if (step.stage === 'strip' || step.stage === 'strip-off') this.#stripped = true;
    const zones = on.zoneIds.filter((id) => this.#part.zones.find((zone) => zone.id === id)?.bare === undefined);
    const own = step.keys.length > 1 || step.on.length === 1;
    if (step.coat && own) return this.#coat(step, zones);
    if (step.warm) this.#warmed.push({ from: step.placed.end, to: step.placed.end + step.warm.minutes, surfaceC: step.warm.surfaceC });
    const tops = zones.flatMap((zone) => this.#zones.get(zone) ?? []).length > 0 ? zones : [];
    if (step.stage === 'mask' && !step.id.includes('.mask.bare.')) return this.#waits(step, tops, 'tape');
    if (step.stage === 'flat') {
      const found = this.#waits(step, tops, 'flat');
      for (const zone of tops) this.#flat(zone);
      return found;
    }
    if ((step.stage === 'fit' || step.stage === 'assemble') && this.#piece.aim !== 'preserve') return this.#waits(step, tops, 'fit');
    if (step.stage === 'unmask' && own) return this.#tapeOff(step);
    return [];
  }

  #flat(zone: string): void {
    const films = this.#zones.get(zone) ?? [];
    const top = films.at(-1);
    if (top) films[films.length - 1] = { ...top, flatted: true };
  }

  /** A later stage of the top film of each zone is reached. */
  #waits(step: PlacedStep, zones: readonly string[], stage: 'tape' | 'flat' | 'fit' | 'handle'): Violation[] {
    return zones.flatMap((zone) => {
      const films = this.#zones.get(zone) ?? [];
      if (films.length === 0) return [];
      const times = this.#times(films);
      const at = times[stage] ?? times.handle;
      return at === null || step.placed.start < at - TOLERANCE
        ? [broken(stage, step, `the ${films.at(-1)?.resolved.name} is not ready for it`)]
        : [];
    });
  }

  /** Tape comes off while the edge is soft, unless that moment was missed at the bench. */
  #tapeOff(step: PlacedStep): Violation[] {
    const tops = [...this.#zones.values()].flatMap((films) => films.slice(-1));
    const newest = tops.sort((a, b) => b.last - a.last)[0];
    if (!newest || newest.last <= this.#verified.plan.now) return [];
    const drying = familyDrying(newest.resolved.family);
    const reached = (minutes: number) =>
      this.#verified.clocks.reached(newest.placeId, drying.early ?? drying.mechanism, newest.last, minutes / 60) ?? newest.last + minutes;
    const [from, to] = drying.tapeOff.map(reached);
    const { start } = step.placed;
    return start < from - TOLERANCE || start > to + TOLERANCE ? [broken('tape off', step, 'not while the edge is soft')] : [];
  }

  #coat(step: PlacedStep, zones: readonly string[]): Violation[] {
    const { facts } = this.#verified;
    const key = step.keys.find((own) => own.startsWith(`${this.#piece.id}.${this.#part.id}.`)) ?? step.id;
    const layer = this.#part.layers.find((own) => own.id === key.split('.')[3]);
    if (!layer || !step.coat) return [];
    const resolved = resolveLayer(layer, facts);
    const seen = new Set<string>();
    const found = [
      ...this.#turned(step, zones),
      ...zones.flatMap((zone) => {
        const films = this.#zones.get(zone) ?? [];
        const top = films.at(-1);
        if (seen.has(top?.resolved.layer.id ?? '-')) return [];
        seen.add(top?.resolved.layer.id ?? '-');
        return top?.resolved.layer.id === layer.id ? this.#nextCoat(step, films) : this.#firstCoat(step, films, resolved);
      }),
    ];
    for (const zone of zones) {
      const films = this.#zones.get(zone) ?? [];
      films.push(...this.#onto(films, resolved, step.placed.end, step.coat.filmUm, facts.workshop[0].dryPlaceId, step.placed.scuff));
    }
    return found;
  }

  /** What is sprayed on one side lies on the other, which must bear that. */
  #turned(step: PlacedStep, zones: readonly string[]): Violation[] {
    const back = backZones(this.#part);
    if (back.size === 0) return [];
    const side = back.has(zones[0]);
    const others = this.#part.zones.filter(({ id }) => back.has(id) !== side).map(({ id }) => id);
    return this.#waits(step, others, 'handle');
  }

  /** Another coat of the same layer: in its window, or again once it has reopened. */
  #nextCoat(step: PlacedStep, films: readonly Film[]): Violation[] {
    const times = this.#times(films);
    const { start } = step.placed;
    const [top] = films.slice(-1);
    const { again } = familyDrying(top.resolved.family);
    const open = times.opens !== null && start >= times.opens - TOLERANCE && (times.shuts === null || start <= times.shuts + TOLERANCE);
    const reopened = again !== 'never' && times.dry !== null && start >= times.dry - TOLERANCE && (again !== 'scuff' || step.placed.scuff);
    return open || reopened ? [] : [broken('recoat window', step, `${top.resolved.name} does not take its next coat then`)];
  }

  /** The first coat of a layer: whatever lies below takes it in the state it then has. */
  #firstCoat(step: PlacedStep, films: readonly Film[], resolved: ResolvedLayer): Violation[] {
    const top = films.at(-1);
    const { start } = step.placed;
    if (!top) return this.#onGround(step, resolved);
    const times = this.#times(films);
    const state = stateAt(times, start);
    const drying = familyDrying(top.resolved.family);
    const verdict = jointInState(
      this.#part.material,
      {
        family: top.resolved.family,
        role: top.resolved.role,
        flatted: top.flatted,
        ...(top.resolved.product ? { productId: top.resolved.product.id } : {}),
        ageDays: Math.max(0, start - top.last) / 1440,
      },
      resolved,
      this.#told.evidence,
      {
        state,
        scuffed: top.flatted || step.placed.scuff,
        ...(state === 'fresh' ? { hours: this.#verified.clocks.progress(top.placeId, drying.mechanism, top.last, start) + 1e-6 } : {}),
      },
    );
    return this.#unless(verdict.verdict, step, verdict.because);
  }

  #onGround(step: PlacedStep, resolved: ResolvedLayer): Violation[] {
    const kept = !this.#stripped && this.#part.finish !== 'bare' && this.#keepsPaint();
    const under = kept ? keptPaint(this.#part) : null;
    const verdict = jointInState(this.#part.material, under, resolved, this.#told.evidence, {
      state: under?.kept?.state ?? 'dry',
      scuffed: true,
    });
    return this.#unless(verdict.verdict, step, verdict.because);
  }

  /** Nothing has taken the old paint off, in the log or in the plan. */
  #keepsPaint(): boolean {
    return !this.#told.history.applications(this.#piece.id, this.#part.id).some((event) => event.outcome === 'clean');
  }

  #unless(verdict: JointVerdict, step: PlacedStep, because: string): Violation[] {
    return verdict === 'stop' ? [broken('joint', step, because)] : [];
  }
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

/** The state at a moment; on the very edge of a window the film still counts as inside. */
function stateAt(times: FilmTimes, at: Minute): FilmState {
  const later = filmState(times, at + TOLERANCE);
  const sooner = filmState(times, at - TOLERANCE);
  if (later === 'wet' || sooner === 'wet') return later;
  return sooner === 'fresh' && later === 'shut' ? 'fresh' : later;
}
