import type { Piece } from '#core/facts/index';
import { plain } from '#core/facts/index';
import type { PlanView } from '#core/plan/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { Portrait } from '../../views/Portrait.tsx';

/** What the piece will cost in money, evenings and weeks, and what is least known: is it worth it? */
export function PriceOfIt({ draft, plan }: { draft: Piece | null; plan: PlanView | null }) {
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
  const low = Math.round(view.money.total * 0.85);
  const high = Math.round(view.money.total * 1.3);
  const unknown = draft.parts.find((part) => part.finish === 'unknown');
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
            {words.money(low)} to {words.money(high)}, whole cans
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
      <p className="mt-3 border-t border-hairline pt-3">
        <strong className="text-ink">Least known: </strong>
        {view.stopped ??
          (unknown
            ? `whether the old paint on ${unknown.name.toLowerCase()} is sound, and what it is.`
            : `that ${draft.parts[0].name.toLowerCase()} is ${plain(draft.parts[0].material)}.`)}
      </p>
      <p className="second mt-2 text-small">
        {draft.parts.length} parts, {plan.steps.filter((step) => step.pieceId === draft.id).length} steps
        {others > 0 && `, beside ${others} other pieces in hand`}.
      </p>
    </section>
  );
}
