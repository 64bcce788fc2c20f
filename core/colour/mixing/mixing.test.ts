import type { Lab } from '#core/facts/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  additionsFor,
  besideWords,
  colourDifference,
  colourWord,
  contrastOf,
  correctionFor,
  DROP_ML,
  hidingShare,
  ingredientOf,
  labOf,
  labOfSpectrum,
  likeness,
  mixedLab,
  type Offered,
  overGround,
  readingOf,
  recipesFor,
  spectrumOf,
} from '../index.ts';
import { WHITE } from '../observer.ts';

const HEX = {
  white: '#f4f4f0',
  black: '#1e1f20',
  yellow: '#e8b820',
  blue: '#1d4b78',
  red: '#c23a2a',
  brown: '#6b4a30',
  ochre: '#c89838',
  green: '#2c6b3a',
} as const;
type Name = keyof typeof HEX;
const NAMES = Object.keys(HEX) as Name[];
const paint = (id: Name): Offered => ({ id, lab: labOf(HEX[id]) });
const cup = (drops: Partial<Record<Name, number>>): Lab => {
  const names = NAMES.filter((name) => drops[name] !== undefined);
  return mixedLab(
    names.map((name) => ingredientOf(paint(name))),
    names.map((name) => drops[name] ?? 0),
  );
};
const chroma = ({ a, b }: Lab) => Math.hypot(a, b);

describe('a reflectance rebuilt from Lab', () => {
  it('of a perfect white is daylight itself', () => {
    expect(WHITE.x).toBeCloseTo(0.9505, 3);
    expect(WHITE.y).toBeCloseTo(1, 9);
    expect(WHITE.z).toBeCloseTo(1.089, 2);
  });
  it('gives its colour back within half a ΔE, over all a screen can show', () => {
    for (let r = 0; r < 256; r += 51)
      for (let g = 0; g < 256; g += 51)
        for (let b = 0; b < 256; b += 51) {
          const lab = labOf(`#${[r, g, b].map((value) => value.toString(16).padStart(2, '0')).join('')}`);
          const spectrum = spectrumOf(lab);
          expect(colourDifference(labOfSpectrum(spectrum), lab)).toBeLessThan(0.5);
          expect(Math.min(...spectrum)).toBeGreaterThan(0);
          expect(Math.max(...spectrum)).toBeLessThan(1);
        }
  });
  it('refuses what no surface can look like', () => {
    expect(() => spectrumOf({ l: 50, a: 120, b: 120 })).toThrow('No paint can look like');
    expect(() => spectrumOf({ l: 98, a: 60, b: -60 })).toThrow(RangeError);
  });
});

describe('paints in a cup', () => {
  it('yellow and blue give green, more or less of each', () => {
    for (const drops of [
      { yellow: 1, blue: 1 },
      { yellow: 3, blue: 1 },
      { yellow: 2, blue: 1 },
    ])
      expect(colourWord(cup(drops))).toBe('green');
  });
  it('black and white give a bluish grey, and a touch of brown takes the blue out', () => {
    const grey = cup({ white: 10, black: 1 });
    expect(grey.b).toBeLessThan(labOf(HEX.white).b - 1);
    expect(grey.b).toBeLessThan(0);
    expect(cup({ white: 20, black: 2, brown: 1 }).b).toBeGreaterThan(0);
    expect(grey.l).toBeGreaterThan(55);
    expect(grey.l).toBeLessThan(75);
  });
  it('a paint with itself is that paint, whatever the amounts', () => {
    for (const name of NAMES) expect(colourDifference(cup({ [name]: 7 }), labOf(HEX[name]))).toBeLessThan(0.05);
    const own = ingredientOf(paint('red'));
    expect(colourDifference(mixedLab([own, own], [1, 5]), mixedLab([own], [3]))).toBeLessThan(1e-6);
  });
  it('more of the dark never lightens, and order and size change nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 }), fc.constantFrom(...NAMES), (light, dark, name) => {
        const darker = cup({ white: light, black: dark + 1, [name]: 2 });
        expect(darker.l).toBeLessThanOrEqual(cup({ white: light, black: dark, [name]: 2 }).l + 1e-6);
        const [a, b] = [ingredientOf(paint('white')), ingredientOf(paint(name))];
        expect(colourDifference(mixedLab([a, b], [light, dark]), mixedLab([b, a], [dark * 3, light * 3]))).toBeLessThan(1e-6);
      }),
      { seed: 12, numRuns: 60 },
    );
  });
  it('a paint that hides poorly tints little', () => {
    const tinted = (share: number) => mixedLab([ingredientOf(paint('white')), ingredientOf({ ...paint('red'), share })], [10, 1]);
    expect(chroma(tinted(0.7))).toBeLessThan(chroma(tinted(0.2)));
  });
  it('an empty cup is an error', () => {
    expect(() => mixedLab([ingredientOf(paint('red'))], [0])).toThrow('Nothing is in the cup');
  });
});

