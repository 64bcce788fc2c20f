import { resolveLayer } from '#core/coats/index';
import type { Piece, TouchUp } from '#core/facts/index';
import type { PlanContext } from '../films/index.ts';
import { after } from './constraints.ts';
import { pieceKey } from './keys.ts';
import { pieceWide } from './pieceWide.ts';
import type { Step } from './step.ts';

/** The touch-up list after the fit: each spot a short step, until it is touched in or left (BRIEF §2, §14). */

const TOUCH_UP_MINUTES = 5;
const CLEAR_MINUTES = 3;

export function touchUpSteps(piece: Piece, fit: Step | undefined, context: PlanContext): Step[] {
  return openTouchUps(piece, context).map((touchUp) => ({
    ...pieceWide(piece, 'touch-up', touchUp.id, {
      title: `Touch in: ${touchUp.where}`,
      minutes: TOUCH_UP_MINUTES + (touchUp.clear ? CLEAR_MINUTES : 0),
      detail: [
        `${paintOf(piece, touchUp, context)}, fine brush, from the middle outwards`,
        'the spot keyed with P1500 and wiped',
        touchUp.clear ? 'once dry a drop of clear over it' : 'no clear over it',
      ].join('; '),
      hazards: ['solvent'],
      because: 'A chip that is touched in the same month keeps out damp and cannot be found later.',
      constraints: fit ? [after(fit.id, 'the piece is together first')] : [],
    }),
    on: onPart(piece, touchUp),
  }));
}

/** What is neither touched in nor left. */
export function openTouchUps(piece: Piece, { history }: Pick<PlanContext, 'history'>): TouchUp[] {
  return (piece.touchUps ?? []).filter(({ id, settled }) => settled === undefined && !history.done.has(pieceKey(piece.id, 'touch-up', id)));
}

function onPart(piece: Piece, { partId }: TouchUp): Step['on'] {
  return piece.parts
    .filter((part) => partId === undefined || part.id === partId)
    .map((part) => ({ partId: part.id, zoneIds: part.zones.map((zone) => zone.id) }));
}

/** The layer named, else the last colour of the part. */
function paintOf(piece: Piece, { partId, layerId }: TouchUp, { facts }: PlanContext): string {
  const layers = piece.parts.filter((part) => partId === undefined || part.id === partId).flatMap((part) => part.layers);
  const named = layers.find((layer) => layer.id === layerId);
  const colour = layers.map((layer) => resolveLayer(layer, facts)).findLast(({ role }) => role === 'colour' || role === 'metallic');
  return named ? resolveLayer(named, facts).name : (colour?.name ?? 'the paint kept for it');
}
