import { conditionsOf } from '#core/drying/index';
import type { Facts, Label, Layer, LogEvent, Part, Warm } from '#core/facts/index';
import {
  changed,
  coat,
  enamel,
  factsOf,
  foundIn,
  honestPlan,
  movedTo,
  NOW,
  part,
  primed,
  primer,
  withHardClear,
} from '#core/invented/index';
import type { Plan } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { verifyPlan } from './index.ts';
import { TOLERANCE } from './verified.ts';

/** What rounding may cost is forgiven to the last of it, on the right side of each edge, and not a breath more. */

const broken = (own: Plan, facts: Facts) => verifyPlan(own, facts, conditionsOf(facts, NOW));
const rulesOf = (own: Plan, facts: Facts) => broken(own, facts).map(({ rule }) => rule);
const steel = (more: Partial<Part> = {}) => part({ material: 'steel', finish: 'bare', ...more });
const STEP = 0.5 * TOLERANCE;

describe('a window', () => {
  const facts = factsOf([steel({ layers: [primer(), enamel()] })]);
  const honest = honestPlan(facts);
  const second = foundIn(honest, ({ coat: own }) => own?.layerId === enamel().id && own.number === 2);
  const opens = second.window?.from ?? Number.NaN;
  it('opens a rounding early, and no earlier', () => {
    expect(rulesOf(movedTo(honest, second.id, opens - TOLERANCE), facts)).not.toContain('recoat window');
    expect(rulesOf(movedTo(honest, second.id, opens - TOLERANCE - STEP), facts)).toContain('recoat window');
  });
});

describe('tape', () => {
  const zones = [
    { id: 'all', name: 'Upper' },
    { id: 'low', name: 'Lower' },
  ];
  const faces = zones.map(({ id }) => ({ id: `f-${id}`, zoneId: id, longMm: 100, shortMm: 40, count: 2, seen: true }));
  const edges = [{ a: 'all', b: 'low', mm: 120, curve: 'straight' as const }];
  const colour = (id: string, zone: string, l: number): Layer => ({
    id,
    wanted: { family: 'acrylic-enamel', role: 'colour', name: id, lab: { l, a: 0, b: 0 } },
    coats: 2,
    covers: [zone],
  });
  const facts = factsOf([steel({ zones, faces, edges, layers: [primer(), colour('light', 'all', 90), colour('dark', 'low', 20)] })]);
  const honest = honestPlan(facts);
  const off = foundIn(honest, ({ stage }) => stage === 'unmask');
  const { from, to } = off.window ?? { from: Number.NaN, to: null };
  it('comes off from the minute the edge bears it to the last one in which it is soft', () => {
    expect(to).not.toBeNull();
    for (const edge of [from, to ?? Number.NaN]) expect(rulesOf(movedTo(honest, off.id, edge), facts)).not.toContain('tape off');
    expect(rulesOf(movedTo(honest, off.id, (to ?? 0) + 0.5), facts)).toContain('tape off');
    expect(rulesOf(movedTo(honest, off.id, from - 0.5), facts)).toContain('tape off');
  });
});

describe('a part in the warm', () => {
  const warm: Warm = { by: 'oven', surfaceC: 50, minutes: 120 };
  const facts = factsOf(
    [steel({ layers: [primer(), { ...enamel(), warm }] })],
    {},
    { oven: { longMm: 400, wideMm: 350, highMm: 300, mostC: 90 } },
  );
  const honest = honestPlan(facts);
  const spell = foundIn(honest, (step) => step.warm !== undefined);
  const next = foundIn(honest, ({ placed, id }) => id !== spell.id && (placed?.start ?? 0) > spell.placed.end);
  it('is at hand again within a rounding of its end', () => {
    const until = spell.placed.end + warm.minutes;
    expect(rulesOf(movedTo(honest, next.id, until - TOLERANCE), facts)).not.toContain('at hand');
    expect(rulesOf(movedTo(honest, next.id, until - TOLERANCE - STEP), facts)).toContain('at hand');
  });
});

describe('what is mixed', () => {
  const clear: Layer = { id: 'hard', productId: 'hard-clear', coats: 2, covers: 'all' };
  const facts = (label: Label) => withHardClear(factsOf([steel({ layers: [primer(), enamel(), clear] })]), label);
  const label: Label = { hardener: { parts: 0.5 }, coatFromMin: 10, potLifeMin: 60 };
  const honest = honestPlan(facts(label));
  const mix = foundIn(honest, ({ stage }) => stage === 'mix');
  const last = foundIn(honest, ({ coat: own }) => own?.layerId === 'hard' && own.number === 2);
  it('goes on to the last minute of its pot life at the usual warmth, and not after', () => {
    const over = mix.placed.end + 60;
    expect(rulesOf(movedTo(honest, last.id, over), facts(label))).not.toContain('pot life');
    expect(rulesOf(movedTo(honest, last.id, over + 0.5), facts(label))).toContain('pot life');
  });
  it('is no matter of pot life where its label names none', () => {
    const { potLifeMin: _none, ...rest } = label;
    expect(rulesOf(honest, facts({ ...rest, inductionMin: 200 }))).not.toContain('induction');
    expect(rulesOf(honest, facts({ ...label, inductionMin: 200 }))).toContain('induction');
  });
});

