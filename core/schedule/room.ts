import { DAY, type Minute } from '#core/units/index';
import type { Problem, Schedule } from './model.ts';

/** Room before the windows that the steps of a schedule lie in, each counted up to a day: the least, and all of it. */
export function roomOf({ placed }: Schedule, { gaps }: Pick<Problem, 'gaps'>): { readonly least: Minute; readonly sum: Minute } {
  let [least, sum] = [DAY, 0];
  for (const gap of gaps) {
    const own = placed.get(gap.to);
    if (!own || gap.from.some((id) => !placed.has(id))) continue;
    const stretch = gap
      .allowed((id) => placed.get(id)?.end ?? 0)
      .find(({ from, to }) => own.start >= from - 1e-6 && (to === null || own.start <= to + 1e-6));
    if (stretch?.to == null) continue;
    const room = Math.min(DAY, Math.max(0, stretch.to - own.start));
    [least, sum] = [Math.min(least, room), sum + room];
  }
  return { least, sum };
}
