import { resolveLayer } from '#core/coats/index';
import type { Part, Piece } from '#core/facts/index';
import type { OrderAnswer } from '#core/masking/index';
import type { Gap } from '#core/schedule/index';
import type { PartGroup, PlanContext, PlannedFilm, Ref } from '../films/index.ts';
import { type JointOfPart, type StripChoice, stripChoice } from '../verdicts/index.ts';
import { StepChain } from './chain.ts';
import { CoatBuilder } from './coatSteps.ts';
import { after, onceReached } from './gaps.ts';
import { groupParts } from './groups.ts';
import { addPrepSteps } from './prepSteps.ts';
import type { Step } from './step.ts';
import { addStripSteps } from './stripSteps.ts';
import { dryFitStep, fitStep, teardownSteps } from './wholePiece.ts';
import { lastAwaited } from '#core/survey/index';

export type PieceSteps = {
  readonly steps: readonly Step[];
  readonly gaps: readonly Gap[];
  readonly joints: readonly JointOfPart[];
  readonly strips: ReadonlyMap<string, StripChoice>;
  /** Masking order by the id of each part it was worked out for. */
  readonly masking: ReadonlyMap<string, OrderAnswer>;
  readonly stopped?: string;
};

/** All steps still to do on a piece, bottom to top, with the gaps between them. */
export function pieceSteps(piece: Piece, context: PlanContext): PieceSteps {
  if (piece.finished) return { steps: [], gaps: [], joints: [], strips: new Map(), masking: new Map() };
  const steps: Step[] = [];
  const gaps: Gap[] = [];
  const joints: JointOfPart[] = [];
  const strips = new Map<string, StripChoice>();
  const masking = new Map<string, OrderAnswer>();
  const teardown = piece.board ? [] : teardownSteps(piece, context);
  for (const [index, step] of teardown.entries()) {
    if (index > 0) gaps.push({ ...after(teardown[index - 1].id, 'one thing after the other'), to: step.id });
    steps.push(step);
  }
  const apart = teardown.at(-1);
  const tops: PlannedFilm[] = [];
  const lastSteps: string[] = [];
  const surfaces: SurfaceSteps[] = [];
  let stopped: string | undefined;
  for (const group of groupParts(piece, context.history)) {
    const { chain, coats, strip, surface } = groupSteps(group, context);
    if (piece.board) addJudging(group, chain, coats.tops, context);
    const first = chain.steps[0];
    if (apart && first) gaps.push({ ...after(apart.id, 'the piece is taken apart first'), to: first.id });
    steps.push(...chain.steps);
    gaps.push(...chain.gaps);
    joints.push(...coats.joints);
    if (surface) surfaces.push(surface);
    for (const part of group.parts) {
      strips.set(part.id, strip);
      if (coats.masking) masking.set(part.id, translated(coats.masking, group.lead, part));
    }
    tops.push(...coats.tops);
    if (chain.last && 'step' in chain.last) lastSteps.push(chain.last.step);
    stopped ??= chain.stopped;
  }
  addDryFit(piece, context, surfaces, steps, gaps);
  const fit = piece.board ? null : fitStep(piece, context, stopped);
  if (fit) {
    steps.push(fit);
    for (const id of lastSteps) gaps.push({ ...after(id, 'every part is finished first'), to: fit.id });
    for (const film of tops)
      gaps.push({ ...onceReached(film, 'fit', context.clocks, `the ${film.name} must take handling and screws`), to: fit.id });
  }
  return { steps, gaps: holdWindowsTogether(steps, gaps), joints, strips, masking, ...(stopped ? { stopped } : {}) };
}

/** The tiles of a board are judged dry, after dry-down; what they show is evidence from then on. */
function addJudging(group: PartGroup, chain: StepChain, tops: readonly PlannedFilm[], context: PlanContext): void {
  chain.add(
    {
      stage: 'look',
      subject: 'tile',
      title: group.parts.length > 1 ? 'Judge the tiles, dry' : `Judge ${group.lead.name.toLowerCase()}, dry`,
      minutes: 2 * group.parts.length,
      detail: 'indoors and out, beside the reference; a tape pull on a scratch shows what holds',
      because: 'What a tile shows overrules the tables for the same products in the same state.',
      asks: { kind: 'tile', layerIds: group.lead.layers.map((layer) => layer.id) },
    },
    tops.map((film) => onceReached(film, 'fit', context.clocks, `the ${film.name} must be dry to be judged`)),
  );
}

