import { clockFigures, parseClock } from '#core/units/index';
import { useEffect, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { TextField } from './TextField.tsx';

/** An hour of the day, typed as people write it and shown by the workshop's clock; '' where none is set. */
export function ClockField({
  label,
  value,
  onChange,
  quiet,
}: {
  label: string;
  /** HH:MM, or ''. */
  value: string;
  onChange: (clock: string) => void;
  quiet?: boolean;
}) {
  const { clock: hours } = usePlan().workshop.units;
  const [typed, setTyped] = useState(() => shown(value, hours));
  useEffect(
    () => setTyped((now) => (parseClock(now) === value || (now !== '' && value === '') ? now : shown(value, hours))),
    [value, hours],
  );
  const wrong = typed.trim() !== '' && parseClock(typed) === null;
  return (
    <TextField
      label={label}
      quiet={quiet}
      className="field !w-28 font-mono"
      placeholder={clockFigures('19:30', hours)}
      problem={wrong ? `Type an hour such as ${clockFigures('19:30', hours)}.` : undefined}
      value={typed}
      onChange={(event) => {
        setTyped(event.target.value);
        onChange(parseClock(event.target.value) ?? '');
      }}
      onBlur={() => value && setTyped(shown(value, hours))}
    />
  );
}

function shown(clock: string, hours: 12 | 24): string {
  return clock === '' ? '' : clockFigures(clock, hours);
}
