import type { ShoppingLine } from '#core/plan/index';
import { counted, listed, parseMoney } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { SmallField } from '../../views/SmallField.tsx';
import { PaintStrip } from '../../views/paint.tsx';
import { useBought } from './useBought.ts';

/** One paint on the list: how much, what for, what waits for it; bought as listed, at another price, or not there. */
export function PaintLine({ line }: { line: ShoppingLine }) {
  const { plan, pieceById } = usePlan();
  const words = useWords();
  const { busy, bought } = useBought(line);
  const [otherwise, setOtherwise] = useState(false);
  const coat = plan.steps.find((step) => step.coat?.mix === line.mix)?.coat;
  const pieces = listed(line.pieceIds.map((id) => pieceById.get(id)?.name ?? ''));
  return (
    <li className="border-b border-hairline py-2">
      <div className="grid grid-cols-[14px_minmax(0,1fr)_auto] sm:grid-cols-[14px_minmax(0,1fr)_132px_150px] items-center gap-x-4">
        <PaintStrip lab={coat?.lab ?? null} />
        <span>
          <span className="font-[650] text-ink">
            {line.count} × {line.name}
          </span>
          , {words.volume(line.packMl)}
          <span className="second block text-small">
            {line.additive ? 'to mix in' : `for ${pieces}`}
            {line.leftMl > 0 && ` · ${words.volume(line.wantedMl)} wanted, ${words.volume(line.leftMl)} left over`}
          </span>
          <span className="second block text-small">
            {line.tonight ? (
              <strong className="text-ink">order it tonight</strong>
            ) : (
              line.orderBy !== null && `order by ${words.day(line.orderBy)}`
            )}
            {line.neededBy !== null &&
              `: ${line.waits ? `“${line.waits.title}” waits for it` : 'it is needed'} on ${words.day(line.neededBy)}`}
          </span>
        </span>
        <span className="figure text-right">{words.money(line.price, line.source === 'default')}</span>
        <span className="noprint flex flex-col items-end gap-1">
          <button type="button" className="chip" disabled={busy} onClick={() => void bought(line.price)}>
            bought
          </button>
          <span className="flex gap-3 text-small">
            <button type="button" className="linklike" aria-expanded={otherwise} onClick={() => setOtherwise(!otherwise)}>
              other price
            </button>
            {line.offerId && <NotThere offerId={line.offerId} name={line.name} />}
          </span>
        </span>
      </div>
      {otherwise && <OtherPrice line={line} onPaid={(paid) => void bought(paid)} />}
    </li>
  );
}

/** The shop has none: its offer stands at 0 and the list looks elsewhere. */
function NotThere({ offerId, name }: { offerId: string; name: string }) {
  const { facts } = usePlan();
  const { save } = useSaving();
  const offer = facts.offers.find(({ id }) => id === offerId);
  if (!offer) return null;
  return (
    <button
      type="button"
      className="linklike"
      onClick={() => void save('offers', { ...offer, stock: 0 }, `No ${name} there: the list looks elsewhere.`)}
    >
      out of stock
    </button>
  );
}

function OtherPrice({ line, onPaid }: { line: ShoppingLine; onPaid: (paid: number) => void }) {
  const { workshop } = usePlan();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  return (
    <form
      className="noprint mt-1 flex flex-wrap items-end justify-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const paid = parseMoney(typed, workshop.currency);
        if (paid.ok) onPaid(paid.value);
        else setProblem(paid.mend);
      }}
    >
      <SmallField
        label={`Paid for ${counted(line.count, 'pack')}, ${workshop.currency}`}
        width="!w-32"
        inputMode="decimal"
        value={typed}
        onText={(text) => {
          setTyped(text);
          setProblem('');
        }}
      />
      <button type="submit" className="act !min-h-10">
        Bought at that
      </button>
      {problem && (
        <p role="alert" className="w-full text-right font-[650]">
          {problem}
        </p>
      )}
    </form>
  );
}
