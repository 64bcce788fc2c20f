import type { Sheet } from '#core/facts/index';
import { parseNumber } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import type { KeepSheet } from './keepSheet.ts';

/** Thinning and hardener as parts to one part of paint, by volume. */
export function LabelRatios({ sheet, onKeep }: { sheet: Sheet; onKeep: KeepSheet }) {
  const { thinning, hardener } = sheet.label;
  const [least, setLeast] = useState(thinning ? String(thinning.least) : '');
  const [usual, setUsual] = useState(thinning ? String(thinning.usual) : '');
  const [most, setMost] = useState(thinning ? String(thinning.most) : '');
  const [parts, setParts] = useState(hardener ? String(hardener.parts) : '');
  const [gloss, setGloss] = useState(hardener?.glossAtMost !== undefined ? String(hardener.glossAtMost) : '');
  const keep = () => {
    const { thinning: _thinning, hardener: _hardener, ...rest } = sheet.label;
    const numbers = [least, usual, most, parts, gloss].map((text) => (text.trim() ? parseNumber(text) : undefined));
    if (numbers.includes(null)) return void toast.error('Parts are numbers, such as 0.5.');
    const [low, middle, high, hard, shine] = numbers as (number | undefined)[];
    void onKeep(
      {
        ...sheet,
        label: {
          ...rest,
          ...(middle !== undefined ? { thinning: { least: low ?? middle, usual: middle, most: high ?? middle } } : {}),
          ...(hard !== undefined ? { hardener: { parts: hard, ...(shine !== undefined ? { glossAtMost: shine } : {}) } } : {}),
        },
      },
      'Mixes are reckoned by it.',
    );
  };
  const field = (label: string, value: string, set: (text: string) => void) => (
    <label>
      <span className="second block text-small">{label}</span>
      <input className="field !min-h-9 font-mono" inputMode="decimal" value={value} onChange={(event) => set(event.target.value)} />
    </label>
  );
  return (
    <form
      className="border-t border-hairline pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <p className="font-[650] text-ink">Parts to one of paint</p>
      <div className="mt-1 grid grid-cols-3 gap-2">
        {field('reducer, least', least, setLeast)}
        {field('usual', usual, setUsual)}
        {field('most', most, setMost)}
        {field('hardener', parts, setParts)}
        {field('gloss at most', gloss, setGloss)}
        <button type="submit" className="act self-end !min-h-9 !px-2">
          Keep
        </button>
      </div>
    </form>
  );
}
