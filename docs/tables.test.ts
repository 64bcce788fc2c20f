import { expect, it } from 'vitest';
import { tablesAreCurrent, tablesText } from './writeTables.ts';

it('keeps the tables of the model current (npm run tables writes them)', () => {
  expect(tablesAreCurrent()).toBe(true);
  expect(tablesText()).toMatch(/\| alkyd enamel +\| 2 \(aerosol 3\) \| 2 +\| 3 /);
});
