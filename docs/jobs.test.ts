import { expect, it } from 'vitest';
import { jobsAreCurrent, jobsText } from './writeJobs.ts';

it('plans the whole jobs of docs/jobs.md as they are written there (npm run jobs writes them)', () => {
  expect(jobsAreCurrent()).toBe(true);
  expect(jobsText()).not.toMatch(/undefined|NaN|\[object|Infinity/);
});
