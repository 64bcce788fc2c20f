import { type ResolvedLayer, resolveLayer, WEIGHT_OF } from '#core/coats/index';
import type { Part, Piece, Weight } from '#core/facts/index';
import type { PlanContext } from './context.ts';
import { coatsThatCount, type SentBack } from './sentBack.ts';
import { laidFilms, type PlannedFilm } from './films.ts';
import type { Ref } from './ref.ts';
import type { Warmed } from './warmed.ts';
import type { PlacedLayer } from './layerOrder.ts';
import { learnedFactor } from './learning.ts';

type FilmsOf = { readonly piece: Piece; readonly part: Part; readonly sentBack: SentBack | null };

/** Films on each zone of a part, metal first: what the log has laid, and what the plan lays on it. */
export class PartFilms {
  readonly #context: PlanContext;
  readonly #of: FilmsOf;
  readonly #flatted: (layerIndex: number) => boolean;
  readonly #films: PlannedFilm[][];

  constructor(context: PlanContext, of: FilmsOf, flatted: (layerIndex: number) => boolean) {
    this.#context = context;
    this.#of = of;
    this.#flatted = flatted;
    this.#films = of.part.zones.map((zone) => this.#laidOn(zone.id));
  }

  get tops(): PlannedFilm[] {
    return this.#films.flatMap((films) => films.slice(-1));
  }

  /** Every film, zone by zone, bottom to top. */
  get byZone(): readonly (readonly PlannedFilm[])[] {
    return this.#films;
  }

  /** Films of one zone, by its place. */
  on(zone: number): readonly PlannedFilm[] {
    return this.#films[zone];
  }

  /** Coats of a layer on a zone, wherever they lie: one that was laid out of order is a film of its own. */
  coatsOf(layerId: string, zone: number): number {
    return this.#films[zone].reduce((sum, film) => (film.layerId === layerId ? sum + film.coats : sum), 0);
  }

  /** The top film of a layer's zones. */
  top(placed: PlacedLayer): PlannedFilm {
    return this.#films[placed.zones[0]].at(-1) as PlannedFilm;
  }

  /** Another coat of a layer on its zones, as heavy as it goes on. */
  lay(placed: PlacedLayer, ref: Ref, first: boolean, weight: Weight = 'normal'): void {
    const { resolved, zones } = placed;
    const filmUm = resolved.filmUm * WEIGHT_OF[weight];
    for (const zone of zones) {
      const films = this.#films[zone];
      const top = films.at(-1);
      if (!first && top?.layerId === resolved.layer.id) {
        films[films.length - 1] = {
          ...top,
          last: ref,
          ...('at' in top.last ? { soFar: top.last } : {}),
          coats: top.coats + 1,
          filmUm: top.filmUm + filmUm,
          observed: undefined,
          doubtMin: undefined,
        };
      } else {
        films.push({
          family: resolved.family,
          role: resolved.role,
          name: resolved.name,
          lab: resolved.lab,
          layerId: resolved.layer.id,
          ...(resolved.product ? { productId: resolved.product.id } : {}),
          label: this.#bindingLabel(resolved.label),
          placeId: this.#context.workshop.dryPlaceId,
          first: ref,
          last: ref,
          coats: 1,
          filmUm,
          normalUm: resolved.filmUm,
          flatted: false,
          below: top,
          learned: resolved.product ? learnedFactor(resolved.product.id, this.#context) : undefined,
        });
      }
    }
  }

  /** The different films under a layer: one a zone, equal ones once. */
  under(placed: PlacedLayer): { film: PlannedFilm | null }[] {
    const seen = new Map<string, { film: PlannedFilm | null }>();
    for (const zone of placed.zones) {
      const films = this.#films[zone];
      const own = films.findIndex((film) => film.layerId === placed.resolved.layer.id);
      const film = (own >= 0 ? films[own - 1] : films.at(-1)) ?? null;
      seen.set(film?.layerId ?? '-', { film });
    }
    return [...seen.values()];
  }

  /** The top films of these zones have been sanded flat. */
  flat(zones: readonly number[]): void {
    for (const zone of zones) {
      const films = this.#films[zone];
      const top = films.at(-1);
      if (top) films[films.length - 1] = { ...top, flatted: true };
    }
  }

  /** The top films of these zones go through a warm spell. */
  warm(zones: readonly number[], spell: Warmed): void {
    for (const zone of zones) {
      const films = this.#films[zone];
      const top = films.at(-1);
      if (top) films[films.length - 1] = { ...top, warmed: [...(top.warmed ?? []), spell] };
    }
  }

  /** A board of waits finds out what comes after a label’s time: there it does not bind. */
  #bindingLabel(label: ResolvedLayer['label'] | undefined): ResolvedLayer['label'] | undefined {
    if (!label || this.#of.piece.board?.varies !== 'wait') return label;
    const { layerUntilMin: _layer, clearUntilMin: _clear, ...rest } = label;
    return rest;
  }

  #laidOn(zoneId: string): PlannedFilm[] {
    const { piece, part: lead, sentBack } = this.#of;
    const { history, facts } = this.#context;
    const resolvedOf = (layerId: string): ResolvedLayer | undefined => {
      const layer = lead.layers.find((candidate) => candidate.id === layerId.replace(/-before$/, ''));
      return layer && resolveLayer(layer, facts);
    };
    const films = laidFilms(
      coatsThatCount(history.coatsOn(piece.id, lead.id, zoneId), sentBack),
      (coat) => resolvedOf(coat.layerId)?.filmUm ?? coat.filmUm,
      (coat) => this.#bindingLabel(resolvedOf(coat.layerId)?.label),
      (coat) => (coat.productId ? learnedFactor(coat.productId, this.#context) : undefined),
      history.warmed(piece.id, lead.id),
    );
    const flattedAt = (film: PlannedFilm) => this.#flatted(lead.layers.findIndex((layer) => layer.id === film.layerId));
    // What is sent back to its surface is scuffed there, before anything is laid on it again.
    const scuffed = (film: PlannedFilm) => sentBack?.to === 'surface' && film.layerId.endsWith('-before');
    const known = films.map((film) =>
      scuffed(film) || (lead.layers.some((layer) => layer.id === film.layerId) && flattedAt(film)) ? { ...film, flatted: true } : film,
    );
    const said = history.dryness(lead.id, zoneId)[0];
    const top = known.at(-1);
    if (said && top && 'at' in top.last && Date.parse(said.at) / 60_000 >= top.last.at) {
      known[known.length - 1] = { ...top, observed: { stage: said.stage, seen: said.seen, at: Date.parse(said.at) / 60_000 } };
    }
    return known;
  }
}
