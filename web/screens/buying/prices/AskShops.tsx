import { counted, localMoment } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { useLazyShopPricesQuery, usePutTogetherMutation } from '../../../api/workshopApi.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { currentRevision } from '../../../app/writing/factWrites.ts';
import { tellProblem, useSaving } from '../../../app/writing/useFacts.ts';

/** Asks the shops that answer by themselves what they have today, and takes their prices. */
export function AskShops() {
  const { facts, plan, workshop } = usePlan();
  const { save } = useSaving();
  const [ask] = useLazyShopPricesQuery();
  const [put] = usePutTogetherMutation();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const take = async () => {
    setProblem('');
    setBusy(true);
    try {
      const answer = await ask(localMoment(plan.now, workshop.timeZone).date).unwrap();
      if (!answer) return setProblem('The shops do not answer now. Your prices stay as they are; ask again later.');
      if (answer.offers.length === 0) return setProblem('They have none of your paints.');
      for (const shop of answer.shops) if (!facts.shops.some(({ id }) => id === shop.id) && !(await save('shops', shop))) return;
      await put({
        collection: 'offers',
        writes: answer.offers.map((value) => ({ value, revision: currentRevision('offers', value.id) })),
      }).unwrap();
      toast(`${counted(answer.offers.length, 'price')} of ${counted(answer.shops.length, 'shop')} taken: the list goes by them.`);
    } catch (error) {
      tellProblem(error);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="mt-3 border-t border-hairline pt-3">
      <button type="button" className="act !min-h-10" disabled={busy} onClick={() => void take()}>
        {busy ? 'Asking …' : 'Ask three simulated shops'}
      </button>
      <p className="second mt-1 text-small">They stand in for real ones: invented shops with invented prices for the paints you have.</p>
      {problem && (
        <p role="alert" className="mt-1 font-[650]">
          {problem}
        </p>
      )}
    </div>
  );
}
