import type { Piece } from '#core/facts/index';
import type { LayerBelow } from '#core/plan/index';
import { counted } from '#core/units/index';

/** Names a layer of a part among those asked about. */
export function layerKey({ partId, layerId }: Pick<LayerBelow, 'partId' | 'layerId'>): string {
  return `${partId} ${layerId}`;
}

/** Asked where a coat is entered before those below it: which of them are there. The stack's own order is taken until it is said. */
export function LiesBelow({
  piece,
  layers,
  absent,
  onAbsent,
}: {
  piece: Piece;
  layers: readonly LayerBelow[];
  absent: ReadonlySet<string>;
  onAbsent: (absent: ReadonlySet<string>) => void;
}) {
  const several = new Set(layers.map(({ partId }) => partId)).size > 1;
  const nameOf = (id: string) => piece.parts.find((part) => part.id === id)?.name.toLowerCase() ?? '';
  const toggle = (key: string) => {
    const next = new Set(absent);
    if (!next.delete(key)) next.add(key);
    onAbsent(next);
  };
  return (
    <fieldset className="basis-full">
      <legend className="mb-1 font-[650]">What lies below it?</legend>
      <ul className="flex flex-wrap gap-x-6 gap-y-1">
        {layers.map((layer) => {
          const key = layerKey(layer);
          return (
            <li key={key}>
              <label className="flex min-h-11 items-center gap-2">
                <input type="checkbox" className="size-5" checked={!absent.has(key)} onChange={() => toggle(key)} />
                {layer.name}, {counted(layer.coats.length, 'coat')}
                {several && `, ${nameOf(layer.partId)}`}
              </label>
            </li>
          );
        })}
      </ul>
      <p className="mt-1 text-small text-muted">
        The log has none of it. What you leave ticked is entered as recalled, well before this coat; what you untick was never there, and
        leaves the stack.
      </p>
    </fieldset>
  );
}
