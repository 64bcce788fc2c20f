import type { Piece } from '#core/facts/index';
import type { Gain } from '#core/plan/index';
import { counted } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useTrials } from '../../../app/plan/useTrials.ts';
import { useWords } from '../../../app/useWords.ts';
import { planner } from '../../../workers/planner.ts';
import type { Tried } from '../../../workers/plan.worker.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** What would make the piece end sooner: each change planned anew by itself, shown as it comes. Nothing is changed. */
export function Sooner({ piece, planned }: { piece: Piece; planned: number | null }) {
  const { facts, plan, pieceById } = usePlan();
  const words = useWords();
  const { search, look, stop } = useTrials<Tried>((number) => planner.sooner(facts, plan.now, piece, number));
  const gains = (search?.tried ?? []).flatMap(({ gain }) => gain ?? []).sort((a, b) => a.end - b.end);
  const vain = (search?.tried ?? []).filter(({ gain }) => gain === null);
  return (
    <FoldingSheet title="What would make it sooner?" className="!p-4">
      {!search && (
        <button type="button" className="act mt-2" onClick={look}>
          Try what there is
        </button>
      )}
      <ul>
        {gains.map((gain) => (
          <li key={gain.label} className="border-b border-hairline py-2">
            <span className="flex items-baseline justify-between gap-3">
              <strong className="text-ink">{gain.label}</strong>
              <span className="figure shrink-0">{words.moment(gain.end)}</span>
            </span>
            <span className="second text-small">
              {planned === null ? 'Then it has a date' : `${words.duration(gain.gained)} sooner`}, {counted(gain.sessions, 'session')}
              {costOf(gain)}. Set it under {gain.where}.
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-small" role="status">
        {search?.state === 'trying' && `${search.tried.length} of ${search.tried[0]?.all ?? '…'} tried. `}
        {search?.state === 'failed' && 'Trying it failed; press again. '}
        {search && search.state !== 'trying' && gains.length === 0 && 'Nothing that was tried brings the end an hour sooner. '}
        {search && vain.length > 0 && <>No gain from {vain.map(({ label }) => label).join('; ')}.</>}
      </p>
      {search?.state === 'trying' && (
        <button type="button" className="chip mt-2" onClick={stop}>
          that is enough
        </button>
      )}
      {search && search.state !== 'trying' && (
        <button type="button" className="linklike min-h-9 text-small" onClick={look}>
          try again
        </button>
      )}
    </FoldingSheet>
  );

  function costOf({ pays }: Gain): string {
    return pays ? `; ${pieceById.get(pays.pieceId)?.name ?? 'another piece'} ${words.duration(pays.later)} later` : '';
  }
}
