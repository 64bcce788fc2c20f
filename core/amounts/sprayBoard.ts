import type { Hand } from '#core/facts/index';
import { type FlatFace, filmMl, sprayTool, sweepsMl, sweepsOf } from './coatAmount.ts';

/**
 * Small parts side by side on one board: faces of one height lie in rows, each row is swept over in one go, so the overrun at either
 * end and the sweep more than the fan takes are paid once a row instead of once a part (trade §7).
 */

/** One copy on the board, its faces one by one; turned over for each of them. */
export type BoardItem = { readonly id: string; readonly faces: readonly FlatFace[] };

/** Where a face lies on the board, mm from its upper left corner. */
export type OnBoard = { readonly id: string; readonly x: number; readonly y: number; readonly longMm: number; readonly shortMm: number };

export type BoardRow = { readonly lengthMm: number; readonly heightMm: number; readonly y: number; readonly sweeps: number };

export type SprayBoard = {
  /** As it is laid out for the largest faces; the others follow, turn by turn, in the same order. */
  readonly laid: readonly OnBoard[];
  readonly rows: readonly BoardRow[];
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly turns: number;
  /** All turns of one coat. */
  readonly sweepsTogether: number;
  readonly sweepsApart: number;
  readonly mlTogether: number;
  readonly mlApart: number;
};

/** As far as an arm sweeps without a step, mm. */
const REACH_MM = 600;
/** Room between two parts, so that neither shades the other, mm. */
const APART_MM = 15;

/** @param boardMm how long a row may be; absent: an arm's reach @param hand not a brush: a brush has no fan to share */
export function sprayBoard(
  items: readonly BoardItem[],
  film: { readonly filmUm: number; readonly solids: number },
  hand: Exclude<Hand, 'brush'>,
  boardMm = REACH_MM,
): SprayBoard {
  const single = items.map(({ id, faces }) => ({ id, faces: faces.flatMap(singly).sort((a, b) => areaOf(b) - areaOf(a)) }));
  const turns = Math.max(0, ...single.map(({ faces }) => faces.length));
  const laid = Array.from({ length: turns }, (_, turn) =>
    inRows(
      single.flatMap(({ id, faces }) => (faces[turn] ? [{ id, face: faces[turn] }] : [])),
      hand,
      boardMm,
    ),
  );
  const faces = single.flatMap((item) => item.faces);
  const rows = laid.flatMap((turn) => turn.rows);
  const sweptMl = rows.reduce((sum, row) => sum + rowMl(row, hand), 0);
  const apart = single.map((item) => Math.max(filmMl(item.faces, film, hand), sweepsMl(item.faces, hand)));
  const mlApart = apart.reduce((sum, ml) => sum + ml, 0);
  return {
    laid: laid[0]?.places ?? [],
    rows: laid[0]?.rows ?? [],
    lengthMm: Math.max(0, ...(laid[0]?.rows ?? []).map(({ lengthMm }) => lengthMm)),
    heightMm: Math.max(0, ...(laid[0]?.rows ?? []).map(({ y, heightMm }) => y + heightMm)),
    turns,
    sweepsTogether: rows.reduce((sum, { sweeps }) => sum + sweeps, 0),
    sweepsApart: faces.reduce((sum, face) => sum + sweepsOf(face, hand), 0),
    // Rows that would take more than one by one are sprayed one by one.
    mlTogether: Math.min(mlApart, Math.max(filmMl(faces, film, hand), sweptMl)),
    mlApart,
  };
}

function singly(face: FlatFace): FlatFace[] {
  const { count = 1, ...one } = face;
  return Array.from({ length: count }, () => one);
}

function areaOf({ longMm, shortMm }: FlatFace): number {
  return longMm * shortMm;
}

type Lying = { readonly id: string; readonly face: FlatFace };

/** Rows of falling height, each filled to the end before the next begins. */
function inRows(
  lying: readonly Lying[],
  hand: Exclude<Hand, 'brush'>,
  boardMm: number,
): { readonly places: readonly OnBoard[]; readonly rows: readonly BoardRow[] } {
  const places: OnBoard[] = [];
  const rows: BoardRow[] = [];
  let open: { x: number; y: number; heightMm: number } | null = null;
  const close = () => {
    if (!open) return;
    const { x, y, heightMm } = open;
    rows.push({ lengthMm: x - APART_MM, heightMm, y, sweeps: sweepsOf({ longMm: x - APART_MM, shortMm: heightMm }, hand) });
  };
  for (const { id, face } of [...lying].sort((a, b) => b.face.shortMm - a.face.shortMm)) {
    if (!open || (open.x > 0 && open.x + face.longMm > boardMm)) {
      close();
      open = { x: 0, y: open ? open.y + open.heightMm + APART_MM : 0, heightMm: face.shortMm };
    }
    places.push({ id, x: open.x, y: open.y, longMm: face.longMm, shortMm: face.shortMm });
    open = { ...open, x: open.x + face.longMm + APART_MM };
  }
  close();
  return { places, rows };
}

function rowMl({ lengthMm, sweeps }: BoardRow, hand: Exclude<Hand, 'brush'>): number {
  const { overrunMm, mlPerSecond, mmPerSecond } = sprayTool(hand);
  return (sweeps * (lengthMm + 2 * overrunMm) * mlPerSecond) / mmPerSecond;
}
