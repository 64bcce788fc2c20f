import { at, clear, coat, done, enamel, lacquer, NOW, part, planOf, primer, shelf } from '#core/invented/index';
import { doneEvent, tooEarly } from '#core/plan/index';
import { describe, expect, it } from 'vitest';

const body = part({ finish: 'bare', layers: [primer(), lacquer(), clear] });
const moment = (minute: number) => `minute ${Math.round(minute - NOW)}`;

describe('a step that is called done before its film bears it', () => {
  const before = planOf(body).steps;
  const upTo = before.findIndex((step) => step.coat?.layerId === 'primer' && step.coat.number === 2);
  const events = before.slice(0, upTo).map((step, index) => doneEvent(step, `e${index}`, NOW - upTo + index, 'shed'));
  const second = planOf(body, events, {}, shelf).steps.filter((step) => step.coat?.layerId === 'primer');

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
    const steps = [{ opens: { at: NOW + 20, why: 'the red must be dry' } }, { opens: { at: NOW + 50, why: 'the blue must be dry' } }];
    expect(tooEarly(steps, NOW, moment)).toContain('The blue must be dry. It may be done from minute 50 on');
    expect(tooEarly([{}], NOW, moment)).toBeNull();
    expect(tooEarly(before.slice(0, 1), NOW, moment)).toBeNull();
  });
  it('speaks of none whose stretch is on, though it is planned into a later one, and of one whose window has shut', () => {
    const sanded = (minutesAgo: number) => [done('wash', minutesAgo + 60), done('prep', minutesAgo + 30), done('clean', minutesAgo)];
    const late = planOf(part(), sanded(23 * 60 + 30)).steps.filter((step) => step.coat);
    expect(tooEarly(late.slice(0, 1), NOW, moment)).toBeNull();
    const enamelled = part({ finish: 'bare', layers: [enamel(2)] });
    const shut = planOf(enamelled, [coat('enamel', 1, 300, 'acrylic-enamel', 'colour', 15)]).steps.filter(({ coat: own }) => own);
    expect(tooEarly(shut.slice(0, 1), NOW, moment)).toMatch(/^Not yet\. .* must be ready for its next coat/);
  });
});
