import { conditionsOf, DryingClocks } from '#core/drying/index';
import type { Facts, Layer, LogEvent, Part, Piece } from '#core/facts/index';
import { enamel, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { type Plan, plan, type PlannedStep } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { verifyPlan } from './index.ts';

/** One honest plan a rule, and the same plan with one step moved or one fact changed: the rule must speak, and only then. */

type Job = { readonly facts: Facts; readonly honest: Plan };
function job(own: Part, more: Partial<Piece> = {}, events: LogEvent[] = [], base: Facts = shelf): Job {
  const facts = { ...base, pieces: [piece(own, more)], events };
  return { facts, honest: plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }) };
}
const rulesOf = (tampered: Plan, facts: Facts) => verifyPlan(tampered, facts, conditionsOf(facts, NOW)).map(({ rule }) => rule);
const stepOf = ({ honest }: Job, wanted: (step: PlannedStep) => boolean): PlannedStep => {
  const found = honest.steps
    .filter((step) => step.placed && wanted(step))
    .sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0))[0];
  if (!found?.placed) throw new Error('The plan has no such step.');
  return found;
};
const moved = ({ honest }: Job, id: string, start: number): Plan => ({
  ...honest,
  steps: honest.steps.map((step) =>
    step.id === id && step.placed ? { ...step, placed: { ...step.placed, start, end: start + step.placed.end - step.placed.start } } : step,
  ),
});
const startOf = (step: PlannedStep) => step.placed?.start ?? Number.NaN;
const endOf = (step: PlannedStep) => step.placed?.end ?? Number.NaN;
const steel = (more: Partial<Part> = {}) => part({ material: 'steel', finish: 'bare', ...more });

describe('an honest plan', () => {
  it.each<[string, Job]>([
    ['of bare steel', job(steel())],
    ['of old paint on zinc', job(part({ finish: 'flaking', stripMethod: 'gel' }))],
    ['of an enamel', job(steel({ layers: [primer(), enamel()] }))],
  ])('%s breaks nothing', (_name, own) => expect(rulesOf(own.honest, own.facts)).toEqual([]));
});

describe('the order of work', () => {
  const own = job(steel());
  it.each(['wash', 'prep', 'clean'] as const)('is broken by a %s after the first coat', (stage) => {
    const coat = stepOf(own, (step) => step.coat !== undefined);
    expect(rulesOf(moved(own, stepOf(own, (step) => step.stage === stage).id, endOf(coat) + 1), own.facts)).toContain('order of work');
  });
  it('is broken by a coat after the fit', () => {
    const [fit, coat] = [
      stepOf(own, (step) => step.stage === 'fit'),
      stepOf(own, (step) => step.coat?.number === 2 && step.coat.layerId === 'colour'),
    ];
    expect(rulesOf(moved(own, coat.id, endOf(fit) + 1), own.facts)).toContain('order of work');
  });
});

describe('a parcel', () => {
  const parcels = [{ id: 'x', name: 'Tyres', price: 500, arrived: false, due: '2026-12-20' }];
  it('is broken by a fit before it has come', () => {
    const own = job(steel(), { parcels });
    const fit = stepOf(own, (step) => step.stage === 'fit');
    const sooner = stepOf(own, (step) => step.coat !== undefined);
    expect(rulesOf(moved(own, fit.id, endOf(sooner) + 3 * 1440), own.facts)).toContain('parcel');
    expect(rulesOf(own.honest, own.facts)).toEqual([]);
  });
});

