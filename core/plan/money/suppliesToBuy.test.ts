import { describe, expect, it } from 'vitest';
import type { PricedSupply } from './supplies.ts';
import { suppliesToBuy, supplyShares } from './suppliesToBuy.ts';

const paper = (amount: number, owned: number | null, more: Partial<PricedSupply> = {}): PricedSupply => ({
  kind: 'paper',
  spec: 'P400',
  unit: 'sheet',
  amount,
  exact: amount,
  reckoned: amount,
  corrected: false,
  owned,
  toBuy: owned === null ? 0 : Math.max(0, amount - owned),
  unitPrice: 35,
  cost: 0,
  source: 'default',
  ...more,
});

describe('a supply bought for several pieces', () => {
  it('is borne by who uses of it, to the cent', () => {
    const pieces = [0.4, 0.5, 0.3].map((exact, at) => ({ pieceId: `p${at}`, money: { supplies: [paper(1, 0, { exact })] } }));
    const [line] = suppliesToBuy(pieces.map(({ money }) => money.supplies));
    expect(supplyShares(line, pieces)).toEqual([
      { pieceId: 'p0', paid: 23 },
      { pieceId: 'p1', paid: 29 },
      { pieceId: 'p2', paid: 18 },
    ]);
    expect(supplyShares({ ...line, spec: 'P2000' }, pieces)).toEqual([]);
  });
});

describe('what all pieces lack beside paint', () => {
  it('takes what is owned off once, not once a piece', () => {
    const [line] = suppliesToBuy([[paper(4, 5)], [paper(3, 5)]]);
    expect([line.amount, line.toBuy, line.cost]).toEqual([7, 2, 70]);
  });
  it('is rounded up once over all of them, not once a piece', () => {
    const [line] = suppliesToBuy([[paper(1, 0, { exact: 0.4 })], [paper(1, 0, { exact: 0.5 })], [paper(1, 0, { exact: 0.3 })]]);
    expect([line.toBuy, line.cost]).toEqual([2, 70]);
  });
  it('leaves out what is covered, or was never counted and taken to be enough', () => {
    expect(suppliesToBuy([[paper(2, 5)], [paper(3, 5)]])).toEqual([]);
    expect(suppliesToBuy([[paper(90, null)]])).toEqual([]);
  });
  it('keeps kinds and grits apart', () => {
    const lines = suppliesToBuy([
      [paper(1, 0), paper(1, 0, { spec: 'P800' }), paper(1, 0, { kind: 'pad', spec: 'grey pad', unit: 'piece' })],
    ]);
    expect(lines.map(({ spec }) => spec)).toEqual(['P400', 'P800', 'grey pad']);
  });
});
