export { bareResistance, biteOf, filmResistance, isPlastic, wantsPromoter } from './joints/bite.ts';
export {
  type Evidence,
  evidenceFinding,
  heldLatest,
  outcomeFinding,
  paintKey,
  TILE_OUTCOMES,
  type TileOutcome,
} from './joints/evidence.ts';
export {
  CLEAR_TO_STAY_UM,
  clearToBuild,
  COMPOUND_UM,
  coatsForColour,
  coatsToHide,
  type FilmFigures,
  filmOfCoat,
  FLATTING_TAKES_UM,
  finestRelief,
  groundSuits,
  HIDDEN_CONTRAST,
  reliefEffect,
  REMOVAL_UM,
} from './film.ts';
export { type Above, type Below, type Finding, isBetter, type JointAnswer, type JointVerdict, worseOf } from './joints/jointTypes.ts';
export { joint, knownIn } from './joints/joint.ts';
export { type Remedy, remediesFor } from './joints/remedies.ts';
export { resolveLayer, type ResolvedLayer } from './products/resolve.ts';
export { type JointBranch, jointInState, labelFinding, type StackJoint, stackJoint, type UnderFilm } from './stack.ts';
export { sheetsFromCsv, type SheetsRead, sheetsToCsv } from './products/sheetCsv.ts';
export { oddLabel, type SheetField, sheetFields } from './products/sheetFields.ts';
export { type FitLeft, fitLeft } from './fit.ts';
export { compareShades, PRIMER_SHADES, type ShadeRow } from './looks/shades.ts';
export { glossOf, SHEEN_UNITS, sheenLevers, sheenName } from './looks/sheen.ts';
export { serviceFinding } from './service.ts';
export { readySystems, roleOf, type SystemDraft, type SystemKind } from './products/systems.ts';
export { type Regrounded, regrounded } from './joints/regrounded.ts';
export { shareSeen } from './looks/hidingSeen.ts';
export { clearNeeds, neverOptional } from './needed.ts';
export { type PolishedFilm, polishedFilm, polishTakes, polishWhyNot } from './polish.ts';
export { type FlatQuestion, flatRefused } from './flatting.ts';
export { handFor, handServes, isInSprayCan, isSprayCan } from './hand.ts';
export { detailOn, type OverDetail, overDecal, overDetail, type SolventAdvice, solventOn } from './joints/detailJoint.ts';
export { keptPaint } from './joints/keptPaint.ts';
export { normalCoats, WEIGHT_OF, weightsOf } from './weight.ts';
export { type KnownPaint, knownPaint } from './products/knownPaint.ts';
