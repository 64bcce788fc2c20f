import { ArrowLeft } from 'lucide-react';
import { Link } from 'react-router';
import { Offers } from './Offers.tsx';
import { PriceTable } from './PriceTable.tsx';
import { Shops } from './Shops.tsx';

/** Where things are bought: shops with their terms, and what each asks for what. The list follows every change. */
export function ShopsAndPrices() {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(0,1fr)_400px]">
      <section className="sheet !px-7" aria-labelledby="prices">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h1 id="prices">Prices</h1>
          <Link to="/buying" className="linklike inline-flex items-center gap-1">
            <ArrowLeft size={16} aria-hidden /> the list to buy
          </Link>
        </div>
        <Offers />
      </section>
      <aside className="space-y-5">
        <Shops />
        <PriceTable />
      </aside>
    </div>
  );
}
