import type { BuyingProblem, Need } from './problem.ts';
import type { Solved } from './solve.ts';
import { type Leaving, written } from './written.ts';

/** Why a need cannot be served, the plainest reason first. */
export type ShortWhy = 'no-offer' | 'too-late' | 'minimum' | 'stock' | 'excluded';

export type Short = { readonly need: string; readonly why: ShortWhy };

/** What stands in the way of one need by itself, whatever the others take; null: nothing. */
export function hopeless(need: Need, { offers, shelf, shops }: BuyingProblem): ShortWhy | null {
  const ways = need.servings.map(({ product, ml }) => ({
    ml: ml - (shelf.get(product) ?? 0),
    packs: offers.filter((own) => own.product === product),
  }));
  if (ways.some(({ ml }) => ml <= 0)) return null;
  const offered = ways.filter(({ packs }) => packs.some(({ stock }) => stock !== 0));
  if (offered.length === 0) return ways.some(({ packs }) => packs.length > 0) ? 'stock' : 'no-offer';
  const inTime = offered.map(({ ml, packs }) => ({ ml, packs: packs.filter(({ leadDays }) => leadDays <= need.byDay) }));
  if (inTime.every(({ packs }) => packs.every(({ stock }) => stock === 0))) return 'too-late';
  const enough = inTime.filter(
    ({ ml, packs }) => ml <= packs.reduce((sum, own) => sum + own.ml * (own.stock ?? Number.POSITIVE_INFINITY), 0),
  );
  if (enough.length === 0) return 'stock';
  const sent = (shop: string) => mostGoods(shop, offers) >= (shops.find(({ id }) => id === shop)?.minimum ?? 0);
  const reached = enough.some(
    ({ ml, packs }) =>
      ml <= packs.filter(({ shop }) => sent(shop)).reduce((sum, own) => sum + own.ml * (own.stock ?? Number.POSITIVE_INFINITY), 0),
  );
  return reached ? null : 'minimum';
}

/** All that a shop could ever sell, in money. */
function mostGoods(shop: string, offers: BuyingProblem['offers']): number {
  return offers
    .filter((own) => own.shop === shop && own.price > 0)
    .reduce((sum, { price, stock }) => sum + price * (stock ?? Number.POSITIVE_INFINITY), 0);
}

const WITHOUT: readonly (readonly [ShortWhy, Leaving])[] = [
  ['excluded', { excluded: true }],
  ['stock', { stock: true }],
  ['too-late', { leads: true }],
];

/** Why a need is left out beside others that are served: the first thing without which all of them would be. */
export async function whyBeside(
  need: Need,
  served: readonly Need[],
  problem: BuyingProblem,
  ask: (programme: string) => Promise<Solved>,
): Promise<ShortWhy> {
  const together = { ...problem, needs: [...served, need] };
  for (const [why, leaving] of WITHOUT) {
    const { values } = await ask(written(together, { goal: 'cheapest' }, leaving).text);
    // Stopped in time or not, an answer shows that there is one.
    if (values) return why;
  }
  return 'minimum';
}
