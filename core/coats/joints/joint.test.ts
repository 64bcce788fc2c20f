import { describe, expect, it } from 'vitest';
import { FAMILIES, MATERIALS } from '#core/facts/index';
import { type Above, type Below, isBetter, joint, remediesFor, wantsPromoter } from '../index.ts';

type Case = readonly [why: string, below: Partial<Below>, above: Above, verdict: 'sits' | 'care' | 'stop', rule?: string];

const film = (family: Below['family'], state: Below['state'], more: Partial<Below> = {}): Partial<Below> => ({ family, state, ...more });
const bare = (material: Below['material'], scuffed = true): Partial<Below> => ({ family: null, material, scuffed });

const CASES: readonly Case[] = [
  ['lacquer on itself in minutes', film('acrylic-lacquer', 'fresh'), { family: 'acrylic-lacquer' }, 'sits', '2 same family'],
  ['lacquer on wet lacquer', film('acrylic-lacquer', 'wet'), { family: 'acrylic-lacquer' }, 'stop', '2 window'],
  ['lacquer fuses with cured lacquer', film('acrylic-lacquer', 'cured'), { family: 'acrylic-lacquer' }, 'sits'],
  ['old lacquer crazes', film('acrylic-lacquer', 'cured', { ageDays: 90 }), { family: 'acrylic-lacquer' }, 'care', '3 lacquer group'],
  ['enamel in its hour', film('alkyd-enamel', 'fresh'), { family: 'alkyd-enamel' }, 'sits'],
  ['enamel in its shut window', film('alkyd-enamel', 'shut'), { family: 'alkyd-enamel' }, 'stop', '2 window'],
  ['anything in a shut window', film('acrylic-enamel', 'shut'), { family: 'water-acrylic' }, 'stop', '2 window'],
  ['enamel again after two days', film('alkyd-enamel', 'dry'), { family: 'alkyd-enamel' }, 'sits'],
  ['2K past its window unscuffed', film('urethane-2k', 'dry'), { family: 'urethane-2k' }, 'stop'],
  ['2K past its window scuffed', film('urethane-2k', 'dry', { scuffed: true }), { family: 'urethane-2k' }, 'sits'],
  ['candy past a day', film('candy', 'dry', { scuffed: true }), { family: 'candy' }, 'stop'],
  [
    '1K clear on solvent base in window',
    film('solvent-base', 'fresh'),
    { family: 'acrylic-lacquer', role: 'clear' },
    'sits',
    '3 named pair',
  ],
  ['2K clear on solvent base too soon', film('solvent-base', 'fresh', { hours: 0.2 }), { family: 'urethane-2k', role: 'clear' }, 'stop'],
  [
    'clear on scuffed metallic past its window',
    film('solvent-base', 'dry', { metallic: true, scuffed: true }),
    { family: 'urethane-2k', role: 'clear' },
    'stop',
  ],
  ['2K clear on waterborne base', film('waterborne-base', 'fresh'), { family: 'urethane-2k', role: 'clear' }, 'sits'],
  ['1K clear on waterborne base', film('waterborne-base', 'fresh', { hours: 3 }), { family: 'acrylic-lacquer', role: 'clear' }, 'care'],
  [
    '1K clear on waterborne base after an hour',
    film('waterborne-base', 'fresh', { hours: 1 }),
    { family: 'acrylic-lacquer', role: 'clear' },
    'stop',
  ],
  [
    'enamel colour on dry primer',
    film('lacquer-primer', 'dry', { role: 'fine-primer' }),
    { family: 'alkyd-enamel', by: 'aerosol', role: 'colour' },
    'sits',
  ],
  ['enamel colour on fresh primer', film('lacquer-primer', 'fresh'), { family: 'alkyd-enamel', role: 'colour' }, 'stop', '4 fresh film'],
  ['lacquer colour on fresh primer', film('lacquer-primer', 'fresh'), { family: 'acrylic-lacquer', role: 'colour' }, 'sits'],
  ['2K on epoxy in window', film('epoxy-primer', 'fresh', { hours: 1 }), { family: 'urethane-2k' }, 'sits'],
  ['lacquer on epoxy at 3 h', film('epoxy-primer', 'fresh', { hours: 3 }), { family: 'acrylic-lacquer' }, 'stop'],
  ['lacquer on epoxy at 13 h', film('epoxy-primer', 'fresh', { hours: 13 }), { family: 'acrylic-lacquer' }, 'sits'],
  ['etch on epoxy', film('epoxy-primer', 'fresh'), { family: 'etch-primer' }, 'stop'],
  ['lacquer on etch in window', film('etch-primer', 'fresh'), { family: 'acrylic-lacquer' }, 'sits'],
  ['epoxy on etch', film('etch-primer', 'fresh'), { family: 'epoxy-primer' }, 'stop'],
  ['waterborne base on etch', film('etch-primer', 'fresh'), { family: 'waterborne-base' }, 'care'],
  [
    'water acrylic on scuffed cured enamel',
    film('alkyd-enamel', 'cured', { scuffed: true }),
    { family: 'water-acrylic' },
    'sits',
    '3 named pair',
  ],
  ['water acrylic on glossy cured enamel', film('alkyd-enamel', 'cured'), { family: 'water-acrylic' }, 'stop', '7 key'],
  ['dye over paint', film('acrylic-lacquer', 'cured', { scuffed: true }), { family: 'dye' }, 'stop'],
  ['heat paint over primer', film('lacquer-primer', 'dry'), { family: 'high-temperature' }, 'stop'],
  ['candy over its metallic', film('solvent-base', 'fresh', { metallic: true }), { family: 'candy' }, 'sits'],
  ['candy over plain colour', film('acrylic-lacquer', 'dry', { scuffed: true }), { family: 'candy' }, 'stop', '8 needs'],
  ['candy over polished metal', bare('aluminium'), { family: 'candy' }, 'care', '8 needs'],
  ['1K clear over candy', film('candy', 'fresh'), { family: 'acrylic-lacquer', role: 'clear' }, 'sits'],
  ['2K clear over candy', film('candy', 'fresh'), { family: 'urethane-2k', role: 'clear' }, 'care'],
  ['acrylic over nitro', film('nitro-lacquer', 'dry', { scuffed: true }), { family: 'acrylic-lacquer' }, 'care'],
  ['lacquer over cured enamel', film('alkyd-enamel', 'cured', { scuffed: true }), { family: 'acrylic-lacquer' }, 'care', '5 bite'],
  ['lacquer over dry young enamel', film('alkyd-enamel', 'dry'), { family: 'acrylic-lacquer' }, 'stop', '5 bite'],
  ['sanded young enamel opens', film('acrylic-enamel', 'dry', { scuffed: true }), { family: 'alcohol-acrylic' }, 'care', '5 bite'],
  ['mist lowers a stop to care', film('alkyd-enamel', 'dry'), { family: 'acrylic-lacquer', coat: 'mist' }, 'care'],
  ['a wet coat bites harder', film('acrylic-lacquer', 'dry', { scuffed: true }), { family: 'acrylic-enamel', coat: 'wet' }, 'stop'],
  ['enamel aerosol over lacquer', film('acrylic-lacquer', 'dry', { scuffed: true }), { family: 'acrylic-enamel' }, 'care'],
  ['mineral-spirit enamel over dry lacquer', film('acrylic-lacquer', 'dry'), { family: 'alkyd-enamel' }, 'sits'],
  ['alkyd aerosol over lacquer', film('acrylic-lacquer', 'dry', { scuffed: true }), { family: 'alkyd-enamel', by: 'aerosol' }, 'care'],
  [
    'a hot thinner counts',
    film('water-acrylic', 'dry', { scuffed: true }),
    { family: 'water-acrylic', thinner: 'acrylic-lacquer' },
    'care',
    'thinning',
  ],
  ['thinner of the same range is its own', film('lacquer-primer', 'dry'), { family: 'acrylic-lacquer', thinner: 'nitro-lacquer' }, 'sits'],
  [
    'alcohol type takes lacquer thinner',
    film('urethane-2k', 'cured', { scuffed: true }),
    { family: 'alcohol-acrylic', thinner: 'acrylic-lacquer' },
    'sits',
  ],
  ['a hot thinner on soft film', film('acrylic-lacquer', 'dry'), { family: 'alkyd-enamel', thinner: 'acrylic-lacquer' }, 'stop', '5 bite'],
  [
    'own thinners of two ranges are two thinners',
    film('decal', 'dry'),
    { family: 'water-acrylic', thinner: 'alcohol-acrylic' },
    'care',
    'thinning',
  ],
  ['base past its window unkeyed, under another family', film('solvent-base', 'dry'), { family: 'urethane-2k' }, 'stop', '2 window'],
  ['base past its window keyed', film('solvent-base', 'dry', { scuffed: true }), { family: 'urethane-2k' }, 'care', '5 bite'],
  ['2K past its window unkeyed, under lacquer', film('urethane-2k', 'dry'), { family: 'acrylic-lacquer' }, 'stop', '2 window'],
  ['epoxy past its window unkeyed', film('epoxy-primer', 'dry', { role: 'primer' }), { family: 'urethane-2k' }, 'stop', '2 window'],
  ['etch past its window unkeyed', film('etch-primer', 'dry', { role: 'primer' }), { family: 'acrylic-lacquer' }, 'stop', '2 window'],
  [
    'waterborne base on etch past its window',
    film('etch-primer', 'dry', { scuffed: true }),
    { family: 'waterborne-base' },
    'care',
    '3 named pair',
  ],
  [
    'lacquer thinner makes enamel wait on epoxy',
    film('epoxy-primer', 'fresh', { hours: 3 }),
    { family: 'acrylic-enamel', thinner: 'acrylic-lacquer' },
    'stop',
  ],
  ['enamel on epoxy at 3 h', film('epoxy-primer', 'fresh', { hours: 3 }), { family: 'acrylic-enamel' }, 'sits'],
  [
    'clear on a lacquer metallic, whose window stays open',
    film('acrylic-lacquer', 'dry', { metallic: true }),
    { family: 'acrylic-lacquer', role: 'clear' },
    'sits',
  ],
  [
    'candy on a scuffed base metallic',
    film('solvent-base', 'dry', { metallic: true, scuffed: true }),
    { family: 'candy' },
    'stop',
    '2 window',
  ],
  ['lacquer melts into cured nitro', film('nitro-lacquer', 'cured'), { family: 'acrylic-lacquer' }, 'care', '3 lacquer group'],
  ['lacquer on nitro before its hour', film('nitro-lacquer', 'fresh', { hours: 0.4 }), { family: 'acrylic-lacquer' }, 'stop'],
  ['nitro on old nitro', film('nitro-lacquer', 'cured', { ageDays: 400 }), { family: 'nitro-lacquer' }, 'care', '3 lacquer group'],
  ['nitro over acrylic lacquer', film('acrylic-lacquer', 'dry', { scuffed: true }), { family: 'nitro-lacquer' }, 'stop', '5 bite'],
  [
    '2K over cured enamel on ABS',
    film('alkyd-enamel', 'cured', { material: 'abs', scuffed: true }),
    { family: 'urethane-2k' },
    'care',
    '5 exception',
  ],
  [
    '2K through cured lacquer to clear plastic',
    film('acrylic-lacquer', 'cured', { material: 'clear', scuffed: true }),
    { family: 'urethane-2k' },
    'care',
    '5 bite',
  ],
  ['dye on smooth metal', bare('brass', false), { family: 'dye' }, 'care', '7 key'],
  ['an unknown paint on its best ground', bare('steel'), { family: 'unknown' }, 'care', 'unknown product'],
  [
    'an unknown paint over primer',
    film('lacquer-primer', 'dry', { role: 'fine-primer' }),
    { family: 'unknown', role: 'colour' },
    'care',
    'unknown product',
  ],
  ['an unknown paint on wet film', film('lacquer-primer', 'wet'), { family: 'unknown' }, 'stop', '2 window'],
  ['water type on unknown material', bare('unknown'), { family: 'water-acrylic' }, 'stop', '7 key'],
  ['water type on unknown material with promoter', bare('unknown'), { family: 'water-acrylic', promoter: true }, 'care', '6 substrate'],
  ['enamel on unknown material with promoter', bare('unknown'), { family: 'alkyd-enamel', promoter: true }, 'stop', '6 substrate'],
  ['2K over cured enamel', film('alkyd-enamel', 'cured', { scuffed: true }), { family: 'urethane-2k' }, 'care', '5 exception'],
  ['2K over cured scuffed lacquer', film('acrylic-lacquer', 'cured', { scuffed: true }), { family: 'urethane-2k' }, 'sits', '5 exception'],
  ['lacquer over factory enamel', film('baked-enamel', 'cured', { scuffed: true }), { family: 'acrylic-lacquer' }, 'sits'],
  ['lacquer over unknown old paint', film('unknown', 'cured', { scuffed: true }), { family: 'acrylic-lacquer' }, 'stop'],
  ['lacquer over a home-printed decal', film('printed-decal', 'dry'), { family: 'acrylic-lacquer', role: 'clear' }, 'stop'],
  ['water clear over a waterslide decal', film('decal', 'dry'), { family: 'water-acrylic', role: 'clear' }, 'sits'],
  ['lacquer on keyed zinc', bare('zinc'), { family: 'lacquer-primer' }, 'sits'],
  ['lacquer on smooth zinc', bare('zinc', false), { family: 'lacquer-primer' }, 'care', '7 key'],
  ['etch on smooth zinc', bare('zinc', false), { family: 'etch-primer' }, 'sits'],
  ['etch on resin', bare('resin'), { family: 'etch-primer' }, 'care', '6 substrate'],
  ['lacquer on polystyrene', bare('polystyrene'), { family: 'acrylic-lacquer' }, 'stop', '5 bite'],
  ['lacquer for plastics on polystyrene', bare('polystyrene'), { family: 'acrylic-lacquer', forPlastics: true }, 'care'],
  ['water acrylic on washed kit styrene', bare('polystyrene', false), { family: 'water-acrylic' }, 'sits'],
  ['lacquer on ABS', bare('abs'), { family: 'acrylic-lacquer' }, 'care'],
  ['lacquer on clear plastic', bare('clear'), { family: 'acrylic-lacquer' }, 'stop'],
  ['water acrylic on clear plastic', bare('clear'), { family: 'water-acrylic' }, 'sits'],
  [
    'lacquer over water acrylic on styrene',
    film('water-acrylic', 'cured', { material: 'polystyrene', scuffed: true }),
    { family: 'acrylic-lacquer' },
    'care',
  ],
  ['PP without promoter', bare('pp'), { family: 'lacquer-primer' }, 'stop', '7 key'],
  ['PP with promoter', bare('pp'), { family: 'lacquer-primer', promoter: true }, 'sits'],
  ['enamel on vinyl', bare('vinyl'), { family: 'alkyd-enamel' }, 'stop', '6 substrate'],
  ['dye on clean vinyl', bare('vinyl', false), { family: 'dye' }, 'sits'],
  ['dye on ABS', bare('abs', false), { family: 'dye' }, 'sits'],
  ['dye on polystyrene', bare('polystyrene', false), { family: 'dye' }, 'care'],
  ['lacquer on cast resin', bare('resin'), { family: 'acrylic-lacquer' }, 'sits'],
  ['sealer on wood', bare('wood', false), { family: 'wood-sealer' }, 'sits'],
  ['heat paint on bare iron', bare('cast-iron'), { family: 'high-temperature' }, 'sits'],
  ['lacquer on unknown material', bare('unknown'), { family: 'lacquer-primer' }, 'stop'],
  [
    'old unscuffed primer',
    film('lacquer-primer', 'cured', { role: 'fine-primer', ageDays: 20 }),
    { family: 'alkyd-enamel', role: 'colour' },
    'stop',
    '7 key',
  ],
  [
    'young matt primer is its own key',
    film('lacquer-primer', 'cured', { role: 'fine-primer', ageDays: 3 }),
    { family: 'alkyd-enamel', role: 'colour' },
    'sits',
  ],
  ['primer on filler', film('polyester-filler', 'cured'), { family: 'lacquer-primer', role: 'fine-primer' }, 'sits'],
  ['lacquer primer on 1K putty', film('putty', 'dry'), { family: 'lacquer-primer', role: 'fine-primer' }, 'stop'],
  ['rust barrier takes 2K when cured', film('rust-barrier', 'cured', { scuffed: true }), { family: 'urethane-2k' }, 'sits'],
  ['lacquer over dry latex', film('latex', 'dry', { scuffed: true }), { family: 'acrylic-lacquer' }, 'stop'],
  ['latex over dry latex', film('latex', 'dry'), { family: 'latex' }, 'sits'],
  ['enamel over powder coat scuffed', film('powder-coat', 'cured', { scuffed: true }), { family: 'alkyd-enamel' }, 'sits'],
  ['enamel over powder coat glossy', film('powder-coat', 'cured'), { family: 'alkyd-enamel' }, 'stop', '7 key'],
];

