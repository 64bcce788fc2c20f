import type { MixPart } from '#core/amounts/index';

/** What is mixed in one cup: parts side by side, of one piece or of several, are served from the same one. */
export type Cup = {
  readonly parts: readonly MixPart[];
  /** Set aside unmixed for touch-up, mL. */
  readonly keptMl: number;
  /** It stands so long before it is sprayed, minutes; null: it is sprayed at once. */
  readonly standMin: number | null;
};

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
  };
}

export function cupText({ parts, keptMl, standMin }: Cup): string {
  return [
    ...(keptMl > 0 ? [`set ${keptMl} mL aside unmixed for touch-up`] : []),
    parts.map((part) => `${part.what} ${part.ml.toFixed(1)} mL (${part.grams.toFixed(1)} g)`).join(', '),
    ...(standMin ? [`let it stand ${standMin} min`] : []),
  ].join('; ');
}

/** What is said of steps done in one go: one cup for all that is mixed, else what is said of the first. */
export function detailTogether(steps: readonly { readonly cup?: Cup; readonly detail: string }[]): string {
  const cups = steps.flatMap(({ cup }) => cup ?? []);
  return cups.length > 1 ? cupText(cupsTogether(cups)) : (steps[0]?.detail ?? '');
}
