import { dateFigures, localMoment, parseDate } from '#core/units/index';
import { CalendarDays } from 'lucide-react';
import { Popover } from 'radix-ui';
import { lazy, Suspense, useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { TextField } from './TextField.tsx';

const Calendar = lazy(async () => ({ default: (await import('./Calendar.tsx')).Calendar }));

/** A day, typed as people write it or picked; '' where none is set. In the order and week of the workshop. */
export function DateField({
  label,
  value,
  onChange,
  problem,
  quiet,
}: {
  label: string;
  /** YYYY-MM-DD, or ''. */
  value: string;
  onChange: (date: string) => void;
  problem?: string;
  quiet?: boolean;
}) {
  const { workshop } = usePlan();
  const order = workshop.units.dates ?? 'day-first';
  const today = localMoment(nowMinute(), workshop.timeZone).date;
  const [typed, setTyped] = useState(() => shown(value, order));
  const [open, setOpen] = useState(false);
  useEffect(
    () => setTyped((now) => (parseDate(now, order, today) === value || (now !== '' && value === '') ? now : shown(value, order))),
    [value, order, today],
  );
  const date = typed.trim() === '' ? '' : parseDate(typed, order, today);
  const take = (text: string) => {
    setTyped(text);
    const read = text.trim() === '' ? '' : parseDate(text, order, today);
    onChange(read ?? '');
  };
  const example = dateFigures(`${today.slice(0, 4)}-12-24`, order);
  return (
    <div className="relative w-full min-w-36 max-w-44">
      <TextField
        label={label}
        quiet={quiet}
        placeholder={example}
        className="field !pr-9 !pl-2.5 font-mono"
        problem={date === null ? `Type a day such as ${example}.` : problem}
        value={typed}
        onChange={(event) => take(event.target.value)}
        onBlur={() => date && setTyped(shown(date, order))}
      />
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger className="absolute top-[26px] right-0 p-2" aria-label={`${label}: pick a day`}>
          <CalendarDays size={20} aria-hidden />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content className="sheet z-50 !p-3" sideOffset={4}>
            <Suspense fallback={<p className="second p-4">Opening the calendar …</p>}>
              <Calendar
                date={date ?? ''}
                today={today}
                weekStart={workshop.units.weekStart ?? 1}
                onPick={(picked) => {
                  take(dateFigures(picked, order));
                  setOpen(false);
                }}
              />
            </Suspense>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}

function shown(date: string, order: 'day-first' | 'month-first'): string {
  return date === '' ? '' : dateFigures(date, order);
}
