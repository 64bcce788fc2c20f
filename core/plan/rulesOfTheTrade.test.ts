import { readySystems, remediesFor } from '#core/coats/index';
import { FAMILIES, type Family, type Layer, type LogEvent, MATERIALS, type Part, type Piece, type WorkStage } from '#core/facts/index';
import { at, lacquer, NOW, part, planOf, primer, steps, mark, solePiece as own, stages, titles, wanted } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** What a restorer would say of whole jobs, each on several cases of its kind. */

const ABRASIVE: readonly WorkStage[] = ['strip', 'strip-on', 'strip-off', 'prep', 'coat', 'metal-prep'];

describe('isocyanate is never chosen by the tool', () => {
  it.each(MATERIALS)('in a ready system on %s', (material) => {
    const systems = readySystems({ material, colours: [{ name: 'red', lab: { l: 40, a: 50, b: 30 }, covers: 'all' }] });
    expect(systems.flatMap(({ layers }) => layers).filter((layer) => layer.wanted?.family === 'urethane-2k')).toEqual([]);
  });
  it('nor in a remedy of any joint', () => {
    for (const below of FAMILIES)
      for (const above of FAMILIES.filter((family) => family !== 'urethane-2k'))
        for (const remedy of remediesFor({ family: below, material: 'steel', state: 'cured' }, { family: above }))
          expect([below, above, remedy.barrier, remedy.above?.family]).not.toContain(below === 'urethane-2k' ? 'nothing' : 'urethane-2k');
  });
});

describe('what stays is only cleaned', () => {
  it.each<[string, Partial<Part>]>([
    ['cracked glazing', { material: 'clear', staysClear: true, marks: [mark('crack')] }],
    ['scratched glazing', { material: 'clear', staysClear: true, marks: [mark('scratch')] }],
    ['plating with a chip', { material: 'plated-plastic', staysPlated: true, marks: [mark('chip')] }],
    ['printed tin with rust', { material: 'tinplate', printed: true, marks: [mark('rust-light')] }],
  ])('%s', (_name, more) => {
    const result = planOf(part({ finish: 'sound', layers: [], zones: [{ id: 'all', name: 'All', bare: 'stays as it is' }], ...more }));
    expect(ABRASIVE.filter((stage) => stages(result).has(stage))).toEqual([]);
    expect(titles(result)).not.toMatch(/sand|fill|gel|soak|alcohol/i);
    expect(stages(result).has('wash')).toBe(true);
  });
});

describe('bare by choice is a finish of its own', () => {
  it.each<[string, Partial<Part>, RegExp]>([
    ['steel that works oiled', { material: 'steel', bareCare: { protect: 'oil' } }, /oil/i],
    ['brass that is waxed', { material: 'brass', bareCare: { brighten: 'brighten', protect: 'wax' } }, /wax/i],
    ['aluminium under a clear', { material: 'aluminium', bareCare: { brighten: 'polish', protect: 'clear' } }, /clear/i],
  ])('%s', (_name, more, said) => {
    const result = planOf(part({ finish: 'bare', layers: [], zones: [{ id: 'all', name: 'All', bare: 'works bare' }], ...more }));
    expect(titles(result)).toMatch(said);
    expect(own(result).likely).not.toBeNull();
  });
});

describe('a part away at the plater', () => {
  it.each<[string, Partial<Part>]>([
    ['is fitted two weeks later', { material: 'brass', bareCare: { brighten: 'plate', protect: 'none' } }],
    ['is waxed two weeks later', { material: 'steel', bareCare: { brighten: 'plate', protect: 'wax' } }],
    ['is cleared two weeks later', { material: 'zinc', bareCare: { brighten: 'plate', protect: 'clear' } }],
  ])('%s', (_name, more) => {
    const result = planOf(part({ finish: 'bare', layers: [], zones: [{ id: 'all', name: 'All', bare: 'works bare' }], ...more }));
    const sent = steps(result, 'bare-care').find((step) => step.title === 'Off to the plater');
    const later = result.steps.filter((step) => step.placed && sent?.placed && step.placed.start > sent.placed.start);
    expect(later.length).toBeGreaterThan(1);
    for (const step of later) expect((step.placed?.start ?? 0) - (sent?.placed?.end ?? 0)).toBeGreaterThanOrEqual(14 * 1440);
  });
});

