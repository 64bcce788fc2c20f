import type { Facts } from '#core/facts/index';
import type { Plan, PlanView, Session } from '#core/plan/index';
import { capital, counted, type Minute } from '#core/units/index';
import ICAL from 'ical.js';

/** The plan as an iCalendar file: every stay at the bench with what it is for, every window that shuts, each with its alarm. */

/** Minutes before it that a calendar rings. */
const ALARM = { stay: 60, shuts: 60 } as const;
const TITLES_SHOWN = 3;

type Planned = Pick<Plan | PlanView, 'sessions' | 'steps' | 'moments' | 'now'>;

export function calendarText(plan: Planned, { pieces, workshop }: Pick<Facts, 'pieces' | 'workshop'>): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Enamelos//Bench plan//EN');
  calendar.addPropertyWithValue('x-wr-calname', workshop[0]?.name ?? 'Bench');
  const nameOf = new Map(pieces.map(({ id, name }) => [id, name]));
  for (const session of plan.sessions) calendar.addSubcomponent(stayOf(session, plan, nameOf));
  for (const { at, kind, text, pieceId } of plan.moments)
    if (kind === 'shuts')
      calendar.addSubcomponent(
        eventOf({
          uid: `shuts-${pieceId}-${at}`,
          from: at,
          to: at,
          title: capital(text),
          text: nameOf.get(pieceId) ?? '',
          alarm: ALARM.shuts,
          now: plan.now,
        }),
      );
  return calendar.toString();
}

function stayOf(session: Session, { steps, now }: Planned, nameOf: ReadonlyMap<string, string>): ICAL.Component {
  const own = session.stepIds.flatMap((id) => steps.find((step) => step.id === id) ?? []);
  const lines = own.map((step) => `${step.title}, ${nameOf.get(step.pieceId) ?? ''}: ${counted(step.minutes, 'minute')}`);
  const titles = own.slice(0, TITLES_SHOWN).map((step) => step.title);
  const more = own.length - titles.length;
  return eventOf({
    uid: `stay-${session.stepIds[0]}`,
    from: session.from,
    to: session.to,
    title: `At the bench: ${titles.join('; ')}${more > 0 ? `; and ${more} more` : ''}`,
    text: lines.join('\n'),
    alarm: ALARM.stay,
    now,
  });
}

type Entry = {
  readonly uid: string;
  readonly from: Minute;
  readonly to: Minute;
  readonly title: string;
  readonly text: string;
  readonly alarm: Minute;
  readonly now: Minute;
};

function eventOf({ uid, from, to, title, text, alarm, now }: Entry): ICAL.Component {
  const event = new ICAL.Component('vevent');
  event.addPropertyWithValue('uid', `${uid}@enamelos`);
  event.addPropertyWithValue('dtstamp', timeAt(now));
  event.addPropertyWithValue('dtstart', timeAt(from));
  event.addPropertyWithValue('dtend', timeAt(Math.max(from + 1, to)));
  event.addPropertyWithValue('summary', title);
  if (text) event.addPropertyWithValue('description', text);
  const rings = new ICAL.Component('valarm');
  rings.addPropertyWithValue('action', 'DISPLAY');
  rings.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-60 * alarm));
  rings.addPropertyWithValue('description', title);
  event.addSubcomponent(rings);
  return event;
}

/** Whole minutes, in universal time: every calendar shows them by its own clock. */
function timeAt(at: Minute): ICAL.Time {
  return ICAL.Time.fromJSDate(new Date(Math.round(at) * 60_000), true);
}