describe('another paint at the end of a stay', () => {
  const facts = factsOf([steel()]);
  const honest = honestPlan(facts);
  const next = foundIn(honest, ({ coat: own }) => own?.layerId === 'colour' && own.number === 1);
  const sprayed = honest.steps.filter(({ coat: own, placed }) => own?.layerId === 'primer' && placed).at(-1);
  it('that begins with the minute it ends belongs to the next', () => {
    const ends = honest.free[0].to;
    const close = movedTo(honest, sprayed?.id ?? '', ends - 8);
    expect(rulesOf(movedTo(close, next.id, ends - 1), facts)).toContain('booth');
    expect(rulesOf(movedTo(close, next.id, ends), facts)).not.toContain('booth');
  });
});

describe('set-up that is shared', () => {
  const facts = factsOf([steel({ layers: [primer(), { ...enamel(), coats: 2 }] })]);
  const honest = honestPlan(facts);
  const first = foundIn(honest, ({ coat: own }) => own?.layerId === enamel().id && own.number === 1);
  const next = foundIn(honest, ({ coat: own }) => own?.layerId === enamel().id && own.number === 2);
  const spared = changed(
    honest,
    ({ id }) => id === next.id,
    ({ placed, setup }) => ({ placed: placed && { ...placed, saved: setup } }),
  );
  it('is shared at once, a rounding forgiven, and not after a pause', () => {
    expect(rulesOf(movedTo(spared, next.id, first.placed.end + TOLERANCE), facts)).not.toContain('set-up');
    expect(rulesOf(movedTo(spared, next.id, first.placed.end + 1), facts)).toContain('set-up');
  });
});

describe('bright steel in a dry box', () => {
  const facts = factsOf([steel()]);
  const honest = honestPlan(facts);
  const bared = foundIn(honest, ({ stage }) => stage === 'prep');
  const first = foundIn(honest, ({ coat: own }) => own !== undefined);
  const boxed = changed(
    honest,
    ({ id }) => id === bared.id,
    () => ({ afterwards: 'it waits in the dry box' }),
  );
  const only = { ...boxed, steps: boxed.steps.filter(({ id }) => id === bared.id || id === first.id) };
  const days = 14 * 1440;
  it('keeps for fourteen days and a rounding', () => {
    expect(rulesOf(movedTo(only, first.id, bared.placed.end + days + TOLERANCE), facts)).not.toContain('flash rust');
    expect(rulesOf(movedTo(only, first.id, bared.placed.end + days + 2 * TOLERANCE), facts)).toContain('flash rust');
  });
});

describe('what waits for a parcel', () => {
  const parcel = (due?: string) => ({
    id: 'x',
    name: 'Paint for it',
    price: 500,
    arrived: false,
    holds: { partId: 'body' },
    ...(due ? { due } : {}),
  });
  const known = factsOf([steel()], { parcels: [parcel('2026-12-20')] });
  const honest = honestPlan(known);
  it('is early at any time where nobody knows when it comes', () => {
    expect(rulesOf(honest, known)).not.toContain('parcel');
    expect(rulesOf(honest, factsOf([steel()], { parcels: [parcel()] }))).toContain('parcel');
  });
});

describe('a place to hang', () => {
  const faces = [
    { id: 'long', zoneId: 'all', longMm: 400, shortMm: 60, count: 2, seen: true },
    { id: 'short', zoneId: 'all', longMm: 60, shortMm: 40, count: 2, seen: true },
  ];
  const honest = honestPlan(factsOf([steel({ faces })]));
  it('must be as long as the longest side of what hangs there', () => {
    const places = (longMm: number) => factsOf([steel({ faces })], {}, { dryingPlaces: [{ count: 2, longMm }] });
    expect(rulesOf(honest, places(400))).not.toContain('places');
    expect(rulesOf(honest, places(200))).toContain('places');
  });
});

describe('a film that was felt', () => {
  const felt = (minutesAgo: number): LogEvent => ({
    id: 'felt',
    at: toIso(NOW - minutesAgo),
    kind: 'dryness',
    pieceId: 'bell',
    partId: 'body',
    zoneId: 'all',
    stage: 'coat',
    seen: 'tacky',
  });
  const laid = [...primed, coat('colour', 1, 200, 'acrylic-lacquer', 'colour', 12)];
  const facts = (minutesAgo: number) => factsOf([part({ finish: 'bare' })], {}, {}, [...laid, felt(minutesAgo)]);
  it('and was still tacky takes no coat for ten minutes more', () => {
    const honest = honestPlan(facts(2));
    const next = foundIn(honest, ({ coat: own }) => own?.layerId === 'colour');
    expect(rulesOf(movedTo(honest, next.id, NOW + 7.5), facts(2))).toContain('recoat window');
    expect(rulesOf(movedTo(honest, next.id, NOW + 8.5), facts(2))).not.toContain('recoat window');
  });
});

describe('what is odd', () => {
  const facts = factsOf([steel({ finish: 'flaking', stripMethod: 'gel' })]);
  const honest = honestPlan(facts);
  it('a coat of a layer that is gone, or a bath without a method, stops nobody from reading the rest', () => {
    const layers = [primer()];
    const gone = factsOf([steel({ finish: 'flaking', stripMethod: 'gel', layers })]);
    expect(() => broken(honest, gone)).not.toThrow();
    const off = foundIn(honest, ({ stage }) => stage === 'strip-off');
    const tub = { longMm: 300, wideMm: 200, deepMm: 200 };
    const withTub = factsOf([steel({ finish: 'flaking', stripMethod: 'gel' })], {}, { tub });
    expect(() =>
      broken(
        changed(
          honest,
          ({ id }) => id === off.id,
          () => ({ method: undefined }),
        ),
        withTub,
      ),
    ).not.toThrow();
  });
});
