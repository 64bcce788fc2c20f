import { touchUpIdOf } from '#core/plan/index';
import { asSentence, counted, listed } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { Parcels } from '../dates/Parcels.tsx';
import { Cautions } from '../../../views/Cautions.tsx';
import { FitStages } from './FitStages.tsx';
import { OtherFindings } from './OtherFindings.tsx';
import { ReadOnceMore } from './ReadOnceMore.tsx';
import { Tasks } from './Tasks.tsx';
import { TouchUps } from './TouchUps.tsx';
import type { SectionProps } from '../sectionProps.ts';

/** What must have come and cured before the parts go together, and the last checks. */
export function Finish({ piece, view }: SectionProps) {
  const { plan } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const spots = plan.steps.filter((step) => step.pieceId === piece.id && step.stage === 'touch-up').map((step) => touchUpIdOf(step.id));
  const open = new Set(spots).size;
  const fit = plan.steps.find((step) => step.pieceId === piece.id && step.stage === 'fit');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="finish">
        <h2 id="finish" className="!text-title">
          {piece.finished || !fit
            ? 'Fitted together'
            : view.likely !== null
              ? `Likely together ${words.day(view.likely)}, safe ${words.day(view.safe ?? view.likely)}`
              : 'Cannot go together yet'}
        </h2>
        {fit && (
          <p className="mt-1">
            {fit.placed ? `Planned ${words.moment(fit.placed.start)} if nothing goes wrong. ` : ''}
            {asSentence((fit.placed ? (fit.notBeforeWhy ?? fit.placed.hold.text) : fit.unplacedWhy) ?? '')}
          </p>
        )}
        <FitStages piece={piece} view={view} />
        <Tasks piece={piece} view={view} />
        <OtherFindings piece={piece} />
        <TouchUps piece={piece} view={view} />
        <h3 className="mt-4 font-[650] text-ink">Before it leaves the bench</h3>
        <p className="mt-1">
          Rolls or turns freely. Doors and lids close. Sits level. No bare metal inside screw holes.{' '}
          {open === 0 ? 'The touch-up list is empty.' : ''}
        </p>
        {view.missing.length > 0 && <p className="mt-3 font-[650]">Still missing: {listed(view.missing)}.</p>}
        {!piece.finished && (
          <button
            type="button"
            className="act mt-4"
            onClick={() =>
              void save(
                'pieces',
                { ...piece, finished: true },
                open === 0 ? `${piece.name} is finished.` : `${piece.name} is displayed, with a list for later.`,
              )
            }
          >
            {open === 0 ? 'It is finished' : `It is displayed, with ${counted(open, 'spot')} for later`}
          </button>
        )}
        {piece.finished && (
          <button type="button" className="act mt-4" onClick={() => void save('pieces', { ...piece, finished: false }, 'Back in hand.')}>
            Take it in hand again
          </button>
        )}
      </section>
      <aside className="space-y-5">
        {!piece.finished && <ReadOnceMore piece={piece} />}
        <Parcels piece={piece} />
        <Cautions hazards={fit?.hazards ?? []} />
      </aside>
    </div>
  );
}
