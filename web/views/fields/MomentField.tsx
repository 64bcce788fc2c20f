import { atLocal, localMoment, minuteOfDay, type Minute } from '#core/units/index';
import { useEffect, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { ClockField } from './ClockField.tsx';
import { DateField } from './DateField.tsx';

/** A day and an hour in the workshop's own zone; null while either is missing. */
export function MomentField({
  label,
  value,
  onChange,
  problem,
}: {
  label: string;
  value: Minute | null;
  onChange: (at: Minute | null) => void;
  problem?: string | null;
}) {
  const { workshop } = usePlan();
  const [typed, setTyped] = useState(() => typedOf(value, workshop.timeZone));
  useEffect(() => {
    // What was set from outside shows; what is half typed stays.
    if (value !== null) setTyped(typedOf(value, workshop.timeZone));
  }, [value, workshop.timeZone]);
  const take = (changed: Partial<Typed>) => {
    const now = { ...typed, ...changed };
    setTyped(now);
    onChange(now.date && now.clock ? atLocal(now.date, minuteOfDay(now.clock), workshop.timeZone) : null);
  };
  return (
    <div className="flex flex-wrap items-start gap-2">
      <DateField label={label} value={typed.date} onChange={(date) => take({ date })} problem={problem ?? undefined} />
      <ClockField label="Hour" value={typed.clock} onChange={(clock) => take({ clock })} />
    </div>
  );
}

type Typed = { readonly date: string; readonly clock: string };

function typedOf(at: Minute | null, timeZone: string): Typed {
  if (at === null) return { date: '', clock: '' };
  const local = localMoment(at, timeZone);
  const [hour, minute] = [Math.floor(local.minuteOfDay / 60), Math.floor(local.minuteOfDay % 60)];
  return { date: local.date, clock: `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}` };
}
