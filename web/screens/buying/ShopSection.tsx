import type { ShoppingShop } from '#core/plan/index';
import { counted } from '#core/units/index';
import { useWords } from '../../app/useWords.ts';
import { ShoppingRow } from './ShoppingRow.tsx';
import { useBought, wholeOrder } from './useBought.ts';

/** What is bought in one shop, and what its delivery comes to. */
export function ShopSection({ shop }: { shop: ShoppingShop }) {
  const words = useWords();
  const { busy, bought } = useBought();
  const { days } = shop;
  return (
    <section aria-label={shop.name} className="mt-5">
      <h2 className="border-b-2 border-ink pb-1">
        {shop.name}
        {shop.shopId !== null && days > 0 && <span className="second font-[400]">, {days === 1 ? 'tomorrow' : counted(days, 'day')}</span>}
      </h2>
      <ul>
        {shop.lines.map((line) => (
          <ShoppingRow key={`${line.want} ${line.offerId}`} line={line} />
        ))}
      </ul>
      <p className="second mt-2 flex flex-wrap items-center justify-end gap-x-4 text-right text-small">
        <span>
          goods {words.money(shop.goods)}
          {shop.shopId !== null && `, delivery ${words.money(shop.delivery)}`}
          {shop.underMinimum > 0 && `, ${words.money(shop.underMinimum)} under its minimum order`}
        </span>
        {(shop.lines.length > 1 || shop.delivery > 0) && (
          <button
            type="button"
            className="linklike noprint min-h-9"
            disabled={busy}
            onClick={() => void bought(wholeOrder(shop.lines, shop.delivery))}
          >
            all of it bought{shop.delivery > 0 && ', delivery too'}
          </button>
        )}
      </p>
    </section>
  );
}
