import { describe, expect, it } from 'vitest';
import { type Material, MATERIALS, newPart, newPiece, type Part, type Piece, STRIP_METHODS, type StripMethod } from '#core/facts/index';
import {
  PAPER_PRICE,
  methodCost,
  methodMinutes,
  afterApplication,
  applicationsOf,
  assemblyVerdict,
  bathOf,
  dwellOn,
  learnedDwell,
  looksAt,
  offMinutes,
  onMinutes,
  refusedMethod,
  stripMethods,
  stripOptions,
  type StripScope,
  stripVerdict,
  withAllowedMethods,
} from './index.ts';

const TABLE = `
gel        ok ok care ok ok never care never never ok
chlorinated care care care care care never never never never care
caustic    care ok care never ok care ok never care never
alkaline   care ok care care care test ok care care never
alcohol    ok ok test ok ok test ok care test care
wet-sand   ok ok care ok ok ok ok care care care
brush      ok ok care care ok never never never never never
blast      care ok never care care never never never never never
heat       never never never never never never never never never never`;
const COLUMNS = ['zinc', 'steel', 'tinplate', 'aluminium', 'brass', 'polystyrene', 'pp', 'rubber', 'plated-plastic', 'wood'] as const;

describe('strip verdicts', () => {
  for (const line of TABLE.trim().split('\n')) {
    const [method, ...verdicts] = line.split(/\s+/);
    it(`judges ${method} as the table does, lead excluded`, () => {
      const got = COLUMNS.map((material) => stripVerdict({ material, finish: 'sound', leadExcluded: true }, method as StripMethod).verdict);
      expect(got).toEqual(verdicts);
    });
  }

  it('never blasts, brushes or heats while lead is not excluded, and no one may override it', () => {
    for (const material of MATERIALS) {
      for (const method of ['blast', 'brush', 'heat'] as const) {
        expect(stripVerdict({ material, finish: 'sound' }, method)).toMatchObject({ verdict: 'never', noOverride: true });
      }
    }
  });
  it('keeps caustic from aluminium, magnesium, galvanised and the unknown', () => {
    for (const material of ['aluminium', 'magnesium', 'galvanised', 'unknown'] as const) {
      expect(stripVerdict({ material, leadExcluded: true }, 'caustic')).toMatchObject({ verdict: 'never', noOverride: true });
    }
  });
  it('gives an unknown material the worst of all', () => {
    expect(stripVerdict({ material: 'unknown', finish: 'sound' }, 'gel').verdict).toBe('never');
    expect(stripVerdict({ material: 'unknown', finish: 'sound' }, 'alcohol').verdict).toBe('care');
  });
  it('minds flaking paint, printing and glazing', () => {
    expect(stripVerdict({ material: 'steel', finish: 'flaking' }, 'scuff').verdict).toBe('never');
    expect(stripVerdict({ material: 'tinplate', finish: 'sound', stays: 'printed' }, 'gel').verdict).toBe('never');
  });
  it('asks for a test patch when unsure, none where nothing is removed', () => {
    expect(stripVerdict({ material: 'zinc', finish: 'unknown' }, 'gel').testPatch).toBe('required');
    expect(stripVerdict({ material: 'zinc', finish: 'sound' }, 'gel').testPatch).toBe('offered');
    expect(stripVerdict({ material: 'zinc', finish: 'sound' }, 'scuff').testPatch).toBe('no');
    expect(stripVerdict({ material: 'abs', finish: 'sound' }, 'gel').testPatch).toBe('no');
  });
  it('only washes what stays clear, plated or printed, by whatever method', () => {
    for (const stays of ['clear', 'plated', 'printed'] as const)
      for (const material of ['clear', 'plated-plastic', 'tinplate', 'steel'] as const) {
        for (const method of STRIP_METHODS)
          expect(stripVerdict({ material, finish: 'sound', stays, leadExcluded: true }, method).verdict).toBe('never');
        expect(stripMethods({ material, finish: 'sound', stays }).advised).toBeNull();
      }
  });
  it('lets nothing but gel and wet scuffing near magnesium, whoever insists', () => {
    for (const method of STRIP_METHODS) {
      const verdict = stripVerdict({ material: 'magnesium', finish: 'sound', leadExcluded: true }, method);
      if (method === 'gel' || method === 'scuff') expect(verdict.verdict).toBe('ok');
      else expect(verdict).toMatchObject({ verdict: 'never', noOverride: true });
    }
  });
  it('keeps paper, brush and blast from grain, and scuffs it with a pad', () => {
    for (const method of ['wet-sand', 'brush', 'blast'] as const)
      expect(stripVerdict({ material: 'steel', finish: 'sound', grained: true, leadExcluded: true }, method).verdict).toBe('never');
    expect(stripVerdict({ material: 'abs', finish: 'sound', grained: true }, 'scuff')).toMatchObject({ verdict: 'ok' });
  });
});

