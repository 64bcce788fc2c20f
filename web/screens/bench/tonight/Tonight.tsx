import { eveningOf } from '#core/plan/index';
import { PACK_UP_MINUTES } from '#core/schedule/index';
import { counted, localMoment, toMinute } from '#core/units/index';
import { Printer } from 'lucide-react';
import { useEffect } from 'react';
import { Link, useNavigate } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { Cautions } from '../../../views/Cautions.tsx';
import { EveningFlow } from './EveningFlow.tsx';
import { MovedHere } from '../MovedHere.tsx';
import { ToBuyBefore } from './ToBuyBefore.tsx';
import { WhySo } from '../WhySo.tsx';
import { AirHolds } from './AirHolds.tsx';
import { BeforeItIsLost } from './BeforeItIsLost.tsx';
import { WorthAMinute } from './WorthAMinute.tsx';
import { stayOf, todayText } from './stay.ts';

const LENGTHS = [20, 45, 90] as const;

/** The opening screen: what this evening holds, in order, one row each. */
export function Tonight() {
  const { plan, workshop, stepById, stayMinutes, setStayMinutes } = usePlan();
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
  const evening = eveningOf(stay.session, steps);
  const heading = stay.on
    ? `${todayText(stay.session.from, workshop.timeZone)}, ${words.clock(stay.session.from)} to ${words.clock(stay.session.to + PACK_UP_MINUTES)}`
    : `Next, ${words.moment(stay.session.from)}`;
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_372px]">
      <section className="sheet !px-4 sm:!px-7" aria-labelledby="tonight">
        <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hairline pb-4">
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h1 id="tonight">{heading}</h1>
            <span className="second">
              {evening.working} min of work, {evening.waiting} of waits, {counted(evening.pieceIds.length, 'piece')}
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
        <EveningFlow evening={evening} stay={stay} steps={steps} />
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
        <WhySo evening={evening} minutes={stay.session.attendedMinutes} />
        <MovedHere />
        <AirHolds />
        <Cautions hazards={[...new Set(steps.flatMap((step) => step.hazards))]} />
        <ToBuyBefore />
        <HeldUp />
        <BeforeItIsLost />
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
