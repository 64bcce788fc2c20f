import { moneyByMonth } from '#core/plan/index';
import { useMemo } from 'react';
import { Bar, BarChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const BEFORE = 4;
const AFTER = 2;

/** What went out each month and what is still to go out, beside what may be spent. */
export function MoneyByMonth() {
  const { facts, plan } = usePlan();
  const words = useWords();
  const months = useMemo(() => moneyByMonth(facts, plan, BEFORE, AFTER), [facts, plan]);
  if (months.every(({ committed, planned }) => committed + planned === 0)) return null;
  const data = months.map(({ month, committed, planned }) => ({ month: words.month(month).slice(0, 3), spent: committed, ahead: planned }));
  const limits = months.flatMap(({ budget }) => (budget === null ? [] : [budget]));
  return (
    <FoldingSheet title="Money by month" className="relative">
      <div className="mt-2 h-44" aria-hidden>
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={data} accessibilityLayer={false} margin={{ top: 8, right: 4, bottom: 0, left: 0 }}>
            <defs>
              <pattern id="ahead" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <rect width="2" height="6" fill="var(--ink)" />
              </pattern>
            </defs>
            <XAxis dataKey="month" tickLine={false} stroke="var(--second)" fontSize={13} />
            <YAxis
              tickLine={false}
              axisLine={false}
              width={44}
              stroke="var(--second)"
              fontSize={12}
              tickFormatter={(minor: number) => String(Math.round(minor / 100))}
            />
            {limits.map((limit) => (
              <ReferenceLine key={limit} y={limit} stroke="var(--ink)" strokeDasharray="4 4" />
            ))}
            <Tooltip cursor={false} formatter={(minor, name) => [words.money(Number(minor)), name]} isAnimationActive={false} />
            <Bar dataKey="spent" name="spent" stackId="money" fill="var(--ink)" isAnimationActive={false} />
            <Bar dataKey="ahead" name="still to spend" stackId="money" fill="url(#ahead)" stroke="var(--ink)" isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <div className="sr-only">
        <table>
          <caption>Money by month</caption>
          <tbody>
            {months.map(({ month, committed, planned, budget }) => (
              <tr key={month}>
                <th scope="row">{words.month(month)}</th>
                <td>{words.money(committed)} spent</td>
                <td>{words.money(planned)} still to spend</td>
                <td>{budget === null ? 'no budget' : `${words.money(budget)} may be spent`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="second text-small">
        Solid: spent. Hatched: still to spend.{limits.length > 0 && ' Dashed: what may be spent in a month.'}
      </p>
    </FoldingSheet>
  );
}
