/** Which folder of core may import which: only those above it in this list (DESIGN §3). Checked by core/boundaries.test.ts. */
export const LAYERS: readonly (readonly string[])[] = [
  ['units'],
  ['facts'],
  ['colour'],
  ['drying'],
  ['survey', 'strip', 'prep', 'safety'],
  ['coats'],
  ['amounts'],
  ['masking'],
  ['schedule', 'buying'],
  ['bench', 'faults'],
  ['plan'],
];
