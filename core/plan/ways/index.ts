export { type BoardProposal, designBoard, hasTileAlong, proposeBoard, tileAlong, type Varies } from './boards.ts';
export { type Mended, pricedMends } from './mends.ts';
export { type Change, changesFor, type Gain, gainOf, type ShownStep, startWith } from './sooner.ts';
export { dropRefused, type PinTried, type Shown, shownIn, tryPin, withPin } from './pinning.ts';
export { type Resumed, resumedOn, wrapsFrom } from './resuming.ts';
export { type Warmth, warmthOf, type WarmOffer } from './warmth.ts';
export { type PricedWay, priceWays, type Way, withPiece } from './ways.ts';
export { whatIf, type WhatIf, type WhatIfAnswer } from './whatIf.ts';
export { daysLater, type PricedSaving, type Savings, savingsOf } from './priceSaving.ts';
