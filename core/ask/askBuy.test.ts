import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../solver/highs.ts';
import { askSolved } from './index.ts';

/** `ask buy`, as a script asks it. */

const question = {
  needs: [
    { id: 'primer', ml: 120, byDay: 3, products: ['grey'] },
    { id: 'red', ml: 80, byDay: 6, products: ['buoy', { product: 'signal', ml: 100 }] },
  ],
  shelf: [{ product: 'grey', ml: 30 }],
  offers: [
    { id: 'q-grey', shop: 'quay', product: 'grey', ml: 400, price: 850, leadDays: 2 },
    { id: 'q-buoy', shop: 'quay', product: 'buoy', ml: 150, price: 990, leadDays: 2 },
    { id: 'p-signal', shop: 'pier', product: 'signal', ml: 150, price: 700, leadDays: 4 },
  ],
  shops: [
    { id: 'quay', delivery: 490, freeOver: 1800 },
    { id: 'pier', delivery: 390 },
  ],
};
const asked = async (more: object = {}) => {
  const answered = await askSolved('buy', { ...question, ...more }, solveWithHighs);
  return answered.ok ? answered.answer : answered.problem;
};

describe('ask buy', () => {
  it('answers with packs, what serves each need, the total, and that it is proven', async () => {
    expect(await asked()).toMatchObject({
      lines: [
        { offer: 'q-grey', count: 1 },
        { offer: 'q-buoy', count: 1 },
      ],
      serve: { primer: 'grey', red: 'buoy' },
      total: 1840,
      optimal: true,
      because: expect.stringContaining('2 packs from 1 shop'),
      source: 'label',
    });
  });
  it('says by how much a budget is exceeded, and only then', async () => {
    expect(await asked({ budget: 1500 })).toMatchObject({ total: 1840, overBy: 340 });
    expect(await asked({ budget: 1840 })).not.toHaveProperty('overBy');
  });
  it('keeps what may not go together apart, and names what goes short', async () => {
    const apart = {
      exclude: [
        [
          ['primer', 'grey'],
          ['red', 'buoy'],
        ],
      ],
    };
    expect(await asked(apart)).toMatchObject({ serve: { red: 'signal' }, total: 850 + 490 + 700 + 390 });
    const [primer, red] = question.needs;
    expect(await asked({ needs: [primer, { ...red, byDay: 1 }] })).toMatchObject({
      serve: { primer: 'grey' },
      short: [{ need: 'red', why: 'too-late' }],
    });
    expect(await asked({ needs: [] })).toMatchObject({ lines: [], total: 0, optimal: true });
  });
  it('refuses what cannot be, and says where', async () => {
    const [grey, ...rest] = question.offers;
    for (const [more, at] of [
      [{ offers: [{ ...grey, shop: 'harbour' }, ...rest] }, /offers/],
      [{ offers: [{ ...grey, ml: 0 }, ...rest] }, /offers/],
      [{ offers: [{ ...grey, price: 8.5 }, ...rest] }, /offers/],
      [{ offers: [grey, grey] }, /offers/],
      [{ budget: -1 }, /budget/],
      [
        {
          exclude: [
            [
              ['primer', 'buoy'],
              ['red', 'buoy'],
            ],
          ],
        },
        /exclude/,
      ],
      [{ needs: [{ id: 'x', ml: 10, byDay: 1, products: [] }] }, /needs/],
      [{ colour: 'red' }, /./],
    ] as const) {
      const refused = await asked(more);
      expect(refused).toHaveProperty('mend');
      expect((refused as { at: string }).at).toMatch(at);
    }
  });
});
