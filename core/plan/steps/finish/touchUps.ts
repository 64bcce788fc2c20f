import { type ResolvedLayer, resolveLayer } from '#core/coats/index';
import type { Layer, Piece, TouchUp } from '#core/facts/index';
import type { PlanContext, PlannedFilm, Ref } from '../../films/index.ts';
import { after, onceReached } from '../constraints.ts';
import { pieceKey } from '../keys.ts';
import { pieceWide } from '../pieceWide.ts';
import type { Step } from '../step.ts';

/** The touch-up list after the fit: each spot a short step, until it is touched in or left (trade §2, §14). */

/** What mends a part that has no colour of its own. */
const KEPT_PAINT: Layer = {
  id: 'kept',
  wanted: { family: 'acrylic-enamel', role: 'colour', name: 'the paint kept for it', lab: { l: 60, a: 0, b: 0 } },
  coats: 1,
  covers: 'all',
};

const TOUCH_UP_MINUTES = 5;
const CLEAR_MINUTES = 3;

export function touchUpSteps(piece: Piece, fit: Step | undefined, context: PlanContext): Step[] {
  return openTouchUps(piece, context).flatMap((touchUp) => [
    ...(paintDone(piece, touchUp, context) ? [] : [touchIn(piece, touchUp, fit, context)]),
    ...(touchUp.clear ? [clearOver(piece, touchUp, context)] : []),
  ]);
}

function touchIn(piece: Piece, touchUp: TouchUp, fit: Step | undefined, context: PlanContext): Step {
  const { name } = paintOf(piece, touchUp, context);
  return {
    ...pieceWide(piece, 'touch-up', touchUp.id, {
      title: `Touch in: ${touchUp.where}`,
      minutes: TOUCH_UP_MINUTES,
      detail: [
        `${name}, fine brush, from the middle outwards`,
        'the spot keyed with P1500 and wiped',
        touchUp.clear ? 'clear over it once it is dry' : 'no clear over it',
      ].join('; '),
      hazards: ['solvent'],
      because: 'A chip that is touched in the same month keeps out damp and cannot be found later.',
      constraints: fit ? [after(fit.id, 'the piece is together first')] : [],
    }),
    on: onPart(piece, touchUp),
  };
}

/** A drop of clear over the spot, once its paint is dry in the air where it stands. */
function clearOver(piece: Piece, touchUp: TouchUp, context: PlanContext): Step {
  const paint = paintOf(piece, touchUp, context);
  const done = paintDone(piece, touchUp, context);
  const ref = done ? { at: done.at } : { step: pieceKey(piece.id, 'touch-up', touchUp.id) };
  return {
    ...pieceWide(piece, 'touch-up', touchUp.id + CLEAR, {
      title: `Clear over: ${touchUp.where}`,
      minutes: CLEAR_MINUTES,
      detail: 'one drop on a fine brush, just past the edge of the spot; polish it level once it has cured',
      hazards: ['solvent'],
      because: `Clear over ${paint.name} that is still soft wrinkles it.`,
      constraints: [onceReached(spotOf(paint, ref, context), 'handle', `the ${paint.name} of the spot must be dry`)],
    }),
    on: onPart(piece, touchUp),
  };
}

/** The brushed spot as a film of its own: one coat, on a ground that has cured. */
function spotOf({ family, role, name, lab, label, filmUm }: ResolvedLayer, ref: Ref, { workshop }: PlanContext): PlannedFilm {
  return {
    family,
    role,
    name,
    lab,
    layerId: 'spot',
    ...(label ? { label } : {}),
    placeId: workshop.dryPlaceId,
    first: ref,
    last: ref,
    coats: 1,
    filmUm,
    normalUm: filmUm,
    flatted: false,
  };
}

/** What the key of a spot's clear adds to that of its paint. */
const CLEAR = '-clear';

/** The spot of the list that a step is about: its paint or its clear. */
export function touchUpIdOf(stepId: string): string {
  const subject = stepId.split('.')[3] ?? '';
  return subject.endsWith(CLEAR) ? subject.slice(0, -CLEAR.length) : subject;
}

function paintDone(piece: Piece, { id }: TouchUp, { history }: Pick<PlanContext, 'history'>) {
  return history.done.get(pieceKey(piece.id, 'touch-up', id));
}

/** What is neither touched in nor left. */
export function openTouchUps(piece: Piece, { history }: Pick<PlanContext, 'history'>): TouchUp[] {
  return (piece.touchUps ?? []).filter(({ id, settled, clear }) => {
    const last = pieceKey(piece.id, 'touch-up', clear ? id + CLEAR : id);
    return settled === undefined && !history.done.has(last);
  });
}

function onPart(piece: Piece, { partId }: TouchUp): Step['on'] {
  return piece.parts
    .filter((part) => partId === undefined || part.id === partId)
    .map((part) => ({ partId: part.id, zoneIds: part.zones.map((zone) => zone.id) }));
}

/** The layer named, else the last colour of the part, else an enamel for brushing. */
function paintOf(piece: Piece, { partId, layerId }: TouchUp, { facts }: PlanContext): ResolvedLayer {
  const layers = piece.parts.filter((part) => partId === undefined || part.id === partId).flatMap((part) => part.layers);
  const named = layers.find((layer) => layer.id === layerId);
  const colour = layers.map((layer) => resolveLayer(layer, facts)).findLast(({ role }) => role === 'colour' || role === 'metallic');
  return named ? resolveLayer(named, facts) : (colour ?? resolveLayer(KEPT_PAINT, facts));
}
