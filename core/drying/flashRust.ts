import { HOUR, type Minute } from '#core/units/index';
import { type Climate, valueAt } from './clock.ts';

/** Hours bare steel stays bright at 20 °C and 50 % RH: minutes to hours in the trade, and less in damp air. */
const REFERENCE_HOURS = 4;
const STEP_HOURS = 0.25;
const LONGEST_HOURS = 48;

/** Rust begins above about 30 % RH and doubles its pace each 10 °C. */
function pace(tempC: number, rh: number): number {
  return Math.max(0.25, (rh - 30) / 20) * 2 ** ((tempC - 20) / 10);
}

/** The moment at which bare steel, bright at `from`, begins to flash-rust in this air; at the latest after two days. */
export function flashRustAt(climate: Climate, from: Minute): Minute {
  const start = from / HOUR - climate.startHour;
  let progress = 0;
  for (let hours = 0; hours < LONGEST_HOURS; hours += STEP_HOURS) {
    const at = Math.max(0, start + hours);
    progress += pace(valueAt(climate.tempC, at), valueAt(climate.rh, at)) * STEP_HOURS;
    if (progress >= REFERENCE_HOURS) return from + (hours + STEP_HOURS) * HOUR;
  }
  return from + LONGEST_HOURS * HOUR;
}
