import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import {
  type Facts,
  factsSchema,
  FEATURES,
  type Fastening,
  type Layer,
  type LogEvent,
  type Mark,
  MARK_KINDS,
  MATERIALS,
  newPart,
  newPiece,
  type Part,
  type Piece,
  SERVICES,
  STRIP_METHODS,
  SURVEY_STOPS,
} from '#core/facts/index';
import { refusedMethod, withAllowedMethods } from '#core/strip/index';
import { toIso } from '#core/units/index';
import { NOW, shelf } from '#core/invented/index';
import { verifyPlan } from '#core/verify/index';
import { plan } from './plan.ts';
import { partKey, preparationOf } from './steps/index.ts';
import { isPlanned } from '#core/safety/index';

/** Whatever a survey may say of a piece: the plan keeps every rule, and no path leads round a veto. */

const RUNS = process.env.PROOF ? 600 : 60;

const markOf = (index: number): fc.Arbitrary<Mark> =>
  fc.record({
    id: fc.constant(`mark-${index}`),
    kind: fc.constantFrom(...MARK_KINDS),
    severity: fc.constantFrom('slight', 'marked', 'deep'),
    where: fc.constantFrom('', 'left', 'rim'),
  });

const layersOf = (id: string): fc.Arbitrary<Layer[]> =>
  fc
    .subarray([
      { family: 'lacquer-primer', role: 'fine-primer' },
      { family: 'acrylic-lacquer', role: 'colour' },
      { family: 'acrylic-enamel', role: 'colour' },
      { family: 'acrylic-lacquer', role: 'clear' },
    ] as const)
    .chain((wanted) =>
      fc.record({ coats: fc.integer({ min: 1, max: 3 }), flat: fc.boolean() }).map(({ coats, flat }) =>
        wanted.map(
          (own, index): Layer => ({
            id: `${id}-layer-${index}`,
            wanted: { ...own, name: `${own.family} ${own.role}`, lab: { l: 50 + 10 * index, a: 5, b: 5 } },
            coats,
            covers: 'all',
            ...(flat && own.role === 'fine-primer' ? { flatAfter: 800 } : {}),
          }),
        ),
      ),
    );

const partOf = (id: string): fc.Arbitrary<Part> =>
  fc
    .record({
      material: fc.constantFrom(...MATERIALS),
      alsoMaterial: fc.option(fc.constantFrom(...MATERIALS), { nil: undefined }),
      finish: fc.constantFrom('sound', 'flaking', 'unknown', 'bare'),
      printed: fc.boolean(),
      copies: fc.integer({ min: 1, max: 6 }),
      longMm: fc.integer({ min: 20, max: 400 }),
      seen: fc.boolean(),
      oldCoats: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
      marks: fc.tuple(markOf(0), markOf(1), markOf(2)).chain((marks) => fc.subarray(marks)),
      features: fc.subarray([...FEATURES]).map((kinds) => kinds.map((kind) => ({ id: kind, kind, count: 1 }))),
      service: fc.subarray([...SERVICES], { maxLength: 1 }),
      stops: fc.subarray([...SURVEY_STOPS], { maxLength: 1 }),
      stripMethod: fc.option(fc.constantFrom(...STRIP_METHODS), { nil: undefined }),
      iKnow: fc.subarray([...STRIP_METHODS]),
      layers: layersOf(id),
    })
    .map(({ longMm, seen, ...own }) =>
      newPart({
        id,
        name: id,
        faces: [
          { id: `${id}-out`, zoneId: 'all', longMm, shortMm: Math.ceil(longMm / 3), count: 4, seen: true },
          { id: `${id}-in`, zoneId: 'all', longMm, shortMm: Math.ceil(longMm / 4), count: 1, seen },
        ],
        ...own,
      }),
    );

const pieceOf: fc.Arbitrary<Piece> = fc
  .record({
    parts: fc.tuple(partOf('hull'), partOf('lid'), partOf('knob')).chain((parts) => fc.subarray(parts, { minLength: 1 })),
    leadExcluded: fc.boolean(),
    limit: fc.option(fc.constantFrom('outside', 'inside-too', 'to-bare'), { nil: undefined }),
    rivet: fc.option(fc.double({ min: 2, max: 6, noNaN: true }), { nil: undefined }),
  })
  .map(({ parts, leadExcluded, limit, rivet }) => {
    const fastenings: Fastening[] =
      rivet === undefined ? [] : [{ id: 'post', kind: 'rivet', a: parts[0].id, count: 2, note: '', post: { acrossMm: rivet, deepMm: 6 } }];
    return withAllowedMethods(
      newPiece({
        id: 'any',
        name: 'Any piece',
        looksLike: 'pressed-toy',
        longestMm: 200,
        createdAt: toIso(NOW),
        parts: [...parts],
        leadExcluded,
        fastenings,
        ...(limit ? { limit } : {}),
      }),
    );
  });

const stripped = (piece: Piece, outcomes: readonly ('clean' | 'most' | 'little')[]): LogEvent[] =>
  outcomes.map((outcome, index) => ({
    id: `s${index}`,
    at: toIso(NOW - 900 + index * 60),
    kind: 'stripped',
    pieceId: piece.id,
    partIds: [piece.parts[0].id],
    method: 'gel',
    application: index + 1,
    outcome,
    dwellMinutes: 40,
  }));

const planOfPiece = (piece: Piece, events: LogEvent[] = []) => {
  const facts: Facts = { ...shelf, pieces: [piece], events };
  return { facts, result: plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }) };
};

const DUSTY = ['blast', 'brush', 'heat'];
const outcomes = fc.array(fc.constantFrom('clean', 'most', 'little'), { maxLength: 3 });

