import { type Keeping, keepingOf, type ShelfCan, shelfCans } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import { hexOf } from '#core/colour/index';
import { counted } from '#core/units/index';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { AddCan } from './AddCan.tsx';
import { CanSheet } from './CanSheet.tsx';
import { KeepAnEye } from './KeepAnEye.tsx';
import { ProductCard } from './ProductCard.tsx';
import { SheetList } from './SheetList.tsx';
import { ShelfTable } from './ShelfTable.tsx';
import { StockList } from './StockList.tsx';

const NOTHING: readonly Keeping[] = [];

/** What stands on the shelf, how full, how it keeps, and what it is; as cans or as a table. */
export function Shelf() {
  const { facts, plan } = usePlan();
  const [asTable, setAsTable] = useState(false);
  const [opened, setOpened] = useState<string | null>(null);
  const cans = shelfCans(facts);
  const keeping = useMemo(() => keepingOf(facts, conditionsOf(facts, plan.now), plan.now), [facts, plan.now]);
  const withCans = facts.products.filter((product) => cans.some((can) => can.productId === product.id));
  const others = facts.products.filter((product) => !withCans.includes(product));
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div className="flex items-baseline gap-4">
          <h1>Paint shelf</h1>
          <span className="second">
            {counted(cans.length, 'can')}, {counted(withCans.length, 'paint')}
          </span>
        </div>
        <div className="flex gap-3">
          {cans.length > 0 && (
            <button type="button" className="act" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
              {asTable ? 'As cans' : 'As a table'}
            </button>
          )}
          <AddCan />
        </div>
      </div>
      <KeepAnEye cans={cans} keeping={keeping} onOpen={setOpened} />
      {cans.length === 0 && (
        <section className="sheet mt-4 max-w-2xl">
          <h2>No cans yet</h2>
          <p className="mt-2">
            Enter a can in three presses and its volume: what it is for, what it is thinned or cleaned with, and its colour. Plans then use
            it first and buy only what is missing.
          </p>
        </section>
      )}
      {asTable ? (
        <ShelfTable cans={cans} keeping={keeping} onOpen={setOpened} />
      ) : (
        <ul className="mt-4 grid gap-4 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">
          {withCans.map((product) => (
            <ProductCard
              key={product.id}
              product={product}
              cans={cans.filter((can) => can.productId === product.id)}
              keeping={keeping}
              need={plan.needs.find((need) => need.mix === product.id)}
              onOpen={setOpened}
            />
          ))}
        </ul>
      )}
      <Dialog.Root open={opened !== null} onOpenChange={(open) => !open && setOpened(null)}>
        <OpenedCan can={cans.find(({ id }) => id === opened)} keeping={keeping} />
      </Dialog.Root>
      {others.length > 0 && (
        <details className="sheet mt-5">
          <summary className="cursor-pointer font-[650] text-ink">
            Can be planned and bought, no can of it here: {counted(others.length, 'paint')}
          </summary>
          <ul className="mt-3 grid gap-x-8 gap-y-1 sm:grid-cols-2 lg:grid-cols-3">
            {others.map((product) => (
              <li key={product.id} className="flex items-center gap-2">
                <span aria-hidden className="inline-block size-4 border border-black/30" style={{ background: hexOf(product.lab) }} />
                {product.name}
              </li>
            ))}
          </ul>
        </details>
      )}
      <StockList />
      <SheetList />
    </>
  );
}

function OpenedCan({ can, keeping }: { can: ShelfCan | undefined; keeping: ReadonlyMap<string, readonly Keeping[]> }) {
  const { facts } = usePlan();
  const product = facts.products.find(({ id }) => id === can?.productId);
  return can && product ? <CanSheet can={can} product={product} keeping={keeping.get(can.id) ?? NOTHING} /> : null;
}
