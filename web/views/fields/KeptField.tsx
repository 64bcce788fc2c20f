import type { Parsed } from '#core/units/index';
import { useState } from 'react';

/** A field whose words are read and kept when it is left or Enter is pressed; empty is not known. What is wrong is said under it. */
export function KeptField({
  label,
  labelLook,
  look,
  shown,
  placeholder,
  read,
  onKeep,
}: {
  label: string;
  labelLook: string;
  look: string;
  /** As it stands, in words; '' where nothing does. */
  shown: string;
  placeholder?: string;
  read: (text: string) => Parsed;
  onKeep: (value: number | undefined) => void;
}) {
  const [problem, setProblem] = useState('');
  const keep = (text: string) => {
    setProblem('');
    if (text.trim() === shown) return;
    if (text.trim() === '') return onKeep(undefined);
    const answer = read(text);
    if (answer.ok) onKeep(answer.value);
    else setProblem(answer.mend);
  };
  return (
    <label className="block">
      <span className={labelLook}>{label}</span>
      <input
        key={shown}
        className={`field font-mono ${look}`}
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
