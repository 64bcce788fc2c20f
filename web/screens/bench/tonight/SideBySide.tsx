import { boardOf, type BatchBoard, type PlannedStep } from '#core/plan/index';
import { counted } from '#core/units/index';
import { dividedFacts } from '#core/zones/index';
import { useMemo, useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';

/** Less than this is not worth laying out a board for, mL. */
const WORTH_ML = 1;

/** Small parts of a batch laid out side by side, drawn to copy, with what their shared sweeps save. */
export function SideBySide({ steps }: { steps: readonly PlannedStep[] }) {
  const { facts } = usePlan();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const coats = useMemo(() => {
    const first = steps[0]?.coat?.number;
    return steps.filter(({ coat }) => coat?.number === first);
  }, [steps]);
  const board = useMemo(() => boardOf(coats, dividedFacts(facts)), [coats, facts]);
  const saved = board ? board.mlApart - board.mlTogether : 0;
  if (!board || saved < WORTH_ML) return null;
  return (
    <>
      {' · '}
      <button type="button" className="linklike noprint" aria-expanded={open} onClick={() => setOpen(!open)}>
        side by side saves {words.volume(saved)} a coat
      </button>
      {open && <Board board={board} />}
    </>
  );
}

function Board({ board }: { board: BatchBoard }) {
  const words = useWords();
  const { laid, rows, lengthMm, heightMm, labels, turns, sweepsTogether, sweepsApart } = board;
  return (
    <span className="mt-2 block max-w-lg">
      <svg
        viewBox={`-30 -12 ${lengthMm + 60} ${heightMm + 24}`}
        className="block max-h-56 w-full border border-hairline bg-quiet"
        role="img"
        aria-label={`${counted(laid.length, 'part')} in ${counted(rows.length, 'row')}`}
      >
        {rows.map((row) => (
          <g key={row.y} stroke="var(--second)" strokeDasharray="6 5" strokeWidth="1">
            {Array.from({ length: row.sweeps }, (_, sweep) => {
              const y = row.y + (row.sweeps === 1 ? row.heightMm / 2 : (row.heightMm * sweep) / (row.sweeps - 1));
              return <line key={y} x1={-28} x2={row.lengthMm + 28} y1={y} y2={y} />;
            })}
          </g>
        ))}
        {laid.map(({ id, x, y, longMm, shortMm }) => (
          <g key={id}>
            <rect x={x} y={y} width={longMm} height={shortMm} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.5" />
            <text
              x={x + longMm / 2}
              y={y + shortMm / 2}
              textAnchor="middle"
              dominantBaseline="central"
              fontSize={Math.max(8, Math.min(shortMm * 0.5, longMm / Math.max(3, labels[id].length * 0.6), 22))}
              fill="var(--ink)"
            >
              {labels[id]}
            </text>
          </g>
        ))}
      </svg>
      <span className="block">
        {counted(sweepsTogether, 'sweep')} a coat instead of {sweepsApart}, over {counted(turns, 'face')} one after the other, each row in
        one go: {words.volume(board.mlTogether)} instead of {words.volume(board.mlApart)}. The plan reckons each part by itself; what the
        board saves stays in the can.
      </span>
    </span>
  );
}
