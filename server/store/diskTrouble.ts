/** What the disk says no to: nothing was changed by it, and nothing that is there is lost. */
export class DiskTrouble extends Error {}

const SAID: readonly (readonly [codes: RegExp, text: string])[] = [
  [/^SQLITE_FULL/, 'The disk is full.'],
  [/^(SQLITE_READONLY|SQLITE_PERM|EROFS|EACCES|EPERM)/, 'The folder of the workshop may only be read.'],
  [/^(SQLITE_IOERR|SQLITE_CANTOPEN|ENOSPC|EDQUOT|EFBIG|EIO)/, 'The disk does not take what is written to it; it may be full.'],
];

/** The trouble of the disk behind an error, or null where it has another cause. */
export function diskTroubleOf(error: unknown): DiskTrouble | null {
  if (error instanceof DiskTrouble) return error;
  const code = (error as { code?: unknown } | null)?.code;
  const said = typeof code === 'string' ? SAID.find(([codes]) => codes.test(code)) : undefined;
  return said ? new DiskTrouble(said[1]) : null;
}
