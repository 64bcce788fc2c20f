import type { Fastening, Piece } from '#core/facts/index';
import { isPlanned, type Hazard } from '#core/safety/index';
import { postPlan } from '#core/survey/index';
import { counted, listed } from '#core/units/index';
import type { PlanContext } from '../../films/index.ts';
import { after } from '../constraints.ts';
import { pieceKey } from '../keys.ts';
import { pieceWide } from '../pieceWide.ts';
import type { Step } from '../step.ts';
import type { WorkPace } from '../workPace.ts';

/** How a piece comes apart: photographs, posts drilled before what they hold is opened, every part bagged. */

const PHOTOGRAPH_MINUTES = 5;
const OPEN_MINUTES = 10;
const BAG_MINUTES = 1;
const POST_MINUTES = 6;
const MEND_MINUTES = 8;

/** Photographs, opened posts and teardown, in order; empty once work on the parts has begun. */
export function teardownSteps(piece: Piece, broken: readonly Fastening[], context: PlanContext, pace: WorkPace): Step[] {
  const own = new Set([
    pieceKey(piece.id, 'teardown'),
    photographsKey(piece),
    ...posts(piece).map((post) => postKey(piece, post)),
    ...broken.map((fastening) => brokenKey(piece, fastening)),
  ]);
  const begun = context.history.ofPiece(piece.id).some((event) => event.kind === 'done' && event.stepKeys.some((key) => !own.has(key)));
  const opened = posts(piece).flatMap((post) => openPost(piece, post, pace));
  const opening = begun
    ? []
    : [...(opened.length > 0 ? [photographs(piece, pace)] : []), ...opened, takeApart(piece, pace, opened.length > 0)];
  const steps = [...opening, ...broken.map((fastening) => mendBroken(piece, fastening))].filter(
    (step) => !context.history.done.has(step.id),
  );
  return steps.map((step, index) =>
    index === 0 ? step : { ...step, constraints: [after(steps[index - 1].id, 'one thing after the other')] },
  );
}

function photographsKey(piece: Piece): string {
  return pieceKey(piece.id, 'teardown', 'photographs');
}

/** Pictures and measures come before the drill: what it takes away is not seen again (trade §2). */
function photographs(piece: Piece, pace: WorkPace): Step {
  return pieceWide(piece, 'teardown', 'photographs', {
    acts: ['record'],
    title: 'Photograph every side, measure',
    minutes: pace('teardown', null) * PHOTOGRAPH_MINUTES,
    detail: 'every side, the posts from both ends, where colours meet',
    hazards: [],
    because: 'Before anything is drilled, opened, washed off or stripped it is recorded: afterwards it is not there to be seen.',
  });
}

function takeApart(piece: Piece, pace: WorkPace, recorded: boolean): Step {
  const parts = piece.parts.filter((part) => isPlanned(part) || part.maskedInPlace);
  const several = parts.length > 1 || recorded;
  const hazards: Hazard[] = [
    ...(piece.mains ? (['mains'] as const) : []),
    ...(several ? (['sharp'] as const) : []),
    ...(piece.parts.some((part) => part.stops?.includes('spring')) ? (['spring'] as const) : []),
  ];
  const bags = piece.bags?.length ?? 0;
  const copies = parts.reduce((sum, part) => sum + part.copies, 0);
  const fastenings = (piece.fastenings ?? []).map(({ id }) => id);
  return pieceWide(piece, 'teardown', '-', {
    acts: [...(recorded ? [] : (['record'] as const)), ...(several ? (['open', 'handle'] as const) : [])],
    title: several ? (recorded ? 'Take apart, bag' : 'Photograph, take apart, bag') : 'Photograph every side',
    minutes: pace('teardown', null) * ((recorded ? 0 : PHOTOGRAPH_MINUTES) + (several ? OPEN_MINUTES + BAG_MINUTES * copies : 0)),
    detail: several
      ? `${counted(parts.length, 'kind of part', 'kinds of part')}; ${bags > 0 ? bagsText(bags) : 'number the bags'}`
      : 'before-photos',
    hazards,
    because: 'Memory fails: which screw, which side, where the colours met.',
    checks: several ? ['Every part bagged and named', 'What comes off late would show the old colour: plugs, tabs, badges are off'] : [],
    ...(fastenings.length > 0 ? { asks: { kind: 'parted' as const, fasteningIds: fastenings } } : {}),
  });
}

