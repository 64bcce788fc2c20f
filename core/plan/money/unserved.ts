import type { Purchases, ShortWant, Want } from '#core/buying/index';

/** What no shop serves: it is wanted all the same, so it stays on the list and in what each piece costs, at what it last cost. */
export type Unserved = ShortWant & {
  /** What it would cost in the packs it is known in, minor units; null where none is known. */
  readonly about: number | null;
};

export function unservedOf({ short, shops }: Pick<Purchases, 'short' | 'shops'>, wants: readonly Want[]): Unserved[] {
  const seen = new Set<string>();
  return short.flatMap((own) => {
    const want = wants.find(({ key }) => key === own.want);
    if (seen.has(own.want)) return [];
    seen.add(own.want);
    const served = shops
      .flatMap(({ lines }) => lines)
      .reduce((sum, line) => (line.want === own.want ? sum + line.pack * line.count : sum), 0);
    return [{ ...own, about: want ? inPacks(want, Math.max(0, want.amount - served)) : null }];
  });
}

/** The cheapest one kind of pack that holds it, whatever its stock and its days. */
function inPacks({ packs }: Want, amount: number): number | null {
  const prices = packs.map((pack) => Math.ceil(amount / pack.amount - 1e-9) * pack.price);
  return prices.length > 0 ? Math.min(...prices) : null;
}
