import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { type Facts, type LogEvent, readWorkshopText, shiftFile } from '#core/facts/index';
import { toIso, toMinute } from '#core/units/index';
import { generatedFacts } from '#core/invented/index';
import { plan, type Plan } from './plan.ts';

const read = readWorkshopText(readFileSync(new URL('../../demo/breakwater.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem.error);
const demo = read.value;
const NOW = toMinute(demo.writtenAt);
const planOf = (facts: Facts, now = NOW) => plan({ facts, now, conditions: conditionsOf(facts, now) });
const demoPlan = planOf(demo.facts);
const CHANGEOVER = 8;
const RUNS = process.env.PROOF ? 200 : 25;

/** Every way a schedule can break its constraints, found without the scheduler's own code. */
function broken(result: Plan): string[] {
  const found: string[] = [];
  const placed = result.steps
    .filter((step) => step.placed !== null)
    .map((step) => ({ step, ...(step.placed as NonNullable<typeof step.placed>) }));
  placed.sort((a, b) => a.start - b.start);
  for (const [index, one] of placed.entries()) {
    if (!result.free.some((span) => one.start >= Math.max(span.from, result.now) - 1e-6 && one.end <= span.to + 1e-6))
      found.push(`${one.step.title} lies outside free time`);
    const next = placed[index + 1];
    if (next && next.start < one.end - 1e-6) found.push(`${one.step.title} and ${next.step.title} at once`);
    for (const other of placed.slice(index + 1)) {
      const [a, b] = [one.step.coat?.mix, other.step.coat?.mix];
      if (a && b && a !== b && other.start - one.end < CHANGEOVER - 1e-6)
        found.push(`no change-over between ${one.step.title} and ${other.step.title}`);
    }
  }
  const ends = new Map(placed.map(({ step, end }) => [step.id, end]));
  const starts = new Map(placed.map(({ step, start, scuff }) => [step.id, { start, scuff }]));
  for (const piece of result.pieces) {
    for (const gap of piece.steps.gaps) {
      const to = starts.get(gap.to);
      if (!to) continue;
      const from = gap.from.filter((id) => ends.has(id));
      if (from.length < gap.from.length) {
        found.push(`${gap.to} stands before a step that has no date`);
        continue;
      }
      const allowed = gap.allowed((id) => ends.get(id) as number);
      if (
        !allowed.some(
          (span) => to.start >= span.from - 1e-6 && (span.to === null || to.start <= span.to + 1e-6) && (!span.scuff || to.scuff),
        )
      )
        found.push(`${gap.to} breaks: ${gap.reason}`);
    }
  }
  return found;
}

const stepsOf = (result: Plan, piece: string) => result.steps.filter((step) => step.pieceId === piece);

describe('the demo plan', () => {
  it('breaks no constraint and is the same each time', () => {
    expect(broken(demoPlan)).toEqual([]);
    expect(JSON.stringify(planOf(demo.facts).steps)).toBe(JSON.stringify(demoPlan.steps));
  });
  it('lets tape go on the tram now and sprays the blue inside its mask', () => {
    expect(demoPlan.hanging.find((part) => part.partId === 'body')?.state).toBe('tape-safe');
    const steps = stepsOf(demoPlan, 'tram').map((step) => step.title);
    expect(steps[0]).toBe('Mask upper');
    expect(steps).toContain('Tape off, Turnstone estuary blue');
    expect(demoPlan.pieces.find((piece) => piece.pieceId === 'tram')?.steps.masking.get('body')?.order).toEqual(['ivory', 'blue']);
  });
  it('shuts the roller frame in 35 minutes and paints it first; the drum missed its window and reopens', () => {
    const shuts = demoPlan.moments.find((moment) => moment.kind === 'shuts' && moment.pegs.includes(7));
    expect(shuts && Math.round(shuts.at - NOW)).toBe(35);
    const first = demoPlan.sessions[0].stepIds[0];
    expect(first).toContain('roller.frame.coat');
    expect(demoPlan.hanging.find((part) => part.partId === 'drum')?.state).toBe('shut');
    const drum = stepsOf(demoPlan, 'roller').find((step) => step.id.includes('drum.coat'));
    expect((drum?.placed?.start as number) - NOW).toBeGreaterThan(20 * 60);
  });
  it('has the gel working on the crane under a lead caution', () => {
    expect(stepsOf(demoPlan, 'crane')[0].title).toContain('Old paint off');
    expect(stepsOf(demoPlan, 'crane')[0].hazards).toContain('lead');
  });
  it('primes the bare fan tonight with its mains caution, earth seat masked', () => {
    const steps = stepsOf(demoPlan, 'fan');
    expect(steps.filter((step) => step.title.includes('primer')).every((step) => (step.placed?.end as number) < NOW + 180)).toBe(true);
    expect(steps.some((step) => step.title === 'Mask what takes no paint')).toBe(true);
    expect(steps.at(-1)?.hazards).toContain('mains');
  });
  it('refuses the balance pan and stops on its unknown beam', () => {
    expect(
      stepsOf(demoPlan, 'balance').some((step) =>
        step.on.some((on) => on.partId === 'pan' && !['teardown', 'dry-fit', 'fit'].includes(step.stage)),
      ),
    ).toBe(false);
    expect(demoPlan.pieces.find((piece) => piece.pieceId === 'balance')?.stopped).toContain('unknown');
  });
  it('cares about the seaplane and stops the lamp shells, which are over budget', () => {
    const care = demoPlan.pieces.find((piece) => piece.pieceId === 'seaplane')?.steps.joints.find((entry) => entry.layerId === 'red-h');
    expect(care?.joint.verdict).toBe('care');
    const lamp = demoPlan.pieces.find((piece) => piece.pieceId === 'lamp');
    expect(lamp?.stopped).toContain('polystyrene');
    expect(lamp?.money.over).toBeGreaterThan(0);
  });
  it('has one can too low, one late parcel, one batch shared by two pieces and a finished piece', () => {
    expect(demoPlan.purchases.shops.flatMap((shop) => shop.lines.map((line) => line.mix))).toContain('buoy-red');
    expect(demoPlan.needs.find((need) => need.mix === 'buoy-red')?.shelfMl).toBeGreaterThan(0);
    expect(stepsOf(demoPlan, 'tram').at(-1)?.notBeforeWhy).toContain('overdue');
    const satin = demoPlan.steps.filter((step) => step.coat?.mix === 'satin' && step.placed !== null);
    const shared = satin.some((one) => satin.some((two) => one.pieceId !== two.pieceId && one.placed?.end === two.placed?.start));
    expect(shared).toBe(true);
    expect(stepsOf(demoPlan, 'vane')).toEqual([]);
    expect(demoPlan.pieces.find((piece) => piece.pieceId === 'vane')?.money.committed).toBe(720);
  });
  it('gives a safe date no sooner than the likely one', () => {
    for (const piece of demoPlan.pieces) if (piece.likely !== null) expect(piece.safe).toBeGreaterThanOrEqual(piece.likely);
  });
  it('moves with the day it is loaded', () => {
    const later = NOW + 40 * 1440 + 333;
    const shifted = shiftFile(demo, later);
    const shuts = planOf(shifted.facts, later).moments.find((moment) => moment.kind === 'shuts');
    expect(shuts && Math.round(shuts.at - later)).toBe(35);
  });
});

describe('facts move the plan', () => {
  const doneOf = (stepId: string, at: number): LogEvent => {
    const step = demoPlan.steps.find((candidate) => candidate.id === stepId);
    if (!step?.coat) throw new Error('no coat');
    const { number, of, mix, holds, ml, ...coat } = step.coat;
    void [number, of, mix, holds];
    return {
      id: `t-${at}`,
      at: toIso(at),
      kind: 'done',
      pieceId: step.pieceId,
      stepKeys: [...step.keys],
      on: step.on.map((on) => ({ partId: on.partId, zoneIds: [...on.zoneIds] })),
      coat: { ...coat, placeId: 'shed', ml },
    };
  };

  it('drops a done step, opens the next after it, and the same event twice changes nothing', () => {
    const first = demoPlan.sessions[0].stepIds[0];
    const event = doneOf(first, NOW + 2);
    const once = planOf({ ...demo.facts, events: [...demo.facts.events, event] }, NOW + 2);
    expect(once.steps.some((step) => step.id === first)).toBe(false);
    const next = once.steps.find((step) => step.id.includes('roller.frame.coat'));
    expect(next?.placed?.start as number).toBeGreaterThanOrEqual(NOW + 2 + 10);
    expect(broken(once)).toEqual([]);
  });
  it('counts a coat once when two tabs say done at the same moment', () => {
    const first = demoPlan.sessions[0].stepIds[0];
    const twice = [doneOf(first, NOW + 2), { ...doneOf(first, NOW + 3), id: 'other-tab' }];
    const result = planOf({ ...demo.facts, events: [...demo.facts.events, ...twice] }, NOW + 4);
    const left = result.steps.filter((step) => step.id.includes('roller.frame.coat'));
    expect(left.map((step) => step.coat?.number)).toEqual([3]);
    expect(result.pieces.find((piece) => piece.pieceId === 'roller')?.stacks.frame.layers[1].laidCoats).toBe(2);
  });
  it('stays quick with hundreds of copies of many faces', () => {
    const pieces = demo.facts.pieces.map((piece) => ({
      ...piece,
      parts: piece.parts.map((part) => ({ ...part, copies: 200, faces: part.faces.map((face) => ({ ...face, count: 200 })) })),
    }));
    const result = planOf({ ...demo.facts, pieces });
    expect(result.pieces.find((piece) => piece.pieceId === 'crane')?.stopped).toContain('check sizes and copies');
    expect(broken(result)).toEqual([]);
  });
  it('puts a step off until the time asked', () => {
    const key = demoPlan.steps.find((step) => step.pieceId === 'tram')?.id as string;
    const until = NOW + 2 * 1440;
    const later = planOf({
      ...demo.facts,
      events: [...demo.facts.events, { id: 'w', at: toIso(NOW), kind: 'wait', pieceId: 'tram', stepKeys: [key], until: toIso(until) }],
    });
    expect(later.steps.find((step) => step.id === key)?.placed?.start as number).toBeGreaterThanOrEqual(until);
  });
  it('plans let cure and look again after trouble', () => {
    const event: LogEvent = {
      id: 'x',
      at: toIso(NOW),
      kind: 'trouble',
      pieceId: 'roller',
      stepKeys: ['roller.frame.coat.green-f.1'],
      partIds: ['frame'],
      sign: 'run',
    };
    const after = planOf({ ...demo.facts, events: [...demo.facts.events, event] });
    const look = after.steps.find((step) => step.title === 'Look at it again');
    expect(look?.placed?.start as number).toBeGreaterThan(NOW + 2 * 1440);
    expect(broken(after)).toEqual([]);
  });
  it('takes an undone event back', () => {
    const event = doneOf(demoPlan.sessions[0].stepIds[0], NOW + 2);
    const undone = planOf({
      ...demo.facts,
      events: [...demo.facts.events, event, { id: 'u', at: toIso(NOW + 3), kind: 'undo', undoes: event.id }],
    });
    expect(JSON.stringify(undone.steps)).toBe(JSON.stringify(demoPlan.steps));
  });
  it('believes the finger over the clock', () => {
    const event: LogEvent = {
      id: 'd',
      at: toIso(NOW),
      kind: 'dryness',
      pieceId: 'roller',
      partId: 'frame',
      zoneId: 'all',
      stage: 'coat',
      seen: 'tacky',
    };
    const tacky = planOf({ ...demo.facts, events: [...demo.facts.events, event] });
    expect(tacky.hanging.find((part) => part.partId === 'frame')?.state).toBe('wet');
  });
  it('never dries a solvent film where people sleep', () => {
    const places = demo.facts.places.map((place) => ({ ...place, sleptIn: true }));
    const result = planOf({ ...demo.facts, places });
    const placed = result.steps.filter((step) => step.coat && step.placed);
    expect(placed.map((step) => step.coat?.family).filter((family) => family !== 'water-acrylic')).toEqual([]);
    expect(result.steps.some((step) => step.stopped?.includes('where people sleep'))).toBe(true);
  });
  it('has no date, and says why, where no hour is free or the stack is empty', () => {
    const workshop = { ...demo.facts.workshop[0], freeHours: [], extraFree: [] };
    const result = planOf({ ...demo.facts, workshop: [workshop] });
    expect(result.steps.every((step) => step.placed === null && (step.unplacedWhy ?? '').length > 0)).toBe(true);
    expect(result.steps.some((step) => step.unplacedWhy === 'no free hour in the week')).toBe(true);
  });
});

describe('generated workshops', () => {
  it('never break a window, a calendar or the one-person rule', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), fc.integer({ min: 1, max: 5 }), (seed, pieces) => {
        const result = planOf(generatedFacts(pieces, seed, NOW));
        expect(broken(result)).toEqual([]);
        expect(result.steps.length).toBeGreaterThan(0);
      }),
      { seed: 5, numRuns: RUNS },
    );
  });
});
