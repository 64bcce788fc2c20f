import type { Parcel } from '#core/facts/index';
import { DAY, type Minute, toMinute } from '#core/units/index';

/** An overdue parcel is taken to come so many days from now. */
const LATE_DAYS = 3;
/** Lead time of what is not ordered yet, where none is known. */
const USUAL_LEAD_DAYS = 7;

export type Awaited = { readonly at: Minute; readonly why: string };

/** When a parcel is to be expected, with its reason; null when it is here. */
export function awaited(parcel: Parcel, now: Minute): Awaited | null {
  if (parcel.arrived) return null;
  const due = dueAt(parcel);
  if (due === null) {
    const days = parcel.leadDays ?? USUAL_LEAD_DAYS;
    return { at: now + days * DAY, why: `${parcel.name} is not ordered yet: ${days} days from the order` };
  }
  if (due < now) return { at: now + LATE_DAYS * DAY, why: `${parcel.name} is overdue; taken to come in ${LATE_DAYS} days` };
  return { at: due, why: `${parcel.name} is due ${new Date(due * 60_000).toISOString().slice(0, 10)}` };
}

function dueAt(parcel: Parcel): Minute | null {
  if (parcel.due) return noon(parcel.due);
  if (parcel.orderedAt) return noon(parcel.orderedAt) + (parcel.leadDays ?? USUAL_LEAD_DAYS) * DAY;
  return null;
}

function noon(date: string): Minute {
  return toMinute(`${date}T12:00:00Z`);
}

/** The one of several parcels that comes last. */
export function lastAwaited(parcels: readonly Parcel[], now: Minute): Awaited | null {
  const open = parcels.flatMap((parcel) => awaited(parcel, now) ?? []);
  return open.length === 0 ? null : open.reduce((a, b) => (b.at > a.at ? b : a));
}

/** Money that is out already: ordered, on its way or here. */
export function isCommitted(parcel: Parcel): boolean {
  return parcel.arrived || parcel.due !== undefined || parcel.orderedAt !== undefined;
}
