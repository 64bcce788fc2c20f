import { lazy, Suspense, useEffect, useSyncExternalStore } from 'react';
import { Link, Outlet, useLocation } from 'react-router';
import { Toaster } from 'sonner';
import { openQuestion, watchQuestion } from './conflictQuestion.ts';
import { DryingLine } from './DryingLine.tsx';
import { Header } from './Header.tsx';
import { Palette } from './Palette.tsx';
import { PlanProvider, usePlan } from '../plan/PlanContext.tsx';
import { readKept, sendWaiting } from '../writing/logging.ts';
import { Notices } from './Notices.tsx';

const FirstRun = lazy(async () => ({ default: (await import('../../screens/first-run/FirstRun.tsx')).FirstRun }));
const ConflictDialog = lazy(async () => ({ default: (await import('./ConflictDialog.tsx')).ConflictDialog }));
const RETRY_MS = 5000;

/** The second click of a double one on a form’s button sends nothing twice. */
function onceSent(event: MouseEvent): void {
  const button = event.target instanceof Element ? event.target.closest('button') : null;
  if (event.detail > 1 && button?.type === 'submit' && button.form) event.preventDefault();
}

/** Header, drying line and the destination below; the bench alone fills the screen. */
export function Frame() {
  const atBench = useLocation().pathname === '/bench';
  useEffect(() => {
    void readKept().then(sendWaiting);
    const timer = setInterval(() => void sendWaiting(), RETRY_MS);
    return () => clearInterval(timer);
  }, []);
  useEffect(() => {
    addEventListener('click', onceSent, true);
    return () => removeEventListener('click', onceSent, true);
  }, []);
  return (
    <>
      <PlanProvider
        steady={atBench}
        waiting={(state) => (state === 'not-started' ? <Suspense>{<FirstRun />}</Suspense> : <Waiting state={state} />)}
      >
        {atBench ? (
          <Destination />
        ) : (
          <>
            <Header />
            <DryingLine />
            <Notices />
            <main id="main" className="mx-auto max-w-[1480px] px-3 py-3 sm:px-6 sm:py-5">
              <Destination />
            </main>
            <Palette />
          </>
        )}
      </PlanProvider>
      <WhichStands />
      <Toaster
        position="bottom-center"
        toastOptions={{
          unstyled: true,
          classNames: {
            toast: 'sheet flex items-center justify-between gap-4 min-w-80 !py-3 font-sans text-body',
            actionButton: 'act !min-h-9 shrink-0 whitespace-nowrap',
            error: 'border-l-4 !border-l-ink',
          },
        }}
      />
    </>
  );
}

/** Asked seldom, and fetched then. */
function WhichStands() {
  const question = useSyncExternalStore(watchQuestion, openQuestion);
  return question && <Suspense>{<ConflictDialog question={question} />}</Suspense>;
}

/** Where nothing is planned, a page opens without a plan. */
const NOTHING_PLANNED = /^\/(log|shelf|workshop|colour|pieces(\/new)?$)/;

function Destination() {
  const { failed } = usePlan();
  const { pathname } = useLocation();
  if (failed === null || NOTHING_PLANNED.test(pathname))
    return (
      <Suspense fallback={<p className="second text-lead">Opening …</p>}>
        <Outlet />
      </Suspense>
    );
  return (
    <section className="sheet mx-auto mt-6 max-w-xl">
      <h1>There is no plan of this</h1>
      <p className="mt-3">
        What was entered is kept. Undo the last change, take out the piece it was about under <Link to="/pieces">Pieces</Link>, or go back
        to a copy under <Link to="/workshop#copies">Workshop</Link>.
      </p>
      <p className="second mt-2 text-small">{failed}</p>
    </section>
  );
}

function Waiting({ state }: { state: 'loading' | 'away' | 'broken' }) {
  if (state === 'broken')
    return (
      <main className="p-10 text-lead">
        <div className="sheet max-w-xl">
          <h1>The planner does not start</h1>
          <p className="mt-3">Nothing is lost. Reload the page; if it stays, open it in another browser that is up to date.</p>
          <p className="mt-3">
            <a href="/api/export">Export the workshop</a> to be safe.
          </p>
          <button type="button" className="act mt-5" onClick={() => location.reload()}>
            Try again
          </button>
        </div>
      </main>
    );
  return <WaitingFor state={state} />;
}

function WaitingFor({ state }: { state: 'loading' | 'away' }) {
  return (
    <main className="p-10 text-lead" aria-busy={state === 'loading'}>
      {state === 'loading' ? (
        <p className="second">Opening the workshop …</p>
      ) : (
        <div className="sheet max-w-xl">
          <h1>The workshop’s server does not answer</h1>
          <p className="mt-3">Start it again with npm start or bin/demo. Nothing is lost: what you logged here is kept in this browser.</p>
          <button type="button" className="act mt-5" onClick={() => location.reload()}>
            Try again
          </button>
        </div>
      )}
    </main>
  );
}
