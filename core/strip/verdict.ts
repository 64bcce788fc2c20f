import {
  type Material,
  MATERIALS,
  type OldFinish,
  type OldPaint,
  type Part,
  type Piece,
  plain,
  PRINTING_STAYS,
  type Stays,
  staysOf,
  type StripMethod,
} from '#core/facts/index';
import { capital } from '#core/units/index';
import { type Cell, COLUMN_OF, type MethodVerdict, STRIP_MATRIX } from './matrix.ts';

export type StripQuestion = {
  readonly material: Material;
  /** Absent: unknown, which is judged as such. */
  readonly finish?: OldFinish;
  readonly leadExcluded?: boolean;
  /** A face that is to stay as it is: only washed. */
  readonly stays?: Stays;
  /** A grained face: what abrades levels it. */
  readonly grained?: boolean;
  /** What the old paint is, where it was asked. */
  readonly oldPaint?: OldPaint;
  /** Other materials that go through it too: a second one in the part, or parts that stay joined to it. */
  readonly alsoMaterials?: readonly Material[];
  readonly celluloid?: boolean;
  /** Plated, and nobody has said that the plating goes. */
  readonly platingKept?: boolean;
  /** Down to bare is wanted: keeping the old paint is no way. */
  readonly toBare?: boolean;
  /** What stays on it meanwhile, masked where it is, by its name. */
  readonly staysOn?: readonly { readonly name: string; readonly question: StripQuestion }[];
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

export const VERDICT_RANK: Record<MethodVerdict, number> = { ok: 0, test: 1, care: 2, never: 3 };
const SOLVENTS: readonly StripMethod[] = ['gel', 'chlorinated', 'alcohol'];
const TAKES_PLATING: readonly StripMethod[] = ['caustic', 'alkaline'];
const LEVELS_GRAIN: readonly StripMethod[] = ['wet-sand', 'brush', 'blast'];
const SPARKS: readonly StripMethod[] = ['brush', 'blast', 'heat'];
/** All that magnesium bears: a wash, gel, and scuffing wet by hand (trade §3). */
const ON_MAGNESIUM: readonly StripMethod[] = ['gel', 'scuff'];
const RAISES_DUST_OR_FUME: readonly StripMethod[] = ['blast', 'brush', 'heat'];

/** No tape keeps these out: they creep under it, or the part goes in whole. By hand one works up to a mask. */
const GOES_UNDER_TAPE: readonly StripMethod[] = ['gel', 'chlorinated', 'caustic', 'alkaline', 'alcohol', 'blast', 'heat'];

/**
 * Verdict of one method on a part or assembly: the table of trade §3, under the vetoes of trade §15. Several materials take
 * the worst verdict of them all, and so does what stays on the part, against all that a mask does not keep out.
 */
export function stripVerdict(question: StripQuestion, method: StripMethod): StripVerdict {
  const materials = [...new Set([question.material, ...(question.alsoMaterials ?? [])])];
  const own = materials.map((material) => verdictOn({ ...question, material }, method)).reduce(worse);
  if (!GOES_UNDER_TAPE.includes(method)) return own;
  return (question.staysOn ?? []).map((staying) => beside(staying, method)).reduce(worse, own);
}

/** What a method does to a part that stays on another. */
function beside({ name, question }: NonNullable<StripQuestion['staysOn']>[number], method: StripMethod): StripVerdict {
  const verdict = stripVerdict(question, method);
  const [, why = ''] = /: (.*)\.$/.exec(verdict.because) ?? [];
  return verdict.verdict === 'never'
    ? { ...verdict, because: `${capital(plain(method))}: ${name} stays on it and no mask keeps this out; ${why}.` }
    : verdict;
}

function worse(a: StripVerdict, b: StripVerdict): StripVerdict {
  const graver = VERDICT_RANK[b.verdict] > VERDICT_RANK[a.verdict] || (b.verdict === a.verdict && b.noOverride && !a.noOverride);
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
  if (question.celluloid && (SOLVENTS.includes(method) || SPARKS.includes(method))) {
    const why = SPARKS.includes(method) ? 'a spark sets celluloid on fire' : 'solvent and celluloid burn fiercely together';
    return { verdict: 'never', why, rule: 'safety: celluloid', noOverride: true };
  }
  if (question.material === 'magnesium' && !ON_MAGNESIUM.includes(method)) {
    const why = 'magnesium takes a wash, gel and wet scuffing by hand, and nothing else';
    return { verdict: 'never', why, rule: 'safety: magnesium', noOverride: true };
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
    const worst = candidates.reduce((a, b) => (VERDICT_RANK[b.verdict] > VERDICT_RANK[a.verdict] ? b : a));
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
  if (question.stays) return { verdict: 'never', why: STAYS_BECAUSE[question.stays] };
  if (question.platingKept && TAKES_PLATING.includes(method))
    return { verdict: 'never', why: 'it takes the plating, and nobody has said that it goes' };
  if (question.grained && LEVELS_GRAIN.includes(method)) return { verdict: 'never', why: 'it levels the grain' };
  if (question.grained && method === 'scuff' && finish === 'sound') return { verdict: 'ok', why: 'with a grey pad, lightly' };
  if (method === 'scuff') {
    if (finish === 'flaking') return { verdict: 'never', why: 'flaking paint lets go, with the new paint on it' };
    if (material === 'clear') return { verdict: 'care', why: 'scratches show through clear plastic' };
    if (finish === 'unknown') return { verdict: 'test', why: 'scuff only sound paint: try a tape pull first' };
    if (material === 'magnesium') return { verdict: 'ok', why: 'wet, by hand only' };
  }
  if (material === 'galvanised') {
    const [steel, zinc] = [STRIP_MATRIX[method].steel, STRIP_MATRIX[method].zinc];
    return VERDICT_RANK[zinc.verdict] > VERDICT_RANK[steel.verdict]
      ? { verdict: zinc.verdict, why: ON_ZINC_COAT[method] ?? zinc.why }
      : steel;
  }
  return null;
}

const STAYS_BECAUSE: Record<Stays, string> = {
  clear: 'it is to stay clear, and is only washed',
  plated: 'the plating is to stay, and it is only washed',
  printed: 'the printing is to stay, and it is only washed',
};

const ON_ZINC_COAT: Partial<Record<StripMethod, string>> = { blast: 'it takes the zinc off' };

function sentence(material: Material, method: StripMethod, verdict: MethodVerdict, why?: string): string {
  const name = plain(method);
  const on = material === 'unknown' ? 'an unknown material' : plain(material);
  const opening = { ok: 'is right on', test: 'needs a test patch on', care: 'needs care on', never: 'never goes on' }[verdict];
  return `${name[0].toUpperCase()}${name.slice(1)} ${opening} ${on}${why ? `: ${why}` : ''}.`;
}

type OfPiece = Pick<Piece, 'leadExcluded' | 'limit' | 'parts'>;

/** Parts that are masked where they sit on another, and its own zones whose printing stays. */
function stayingOn(part: Part, piece: OfPiece): NonNullable<StripQuestion['staysOn']> {
  const inPlace = piece.parts.filter((own) => own.maskedInPlace && own.within === part.id && !own.gone);
  const printed = part.zones.filter(({ bare }) => bare === PRINTING_STAYS);
  return [
    ...inPlace.map((own) => ({ name: own.name, question: stripQuestionOf(own, piece) })),
    ...printed.map(({ name }) => ({ name, question: { material: part.material, stays: 'printed' as const } })),
  ];
}

/** What a part asks of the table. */
export function stripQuestionOf(part: Part, piece: OfPiece): StripQuestion {
  const staysOn = stayingOn(part, piece);
  return {
    material: part.material,
    finish: part.finish,
    leadExcluded: piece.leadExcluded,
    ...(staysOf(part) ? { stays: staysOf(part) } : {}),
    ...(part.oldPaint ? { oldPaint: part.oldPaint } : {}),
    ...(part.surface === 'grained' ? { grained: true } : {}),
    ...(part.material === 'plated-plastic' && part.staysPlated === undefined ? { platingKept: true } : {}),
    ...(part.alsoMaterial ? { alsoMaterials: [part.alsoMaterial] } : {}),
    ...(part.stops?.includes('celluloid') ? { celluloid: true } : {}),
    ...(piece.limit === 'to-bare' ? { toBare: true } : {}),
    ...(staysOn.length > 0 ? { staysOn } : {}),
  };
}

/** Whether a method may be planned on a part: not never, or never only because it ruins the part and the person knows. */
export function mayUse(part: Part, verdict: StripVerdict): boolean {
  return verdict.verdict !== 'never' || (!verdict.noOverride && part.iKnow?.includes(verdict.method) === true);
}
