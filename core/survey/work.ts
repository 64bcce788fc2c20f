import type { Face, Part } from '#core/facts/index';
import type { WorkSize } from '#core/units/index';
import { isPerforated } from './area.ts';

/** How much work a part is: its faces as a hand goes over them, hole walls left out (they count for paint only). */

const PERFORATED = 2;
const FINE_RELIEF = 1.5;
/** A face this many times longer than wide, and no wider than 8 mm, is wire. */
const WIRE_ASPECT = 40;
const WIRE_MM = 8;

/** Size of the work on a part, or on some of its zones, for one treatment. */
export function workSize(part: Part, zoneIds?: readonly string[]): WorkSize {
  const faces = zoneIds ? part.faces.filter((face) => zoneIds.includes(face.zoneId)) : part.faces;
  return { copyCm2: sheetMm2(faces) / 100, copies: part.copies, factor: workFactor(part) };
}

function sheetMm2(faces: readonly Face[]): number {
  return faces.reduce((sum, face) => sum + face.longMm * face.shortMm * face.count, 0);
}

/** Perforated sheet takes double, wire and fine relief half as much again. */
export function workFactor(part: Part): number {
  if (isPerforated(part)) return PERFORATED;
  return isWire(part) || part.features?.some(({ kind }) => kind === 'raised-detail') ? FINE_RELIEF : 1;
}

function isWire(part: Part): boolean {
  return part.faces.every(
    (face) =>
      Math.min(face.longMm, face.shortMm) <= WIRE_MM &&
      Math.max(face.longMm, face.shortMm) >= WIRE_ASPECT * Math.min(face.longMm, face.shortMm),
  );
}

/** Outer size of a part guessed from its faces, mm, largest first: what a tub or an oven must hold. */
export function outerSize(part: Part): readonly [number, number, number] {
  const sides = part.faces.map((face) => [Math.max(face.longMm, face.shortMm), Math.min(face.longMm, face.shortMm)] as const);
  const long = Math.max(...sides.map(([longer]) => longer));
  const wide = Math.max(...sides.map(([, shorter]) => shorter));
  const deep = isSheet(part) ? SHEET_MM : Math.min(...sides.map(([, shorter]) => shorter));
  return [long, wide, Math.max(5, deep)];
}

/** How deep a part lies of which nothing but front and back is known. */
const SHEET_MM = 10;

/** A front alone, or a front and a back of one size: a sheet, whatever its thickness. */
function isSheet({ faces }: Part): boolean {
  const [first] = faces;
  const count = faces.reduce((sum, face) => sum + face.count, 0);
  return count <= 2 && faces.every((face) => face.longMm === first.longMm && face.shortMm === first.shortMm);
}

export type Tub = { readonly longMm: number; readonly wideMm: number; readonly deepMm: number };

/** Whether a part lies whole under the level of a tub, in whichever way it is turned. */
export function fitsTub(part: Part, tub: Tub): boolean {
  const own = [...outerSize(part)].sort((a, b) => b - a);
  const inside = [tub.longMm, tub.wideMm, tub.deepMm].sort((a, b) => b - a);
  return own.every((side, index) => side <= inside[index]);
}

const OVER_THE_PART_MM = 20;
const DISPLACED = 0.15;

/** Litres of liquid that cover one copy of a part in a tub no larger than it needs to be. */
export function bathLitres(part: Part): number {
  const [long, wide, deep] = outerSize(part).map((side) => side + OVER_THE_PART_MM);
  return Math.round(((long * wide * deep) / 1e6) * (1 - DISPLACED) * 10) / 10;
}
