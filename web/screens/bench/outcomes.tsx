import type { LogEvent, Piece } from '#core/facts/index';
import { partKey, type PlannedStep } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';

/** What came of an application, a test patch or a tile: it decides what follows. */
export type SeenOutcome = 'clean' | 'most' | 'little' | 'harmed' | 'held' | 'softened' | 'lifted';

type Asks = NonNullable<PlannedStep['asks']>;

const ASKED: Record<Asks['kind'], { readonly question: string; readonly outcomes: readonly SeenOutcome[] }> = {
  stripped: { question: 'What came off?', outcomes: ['clean', 'most', 'little'] },
  patch: { question: 'What came off?', outcomes: ['clean', 'most', 'little', 'harmed'] },
  tile: { question: 'What became of it?', outcomes: ['held', 'softened', 'lifted'] },
};

const WORDS: Record<SeenOutcome, string> = {
  clean: 'All off',
  most: 'Most off',
  little: 'Hardly any',
  harmed: 'It harmed it',
  held: 'It held',
  softened: 'It softened',
  lifted: 'It lifted',
};

/** Asked in place of a plain done: one press logs both. */
export function OutcomeChoices({ step, onOutcome }: { step: PlannedStep; onOutcome: (outcome: SeenOutcome) => void }) {
  if (!step.asks) return null;
  const { question, outcomes } = ASKED[step.asks.kind];
  return (
    <fieldset className="mx-auto max-w-[720px] px-[18px] pt-3">
      <legend className="float-left w-full pb-2 text-lead text-[#d0d0d0]">{question}</legend>
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
  if (!step.asks || step.asks.kind === 'tile') return null;
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
  piece: Piece,
  outcome: SeenOutcome,
  events: readonly LogEvent[],
  newId: () => string,
  at: number,
): LogEvent[] {
  if (!step.asks) return [];
  if (step.asks.kind === 'tile') return tileEvents(step, piece, outcome, newId, at);
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
  const { asks } = step;
  if (asks.kind === 'patch' && isOne(outcome, ['clean', 'most', 'little', 'harmed'])) return [{ ...shared, kind: 'patch', outcome }];
  if (asks.kind === 'stripped' && isOne(outcome, ['clean', 'most', 'little']))
    return [{ ...shared, kind: 'stripped', application: asks.application, outcome }];
  return [];
}

/** One press judges every joint of every tile looked at. */
function tileEvents(step: PlannedStep, piece: Piece, outcome: SeenOutcome, newId: () => string, at: number): LogEvent[] {
  if (!isOne(outcome, ['held', 'softened', 'lifted'])) return [];
  return step.on.flatMap(({ partId }) =>
    (piece.parts.find((part) => part.id === partId)?.layers ?? []).map((layer) => ({
      id: newId(),
      at: toIso(at),
      kind: 'tile' as const,
      pieceId: piece.id,
      partId,
      layerId: layer.id,
      outcome,
    })),
  );
}

function isOne<T extends SeenOutcome>(outcome: SeenOutcome, among: readonly T[]): outcome is T {
  return (among as readonly SeenOutcome[]).includes(outcome);
}
