import { type GoodsOf, goodsSchema, offerSchema } from '#core/facts/index';
import { localMoment, parseAmount, parseMoney, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { type Priced, usePriced } from './usePriced.ts';

const FRESH = { pack: '', price: '', stock: '' };
const UNITS: Readonly<Record<Extract<GoodsOf, { kind: 'supply' }>['unit'], string>> = {
  sheet: '4 sheets',
  m: '33 m',
  mL: '500 mL',
  pair: '10 pairs',
  piece: '5',
};

/** One price in one row: what, shop, pack, price, and how many there are. Paint, supplies, and parts that nobody has ordered. */
export function NewOffer() {
  const { facts, plan, workshop } = usePlan();
  const { save } = useSaving();
  const { all, productFor } = usePriced();
  const [what, setWhat] = useState('');
  const [shop, setShop] = useState('');
  const [typed, setTyped] = useState(FRESH);
  const [problem, setProblem] = useState('');
  const chosen = all.find(({ value }) => value === what) ?? all[0];
  const chosenShop = shop || facts.shops[0]?.id;
  if (facts.shops.length === 0) return <p className="mt-3 font-[650]">Add a shop first: every price is the price of one.</p>;
  if (chosen === undefined || chosenShop === undefined)
    return <p className="second mt-3">A paint that is planned or stands on the shelf can be priced here.</p>;

  const add = async () => {
    const pack = packOf(chosen, typed.pack, workshop.units.volume);
    const price = parseMoney(typed.price, workshop.currency);
    const stock = typed.stock.trim() === '' ? undefined : Number(typed.stock);
    if (!pack.ok) return setProblem(`Pack: ${pack.mend}`);
    if (!price.ok) return setProblem(`Price: ${price.mend}`);
    const head = { id: newId(), shopId: chosenShop, price: price.value, seenOn: localMoment(plan.now, workshop.timeZone).date };
    const terms = { ...head, ...(stock === undefined ? {} : { stock }) };
    const wrong = (
      chosen.goods
        ? goodsSchema.safeParse({ ...terms, of: chosen.goods, amount: pack.value })
        : offerSchema.safeParse({ ...terms, productId: 'any', packMl: pack.value })
    ).error?.issues[0];
    if (wrong) return setProblem(wrong.path[0] === 'stock' ? 'Stock: count the packs, or leave it empty.' : wrong.message);
    const said = 'Priced: the list goes by it.';
    if (chosen.goods) {
      if (!(await save('goods', { ...terms, of: chosen.goods, amount: pack.value }, said))) return;
    } else {
      const productId = await productFor(chosen, pack.value, price.value);
      if (!productId || !(await save('offers', { ...terms, packMl: pack.value, productId }, said))) return;
      setWhat(productId);
    }
    setProblem('');
    setTyped(FRESH);
  };
  return (
    <SmallForm label="A price" className="flex flex-wrap items-end gap-2" problem={problem} onSend={() => void add()}>
      <SmallSelect label="What" width="!w-56" value={chosen.value} options={all} onChange={setWhat} />
      <SmallSelect
        label="in"
        width="!w-40"
        value={chosenShop}
        options={facts.shops.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setShop}
      />
      {chosen.goods?.kind !== 'parcel' && (
        <SmallField
          label="Pack"
          width="!w-24 !px-2 font-mono"
          placeholder={chosen.goods ? UNITS[chosen.goods.unit] : '400 mL'}
          value={typed.pack}
          onText={(pack) => setTyped({ ...typed, pack })}
        />
      )}
      <SmallField
        label={`Price, ${workshop.currency}`}
        width="!w-20 !px-2 font-mono"
        inputMode="decimal"
        placeholder="7.20"
        value={typed.price}
        onText={(price) => setTyped({ ...typed, price })}
      />
      <SmallField
        label="Stock"
        width="!w-16 !px-2 font-mono"
        inputMode="numeric"
        placeholder="some"
        value={typed.stock}
        onText={(stock) => setTyped({ ...typed, stock })}
      />
      <button type="submit" className="act !min-h-10">
        Add
      </button>
    </SmallForm>
  );
}

type Pack = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly mend: string };

/** What a pack holds, in the unit of what it is a pack of. */
function packOf({ goods }: Priced, typed: string, volume: 'mL' | 'oz'): Pack {
  if (!goods || (goods.kind === 'supply' && goods.unit === 'mL')) return parseQuantity(typed, 'volume', volume);
  if (goods.kind === 'parcel') return { ok: true, value: 1 };
  const amount = parseAmount(typed, goods.unit);
  if (!amount.ok) return amount;
  return amount.value > 0 ? amount : { ok: false, mend: `Type how many are in it, such as ${UNITS[goods.unit]}.` };
}