/** Every recipe there is, weighed by hand: the judge of the search. */
function nearestByHand(target: Lab, paints: readonly Offered[], maxPaints: number, drops: number): number {
  const ingredients = paints.map(ingredientOf);
  const limit = (at: number) => Math.floor((paints[at].ml ?? Number.POSITIVE_INFINITY) / DROP_ML + 1e-9);
  let best = Number.POSITIVE_INFINITY;
  const amounts = paints.map(() => 0);
  const fill = (at: number, left: number, used: number) => {
    if (at === paints.length) {
      if (used > 0) best = Math.min(best, colourDifference(mixedLab(ingredients, amounts), target));
      return;
    }
    for (let own = 0; own <= Math.min(left, limit(at)); own++) {
      if (own > 0 && used === maxPaints) break;
      amounts[at] = own;
      fill(at + 1, left - own, used + (own > 0 ? 1 : 0));
    }
    amounts[at] = 0;
  };
  fill(0, drops, 0);
  return best;
}

const labs = fc.record({ l: fc.integer({ min: 10, max: 95 }), a: fc.integer({ min: -35, max: 45 }), b: fc.integer({ min: -35, max: 45 }) });
const paintable = labs.filter((lab) => {
  try {
    return spectrumOf(lab).length > 0;
  } catch {
    return false;
  }
});

describe('the nearest recipe', () => {
  it('is the one an exhaustive search finds', () => {
    const offered = fc.array(fc.record({ lab: paintable, ml: fc.option(fc.constantFrom(0, 0.1, 0.5), { nil: undefined, freq: 4 }) }), {
      minLength: 1,
      maxLength: 4,
    });
    fc.assert(
      fc.property(
        paintable,
        offered,
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 1, max: 9 }),
        (target, colours, maxPaints, drops) => {
          const paints: Offered[] = colours.map(({ lab, ml }, at) => ({ id: `p${at}`, lab, ...(ml === undefined ? {} : { ml }) }));
          const [found] = recipesFor({ target, paints, maxPaints, drops });
          const best = nearestByHand(target, paints, maxPaints, drops);
          if (!found) {
            expect(best).toBe(Number.POSITIVE_INFINITY);
            return;
          }
          expect(found.exact).toBe(true);
          expect(found.deltaE).toBeLessThanOrEqual(best + 1e-3);
          expect(found.portions.reduce((sum, own) => sum + own.drops, 0)).toBeLessThanOrEqual(drops);
          expect(found.portions.length).toBeLessThanOrEqual(maxPaints);
        },
      ),
      { seed: 3, numRuns: 220 },
    );
  }, 120_000);
  it('takes the smaller cup and the fewer paints where two come equally near', () => {
    const target = cup({ white: 2, red: 1 });
    const [found] = recipesFor({ target, paints: NAMES.map(paint), maxPaints: 3, drops: 12 });
    expect(found.portions).toEqual([
      { id: 'white', drops: 2 },
      { id: 'red', drops: 1 },
    ]);
    expect(found.deltaE).toBeLessThan(0.01);
  });
  it('grows from good ones where not all can be weighed, the same each time', () => {
    const wish = { target: labOf('#8a7a4a'), paints: NAMES.map(paint), maxPaints: 4, drops: 60 };
    const [found] = recipesFor(wish);
    const [three] = recipesFor({ ...wish, maxPaints: 3, drops: 30 });
    expect(found.exact).toBe(false);
    expect(found.deltaE).toBeLessThanOrEqual(three.deltaE + 1e-3);
    expect(recipesFor(wish)).toEqual([found]);
  }, 60_000);
  it('uses no more of a tint than there is', () => {
    const scarce = { ...paint('black'), ml: 0.1 };
    const [found] = recipesFor({ target: labOf('#505050'), paints: [paint('white'), scarce], maxPaints: 2, drops: 30 });
    expect(found.portions.find(({ id }) => id === 'black')?.drops).toBeLessThanOrEqual(2);
  });
  it('gives other ways too, ranked', () => {
    const ways = recipesFor({ target: labOf('#e6dcc0'), paints: NAMES.map(paint), maxPaints: 3, drops: 20 }, 4);
    expect(ways).toHaveLength(4);
    for (const [at, way] of ways.slice(1).entries()) expect(way.deltaE).toBeGreaterThanOrEqual(ways[at].deltaE - 1e-3);
  });
});

