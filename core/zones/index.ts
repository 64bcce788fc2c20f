export { backZones, dividedFacts, dividedPart, dividedPiece, facesToPaint, zoneSize } from './divided.ts';
export { hiddenApart, seenAndHidden } from './hiddenApart.ts';
export { laidFlat, sideNames } from './lying.ts';
export { coatsLaidOn, type Merge, merged } from './merging.ts';
export { type Island, islandOf, shapeOf } from './outline.ts';
export { cutRefused, decalRefused, firstRefused } from './refused.ts';
export { type DrawnZone, schematic } from './schematic.ts';
