import type { Act, FasteningKind, Mend, StripMethod, TaskKind, WorkStage } from '#core/facts/index';
import type { CoatOfStep } from './step.ts';

/** What each kind of work does to a part, as data: whoever reads the finished plan needs no words (core/verify/sense). */

const BY_STAGE: Readonly<Record<WorkStage, readonly Act[]>> = {
  teardown: ['open', 'handle'],
  'material-test': ['test', 'handle'],
  corner: ['water-wash'],
  'touch-in': ['brush-on'],
  wash: ['water-wash'],
  reference: ['record'],
  'test-patch': ['handle'],
  strip: ['handle'],
  'strip-on': ['handle'],
  'strip-off': ['water-wash'],
  'metal-prep': ['acid-prep'],
  repair: ['handle'],
  prep: ['dry-sand'],
  'dry-fit': ['handle'],
  clean: ['solvent-wipe'],
  'bare-care': ['handle'],
  'scrap-test': [],
  mask: ['tape', 'cover'],
  mix: [],
  promoter: ['spray'],
  coat: ['spray'],
  unmask: ['untape'],
  warm: ['heat'],
  detail: ['brush-on'],
  decal: ['decal'],
  flat: ['wet-sand'],
  rinse: ['solvent-wipe'],
  age: ['dry-sand'],
  look: ['look'],
  task: ['handle'],
  assemble: ['handle'],
  fit: ['close', 'test'],
  'touch-up': ['brush-on'],
};

const BY_METHOD: Readonly<Record<StripMethod, readonly Act[]>> = {
  gel: ['strip-gel'],
  chlorinated: ['strip-chlorinated'],
  caustic: ['bath', 'strip-caustic'],
  alkaline: ['bath', 'strip-alkaline'],
  alcohol: ['bath', 'strip-alcohol'],
  scuff: ['scuff'],
  'wet-sand': ['wet-sand'],
  brush: ['strip-brush'],
  blast: ['strip-blast'],
  heat: ['strip-heat'],
};

export type Worked = { readonly stage: WorkStage; readonly method?: StripMethod; readonly coat?: Pick<CoatOfStep, 'hand'> };

/** What a step does where its maker says nothing else. */
export function usualActs({ stage, method, coat }: Worked): readonly Act[] {
  if (coat?.hand === 'brush') return ['brush-on'];
  if (method) return stage === 'strip-off' ? [...BY_METHOD[method], 'water-wash'] : BY_METHOD[method];
  return BY_STAGE[stage];
}

/** What putting a mark right does to the part round it. */
export const ACTS_OF_MEND: Readonly<Record<Mend, readonly Act[]>> = {
  sand: ['dry-sand'],
  filler: ['glue-on', 'dry-sand'],
  'glue-build-up': ['glue-on', 'dry-sand'],
  straighten: ['handle'],
  'rust-soak': ['bath'],
  'rust-brush': ['strip-brush'],
  'rust-spin': ['strip-brush'],
  'metal-prep': ['acid-prep'],
  polish: ['polish'],
  dip: ['brush-on'],
  glue: ['glue-on'],
  free: ['handle'],
  replace: ['handle'],
  leave: [],
};

/** What a step of the person's own does, by its kind, where the person says nothing else. */
export const ACTS_OF_TASK: Readonly<Record<TaskKind, readonly Act[]>> = {
  own: ['handle'],
  glue: ['glue-on'],
  glazing: ['glue-on'],
  join: ['glue-on', 'close'],
  'light-test': ['test'],
  tyre: ['slide-on'],
  screw: ['screw-on'],
  seals: ['glue-on'],
  hang: ['hang'],
  'old-glue': ['dry-sand', 'solvent-wipe'],
};

/** What each kind of joint does to the films it is made on. */
export const ACTS_OF_JOINT: Readonly<Record<FasteningKind, readonly Act[]>> = {
  'tapped-post': ['screw-on'],
  screw: ['screw-on'],
  tab: ['slide-on'],
  glue: ['glue-on'],
  clip: ['slide-on'],
  rivet: ['screw-on'],
  axle: ['slide-on'],
};
