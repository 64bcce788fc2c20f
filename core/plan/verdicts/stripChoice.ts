import { keptPaint, type ResolvedLayer, stackJoint, type UnderFilm } from '#core/coats/index';
import { type LooksLike, type Part, type Piece, plain, type StripMethod, type Workshop } from '#core/facts/index';
import { bathLitres, fitsTub, workSize } from '#core/survey/index';
import {
  afterApplication,
  learnedDwell,
  mayUse,
  type StripAdvice,
  type StripScope,
  stripMethods,
  type StripProgress,
  stripQuestionOf,
  stripVerdict,
  type StripVerdict,
} from '#core/strip/index';
import type { History, PlanContext } from '../films/index.ts';

/** Old paint of a part that is kept and scuffed, as what lies below its first coat. */
export function keptUnder(part: Part): UnderFilm {
  return keptPaint(part);
}

/** How the old paint of a part goes, or stays. */
export type StripChoice = {
  readonly method: StripMethod | null;
  readonly verdict: StripVerdict | null;
  /** The person's own choice, not the tool's. */
  readonly chosen: boolean;
  readonly because: string;
  /** Set when the chosen method is one that is never used here. */
  readonly refused?: string;
  /** The method that made no progress or did harm, where another follows it. */
  readonly instead?: StripMethod;
  /** Methods that have failed here: they are in no list and in no comparison any more. */
  readonly failed: readonly StripMethod[];
};

export type StripPast = Pick<History, 'applications' | 'patches'>;

const NO_PAST: StripPast = { applications: () => [], patches: () => [] };

/**
 * The method that is planned: what a test patch or an application has ruled out is out; then the person's choice unless it is
 * never used here (or "I know" where it only ruins the part); then what a patch has shown to work; then the advised one.
 */
export function stripChoice(
  part: Part,
  piece: Piece,
  firstLayer?: ResolvedLayer,
  past: StripPast = NO_PAST,
  workshop?: Workshop,
): StripChoice {
  if (part.finish === 'bare')
    return { method: null, verdict: null, chosen: false, because: 'The surface is bare: there is nothing to strip.', failed: [] };
  const question = stripQuestionOf(part, piece);
  const ruledOut = methodsRuledOut(part, piece, past);
  const out = [...ruledOut.keys()];
  if (part.stripMethod !== undefined && !ruledOut.has(part.stripMethod)) {
    const verdict = stripVerdict(question, part.stripMethod);
    const refused = mayUse(part, verdict) ? {} : { refused: verdict.because };
    return { method: part.stripMethod, verdict, chosen: true, because: verdict.because, ...refused, failed: out };
  }
  const proven = provenByPatch(piece, part, past, out);
  if (proven) {
    const verdict = stripVerdict(question, proven);
    return {
      method: proven,
      verdict,
      chosen: false,
      because: `The test patch settled it: ${plain(proven)} took the paint off.`,
      failed: out,
    };
  }
  const advice = adviceFor(part, piece, firstLayer, out, workshop);
  const last = out.at(-1);
  const because = last ? `${ruledOut.get(last) ?? ''} ${advice.because}` : advice.because;
  const method = advice.advised ?? (last ? keptInstead(part, advice.methods, out) : null);
  return {
    method,
    verdict: advice.methods.find((row) => row.method === method) ?? null,
    chosen: false,
    because,
    ...(method ? {} : { refused: because }),
    ...(last ? { instead: last } : {}),
    failed: out,
  };
}

/** Where all that is safe has failed, what holds is feathered, scuffed and kept: a failure never loses the dates (trade §3). */
function keptInstead(part: Part, methods: readonly StripVerdict[], out: readonly StripMethod[]): StripMethod | null {
  const scuff = methods.find(({ method }) => method === 'scuff');
  return scuff && !out.includes('scuff') && mayUse(part, scuff) ? 'scuff' : null;
}

