import { resolveLayer } from '#core/coats/index';
import { HEAT_SET } from '#core/drying/index';
import type { Facts, Layer, Part, Piece } from '#core/facts/index';
import { warmRefused } from '../verdicts/index.ts';

/** Ways on where no order of a part's colours can be masked: one of them by brush, or set by heat before the tape (trade §6, §9). */

export type TapingWay = {
  readonly label: string;
  /** What it asks for or costs the look. */
  readonly note: string;
  readonly layers: readonly Layer[];
};

/** @param layerIds the colours that touch each other, none of which an order can be found for */
export function tapingWays(piece: Piece, part: Part, layerIds: readonly string[], facts: Facts): TapingWay[] {
  const colours = part.layers.filter(({ id }) => layerIds.includes(id)).map((layer) => resolveLayer(layer, facts));
  const replaced = (layer: Layer) => part.layers.map((own) => (own.id === layer.id ? layer : own));
  const heated = colours.flatMap(({ layer, name, family }): TapingWay[] => {
    const first = { ...layer, warm: HEATED };
    if (family !== 'high-temperature' || layer.warm || heatRefused(piece, part, first, facts)) return [];
    const label = `${name} first, set by heat: ${HEATED.surfaceC} °C, ${HEATED.minutes} min`;
    return [{ label, note: 'tape goes on it once it has cooled', layers: replaced(first) }];
  });
  const brushed = colours.flatMap(({ layer, name, hand }): TapingWay[] =>
    hand === 'brush'
      ? []
      : [{ label: `${name} by brush`, note: 'no mask; strokes may show', layers: replaced({ ...layer, hand: 'brush' }) }],
  );
  return [...heated, ...brushed];
}

/** Why no colour among these can be set by heat here: no oven, a part too large, a metal that suffers; null where one can, or none would. */
export function whyNoHeat(piece: Piece, part: Part, layerIds: readonly string[], facts: Facts): string | null {
  const colours = part.layers.filter((layer) => layerIds.includes(layer.id) && resolveLayer(layer, facts).family === 'high-temperature');
  const refused = colours.map((layer) => heatRefused(piece, part, layer, facts));
  return refused.length > 0 && refused.every((why) => why !== null) ? refused[0] : null;
}

const HEATED = { by: 'oven', ...HEAT_SET } as const;

function heatRefused(piece: Piece, part: Part, layer: Layer, facts: Facts): string | null {
  return warmRefused(HEATED, { piece, part, layer, facts, onOldPaint: false });
}
