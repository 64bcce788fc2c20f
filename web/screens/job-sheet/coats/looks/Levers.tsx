import { counted } from '#core/units/index';
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
