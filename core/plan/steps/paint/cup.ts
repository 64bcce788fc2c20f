import { MIX_SPARE, type MixPart } from '#core/amounts/index';

/** What is mixed in one cup: parts side by side, of one piece or of several, are served from the same one. */
export type Cup = {
  readonly parts: readonly MixPart[];
  /** Set aside unmixed for touch-up, mL. */
  readonly keptMl: number;
  /** It stands so long before it is sprayed, minutes; null: it is sprayed at once. */
  readonly standMin: number | null;
  /** Paint of it that stands on the shelf, mL; null: none, it is yet to be bought. */
  readonly shelfMl: number | null;
};

/** What is measured out: a fifth more than the coats take, or what there is where that is less and the coats still have enough. */
function measuredOut({ parts, keptMl, shelfMl }: Cup): { readonly parts: readonly MixPart[]; readonly isAll: boolean } {
  const paintMl = parts.find(({ what }) => what === 'paint')?.ml ?? 0;
  const there = (shelfMl ?? Number.POSITIVE_INFINITY) - keptMl;
  const share = there / paintMl;
  if (share >= 1 || share * (1 + MIX_SPARE) < 1) return { parts, isAll: false };
  return { parts: parts.map((part) => ({ ...part, ml: part.ml * share, grams: part.grams * share })), isAll: true };
}

/** The cup of all of them. */
export function cupsTogether(cups: readonly Cup[]): Cup {
  const kinds = [...new Set(cups.flatMap(({ parts }) => parts.map(({ what }) => what)))];
  const sum = (of: readonly number[]) => of.reduce((total, own) => total + own, 0);
  return {
    parts: kinds.map((what) => {
      const own = cups.flatMap(({ parts }) => parts.filter((part) => part.what === what));
      return { what, ml: sum(own.map(({ ml }) => ml)), grams: sum(own.map(({ grams }) => grams)) };
    }),
    keptMl: sum(cups.map(({ keptMl }) => keptMl)),
    standMin: cups.reduce<number | null>((longest, { standMin }) => (standMin === null ? longest : Math.max(longest ?? 0, standMin)), null),
    shelfMl: cups.reduce<number | null>((most, { shelfMl }) => (shelfMl === null ? most : Math.max(most ?? 0, shelfMl)), null),
  };
}

export function cupText(cup: Cup): string {
  const { keptMl, standMin } = cup;
  const { parts, isAll } = measuredOut(cup);
  return [
    ...(keptMl > 0 ? [`set ${keptMl} mL aside unmixed for touch-up`] : []),
    parts.map((part) => `${part.what} ${part.ml.toFixed(1)} mL (${part.grams.toFixed(1)} g)`).join(', '),
    ...(isAll ? ['all there is of it, less than a fifth more than the coats take'] : []),
    ...(standMin ? [`let it stand ${standMin} min`] : []),
  ].join('; ');
}

/** What is said of steps done in one go: one cup for all that is mixed, else what is said of the first. */
export function detailTogether(steps: readonly { readonly cup?: Cup; readonly detail: string }[]): string {
  const cups = steps.flatMap(({ cup }) => cup ?? []);
  return cups.length > 1 ? cupText(cupsTogether(cups)) : (steps[0]?.detail ?? '');
}
