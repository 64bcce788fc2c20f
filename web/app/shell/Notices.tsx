import { counted } from '#core/units/index';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { discard, sendAgain } from '../writing/logging.ts';
import { waitingText } from '../writing/waitingText.ts';
import type { Refused } from '../writing/outbox.ts';
import { usePlan } from '../plan/PlanContext.tsx';
import { useAppSelector } from '../store.ts';

/** What is not as it should be, under the drying line of every page: said once, with what to do. */
export function Notices() {
  const { state, facts, portion, failed } = usePlan();
  const { events, edits, refused, away, reason, keeps } = useAppSelector((root) => root.outbox);
  const waiting = away || state.asLastSeen ? waitingText(events.length, edits.length) : '';
  return (
    <div className="noprint mx-auto max-w-[1480px] px-3 empty:hidden sm:px-6" aria-live="polite">
      {state.asLastSeen && (
        <Notice>
          The workshop’s server does not answer. This is the workshop as last seen here: what you log and change is kept and sent later.
          Start the server again with npm start or bin/demo.
        </Notice>
      )}
      {failed !== null && <Notice>The plan could not be worked out. What was entered is kept, and what is done now is kept too.</Notice>}
      {portion !== null && (
        <Notice>
          {portion} of {counted(facts.pieces.length, 'piece')} are planned so far; the others follow.
        </Notice>
      )}
      {state.trouble && (
        <Notice>
          {state.trouble} The workshop can be looked at and <a href="/api/export">exported</a>, but nothing new is kept on the disk. Make
          room or allow writing there, then start the program again.
        </Notice>
      )}
      {waiting && (
        <Notice>
          Kept here, {waiting} to send. {reason ?? 'Sent as soon as the server answers.'}{' '}
          {!keeps && 'This browser keeps nothing after the page is closed: leave it open.'}
        </Notice>
      )}
      {refused.map((own) => (
        <RefusedNotice key={own.id} refused={own} />
      ))}
      {state.setAside > 0 && (
        <Notice>
          {counted(state.setAside, 'fact or entry', 'facts or entries')} could not be read and lie aside, untouched.{' '}
          <Link to="/workshop#copies">See which</Link>
        </Notice>
      )}
    </div>
  );
}

function RefusedNotice({ refused }: { refused: Refused }) {
  return (
    <Notice>
      {refused.event ? 'An entry' : 'A change'} of this browser was not taken: {refused.title} {refused.mend}
      <span className="ml-3 inline-flex gap-2">
        {refused.event && (
          <button type="button" className="act !min-h-9" onClick={() => void sendAgain(refused)}>
            Send it again
          </button>
        )}
        <button type="button" className="act !min-h-9" onClick={() => void discard(refused.id)}>
          Discard it
        </button>
      </span>
    </Notice>
  );
}

function Notice({ children }: { children: ReactNode }) {
  return <p className="mt-3 border-l-4 border-ink bg-quiet px-4 py-2">{children}</p>;
}
