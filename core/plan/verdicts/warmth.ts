import { boothLoads, LYING_APART_MM } from '#core/amounts/index';
import { resolveLayer } from '#core/coats/index';
import { shunsSun, warmthLimit } from '#core/drying/index';
import { fitsTub } from '#core/survey/index';
import { type Facts, type Layer, type Part, type Piece, plain, type Place, type Warm, type Workshop } from '#core/facts/index';

/** Whether a film may be warmed, how, and how hot: by part, films, what is owned, and what can hurt a person (trade §8, §15). */

export type Warming = {
  readonly piece: Piece;
  readonly part: Part;
  readonly layer: Layer;
  readonly facts: Facts;
  /** The old finish stays under the new paint. */
  readonly onOldPaint: boolean;
};

/** Printed films and the adhesive under them bear no more, °C. */
const DECAL_LIMIT_C = 45;

/** The most a part bears once a layer is on it, °C, and what sets it. */
export function warmthBorne({ part, layer, facts }: Warming): { readonly limitC: number; readonly by: string } {
  const index = part.layers.findIndex(({ id }) => id === layer.id);
  const insisted = part.colourOrder ?? [];
  const first = insisted.slice(0, Math.max(0, insisted.indexOf(layer.id)));
  const under = part.layers.filter(({ id }, place) => place <= index || first.includes(id));
  const families = under.map((own) => resolveLayer(own, facts).family);
  const { limitC, by } = warmthLimit([part.material, ...(part.alsoMaterial ? [part.alsoMaterial] : [])], families);
  const stuck = (part.decals ?? []).some(({ after }) => after === null || under.some(({ id }) => id !== layer.id && id === after));
  return stuck && DECAL_LIMIT_C < limitC ? { limitC: DECAL_LIMIT_C, by: 'its decals' } : { limitC, by: `the ${plain(by)}` };
}

/** Why a spell of warmth is not for this layer; null where it is. */
export function warmRefused(warm: Warm, of: Warming): string | null {
  const { piece, part, layer, facts, onOldPaint } = of;
  if (part.stops?.includes('celluloid')) return 'Celluloid burns fiercely: no heat.';
  if (onOldPaint && !piece.leadExcluded) return 'Lead in the old paint is not excluded: no heat on it.';
  const { limitC, by } = warmthBorne(of);
  if (warm.surfaceC > limitC) return `At most ${limitC} °C: ${by} bears no more.`;
  if (warm.by === 'oven') return ovenRefused(warm, part, facts.workshop[0]);
  if (warm.by === 'warm-room') return warmestRoom(facts.places) ? null : 'No heated place is noted: say in Workshop which one is.';
  if (shunsSun(part.material, resolveLayer(layer, facts).lab.l)) return 'Dark plastic softens in full sun: keep it out.';
  return placeInTheSun(facts.places) ? null : 'No place in the open is noted: add a balcony or a yard in Workshop.';
}

function ovenRefused({ surfaceC }: Warm, part: Part, workshop: Workshop | undefined): string | null {
  const oven = workshop?.oven;
  if (!oven) return 'No oven is noted: say in Workshop how large it is and how hot it holds. It never sees food again.';
  if (surfaceC > oven.mostC) return `The oven holds at most ${oven.mostC} °C.`;
  if (!fitsTub(part, { ...oven, deepMm: oven.highMm })) return 'It is larger than the oven.';
  const { loads } = boothLoads(part, oven, LYING_APART_MM);
  return loads > 1 ? `Its ${part.copies} copies do not fit into the oven together.` : null;
}

/** The warmest heated place. */
export function warmestRoom(places: readonly Place[]): Place | null {
  return places.filter(({ heated }) => heated).sort((a, b) => b.meanC - a.meanC)[0] ?? null;
}

/** The first place in the open. */
export function placeInTheSun(places: readonly Place[]): Place | null {
  return places.find(({ kind }) => kind === 'outdoors' || kind === 'balcony') ?? null;
}
