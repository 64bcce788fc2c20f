import { supplyText } from '#core/amounts/index';
import { Link } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';

/** What must be bought first, and before when. */
export function ToBuyBefore() {
  const { plan } = usePlan();
  const words = useWords();
  const lines = plan.purchases.shops.flatMap((shop) => shop.lines.map((line) => ({ ...line, shop: shop.name })));
  const dated = lines.flatMap((line) => line.neededBy ?? []);
  if (lines.length === 0) return null;
  return (
    <section className="sheet" aria-label="To buy">
      <h2>{dated.length > 0 ? `Buy before ${words.day(Math.min(...dated))}` : 'To buy'}</h2>
      <ul className="mt-2 space-y-1">
        {lines.slice(0, 4).map((line) => (
          <li key={`${line.want} ${line.offerId}`} className="flex justify-between gap-4">
            <span>
              {line.count > 1 ? `${line.count} × ` : ''}
              {line.name}, {line.unit === 'mL' ? words.volume(line.pack) : supplyText(line.pack, line.unit)}
            </span>
            <span className="figure">{words.money(line.price, line.source === 'default')}</span>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex justify-between border-t border-hairline pt-2 text-small">
        <Link to="/buying" className="linklike">
          {lines.length > 4 ? `and ${lines.length - 4} more, by shop` : 'By shop, with delivery'}
        </Link>
        <span className="figure">{words.money(plan.purchases.total)}</span>
      </p>
    </section>
  );
}
