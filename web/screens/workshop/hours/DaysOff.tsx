import { awaySchema, spanSchema, type Workshop } from '#core/facts/index';
import { atLocal, dateFigures, localMoment, minuteOfDay, toIso, toMinute } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { ClockField } from '../../../views/fields/ClockField.tsx';
import { DateField } from '../../../views/fields/DateField.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm } from '../../../views/fields/SmallField.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** What is not as every week: one evening more, and days away. */
export function DaysOff() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const change = (fields: Partial<Workshop>, said: string) => save('workshop', { ...workshop, ...fields }, said);
  return (
    <FoldingSheet title="One evening more, days away">
      <Extra workshop={workshop} onChange={change} />
      <Away workshop={workshop} onChange={change} />
    </FoldingSheet>
  );
}

type Props = { readonly workshop: Workshop; readonly onChange: (fields: Partial<Workshop>, said: string) => Promise<boolean> };

/** A single stretch that the week does not have. */
function Extra({ workshop, onChange }: Props) {
  const words = useWords();
  const { timeZone } = workshop;
  const [date, setDate] = useState(() => localMoment(nowMinute(), timeZone).date);
  const [from, setFrom] = useState('19:00');
  const [to, setTo] = useState('21:30');
  const [problem, setProblem] = useState('');
  const open = workshop.extraFree.filter((span) => toMinute(span.to) > nowMinute());
  const add = async () => {
    if (!date) return setProblem('Say which day.');
    const at = (clock: string) => toIso(atLocal(date, minuteOfDay(clock), timeZone));
    const read = spanSchema.safeParse({ from: at(from), to: at(to) });
    if (!read.success) return setProblem('It must begin before it ends; split it at midnight.');
    if (toMinute(read.data.to) <= nowMinute()) return setProblem('That is over already: choose a later day or hour.');
    setProblem('');
    // What is past is of no use to anybody.
    await onChange({ extraFree: [...open, read.data] }, 'One evening more: the plan has moved.');
  };
  return (
    <>
      <ul>
        {open.map((span) => (
          <li key={span.from} className="flex items-center justify-between border-t border-hairline">
            <span>
              {words.moment(toMinute(span.from))} to {words.clock(toMinute(span.to))}
            </span>
            <RemoveButton
              what={`the evening of ${words.day(toMinute(span.from))}`}
              onRemove={() => void onChange({ extraFree: open.filter((own) => own !== span) }, 'Taken out.')}
            />
          </li>
        ))}
      </ul>
      <SmallForm label="One evening more" problem={problem} onSend={() => void add()}>
        <DateField label="One evening, on" quiet value={date} onChange={setDate} />
        <ClockField label="From" quiet value={from} onChange={setFrom} />
        <ClockField label="To" quiet value={to} onChange={setTo} />
        <button type="submit" className="act !min-h-10">
          Add it
        </button>
      </SmallForm>
    </>
  );
}

/** From one day to another nobody is at the bench; films dry on. */
function Away({ workshop, onChange }: Props) {
  const [typed, setTyped] = useState({ from: '', to: '', why: '' });
  const [problem, setProblem] = useState('');
  const today = localMoment(nowMinute(), workshop.timeZone).date;
  const order = workshop.units.dates ?? 'day-first';
  const open = workshop.away.filter((own) => own.to >= today);
  const add = async () => {
    if (!typed.from) return setProblem('Say which is the first day away.');
    const read = awaySchema.safeParse({ from: typed.from, to: typed.to || typed.from, ...(typed.why.trim() ? { why: typed.why } : {}) });
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    const away = [...open, read.data].sort((a, b) => a.from.localeCompare(b.from));
    if (await onChange({ away }, 'Away then: nothing is planned on those days, films dry on.')) setTyped({ from: '', to: '', why: '' });
  };
  return (
    <>
      <ul className="mt-4">
        {open.map((own) => (
          <li key={`${own.from}${own.to}`} className="flex items-center justify-between border-t border-hairline">
            <span>
              away {dateFigures(own.from, order)}
              {own.to !== own.from && ` to ${dateFigures(own.to, order)}`}
              {own.why && <span className="second">, {own.why}</span>}
            </span>
            <RemoveButton
              what={`away from ${dateFigures(own.from, order)}`}
              onRemove={() => void onChange({ away: open.filter((other) => other !== own) }, 'Taken out.')}
            />
          </li>
        ))}
      </ul>
      <SmallForm label="Days away" problem={problem} onSend={() => void add()}>
        {/* Begun anew once it is taken, with nothing left of what was typed. */}
        <DateField
          key={`from ${open.length}`}
          label="Away from"
          quiet
          value={typed.from}
          onChange={(from) => setTyped({ ...typed, from })}
        />
        <DateField
          key={`to ${open.length}`}
          label="to, that day too"
          quiet
          value={typed.to}
          onChange={(to) => setTyped({ ...typed, to })}
        />
        <SmallField label="why, if you like" width="!w-44" value={typed.why} onText={(why) => setTyped({ ...typed, why })} />
        <button type="submit" className="act !min-h-10">
          Away then
        </button>
      </SmallForm>
    </>
  );
}
