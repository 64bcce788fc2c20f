import { paintWanted } from '#core/buying/index';
import { type Offer, offerSchema } from '#core/facts/index';
import { localMoment, parseMoney, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/PlanContext.tsx';
import { newId } from '../../app/newId.ts';
import { useSaving } from '../../app/useFacts.ts';
import { SmallField, SmallSelect } from '../../views/SmallField.tsx';

const FRESH = { pack: '', price: '', stock: '' };
/** Before the name of a paint that some layer wants and nobody owns. */
const WANTED = 'wanted ';

/** One price in one row: paint, shop, pack, price, and how many there are. */
export function NewOffer() {
  const { facts, plan, workshop } = usePlan();
  const { save } = useSaving();
  const wanted = plan.needs.filter((need) => need.what === 'paint' && need.productId === undefined);
  const paints = [
    ...wanted.map(({ mix, name }) => ({ value: `${WANTED}${mix}`, label: `${name}, wanted` })),
    ...facts.products.filter(({ mix }) => !mix).map(({ id, name }) => ({ value: id, label: name })),
  ];
  const [paint, setPaint] = useState('');
  const [shop, setShop] = useState('');
  const [typed, setTyped] = useState(FRESH);
  const [problem, setProblem] = useState('');
  const chosenPaint = paint || paints[0]?.value;
  const chosenShop = shop || facts.shops[0]?.id;
  if (facts.shops.length === 0) return <p className="mt-3 font-[650]">Add a shop first: every price is the price of one.</p>;
  if (paints.length === 0 || chosenPaint === undefined || chosenShop === undefined)
    return <p className="second mt-3">A paint that is planned or stands on the shelf can be priced here.</p>;

  /** The product to be priced; for one that was only wanted, written from what its layer asks for. */
  const productFor = async (packMl: number, price: number): Promise<string | null> => {
    if (!chosenPaint.startsWith(WANTED)) return chosenPaint;
    const coat = plan.steps.find((step) => step.coat?.mix === chosenPaint.slice(WANTED.length))?.coat;
    if (!coat) return null;
    const made = paintWanted({ ...coat, packMl, price }, newId);
    return (await save('sheets', made.sheet)) && (await save('products', made.product)) ? made.product.id : null;
  };

  const add = async () => {
    const pack = parseQuantity(typed.pack, 'volume', workshop.units.volume);
    const price = parseMoney(typed.price, workshop.currency);
    const stock = typed.stock.trim() === '' ? undefined : Number(typed.stock);
    if (!pack.ok) return setProblem(`Pack: ${pack.mend}`);
    if (!price.ok) return setProblem(`Price: ${price.mend}`);
    const offer: Omit<Offer, 'productId'> = {
      id: newId(),
      shopId: chosenShop,
      packMl: pack.value,
      price: price.value,
      ...(stock === undefined ? {} : { stock }),
      seenOn: localMoment(plan.now, workshop.timeZone).date,
    };
    const wrong = offerSchema.safeParse({ ...offer, productId: 'any' }).error?.issues[0];
    if (wrong) return setProblem(wrong.path[0] === 'stock' ? 'Stock: count the packs, or leave it empty.' : wrong.message);
    const productId = await productFor(pack.value, price.value);
    if (!productId || !(await save('offers', { ...offer, productId }, 'Priced: the list goes by it.'))) return;
    setProblem('');
    setTyped(FRESH);
    setPaint(productId);
  };
  return (
    <form
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <div className="flex flex-wrap items-end gap-2">
        <SmallSelect label="Paint" width="!w-48" value={chosenPaint} options={paints} onChange={setPaint} />
        <SmallSelect
          label="in"
          width="!w-40"
          value={chosenShop}
          options={facts.shops.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setShop}
        />
        <SmallField
          label="Pack"
          width="!w-20 !px-2 font-mono"
          placeholder="400 mL"
          value={typed.pack}
          onText={(pack) => setTyped({ ...typed, pack })}
        />
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
      </div>
      {problem && (
        <p role="alert" className="mt-1 font-[650]">
          {problem}
        </p>
      )}
    </form>
  );
}
