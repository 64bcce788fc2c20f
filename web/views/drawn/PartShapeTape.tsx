import type { DrawnZone } from '#core/zones/index';
import { type ShapeSize, ZoneShape } from './PartShape.tsx';

/** A hatch over a zone: tape, cover, or bare metal. */
export function PartShapeTape({ zone, size, fill }: { zone: DrawnZone; size: ShapeSize; fill: string }) {
  return <ZoneShape zone={zone} size={size} look={{ fill, stroke: 'none', strokeWidth: 0 }} />;
}
