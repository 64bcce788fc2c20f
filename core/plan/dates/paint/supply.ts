import { leadDays, type ShelfCan, residueOf, shelfCans, usableMl } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import { DAY, listed, type Minute } from '#core/units/index';
import type { Step } from '../../steps/index.ts';
import { partsOf } from './paintNeeds.ts';

/** Which steps wait for paint that is not on the shelf: until the shop can have it here. */
export function waitForPaint(steps: readonly Step[], facts: Facts, now: Minute): Step[] {
  const shelf = new ShelfTaken(facts);
  const inHand = paintsInHand(steps, facts);
  return steps.map((step) => {
    const { coat } = step;
    if (!coat || inHand.has(coat.mix)) return step;
    const lacking = shelf.take(coat.productId, coat.paintMl);
    if (lacking.length === 0) return step;
    const lead = Math.max(...lacking.map((productId) => leadDays(facts, productId)));
    // Today's evening is no time to shop: what is missing is here tomorrow at the soonest.
    const arrives = now + Math.max(1, lead) * DAY - 6 * 60;
    if (step.notBefore !== undefined && step.notBefore >= arrives) return step;
    const names = new Set(lacking.map((id) => facts.products.find((product) => product.id === id)?.name ?? coat.name));
    return { ...step, notBefore: arrives, notBeforeWhy: `${listed([...names])} must be bought first` };
  });
}

/** The shelf as one step after the other takes from it; of an own mix its jar first, then its paints. */
class ShelfTaken {
  readonly #facts: Facts;
  readonly #cans: readonly ShelfCan[];
  readonly #left = new Map<string, number>();

  constructor(facts: Facts) {
    this.#facts = facts;
    this.#cans = shelfCans(facts);
  }

  /** Takes so much of a paint and says which paints are not enough for it; a paint that is no product yet never is. */
  take(productId: string | undefined, ml: number, within: readonly string[] = []): (string | undefined)[] {
    if (productId === undefined) return [undefined];
    const had = this.#left.get(productId) ?? usableMl(this.#cans, productId, residueOf(productId, this.#facts));
    this.#left.set(productId, had - ml);
    if (had >= ml) return [];
    const lacking = ml - Math.max(0, had);
    const parts = within.includes(productId) ? [] : partsOf(productId, this.#facts);
    if (parts.length === 0) return [productId];
    return parts.flatMap(({ product, share }) => this.take(product.id, lacking * share, [...within, productId]));
  }
}

/** Paints without a can on the shelf that have been sprayed: a layer of them is begun, so the can stands on the bench. */
function paintsInHand(steps: readonly Step[], { cans }: Facts): ReadonlySet<string> {
  const nth = ({ on }: Step, { layerId }: NonNullable<Step['coat']>, number: number) => `${layerId} ${on[0]?.zoneIds[0]} ${number}`;
  const toCome = new Set(steps.flatMap((step) => (step.coat ? [nth(step, step.coat, step.coat.number)] : [])));
  return new Set(
    steps.flatMap((step) => {
      const { coat } = step;
      if (!coat || coat.number === 1 || cans.some((can) => can.productId === coat.productId)) return [];
      return toCome.has(nth(step, coat, coat.number - 1)) ? [] : [coat.mix];
    }),
  );
}
