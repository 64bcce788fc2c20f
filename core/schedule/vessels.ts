import type { Minute } from '#core/units/index';

/** Vessels that hold one load at a time, an oven or a tub: what lies in them, for how long, and whether there is one free. */

/** A load: parts of the same batch that are put in at about the same time, as far as the vessel holds them. */
export type Load = {
  /** Which kind of vessel. */
  readonly what: string;
  readonly batch: string;
  /** Of the room in one vessel, 0 to 1. */
  readonly share: number;
  readonly from: Minute;
  readonly to: Minute;
};

/** How many there are of each kind; a kind not named is one. */
export type VesselCounts = Readonly<Record<string, number>>;

/** A lid is opened again only within so many minutes. */
const PUT_IN_TOGETHER = 30;

export class Vessels {
  readonly #counts: VesselCounts;
  readonly #loads: Load[];

  constructor(counts: VesselCounts, taken: readonly Load[]) {
    this.#counts = counts;
    this.#loads = [...taken];
  }

  add(load: Load): void {
    this.#loads.push(load);
  }

  remove(load: Load): void {
    this.#loads.splice(this.#loads.indexOf(load), 1);
  }

  /** When a vessel comes free for a load; null: there is one from its start on. */
  freeAt(wanted: Load): Minute | null {
    const others = this.#loads.filter(({ what, from, to }) => what === wanted.what && from < wanted.to && to > wanted.from);
    const lots = lotsOf(others);
    if (lots.some((lot) => joins(wanted, lot)) || lots.length < (this.#counts[wanted.what] ?? 1)) return null;
    return Math.min(...lots.map((lot) => Math.max(...lot.map(({ to }) => to))));
  }
}

/** Loads by the vessel they lie in together. */
export function lotsOf(loads: readonly Load[]): Load[][] {
  const lots: Load[][] = [];
  for (const load of [...loads].sort((a, b) => a.from - b.from)) {
    const lot = lots.find((own) => joins(load, own));
    if (lot) lot.push(load);
    else lots.push([load]);
  }
  return lots;
}

function joins(load: Load, lot: readonly Load[]): boolean {
  const room = 1 - lot.reduce((sum, { share }) => sum + share, 0);
  return load.share <= room + 1e-9 && lot.every(({ batch, from }) => batch === load.batch && Math.abs(from - load.from) <= PUT_IN_TOGETHER);
}
