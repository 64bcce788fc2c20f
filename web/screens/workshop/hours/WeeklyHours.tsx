import type { Workshop } from '#core/facts/index';
import { freeHoursSchema, withFreeHour } from '#core/facts/index';
import { clockFigures } from '#core/units/index';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { ClockField } from '../../../views/fields/ClockField.tsx';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

type Weekly = Workshop['freeHours'];

/** Hours of the week, day by day: taken out one by one, added by day, from and to. */
export function WeeklyHours({
  hours,
  add: addLabel,
  usual,
  onChange,
}: {
  hours: Weekly;
  /** What the button says. */
  add: string;
  /** Hours the fields begin with. */
  usual: { readonly from: string; readonly to: string };
  onChange: (hours: Weekly) => void;
}) {
  const { workshop } = usePlan();
  const [day, setDay] = useState(1);
  const [from, setFrom] = useState(usual.from);
  const [to, setTo] = useState(usual.to);
  const add = () => {
    const parsed = freeHoursSchema.safeParse({ weekday: day, from, to });
    if (!parsed.success) return void toast.error(parsed.error.issues[0].message);
    const joined = withFreeHour(hours, parsed.data);
    if (joined === hours) return void toast(`${DAYS[day - 1]} ${from} to ${to} is free already.`);
    onChange([...joined]);
  };
  return (
    <>
      <ul className="mt-2">
        {hours.map((free) => (
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
              onClick={() => onChange(hours.filter((own) => own !== free))}
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
          {addLabel}
        </button>
      </form>
    </>
  );
}