const belowOf = (part: Partial<Below>): Below => ({ family: null, material: 'zinc', state: 'dry', ...part });

describe('joints', () => {
  for (const [why, below, above, verdict, rule] of CASES) {
    it(`${why}: ${verdict}`, () => {
      const answer = joint(belowOf(below), above);
      expect({ verdict: answer.verdict, because: answer.because }).toMatchObject({ verdict });
      if (rule) expect(answer.rule).toBe(rule);
    });
  }

  it('answers for every family on every bare material and every film state with a reason', () => {
    for (const above of FAMILIES) {
      for (const material of MATERIALS) expect(joint(belowOf(bare(material)), { family: above }).because.length).toBeGreaterThan(10);
      for (const below of FAMILIES) {
        for (const state of ['wet', 'fresh', 'shut', 'dry', 'cured'] as const) {
          const answer = joint(belowOf(film(below, state)), { family: above });
          expect(answer.because.length).toBeGreaterThan(10);
          if (state === 'wet' || state === 'shut') expect(answer.verdict).toBe('stop');
        }
      }
    }
  });

  it('offers only remedies that pass better when applied', () => {
    for (const [, below, above] of CASES) {
      const before = joint(belowOf(below), above).verdict;
      for (const remedy of remediesFor(belowOf(below), above)) {
        expect(isBetter(remedy.verdict, before)).toBe(true);
        if (!['primer', 'barrier', 'base'].includes(remedy.kind))
          expect(joint(remedy.below ?? belowOf(below), remedy.above ?? above).verdict).toBe(remedy.verdict);
      }
    }
  });

  it('primes steel under a colour and seals wood, and a clear on either as well; nothing where the ground asks for none', () => {
    const kinds = (material: Below['material'], above: Above) =>
      remediesFor({ family: null, material, state: 'dry', scuffed: true }, above)
        .filter(({ kind }) => kind === 'primer')
        .map(({ barrier, verdict }) => `${barrier} ${verdict}`);
    expect(kinds('steel', { family: 'urethane-2k', role: 'colour' })).toEqual(['lacquer-primer sits', 'epoxy-primer sits']);
    expect(kinds('cast-iron', { family: 'water-acrylic', role: 'colour' })).toEqual(['lacquer-primer sits', 'epoxy-primer sits']);
    expect(kinds('wood', { family: 'alkyd-enamel', role: 'colour' })[0]).toMatch(/^(wood-sealer|waterborne-sealer) sits$/);
    expect(kinds('resin', { family: 'acrylic-enamel', role: 'colour' })).toEqual([]);
  });

  it('offers the cheapest first, of one kind the best verdict, and two of a kind at most', () => {
    const cheapest = ['thinner', 'mist', 'brush', 'scuff', 'wait', 'promoter', 'base', 'primer', 'barrier', 'product', 'stand-in'];
    const rank = { sits: 0, care: 1, stop: 2 };
    const lists = FAMILIES.flatMap((above) =>
      FAMILIES.flatMap((below) =>
        (['fresh', 'dry', 'cured'] as const).map((state) => remediesFor(belowOf(film(below, state)), { family: above })),
      ),
    );
    expect(lists.filter((list) => list.length > 2).length).toBeGreaterThan(50);
    for (const list of lists) {
      const order = list.map((remedy) => cheapest.indexOf(remedy.kind) * 10 + rank[remedy.verdict]);
      expect(order).toEqual([...order].sort((a, b) => a - b));
      for (const kind of cheapest) expect(list.filter((remedy) => remedy.kind === kind).length).toBeLessThanOrEqual(2);
    }
  });
});

