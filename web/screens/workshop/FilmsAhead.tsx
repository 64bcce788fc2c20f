import type { FilmAhead, FilmsAhead as Ahead } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents, newId } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Why } from '../../views/Why.tsx';
import { planner } from '../../workers/planner.ts';

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
      <section className="sheet" aria-label="Films now and ahead">
        <h2>Films now and ahead</h2>
        {ahead.films.length === 0 && (
          <p className="second mt-2">Nothing hangs. A coat marked done at the bench shows here with all its times.</p>
        )}
        <ul>
          {ahead.films.map((film) => (
            <Film key={`${film.pieceId}${film.partId}`} film={film} now={plan.now} />
          ))}
        </ul>
      </section>
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
      <ol className="mt-1 grid grid-cols-3 gap-x-4 gap-y-1 sm:grid-cols-5 lg:grid-cols-9">
        {film.stages.map((stage) => (
          <li
            key={stage.name}
            className={`border-t-4 pt-0.5 leading-tight ${stage.at !== null && stage.at <= now ? 'border-ink' : 'border-hairline'}`}
          >
            <span className="second block text-small">{stage.name}</span>
            {stage.at === null ? (
              <span className="second text-small">never</span>
            ) : (
              <Why
                title={stage.name}
                text={`Nine in ten between ${words.moment(stage.early ?? stage.at)} and ${words.moment(stage.late ?? stage.at)}, on the clock of the air where it hangs.`}
                source={stage.source}
              >
                <span className="figure">{words.moment(stage.at)}</span>
              </Why>
            )}
          </li>
        ))}
      </ol>
      {still !== null && still > 1 && (
        <p className="second mt-1.5 text-small">
          Cured in {hours(still)} as it hangs;{' '}
          {film.aids.map((aid) => `${aid.name}: ${aid.hours === null ? 'never' : hours(aid.hours)}`).join(', ')}.{' '}
          <Why title="Low oven" text={film.oven.because} source="default">
            Low oven
          </Why>
          {film.oven.hours !== null && ` at most ${film.oven.limitC} °C: ${hours(film.oven.hours)}`}
        </p>
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
    <section className="sheet" aria-label="Learned here">
      <h2>Learned here</h2>
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
    </section>
  );
}
