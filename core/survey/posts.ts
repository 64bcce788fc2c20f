import type { Thread } from '#core/facts/index';

/** Riveted posts drilled out and tapped (trade §14). Sizes in mm. */
export const POST_THREADS: Record<Thread, { readonly majorMm: number; readonly tapDrillMm: number; readonly drillName: string }> = {
  'M1.6': { majorMm: 1.6, tapDrillMm: 1.25, drillName: '1.25 mm' },
  '1-72': { majorMm: 1.85, tapDrillMm: 1.51, drillName: '1.51 mm (no. 53)' },
  M2: { majorMm: 2, tapDrillMm: 1.6, drillName: '1.6 mm' },
  '2-56': { majorMm: 2.18, tapDrillMm: 1.78, drillName: '1.78 mm (no. 50)' },
  'M2.5': { majorMm: 2.5, tapDrillMm: 2.05, drillName: '2.05 mm' },
};
const LARGEST_FIRST = (Object.keys(POST_THREADS) as Thread[]).sort((a, b) => POST_THREADS[b].majorMm - POST_THREADS[a].majorMm);
const USUAL: Thread = 'M2';

/** Least wall left round a thread, and what stays undrilled at the foot of the post. */
export const LEAST_WALL_MM = 0.8;
const FOOT_MM = 1;
/** A bit this far from the tap drill still does. */
const DRILL_TOLERANCE_MM = 0.1;
const PILOT_MM = 1;

export type PostPlan = {
  readonly thread: Thread | null;
  readonly wallMm: number;
  readonly depthMm: number;
  readonly steps: readonly string[];
  readonly because: string;
};

/** Wall left round a thread: (post − major) ÷ 2, mm. */
export function wallLeft(acrossMm: number, thread: Thread): number {
  return (acrossMm - POST_THREADS[thread].majorMm) / 2;
}

/**
 * How a riveted post is opened and tapped: the wanted thread, or a smaller one where the wall would be under 0.8 mm.
 * Thread null where no thread leaves enough wall: glue or a pin then.
 */
export function postPlan(post: { readonly acrossMm: number; readonly deepMm: number; readonly thread?: Thread }): PostPlan {
  const wanted = post.thread ?? USUAL;
  const depthMm = Math.max(0, post.deepMm - FOOT_MM);
  const fits = (thread: Thread) => wallLeft(post.acrossMm, thread) >= LEAST_WALL_MM - 1e-9;
  const thread = fits(wanted)
    ? wanted
    : (LARGEST_FIRST.find((smaller) => POST_THREADS[smaller].majorMm < POST_THREADS[wanted].majorMm && fits(smaller)) ?? null);
  const wallMm = wallLeft(post.acrossMm, thread ?? LARGEST_FIRST[LARGEST_FIRST.length - 1]);
  if (thread === null || depthMm <= 0) {
    const why =
      depthMm <= 0
        ? `a post ${post.deepMm} mm deep leaves nothing above the 1 mm at its foot`
        : `a ${post.acrossMm} mm post keeps only ${wallMm.toFixed(2)} mm of wall round even the smallest thread; ${LEAST_WALL_MM} mm is the least`;
    return {
      thread: null,
      wallMm,
      depthMm,
      steps: [],
      because: `Too thin to tap: ${why}. Leave it riveted, or close it with a glued pin.`,
    };
  }
  const size = POST_THREADS[thread];
  const smaller = thread === wanted ? '' : `, smaller than ${wanted}, which would leave ${wallLeft(post.acrossMm, wanted).toFixed(2)} mm`;
  return {
    thread,
    wallMm,
    depthMm,
    because: `${thread} leaves ${wallMm.toFixed(2)} mm of wall round the thread${smaller}; ${LEAST_WALL_MM} mm is the least.`,
    steps: [
      'Clamp the piece; eye protection',
      `Pilot ${PILOT_MM} mm in the middle of the rivet`,
      `Take the flange with a larger bit, no deeper than the flange`,
      `Drill ${size.drillName} (within ${DRILL_TOLERANCE_MM} mm does), tape flag at ${depthMm.toFixed(1)} mm`,
      `Tap ${thread}, a little at a time with oil; back out and clear the chips`,
      'Deburr the seat so that the shells close',
    ],
  };
}
