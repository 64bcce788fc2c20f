import { namedColour } from '#core/colour/index';
import { readySystems, type SystemKind } from '#core/coats/index';
import { hasPaintedZone, type Layer, type Part, type Piece } from '#core/facts/index';
import { layersOfSystem } from '#core/plan/index';
import { useState } from 'react';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { newId } from '../../../../app/writing/newId.ts';
import { useSaving } from '../../../../app/writing/useFacts.ts';
import { OneLine } from '../../../../views/typed/OneLine.tsx';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { usePieceSave, withPart } from '../../pieceChanges.ts';
import { isPlanned } from '#core/safety/index';
import { dividedPart } from '#core/zones/index';

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
  const colours = swatches.map(namedColour);
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
  const others = piece.parts.map(dividedPart).filter((own) => own.id !== part.id && isPlanned(own) && hasPaintedZone(own));
  const keep = (name: string) => {
    const layers = part.layers.map(({ targetId: _own, ...layer }) => ({ ...layer, covers: 'all' as const }));
    return save('systems', { id: newId(), name, layers }, `${name} is kept.`);
  };
  const [target, setTarget] = useState<Part | null>(null);
  const copyTo = (id: string) => {
    const other = others.find((own) => own.id === id);
    if (!other) return;
    if (paintedZones(other).length > 1 && coveredZones(part).length > 1) return setTarget(other);
    const layers = part.layers.map((layer): Layer => ({ ...layer, id: newId(), covers: 'all' }));
    copy(other, layers);
  };
  const copy = (other: Part, layers: Layer[]) => {
    setTarget(null);
    void savePiece(withPart(piece, other.id, { layers, colourOrder: undefined }), 'Copied. Every layer can be changed there.');
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <OneLine label="Keep this stack as" button="Keep" lacks="Give it a name." width="!w-40" onKeep={keep} />
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
      {target && <WhichZone from={part} to={target} onCopy={(layers) => copy(target, layers)} onCancel={() => setTarget(null)} />}
    </div>
  );
}

function paintedZones(part: Part): Part['zones'] {
  return part.zones.filter((zone) => zone.bare === undefined);
}

/** Zones that a layer names by themselves. */
function coveredZones(part: Part): Part['zones'] {
  return part.zones.filter((zone) => part.layers.some((layer) => layer.covers !== 'all' && layer.covers.includes(zone.id)));
}

/** Which zone of the other part takes the coats of which zone here. */
function WhichZone({ from, to, onCopy, onCancel }: { from: Part; to: Part; onCopy: (layers: Layer[]) => void; onCancel: () => void }) {
  const zones = coveredZones(from);
  const targets = paintedZones(to);
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(zones.map((zone, index) => [zone.id, targets[Math.min(index, targets.length - 1)].id])),
  );
  const copy = () =>
    onCopy(
      from.layers.map((layer) => ({
        ...layer,
        id: newId(),
        covers: layer.covers === 'all' ? 'all' : [...new Set(layer.covers.map((id) => chosen[id] ?? targets[0].id))],
      })),
    );
  return (
    <fieldset className="basis-full border border-hairline p-3">
      <legend className="px-1 font-[650]">Which goes where on {to.name.toLowerCase()}?</legend>
      {zones.map((zone) => (
        <label key={zone.id} className="mb-2 flex items-center justify-between gap-3">
          <span>{zone.name}</span>
          <select
            className="field !min-h-9 !w-40"
            value={chosen[zone.id]}
            onChange={(event) => setChosen({ ...chosen, [zone.id]: event.target.value })}
          >
            {targets.map((target) => (
              <option key={target.id} value={target.id}>
                {target.name}
              </option>
            ))}
          </select>
        </label>
      ))}
      <span className="flex gap-2">
        <button type="button" className="act !min-h-9" data-first="true" onClick={copy}>
          Copy so
        </button>
        <button type="button" className="act !min-h-9" onClick={onCancel}>
          Cancel
        </button>
      </span>
    </fieldset>
  );
}
