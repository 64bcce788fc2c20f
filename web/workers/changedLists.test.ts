import { EMPTY_FACTS, type Facts } from '#core/facts/index';
import { expect, it } from 'vitest';
import { changedLists } from './changedLists.ts';

it('hands over the lists that changed, all of them at first, and what was put together again is the same facts', () => {
  const first: Facts = { ...EMPTY_FACTS };
  const second: Facts = { ...first, events: [], cans: [] };
  expect(changedLists(first, null)).toBe(first);
  expect(Object.keys(changedLists(second, first)).sort()).toEqual(['cans', 'events']);
  expect(changedLists(second, { ...second })).toEqual({});
  const held = { ...first, ...changedLists(second, first) };
  for (const name of Object.keys(second) as (keyof Facts)[]) expect(held[name]).toBe(second[name]);
});
