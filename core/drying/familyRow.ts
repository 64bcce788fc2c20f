export type Mechanism = 'evaporation' | 'oxidation' | 'crosslinking' | 'coalescence';

/**
 * Reference drying points of a family in hours at 20 °C and 50 % RH (trade §6 table).
 * `touch` and the two recoat points are for one normal coat, later points for two.
 */
export type FamilyDrying = {
  readonly mechanism: Mechanism;
  /** Acrylic enamel: touch and coat run on another mechanism than what follows. */
  readonly early?: Mechanism;
  readonly touch: number;
  readonly coatFrom: number;
  /** null: stays open, the film fuses with itself. */
  readonly coatUntil: number | null;
  readonly layerFrom: number;
  /** After the window has shut: hours, 'scuff' (keyed first), 'never', or null where the window never shuts. */
  readonly again: number | 'scuff' | 'never' | null;
  /** Hours before a scuff helps once the window has shut (2K); null: at once. */
  readonly scuffFrom: number | null;
  /** null: never sanded. */
  readonly flat: number | null;
  /** null: never taped. */
  readonly tape: number | null;
  readonly handle: number;
  readonly fit: number;
  /** null: no cure while bare of clear. */
  readonly cure: number | null;
  /** The shutting time counts from the first coat of the set (enamels). */
  readonly shutsFromFirst: boolean;
  readonly needsClear: boolean;
  readonly thinner: string;
  /** Minutes on the clock after the last coat in which tape comes off. */
  readonly tapeOff: readonly [number, number];
};

export const MIN = 1 / 60;
export const D = 24;
const lacquerTape = [10, 20] as const;
export const enamelTape = [20, 40] as const;
export const twoPackTape = [30, 60] as const;

type Row = Partial<FamilyDrying> &
  Pick<FamilyDrying, 'mechanism' | 'touch' | 'coatFrom' | 'coatUntil' | 'layerFrom' | 'handle' | 'thinner'>;

/** A row of the table; what is left out is what most families have. */
export function row(data: Row): FamilyDrying {
  return {
    again: null,
    scuffFrom: null,
    flat: null,
    tape: null,
    fit: 24,
    cure: 72,
    shutsFromFirst: false,
    needsClear: false,
    tapeOff: lacquerTape,
    ...data,
  };
}
