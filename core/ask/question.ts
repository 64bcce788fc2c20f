import type { z } from 'zod';

/** One question of the scripting contract: the schema of its input and how it is answered. */
export type Question = { readonly schema: z.ZodType; readonly answer: (input: never) => object };

export function question<S extends z.ZodType>(schema: S, answer: (input: z.infer<S>) => object): Question {
  return { schema, answer: answer as (input: never) => object };
}
