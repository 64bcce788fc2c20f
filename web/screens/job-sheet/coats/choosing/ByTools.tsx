import type { Layer, Part } from '#core/facts/index';
import { byTools } from '#core/plan/index';
import { durationText } from '#core/units/index';
import { useMemo, useState } from 'react';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { HAND_NAMES } from '../../../../views/words/handNames.ts';

/** The same layer by can, airbrush, gun and brush: paint, money, minutes and clean-up beside each other. */
export function ByTools({ part, layer }: { part: Part; layer: Layer }) {
  const [open, setOpen] = useState(false);
  return (
    <div>
      <button type="button" className="linklike min-h-9 text-small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'fold away' : 'by can, airbrush, gun and brush beside each other'}
      </button>
      {open && <Table part={part} layer={layer} />}
    </div>
  );
}

function Table({ part, layer }: { part: Part; layer: Layer }) {
  const { facts } = usePlan();
  const words = useWords();
  const tools = useMemo(() => byTools(layer, part, facts), [layer, part, facts]);
  return (
    <>
      <table className="mt-1 w-full text-small">
        <thead>
          <tr className="second text-left [&>th]:pr-2 [&>th]:font-[400]">
            <th>By</th>
            <th className="text-right">Film</th>
            <th className="text-right">Paint</th>
            <th className="text-right">Worth, about</th>
            <th className="text-right">Bench</th>
            <th className="text-right">Clearing</th>
          </tr>
        </thead>
        <tbody>
          {tools.map(({ hand, filmUm, ml, minor, minutes, cleanUpMinutes }) => (
            <tr key={hand} className="border-t border-hairline [&>td]:py-1 [&>td]:pr-2">
              <td>{HAND_NAMES[hand]}</td>
              <td className="figure text-right">{Math.round(filmUm)} µm</td>
              <td className="figure text-right">{words.volume(ml)}</td>
              <td className="figure text-right">{words.money(minor)}</td>
              <td className="figure text-right">{durationText(minutes)}</td>
              <td className="figure text-right">{cleanUpMinutes} min</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="second mt-1 text-small">All coats of this layer, as one batch: nozzle and what stays in the can counted in.</p>
    </>
  );
}
