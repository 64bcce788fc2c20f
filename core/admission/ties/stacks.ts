import { resolveLayer } from '#core/coats/index';
import type { Facts, Layer, Part, Piece } from '#core/facts/index';

/** A piece before and after something was taken out of it: what is there, and what stands next to what is gone. */
export class Stacks {
  readonly #facts: Facts;
  readonly #now: ReadonlyMap<string, Part>;
  readonly #before: ReadonlyMap<string, Part>;
  readonly #pictures: ReadonlySet<string>;
  readonly #targets: ReadonlySet<string>;

  /** Parts that were taken out. */
  readonly removedParts: readonly string[];

  constructor(now: Piece, before: Piece, facts: Facts) {
    this.#facts = facts;
    this.#now = byId(now);
    this.#before = byId(before);
    this.removedParts = before.parts.flatMap(({ id }) => (this.#now.has(id) ? [] : [id]));
    this.#pictures = new Set((now.pictures ?? []).map(({ id }) => id));
    this.#targets = new Set((now.targets ?? []).map(({ id }) => id));
  }

  readonly hasPart = (id: string): boolean => this.#now.has(id);
  readonly hasPicture = (id: string): boolean => this.#pictures.has(id);
  readonly hasTarget = (id: string): boolean => this.#targets.has(id);

  hasLayer(partId: string, layerId: string): boolean {
    return this.#now.get(partId)?.layers.some(({ id }) => id === layerId) ?? false;
  }

  /** The name of a layer that is there. */
  layerName(partId: string, layerId: string): string {
    const layer = this.#now.get(partId)?.layers.find(({ id }) => id === layerId);
    return layer ? resolveLayer(layer, this.#facts).name : layerId;
  }

  /** The nearest layer below one that is gone; null: there is none, or nobody knows where it lay. */
  below(partId: string, layerId: string): string | null {
    return this.#nearest(partId, layerId, (layers, place) => layers.slice(0, Math.max(0, place)).reverse());
  }

  /** The nearest layer above one that is gone. */
  above(partId: string, layerId: string): string | null {
    return this.#nearest(partId, layerId, (layers, place) => (place < 0 ? [] : layers.slice(place + 1)));
  }

  #nearest(partId: string, layerId: string, among: (layers: readonly Layer[], place: number) => readonly Layer[]): string | null {
    const old = this.#before.get(partId)?.layers ?? [];
    const place = old.findIndex(({ id }) => id === layerId);
    return among(old, place).find(({ id }) => this.hasLayer(partId, id))?.id ?? null;
  }
}

function byId({ parts }: Piece): Map<string, Part> {
  return new Map(parts.map((part) => [part.id, part]));
}
