/** An id of 128 random bits. Not `randomUUID`: a phone on the home network has it not, its page being no secure one. */
export function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('');
}
