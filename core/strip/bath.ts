import { type Part, type Piece, plain, type StripMethod } from '#core/facts/index';
import { dwellOn } from './practice.ts';
import { stripQuestionOf, stripVerdict } from './verdict.ts';

export type Bath = {
  readonly together: readonly Part[];
  readonly out: readonly { readonly part: Part; readonly why: string }[];
  /** First look, usual and longest for all of them together; null where none goes in. */
  readonly dwell: { readonly least: number; readonly usual: number; readonly most: number } | null;
};

/**
 * Which parts of a piece may share one bath of this method, and how long: the shortest dwell of them all. Plated, printed and
 * unknown parts never go in with others (trade §3).
 */
export function bathOf(piece: Piece, method: StripMethod): Bath {
  const together: Part[] = [];
  const out: { part: Part; why: string }[] = [];
  for (const part of piece.parts) {
    if (part.finish === 'bare' || part.maskedInPlace || part.gone) continue;
    const why = keptOut(part, piece, method);
    if (why) out.push({ part, why });
    else together.push(part);
  }
  const dwells = together.map((part) => dwellOn(method, part.material));
  const shortest = dwells.length === 0 ? null : dwells.reduce((a, b) => (b.most < a.most ? b : a));
  return { together, out, dwell: shortest };
}

function keptOut(part: Part, piece: Piece, method: StripMethod): string | null {
  if (part.material === 'unknown' || part.alsoMaterial === 'unknown') return 'its material is unknown';
  if (part.material === 'plated-plastic' || part.staysPlated) return 'it is plated';
  if (part.printed) return 'it is printed';
  const verdict = stripVerdict(stripQuestionOf(part, piece), method);
  return verdict.verdict === 'never' ? verdict.because : null;
}

/** Parts that stay joined, as one question: an assembly takes the worst verdict of all it is made of. */
export function assemblyVerdict(parts: readonly Part[], piece: Piece, method: StripMethod) {
  const questions = parts.map((part) => stripQuestionOf(part, piece));
  const verdicts = questions.map((question) => stripVerdict(question, method));
  const worst = stripVerdict(
    { ...questions[0], alsoMaterials: questions.flatMap((question) => [question.material, ...(question.alsoMaterials ?? [])]) },
    method,
  );
  const never = verdicts.find((verdict) => verdict.verdict === 'never');
  const named = parts.find((_, index) => verdicts[index] === never);
  return never && named ? { ...never, because: `${named.name} (${plain(named.material)}) is in it: ${never.because}` } : worst;
}
