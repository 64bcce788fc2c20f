import { resolveLayer } from '#core/coats/index';
import { isPreserved, type Part, type Piece, staysOf } from '#core/facts/index';
import type { OrderAnswer } from '#core/masking/index';
import { isPlanned } from '#core/safety/index';
import {
  isTile,
  PartFilms,
  partSentBack,
  type PlanContext,
  type PlannedFilm,
  type Ref,
  sentBackOf,
  type SentBack,
  stepsOf,
  strippedSince,
} from '../films/index.ts';
import { type JointOfPart, stripChoice, type StripChoice, undecidedZones, withOutcomes } from '../verdicts/index.ts';
import { addBareCare } from './finish/bareCare.ts';
import { type Constraint, renamed } from './constraint.ts';
import { StepChain } from './chain.ts';
import type { Dressing } from './paint/dressings.ts';
import { addLayers, type Coated } from './paint/coats.ts';
import type { Overshot } from './paint/overshot.ts';
import { after, onceReached } from './constraints.ts';
import { pieceKey } from './keys.ts';
import { assembled, assemblySteps, goingOnBefore, wholeTasks } from './finish/assembly.ts';
import { checkStep, isTogether, undecidedText } from './finish/fitting.ts';
import { preservingSteps } from './beforePaint/preserving.ts';
import { joinedIntoRows, type RowLimits } from './rows.ts';
import { addPolishing } from './paint/polishing.ts';
import { addSheenLook } from './paint/sheenLook.ts';
import type { Inspection, Step } from './step.ts';
import { addStripping } from './beforePaint/stripping.ts';
import { flashRusts, keepsPaint } from './beforePaint/surfaceParts.ts';
import { addReadings } from './beforePaint/references.ts';
import { type LateFit, tasksDone, withTasks } from './tasks/taskSteps.ts';
import { touchUpSteps } from './finish/touchUps.ts';
import { addMends, addSurfacing, type Surfaced, whileSurfaceServes } from './beforePaint/surfacing.ts';
import { dryFitStep, teardownSteps } from './beforePaint/teardown.ts';
import { addMaterialTest, addWash } from './beforePaint/washing.ts';
import { learnedPace, typedPace, type WorkPace } from './workPace.ts';
import { heldByParcels, heldUntilFit } from './parcels.ts';

export type PieceSteps = {
  readonly steps: readonly Step[];
  readonly joints: readonly JointOfPart[];
  readonly strips: ReadonlyMap<string, StripChoice>;
  /** Masking order by the id of each part it was worked out for. */
  readonly masking: ReadonlyMap<string, OrderAnswer>;
  /** Details and decals with how each sits. */
  readonly dressings: readonly Dressing[];
  /** Parts that cannot go on when that was said. */
  readonly lateFits: readonly LateFit[];
  readonly stopped?: string;
};

const NOTHING: PieceSteps = { steps: [], joints: [], strips: new Map(), masking: new Map(), dressings: [], lateFits: [] };
const USUAL_LIMITS: RowLimits = { longest: 60 };

/** All steps still to do on a piece, bottom to top, joined into rows where they are one treatment. */
export function pieceSteps(whole: Piece, context: PlanContext, limits: RowLimits = USUAL_LIMITS): PieceSteps {
  if (whole.finished) return NOTHING;
  const learned = learnedPace(context.history);
  const usual = (own: WorkPace) => allSteps(whole, context, own, { ...limits, longest: Number.POSITIVE_INFINITY }, false).steps;
  const pace = whole.minutes ? asTyped(whole, usual, learned) : learned;
  return allSteps(whole, context, pace, limits, true);
}

/** Twice, since the minutes of short steps are rounded: what is typed comes out as it was typed. */
function asTyped(whole: Piece, usual: (pace: WorkPace) => readonly Step[], learned: WorkPace): WorkPace {
  const once = typedPace(whole, usual(learned), learned);
  return typedPace(whole, usual(once), once);
}