type GroupSteps = {
  readonly chain: StepChain;
  readonly coats: CoatBuilder;
  readonly strip: StripChoice;
  /** The last step of the bare surface and the cleaning after it, where they are still to do. */
  readonly surface: SurfaceSteps | null;
};

type SurfaceSteps = { readonly surface: string | null; readonly clean: string; readonly stopped: string | undefined };

function groupSteps(group: PartGroup, context: PlanContext): GroupSteps {
  const chain = new StepChain(context, group);
  const { lead, piece } = group;
  const late = lastAwaited(
    piece.parcels.filter((parcel) => group.parts.some((part) => part.id === parcel.holds?.partId)),
    context.now,
  );
  if (late) chain.notBefore(late.at, late.why);
  const firstLayer = lead.layers[0] && resolveLayer(lead.layers[0], context.facts);
  const painted = lead.zones.some((zone) => context.history.coatsOn(piece.id, lead.id, zone.id).length > 0);
  const bare = lead.zones.every((zone) => zone.bare !== undefined);
  if (painted || bare) {
    const strip = stripChoice(lead, piece, firstLayer, context.history);
    return { chain, strip, surface: null, coats: coatsOf(group, context, chain, strip, bare) };
  }
  const stripped = addStripSteps(chain, group, context, firstLayer);
  let surfaceEnd: Ref | null = null;
  addPrepSteps(
    chain,
    group,
    context,
    stripped,
    (last) => {
      surfaceEnd = last;
    },
    firstLayer,
  );
  const clean = chain.last && 'step' in chain.last ? chain.last.step : null;
  const surface = clean ? { clean, surface: stepOf(surfaceEnd), stopped: chain.stopped } : null;
  return { chain, strip: stripped.choice, surface, coats: coatsOf(group, context, chain, stripped.choice, false) };
}

function stepOf(ref: Ref | null): string | null {
  return ref && 'step' in ref ? ref.step : null;
}

function coatsOf(group: PartGroup, context: PlanContext, chain: StepChain, strip: StripChoice, bare: boolean): CoatBuilder {
  const coats = new CoatBuilder(context, group, chain, strip.method === 'scuff' && group.lead.finish !== 'bare');
  if (!bare) coats.build();
  return coats;
}

/**
 * The bare parts are tried together after their surfaces are done and before any is cleaned for paint. A part that is stopped is
 * tried as it is: it would hold up the others else.
 */
function addDryFit(piece: Piece, context: PlanContext, surfaces: readonly SurfaceSteps[], steps: Step[], gaps: Gap[]): void {
  const going = surfaces.filter((own) => !own.stopped);
  const dryFit = surfaces.length > 0 ? dryFitStep(piece, context, going.length > 0 ? undefined : surfaces[0].stopped) : null;
  if (!dryFit) return;
  steps.push(dryFit);
  for (const { surface, clean } of going) {
    if (surface) gaps.push({ ...after(surface, 'every part is bare and smooth first'), to: dryFit.id });
    gaps.push({ ...after(dryFit.id, 'the bare parts are tried together first'), to: clean });
  }
}

/** The same order for another part of the group, in its own layer ids. */
function translated(answer: OrderAnswer, lead: Part, part: Part): OrderAnswer {
  const own = (id: string) => part.layers[lead.layers.findIndex((layer) => layer.id === id)]?.id ?? id;
  return {
    ...answer,
    order: answer.order.map(own),
    ...(answer.runnerUp ? { runnerUp: { ...answer.runnerUp, order: answer.runnerUp.order.map(own) } } : {}),
  };
}

/** Steps that lie between the two ends of a window without a later branch belong to its group, or the group could never be placed. */
function holdWindowsTogether(steps: readonly Step[], gaps: readonly Gap[]): Gap[] {
  const place = new Map(steps.map((step, index) => [step.id, index]));
  const covered = new Set<number>();
  for (const gap of gaps) {
    const to = place.get(gap.to) ?? 0;
    const from = Math.min(to, ...gap.together.map((id) => place.get(id) ?? to));
    for (let index = from + 1; index < to; index++) covered.add(index);
  }
  return gaps.map((gap) => {
    const at = place.get(gap.to) ?? -1;
    const inside = covered.has(at) || gap.from.some((id) => covered.has(place.get(id) ?? -1));
    return inside && gap.from.length === 1 && place.get(gap.from[0]) === at - 1 ? { ...gap, together: gap.from } : gap;
  });
}