describe('the advised method', () => {
  const scope = (copyCm2: number, more: Partial<StripScope> = {}): StripScope => ({ size: { copyCm2, copies: 1, factor: 1 }, ...more });
  it('keeps sound paint wherever bare metal is not wanted', () => {
    for (const material of ['steel', 'zinc', 'aluminium', 'wood'] as const) {
      expect(stripMethods({ material, finish: 'sound' }).advised).toBe('scuff');
      expect(stripMethods({ material, finish: 'sound', toBare: true }).advised).not.toBe('scuff');
      expect(stripMethods({ material, finish: 'flaking' }).advised).not.toBe('scuff');
    }
  });
  it('is the one that asks least of those that are right', () => {
    const flaking = { material: 'steel', finish: 'flaking', leadExcluded: false } as const;
    expect(stripMethods(flaking).advised).toBe('gel');
    // Paper to bare is for a palm of area, or where no stripper serves.
    expect(stripMethods(flaking, [], scope(1200, { plain: true })).advised).toBe('gel');
    expect(stripMethods(flaking, [], scope(90, { plain: true })).advised).toBe('wet-sand');
    expect(stripMethods(flaking, ['gel'], scope(1200, { plain: true })).advised).toBe('wet-sand');
    expect(stripMethods(flaking, [], scope(1200, { fitsTub: true, bathLitres: 6 })).advised).toBe('caustic');
    expect(stripMethods({ ...flaking, leadExcluded: true }, [], scope(1200, { plain: true })).advised).toBe('brush');
  });
  it('takes no plating that nobody gave up', () => {
    const plated = { material: 'plated-plastic', finish: 'unknown' } as const;
    for (const method of ['caustic', 'alkaline'] as const) {
      expect(stripVerdict(plated, method).verdict).toBe('care');
      expect(stripVerdict({ ...plated, platingKept: true }, method).verdict).toBe('never');
    }
  });
  it('is no bath that the part does not fit, nor one where no tub is known', () => {
    const question = { material: 'steel', finish: 'flaking' } as const;
    expect(stripMethods(question, [], scope(1200, { fitsTub: false, bathLitres: 30 })).advised).toBe('gel');
    expect(stripMethods(question, [], scope(1200)).advised).toBe('gel');
  });
  it('soaks in alcohol only what alcohol takes off', () => {
    const tub = scope(60, { fitsTub: true, bathLitres: 0.4 });
    const without = ['alkaline', 'gel', 'caustic'] as const;
    expect(stripMethods({ material: 'zinc', finish: 'flaking', oldPaint: 'household' }, without, tub).advised).toBe('alcohol');
    expect(stripMethods({ material: 'zinc', finish: 'flaking', oldPaint: 'baked-enamel' }, without, { ...tub, plain: true }).advised).toBe(
      'wet-sand',
    );
  });
  it('is never a chlorinated remover, and nothing where the surface is bare', () => {
    for (const material of MATERIALS) {
      for (const plain of [true, false])
        expect(stripMethods({ material, leadExcluded: true }, [], scope(400, { plain, fitsTub: true })).advised).not.toBe('chlorinated');
      expect(stripMethods({ material, finish: 'bare' }).advised).toBeNull();
    }
  });
});

