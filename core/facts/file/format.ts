/** The open file's name for itself, and the version of the facts it is written in. */
export const FORMAT = 'enamelos-workshop';
export const FORMAT_VERSION = 12;
