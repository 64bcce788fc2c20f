import { batchMl, benchMinutes, coatAmount, coatMinutes, NEXT_COAT_SETUP_MINUTES, paintIn } from '#core/amounts/index';
import { usualCost } from '#core/buying/index';
import { filmOfCoat, normalCoats, resolveLayer } from '#core/coats/index';
import type { Facts, Hand, Layer, Part } from '#core/facts/index';
import { facesToPaint } from '#core/zones/index';

/** The same layer by can, airbrush, gun and brush, side by side: paint, money, minutes, clean-up. */

export type ByTool = {
  readonly hand: Hand;
  readonly mlPerCoat: number;
  /** Paint from its container for all coats, sprayed as one batch. */
  readonly ml: number;
  /** What that paint is worth, minor units. */
  readonly minor: number;
  /** At the bench for all coats, set-up counted in, and what clearing the tool takes after them. */
  readonly minutes: number;
  readonly cleanUpMinutes: number;
  /** One normal coat, µm. */
  readonly filmUm: number;
  readonly holds: 'film' | 'sweeps';
};

const HANDS: readonly Hand[] = ['aerosol', 'airbrush', 'gun', 'brush'];

/** @param part with its zones divided */
export function byTools(layer: Layer, part: Part, facts: Facts): ByTool[] {
  const now = resolveLayer(layer, facts);
  const { setUp, cleanUp } = benchMinutes(facts.workshop[0] ?? {});
  const zoneIds = layer.covers === 'all' ? part.zones.map(({ id }) => id) : layer.covers;
  const faces = facesToPaint(part, zoneIds);
  return HANDS.map((hand) => {
    // What is in a can is not in a bottle: by another tool it is the usual paint of its family, from its usual container.
    const same = now.hand === hand;
    const film = same ? now : filmOfCoat(now.family, now.role, hand);
    const { mlPerCoat, holds } = coatAmount(faces, film, hand);
    const sprayed = mlPerCoat * normalCoats(now.weights);
    const { paintMl } = paintIn(hand === 'brush' ? sprayed : batchMl(sprayed), same ? now.label : undefined, hand);
    const laying = layer.coats * coatMinutes(faces, hand, part.copies, mlPerCoat);
    return {
      hand,
      mlPerCoat,
      ml: paintMl,
      minor: usualCost({ product: same ? now.product : undefined, family: now.family, role: now.role, hand }, paintMl),
      minutes: Math.round(setUp + (layer.coats - 1) * NEXT_COAT_SETUP_MINUTES + laying),
      cleanUpMinutes: cleanUp[hand],
      filmUm: film.filmUm,
      holds,
    };
  });
}
