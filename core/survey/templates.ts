import type { Face, LooksLike, Material, Part } from '#core/facts/index';
import { bodyOfLength, wireCage } from './shapes.ts';

type FaceDraft = Omit<Face, 'id' | 'zoneId'>;

/** A part as it is guessed from what the piece looks like; sizes follow its longest side. */
export type PartDraft = {
  readonly name: string;
  readonly material: Material;
  readonly copies: number;
  readonly faces: readonly FaceDraft[];
  /** The part that carries the second colour below a waist line. */
  readonly main?: boolean;
  readonly bare?: string;
  readonly staysClear?: boolean;
  /** Comes without paint: kit plastic, moulded trim. */
  readonly unpainted?: boolean;
  readonly surface?: Part['surface'];
};

type Template = (longest: number) => readonly PartDraft[];

const seen = (longMm: number, shortMm: number, count = 1): FaceDraft => ({
  longMm: size(longMm),
  shortMm: size(shortMm),
  count,
  seen: true,
});
const hidden = (longMm: number, shortMm: number, count = 1): FaceDraft => ({ ...seen(longMm, shortMm, count), seen: false });
const body = (longest: number): FaceDraft => {
  const five = bodyOfLength(longest);
  return seen(five.longMm, five.shortMm, five.count);
};

/** To a tenth of a millimetre: no guess is finer. */
function size(mm: number): number {
  return Math.max(0.1, Math.round(mm * 10) / 10);
}

/** What a piece of each look usually consists of. Guesses, each to be confirmed. */
export const TEMPLATES: Record<LooksLike, Template> = {
  'cast-body': (l) => [
    { name: 'Body', material: 'zinc', copies: 1, main: true, faces: [body(l)] },
    { name: 'Underframe', material: 'zinc', copies: 1, faces: [hidden(l * 0.95, l * 0.35)] },
    { name: 'Wheels', material: 'zinc', copies: 4, faces: [seen(l * 0.12, l * 0.12)] },
  ],
  'pressed-toy': (l) => [
    { name: 'Body', material: 'steel', copies: 1, main: true, faces: [body(l)] },
    { name: 'Base', material: 'steel', copies: 1, faces: [hidden(l * 0.9, l * 0.4, 2)] },
    { name: 'Wheels', material: 'tinplate', copies: 4, faces: [seen(l * 0.15, l * 0.15, 2)] },
  ],
  'wheels-axles': (l) => [
    { name: 'Wheels', material: 'zinc', copies: 4, main: true, faces: [seen(l, l, 2), hidden(l * 3.14, l * 0.2)] },
    { name: 'Axles', material: 'steel', copies: 2, faces: [seen(l * 2, l * 0.2)], bare: 'runs in the bearings' },
  ],
  'wire-cage': (l) => {
    const wire = wireCage(l * 26, 2.5);
    return [{ name: 'Cage', material: 'steel', copies: 1, main: true, faces: [seen(wire.longMm, wire.shortMm, wire.count)] }];
  },
  'sheet-case': (l) => [
    { name: 'Lid', material: 'steel', copies: 1, main: true, faces: [seen(l, l * 0.7), seen(l, l * 0.3, 2), seen(l * 0.7, l * 0.3, 2)] },
    { name: 'Base', material: 'steel', copies: 1, faces: [hidden(l, l * 0.7), seen(l, l * 0.12, 2)] },
  ],
  'plastic-shell': (l) => [
    { name: 'Upper shell', material: 'abs', copies: 1, main: true, faces: [body(l)] },
    { name: 'Lower shell', material: 'abs', copies: 1, faces: [seen(l, l * 0.4, 3)] },
  ],
  'bracket-set': (l) => [
    { name: 'Brackets', material: 'steel', copies: 4, main: true, faces: [seen(l, l * 0.2, 4)] },
    { name: 'Plate', material: 'steel', copies: 1, faces: [seen(l, l * 0.5, 2)] },
  ],
  'large-panel': (l) => [{ name: 'Panel', material: 'steel', copies: 1, main: true, faces: [seen(l, l * 0.92), hidden(l, l * 0.92)] }],
  tank: (l) => [
    {
      name: 'Tank',
      material: 'steel',
      copies: 1,
      main: true,
      faces: [seen(l, l * 0.45, 2), seen(l, l * 0.5), hidden(l, l * 0.5), seen(l * 0.5, l * 0.45, 2)],
    },
    { name: 'Cap', material: 'zinc', copies: 1, faces: [seen(l * 0.15, l * 0.15), seen(l * 0.47, l * 0.05)] },
  ],
  'clear-kit': (l) => [
    { name: 'Body', material: 'polystyrene', copies: 1, main: true, unpainted: true, faces: [body(l)] },
    { name: 'Chassis', material: 'polystyrene', copies: 1, unpainted: true, faces: [hidden(l * 0.9, l * 0.35)] },
    { name: 'Small parts', material: 'polystyrene', copies: 8, unpainted: true, faces: [seen(l * 0.1, l * 0.06, 2)] },
    {
      name: 'Glazing',
      material: 'clear',
      copies: 1,
      faces: [seen(l * 0.4, l * 0.15, 2)],
      bare: 'stays clear',
      staysClear: true,
      unpainted: true,
    },
  ],
  'wooden-body': (l) => [
    { name: 'Body', material: 'wood', copies: 1, main: true, faces: [body(l)] },
    { name: 'Base', material: 'wood', copies: 1, faces: [hidden(l, l * 0.4)] },
  ],
  'grained-trim': (l) => [
    { name: 'Trim', material: 'abs', copies: 1, main: true, surface: 'grained', unpainted: true, faces: [seen(l, l * 0.35)] },
  ],
  'tinplate-toy': (l) => [
    { name: 'Body', material: 'tinplate', copies: 1, main: true, faces: [body(l)] },
    { name: 'Base', material: 'tinplate', copies: 1, faces: [hidden(l * 0.95, l * 0.4)] },
    { name: 'Wheels', material: 'tinplate', copies: 4, faces: [seen(l * 0.15, l * 0.15, 2)] },
  ],
  'something-else': (l) => [{ name: 'Part', material: 'steel', copies: 1, main: true, faces: [body(l)] }],
};
