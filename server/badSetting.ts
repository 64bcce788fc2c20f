/** Something outside the program keeps it from starting: said in one sentence, without a stack. */
export class BadSetting extends Error {}

/** The workshop's own file cannot be read as one: a copy can take its place. */
export class DamagedFile extends BadSetting {}
