import { generatedFacts, NOW, withShops } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { goodsToCsv, readGoods } from './index.ts';

/** Prices of what is no paint, as a table. */

const facts = withShops(generatedFacts(1, 3, NOW), 3);
const read = (text: string) => readGoods(text, facts, () => 'new', '2026-12-01');
const HEAD = 'shop,kind,which,unit,amount,price,stock,seen_on\n';

describe('prices of papers and the rest', () => {
  it('come back as they were', () => {
    expect(facts.goods.length).toBeGreaterThan(3);
    expect(read(goodsToCsv(facts))).toEqual({ goods: facts.goods, wrong: [] });
  });
  it('change the price that is known, and add one that is not', () => {
    const [known] = facts.goods;
    const of = known.of as Extract<typeof known.of, { kind: 'supply' }>;
    const shop = facts.shops.find(({ id }) => id === known.shopId)?.name;
    const { goods } = read(
      `\uFEFFshop;kind;which;unit;amount;price\n${shop};${of.supply};${of.spec};${of.unit};${known.amount};9,90\n${shop};cup;30 mL cup;piece;50;4,00\n`,
    );
    expect(goods).toMatchObject([
      { id: known.id, price: 990 },
      { id: 'new', price: 400, amount: 50, seenOn: '2026-12-01' },
    ]);
  });
  it.each([
    ['Nowhere,paper,P400,sheet,4,1.40,,', 'No shop is called'],
    ['Near,paint,P400,sheet,4,1.40,,', 'supply: use one of paper'],
    ['Near,paper,P400,acre,4,1.40,,', 'unit: use one of sheet'],
    ['Near,paper,P400,sheet,none,1.40,,', 'is no amount'],
    ['Near,paper,P400,sheet,0,1.40,,', 'more than nothing'],
    ['Near,paper,P400,sheet,4,,,', 'The price is missing'],
    ['Near,paper,P400,sheet,4,1.40 USD,,', 'Prices are in EUR here'],
    ['Near,paper,,sheet,4,1.40,,', 'Say which it is'],
  ])('name what is wrong with %s', (row, why) => {
    const { goods, wrong } = read(`${HEAD}${row}\nNear,cup,cup,piece,10,1.00,3,2026-11-30\n`);
    expect(wrong).toEqual([{ line: 2, why: expect.stringContaining(why) }]);
    expect(goods).toMatchObject([{ stock: 3, seenOn: '2026-11-30' }]);
  });
});
