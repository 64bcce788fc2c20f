import { counted, toIso } from '#core/units/index';
import type { Piece } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { PaintStrip } from '../../../views/drawn/paint.tsx';
import { FindingsAt } from '../../../views/FindingsAt.tsx';
import { stepTitle } from '../../../views/words/stepTitle.ts';
import { Why } from '../../../views/Why.tsx';
import { HangingNow } from './HangingNow.tsx';
import { OwnMinutes } from './OwnMinutes.tsx';
import type { SectionProps } from '../sectionProps.ts';
import { Sooner } from './Sooner.tsx';
import { Turn } from './Turn.tsx';
import { WithoutDate } from './WithoutDate.tsx';
import { WhatIf } from './WhatIf.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** Every step with its time and what holds it; the likely and the safe end. */
export function Dates({ piece, view }: SectionProps) {
  const { plan, facts, stepById } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const steps = plan.steps.filter((step) => step.pieceId === piece.id);
  const placed = steps.filter((step) => step.placed).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
  const days = new Map<string, PlannedStep[]>();
  for (const step of placed) {
    const day = words.day(step.placed?.start ?? 0);
    days.set(day, [...(days.get(day) ?? []), step]);
  }
  const without = steps.filter((step) => !step.placed);
  const moved = plan.moved.filter((move) => stepById.get(move.stepId)?.pieceId === piece.id);
  const agree = () => {
    const starts = {
      ...(facts.agreed[0]?.starts ?? {}),
      ...Object.fromEntries(placed.map((step) => [step.id, toIso(step.placed?.start ?? 0)])),
    };
    void save(
      'agreed',
      { ...facts.agreed[0], id: 'agreed', at: toIso(nowMinute()), starts },
      'Agreed. Later plans stay near and say what moved.',
    );
  };
  const anew = () =>
    void save('agreed', { ...facts.agreed[0], id: 'agreed', at: toIso(nowMinute()), starts: {} }, 'Planned anew, as soon as may be.');
  const agreed = Object.keys(facts.agreed[0]?.starts ?? {}).some((key) => stepById.has(key));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="dates">
        <h2 id="dates" className="!text-title">
          {piece.finished
            ? 'Finished'
            : view.likely !== null
              ? `Likely ${words.day(view.likely)}, safe ${words.day(view.safe ?? view.likely)}`
              : view.undecided
                ? 'No end: something is not decided'
                : steps.length === 0
                  ? 'Nothing is left to do'
                  : 'No end as it stands'}
        </h2>
        {[...view.airNotes, ...view.notes].map((note) => (
          <p key={note} className="mt-2 border-l-4 border-ink pl-3 text-small">
            {note}
          </p>
        ))}
        {view.late && (
          <p className="mt-1 font-[650]">
            The safe date is later than the day it is needed. More free hours, fewer coats or a quicker system would help.
          </p>
        )}
        {[...days].map(([day, own]) => (
          <section key={day} aria-label={day}>
            <h3 className="mt-4 border-b-2 border-ink pb-1 font-[650] text-ink">{day}</h3>
            <ol>
              {own.map((step) => (
                <li key={step.id} className="grid grid-cols-[58px_14px_1fr_auto_60px] items-baseline gap-x-3 border-b border-hairline py-2">
                  <time className="figure">{words.clock(step.placed?.start ?? 0)}</time>
                  <PaintStrip lab={step.coat?.lab ?? null} className="h-5 w-[8px] self-center" />
                  <span>
                    <span className="font-[650] text-ink">{stepTitle(step)}</span>{' '}
                    <span className="second text-small">
                      {step.afterwards && <strong className="font-[650]">{step.afterwards}. </strong>}
                      {step.on.map((on) => piece.parts.find((part) => part.id === on.partId)?.name.toLowerCase()).join(', ')}
                    </span>
                  </span>
                  <Why
                    title="Why then?"
                    text={
                      <WhyThen
                        step={step}
                        before={heldByText(step.placed?.hold.with ? stepById.get(step.placed.hold.with) : undefined, piece, facts.pieces)}
                      />
                    }
                    source={step.source}
                  >
                    why then?
                  </Why>
                  <span className="figure text-right">{step.minutes} min</span>
                  <div className="col-span-5">
                    <FindingsAt stepId={step.id} />
                  </div>
                </li>
              ))}
            </ol>
          </section>
        ))}
        <WithoutDate steps={without} said={view.noDateWhy} />
      </section>
      <aside className="space-y-5">
        <HangingNow piece={piece} />
        {!piece.finished && <Turn piece={piece} />}
        {!piece.finished && <WhatIf piece={piece} view={view} />}
        {!piece.finished && !view.stopped && <Sooner key={piece.id} piece={piece} planned={view.planned} />}
        {!piece.finished && <OwnMinutes piece={piece} />}
        {placed.length > 0 && (
          <FoldingSheet title="These dates">
            <p className="mt-2">
              {counted(view.sessions, 'session')}, {words.duration(view.attendedMinutes)} at the bench. Likely is the middle of 500 runs
              with slower films and one failed coat in twelve; safe is the date that nine in ten keep.
            </p>
            {moved.length > 0 && (
              <ul className="mt-3 space-y-2 border-t border-hairline pt-2">
                {moved.slice(0, 4).map((move) => (
                  <li key={move.stepId}>
                    <strong>{stepById.get(move.stepId)?.title}</strong> moved from {words.moment(move.from)} to {words.moment(move.to)}:{' '}
                    {move.why}.
                  </li>
                ))}
              </ul>
            )}
            <button type="button" className="act mt-3" onClick={agree}>
              Agree these dates
            </button>
            {agreed && (
              <button type="button" className="act mt-3 ml-2" onClick={anew}>
                Plan anew
              </button>
            )}
          </FoldingSheet>
        )}
      </aside>
    </div>
  );
}

/** The step that is waited for, with its piece where it is another. */
function heldByText(before: PlannedStep | undefined, piece: Piece, pieces: readonly Piece[]): string | undefined {
  if (!before || before.pieceId === piece.id) return before?.title;
  return `${before.title}, ${pieces.find((own) => own.id === before.pieceId)?.name ?? 'another piece'}`;
}

function WhyThen({ step, before }: { step: PlannedStep; before?: string }) {
  const words = useWords();
  const { placed, window } = step;
  if (!placed) return null;
  return (
    <>
      <p>
        Held by {HOLDS[placed.hold.by]}: {placed.hold.text}
        {before ? `, after “${before}”` : ''}.
      </p>
      {window && (window.to !== null || window.from > 0) && (
        <p className="mt-1">
          It may start from {words.moment(window.from || placed.start)}
          {window.to !== null ? ` until ${words.moment(window.to)}` : ''}.
        </p>
      )}
      {step.later && (
        <p className="mt-1">
          Left open past that, it is keyed first: from {words.moment(step.later.from)}, {Math.round(step.later.minutes)} min more and{' '}
          {words.money(step.later.cost, true)} of paper.
        </p>
      )}
      {step.because && <p className="mt-1">{step.because}</p>}
    </>
  );
}

const HOLDS = {
  window: 'its window',
  person: 'you',
  calendar: 'your free hours',
  resource: 'the booth',
  places: 'the drying places',
  vessel: 'the oven or the tub',
  conditions: 'the air',
  notBefore: 'a date',
  nothing: 'nothing',
} as const;