describe('the additions', () => {
  const portions = [
    { id: 'brown', drops: 3 },
    { id: 'white', drops: 27 },
    { id: 'ochre', drops: 2 },
  ];
  const stages = additionsFor(portions, NAMES.map(paint), labOf('#e6dcc0'));
  it('put the light first, the dark into it, and keep the last drop for a look of its own', () => {
    expect(stages.map(({ id, drops }) => `${drops} ${id}`)).toEqual(['27 white', '2 ochre', '2 brown', '1 brown']);
    for (const [at, stage] of stages.slice(1).entries()) expect(stage.lab.l).toBeLessThan(stages[at].lab.l);
  });
  it.each([
    [3, [2, 1]],
    [6, [3, 2, 1]],
    [20, [10, 5, 3, 1, 1]],
    [1119, [560, 280, 140, 70, 69]],
  ])('let %i drops of the dark in by portions, with a look after each', (drops, expected) => {
    const dark = additionsFor(
      [
        { id: 'white', drops: 2000 },
        { id: 'brown', drops },
      ],
      NAMES.map(paint),
      labOf('#e6dcc0'),
    ).slice(1);
    expect(dark.map((stage) => stage.drops)).toEqual(expected);
  });
  it('end where the recipe ends', () => {
    expect(colourDifference(stages.at(-1)?.lab ?? labOf('#000000'), cup({ white: 27, ochre: 2, brown: 3 }))).toBeLessThan(1e-6);
  });
});