describe('teardown', () => {
  const fastening = { id: 's', kind: 'screw' as const, a: 'body', count: 2, note: '' };
  it.each<[string, Partial<Piece>, readonly string[] | undefined]>([
    ['of a piece without fastenings asks for no end of any', {}, undefined],
    ['with an empty list of them neither', { fastenings: [] }, undefined],
    ['asks how each of them ended', { fastenings: [fastening, { ...fastening, id: 't' }] }, ['s', 't']],
  ])('%s', (_name, more, ids) => {
    const [step] = planOf(part(), [], more).steps.filter((own) => own.stage === 'teardown');
    expect(step.asks?.kind === 'parted' ? step.asks.fasteningIds : undefined).toEqual(ids);
  });
});

describe('nobody has decided on it', () => {
  it.each<[string, Partial<Part>]>([
    ['a part without coats', { layers: [] }],
    [
      'a zone without coats',
      {
        zones: [
          { id: 'all', name: 'Body' },
          { id: 'sill', name: 'Sill' },
        ],
        layers: [primer({ covers: ['all'] }), lacquer(2, { covers: ['all'] })],
      },
    ],
    ['old paint and no coats', { layers: [], finish: 'sound' }],
  ])('%s: it says so and never counts as ready', (_name, more) => {
    const result = planOf(part(more));
    expect(own(result).undecided).toContain('Not decided yet');
    expect(own(result).likely).toBeNull();
    expect(steps(result, 'fit').every((step) => step.placed === null)).toBe(true);
  });
  it('names the zone where only one is open, and the part alone where all of it is', () => {
    const zones = [
      { id: 'all', name: 'Body' },
      { id: 'sill', name: 'Sill' },
    ];
    const open = (more: Partial<Part>) => own(planOf(part({ zones, ...more }))).undecided;
    expect(open({ layers: [primer({ covers: ['all'] })] })).toMatch(/^Not decided yet: [^,.]+, sill\. /);
    expect(open({ layers: [] })).toMatch(/^Not decided yet: [^,.]+\. /);
  });
  it('but a zone with a reason to stay bare is decided', () => {
    expect(own(planOf(part({ layers: [], zones: [{ id: 'all', name: 'All', bare: 'bearing' }] }))).undecided).toBeUndefined();
  });
});

describe('a remedy keeps the look', () => {
  it.each<[string, Family, Family]>([
    ['a silver under a transparent red', 'acrylic-lacquer', 'candy'],
    ['a basecoat under a hot clear', 'alcohol-acrylic', 'acrylic-lacquer'],
    ['a hobby silver under a hot clear', 'water-acrylic', 'nitro-lacquer'],
  ])('%s gets no opaque barrier', (_name, below, above) => {
    const offered = remediesFor(
      { family: below, material: 'steel', state: 'dry', role: 'metallic', metallic: true } as never,
      { family: above, role: above === 'candy' ? 'colour' : 'clear' } as never,
    );
    expect(offered.filter((remedy) => remedy.kind === 'barrier' && remedy.barrierRole !== 'clear')).toEqual([]);
  });
});

describe('a stack without its needed clear', () => {
  it.each<[string, Layer[]]>([
    ['a basecoat', [primer(), wanted('base', 'solvent-base', 'colour')]],
    ['a waterborne base', [primer(), wanted('base', 'waterborne-base', 'colour')]],
    ['a transparent red on silver', [primer(), wanted('silver', 'acrylic-lacquer', 'metallic'), wanted('red', 'candy', 'colour')]],
  ])('%s says what is missing', (_name, layers) => {
    expect(own(planOf(part({ layers }))).missing.join()).toContain('needs a clear');
    const closed = own(planOf(part({ layers: [...layers, wanted('top', 'acrylic-lacquer', 'clear')] })));
    expect(closed.missing).toEqual([]);
  });
});