describe('minutes by area', () => {
  const size = (copyCm2: number, copies = 1, factor = 1) => ({ copyCm2, copies, factor });
  it('scrape 150 cm² in 16 minutes, 3,200 cm² in 114, and scuff a face of 1.3 × 1.2 m in 29', () => {
    expect(offMinutes('gel', size(150))).toBeCloseTo(15.6, 1);
    expect(offMinutes('gel', size(3200))).toBeCloseTo(114, 0);
    expect(offMinutes('scuff', size(15_600))).toBeCloseTo(29.1, 1);
  });
  it('take 0.4 of the first for every later application, double for holes, and add copies', () => {
    expect(offMinutes('gel', size(400), 2)).toBeCloseTo(0.4 * offMinutes('gel', size(400)), 9);
    expect(offMinutes('gel', size(400, 1, 2))).toBeCloseTo(2 * offMinutes('gel', size(400)), 9);
    expect(offMinutes('gel', size(400, 3))).toBeCloseTo(3 * offMinutes('gel', size(400)), 9);
  });
  it('hand a bath in and out in eight minutes whatever its size', () => {
    for (const cm2 of [20, 400, 9000]) expect(onMinutes('caustic', size(cm2)) + offMinutes('caustic', size(cm2))).toBe(8);
  });
});

const part = (id: string, material: Material, more: Partial<Part> = {}): Part =>
  newPart({
    id,
    name: id,
    material,
    finish: 'sound',
    faces: [{ id: 'f', zoneId: 'all', longMm: 100, shortMm: 100, count: 1, seen: true }],
    ...more,
  });
const piece = (parts: Part[], more: Partial<Piece> = {}): Piece =>
  newPiece({
    id: 'p',
    name: 'Buoy',
    looksLike: 'cast-body',
    longestMm: 100,
    createdAt: '2026-12-01T19:00:00Z',
    leadExcluded: true,
    parts,
    ...more,
  });

describe('materials that follow another', () => {
  it('judges galvanised as the worse of steel and zinc, and each plastic as its kin', () => {
    for (const method of STRIP_METHODS) {
      const as = (material: Material) => stripVerdict({ material, finish: 'sound', leadExcluded: true }, method).verdict;
      const rank = ['ok', 'test', 'care', 'never'];
      const worse = rank[Math.max(rank.indexOf(as('steel')), rank.indexOf(as('zinc')))];
      expect(as('galvanised')).toBe(method === 'caustic' ? 'never' : worse);
      expect(as('cast-iron')).toBe(as('steel'));
      for (const plastic of ['abs', 'resin'] as const) expect(as(plastic)).toBe(as('polystyrene'));
      for (const soft of ['vinyl', 'clear'] as const) if (method !== 'scuff') expect(as(soft)).toBe(as('rubber'));
    }
    expect(stripVerdict({ material: 'galvanised', finish: 'sound', leadExcluded: true }, 'blast').verdict).toBe('care');
  });
  it('gives several materials the worst verdict of all', () => {
    const both = stripVerdict({ material: 'steel', alsoMaterials: ['aluminium'], finish: 'sound', leadExcluded: true }, 'caustic');
    expect(both).toMatchObject({ verdict: 'never', noOverride: true });
    expect(assemblyVerdict([part('frame', 'steel'), part('cap', 'abs')], piece([]), 'gel')).toMatchObject({ verdict: 'never' });
    expect(assemblyVerdict([part('frame', 'steel'), part('cap', 'abs')], piece([]), 'gel').because).toContain('cap');
  });
  it('keeps solvent from celluloid, whoever insists', () => {
    for (const method of ['gel', 'alcohol', 'chlorinated'] as const)
      expect(stripVerdict({ material: 'clear', celluloid: true, leadExcluded: true }, method)).toMatchObject({
        verdict: 'never',
        noOverride: true,
      });
  });
});

describe('a bath', () => {
  it('takes together what it harms not, and nothing of unknown material', () => {
    const mixed = piece([
      part('frame', 'steel'),
      part('arm', 'aluminium'),
      part('knob', 'unknown'),
      part('pin', 'brass', { finish: 'bare' }),
    ]);
    const bath = bathOf(mixed, 'caustic');
    expect(bath.together.map((own) => own.id)).toEqual(['frame']);
    expect(bath.out.map(({ part: own }) => own.id)).toEqual(['arm', 'knob']);
  });
  it('is shared by nothing plated, printed or unknown, and lasts as long as its weakest bears', () => {
    const mixed = piece([
      part('frame', 'steel'),
      part('cap', 'zinc'),
      part('knob', 'plated-plastic'),
      part('plate', 'tinplate', { printed: true }),
      part('badge', 'brass', { staysPlated: true }),
      part('arm', 'steel', { alsoMaterial: 'unknown' }),
    ]);
    const bath = bathOf(mixed, 'alkaline');
    expect(bath.together.map((own) => own.id)).toEqual(['frame', 'cap']);
    expect(bath.dwell?.most).toBe(240);
    expect(bathOf(piece([]), 'alkaline').dwell).toBeNull();
    for (const left of [{ finish: 'bare' as const }, { maskedInPlace: true }, { gone: true }])
      expect(bathOf(piece([part('frame', 'steel'), part('pin', 'steel', left)]), 'alkaline').together.map((own) => own.id)).toEqual([
        'frame',
      ]);
  });
});

