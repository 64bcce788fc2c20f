import { shelfCans, type ShelfCan } from '#core/buying/index';
import { hexOf } from '#core/colour/index';
import { plain, type Product } from '#core/facts/index';
import { counted } from '#core/units/index';
import { useState } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../app/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { AddCan } from './AddCan.tsx';
import { SheetList } from './SheetList.tsx';
import { StockList } from './StockList.tsx';
import { WeighCan } from './WeighCan.tsx';

/** What stands on the shelf, how full, and what it is. */
export function Shelf() {
  const { facts, plan } = usePlan();
  const cans = shelfCans(facts);
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
        <AddCan />
      </div>
      {cans.length === 0 && (
        <section className="sheet mt-4 max-w-2xl">
          <h2>No cans yet</h2>
          <p className="mt-2">
            Enter a can in three presses and its volume: what it is for, what it is thinned or cleaned with, and its colour. Plans then use
            it first and buy only what is missing.
          </p>
        </section>
      )}
      <ul className="mt-4 grid gap-4 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">
        {withCans.map((product) => (
          <ProductCard
            key={product.id}
            product={product}
            cans={cans.filter((can) => can.productId === product.id)}
            need={plan.needs.find((need) => need.mix === product.id)}
          />
        ))}
      </ul>
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

function ProductCard({
  product,
  cans,
  need,
}: {
  product: Product;
  cans: readonly ShelfCan[];
  need: { neededMl: number; shelfMl: number; missingMl: number } | undefined;
}) {
  const { facts } = usePlan();
  const words = useWords();
  const sheet = facts.sheets.find((candidate) => candidate.id === product.sheetId);
  return (
    <li className="sheet !p-4">
      <p className="leading-snug font-[650] text-ink">{product.name}</p>
      <p className="second text-small">
        {sheet && (
          <Link className="underline underline-offset-4" to={`/shelf/sheets/${sheet.id}`}>
            {plain(sheet.family)}, {sheet.hand}
          </Link>
        )}
      </p>
      <div className="mt-3 flex items-end gap-4">
        {cans.map((can) => (
          <CanDrawing key={can.id} can={can} colour={hexOf(product.lab)} />
        ))}
      </div>
      {need && need.neededMl > 0.5 && (
        <p className="mt-3 border-t border-hairline pt-2 text-small">
          Plans take {words.volume(need.neededMl)}:{' '}
          {need.missingMl > 0.05 ? <strong>{words.volume(need.missingMl)} short</strong> : 'enough here'}
        </p>
      )}
    </li>
  );
}

function CanDrawing({ can, colour }: { can: ShelfCan; colour: string }) {
  const words = useWords();
  const [weighing, setWeighing] = useState(false);
  const full = Math.min(1, can.leftMl / can.packMl);
  return (
    <div className="text-center">
      <svg width="44" height="78" viewBox="0 0 44 78" aria-hidden="true" className="mx-auto">
        <rect x="15" y="1" width="14" height="9" fill="#dcdcdc" stroke="#555555" />
        <rect x="2" y="10" width="40" height="67" rx="3" fill="#f4f4f4" stroke="#555555" />
        <rect x="3" y={11 + 65 * (1 - full)} width="38" height={65 * full} fill={colour} />
      </svg>
      <span className="figure mt-1 block">{words.volume(can.leftMl)}</span>
      <span className="second block text-small">
        of {words.volume(can.packMl)}, {can.source === 'own' ? 'weighed' : 'reckoned'}
      </span>
      {weighing ? (
        <WeighCan can={can} onDone={() => setWeighing(false)} />
      ) : (
        <button type="button" className="linklike min-h-9 text-small" onClick={() => setWeighing(true)}>
          weigh it
        </button>
      )}
    </div>
  );
}
