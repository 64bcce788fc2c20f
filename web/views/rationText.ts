import type { Piece } from '#core/facts/index';
import type { Ration } from '#core/plan/index';
import { counted, listed } from '#core/units/index';

type Words = {
  readonly volume: (ml: number) => string;
  readonly moment: (at: number) => string;
  readonly money: (minor: number) => string;
};

/** How far a paint reaches that is short, as a person would say it. */
export function reachText({ marginCoats, runsDry }: Ration, words: Words): string {
  if (runsDry) return `runs dry at “${runsDry.title}”${runsDry.at === null ? '' : `, ${words.moment(runsDry.at)}`}`;
  if (marginCoats < 0) return `about ${coatsText(-marginCoats)} short`;
  return `lasts, with ${coatsText(marginCoats)} to spare`;
}

function coatsText(coats: number): string {
  const tenths = Math.round(coats * 10) / 10;
  return tenths < 0.1 ? 'hardly anything' : counted(tenths, 'coat');
}

/** Where to thin it out: hidden faces half as heavy, seen faces full, metal covered. */
export function thinText({ spots, savesMl, lasts }: Ration, pieceById: ReadonlyMap<string, Piece>, words: Words): string | null {
  if (spots.length === 0) return null;
  const names = spots.map(({ pieceId, partId }) => {
    const piece = pieceById.get(pieceId);
    return `${piece?.parts.find(({ id }) => id === partId)?.name.toLowerCase() ?? 'a part'} of ${piece?.name ?? 'a piece'}`;
  });
  const end = lasts ? 'then it lasts' : 'that alone is not enough';
  return `Half as heavy on what nobody sees of ${listed(names)} saves ${words.volume(savesMl)}; ${end}. Seen faces full, metal covered.`;
}

/** What more of it would cost: from a shop, or mixed again. */
export function moreText({ refill, remix }: Ration, words: Words): string | null {
  const ways = [
    ...(refill === null ? [] : [`a refill costs ${words.money(refill)}`]),
    ...(remix === null ? [] : [`a second mix takes ${words.money(remix)} of paint, and is never quite the first`]),
  ];
  return ways.length > 0 ? `${ways.join('; ')}.` : null;
}
