import type { PlannedStep } from '#core/plan/index';
import { useWords } from '../../app/useWords.ts';
import { FilmPatterns, filmFill } from '../../views/drawn/filmTextures.tsx';

const WIDTH = 354;
const TEXT = { fontSize: 12, fill: '#f4f4f4', fontFamily: 'var(--font-mono)' };
const GAP = 8;
const widthOf = (text: string) => text.length * 7.3;

/** Wet, open and shut of the film below, with where we stand. Only where a window with an end is near. */
export function WindowBar({ step, now }: { step: PlannedStep; now: number }) {
  const words = useWords();
  const { window } = step;
  if (!window || window.to === null || window.to - now > 24 * 60 || window.from < now - 24 * 60) return null;
  const start = Math.min(now - 4, window.from - 10);
  const end = window.to + (window.to - start) * 0.3;
  const x = (at: number) => ((at - start) / (end - start)) * WIDTH;
  const [opens, shuts] = [x(window.from), x(window.to)];
  const [from, to] = [words.moment(window.from), `shuts ${words.moment(window.to)}`];
  return (
    <svg viewBox={`0 -8 ${WIDTH} 62`} className="mt-4 w-full" role="img" aria-label={`Open from ${from}, ${to}`}>
      <FilmPatterns dark />
      <rect x="0" y="10" width={opens} height="24" {...filmFill('wet', true)} />
      <rect x={opens} y="10" width={shuts - opens} height="24" {...filmFill('open', true)} />
      <rect x={shuts} y="10" width={WIDTH - shuts} height="24" {...filmFill('shut', true)} />
      <rect x={x(now) - 1.5} y="-2" width="3" height="46" fill="#ffffff" stroke="#161616" strokeWidth="0.8" />
      <text x={Math.max(0, Math.min(opens, WIDTH - widthOf(from) - widthOf(to) - GAP))} y="50" {...TEXT}>
        {from}
      </text>
      <text x={Math.min(shuts, WIDTH - widthOf(to))} y="50" {...TEXT}>
        {to}
      </text>
    </svg>
  );
}
