/** What a spreadsheet would work out instead of showing; a plain negative figure is none. A table writes an apostrophe before it. */
export const FORMULA_LIKE = /^(?:[=@\t\r]|[+-](?![\d.,]+$))/;

/** A cell as it was before an apostrophe kept it from being worked out. */
export function withoutGuard(cell: string): string {
  return cell.startsWith("'") && FORMULA_LIKE.test(cell.slice(1)) ? cell.slice(1) : cell;
}
