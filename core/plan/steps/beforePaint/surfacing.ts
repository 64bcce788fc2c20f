import type { ResolvedLayer } from '#core/coats/index';
import { FEATURES_KEYED, isMetal, staysOf } from '#core/facts/index';
import {
  cleaningPlan,
  gateItems,
  gritsForMark,
  lastWipe,
  markText,
  mendOf,
  metalPrep,
  oldPaintText,
  papers,
  repairSteps,
} from '#core/prep/index';
import { workSize } from '#core/survey/index';
import { listed, sentences, workMinutes } from '#core/units/index';
import type { PlanContext, Ref } from '../../films/index.ts';
import { ACTS_OF_MEND } from '../acts.ts';
import type { StepChain } from '../chain.ts';
import type { Constraint } from '../constraint.ts';
import { beforeFlashRust, dwell, whileClean } from '../constraints.ts';
import { hazardsOf } from '../hazards.ts';
import { addRustOff } from './flashRust.ts';
import { cleanerMl, coveredFirst, flashRusts, getsMetalPrep, mendScope, surfaceOfPart } from './surfaceParts.ts';

/** Repairs, papers, the gate and the last wipe of one part; on steel metal prep as the last wet step before primer. */

const TABLE_SETUP_MINUTES = 2;
const SAND_AT_100CM2 = 3;
const SCUFF_AT_100CM2 = 3;
const WIPE_MINUTES = 3;
const MORE_COPIES_MINUTES = 1;
const PUT_RIGHT_MINUTES = 10;
const METAL_PREP_MINUTES = 20;

export type Surfaced = {
  /** The last step that worked the surface, before it is cleaned. */
  readonly surface: Ref | null;
  readonly clean: Ref;
  /** Metal prep that now guards it. */
  readonly guarded: Ref | null;
};

/** What baring the metal since then asks of the next step. */
type Bared = (constraints?: readonly Constraint[]) => Constraint[];

/** @param bareSince when stripping left the metal bright @param beforeClean called when the surface is done and not yet cleaned */
export function addSurfacing(
  chain: StepChain,
  context: PlanContext,
  { keeps, bareSince, first }: { keeps: boolean; bareSince: Ref | null; first: ResolvedLayer | undefined },
): Surfaced {
  const rust = new RustWatch(chain, context, bareSince);
  addRepairs(chain, context, keeps, rust, first);
  addSanding(chain, context, keeps, rust);
  const failures = addPutRight(chain, context, rust);
  addRustOff(
    chain,
    context,
    () => rust.since,
    (by) => rust.bared(by),
  );
  const surface = chain.last;
  const clean = addClean(chain, context, { keeps, stripped: bareSince !== null, failures, rust });
  const guarded = !keeps && getsMetalPrep(chain.of.part, first) ? addMetalPrep(chain, rust, failures) : null;
  return { surface, clean, guarded };
}

/** Since when the metal lies bright and bare; each step that bares it starts the clock anew. */
class RustWatch {
  readonly #chain: StepChain;
  readonly #context: PlanContext;
  #since: Ref | null;

  constructor(chain: StepChain, context: PlanContext, since: Ref | null) {
    this.#chain = chain;
    this.#context = context;
    this.#since = flashRusts(chain.of.part) ? since : null;
  }

  get since(): Ref | null {
    return this.#since;
  }

