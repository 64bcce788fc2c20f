export {
  buyGreedily,
  leadDays,
  type PaintNeed,
  pricePer100Ml,
  type PurchaseLine,
  type Purchases,
  type ShopTotal,
  type ShortPaint,
} from './greedy.ts';
export { buy, buyingKey, buyingProblem, type ProvenPurchases } from './workshopBuying.ts';
export { type LostPaint, lostPaint, ownedFamilies, shelfCans, type ShelfCan, usableMl } from './shelf.ts';
export { typicalPack, usualCost } from './typical.ts';
export { newWorkshop, starterShelf } from './starterShelf.ts';
export { type Cheapest, cheapest } from './cheapest/cheapest.ts';
export { basketBreaks } from './cheapest/checked.ts';
export {
  type Basket,
  billsOf,
  type BuyingProblem,
  type BuyingShop,
  type Choice,
  type Need,
  type OptionalWay,
  type PackOffer,
  type Serving,
  type ShopBill,
  totalOf,
} from './cheapest/problem.ts';
export { Programme, type Term } from './cheapest/programme.ts';
export type { Short, ShortWhy } from './cheapest/short.ts';
export type { Solve, Solved } from './cheapest/solve.ts';
export { offersToCsv, type ReadOffers, readOffers, type WrongLine } from './offersCsv.ts';
export { paintWanted, type WantedPaint } from './wanted.ts';
