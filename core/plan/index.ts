export {
  type ChangeRow,
  type ColourUse,
  type Evening,
  eveningOf,
  type EveningRow,
  type MixLasts,
  planAnew,
  type PlannedStep,
  seededRandom,
  type Session,
  plannedInColour,
  type WetNearby,
} from './dates/index.ts';
export { type BandOfFilm, type FilmAhead, filmsAhead, type FilmsAhead, type HangingPart, whenRefused } from './films/index.ts';
export {
  type Drafted,
  draftPiece,
  type LastCoat,
  layersOfSystem,
  type Outlook,
  outlook,
  type QuickAnswers,
  sharpen,
  type SharpenQuestion,
  type WhereNow,
} from './guesses/index.ts';
export { type PieceMoney, shoppingList, type ShoppingLine, type ShoppingShop, suppliesToBuy, toOrder } from './money/index.ts';
export type { PiecePlan } from './piecePlan.ts';
export { type BetterFound, BetterPlan } from './better.ts';
export { plan, type Plan, type PlanInput } from './plan.ts';
export {
  bathsOf,
  type CoatOfStep,
  type Dressing,
  partKey,
  pieceKey,
  type Preparation,
  preparationOf,
  type Step,
  touchUpIdOf,
} from './steps/index.ts';
export { type JointOfPart, layersMended, type LayerView, type StackView, stripChoice, type StripChoice } from './verdicts/index.ts';
export { type PieceView, planView, type PlanView } from './view.ts';
export {
  type Change,
  changesFor,
  type Gain,
  gainOf,
  type BoardProposal,
  designBoard,
  dropRefused,
  hasTileAlong,
  type PinTried,
  type ShownStep,
  startWith,
  type Resumed,
  resumedOn,
  wrapsFrom,
  type Shown,
  shownIn,
  tryPin,
  withPin,
  type Mended,
  pricedMends,
  type PricedWay,
  priceWays,
  proposeBoard,
  tileAlong,
  type Varies,
  daysLater,
  type PricedSaving,
  type Savings,
  savingsOf,
  type Warmth,
  warmthOf,
  type WarmOffer,
  type Way,
  type WhatIf,
  whatIf,
  type WhatIfAnswer,
  withPiece,
} from './ways/index.ts';
export { evidenceOf, historyOf, isTile, learnedFactor } from './films/index.ts';
