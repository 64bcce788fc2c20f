import { filmTimes } from '#core/drying/index';
import { fits, hangingAt, type Spell } from '#core/schedule/index';
import { broken, type PlacedStep, type Verified, type Violation } from './verified.ts';

/** More never hangs than there are places: counted with each coat by itself at its quickest, thicker films only hang longer. */
export function placeViolations({ facts, clocks, steps }: Verified): Violation[] {
  const { dryingPlaces, dryPlaceId } = facts.workshop[0];
  if (!dryingPlaces || dryingPlaces.length === 0) return [];
  const spellsOf = (step: PlacedStep): Spell[] => {
    const { coat, placed, pieceId, on } = step;
    if (!coat) return [];
    const end = placed.end;
    const { handle } = filmTimes(
      { family: coat.family, placeId: dryPlaceId, firstCoatEnd: end, lastCoatEnd: end, coatRatio: 1, filmRatio: 1 },
      clocks,
    );
    const parts = facts.pieces.find(({ id }) => id === pieceId)?.parts ?? [];
    return on.flatMap(({ partId }) => {
      const part = parts.find(({ id }) => id === partId);
      const longMm = Math.max(...(part?.faces.map((face) => Math.max(face.longMm, face.shortMm)) ?? [0]));
      return part
        ? [
            {
              what: `${pieceId} ${partId}`,
              from: placed.start,
              until: handle ?? end,
              copies: { count: part.copies, longMm, grams: part.grams },
            },
          ]
        : [];
    });
  };
  const spells = steps.map(spellsOf);
  return steps.flatMap((step, index) => {
    if (spells[index].length === 0) return [];
    const hanging = hangingAt(spells.flat(), step.placed.start);
    return fits(hanging, dryingPlaces) ? [] : [broken('places', step, 'more hangs than there are drying places')];
  });
}
