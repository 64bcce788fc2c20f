import type { FilmAhead, FilmsAhead as Ahead } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { useWords } from '../../../app/useWords.ts';
import { Why } from '../../../views/Why.tsx';
import { planner } from '../../../workers/planner.ts';
import { NewSpell, Warmed } from './Warmed.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** Every film that hangs: when each stage comes, how sure that is, and what would quicken it. */
export function FilmsAhead() {
  const { facts, plan } = usePlan();
  const [ahead, setAhead] = useState<Ahead | null>(null);
  useEffect(() => {
    let current = true;
    planner.films(facts, plan.now).then((answer) => current && setAhead(answer));
    return () => {
      current = false;
    };
  }, [facts, plan.now]);
  if (!ahead) return <p className="second">Reckoning the films …</p>;
  return (
    <>
      <FoldingSheet title="Films now and ahead">
        {ahead.films.length === 0 && (
          <p className="second mt-2">Nothing hangs. A coat marked done at the bench shows here with all its times.</p>
        )}
        <ul>
          {ahead.films.map((film) => (
            <Film key={`${film.pieceId}${film.partId}`} film={film} now={plan.now} />
          ))}
        </ul>
      </FoldingSheet>
      <Learned learned={ahead.learned} />
    </>
  );
}

function Film({ film, now }: { film: FilmAhead; now: number }) {
  const words = useWords();
  const still = film.curesInHours;
  return (
    <li className="border-t border-hairline py-3">
      <p>
        <span className="font-[650] text-ink">{film.who}</span>
        <span className="second">
          {film.pegs.length > 0 && ` · peg ${film.pegs.join(', ')}`} · {film.paint}, laid {words.moment(film.laidAt)}
        </span>
      </p>
      <ol className="mt-1 grid grid-cols-3 gap-x-2 gap-y-1 sm:grid-cols-5 lg:grid-cols-10">
        {film.stages.map((stage) => (
          <StageCell key={stage.name} stage={stage} now={now} />
        ))}
      </ol>
      <Warmed film={film} />
      {still !== null && still > 1 && (
        <details className="mt-1">
          <summary className="second min-h-9 cursor-pointer text-small">Cured in {hours(still)} as it hangs; what would quicken it</summary>
          <ul className="text-small">
            {film.aids.map((aid) => (
              <li key={aid.name}>
                {aid.name}: {aid.hours === null ? 'never' : hours(aid.hours)}
              </li>
            ))}
            <li>
              low oven, at most {words.heat(film.oven.limitC)}:{' '}
              {film.oven.hours === null ? 'it needs its clear first' : hours(film.oven.hours)}.{' '}
              <span className="second">{film.oven.because}</span>
            </li>
            <li>
              full sun: its surface would be about {words.heat(film.sun.surfaceC)}
              {film.sun.bears ? ', which it bears' : ': too hot for it, keep it out of the sun'}
            </li>
          </ul>
          <NewSpell film={film} />
        </details>
      )}
    </li>
  );
}

/** Reached, a clock time today, or a day: the exact time and its band on demand. */
function StageCell({ stage, now }: { stage: FilmAhead['stages'][number]; now: number }) {
  const words = useWords();
  const { at } = stage;
  const reached = at !== null && at <= now;
  return (
    <li className={`border-t-4 pt-0.5 leading-tight ${reached ? 'border-ink' : 'border-hairline'}`}>
      <span className="second block text-small">{stage.name}</span>
      {at === null ? (
        <span className="second text-small">never</span>
      ) : (
        <Why
          title={`${stage.name}: ${words.moment(at)}`}
          text={`Nine in ten between ${words.moment(stage.early ?? at)} and ${words.moment(stage.late ?? at)}, on the clock of the air where it hangs.`}
          source={stage.source}
        >
          <span className="figure">{reached ? 'reached' : at - now < 20 * 60 ? words.moment(at) : words.date(at)}</span>
        </Why>
      )}
    </li>
  );
}

function hours(value: number): string {
  return value < 48 ? `${Math.round(value)} h` : `${Math.round(value / 24)} days`;
}

/** What the log has taught about each product, and how to forget it. */
function Learned({ learned }: { learned: Ahead['learned'] }) {
  const { facts } = usePlan();
  if (learned.length === 0) return null;
  const nameOf = (id: string) => facts.products.find((product) => product.id === id)?.name ?? 'a paint no longer listed';
  return (
    <FoldingSheet title="Learned here">
      <p className="second mt-1 text-small">From “already dry” and “still tacky” at the bench; few touches count little.</p>
      <ul className="mt-1">
        {learned.map((own) => (
          <li key={own.productId} className="flex items-center justify-between gap-3 border-t border-hairline py-1.5">
            <span>
              {nameOf(own.productId)} takes <span className="figure">{own.factor.toFixed(2)}</span> of the usual time
              <span className="second"> after {own.observations === 1 ? 'one touch' : `${own.observations} touches`}</span>
            </span>
            <button
              type="button"
              className="chip"
              onClick={() => void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'forget', productId: own.productId }])}
            >
              Forget it
            </button>
          </li>
        ))}
      </ul>
    </FoldingSheet>
  );
}
