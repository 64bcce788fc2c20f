/**
 * A sum of whole minor units shared out by weight; the shares add up to it exactly. What is left of rounding down goes to those that
 * lost most by it, the first of equals first.
 * @param weights 0 or more; where all are 0 the shares are equal
 */
export function splitExactly(total: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((all, weight) => all + weight, 0);
  const exact = weights.map((weight) => (sum > 0 ? (total * weight) / sum : total / weights.length));
  const shares = exact.map(Math.floor);
  const left = total - shares.reduce((all, share) => all + share, 0);
  const losers = exact.map((own, at) => ({ at, lost: own - shares[at] })).sort((a, b) => b.lost - a.lost || a.at - b.at);
  for (const { at } of losers.slice(0, left)) shares[at]++;
  return shares;
}
