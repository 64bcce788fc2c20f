import { type FreeInterval, stayIndex } from '#core/schedule/index';
import type { Minute } from '#core/units/index';
import type { PlannedStep } from './plannedStep.ts';

/** A stay at the bench inside one free interval. */
export type Session = {
  readonly from: Minute;
  readonly to: Minute;
  readonly stepIds: readonly string[];
  readonly attendedMinutes: number;
  readonly freeUntil: Minute;
};

export function sessionsOf(steps: readonly PlannedStep[], free: readonly FreeInterval[], now: Minute): Session[] {
  const stays = new Map<number, PlannedStep[]>();
  for (const step of steps) {
    const start = step.placed?.start;
    if (start === undefined) continue;
    const index = stayIndex(free, start);
    stays.set(index, [...(stays.get(index) ?? []), step]);
  }
  return [...stays]
    .sort(([a], [b]) => a - b)
    .map(([index, own]) => {
      const ordered = own.sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
      const from = Math.max(now, ordered[0].placed?.start ?? 0);
      const to = Math.max(...ordered.map((step) => step.placed?.end ?? 0));
      return {
        from,
        to,
        stepIds: ordered.map((step) => step.id),
        attendedMinutes: ordered.reduce((sum, step) => sum + step.minutes, 0),
        freeUntil: free[index]?.to ?? to,
      };
    });
}
