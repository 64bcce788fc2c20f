import type { PieceMoney } from '#core/plan/index';
import { useWords } from '../../app/useWords.ts';

/** What the bar is drawn from; a budget of null is none. */
type Barred = Pick<PieceMoney, 'committed' | 'total' | 'forecast' | 'budget' | 'over' | 'overPercent' | 'about'>;

/** Bought, planned and rework as one bar, solid, hatched and dashed; the line is the budget. */
export function BudgetBar({ money }: { money: Barred }) {
  const words = useWords();
  const most = Math.max(money.forecast, money.budget ?? 0, 1);
  const width = (minor: number) => `${(minor / most) * 100}%`;
  const rest = money.total - money.committed;
  return (
    <div>
      <div className="relative flex h-[10px] bg-quiet" aria-hidden>
        <span style={{ width: width(money.committed), background: 'var(--ink)' }} />
        <span style={{ width: width(rest), background: 'repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 6px)' }} />
        <span className="border border-dashed border-ink" style={{ width: width(money.forecast - money.total) }} />
        {money.budget !== null && (
          <span className="absolute -inset-y-1 w-[2px] bg-ink" style={{ left: `min(calc(100% - 2px), ${width(money.budget)})` }} />
        )}
      </div>
      <p className="second mt-1 text-small">
        {words.money(money.committed)} bought, {words.money(rest, money.about)} planned, with rework{' '}
        {words.money(money.forecast, money.about)}
        {money.budget !== null && `, of ${words.money(money.budget)}`}
        {money.over > 0 && (
          <strong className="text-ink">
            {' '}
            · {words.money(money.over)} over{money.budget ? `, ${money.overPercent} %` : ''}
          </strong>
        )}
      </p>
    </div>
  );
}
