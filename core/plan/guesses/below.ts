import type { DoneEvent, Piece } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { PlannedStep } from '../dates/index.ts';
import { doneEvent } from '../doneAsPlanned.ts';
import { COAT_APART, LAYER_APART } from './draft.ts';

/** What lies under a coat that is entered out of order: asked once, else guessed by the stack and marked as recalled (trade §2). */

/** A layer of one part of which coats below are not in the log. */
export type LayerBelow = {
  readonly partId: string;
  readonly layerId: string;
  readonly name: string;
  /** It is the layer of that coat itself, whose earlier coats lie below for certain. */
  readonly same: boolean;
  /** Its planned coats that are not logged, lowest first; each a step and the key of that part in it. */
  readonly coats: readonly { readonly step: PlannedStep; readonly key: string }[];
};

const layerOf = (key: string) => key.split('.')[3];
const numberOf = (key: string) => Number(key.split('.')[4]);

/** The layers below a coat that the log does not have, bottom to top, part by part; empty where it is in order. */
export function missingBelow(step: PlannedStep, steps: readonly PlannedStep[], piece: Piece): LayerBelow[] {
  if (!step.coat) return [];
  return step.on.flatMap(({ partId, zoneIds }, index) => {
    const part = piece.parts.find(({ id }) => id === partId);
    const own = step.keys[index];
    const place = (key: string) => part?.layers.findIndex(({ id }) => id === layerOf(key)) ?? -1;
    const isBelow = (key: string) => place(key) < place(own) || (place(key) === place(own) && numberOf(key) < numberOf(own));
    const below = steps.flatMap((other) => {
      const at = other.on.findIndex((on) => on.partId === partId && on.zoneIds.some((zone) => zoneIds.includes(zone)));
      const key = other.keys[at];
      return other.coat && key && place(key) >= 0 && isBelow(key) ? [{ step: other, key, name: other.coat.name }] : [];
    });
    const inOrder = below.sort((a, b) => place(a.key) - place(b.key) || numberOf(a.key) - numberOf(b.key));
    return (part?.layers ?? []).flatMap(({ id }): LayerBelow[] => {
      const coats = inOrder.filter(({ key }) => layerOf(key) === id);
      return coats.length === 0 ? [] : [{ partId, layerId: id, name: coats[0].name, same: id === layerOf(own), coats }];
    });
  });
}

/**
 * The entries of the layers that do lie below: each coat a quarter of an hour before the next, each layer a day, for nobody has said
 * when. Marked as recalled; what they took from the shelf is not known and not charged.
 * @param over the coat over them
 * @param at when that went on
 */
export function recalledBelow(
  layers: readonly LayerBelow[],
  over: PlannedStep,
  at: Minute,
  newId: () => string,
  placeId: string,
): DoneEvent[] {
  return over.on.flatMap(({ partId }, index) => {
    let above = { layerId: layerOf(over.keys[index]), at };
    return layers
      .filter((layer) => layer.partId === partId)
      .toReversed()
      .flatMap(({ layerId, coats }) =>
        coats.toReversed().map(({ step }) => {
          above = { layerId, at: above.at - (above.layerId === layerId ? COAT_APART : LAYER_APART) };
          return recalled(doneEvent(step, newId(), above.at, placeId, [partId]), layerId);
        }),
      );
  });
}

function recalled({ supplies: _supplies, expected: _expected, coat, ...event }: DoneEvent, layerId: string): DoneEvent {
  if (!coat) return { ...event, recalled: true };
  const { ml: _ml, ...laid } = coat;
  return { ...event, recalled: true, coat: { ...laid, layerId } };
}
