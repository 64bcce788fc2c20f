import { type PolishedFilm, polishedFilm, polishTakes } from '#core/coats/index';
import type { Polish } from '#core/facts/index';
import { capital, counted } from '#core/units/index';
import type { LyingFilm } from '../lying.ts';
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
  return topsOf(scene).flatMap(({ film }) => {
    const left = polishedFilm(film.um, polish, film.resolved.filmUm);
    return left.thin ? [burntThrough(scene, film, polish, left)] : [];
  });
};

function burntThrough(
  { part }: Scene,
  { um, resolved: { layer, name } }: LyingFilm,
  polish: Polish,
  { edgesUm, coats }: PolishedFilm,
): Found {
  const from = polish.edges ? 'from its edges' : 'from its faces';
  return {
    rule: 'polished-through',
    layerId: layer.id,
    chosenBy: 'person',
    because: `${capital(name)} has ${um.toFixed(1)} µm, and polishing takes ${polishTakes(polish).toFixed(1)} µm ${from}: only ${edgesUm.toFixed(1)} µm would stay, and it burns through.`,
    mend:
      coats > MOST_COATS
        ? { text: 'Finer papers alone, or its flats alone.' }
        : {
            text: `${capital(counted(coats, 'coat'))} of it bear that.`,
            change: { kind: 'more-coats', partId: part.id, layerId: layer.id, coats },
          },
  };
}
