export { type PieceMoney, pieceMoney } from './money.ts';
export { suppliesToBuy } from './suppliesToBuy.ts';
