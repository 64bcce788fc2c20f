import type { Edge, Face, Part } from '#core/facts/index';

/** Drawn divisions of a part into two zones; the tape line's length comes from its faces. */
export type Division = 'waist' | 'ends' | 'patch';

export const DIVISIONS: readonly { readonly division: Division; readonly name: string; readonly zones: readonly [string, string] }[] = [
  { division: 'waist', name: 'A waist line all round', zones: ['Upper', 'Lower'] },
  { division: 'ends', name: 'Front and rear', zones: ['Front', 'Rear'] },
  { division: 'patch', name: 'A patch or panel', zones: ['Ground', 'Patch'] },
];

/** Share of each face that goes to the second zone. */
const SECOND_SHARE: Record<Division, number> = { waist: 0.5, ends: 0.5, patch: 0.15 };

/**
 * Splits the faces of a part of one zone between two and lays the tape line: round the longest face for a waist, round the
 * shorter section for ends, round the patch itself for a patch. Lengths in mm, at most 5 m.
 */
export function dividePart(part: Part, division: Division, newId: () => string): Pick<Part, 'zones' | 'faces' | 'edges'> {
  const names = DIVISIONS.find((candidate) => candidate.division === division)?.zones ?? ['First', 'Second'];
  const [bare, painted] = [part.zones.filter((zone) => zone.bare !== undefined), part.zones.filter((zone) => zone.bare === undefined)];
  const first = { id: painted[0]?.id ?? newId(), name: names[0] };
  const second = { id: newId(), name: names[1] };
  const share = SECOND_SHARE[division];
  const faces = part.faces.flatMap((face) => (face.zoneId === first.id ? splitFace(face, share, division, second.id, newId) : [face]));
  const edge: Edge = {
    a: first.id,
    b: second.id,
    mm: tapeLength(part.faces, division),
    curve: division === 'patch' ? 'gentle' : 'straight',
  };
  return { zones: [first, second, ...bare], faces, edges: [...part.edges, edge] };
}

function splitFace(face: Face, share: number, division: Division, secondZone: string, newId: () => string): Face[] {
  const along = division === 'ends' ? 'longMm' : 'shortMm';
  const cut = (part: number) => Math.max(0.1, Math.round(face[along] * part * 10) / 10);
  return [
    { ...face, [along]: cut(1 - share) },
    { ...face, id: newId(), zoneId: secondZone, [along]: cut(share) },
  ];
}

function tapeLength(faces: readonly Face[], division: Division): number {
  const longest = Math.max(...faces.map((face) => Math.max(face.longMm, face.shortMm)));
  const widest = Math.max(...faces.map((face) => Math.min(face.longMm, face.shortMm)));
  const mm = division === 'waist' ? 2 * (longest + widest) : division === 'ends' ? 4 * widest : 2 * (longest * 0.4 + widest * 0.4);
  return Math.min(5000, Math.max(1, Math.round(mm)));
}
