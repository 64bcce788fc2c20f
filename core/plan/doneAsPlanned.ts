import type { DoneEvent, LogEvent } from '#core/facts/index';
import { type Minute, toIso } from '#core/units/index';
import type { PlannedStep } from './dates/index.ts';
import { usedUp } from './money/index.ts';

/** What is logged of a step that was done as it was planned: what was really put on, as it was. */

/** The event of a step done now: what was really put on, as it was. */
export function doneEvent(step: PlannedStep, id: string, at: Minute, placeId: string, partIds?: readonly string[]): DoneEvent {
  const chosen = step.on
    .map((on, index) => ({ on, key: step.keys[index] ?? step.keys[0] }))
    .filter(({ on }) => !partIds || partIds.includes(on.partId));
  const pieceWide = step.keys.length === 1 && step.on.length > 1;
  const share = chosen.length / step.on.length;
  const used = usedUp(step)
    .map((line) => ({ ...line, amount: Math.round(line.amount * share * 1000) / 1000 }))
    .filter(({ amount }) => amount > 0);
  return {
    id,
    at: toIso(at),
    kind: 'done',
    pieceId: step.pieceId,
    stepKeys: pieceWide ? [...step.keys] : chosen.map(({ key }) => key),
    on: chosen.map(({ on }) => ({ partId: on.partId, zoneIds: [...on.zoneIds] })),
    ...(step.method ? { method: step.method } : {}),
    ...(step.grit ? { grit: step.grit } : {}),
    expected: Math.round(step.minutes * share * 10) / 10,
    supplies: used,
    ...(step.afterwards ? { boxed: true } : {}),
    ...(step.coat
      ? {
          coat: {
            layerId: step.coat.layerId,
            ...(step.coat.productId ? { productId: step.coat.productId } : {}),
            name: step.coat.name,
            family: step.coat.family,
            role: step.coat.role,
            lab: step.coat.lab,
            hand: step.coat.hand,
            filmUm: step.coat.filmUm,
            ...(step.placed?.scuff ? { scuffed: true } : {}),
            placeId,
            ml: Math.round(step.coat.ml * share * 10) / 10,
          },
        }
      : {}),
  };
}

/** One event a part where the layers differ: parts side by side each keep their own layer. */
export function doneEvents(
  step: PlannedStep,
  newId: () => string,
  at: Minute,
  placeId: string,
  partIds: readonly string[] | undefined,
  layerOf: (partId: string) => string | undefined,
): LogEvent[] {
  if (step.warm) {
    const event = doneEvent(step, newId(), at, placeId, partIds);
    // As planned, until somebody says what the thermometer showed.
    return [
      event,
      { id: newId(), at: event.at, kind: 'warmed', pieceId: step.pieceId, partIds: event.on.map(({ partId }) => partId), ...step.warm },
    ];
  }
  if (step.pour) {
    const { pour, ...rest } = step;
    const { productId, parts } = pour;
    // It was mixed before it was sprayed, as planned, and stands before it in the log: what was mixed otherwise is put right in its jar.
    const mixed: LogEvent = {
      id: newId(),
      at: toIso(at),
      kind: 'mixed',
      productId,
      parts: parts.map((part) => ({ productId: part.productId, ml: part.ml })),
    };
    return [mixed, ...doneEvents(rest, newId, at, placeId, partIds, layerOf)];
  }
  if (!step.coat || step.on.length === 1) return [doneEvent(step, newId(), at, placeId, partIds)];
  return step.on
    .filter((on) => !partIds || partIds.includes(on.partId))
    .map((on) => {
      const event = doneEvent(step, newId(), at, placeId, [on.partId]);
      const layerId = layerOf(on.partId);
      return layerId && event.coat ? { ...event, coat: { ...event.coat, layerId } } : event;
    });
}
