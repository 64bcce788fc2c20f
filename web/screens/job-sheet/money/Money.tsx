import { ownBudget } from '#core/plan/index';
import { parseMoney } from '#core/units/index';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { BudgetBar } from '../../../views/drawn/BudgetBar.tsx';
import { Why } from '../../../views/Why.tsx';
import { lackText } from '../../../views/words/lackText.ts';
import { CostInTheEnd } from './CostInTheEnd.tsx';
import { Supplies } from './Supplies.tsx';
import { WorthIt } from './WorthIt.tsx';
import type { SectionProps } from '../sectionProps.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** Bought, planned, used; what the shelf covers and what must still be bought for this piece. */
export function Money({ piece, view }: SectionProps) {
  const { plan, facts, workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [typed, setTyped] = useState('');
  const { money } = view;
  const own = ownBudget(piece.id, facts);
  const mixes = new Set(plan.steps.flatMap((step) => (step.pieceId === piece.id && step.coat ? [step.coat.mix] : [])));
  const needs = plan.needs.filter(
    ({ mix, what, byPiece }) => mixes.has(mix) || (what === 'paint' && byPiece.some(({ pieceId }) => pieceId === piece.id)),
  );
  /** What its own coats take; nothing where they would not sit. */
  const ownMl = ({ byPiece }: (typeof needs)[number]) => byPiece.find(({ pieceId }) => pieceId === piece.id)?.ml ?? 0;
  const setBudget = () => {
    const amount = parseMoney(typed, workshop.currency);
    if (!amount.ok) return void toast.error(amount.mend);
    setTyped('');
    void save('budgets', { ...(own ?? { id: newId(), pieceIds: [piece.id] }), amount: amount.value }, 'Budget set.');
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="money">
        <h2 id="money" className="!text-title">
          {words.money(money.total, money.about)}
          {own && <span className="second ml-3 text-body font-[400]">of {words.money(own.amount)}</span>}
        </h2>
        {money.over > 0 && (
          <p className="mt-1 font-[650]">
            {words.money(money.over)} over the budget. <Link to="/buying">Ways to spend less</Link> stand beside the list to buy.
          </p>
        )}
        <div className="mt-4">
          <BudgetBar money={money} />
        </div>
        <dl className="mt-4 grid max-w-md grid-cols-[1fr_auto] gap-y-1">
          <dt>Bought for it, parcels too</dt>
          <dd className="figure text-right">{words.money(money.committed)}</dd>
          <dt>
            <Why
              title="Planned"
              text="Its share, by millilitres, of the cans still to be bought, with delivery. The cheapest packs, shops and deliveries for all pieces together; Buying says whether that is proven."
              source={money.about ? 'default' : 'label'}
            >
              To buy, its share
            </Why>
          </dt>
          <dd className="figure text-right">{words.money(money.planned, money.about)}</dd>
          <dt>Papers, tape, stripper and the rest</dt>
          <dd className="figure text-right">
            {words.money(
              money.consumables,
              money.supplies.some((line) => line.source === 'default'),
            )}
          </dd>
          <dt className="second">Used up on it so far, paint and the rest</dt>
          <dd className="figure text-right">{words.money(money.used)}</dd>
        </dl>
        <h3 className="mt-5 font-[650] text-ink">Paint</h3>
        {needs.length === 0 ? (
          <p className="second">No coat is left to lay.</p>
        ) : (
          <div className="relative overflow-x-auto">
            <table className="mt-1 w-full">
              <thead>
                <tr className="second text-left text-small [&>th+th]:pl-3">
                  <th className="py-1 font-[400]">Paint</th>
                  <th className="text-right font-[400]">Its coats take</th>
                  <th className="text-right font-[400]">All pieces need</th>
                  <th className="text-right font-[400]">On the shelf</th>
                  <th className="text-right font-[400]">To buy</th>
                  <th className="text-right font-[400]">Kept for touch-up</th>
                </tr>
              </thead>
              <tbody>
                {needs.map((need) => (
                  <tr key={need.mix} className="border-t border-hairline [&>td+td]:pl-3">
                    <td className="py-2">{need.name}</td>
                    <td className="figure text-right">{ownMl(need) > 0 ? words.volume(ownMl(need)) : '–'}</td>
                    <td className="figure text-right">{words.volume(need.neededMl)}</td>
                    <td className="figure text-right">{words.volume(need.shelfMl)}</td>
                    <td className="figure text-right">{lackText(need, words.volume)}</td>
                    <td className="figure text-right">{need.keptMl > 0 ? words.volume(need.jarMl) : '–'}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        <h3 className="mt-5 font-[650] text-ink">Beside paint</h3>
        <Supplies piece={piece} lines={money.supplies} />
        <p className="mt-4 flex gap-5">
          <Link to="/buying" className="linklike">
            What to buy where
          </Link>
          <Link to={`/pieces/${piece.id}/print/estimate`} className="linklike">
            An estimate on one page
          </Link>
        </p>
      </section>
      <aside className="space-y-5">
        <CostInTheEnd piece={piece} view={view} />
        <WorthIt piece={piece} money={money} />
        <FoldingSheet title="Budget">
          <form
            className="mt-2 flex items-end gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              setBudget();
            }}
          >
            <label className="flex-1">
              <span className="second mb-1 block">In {workshop.currency}</span>
              <input
                className="field font-mono"
                inputMode="decimal"
                value={typed}
                placeholder={own ? (own.amount / 100).toFixed(2) : ''}
                onChange={(event) => setTyped(event.target.value)}
              />
            </label>
            <button type="submit" className="act !min-h-10">
              Set
            </button>
          </form>
        </FoldingSheet>
      </aside>
    </div>
  );
}
