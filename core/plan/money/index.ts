export { lacking, suppliesOfAll } from './lacking.ts';
export { type Bought, ownBudget, type PieceMoney, pieceMoney } from './money.ts';
export { usedUp } from './usedUp.ts';
export { suppliesToBuy } from './suppliesToBuy.ts';
export { shoppingList, type ShoppingLine, type ShoppingShop, toOrder } from './shoppingList.ts';
export { lineShares, type PurchaseShare, purchaseShares, splitExactly } from './split.ts';
export { type Estimate, estimateOf } from './estimate.ts';
