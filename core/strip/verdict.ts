import { type Material, MATERIALS, type OldFinish, type Part, type Piece, plain, STRIP_METHODS, type StripMethod } from '#core/facts/index';
import { type Cell, COLUMN_OF, type MethodVerdict, STRIP_MATRIX } from './matrix.ts';

export type StripQuestion = {
  readonly material: Material;
  /** Absent: unknown, which is judged as such. */
  readonly finish?: OldFinish;
  readonly leadExcluded?: boolean;
  readonly printed?: boolean;
  readonly staysClear?: boolean;
  /** Other materials that go through it too: a second one in the part, or parts that stay joined to it. */
  readonly alsoMaterials?: readonly Material[];
  readonly celluloid?: boolean;
  /** Down to bare is wanted: keeping the old paint is no way. */
  readonly toBare?: boolean;
};

export type StripVerdict = {
  readonly method: StripMethod;
  readonly verdict: MethodVerdict;
  readonly testPatch: 'required' | 'offered' | 'no';
  readonly because: string;
  readonly rule: string;
  readonly source: 'default';
  /** A never that hurts a person: no "I know" lifts it. */
  readonly noOverride: boolean;
};

const RANK: Record<MethodVerdict, number> = { ok: 0, test: 1, care: 2, never: 3 };
const SOLVENTS: readonly StripMethod[] = ['gel', 'chlorinated', 'alcohol'];
const RAISES_DUST_OR_FUME: readonly StripMethod[] = ['blast', 'brush', 'heat'];

/**
 * Verdict of one method on a part or assembly: the table of BRIEF §3, under the vetoes of §15. Several materials take
 * the worst verdict of them all.
 */
export function stripVerdict(question: StripQuestion, method: StripMethod): StripVerdict {
  const materials = [...new Set([question.material, ...(question.alsoMaterials ?? [])])];
  return materials.map((material) => verdictOn({ ...question, material }, method)).reduce(worse);
}

function worse(a: StripVerdict, b: StripVerdict): StripVerdict {
  const graver = RANK[b.verdict] > RANK[a.verdict] || (b.verdict === a.verdict && b.noOverride && !a.noOverride);
  return graver ? b : a;
}

function verdictOn(question: StripQuestion, method: StripMethod): StripVerdict {
  const finish = question.finish ?? 'unknown';
  const judged = vetoed(question, method, finish) ?? { ...cellFor(question, method, finish), rule: 'strip table', noOverride: false };
  const removing = finish !== 'bare' && method !== 'scuff';
  const uncertain = judged.verdict === 'care' || judged.verdict === 'test' || finish === 'unknown';
  const nothingToTry = judged.verdict === 'never' || finish === 'bare';
  const testPatch = nothingToTry ? 'no' : uncertain ? 'required' : removing ? 'offered' : 'no';
  return {
    method,
    verdict: judged.verdict,
    testPatch,
    rule: judged.rule,
    source: 'default',
    noOverride: judged.noOverride,
    because: sentence(question.material, method, judged.verdict, judged.why),
  };
}

type Judged = Cell & { readonly rule: string; readonly noOverride: boolean };

function vetoed(question: StripQuestion, method: StripMethod, finish: OldFinish): Judged | null {
  if (method === 'heat') return { verdict: 'never', why: 'heat on old paint makes poisonous fume', rule: 'safety: heat', noOverride: true };
  const mayBeReactive = ['aluminium', 'magnesium', 'galvanised', 'unknown'].includes(question.material);
  if (method === 'caustic' && mayBeReactive) {
    const why =
      question.material === 'unknown'
        ? 'the metal may be aluminium, which caustic attacks violently: a magnet tells'
        : 'caustic reacts violently with this metal';
    return { verdict: 'never', why, rule: 'safety: caustic', noOverride: true };
  }
  if (question.celluloid && SOLVENTS.includes(method)) {
    return { verdict: 'never', why: 'solvent and celluloid burn fiercely together', rule: 'safety: celluloid', noOverride: true };
  }
  if (RAISES_DUST_OR_FUME.includes(method) && question.leadExcluded !== true && finish !== 'bare') {
    return { verdict: 'never', why: 'lead in the old paint is not excluded, and this raises dust', rule: 'safety: lead', noOverride: true };
  }
  return null;
}

/** The cell for a material; an unknown one takes the worst of all candidates. */
function cellFor(question: StripQuestion, method: StripMethod, finish: OldFinish): Cell {
  if (question.material === 'unknown') {
    const candidates = MATERIALS.filter((material) => material !== 'unknown').map((material) =>
      cellFor({ ...question, material }, method, finish),
    );
    const worst = candidates.reduce((a, b) => (RANK[b.verdict] > RANK[a.verdict] ? b : a));
    return {
      verdict: worst.verdict,
      why: worst.verdict === 'ok' ? worst.why : `the material is unknown and it might: ${worst.why ?? 'harm it'}`,
    };
  }
  const base = STRIP_MATRIX[method][COLUMN_OF[question.material]];
  return special(question, method, finish) ?? base;
}

