import type { Part, Piece } from '#core/facts/index';
import { useSearchParams } from 'react-router';

/** Which part is looked at; kept in the address, so that a link leads back. */
export function usePart(
  piece: Piece,
  fits: (part: Part) => boolean = () => true,
): { part: Part | undefined; parts: readonly Part[]; choose: (id: string) => void } {
  const [params, setParams] = useSearchParams();
  const parts = piece.parts.filter(fits);
  return {
    parts,
    part: parts.find((part) => part.id === params.get('part')) ?? parts[0],
    choose: (id) => setParams({ part: id }, { replace: true }),
  };
}

export function PartTabs({ parts, part, choose }: { parts: readonly Part[]; part: Part | undefined; choose: (id: string) => void }) {
  if (parts.length < 2) return null;
  return (
    <fieldset className="flex flex-wrap gap-2">
      <legend className="sr-only">Part</legend>
      {parts.map((own) => (
        <button key={own.id} type="button" className="chip" aria-pressed={own.id === part?.id} onClick={() => choose(own.id)}>
          {own.name}
          {own.copies > 1 && <span className="second">× {own.copies}</span>}
        </button>
      ))}
    </fieldset>
  );
}
