import { supplyKey, supplyName, supplyText } from '#core/amounts/index';
import type { LogEvent } from '#core/facts/index';
import { suppliesToBuy, supplyShares } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { useWords } from '../../../app/useWords.ts';
import { useListPlan } from '../ListPlan.tsx';

type Line = ReturnType<typeof suppliesToBuy>[number];

/** Papers, tape and the rest that all pieces together still lack and no shop has a price for: bought line by line, or all at once. */
export function BesidePaint() {
  const plan = useListPlan();
  const words = useWords();
  const [busy, setBusy] = useState(false);
  const onList = new Set(plan.wants.map(({ key }) => key));
  const lines = suppliesToBuy(plan.pieces.map(({ money }) => money.supplies)).filter((line) => !onList.has(supplyKey(line)));
  if (lines.length === 0) return null;
  const boughtOf = (line: Line): LogEvent => ({
    id: newId(),
    at: toIso(nowMinute()),
    kind: 'stocked',
    supply: line.kind,
    spec: line.spec,
    unit: line.unit,
    amount: line.toBuy,
    paid: line.cost,
    shares: supplyShares(line, plan.pieces),
  });
  const bought = async (own: readonly Line[]) => {
    if (busy) return;
    setBusy(true);
    await logEvents(own.map(boughtOf));
    setBusy(false);
  };
  return (
    <section aria-label="Beside paint" className="mt-5">
      <h2 className="border-b-2 border-ink pb-1">Beside paint, wherever it is sold</h2>
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {lines.map((line) => (
          <li key={supplyKey(line)} className="flex items-baseline justify-between gap-3 border-b border-hairline py-1">
            <span className="min-w-0">{supplyName(line)}</span>
            <span className="flex items-baseline gap-3">
              <span className="figure">
                {supplyText(line.toBuy, line.unit)}, {words.money(line.cost, line.source === 'default')}
              </span>
              <button
                type="button"
                className="linklike noprint min-h-9 text-small"
                aria-label={`${supplyName(line)}: bought`}
                disabled={busy}
                onClick={() => void bought([line])}
              >
                bought
              </button>
            </span>
          </li>
        ))}
      </ul>
      <p className="noprint mt-1 text-right">
        <button type="button" className="linklike min-h-9 text-small" disabled={busy} onClick={() => void bought(lines)}>
          all of it bought
        </button>
      </p>
    </section>
  );
}
