import { expect, it } from 'vitest';
import { schemaIsCurrent, schemaText } from './writeSchema.ts';

it('keeps the JSON Schema of the open file current (npm run schema writes it)', () => {
  expect(schemaIsCurrent()).toBe(true);
  expect(schemaText()).toContain('"const": "enamelos-workshop"');
});
