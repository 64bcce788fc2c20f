import { supplyKey, supplyName } from '#core/amounts/index';
import { suppliesToBuy } from '#core/plan/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { supplyText } from '#core/amounts/index';

/** Papers, tape and the rest that all pieces together still lack and no shop has a price for. */
export function BesidePaint() {
  const { plan } = usePlan();
  const words = useWords();
  const onList = new Set(plan.wants.map(({ key }) => key));
  const lines = suppliesToBuy(plan.pieces.map(({ money }) => money.supplies)).filter((line) => !onList.has(supplyKey(line)));
  if (lines.length === 0) return null;
  return (
    <section aria-label="Beside paint" className="mt-5">
      <h2 className="border-b-2 border-ink pb-1">Beside paint, wherever it is sold</h2>
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {lines.map((line) => (
          <li key={supplyKey(line)} className="flex justify-between gap-3 border-b border-hairline py-1">
            <span>{supplyName(line)}</span>
            <span className="figure">
              {supplyText(line.toBuy, line.unit)}, {words.money(line.cost, line.source === 'default')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
