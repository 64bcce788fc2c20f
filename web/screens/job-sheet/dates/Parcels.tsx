import type { Piece } from '#core/facts/index';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';
import { Adding } from '../Adding.tsx';
import { ParcelForm } from './ParcelForm.tsx';
import { ParcelRow } from './ParcelRow.tsx';

/** What is on the way or still to be ordered for the piece, and what waits for it. */
export function Parcels({ piece }: { piece: Piece }) {
  return (
    <FoldingSheet title="Parcels">
      <ul className="mt-1">
        {piece.parcels.map((parcel) => (
          <ParcelRow key={parcel.id} piece={piece} parcel={parcel} />
        ))}
      </ul>
      <Adding label="Expect a parcel">
        <ParcelForm piece={piece} />
      </Adding>
    </FoldingSheet>
  );
}
