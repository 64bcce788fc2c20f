import type { Stage } from '#core/drying/index';
import type { Act, Fitting } from '#core/facts/index';

/** What an act asks of the film it is done on, and what it ruins of what sits there: the sceptic's own table, from no maker's. */

/** The stage a film must have reached before an act is done on it (trade §2); acts without a word may be done at any time. */
export const BEARS: Partial<Record<Act, Stage>> = {
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
  decal: 'touch',
};

/** In words: what is done, in the middle of a sentence. */
export const DOING: Readonly<Record<Act, string>> = {
  record: 'recorded',
  open: 'opened',
  spray: 'sprayed',
  'brush-on': 'brushed',
  'solvent-wipe': 'wiped with solvent',
  'strip-gel': 'stripped by gel',
  'strip-chlorinated': 'stripped by chlorinated remover',
  'strip-caustic': 'laid in caustic',
  'strip-alkaline': 'laid in alkaline degreaser',
  'strip-alcohol': 'laid in alcohol',
  'strip-brush': 'brushed to bare',
  'strip-blast': 'blasted',
  'strip-heat': 'stripped by heat',
  'water-wash': 'washed',
  'acid-prep': 'given metal prep',
  scuff: 'scuffed',
  'dry-sand': 'sanded',
  'wet-sand': 'wet sanded',
  polish: 'polished',
  drill: 'drilled',
  heat: 'warmed',
  tape: 'taped',
  cover: 'covered',
  untape: 'freed of tape',
  'glue-on': 'glued on',
  'screw-on': 'screwed on',
  'slide-on': 'slid on',
  'press-on': 'pressed on',
  decal: 'given its decal',
  hang: 'hung',
  handle: 'handled',
  bath: 'laid in a bath',
  close: 'closed',
  test: 'tested',
  look: 'looked at',
};

const STRIPPERS: readonly Act[] = ['strip-gel', 'strip-chlorinated', 'strip-caustic', 'strip-alkaline', 'strip-alcohol'];
const BLOWS: readonly Act[] = ['strip-brush', 'strip-blast', 'strip-heat'];
const PAINT: readonly Act[] = ['spray', 'brush-on'];
const PAPER: readonly Act[] = ['scuff', 'dry-sand', 'wet-sand', 'polish'];
const EVERY_STRIPPER: readonly Act[] = [...STRIPPERS, ...BLOWS, 'bath', 'acid-prep'];

/** What each act ruins of what sits on the part, and how. */
const RUINED_BY: Readonly<Record<Fitting, { readonly acts: readonly Act[]; readonly how: string }>> = {
  glazing: {
    acts: [...EVERY_STRIPPER, ...PAINT, ...PAPER, 'solvent-wipe', 'heat'],
    how: 'clear plastic fogs, scratches or is painted over',
  },
  seal: { acts: [...EVERY_STRIPPER, ...PAINT, 'dry-sand', 'wet-sand', 'solvent-wipe', 'heat'], how: 'a seal swells, hardens or sticks' },
  pad: { acts: [...EVERY_STRIPPER, ...PAINT, ...PAPER, 'solvent-wipe', 'water-wash', 'heat'], how: 'felt and foam soak it up' },
  rubber: { acts: [...EVERY_STRIPPER, ...PAINT, 'solvent-wipe', 'heat'], how: 'rubber swells, and paint on it stays sticky' },
  wire: { acts: [...EVERY_STRIPPER, ...PAINT, 'water-wash', 'heat'], how: 'insulation and contacts suffer' },
  badge: { acts: [...EVERY_STRIPPER, ...PAINT, 'dry-sand', 'wet-sand', 'heat'], how: 'a badge loses its face' },
  decal: { acts: [...EVERY_STRIPPER, ...PAPER, 'solvent-wipe', 'tape', 'heat'], how: 'a decal tears or dissolves' },
};

/** Acts that a cover keeps off what is under it. */
const KEPT_OFF: readonly Act[] = [...PAINT, ...PAPER, 'water-wash', 'strip-brush', 'tape'];

/** How an act ruins what sits there; null where it does not, or a cover keeps it off. */
export function ruins(act: Act, what: Fitting, covered: boolean): string | null {
  const { acts, how } = RUINED_BY[what];
  return acts.includes(act) && !(covered && KEPT_OFF.includes(act)) ? how : null;
}

/** Acts after which what was to be recorded is not there any more. */
export const UNDOES: readonly Act[] = [...EVERY_STRIPPER, ...PAPER, ...PAINT, 'drill', 'open', 'water-wash', 'solvent-wipe', 'heat'];

/** Acts that take the old paint, and its colour with it. */
export const TAKES_COLOUR: readonly Act[] = [...STRIPPERS, ...BLOWS, 'bath', 'scuff', 'dry-sand', 'wet-sand'];

/** Acts that a part of unknown material bears only once it has been tested. */
export const ASKS_MATERIAL: readonly Act[] = [...EVERY_STRIPPER, ...PAINT, 'solvent-wipe', 'heat'];

/** Acts that put something on. */
export const PUTS_ON: readonly Act[] = ['glue-on', 'screw-on', 'press-on'];

/** Acts that lay bright what they are done on. */
export const BARES: readonly Act[] = [
  'dry-sand',
  'wet-sand',
  'strip-brush',
  'strip-blast',
  'strip-caustic',
  'strip-gel',
  'strip-chlorinated',
];
