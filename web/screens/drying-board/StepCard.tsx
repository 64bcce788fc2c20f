import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useTrials } from '../../app/plan/useTrials.ts';
import { useWords } from '../../app/useWords.ts';
import { stepTitle } from '../../views/words/stepTitle.ts';
import { planner } from '../../workers/planner.ts';
import type { StepTried } from '../../workers/plan.worker.ts';
import { HEAD, ROW, WIDTH } from './geometry.ts';
import { outcomeText } from './outcomeText.ts';
import type { Bar } from './StepBars.tsx';
import type { Drag } from './useStepDrag.ts';

const CARD_WIDTH = 340;

/** Beside a bar: why then, until when, and what would start it sooner. */
export function StepCard({
  bar,
  x,
  boxWidth,
  height,
  onUnpin,
}: {
  bar: Bar;
  x: number;
  boxWidth: number;
  height: number;
  onUnpin: () => void;
}) {
  const { pieceById, stepById } = usePlan();
  const words = useWords();
  const { step } = bar;
  const before = step.placed?.hold.with ? stepById.get(step.placed.hold.with) : undefined;
  return (
    <div role="status" className="sheet absolute z-10 !border-ink !p-4" style={placeOf(bar.row, x, boxWidth, height)}>
      <p>
        <strong className="text-ink">
          {pieceById.get(step.pieceId)?.name}: {stepTitle(step)}
        </strong>{' '}
        <span className="figure">{words.moment(step.placed?.start ?? 0)}</span>
      </p>
      <p className="mt-1">
        {step.placed?.hold.text}
        {before ? `, after “${before.title}”` : ''}.
      </p>
      {step.pinLost && <p className="mt-1 font-[650]">Its pin, {words.moment(step.pinnedTo ?? 0)}, could not be kept.</p>}
      {step.window?.to != null && <p className="mt-1">Until {words.moment(step.window.to)}.</p>}
      <StartsSooner key={step.id} bar={bar} />
      <p className="second mt-2 text-small">Drag it, or press Space and the arrow keys, with Shift from stay to stay.</p>
      <p className="mt-2 flex gap-4 text-small">
        <Link to={`/pieces/${step.pieceId}/dates`} className="linklike">
          All its dates
        </Link>
        {step.pinnedTo !== undefined && (
          <button type="button" className="linklike" onClick={onUnpin}>
            Take the pin out
          </button>
        )}
      </p>
    </div>
  );
}

const MOST_SHOWN = 3;

/** Changes that would start this step sooner, each planned anew. */
function StartsSooner({ bar: { step } }: { bar: Bar }) {
  const { facts, plan, pieceById } = usePlan();
  const words = useWords();
  const piece = pieceById.get(step.pieceId);
  const { search, look } = useTrials<StepTried>(async (number) =>
    piece ? planner.stepSooner(facts, plan.now, piece, { id: step.id, start: step.placed?.start ?? null }, number) : null,
  );
  if (!search)
    return (
      <button type="button" className="linklike mt-1 min-h-9 text-small" onClick={look}>
        What would start it sooner?
      </button>
    );
  const gains = search.tried.flatMap((own) => (own.start === null ? [] : [{ ...own, start: own.start }])).sort((a, b) => a.start - b.start);
  return (
    <div className="mt-2 text-small">
      <ul>
        {gains.slice(0, MOST_SHOWN).map(({ label, start }) => (
          <li key={label} className="flex justify-between gap-3">
            <span>{label}</span>
            <span className="figure shrink-0">{words.moment(start)}</span>
          </li>
        ))}
      </ul>
      <p className="second">
        {search.state === 'trying' && `${search.tried.length} of ${search.tried[0]?.all ?? '…'} tried.`}
        {search.state === 'failed' && 'Trying it failed.'}
        {search.state === 'done' && gains.length === 0 && 'Nothing that can be changed starts it sooner.'}
      </p>
    </div>
  );
}

/** While a step is held: where it would go, what refuses it, what it would move. */
export function DragCard({ drag, x, boxWidth, height }: { drag: Drag; x: number; boxWidth: number; height: number }) {
  const { pieceById } = usePlan();
  const words = useWords();
  const { bar, at, refused, tried } = drag;
  const broken =
    refused ?? (tried?.refused ? `It would begin ${tried.start === null ? 'never' : words.moment(tried.start)}: ${tried.refused}.` : null);
  return (
    <div role="status" className="sheet absolute z-10 !border-ink !p-4" style={placeOf(bar.row, x, boxWidth, height)}>
      <p>
        <strong className="text-ink">{stepTitle(bar.step)}</strong> <span className="figure">{words.moment(at)}</span>
      </p>
      <p className={`mt-1 ${broken ? 'font-[650]' : ''}`}>
        {broken ? `Not here. ${broken}` : tried ? outcomeText(tried, pieceById, words.duration) : 'Looking at what it moves.'}
      </p>
    </div>
  );
}

function placeOf(row: number, x: number, boxWidth: number, height: number): React.CSSProperties {
  const scale = boxWidth / WIDTH;
  const left = Math.max(0, Math.min(x * scale, boxWidth - CARD_WIDTH - 20));
  const y = HEAD + (row + 1) * ROW;
  return y > height * 0.6
    ? { left, width: CARD_WIDTH, bottom: (height - y + ROW) * scale + 14 }
    : { left, width: CARD_WIDTH, top: y * scale + 8 };
}
