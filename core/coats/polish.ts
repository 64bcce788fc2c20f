import { type Facts, type Part, type Polish, standingFor } from '#core/facts/index';
import { dividedPart } from '#core/zones/index';
import { CLEAR_TO_STAY_UM, clearToBuild } from './film.ts';
import { type FlatQuestion, flatRefused } from './flatting.ts';
import { resolveLayer } from './products/resolve.ts';

/** A film flatted and polished once it is hard: what that takes, and where it is never done (trade §4, §6, §7). */

/** Films are added up from figures with one place. */
const ROUNDING_UM = 0.01;

/** What a polish takes off, µm: three times as much from edges that are flatted too. */
export function polishTakes({ papers, edges }: Polish): number {
  return clearToBuild(papers, true, edges).um - CLEAR_TO_STAY_UM;
}

export type PolishedFilm = {
  /** What stays on faces, and on edges, which lose three times as much where they are polished too; µm, never below 0. */
  readonly facesUm: number;
  readonly edgesUm: number;
  /** Less stays than should: it burns through. */
  readonly thin: boolean;
  /** Coats of this film that bear the polish. */
  readonly coats: number;
};

/** What a polish leaves of a film of so many µm, laid in coats of `coatUm` (trade §7). */
export function polishedFilm(um: number, polish: Polish, coatUm: number): PolishedFilm {
  const takes = polishTakes(polish);
  return {
    facesUm: Math.max(0, um - polishTakes({ ...polish, edges: false })),
    edgesUm: Math.max(0, um - takes),
    thin: um - takes < CLEAR_TO_STAY_UM - ROUNDING_UM,
    coats: clearToBuild(polish.papers, true, polish.edges, coatUm).coats,
  };
}

/** Why a film is not polished, or null where it may be: the same films that are never flatted, and bases that only a clear makes glossy. */
function polishRefused(film: FlatQuestion): string | null {
  if (film.role === 'metallic') return 'A metallic is never polished: clear it, and polish the clear.';
  if (film.family === 'waterborne-base' || film.family === 'solvent-base')
    return 'A basecoat is dull by itself: clear it, and polish the clear.';
  return flatRefused(film);
}

/** Where a layer lies in the stack; before all of them: -1. */
function placeOf({ layers }: Part, layerId: string | null): number {
  return layers.findIndex(({ id }) => id === layerId);
}

/** Why a zone is not polished as the part is now planned; null where it may be, or has no paint to polish. */
export function polishWhyNot(entered: Part, zoneId: string, facts: Facts): string | null {
  const part = dividedPart(entered);
  const onZone = ({ covers }: Part['layers'][number]) => covers === 'all' || covers.includes(zoneId);
  const top = part.layers.findLast(onZone);
  if (!top) return null;
  if (part.surface === 'grained') return 'Paper levels the grain: it is left as it dries.';
  const open = [...(part.decals ?? []), ...(part.details ?? [])].find(
    (own) => standingFor(part, own.zoneId).includes(zoneId) && !part.layers.slice(placeOf(part, own.after) + 1).some(onZone),
  );
  if (open) return `“${open.name}” lies open on it: a clear over it first, and polish the clear.`;
  return polishRefused(resolveLayer(top, facts));
}
