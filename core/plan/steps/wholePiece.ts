import { reserveMl } from '#core/amounts/index';
import { resolveLayer } from '#core/coats/index';
import type { Fastening, Piece, WorkStage } from '#core/facts/index';
import type { Hazard } from '#core/safety/index';
import { lastAwaited, postPlan, unreachableLater } from '#core/survey/index';
import type { PlanContext } from '../films/index.ts';
import { pieceKey } from './keys.ts';
import type { Step } from './step.ts';

/** Steps that are done to a piece as a whole: taken apart, tried dry, fitted together. */

const TEARDOWN_MINUTES = 10;
const PHOTOGRAPH_MINUTES = 5;
const POST_MINUTES = 6;
const DRY_FIT_MINUTES = 5;
const FIT_MINUTES_A_PART = 3;

/** Photographs, teardown and opened posts, in order; empty once work on the parts has begun. */
export function teardownSteps(piece: Piece, context: PlanContext): Step[] {
  const own = new Set([pieceKey(piece.id, 'teardown'), ...posts(piece).map((post) => postKey(piece, post))]);
  const begun = context.history.events.some(
    (event) => event.kind === 'done' && event.pieceId === piece.id && event.stepKeys.some((key) => !own.has(key)),
  );
  if (begun) return [];
  return [takeApart(piece), ...posts(piece).flatMap((post) => openPost(piece, post))].filter((step) => !context.history.done.has(step.id));
}

function takeApart(piece: Piece): Step {
  const several = piece.parts.length > 1;
  const hazards: Hazard[] = [
    ...(piece.mains ? (['mains'] as const) : []),
    ...(several ? (['sharp'] as const) : []),
    ...(piece.parts.some((part) => part.stops?.includes('spring')) ? (['spring'] as const) : []),
  ];
  const bags = piece.bags?.length ?? 0;
  return wholeStep(piece, 'teardown', '-', {
    title: several ? 'Photograph, take apart, bag' : 'Photograph every side',
    minutes: several ? TEARDOWN_MINUTES + Math.max(piece.parts.length, bags) : PHOTOGRAPH_MINUTES,
    detail: several
      ? `${piece.parts.length} kinds of part; ${bags > 0 ? `bags 1 to ${bags} are planned` : 'number the bags'}`
      : 'before-photos',
    hazards,
    because: 'Memory fails: which screw, which side, where the colours met.',
    checks: several ? ['Every part bagged and named', 'What comes off late would show the old colour: plugs, tabs, badges are off'] : [],
  });
}

function posts(piece: Piece): Fastening[] {
  return (piece.fastenings ?? []).filter((fastening) => fastening.kind === 'rivet' && fastening.post !== undefined);
}

function postKey(piece: Piece, fastening: Fastening): string {
  return pieceKey(piece.id, 'teardown', fastening.id);
}

/** A riveted post is drilled and tapped; one too thin for any thread is left as it is. */
function openPost(piece: Piece, fastening: Fastening): Step[] {
  const plan = fastening.post && postPlan(fastening.post);
  if (!plan?.thread) return [];
  return [
    wholeStep(piece, 'teardown', fastening.id, {
      title: `Drill and tap ${fastening.count} ${fastening.count === 1 ? 'post' : 'posts'}, ${plan.thread}`,
      minutes: POST_MINUTES * fastening.count,
      detail: plan.steps.join('; '),
      hazards: ['sharp'],
      because: plan.because,
    }),
  ];
}

/** Bare shells put together before any paint; only where the survey says how they are joined. */
export function dryFitStep(piece: Piece, context: PlanContext, stopped: string | undefined): Step | null {
  const key = pieceKey(piece.id, 'dry-fit');
  if (context.history.done.has(key) || (piece.fastenings ?? []).length === 0) return null;
  return wholeStep(piece, 'dry-fit', '-', {
    title: 'Dry fit of the bare parts',
    minutes: DRY_FIT_MINUTES + piece.parts.length,
    detail: 'screws in by hand, no force',
    hazards: [],
    because: 'A trial fit after paint chips an edge; a leftover flange keeps the halves open.',
    ...(stopped ? { stopped } : {}),
    checks: ['The bare shells close with no gap', 'Every screw finds its post', 'Sliding and turning parts move with room for the film'],
  });
}

/** Reassembly, once every part is finished and every parcel is here. */
export function fitStep(piece: Piece, context: PlanContext, stopped: string | undefined): Step | null {
  if (context.history.done.has(pieceKey(piece.id, 'fit'))) return null;
  const late = lastAwaited(piece.parcels, context.now);
  const behind = unreachableLater(piece);
  const toy = piece.looksLike === 'pressed-toy' || piece.looksLike === 'cast-body';
  return wholeStep(piece, 'fit', '-', {
    title: piece.parts.length > 1 ? 'Fit together, photograph' : 'Check and photograph',
    minutes: FIT_MINUTES_A_PART * piece.parts.length + 3,
    detail: ['moves, closes, sits level; after-photos in the same views', ...behind.map(({ text }) => text)].join('; '),
    hazards: [...(toy ? (['toy'] as const) : []), ...(piece.mains ? (['mains'] as const) : [])],
    because: 'Parts go together once the film takes screws and sliding.',
    checks: [
      ...(piece.parts.some((part) => part.lit) ? ['Lit at its working voltage in the dark: no light leaks'] : []),
      'It rolls or turns freely',
      'Doors and lids close',
      'It sits level',
      'No bare metal inside screw holes',
      ...touchUpJars(piece, context),
    ],
    ...(stopped ? { stopped } : {}),
    ...(late ? { notBefore: late.at, notBeforeWhy: late.why } : {}),
  });
}

/** The jars of paint kept for later chips, by name. */
function touchUpJars(piece: Piece, { facts, workshop }: PlanContext): string[] {
  const colours = new Map(
    piece.parts.flatMap((part) =>
      part.layers.flatMap((layer) => {
        const { name, role, mix } = resolveLayer(layer, facts);
        const ml = reserveMl(role, workshop);
        return ml > 0 ? [[mix, `${name} (${ml} mL)`] as const] : [];
      }),
    ),
  );
  return colours.size === 0 ? [] : [`Touch-up jars labelled and dated: ${[...colours.values()].join(', ')}`];
}

function wholeStep(
  piece: Piece,
  stage: WorkStage,
  subject: string,
  rest: Pick<Step, 'title' | 'minutes' | 'detail' | 'hazards' | 'because'> &
    Partial<Pick<Step, 'stopped' | 'notBefore' | 'notBeforeWhy' | 'checks'>>,
): Step {
  const id = pieceKey(piece.id, stage, subject);
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
