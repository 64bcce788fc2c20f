import { supplyKey, supplyName } from '#core/amounts/index';
import { suppliesToBuy } from '#core/plan/index';
import { supplyText } from '../../views/supplyText.ts';
import type { PurchaseLine, ShopTotal } from '#core/buying/index';
import { counted, listed, toIso } from '#core/units/index';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents } from '../../app/logging.ts';
import { newId } from '../../app/newId.ts';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Why } from '../../views/Why.tsx';
import { PaintStrip } from '../../views/paint.tsx';

/** What to buy, by shop, in whole cans; marking it bought puts it on the shelf. */
export function Buying() {
  const { plan } = usePlan();
  const words = useWords();
  const over = plan.pieces.filter((piece) => piece.money.over > 0);
  const { pieceById } = usePlan();
  const { shops, total } = plan.purchases;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(0,1fr)_372px]">
      <section className="sheet !px-7" aria-labelledby="buying">
        <div className="flex items-baseline justify-between">
          <h1 id="buying">{shops.length === 0 ? 'Nothing to buy' : `Buy for ${words.money(total)}`}</h1>
          {shops.length > 0 && (
            <span className="second">
              <Why
                title="Not yet proven"
                text="Whole cans, each moved to the shop that lowers goods and delivery together. A sound answer, but not yet proven the cheapest."
                source="default"
              >
                not yet proven the cheapest
              </Why>
            </span>
          )}
        </div>
        {shops.length === 0 && <p className="mt-3 text-lead">The shelf covers every planned coat.</p>}
        {shops.map((shop) => (
          <Shop key={shop.shopId ?? 'any'} shop={shop} />
        ))}
        <Beside />
        {shops.length > 0 && (
          <button type="button" className="act noprint mt-5" onClick={() => window.print()}>
            <Printer size={18} aria-hidden /> Print the list
          </button>
        )}
      </section>
      <aside className="noprint space-y-5">
        <section className="sheet" aria-label="From the shelf">
          <h2>What the shelf covers</h2>
          <ul className="mt-2 space-y-1">
            {plan.needs.map((need) => (
              <li key={need.mix}>
                <span className="flex justify-between gap-3">
                  <span>{need.name}</span>
                  <span className="figure">
                    {words.volume(Math.min(need.shelfMl, need.neededMl))} of {words.volume(need.neededMl)}
                  </span>
                </span>
                {need.jarMl < need.keptMl && (
                  <span className="second block text-small">
                    leaves {words.volume(need.jarMl)} for touch-up, not {words.volume(need.keptMl)}
                  </span>
                )}
              </li>
            ))}
          </ul>
          {plan.needs.length === 0 && <p className="second">No coat is planned.</p>}
        </section>
        {over.length > 0 && (
          <section className="sheet" aria-label="Over budget">
            <h2>Over budget</h2>
            <ul className="mt-2 space-y-1">
              {over.map((piece) => (
                <li key={piece.pieceId} className="flex justify-between gap-3">
                  <span>{pieceById.get(piece.pieceId)?.name}</span>
                  <span className="figure">{words.money(piece.money.over)} over</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </aside>
    </div>
  );
}

/** Papers, tape and the rest that all pieces together still lack. */
function Beside() {
  const { plan } = usePlan();
  const words = useWords();
  const lines = suppliesToBuy(plan.pieces.map(({ money }) => money.supplies));
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

function Shop({ shop }: { shop: ShopTotal }) {
  const words = useWords();
  return (
    <section aria-label={shop.name} className="mt-5">
      <h2 className="border-b-2 border-ink pb-1">{shop.name}</h2>
      <ul>
        {shop.lines.map((line) => (
          <Line key={line.mix} line={line} />
        ))}
      </ul>
      <p className="second mt-2 text-right text-small">
        goods {words.money(shop.goods)}
        {shop.delivery > 0 && `, delivery ${words.money(shop.delivery)}`}
        {shop.underMinimum > 0 && `, ${words.money(shop.underMinimum)} under its minimum order`}
      </p>
    </section>
  );
}

function Line({ line }: { line: PurchaseLine }) {
  const { plan, facts, pieceById } = usePlan();
  const words = useWords();
  const users = [...new Set(plan.steps.filter((step) => step.coat?.mix === line.mix).map((step) => step.pieceId))];
  const coat = plan.steps.find((step) => step.coat?.mix === line.mix)?.coat;
  const { save } = useSaving();
  const [busy, setBusy] = useState(false);
  /** A paint that was only wanted becomes one that is owned: its sheet and colour are written from what the layer asked for. */
  const ownedProduct = async (): Promise<string | null> => {
    const known = line.productId ?? facts.products.find((product) => product.name === line.name)?.id;
    if (known || !coat) return known ?? null;
    const [sheetId, id] = [newId(), newId()];
    const sheet = {
      id: sheetId,
      name: line.name,
      family: coat.family,
      role: coat.role,
      hand: coat.hand,
      forPlastics: false,
      isocyanate: coat.family === 'urethane-2k',
      label: {},
      source: 'default' as const,
    };
    const product = {
      id,
      sheetId,
      name: line.name,
      lab: coat.lab,
      transparent: coat.family === 'candy',
      typicalMl: line.packMl,
      typicalPrice: Math.round(line.price / line.count),
    };
    return (await save('sheets', sheet)) && (await save('products', product)) ? id : null;
  };
  const additive = plan.needs.some((need) => need.mix === line.mix && need.what !== 'paint');
  /** Reducer and hardener stand on the shelf beside paint, counted in mL. */
  const stocked = async () => {
    const row = facts.stock.find((own) => own.unit === 'mL' && own.spec === line.name);
    const left = (row?.left ?? 0) + line.packMl * line.count;
    const counted = { kind: 'cleaner' as const, spec: line.name, unit: 'mL' as const, left, leftAt: toIso(nowMinute()) };
    await save('stock', { ...counted, id: row?.id ?? newId() }, `${line.name} is on the shelf.`);
    setBusy(false);
  };
  const bought = async () => {
    if (busy) return;
    setBusy(true);
    if (additive) return stocked();
    const productId = await ownedProduct();
    if (productId) {
      await logEvents([
        {
          id: newId(),
          at: toIso(nowMinute()),
          kind: 'bought',
          productId,
          packMl: line.packMl,
          count: line.count,
          paid: line.price,
          ...(line.shopId ? { shopId: line.shopId } : {}),
          ...(users.length === 1 ? { pieceId: users[0] } : {}),
        },
      ]);
    }
    setBusy(false);
  };
  return (
    <li className="grid grid-cols-[14px_1fr_auto_auto] items-center gap-x-4 border-b border-hairline py-2">
      <PaintStrip lab={coat?.lab ?? null} />
      <span>
        <span className="font-[650] text-ink">
          {line.count} × {line.name}
        </span>
        , {words.volume(line.packMl)}
        <span className="second block text-small">
          {additive ? 'to mix in' : `for ${listed(users.map((id) => pieceById.get(id)?.name ?? ''))}`}
          {line.neededBy !== null && ` · needed ${words.day(line.neededBy)}`}
          {line.leadDays > 0 && ` · ${counted(line.leadDays, 'day')} to come`}
        </span>
      </span>
      <span className="figure">{words.money(line.price, line.source === 'default')}</span>
      <button type="button" className="chip noprint" disabled={busy} onClick={() => void bought()}>
        bought
      </button>
    </li>
  );
}
