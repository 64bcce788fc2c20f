import { type Label, plain } from '#core/facts/index';
import { broken, partsWithSteps, type PlacedStep, TOLERANCE, type Verified, type Violation } from './verified.ts';

/** Everything mixed goes on after its induction and within its pot life. */
export function mixViolations(verified: Verified): Violation[] {
  const { facts, clocks } = verified;
  const labelOf = (step: PlacedStep): Label | undefined => {
    const sheetId = facts.products.find((product) => product.id === step.coat?.productId)?.sheetId;
    return facts.sheets.find((sheet) => sheet.id === sheetId)?.label;
  };
  return partsWithSteps(verified).flatMap(({ steps }) =>
    steps.flatMap((coat) => {
      const label = labelOf(coat);
      if (!coat.coat || label?.potLifeMin === undefined) return [];
      const mix = steps
        .filter((step) => step.stage === 'mix' && subjectOf(step) === subjectOf(coat) && step.placed.end <= coat.placed.start + TOLERANCE)
        .at(-1);
      if (!mix) return [];
      const onClock = clocks.reached(facts.workshop[0].sprayPlaceId, 'crosslinking', mix.placed.end, label.potLifeMin / 60);
      const over = Math.min(onClock ?? Number.POSITIVE_INFINITY, mix.placed.end + label.potLifeMin);
      const early = coat.placed.start < mix.placed.end + (label.inductionMin ?? 0) - TOLERANCE;
      if (early) return [broken('induction', coat, 'the mix has not stood long enough')];
      return coat.placed.start > over + TOLERANCE ? [broken('pot life', coat, `the mix of ${plain(coat.coat.family)} has gone off`)] : [];
    }),
  );
}

/** The layer of a step, by its key. */
function subjectOf(step: PlacedStep): string {
  return step.id.split('.')[3] ?? '';
}
