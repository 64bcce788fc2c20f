import { type Offer, offerSchema } from '#core/facts/index';
import { pricePer100Ml } from '#core/buying/index';
import { counted, localMoment } from '#core/units/index';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import { usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { KeptField } from '../../views/KeptField.tsx';
import { MoneyField } from '../../views/MoneyField.tsx';
import { RemoveButton } from '../../views/RemoveButton.tsx';
import { NewOffer } from './NewOffer.tsx';

type Row = Offer & { readonly paint: string; readonly shop: string; readonly per100Ml: number };
type SortBy = 'paint' | 'shop' | 'per100Ml' | 'seenOn';

const COLUMNS: readonly { readonly by: SortBy; readonly name: string; readonly right?: boolean }[] = [
  { by: 'paint', name: 'Paint' },
  { by: 'shop', name: 'Shop' },
  { by: 'per100Ml', name: 'For 100 mL', right: true },
  { by: 'seenOn', name: 'Seen on', right: true },
];

/** Every offer in a row of its own: looked for by name, sorted, its price and stock changed where they stand. */
export function Offers() {
  const { facts } = usePlan();
  const [looked, setLooked] = useState('');
  const [sort, setSort] = useState<{ by: SortBy; down: boolean }>({ by: 'paint', down: false });
  const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((own) => own.id === id)?.name ?? '';
  const rows = facts.offers
    .map(
      (offer): Row => ({
        ...offer,
        paint: nameOf(facts.products, offer.productId),
        shop: nameOf(facts.shops, offer.shopId),
        per100Ml: pricePer100Ml(offer),
      }),
    )
    .filter(({ paint, shop }) => `${paint} ${shop}`.toLowerCase().includes(looked.trim().toLowerCase()))
    .sort((a, b) => compare(a[sort.by], b[sort.by]) * (sort.down ? -1 : 1));
  return (
    <>
      <NewOffer />
      {facts.offers.length > 0 && (
        <label className="mt-4 block max-w-xs">
          <span className="second block text-small">Look for a paint or a shop</span>
          <input className="field !min-h-10" type="search" value={looked} onChange={(event) => setLooked(event.target.value)} />
        </label>
      )}
      {facts.offers.length === 0 ? (
        <p className="second mt-4">No price is known yet: the list goes by usual ones, and says “about”.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="mt-3 w-full">
            <thead>
              <tr className="second text-left text-small">
                {COLUMNS.map(({ by, name, right }) => (
                  <th
                    key={by}
                    className={`py-1 font-[400] ${right ? 'text-right' : ''}`}
                    aria-sort={sort.by !== by ? 'none' : sort.down ? 'descending' : 'ascending'}
                  >
                    <button
                      type="button"
                      className="inline-flex items-center gap-1"
                      onClick={() => setSort({ by, down: sort.by === by && !sort.down })}
                    >
                      {name}
                      {sort.by === by && (sort.down ? <ArrowDown size={13} aria-hidden /> : <ArrowUp size={13} aria-hidden />)}
                    </button>
                  </th>
                ))}
                <th className="text-right font-[400]">Price</th>
                <th className="text-right font-[400]">Stock</th>
                <th>
                  <span className="sr-only">Remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <OfferRow key={row.id} row={row} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {facts.offers.length > 0 && rows.length === 0 && (
        <p className="second mt-2">Nothing of that name among {counted(facts.offers.length, 'price')}.</p>
      )}
    </>
  );
}

function compare(one: string | number, other: string | number): number {
  return typeof one === 'number' && typeof other === 'number' ? one - other : String(one).localeCompare(String(other));
}

function OfferRow({ row }: { row: Row }) {
  const { workshop, plan } = usePlan();
  const { save, remove } = useSaving();
  const words = useWords();
  const { paint, shop, per100Ml, ...offer } = row;
  const what = `${paint}, ${words.volume(offer.packMl)}, ${shop}`;
  const waiting = plan.needs.some((need) => need.productId === offer.productId && need.missingMl > 0);
  return (
    <tr className="border-t border-hairline">
      <td className="py-1">
        <span className="text-ink">{paint}</span>, <span className="figure">{words.volume(offer.packMl)}</span>
        {waiting && <span className="second block text-small">wanted now</span>}
      </td>
      <td>{shop}</td>
      <td className="figure text-right">{words.money(per100Ml)}</td>
      <td className="second text-right text-small">{words.dayOf(offer.seenOn)}</td>
      <td className="py-1">
        <div className="flex justify-end">
          <MoneyField
            label={`Price of ${what}`}
            hidden
            value={offer.price}
            onKeep={(price) =>
              price !== undefined &&
              void save(
                'offers',
                { ...offer, price, seenOn: localMoment(plan.now, workshop.timeZone).date },
                `${paint}: ${words.money(price)} now.`,
              )
            }
          />
        </div>
      </td>
      <td className="py-1">
        <div className="flex justify-end">
          <StockField what={what} offer={offer} />
        </div>
      </td>
      <td className="text-right">
        <RemoveButton what={what} onRemove={() => void remove('offers', offer.id, 'Removed.')} />
      </td>
    </tr>
  );
}

/** How many packs the shop has; empty where nobody counted. */
function StockField({ what, offer }: { what: string; offer: Offer }) {
  const { save } = useSaving();
  const { stock: _stock, ...rest } = offer;
  const keep = (stock: number | undefined) => {
    const said = stock === undefined ? 'Some of it is there.' : stock === 0 ? 'Out of stock: the list looks elsewhere.' : 'Counted.';
    void save('offers', stock === undefined ? rest : { ...rest, stock }, said);
  };
  return (
    <KeptField
      label={`Stock of ${what}`}
      labelLook="sr-only"
      look="!min-h-9 !w-16 !px-2 text-right"
      shown={offer.stock === undefined ? '' : String(offer.stock)}
      placeholder="some"
      read={(text) => {
        const stock = Number(text);
        return offerSchema.shape.stock.safeParse(stock).success
          ? { ok: true, value: stock }
          : { ok: false, mend: 'Count the packs: a whole number, or leave it empty.' };
      }}
      onKeep={keep}
    />
  );
}
