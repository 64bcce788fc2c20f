import { TOUCH_UP_ML } from '#core/amounts/index';
import type { Workshop } from '#core/facts/index';
import { dateFigures } from '#core/units/index';
import { Download } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { applyTheme, chosenTheme, type Theme } from '../../app/shell/theme.ts';
import { CurrencyField } from '../../views/fields/CurrencyField.tsx';
import { Chips } from '../../views/fields/Chips.tsx';
import { Calendars } from './hours/Calendars.tsx';
import { Copies } from './Copies.tsx';
import { DaysOff } from './hours/DaysOff.tsx';
import { FilmsAhead } from './air/FilmsAhead.tsx';
import { FreeHours } from './hours/FreeHours.tsx';
import { HoursKept } from './hours/HoursKept.tsx';
import { ImportFile } from './ImportFile.tsx';
import { Phone } from './Phone.tsx';
import { Oven } from './air/Oven.tsx';
import { Places } from './air/Places.tsx';
import { Room } from './Room.tsx';
import { OnThisPage } from '../../views/folding/OnThisPage.tsx';
import { Tools } from './Tools.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

const TOUCH_UP_CHOICES = [0, TOUCH_UP_ML, 2 * TOUCH_UP_ML, 4 * TOUCH_UP_ML];

const AirChart = lazy(async () => ({ default: (await import('./air/AirChart.tsx')).AirChart }));

/** Free hours, places and their air, units, and the open file in and out. */
export function WorkshopPage() {
  const { workshop, demo } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const page = useRef<HTMLDivElement>(null);
  const [theme, setTheme] = useState<Theme>(chosenTheme);
  const change = (fields: Partial<Workshop>, said: string) => void save('workshop', { ...workshop, ...fields }, said);
  const units = (fields: Partial<Workshop['units']>) => change({ units: { ...workshop.units, ...fields } }, 'Units changed.');
  return (
    <div ref={page} className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(0,1fr)_372px]">
      <div className="space-y-5">
        <section className="sheet" aria-labelledby="air">
          <h1 id="air">{workshop.name}</h1>
          <Suspense fallback={<p className="second h-64">Drawing the air …</p>}>
            <AirChart />
          </Suspense>
          <Places />
        </section>
        <FreeHours />
        <DaysOff />
        <HoursKept />
        <Calendars />
        <FilmsAhead />
      </div>
      <aside className="space-y-5">
        <OnThisPage within={page} columns />
        <Tools />
        <Room />
        <Oven />
        <FoldingSheet title="Units and look" inner="space-y-4 mt-3">
          <Chips
            legend="Sizes"
            options={[
              { value: 'mm', label: 'mm' },
              { value: 'in', label: 'inches' },
            ]}
            value={workshop.units.length}
            onChange={(length) => units({ length })}
          />
          <Chips
            legend="Volumes"
            options={[
              { value: 'mL', label: 'mL' },
              { value: 'oz', label: 'fl oz' },
            ]}
            value={workshop.units.volume}
            onChange={(volume) => units({ volume })}
          />
          <CurrencyField
            value={workshop.currency}
            onChange={(currency) => change({ currency }, `Money is in ${currency}; sums stay as they were typed.`)}
          />
          <Chips
            legend="Temperature"
            options={[
              { value: 'C', label: '°C' },
              { value: 'F', label: '°F' },
            ]}
            value={workshop.units.temperature}
            onChange={(temperature) => units({ temperature })}
          />
          <Chips
            legend="Clock"
            options={[
              { value: '24', label: '24 hours' },
              { value: '12', label: '12 hours' },
            ]}
            value={String(workshop.units.clock)}
            onChange={(clock) => units({ clock: clock === '12' ? 12 : 24 })}
          />
          <Chips
            legend="Dates in figures"
            options={[
              { value: 'day-first', label: dateFigures('2026-12-24', 'day-first') },
              { value: 'month-first', label: dateFigures('2026-12-24', 'month-first') },
            ]}
            value={workshop.units.dates ?? 'day-first'}
            onChange={(dates) => units({ dates })}
          />
          <Chips
            legend="A week begins on"
            options={[
              { value: '1', label: 'Monday' },
              { value: '7', label: 'Sunday' },
            ]}
            value={String(workshop.units.weekStart ?? 1)}
            onChange={(day) => units({ weekStart: day === '7' ? 7 : 1 })}
          />
          <Chips
            legend="Kept for touch-up, of each colour"
            options={TOUCH_UP_CHOICES.map((ml) => ({ value: String(ml), label: ml === 0 ? 'none' : words.volume(ml) }))}
            value={String(workshop.touchUpMl ?? TOUCH_UP_ML)}
            onChange={(ml) => change({ touchUpMl: Number(ml) }, 'The touch-up reserve is changed.')}
          />
          <Chips
            legend="Page"
            options={[
              { value: 'system', label: 'as the system' },
              { value: 'light', label: 'light' },
              { value: 'dark', label: 'dark' },
            ]}
            value={theme}
            onChange={(chosen) => {
              setTheme(chosen);
              applyTheme(chosen);
            }}
          />
        </FoldingSheet>
        <FoldingSheet title="The whole workshop as a file">
          <p className="mt-2">
            One documented JSON file: pieces, shelf, places, log. A piece by itself is exported under its Record and brought in here.{' '}
            {demo && 'This is the demo workshop.'}
          </p>
          <a className="act mt-3" href="/api/export" download>
            <Download size={18} aria-hidden /> Export
          </a>
          <ImportFile />
        </FoldingSheet>
        <Copies />
        <Phone />
      </aside>
    </div>
  );
}
