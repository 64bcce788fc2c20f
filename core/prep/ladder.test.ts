import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Mark, newPart, type Part } from '#core/facts/index';
import {
  advisedMend,
  cleaningPlan,
  coarsestHidden,
  FINISH_GRITS,
  finishRange,
  gateItems,
  GOOD_RATIO,
  GRAIN_UM,
  GRITS,
  gritLadder,
  gritsForMark,
  gritsToBuy,
  type NextCoat,
  mendOf,
  mendRefused,
  mendsFor,
  nextCoatOf,
  repairSteps,
  scratchUm,
  startGrit,
  surfaceOf,
  WORST_RATIO,
} from './index.ts';

describe('grit ladder', () => {
  it('is the shortest with every ratio at most two', () => {
    expect(gritLadder(240, 'fine-primer')?.grits).toEqual([240, 400]);
    expect(gritLadder(80, 'colour')?.grits).toEqual([80, 120, 180, 320, 600]);
    expect(gritLadder(400, 'fine-primer')?.grits).toEqual([400]);
  });
  it('takes a wider step only where the grits owned leave no other, and says so when none is left', () => {
    expect(gritLadder(80, 'epoxy', [80, 180])?.ratios[0]).toBeCloseTo(201 / 82, 3);
    expect(gritLadder(80, 'colour', [80, 800])).toBeNull();
  });
  it('never breaks the ratio and always ends where the next coat wants it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRITS), fc.constantFrom(...(Object.keys(FINISH_GRITS) as NextCoat[])), (from, next) => {
        const ladder = gritLadder(from, next);
        if (!ladder) return;
        for (const ratio of ladder.ratios) expect(ratio).toBeLessThanOrEqual(GOOD_RATIO + 1e-9);
        expect(ladder.grits.at(-1)).toBeGreaterThanOrEqual(Math.min(FINISH_GRITS[next][0], from));
        expect(ladder.grits.every((grit) => GRAIN_UM[grit] !== undefined)).toBe(true);
      }),
      { seed: 3, numRuns: 200 },
    );
  });
});

const NEXTS = Object.keys(FINISH_GRITS) as NextCoat[];

/** Every ladder there is, by trying them all: shortest first, then the smallest worst ratio. */
function bruteLadder(start: number, next: NextCoat, owned: readonly number[], limit: number): { length: number; worst: number } | null {
  const [coarsest, finest] = FINISH_GRITS[next];
  const papers = [...new Set([start, ...owned])].filter((grit) => grit >= start).sort((a, b) => a - b);
  let best: { length: number; worst: number } | null = null;
  const walk = (grit: number, length: number, worst: number) => {
    if (grit >= coarsest && (grit <= finest || grit === start)) {
      if (!best || length < best.length || (length === best.length && worst < best.worst - 1e-12)) best = { length, worst };
    }
    if (best && length >= best.length) return;
    for (const finer of papers.filter((paper) => paper > grit)) {
      const ratio = GRAIN_UM[grit] / GRAIN_UM[finer];
      if (ratio <= limit + 1e-9) walk(finer, length + 1, Math.max(worst, ratio));
    }
  };
  walk(start, 1, 1);
  return best;
}

