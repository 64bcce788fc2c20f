import { shelf } from '#core/invented/index';
import type { Facts, Offer } from '#core/facts/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { offersToCsv, readOffers } from './index.ts';

/** Prices as a table that any spreadsheet writes. */

const shops = ['Quay; hardware', '=Pier', 'Ångström "post"'].map((name, at) => ({ id: `s${at}`, name, delivery: 0, leadDays: 1 }));
const [one, two] = shelf.products;
/** Names with a comma in them are written between quotes. */
const [first, second] = [one, two].map(({ name }) => `"${name}"`);
const facts = (offers: readonly Offer[] = []): Facts => ({ ...shelf, shops, offers: [...offers] });
let ids = 0;
const read = (text: string, own = facts()) => readOffers(text, own, () => `o${++ids}`, '2026-12-01');
const HEAD = 'shop,paint,pack_ml,price,stock,seen_on';

describe('a table of prices', () => {
  it('comes back as it went out, with the offers it was made of', () => {
    const offer = fc.record({
      shopId: fc.constantFrom(...shops.map(({ id }) => id)),
      productId: fc.constantFrom(one.id, two.id),
      packMl: fc.integer({ min: 1, max: 5000 }),
      price: fc.integer({ min: 0, max: 100_000 }),
      stock: fc.option(fc.integer({ min: 0, max: 99 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(offer, { maxLength: 20, selector: ({ shopId, productId, packMl }) => `${shopId} ${productId} ${packMl}` }),
        (list) => {
          const offers = list.map(
            ({ stock, ...own }, at): Offer => ({ ...own, id: `k${at}`, seenOn: '2026-11-03', ...(stock === undefined ? {} : { stock }) }),
          );
          const again = read(offersToCsv(facts(offers)), facts(offers));
          expect(again.wrong).toEqual([]);
          expect(again.offers).toEqual(offers);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('is read with semicolons, decimal commas and a byte-order mark', () => {
    const text = `\uFEFFShop;Paint;Pack_ml;Price\r\n"Quay; hardware";${first};400;7,20\r\n=Pier;${second};17,5;2,90\r\n`;
    expect(read(text).offers).toMatchObject([
      { shopId: 's0', productId: one.id, packMl: 400, price: 720, seenOn: '2026-12-01' },
      { shopId: 's1', productId: two.id, packMl: 17.5, price: 290 },
    ]);
  });
  it('of 5,000 lines with three wrong ones keeps the good and names the bad by line', () => {
    const lines = Array.from({ length: 5000 }, (_, at) => `Ångström ""post"",${first},${at + 1},3.50,,`).map((own) =>
      own.replace('Ångström ""post""', '"Ångström ""post"""'),
    );
    lines[9] = 'Nowhere,x,400,7,,';
    lines[99] = `=Pier,${first},0,7,,`;
    lines[4999] = `=Pier,${first},400,seven,,`;
    const { offers, wrong } = read([HEAD, ...lines].join('\n'));
    expect(offers.length).toBe(4997);
    expect(wrong.map(({ line }) => line)).toEqual([11, 101, 5001]);
    expect(wrong.map(({ why }) => why)).toEqual([
      expect.stringContaining('No shop'),
      expect.stringContaining('no pack'),
      expect.stringContaining('sum of money'),
    ]);
  });
  it('says of a row what is wrong: price missing or in other money, stock that is none, a negative price', () => {
    const why = (rest: string) => read(`${HEAD}\n=Pier,${first},400,${rest}`).wrong[0]?.why;
    expect(why(',,')).toBe('The price is missing.');
    expect(why('9 USD,,')).toMatch(/Prices are in [A-Z]{3} here/);
    expect(why('-3,,')).toMatch(/0 or more/);
    expect(why('9,many,')).toMatch(/no stock/);
    expect(why('9,1.5,')).toBeDefined();
    expect(why('0,,')).toBeUndefined();
  });
  it('is refused where it is no such table', () => {
    expect(() => read('a,b\n1,2')).toThrow(/lacks shop, paint/);
    expect(() => read('')).toThrow(/lacks/);
  });
  it('changes the price of an offer that is known, and takes the last of two rows that say the same', () => {
    const known: Offer = { id: 'known', shopId: 's1', productId: one.id, packMl: 400, price: 700, seenOn: '2026-10-01' };
    const { offers } = read(`${HEAD}\n=Pier,${first},400,7.50,,\n=pier,${first.toUpperCase()},400,7.80,2,`, facts([known]));
    expect(offers).toMatchObject([{ id: 'known', price: 780, stock: 2 }]);
  });
});
