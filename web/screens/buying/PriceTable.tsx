import { offersToCsv, type ReadOffers, readOffers } from '#core/buying/index';
import { counted, localMoment } from '#core/units/index';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePutOffersMutation } from '../../api/workshopApi.ts';
import { usePlan } from '../../app/PlanContext.tsx';
import { newId } from '../../app/newId.ts';
import { currentRevision, tellProblem } from '../../app/useFacts.ts';
import { FileField } from '../../views/FileField.tsx';

const MOST_SHOWN = 12;

/** Prices as a table for a spreadsheet, out and in; of a table with wrong lines the good ones are taken, or nothing. */
export function PriceTable() {
  const { facts, plan, workshop } = usePlan();
  const [read, setRead] = useState<ReadOffers | null>(null);
  const [problem, setProblem] = useState('');
  const [putOffers, { isLoading }] = usePutOffersMutation();
  const bring = async (file: File) => {
    setProblem('');
    setRead(null);
    try {
      const answer = readOffers(await file.text(), facts, newId, localMoment(plan.now, workshop.timeZone).date);
      if (answer.wrong.length > 0 || answer.offers.length === 0) setRead(answer);
      else await take(answer);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const take = async ({ offers }: ReadOffers) => {
    try {
      await putOffers(offers.map((value) => ({ value, revision: currentRevision('offers', value.id) }))).unwrap();
      setRead(null);
      toast(`${counted(offers.length, 'price')} taken: the list goes by them.`);
    } catch (error) {
      tellProblem(error);
    }
  };
  return (
    <section className="sheet" aria-label="Prices as a table">
      <h2>As a table</h2>
      <a className="act mt-2" download="prices.csv" href={`data:text/csv;charset=utf-8,${encodeURIComponent(offersToCsv(facts))}`}>
        <Download size={18} aria-hidden /> Prices as CSV
      </a>
      <div className="mt-3">
        <FileField label="Bring prices in" accept=".csv,text/csv" onFile={(file) => void bring(file)} />
      </div>
      {problem && (
        <p role="alert" className="mt-2 font-[650]">
          {problem}
        </p>
      )}
      {read && (
        <div role="alert" className="mt-3">
          <p className="font-[650]">
            {counted(read.offers.length, 'good line')}, {counted(read.wrong.length, 'wrong one')}:
          </p>
          <ul className="text-small">
            {read.wrong.slice(0, MOST_SHOWN).map(({ line, why }) => (
              <li key={line}>
                line {line}: {why}
              </li>
            ))}
          </ul>
          {read.wrong.length > MOST_SHOWN && <p className="second text-small">and {read.wrong.length - MOST_SHOWN} more</p>}
          <div className="mt-2 flex gap-2">
            {read.offers.length > 0 && (
              <button type="button" className="act !min-h-10" disabled={isLoading} onClick={() => void take(read)}>
                Take the good ones
              </button>
            )}
            <button type="button" className="act !min-h-10" onClick={() => setRead(null)}>
              Take nothing
            </button>
          </div>
        </div>
      )}
    </section>
  );
}
