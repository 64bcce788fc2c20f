import { useEffect, useState } from 'react';
import { DateField } from './DateField.tsx';

/** A day that is kept as soon as it is one; half typed it changes nothing, and "none" takes it away. */
export function KeptDate({
  label,
  value,
  onKeep,
}: {
  label: string;
  value: string | undefined;
  onKeep: (date: string | undefined) => void;
}) {
  const [typed, setTyped] = useState(value ?? '');
  useEffect(() => setTyped(value ?? ''), [value]);
  return (
    <div>
      <DateField
        label={label}
        quiet
        value={typed}
        onChange={(date) => {
          setTyped(date);
          if (date !== '' && date !== value) onKeep(date);
        }}
      />
      {value !== undefined && (
        <button type="button" className="linklike min-h-9 text-small" aria-label={`${label}: none`} onClick={() => onKeep(undefined)}>
          none
        </button>
      )}
    </div>
  );
}