describe('a cup that went too far', () => {
  const target = labOf('#e6dcc0');
  const paints = NAMES.map(paint);
  const portions = [
    { id: 'white', drops: 20 },
    { id: 'ochre', drops: 2 },
  ];
  it.each(['too dark', 'too yellow', 'too red', 'too strong'] as const)(
    '%s is brought nearer by few drops, or given up with its reason',
    (astray) => {
      const looks = readingOf(target, astray);
      const back = correctionFor({ portions, paints, looks, target, tolerance: 2 });
      expect(back.deltaE).toBeLessThan(colourDifference(looks, target));
      expect(back.within || back.startAgain).toBe(true);
      expect(back.ml).toBeCloseTo((22 + back.additions.reduce((sum, { drops }) => sum + drops, 0)) * DROP_ML, 9);
      for (const { drops } of back.additions) expect(drops).toBeGreaterThan(0);
    },
  );
  it('too dark takes a light paint, and the smallest addition that will do', () => {
    const looks = readingOf(target, 'too dark');
    const back = correctionFor({ portions, paints: [paint('white'), paint('black')], looks, target, tolerance: 2.5 });
    expect(back.additions.map(({ id }) => id)).toEqual(['white']);
    const [{ drops }] = back.additions;
    const less = correctionFor({ portions, paints: [{ ...paint('white'), ml: (drops - 1) * DROP_ML }], looks, target, tolerance: 2.5 });
    expect(less.within).toBe(false);
  });
  it('is left alone where it is near enough', () => {
    expect(correctionFor({ portions, paints, looks: target, target, tolerance: 1 })).toMatchObject({
      additions: [],
      within: true,
      startAgain: false,
    });
  });
  it('of any size is corrected in a moment, in nearly the same proportion', () => {
    const looks = readingOf(target, 'too dark');
    const large = portions.map(({ id, drops }) => ({ id, drops: drops * 400 }));
    const [small, big] = [portions, large].map((own) => correctionFor({ portions: own, paints, looks, target, tolerance: 2 }));
    const share = (own: typeof small, cupDrops: number) => own.additions.reduce((sum, { drops }) => sum + drops, 0) / cupDrops;
    expect(big.within).toBe(small.within);
    expect(Math.abs(share(big, 8800) - share(small, 22))).toBeLessThan(0.1);
  });
  it('is begun anew where the paints cannot bring it back', () => {
    const lost = correctionFor({ portions, paints: [paint('red')], looks: labOf('#30342f'), target, tolerance: 2 });
    expect(lost).toMatchObject({ within: false, startAgain: true });
    expect(() => correctionFor({ portions: [], paints, looks: target, target, tolerance: 1 })).toThrow('The cup is empty');
  });
});

describe('words for a colour beside another', () => {
  it.each<[Lab, Lab, string[]]>([
    [{ l: 70, a: 0, b: 0 }, { l: 60, a: 0, b: 0 }, ['lighter']],
    [{ l: 50, a: 12, b: 10 }, { l: 50, a: 4, b: 10 }, ['redder']],
    [{ l: 50, a: 20, b: 20 }, { l: 50, a: 26, b: 26 }, ['greener', 'duller']],
    [{ l: 50, a: 0, b: 0.2 }, { l: 50, a: 0, b: 0 }, []],
  ])('%j beside %j', (one, other, words) => {
    expect(besideWords(one, other)).toEqual(words);
  });
  it('and how like they are', () => {
    expect([0.5, 1.99, 2, 5, 5.1].map(likeness)).toEqual(['match', 'match', 'family', 'family', 'other']);
  });
});

describe('a paint over a ground', () => {
  it('comes to itself as its coats hide', () => {
    const red = labOf(HEX.red);
    const off = [1, 2, 4, 8].map((coats) => colourDifference(overGround(labOf(HEX.black), red, hidingShare(red), coats), red));
    expect(off).toEqual([...off].sort((a, b) => b - a));
    expect(off[3]).toBeLessThan(1);
    expect(colourDifference(overGround(red, red, 0.5, 1), red)).toBeLessThan(0.1);
  });
  it('is hidden when the hiding rule says so: two L* are left at most', () => {
    for (const [ground, own] of [
      [10, 85],
      [95, 40],
      [20, 60],
    ])
      for (const share of [0.2, 0.4, 0.6]) {
        const [below, paintLab] = [
          { l: ground, a: 0, b: 0 },
          { l: own, a: 0, b: 0 },
        ];
        const coats = Math.ceil(Math.log(0.02 / contrastOf(below, paintLab)) / Math.log(share) - 1e-9);
        const left = (n: number) => Math.abs(overGround(below, paintLab, share, n).l - own);
        expect(left(coats)).toBeLessThan(2.2);
        expect(left(coats - 1)).toBeGreaterThan(1.8);
      }
  });
});
