export { bareResistance, biteOf, filmResistance, isPlastic, wantsPromoter } from './bite.ts';
export { type Evidence, evidenceFinding, outcomeFinding, paintKey, TILE_OUTCOMES, type TileOutcome } from './evidence.ts';
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
export { type Above, type Below, type Finding, isBetter, type JointAnswer, type JointVerdict, worseOf } from './jointTypes.ts';
export { joint, knownIn } from './joint.ts';
export { type Remedy, remediesFor } from './remedies.ts';
export { resolveLayer, type ResolvedLayer } from './resolve.ts';
export { type JointBranch, jointInState, labelFinding, type StackJoint, stackJoint, type UnderFilm } from './stack.ts';
export { sheetsFromCsv, type SheetsRead, sheetsToCsv } from './sheetCsv.ts';
export { oddLabel, type SheetField, sheetFields } from './sheetFields.ts';
export { type FitLeft, fitLeft } from './fit.ts';
export { compareShades, PRIMER_SHADES, type ShadeRow } from './shades.ts';
export { glossOf, SHEEN_UNITS, sheenLevers, sheenName } from './sheen.ts';
export { serviceFinding } from './service.ts';
export { readySystems, roleOf, type SystemDraft, type SystemKind } from './systems.ts';
export { type Regrounded, regrounded } from './regrounded.ts';
export { shareSeen } from './hidingSeen.ts';
export { clearNeeds, neverOptional } from './needed.ts';
export { type FlatQuestion, flatRefused } from './flatting.ts';
export { handFor, handServes } from './hand.ts';
export { detailOn, type OverDetail, overDecal, overDetail, type SolventAdvice, solventOn } from './detailJoint.ts';
export { keptPaint } from './keptPaint.ts';
export { normalCoats, WEIGHT_OF, weightsOf } from './weight.ts';
export { type KnownPaint, knownPaint } from './knownPaint.ts';
