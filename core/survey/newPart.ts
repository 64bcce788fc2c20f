import { newPart, type Layer, type Part, type Piece, staysOf } from '#core/facts/index';
import { partAreaCm2 } from './area.ts';
import { bodyOfLength } from './shapes.ts';

/** A part drawn up beside those a piece has; everything about it is a guess. */

/** Of the longest side of a piece, what another part of it is likely to measure. */
const LIKELY_SHARE = 0.3;

/** A new painted part with the system and colour of the largest one, its size from the piece; and the guesses it opens. */
export function partBeside(piece: Piece, newId: () => string): { readonly part: Part; readonly guesses: readonly string[] } {
  const id = newId();
  const zoneId = newId();
  const layers = systemOf(piece).map((layer): Layer => ({ ...layer, id: newId(), covers: 'all' }));
  const part = newPart({
    id,
    name: 'New part',
    material: 'unknown',
    finish: 'unknown',
    zones: [{ id: zoneId, name: 'All over' }],
    faces: [{ ...bodyOfLength(Math.max(5, piece.longestMm * LIKELY_SHARE)), id: newId(), zoneId, seen: true }],
    layers,
  });
  return { part, guesses: [`material:${id}`, `finish:${id}`, `size:${id}`, ...(layers.length > 0 ? [`coats:${id}`] : [])] };
}

/** The stack of the largest painted part, in its first colour. */
function systemOf(piece: Piece): readonly Layer[] {
  const painted = piece.parts.filter((part) => part.layers.length > 0 && !staysOf(part) && !part.gone);
  if (painted.length === 0) return [];
  const largest = painted.reduce((a, b) => (partAreaCm2(b) > partAreaCm2(a) ? b : a));
  const [first] = largest.zones.filter((zone) => zone.bare === undefined);
  return largest.layers.filter((layer) => layer.covers === 'all' || layer.covers.includes(first?.id ?? ''));
}
