import { type Shop, shopSchema } from '#core/facts/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { MoneyField } from '../../../views/fields/MoneyField.tsx';
import { QuantityField } from '../../../views/fields/QuantityField.tsx';
import { AskShops } from './AskShops.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm } from '../../../views/fields/SmallField.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** A shop round the corner: nothing for delivery, here tomorrow. */
const FRESH: Omit<Shop, 'id' | 'name'> = { delivery: 0, leadDays: 1 };

/** Shops with what they ask for delivery, from when it is free, below what they send nothing, and how long they take. */
export function Shops() {
  const { facts } = usePlan();
  const { save } = useSaving();
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const add = async () => {
    const shop = { ...FRESH, id: newId(), name: name.trim() };
    const wrong = shopSchema.safeParse(shop).error?.issues[0]?.message;
    if (wrong) return setProblem(wrong);
    if (facts.shops.some((own) => own.name.toLowerCase() === shop.name.toLowerCase()))
      return setProblem('A shop of that name is there already.');
    setProblem('');
    if (await save('shops', shop, `${shop.name} is there: say what it asks for delivery.`)) setName('');
  };
  return (
    <FoldingSheet title="Shops">
      <ul>
        {facts.shops.map((shop) => (
          <ShopTerms key={shop.id} shop={shop} />
        ))}
      </ul>
      <SmallForm label="Another shop" className="flex flex-wrap items-end gap-2" problem={problem} onSend={() => void add()}>
        <SmallField label="Another shop" width="!w-48" value={name} onText={setName} />
        <button type="submit" className="act !min-h-10">
          Add it
        </button>
      </SmallForm>
      <AskShops />
    </FoldingSheet>
  );
}

function ShopTerms({ shop }: { shop: Shop }) {
  const { facts } = usePlan();
  const { save, remove } = useSaving();
  const keep = (fields: Partial<Shop>) => {
    const { freeOver, minimum, ...rest } = { ...shop, ...fields };
    const next = { ...rest, ...(freeOver === undefined ? {} : { freeOver }), ...(minimum === undefined ? {} : { minimum }) };
    void save('shops', next, 'The list goes by it.');
  };
  const priced = [...facts.offers, ...facts.goods].some(({ shopId }) => shopId === shop.id);
  return (
    <li className="border-b border-hairline py-2">
      <div className="flex items-center justify-between">
        <span className="font-[650] text-ink">{shop.name}</span>
        {!priced && <RemoveButton what={shop.name} onRemove={() => void remove('shops', shop.id, 'Removed.')} />}
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <MoneyField label="Delivery" value={shop.delivery} onKeep={(delivery = 0) => keep({ delivery })} />
        <MoneyField label="free over" placeholder="never" value={shop.freeOver} onKeep={(freeOver) => keep({ freeOver })} />
        <MoneyField label="at least" placeholder="any" value={shop.minimum} onKeep={(minimum) => keep({ minimum })} />
        <QuantityField
          label="takes"
          small
          dimension="duration"
          unit="days"
          shown={`${shop.leadDays} d`}
          placeholder="3 d"
          refused={(minutes) => shopSchema.shape.leadDays.safeParse(minutes / 1440).error?.issues[0]?.message ?? null}
          onKeep={(minutes) => minutes !== undefined && keep({ leadDays: minutes / 1440 })}
        />
      </div>
    </li>
  );
}
