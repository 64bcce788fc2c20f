import { labOf } from '#core/colour/index';
import { readySystems, type SystemKind } from '#core/coats/index';
import type { Layer, Part, Piece } from '#core/facts/index';
import { layersOfSystem } from '#core/plan/index';
import { useState } from 'react';
import { usePlan } from '../../../app/PlanContext.tsx';
import { newId, useSaving } from '../../../app/useFacts.ts';
import { RemoveButton } from '../../../views/RemoveButton.tsx';
import { colourName } from '../../../views/SwatchPicker.tsx';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { isPlanned } from '#core/safety/index';

/** Three ready systems and the person's own to start from; this stack kept as one, or copied to other parts. */
export function Systems({
  piece,
  part,
  laid,
  onTake,
}: {
  piece: Piece;
  part: Part;
  laid: boolean;
  onTake: (layers: Layer[], said: string) => void;
}) {
  const { facts } = usePlan();
  const { remove } = useSaving();
  const swatches = piece.swatches.length > 0 ? piece.swatches : ['#a9adb0'];
  const colours = swatches.map((hex) => ({ name: colourName(hex), lab: labOf(hex) }));
  const ready = readySystems({
    material: part.material,
    colours: colours.slice(0, 1).map((colour) => ({ ...colour, covers: 'all' as const })),
  });
  const take = (kind: SystemKind) => onTake(layersOfSystem(kind, part, colours, newId), 'System laid out. Every layer can be changed.');
  const fresh = (layers: readonly Layer[]) => layers.map((layer): Layer => ({ ...layer, id: newId(), covers: 'all' }));
  return (
    <section className="sheet !p-4" aria-label="Ready systems">
      <h2>{laid ? 'This stack again' : 'Start from a system'}</h2>
      {!laid && (
        <ul className="mt-1">
          {ready.map((system) => (
            <Row key={system.kind} title={system.title} text={system.text} onTake={() => take(system.kind)} />
          ))}
          {facts.systems.map((system) => (
            <Row
              key={system.id}
              title={system.name}
              text={`your own, ${system.layers.length} layers`}
              onTake={() => onTake(fresh(system.layers), `${system.name}: laid out.`)}
              onRemove={() => void remove('systems', system.id, `${system.name} removed.`)}
            />
          ))}
        </ul>
      )}
      {part.layers.length > 0 && <KeepStack piece={piece} part={part} />}
    </section>
  );
}

function Row({ title, text, onTake, onRemove }: { title: string; text: string; onTake: () => void; onRemove?: () => void }) {
  return (
    <li className="flex items-center justify-between gap-3 border-b border-hairline py-1.5">
      <span>
        <span className="font-[650] text-ink">{title}</span>
        <span className="second block text-small">{text}</span>
      </span>
      <span className="flex">
        <button type="button" className="chip" onClick={onTake} aria-label={`Take the system: ${title}`}>
          Take
        </button>
        {onRemove && <RemoveButton what={title} onRemove={onRemove} />}
      </span>
    </li>
  );
}

/** The stack under a name of its own, or straight onto the other parts of the piece. */
function KeepStack({ piece, part }: { piece: Piece; part: Part }) {
  const { save } = useSaving();
  const savePiece = usePieceSave();
  const [name, setName] = useState('');
  const others = piece.parts.filter((own) => own.id !== part.id && isPlanned(own) && own.zones.some((zone) => zone.bare === undefined));
  const keep = async () => {
    const system = { id: newId(), name: name.trim(), layers: part.layers.map((layer) => ({ ...layer, covers: 'all' as const })) };
    if (name.trim() && (await save('systems', system, `${system.name} is kept.`))) setName('');
  };
  const copyTo = (id: string) => {
    const layers = part.layers.map((layer): Layer => ({ ...layer, id: newId(), covers: 'all' }));
    void savePiece(withPart(piece, id, { layers, colourOrder: undefined }), 'Copied. Every layer can be changed there.');
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <label>
          <span className="second block text-small">Keep this stack as</span>
          <input className="field !min-h-9 !w-40" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
        </label>
        <button type="submit" className="chip" disabled={!name.trim()}>
          Keep
        </button>
      </form>
      {others.length > 0 && (
        <label>
          <span className="second block text-small">or copy it to</span>
          <select className="field !min-h-9 !w-36" value="" onChange={(event) => event.target.value && copyTo(event.target.value)}>
            <option value="">a part</option>
            {others.map((own) => (
              <option key={own.id} value={own.id}>
                {own.name}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}
