import { type Fastening, fasteningSchema, threadSchema } from '#core/facts/index';
import { parseNumber, parseQuantity } from '#core/units/index';
import { z } from 'zod';

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
      const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
      const size = (path: 'across' | 'deep') => {
        const read = parseQuantity(typed[path], 'length', lengthUnit);
        if (read.ok) return read.value;
        refuse(path, path === 'across' ? 'Type the post’s diameter, such as 4.2 mm.' : 'Type how deep the post is, such as 8 mm.');
        return Number.NaN;
      };
      const drilled = typed.kind === 'rivet' && (typed.across.trim() !== '' || typed.deep.trim() !== '');
      const post = drilled ? { acrossMm: size('across'), deepMm: size('deep'), thread: typed.thread } : undefined;
      if (context.issues.length > 0) return z.NEVER;
      const { kind, a, b, behind, note, heads, gap } = typed;
      const read = fasteningSchema.safeParse({
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
      });
      if (read.success) return read.data;
      for (const issue of read.error.issues) refuse(FIELD_OF[issue.path.join('.')] ?? String(issue.path[0]), issue.message);
      return z.NEVER;
    });
}

/** Where a fact's field is typed. */
const FIELD_OF: Readonly<Record<string, string>> = { 'post.acrossMm': 'across', 'post.deepMm': 'deep', gapUm: 'gap' };
export type TypedFastening = z.input<ReturnType<typeof fasteningAnswersSchema>>;
