export { BARE_GROUND, type Paint, withColour, withLaterRound, withLock } from './colouring.ts';
export { type EdgeFilm, type EdgeStep, type Levelling, levellings } from './levelling.ts';
export { type Laid, type Nest, nested, shapesToCut, type Wanted } from './nesting.ts';
export { templateSvg } from './template.ts';
export { type Grouped, groupedColours } from './grouped.ts';
export { type CoverLine, coversOf, usualCover } from './covers.ts';
export { fineLineFor, type TapeNeed, tapesFor } from './tapes.ts';
export { maskMinutes, TAPE_MINUTES_A_METRE } from './minutes.ts';
export { brushedWays } from './brushing.ts';
export { bestOrder, insistedOrder, MOST_COLOURS } from './order.ts';
export {
  type BrushedWay,
  type OrderAnswer,
  type OrderCost,
  type OrderQuestion,
  type OrderStep,
  type OrderStop,
  type OrderZone,
  totalCost,
} from './orderTypes.ts';
export { type TapeSafety, tapeSafety } from './tapeSafety.ts';
export { FORCING_MINUTES } from './stepCosts.ts';
