import { type Dimension, parseQuantity } from '#core/units/index';
import { z } from 'zod';

/** Reading what was typed into a fact: whatever is wrong is said at the field it was typed in, all of it at once. */

/** The fact, or what its own schema refuses, each at its field. @param fieldOf where a fact’s field is typed, where its name is another */
export function readFact<T>(
  schema: z.ZodType<T>,
  value: unknown,
  context: z.RefinementCtx,
  fieldOf: Readonly<Record<string, string>> = {},
): T {
  const read = schema.safeParse(value);
  if (read.success && context.issues.length === 0) return read.data;
  const told = new Set(context.issues.map(({ path }) => String(path?.[0])));
  for (const { path, message } of read.error?.issues ?? []) {
    const field = fieldOf[path.join('.')] ?? fieldOf[String(path[0])] ?? String(path[0]);
    if (!told.has(field)) refuse(context, field, message);
    told.add(field);
  }
  return z.NEVER;
}

/** A measure, refused at its field where it is none; NaN then, which no schema takes. */
export function readQuantity(text: string, dimension: Dimension, unit: string, context: z.RefinementCtx, field: string): number {
  const read = parseQuantity(text, dimension, unit);
  if (read.ok) return read.value;
  refuse(context, field, read.mend);
  return Number.NaN;
}

export function refuse(context: z.RefinementCtx, field: string, message: string): void {
  context.addIssue({ code: 'custom', path: [field], message });
}
