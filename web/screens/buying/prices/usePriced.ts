import { supplyKey, supplyName } from '#core/amounts/index';
import { paintWanted, parcelKey, shelfStock } from '#core/buying/index';
import type { GoodsOf } from '#core/facts/index';
import { ADDITIVE, toOrder } from '#core/plan/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';

/** Something a price can be given: a paint, one that is only wanted, a supply, or a part nobody has ordered. */
export type Priced = {
  readonly value: string;
  readonly label: string;
  /** Of what is no paint. */
  readonly goods?: GoodsOf;
  /** The mix of a paint that some layer wants and nobody owns. */
  readonly wantedMix?: string;
};

export function usePriced() {
  const { facts, plan } = usePlan();
  const { save } = useSaving();
  const wanted = plan.needs.filter((need) => need.what === 'paint' && need.productId === undefined);
  const additives = plan.needs.filter(({ what }) => what !== 'paint').map(({ name }) => ({ ...ADDITIVE, spec: name }));
  const supplies = new Map(
    [...plan.pieces.flatMap(({ money }) => money.supplies), ...additives, ...shelfStock(facts)].map(
      (line) => [supplyKey(line), line] as const,
    ),
  );
  const all: Priced[] = [
    ...wanted.map(({ mix, name }) => ({ value: `wanted ${mix}`, label: `${name}, wanted`, wantedMix: mix })),
    ...facts.products.filter(({ mix }) => !mix).map(({ id, name }) => ({ value: id, label: name })),
    ...toOrder(facts.pieces).map(({ piece, parcel }) => ({
      value: parcelKey(piece.id, parcel.id),
      label: `${parcel.name}, for ${piece.name}`,
      goods: { kind: 'parcel' as const, pieceId: piece.id, parcelId: parcel.id },
    })),
    ...[...supplies].map(([value, { kind, spec, unit }]) => ({
      value,
      label: supplyName({ kind, spec }),
      goods: { kind: 'supply' as const, supply: kind, spec, unit },
    })),
  ];

  /** The product to be priced; for one that was only wanted, written from what its layer asks for. */
  const productFor = async ({ value, wantedMix }: Priced, packMl: number, price: number): Promise<string | null> => {
    if (wantedMix === undefined) return value;
    const coat = plan.steps.find((step) => step.coat?.mix === wantedMix)?.coat;
    if (!coat) return null;
    const made = paintWanted({ ...coat, packMl, price }, newId);
    return (await save('sheets', made.sheet)) && (await save('products', made.product)) ? made.product.id : null;
  };
  return { all, productFor };
}
