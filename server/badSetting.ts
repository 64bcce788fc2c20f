/** What the person set (folder, port) cannot be used; the message says what to do. */
export class BadSetting extends Error {}
