import { parseMoney } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../app/PlanContext.tsx';

/** A sum of money kept when the field is left; empty where none is wanted. What is wrong is said under it. */
export function MoneyField({
  label,
  value,
  placeholder,
  hidden = false,
  onKeep,
}: {
  label: string;
  /** Minor units; undefined: none. */
  value: number | undefined;
  placeholder?: string;
  /** The label is for those who cannot see the table around it. */
  hidden?: boolean;
  /** Undefined: left empty. */
  onKeep: (value: number | undefined) => void;
}) {
  const { workshop } = usePlan();
  const [problem, setProblem] = useState('');
  const shown = value === undefined ? '' : (value / 100).toFixed(2);
  const keep = (text: string) => {
    setProblem('');
    if (text.trim() === shown) return;
    if (text.trim() === '') return onKeep(undefined);
    const read = parseMoney(text, workshop.currency);
    if (read.ok) onKeep(read.value);
    else setProblem(read.mend);
  };
  return (
    <label className="block">
      <span className={hidden ? 'sr-only' : 'second block text-small'}>{label}</span>
      <input
        key={shown}
        className="field !min-h-9 !w-20 !px-2 text-right font-mono"
        inputMode="decimal"
        defaultValue={shown}
        placeholder={placeholder}
        aria-invalid={problem !== ''}
        onBlur={(event) => keep(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          keep(event.currentTarget.value);
        }}
      />
      {problem && (
        <span role="alert" className="mt-1 block font-[650]">
          {problem}
        </span>
      )}
    </label>
  );
}
