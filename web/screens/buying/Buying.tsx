import type { Purchases } from '#core/buying/index';
import { shoppingList, unservedOf } from '#core/plan/index';
import { Printer } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { BesidePaint } from './prices/BesidePaint.tsx';
import { Budgets } from './budgets/Budgets.tsx';
import { FromTheShelf } from './FromTheShelf.tsx';
import { HowSure } from './HowSure.tsx';
import { ListFor } from './ListFor.tsx';
import { ListPlan, useListPlan } from './ListPlan.tsx';
import { Rations } from './Rations.tsx';
import { ShopSection } from './ShopSection.tsx';
import { ToOrder } from './ToOrder.tsx';
import { WaysToSave } from './WaysToSave.tsx';

const MoneyByMonth = lazy(async () => ({ default: (await import('./budgets/MoneyByMonth.tsx')).MoneyByMonth }));

/** What to buy where, for all pieces or some: the cheapest there is, with what has to be ordered tonight said first. */
export function Buying() {
  const { plan } = usePlan();
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(0,1fr)_420px]">
      <section className="sheet !px-7" aria-labelledby="buying">
        <ListPlan pieceIds={chosen}>
          <Heading />
          <ListFor chosen={chosen} onChange={setChosen} />
          <List />
        </ListPlan>
      </section>
      <aside className="noprint space-y-5">
        <Budgets />
        {plan.purchases.total > 0 && <WaysToSave />}
        <Rations />
        <Suspense fallback={null}>
          <MoneyByMonth />
        </Suspense>
        <FromTheShelf />
      </aside>
    </div>
  );
}

function Heading() {
  const { purchases } = useListPlan();
  const words = useWords();
  return (
    <div className="flex flex-wrap items-baseline gap-x-4">
      <h1 id="buying">{headingOf(purchases, words.money)}</h1>
      {purchases.shops.length + purchases.short.length > 0 && <HowSure purchases={purchases} />}
      <Link to="/buying/shops" className="linklike noprint ml-auto">
        shops and prices
      </Link>
    </div>
  );
}

/** What no shop serves is not nothing. */
function headingOf({ shops, short, total }: Purchases, money: (minor: number) => string): string {
  if (shops.length > 0) return `Buy for ${money(total)}`;
  return short.length > 0 ? 'No shop serves it' : 'Nothing to buy';
}

function List() {
  const words = useWords();
  const { purchases, wants, steps, now } = useListPlan();
  const shops = useMemo(() => shoppingList(purchases, wants, steps, now), [purchases, wants, steps, now]);
  return (
    <>
      {shops.length === 0 && purchases.short.length === 0 && (
        <p className="mt-3 text-lead">The shelf covers every planned coat, and whatever else the shops have a price for.</p>
      )}
      {unservedOf(purchases, wants).map(({ want, name, why, about }) => (
        <p key={want} role="alert" className="mt-2 font-[650]">
          {name}
          {about !== null && `, ${words.money(about, true)} not in the sum`}: {SHORT_WORDS[why]}
        </p>
      ))}
      {shops.map((shop) => (
        <ShopSection key={shop.shopId ?? 'any'} shop={shop} />
      ))}
      <ToOrder />
      <BesidePaint />
      <button type="button" className="act noprint mt-5" onClick={() => window.print()}>
        <Printer size={18} aria-hidden /> Print the list
      </button>
    </>
  );
}

const SHORT_WORDS = {
  'no-offer': 'no shop has it. Enter an offer, or choose another paint under Coats.',
  'too-late': 'no shop sends it in time.',
  stock: 'no shop has as much of it. Take another paint for some of it, or ask when it comes in.',
  minimum: 'the shop that has it sends nothing under its minimum order.',
  excluded: 'it does not go with what else is bought.',
} as const;
