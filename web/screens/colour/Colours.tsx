import { rangesOf } from '#core/mixing/index';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { Kept } from './Kept.tsx';
import { MixingBench } from './MixingBench.tsx';
import { PaintsTable } from './PaintsTable.tsx';
import { TargetForm } from './TargetForm.tsx';
import { firstTarget, type Target } from './target.ts';

/** The mixing bench: a colour that is wanted, the recipe that comes nearest, and what was mixed before. */
export function Colours() {
  const { facts } = usePlan();
  const [params] = useSearchParams();
  const [target, setTarget] = useState<Target>(() => firstTarget(facts, { pieceId: params.get('piece'), targetId: params.get('target') }));
  const [before, setBefore] = useState<Target | null>(null);
  const ranges = useMemo(() => rangesOf(facts), [facts]);
  const choose = (next: Target) => {
    setBefore(null);
    setTarget(next);
  };
  /** A jar is mixed again beside what is wanted, which stays as it was. */
  const again = (jar: Target) => {
    setBefore(target.mixId === undefined ? target : before);
    setTarget(jar);
  };
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
        <section className="sheet !px-7" aria-labelledby="colour">
          <h1 id="colour" className="sr-only">
            Colour
          </h1>
          <TargetForm target={target} onChange={choose} />
          {before && (
            <button type="button" className="linklike" onClick={() => choose(before)}>
              Back to {before.name}, which is wanted
            </button>
          )}
          <MixingBench key={JSON.stringify(target.lab)} target={target} ranges={ranges} onMixed={setTarget} />
          <p className="second mt-4 text-small">A screen is no colour chart: judge a dried dab, by the window and by lamp.</p>
        </section>
        <Kept onAgain={again} />
      </div>
      <PaintsTable />
    </>
  );
}
