export { dressedPiece } from './dressed.ts';
export { generatedFacts } from './generated.ts';
export {
  at,
  base,
  cans,
  clear,
  coat,
  cut,
  done,
  enamel,
  hours,
  lacquer,
  layer,
  mark,
  NOW,
  part,
  type Planned,
  piece,
  planOf,
  primed,
  primer,
  shelf,
  solePiece,
  stages,
  steps,
  titles,
  wanted,
  workshop,
} from './testBench.ts';
export { GRID, inventedInstance } from './instances.ts';
export { inventedBuying } from './buyings.ts';
export { withShops } from './shops.ts';
export { HARD, ownStep, ownTask, PAINTED, PLANTED, type Planted, told, type Told } from './planted/index.ts';
export { inventedJob } from './jobs.ts';
export { type Spoilt, spoiltPlans } from './spoiling/index.ts';
export { changed, factsOf, foundIn, honestPlan, movedTo, withHardClear } from './tampering.ts';
