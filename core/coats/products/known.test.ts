import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { labelSchema, type Sheet, sheetSchema } from '#core/facts/index';
import { mixFor } from '#core/amounts/index';
import { coatsToTone, overTransparent } from '#core/colour/index';
import {
  compareShades,
  type Evidence,
  evidenceFinding,
  fitLeft,
  glossOf,
  joint,
  oddLabel,
  sheenLevers,
  sheetFields,
  sheetsFromCsv,
  sheetsToCsv,
} from '../index.ts';

const steelBelow = { family: 'alkyd-enamel' as const, material: 'steel' as const, state: 'dry' as const, scuffed: true };
const lacquer = { family: 'acrylic-lacquer' as const, role: 'colour' as const, by: 'aerosol' as const };
const held: Evidence = {
  below: 'enamel-red',
  above: 'lacquer-blue',
  material: 'steel',
  state: 'dry',
  scuffed: true,
  outcome: 'held',
  from: 'Board “one”, tile 2',
  at: '2026-12-01T19:00:00Z',
};
const asked = { below: 'enamel-red', above: 'lacquer-blue', material: 'steel' as const, state: 'dry' as const, scuffed: true };

describe('own evidence', () => {
  it('overrules the bite, and only for the same products in the same state', () => {
    expect(joint(steelBelow, lacquer).verdict).toBe('stop');
    const own = evidenceFinding([held], asked);
    expect(joint(steelBelow, lacquer, { own })).toMatchObject({ verdict: 'sits', rule: '1 own evidence', source: 'own' });
    expect(evidenceFinding([held], { ...asked, state: 'fresh' })).toBeNull();
    expect(evidenceFinding([held], { ...asked, scuffed: false })).toBeNull();
    expect(evidenceFinding([held], { ...asked, above: 'lacquer-green' })).toBeNull();
    expect(evidenceFinding([held], { ...asked, material: 'abs' })).toBeNull();
  });
  it('never lifts a key, a need or a substrate', () => {
    const own = { verdict: 'sits' as const, rule: '1 own evidence', because: 'it held' };
    expect(joint({ family: null, material: 'pp', state: 'dry' }, lacquer, { own }).rule).toBe('7 key');
    expect(joint({ family: null, material: 'aluminium', state: 'dry', scuffed: true }, { family: 'candy' }, { own }).rule).toBe('8 needs');
    expect(joint({ family: null, material: 'vinyl', state: 'dry', scuffed: true }, { family: 'alkyd-enamel' }, { own }).verdict).toBe(
      'stop',
    );
    expect(joint({ ...steelBelow, state: 'wet' }, lacquer, { own }).verdict).toBe('stop');
  });
  it('warns as well as it clears, the newest counting', () => {
    const later = { ...held, outcome: 'lifted' as const, at: '2026-12-05T19:00:00Z' };
    expect(evidenceFinding([held, later], asked)).toMatchObject({ verdict: 'stop' });
    expect(evidenceFinding([later, { ...held, at: '2026-12-09T19:00:00Z' }], asked)).toMatchObject({ verdict: 'sits' });
  });
  it('gives the tables back when it is withdrawn', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('fresh', 'dry', 'cured'),
        fc.constantFrom('held', 'softened', 'lifted'),
        fc.boolean(),
        (state, outcome, scuffed) => {
          const below = { ...steelBelow, state: state as 'dry', scuffed };
          const evidence = [{ ...held, state: state as 'dry', scuffed, outcome: outcome as 'held' }];
          const own = evidenceFinding(evidence, { ...asked, state: state as 'dry', scuffed });
          expect(joint(below, lacquer, { own }).findings[0].rule).toBe('1 own evidence');
          expect(joint(below, lacquer, { own: evidenceFinding([], asked) })).toEqual(joint(below, lacquer));
        },
      ),
      { seed: 2 },
    );
  });
  it('lets a label forbid or name a ground', () => {
    const label = { verdict: 'sits' as const, rule: '1b label', because: 'named' };
    const overEtch = { family: 'etch-primer' as const, material: 'steel' as const, state: 'fresh' as const };
    expect(joint(overEtch, { family: 'epoxy-primer' }).verdict).toBe('stop');
    expect(joint(overEtch, { family: 'epoxy-primer' }, { label })).toMatchObject({ verdict: 'sits', source: 'label' });
  });
});

const sheet = (more: Partial<Sheet> = {}): Sheet => ({
  id: 'ruff',
  name: 'Ruff enamel',
  family: 'acrylic-enamel',
  role: 'colour',
  hand: 'aerosol',
  forPlastics: false,
  isocyanate: false,
  label: {},
  source: 'default',
  ...more,
});