describe('what a method asks in all', () => {
  const question = { material: 'steel' as const, finish: 'flaking' as const, leadExcluded: true };
  const scope = { size: { copyCm2: 150, copies: 1, factor: 1 }, bathLitres: 1, fitsTub: true };
  it.each<[string, StripMethod, object]>([
    ['more bath to fill', 'alkaline', { bathLitres: 10 }],
    ['more bath of caustic', 'caustic', { bathLitres: 10 }],
    ['more coats to take off', 'gel', { oldCoats: 5 }],
    ['more parts', 'gel', { size: { ...scope.size, copies: 4 } }],
    ['a larger part', 'wet-sand', { size: { ...scope.size, copyCm2: 900 } }],
  ])('grows with %s', (_name, method, more) => {
    expect(methodCost(method, question, { ...scope, ...more })).toBeGreaterThan(methodCost(method, question, scope));
  });
  it.each<StripMethod>(['gel', 'alkaline', 'caustic'])('counts the waiting and the stripper of %s beside its minutes', (method) => {
    const own = methodCost(method, question, scope);
    const dry = methodMinutes(method, scope.size, applicationsOf(method, question));
    expect(own).toBeGreaterThan(dry);
    // An hour's worth of money is an hour; a minute of waiting is next to nothing.
    const litres = (methodCost(method, question, { ...scope, bathLitres: 3 }) - own) / 2;
    expect(method === 'gel' ? litres === 0 : litres > 1).toBe(true);
  });
});

describe('what a method costs', () => {
  const steel = (longMm: number, shortMm: number) =>
    part('panel', 'steel', { faces: [{ id: 'f', zoneId: 'all', longMm, shortMm, count: 2, seen: true }] });
  const costOf = (own: Part, method: StripMethod, scope: Partial<StripScope> = {}) => {
    const size = { copyCm2: (2 * own.faces[0].longMm * own.faces[0].shortMm) / 100, copies: 1, factor: 1 };
    return stripOptions(own, { leadExcluded: true, parts: [] }, { size, ...scope }).options.find((row) => row.method === method)?.cost ?? 0;
  };
  it.each<[number, number, number]>([
    [100, 80, 2],
    [300, 200, 5],
    [1300, 1200, 40],
  ])('counts the papers of a panel of %i × %i mm', (long, short, sheets) => {
    const quarters = costOf(steel(long, short), 'wet-sand') / PAPER_PRICE;
    expect(quarters).toBeGreaterThan(sheets * 0.6);
    expect(quarters).toBeLessThan(sheets * 2);
    expect(costOf(steel(long, short), 'scuff')).toBeCloseTo(costOf(steel(long, short), 'wet-sand') / 2, -1);
    expect(costOf(steel(long, short), 'brush')).toBe(0);
  });
  it('fills a bath once, however often the part goes in', () => {
    const thrice = part('frame', 'steel', { oldCoats: 4 });
    expect(costOf({ ...steel(100, 80), ...thrice, faces: steel(100, 80).faces }, 'alkaline', { bathLitres: 2, oldCoats: 4 })).toBe(
      costOf(steel(100, 80), 'alkaline', { bathLitres: 2 }),
    );
  });
});

