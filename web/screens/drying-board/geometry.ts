/** Measures of the board in its own units; the page scales all of it together. */
export const LABEL = 212;
export const WIDTH = 1216;
export const HEAD = 62;
export const ROW = 38;

export function clip(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
