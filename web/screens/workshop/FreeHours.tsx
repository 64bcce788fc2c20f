import type { Workshop } from '#core/facts/index';
import { freeHoursSchema } from '#core/facts/index';
import { clockFigures } from '#core/units/index';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../app/PlanContext.tsx';
import { ClockField } from '../../views/ClockField.tsx';
import { useSaving } from '../../app/useFacts.ts';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** The week: which hours are free for the bench, and days away. */
export function FreeHours() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const [day, setDay] = useState(1);
  const [from, setFrom] = useState('19:00');
  const [to, setTo] = useState('21:30');
  const change = (freeHours: Workshop['freeHours'], said: string) => void save('workshop', { ...workshop, freeHours }, said);
  const add = () => {
    const parsed = freeHoursSchema.safeParse({ weekday: day, from, to });
    if (!parsed.success) return void toast.error(parsed.error.issues[0].message);
    change(
      [...workshop.freeHours, parsed.data].sort((a, b) => a.weekday - b.weekday || a.from.localeCompare(b.from)),
      'The plan has moved.',
    );
  };
  return (
    <section className="sheet" aria-labelledby="free">
      <h2 id="free">Free hours</h2>
      {workshop.freeHours.length === 0 && <p className="mt-2 font-[650]">No hour is free: nothing can be planned. Add one evening.</p>}
      <ul className="mt-2">
        {workshop.freeHours.map((free) => (
          <li
            key={`${free.weekday}${free.from}${free.to}`}
            className="grid grid-cols-[130px_1fr_auto] items-center border-t border-hairline"
          >
            <span>{DAYS[free.weekday - 1]}</span>
            <span className="figure">
              {clockFigures(free.from, workshop.units.clock)} – {clockFigures(free.to, workshop.units.clock)}
            </span>
            <button
              type="button"
              className="grid size-10 place-items-center"
              aria-label={`Remove ${DAYS[free.weekday - 1]} ${free.from}`}
              onClick={() =>
                change(
                  workshop.freeHours.filter((own) => own !== free),
                  'Taken out.',
                )
              }
            >
              <Trash2 size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <form
        className="mt-3 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <label>
          <span className="second block text-small">Day</span>
          <select className="field !w-36" value={day} onChange={(event) => setDay(Number(event.target.value))}>
            {DAYS.map((name, index) => (
              <option key={name} value={index + 1}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <ClockField label="From" quiet value={from} onChange={setFrom} />
        <ClockField label="To" quiet value={to} onChange={setTo} />
        <button type="submit" className="act !min-h-10">
          Add these hours
        </button>
      </form>
    </section>
  );
}