describe('what was put off', () => {
  it('is broken by going on sooner', () => {
    const first = job(steel());
    const wash = stepOf(first, (step) => step.stage === 'wash');
    const wait: LogEvent = {
      id: 'w',
      at: toIso(NOW),
      kind: 'wait',
      pieceId: 'bell',
      stepKeys: [...wash.keys],
      until: toIso(NOW + 2 * 1440),
    };
    const own = job(steel(), {}, [wait]);
    const later = stepOf(own, (step) => step.stage === 'wash');
    expect(startOf(later)).toBeGreaterThanOrEqual(NOW + 2 * 1440);
    expect(rulesOf(moved(own, later.id, NOW + 10), own.facts)).toContain('put off');
    const undo: LogEvent = { id: 'u', at: toIso(NOW), kind: 'undo', undoes: 'w' };
    const takenBack = { ...own.facts, events: [...own.facts.events, undo] };
    expect(rulesOf(moved(own, later.id, NOW + 10), takenBack)).not.toContain('put off');
    const other = { ...own.facts, events: [...own.facts.events, { ...undo, undoes: 'another' }] };
    expect(rulesOf(moved(own, later.id, NOW + 10), other)).toContain('put off');
  });
});

describe('bright steel', () => {
  it('is caught primed days after it was bared, and let be in a dry box', () => {
    const own = job(steel({ rustGuard: 'prime' }));
    const coats = own.honest.steps.filter((step) => step.coat || step.stage === 'fit' || step.stage === 'scrap-test');
    const late: Plan = {
      ...own.honest,
      steps: own.honest.steps.map((step) =>
        coats.includes(step) && step.placed
          ? { ...step, placed: { ...step.placed, start: step.placed.start + 3 * 1440, end: step.placed.end + 3 * 1440 } }
          : step,
      ),
    };
    expect(rulesOf(late, own.facts)).toContain('flash rust');
    const boxed: Plan = { ...late, steps: late.steps.map((step) => (step.coat ? step : { ...step, afterwards: 'then into a dry box' })) };
    expect(rulesOf(boxed, own.facts)).not.toContain('flash rust');
  });
});

describe('steel stripped in sittings', () => {
  it('is bare from the end of the last one, though that began just as the first one ended', () => {
    const faces = [{ id: 'f', zoneId: 'all', longMm: 600, shortMm: 300, count: 2, seen: true }];
    const own = job(steel({ finish: 'flaking', stripMethod: 'wet-sand', faces }));
    const [first, ...more] = own.honest.steps.filter((step) => step.stage === 'strip').sort((a, b) => startOf(a) - startOf(b));
    let bared = endOf(first);
    let honest: Plan = { ...own.honest, steps: own.honest.steps.map((step) => ({ ...step, afterwards: undefined })) };
    for (const step of more) {
      honest = moved({ ...own, honest }, step.id, bared);
      bared += endOf(step) - startOf(step);
    }
    const sanding = stepOf(own, (step) => step.stage === 'prep');
    const dull = new DryingClocks(conditionsOf(own.facts, NOW)).flashRust(own.facts.workshop[0].sprayPlaceId, bared);
    const bareSinceStripping = (sandedAt: number) =>
      verifyPlan(moved({ ...own, honest }, sanding.id, sandedAt), own.facts, conditionsOf(own.facts, NOW)).filter(
        ({ rule, text }) => rule === 'flash rust' && text.includes('Strip by wet sanding'),
      );
    expect(more.length).toBeGreaterThan(0);
    expect(bareSinceStripping(dull - 1)).toEqual([]);
    expect(bareSinceStripping(dull + 1)).toHaveLength(1);
  });
});

describe('the recoat window', () => {
  const own = job(steel({ layers: [primer(), enamel()] }));
  const [first, second] = [1, 2].map((number) => stepOf(own, (step) => step.coat?.layerId === 'enamel' && step.coat.number === number));
  it.each([
    ['at once', 1],
    ['when it has shut', 20 * 60],
  ])('is broken %s', (_name, after) => expect(rulesOf(moved(own, second.id, endOf(first) + after), own.facts)).toContain('recoat window'));
});

describe('the air', () => {
  it('is broken by a coat in the cold', () => {
    const own = job(steel());
    const cold = { ...own.facts, places: own.facts.places.map((place) => ({ ...place, meanC: 2, meanRh: 95 })) };
    expect(rulesOf(own.honest, cold)).toContain('air');
  });
});

