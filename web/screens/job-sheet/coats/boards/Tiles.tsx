import { resolveLayer } from '#core/coats/index';
import { readColour } from '#core/colour/index';
import type { EventOf, LogEvent, Part, Piece } from '#core/facts/index';
import type { LayerView } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { pictureUrl } from '../../../../api/pictures.ts';
import { nowMinute, usePlan } from '../../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../../app/writing/logging.ts';
import { newId } from '../../../../app/writing/newId.ts';
import { useWords } from '../../../../app/useWords.ts';
import { AddPicture } from '../../../../views/AddPicture.tsx';
import { SmallField, SmallForm } from '../../../../views/fields/SmallField.tsx';
import { usePictureSave, usePieceSave } from '../../pieceChanges.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const OUTCOMES = ['held', 'softened', 'lifted'] as const;

/** Pictures of the tile as it was judged, newest first. */
function TilePictures({ piece, part }: { piece: Piece; part: Part }) {
  const keep = usePictureSave();
  const save = usePieceSave();
  const words = useWords();
  const own = (piece.pictures ?? []).filter((picture) => picture.partId === part.id);
  return (
    <div className="mt-3 space-y-2">
      {[...own].reverse().map((picture) => (
        <figure key={picture.id}>
          <img
            src={pictureUrl(picture.id)}
            width={picture.width}
            height={picture.height}
            alt={`${part.name}, ${words.moment(toMinute(picture.at))}`}
            className="block h-auto w-full border border-hairline"
          />
          <figcaption className="flex flex-wrap items-center justify-between gap-2 text-small">
            <span className="second">{words.moment(toMinute(picture.at))}</span>
            <button
              type="button"
              className="linklike min-h-9"
              onClick={() =>
                void save(
                  { ...piece, pictures: piece.pictures?.filter((one) => one.id !== picture.id) },
                  `Picture of ${part.name.toLowerCase()} removed.`,
                )
              }
            >
              Remove this picture
            </button>
          </figcaption>
        </figure>
      ))}
      <AddPicture
        label={`Add a picture of ${part.name.toLowerCase()}`}
        onFile={(file) =>
          void keep(piece, file, { view: 'detail', when: 'after', partId: part.id }, `Picture of ${part.name.toLowerCase()}: kept.`)
        }
      />
    </div>
  );
}

/** Each joint of a tile and what became of it; a press is evidence, undone where it stands. */
export function Tiles({ piece, part, layers }: { piece: Piece; part: Part; layers: readonly LayerView[] }) {
  const { facts } = usePlan();
  const undone = new Set(facts.events.flatMap((event) => (event.kind === 'undo' ? [event.undoes] : [])));
  const seen = (layerId: string): EventOf<'tile'> | undefined =>
    facts.events
      .filter((event): event is EventOf<'tile'> => event.kind === 'tile' && event.partId === part.id && event.layerId === layerId)
      .filter((event) => !undone.has(event.id))
      .at(-1);
  const judge = (layerId: string, outcome: (typeof OUTCOMES)[number], before: EventOf<'tile'> | undefined) => {
    const at = toIso(nowMinute());
    const event: LogEvent =
      before?.outcome === outcome
        ? { id: newId(), at, kind: 'undo', undoes: before.id }
        : { id: newId(), at, kind: 'tile', pieceId: piece.id, partId: part.id, layerId, outcome };
    void logEvents([event]);
  };
  return (
    <FoldingSheet title="What became of it, dry" className="!p-4">
      <p className="second text-small">It overrules the tables for the same products in the same state. Press again to take it back.</p>
      <ul className="mt-1">
        {[...layers].reverse().map((layer) => {
          const outcome = seen(layer.layerId);
          return (
            <li key={layer.layerId} className="border-b border-hairline py-1.5">
              <span className="font-[650] text-ink">{layer.name}</span>
              {layer.laidCoats === 0 ? (
                <span className="second block text-small">not laid yet</span>
              ) : (
                <span className="mt-1 flex gap-2">
                  {OUTCOMES.map((own) => (
                    <button
                      key={own}
                      type="button"
                      className="chip"
                      aria-pressed={outcome?.outcome === own}
                      onClick={() => judge(layer.layerId, own, outcome)}
                    >
                      {own}
                    </button>
                  ))}
                </span>
              )}
              {layer.laidCoats > 0 && (layer.role === 'colour' || layer.role === 'metallic') && (
                <ReadTile piece={piece} part={part} layer={layer} />
              )}
            </li>
          );
        })}
      </ul>
      <TilePictures piece={piece} part={part} />
    </FoldingSheet>
  );
}

/** The tile's colour as it dried: evidence for what this paint does over this ground. */
function ReadTile({ piece, part, layer }: { piece: Piece; part: Part; layer: LayerView }) {
  const { facts } = usePlan();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const own = part.layers.find(({ id }) => id === layer.layerId);
  const productId = own && resolveLayer(own, facts).product?.id;
  const { groundLooks } = layer;
  if (!productId || !groundLooks) return null;
  const read = async () => {
    const answer = readColour(typed);
    if (!answer.ok) return setProblem(answer.mend);
    setProblem('');
    setTyped('');
    await logEvents([
      {
        id: newId(),
        at: toIso(nowMinute()),
        kind: 'colour-read',
        productId,
        coats: layer.laidCoats,
        groundLab: groundLooks,
        lab: answer.lab,
        pieceId: piece.id,
        partId: part.id,
      },
    ]);
    toast(`Read. Plans and mixes go by what ${layer.name} does here.`);
  };
  return (
    <SmallForm label={`Colour of ${layer.name}`} problem={problem} onSend={() => void read()}>
      <SmallField label="its colour, dry: hex or L a b" width="!w-40 font-mono" value={typed} onText={setTyped} />
      <button type="submit" className="act !min-h-10">
        So it dried
      </button>
    </SmallForm>
  );
}
