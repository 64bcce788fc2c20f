export { bareResistance, biteOf, filmResistance, isPlastic } from './bite.ts';
export {
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
export { type Above, type Below, type Finding, isBetter, joint, type JointAnswer, type JointVerdict, worseOf } from './joint.ts';
export { type Remedy, remediesFor } from './remedies.ts';
export { resolveLayer, type ResolvedLayer } from './resolve.ts';
export { type JointBranch, type StackJoint, stackJoint } from './stack.ts';
export { serviceFinding } from './service.ts';
export { readySystems, type SystemDraft, type SystemKind } from './systems.ts';