describe('flatting', () => {
  it.each<[string, Layer]>([
    ['a silver', wanted('own', 'acrylic-lacquer', 'metallic', { flatAfter: 1500 })],
    ['a transparent red', wanted('own', 'candy', 'colour', { flatAfter: 1500 })],
    ['a texture', wanted('own', 'texture', 'colour', { flatAfter: 800 })],
  ])('is never planned of %s', (_name, layer) => {
    const result = planOf(part({ layers: [primer(), layer, wanted('top', 'acrylic-lacquer', 'clear')] }));
    expect(result.steps.filter((step) => step.stage === 'flat' && step.keys.some((key) => key.includes('.own.')))).toEqual([]);
  });
  it('brings washing off and drying before the next coat', () => {
    const result = planOf(part({ finish: 'bare', layers: [primer({ flatAfter: 800 }), lacquer()] }));
    const [flat, rinse, next] = [
      steps(result, 'flat')[0],
      steps(result, 'rinse')[0],
      steps(result, 'coat').find((step) => step.coat?.layerId === 'colour'),
    ];
    expect(at(flat)).toBeLessThan(at(rinse));
    expect(at(rinse)).toBeLessThan(at(next));
  });
});

describe('old paint that is kept', () => {
  it.each<[string, Partial<Part>]>([
    ['baked enamel', { oldPaint: 'baked-enamel' }],
    ['an own coat', { oldPaint: 'own-coat', rub: 'no-change' }],
    ['household paint', { oldPaint: 'household', rub: 'no-change' }],
  ])('%s is scuffed, not stripped, and the steps say so', (_name, more) => {
    const result = planOf(part({ material: 'steel', finish: 'sound', stripMethod: 'scuff', ...more }));
    expect([...stages(result)].filter((stage) => stage === 'strip-on' || stage === 'metal-prep')).toEqual([]);
    expect(titles(result)).toMatch(/Scuff (the old|your earlier)/);
    const joint = own(result).steps.joints.find((entry) => entry.layerId === 'primer')?.joint;
    expect(joint?.below.state).not.toBe('fresh');
  });
  it('says at once that etch gains nothing on it', () => {
    const result = planOf(
      part({
        material: 'steel',
        finish: 'sound',
        stripMethod: 'scuff',
        oldPaint: 'baked-enamel',
        layers: [wanted('etch', 'etch-primer', 'primer'), lacquer()],
      }),
    );
    const joint = own(result).steps.joints.find((entry) => entry.layerId === 'etch')?.joint;
    expect(joint?.verdict).not.toBe('sits');
  });
});

describe('steel that will be painted is not bare for days', () => {
  const HOURS = 60;
  it.each<[string, Partial<Part>]>([
    ['stripped by gel', { material: 'steel', finish: 'flaking', stripMethod: 'gel' }],
    ['sanded bare', { material: 'steel', finish: 'bare' }],
    ['derusted', { material: 'steel', finish: 'bare', marks: [mark('rust-deep')] }],
    ['cast iron', { material: 'cast-iron', finish: 'flaking' }],
  ])('%s: metal prep comes last, or it waits in a dry box', (_name, more) => {
    const result = planOf(part(more));
    const prep = steps(result, 'metal-prep').at(-1);
    const first = steps(result, 'coat')[0];
    expect(first.placed).not.toBeNull();
    const wet = result.steps.filter((step) => ['wash', 'strip-off', 'rinse'].includes(step.stage) && at(step) < at(first));
    if (prep) for (const step of wet) expect(at(step)).toBeLessThan(at(prep));
    const last = result.steps
      .filter((step) => ['prep', 'clean', 'metal-prep', 'strip-off'].includes(step.stage))
      .sort((a, b) => at(a) - at(b));
    for (const [index, step] of last.slice(0, -1).entries()) {
      const next = last[index + 1];
      if (at(next) - (step.placed?.end ?? 0) > 72 * HOURS && step.stage !== 'metal-prep')
        expect([step.title, step.afterwards]).toEqual([step.title, expect.stringContaining('dry box')]);
    }
  });
  it('zinc and aluminium past their day are never a stop', () => {
    for (const material of ['zinc', 'aluminium'] as const) expect(own(planOf(part({ material, finish: 'bare' }))).stopped).toBeUndefined();
  });
});

