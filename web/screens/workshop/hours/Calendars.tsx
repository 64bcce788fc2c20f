import { busyCalendarSchema } from '#core/facts/index';
import { counted, DAY, toIso, toMinute } from '#core/units/index';
import { type Remote, wrap } from 'comlink';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { FileField } from '../../../views/fields/FileField.tsx';
import type { CalendarApi } from '../../../workers/calendar.worker.ts';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** How far ahead busy time is taken: past that a calendar is read again. */
const AHEAD = 400 * DAY;

/** Read away from the page, which goes on meanwhile. */
async function readAside(asked: Parameters<CalendarApi['read']>[0]): Promise<ReturnType<CalendarApi['read']>> {
  const own = new Worker(new URL('../../../workers/calendar.worker.ts', import.meta.url), { type: 'module' });
  try {
    const reader: Remote<CalendarApi> = wrap<CalendarApi>(own);
    return await reader.read(asked);
  } finally {
    own.terminate();
  }
}

/** Busy time in, the plan out, both as iCalendar. */
export function Calendars() {
  const { facts, workshop } = usePlan();
  const { save, remove } = useSaving();
  const words = useWords();
  const [said, setSaid] = useState<readonly string[]>([]);
  const bring = async (file: File) => {
    const now = nowMinute();
    const read = await readAside({ text: await file.text(), from: now - DAY, to: now + AHEAD, timeZone: workshop.timeZone });
    if (!read.ok) return setSaid([read.mend]);
    const calendar = busyCalendarSchema.safeParse({
      id: newId(),
      name: file.name.replace(/\.ics$/i, '').slice(0, 80) || 'Calendar',
      readAt: toIso(now),
      spans: read.spans.map((span) => ({ from: toIso(span.from), to: toIso(span.to) })),
    });
    if (!calendar.success) return setSaid([calendar.error.issues[0].message]);
    setSaid([
      read.spans.length === 0 ? 'Nothing in it takes any time from now on.' : `${counted(read.events, 'entry', 'entries')} taken as busy.`,
      ...read.notes,
    ]);
    await save('calendars', calendar.data, `${calendar.data.name}: the plan keeps out of it.`);
  };
  return (
    <FoldingSheet title="Calendars">
      <ul className="mt-1">
        {facts.calendars.map((own) => (
          <li key={own.id} className="flex items-center justify-between border-t border-hairline">
            <span>
              <span className="font-[650] text-ink">{own.name}</span>{' '}
              <span className="second">
                {counted(own.spans.length, 'busy stretch', 'busy stretches')}, read {words.day(toMinute(own.readAt))}
              </span>
            </span>
            <RemoveButton what={own.name} onRemove={() => void remove('calendars', own.id, `${own.name}: taken out.`)} />
          </li>
        ))}
      </ul>
      <div className="mt-3 max-w-md">
        <FileField label="Busy time from a calendar file (.ics)" accept=".ics,text/calendar" onFile={(file) => void bring(file)} />
      </div>
      {said.map((text) => (
        <p key={text} role="status" className="mt-2 font-[650]">
          {text}
        </p>
      ))}
      <p className="mt-4">
        <a className="act" href="/api/calendar.ics" download="bench-plan.ics">
          The plan as a calendar
        </a>
      </p>
      <p className="second mt-2 text-small">
        Every stay with what it is for, and every window that shuts, each with an alarm an hour before. A calendar on this machine may also
        subscribe to <span className="font-mono">{new URL('/api/calendar.ics', location.href).href}</span>.
      </p>
    </FoldingSheet>
  );
}
