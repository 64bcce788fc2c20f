import { type Mark, type Mend, type Part, plain, type SupplyLine } from '#core/facts/index';
import { areaGrowth, type WorkSize, workMinutes } from '#core/units/index';

/** Marks put right: the steps of each mend and its waits (trade §3, §4, §14). */

export type RepairHazard = 'dust' | 'solvent' | 'acid' | 'heat' | 'sharp';

export type RepairStep = {
  readonly title: string;
  readonly minutes: number;
  readonly detail: string;
  readonly hazards: readonly RepairHazard[];
  readonly supplies: readonly SupplyLine[];
  /** Minutes it must be left before the next step: least and most. */
  readonly sets: readonly [number, number] | null;
  /** How it came out decides what follows. */
  readonly asks?: boolean;
  /** It leaves the metal bright and bare. */
  readonly bares?: boolean;
};

const SOFT_PLASTICS = ['vinyl', 'rubber', 'pp', 'abs', 'polystyrene', 'clear', 'plated-plastic'];
const LONGEST_WAIT = 30 * 1440;
/** Once out of its bath and wet, no part is left to rust. */
const SOAK_AT_MOST = 1440;
/** A palm's width round a mark, cm²: only there the coarse paper goes. */
const PALM_CM2 = 60;
const BUILD_AND_FILE = 8;

export type MendQuestion = {
  readonly mend: Mend;
  readonly part: Part;
  readonly size: WorkSize;
  readonly where: string;
  /** Papers for a mark that is ground where it is, coarsest first. */
  readonly grits?: readonly number[];
  /** What it is that is mended, for its name; absent: "it". */
  readonly kind?: Mark['kind'];
};

