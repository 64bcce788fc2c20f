import { conditionsOf } from '#core/drying/index';
import type { Facts, LogEvent, Part } from '#core/facts/index';
import { coat, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { describe, expect, it } from 'vitest';

const panel = (id: string, name: string, more: Partial<Part> = {}): Part =>
  part({ id, name, finish: 'bare', layers: [primer(), lacquer()], ...more });
const notesOf = (parts: readonly Part[], events: readonly LogEvent[] = []) => {
  const facts: Facts = { ...shelf, pieces: [piece(parts[0], { parts: [...parts] })], events: [...events] };
  return plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }).pieces[0].notes;
};
/** The colour of one panel was laid a week ago. */
const before = [1, 2].flatMap((number) => [
  coat('primer', number, 9 * 1440, 'lacquer-primer', 'fine-primer', 10),
  coat('colour', number, 7 * 1440, 'acrylic-lacquer', 'colour', 12),
]);

describe('panels of one colour', () => {
  it('say nothing where they are sprayed on one day', () => {
    expect(notesOf([panel('body', 'Front'), panel('side', 'Side', { pegs: [2] })])).toEqual([]);
  });
  it('say a part once, whatever number of layers it has of the colour', () => {
    const twice = panel('body', 'Front', { layers: [primer(), lacquer(), { ...lacquer(), id: 'again' }] });
    const notes = notesOf([twice, panel('side', 'Side', { pegs: [2] })], before);
    expect(notes.join(' ').match(/front/g)?.length ?? 0).toBeLessThanOrEqual(1);
    expect(notes.join(' ')).not.toContain('front and front');
  });
  it('say which goes on another day, where both are seen', () => {
    const [note, ...others] = notesOf([panel('body', 'Front'), panel('side', 'Side', { pegs: [2] })], before);
    expect(others).toEqual([]);
    expect(note).toMatch(/goes onto front on Tue 24 Nov, onto side on \w{3} \d+ Dec: two days may show as two tones/);
    const hidden = panel('side', 'Floor', {
      pegs: [2],
      faces: [{ id: 'f', zoneId: 'all', longMm: 100, shortMm: 40, count: 1, seen: false }],
    });
    expect(notesOf([panel('body', 'Front'), hidden], before)).toEqual([]);
  });
});
