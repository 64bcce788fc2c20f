import type { PieceMoney } from '#core/plan/index';
import { useWords } from '../app/useWords.ts';

/** Bought, planned and budget as one bar: solid, hatched, and the line that is the budget. */
export function BudgetBar({ money }: { money: PieceMoney }) {
  const words = useWords();
  const most = Math.max(money.total, money.budget ?? 0, 1);
  const width = (minor: number) => `${(minor / most) * 100}%`;
  const rest = money.total - money.committed;
  return (
    <div>
      <div className="relative flex h-[10px] bg-quiet" aria-hidden>
        <span style={{ width: width(money.committed), background: 'var(--ink)' }} />
        <span style={{ width: width(rest), background: 'repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 6px)' }} />
        {money.budget !== null && (
          <span className="absolute -inset-y-1 w-[2px] bg-ink" style={{ left: `min(calc(100% - 2px), ${width(money.budget)})` }} />
        )}
      </div>
      <p className="second mt-1 text-small">
        {words.money(money.committed)} bought, {words.money(rest, money.about)} planned
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
