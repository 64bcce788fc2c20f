import { type Facts, type Piece, plain } from '#core/facts/index';
import type { PieceView, PlanView } from '#core/plan/index';
import { formatMoney } from '#core/units/index';

/** Each section's state or next decision in a few words. */
export function sectionStates(piece: Piece, view: PieceView, plan: PlanView, facts: Facts): Record<string, string> {
  const open = view.joints.filter((entry) => !entry.laid);
  const count = (verdict: string) =>
    new Set(open.filter((entry) => entry.joint.verdict === verdict).map((entry) => `${entry.partId}${entry.layerId}`)).size;
  const [stops, cares] = [count('stop'), count('care')];
  const coatsLeft = plan.steps.filter((step) => step.pieceId === piece.id && step.stage === 'coat').length;
  const strips = Object.values(view.strips);
  const toStrip = plan.steps.filter(
    (step) => step.pieceId === piece.id && ['strip', 'strip-on', 'strip-off', 'metal-prep', 'repair', 'prep', 'clean'].includes(step.stage),
  ).length;
  const masks = plan.steps.filter((step) => step.pieceId === piece.id && step.stage === 'mask').length;
  const missing = piece.parcels.filter((parcel) => !parcel.arrived).length;
  const entries = facts.events.filter((event) => 'pieceId' in event && event.pieceId === piece.id).length;
  const method = strips.find((choice) => choice.method)?.method;
  return {
    survey:
      piece.guesses.length > 0
        ? `${piece.guesses.length} ${piece.guesses.length === 1 ? 'guess' : 'guesses'} to settle`
        : `${piece.parts.length} ${piece.parts.length === 1 ? 'part' : 'parts'}`,
    strip: strips.some((choice) => choice.refused)
      ? 'a method to choose'
      : toStrip === 0
        ? 'done'
        : method
          ? plain(method)
          : 'sand and clean',
    coats:
      stops > 0
        ? `${stops} would not sit`
        : cares > 0
          ? `${cares} care to settle`
          : coatsLeft === 0 && view.joints.length > 0
            ? 'all laid'
            : 'all sit',
    masking: masks === 0 ? 'nothing to mask' : `${masks} ${masks === 1 ? 'mask' : 'masks'}`,
    finish: missing > 0 ? `${missing} parcel not here` : 'ready to fit',
    dates: piece.finished
      ? 'finished'
      : view.stopped
        ? 'stopped'
        : view.late
          ? 'too late for its day'
          : `${view.sessions} ${view.sessions === 1 ? 'session' : 'sessions'}`,
    money: view.money.over > 0 ? `${formatMoney(view.money.over, facts.workshop[0].currency)} over` : 'within budget',
    record: `${entries} entries`,
  };
}
