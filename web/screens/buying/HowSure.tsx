import type { Purchases } from '#core/buying/index';
import { counted } from '#core/units/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { Why } from '../../views/Why.tsx';

const PROVEN =
  'Every choice of packs, shops and deliveries was weighed by an integer programme, with thresholds, minimum orders, stock and the days things take to come: none is cheaper.';
const LOOKING =
  'Whole packs, each moved to the shop that lowers goods and delivery together. A sound answer; whether a cheaper one exists is being worked out.';

/** Whether the list is the cheapest there is, and how much could be saved at most where that is not known. */
export function HowSure({ purchases }: { purchases: Purchases }) {
  const { facts } = usePlan();
  const words = useWords();
  const { proven, bound, shops, total, short } = purchases;
  const used = shops.filter(({ shopId }) => shopId !== null).length;
  const from = facts.shops.length > 0 ? `, from ${used} of ${counted(facts.shops.length, 'shop')}` : '';
  if (short.length > 0)
    return (
      <span className="second">
        <Why
          title="Not the whole of it"
          text="What no shop has, or not in time, is not in this sum: nothing is proven of a list with a gap."
          source="label"
        >
          without {counted(short.length, 'thing')} no shop serves
        </Why>
        {from}
      </span>
    );
  if (proven)
    return (
      <span className="second">
        <Why title="Proven the cheapest" text={PROVEN} source="label">
          proven the cheapest
        </Why>
        {from}
      </span>
    );
  return (
    <span className="second">
      <Why title="Not yet proven" text={LOOKING} source="default">
        {bound === undefined ? 'not yet proven the cheapest' : `at most ${words.money(total - bound)} dearer than the cheapest`}
      </Why>
      {from}
    </span>
  );
}