function bagsText(bags: number): string {
  return bags === 1 ? 'bag 1 is planned' : `bags 1 to ${bags} are planned`;
}

function posts(piece: Piece): Fastening[] {
  return (piece.fastenings ?? []).filter((fastening) => fastening.kind === 'rivet' && fastening.post !== undefined);
}

function postKey(piece: Piece, fastening: Fastening): string {
  return pieceKey(piece.id, 'teardown', fastening.id);
}

/** A riveted post is drilled out before what it holds can come apart; one too thin for any thread is left as it is. */
function openPost(piece: Piece, fastening: Fastening, pace: WorkPace): Step[] {
  const plan = fastening.post && postPlan(fastening.post);
  if (!plan?.thread) return [];
  return [
    pieceWide(piece, 'teardown', fastening.id, {
      acts: ['drill'],
      title: `Drill and tap ${counted(fastening.count, 'post')}, ${plan.thread}`,
      minutes: pace('teardown', null) * POST_MINUTES * fastening.count,
      detail: plan.steps.join('; '),
      hazards: ['sharp'],
      because: plan.because,
    }),
  ];
}

function brokenKey(piece: Piece, fastening: Fastening): string {
  return pieceKey(piece.id, 'teardown', `broken-${fastening.id}`);
}

/** What broke at teardown is mended now, while it is remembered. */
function mendBroken(piece: Piece, fastening: Fastening): Step {
  const names = listed(
    piece.parts.filter((part) => part.id === fastening.a || part.id === fastening.b).map((part) => part.name.toLowerCase()),
  );
  return pieceWide(piece, 'teardown', `broken-${fastening.id}`, {
    acts: ['glue-on'],
    title: `Mend what broke${names ? `: ${names}` : ''}`,
    minutes: MEND_MINUTES,
    detail: 'pin and glue it, or set a new fastening; order what cannot be mended under Finish and fit',
    hazards: ['sharp'],
    because: 'It broke at teardown: mended now it is remembered, at the fit it is in the way.',
    supplies: [{ kind: 'filler', spec: 'glue', unit: 'mL', amount: 2 }],
  });
}

/** Where clips and tight joints rub, paint is through at the first fitting: padded now, while it can be seen where. */
function rubPoints({ fastenings = [] }: Piece): string[] {
  const rubs = fastenings.some(({ kind, gapUm }) => kind === 'clip' || (gapUm !== undefined && gapUm < RUBS_UNDER_UM));
  return rubs ? ['mark where clips and tight faces rub, and pad them with tape or felt'] : [];
}

/** Room that two painted faces take up, µm. */
const RUBS_UNDER_UM = 150;

/** Bare shells put together before any paint; only where the survey says how they are joined. */
export function dryFitStep(
  piece: Piece,
  context: PlanContext,
  stopped: string | undefined,
  onOldPaint: boolean,
  pace: WorkPace,
): Step | null {
  if (context.history.done.has(pieceKey(piece.id, 'dry-fit')) || (piece.fastenings ?? []).length === 0) return null;
  return pieceWide(piece, 'dry-fit', '-', {
    title: onOldPaint ? 'Dry fit of the parts, on the old paint' : 'Dry fit of the bare parts',
    minutes: pace('dry-fit', null) * (5 + piece.parts.length),
    detail: ['screws in by hand, no force', ...rubPoints(piece)].join('; '),
    hazards: [],
    because: 'A trial fit after paint chips an edge; a leftover flange keeps the halves open.',
    ...(stopped ? { stopped } : {}),
    checks: ['The shells close with no gap', 'Every screw finds its post', 'Sliding and turning parts move with room for the film'],
  });
}
