import type { Gap, Placed, Schedule } from '#core/schedule/index';
import type { Minute } from '#core/units/index';
import type { Step } from '../steps/index.ts';
import type { PlannedStep } from './plannedStep.ts';

/** The stretch of all gaps to a placed step at once in which it may start, and when the next one would open. */
function windowOf(placed: Placed, result: Schedule, gaps: readonly Gap[]): Pick<PlannedStep, 'window' | 'missedUntil'> {
  let window: { from: Minute; to: Minute | null } = { from: 0, to: null };
  let missedUntil: Minute | null = null;
  for (const gap of gaps) {
    if (!gap.from.every((id) => result.placed.has(id))) continue;
    const spans = gap.allowed((id) => (result.placed.get(id) as Placed).end);
    const at = spans.findIndex(
      (stretch) => placed.start >= stretch.from - 1e-6 && (stretch.to === null || placed.start <= stretch.to + 1e-6),
    );
    const span = spans[at];
    if (!span) continue;
    if (span.to !== null && (window.to === null || span.to < window.to)) missedUntil = spans[at + 1]?.from ?? null;
    const to = span.to === null ? window.to : window.to === null ? span.to : Math.min(span.to, window.to);
    window = { from: Math.max(window.from, span.from), to };
  }
  return { window, missedUntil };
}

/** A step with its place and the stretch it may move in, or why it has none. */
function plannedStep(step: Step, result: Schedule, gaps: readonly Gap[]): PlannedStep {
  const placed = result.placed.get(step.id) ?? null;
  if (placed) return { ...step, minutes: Math.round(placed.end - placed.start), placed, ...windowOf(placed, result, gaps) };
  const why = step.stopped ?? result.unplaced.find((entry) => entry.id === step.id)?.why ?? 'waits for a step that has no date';
  return { ...step, placed, unplacedWhy: why, window: null, missedUntil: null };
}

/** All steps with their places and windows. */
export function withWindows(steps: readonly Step[], result: Schedule, gaps: readonly Gap[]): PlannedStep[] {
  const gapsTo = new Map<string, Gap[]>();
  for (const gap of gaps) {
    const known = gapsTo.get(gap.to);
    if (known) known.push(gap);
    else gapsTo.set(gap.to, [gap]);
  }
  return steps.map((step) => plannedStep(step, result, gapsTo.get(step.id) ?? []));
}