describe('a product sheet', () => {
  it('lets the label win line by line and says which it is', () => {
    const fields = sheetFields(sheet({ label: { coatUntilMin: 45, gloss: 30 } }));
    const of = (key: string) => fields.find((field) => field.key === key);
    expect(of('coatUntilMin')).toMatchObject({ value: 45, source: 'label' });
    expect(of('coatFromMin')).toMatchObject({ value: 10, source: 'default' });
    expect(of('gloss')).toMatchObject({ value: 30, source: 'label' });
    expect(of('tapeSafeMin')).toMatchObject({ value: 48 * 60, source: 'default' });
  });
  const bad: [string, object, string][] = [
    ['solids over 100 %', { solids: 1.2 }, 'at most 100 %'],
    ['a film of nothing', { filmUm: 0 }, 'above 0'],
    ['a window that shuts before it opens', { coatFromMin: 60, coatUntilMin: 10 }, 'closes before it opens'],
    ['a pot life shorter than the induction', { potLifeMin: 10, inductionMin: 20 }, 'pot life is over'],
    ['a range upside down', { minC: 30, maxC: 10 }, 'below the coldest'],
    ['parts out of order', { thinning: { least: 1, usual: 0.5, most: 2 } }, 'least over usual'],
    ['a window for another paint that shuts as it opens', { layerFromMin: 30, layerUntilMin: 30 }, 'shuts before it opens'],
    ['a window for a clear that shuts before it opens', { clearFromMin: 60, clearUntilMin: 30 }, 'shuts before it opens'],
    ['a recoat window of no length', { coatFromMin: 10, coatUntilMin: 10 }, 'closes before it opens'],
    ['a pot life as long as the induction', { potLifeMin: 20, inductionMin: 20 }, 'pot life is over'],
    ['a range of one degree', { minC: 20, maxC: 20 }, 'below the coldest'],
    ['hardener out of order', { hardener: { parts: 0.25, least: 0.5 } }, 'least over usual'],
    ['a reopening before the shutting', { coatUntilMin: 60, againMin: 30 }, 'reopens before'],
  ];
  it.each(bad)('refuses %s', (_name, label, message) => {
    expect(labelSchema.safeParse(label).error?.issues[0].message).toContain(message);
  });
  it.each<[string, object]>([
    ['a window of a minute for another paint', { layerFromMin: 30, layerUntilMin: 31 }],
    ['only when it opens', { layerFromMin: 30, clearFromMin: 5 }],
    ['only when it shuts', { clearUntilMin: 5, coatUntilMin: 3 }],
    ['a reopening as it shuts', { coatUntilMin: 60, againMin: 60 }],
    ['one ratio and no range', { thinning: { least: 1, usual: 1, most: 1 } }],
  ])('takes %s', (_name, label) => {
    expect(labelSchema.safeParse(label).success).toBe(true);
  });
  it('says where label and family together shut a window before it opens', () => {
    expect(oddLabel(sheet({ label: { coatUntilMin: 5 } }))).toContain('closes before it opens');
    expect(oddLabel(sheet({ label: { coatUntilMin: 5, coatFromMin: 2 } }))).toBeNull();
    expect(oddLabel(sheet({ family: 'acrylic-lacquer' }))).toBeNull();
    expect(oddLabel(sheet({ label: { minC: 40 } }))).toContain('could never be sprayed');
    expect(oddLabel(sheet({ label: { minC: 40, maxC: 50 } }))).toBeNull();
  });
  it('goes out as CSV and comes back the same', () => {
    const sheets = [
      sheet({ label: { filmUm: 14, solids: 0.15, potLifeMin: 90 }, source: 'label' }),
      sheet({ id: 'dotterel', name: 'Dotterel, clear' }),
      sheet({
        id: 'stint',
        name: 'Stint hard clear',
        family: 'urethane-2k',
        role: 'clear',
        hand: 'gun',
        form: 'tin',
        thinner: 'solvent-base',
        isocyanate: true,
        label: {
          pattern: 'mist-then-wet',
          layerUntilMin: 2880,
          clearFromMin: 30,
          clearUntilMin: 1440,
          afterwards: 'scuff',
          heatC: 120,
          thinning: { least: 0.1, usual: 0.2, most: 0.3 },
          hardener: { parts: 0.5, glossAtMost: -20 },
          over: ['solvent-base', 'waterborne-base'],
          notOver: ['nitro-lacquer'],
        },
        source: 'label',
      }),
    ];
    const back = sheetsFromCsv(sheetsToCsv(sheets), sheets, () => 'new');
    expect(back).toEqual({ ok: true, sheets });
    for (const own of sheets) expect(sheetSchema.safeParse(own).success).toBe(true);
  });
  it('keeps what the columns of a file do not hold, and forgets what they leave empty', () => {
    const known = [sheet({ label: { filmUm: 14, pattern: 'one-wet', thinning: { least: 0, usual: 1, most: 2 } }, source: 'label' })];
    const read = sheetsFromCsv('id,name,family,role,hand,filmUm\nruff,Ruff,acrylic-enamel,colour,aerosol,\n', known, () => 'new');
    expect(read).toMatchObject({ ok: true, sheets: [{ name: 'Ruff', label: { pattern: 'one-wet', thinning: { usual: 1 } } }] });
    expect(read.ok && read.sheets[0].label.filmUm).toBeUndefined();
  });
  it('carries no formula into a spreadsheet, and gives every name back as it was', () => {
    const names = ['=1+1', '@sum', '+cmd|calc', '-2+3', '-12', 'Ruff'];
    const sheets = names.map((name, index) => sheet({ id: `s${index}`, name }));
    const csv = sheetsToCsv(sheets);
    const shown = csv
      .split(/\r?\n/)
      .slice(1)
      .map((line) => line.split(',')[1].replaceAll('"', ''));
    expect(shown.map((cell) => /^[=@+]/.test(cell))).toEqual(names.map(() => false));
    expect(shown.slice(3, 5)).toEqual(["'-2+3", '-12']);
    const back = sheetsFromCsv(csv, sheets, () => 'new');
    expect(back.ok && back.sheets.map(({ name }) => name)).toEqual(names);
  });
  it('says the line of a CSV that is wrong, and takes nothing', () => {
    const csv = sheetsToCsv([sheet(), sheet({ id: 'b', label: { filmUm: 14 } })]).replace('14', '1400');
    expect(sheetsFromCsv(csv, [], () => 'new')).toMatchObject({ ok: false, problem: { at: 'line 3, filmUm' } });
    expect(sheetsFromCsv('a,b\n1,2', [], () => 'new')).toMatchObject({ ok: false });
    expect(sheetsFromCsv(csv.replace('acrylic-enamel', 'paint'), [], () => 'new')).toMatchObject({
      ok: false,
      problem: { at: 'line 2, family' },
    });
  });
});

