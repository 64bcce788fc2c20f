import type { FreeInterval } from '#core/schedule/index';
import { localMoment } from '#core/units/index';

/** Hours of the board in which something is against work: night, busy time, and air that is damp or cold. */
export type Shade = { readonly from: number; readonly to: number; readonly kind: 'night' | 'busy' | 'damp' | 'cold' };

type Air = { readonly dewMarginC: number; readonly rh: number; readonly airC: number };

const DAMP = { dewMarginC: 3, rh: 75 };
/** Below this most films hardly dry, °C. */
const COLD_C = 8;

export function shadedHours(
  from: number,
  to: number,
  timeZone: string,
  airOf: (at: number) => Air | null,
  busy: readonly FreeInterval[],
): Shade[] {
  const shades: { from: number; to: number; kind: Shade['kind'] }[] = [];
  for (let at = Math.floor(from / 60) * 60; at < to; at += 60) {
    const kind = kindOf(at, timeZone, airOf(at));
    if (!kind) continue;
    const last = shades.at(-1);
    if (last && last.kind === kind && last.to === at) last.to = at + 60;
    else shades.push({ from: at, to: at + 60, kind });
  }
  return [...shades, ...busy.filter((span) => span.to > from && span.from < to).map((span) => ({ ...span, kind: 'busy' as const }))];
}

function kindOf(at: number, timeZone: string, air: Air | null): Shade['kind'] | null {
  const hour = localMoment(at, timeZone).minuteOfDay / 60;
  if (hour >= 22 || hour < 7) return 'night';
  if (air && (air.dewMarginC < DAMP.dewMarginC || air.rh > DAMP.rh)) return 'damp';
  return air && air.airC < COLD_C ? 'cold' : null;
}

export function dayStarts(from: number, to: number, timeZone: string): number[] {
  const starts: number[] = [];
  // Noon is on the day it should be whatever the clocks do at night.
  for (let at = from; at < to + 1440; at += 1440) {
    const noon = at - localMoment(at, timeZone).minuteOfDay + 720;
    const start = noon - localMoment(noon, timeZone).minuteOfDay;
    if (start > from && start < to && start !== starts.at(-1)) starts.push(start);
  }
  return starts;
}
