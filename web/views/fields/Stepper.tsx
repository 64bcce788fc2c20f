import { Minus, Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';

/** So long after the last press what the plan says counts again, milliseconds. */
const SETTLES_MS = 4000;

/** Fewer and more of something counted: each press counts from the one before it, however far behind the plan is. */
export function Stepper({
  value,
  least,
  most,
  fewer,
  more,
  words,
  onChange,
}: {
  value: number;
  least: number;
  most: number;
  /** What the two buttons are called. */
  fewer: string;
  more: string;
  words: (value: number) => string;
  onChange: (value: number) => void;
}) {
  const pressed = useRef<number | null>(null);
  const settling = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [own, setOwn] = useState<number | null>(null);
  useEffect(() => () => clearTimeout(settling.current), []);
  const shown = own ?? value;
  const settle = () => {
    pressed.current = null;
    setOwn(null);
  };
  const press = (by: number) => {
    const next = Math.min(most, Math.max(least, (pressed.current ?? value) + by));
    if (next === (pressed.current ?? value)) return;
    pressed.current = next;
    setOwn(next);
    clearTimeout(settling.current);
    settling.current = setTimeout(settle, SETTLES_MS);
    onChange(next);
  };
  return (
    <span className="flex items-center">
      <button
        type="button"
        className="grid size-9 place-items-center disabled:opacity-30"
        aria-label={fewer}
        disabled={shown <= least}
        onClick={() => press(-1)}
      >
        <Minus size={15} aria-hidden />
      </button>
      <span className="figure w-[62px] text-center">{words(shown)}</span>
      <button
        type="button"
        className="grid size-9 place-items-center disabled:opacity-30"
        aria-label={more}
        disabled={shown >= most}
        onClick={() => press(1)}
      >
        <Plus size={15} aria-hidden />
      </button>
    </span>
  );
}
