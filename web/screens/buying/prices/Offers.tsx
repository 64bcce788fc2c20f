import { offerSchema } from '#core/facts/index';
import { type PriceMoves, priceMoves } from '#core/plan/index';
import { counted, listed, localMoment } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { KeptField } from '../../../views/fields/KeptField.tsx';
import { MoneyField } from '../../../views/fields/MoneyField.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { type SortColumn, SortHead, useSorted } from '../../../views/SortHead.tsx';
import { NewOffer } from './NewOffer.tsx';
import { type PriceRow, priceRows } from './priceRows.ts';

type SortBy = 'what' | 'shop' | 'per' | 'seenOn';

const COLUMNS: readonly SortColumn<SortBy>[] = [
  { by: 'what', name: 'What' },
  { by: 'shop', name: 'Shop' },
  { by: 'per', name: 'For 100 mL, or one', right: true },
  { by: 'seenOn', name: 'Seen on', right: true },
];

/** Every price in a row of its own: looked for by name, sorted, its price and stock changed where they stand. */
export function Offers() {
  const { facts } = usePlan();
  const words = useWords();
  const [looked, setLooked] = useState('');
  const all = priceRows(facts, words.volume);
  const found = all.filter(({ what, shop }) => `${what} ${shop}`.toLowerCase().includes(looked.trim().toLowerCase()));
  const { sorted: rows, sort } = useSorted<SortBy, PriceRow>(found, 'what');
  return (
    <>
      <NewOffer />
      {all.length > 0 && (
        <label className="mt-4 block max-w-xs">
          <span className="second block text-small">Look for a paint, a paper or a shop</span>
          <input className="field !min-h-10" type="search" value={looked} onChange={(event) => setLooked(event.target.value)} />
        </label>
      )}
      {all.length === 0 ? (
        <p className="second mt-4">No price is known yet: the list goes by usual ones, and says “about”.</p>
      ) : (
        <div className="relative overflow-x-auto">
          <table className="mt-3 w-full">
            <thead>
              <tr className="second text-left text-small">
                <SortHead columns={COLUMNS} sort={sort} />
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
      {all.length > 0 && rows.length === 0 && <p className="second mt-2">Nothing of that name among {counted(all.length, 'price')}.</p>}
    </>
  );
}

function OfferRow({ row }: { row: PriceRow }) {
  const { facts, workshop, plan, pieceById } = usePlan();
  const { remove } = useSaving();
  const keep = useKeptPrice(row);
  const words = useWords();
  const { what, shop, pack, per, seenOn, fact, want } = row;
  const whole = [what, pack, shop].filter(Boolean).join(', ');
  const wanted = plan.wants.find(({ key }) => key === want);
  const takers = listed((wanted?.byPiece ?? []).flatMap(({ pieceId }) => pieceById.get(pieceId)?.name ?? []));
  /** Which plans it moves, and by how much each. */
  const moved = ({ total, pieces }: PriceMoves) => {
    if (total === 0 && pieces.length === 0) return 'No plan is moved by it.';
    const each = pieces.map(
      ({ pieceId, minor }) => `${pieceById.get(pieceId)?.name} ${words.money(Math.abs(minor))} ${minor > 0 ? 'more' : 'less'}`,
    );
    return `The list costs ${words.money(Math.abs(total))} ${total < 0 ? 'less' : 'more'}: ${listed(each)}.`;
  };
  return (
    <tr className="border-t border-hairline">
      <td className="py-1 pr-3">
        <span className="text-ink">{what}</span>
        {pack && (
          <>
            , <span className="figure">{pack}</span>
          </>
        )}
        {wanted && <span className="second block text-small">wanted now for {takers}</span>}
      </td>
      <td className="pr-3">{shop}</td>
      <td className="figure pr-3 text-right">{words.money(per)}</td>
      <td className="second pr-3 text-right text-small whitespace-nowrap">{words.dayOf(seenOn)}</td>
      <td className="py-1 pr-2">
        <div className="flex justify-end">
          <MoneyField
            label={`Price of ${whole}`}
            hidden
            value={fact.value.price}
            onKeep={(price) =>
              price !== undefined &&
              keep(
                { price, seenOn: localMoment(plan.now, workshop.timeZone).date },
                `${what}: ${words.money(price)} now. ${moved(priceMoves(plan.wants, facts, row.id, price))}`,
              )
            }
          />
        </div>
      </td>
      <td className="py-1">
        <div className="flex justify-end">
          <StockField what={whole} stock={fact.value.stock} onKeep={(stock, said) => keep({ stock }, said)} />
        </div>
      </td>
      <td className="text-right">
        <RemoveButton what={whole} onRemove={() => void remove(fact.of, row.id, 'Removed.')} />
      </td>
    </tr>
  );
}

/** Writes what is changed of a price back to where it is kept. */
function useKeptPrice({ fact }: PriceRow) {
  const { save } = useSaving();
  return (change: { price?: number; stock?: number | undefined; seenOn?: string }, said: string) => {
    const changed = <T extends { stock?: number | undefined }>(value: T) => {
      const { stock, ...rest } = { ...value, ...change };
      return stock === undefined ? rest : { ...rest, stock };
    };
    if (fact.of === 'offers') void save('offers', changed(fact.value), said);
    else void save('goods', changed(fact.value), said);
  };
}

/** How many packs the shop has; empty where nobody counted. */
function StockField({
  what,
  stock: known,
  onKeep,
}: {
  what: string;
  stock: number | undefined;
  onKeep: (stock: number | undefined, said: string) => void;
}) {
  return (
    <KeptField
      label={`Stock of ${what}`}
      labelLook="sr-only"
      look="!min-h-9 !w-16 !px-2 text-right"
      shown={known === undefined ? '' : String(known)}
      placeholder="some"
      read={(text) => {
        const stock = Number(text);
        return offerSchema.shape.stock.safeParse(stock).success
          ? { ok: true, value: stock }
          : { ok: false, mend: 'Count the packs: a whole number, or leave it empty.' };
      }}
      onKeep={(stock) =>
        onKeep(stock, stock === undefined ? 'Some of it is there.' : stock === 0 ? 'Out of stock: the list looks elsewhere.' : 'Counted.')
      }
    />
  );
}
