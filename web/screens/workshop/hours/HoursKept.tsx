import { quietSchema, workshopSchema } from '#core/facts/index';
import { clockFigures, parseNumber } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { Chips } from '../../../views/fields/Chips.tsx';
import { ClockField } from '../../../views/fields/ClockField.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const GOALS_SHOWN = [
  { value: 'soonest', label: 'the soonest end' },
  { value: 'fewest-sessions', label: 'the fewest stays' },
  { value: 'calmest', label: 'the most room before windows shut' },
] as const;
const ZONES = Intl.supportedValuesOf('timeZone');

/** What the plan is made for, how long a stay may be, when nothing loud runs, and by which clock all of it is. */
export function HoursKept() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const [stay, setStay] = useState(workshop.longestStay === undefined ? '' : String(workshop.longestStay));
  const [quiet, setQuiet] = useState({ from: '22:00', to: '07:00' });
  const [problem, setProblem] = useState('');
  const clock = (text: string) => clockFigures(text, workshop.units.clock);
  const keepStay = () => {
    const longestStay = stay.trim() === '' ? undefined : (parseNumber(stay) ?? Number.NaN);
    const read = workshopSchema.shape.longestStay.safeParse(longestStay);
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    void save(
      'workshop',
      { ...workshop, longestStay: read.data },
      read.data ? `No stay is longer than ${read.data} minutes.` : 'As long as the hours.',
    );
  };
  const addQuiet = () => {
    const read = quietSchema.safeParse(quiet);
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    void save(
      'workshop',
      { ...workshop, quietHours: [...(workshop.quietHours ?? []), read.data] },
      'Quiet then: no blasting, no compressor.',
    );
  };
  return (
    <FoldingSheet title="How the hours are used">
      <div className="mt-2">
        <Chips
          legend="What matters most"
          options={GOALS_SHOWN}
          value={workshop.goal ?? 'soonest'}
          onChange={(goal) => void save('workshop', { ...workshop, goal: goal === 'soonest' ? undefined : goal }, 'The plan has moved.')}
        />
      </div>
      <SmallForm label="The longest stay" problem="" onSend={keepStay}>
        <SmallField
          label="a stay at the bench, at most, min"
          width="!w-32 font-mono"
          inputMode="numeric"
          placeholder="any"
          value={stay}
          onText={setStay}
        />
        <button type="submit" className="act !min-h-10">
          Keep to it
        </button>
      </SmallForm>
      <ul className="mt-3">
        {(workshop.quietHours ?? []).map((own) => (
          <li key={`${own.from}${own.to}`} className="flex items-center justify-between border-t border-hairline">
            <span>
              quiet from <span className="figure">{clock(own.from)}</span> to <span className="figure">{clock(own.to)}</span>
            </span>
            <RemoveButton
              what={`the quiet hours from ${clock(own.from)}`}
              onRemove={() =>
                void save('workshop', { ...workshop, quietHours: workshop.quietHours?.filter((other) => other !== own) }, 'Taken out.')
              }
            />
          </li>
        ))}
      </ul>
      <SmallForm label="Quiet hours" problem={problem} onSend={addQuiet}>
        <ClockField label="Quiet from" quiet value={quiet.from} onChange={(from) => setQuiet({ ...quiet, from })} />
        <ClockField label="to" quiet value={quiet.to} onChange={(to) => setQuiet({ ...quiet, to })} />
        <button type="submit" className="act !min-h-10">
          Nothing loud then
        </button>
      </SmallForm>
      <div className="mt-4">
        <SmallSelect
          label="time zone"
          width="!w-64"
          value={workshop.timeZone}
          options={[...new Set([workshop.timeZone, ...ZONES])].map((zone) => ({ value: zone, label: zone.replaceAll('_', ' ') }))}
          onChange={(timeZone) => void save('workshop', { ...workshop, timeZone }, `By the clock of ${timeZone}.`)}
        />
      </div>
    </FoldingSheet>
  );
}
