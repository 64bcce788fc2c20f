import { type Basket, billsOf, type BuyingProblem } from './problem.ts';

/** What a basket breaks, asked of each rule by itself: nothing here knows how it was found. Empty where it keeps them all. */
export function basketBreaks({ packs, serve, ways }: Basket, problem: BuyingProblem): string[] {
  const { needs, excluded, shelf, offers, shops } = problem;
  const broken: string[] = [];
  for (const [id, count] of packs) {
    const stock = offers.find((own) => own.id === id)?.stock ?? Number.POSITIVE_INFINITY;
    if (!Number.isInteger(count) || count < 0 || count > stock) broken.push(`${count} packs of ${id}`);
  }
  const uses = needs.flatMap((need) => {
    const own = serve.get(need.id);
    if (!own) return [];
    if (!need.servings.includes(own)) broken.push(`${need.id} is served by what does not serve it`);
    for (const way of need.ways ?? [])
      if (ways.has(way) !== (own.taking?.includes(way) ?? false)) broken.push(`${need.id} and ${way} contradict each other`);
    return [{ ...own, byDay: need.byDay }];
  });
  for (const product of new Set(uses.map((own) => own.product)))
    for (const { byDay } of uses) {
      const used = sum(uses.filter((own) => own.product === product && own.byDay <= byDay).map(({ ml }) => ml));
      const come = sum(
        offers.filter((own) => own.product === product && own.leadDays <= byDay).map(({ id, ml }) => ml * (packs.get(id) ?? 0)),
      );
      if (used > (shelf.get(product) ?? 0) + come + 1e-6) broken.push(`${product} by day ${byDay}: ${used} mL`);
    }
  for (const [one, other] of excluded)
    if (serve.get(one.need)?.product === one.product && serve.get(other.need)?.product === other.product)
      broken.push(`${one.need} by ${one.product} with ${other.need} by ${other.product}`);
  for (const [one, other] of problem.apart ?? []) if (ways.has(one) && ways.has(other)) broken.push(`${one} with ${other}`);
  const bills = billsOf({ packs }, problem);
  for (const { id, minimum = 0 } of shops) {
    const goods = bills.get(id)?.goods;
    if (goods !== undefined && goods < minimum) broken.push(`${id} below its minimum`);
  }
  return broken;
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
