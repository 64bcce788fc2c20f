export { type PieceMoney, pieceMoney } from './money.ts';
export { suppliesToBuy } from './suppliesToBuy.ts';
export { shoppingList, type ShoppingLine, type ShoppingShop, toOrder } from './shoppingList.ts';
export { type PurchaseShare, purchaseShares, splitExactly } from './split.ts';
export { type Estimate, estimateOf } from './estimate.ts';
