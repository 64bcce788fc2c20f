import type { Part } from '#core/facts/index';
import type { Dressing, LayerView } from '#core/plan/index';
import { Link } from 'react-router';
import { PaintStrip } from '../../../views/drawn/paint.tsx';

/** Details and decals of a part, each after which layer, with how it sits; changed under Masking. */
export function BetweenLayers({
  pieceId,
  part,
  layers,
  dressings,
}: {
  pieceId: string;
  part: Part;
  layers: readonly LayerView[];
  dressings: readonly Dressing[];
}) {
  const rows = [
    ...(part.details ?? []).map((own) => ({ id: own.id, name: own.name, after: own.after, lab: own.lab })),
    ...(part.decals ?? []).map((own) => ({
      id: own.id,
      name: `Decal, ${own.name}${own.count === 2 ? ', a pair' : ''}`,
      after: own.after,
      lab: null,
    })),
  ];
  if (rows.length === 0) return null;
  return (
    <ul aria-label="Between the layers">
      {rows.map((row) => {
        const dressing = dressings.find((own) => own.id === row.id);
        const sides = [dressing?.below, dressing?.above ?? undefined];
        const worst = sides.find((own) => own?.verdict === 'stop') ?? sides.find((own) => own?.verdict === 'care');
        return (
          <li key={row.id} className="flex items-baseline gap-3 border-b border-hairline py-2">
            <PaintStrip lab={row.lab} className="h-4 w-[14px] self-center" />
            <span className="grow">
              <span className="font-[650] text-ink">{row.name}</span>{' '}
              <span className="second text-small">
                {layers.find((layer) => layer.layerId === row.after)?.name
                  ? `after ${layers.find((layer) => layer.layerId === row.after)?.name}`
                  : 'before the first layer'}
                {worst ? `; ${worst.verdict}: ${worst.because}` : ''}
              </span>
            </span>
            <Link className="linklike text-small" to={`/pieces/${pieceId}/masking?view=details&part=${part.id}`}>
              change
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
