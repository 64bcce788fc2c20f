import { counted } from '#core/units/index';
import { madeOfText, type Part, type Piece } from '#core/facts/index';
import { unplannedBecause } from '#core/safety/index';
import { partAreaCm2 } from '#core/survey/index';
import { oldPaintText } from '../../../../views/words/oldPaintText.ts';
import { GuessMark } from '../../GuessMark.tsx';

type Node = { readonly part: Part; readonly depth: number };

/** Parts under the sub-assembly they belong to, each with what matters at a glance. */
export function PartTree({ piece, chosen, choose }: { piece: Piece; chosen: string | undefined; choose: (id: string) => void }) {
  return (
    <ul className="mt-1">
      {nodesOf(piece).map(({ part, depth }) => (
        <li key={part.id} className={`border-b border-hairline ${part.id === chosen ? 'bg-quiet' : ''}`}>
          <div className="flex items-start gap-2 py-1.5" style={{ paddingLeft: `${depth * 18}px` }}>
            {depth > 0 && (
              <span aria-hidden className="second">
                └
              </span>
            )}
            <button
              type="button"
              className="min-h-9 flex-1 text-left leading-snug"
              aria-pressed={part.id === chosen}
              onClick={() => choose(part.id)}
            >
              <span className="font-[650] text-ink">{part.name}</span>
              {part.copies > 1 && <span className="second"> × {part.copies}</span>}
              <span className="second block text-small">{underText(part)}</span>
            </button>
            <span className="flex flex-col items-end">
              <span className="figure">{Math.round(partAreaCm2(part))} cm²</span>
              <GuessMark piece={piece} guess={`material:${part.id}`} />
            </span>
          </div>
        </li>
      ))}
    </ul>
  );
}

function underText(part: Part): string {
  if (part.gone) return 'taken out; kept for the record';
  const refused = unplannedBecause(part.stops);
  if (refused) return refused;
  const bare = part.zones.every((zone) => zone.bare !== undefined) ? `stays bare: ${part.zones[0].bare}` : null;
  const marks = part.marks?.length ?? 0;
  return [
    madeOfText(part),
    part.maskedInPlace ? 'masked in place' : (bare ?? oldPaintText(part)),
    ...(marks > 0 ? [`${counted(marks, 'mark')}`] : []),
  ].join(', ');
}

/** Depth first, parents before what belongs to them. */
export function nodesOf(piece: Piece): Node[] {
  const known = new Set(piece.parts.map((part) => part.id));
  const under = (parent: string | undefined, depth: number): Node[] =>
    piece.parts
      .filter((part) => (part.within !== undefined && known.has(part.within) ? part.within : undefined) === parent)
      .flatMap((part) => [{ part, depth }, ...under(part.id, depth + 1)]);
  return under(undefined, 0);
}
