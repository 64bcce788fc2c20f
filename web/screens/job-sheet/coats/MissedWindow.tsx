import { counted } from '#core/units/index';
import type { Layer, Part, Piece } from '#core/facts/index';
import { type Way, withPiece } from '#core/plan/index';
import { useMemo } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { usePricedWays } from '../../../app/plan/usePricedWays.ts';
import { PricedWayRow } from '../../../views/PricedWayRow.tsx';
import { withPart } from '../pieceChanges.ts';

type Branch = { readonly label: string; readonly layers: Layer[] };

/** A window that has shut before all its coats were on: the ways on, each planned to the end. */
export function MissedWindow({ piece, part, onLayers }: { piece: Piece; part: Part; onLayers: (layers: Layer[], said: string) => void }) {
  const { facts, plan } = usePlan();
  const shut = plan.hanging.find((own) => own.pieceId === piece.id && own.partId === part.id)?.state === 'shut';
  const next = plan.steps.find((step) => step.coat && step.pieceId === piece.id && step.on.some((on) => on.partId === part.id));
  // A layer that has not been begun has no window that could have shut.
  const begun = next?.coat !== undefined && next.coat.number > 1;
  const layerId = shut && begun ? next.coat?.layerId : undefined;
  const laid = (next?.coat?.number ?? 1) - 1;
  const branches = useMemo(() => (layerId ? branchesOf(part, layerId, laid) : []), [part, layerId, laid]);
  const ways = useMemo(
    () => branches.map(({ label, layers }): Way => ({ label, facts: withPiece(facts, withPart(piece, part.id, { layers })) })),
    [branches, facts, piece, part],
  );
  const priced = usePricedWays(ways, piece.id);
  if (branches.length === 0) return null;
  return (
    <section className="sheet !p-4 border-t-4 !border-t-ink" aria-label="The window has shut">
      <h2>The window has shut after coat {laid}</h2>
      <p className="mt-1">Nothing goes on it until it reopens. The ways on, planned to the end:</p>
      <ul className="mt-1">
        {branches.map((branch, index) => (
          <PricedWayRow
            key={branch.label}
            label={branch.label}
            priced={priced[index]}
            onTake={index === 0 ? null : () => onLayers(branch.layers, 'Taken. The plan has moved.')}
          />
        ))}
      </ul>
    </section>
  );
}

/** Wait and key; be content with what is on; or sand it back and lay the whole layer anew. */
function branchesOf(part: Part, layerId: string, laid: number): Branch[] {
  const at = part.layers.findIndex((layer) => layer.id === layerId);
  const layer = part.layers[at];
  if (!layer) return [];
  const replaced = (...own: Layer[]) => [...part.layers.slice(0, at), ...own, ...part.layers.slice(at + 1)];
  return [
    { label: 'Wait until it reopens, scuff, go on', layers: [...part.layers] },
    { label: `Leave it at ${counted(laid, 'coat')}`, layers: replaced({ ...layer, coats: laid }) },
    {
      label: 'Sand it back, lay the layer anew',
      layers: replaced({ ...layer, coats: laid, flatAfter: 600 }, { ...layer, id: newId() }),
    },
  ];
}
