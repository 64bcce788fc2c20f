import type { Part, Workshop } from '#core/facts/index';

/** How much lies or hangs side by side in the booth without one part's overspray on the next (trade §12). */

/** Room left round each copy, mm: about half a spray fan. */
const APART_MM = 60;
/** One load out, the next one in, minutes. */
const CHANGE_LOAD_MINUTES = 2;

export type BoothLoads = {
  readonly loads: number;
  /** Of one load, what its copies take; above 1 where they need several. */
  readonly share: number;
  /** What changing them takes, minutes. */
  readonly minutes: number;
  /** Larger than the booth: it is sprayed in it only with the booth opened, or elsewhere. */
  readonly tooLarge: boolean;
};

/** Parts that only lie beside each other, in an oven or a bath, mm. */
export const LYING_APART_MM = 10;

/** @param booth absent: room enough for all @param apartMm between two copies */
export function boothLoads({ faces, copies }: Pick<Part, 'faces' | 'copies'>, booth: Workshop['booth'], apartMm = APART_MM): BoothLoads {
  if (!booth || faces.length === 0) return { loads: 1, share: 0, minutes: 0, tooLarge: false };
  const largest = faces.reduce((most, face) => (face.longMm * face.shortMm > most.longMm * most.shortMm ? face : most));
  const [long, short] = [Math.max(largest.longMm, largest.shortMm), Math.min(largest.longMm, largest.shortMm)];
  const [boothLong, boothShort] = [Math.max(booth.longMm, booth.wideMm), Math.min(booth.longMm, booth.wideMm)];
  const tooLarge = long > boothLong || short > boothShort;
  const side = (room: number, size: number) => Math.floor((room + apartMm) / (size + apartMm));
  const together = Math.max(1, side(boothLong, long) * side(boothShort, short), side(boothLong, short) * side(boothShort, long));
  const share = copies / together;
  return { loads: loadsOf(share), share, minutes: changingMinutes(share), tooLarge };
}

function loadsOf(share: number): number {
  return Math.max(1, Math.ceil(share - 1e-9));
}

/** What changing loads takes, minutes. @param share of one load, of all that is sprayed side by side */
export function changingMinutes(share: number): number {
  return (loadsOf(share) - 1) * CHANGE_LOAD_MINUTES;
}
