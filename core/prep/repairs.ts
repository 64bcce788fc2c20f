import { isMetal, type Mark, type Mend, type Part, plain } from '#core/facts/index';

/** Marks put right: what is advised for each, its steps and its waits (BRIEF §3, §14). */

export type RepairHazard = 'dust' | 'solvent' | 'acid' | 'heat' | 'sharp';

export type RepairStep = {
  readonly title: string;
  readonly minutes: number;
  readonly detail: string;
  readonly hazards: readonly RepairHazard[];
  /** Minor units. */
  readonly consumables: number;
  /** Minutes it must be left before the next step: least and most. */
  readonly then: readonly [number, number] | null;
};

const SOFT_PLASTICS = ['vinyl', 'rubber', 'pp', 'abs', 'polystyrene', 'clear', 'plated-plastic'];
const LONGEST_WAIT = 30 * 1440;

/** What is advised for a mark on a part; the person's choice wins. */
export function mendOf(mark: Mark, part: Part): Mend {
  return mark.mend ?? advisedMend(mark, part);
}

export function advisedMend(mark: Mark, part: Part): Mend {
  const metal = isMetal(part.material);
  const slight = mark.severity === 'slight';
  switch (mark.kind) {
    case 'scratch':
    case 'mould-line':
      return 'sand';
    case 'gouge':
    case 'chip':
      return slight ? 'sand' : metal || part.material === 'wood' ? 'filler' : 'glue-build-up';
    case 'crack':
      return metal ? 'filler' : 'glue-build-up';
    case 'pitting':
      return slight ? 'sand' : 'filler';
    case 'rust-light':
      return isRod(part) ? 'rust-spin' : 'metal-prep';
    case 'rust-deep':
      return isRod(part) ? 'rust-spin' : 'rust-soak';
    case 'dent':
      return slight ? 'filler' : metal ? 'straighten' : 'filler';
    case 'bent':
      return part.material === 'zinc' || part.material === 'cast-iron' || part.material === 'resin' ? 'leave' : 'straighten';
    case 'seized':
      return 'free';
    case 'missing':
      return 'replace';
  }
}

/** A rod is long and thin: it is spun against abrasive. */
function isRod(part: Part): boolean {
  return part.faces.every((face) => Math.max(face.longMm, face.shortMm) > 4 * Math.min(face.longMm, face.shortMm) && face.shortMm < 25);
}

export type MendQuestion = { readonly mend: Mend; readonly part: Part; readonly areaCm2: number; readonly where: string };

/** Steps of a mend in order; none for what the ladder does anyway or what is left or bought. */
export function repairSteps({ mend, part, areaCm2, where }: MendQuestion): RepairStep[] {
  const at = where ? `, ${where}` : '';
  const step = (
    title: string,
    minutes: number,
    detail: string,
    hazards: RepairHazard[],
    consumables: number,
    then: RepairStep['then'] = null,
  ): RepairStep => ({ title: `${title}${at}`, minutes, detail, hazards, consumables, then });
  switch (mend) {
    case 'sand':
    case 'leave':
    case 'replace':
      return [];
    case 'filler':
      return [
        step('Fill', 10, 'on bare keyed metal or epoxy only; a thin layer, a little proud', ['solvent'], 60, [45, LONGEST_WAIT]),
        step('File the filler flush', 8, 'block, wet; feel with the palm', ['dust'], 30),
      ];
    case 'glue-build-up':
      return [
        step('Build up with glue and powder', 8, 'a little at a time, proud of the face', ['dust'], 60, [180, LONGEST_WAIT]),
        step('File the build-up to shape', 10, 'fine file, then wet paper', ['dust'], 30),
      ];
    case 'straighten':
      return SOFT_PLASTICS.includes(part.material)
        ? [
            step('Straighten in hot water', 10, 'hand-hot to 70 °C, bend, hold in cold water', ['heat'], 0, [30, LONGEST_WAIT]),
            step('Look at it cold', 2, 'straight on a flat plate', [], 0),
          ]
        : [step('Straighten cold', 12, 'between wood, a little at a time; stop before it cracks', ['sharp'], 0)];
    case 'rust-spin':
      return [step('Spin the rust off', 5 * part.copies, 'against abrasive, clamped, never in the palm', ['sharp', 'dust'], 20)];
    case 'rust-brush':
      return [step('Brush the rust off', 10 + (5 * areaCm2) / 100, 'wire wheel or brush; pits stay', ['sharp', 'dust'], 20)];
    case 'rust-soak':
      return [
        step('Into the rust soak', 8, 'reusable chelating soak, 1 to 24 h', [], 60, [60, 1440]),
        step('Out of the soak, rinse, dry', 5 + areaCm2 / 100, 'warm air at once', [], 0),
      ];
    case 'metal-prep':
      return [
        step('Phosphoric metal prep on', 5 + areaCm2 / 100, 'keep it wet 20 min', ['acid'], 40, [20, 60]),
        step('Rinse the metal prep, dry', 5, 'no acid-etch primer over it: phosphate below etch lets go', ['acid'], 0),
      ];
    case 'polish':
      return [step('Polish', 10 + (5 * areaCm2) / 100, 'fine compound; wheels throw parts, so clamp it', ['sharp'], 30)];
    case 'free':
      return [
        step('Penetrating oil', 3, 'stand it so that the oil runs in', ['solvent'], 20, [720, LONGEST_WAIT]),
        step('Work it free, degrease', 10, 'no force on zinc; wash every trace of oil off', ['solvent'], 20),
      ];
  }
}

/** Rust treatments that leave phosphate. */
export function leavesPhosphate(part: Part): boolean {
  return (part.marks ?? []).some((mark) => mendOf(mark, part) === 'metal-prep');
}

export function markText(mark: Mark): string {
  return `${mark.severity} ${plain(mark.kind)}${mark.where ? `, ${mark.where}` : ''}`;
}
