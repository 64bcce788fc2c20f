import type { Parcel } from '#core/facts/index';
import { counted, DAY, type Minute, noonOf } from '#core/units/index';

/** An overdue parcel is taken to come so many days from now. */
const LATE_DAYS = 3;

/** `at` null: nobody can say when. */
export type Awaited = { readonly at: Minute | null; readonly why: string };

/** When a parcel is to be expected, with its reason; null when it is here. No day is made up: order and lead time give it. */
export function awaited(parcel: Parcel, now: Minute): Awaited | null {
  if (parcel.arrived) return null;
  const { name, leadDays } = parcel;
  const due = dueAt(parcel);
  if (due !== null) {
    if (due < now) return { at: now + LATE_DAYS * DAY, why: `${name} is overdue; taken to come in ${counted(LATE_DAYS, 'day')}` };
    return { at: due, why: `${name} is due ${dateOf(due)}` };
  }
  if (parcel.orderedAt) return { at: null, why: `${name} is ordered, but no one has said for when: type its lead time or its day` };
  if (leadDays === undefined)
    return { at: null, why: `${name} is not ordered yet and has no lead time: order it, or type how many days it takes` };
  return { at: now + leadDays * DAY, why: `${name} is not ordered yet: ${counted(leadDays, 'day')} from the order` };
}

function dateOf(at: Minute): string {
  return new Date(at * 60_000).toISOString().slice(0, 10);
}

function dueAt(parcel: Parcel): Minute | null {
  if (parcel.due) return noonOf(parcel.due);
  return parcel.orderedAt && parcel.leadDays !== undefined ? noonOf(parcel.orderedAt) + parcel.leadDays * DAY : null;
}

/** The one of several parcels that comes last; one without a day comes after all others. */
export function lastAwaited(parcels: readonly Parcel[], now: Minute): Awaited | null {
  const open = parcels.flatMap((parcel) => awaited(parcel, now) ?? []);
  return open.length === 0
    ? null
    : open.reduce((a, b) => ((b.at ?? Number.POSITIVE_INFINITY) > (a.at ?? Number.POSITIVE_INFINITY) ? b : a));
}

/** Money that is out already: ordered, on its way or here. */
export function isCommitted(parcel: Parcel): boolean {
  return parcel.arrived || parcel.due !== undefined || parcel.orderedAt !== undefined;
}
