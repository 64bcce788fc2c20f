import { FAMILIES, type Family, type Role } from '#core/facts/index';
import { layer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { resolveLayer, stackJoint } from '../index.ts';

/** A joint that stops says what is left to be mended once the film below has cured and is keyed. */

const on = (below: Family, role: Role, above: Family, aboveRole: Role) =>
  stackJoint('abs', { family: below, role, flatted: false }, resolveLayer(layer('own', above, aboveRole, 2), shelf), true);

describe('a stop in every state of the film below', () => {
  it.each<[string, Family, Role, Family, Role, RegExp]>([
    ['a nitro lacquer over acrylic lacquer', 'acrylic-lacquer', 'colour', 'nitro-lacquer', 'colour', /bite 4 .*cured/],
    ['a lacquer over household paint', 'latex', 'colour', 'acrylic-lacquer', 'colour', /bite 4 .*cured/],
    ['a water clear over candy', 'candy', 'colour', 'water-acrylic', 'clear', /uncleared/],
    ['another family over heat paint', 'high-temperature', 'colour', 'acrylic-lacquer', 'colour', /its own range/],
  ])('%s names its own reason', (_name, below, role, above, aboveRole, said) => {
    const joint = on(below, role, above, aboveRole);
    expect(joint.answer.because).toMatch(said);
    expect(joint.answer.because).not.toMatch(/waits until|wants a scuff/);
  });
  it('never tells to wait or scuff where that would not help, whatever lies on whatever', () => {
    let stops = 0;
    for (const below of FAMILIES)
      for (const above of FAMILIES) {
        const joint = on(below, 'colour', above, 'colour');
        if (joint.verdict !== 'stop') continue;
        stops++;
        expect([below, above, joint.branches]).toEqual([below, above, []]);
        expect(joint.answer.because).not.toMatch(/waits until it is dry|wants a scuff before/);
      }
    expect(stops).toBeGreaterThan(20);
  });
});
