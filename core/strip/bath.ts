import { type Part, type Piece, plain, type StripMethod } from '#core/facts/index';
import { stripQuestionOf, stripVerdict } from './verdict.ts';

export type Bath = {
  readonly together: readonly Part[];
  readonly out: readonly { readonly part: Part; readonly why: string }[];
};

/** Which parts of a piece may go into one bath of this method: a part of unknown material may not, nor any it is never for. */
export function bathOf(piece: Piece, method: StripMethod): Bath {
  const together: Part[] = [];
  const out: { part: Part; why: string }[] = [];
  for (const part of piece.parts) {
    if (part.finish === 'bare' || part.maskedInPlace) continue;
    const verdict = stripVerdict(stripQuestionOf(part, piece), method);
    if (part.material === 'unknown') out.push({ part, why: 'its material is unknown' });
    else if (verdict.verdict === 'never') out.push({ part, why: verdict.because });
    else together.push(part);
  }
  return { together, out };
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
