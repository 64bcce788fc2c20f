import type { Mend, Part, Piece } from '#core/facts/index';
import { lacquer, layer, part, planOf, primer } from '#core/invented/index';
import { describe, expect, it } from 'vitest';

/**
 * One face of 100 cm², where the power of the area is 1: the minutes of every kind of work then stand as the trade gives them
 * (trade §12), set-up of 10 at the booth, the sink and the bath, 2 at the table.
 */

const unit = (more: Partial<Part> = {}): Part =>
  part({ faces: [{ id: 'f', zoneId: 'all', longMm: 100, shortMm: 100, count: 1, seen: true }], layers: [primer(), lacquer()], ...more });
const bare = (material: Part['material'], bareCare: Part['bareCare']): Part =>
  unit({ material, finish: 'bare', layers: [], zones: [{ id: 'all', name: 'All', bare: 'handled' }], bareCare });
const marked = (mend: Mend, kind: 'chip' | 'rust-deep' | 'dent' | 'scratch' = 'chip', more: Partial<Part> = {}): Part =>
  unit({ material: 'steel', finish: 'bare', marks: [{ id: 'm', kind, severity: 'marked', where: '', mend }], ...more });

type Row = readonly [title: string, minutes: number];
const rows = (own: Part, more: Partial<Piece> = {}): Row[] => planOf(own, [], more).steps.map((step) => [step.title, step.minutes]);
const supplies = (own: Part, more: Partial<Piece> = {}) =>
  planOf(own, [], more).steps.flatMap((step) =>
    step.supplies.map(({ kind, spec, amount }) => [kind, spec, Math.round(amount * 100) / 100]),
  );

const BEFORE: readonly Row[] = [
  ['Photograph every side', 5],
  ['Wash and degrease', 14],
];
const CLEAN: Row = ['Inspect, clean and wipe', 6];
const METAL_PREP: Row = ['Phosphoric metal prep, rinse, dry', 21];
const PAINTED: readonly Row[] = [
  ['Try fine primer, grey on scrap', 4],
  ['Coat 1 of 2, fine primer, grey', 14],
  ['Coat 2 of 2, fine primer, grey', 3],
  ['Try acrylic lacquer, white on scrap', 4],
  ['Coat 1 of 2, acrylic lacquer, white', 14],
  ['Coat 2 of 2, acrylic lacquer, white', 3],
];
const FIT: Row = ['Check and photograph', 6];

describe('a face of 100 cm²', () => {
  it.each<[string, Part, readonly Row[]]>([
    [
      'flaking steel under gel',
      unit({ material: 'steel', finish: 'flaking', stripMethod: 'gel' }),
      [['Solvent gel on', 13], ['Old paint off, rinse', 12], ['Sand with P240, then P400', 8], CLEAN, METAL_PREP],
    ],
    [
      'flaking steel sanded wet',
      unit({ material: 'steel', finish: 'flaking', stripMethod: 'wet-sand' }),
      [['Strip by wet sanding', 24], ['Sand with P240, then P400', 8], CLEAN, METAL_PREP],
    ],
    [
      'flaking steel brushed',
      unit({ material: 'steel', finish: 'flaking', stripMethod: 'brush' }),
      [['Strip by brass or wire brush', 20], ['Sand with P240, then P400', 8], CLEAN, METAL_PREP],
    ],
    [
      'flaking steel in the alkaline soak',
      unit({ material: 'steel', finish: 'flaking', stripMethod: 'alkaline' }),
      [['Alkaline soak on', 13], ['Old paint off, rinse', 7], ['Sand with P240, then P400', 8], CLEAN, METAL_PREP],
    ],
    ['sound paint on zinc, kept', unit({ finish: 'sound', stripMethod: 'scuff' }), [['Scuff the old paint', 5], CLEAN]],
    ['bare steel', unit({ material: 'steel', finish: 'bare' }), [['Sand with P400', 5], CLEAN, METAL_PREP]],
    ['bare zinc, which does not rust', unit({ finish: 'bare' }), [['Sand with P600', 5], CLEAN]],
  ])('of %s', (_name, own, work) => expect(rows(own)).toEqual([...BEFORE, ...work, ...PAINTED, FIT]));

  it('of grained vinyl takes a grey pad, no paper', () => {
    const own = unit({ material: 'vinyl', surface: 'grained', finish: 'bare', layers: [lacquer()] });
    expect(rows(own).slice(2, 4)).toEqual([['Prep cleaner, then a grey pad, lightly', 6], CLEAN]);
    expect(supplies(own)).toContainEqual(['pad', 'grey pad', 0.5]);
    expect(supplies(own).some(([kind]) => kind === 'paper')).toBe(false);
  });
  it('of kit plastic loses its mould lines only', () => {
    const own = unit({ material: 'polystyrene', finish: 'bare', layers: [layer('w', 'water-acrylic', 'colour', 2)] });
    expect(rows(own, { looksLike: 'clear-kit' })[2]).toEqual(['Mould lines and gates off', 5]);
  });
  it('of polypropylene gets promoter right before its first coat', () => {
    const titles = rows(unit({ material: 'pp', finish: 'bare' }));
    const promoter = titles.findIndex(([title]) => title === 'Adhesion promoter');
    expect(titles[promoter]).toEqual(['Adhesion promoter', 4]);
    expect(titles[promoter + 1][0]).toContain('Coat 1 of 2, fine primer');
  });
  it('flatted takes three minutes and three more to get the mud off', () => {
    const flatted = rows(unit({ finish: 'bare', layers: [primer({ flatAfter: 800 }), lacquer()] }));
    expect(flatted).toContainEqual(['Flat with P800, wet', 5]);
    expect(flatted).toContainEqual(['Wash the sanding mud off, dry, wipe', 5]);
  });
});