describe('the booth', () => {
  it('is broken by another paint within minutes', () => {
    const own = job(steel());
    const [grey, red] = [
      stepOf(own, (step) => step.coat?.layerId === 'primer' && step.coat.number === 2),
      stepOf(own, (step) => step.coat?.layerId === 'colour' && step.coat.number === 1),
    ];
    expect(rulesOf(moved(own, red.id, endOf(grey) + 1), own.facts)).toContain('booth');
  });
});

describe('a mix', () => {
  const twoPack: Layer = { id: 'hard', productId: 'hard-clear', coats: 2, covers: 'all' };
  const sheet = {
    id: 'hard-sheet',
    name: 'Hard clear',
    family: 'urethane-2k' as const,
    role: 'clear' as const,
    hand: 'airbrush' as const,
    form: 'tin' as const,
    forPlastics: false,
    isocyanate: true,
    label: { inductionMin: 10, potLifeMin: 90, hardener: { parts: 0.5 } },
    source: 'label' as const,
  };
  const product = {
    id: 'hard-clear',
    sheetId: 'hard-sheet',
    name: 'Hard clear',
    lab: { l: 95, a: 0, b: 0 },
    transparent: true,
    typicalMl: 500,
    typicalPrice: 2500,
  };
  const own = job(steel({ layers: [primer(), lacquer(), twoPack] }), {}, [], {
    ...shelf,
    sheets: [...shelf.sheets, sheet],
    products: [...shelf.products, product],
    cans: [
      ...shelf.cans,
      { id: 'c', productId: 'hard-clear', packMl: 500, leftMl: 500, leftAt: toIso(NOW - 9), opened: false, paid: 2500 },
    ],
  });
  it('is broken before its induction and after its pot life', () => {
    const mix = stepOf(own, (step) => step.stage === 'mix');
    const last = stepOf(own, (step) => step.coat?.layerId === 'hard' && step.coat.number === 2);
    expect(rulesOf(own.honest, own.facts)).toEqual([]);
    expect(rulesOf(moved(own, last.id, endOf(mix) + 5), own.facts)).toContain('induction');
    expect(rulesOf(moved(own, last.id, endOf(mix) + 200), own.facts)).toContain('pot life');
    // Its clock runs from the mix, and not from the coat that was laid of it since.
    expect(rulesOf(moved(own, last.id, endOf(mix) + 92), own.facts)).toContain('pot life');
    expect(rulesOf(moved(own, last.id, endOf(mix) + 89), own.facts)).not.toContain('pot life');
  });
});

describe('a joint', () => {
  it('is broken by a plan that lays what the ground does not bear', () => {
    const own = job(steel({ layers: [primer(), lacquer()] }));
    const styrene = { ...own.facts, pieces: [piece(part({ material: 'polystyrene', finish: 'bare' }))] };
    expect(rulesOf(own.honest, styrene)).toContain('joint');
  });
});

describe('a batch', () => {
  const own = job(steel({ layers: [primer(), lacquer()] }));
  const spared = (wanted: (step: PlannedStep) => boolean, saved: number): Plan => {
    const { id } = stepOf(own, wanted);
    return {
      ...own.honest,
      steps: own.honest.steps.map((step) => (step.id === id && step.placed ? { ...step, placed: { ...step.placed, saved } } : step)),
    };
  };
  it('is broken by set-up left out with nothing before it that shares it', () => {
    expect(
      rulesOf(
        spared(({ stage }) => stage === 'wash', 10),
        own.facts,
      ),
    ).toContain('set-up');
    expect(
      rulesOf(
        spared(({ coat }) => coat?.layerId === 'colour' && coat.number === 1, 10),
        own.facts,
      ),
    ).toContain('set-up');
  });
  it('is broken by another paint taken up in no time', () => {
    const last = stepOf(own, ({ coat }) => coat?.layerId === 'primer' && coat.number === 2);
    const first = stepOf(own, ({ coat }) => coat?.layerId === 'colour' && coat.number === 1);
    expect(rulesOf(moved(own, first.id, endOf(last) + 3), own.facts)).toContain('booth');
  });
});
