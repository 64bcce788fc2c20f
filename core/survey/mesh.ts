/** Area, extents and soundness of a triangle mesh in an STL or OBJ file. The mesh itself is not kept. */

export type MeshUnit = 'mm' | 'cm' | 'm' | 'in';
const MM_OF: Record<MeshUnit, number> = { mm: 1, cm: 10, m: 1000, in: 25.4 };

/** In the file's own unit; neither format names one. */
export type MeshMeasure = {
  readonly triangles: number;
  readonly area: number;
  readonly extents: readonly [number, number, number];
  /** Edges that only one triangle has: 0 in a closed body. */
  readonly openEdges: number;
};

export class MeshProblem extends Error {
  readonly mend: string;
  constructor(message: string, mend: string) {
    super(message);
    this.mend = mend;
  }
}

/** Told now and then how far the reading is, 0 to 1. */
export type Progress = (share: number) => void;

const HEADER_BYTES = 80;
const COUNT_BYTES = 4;
const TRIANGLE_BYTES = 50;
const TELL_EVERY = 50_000;
const MOST_TRIANGLES = 5_000_000;

/**
 * Measures a mesh file: area and extents in the file's unit.
 * @throws MeshProblem for an empty, cut or unreadable file, a coordinate that is no number, or a body without area
 */
export function measureMesh(name: string, bytes: Uint8Array, progress: Progress = () => {}): MeshMeasure {
  const corners = /\.obj$/i.test(name) ? cornersOfObj(text(bytes)) : cornersOfStl(bytes);
  if (corners.length === 0) throw new MeshProblem('There is no triangle in this file.', 'Export it again as STL or OBJ with its faces.');
  if (corners.length / 9 > MOST_TRIANGLES)
    throw new MeshProblem(`More than ${MOST_TRIANGLES} triangles.`, 'Export it coarser: the area hardly changes.');
  return measure(corners, progress);
}

/** The same in millimetres and mm², for one skin. */
export function meshInMm(measured: MeshMeasure, unit: MeshUnit): { areaMm2: number; extentsMm: [number, number, number] } {
  const factor = MM_OF[unit];
  const [x, y, z] = measured.extents;
  return { areaMm2: measured.area * factor ** 2, extentsMm: [x * factor, y * factor, z * factor] };
}

/**
 * Faces that stand for a mesh in the plan: its longest extent by strips no wider than its middle one, with exactly its area.
 * `skins` is 2 where the inside is painted too.
 */
export function facesOfMesh(
  areaMm2: number,
  extentsMm: readonly [number, number, number],
  skins: 1 | 2,
): { longMm: number; shortMm: number; count: number } {
  const [longest, middle] = [...extentsMm].sort((a, b) => b - a);
  const area = areaMm2 * skins;
  const count = Math.max(1, Math.round(area / (longest * Math.max(middle, longest / 20))));
  return { longMm: longest, shortMm: area / count / longest, count };
}

function text(bytes: Uint8Array): string {
  let out = '';
  const piece = 65_536;
  for (let at = 0; at < bytes.length; at += piece) out += String.fromCharCode(...bytes.subarray(at, at + piece));
  return out;
}

/** Nine numbers a triangle. A file that says "solid" is text, unless its length is that of a binary one. */
function cornersOfStl(bytes: Uint8Array): Float32Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const binary = bytes.length >= HEADER_BYTES + COUNT_BYTES;
  const count = binary ? view.getUint32(HEADER_BYTES, true) : 0;
  const wanted = HEADER_BYTES + COUNT_BYTES + count * TRIANGLE_BYTES;
  const saysSolid = text(bytes.subarray(0, 5)).toLowerCase() === 'solid';
  if (saysSolid && bytes.length !== wanted) return cornersOfText(text(bytes));
  if (!binary || bytes.length < wanted)
    throw new MeshProblem(
      `The file is cut short: it announces ${count} triangles and ends before them.`,
      'Copy or export it again and choose it once more.',
    );
  const corners = new Float32Array(count * 9);
  for (let triangle = 0; triangle < count; triangle++) {
    const from = HEADER_BYTES + COUNT_BYTES + triangle * TRIANGLE_BYTES + 12;
    for (let i = 0; i < 9; i++) corners[triangle * 9 + i] = view.getFloat32(from + i * 4, true);
  }
  return corners;
}