describe('bare by choice', () => {
  it.each<[string, Part, readonly Row[]]>([
    [
      'steel brightened and oiled',
      bare('steel', { brighten: 'brighten', protect: 'oil' }),
      [
        ['Brighten the bare metal', 7],
        ['Oil what stays bare', 4],
      ],
    ],
    [
      'brass polished and waxed',
      bare('brass', { brighten: 'polish', protect: 'wax' }),
      [
        ['Polish the bare metal', 8],
        ['Wax what stays bare', 4],
      ],
    ],
    [
      'aluminium plated and cleared',
      bare('aluminium', { brighten: 'plate', protect: 'clear' }),
      [
        ['Off to the plater', 7],
        ['Back from the plater', 5],
        ['Clear over the bare metal', 4],
      ],
    ],
    ['steel left bright', bare('steel', { brighten: 'brighten', protect: 'none' }), [['Brighten the bare metal', 7]]],
    ['steel only oiled', bare('steel', { brighten: 'none', protect: 'oil' }), [['Oil what stays bare', 4]]],
  ])('%s', (_name, own, work) => expect(rows(own)).toEqual([...BEFORE, ...work, FIT]));
  it('uses up a little of what protects it', () => {
    expect(supplies(bare('brass', { brighten: 'polish', protect: 'wax' }))).toContainEqual(['protection', 'wax', 3]);
    expect(supplies(bare('steel', { brighten: 'none', protect: 'oil' }))).toContainEqual(['protection', 'light oil', 3]);
  });
});

describe('a mark on steel', () => {
  it.each<[string, Part, readonly Row[]]>([
    [
      'filled',
      marked('filler'),
      [
        ['Fill', 12],
        ['File the filler flush', 10],
      ],
    ],
    ['straightened', marked('straighten', 'dent'), [['Straighten cold', 14]]],
    [
      'soaked',
      marked('rust-soak', 'rust-deep'),
      [
        ['Into the rust soak', 10],
        ['Out of the soak, rinse, dry', 9],
      ],
    ],
    ['sanded out where it is', marked('sand', 'scratch'), [['Sand the scratch out with P180, P280', 5]]],
    ['left', marked('leave', 'scratch'), []],
  ])('%s', (_name, own, work) => {
    const repairs = planOf(own)
      .steps.filter((step) => step.stage === 'repair')
      .map((step): Row => [step.title, step.minutes]);
    expect(repairs).toEqual(work);
  });
  it('uses up filler, soak and papers for its own place only', () => {
    expect(supplies(marked('filler'))).toContainEqual(['filler', 'body filler', 8]);
    expect(supplies(marked('rust-soak', 'rust-deep'))).toContainEqual(['cleaner', 'rust soak', 40]);
    expect(supplies(marked('sand', 'scratch'))).toContainEqual(['paper', 'P180', 0.4]);
  });
});

