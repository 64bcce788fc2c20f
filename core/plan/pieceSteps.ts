import { resolveLayer } from '#core/coats/index';
import type { Part, Piece } from '#core/facts/index';
import type { OrderAnswer } from '#core/masking/index';
import type { Hazard } from '#core/safety/index';
import type { Gap } from '#core/schedule/index';
import { DAY, type Minute, toMinute } from '#core/units/index';
import { StepChain } from './chain.ts';
import { CoatBuilder } from './coatSteps.ts';
import type { PlannedFilm } from './films.ts';
import { after, onceReached } from './gaps.ts';
import { groupParts } from './groups.ts';
import { pieceKey } from './keys.ts';
import type { JointOfPart, PartGroup, PlanContext, Step } from './step.ts';
import { addStripSteps, type StripChoice, stripChoice } from './stripSteps.ts';

const TEARDOWN_MINUTES = 10;
const PHOTOGRAPH_MINUTES = 5;
const FIT_MINUTES_A_PART = 3;
const LATE_PARCEL_DAYS = 3;

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
  const teardown = teardownStep(piece, context);
  if (teardown) steps.push(teardown);
  const tops: PlannedFilm[] = [];
  const lastSteps: string[] = [];
  let stopped: string | undefined;
  for (const group of groupParts(piece, context.history)) {
    const { chain, coats, strip } = groupSteps(group, context);
    const first = chain.steps[0];
    if (teardown && first) gaps.push({ ...after(teardown.id, 'the piece is taken apart first'), to: first.id });
    steps.push(...chain.steps);
    gaps.push(...chain.gaps);
    joints.push(...coats.joints);
    for (const part of group.parts) {
      strips.set(part.id, strip);
      if (coats.masking) masking.set(part.id, translated(coats.masking, group.lead, part));
    }
    tops.push(...coats.tops);
    if (chain.last && 'step' in chain.last) lastSteps.push(chain.last.step);
    stopped ??= chain.stopped;
  }
  const fit = fitStep(piece, context, stopped);
  if (fit) {
    steps.push(fit);
    for (const id of lastSteps) gaps.push({ ...after(id, 'every part is finished first'), to: fit.id });
    for (const film of tops)
      gaps.push({ ...onceReached(film, 'fit', context.clocks, `the ${film.name} must take handling and screws`), to: fit.id });
  }
  return { steps, gaps: holdWindowsTogether(steps, gaps), joints, strips, masking, ...(stopped ? { stopped } : {}) };
}

function groupSteps(group: PartGroup, context: PlanContext): { chain: StepChain; coats: CoatBuilder; strip: StripChoice } {
  const chain = new StepChain(context, group);
  const { lead, piece } = group;
  const firstLayer = lead.layers[0] && resolveLayer(lead.layers[0], context.facts);
  const painted = lead.zones.some((zone) => context.history.coatsOn(piece.id, lead.id, zone.id).length > 0);
  const bare = lead.zones.every((zone) => zone.bare !== undefined);
  const strip = painted || bare ? stripChoice(lead, piece.leadExcluded, firstLayer) : addStripSteps(chain, group, firstLayer);
  const coats = new CoatBuilder(context, group, chain, strip.method === 'scuff' && lead.finish !== 'bare');
  if (!bare) coats.build();
  return { chain, coats, strip };
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

function teardownStep(piece: Piece, context: PlanContext): Step | null {
  const id = pieceKey(piece.id, 'teardown');
  const begun = context.history.events.some(
    (event) => event.kind === 'done' && event.pieceId === piece.id && event.stepKeys.some((key) => key !== id),
  );
  if (context.history.done.has(id) || begun) return null;
  const several = piece.parts.length > 1;
  const hazards: Hazard[] = [...(piece.mains ? (['mains'] as const) : []), ...(several ? (['sharp'] as const) : [])];
  return pieceStep(piece, 'teardown', {
    title: several ? 'Photograph, take apart, bag' : 'Photograph every side',
    minutes: several ? TEARDOWN_MINUTES + piece.parts.length : PHOTOGRAPH_MINUTES,
    detail: several ? `${piece.parts.length} kinds of part; number the bags` : 'before-photos',
    hazards,
    because: 'Memory fails: which screw, which side, where the colours met.',
  });
}

function fitStep(piece: Piece, context: PlanContext, stopped: string | undefined): Step | null {
  const id = pieceKey(piece.id, 'fit');
  if (context.history.done.has(id)) return null;
  const parcel = parcelWait(piece, context.now);
  return pieceStep(piece, 'fit', {
    title: piece.parts.length > 1 ? 'Fit together, photograph' : 'Check and photograph',
    minutes: FIT_MINUTES_A_PART * piece.parts.length + 3,
    detail: 'moves, closes, sits level; after-photos in the same views',
    hazards: piece.looksLike === 'pressed-toy' || piece.looksLike === 'cast-body' ? ['toy'] : piece.mains ? ['mains'] : [],
    because: 'Parts go together once the film takes screws and sliding.',
    stopped,
    ...parcel,
  });
}

/** A parcel not here yet holds reassembly; an overdue one is taken to come three days from now. */
function parcelWait(piece: Piece, now: Minute): Pick<Step, 'notBefore' | 'notBeforeWhy'> {
  const missing = piece.parcels.filter((parcel) => !parcel.arrived).map((parcel) => ({ parcel, due: toMinute(`${parcel.due}T12:00:00Z`) }));
  if (missing.length === 0) return {};
  const latest = missing.reduce((a, b) => (b.due > a.due ? b : a));
  const late = latest.due < now;
  const why = late
    ? `${latest.parcel.name} is overdue; taken to come in ${LATE_PARCEL_DAYS} days`
    : `${latest.parcel.name} is due ${latest.parcel.due}`;
  return { notBefore: late ? now + LATE_PARCEL_DAYS * DAY : latest.due, notBeforeWhy: why };
}

function pieceStep(
  piece: Piece,
  stage: 'teardown' | 'fit',
  rest: Pick<Step, 'title' | 'minutes' | 'detail' | 'hazards' | 'because'> & Partial<Pick<Step, 'stopped' | 'notBefore' | 'notBeforeWhy'>>,
): Step {
  const id = pieceKey(piece.id, stage);
  return {
    id,
    keys: [id],
    pieceId: piece.id,
    stage,
    on: piece.parts.map((part) => ({ partId: part.id, zoneIds: part.zones.map((zone) => zone.id) })),
    pegs: piece.parts.flatMap((part) => part.pegs),
    scuffMinutes: 0,
    source: 'default',
    consumables: 0,
    ...rest,
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
