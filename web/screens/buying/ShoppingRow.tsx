import { supplyText } from '#core/amounts/index';
import { plain } from '#core/facts/index';
import type { ShoppingLine } from '#core/plan/index';
import { listed } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { HAND_NAMES } from '../../views/words/handNames.ts';
import { PaintStrip } from '../../views/drawn/paint.tsx';
import { useListPlan } from './ListPlan.tsx';
import { OtherwiseBought } from './OtherwiseBought.tsx';
import { asListed, useBought } from './useBought.ts';

/** One line of the list: how much, what for, what waits for it; bought as listed, otherwise, or not there. */
export function ShoppingRow({ line }: { line: ShoppingLine }) {
  const { pieceById } = usePlan();
  const plan = useListPlan();
  const words = useWords();
  const { busy, bought } = useBought();
  const [otherwise, setOtherwise] = useState(false);
  const coat = plan.steps.find((step) => step.coat?.mix === line.want)?.coat;
  const pieces = listed(line.pieceIds.map((id) => pieceById.get(id)?.name ?? ''));
  const amount = (of: number) => (line.unit === 'mL' ? words.volume(of) : supplyText(of, line.unit));
  return (
    <li className="border-b border-hairline py-2">
      <div className="grid grid-cols-[14px_minmax(0,1fr)_auto] sm:grid-cols-[14px_minmax(0,1fr)_132px_150px] items-center gap-x-4">
        <PaintStrip lab={coat?.lab ?? null} />
        <span>
          <span className="font-[650] text-ink">{line.of === 'parcel' ? line.name : `${line.count} × ${line.name}`}</span>
          {line.of !== 'parcel' && `, ${amount(line.pack)}`}
          <span className="second block text-small">
            {line.of === 'paint' || line.of === 'parcel' ? '' : line.of === 'supply' ? 'beside paint, ' : 'to mix in, '}
            for {pieces}
            {line.of === 'paint' && line.productId === undefined && coat && ` · ${plain(coat.family)}, ${HAND_NAMES[coat.hand]}`}
            {line.of !== 'parcel' && line.left > 0.05 && ` · ${amount(line.wanted)} wanted, ${amount(line.left)} left over`}
          </span>
          <span className="second block text-small">
            {line.tonight ? (
              <strong className="text-ink">order it tonight</strong>
            ) : (
              line.orderBy !== null && `order by ${words.day(line.orderBy)}`
            )}
            {line.of === 'parcel' && ': the piece waits for it'}
            {line.neededBy !== null &&
              `: ${line.waits ? `“${line.waits.title}” waits for it` : 'it is needed'} on ${words.day(line.neededBy)}`}
          </span>
        </span>
        <span className="figure text-right">{words.money(line.price, line.source === 'default')}</span>
        <span className="noprint flex flex-col items-end gap-1">
          <button type="button" className="chip" disabled={busy} onClick={() => void bought([asListed(line)])}>
            {line.of === 'parcel' ? 'ordered' : 'bought'}
          </button>
          <span className="flex gap-3 text-small">
            <button type="button" className="linklike" aria-expanded={otherwise} onClick={() => setOtherwise(!otherwise)}>
              otherwise
            </button>
            {line.offerId && <NotThere offerId={line.offerId} name={line.name} />}
          </span>
        </span>
      </div>
      {otherwise && (
        <OtherwiseBought
          line={line}
          onBought={(own) => {
            setOtherwise(false);
            void bought([own]);
          }}
        />
      )}
    </li>
  );
}

/** The shop has none: its price stands with a stock of 0 and the list looks elsewhere. */
function NotThere({ offerId, name }: { offerId: string; name: string }) {
  const { facts } = usePlan();
  const { save } = useSaving();
  const offer = facts.offers.find(({ id }) => id === offerId);
  const goods = facts.goods.find(({ id }) => id === offerId);
  const said = `No ${name} there: the list looks elsewhere.`;
  return (
    <button
      type="button"
      className="linklike"
      onClick={() => {
        if (offer) void save('offers', { ...offer, stock: 0 }, said);
        if (goods) void save('goods', { ...goods, stock: 0 }, said);
      }}
    >
      out of stock
    </button>
  );
}