const PLAIN_LOOKS: readonly LooksLike[] = ['sheet-case', 'large-panel', 'tank', 'bracket-set', 'something-else'];

/** What the choice of a method knows of a part beside its material: size, tub, and whether paper and brush reach all of it. */
export function stripScope(part: Part, piece: Pick<Piece, 'scale' | 'looksLike'>, workshop?: Workshop): StripScope {
  const { tub } = workshop ?? {};
  const relief = part.features?.some(({ kind }) => kind === 'raised-detail' || kind === 'vents' || kind === 'inside-corners');
  const size = workSize(part);
  return {
    size,
    bathLitres: bathLitres(part),
    plain: piece.scale === undefined && PLAIN_LOOKS.includes(piece.looksLike) && size.factor === 1 && !relief,
    ...(tub ? { fitsTub: fitsTub(part, tub) } : {}),
    ...(part.oldCoats === undefined ? {} : { oldCoats: part.oldCoats }),
    ...(workshop ? { stays: workshop } : {}),
  };
}

/** Keeping sound paint is advised only where the first coat sits on it. */
function adviceFor(
  part: Part,
  piece: Piece,
  firstLayer: ResolvedLayer | undefined,
  out: readonly StripMethod[],
  workshop: Workshop | undefined,
): StripAdvice {
  const scope = stripScope(part, piece, workshop);
  const question = stripQuestionOf(part, piece);
  const advice = stripMethods(question, out, scope);
  const lifts = firstLayer !== undefined && stackJoint(part.material, keptUnder(part), firstLayer, true).verdict === 'stop';
  if (advice.advised !== 'scuff' || !lifts) return advice;
  const bare = stripMethods({ ...question, toBare: true }, out, scope);
  return { ...bare, because: `The old paint is sound, but ${firstLayer.name} would lift it: off it comes.` };
}

/** Methods that own evidence has ruled out on a part, each with why. */
function methodsRuledOut(part: Part, piece: Piece, past: StripPast): Map<StripMethod, string> {
  const out = new Map<StripMethod, string>();
  for (const patch of past.patches(piece.id, part.id)) {
    const name = plain(patch.method);
    if (patch.outcome === 'harmed') out.set(patch.method, `The test patch with ${name} harmed the part.`);
    else if (patch.outcome === 'little') out.set(patch.method, `The test patch with ${name} took hardly anything off.`);
    else out.delete(patch.method);
  }
  const applications = past.applications(piece.id, part.id);
  for (const method of new Set(applications.map((own) => own.method))) {
    const progress = progressOf(part, piece, method, past);
    if (progress?.next === 'change') out.set(method, `${plain(method)}: ${progress.because}`);
  }
  return out;
}

const OUTCOME_RANK = { clean: 0, most: 1, little: 2, harmed: 3 };

/** The method whose test patch came out best; the quicker of two as good. */
function provenByPatch(piece: Piece, part: Part, past: StripPast, out: readonly StripMethod[]): StripMethod | null {
  const good = past
    .patches(piece.id, part.id)
    .filter((patch) => (patch.outcome === 'clean' || patch.outcome === 'most') && !out.includes(patch.method))
    .filter((patch) => mayUse(part, stripVerdict(stripQuestionOf(part, piece), patch.method)))
    .sort((a, b) => OUTCOME_RANK[a.outcome] - OUTCOME_RANK[b.outcome] || a.dwellMinutes - b.dwellMinutes);
  return good[0]?.method ?? null;
}

/** What the applications of one method so far ask for; null before the first. */
export function progressOf(part: Part, piece: Piece, method: StripMethod, past: StripPast): StripProgress | null {
  return afterApplication(
    past.applications(piece.id, part.id).filter((own) => own.method === method),
    part.material,
  );
}

/** Factor on the usual dwell of a method on this material, from every application in the log. */
export function dwellFactor(method: StripMethod, { material }: Part, { history }: Pick<PlanContext, 'history'>): number {
  return learnedDwell([...history.strippedFrom(material)], method, material);
}
