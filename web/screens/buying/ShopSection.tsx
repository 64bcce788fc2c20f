import type { ShoppingShop } from '#core/plan/index';
import { counted } from '#core/units/index';
import { useWords } from '../../app/useWords.ts';
import { PaintLine } from './PaintLine.tsx';

/** What is bought in one shop, and what its delivery comes to. */
export function ShopSection({ shop }: { shop: ShoppingShop }) {
  const words = useWords();
  const days = Math.max(0, ...shop.lines.map(({ leadDays }) => leadDays));
  return (
    <section aria-label={shop.name} className="mt-5">
      <h2 className="border-b-2 border-ink pb-1">
        {shop.name}
        {shop.shopId !== null && days > 0 && <span className="second font-[400]">, {days === 1 ? 'tomorrow' : counted(days, 'day')}</span>}
      </h2>
      <ul>
        {shop.lines.map((line) => (
          <PaintLine key={`${line.mix} ${line.offerId}`} line={line} />
        ))}
      </ul>
      <p className="second mt-2 text-right text-small">
        goods {words.money(shop.goods)}
        {shop.shopId !== null && `, delivery ${words.money(shop.delivery)}`}
        {shop.underMinimum > 0 && `, ${words.money(shop.underMinimum)} under its minimum order`}
      </p>
    </section>
  );
}