describe('any piece', () => {
  it('is planned without breaking a rule, and every step says what holds it', () => {
    fc.assert(
      fc.property(pieceOf, outcomes, (piece, seen) => {
        const { facts, result } = planOfPiece(piece, stripped(piece, seen as 'clean'[]));
        expect(verifyPlan(result, facts, conditionsOf(facts, NOW))).toEqual([]);
        for (const step of result.steps) expect(step.placed ? step.placed.hold.by : step.unplacedWhy).toBeTruthy();
      }),
      { seed: 12, numRuns: RUNS },
    );
  });

  it('never meets a method that hurts, by choice, advice or evidence', () => {
    fc.assert(
      fc.property(pieceOf, outcomes, (piece, seen) => {
        const { result } = planOfPiece(piece, stripped(piece, seen as 'clean'[]));
        for (const step of result.steps) {
          for (const { partId } of step.on) {
            const part = piece.parts.find((own) => own.id === partId) as Part;
            if (!step.method || step.stopped !== undefined) continue;
            const metals = [part.material, part.alsoMaterial];
            if (step.method === 'caustic')
              for (const metal of ['aluminium', 'magnesium', 'galvanised', 'unknown'] as const) expect(metals).not.toContain(metal);
            expect(step.method).not.toBe('heat');
            if (!piece.leadExcluded && part.finish !== 'bare') expect(DUSTY).not.toContain(step.method);
            if (part.stops?.includes('celluloid')) expect(['gel', 'alcohol', 'chlorinated']).not.toContain(step.method);
          }
        }
      }),
      { seed: 21, numRuns: RUNS },
    );
  });

  it('has no step on a part that is left alone or refused', () => {
    fc.assert(
      fc.property(pieceOf, (piece) => {
        const { result } = planOfPiece(piece);
        const left = piece.parts.filter((part) => !isPlanned(part)).map((part) => part.id);
        const worked = result.steps.filter((step) => !['teardown', 'dry-fit', 'assemble', 'fit'].includes(step.stage));
        for (const step of worked) for (const { partId } of step.on) expect(left).not.toContain(partId);
      }),
      { seed: 5, numRuns: RUNS },
    );
  });

  it('gives the same plan twice, and its facts survive the file', () => {
    fc.assert(
      fc.property(pieceOf, (piece) => {
        const { facts, result } = planOfPiece(piece);
        const starts = (own: typeof result) => own.steps.map((step) => [step.id, step.placed?.start ?? null]);
        expect(starts(planOfPiece(piece).result)).toEqual(starts(result));
        const read = factsSchema.safeParse(JSON.parse(JSON.stringify(facts)));
        expect(read.success).toBe(true);
        expect(JSON.parse(JSON.stringify(read.data))).toEqual(JSON.parse(JSON.stringify(facts)));
        expect(refusedMethod(piece, 'piece')).toBeNull();
      }),
      { seed: 8, numRuns: RUNS / 2 },
    );
  });

  it('is told in full before paint: options, papers, cleaning and gate', () => {
    fc.assert(
      fc.property(pieceOf, (piece) => {
        const { facts } = planOfPiece(piece);
        for (const part of piece.parts.filter(isPlanned)) {
          const own = preparationOf(piece, part, facts);
          expect(own.options).toHaveLength(STRIP_METHODS.length);
          expect(own.cleaning.steps.length).toBeGreaterThan(5);
          expect(own.gate.length).toBeGreaterThan(0);
          expect(own.repairs).toHaveLength(part.marks?.length ?? 0);
          for (const rung of own.surface.rungs) if (rung.grainRatio !== null) expect(rung.grainRatio).toBeLessThanOrEqual(2.5 + 1e-9);
          for (const option of own.options) {
            if (option.verdict !== 'never') expect(option.minutes).toBeGreaterThan(0);
            if (option.dwell) expect(option.dwell.least).toBeLessThanOrEqual(option.dwell.most);
          }
        }
      }),
      { seed: 3, numRuns: RUNS },
    );
  });

  it('is never mended in fewer minutes with a further mark', () => {
    fc.assert(
      fc.property(pieceOf, markOf(9), (piece, mark) => {
        const [first, ...rest] = piece.parts;
        const marked = { ...piece, parts: [{ ...first, marks: [...(first.marks ?? []), mark] }, ...rest] };
        const minutes = (own: Piece) =>
          planOfPiece(own)
            .result.steps.filter((step) => step.stage === 'repair')
            .reduce((sum, step) => sum + step.minutes, 0);
        expect(minutes(marked)).toBeGreaterThanOrEqual(minutes(piece));
      }),
      { seed: 4, numRuns: RUNS / 2 },
    );
  });

  it('takes up a part of work again where the log left it', () => {
    fc.assert(
      fc.property(pieceOf, (piece) => {
        const { result } = planOfPiece(piece);
        const first = result.steps.find((step) => step.placed && step.stage === 'wash');
        if (!first) return;
        const done: LogEvent = {
          id: 'd',
          at: toIso(NOW - 30),
          kind: 'done',
          pieceId: piece.id,
          stepKeys: [...first.keys],
          on: first.on.map(({ partId, zoneIds }) => ({ partId, zoneIds: [...zoneIds] })),
        };
        const after = planOfPiece(piece, [done]).result;
        for (const key of first.keys) expect(after.steps.flatMap((step) => step.keys)).not.toContain(key);
        expect(first.keys[0]).toBe(partKey(piece.id, first.on[0].partId, 'wash'));
      }),
      { seed: 6, numRuns: RUNS / 2 },
    );
  });
});