/** Steps of a mend in order; none for what is left or bought. */
export function repairSteps(question: MendQuestion): RepairStep[] {
  const { mend, part, size, where, kind, grits = [] } = question;
  const at = where ? `, ${where}` : '';
  const step = (
    title: string,
    minutes: number,
    detail: string,
    hazards: RepairHazard[],
    supplies: readonly SupplyLine[] = [],
    more: Partial<Pick<RepairStep, 'sets' | 'asks' | 'bares'>> = {},
  ): RepairStep => ({ title: `${title}${at}`, minutes, detail, hazards, supplies, sets: null, ...more });
  const local = localSize(size);
  switch (mend) {
    case 'leave':
    case 'replace':
      return [];
    case 'sand':
      return [
        step(
          `Sand ${kind ? `the ${plain(kind)}` : 'it'} out with ${grits.map((grit) => `P${grit}`).join(', ') || 'the papers of the ladder'}`,
          grits.length * workMinutes(2, local, 'flat'),
          'wet, only where it is and a palm’s width round it',
          ['dust'],
          papers(grits, local),
          { bares: true },
        ),
      ];
    case 'filler':
      return [
        step(
          'Fill',
          10,
          'on bare keyed metal or epoxy only; a thin layer, a little proud',
          ['solvent'],
          [supply('filler', 'body filler', 'mL', 8)],
          {
            sets: [45, LONGEST_WAIT],
          },
        ),
        step(
          'File the filler flush',
          BUILD_AND_FILE,
          'block, wet; feel with the palm',
          ['dust'],
          papers(grits.length > 0 ? grits : [180], local),
          {
            bares: true,
          },
        ),
      ];
    case 'glue-build-up':
      return [
        step(
          'Build up with glue and powder',
          8,
          'a little at a time, proud of the face',
          ['dust'],
          [supply('filler', 'glue and powder', 'mL', 4)],
          {
            sets: [180, LONGEST_WAIT],
          },
        ),
        step('File the build-up to shape', 10, 'fine file, then wet paper', ['dust'], papers(grits.length > 0 ? grits : [320], local)),
      ];
    case 'straighten':
      return SOFT_PLASTICS.includes(part.material)
        ? [
            step('Straighten in hot water', 10, 'hand-hot to 70 °C, bend, hold in cold water', ['heat'], [], { sets: [30, LONGEST_WAIT] }),
            step('Look at it cold', 2, 'straight on a flat plate', []),
          ]
        : [step('Straighten cold', 12, 'between wood, a little at a time; stop before it cracks', ['sharp'])];
    case 'rust-spin':
      return [
        step(
          'Spin the rust off',
          5 * size.copies,
          'against abrasive, clamped, never in the palm',
          ['sharp', 'dust'],
          papers([240], local),
          {
            asks: true,
            bares: true,
          },
        ),
      ];
    case 'rust-brush':
      return [
        step('Brush the rust off', workMinutes(10, size, 'strip'), 'wire wheel or brush; pits stay', ['sharp', 'dust'], [], {
          asks: true,
          bares: true,
        }),
      ];
    case 'rust-soak':
      return [
        step(
          'Into the rust soak',
          8,
          'reusable chelating soak, 1 to 24 h',
          [],
          [supply('cleaner', 'rust soak', 'mL', 40 * areaGrowth(size.copyCm2))],
          {
            sets: [60, SOAK_AT_MOST],
          },
        ),
        step('Out of the soak, rinse, dry', 5 + workMinutes(2, size, 'wash'), 'warm air at once', [], [], { asks: true, bares: true }),
      ];
    case 'metal-prep':
      return [
        step('Phosphoric metal prep on', 5 + workMinutes(1, size, 'wash'), 'keep it wet 20 min', ['acid'], [metalPrep(size)], {
          sets: [20, 60],
        }),
        step('Rinse the metal prep, dry', 5, 'no acid-etch primer over it: phosphate below etch lets go', ['acid'], [], { asks: true }),
      ];
    case 'polish':
      return part.staysClear
        ? [
            step(
              'Polish with plastic compound',
              10 * size.copies,
              'by hand, straight strokes, cool; deep scratches stay',
              [],
              [supply('compound', 'plastic compound', 'mL', 3)],
            ),
          ]
        : [
            step(
              'Polish',
              10 + workMinutes(5, size, 'flat'),
              'fine compound; wheels throw parts, so clamp it',
              ['sharp'],
              [supply('compound', 'fine compound', 'mL', 5)],
            ),
          ];
    case 'dip':
      return [
        step(
          'Dip in water-type acrylic gloss',
          4 * size.copies,
          'lift slowly, touch the last drop off; under a cover, free of dust',
          [],
          [supply('protection', 'acrylic gloss', 'mL', 5)],
          {
            sets: [1440, LONGEST_WAIT],
          },
        ),
        step('Look at it dry', 1, 'dip once more where it is still dull', []),
      ];
    case 'glue':
      return [
        step(
          'Glue the crack',
          6,
          'a glue that neither fogs nor attacks clear plastic, from the side that does not show',
          [],
          [supply('filler', 'glue for clear parts', 'mL', 1)],
          {
            sets: [720, LONGEST_WAIT],
          },
        ),
        step('Look at the glued crack', 1, 'it holds, and nothing has fogged', []),
      ];
    case 'free':
      return [
        step('Penetrating oil', 3, 'stand it so that the oil runs in', ['solvent'], [supply('protection', 'penetrating oil', 'mL', 3)], {
          sets: [720, LONGEST_WAIT],
        }),
        step(
          'Work it free, degrease',
          10,
          'no force on zinc; wash every trace of oil off',
          ['solvent'],
          [supply('cleaner', 'mineral spirit', 'mL', 20)],
        ),
      ];
  }
}

function supply(kind: SupplyLine['kind'], spec: string, unit: SupplyLine['unit'], amount: number): SupplyLine {
  return { kind, spec, unit, amount };
}

/** Phosphoric metal prep to keep a part wet. */
export function metalPrep(size: WorkSize): SupplyLine {
  return supply('metal-prep', 'phosphoric metal prep', 'mL', 12 * areaGrowth(size.copyCm2) * size.copies);
}

function localSize(size: WorkSize): WorkSize {
  return { ...size, copyCm2: Math.min(PALM_CM2, size.copyCm2) };
}

/** Quarter sheets of each grit for work of this size, before rounding. */
export function papers(grits: readonly number[], { copyCm2, copies }: WorkSize): SupplyLine[] {
  return grits.map((grit) => supply('paper', `P${grit}`, 'sheet', areaGrowth(copyCm2, 250) * copies));
}

export function markText(mark: Mark): string {
  return `${mark.severity} ${plain(mark.kind)}${mark.where ? `, ${mark.where}` : ''}`;
}
