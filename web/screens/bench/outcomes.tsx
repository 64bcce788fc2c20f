import type { LogEvent } from '#core/facts/index';
import { partKey, type PlannedStep } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';

/** What came of an application or a test patch: it decides what follows. */
export type PatchOutcome = 'clean' | 'most' | 'little' | 'harmed';

const WORDS: Record<PatchOutcome, string> = { clean: 'All off', most: 'Most off', little: 'Hardly any', harmed: 'It harmed it' };

/** Asked in place of a plain done: one press logs both. */
export function OutcomeChoices({ step, onOutcome }: { step: PlannedStep; onOutcome: (outcome: PatchOutcome) => void }) {
  const outcomes: readonly PatchOutcome[] =
    step.asks?.kind === 'patch' ? ['clean', 'most', 'little', 'harmed'] : ['clean', 'most', 'little'];
  return (
    <fieldset className="mx-auto max-w-[720px] px-[18px] pt-3">
      <legend className="float-left w-full pb-2 text-lead text-[#d0d0d0]">What came off?</legend>
      <div className="grid gap-[10px]" style={{ gridTemplateColumns: `repeat(${outcomes.length}, minmax(0, 1fr))` }}>
        {outcomes.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className="min-h-[64px] rounded-[3px] border-2 border-white px-1 text-lead font-[650]"
            onClick={() => onOutcome(outcome)}
          >
            {WORDS[outcome]}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

/** When the stripper or the patch of this step went on, by the log; null where the log does not say. */
export function startedAt(step: PlannedStep, events: readonly LogEvent[]): number | null {
  if (!step.asks) return null;
  const { kind, method, application } = step.asks;
  const key =
    kind === 'patch'
      ? partKey(step.pieceId, step.on[0].partId, 'test-patch', method)
      : partKey(step.pieceId, step.on[0].partId, 'strip-on', method, application);
  const undone = new Set(events.flatMap((event) => (event.kind === 'undo' ? [event.undoes] : [])));
  const done = events.filter((event) => event.kind === 'done' && event.stepKeys.includes(key) && !undone.has(event.id)).at(-1);
  return done ? toMinute(done.at) : null;
}

/** The outcome as an event, with the dwell the log saw. */
export function outcomeEvents(
  step: PlannedStep,
  outcome: PatchOutcome,
  events: readonly LogEvent[],
  newId: () => string,
  at: number,
): LogEvent[] {
  if (!step.asks) return [];
  const began = startedAt(step, events);
  const dwellMinutes = began === null ? 0 : Math.min(7 * 1440, Math.max(0, Math.round(at - began)));
  const shared = {
    id: newId(),
    at: toIso(at),
    pieceId: step.pieceId,
    partIds: step.on.map((on) => on.partId),
    method: step.asks.method,
    dwellMinutes,
  };
  if (step.asks.kind === 'patch') return [{ ...shared, kind: 'patch', outcome }];
  return outcome === 'harmed' ? [] : [{ ...shared, kind: 'stripped', application: step.asks.application, outcome }];
}
