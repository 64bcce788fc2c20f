import { dividedFacts, dividedPart } from '#core/zones/index';
import { resolveLayer } from '#core/coats/index';
import { type Facts, type Mend, type Part, type Piece, type StripMethod, STRIP_METHODS } from '#core/facts/index';
import {
  type CleaningPlan,
  cleaningPlan,
  gateItems,
  gritsForMark,
  markText,
  mendOf,
  type RepairStep,
  repairSteps,
  type Surface,
} from '#core/prep/index';
import { type Bath, bathOf, dwells, type StripOption, stripOptions } from '#core/strip/index';
import { workSize } from '#core/survey/index';
import { historyOf, type PlanContext } from '../../films/index.ts';
import { dwellFactor, type StripChoice, stripChoice, stripScope } from '../../verdicts/index.ts';
import { getsMetalPrep, keepsPaint, mendScope, surfaceOfPart } from './surfaceParts.ts';

/** All that is known and advised of a part before paint: for the screen, the job card and scripts. */
export type Preparation = {
  readonly choice: StripChoice;
  readonly options: readonly StripOption[];
  readonly advised: StripMethod | null;
  /** What came of patches and applications so far, oldest first. */
  readonly tried: readonly { readonly at: string; readonly text: string }[];
  readonly repairs: readonly { readonly mark: string; readonly mend: Mend; readonly steps: readonly RepairStep[] }[];
  readonly surface: Surface;
  readonly cleaning: CleaningPlan;
  readonly gate: readonly string[];
};

/** @throws RangeError without a workshop */
export function preparationOf(piece: Piece, asEntered: Part, known: Facts): Preparation {
  const [part, facts] = [dividedPart(asEntered), dividedFacts(known)];
  const workshop = facts.workshop[0];
  if (!workshop) throw new RangeError('The workshop is not set up yet.');
  const context: Pick<PlanContext, 'facts' | 'workshop' | 'history'> = { facts, workshop, history: historyOf(facts) };
  const first = part.layers[0] && resolveLayer(part.layers[0], facts);
  const choice = stripChoice(part, piece, first, context.history, workshop);
  const keeps = keepsPaint(part, choice);
  const treated = !keeps && getsMetalPrep(part, first);
  const { options, advised } = stripOptions(part, piece, stripScope(part, piece, workshop), choice.failed, (method) =>
    dwellFactor(method, part, context),
  );
  const surface = surfaceOfPart(part, piece, keeps, context);
  return {
    choice,
    options,
    advised: choice.chosen ? advised : choice.method,
    tried: triedText(piece, part, context.history),
    repairs: (part.marks ?? []).map((mark) => {
      const mend = mendOf(mark, part, mendScope(piece, part, mark.id, context));
      const alreadyDone = treated && mend === 'metal-prep';
      const grits = gritsForMark(mark, part, surface);
      return {
        mark: markText(mark),
        mend,
        steps: alreadyDone ? [] : repairSteps({ mend, part, size: workSize(part), where: mark.where, kind: mark.kind, grits }),
      };
    }),
    surface,
    cleaning: cleaningPlan(part.material, { keepsPaint: keeps }),
    gate: gateItems(part, choice.method !== null && !keeps, (markId) => mendScope(piece, part, markId, context)),
  };
}

function triedText(piece: Piece, part: Part, history: ReturnType<typeof historyOf>): { at: string; text: string }[] {
  const words = { clean: 'came off clean', most: 'most came off', little: 'hardly anything came off', harmed: 'it harmed the part' };
  const dwellText = (method: StripMethod, minutes: number) => (dwells(method) ? ` after ${Math.round(minutes)} min` : '');
  return [
    ...history.patches(piece.id, part.id).map((event) => ({
      at: event.at,
      text: `Test patch, ${event.method}: ${words[event.outcome]}${dwellText(event.method, event.dwellMinutes)}`,
    })),
    ...history.applications(piece.id, part.id).map((event) => ({
      at: event.at,
      text: `${event.method}, time ${event.application}: ${words[event.outcome]}${dwellText(event.method, event.dwellMinutes)}`,
    })),
  ].sort((a, b) => a.at.localeCompare(b.at));
}

/** What may go into each bath together, for the methods that are baths. */
export function bathsOf(piece: Piece): readonly { readonly method: StripMethod; readonly bath: Bath }[] {
  return STRIP_METHODS.filter((method) => method === 'caustic' || method === 'alkaline' || method === 'alcohol').map((method) => ({
    method,
    bath: bathOf(piece, method),
  }));
}
