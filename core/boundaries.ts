/** Which folder of core may import which: only those above it in this list (README, How the code is laid out). Checked by core/boundaries.test.ts. */
export const LAYERS: readonly (readonly string[])[] = [
  ['units'],
  ['facts'],
  ['colour'],
  ['drying'],
  ['survey', 'strip', 'prep', 'safety'],
  ['zones'],
  ['coats'],
  ['admission'],
  ['amounts'],
  ['masking'],
  ['schedule', 'buying'],
  ['bench', 'faults', 'log', 'mixing'],
  ['plan'],
  ['verify'],
  ['ask', 'calendar'],
  ['invented'],
];

/** The rooms of core/plan, each through its index by those below it only; `.` is its own floor, where `plan` stands. */
export const ROOMS: readonly string[] = ['films', 'verdicts', 'steps', 'dates', 'money', '.', 'guesses', 'ways'];
