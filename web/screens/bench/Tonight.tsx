import { LAY_OUT_MINUTES, PACK_UP_MINUTES } from '#core/schedule/index';
import { localMoment, sentences, toMinute } from '#core/units/index';
import { Printer } from 'lucide-react';
import { useEffect } from 'react';
import { Link, useNavigate } from 'react-router';
import { usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Cautions } from '../../views/Cautions.tsx';
import { PaintStrip } from '../../views/paint.tsx';
import { stepTitle } from '../../views/stepTitle.ts';
import { Why } from '../../views/Why.tsx';
import { WorthAMinute } from './WorthAMinute.tsx';
import { ToBuyBefore } from './ToBuyBefore.tsx';
import { layOutText, packUpText, stayOf, whoText } from './stay.ts';

const LENGTHS = [20, 45, 90] as const;

/** The opening screen: what this evening holds, in order, one row each. */
export function Tonight() {
  const { plan, stepById, pieceById, stayMinutes, setStayMinutes } = usePlan();
  const words = useWords();
  const navigate = useNavigate();
  const stay = stayOf(plan);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const busy = event.target instanceof HTMLElement && event.target.closest('button, a, input, [role=dialog]');
      if (event.key === 'Enter' && !busy && stay?.on) navigate('/bench');
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [navigate, stay?.on]);

  if (!stay) return <NothingToDo />;
  const steps = stay.session.stepIds.flatMap((id) => stepById.get(id) ?? []);
  const waiting = Math.max(0, stay.session.to - stay.session.from - stay.session.attendedMinutes);
  const heading = stay.on
    ? `Tonight, ${words.clock(stay.session.from)} to ${words.clock(stay.session.to + PACK_UP_MINUTES)}`
    : `Next, ${words.moment(stay.session.from)}`;
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_372px]">
      <section className="sheet !px-4 sm:!px-7" aria-labelledby="tonight">
        <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hairline pb-4">
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h1 id="tonight">{heading}</h1>
            <span className="second">
              {stay.session.attendedMinutes} min of work, {Math.round(waiting)} min of waits
            </span>
          </div>
          {stayMinutes !== undefined && !stay.on && (
            <p className="basis-full font-[650]">Nothing fits into {stayMinutes} minutes now: this is the next stay.</p>
          )}
          <fieldset className="noprint flex gap-2">
            <legend className="sr-only">How long do you have?</legend>
            {LENGTHS.map((minutes) => (
              <button
                key={minutes}
                type="button"
                className="chip"
                aria-pressed={stayMinutes === minutes}
                onClick={() => setStayMinutes(stayMinutes === minutes ? undefined : minutes)}
              >
                {minutes} min
              </button>
            ))}
            {stay.on && <NotToday />}
          </fieldset>
        </div>
        <ol>
          <Row
            at={stay.on ? 'first' : words.clock(stay.session.from - LAY_OUT_MINUTES)}
            title="Lay out"
            detail={layOutText(steps)}
            minutes={LAY_OUT_MINUTES}
          />
          {steps.map((step) => {
            const piece = pieceById.get(step.pieceId);
            const names = step.on.map((on) => piece?.parts.find((part) => part.id === on.partId)?.name ?? '');
            return (
              <Row
                key={step.id}
                at={words.clock(step.placed?.start ?? 0)}
                lab={step.coat?.lab}
                title={stepTitle(step)}
                minutes={step.minutes}
                detail={
                  <>
                    <Link className="hover:underline" to={`/pieces/${step.pieceId}/dates`}>
                      {whoText(step, piece?.name ?? '', names)}
                    </Link>
                    {step.afterwards && <strong className="font-[650]"> · {step.afterwards}</strong>}
                    {step.window?.to != null && step.window.to - (step.placed?.start ?? 0) < 24 * 60 && (
                      <>
                        {' · '}
                        <Why title="Why then?" text={sentences(step.placed?.hold.text, step.because)}>
                          before {words.moment(step.window.to)}
                        </Why>
                      </>
                    )}
                  </>
                }
              />
            );
          })}
          <Row at={words.clock(stay.session.to)} title="Pack up" detail={packUpText(steps)} minutes={PACK_UP_MINUTES} />
        </ol>
        <div className="noprint sticky bottom-0 -mx-4 -mb-5 sm:-mx-7 flex flex-wrap items-center gap-3 border-t border-hairline bg-sheet px-4 py-3 sm:px-7">
          {stay.on ? (
            <Link to="/bench" className="act !min-h-[52px] px-6 text-lead" data-first="true">
              Start at the bench{' '}
              <kbd className="figure hidden sm:inline rounded-[3px] border border-current px-2 text-small opacity-80">Enter</kbd>
            </Link>
          ) : (
            <Link to="/bench" className="act !min-h-[52px] px-6 text-lead">
              Begin early at the bench
            </Link>
          )}
          <button type="button" className="act !min-h-[52px]" onClick={() => window.print()}>
            <Printer size={18} aria-hidden /> Print tick sheet
          </button>
          <p className="second text-small">A closed page cannot ring: keep this one open at the bench.</p>
        </div>
      </section>
      <aside className="noprint space-y-5">
        <Cautions hazards={[...new Set(steps.flatMap((step) => step.hazards))]} />
        <ToBuyBefore />
        <HeldUp />
        <WorthAMinute />
      </aside>
    </div>
  );
}

