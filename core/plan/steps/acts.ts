import type { Act, FasteningKind, Mend, StripMethod, TaskKind, WorkStage } from '#core/facts/index';
import type { CoatOfStep } from './step.ts';

/** What each kind of work does to a part, as data: whoever reads the finished plan needs no words (core/verify/sense). */

const BY_STAGE: Readonly<Record<WorkStage, readonly Act[]>> = {
  teardown: ['open', 'handle'],
  'material-test': ['test', 'handle'],
  corner: ['test', 'handle'],
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

/** Acts that put something on a part. */
export const PUTS_ON: readonly Act[] = ['glue-on', 'screw-on', 'slide-on', 'press-on'];

/** Acts on a whole, which waits for its parts (trade §2). */
export function isWhole(act: Act): boolean {
  return act === 'hang' || act === 'close' || act === 'test';
}

/** Acts that no paint bears well: they stand before it. */
export const ROUGH: readonly Act[] = [
  'drill',
  'solvent-wipe',
  'water-wash',
  'bath',
  'acid-prep',
  'dry-sand',
  'wet-sand',
  'scuff',
  'heat',
  'strip-gel',
  'strip-chlorinated',
  'strip-caustic',
  'strip-alkaline',
  'strip-alcohol',
  'strip-brush',
  'strip-blast',
  'strip-heat',
];

type FilmStage = 'handle' | 'tape' | 'flat' | 'fit';

const ASKED_OF_FILM: Partial<Record<Act, FilmStage>> = {
  'glue-on': 'fit',
  'screw-on': 'fit',
  'slide-on': 'fit',
  'press-on': 'fit',
  close: 'fit',
  drill: 'fit',
  tape: 'tape',
  cover: 'tape',
  'dry-sand': 'flat',
  'wet-sand': 'flat',
  polish: 'flat',
  'water-wash': 'handle',
  'solvent-wipe': 'handle',
  test: 'handle',
  hang: 'handle',
  handle: 'handle',
};
const HARDEST: readonly FilmStage[] = ['flat', 'fit', 'tape', 'handle'];

/** What a film must bear before these acts; null where none of them asks anything of it (trade §2). */
export function asksOfFilm(acts: readonly Act[]): readonly FilmStage[] | null {
  const asked = HARDEST.filter((stage) => acts.some((act) => ASKED_OF_FILM[act] === stage));
  return asked.length > 0 ? asked : null;
}
