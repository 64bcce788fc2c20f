import { type LogEvent, type Piece, type Sheen, sheenSchema, standingEvents } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';

/** What came of an application, a test patch or a tile: it decides what follows. */
export type SeenOutcome =
  | 'clean'
  | 'most'
  | 'little'
  | 'harmed'
  | 'held'
  | 'softened'
  | 'lifted'
  | 'go-on'
  | 'leave'
  | 'smooth'
  | 'curdled'
  | Sheen;

/** Questions with one answer for the whole step; how fastenings came off is asked one by one (Parted.tsx). */
type Asks = Exclude<NonNullable<PlannedStep['asks']>, { kind: 'parted' }>;

const ASKED: Record<Asks['kind'], { readonly question: string; readonly outcomes: readonly SeenOutcome[] }> = {
  stripped: { question: 'What came off?', outcomes: ['clean', 'most', 'little'] },
  patch: { question: 'What came off?', outcomes: ['clean', 'most', 'little', 'harmed'] },
  tile: { question: 'What became of it?', outcomes: ['held', 'softened', 'lifted'] },
  treated: { question: 'What became of the rust?', outcomes: ['clean', 'most', 'little'] },
  corner: { question: 'What does the corner say?', outcomes: ['go-on', 'leave'] },
  sheen: { question: 'How does it look, dried down?', outcomes: sheenSchema.options },
  'cup-test': { question: 'What does the cup show?', outcomes: ['smooth', 'curdled'] },
};

const WORDS: Record<SeenOutcome, string> = {
  clean: 'All off',
  most: 'Most off',
  little: 'Hardly any',
  harmed: 'It harmed it',
  held: 'It held',
  softened: 'It softened',
  lifted: 'It lifted',
  'go-on': 'Better: go on',
  leave: 'Leave it as it is',
  smooth: 'It stays smooth',
  curdled: 'It curdles',
  flat: 'Flat',
  satin: 'Satin',
  'semi-gloss': 'Semi-gloss',
  gloss: 'Gloss',
};

/** Asked in place of a plain done: one press logs both. */
export function OutcomeChoices({ step, onOutcome }: { step: PlannedStep; onOutcome: (outcome: SeenOutcome) => void }) {
  if (!step.asks || step.asks.kind === 'parted') return null;
  const { question, outcomes } = ASKED[step.asks.kind];
  return (
    <fieldset className="mx-auto max-w-[720px] px-[18px] pt-3">
      <legend className="float-left w-full pb-2 text-lead text-[#d0d0d0]">{question}</legend>
      <div className="clear-both grid gap-[10px]" style={{ gridTemplateColumns: `repeat(${outcomes.length}, minmax(0, 1fr))` }}>
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
  if (step.asks?.kind !== 'patch' && step.asks?.kind !== 'stripped') return null;
  const [key] = step.keys;
  const { method } = step.asks;
  const began =
    step.asks.kind === 'patch' ? key.replace(`.look.patch-${method}.`, `.test-patch.${method}.`) : key.replace('.strip-off.', '.strip-on.');
  const done = standingEvents(events)
    .filter((event) => event.kind === 'done' && event.stepKeys.includes(began))
    .at(-1);
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
  const { asks } = step;
  const partIds = step.on.map((on) => on.partId);
  const head = { id: newId(), at: toIso(at), pieceId: step.pieceId };
  switch (asks?.kind) {
    case undefined:
    case 'parted':
      return [];
    case 'tile':
      return tileEvents(step, piece, outcome, newId, at);
    case 'corner':
      return isOne(outcome, ['go-on', 'leave']) ? [{ ...head, kind: 'corner', outcome }] : [];
    case 'sheen':
      return isOne(outcome, sheenSchema.options) ? sheenEvents(step, piece, outcome, newId, at) : [];
    case 'cup-test':
      return isOne(outcome, ['smooth', 'curdled'])
        ? [{ id: head.id, at: head.at, kind: 'cup-test', productId: asks.productId, thinner: asks.thinner, outcome }]
        : [];
    case 'treated':
      return isOne(outcome, LEFT) ? [{ ...head, kind: 'treated', partIds, markId: asks.markId, mend: asks.mend, outcome }] : [];
    case 'patch':
    case 'stripped': {
      const began = startedAt(step, events);
      const dwellMinutes = began === null ? 0 : Math.min(7 * 1440, Math.max(0, Math.round(at - began)));
      const shared = { ...head, partIds, method: asks.method, dwellMinutes };
      if (asks.kind === 'patch') return isOne(outcome, [...LEFT, 'harmed']) ? [{ ...shared, kind: 'patch', outcome }] : [];
      return isOne(outcome, LEFT) ? [{ ...shared, kind: 'stripped', application: asks.application, outcome }] : [];
    }
  }
}

const LEFT = ['clean', 'most', 'little'] as const;

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

/** The top film of every part looked at. */
function sheenEvents(step: PlannedStep, piece: Piece, looks: Sheen, newId: () => string, at: number): LogEvent[] {
  return step.on.flatMap(({ partId }) => {
    const layerId = piece.parts.find((part) => part.id === partId)?.layers.at(-1)?.id;
    const head = { id: newId(), at: toIso(at), pieceId: piece.id, partId };
    return layerId === undefined ? [] : [{ ...head, kind: 'sheen-read' as const, layerId, when: 'dry' as const, looks }];
  });
}

function isOne<T extends SeenOutcome>(outcome: SeenOutcome, among: readonly T[]): outcome is T {
  return (among as readonly SeenOutcome[]).includes(outcome);
}
