import { DayPicker } from 'react-day-picker';

/** A month to pick a day from. Dates are the calendar's own days, with no hour and no zone. */
export function Calendar({
  date,
  today,
  weekStart,
  onPick,
}: {
  date: string;
  today: string;
  weekStart: 1 | 7;
  onPick: (date: string) => void;
}) {
  return (
    <DayPicker
      mode="single"
      autoFocus
      selected={date === '' ? undefined : dayOf(date)}
      defaultMonth={dayOf(date === '' ? today : date)}
      today={dayOf(today)}
      weekStartsOn={weekStart === 7 ? 0 : 1}
      onSelect={(day) => day && onPick(textOf(day))}
      classNames={{
        root: 'calendar',
        months: 'relative',
        month_caption: 'flex h-10 items-center justify-center font-[650] text-ink',
        nav: 'absolute inset-x-0 top-0 flex h-10 items-center justify-between',
        button_previous: 'p-2',
        button_next: 'p-2',
        weekday: 'second size-10 text-small font-[400]',
        day: 'size-10 p-0 text-center',
        day_button: 'figure size-10 rounded-[3px] hover:bg-quiet',
        today: 'font-[750] underline underline-offset-4',
        selected: 'bg-ink text-[var(--sheet)]',
        outside: 'opacity-40',
        chevron: 'inline-block size-5 fill-current',
      }}
    />
  );
}

function dayOf(date: string): Date {
  const [year, month, day] = date.split('-').map(Number);
  return new Date(year, month - 1, day);
}

function textOf(day: Date): string {
  return [
    String(day.getFullYear()).padStart(4, '0'),
    String(day.getMonth() + 1).padStart(2, '0'),
    String(day.getDate()).padStart(2, '0'),
  ].join('-');
}
