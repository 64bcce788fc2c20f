import type { Sheet } from '#core/facts/index';
import { parseMix, parseNumber, parseRatio } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import type { KeepSheet } from './keepSheet.ts';

/** "4:1" where it is so many whole parts of paint to one, else the share in percent. */
function ratioText(parts: number): string {
  const paint = parts > 0 ? 1 / parts : 0;
  return paint >= 1 && Math.abs(paint - Math.round(paint)) < 1e-6 ? `${Math.round(paint)}:1` : `${Math.round(parts * 1000) / 10} %`;
}

/** Thinning and hardener as parts to one part of paint, by volume. */
export function LabelRatios({ sheet, onKeep }: { sheet: Sheet; onKeep: KeepSheet }) {
  const { thinning, hardener } = sheet.label;
  const [least, setLeast] = useState(thinning ? ratioText(thinning.least) : '');
  const [usual, setUsual] = useState(thinning ? ratioText(thinning.usual) : '');
  const [most, setMost] = useState(thinning ? ratioText(thinning.most) : '');
  const [parts, setParts] = useState(hardener ? ratioText(hardener.parts) : '');
  const [gloss, setGloss] = useState(hardener?.glossAtMost !== undefined ? String(hardener.glossAtMost) : '');
  const [mix, setMix] = useState('');
  const keep = () => {
    const { thinning: _thinning, hardener: _hardener, ...rest } = sheet.label;
    const ratios = [least, usual, most, parts].map((text) => (text.trim() ? parseRatio(text) : undefined));
    const numbers = [...ratios, gloss.trim() ? parseNumber(gloss) : undefined];
    if (ratios.includes(null)) return void toast.error('A ratio reads 4:1, 25 % or 0.25.');
    if (numbers.includes(null)) return void toast.error('Gloss is a number of units, such as 10.');
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
  const spread = () => {
    const mixed = parseMix(mix);
    if (!mixed) return void toast.error('A mix reads 4:1 or, with hardener, 12:1:1: paint, hardener, reducer.');
    setUsual(ratioText(mixed.reducer));
    if (mixed.hardener !== null) setParts(ratioText(mixed.hardener));
    setMix('');
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
      <p className="font-[650] text-ink">Reducer and hardener to paint</p>
      <div className="mt-1 flex items-end gap-2">
        <label className="flex-1">
          <span className="second block text-small">the mix as the label says it</span>
          <input className="field !min-h-9 font-mono" placeholder="12:1:1" value={mix} onChange={(event) => setMix(event.target.value)} />
        </label>
        <button type="button" className="act !min-h-9 !px-2" disabled={mix.trim() === ''} onClick={spread}>
          Take it
        </button>
      </div>
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
