import type { Basket, BuyingProblem, PackOffer, Serving } from './problem.ts';
import { Programme, type Term } from './programme.ts';

/** A buying problem written as an integer programme, and its answer read back. */

/** Parts of the problem that may be left aside to find out what stands in the way. */
export type Leaving = { readonly excluded?: boolean; readonly stock?: boolean; readonly leads?: boolean };

export type Wanted =
  /** Every need served, as cheaply as may be. */
  | { readonly goal: 'cheapest' }
  /** As many needs as can be served at all. */
  | { readonly goal: 'most' }
  /** So many of them, as cheaply as may be. */
  | { readonly goal: 'cheapest-of'; readonly served: number };

export type Written = {
  readonly text: string;
  readonly read: (values: ReadonlyMap<string, number>) => Basket;
};

export function written(problem: BuyingProblem, wanted: Wanted, leaving: Leaving = {}): Written {
  const programme = new Programme();
  const offers = problem.offers.map((offer, at) => ({ offer, count: `c${at}`, most: mostPacks(offer, problem, leaving) }));
  const serving = problem.needs.flatMap((need, at) =>
    need.servings.map((own, way) => ({ need, own, chosen: programme.binary(`x${at}_${way}`) })),
  );
  for (const { count, most } of offers) programme.whole(count, most);
  const served = problem.needs.map((need, at) => {
    const ways = serving.filter((own) => own.need === need).map(({ chosen }): Term => [1, chosen]);
    if (wanted.goal === 'cheapest') programme.row(ways, '=', 1);
    else programme.row([...ways, [-1, programme.binary(`y${at}`)]], '=', 0);
    return `y${at}`;
  });
  if (wanted.goal === 'cheapest-of')
    programme.row(
      served.map((name): Term => [1, name]),
      '>=',
      wanted.served,
    );
  for (const product of new Set(serving.map(({ own }) => own.product))) paintInTime(product);
  for (const pair of leaving.excluded ? [] : problem.excluded) {
    const names = pair.flatMap(({ need, product }) =>
      serving.filter((own) => own.need.id === need && own.own.product === product).map(({ chosen }): Term => [1, chosen]),
    );
    if (names.length === 2) programme.row(names, '<=', 1);
  }
  const ways = (problem.ways ?? []).map(({ id, saves }, at) => ({ id, saves, taken: programme.binary(`z${at}`) }));
  for (const { need, own, chosen } of serving)
    for (const { id, taken } of ways)
      if (need.ways?.includes(id))
        // Served so only with the ways it takes, and without those it leaves.
        programme.row(
          [
            [1, chosen],
            [own.taking?.includes(id) ? -1 : 1, taken],
          ],
          '<=',
          own.taking?.includes(id) ? 0 : 1,
        );
  for (const pair of problem.apart ?? [])
    programme.row(
      ways.filter(({ id }) => pair.includes(id)).map(({ taken }): Term => [1, taken]),
      '<=',
      1,
    );
  const cost = [
    ...ways.map(({ saves, taken }): Term => [-saves, taken]),
    ...offers.map(({ offer, count }): Term => [offer.price, count]),
    ...problem.shops.flatMap(shopTerms),
  ];
  return {
    text:
      wanted.goal === 'most'
        ? programme.text(
            served.map((name): Term => [1, name]),
            'Maximize',
          )
        : programme.text(cost.length > 0 ? cost : [[0, serving[0]?.chosen ?? served[0]]], 'Minimize'),
    read: (values) => ({
      packs: new Map(
        offers.flatMap(({ offer, count }) => {
          const packs = Math.round(values.get(count) ?? 0);
          return packs > 0 ? [[offer.id, packs] as const] : [];
        }),
      ),
      ways: new Set(ways.flatMap(({ id, taken }) => ((values.get(taken) ?? 0) > 0.5 ? [id] : []))),
      serve: new Map(serving.flatMap(({ need, own, chosen }) => ((values.get(chosen) ?? 0) > 0.5 ? [[need.id, own] as const] : []))),
    }),
  };

  /** What a product serves by each day is at hand, or has come by then. */
  function paintInTime(product: string): void {
    const uses = serving.filter(({ own }) => own.product === product);
    const packs = offers.filter(({ offer }) => offer.product === product);
    const days = leaving.leads ? [Number.POSITIVE_INFINITY] : [...new Set(uses.map(({ need }) => need.byDay))];
    for (const day of days)
      programme.row(
        [
          ...uses.filter(({ need }) => need.byDay <= day).map(({ own, chosen }): Term => [own.ml, chosen]),
          ...packs.filter(({ offer }) => offer.leadDays <= day).map(({ offer, count }): Term => [-offer.ml, count]),
        ],
        '<=',
        problem.shelf.get(product) ?? 0,
      );
  }

  /** Delivery of a shop that is used, none where its goods reach the threshold; its minimum is kept. */
  function shopTerms({ id, delivery, freeOver, minimum = 0 }: BuyingProblem['shops'][number], at: number): Term[] {
    const own = offers.filter(({ offer }) => offer.shop === id);
    if (own.length === 0 || (delivery === 0 && minimum === 0)) return [];
    const used = programme.binary(`u${at}`);
    for (const { count, most } of own)
      programme.row(
        [
          [1, count],
          [-most, used],
        ],
        '<=',
        0,
      );
    const goods = own.map(({ offer, count }): Term => [offer.price, count]);
    if (minimum > 0) programme.row([...goods, [-minimum, used]], '>=', 0);
    if (freeOver === undefined || delivery === 0) return [[delivery, used]];
    const free = programme.binary(`f${at}`);
    programme.row([...goods, [-freeOver, free]], '>=', 0);
    programme.row(
      [
        [1, free],
        [-1, used],
      ],
      '<=',
      0,
    );
    return [
      [delivery, used],
      [-delivery, free],
    ];
  }
}

/** More packs than all needs take are only worth while they lift the goods over a minimum or a threshold. */
function mostPacks({ ml, price, product, shop, stock }: PackOffer, { needs, shops }: BuyingProblem, { stock: endless }: Leaving): number {
  const wanted = needs.reduce((sum, { servings }) => sum + largest(servings, product), 0);
  const { delivery = 0, freeOver, minimum = 0 } = shops.find((own) => own.id === shop) ?? {};
  const worth = Math.max(minimum, freeOver === undefined ? 0 : delivery);
  const most = Math.ceil(wanted / ml) + (price > 0 ? Math.ceil(worth / price) : 0);
  return endless ? most : Math.min(most, stock ?? most);
}

function largest(servings: readonly Serving[], product: string): number {
  return Math.max(0, ...servings.filter((own) => own.product === product).map(({ ml }) => ml));
}