describe('in the cup', () => {
  const label = labelSchema.parse({
    thinning: { least: 0.2, usual: 0.5, most: 1 },
    hardener: { parts: 0.25 },
    potLifeMin: 120,
    inductionMin: 15,
  });
  it('is a fifth more than the coats take, in the label’s parts', () => {
    const mix = mixFor({ needMl: 35, label, own: 'urethane-2k' });
    expect(mix.ml).toBeCloseTo(42, 9);
    expect(mix.parts.reduce((sum, part) => sum + part.ml, 0)).toBeCloseTo(42, 9);
    expect(mix.parts[0].ml).toBeCloseTo(24, 9);
    expect(mix.parts.map((part) => part.what)).toEqual(['paint', 'hardener', 'reducer']);
    expect(mix).toMatchObject({ cups: 2, inductionMin: 15, potLifeMin: 120 });
  });
  it('warns of a thinner from another range', () => {
    expect(mixFor({ needMl: 5, label: {}, own: 'water-acrylic', thinner: 'acrylic-lacquer' }).warnings[0]).toContain('separate or spit');
  });
});

describe('looks', () => {
  const silver = { l: 78, a: 0, b: 0 };
  const red = { l: 38, a: 55, b: 35 };
  it('darken a step with each transparent coat', () => {
    for (let coats = 1; coats < 6; coats++)
      expect(overTransparent(silver, red, coats + 1).l).toBeLessThan(overTransparent(silver, red, coats).l);
    const target = overTransparent(silver, red, 3);
    expect(coatsToTone(silver, { lab: red, share: 0.5, transparent: true }, target, 2)).toMatchObject({ first: 3, past: 4 });
    expect(coatsToTone({ l: 10, a: 0, b: 0 }, { lab: red, share: 0.5, transparent: true }, { l: 90, a: 0, b: 0 }, 2)).toMatchObject({
      first: null,
      past: null,
    });
  });
  it('rank grounds by what suits the colour, then by coats', () => {
    const rows = compareShades({ l: 82, a: 2, b: 80 }, 0.6, 5);
    expect(rows[0]).toMatchObject({ name: 'white', suits: true });
    expect(rows.at(-1)?.suits).toBe(false);
    expect(rows[0].ml).toBeCloseTo(rows[0].coats * 5, 9);
  });
  it('name the levers between the gloss there is and the one wanted', () => {
    expect(glossOf('acrylic-enamel', 'colour')).toEqual({ gloss: 80, source: 'default' });
    expect(glossOf('acrylic-enamel', 'colour', { gloss: 20 }).source).toBe('label');
    expect(sheenLevers(80, 'gloss', { role: 'colour' })).toEqual([]);
    expect(sheenLevers(80, 'satin', { role: 'colour' }).join(' ')).toContain('flattener');
    expect(sheenLevers(30, 'gloss', { role: 'clear' }).join(' ')).toContain('polish');
  });
  it('say where a fit binds', () => {
    expect(fitLeft(100, [60, 50])).toMatchObject({ leftUm: -10, verdict: 'binds' });
    expect(fitLeft(130, [60, 55])).toMatchObject({ verdict: 'tight' });
    expect(fitLeft(300, [60, 60])).toMatchObject({ leftUm: 180, verdict: 'fits' });
  });
});
