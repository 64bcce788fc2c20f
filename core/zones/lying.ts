import type { Cut, Part } from '#core/facts/index';

/** Flat parts that are too large for a stick or a clip are sprayed lying, one side after the other. */

/** Smaller than this a sheet is held by an edge and sprayed all round, mm. */
const HELD_BELOW_MM = 300;
/** A zone with two broad faces, and none beside them, is a sheet. */
const FACES_OF_A_SHEET = 2;

/** The part with both sides of each painted zone apart, where its shape says that it lies; else as it was. */
export function laidFlat(part: Part, newId: () => string, at: string): Part {
  if (!lies(part)) return part;
  const cuts = part.zones
    .filter((zone) => zone.bare === undefined)
    .map((zone): Cut => {
      const into = sideNames(zone.name).map((name) => ({ id: newId(), name }));
      return { id: newId(), of: zone.id, how: 'flip', numbers: {}, at, into };
    });
  return { ...part, cuts };
}

/** What the two sides of a zone are called at first: the one that is seen, and the one it lies on for that. */
export function sideNames(zoneName: string): readonly [string, string] {
  return zoneName === 'All over' ? ['Upper side', 'Back'] : [`${zoneName}, upper side`, `${zoneName}, back`];
}

function lies({ zones, faces }: Part): boolean {
  const longest = Math.max(0, ...faces.flatMap(({ longMm, shortMm }) => [longMm, shortMm]));
  const isSheet = zones.every(
    (zone) => faces.filter((face) => face.zoneId === zone.id).reduce((sum, { count }) => sum + count, 0) === FACES_OF_A_SHEET,
  );
  return longest >= HELD_BELOW_MM && isSheet;
}
