import { mixFor } from '#core/amounts/index';
import { resolveLayer } from '#core/coats/index';
import { airAt } from '#core/drying/index';
import type { Part } from '#core/facts/index';
import type { StackView } from '#core/plan/index';
import { counted, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { TextField } from '../../../../views/fields/TextField.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** What goes into the cup for each paint that is thinned or hardened. */
export function Mixing({ part, stack }: { readonly part: Part; readonly stack: StackView }) {
  const { facts, workshop } = usePlan();
  const words = useWords();
  const [typed, setTyped] = useState('');
  const now = useAirAtSpraying();
  const read = typed.trim() === '' ? null : parseQuantity(typed, 'temperature', workshop.units.temperature);
  const celsius = read?.ok ? read.value : now;
  const mixed = part.layers
    .map((layer) => resolveLayer(layer, facts))
    .filter((layer) => layer.label?.thinning || layer.label?.hardener || (layer.thinner && layer.thinner !== layer.family));
  if (mixed.length === 0) return null;
  return (
    <FoldingSheet title="In the cup" className="!p-4">
      {mixed.some(({ label }) => label?.potLifeMin !== undefined) && (
        <TextField
          label="sprayed at"
          quiet
          inputMode="decimal"
          placeholder={words.temperature(now)}
          value={typed}
          problem={read === null || read.ok ? undefined : read.mend}
          onChange={(event) => setTyped(event.target.value)}
        />
      )}
      {mixed.map((layer) => {
        const needMl = stack.layers.find((own) => own.layerId === layer.layer.id)?.ml ?? 0;
        const mix = mixFor({
          needMl,
          label: layer.label ?? {},
          own: layer.family,
          ...(layer.thinner ? { thinner: layer.thinner } : {}),
          celsius,
        });
        return (
          <div key={layer.layer.id} className="mt-2 border-t border-hairline pt-2">
            <p className="font-[650] text-ink">{layer.name}</p>
            <ul>
              {mix.parts.map((own) => (
                <li key={own.what} className="flex justify-between">
                  <span>{own.what}</span>
                  <span className="figure">
                    {own.ml.toFixed(1)} mL · {own.grams.toFixed(1)} g
                  </span>
                </li>
              ))}
            </ul>
            <p className="second text-small">
              {counted(mix.cups, 'cup')} of 30 mL, a fifth more than the coats take.
              {mix.inductionMin ? ` Let it stand ${mix.inductionMin} min.` : ''} {mix.warnings.join(' ')}
            </p>
          </div>
        );
      })}
    </FoldingSheet>
  );
}

/** How warm it is where one sprays, °C. */
function useAirAtSpraying(): number {
  const { conditions, workshop, plan } = usePlan();
  const air = conditions[workshop.sprayPlaceId];
  return air ? Math.round(airAt(air, plan.now).airC * 10) / 10 : 20;
}
