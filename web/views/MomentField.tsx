import { atLocal, localMoment, minuteOfDay, type Minute } from '#core/units/index';
import { usePlan } from '../app/PlanContext.tsx';
import { TextField } from './TextField.tsx';

/** A day and an hour in the workshop's own zone; an emptied field is null. */
export function MomentField({
  label,
  value,
  onChange,
  problem,
  className = 'field font-mono',
}: {
  label: string;
  value: Minute | null;
  onChange: (at: Minute | null) => void;
  problem?: string | null;
  className?: string;
}) {
  const { workshop } = usePlan();
  return (
    <TextField
      label={label}
      type="datetime-local"
      className={className}
      problem={problem ?? undefined}
      value={value === null ? '' : localText(value, workshop.timeZone)}
      onChange={(event) => onChange(momentOf(event.target.value, workshop.timeZone))}
    />
  );
}

/** "2026-12-01T21:00", as the platform's field reads it. */
function localText(at: Minute, timeZone: string): string {
  const local = localMoment(at, timeZone);
  const [hour, minute] = [Math.floor(local.minuteOfDay / 60), local.minuteOfDay % 60];
  return `${local.date}T${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;
}

function momentOf(text: string, timeZone: string): Minute | null {
  const [, date, clock] = /^(\d{4}-\d{2}-\d{2})T(\d{2}:\d{2})/.exec(text) ?? [];
  return date ? atLocal(date, minuteOfDay(clock), timeZone) : null;
}
