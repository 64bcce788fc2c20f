import { counted } from '#core/units/index';
import { mixFor } from '#core/amounts/index';
import { compareShades, resolveLayer } from '#core/coats/index';
import type { Part, Piece } from '#core/facts/index';
import type { StackView } from '#core/plan/index';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { PolishOf } from './PolishOf.tsx';
import { SheenOf } from './SheenOf.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

type Props = { readonly piece: Piece; readonly part: Part; readonly stack: StackView };

/** What decides how it looks: ground, tone, sheen, clear; each with its figures. */
export function Levers(props: Props) {
  return (
    <FoldingSheet title="Ground, tone and sheen" className="!p-4">
      <Shades {...props} />
      <SheenOf {...props} />
      <PolishOf {...props} />
    </FoldingSheet>
  );
}

/** The first colour over white, grey, black and no primer. */
function Shades({ part, stack }: Props) {
  const { facts } = usePlan();
  const words = useWords();
  const colour = part.layers.map((layer) => resolveLayer(layer, facts)).find((layer) => layer.role === 'colour' && !layer.transparent);
  if (!colour) return null;
  const mlPerCoat = stack.layers.find((layer) => layer.layerId === colour.layer.id)?.mlPerCoat ?? 0;
  const rows = compareShades(colour.lab, colour.share, mlPerCoat);
  return (
    <table className="mt-2 w-full">
      <caption className="second text-left text-small">{colour.name} over each ground</caption>
      <tbody>
        {rows.map((row) => (
          <tr key={row.name} className="border-t border-hairline">
            <td className="py-1">{row.name}</td>
            <td className="figure">{counted(row.coats, 'coat')}</td>
            <td className="figure text-right">{words.volume(row.ml)}</td>
            <td className="second pl-3 text-small">{row.suits ? '' : 'too dark for it'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What goes into the cup for each paint that is thinned or hardened. */
export function Mixing({ part, stack }: Pick<Props, 'part' | 'stack'>) {
  const { facts } = usePlan();
  const mixed = part.layers
    .map((layer) => resolveLayer(layer, facts))
    .filter((layer) => layer.label?.thinning || layer.label?.hardener || (layer.thinner && layer.thinner !== layer.family));
  if (mixed.length === 0) return null;
  return (
    <FoldingSheet title="In the cup" className="!p-4">
      {mixed.map((layer) => {
        const needMl = stack.layers.find((own) => own.layerId === layer.layer.id)?.ml ?? 0;
        const mix = mixFor({ needMl, label: layer.label ?? {}, own: layer.family, ...(layer.thinner ? { thinner: layer.thinner } : {}) });
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
