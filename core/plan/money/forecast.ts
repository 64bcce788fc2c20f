/** What rework is likely to add: about one coat in twelve fails and is laid again (trade §12). */

const COAT_FAILS = 1 / 12;
const SAFE = 0.9;

/** Of so many coats, how many fail at most in nine jobs of ten: the 90 % quantile of the binomial. @param coats whole, 0 or more */
export function failingCoats(coats: number): number {
  let failing = 0;
  let chance = (1 - COAT_FAILS) ** coats;
  for (let sum = chance; sum < SAFE && failing < coats; sum += chance) {
    chance *= ((coats - failing) / (failing + 1)) * (COAT_FAILS / (1 - COAT_FAILS));
    failing++;
  }
  return failing;
}

/** Minor units that coats laid again take of paint, at the safe end: so many of them, each at the mean of all. */
export function reworkCost(costs: readonly number[]): number {
  if (costs.length === 0) return 0;
  const mean = costs.reduce((sum, cost) => sum + cost, 0) / costs.length;
  return Math.round(failingCoats(costs.length) * mean);
}
