import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { type Facts, readWorkshopText, shiftFile } from '#core/facts/index';
import { type Plan, plan } from '#core/plan/index';
import { monthsFrom, toMinute } from '#core/units/index';
import { verifyPlan } from '#core/verify/index';

/** What the demo workshop promises whoever opens it, on any day and at any hour of it. */

const read = readWorkshopText(readFileSync(new URL('./breakwater.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem.error);
const demo = read.value;
const planOf = (facts: Facts, now: number) => plan({ facts, now, conditions: conditionsOf(facts, now) });

/** The last minutes of a month and of a year, both changes of the clock, a leap day, the small hours. */
const HARD = [
  demo.writtenAt,
  '2026-11-30T23:58:00Z',
  '2027-03-28T00:40:00Z',
  '2027-10-31T00:30:00Z',
  '2028-02-29T12:00:00Z',
  '2026-12-31T23:59:00Z',
  '2027-08-01T03:10:00Z',
];
/** Every sixth day of a year or so, an hour and some minutes later each time. */
const OF_A_YEAR = Array.from({ length: 60 - HARD.length }, (_, n) => {
  const [month] = monthsFrom('2026-12', 1, Math.floor((n * 12) / 53));
  const day = String(1 + ((n * 11) % 28)).padStart(2, '0');
  return `${month}-${day}T${String((n * 7) % 24).padStart(2, '0')}:${String((n * 13) % 60).padStart(2, '0')}:00Z`;
});
const MOMENTS = process.env.PROOF ? [...HARD, ...OF_A_YEAR] : HARD;

/** Every rule a plan breaks, found without the scheduler and without its constraints. */
const broken = (result: Plan, facts: Facts): string[] =>
  verifyPlan(result, facts, conditionsOf(facts, result.now)).map(({ rule, text }) => `${rule}: ${text}`);

const stepsOf = (result: Plan, piece: string) => result.steps.filter((step) => step.pieceId === piece);

describe.each(MOMENTS)('the demo loaded at %s', (moment) => {
  const NOW = toMinute(moment);
  const { facts } = shiftFile(demo, NOW);
  const demoPlan = planOf(facts, NOW);
  it('breaks no constraint and is the same each time', () => {
    expect(broken(demoPlan, facts)).toEqual([]);
    expect(JSON.stringify(planOf(facts, NOW).steps)).toBe(JSON.stringify(demoPlan.steps));
  });
  it('lets tape go on the tram now and sprays the blue inside its mask', () => {
    expect(demoPlan.hanging.find((part) => part.partId === 'body')?.state).toBe('tape-safe');
    const steps = stepsOf(demoPlan, 'tram').map((step) => step.title);
    expect(steps[0]).toBe('Mask waist line and upper');
    expect(steps).toContain('Tape off, Turnstone estuary blue');
    expect(demoPlan.pieces.find((piece) => piece.pieceId === 'tram')?.steps.masking.get('body')?.order).toEqual(['ivory', 'line', 'blue']);
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
        step.on.some((on) => on.partId === 'pan' && !['teardown', 'dry-fit', 'assemble', 'fit'].includes(step.stage)),
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
  it('has a budget of two pieces and one of a month, and a lot of three', () => {
    expect(demoPlan.budgets.filter(({ budget }) => budget.pieceIds?.length !== 1)).toHaveLength(2);
    expect(facts.lots.map(({ pieces }) => pieces.length)).toEqual([3]);
  });
  it('has one budget over, the lamp’s', () => {
    expect(demoPlan.budgets.filter(({ over }) => over > 0).map(({ budget }) => budget.pieceIds)).toEqual([['lamp']]);
  });
  it('has one can too low, one late parcel, one batch shared by two pieces and a finished piece', () => {
    expect(demoPlan.purchases.shops.flatMap((shop) => shop.lines.map((line) => line.want))).toContain('buoy-red');
    expect(demoPlan.needs.find((need) => need.mix === 'buoy-red')?.shelfMl).toBeGreaterThan(0);
    expect(stepsOf(demoPlan, 'tram').find((step) => step.stage === 'decal')?.notBeforeWhy).toContain('overdue');
    const together = demoPlan.sessions.filter((session) => {
      const grey = demoPlan.steps.filter((step) => session.stepIds.includes(step.id) && step.coat?.mix === 'primer-grey');
      return new Set(grey.map((step) => step.pieceId)).size > 1;
    });
    expect(together.length).toBeGreaterThan(0);
    expect(stepsOf(demoPlan, 'vane')).toEqual([]);
    expect(demoPlan.pieces.find((piece) => piece.pieceId === 'vane')?.money.committed).toBe(720);
  });
  it('gives a safe date no sooner than the likely one', () => {
    for (const piece of demoPlan.pieces) if (piece.likely !== null) expect(piece.safe).toBeGreaterThanOrEqual(piece.likely);
  });
});
