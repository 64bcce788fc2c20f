import { openGuesses } from '#core/survey/index';
import { type Facts, isPreserved, type Piece, plain, standingEvents, staysOf, type WorkStage } from '#core/facts/index';
import type { PieceView, PlannedStep, PlanView } from '#core/plan/index';
import { counted, dayText, formatMoney, type Minute } from '#core/units/index';

/** What comes before the first coat, of which the strip section tells. */
const BEFORE_COATS: readonly string[] = ['strip', 'strip-on', 'strip-off', 'metal-prep', 'repair', 'prep', 'clean'];

const KEPT = 'kept as it is';

/** Each section's state or next decision in a few words. */
export function sectionStates(piece: Piece, view: PieceView, plan: PlanView, facts: Facts): Record<string, string> {
  const steps = plan.steps.filter((step) => step.pieceId === piece.id);
  const masks = steps.filter((step) => step.stage === 'mask').length;
  const entries = facts.events.filter((event) => 'pieceId' in event && event.pieceId === piece.id).length;
  return {
    survey: surveyState(piece),
    strip: stripState(piece, view, steps.filter((step) => BEFORE_COATS.includes(step.stage)).length, facts),
    coats: coatsState(piece, view, steps.filter((step) => step.stage === 'coat').length),
    masking: masks === 0 ? 'nothing to mask' : counted(masks, 'mask'),
    finish: finishState(piece, steps, (at) => dayText(at, facts.workshop[0].timeZone)),
    dates: datesState(piece, view),
    money: moneyState(view, facts.workshop[0].currency),
    record: counted(entries, 'entry'),
  };
}

/** Guesses first, then what was passed over: neither is an answer. */
function surveyState(piece: Piece): string {
  const { passedOver = [], parts } = piece;
  const guesses = openGuesses(piece);
  if (guesses.length > 0) return `${counted(guesses.length, 'guess')} to settle`;
  return passedOver.length > 0 ? `${counted(passedOver.length, 'question')} left open` : counted(parts.length, 'part');
}

/** A part whose glazing, plating or printing stays has no method and needs none. */
function stripState(piece: Piece, view: PieceView, left: number, facts: Facts): string {
  if (isPreserved(piece)) return KEPT;
  const choices = piece.parts.filter((part) => !staysOf(part)).flatMap((part) => view.strips[part.id] ?? []);
  if (choices.some((choice) => choice.refused)) return 'a method to choose';
  if (left === 0) return wasWorked(piece, facts) ? 'done' : 'nothing to do';
  const method = choices.find((choice) => choice.method)?.method;
  return method ? plain(method) : 'sand and clean';
}

/** Only what is in the log is done, by itself or under a coat; where nothing is, there was nothing to do. */
function wasWorked(piece: Piece, facts: Facts): boolean {
  return standingEvents(facts.events).some(
    (event) =>
      event.kind === 'done' &&
      event.pieceId === piece.id &&
      (event.coat !== undefined || event.stepKeys.some((key) => BEFORE_COATS.includes(key.split('.')[2] ?? ''))),
  );
}

function coatsState(piece: Piece, view: PieceView, left: number): string {
  const open = view.joints.filter((entry) => !entry.laid);
  const onDressings = view.dressings.flatMap(({ id, below, above }) =>
    [below, ...(above ? [above] : [])].map(({ verdict }) => ({ id, verdict })),
  );
  const count = (verdict: string) =>
    new Set([
      ...open.filter((entry) => entry.joint.verdict === verdict).map((entry) => `${entry.partId}${entry.layerId}`),
      ...onDressings.filter((entry) => entry.verdict === verdict).map(({ id }) => id),
    ]).size;
  if (count('stop') > 0) return `${count('stop')} would not sit`;
  if (count('care') > 0) return `${count('care')} with care`;
  if (view.missing.length > 0) return 'a clear is missing';
  if (view.joints.length === 0) return isPreserved(piece) ? KEPT : 'no coats yet';
  return left === 0 ? 'all laid' : 'all sit';
}

const FITTING: readonly WorkStage[] = ['assemble', 'fit', 'touch-up'];

function finishState({ finished, parcels }: Piece, steps: readonly PlannedStep[], day: (at: Minute) => string): string {
  if (finished) return 'finished';
  const awaited = parcels.filter((parcel) => !parcel.arrived).length;
  if (awaited > 0) return `${counted(awaited, 'parcel')} not here`;
  if (steps.length === 0) return 'nothing left to fit';
  if (!steps.every(({ stage }) => FITTING.includes(stage))) return 'when all is dry';
  // Over a film that bears it in a week nothing is ready.
  const from = Math.min(...steps.map(({ opens }) => opens?.at ?? 0));
  return from > 0 ? `fits from ${day(from)}` : 'ready to fit';
}

function moneyState({ money }: PieceView, currency: string): string {
  if (money.budget === null) return formatMoney(money.total, currency, money.about);
  return money.over > 0 ? `${formatMoney(money.over, currency)} over` : 'within budget';
}

function datesState(piece: Piece, view: PieceView): string {
  if (piece.finished) return 'finished';
  if (view.stopped) return 'stopped';
  if (view.noDateWhy) return 'no date yet';
  if (view.late) return 'too late for its day';
  return view.sessions === 0 ? 'nothing left to do' : counted(view.sessions, 'session');
}
