import {
  atLocal,
  clockText,
  counted,
  dateText,
  dayText,
  durationText,
  formatMoney,
  formatQuantity,
  typedQuantity,
  heatText,
  momentText,
  monthText,
} from '#core/units/index';
import { DROP_ML } from '#core/colour/index';
import { useMemo } from 'react';
import { usePlan } from './plan/PlanContext.tsx';

/** Nobody counts more than this into a cup. */
const MANY_DROPS = 25;

/** Moments, money and sizes in the person's own units. */
export function useWords() {
  const { workshop, plan } = usePlan();
  return useMemo(() => {
    const { timeZone, units, currency } = workshop;
    return {
      clock: (at: number) => clockText(at, timeZone, units.clock),
      day: (at: number) => dayText(at, timeZone),
      date: (at: number) => dateText(at, timeZone),
      /** A bare date, YYYY-MM-DD. */
      dayOf: (date: string) => dayText(atLocal(date, 720, timeZone), timeZone),
      /** A month, YYYY-MM. */
      month: monthText,
      moment: (at: number) => momentText(at, plan.now, timeZone, units.clock),
      duration: durationText,
      money: (minor: number, about = false) => formatMoney(minor, currency, about),
      length: (mm: number) => formatQuantity(mm, units.length),
      /** As they stand in a field, to the last place that was typed. */
      typedLength: (mm: number) => typedQuantity(mm, units.length),
      typedTemperature: (celsius: number) => typedQuantity(celsius, units.temperature),
      area: (mm2: number) => `${mm2 < 1000 ? Math.round(mm2 / 10) / 10 : Math.round(mm2 / 100)} cm²`,
      volume: (ml: number) => formatQuantity(ml, units.volume),
      /** As it is dosed: few drops are counted, more are measured. */
      poured: (drops: number) =>
        drops < MANY_DROPS ? counted(drops, 'drop') : formatQuantity(Math.round(drops * DROP_ML * 10) / 10, units.volume),
      temperature: (celsius: number) => formatQuantity(celsius, units.temperature),
      /** Of an oven or the sun, in whole degrees. */
      heat: (celsius: number) => heatText(celsius, units.temperature),
    };
  }, [workshop, plan.now]);
}
