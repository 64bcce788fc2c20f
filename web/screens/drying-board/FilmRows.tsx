import { hexOf } from '#core/colour/index';
import type { Piece } from '#core/facts/index';
import type { HangingPart } from '#core/plan/index';
import { memo } from 'react';
import { filmFill } from '../../views/drawn/filmTextures.tsx';
import type { Axis } from './foldedAxis.ts';
import { clip, HEAD, LABEL, ROW, WIDTH } from './geometry.ts';

/** Parts as rows, each with its films as bands whose texture tells the state. */
export const FilmRows = memo(function FilmRows({
  rows,
  axis,
  pieceById,
}: {
  rows: readonly HangingPart[];
  axis: Axis;
  pieceById: ReadonlyMap<string, Piece>;
}) {
  const x = (at: number) => LABEL + axis.place(at);
  return (
    <>
      {rows.map((part, index) => {
        const y = HEAD + index * ROW;
        return (
          <g key={`${part.pieceId} ${part.partId}`}>
            <line x1="8" x2={WIDTH - 8} y1={y + ROW} y2={y + ROW} stroke="var(--hairline)" />
            <text x="30" y={y + 24} fontSize="13" fontFamily="var(--font-mono)" fill="var(--second)" textAnchor="end">
              {part.pegs[0] ?? '–'}
            </text>
            <text x="40" y={y + 18} fontSize="14" fontWeight="650" fill="var(--ink)">
              {clip(pieceById.get(part.pieceId)?.name ?? '', 21)}
            </text>
            <text x="40" y={y + 33} fontSize="13" fill="var(--second)">
              {clip(part.name, 24)}
            </text>
            {part.bands
              .filter((band) => band.to > axis.from && band.from < axis.to)
              .map((band) => (
                <g key={`${band.from}${band.state}`}>
                  <rect x={x(band.from)} y={y + 8} width={Math.max(1, x(band.to) - x(band.from))} height="18" {...filmFill(band.state)} />
                  <rect
                    x={x(band.from)}
                    y={y + 27}
                    width={Math.max(1, x(band.to) - x(band.from))}
                    height="5"
                    fill={hexOf(band.lab)}
                    stroke="#00000040"
                    strokeWidth="0.5"
                  />
                </g>
              ))}
          </g>
        );
      })}
    </>
  );
});
