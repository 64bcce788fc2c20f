import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { PLANTED, type Told } from '#core/invented/index';
import { sense } from './index.ts';

/** Absurd plans are named, each by its rule; their mended twins have nothing to be found. */

const findings = (told: Told) => sense(told, told.facts, conditionsOf(told.facts, told.now));

describe('the sceptic', () => {
  it('is tried on sixty absurd plans and more, each of a name', () => {
    expect(PLANTED.length).toBeGreaterThanOrEqual(60);
    expect(new Set(PLANTED.map(({ name }) => name)).size).toBe(PLANTED.length);
  });

  it.each(PLANTED)('names it where $name', ({ rule, absurd }) => {
    expect(findings(absurd).map((finding) => finding.rule)).toContain(rule);
  });

  it.each(PLANTED)('finds nothing in the mended twin of “$name”', ({ mended }) => {
    expect(findings(mended).map(({ rule, because }) => `${rule}: ${because}`)).toEqual([]);
  });
});
