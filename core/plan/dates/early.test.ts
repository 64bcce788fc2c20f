import { at, clear, lacquer, NOW, part, planOf, primer, shelf } from '#core/invented/index';
import { doneEvent, tooEarly } from '#core/plan/index';
import { describe, expect, it } from 'vitest';

const body = part({ finish: 'bare', layers: [primer(), lacquer(), clear] });
const moment = (minute: number) => `minute ${Math.round(minute - NOW)}`;

describe('a step that is called done before its film bears it', () => {
  const before = planOf(body).steps;
  const upTo = before.findIndex(({ coat }) => coat?.layerId === 'primer' && coat.number === 2);
  const events = before.slice(0, upTo).map((step, index) => doneEvent(step, `e${index}`, NOW - upTo + index, 'shed'));
  const second = planOf(body, events, {}, shelf).steps.filter(({ coat }) => coat?.layerId === 'primer');

  it('says what is not ready, from when it is, and how it is logged all the same', () => {
    const said = tooEarly(second.slice(0, 1), NOW, moment) ?? '';
    expect(said).toMatch(
      /^Not yet\. The fine primer, grey below must be ready for its next coat\. It may be done from minute \d+ on\. Press Done/,
    );
    const opens = Number(/minute (\d+)/.exec(said)?.[1]);
    expect(Math.abs(opens - (at(second[0]) - NOW))).toBeLessThanOrEqual(1);
    expect(tooEarly(second.slice(0, 1), NOW + opens + 1, moment)).toBeNull();
  });
  it('speaks of the latest of several, and of none that only waits for hours or a turn', () => {
    const steps = [
      { window: { from: NOW + 20, to: null }, opensWhy: 'the red must be dry' },
      { window: { from: NOW + 50, to: null }, opensWhy: 'the blue must be dry' },
    ];
    expect(tooEarly(steps, NOW, moment)).toContain('The blue must be dry. It may be done from minute 50 on');
    expect(tooEarly([{ window: { from: 0, to: null } }], NOW, moment)).toBeNull();
    expect(tooEarly([{ window: null }], NOW, moment)).toBeNull();
    expect(tooEarly(before.slice(0, 1), NOW, moment)).toBeNull();
  });
});