describe('the exact search', () => {
  it('finds what trying every ladder finds, from any papers', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRITS), fc.constantFrom(...NEXTS), fc.subarray(GRITS, { minLength: 1 }), (from, next, owned) => {
        const got = gritLadder(from, next, owned);
        const exact = bruteLadder(from, next, owned, GOOD_RATIO) ?? bruteLadder(from, next, owned, WORST_RATIO);
        expect(got === null).toBe(exact === null);
        if (!got || !exact) return;
        expect(got.grits.length).toBe(exact.length);
        expect(Math.max(1, ...got.ratios)).toBeCloseTo(exact.worst, 9);
      }),
      { seed: 5, numRuns: 60 },
    );
  });
  it('names papers that make a ladder where there is none', () => {
    expect(gritsToBuy(80, 'epoxy', [80])).toEqual([180]);
    fc.assert(
      fc.property(fc.constantFrom(...GRITS), fc.constantFrom(...NEXTS), fc.subarray(GRITS), (from, next, owned) => {
        const buy = gritsToBuy(from, next, owned);
        expect(gritLadder(from, next, [...owned, ...buy])).not.toBeNull();
        expect(buy.length === 0).toBe(gritLadder(from, next, owned) !== null);
      }),
      { seed: 9, numRuns: 100 },
    );
  });
  it('never lets a thinner primer film end on a coarser paper', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NEXTS),
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (next, film, share) => {
          expect(finishRange(next, film * share)[0]).toBeGreaterThanOrEqual(finishRange(next, film)[0]);
        },
      ),
      { seed: 4, numRuns: 200 },
    );
  });
  it('hides scratches of a fifth of the grain under half the film', () => {
    expect(scratchUm(400)).toBeCloseTo(7, 9);
    expect(coarsestHidden(24)).toBe(240);
    expect(coarsestHidden(1)).toBeNull();
  });
});

const mark = (kind: Mark['kind'], severity: Mark['severity'] = 'marked', more: Partial<Mark> = {}): Mark => ({
  id: kind,
  kind,
  severity,
  where: 'left',
  ...more,
});
const part = (more: Partial<Part> = {}): Part =>
  newPart({
    id: 'a',
    name: 'Hull',
    material: 'steel',
    faces: [{ id: 'f', zoneId: 'all', longMm: 300, shortMm: 100, count: 2, seen: true }],
    ...more,
  });

describe('from the surface to its papers', () => {
  const bare = { keepsPaint: false, stripped: false };
  const fine = { family: 'lacquer-primer', role: 'fine-primer' } as const;
  it('begin by what the whole face is, not by its worst mark', () => {
    const gouged = part({ marks: [mark('gouge', 'deep')] });
    expect(startGrit(gouged, { ...bare, stripped: true }, 400).grit).toBe(240);
    expect(startGrit(gouged, bare, 400).grit).toBe(400);
    expect(startGrit(gouged, { ...bare, keepsPaint: true }, 400).grit).toBe(400);
    expect(startGrit(part({ material: 'wood' }), bare, 400).grit).toBe(180);
    expect(startGrit(part({ material: 'resin', surface: '3d-printed' }), bare, 400).grit).toBe(240);
    expect(startGrit(part({ marks: [mark('rust-light')] }), bare, 400).grit).toBe(240);
  });
  it('grind a mark where it is, up to the paper that goes over the rest', () => {
    const own = part({ marks: [mark('pitting', 'deep')] });
    const surface = surfaceOf(own, { ...bare, stripped: true, first: fine, primerFilmUm: 24 });
    expect(surface.ladder?.grits).toEqual([240, 400]);
    expect(gritsForMark(mark('pitting', 'deep'), own, surface)[0]).toBe(80);
    expect(Math.max(...gritsForMark(mark('pitting', 'deep'), own, surface))).toBeLessThan(240);
    const small = part({ material: 'zinc', faces: [{ id: 'f', zoneId: 'all', longMm: 70, shortMm: 30, count: 5, seen: true }] });
    const fineSurface = surfaceOf(small, { ...bare, stripped: true, fine: true, first: fine, primerFilmUm: 24 });
    expect(fineSurface.ladder?.grits).toEqual([600]);
    expect(gritsForMark(mark('pitting', 'deep'), small, fineSurface)[0]).toBe(320);
    const bracket = { ...small, material: 'steel' as const };
    expect(gritsForMark(mark('pitting', 'deep'), bracket, surface)[0]).toBe(180);
    expect(gritsForMark(mark('mould-line'), own, surface)).toEqual([]);
    expect(gritsForMark(mark('gouge', 'deep', { mend: 'leave' }), own, surface)).toEqual([]);
  });
  it('end where the next coat wants it and say which scratches the primer hides', () => {
    const surface = surfaceOf(part(), { ...bare, stripped: true, first: fine, primerFilmUm: 24 });
    expect(surface.rungs.map((rung) => rung.hidden)).toEqual([true, true]);
    expect(surfaceOf(part(), { ...bare, stripped: true, first: fine, primerFilmUm: 24, owned: [240, 1000] }).buy.length).toBeGreaterThan(0);
  });
  it('take no paper on grain, on what stays, and on washed kit plastic', () => {
    const asked = { ...bare, first: fine, primerFilmUm: 24 };
    const padOf = (more: Partial<Part>) => surfaceOf(part(more), asked).noPaper?.pad;
    expect(padOf({ material: 'abs', surface: 'grained' })).toBe('grey');
    expect(padOf({ material: 'clear', staysClear: true })).toBe('none');
    expect(padOf({ material: 'plated-plastic', staysPlated: true })).toBe('none');
    expect(padOf({ material: 'tinplate', printed: true })).toBe('none');
    expect(padOf({ material: 'polystyrene' })).toBe('none');
    expect(padOf({ material: 'polystyrene', finish: 'sound' })).toBeUndefined();
    expect(padOf({ material: 'abs' })).toBeUndefined();
  });
  it('knows the coat that comes next', () => {
    expect(nextCoatOf({ family: 'etch-primer', role: 'primer' }, 'steel')).toBe('etch');
    expect(nextCoatOf({ family: 'candy', role: 'colour' }, 'aluminium')).toBe('bare-transparent');
    expect(nextCoatOf({ family: 'lacquer-primer', role: 'filler-primer' }, 'zinc')).toBe('filler-primer');
    expect(nextCoatOf({ family: 'solvent-base', role: 'metallic' }, 'zinc')).toBe('metallic');
  });
});

