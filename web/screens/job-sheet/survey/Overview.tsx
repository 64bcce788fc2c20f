import { factoryText, openGuesses } from '#core/survey/index';
import { plain } from '#core/facts/index';
import { useSearchParams } from 'react-router';
import { GuessMark } from '../GuessMark.tsx';
import type { SectionProps } from '../sectionProps.ts';
import { AimAndScale } from './AimAndScale.tsx';
import { Marks } from './walk/Marks.tsx';
import { PartTree } from './parts/PartTree.tsx';
import { Pictures } from './walk/Pictures.tsx';
import { Sharpen } from './Sharpen.tsx';
import { Walk } from './walk/Walk.tsx';
import { isPlanned } from '#core/safety/index';
import { KeptBecause } from './parts/KeptBecause.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** The piece with its marks on the left, its parts on the right, and the next question above both. */
export function Overview({ piece, view }: SectionProps) {
  const [params, setParams] = useSearchParams();
  const parts = piece.parts.filter((part) => part.gone !== true);
  const part = parts.find((own) => own.id === params.get('part')) ?? parts.find(isPlanned) ?? parts[0];
  /** Aim and scale may still be said again. */
  const open = !piece.finished && !piece.board;
  const choose = (id: string) => setParams({ view: 'walk', part: id }, { replace: true });
  return (
    <div className="space-y-4">
      {!piece.finished && <Walk piece={piece} />}
      <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_400px]">
        <Pictures piece={piece} part={part} onPart={choose} />
        <div className="space-y-4">
          <FoldingSheet title="Parts" className="!p-4">
            <PartTree piece={piece} chosen={part?.id} choose={choose} />
            {part && <Marks piece={piece} part={part} />}
          </FoldingSheet>
          <FoldingSheet title="Decided" className="!p-4">
            <dl className="mt-1">
              <Line name="Goes as far as">
                {plain(piece.limit ?? 'inside-too')}
                {view.beyond.map((text) => (
                  <span key={text} className="second block text-small">
                    left: {text}
                  </span>
                ))}
              </Line>
              <Line name="Old paint">
                {piece.leadExcluded ? 'cleared of lead' : 'may hold lead: wet methods only'} <GuessMark piece={piece} guess="lead" />
              </Line>
              {(!open || piece.aim === 'preserve') && (
                <Line name="Aim">
                  {plain(piece.aim)}
                  {piece.aim === 'preserve' && <KeptBecause piece={piece} />}
                </Line>
              )}
              {piece.set && <Line name="Set">{piece.set}</Line>}
              {piece.wishes && <Line name="Wishes">{piece.wishes}</Line>}
              {piece.factory && <Line name="From the factory">{factoryText(piece)}</Line>}
              {(piece.spares?.length ?? 0) > 0 && <Line name="Spares box">{piece.spares?.map((spare) => spare.name).join(', ')}</Line>}
            </dl>
            {open && <AimAndScale piece={piece} />}
            {view.notes.map((note) => (
              <p key={note} className="mt-2 border-l-4 border-ink pl-3 text-small">
                {note}
              </p>
            ))}
          </FoldingSheet>
          {openGuesses(piece).length > 0 && <Sharpen piece={piece} />}
        </div>
      </div>
    </div>
  );
}

function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[110px_minmax(0,1fr)] gap-3 border-b border-hairline py-1.5">
      <dt className="second text-small leading-6">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
