import { readFileSync, writeFileSync } from 'node:fs';
import { workshopFileSchema } from '#core/facts/index';
import { z } from 'zod';

/** The JSON Schema of the open file, made from the same schemas as everything else: `npm run schema`. */
export function schemaText(): string {
  return `${JSON.stringify(z.toJSONSchema(workshopFileSchema, { io: 'input', unrepresentable: 'any' }), null, 1)}\n`;
}

const target = new URL('./workshop-file.schema.json', import.meta.url);

/** Whether the committed schema is the one the code would write. */
export function schemaIsCurrent(): boolean {
  return readFileSync(target, 'utf8') === schemaText();
}

if (process.argv[1]?.endsWith('writeSchema.ts')) writeFileSync(target, schemaText());
