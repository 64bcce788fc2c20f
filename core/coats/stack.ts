import { type BelowFamily, type Family, type Material, plain } from '#core/facts/index';
import type { FilmState } from '#core/drying/index';
import { wantsPromoter } from './joints/bite.ts';
import { type Evidence, evidenceFinding, paintKey } from './joints/evidence.ts';
import { type Above, type Below, type Finding, isBetter, type JointAnswer, type JointVerdict, type Known } from './joints/jointTypes.ts';
import { OWN_KEY_DAYS, joint } from './joints/joint.ts';
import type { ResolvedLayer } from './products/resolve.ts';

/** One state of the film below in which the next layer may go on: a legal branch of the schedule. */
export type JointBranch = {
  readonly state: Extract<FilmState, 'fresh' | 'dry' | 'cured'> | 'bare';
  readonly scuff: boolean;
  readonly answer: JointAnswer;
  /** Reference hours the fresh film must have had, where a named pair asks for more than layer-from. */
  readonly minHours: number;
  /** Days from its last coat for which a matt primer is its own key; after them it is scuffed. null: no matter of age. */
  readonly keyLastsDays: number | null;
};

export type StackJoint = {
  readonly verdict: JointVerdict;
  readonly branches: readonly JointBranch[];
  readonly answer: JointAnswer;
  readonly below: Below;
  readonly above: Above;
};

export type UnderFilm = {
  readonly family: BelowFamily;
  readonly role: ResolvedLayer['role'];
  readonly flatted: boolean;
  readonly productId?: string;
  /** Days since its last coat, where it is laid. */
  readonly ageDays?: number;
  /** Old paint that is kept: it is in one state for good, and is never fresh. */
  readonly kept?: { readonly state: 'dry' | 'cured'; readonly resistance?: number };
};

const NO_EVIDENCE: readonly Evidence[] = [];

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
    ...coatWeight(layer),
  };
}

/** How the first coat meets what is below: mist coats first, or a heavy wet one. */
function coatWeight({ layer, weights }: ResolvedLayer): Pick<Above, 'coat'> {
  if (layer.mistFirst || weights[0] === 'mist') return { coat: 'mist' };
  return weights[0] === 'heavy' ? { coat: 'wet' } : {};
}

/**
 * Judges a layer on a film (or on the bare, keyed part) in every state the film will pass through, with and without a scuff.
 * The branches that come out best are the legal ones; the schedule picks among them by calendar.
 */
export function stackJoint(
  material: Material,
  under: UnderFilm | null,
  layer: ResolvedLayer,
  keyed: boolean,
  evidence: readonly Evidence[] = NO_EVIDENCE,
): StackJoint {
  const above = aboveOf(layer, wantsPromoter(material));
  const ask = askOf(material, under, layer, evidence);
  const base = belowOf(material, under);
  if (under === null) {
    const below = { ...base, scuffed: keyed };
    const answer = ask(below);
    return {
      verdict: answer.verdict,
      answer,
      below,
      above,
      branches: answer.verdict === 'stop' ? [] : [{ state: 'bare', scuff: false, answer, minHours: 0, keyLastsDays: null }],
    };
  }
  const states = under.kept ? [under.kept.state] : STATES;
  const all = states.flatMap((state) => branchesIn(state, base, under.flatted, ask));
  const best = all.reduce((a, b) => (isBetter(b.answer.verdict, a.answer.verdict) ? b : a));
  if (best.answer.verdict === 'stop') return stopped({ ...base, state: states[states.length - 1], scuffed: true }, above, ask);
  const legal = all.filter((branch) => branch.answer.verdict === best.answer.verdict);
  return {
    verdict: best.answer.verdict,
    branches: legal,
    answer: best.answer,
    below: { ...base, state: best.state as FilmState, scuffed: best.scuff || under.flatted },
    above,
  };
}

/** Nothing goes: the reason is the one that is left once the film has cured and is keyed, for neither waiting nor a scuff mends it. */
function stopped(below: Below, above: Above, ask: Asked): StackJoint {
  const answer = ask(below);
  return { verdict: answer.verdict, branches: [], answer, below, above };
}

