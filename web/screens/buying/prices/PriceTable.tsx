import { goodsToCsv, offersToCsv, readGoods, readOffers } from '#core/buying/index';
import { localMoment } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { TableBothWays } from '../../../views/TableBothWays.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** Prices of paint, and of what is none, as tables for a spreadsheet, out and in. */
export function PriceTable() {
  const { facts, plan, workshop } = usePlan();
  const today = localMoment(plan.now, workshop.timeZone).date;
  return (
    <FoldingSheet title="As a table">
      <TableBothWays
        collection="offers"
        what="price"
        fileName="prices.csv"
        text={offersToCsv(facts)}
        read={(text) => {
          const { offers, wrong } = readOffers(text, facts, newId, today);
          return { rows: offers, wrong };
        }}
        taken="the list goes by them."
      />
      <h3 className="mt-4 font-[650] text-ink">Papers, tape and the rest</h3>
      <TableBothWays
        collection="goods"
        what="supply price"
        fileName="supplies.csv"
        text={goodsToCsv(facts)}
        read={(text) => {
          const { goods, wrong } = readGoods(text, facts, newId, today);
          return { rows: goods, wrong };
        }}
        taken="the list goes by them."
      />
    </FoldingSheet>
  );
}
