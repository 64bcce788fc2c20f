/** The part of it that the tests use: it ships no types. */
declare module 'anypalette' {
  export function loadPalette(
    options: { readonly data: string; readonly fileName: string; readonly fileExt: string },
    done: (
      error: Error | null,
      palette: Iterable<{ readonly red: number; readonly green: number; readonly blue: number; readonly name?: string }>,
    ) => void,
  ): void;
}