describe('repairs', () => {
  const clear = { leadExcluded: true };
  const size = { copyCm2: 100, copies: 1, factor: 1 };
  it('are advised by mark, material and shape', () => {
    expect(advisedMend(mark('rust-deep'), part(), clear)).toBe('rust-soak');
    const rod = part({ faces: [{ id: 'f', zoneId: 'all', longMm: 200, shortMm: 8, count: 4, seen: true }] });
    expect(advisedMend(mark('rust-light'), rod, clear)).toBe('rust-spin');
    expect(advisedMend(mark('gouge'), part({ material: 'abs' }), clear)).toBe('glue-build-up');
    expect(advisedMend(mark('bent'), part({ material: 'zinc' }), clear)).toBe('leave');
    expect(advisedMend(mark('missing'), part(), clear)).toBe('replace');
  });
  it('of cracked or worn glazing are none that ruin it', () => {
    const glazing = part({ material: 'clear', staysClear: true });
    expect(mendsFor(glazing, clear).sort()).toEqual(['dip', 'glue', 'leave', 'polish', 'replace']);
    expect(advisedMend(mark('crack'), glazing, clear)).toBe('replace');
    expect(advisedMend(mark('crack', 'slight'), glazing, clear)).toBe('leave');
    expect(advisedMend(mark('scratch', 'slight'), glazing, clear)).toBe('polish');
    expect(advisedMend(mark('gouge'), glazing, clear)).toBe('leave');
  });
  it('of plating and printing that stay are to leave or to replace', () => {
    for (const stays of [{ staysPlated: true }, { printed: true }])
      for (const kind of ['scratch', 'rust-light', 'crack', 'dent'] as const)
        expect(['leave', 'replace']).toContain(advisedMend(mark(kind), part(stays), clear));
  });
  it('keep every veto: lead, magnesium, grain and celluloid', () => {
    const painted = part({ finish: 'flaking' });
    for (const mend of ['rust-brush', 'rust-spin'] as const) {
      expect(mendRefused(mend, painted, { leadExcluded: false })).toContain('Lead');
      expect(mendRefused(mend, painted, clear)).toBeNull();
      expect(mendRefused(mend, part(), { leadExcluded: false })).toBeNull();
    }
    for (const mend of ['metal-prep', 'rust-soak', 'sand', 'polish'] as const)
      expect(mendRefused(mend, part({ material: 'magnesium' }), clear)).toContain('Magnesium');
    expect(mendRefused('sand', part({ surface: 'grained' }), clear)).toContain('grain');
    expect(mendRefused('straighten', part({ material: 'clear', stops: ['celluloid'] }), clear)).toContain('Celluloid');
    expect(mendRefused('metal-prep', part({ material: 'wood' }), clear)).toContain('rust');
  });
  it('turn to another way when a soak has twice brought hardly anything', () => {
    const tried = (...outcomes: ('clean' | 'most' | 'little')[]) => ({
      ...clear,
      tried: outcomes.map((outcome) => ({ mend: 'rust-soak' as const, outcome })),
    });
    expect(mendOf(mark('rust-deep'), part(), tried('little'))).toBe('rust-soak');
    expect(mendOf(mark('rust-deep'), part(), tried('little', 'most'))).toBe('rust-soak');
    expect(mendOf(mark('rust-deep'), part(), tried('little', 'little'))).toBe('rust-brush');
    expect(mendOf(mark('rust-deep', 'deep', { mend: 'rust-soak' }), part(), tried('little', 'little'))).toBe('rust-brush');
  });
  it('have their waits and cautions', () => {
    const steps = (mend: Parameters<typeof repairSteps>[0]['mend'], more: Partial<Part> = {}) =>
      repairSteps({ mend, part: part(more), size, where: 'left', grits: [180] });
    expect(steps('filler')[0].sets?.[0]).toBe(45);
    expect(steps('glue-build-up')[0].sets?.[0]).toBe(180);
    expect(steps('straighten', { material: 'vinyl' })[0].hazards).toContain('heat');
    expect(steps('metal-prep')[1]).toMatchObject({ detail: expect.stringContaining('etch'), asks: true });
    expect(steps('rust-soak')[1]).toMatchObject({ asks: true, bares: true });
    expect(steps('sand')[0]).toMatchObject({ title: 'Sand it out with P180, left', bares: true });
    expect(steps('polish', { staysClear: true })[0].hazards).toEqual([]);
    expect(steps('leave')).toEqual([]);
  });
  it('of a mark take no longer on a large face than on a palm', () => {
    const minutes = (copyCm2: number) =>
      repairSteps({ mend: 'sand', part: part(), size: { ...size, copyCm2 }, where: '', grits: [120, 180] })[0].minutes;
    expect(minutes(20_000)).toBe(minutes(60));
    expect(minutes(10)).toBeLessThan(minutes(60));
  });
});

