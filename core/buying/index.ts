export { buyGreedily, leadDays, pricePer100Ml } from './greedy.ts';
export type { PaintNeed } from './paintNeed.ts';
export { type Reach, reachOf } from './reach.ts';
export { type Portion, portionsLacking, type Use } from './portions.ts';
export type { PurchaseLine, Purchases, ShopTotal, ShortWant } from './purchases.ts';
export { type BesideWanted, type Pack, parcelKey, type Want, wantsOf } from './want.ts';
export { buy, buyingKey, buyingProblem, datedPortions, type ProvenPurchases } from './workshopBuying.ts';
export { canFact, leftOnShelf, type LostPaint, lostPaint, ownedFamilies, residueOf, shelfCans, type ShelfCan, usableMl } from './shelf.ts';
export { cartridgeMinutes, frostKills, type Keeping, keepingOf, letDowns, type PaintUse, usesOf } from './keeping.ts';
export {
  asKept,
  type BoughtOutside,
  boughtOutside,
  sessionSupplies,
  shelfStock,
  type SupplyUse,
  supplyUses,
  wasBought,
} from './stockLedger.ts';
export { typicalPack, usualCost, usualPacks } from './typical.ts';
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
export { goodsToCsv, type ReadGoods, readGoods } from './goodsCsv.ts';
export { offersToCsv, type ReadOffers, readOffers } from './offersCsv.ts';
export { type ReadShelf, readShelf, shelfToCsv } from './shelfCsv.ts';
export type { WrongLine } from './table.ts';
export { paintWanted, type WantedPaint } from './wanted.ts';
export { unnotedPaint } from './unnoted.ts';