describe('applications and dwell', () => {
  it('grow with the layers that show, and fall for loose paint', () => {
    expect(applicationsOf('gel', { finish: 'flaking' })).toBe(1);
    expect(applicationsOf('gel', { finish: 'sound' })).toBe(2);
    expect(applicationsOf('gel', { finish: 'sound', oldCoats: 3 })).toBe(3);
    expect(applicationsOf('wet-sand', { finish: 'sound', oldCoats: 3 })).toBe(1);
  });
  it('are short where the metal is attacked', () => {
    expect(dwellOn('caustic', 'zinc').most).toBe(5);
    expect(dwellOn('caustic', 'steel')).toEqual({ least: 5, usual: 15, most: 30 });
    expect(dwellOn('alkaline', 'aluminium').most).toBe(30);
  });
  it('are looked at each quarter', () => expect(looksAt(40)).toEqual([10, 20, 30, 40]));
  it('are doubled in minutes by perforated sheet', () => {
    const minutes = (perforated: boolean) =>
      stripOptions(part('a', 'steel'), piece([]), { size: { copyCm2: 100, copies: 1, factor: perforated ? 2 : 1 } }).options.find(
        (row) => row.method === 'gel',
      )?.minutes ?? 0;
    expect(minutes(true) - minutes(false)).toBeCloseTo(1.4 * 12, 0);
  });
  it('are learned from what came off, pulled towards the usual', () => {
    const clean = (dwellMinutes: number) => ({ method: 'gel' as const, outcome: 'clean' as const, dwellMinutes });
    expect(learnedDwell([], 'gel', 'steel')).toBe(1);
    expect(learnedDwell([clean(60)], 'gel', 'steel')).toBeCloseTo(2 ** (1 / 5), 6);
    expect(
      learnedDwell(
        Array.from({ length: 40 }, () => clean(60)),
        'gel',
        'steel',
      ),
    ).toBeGreaterThan(1.8);
  });
});

describe('after an application', () => {
  const progress = (...outcomes: ['clean' | 'most' | 'little', number][]) =>
    afterApplication(
      outcomes.map(([outcome, dwellMinutes]) => ({ method: 'gel', outcome, dwellMinutes })),
      'steel',
    );
  it('is done when clean and goes on once more when most came off', () => {
    expect(progress()).toBeNull();
    expect(progress(['most', 30], ['clean', 30])).toEqual({ next: 'done' });
    expect(progress(['most', 30])).toMatchObject({ next: 'again' });
  });
  it('dwells longer when little came off, then changes the method, never the strength', () => {
    expect(progress(['little', 30])).toMatchObject({ next: 'again', dwellMinutes: 120 });
    expect(progress(['little', 30], ['little', 120])).toMatchObject({ next: 'change' });
    expect(progress(['little', 1000])).toMatchObject({ next: 'change' });
    expect(progress(['most', 9], ['most', 9], ['most', 9], ['most', 9])).toMatchObject({ next: 'change' });
  });
});

describe('what is never done', () => {
  it('no aluminium part can hold a caustic bath by any path', () => {
    for (const also of [undefined, 'steel'] as const) {
      const own = part('a', 'aluminium', { stripMethod: 'caustic', iKnow: ['caustic'], ...(also ? { alsoMaterial: also } : {}) });
      expect(refusedMethod(piece([own]), 'piece')?.at).toBe('piece.parts.0.stripMethod');
      expect(withAllowedMethods(piece([own])).parts[0].stripMethod).toBeUndefined();
    }
    const hidden = part('a', 'steel', { alsoMaterial: 'aluminium', stripMethod: 'caustic', iKnow: ['caustic'] });
    expect(refusedMethod(piece([hidden]), 'piece')).not.toBeNull();
  });
  it('lets plastic into gel only with the logged "I know"', () => {
    const plastic = part('a', 'abs', { stripMethod: 'gel' });
    expect(refusedMethod(piece([plastic]), 'piece')?.mend).toContain('iKnow');
    expect(refusedMethod(piece([{ ...plastic, iKnow: ['gel'] }]), 'piece')).toBeNull();
  });
  it('names every veto of old paint without exception', () => {
    for (const method of ['blast', 'brush', 'heat'] as const) {
      const own = part('a', 'steel', { stripMethod: method, iKnow: [method], finish: 'flaking' });
      expect(refusedMethod(piece([own], { leadExcluded: false }), 'piece')).not.toBeNull();
    }
  });
  it('turns to the next where evidence has ruled one out', () => {
    expect(stripMethods({ material: 'steel', finish: 'sound' }, ['scuff', 'gel']).advised).toBe('alcohol');
  });
});