/**
 * Every family on every keyed, bare substrate: s sits, c care, x stop. Metals, then ABS and polystyrene, resin, clear,
 * polypropylene with promoter, vinyl, rubber, plated plastic and wood, unknown with promoter.
 */
const ON_BARE = `
acrylic-lacquer   scsscsss cx s x s cccc x
nitro-lacquer     scsscsss cx s x s cccc x
lacquer-primer    ssssssss cx s x s cccc x
wood-sealer       scsscsss cx s x s cccs x
alkyd-enamel      scsscsss ss s c s xxsc x
acrylic-enamel    scsscsss sc s x s xxsc x
alcohol-acrylic   scsscsss ss s c s ccsc c
water-acrylic     scsscsss ss s s s sssc c
waterborne-base   scsscsss ss s s s sssc c
waterborne-sealer scsscsss ss s s s ssss c
solvent-base      scsscsss cx s x s cccc x
urethane-2k       scsscsss sc s x s ccsc x
epoxy-primer      ssssssss sc s x s ccsc x
etch-primer       ssssssss cx c x c cccc x
dye               scsscsss sc s x s sxxc x
candy             cccccccc xx x x x xxxx x
high-temperature  ssssssss xx x x x xxxx x
rust-barrier      ssssssss cx s x s cccc x
texture           scsscsss sc s x s ccsc x
latex             scsscsss ss s s s sssc c
unknown           cccccccc cx c x c cccc x
`;

describe('every family on every substrate', () => {
  const letters = { sits: 's', care: 'c', stop: 'x' };
  const rows = ON_BARE.trim().split('\n');
  it('has a row for every family', () => expect(rows.map((row) => row.split(/\s+/)[0])).toEqual([...FAMILIES]));
  it.each(rows)('%s', (row) => {
    const [name, ...verdicts] = row.split(/\s+/);
    const family = name as (typeof FAMILIES)[number];
    const by = family === 'latex' || family === 'alkyd-enamel' ? 'brush' : 'aerosol';
    const got = MATERIALS.map((material) => {
      const below = { family: null, material, state: 'dry' as const, scuffed: true };
      return letters[
        joint(below, { family, by, role: family.endsWith('primer') ? 'primer' : 'colour', promoter: wantsPromoter(material) }).verdict
      ];
    });
    expect(got.join('')).toBe(verdicts.join(''));
  });
});