describe('gate and cleaning', () => {
  it('lists what this part has, and the water break on metal', () => {
    const items = gateItems(
      part({ features: [{ id: 'countersinks', kind: 'countersinks', count: 2 }], marks: [mark('gouge')] }),
      true,
      () => ({ leadExcluded: true }),
    );
    expect(items.some((item) => item.includes('Countersink 2 of 2'))).toBe(true);
    expect(items.some((item) => item.includes('gouge, left'))).toBe(true);
    expect(items.at(-1)).toContain('Water break');
    expect(gateItems(part({ material: 'abs' }), false, () => ({ leadExcluded: true })).some((item) => item.includes('Water break'))).toBe(
      false,
    );
  });
  it('names the cleaners a material does not bear', () => {
    const names = (...args: Parameters<typeof cleaningPlan>) => cleaningPlan(...args).forbidden.map(({ name }) => name);
    expect(names('abs', { keepsPaint: false })).toContain('acetone');
    expect(names('steel', { keepsPaint: true })).toEqual(expect.arrayContaining(['acetone', 'plastic prep cleaner']));
    expect(names('zinc', { keepsPaint: true, below: 'water-acrylic' })).toContain('isopropyl alcohol');
    expect(cleaningPlan('steel', { keepsPaint: false, order: 'spirit-first' }).steps[0]).toContain('spirit');
    expect(cleaningPlan('steel', { keepsPaint: false }).steps[0]).toContain('detergent');
  });
});