/** Nothing today after all: the plan moves to the next day at once, and says so where days away stand. */
function NotToday() {
  const { workshop, plan } = usePlan();
  const { save } = useSaving();
  const { date } = localMoment(plan.now, workshop.timeZone);
  // The stay that is on may have begun before midnight.
  const today = (span: { from: string; to: string }) =>
    localMoment(toMinute(span.from), workshop.timeZone).date === date || (toMinute(span.from) <= plan.now && plan.now < toMinute(span.to));
  return (
    <button
      type="button"
      className="chip"
      onClick={() =>
        void save(
          'workshop',
          {
            ...workshop,
            away: [...workshop.away, { from: date, to: date, why: 'not today' }],
            extraFree: workshop.extraFree.filter((span) => !today(span)),
          },
          'Not today: the plan has moved.',
        )
      }
    >
      not today
    </button>
  );
}

/** Pieces that have no date, each with what it lacks. */
function HeldUp() {
  const { plan, pieceById } = usePlan();
  const held = plan.pieces.filter((view) => !pieceById.get(view.pieceId)?.finished && (view.undecided ?? view.noDateWhy));
  if (held.length === 0) return null;
  return (
    <section className="sheet" aria-label="Without a date">
      <h2>Without a date</h2>
      <ul className="mt-2 space-y-2">
        {held.slice(0, 4).map((view) => (
          <li key={view.pieceId}>
            <Link className="font-[650] hover:underline" to={`/pieces/${view.pieceId}/dates`}>
              {pieceById.get(view.pieceId)?.name}
            </Link>
            : {view.undecided ?? view.noDateWhy}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Row({
  at,
  title,
  detail,
  minutes,
  lab,
}: {
  at: string;
  title: string;
  detail: React.ReactNode;
  minutes: number;
  lab?: Parameters<typeof PaintStrip>[0]['lab'];
}) {
  return (
    <li className="grid min-h-[48px] grid-cols-[52px_12px_minmax(0,1fr)_56px] items-center gap-x-3 sm:gap-x-4 md:grid-cols-[58px_14px_minmax(220px,1.15fr)_minmax(180px,1.3fr)_64px] border-b border-hairline py-[6px]">
      <time className="figure !text-body">
        {at}
        <span className="hidden print:block">☐ ___:___</span>
      </time>
      <PaintStrip lab={lab ?? null} />
      <span className="text-[16px] leading-snug font-[650] text-ink">{title}</span>
      <span className="second order-last col-span-2 col-start-3 text-small leading-snug md:order-none md:col-span-1 md:col-start-auto md:text-body">
        {detail}
      </span>
      <span className="figure text-right">{minutes} min</span>
    </li>
  );
}

function NothingToDo() {
  const { facts } = usePlan();
  return (
    <section className="sheet mx-auto mt-8 max-w-2xl">
      <h1>{facts.pieces.length === 0 ? 'The bench is empty' : 'Nothing to do at the bench'}</h1>
      <p className="mt-3 text-lead">
        {facts.pieces.length === 0
          ? 'Add a piece: its name, what it looks like and its longest side are enough for a whole plan.'
          : 'Every piece is finished, stopped, or waits for hours you have free. See the drying board for why.'}
      </p>
      <div className="mt-5 flex gap-3">
        <Link to="/pieces/new" className="act" data-first="true">
          Add a piece
        </Link>
        {facts.pieces.length > 0 && (
          <Link to="/board" className="act">
            Drying board
          </Link>
        )}
      </div>
    </section>
  );
}
