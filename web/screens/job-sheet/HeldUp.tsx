import type { Piece } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { asSentence } from '#core/units/index';
import { Link } from 'react-router';
import { holdsOf } from './mendPlace.ts';
import type { SectionKey } from './sectionNames.ts';

/** What holds the piece up or is still missing on it: once, on top of every section but the one that mends it, with the way there. */
export function HeldUp({ piece, view, section }: { piece: Piece; view: PieceView; section: SectionKey }) {
  const holds = holdsOf(piece, view)
    .filter(({ place }) => !(place?.told && place.section === section))
    .slice(0, MOST);
  if (holds.length === 0) return null;
  return (
    <ul className="mb-3 border-l-4 border-ink bg-sheet px-4 py-2" aria-label="What holds it up">
      {holds.map(({ text, place }) => (
        <li key={`${place?.partId} ${text}`}>
          {place && <strong className="font-[650] text-ink">{place.who}: </strong>}
          {asSentence(text)}{' '}
          {place && place.section !== section && (
            <Link className="linklike" to={`/pieces/${piece.id}/${place.section}?part=${place.partId}`}>
              {place.mend}
            </Link>
          )}
        </li>
      ))}
    </ul>
  );
}

const MOST = 3;
