import { counted } from '#core/units/index';
import { useEffect, useState } from 'react';
import { waitingText } from '../../app/writing/waitingText.ts';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useAppSelector } from '../../app/store.ts';

/** Under the buttons: what was pressed but has not reached the server, and that it has when it has. */
export function SendNote() {
  const { state } = usePlan();
  const { events, edits, refused, away, reason, keeps } = useAppSelector((state) => state.outbox);
  // A page that opened while the server was away has not tried yet, and knows all the same.
  const waiting = away || state.asLastSeen ? waitingText(events.length, edits.length) : '';
  const [hasWaited, setHasWaited] = useState(false);
  useEffect(() => {
    if (waiting) setHasWaited(true);
  }, [waiting]);
  const text = waiting
    ? `Kept here, ${waiting} to send. ${reason ?? 'The server does not answer: go on, this is sent when it does.'}${keeps ? '' : ' Leave this page open: the browser keeps nothing.'}`
    : hasWaited
      ? 'Sent: the server has everything.'
      : '';
  return (
    <p role="status" className="mx-auto max-w-[720px] px-[18px] pb-3 text-center text-[15px] text-[#e4e4e4] empty:hidden">
      {text || (state.phone && 'On this address a phone neither rings nor keeps its screen on: set its own timer.')}
      {refused.length > 0 && ` ${counted(refused.length, 'entry', 'entries')} not taken: see Tonight.`}
    </p>
  );
}