function special(question: StripQuestion, method: StripMethod, finish: OldFinish): Cell | null {
  const { material } = question;
  if (method === 'scuff') {
    if (finish === 'flaking') return { verdict: 'never', why: 'flaking paint lets go, with the new paint on it' };
    if (question.staysClear) return { verdict: 'never', why: 'it clouds glazing that is to stay clear' };
    if (material === 'clear') return { verdict: 'care', why: 'scratches show through clear plastic' };
    if (finish === 'unknown') return { verdict: 'test', why: 'scuff only sound paint: try a tape pull first' };
  }
  if (material === 'tinplate' && question.printed && ['gel', 'chlorinated', 'caustic'].includes(method)) {
    return { verdict: 'never', why: 'the printing is to stay, and this lifts it' };
  }
  if (material === 'galvanised' && method === 'blast') return { verdict: 'care', why: 'it takes the zinc off' };
  if (material === 'magnesium' && (method === 'blast' || method === 'brush'))
    return { verdict: 'care', why: 'magnesium dust burns: outdoors, a little at a time, no spark' };
  return null;
}

function sentence(material: Material, method: StripMethod, verdict: MethodVerdict, why?: string): string {
  const name = plain(method);
  const on = material === 'unknown' ? 'an unknown material' : plain(material);
  const opening = { ok: 'is right on', test: 'needs a test patch on', care: 'needs care on', never: 'never goes on' }[verdict];
  return `${name[0].toUpperCase()}${name.slice(1)} ${opening} ${on}${why ? `: ${why}` : ''}.`;
}

export type StripAdvice = { readonly methods: readonly StripVerdict[]; readonly advised: StripMethod | null; readonly because: string };

/**
 * All methods with their verdicts and the advised one; never a chlorinated remover, nothing where the surface is bare.
 * `without`: methods that own evidence has ruled out on this part.
 */
export function stripMethods(question: StripQuestion, without: readonly StripMethod[] = []): StripAdvice {
  const methods = STRIP_METHODS.map((method) => stripVerdict(question, method));
  if (question.finish === 'bare') return { methods, advised: null, because: 'The surface is bare: there is nothing to strip.' };
  const keep = methods.find((row) => row.method === 'scuff');
  if (question.finish === 'sound' && keep?.verdict === 'ok' && !question.toBare && !without.includes('scuff')) {
    return { methods, advised: 'scuff', because: 'The paint is sound: scuffed, it is a fine base, and the cheapest.' };
  }
  const best = methods
    .filter((row) => row.verdict !== 'never' && PREFERRED.includes(row.method) && !without.includes(row.method))
    .sort((a, b) => RANK[a.verdict] - RANK[b.verdict] || PREFERRED.indexOf(a.method) - PREFERRED.indexOf(b.method))[0];
  if (!best) return { methods, advised: null, because: NO_METHOD[question.material === 'unknown' ? 'unknown' : 'known'] };
  return { methods, advised: best.method, because: `${best.because} It is the mildest that removes paint here.` };
}

const NO_METHOD = {
  unknown: 'No method is safe on this. Find out the material first: a magnet, a hidden scratch.',
  known: 'No method that is safe here is left. Scuff and keep what holds, or leave the part as it is.',
};

/** Mildest that works, first: gel needs no bath and bites every old paint. Never one the trade no longer suggests. */
const PREFERRED: readonly StripMethod[] = ['gel', 'alcohol', 'alkaline', 'caustic', 'wet-sand', 'brush', 'blast'];

/** What a part asks of the table. */
export function stripQuestionOf(part: Part, piece: Pick<Piece, 'leadExcluded' | 'limit'>): StripQuestion {
  return {
    material: part.material,
    finish: part.finish,
    leadExcluded: piece.leadExcluded,
    printed: part.printed,
    staysClear: part.staysClear,
    ...(part.alsoMaterial ? { alsoMaterials: [part.alsoMaterial] } : {}),
    ...(part.stops?.includes('celluloid') ? { celluloid: true } : {}),
    ...(piece.limit === 'to-bare' ? { toBare: true } : {}),
  };
}

/** Whether a method may be planned on a part: not never, or never only because it ruins the part and the person knows. */
export function mayUse(part: Part, verdict: StripVerdict): boolean {
  return verdict.verdict !== 'never' || (!verdict.noOverride && part.iKnow?.includes(verdict.method) === true);
}