function cornersOfText(source: string): Float32Array {
  const corners: number[] = [];
  for (const match of source.matchAll(/vertex\s+(\S+)\s+(\S+)\s+(\S+)/g)) corners.push(+match[1], +match[2], +match[3]);
  if (corners.length % 9 !== 0)
    throw new MeshProblem('The last triangle has corners missing: the file is cut short.', 'Export it again and choose it once more.');
  return new Float32Array(corners);
}

/** Polygons are split into fans; indices may count from the end. */
function cornersOfObj(source: string): Float32Array {
  const points: [number, number, number][] = [];
  const corners: number[] = [];
  for (const line of source.split('\n')) {
    const words = line.trim().split(/\s+/);
    if (words[0] === 'v') points.push([+words[1], +words[2], +words[3]]);
    if (words[0] !== 'f') continue;
    const polygon = words.slice(1).map((word) => {
      const index = Number.parseInt(word, 10);
      const point = points[index < 0 ? points.length + index : index - 1];
      if (!point) throw new MeshProblem(`A face names corner ${word}, which is not in the file.`, 'Export it again: the file is damaged.');
      return point;
    });
    for (let i = 1; i + 1 < polygon.length; i++) corners.push(...polygon[0], ...polygon[i], ...polygon[i + 1]);
  }
  return new Float32Array(corners);
}

function measure(corners: Float32Array, progress: Progress): MeshMeasure {
  const triangles = corners.length / 9;
  const low = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
  const high = [Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY];
  let area = 0;
  for (let triangle = 0; triangle < triangles; triangle++) {
    const at = triangle * 9;
    for (let i = 0; i < 9; i++) {
      const value = corners[at + i];
      if (!Number.isFinite(value))
        throw new MeshProblem(`Triangle ${triangle + 1} has a corner that is no number.`, 'Repair or export the mesh again.');
      const axis = i % 3;
      if (value < low[axis]) low[axis] = value;
      if (value > high[axis]) high[axis] = value;
    }
    area += triangleArea(corners, at);
    if (triangle % TELL_EVERY === 0) progress((0.6 * triangle) / triangles);
  }
  if (!(area > 0)) throw new MeshProblem('The triangles of this mesh have no area.', 'Export it again: it is flat or collapsed.');
  progress(0.6);
  const openEdges = countOpenEdges(corners);
  progress(1);
  return { triangles, area, openEdges, extents: [high[0] - low[0], high[1] - low[1], high[2] - low[2]] };
}

function triangleArea(corners: Float32Array, at: number): number {
  const [ux, uy, uz] = [corners[at + 3] - corners[at], corners[at + 4] - corners[at + 1], corners[at + 5] - corners[at + 2]];
  const [vx, vy, vz] = [corners[at + 6] - corners[at], corners[at + 7] - corners[at + 1], corners[at + 8] - corners[at + 2]];
  return Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx) / 2;
}

/** Each edge as a number made of its two corners; sorted, one that stands alone is open. */
function countOpenEdges(corners: Float32Array): number {
  const bits = new Uint32Array(corners.buffer, corners.byteOffset, corners.length);
  const edges = new Float64Array(corners.length / 3);
  const corner = (at: number): number => {
    let hash = 2166136261;
    // Minus zero and zero are the same place.
    for (let i = 0; i < 3; i++) hash = mixed(hash ^ (bits[at + i] === 0x80000000 ? 0 : bits[at + i]));
    return hash >>> 0;
  };
  for (let triangle = 0; triangle < edges.length / 3; triangle++) {
    const [a, b, c] = [corner(triangle * 9), corner(triangle * 9 + 3), corner(triangle * 9 + 6)];
    edges[triangle * 3] = edgeOf(a, b);
    edges[triangle * 3 + 1] = edgeOf(b, c);
    edges[triangle * 3 + 2] = edgeOf(c, a);
  }
  edges.sort();
  let open = 0;
  for (let i = 0; i < edges.length; ) {
    let next = i + 1;
    while (next < edges.length && edges[next] === edges[i]) next++;
    if (next - i === 1) open++;
    i = next;
  }
  return open;
}

/** Spreads every bit over all others: floats of round sizes differ in few of them. */
function mixed(value: number): number {
  let hash = Math.imul(value ^ (value >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return hash ^ (hash >>> 16);
}

/** One number below 2⁵³ for two 32-bit corners, whichever way round. */
function edgeOf(a: number, b: number): number {
  const [low, high] = a < b ? [a, b] : [b, a];
  return (high % 2_097_152) * 4_294_967_296 + low;
}
