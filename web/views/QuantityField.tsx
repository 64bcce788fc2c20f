import { type Dimension, parseQuantity } from '#core/units/index';
import { useState } from 'react';

/** A measure typed with or without its unit, kept when the field is left; empty is not known. What is wrong is said under it. */
export function QuantityField({
  label,
  dimension,
  unit,
  shown,
  placeholder,
  small = false,
  refused,
  onKeep,
}: {
  label: string;
  dimension: Dimension;
  /** The unit of a bare number. */
  unit: string;
  /** As it stands, in words; '' where nothing does. */
  shown: string;
  placeholder: string;
  /** One of a row of short fields. */
  small?: boolean;
  /** Why a value cannot be; null where it can. */
  refused: (value: number) => string | null;
  onKeep: (value: number | undefined) => void;
}) {
  const [problem, setProblem] = useState('');
  const keep = (text: string) => {
    if (text === shown) return setProblem('');
    if (text.trim() === '') {
      setProblem('');
      return onKeep(undefined);
    }
    const read = parseQuantity(text, dimension, unit);
    const why = read.ok ? refused(read.value) : read.mend;
    setProblem(why ?? '');
    if (read.ok && why === null) onKeep(read.value);
  };
  return (
    <label className="block">
      <span className={small ? 'second block text-small' : 'mb-1 block font-[650] text-ink'}>{label}</span>
      <input
        key={shown}
        className={`field font-mono ${small ? '!min-h-9 !w-16 !px-2' : '!w-40'}`}
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
