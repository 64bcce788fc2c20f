import { localMoment } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { TypedField } from '../../../views/typed/TypedField.tsx';
import { useTyped } from '../../../views/typed/useTyped.ts';
import { FRESH_OFFER, type OfferAnswers, offerAnswersSchema, PACK_EXAMPLES } from './offerAnswers.ts';
import { usePriced } from './usePriced.ts';

/** One price in one row: what, shop, pack, price, and how many there are. Paint, supplies, and parts that nobody has ordered. */
export function NewOffer() {
  const { facts, plan, workshop } = usePlan();
  const { save } = useSaving();
  const { all, productFor } = usePriced();
  const [what, setWhat] = useState('');
  const [shop, setShop] = useState('');
  const chosen = all.find(({ value }) => value === what) ?? all[0];
  const goods = chosen?.goods;
  const form = useTyped<typeof FRESH_OFFER, OfferAnswers>(offerAnswersSchema(goods, workshop.units.volume, workshop.currency), FRESH_OFFER);
  const chosenShop = shop || facts.shops[0]?.id;
  if (facts.shops.length === 0) return <p className="mt-3 font-[650]">Add a shop first: every price is the price of one.</p>;
  if (chosen === undefined || chosenShop === undefined)
    return <p className="second mt-3">A paint that is planned or stands on the shelf can be priced here.</p>;

  const add = async ({ amount, ...terms }: OfferAnswers): Promise<boolean> => {
    const offer = { id: newId(), shopId: chosenShop, seenOn: localMoment(plan.now, workshop.timeZone).date, ...terms };
    const said = 'Priced: the list goes by it.';
    if (goods) return save('goods', { ...offer, of: goods, amount }, said);
    const productId = await productFor(chosen, amount, terms.price);
    if (!productId || !(await save('offers', { ...offer, packMl: amount, productId }, said))) return false;
    setWhat(productId);
    return true;
  };
  return (
    <SmallForm label="A price" className="flex flex-wrap items-end gap-2" onSend={() => void form.send(add)}>
      <SmallSelect label="What" width="!w-56" value={chosen.value} options={all} onChange={setWhat} />
      <SmallSelect
        label="in"
        width="!w-40"
        value={chosenShop}
        options={facts.shops.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setShop}
      />
      {goods?.kind !== 'parcel' && (
        <TypedField
          form={form}
          of="pack"
          label="Pack"
          width="!w-24 !px-2 font-mono"
          placeholder={goods ? PACK_EXAMPLES[goods.unit] : '400 mL'}
        />
      )}
      <TypedField
        form={form}
        of="price"
        label={`Price, ${workshop.currency}`}
        width="!w-20 !px-2 font-mono"
        inputMode="decimal"
        placeholder="7.20"
      />
      <TypedField form={form} of="stock" label="Stock" width="!w-16 !px-2 font-mono" inputMode="numeric" placeholder="some" />
      <button type="submit" className="act !min-h-10">
        Add
      </button>
    </SmallForm>
  );
}
