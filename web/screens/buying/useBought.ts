import { paintWanted } from '#core/buying/index';
import type { Stock } from '#core/facts/index';
import type { ShoppingLine } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents } from '../../app/logging.ts';
import { newId } from '../../app/newId.ts';
import { useSaving } from '../../app/useFacts.ts';

/** Marks a line of the list bought at a price: it stands on the shelf, and the purchase in the log. Pressed twice it is bought once. */
export function useBought(line: ShoppingLine): { readonly busy: boolean; readonly bought: (paid: number) => Promise<void> } {
  const { plan, facts } = usePlan();
  const { save } = useSaving();
  const [busy, setBusy] = useState(false);
  const coat = plan.steps.find((step) => step.coat?.mix === line.mix)?.coat;

  /** A paint that was only wanted becomes one that is owned: its sheet and colour are written from what the layer asked for. */
  const ownedProduct = async (): Promise<string | null> => {
    const known = line.productId ?? facts.products.find((product) => product.name === line.name)?.id;
    if (known || !coat) return known ?? null;
    const { sheet, product } = paintWanted(
      { ...coat, name: line.name, packMl: line.packMl, price: Math.round(line.price / line.count) },
      newId,
    );
    return (await save('sheets', sheet)) && (await save('products', product)) ? product.id : null;
  };

  /** Reducer and hardener stand on the shelf beside paint, counted in mL. */
  const stocked = async () => {
    const row = facts.stock.find((own) => own.unit === 'mL' && own.spec === line.name);
    const left = (row?.left ?? 0) + line.packMl * line.count;
    const counted: Stock = { id: row?.id ?? newId(), kind: 'cleaner', spec: line.name, unit: 'mL', left, leftAt: toIso(nowMinute()) };
    await save('stock', counted, `${line.name} is on the shelf.`);
  };

  const logged = async (paid: number) => {
    const productId = await ownedProduct();
    if (!productId) return;
    const [only, ...others] = line.pieceIds;
    await logEvents([
      {
        id: newId(),
        at: toIso(nowMinute()),
        kind: 'bought',
        productId,
        packMl: line.packMl,
        count: line.count,
        paid,
        ...(line.shopId ? { shopId: line.shopId } : {}),
        ...(only && others.length === 0 ? { pieceId: only } : {}),
      },
    ]);
  };

  return {
    busy,
    bought: async (paid) => {
      if (busy) return;
      setBusy(true);
      await (line.additive ? stocked() : logged(paid));
      setBusy(false);
    },
  };
}