/** The verdict of a layer in one state of the film below, as it is at some moment, with all that is known of its products. */
export function jointInState(
  material: Material,
  under: UnderFilm | null,
  layer: ResolvedLayer,
  evidence: readonly Evidence[],
  when: Pick<Below, 'state' | 'scuffed' | 'hours'>,
): JointAnswer {
  return askOf(material, under, layer, evidence)({ ...belowOf(material, under), ...when });
}

function belowOf(material: Material, under: UnderFilm | null): Below {
  return {
    family: under?.family ?? null,
    material,
    state: 'dry',
    role: under?.role,
    metallic: under?.role === 'metallic',
    ...(under?.ageDays === undefined ? {} : { ageDays: under.ageDays }),
    ...(under?.kept?.resistance === undefined ? {} : { resistance: under.kept.resistance }),
  };
}

/** The plan has promoter laid on what is, or may be, PP. */
function askOf(material: Material, under: UnderFilm | null, layer: ResolvedLayer, evidence: readonly Evidence[]): Asked {
  const above = aboveOf(layer, wantsPromoter(material));
  return (below) => joint(below, above, knownOf(below, under, layer, evidence));
}

/** A joint asked in one state, with all that is known of its products. */
type Asked = (below: Below) => JointAnswer;

function knownOf(below: Below, under: UnderFilm | null, layer: ResolvedLayer, evidence: readonly Evidence[]): Known {
  const own =
    evidence.length === 0
      ? null
      : evidenceFinding(evidence, {
          below: under ? paintKey(under) : `bare ${below.material}`,
          above: paintKey({ ...layer, productId: layer.product?.id }),
          material: below.material,
          state: under ? below.state : 'bare',
          scuffed: below.scuffed === true,
        });
  return { own, label: under ? labelSays(under.family, layer) : null };
}

/** What the label of the upper product says of the film below: forbidden, or named as fit. */
function labelSays(below: BelowFamily, layer: ResolvedLayer): Finding | null {
  if (layer.label?.notOver?.includes(below as Family)) return labelFinding('forbids', below, layer.name);
  if (layer.label?.over?.includes(below as Family)) return labelFinding('names', below, layer.name);
  return null;
}

/** A label that forbids a ground, or names it as fit. */
export function labelFinding(says: 'forbids' | 'names', below: BelowFamily, name: string): Finding {
  return says === 'forbids'
    ? { verdict: 'stop', rule: '1b label', because: `The label of ${name} forbids ${plain(below)} below it.` }
    : { verdict: 'sits', rule: '1b label', because: `The label of ${name} names ${plain(below)} as a ground for it.` };
}

/** The better of unscuffed and scuffed in one state; unscuffed where they are equal. */
function branchesIn(state: (typeof STATES)[number], base: Below, flatted: boolean, ask: Asked): JointBranch[] {
  const plainAnswer = judged({ ...base, state, scuffed: flatted }, ask);
  if (flatted || state === 'fresh') return [{ state, scuff: false, keyLastsDays: null, ...plainAnswer }];
  const keyed = judged({ ...base, state, scuffed: true }, ask);
  if (isBetter(keyed.answer.verdict, plainAnswer.answer.verdict)) return [{ state, scuff: true, keyLastsDays: null, ...keyed }];
  const older = judged({ ...base, state, scuffed: false, ageDays: OWN_KEY_DAYS }, ask);
  const keyLastsDays = isBetter(plainAnswer.answer.verdict, older.answer.verdict) ? OWN_KEY_DAYS : null;
  return [{ state, scuff: false, keyLastsDays, ...plainAnswer }];
}

function judged(below: Below, ask: Asked): { answer: JointAnswer; minHours: number } {
  const answer = ask(below);
  if (below.state !== 'fresh' || answer.verdict === 'stop') return { answer, minHours: 0 };
  const minHours = HOURS_TRIED.find((hours) => ask({ ...below, hours }).verdict !== 'stop') ?? 0;
  return { answer, minHours };
}
