import type { Part, Piece } from '#core/facts/index';
import { nested, shapesToCut, templateSvg } from '#core/masking/index';
import { counted } from '#core/units/index';
import { useState } from 'react';
import { useWords } from '../../../app/useWords.ts';

const TAPE_WIDTHS = [25, 50, 100, 210] as const;

/** Repeated shapes laid on tape or film to be cut, with a spare of each; the template prints at true size. */
export function Stencils({ piece, part }: { piece: Piece; part: Part }) {
  const words = useWords();
  const [width, setWidth] = useState<number>(50);
  const wanted = shapesToCut(part);
  if (wanted.length === 0) return null;
  const nest = nested(wanted, width);
  return (
    <section className="mt-4" aria-label="Shapes to cut">
      <h3 className="font-[650] text-ink">Shapes to cut</h3>
      <p className="mt-1">
        {wanted.map(({ count, name }) => `${counted(count - 1, name.toLowerCase(), name.toLowerCase())} and a spare`).join(', ')}
      </p>
      <fieldset className="mt-2 flex flex-wrap items-center gap-2">
        <legend className="sr-only">Width of the tape or film</legend>
        <span className="second">on tape or film of</span>
        {TAPE_WIDTHS.map((own) => (
          <button key={own} type="button" className="chip !min-h-10" aria-pressed={own === width} onClick={() => setWidth(own)}>
            {words.length(own)}
          </button>
        ))}
      </fieldset>
      {'refused' in nest ? (
        <p role="alert" className="mt-2 font-[650]">
          {nest.refused}
        </p>
      ) : (
        <div className="mt-2 flex flex-wrap items-start gap-4">
          <img
            alt={`${counted(nest.laid.length, 'shape')} laid on ${words.length(nest.lengthMm)} of tape`}
            className="max-h-52 border border-hairline bg-white p-1"
            src={urlOf(templateSvg(nest, `${piece.name}, ${part.name}`))}
          />
          <p>
            <span className="figure">{words.length(Math.ceil(nest.lengthMm))}</span> of it, {Math.round(nest.waste * 100)} % waste.
            <a
              className="linklike ml-2 inline-block min-h-9"
              href={urlOf(templateSvg(nest, `${piece.name}, ${part.name}`))}
              download={`${part.name.toLowerCase().replace(/\s+/g, '-')}-template.svg`}
            >
              Cutting template (SVG)
            </a>
            <span className="second block text-small">Print it at 100 % and lay a ruler beside the one on it before you cut.</span>
          </p>
        </div>
      )}
    </section>
  );
}

function urlOf(svg: string): string {
  return `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
}
