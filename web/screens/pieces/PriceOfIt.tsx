import type { Piece } from '#core/facts/index';
import type { Outlook, PlanView } from '#core/plan/index';
import { counted, sentences } from '#core/units/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { Portrait } from '../../views/drawn/Portrait.tsx';

/** What the piece will cost in money, evenings and weeks, and what is least known: is it worth it? */
export function PriceOfIt({ draft, plan, outlook }: { draft: Piece | null; plan: PlanView | null; outlook: Outlook | null }) {
  const words = useWords();
  const { facts } = usePlan();
  const view = plan?.pieces.find((piece) => piece.pieceId === draft?.id);
  if (!draft || !plan || !view) {
    return (
      <section className="sheet" aria-live="polite">
        <h2>What it will take</h2>
        <p className="second mt-2">
          Type its longest side, and money, evenings and weeks stand here. Everything else is guessed, marked, and yours to change.
        </p>
      </section>
    );
  }
  const weeks = view.likely === null ? null : (view.likely - plan.now) / 10_080;
  const safeWeeks = view.safe === null ? null : (view.safe - plan.now) / 10_080;
  const others = facts.pieces.filter((piece) => !piece.finished).length;
  return (
    <section className="sheet" aria-live="polite" aria-label="What it will take">
      <Portrait
        looksLike={draft.looksLike}
        portrait={draft.portrait}
        swatches={draft.swatches}
        className="mx-auto h-28"
        title={`${draft.name}, drawn`}
      />
      <h2 className="mt-2">What it will take</h2>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        <dt className="second">Money</dt>
        <dd className="text-right">
          <span className="figure !text-lead">{words.money(view.money.total, view.money.about)}</span>
          <span className="second block text-small">
            {outlook
              ? `by itself ${words.money(outlook.leastMoney)} to ${words.money(outlook.mostMoney)}, as the guesses turn out`
              : 'weighing the guesses …'}
          </span>
        </dd>
        <dt className="second">Evenings</dt>
        <dd className="text-right">
          <span className="figure !text-lead">{view.sessions}</span>
          <span className="second block text-small">{words.duration(view.attendedMinutes)} at the bench</span>
        </dd>
        <dt className="second">Done</dt>
        <dd className="text-right">
          {weeks === null ? (
            <strong>not as it stands</strong>
          ) : (
            <>
              <span className="figure !text-lead">
                {weeks < 1.5 ? `${Math.max(1, Math.round(weeks * 7))} days` : `${weeks.toFixed(1)} weeks`}
              </span>
              <span className="second block text-small">
                likely {words.day(view.likely ?? plan.now)}, safe {words.day(view.safe ?? plan.now)}
                {safeWeeks !== null && safeWeeks > 4 ? ', a long one' : ''}
              </span>
            </>
          )}
        </dd>
      </dl>
      {(view.undecided ?? view.noDateWhy) && (
        <p className="mt-3 border-l-2 border-ink pl-3 font-[650]">{sentences(view.undecided, view.noDateWhy ?? undefined)}</p>
      )}
      <p className="mt-3 border-t border-hairline pt-3">
        <strong className="text-ink">Least known: </strong>
        {outlook?.leastKnown ?? (outlook ? 'nothing that matters.' : '…')}
      </p>
      <p className="second mt-2 text-small">
        {counted(draft.parts.length, 'part')}, {counted(plan.steps.filter((step) => step.pieceId === draft.id).length, 'step')}
        {others > 0 && `, beside ${counted(others, 'other piece')} in hand`}.
      </p>
    </section>
  );
}
