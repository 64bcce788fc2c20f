export { type PieceMoney, pieceMoney } from './money.ts';