describe('a piece that is preserved', () => {
  it('is photographed, tried at a corner, dusted, washed by swabs and waxed', () => {
    expect(rows(unit({ material: 'tinplate', printed: true, finish: 'sound', layers: [] }), { aim: 'preserve' })).toEqual([
      ['Photograph every side, take nothing apart', 8],
      ['Clean a corner first', 10],
      ['Dust off with a soft brush', 8],
      ['Mild wash, swab by swab', 11],
      ['Wax, thin', 5],
      ['Photograph, write down what was done', 8],
    ]);
  });
});

describe('a piece aged on purpose', () => {
  it('is rubbed through where hands would have, and nowhere mended for it', () => {
    const aged = rows(unit({ material: 'steel', finish: 'bare' }), { aim: 'aged' });
    expect(aged).toContainEqual(['Rub through where hands and years would have', 5]);
    expect(aged.at(-1)).toEqual(FIT);
  });
});

describe('glazing that stays', () => {
  const glazing = (kind: 'scratch' | 'crack', mend: Mend) =>
    unit({
      material: 'clear',
      staysClear: true,
      layers: [],
      zones: [{ id: 'all', name: 'All', bare: 'glazing' }],
      marks: [{ id: 'm', kind, severity: 'slight', where: '', mend }],
    });
  it('is washed and nothing else, polished or glued where it is damaged', () => {
    expect(rows(glazing('scratch', 'polish'))).toEqual([
      ['Photograph every side', 5],
      ['Wash the glazing, nothing else', 14],
      ['Polish with plastic compound', 12],
      FIT,
    ]);
    expect(rows(glazing('crack', 'leave')).map(([title]) => title)).toEqual([
      'Photograph every side',
      'Wash the glazing, nothing else',
      'Check and photograph',
    ]);
    expect(supplies(glazing('scratch', 'polish'))).toEqual([['compound', 'plastic compound', 3]]);
  });
});

describe('one metre of straight tape', () => {
  const divided = unit({
    finish: 'bare',
    zones: [
      { id: 'all', name: 'Up' },
      { id: 'low', name: 'Low' },
    ],
    edges: [{ a: 'all', b: 'low', mm: 1000, curve: 'straight' }],
    faces: [
      { id: 'f', zoneId: 'all', longMm: 100, shortMm: 50, count: 1, seen: true },
      { id: 'g', zoneId: 'low', longMm: 100, shortMm: 50, count: 1, seen: true },
    ],
    layers: [primer(), lacquer(2, { covers: ['all'] }), lacquer(2, { id: 'second', covers: ['low'] })],
  });
  it('takes 3 + 4 minutes and its cover on, 1 + 1 off, and 15 % of spare tape', () => {
    expect(rows(divided)).toContainEqual(['Mask up', 8]);
    expect(rows(divided)).toContainEqual(['Tape off, acrylic lacquer, white', 2]);
    expect(supplies(divided)).toContainEqual(['tape', 'fine line 3 mm', 1.15]);
  });
  it.each([
    ['gentle', 10],
    ['tight', 14],
    ['double', 19],
  ] as const)('and more where it runs %s', (curve, minutes) => {
    const curved = { ...divided, edges: [{ ...divided.edges[0], curve }] };
    expect(rows(curved)).toContainEqual(['Mask up', minutes]);
  });
});

describe('what is used up on it', () => {
  it('is cleaner by the part and by area, gel by area, half a quarter sheet a grit', () => {
    const own = supplies(unit({ material: 'steel', finish: 'flaking', stripMethod: 'gel' }));
    expect(own).toContainEqual(['cleaner', 'detergent', 4.6]);
    expect(own).toContainEqual(['stripper', 'solvent gel', 20]);
    expect(own).toContainEqual(['paper', 'P240', 0.55]);
    expect(own).toContainEqual(['paper', 'P400', 0.55]);
    expect(own).toContainEqual(['metal-prep', 'phosphoric metal prep', 12]);
  });
  it('is twice the paper where old paint clogs it', () => {
    const p240 = supplies(unit({ material: 'steel', finish: 'flaking', stripMethod: 'wet-sand' })).filter(([, spec]) => spec === 'P240');
    expect(p240.map(([, , amount]) => amount)).toEqual([0.55, 0.55, 0.55]);
  });
});
