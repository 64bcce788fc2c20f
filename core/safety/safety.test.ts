import { describe, expect, it } from 'vitest';
import { FAMILIES, type Family, type SurveyStop } from '#core/facts/index';
import { CAUTIONS, cautionsFor, coatHazards, DEFER, type Hazard, isSolventBorne, SURVEY_STOP_RULES, unplannedBecause } from './index.ts';

/** Family, hand, what the person must be told beside the coat. */
const TOLD: readonly (readonly [Family, string, readonly Hazard[]])[] = [
  ['acrylic-lacquer', 'aerosol', ['solvent']],
  ['nitro-lacquer', 'gun', ['solvent', 'rags']],
  ['alkyd-enamel', 'brush', ['solvent', 'rags']],
  ['urethane-2k', 'gun', ['isocyanate', 'solvent']],
  ['urethane-2k', 'aerosol', ['isocyanate', 'solvent']],
  ['epoxy-primer', 'gun', ['epoxy', 'solvent']],
  ['etch-primer', 'aerosol', ['acid', 'solvent']],
  ['water-acrylic', 'airbrush', ['airbrush-water']],
  ['waterborne-base', 'gun', ['airbrush-water']],
  ['waterborne-base', 'aerosol', ['solvent']],
  ['latex', 'brush', []],
  ['dye', 'aerosol', ['solvent']],
];

describe('beside a coat', () => {
  it.each(TOLD)('%s by %s', (family, hand, hazards) => expect(coatHazards(family, hand, false).sort()).toEqual([...hazards].sort()));
  it('warns of isocyanates wherever the label names them', () => {
    expect(coatHazards('acrylic-lacquer', 'aerosol', true)).toContain('isocyanate');
    for (const hand of ['aerosol', 'gun', 'airbrush', 'brush']) expect(coatHazards('urethane-2k', hand, false)).toContain('isocyanate');
  });
  it('says something for every family but a brushed water paint', () => {
    const silent = FAMILIES.filter((family) => coatHazards(family, 'brush', false).length === 0);
    expect(silent).toEqual(['water-acrylic', 'waterborne-base', 'waterborne-sealer', 'latex']);
    for (const family of silent) expect(isSolventBorne(family)).toBe(false);
  });
});

describe('cautions', () => {
  it('are said once each, in the words of the table', () => {
    const said = cautionsFor(['solvent', 'dust', 'solvent']);
    expect(said.map(({ hazard }) => hazard)).toEqual(['solvent', 'dust']);
    expect(said[0].text).toBe(CAUTIONS.solvent);
    expect(cautionsFor([])).toEqual([]);
  });
  it('name what saves the person', () => {
    const words: readonly (readonly [Hazard, readonly string[]])[] = [
      ['isocyanate', ['supplied air', 'no skin contact']],
      ['caustic', ['face shield', 'never water into lye', '20 min']],
      ['lead', ['no dry sanding', 'laboratory']],
      ['mains', ['unplugged', 'licensed technician']],
      ['toy', ['not for small children']],
      ['solvent', ['no flame', 'beard']],
      ['celluloid', ['no heat', 'no solvent']],
      ['magnesium', ['no dry sanding', 'no acid', 'no caustic']],
      ['waste', ['hazardous-waste point']],
    ];
    for (const [hazard, parts] of words)
      for (const part of parts) expect([hazard, CAUTIONS[hazard]]).toEqual([hazard, expect.stringContaining(part)]);
    expect(DEFER).toContain('licensed professional');
  });
});

describe('what the survey may meet', () => {
  const leaves: readonly SurveyStop[] = ['asbestos', 'radium', 'mercury', 'battery', 'picture-tube'];
  const refuses: readonly SurveyStop[] = ['food', 'gas', 'pressure', 'helmet', 'child-seat'];
  it.each([...leaves, ...refuses])('%s leaves the part out of the plan', (stop) => {
    expect(unplannedBecause([stop])).toContain(SURVEY_STOP_RULES[stop].name);
    expect(unplannedBecause(['spring', stop])).toContain(SURVEY_STOP_RULES[stop].name);
  });
  it('celluloid and springs are planned, with care', () => {
    expect(unplannedBecause(['celluloid', 'spring'])).toBeNull();
    expect(unplannedBecause([])).toBeNull();
    expect(unplannedBecause(undefined)).toBeNull();
  });
  it('refuses what holds a life, and leaves to others what only they may touch', () => {
    for (const stop of refuses) expect(SURVEY_STOP_RULES[stop].effect).toBe('refused');
    for (const stop of leaves) expect(SURVEY_STOP_RULES[stop].effect).toBe('left');
    for (const rule of Object.values(SURVEY_STOP_RULES)) expect(rule.sign.length).toBeGreaterThan(8);
  });
});
