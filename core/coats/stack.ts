import type { Family, Material } from '#core/facts/index';
import type { FilmState } from '#core/drying/index';
import { type Above, type Below, isBetter, joint, type JointAnswer, type JointVerdict } from './joint.ts';
import type { ResolvedLayer } from './resolve.ts';

/** One state of the film below in which the next layer may go on: a legal branch of the schedule. */
export type JointBranch = {
  readonly state: Extract<FilmState, 'fresh' | 'dry' | 'cured'> | 'bare';
  readonly scuff: boolean;
  readonly answer: JointAnswer;
  /** Reference hours the fresh film must have had, where a named pair asks for more than layer-from. */
  readonly minHours: number;
};

export type StackJoint = {
  readonly verdict: JointVerdict;
  readonly branches: readonly JointBranch[];
  readonly answer: JointAnswer;
  readonly below: Below;
  readonly above: Above;
};

export type UnderFilm = { readonly family: Family; readonly role: ResolvedLayer['role']; readonly flatted: boolean };

const STATES = ['fresh', 'dry', 'cured'] as const;
const HOURS_TRIED = [0, 0.1, 0.35, 0.5, 0.75, 1, 2, 12, 16, 48];

export function aboveOf(layer: ResolvedLayer, promoter: boolean): Above {
  return {
    family: layer.family,
    role: layer.role,
    by: layer.hand,
    forPlastics: layer.forPlastics,
    promoter,
    ...(layer.thinner ? { thinner: layer.thinner } : {}),
    ...(layer.layer.mistFirst ? { coat: 'mist' as const } : {}),
  };
}

/**
 * Judges a layer on a film (or on the bare, keyed part) in every state the film will pass through, with and without a scuff.
 * The branches that come out best are the legal ones; the schedule picks among them by calendar.
 */
export function stackJoint(material: Material, under: UnderFilm | null, layer: ResolvedLayer, keyed: boolean): StackJoint {
  const above = aboveOf(layer, material === 'pp');
  const base: Below = { family: under?.family ?? null, material, state: 'dry', role: under?.role, metallic: under?.role === 'metallic' };
  if (under === null) {
    const below = { ...base, scuffed: keyed };
    const answer = joint(below, above);
    return {
      verdict: answer.verdict,
      answer,
      below,
      above,
      branches: answer.verdict === 'stop' ? [] : [{ state: 'bare', scuff: false, answer, minHours: 0 }],
    };
  }
  const all = STATES.flatMap((state) => branchesIn(state, base, under.flatted, above));
  const best = all.reduce((a, b) => (isBetter(b.answer.verdict, a.answer.verdict) ? b : a));
  const legal = all.filter((branch) => branch.answer.verdict === best.answer.verdict && best.answer.verdict !== 'stop');
  return {
    verdict: best.answer.verdict,
    branches: legal,
    answer: best.answer,
    below: { ...base, state: best.state as FilmState, scuffed: best.scuff || under.flatted },
    above,
  };
}

/** The better of unscuffed and scuffed in one state; unscuffed where they are equal. */
function branchesIn(state: (typeof STATES)[number], base: Below, flatted: boolean, above: Above): JointBranch[] {
  const plainAnswer = judged({ ...base, state, scuffed: flatted }, above);
  if (flatted || state === 'fresh') return [{ state, scuff: false, ...plainAnswer }];
  const keyed = judged({ ...base, state, scuffed: true }, above);
  return isBetter(keyed.answer.verdict, plainAnswer.answer.verdict)
    ? [{ state, scuff: true, ...keyed }]
    : [{ state, scuff: false, ...plainAnswer }];
}

function judged(below: Below, above: Above): { answer: JointAnswer; minHours: number } {
  const answer = joint(below, above);
  if (below.state !== 'fresh' || answer.verdict === 'stop') return { answer, minHours: 0 };
  const minHours = HOURS_TRIED.find((hours) => joint({ ...below, hours }, above).verdict !== 'stop') ?? 0;
  return { answer, minHours };
}
