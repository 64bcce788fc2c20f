import { type BoardItem, type SprayBoard, sprayBoard } from '#core/amounts/index';
import { filmOfCoat } from '#core/coats/index';
import type { Facts } from '#core/facts/index';
import { facesToPaint } from '#core/zones/index';
import type { PlannedStep } from '../plannedStep.ts';

/** What a batch of one paint looks like side by side on a board, and what that saves; ids are peg numbers, or the part and its copy. */
export type BatchBoard = SprayBoard & { readonly labels: Readonly<Record<string, string>> };

/** Larger than this nobody lays it on a board, mm. */
const LARGEST_MM = 400;

/** Null where there is nothing to share: one copy, a brush, or parts that lie on no board. @param facts with their zones divided */
export function boardOf(steps: readonly PlannedStep[], facts: Facts): BatchBoard | null {
  const [first] = steps;
  const coat = first?.coat;
  if (!coat || coat.hand === 'brush') return null;
  const labels: Record<string, string> = {};
  const items = steps.flatMap((step) => {
    const piece = facts.pieces.find(({ id }) => id === step.pieceId);
    return step.on.flatMap(({ partId, zoneIds }): BoardItem[] => {
      const part = piece?.parts.find(({ id }) => id === partId);
      if (!part) return [];
      const faces = facesToPaint({ ...part, copies: 1 }, zoneIds);
      return Array.from({ length: part.copies }, (_, copy) => {
        const id = `${step.pieceId}.${partId}.${copy}`;
        labels[id] = part.pegs[copy] === undefined ? part.name : String(part.pegs[copy]);
        return { id, faces };
      });
    });
  });
  const small = items.filter(({ faces }) => faces.length > 0 && faces.every(({ longMm }) => longMm <= LARGEST_MM));
  if (small.length < 2) return null;
  const sheetId = facts.products.find(({ id }) => id === coat.productId)?.sheetId;
  const label = facts.sheets.find(({ id }) => id === sheetId)?.label;
  const { solids } = filmOfCoat(coat.family, coat.role, coat.hand, label);
  const board = sprayBoard(small, { filmUm: coat.filmUm, solids }, coat.hand, facts.workshop[0]?.booth?.longMm);
  return { ...board, labels };
}
