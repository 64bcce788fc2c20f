import { conditionsOf } from '#core/drying/index';
import type { Facts, LogEvent, Piece } from '#core/facts/index';
import { NOW, part, piece, primer, lacquer, shelf } from '#core/invented/index';
import { doneEvent, plan, type PlannedStep } from '#core/plan/index';
import { HOUR } from '#core/units/index';
import { sense, verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

const panel = part({ material: 'steel', finish: 'bare', layers: [primer(), lacquer()] });
const planned = (events: readonly LogEvent[], more: Partial<Piece> = {}) => {
  const facts: Facts = { ...shelf, pieces: [piece(panel, more)], events: [...events] };
  const conditions = conditionsOf(facts, NOW);
  const result = plan({ facts, now: NOW, conditions, datesOf: [] });
  return { ...result, findings: sense(result, facts, conditions), broken: verifyPlan(result, facts, conditions) };
};
/** Everything up to the sanding, done so many hours ago. */
const sanded = (hoursAgo: number, more: Partial<PlannedStep> = {}) =>
  planned([])
    .steps.filter(({ stage }) => ['teardown', 'wash', 'prep'].includes(stage))
    .map((step, index) => doneEvent({ ...step, ...more }, `done-${index}`, NOW - hoursAgo * HOUR + index, 'shed'));
const redone = ({ steps }: { steps: readonly PlannedStep[] }) => steps.filter(({ acts }) => acts.includes('strip-brush'));

describe('steel that was left bright', () => {
  it('over a night is rubbed off before it is cleaned, and it is said', () => {
    const { steps, findings, broken } = planned(sanded(24));
    const [again] = redone({ steps });
    const clean = steps.find(({ stage }) => stage === 'clean');
    expect(again.title).toBe('Rub the flash rust off');
    expect(again.placed?.start ?? Number.NaN).toBeLessThan(clean?.placed?.start ?? Number.NaN);
    expect(findings.map(({ rule, because, chosenBy }) => [rule, because, chosenBy])).toEqual([
      ['bare-steel', expect.stringMatching(/^Body was left bright for 24 h: out of a dry box it has rusted/), 'person'],
    ]);
    expect(broken).toEqual([]);
  });
  it('for minutes, in the dry box, under metal prep, or by the word of its owner is not', () => {
    expect(redone(planned(sanded(0.2)))).toEqual([]);
    expect(redone(planned(sanded(24, { afterwards: 'into the dry box' })))).toEqual([]);
    expect(redone(planned(sanded(24), { knows: [{ rule: 'bare-steel', partId: 'body' }] }))).toEqual([]);
    const before = sanded(24);
    const prep = planned([]).steps.find(({ stage }) => stage === 'metal-prep');
    const guard = prep ? [doneEvent(prep, 'guard', NOW - 23.5 * HOUR, 'shed')] : [];
    expect(redone(planned([...before, ...guard]))).toEqual([]);
  });
  it('again the next night is rubbed off again; done tonight, the metal prep follows', () => {
    const first = sanded(48);
    const [again] = redone(planned(first));
    const last = doneEvent(again, 'again', NOW - 24 * HOUR, 'shed');
    const [twice] = redone(planned([...first, last]));
    expect(twice.id).not.toBe(again.id);
    const now = planned([...first, { ...last, at: new Date((NOW - 10) * 60_000).toISOString() }]);
    expect(redone(now)).toEqual([]);
    expect(now.findings).toEqual([]);
    expect(now.steps.filter(({ placed }) => placed === null)).toEqual([]);
  });
});
