import type { PaintNeed, Reach } from '#core/buying/index';
import type { Piece } from '#core/facts/index';
import type { Ration } from '#core/plan/index';
import { counted, listed } from '#core/units/index';

type Words = {
  readonly volume: (ml: number) => string;
  readonly moment: (at: number) => string;
  readonly money: (minor: number) => string;
};

/** Whether what is here lasts, and by how much: the same words on shelf, jar and list. */
export function lastsText({ shortMl, spareMl, spare, tight }: Reach, { volume }: Pick<Words, 'volume'>): string {
  if (shortMl > 0) return `${volume(shortMl)} short`;
  // Where there is as much again, nobody asks for the share.
  const share = spare < 1 ? `, ${Math.round(spare * 100)} %` : '';
  return `lasts, ${volume(spareMl)} to spare${share}${tight ? ': tight' : ''}`;
}

/** What it takes, and what is not there to be taken. */
export function takesText({ coatsMl, neededMl, jarMl, keptMl, hand }: PaintNeed, { volume }: Pick<Words, 'volume'>): string {
  const nozzleMl = neededMl - coatsMl;
  return [
    `coats and details ${volume(coatsMl)}`,
    ...(nozzleMl > 0.05 ? [`clearing the nozzle ${volume(nozzleMl)}`] : []),
    ...(hand === 'aerosol' ? ['what never leaves a can, 5 % of it, is not counted as there'] : []),
    ...(keptMl > 0 ? [`${volume(jarMl)} of ${volume(keptMl)} left for touch-up`] : []),
  ].join('; ');
}

/** How far a paint reaches that is short or tight, as a person would say it. */
export function reachText({ marginCoats, runsDry, reach }: Ration, words: Words): string {
  const where = runsDry ? `runs dry at “${runsDry.title}”${runsDry.at === null ? '' : `, ${words.moment(runsDry.at)}`}; ` : '';
  return `${where}${lastsText(reach, words)}, about ${coatsText(Math.abs(marginCoats))}`;
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
