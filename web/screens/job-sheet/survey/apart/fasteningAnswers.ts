import { type Fastening, fasteningSchema, type Piece, threadSchema } from '#core/facts/index';
import { parseNumber, parseQuantity, typedNumber, typedQuantity } from '#core/units/index';
import { z } from 'zod';
import { readFact, refuse } from '../../../../views/typed/readFact.ts';

export const HEADS = ['repaint', 'replace', 'leave'] as const;

/** A fastening as it is typed, read into the fact; sizes in the person's own unit, each refusal at its field. */
export function fasteningAnswersSchema(lengthUnit: string, id: string) {
  return z
    .object({
      kind: fasteningSchema.shape.kind,
      count: z.string(),
      a: z.string(),
      b: z.string(),
      behind: z.string(),
      note: z.string(),
      heads: z.enum(HEADS).optional(),
      across: z.string(),
      deep: z.string(),
      thread: threadSchema,
      gap: z.string(),
    })
    .transform((typed, context): Fastening => {
      const size = (path: 'across' | 'deep') => {
        const read = parseQuantity(typed[path], 'length', lengthUnit);
        if (read.ok) return read.value;
        refuse(context, path, path === 'across' ? 'Type the post’s diameter, such as 4.2 mm.' : 'Type how deep the post is, such as 8 mm.');
        return Number.NaN;
      };
      const drilled = typed.kind === 'rivet' && (typed.across.trim() !== '' || typed.deep.trim() !== '');
      const post = drilled ? { acrossMm: size('across'), deepMm: size('deep'), thread: typed.thread } : undefined;
      const { kind, a, b, behind, note, heads, gap } = typed;
      return readFact(
        fasteningSchema,
        {
          id,
          kind,
          a,
          count: Number(typed.count),
          note,
          ...(b && b !== a ? { b } : {}),
          ...(behind && behind !== a && behind !== b ? { behind } : {}),
          ...(heads ? { heads } : {}),
          ...(post ? { post } : {}),
          ...(gap.trim() ? { gapUm: parseNumber(gap) ?? Number.NaN } : {}),
        },
        context,
        FIELD_OF,
      );
    });
}

/** Where a fact's field is typed. */
const FIELD_OF: Readonly<Record<string, string>> = { 'post.acrossMm': 'across', 'post.deepMm': 'deep', gapUm: 'gap' };
export type TypedFastening = z.input<ReturnType<typeof fasteningAnswersSchema>>;

/** A fastening that was noted as it was typed; a new one as it usually is. */
export function typedFastening(was: Fastening | undefined, { parts }: Pick<Piece, 'parts'>, lengthUnit: 'mm' | 'in'): TypedFastening {
  return {
    kind: was?.kind ?? 'screw',
    count: String(was?.count ?? 2),
    a: was?.a ?? parts[0].id,
    b: was ? (was.b ?? '') : (parts[1]?.id ?? ''),
    behind: was?.behind ?? '',
    note: was?.note ?? '',
    heads: was?.heads,
    across: was?.post ? typedQuantity(was.post.acrossMm, lengthUnit) : '',
    deep: was?.post ? typedQuantity(was.post.deepMm, lengthUnit) : '',
    thread: was?.post?.thread ?? 'M2',
    gap: was?.gapUm === undefined ? '' : typedNumber(was.gapUm),
  };
}
