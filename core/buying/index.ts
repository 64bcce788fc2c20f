export { buyGreedily, leadDays, type PaintNeed, type PurchaseLine, type Purchases, type ShopTotal } from './greedy.ts';
export { type LostPaint, lostPaint, ownedFamilies, shelfCans, type ShelfCan, usableMl } from './shelf.ts';
export { typicalPack, usualCost } from './typical.ts';
export { newWorkshop, starterShelf } from './starterShelf.ts';
