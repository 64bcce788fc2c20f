import { CLEAR_TO_STAY_UM, polishTakes } from '#core/coats/index';
import { capital, counted } from '#core/units/index';
import { TOLERANCE } from '../verified.ts';
import { type Found, type Rule, type Scene, topsOf, zonesOf } from './scene.ts';

/** More than that is no film any piece wants. */
const MOST_COATS = 12;

/** A film that is polished keeps enough of itself on its faces, and on the edges that are polished too (trade §7). */
export const polishedThrough: Rule = (scene) => {
  const { step, part } = scene;
  if (step.stage !== 'flat' || !step.acts.some((act) => act === 'wet-sand' || act === 'polish')) return [];
  const polish = zonesOf(scene).flatMap((id) => part.zones.find((zone) => zone.id === id)?.polish ?? [])[0];
  const next = scene.order.slice(scene.at + 1).some((later) => later.coat && later.on.some(({ partId }) => partId === part.id));
  // Flatted between its layers, it gets more film.
  if (!polish || next) return [];
  const takes = polishTakes(polish);
  return topsOf(scene).flatMap(({ film }) => (film.um - takes < CLEAR_TO_STAY_UM - TOLERANCE ? [burntThrough(scene, film, takes)] : []));
};

function burntThrough({ part }: Scene, film: ReturnType<typeof topsOf>[number]['film'], takes: number): Found {
  const { layer, name, filmUm } = film.resolved;
  const edges = part.zones.some(({ polish }) => polish?.edges);
  const coats = Math.ceil((CLEAR_TO_STAY_UM + takes) / filmUm - TOLERANCE);
  const stay = Math.max(0, film.um - takes);
  return {
    rule: 'polished-through',
    layerId: layer.id,
    chosenBy: 'person',
    because: `${capital(name)} has ${film.um.toFixed(1)} µm, and polishing takes ${takes.toFixed(1)} µm ${edges ? 'from its edges' : 'from its faces'}: only ${stay.toFixed(1)} µm would stay, and it burns through.`,
    mend:
      coats > MOST_COATS
        ? { text: 'Finer papers alone, or its flats alone.' }
        : {
            text: `${capital(counted(coats, 'coat'))} of it bear that.`,
            change: { kind: 'more-coats', partId: part.id, layerId: layer.id, coats },
          },
  };
}
