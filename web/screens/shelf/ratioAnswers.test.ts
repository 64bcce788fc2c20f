import { describe, expect, it } from 'vitest';
import { ratioAnswersSchema, ratioText } from './ratioAnswers.ts';

const NONE = { least: '', usual: '', most: '', hardener: '', gloss: '' };
const read = (typed: Partial<typeof NONE>) => ratioAnswersSchema.safeParse({ ...NONE, ...typed });

describe('ratios of a label', () => {
  it.each(['4:1', '12:1', '7.5:1', '33.3 %', '133 %', '2.75 %'])('typed as %s come back as they were typed', (text) => {
    const said = read({ hardener: text });
    expect(said.success && ratioText(said.data.hardener?.parts)).toBe(text);
  });
  it('keep the gloss that goes with the hardener, and refuse one without', () => {
    expect(read({ hardener: '6:1', gloss: '-20' }).data).toEqual({ hardener: { parts: 1 / 6, glossAtMost: -20 } });
    const refused = read({ gloss: '10' });
    expect(refused.error?.issues.map(({ path, message }) => [path[0], message])).toEqual([
      ['gloss', expect.stringContaining('say how much of that first')],
    ]);
  });
});
