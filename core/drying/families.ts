import type { Family } from '#core/facts/index';

export type Mechanism = 'evaporation' | 'oxidation' | 'crosslinking' | 'coalescence';

/**
 * Reference drying points of a family in hours at 20 °C and 50 % RH (BRIEF §6 table).
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

const MIN = 1 / 60;
const D = 24;
const lacquerTape = [10, 20] as const;
const enamelTape = [20, 40] as const;
const twoPackTape = [30, 60] as const;

type Row = Partial<FamilyDrying> &
  Pick<FamilyDrying, 'mechanism' | 'touch' | 'coatFrom' | 'coatUntil' | 'layerFrom' | 'handle' | 'thinner'>;

function row(data: Row): FamilyDrying {
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

export const FAMILY_DRYING: Record<Exclude<Family, 'unknown'>, FamilyDrying> = {
  'acrylic-lacquer': row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 10 * MIN,
    coatUntil: null,
    layerFrom: 0.5,
    flat: 48,
    tape: 3,
    handle: 1,
    fit: 24,
    cure: 3 * D,
    thinner: 'lacquer thinner',
  }),
  'nitro-lacquer': row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 20 * MIN,
    coatUntil: null,
    layerFrom: 1,
    flat: 7 * D,
    tape: 12,
    handle: 2,
    fit: 3 * D,
    cure: 14 * D,
    thinner: 'lacquer thinner',
  }),
  'lacquer-primer': row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 10 * MIN,
    coatUntil: null,
    layerFrom: 0.5,
    flat: 3,
    tape: 3,
    handle: 1,
    fit: 24,
    cure: 2 * D,
    thinner: 'lacquer thinner',
  }),
  'wood-sealer': row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 10 * MIN,
    coatUntil: null,
    layerFrom: 0.5,
    flat: 3,
    tape: 3,
    handle: 1,
    fit: 24,
    cure: 2 * D,
    thinner: 'lacquer thinner',
  }),
  'alkyd-enamel': row({
    mechanism: 'oxidation',
    touch: 2,
    coatFrom: 20 * MIN,
    coatUntil: 1,
    layerFrom: 48,
    again: 48,
    flat: 7 * D,
    tape: 48,
    handle: 8,
    fit: 48,
    cure: 14 * D,
    shutsFromFirst: true,
    tapeOff: enamelTape,
    thinner: 'mineral spirit',
  }),
  'acrylic-enamel': row({
    mechanism: 'oxidation',
    early: 'evaporation',
    touch: 0.5,
    coatFrom: 10 * MIN,
    coatUntil: 1,
    layerFrom: 48,
    again: 24,
    flat: 3 * D,
    tape: 48,
    handle: 4,
    fit: 48,
    cure: 7 * D,
    shutsFromFirst: true,
    tapeOff: enamelTape,
    thinner: 'enamel reducer',
  }),
  'alcohol-acrylic': row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 20 * MIN,
    coatUntil: null,
    layerFrom: 1,
    flat: 24,
    tape: 6,
    handle: 2,
    fit: 24,
    cure: 2 * D,
    thinner: 'its own thinner',
  }),
  'water-acrylic': row({
    mechanism: 'coalescence',
    touch: 20 * MIN,
    coatFrom: 0.5,
    coatUntil: null,
    layerFrom: 2,
    flat: 48,
    tape: 24,
    handle: 4,
    fit: 24,
    cure: 3 * D,
    thinner: 'its own thinner',
  }),
  'waterborne-base': row({
    mechanism: 'coalescence',
    touch: 20 * MIN,
    coatFrom: 20 * MIN,
    coatUntil: 24,
    layerFrom: 0.75,
    again: 'scuff',
    flat: 2,
    tape: 24,
    handle: 2,
    fit: 24,
    cure: null,
    needsClear: true,
    thinner: 'water reducer',
  }),
  'waterborne-sealer': row({
    mechanism: 'coalescence',
    touch: 15 * MIN,
    coatFrom: 15 * MIN,
    coatUntil: 24,
    layerFrom: 1,
    again: 'scuff',
    flat: 24,
    tape: 12,
    handle: 2,
    fit: 24,
    cure: 3 * D,
    thinner: 'water reducer',
  }),
  'solvent-base': row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 10 * MIN,
    coatUntil: 24,
    layerFrom: 20 * MIN,
    again: 'scuff',
    flat: 2,
    tape: 2,
    handle: 0.5,
    fit: 24,
    cure: null,
    needsClear: true,
    thinner: 'base reducer',
  }),
  'urethane-2k': row({
    mechanism: 'crosslinking',
    touch: 0.5,
    coatFrom: 10 * MIN,
    coatUntil: 6,
    layerFrom: 16,
    again: 'scuff',
    scuffFrom: 16,
    flat: 24,
    tape: 24,
    handle: 12,
    fit: 36,
    cure: 7 * D,
    tapeOff: twoPackTape,
    thinner: 'urethane reducer',
  }),
  'epoxy-primer': row({
    mechanism: 'crosslinking',
    touch: 2,
    coatFrom: 0.5,
    coatUntil: 72,
    layerFrom: 2,
    again: 'scuff',
    flat: 24,
    tape: 24,
    handle: 12,
    fit: 24,
    cure: 7 * D,
    tapeOff: twoPackTape,
    thinner: 'epoxy reducer',
  }),
  'etch-primer': row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 10 * MIN,
    coatUntil: 24,
    layerFrom: 20 * MIN,
    again: 'scuff',
    handle: 1,
    fit: 24,
    cure: D,
    thinner: 'nothing',
  }),
  dye: row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 10 * MIN,
    coatUntil: null,
    layerFrom: 1,
    tape: 2,
    handle: 1,
    fit: 24,
    cure: 2 * D,
    thinner: 'nothing',
  }),
  candy: row({
    mechanism: 'evaporation',
    touch: 10 * MIN,
    coatFrom: 10 * MIN,
    coatUntil: 24,
    layerFrom: 10 * MIN,
    again: 'never',
    handle: 2,
    fit: 24,
    cure: null,
    needsClear: true,
    thinner: 'lacquer thinner',
  }),
  'high-temperature': row({
    mechanism: 'evaporation',
    touch: 0.5,
    coatFrom: 10 * MIN,
    coatUntil: 1,
    layerFrom: 7 * D,
    again: 7 * D,
    handle: 24,
    fit: 7 * D,
    cure: 7 * D,
    thinner: 'nothing',
  }),
  'rust-barrier': row({
    mechanism: 'evaporation',
    touch: 0.5,
    coatFrom: 15 * MIN,
    coatUntil: 1,
    layerFrom: 24,
    again: 24,
    flat: 48,
    tape: 24,
    handle: 4,
    fit: 48,
    cure: 7 * D,
    thinner: 'nothing',
  }),
  texture: row({
    mechanism: 'evaporation',
    touch: 0.5,
    coatFrom: 10 * MIN,
    coatUntil: 1,
    layerFrom: 24,
    again: 24,
    tape: 24,
    handle: 4,
    fit: 48,
    cure: 7 * D,
    thinner: 'nothing',
  }),
  latex: row({
    mechanism: 'coalescence',
    touch: 1,
    coatFrom: 4,
    coatUntil: null,
    layerFrom: 4,
    flat: 7 * D,
    tape: 24,
    handle: 8,
    fit: 3 * D,
    cure: 21 * D,
    thinner: 'water',
  }),
};

/** Drying points of a family; an unknown one takes the most restrictive of all: slowest to open, soonest to shut. */
export function familyDrying(family: Family): FamilyDrying {
  return family === 'unknown' ? UNKNOWN_DRYING : FAMILY_DRYING[family];
}

const UNKNOWN_DRYING: FamilyDrying = row({
  mechanism: 'oxidation',
  touch: 2,
  coatFrom: 0.5,
  coatUntil: 1,
  layerFrom: 48,
  again: 48,
  flat: 7 * D,
  tape: 48,
  handle: 24,
  fit: 3 * D,
  cure: 21 * D,
  shutsFromFirst: true,
  tapeOff: enamelTape,
  thinner: 'what its label says',
});
