import { type Mark, type Part, type Picture, PICTURE_VIEWS, type PictureView, type Piece } from '#core/facts/index';
import { useState } from 'react';
import { pictureUrl } from '../../../../api/pictures.ts';
import { AddPicture } from '../../../../views/AddPicture.tsx';
import { Portrait } from '../../../../views/drawn/Portrait.tsx';
import { usePictureSave, usePieceSave, withPart } from '../../pieceChanges.ts';
import { BeforeAfter } from './BeforeAfter.tsx';
import { MarkForm } from './Marks.tsx';
import { PinnedPicture } from './PinnedPicture.tsx';

type Pin = NonNullable<Mark['pin']>;

/** Every side of the piece, before and after, with the marks pinned where they are. */
export function Pictures({ piece, part, onPart }: { piece: Piece; part: Part | undefined; onPart: (id: string) => void }) {
  const save = usePieceSave();
  const keep = usePictureSave();
  const pictures = (piece.pictures ?? []).filter((picture) => picture.partId === undefined);
  const [side, setSide] = useState<PictureView>(pictures[0]?.view ?? 'front');
  const [pin, setPin] = useState<Pin | null>(null);
  const of = (when: Picture['when']) => pictures.filter((picture) => picture.view === side && picture.when === when).at(-1);
  const [before, after] = [of('before'), of('after')];
  const shown = before ?? after;
  const add = (file: File, when: Picture['when']) =>
    keep(piece, file, { view: side, when }, `${when === 'before' ? 'Before' : 'After'}, ${side}: kept.`);
  const remove = (picture: Picture) => {
    const unpinned = piece.parts.map((own) => ({
      ...own,
      marks: own.marks?.map(({ pin: at, ...mark }) => (at && at.pictureId !== picture.id ? { ...mark, pin: at } : mark)),
    }));
    const bags = piece.bags?.map(({ pictureId, ...bag }) => (pictureId && pictureId !== picture.id ? { ...bag, pictureId } : bag));
    void save(
      { ...piece, parts: unpinned, bags, pictures: piece.pictures?.filter((own) => own.id !== picture.id) },
      'Picture removed; marks keep their words.',
    );
  };
  return (
    <section className="sheet !p-4" aria-label="Pictures and marks">
      <fieldset className="flex flex-wrap gap-1.5">
        <legend className="sr-only">Side</legend>
        {PICTURE_VIEWS.map((view) => {
          const count = pictures.filter((picture) => picture.view === view).length;
          return (
            <button
              key={view}
              type="button"
              className={`chip !px-2.5 ${count === 0 ? 'second' : ''}`}
              aria-pressed={view === side}
              onClick={() => {
                setSide(view);
                setPin(null);
              }}
            >
              {view}
              {count > 0 && (
                <>
                  <span aria-hidden className="inline-block size-2 rounded-full bg-ink" />
                  <span className="sr-only">, {count} there</span>
                </>
              )}
            </button>
          );
        })}
      </fieldset>
      <div className="mt-3">
        {before && after ? (
          <BeforeAfter before={pictureUrl(before.id)} after={pictureUrl(after.id)} ratio={before.width / before.height} side={side} />
        ) : shown ? (
          <PinnedPicture piece={piece} picture={shown} part={part} pin={pin} onPin={setPin} onPart={onPart} />
        ) : (
          <div className="flex flex-col items-center justify-center gap-3 border border-dashed border-second py-8 text-center">
            <Portrait looksLike={piece.looksLike} portrait={piece.portrait} swatches={piece.swatches} className="h-[110px] opacity-40" />
            <p className="second">No picture of this side yet. Any phone does; side light shows the most.</p>
          </div>
        )}
      </div>
      {pin && part && (
        <MarkForm
          pin={pin}
          onCancel={() => setPin(null)}
          onMark={(mark) => {
            setPin(null);
            void save(withPart(piece, part.id, { marks: [...(part.marks ?? []), mark] }), `Marked on ${part.name.toLowerCase()}.`);
          }}
        />
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <AddPicture label={`Add ${side}, before`} onFile={(file) => void add(file, 'before')} />
        <AddPicture label={`Add ${side}, after`} onFile={(file) => void add(file, 'after')} />
        {shown && (
          <button type="button" className="linklike min-h-11 text-small" onClick={() => remove(after ?? shown)}>
            Remove this picture
          </button>
        )}
      </div>
      {shown && !(before && after) && (
        <p className="second mt-1 text-small">Press on the picture to mark what you see on {part?.name.toLowerCase() ?? 'the part'}.</p>
      )}
    </section>
  );
}