  bared(by: Ref): void {
    if (flashRusts(this.#chain.of.part)) this.#since = by;
  }

  /** Between two sittings of work that bares the metal. */
  readonly between = (ref: Ref): Constraint[] => (flashRusts(this.#chain.of.part) ? [beforeFlashRust(ref, this.#context)] : []);

  readonly before: Bared = (constraints = []) =>
    this.#since ? [...constraints, beforeFlashRust(this.#since, this.#context)] : [...constraints];
}

/** Marks of a part that gets no paint: glazing, plating, what stays bare by choice. */
export function addMends(chain: StepChain, context: PlanContext): void {
  addRepairs(chain, context, true, new RustWatch(chain, context, null), undefined);
}

function addRepairs(chain: StepChain, context: PlanContext, keeps: boolean, rust: RustWatch, first: ResolvedLayer | undefined): void {
  const { part, piece } = chain.of;
  const surface = surfaceOfPart(part, chain.of.piece, keeps, context);
  for (const mark of part.marks ?? []) {
    const scope = mendScope(piece, part, mark.id, context);
    // Clean is clean, whatever brought it.
    if (scope.tried?.some((own) => own.outcome === 'clean')) continue;
    const mend = mendOf(mark, part, scope);
    // The whole part gets metal prep as its last wet step: no mark needs it before.
    if (mend === 'metal-prep' && !keeps && getsMetalPrep(part, first)) continue;
    const round = scope.tried?.filter((own) => own.mend === mend).length ?? 0;
    const steps = repairSteps({
      mend,
      part,
      size: workSize(part),
      where: mark.where,
      kind: mark.kind,
      grits: gritsForMark(mark, part, surface),
    });
    let wait: { ref: Ref; minutes: readonly [number, number] } | null = null;
    for (const [index, step] of steps.entries()) {
      const ref = chain.add(
        {
          stage: 'repair',
          acts: ACTS_OF_MEND[mend],
          subject: mark.id,
          number: round * steps.length + index + 1,
          title: step.title,
          minutes: step.minutes,
          setup: TABLE_SETUP_MINUTES,
          detail: step.detail,
          hazards: hazardsOf(chain.of, step.hazards),
          because: `The survey marked it: ${markText(mark)}.`,
          supplies: step.supplies,
          ...(step.asks ? { asks: { kind: 'treated' as const, markId: mark.id, mend } } : {}),
          treatment: null,
        },
        rust.before(wait ? [dwell(wait.ref, wait.minutes, 'it must set first')] : []),
      );
      if (step.bares) rust.bared(ref);
      wait = step.sets ? { ref, minutes: step.sets } : null;
    }
  }
}

function addSanding(chain: StepChain, context: PlanContext, keeps: boolean, rust: RustWatch): void {
  const { part } = chain.of;
  const surface = surfaceOfPart(part, chain.of.piece, keeps, context);
  if (surface.noPaper) {
    addPad(chain, surface.noPaper, rust);
    return;
  }
  const size = workSize(part);
  const grits = surface.rungs.map((rung) => rung.grit);
  const named = listed(grits.map((grit) => `P${grit}`));
  const missing = surface.buy.length > 0 ? `buy ${listed(surface.buy.map((grit) => `P${grit}`))}` : '';
  const byHand = part.features?.some(({ kind }) => FEATURES_KEYED.some((own) => own === kind))
    ? 'edges, rims and corners of the list by hand'
    : 'edges, countersinks and hole rims by hand';
  const hazards = hazardsOf(chain.of, ['dust']);
  // Old dust may hold lead, and magnesium’s burns.
  const wet = hazards.includes('lead') || hazards.includes('magnesium');
  const perPaper = keeps ? SCUFF_AT_100CM2 : SAND_AT_100CM2;
  const ref = chain.add(
    {
      stage: 'prep',
      acts: [keeps ? 'scuff' : wet ? 'wet-sand' : 'dry-sand'],
      grit: grits.at(-1),
      title: keeps ? `Scuff ${oldPaintText(part.oldPaint)}` : `Sand with ${grits.map((grit) => `P${grit}`).join(', then ')}`,
      minutes: Math.max(1, grits.length) * workMinutes(perPaper, size, keeps ? 'scuff' : 'flat'),
      setup: TABLE_SETUP_MINUTES,
      scuffMinutes: 2 + workMinutes(2, size, 'scuff'),
      detail: coveredFirst(
        part,
        chain.of.piece,
        [keeps ? `${named}, wet, until evenly matt` : wet ? `${byHand}; wet, no dust` : byHand, missing].filter(Boolean).join('; '),
      ),
      hazards,
      because: sentences(surface.start.because, surface.rungs.length > 1 ? 'Each paper is at most about twice as fine as the last' : ''),
      supplies: papers(grits, size),
      // What is sanded wet for its dust or its metal is no row with what is sanded dry.
      treatment: `prep ${keeps ? 'scuff' : wet ? 'wet sand' : 'sand'} ${grits.join(' ')}`,
    },
    rust.before(),
    keeps ? undefined : rust.between,
  );
  if (!keeps) rust.bared(ref);
}

/** Faces that take no paper: grain gets a grey pad, kit plastic only its mould lines. */
function addPad(chain: StepChain, { pad, because }: { pad: 'grey' | 'none'; because: string }, rust: RustWatch): void {
  const { part } = chain.of;
  const size = workSize(part);
  if (staysOf(part)) return;
  const grain = pad === 'grey';
  chain.add(
    {
      stage: 'prep',
      acts: [grain ? 'scuff' : 'wet-sand'],
      title: grain ? 'Prep cleaner, then a grey pad, lightly' : 'Mould lines and gates off',
      minutes: workMinutes(grain ? 4 : 3, size, 'scuff'),
      setup: TABLE_SETUP_MINUTES,
      detail: grain ? 'with the grain, no pressure; rinse' : 'scrape, then P400 and P600 wet, only where they are',
      hazards: grain ? [] : ['dust'],
      because,
      supplies: grain
        ? [{ kind: 'pad', spec: 'grey pad', unit: 'piece', amount: 0.5 }]
        : papers([400, 600], { ...size, copyCm2: size.copyCm2 / 10 }),
      treatment: grain ? 'prep grey pad' : 'prep mould lines',
    },
    rust.before(),
  );
}

/** What a check did not let pass is put right; the gate is gone through again after it. Returns how many there were. */
function addPutRight(chain: StepChain, context: PlanContext, rust: RustWatch): number {
  const { piece, part } = chain.of;
  const failed = context.history.failedChecks(piece.id, part.id);
  for (const event of failed) {
    const ref = chain.add(
      {
        stage: 'repair',
        acts: ['wet-sand'],
        subject: event.id,
        title: 'Put right what did not pass',
        minutes: PUT_RIGHT_MINUTES + workMinutes(1, workSize(part), 'flat'),
        setup: TABLE_SETUP_MINUTES,
        detail: event.item,
        hazards: hazardsOf(chain.of, ['dust']),
        because: 'Seen before primer it costs minutes; under colour it costs the coat.',
        supplies: papers([400], { ...workSize(part), copyCm2: 60 }),
        treatment: null,
      },
      rust.before(),
    );
    rust.bared(ref);
  }
  return failed.length;
}

type Cleaning = { readonly keeps: boolean; readonly stripped: boolean; readonly failures: number; readonly rust: RustWatch };

function addClean(chain: StepChain, context: PlanContext, { keeps, stripped, failures, rust }: Cleaning): Ref {
  const { part, piece } = chain.of;
  const wipe = lastWipe(part.material);
  const { forbidden } = cleaningPlan(part.material, { keepsPaint: keeps });
  const never = listed(
    forbidden.map(({ name }) => name),
    'or',
  );
  const scopeOfMark = (markId: string) => mendScope(piece, part, markId, context);
  return chain.add(
    {
      stage: 'clean',
      number: failures + 1,
      title: 'Inspect, clean and wipe',
      minutes: WIPE_MINUTES + MORE_COPIES_MINUTES * (part.copies - 1) + 1,
      setup: TABLE_SETUP_MINUTES,
      scuffMinutes: 2 + workMinutes(2, workSize(part), 'scuff'),
      detail: `sanding mud washed off and dried; wipe with ${wipe}, one cloth wet on, one dry off; gloves from here on${never ? `; never ${never}` : ''}`,
      because: 'Side light now shows what primer will not hide. A skipped degrease makes craters.',
      hazards: isMetal(part.material) ? ['solvent'] : [],
      supplies: [{ kind: 'cleaner', spec: wipe, unit: 'mL', amount: cleanerMl(part) }],
      checks: gateItems(part, stripped, scopeOfMark),
      treatment: `clean ${wipe}`,
    },
    rust.before(),
  );
}

/** Metal prep stops the rust; sanding after it would bare the steel again, so it comes last (trade §3). */
function addMetalPrep(chain: StepChain, rust: RustWatch, failures: number): Ref {
  const size = workSize(chain.of.part);
  return chain.add(
    {
      stage: 'metal-prep',
      number: failures + 1,
      title: 'Phosphoric metal prep, rinse, dry',
      minutes: workMinutes(1, size, 'wash'),
      // All parts are kept wet together.
      setup: METAL_PREP_MINUTES,
      scuffMinutes: 2 + workMinutes(2, size, 'scuff'),
      detail: coveredFirst(
        chain.of.part,
        chain.of.piece,
        'keep it wet 20 min, rinse, warm air; touch it no more before primer; no acid-etch primer over it',
      ),
      hazards: ['acid'],
      because: 'Bright steel flash-rusts within hours; phosphate that nobody sands again holds it until primer.',
      supplies: [metalPrep(size)],
      treatment: 'metal prep',
    },
    rust.before(),
  );
}

/** Zinc and light metal past their day, and steel without metal prep past its hours, are keyed again before the first coat. */
export function whileSurfaceServes(surfaced: Surfaced, chain: StepChain, context: PlanContext): Constraint[] {
  if (surfaced.guarded) return [];
  const { surface, clean } = surfaced;
  if (flashRusts(chain.of.part) && surface) return [beforeFlashRust(surface, context)];
  return [whileClean(clean)];
}
