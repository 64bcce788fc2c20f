import { jointInState, type JointVerdict, keptPaint, type ResolvedLayer, resolveLayer } from '#core/coats/index';
import { familyDrying, type FilmState, filmState, type FilmTimes } from '#core/drying/index';
import { isPreserved, type Part, type Piece } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import { backZones } from '#core/zones/index';
import { LyingFilms, type LyingFilm, type Told, toldBy } from './lying.ts';
import { broken, partsWithSteps, type PlacedStep, TOLERANCE, type Verified, type Violation } from './verified.ts';

/** Rules of the films: each coat goes on a film that takes it at that minute; tape, paper and hands wait for theirs. */

export function filmViolations(verified: Verified): Violation[] {
  const told = toldBy(verified);
  return partsWithSteps(verified).flatMap(({ piece, part, steps }) => new Story(verified, told, piece, part).live(steps));
}

class Story {
  readonly #verified: Verified;
  readonly #told: Told;
  readonly #piece: Piece;
  readonly #part: Part;
  readonly #lying: LyingFilms;
  #stripped = false;

  constructor(verified: Verified, told: Told, piece: Piece, part: Part) {
    this.#verified = verified;
    this.#told = told;
    this.#piece = piece;
    this.#part = part;
    this.#lying = new LyingFilms(verified, told, piece, part);
  }

  live(steps: readonly PlacedStep[]): Violation[] {
    return steps.flatMap((step) => this.#meet(step));
  }

  #meet(step: PlacedStep): Violation[] {
    const on = step.on.find((own) => own.partId === this.#part.id);
    if (!on) return [];
    if (step.stage === 'strip' || step.stage === 'strip-off') this.#stripped = true;
    const zones = on.zoneIds.filter((id) => this.#part.zones.find((zone) => zone.id === id)?.bare === undefined);
    const own = step.keys.length > 1 || step.on.length === 1;
    if (step.coat && own) return this.#coat(step, zones);
    this.#lying.warm(step);
    const tops = zones.flatMap((zone) => this.#lying.on(zone)).length > 0 ? zones : [];
    if (step.stage === 'mask' && !step.id.includes('.mask.bare.')) return this.#waits(step, tops, 'tape');
    if (step.stage === 'flat') {
      const found = this.#waits(step, tops, 'flat');
      for (const zone of tops) this.#lying.flat(zone);
      return found;
    }
    if ((step.stage === 'fit' || step.stage === 'assemble') && !isPreserved(this.#piece)) return this.#waits(step, tops, 'fit');
    if (step.stage === 'unmask' && own) return this.#tapeOff(step);
    return [];
  }

  /** A later stage of the top film of each zone is reached. */
  #waits(step: PlacedStep, zones: readonly string[], stage: 'tape' | 'flat' | 'fit' | 'handle'): Violation[] {
    return zones.flatMap((zone) => {
      const films = this.#lying.on(zone);
      if (films.length === 0) return [];
      const times = this.#lying.times(films);
      const at = times[stage] ?? times.handle;
      return at === null || step.placed.start < at - TOLERANCE
        ? [broken(stage, step, `the ${films.at(-1)?.resolved.name} is not ready for it`)]
        : [];
    });
  }

  /** Tape comes off while the edge is soft, unless that moment was missed at the bench. */
  #tapeOff(step: PlacedStep): Violation[] {
    const tops = this.#part.zones.flatMap(({ id }) => this.#lying.on(id).slice(-1));
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
        const films = this.#lying.on(zone);
        const top = films.at(-1);
        if (seen.has(top?.resolved.layer.id ?? '-')) return [];
        seen.add(top?.resolved.layer.id ?? '-');
        return top?.resolved.layer.id === layer.id ? this.#nextCoat(step, films) : this.#firstCoat(step, films, resolved);
      }),
    ];
    this.#lying.coat(zones, resolved, step);
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
  #nextCoat(step: PlacedStep, films: readonly LyingFilm[]): Violation[] {
    const times = this.#lying.times(films);
    const { start } = step.placed;
    const [top] = films.slice(-1);
    const { again } = familyDrying(top.resolved.family);
    const open = times.opens !== null && start >= times.opens - TOLERANCE && (times.shuts === null || start <= times.shuts + TOLERANCE);
    const reopened = again !== 'never' && times.dry !== null && start >= times.dry - TOLERANCE && (again !== 'scuff' || step.placed.scuff);
    return open || reopened ? [] : [broken('recoat window', step, `${top.resolved.name} does not take its next coat then`)];
  }

  /** The first coat of a layer: whatever lies below takes it in the state it then has. */
  #firstCoat(step: PlacedStep, films: readonly LyingFilm[], resolved: ResolvedLayer): Violation[] {
    const top = films.at(-1);
    const { start } = step.placed;
    if (!top) return this.#onGround(step, resolved);
    const times = this.#lying.times(films);
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

/** The state at a moment; on the very edge of a window the film still counts as inside. */
function stateAt(times: FilmTimes, at: Minute): FilmState {
  const later = filmState(times, at + TOLERANCE);
  const sooner = filmState(times, at - TOLERANCE);
  if (later === 'wet' || sooner === 'wet') return later;
  return sooner === 'fresh' && later === 'shut' ? 'fresh' : later;
}
