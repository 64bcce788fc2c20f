import type { StripMethod, StripOutcome } from '#core/facts/index';
import { dwellOn } from './practice.ts';
import type { Material } from '#core/facts/index';

/** What came of each application so far, oldest first. */
export type Application = { readonly method: StripMethod; readonly outcome: StripOutcome; readonly dwellMinutes: number };

export type StripProgress =
  | { readonly next: 'done' }
  /** Once more with the same method; `dwellMinutes` where it should stay on longer. */
  | { readonly next: 'again'; readonly because: string; readonly dwellMinutes?: number }
  /** Another method: this one makes no progress here, and a stronger bath is never the answer. */
  | { readonly next: 'change'; readonly because: string };

const LONGER = 4;

/**
 * What an outcome asks for: clean is done, most goes on once more, little gets a longer dwell and, when that was already
 * most of the longest, another method (trade §3).
 */
export function afterApplication(applications: readonly Application[], material: Material): StripProgress | null {
  const last = applications.at(-1);
  if (!last) return null;
  if (last.outcome === 'clean') return { next: 'done' };
  const { most } = dwellOn(last.method, material);
  const before = applications.filter((own) => own.method === last.method);
  if (last.outcome === 'most') {
    if (before.length >= 4) return { next: 'change', because: 'Four applications have not brought it off: change the method.' };
    return { next: 'again', because: 'Most came off: one more application for the rest.' };
  }
  const fruitless = before.filter((own) => own.outcome === 'little').length;
  if (most === 0 || last.dwellMinutes >= most / 2 || fruitless >= 2) {
    return { next: 'change', because: 'Hardly anything came off. Never a stronger bath: rinse neutral and change the method.' };
  }
  const dwellMinutes = Math.min(most, Math.max(30, Math.round(last.dwellMinutes * LONGER)));
  return { next: 'again', dwellMinutes, because: 'Hardly anything came off: once more, and longer.' };
}

/** What each outcome says of the dwell it would have taken, as a factor of the dwell seen. */
const NEEDED: Record<StripOutcome, number> = { clean: 1, most: 1.5, little: 3 };

/** Factor on the usual dwell of a method on a material, from what the log saw: k = exp(n/(n+4) × mean ln(needed ÷ usual)). */
export function learnedDwell(applications: readonly Application[], method: StripMethod, material: Material): number {
  const seen = applications.filter((own) => own.method === method && own.dwellMinutes > 0);
  if (seen.length === 0) return 1;
  const { usual } = dwellOn(method, material);
  const mean = seen.reduce((sum, own) => sum + Math.log((own.dwellMinutes * NEEDED[own.outcome]) / usual), 0) / seen.length;
  return Math.exp((seen.length / (seen.length + 4)) * mean);
}
