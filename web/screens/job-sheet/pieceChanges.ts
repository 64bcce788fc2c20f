import { type Facts, type Part, type Picture, type Piece, withZone, type Zone } from '#core/facts/index';
import { admissible, droppedSaid, letGo } from '#core/admission/index';
import { toIso } from '#core/units/index';
import { useCallback } from 'react';
import { toast } from 'sonner';
import { sendPicture } from '../../api/pictures.ts';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { editFact, useSaving } from '../../app/writing/useFacts.ts';

/** A piece with one of its parts changed. */
export function withPart(piece: Piece, partId: string, change: Partial<Part>): Piece {
  return { ...piece, parts: piece.parts.map((own) => (own.id === partId ? { ...own, ...change } : own)) };
}

/** A piece with one zone of a part changed, wherever that zone is written. */
export function withZoneOf(piece: Piece, partId: string, zoneId: string, change: (zone: Zone) => Zone): Piece {
  return { ...piece, parts: piece.parts.map((own) => (own.id === partId ? withZone(own, zoneId, change) : own)) };
}

/**
 * Saves a piece; what is now known of it no longer allows (a method, a mend, a flatting) is dropped, never sent, and what hung on
 * something that was taken out hangs on its neighbour, and says so.
 */
export function usePieceSave(): (piece: Piece, said?: string) => Promise<boolean> {
  const { save } = useSaving();
  const { facts } = usePlan();
  return useCallback(
    (changed, said) => {
      const { piece, moved } = kept(changed, facts);
      return save('pieces', piece, said && [said, ...moved].join(' '));
    },
    [save, facts],
  );
}

function kept(changed: Piece, facts: Facts) {
  const allowed = admissible(changed, facts);
  const { piece, moved } = letGo(
    allowed,
    facts.pieces.find(({ id }) => id === changed.id),
    facts,
  );
  return { piece, moved: [...droppedSaid(changed, allowed, facts), ...moved] };
}

/** What an edit makes of a piece as it stands, and what is said of it; null where it comes to nothing. */
export type PieceEdit = (piece: Piece) => { readonly piece: Piece; readonly said: string } | null;

/** Edits a piece as it stands when the edit’s turn comes: three quick presses are three. */
export function editPiece(pieceId: string, edit: PieceEdit): Promise<boolean> {
  return editFact('pieces', pieceId, (newest, facts) => {
    const edited = edit(newest);
    if (!edited) return null;
    const { piece, moved } = kept(edited.piece, facts);
    return { fact: piece, said: [edited.said, ...moved].join(' ') };
  });
}

/** Sends a picture and keeps it with the piece; what the server says against it is shown and nothing is changed. */
export function usePictureSave(): (
  piece: Piece,
  file: File,
  of: Pick<Picture, 'view' | 'when' | 'partId'>,
  said: string,
) => Promise<boolean> {
  const save = usePieceSave();
  return useCallback(
    async (piece, file, of, said) => {
      const id = newId();
      const sent = await sendPicture(id, file);
      if (!sent.ok) {
        toast.error(`${sent.title} ${sent.mend}`);
        return false;
      }
      const picture: Picture = { id, ...of, at: toIso(nowMinute()), ...sent.size };
      return save({ ...piece, pictures: [...(piece.pictures ?? []), picture] }, said);
    },
    [save],
  );
}
