import type { Part } from '#core/facts/index';
import { backZones } from '#core/zones/index';
import type { PartFilms, PlacedLayer } from '../../films/index.ts';
import type { Constraint } from '../constraint.ts';
import { onceReached } from '../constraints.ts';

/**
 * A part in two positions: one side, wait until it bears a hand, turn it, the other side (trade §12). The back goes first: what
 * lies on the bench meanwhile is the side that nobody looks at.
 */

export type Position = 'back' | 'upper';

/** A layer as it is laid in one position, with all the zones it has in both. */
export type PositionedLayer = PlacedLayer & { readonly position?: Position; readonly whole: readonly number[] };

/** Minutes to turn a part over. */
export const FLIP_MINUTES = 1;

/** Each layer that goes on both sides as two, back first. */
export function inPositions(layers: readonly PlacedLayer[], part: Part): PositionedLayer[] {
  const back = backZones(part);
  return layers.flatMap((layer): PositionedLayer[] => {
    const whole = layer.zones;
    if (back.size === 0) return [{ ...layer, whole }];
    const zonesIn = (position: Position) => whole.filter((zone) => positionOf(part, zone, back) === position);
    return (['back', 'upper'] as const)
      .map((position) => ({ ...layer, zones: zonesIn(position), position, whole }))
      .filter(({ zones }) => zones.length > 0);
  });
}

function positionOf(part: Part, zone: number, back: ReadonlySet<string>): Position {
  return back.has(part.zones[zone].id) ? 'back' : 'upper';
}

/** The first of two positions of its layer: the other side still waits for the same paint. */
export function isFirstOfTwo({ position, zones, whole }: PositionedLayer): boolean {
  return position === 'back' && zones.length < whole.length;
}

/** The second of two: the part is turned first. */
export function isSecondOfTwo({ position, zones, whole }: PositionedLayer): boolean {
  return position === 'upper' && zones.length < whole.length;
}

/** The part lies on its other side, whose films must bear that. */
export function lyingOn({ position }: PositionedLayer, part: Part, films: PartFilms): Constraint[] {
  if (!position) return [];
  const back = backZones(part);
  const others = part.zones.flatMap((_, zone) => (positionOf(part, zone, back) === position ? [] : films.on(zone).slice(-1)));
  return [...new Set(others)].map((film) =>
    onceReached(film, 'handle', `it lies on its other side: the ${film.name} there must bear a hand`),
  );
}