function allSteps(whole: Piece, context: PlanContext, pace: WorkPace, limits: RowLimits, join: boolean): PieceSteps {
  const { piece: said, broken } = withOutcomes(whole, context.history);
  if (isPreserved(said)) {
    const steps = preservingSteps(said, context, pace);
    return { ...NOTHING, steps: join ? joinedIntoRows(asChains(steps), limits) : steps };
  }
  const teardown = said.board ? [] : teardownSteps(said, broken, context, pace);
  const made = said.parts.filter(isPlanned).map((part) => partSteps(said, part, context, pace));
  const stopped = made.find(({ chain }) => chain.stopped)?.chain.stopped;
  const tried = withDryFit(said, context, made, pace);
  // A tile sprayed along is judged by itself; nothing waits for it.
  const fitted = made.filter(({ part }) => !part.tile);
  const {
    parts: tied,
    tasks,
    piece,
    late: lateFits,
  } = withTasks(
    said,
    made.map(({ part, coated }, index) => ({ part, steps: tried.chains[index], films: coated.films })),
    context,
    pace,
    teardown.at(-1),
  );
  const chains = tied.map((steps) => heldByParcels(afterTeardown(steps, teardown.at(-1)), piece, context));
  const inspects = made.flatMap(({ chain }) => chain.toInspect);
  const fit = piece.board ? [] : fitOf(piece, context, fitted, { stopped, inspects, pace, apart: teardown.at(-1) });
  const own = join ? joinedIntoRows(chains, limits) : chains.flat();
  const rowOf = new Map(own.flatMap((step) => step.keys.map((key) => [key, step.id] as const)));
  const wide = [
    ...tried.dryFit,
    ...tasks.map((step) => behindAssembly(step, piece, fit)),
    ...fit,
    ...touchUpSteps(piece, fit.at(-1), context),
  ].map((step) => onRows(step, rowOf));
  return {
    steps: [...teardown, ...own, ...wide],
    joints: made.flatMap(({ coated }) => coated.joints),
    strips: new Map(made.map(({ part, strip }) => [part.id, strip])),
    masking: new Map(made.flatMap(({ part, coated }) => (coated.masking ? [[part.id, coated.masking] as const] : []))),
    dressings: made.flatMap(({ coated }) => coated.dressings),
    lateFits,
    ...(stopped ? { stopped } : {}),
  };
}

/** What is hung, tried or closed waits for the parts that go onto it. */
function behindAssembly(step: Step, piece: Piece, fit: readonly Step[]): Step {
  const task = wholeTasks(piece).find(({ id }) => step.id === pieceKey(piece.id, 'task', id));
  if (!task || step.stopped) return step;
  const planned = goingOnBefore(piece, task).filter((id) => fit.some((own) => own.id === id));
  return { ...step, constraints: [...step.constraints, ...planned.map((id) => after(id, 'what goes onto it is on first'))] };
}

/** A piece-wide step looks back to the rows that steps of parts have become. */
function onRows(step: Step, rowOf: ReadonlyMap<string, string>): Step {
  const renamedStep = (id: string) => rowOf.get(id) ?? id;
  return { ...step, constraints: step.constraints.map((constraint) => renamed(constraint, renamedStep)) };
}

/** Steps of parts as chains, piece-wide ones left each by itself. */
function asChains(steps: readonly Step[]): Step[][] {
  const chains = new Map<string, Step[]>();
  for (const step of steps) {
    const key = step.on.length === 1 ? step.on[0].partId : step.id;
    chains.set(key, [...(chains.get(key) ?? []), step]);
  }
  return [...chains.values()];
}

type MadePart = {
  readonly part: Part;
  readonly chain: StepChain;
  readonly strip: StripChoice;
  readonly coated: Coated;
  /** The surface work still to do, for the dry fit between it and the cleaning. */
  readonly surfaced: Surfaced | null;
  readonly onOldPaint: boolean;
};

const NO_COATS: Coated = { joints: [], masking: null, dressings: [], films: [], tops: [], overshot: null };

/** Everything that is done to one part; over a window that has shut for good it is stripped and begun again, so that no date is lost. */
function partSteps(piece: Piece, part: Part, context: PlanContext, pace: WorkPace): MadePart {
  const sentBack = sentBackOf(piece, part, context.history);
  const made = partStepsBack(sentBack, piece, part, context, pace);
  const { overshot } = made.coated;
  if (!overshot || made.chain.stopped) return made;
  const again = partStepsAfter(strippedSince(overshot.since, overshot.layerId, overshot.because, sentBack), piece, part, context, pace);
  return { ...again, coated: { ...again.coated, joints: again.coated.joints.map((entry) => withOvershot(entry, overshot)) } };
}

/** Sent back to its surface where nothing sits on what is there, it is stripped. */
function partStepsBack(sentBack: SentBack | null, piece: Piece, part: Part, context: PlanContext, pace: WorkPace): MadePart {
  const made = partStepsAfter(sentBack, piece, part, context, pace);
  if (!made.chain.stopped || !sentBack || sentBack.to === 'strip') return made;
  const stripped = partStepsAfter({ ...sentBack, to: 'strip' }, piece, part, context, pace);
  return stripped.chain.stopped ? made : stripped;
}

