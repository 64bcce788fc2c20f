import type { BuyingProblem, Choice } from '#core/buying/index';

/** Invented buying problems of any size, with everything that makes buying hard: thresholds, minimums, stock, late shops, exclusions. */

type Size = { readonly needs: number; readonly products: number; readonly shops: number };

export function inventedBuying(random: () => number, size: Size): BuyingProblem {
  const whole = (most: number) => Math.floor(random() * most);
  const some = <T>(list: readonly T[], share: number): T[] => list.filter(() => random() < share);
  const products = Array.from({ length: size.products }, (_, at) => `p${at}`);
  const shops = Array.from({ length: size.shops }, (_, at) => ({
    id: `s${at}`,
    delivery: [0, 290, 490, 650][whole(4)],
    ...(random() < 0.5 ? { freeOver: 1500 + 500 * whole(6) } : {}),
    ...(random() < 0.3 ? { minimum: 500 + 500 * whole(4) } : {}),
  }));
  const offers = products.flatMap((product) =>
    some(shops, 0.7).flatMap(({ id: shop }) =>
      some([50, 150, 400], 0.5).map((ml) => ({
        id: `${shop}-${product}-${ml}`,
        shop,
        product,
        ml,
        price: Math.round(ml * (1 + 2 * random())) + 100,
        leadDays: whole(6),
        ...(random() < 0.25 ? { stock: whole(3) } : {}),
      })),
    ),
  );
  const needs = Array.from({ length: size.needs }, (_, at) => {
    const amount = 5 + whole(160);
    const servings = products.map((product) => ({ product, ml: random() < 0.8 ? amount : amount + whole(30) }));
    const chosen = some(servings, 3 / size.products);
    return { id: `n${at}`, byDay: 1 + whole(9), servings: chosen.length > 0 ? chosen : servings.slice(0, 1) };
  });
  const choices = needs.flatMap(({ id, servings }) => servings.map(({ product }): Choice => ({ need: id, product })));
  const pairs = choices.flatMap((one, at) =>
    choices.slice(at + 1).flatMap((other) => (one.need === other.need ? [] : [[one, other] as const])),
  );
  const excluded = some(pairs, pairs.length > 0 ? Math.min(0.15, (size.needs * 1.5) / pairs.length) : 0);
  return { needs, excluded, shelf: new Map(some(products, 0.4).map((product) => [product, whole(90)])), offers, shops };
}
