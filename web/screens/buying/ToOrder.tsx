import { parcelKey } from '#core/buying/index';
import { toOrder } from '#core/plan/index';
import { counted, toIso } from '#core/units/index';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { useListPlan } from './ListPlan.tsx';

/** Decals, glass and other parts that nobody has ordered yet and no shop of the list has: the piece waits for them day by day. */
export function ToOrder() {
  const { facts } = usePlan();
  const plan = useListPlan();
  const here = new Set(plan.pieces.map(({ pieceId }) => pieceId));
  const words = useWords();
  const { save } = useSaving();
  const onList = new Set(plan.wants.map(({ key }) => key));
  const open = toOrder(facts.pieces.filter(({ id }) => here.has(id))).filter(
    ({ piece, parcel }) => !onList.has(parcelKey(piece.id, parcel.id)),
  );
  if (open.length === 0) return null;
  return (
    <section aria-label="Parts to order" className="mt-5">
      <h2 className="border-b-2 border-ink pb-1">Parts to order</h2>
      <ul>
        {open.map(({ piece, parcel }) => (
          <li key={parcel.id} className="grid grid-cols-[1fr_auto_auto] items-center gap-x-4 border-b border-hairline py-2">
            <span>
              <span className="font-[650] text-ink">{parcel.name}</span>
              <span className="second block text-small">
                for {piece.name}; it waits for it, so order it tonight
                {parcel.leadDays !== undefined && ` · ${counted(parcel.leadDays, 'day')} to come`}
                {parcel.source && ` · ${parcel.source}`}
              </span>
            </span>
            <span className="figure">{words.money(parcel.price)}</span>
            <button
              type="button"
              className="chip noprint"
              onClick={() => {
                const orderedAt = toIso(nowMinute()).slice(0, 10);
                const parcels = piece.parcels.map((own) => (own.id === parcel.id ? { ...own, orderedAt } : own));
                void save('pieces', { ...piece, parcels }, 'Ordered today.');
              }}
            >
              ordered
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
