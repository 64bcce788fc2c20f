import { neverOptional, resolveLayer } from '#core/coats/index';
import type { Layer, Part, Piece } from '#core/facts/index';
import type { LayerView } from '#core/plan/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';

/** The topmost layer may be left out: until when it is cheap to lay after all, and what it asks later. */
export function Optional({
  piece,
  part,
  layers,
  onLayers,
}: {
  piece: Piece;
  part: Part;
  layers: readonly LayerView[];
  onLayers: (layers: Layer[], said: string) => void;
}) {
  const { plan, facts } = usePlan();
  const words = useWords();
  const layer = part.layers.at(-1);
  const view = layers.find((own) => own.layerId === layer?.id);
  if (!layer || !view || view.laidCoats > 0 || part.layers.length < 2) return null;
  const never = neverOptional(
    part,
    part.layers.map((own) => resolveLayer(own, facts)),
    layer.id,
  );
  if (never) return layer.optional ? <p className="mt-3">{never} It belongs to the plan.</p> : null;
  const first = plan.steps.find(
    (step) =>
      step.pieceId === piece.id && step.coat?.number === 1 && step.coat.layerId === layer.id && step.on.some((on) => on.partId === part.id),
  );
  const until = first?.window?.to ?? null;
  const toggle = () =>
    onLayers(
      part.layers.map((own) => (own.id === layer.id ? { ...own, optional: own.optional ? undefined : true } : own)),
      layer.optional ? 'It belongs to the plan.' : 'It may be left out.',
    );
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3">
      <button type="button" className="chip" aria-pressed={layer.optional === true} onClick={toggle}>
        {view.name} may be left out
      </button>
      {layer.optional && first?.placed && (
        <span>
          {until === null
            ? 'It can be laid after all at any time once the film below lets it on.'
            : `Cheap to lay until ${words.moment(until)}; after that ${first.missedUntil === null ? 'it takes no more' : `from ${words.moment(first.missedUntil)}`}, keyed first: ${first.scuffMinutes} min more.`}
        </span>
      )}
    </p>
  );
}