describe('a dwell is kept', () => {
  it.each([60, 400, 1500])('for a part of %s mm: it is scraped before its longest dwell is over', (longMm) => {
    const big = part({
      material: 'steel',
      finish: 'flaking',
      stripMethod: 'gel',
      faces: [{ id: 'f', zoneId: 'all', longMm, shortMm: longMm * 0.8, count: 2, seen: true }],
    });
    const result = planOf(big);
    const on = steps(result, 'strip-on');
    const off = steps(result, 'strip-off');
    expect(on.length).toBe(off.length);
    for (const [index, step] of on.entries()) {
      if (!step.placed) continue;
      const wait = at(off[index]) - (step.placed.end ?? 0);
      expect(wait).toBeGreaterThanOrEqual(0);
      expect(wait).toBeLessThanOrEqual(4 * 60);
    }
  });
});

describe('what is not known is found out first', () => {
  it.each<[string, Part['material']]>([['body', 'unknown']])('%s of unknown material', (_name, material) => {
    const result = planOf(
      part({ material, finish: 'unknown', layers: [wanted('p', 'water-acrylic', 'primer'), wanted('c', 'water-acrylic', 'colour')] }),
    );
    const test = steps(result, 'material-test')[0];
    expect(test).toBeDefined();
    for (const step of result.steps.filter((other) => ['strip', 'strip-on', 'prep', 'coat'].includes(other.stage) && other.placed))
      expect(at(test)).toBeLessThanOrEqual(at(step));
  });
});

describe('a piece that is preserved', () => {
  const preserved = (more: Partial<Part> = {}, events: LogEvent[] = []) =>
    planOf(part({ layers: [], ...more }), events, { aim: 'preserve' } as Partial<Piece>);
  it.each<[string, Partial<Part>]>([
    ['tinplate with printing', { material: 'tinplate', printed: true, finish: 'sound' }],
    ['flaking steel', { material: 'steel', finish: 'flaking', marks: [mark('chip'), { ...mark('dent'), id: 'n' }] }],
    ['bare brass', { material: 'brass', finish: 'bare' }],
  ])('%s is not stripped, filled or repainted', (_name, more) => {
    const result = preserved(more);
    expect(titles(result)).not.toMatch(/strip|gel|sand with|fill,|primer|coat \d/i);
    expect(stages(result).has('corner')).toBe(true);
  });
  it('is left as it is when the corner says so', () => {
    const corner: LogEvent = { id: 'c', at: toIso(NOW - 30), kind: 'corner', pieceId: 'bell', outcome: 'leave' };
    const before = preserved({ material: 'tinplate', printed: true, finish: 'sound' });
    const after = preserved({ material: 'tinplate', printed: true, finish: 'sound' }, [corner]);
    expect(after.steps.length).toBeLessThan(before.steps.length);
  });
  it('goes by the last word of its own corner, whatever else is logged', () => {
    const toy = { material: 'tinplate', printed: true, finish: 'sound' } as const;
    const corner = (id: string, outcome: 'leave' | 'go-on', ago: number, pieceId = 'bell'): LogEvent => ({
      id,
      at: toIso(NOW - ago),
      kind: 'corner',
      pieceId,
      outcome,
    });
    const note: LogEvent = { id: 'n', at: toIso(NOW - 1), kind: 'note', pieceId: 'bell', text: 'dusty' };
    const titlesAfter = (...events: LogEvent[]) => titles(preserved(toy, events));
    const left = titlesAfter(corner('a', 'leave', 30));
    expect(titlesAfter(corner('a', 'leave', 30), note)).toBe(left);
    expect(titlesAfter(corner('a', 'leave', 30), corner('b', 'go-on', 10))).not.toBe(left);
    expect(titlesAfter(corner('o', 'leave', 30, 'another'))).toBe(titlesAfter());
    expect(titlesAfter(note)).toBe(titlesAfter());
  });
});