/** The joint whose window has shut is no longer one that sits, whatever is planned instead. */
function withOvershot(entry: JointOfPart, { layerId, because, byLabel, since, way }: Overshot): JointOfPart {
  if (entry.layerId !== layerId) return entry;
  const finding = { verdict: 'stop', rule: byLabel ? '1b label' : '2 window', because } as const;
  const answer = {
    ...entry.joint.answer,
    ...finding,
    source: byLabel ? ('label' as const) : ('default' as const),
    findings: [...entry.joint.answer.findings, finding],
  };
  return { ...entry, joint: { ...entry.joint, verdict: 'stop', answer, branches: [] }, overshot: { since, way } };
}

function partStepsAfter(sentBack: SentBack | null, piece: Piece, asEntered: Part, context: PlanContext, pace: WorkPace): MadePart {
  const part = partSentBack(asEntered, sentBack);
  const chain = new StepChain(context, { piece, part, sentBack }, pace);
  const first = part.layers[0] && resolveLayer(part.layers[0], context.facts);
  const strip = stripChoice(part, piece, first, context.history, context.workshop);
  const made = (coated: Coated, surfaced: Surfaced | null = null): MadePart => ({
    part: asEntered,
    chain,
    strip,
    coated,
    surfaced,
    onOldPaint: keepsPaint(part, strip),
  });
  if (staysOf(part)) {
    addWash(chain, false);
    addMends(chain, context);
    return made(NO_COATS);
  }
  const bareZones = part.zones.filter((zone) => zone.bare !== undefined).map((zone) => zone.id);
  const painted = part.zones.length - bareZones.length - undecidedZones(part).length;
  if (painted === 0) {
    // Nobody has decided on it: nothing is done to it, and the fit says so.
    if (bareZones.length > 0) addBareByChoice(chain, context, bareZones);
    return made(NO_COATS);
  }
  const underPaint = isUnderPaint(chain, context);
  // What lies on it already says nothing of what it is: the test comes first all the same.
  if (underPaint) addMaterialTest(chain);
  const surfaced = underPaint ? null : addBeforePaint(chain, context, strip);
  const onSurface = surfaced ? whileSurfaceServes(surfaced, chain, context) : [];
  const coated = addLayers(chain, context, { keepsPaint: keepsPaint(part, strip), onSurface: keepsPaint(part, strip) ? [] : onSurface });
  if (isTile(piece, part)) addJudging(chain, coated.tops);
  else {
    addPolishing(chain, context, coated.films);
    addSheenLook(chain, context, coated.tops);
  }
  if (bareZones.length > 0) addBareCareBesidePaint(chain, context, bareZones);
  return made(coated, surfaced);
}

/** Paint lies on it already: what comes before paint is behind it. */
function isUnderPaint(chain: StepChain, { history }: PlanContext): boolean {
  const { piece, part, sentBack } = chain.of;
  return part.zones.some((zone) =>
    history.coatsOn(piece.id, part.id, zone.id).some((coat) => !sentBack || sentBack.to === 'layer' || coat.at > sentBack.at),
  );
}

/** A surface that is sent back is sanded again: the coats on it must have dried that far. */
function sentBackFilms(chain: StepChain, context: PlanContext): Constraint[] {
  if (chain.of.sentBack?.to !== 'surface') return [];
  const { tops } = new PartFilms(context, chain.of, () => false);
  return tops.map((film) => onceReached(film, 'flat', `the ${film.name} that was sent back must be dry enough to sand`));
}

function addBeforePaint(chain: StepChain, context: PlanContext, strip: StripChoice): Surfaced {
  const { part } = chain.of;
  const keeps = keepsPaint(part, strip);
  const first = part.layers[0] && resolveLayer(part.layers[0], context.facts);
  addMaterialTest(chain);
  addWash(chain, keeps, sentBackFilms(chain, context));
  addReadings(chain, context);
  const off = addStripping(chain, context, strip);
  return addSurfacing(chain, context, { keeps, bareSince: off, first });
}

/** A part that stays bare by choice is washed, freed of rust and finished; one that has paint on it to lose is left to its owner. */
function addBareByChoice(chain: StepChain, context: PlanContext, zoneIds: readonly string[]): void {
  addMaterialTest(chain);
  addWash(chain, false);
  addMends(chain, context);
  addBareCare(chain, context, zoneIds);
}

