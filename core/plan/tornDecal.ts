import type { Decal, Parcel, Piece } from '#core/facts/index';
import { asSentence, counted } from '#core/units/index';
import type { PlannedStep } from './dates/index.ts';

/** A decal that tears while it is laid: only its own spare serves, a mirrored one is another (trade §9). */

export type TornDecal = {
  readonly partId: string;
  readonly decal: Decal;
  /** A spare of another decal of the piece, by its name. */
  readonly otherSpare: string | null;
  /** Days that the last thing sent for took, where one is known. */
  readonly usualDays: number | null;
};

/** The decal a step is about; null for other steps. */
export function tornDecalOf(step: PlannedStep, piece: Piece): TornDecal | null {
  if (step.stage !== 'decal' || step.acts.length === 0) return null;
  const [, partId, , subject] = step.keys[0].split('.');
  const all = piece.parts.flatMap(({ decals = [] }) => decals);
  const decal = piece.parts.find(({ id }) => id === partId)?.decals?.find(({ id }) => id === subject);
  if (!decal) return null;
  return {
    partId,
    decal,
    otherSpare: all.find((other) => other.spare && other.id !== decal.id)?.name ?? null,
    usualDays: piece.parcels.flatMap((parcel) => daysOf(parcel) ?? []).at(-1) ?? null,
  };
}

/** How long something took to come, or was said to; null where nobody knows. */
function daysOf({ leadDays, orderedAt, due }: Parcel): number | null {
  if (leadDays !== undefined) return leadDays;
  return orderedAt && due ? Math.max(0, Math.round((Date.parse(due) - Date.parse(orderedAt)) / 86_400_000)) : null;
}

/**
 * The piece once it tore, and what is said of it: the spare is used up, or another is on its way and the decals of that part wait.
 * @param order the parcel’s id, the day it is ordered, and how many days it takes
 */
export function decalTorn(
  piece: Piece,
  { partId, decal }: TornDecal,
  order: { readonly id: string; readonly today: string; readonly days: number },
): { readonly changed: Piece; readonly said: string } {
  if (decal.spare)
    return {
      changed: {
        ...piece,
        parts: piece.parts.map((part) =>
          part.id === partId
            ? { ...part, decals: part.decals?.map((own) => (own.id === decal.id ? { ...own, spare: false } : own)) }
            : part,
        ),
      },
      said: asSentence(`${decal.name} tore: its spare is laid, there is no other`),
    };
  const parcel: Parcel = {
    id: order.id,
    name: `${decal.name}, again`.slice(0, 80),
    price: 0,
    orderedAt: order.today,
    leadDays: order.days,
    arrived: false,
    holds: { partId, stage: 'decal' },
  };
  return {
    changed: { ...piece, parcels: [...piece.parcels, parcel] },
    said: asSentence(
      `${decal.name} tore: another comes in ${counted(order.days, 'day')}, and what follows it waits. Its price goes under Finish and fit`,
    ),
  };
}
