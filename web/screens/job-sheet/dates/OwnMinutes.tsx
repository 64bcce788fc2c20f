import { type Piece, standingEvents, type WorkStage } from '#core/facts/index';
import { type LearnedWork, learnedWork } from '#core/plan/index';
import { counted, parseQuantity } from '#core/units/index';
import { useMemo, useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { STAGE_NAMES } from '#core/log/index';
import { usePieceSave } from '../pieceChanges.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** Each kind of work left on the piece with its minutes: a person who knows better types their own. */
export function OwnMinutes({ piece }: { piece: Piece }) {
  const { plan, facts } = usePlan();
  const learned = useMemo(() => learnedWork(standingEvents(facts.events)), [facts.events]);
  const steps = plan.steps.filter((step) => step.pieceId === piece.id);
  const minutes = new Map<WorkStage, number>();
  for (const step of steps) minutes.set(step.stage, (minutes.get(step.stage) ?? 0) + step.minutes);
  if (minutes.size === 0) return null;
  return (
    <FoldingSheet title="Minutes at the bench">
      <p className="second mt-1 text-small">
        By kind of work, all of it that is left. Type your own where you know better; emptied, the reckoning speaks again.
      </p>
      <ul className="mt-2">
        {[...minutes].map(([stage, total]) => (
          <StageMinutes key={stage} piece={piece} stage={stage} total={total} learned={learned.find((own) => own.stage === stage)} />
        ))}
      </ul>
    </FoldingSheet>
  );
}

type StageMinutesProps = {
  readonly piece: Piece;
  readonly stage: WorkStage;
  readonly total: number;
  readonly learned: LearnedWork | undefined;
};

function StageMinutes({ piece, stage, total, learned }: StageMinutesProps) {
  const save = usePieceSave();
  const own = piece.minutes?.[stage];
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed?.trim() ? parseQuantity(typed, 'duration', 'min') : null;
  const problem = read === null ? '' : !read.ok ? read.mend : read.value < 1 || read.value > 6000 ? 'Between 1 minute and 100 hours.' : '';
  const keep = () => {
    if (typed === null || problem) return;
    const { [stage]: _was, ...rest } = piece.minutes ?? {};
    if (typed.trim() === '') {
      if (own !== undefined) void save({ ...piece, minutes: rest }, `${STAGE_NAMES[stage]}: reckoned again.`);
    } else if (read?.ok)
      void save({ ...piece, minutes: { ...rest, [stage]: Math.round(read.value) } }, `${STAGE_NAMES[stage]}: your minutes.`);
    setTyped(null);
  };
  return (
    <li className="border-b border-hairline py-1">
      <label className="flex items-center justify-between gap-3">
        <span>
          {STAGE_NAMES[stage]} {own !== undefined && <span className="second text-small">your own</span>}
          {own === undefined && learned && (
            <span className="second text-small">
              × {learned.factor.toFixed(2)} of the usual, from {counted(learned.goes, 'go', 'goes')} of yours
            </span>
          )}
        </span>
        <input
          className="field !min-h-9 !w-24 text-right font-mono"
          aria-invalid={problem !== ''}
          value={typed ?? String(total)}
          onFocus={(event) => event.target.select()}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => event.key === 'Enter' && keep()}
        />
      </label>
      {problem && (
        <p role="alert" className="font-[650]">
          {problem}
        </p>
      )}
    </li>
  );
}