/** Bare zones beside paint are cleaned of overspray and protected once the paint takes handling. */
function addBareCareBesidePaint(chain: StepChain, context: PlanContext, zoneIds: readonly string[]): void {
  if (flashRusts(chain.of.part)) addBareCare(chain, context, zoneIds);
}

/** The tiles of a board are judged dry, after dry-down; what they show is evidence from then on. */
function addJudging(chain: StepChain, tops: readonly PlannedFilm[]): void {
  const { part } = chain.of;
  chain.add(
    {
      stage: 'look',
      subject: 'tile',
      title: 'Judge it dry',
      minutes: 2,
      setup: 2,
      detail: 'indoors and out, beside the reference; a tape pull on a scratch shows what holds',
      because: 'What a tile shows overrules the tables for the same products in the same state.',
      asks: { kind: 'tile', layerIds: part.layers.map((layer) => layer.id) },
      treatment: 'judge the tiles',
    },
    tops.map((film) => onceReached(film, 'fit', `the ${film.name} must be dry to be judged`)),
  );
}

function afterTeardown(steps: readonly Step[], apart: Step | undefined): readonly Step[] {
  const [first, ...rest] = steps;
  if (!apart || !first) return steps;
  return [{ ...first, constraints: [...first.constraints, after(apart.id, 'the piece is taken apart first')] }, ...rest];
}

/**
 * The parts are tried together after their surfaces are done and before any is cleaned for paint. A part that is stopped is tried
 * as it is: it would hold up the others else.
 */
function withDryFit(
  piece: Piece,
  context: PlanContext,
  made: readonly MadePart[],
  pace: WorkPace,
): { readonly chains: readonly (readonly Step[])[]; readonly dryFit: readonly Step[] } {
  const chains = made.map(({ chain }) => chain.steps);
  const open = made.filter(({ part, surfaced }) => !part.tile && surfaced !== null && 'step' in surfaced.clean);
  const going = open.filter(({ chain }) => !chain.stopped);
  const onOldPaint = open.every(({ onOldPaint: kept }) => kept);
  const step = open.length > 0 ? dryFitStep(piece, context, going.length > 0 ? undefined : open[0].chain.stopped, onOldPaint, pace) : null;
  if (!step) return { chains, dryFit: [] };
  const surfaces = going.flatMap(({ surfaced }) => idsOf(surfaced?.surface ?? null));
  const cleans = new Set(going.flatMap(({ surfaced }) => idsOf(surfaced?.clean ?? null)));
  const dryFit = { ...step, constraints: surfaces.map((id) => after(id, 'every surface is ready first')) };
  return {
    dryFit: [dryFit],
    chains: chains.map((steps) =>
      steps.map((own) =>
        cleans.has(own.id) ? { ...own, constraints: [...own.constraints, after(dryFit.id, 'the parts are tried together first')] } : own,
      ),
    ),
  };
}

function idsOf(ref: Ref | null): string[] {
  return ref ? stepsOf([ref]) : [];
}

type Fitting = {
  readonly stopped: string | undefined;
  readonly inspects: readonly Inspection[];
  readonly pace: WorkPace;
  readonly apart: Step | undefined;
};

function fitOf(piece: Piece, context: PlanContext, made: readonly MadePart[], how: Fitting): Step[] {
  if (isTogether(piece, context)) return [];
  const apart = idsOf(how.apart ? { step: how.apart.id } : null);
  const ends = (chains: readonly StepChain[], reason: string) => [
    ...apart.map((id) => after(id, reason)),
    ...chains.flatMap((chain) => chain.followed(reason)),
  ];
  const chains = made.map(({ chain }) => chain);
  const films = made
    .flatMap(({ coated }) => coated.tops)
    .map((film) => onceReached(film, 'fit', `the ${film.name} must take handling and screws`));
  const finished = made.map(({ part, chain, coated }) => ({
    part,
    ends: ends([chain], 'both parts are finished first'),
    tops: coated.tops,
  }));
  const stopped = how.stopped ?? undecidedText(piece);
  const assembly = assemblySteps(piece, context, { made: finished, stopped, pace: how.pace });
  const checks = checkStep(piece, context, {
    stopped,
    pace: how.pace,
    constraints: [...ends(chains, 'every part is finished first'), ...films, ...tasksDone(piece, context), ...assembled(piece, context)],
  });
  const [first, ...rest] = heldUntilFit([...assembly, checks], piece, context);
  // Finished layers are looked at before anything covers them.
  return [how.inspects.length > 0 ? { ...first, inspects: how.inspects } : first, ...rest];
}
