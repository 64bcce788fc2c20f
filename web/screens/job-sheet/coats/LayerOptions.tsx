import { type Hand, type Layer, type Part, type Piece, plain, type Weight, weightSchema } from '#core/facts/index';
import type { LayerView } from '#core/plan/index';
import { SlidersHorizontal, Thermometer } from 'lucide-react';
import { Popover } from 'radix-ui';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { HAND_NAMES } from '../../../views/words/handNames.ts';
import { Chips } from '../../../views/fields/Chips.tsx';
import { SmallSelect } from '../../../views/fields/SmallField.tsx';
import { WARM_LABELS } from '../../../views/words/warmWords.ts';
import { ByTools } from './choosing/ByTools.tsx';
import { WarmLayer } from './WarmLayer.tsx';

/** Grits a film is flatted with before the next coat: the finer, the thinner or brighter what follows. */
const FLAT_GRITS = ['none', '600', '800', '1000', '1500', '2000'] as const;

/** How one layer goes on: tool, weight of its coats, whether and how it is flatted. */
export function LayerOptions({
  piece,
  part,
  layer,
  view,
  onChange,
}: {
  piece: Piece;
  part: Part;
  layer: Layer;
  view: LayerView | undefined;
  onChange: (fields: Partial<Layer>, said: string) => void;
}) {
  const { workshop } = usePlan();
  const name = view?.name ?? 'layer';
  const targets = piece.targets ?? [];
  const hands: readonly Hand[] = [...new Set([...workshop.hands, ...(view ? [view.hand] : [])])];
  const weight = (number: number): Weight => layer.weights?.[number] ?? view?.weights[number] ?? 'normal';
  const weigh = (number: number, chosen: Weight) =>
    onChange(
      { weights: Array.from({ length: layer.coats }, (_, own) => (own === number ? chosen : weight(own))) },
      `Coat ${number + 1} of ${name} goes on ${plain(chosen)}.`,
    );
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button type="button" className="chip !min-h-8 text-small" aria-label={`How ${name} goes on`}>
          <SlidersHorizontal size={14} aria-hidden /> {HAND_NAMES[view?.hand ?? 'aerosol']}
          {layer.flatAfter !== undefined && `, P${layer.flatAfter}`}
          {layer.warm && <Thermometer size={14} role="img" aria-label={`warmed: ${WARM_LABELS[layer.warm.by]}`} />}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="sheet z-50 max-h-[var(--radix-popover-content-available-height)] w-[420px] max-w-[94vw] space-y-3 overflow-y-auto !border-ink !p-4"
          aria-label={`How ${name} goes on`}
        >
          <Chips
            legend="Goes on by"
            options={hands.map((value) => ({ value, label: HAND_NAMES[value] }))}
            value={view?.hand}
            onChange={(hand) => onChange({ hand }, `${name} goes on by ${HAND_NAMES[hand]}.`)}
          />
          <ByTools part={part} layer={layer} />
          <fieldset>
            <legend className="mb-2 font-[650] text-ink">Each coat</legend>
            {Array.from({ length: layer.coats }, (_, number) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: coats have no name but their number
              <span key={number} className="mb-1 flex items-center gap-1">
                <span className="figure w-16">coat {number + 1}</span>
                {weightSchema.options.map((own) => (
                  <button
                    key={own}
                    type="button"
                    className="chip !min-h-8 text-small"
                    aria-pressed={weight(number) === own}
                    onClick={() => weigh(number, own)}
                  >
                    {plain(own)}
                  </button>
                ))}
              </span>
            ))}
          </fieldset>
          {targets.length > 0 && (view?.role === 'colour' || view?.role === 'metallic') && (
            <SmallSelect
              label="Held against"
              width="!w-full"
              value={layer.targetId ?? ''}
              options={[{ value: '', label: 'its own colour' }, ...targets.map((own) => ({ value: own.id, label: own.name }))]}
              onChange={(id) =>
                onChange({ targetId: id || undefined }, id ? 'Held against what is wanted.' : 'Held against its own colour.')
              }
            />
          )}
          {view?.flatRefused ? (
            <p>{view.flatRefused}</p>
          ) : (
            <Chips
              legend="Flatted afterwards"
              options={FLAT_GRITS.map((value) => ({ value, label: value === 'none' ? 'no' : `P${value}` }))}
              value={layer.flatAfter === undefined ? 'none' : (String(layer.flatAfter) as (typeof FLAT_GRITS)[number])}
              onChange={(grit) =>
                grit === 'none'
                  ? onChange({ flatAfter: undefined }, 'Not flatted.')
                  : onChange({ flatAfter: Number(grit) }, `Flatted with P${grit}, then washed and dried.`)
              }
            />
          )}
          <WarmLayer piece={piece} part={part} layer={layer} onChange={onChange} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
