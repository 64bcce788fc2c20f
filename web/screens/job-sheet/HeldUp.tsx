import type { Piece } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { sentences } from '#core/units/index';
import { Link } from 'react-router';
import { mendPlace } from './mendPlace.ts';
import type { SectionKey } from './sectionNames.ts';

/** What holds the piece up or is still missing on it: once, on top of every section but the one that mends it, with the way there. */
export function HeldUp({ piece, view, section }: { piece: Piece; view: PieceView; section: SectionKey }) {
  const said = [
    ...new Set([view.undecided, view.stopped, view.noDateWhy ?? undefined, ...view.missing].filter((text) => text !== undefined)),
  ].slice(0, 3);
  if (said.length === 0) return null;
  const where = mendPlace(piece, view);
  // Where it is mended it stands beside its mends already.
  if (where?.section === section && where.told) return null;
  return (
    <p role="note" className="mb-3 border-l-4 border-ink bg-sheet px-4 py-2">
      {where && <strong className="font-[650] text-ink">{where.who}: </strong>}
      {sentences(...said)}{' '}
      {where && where.section !== section && (
        <Link className="linklike" to={`/pieces/${piece.id}/${where.section}?part=${where.partId}`}>
          {where.mend}
        </Link>
      )}
    </p>
  );
}
