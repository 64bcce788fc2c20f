import { leftOnShelf } from '#core/buying/index';
import type { Part } from '#core/facts/index';
import type { LayerView } from '#core/plan/index';
import { counted, sentences } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';
import { Why } from '../../../views/Why.tsx';
import { lackText } from '../../../views/words/lackText.ts';

/** What the layers of one part take, and beside it what all parts and pieces need of the same paint and what is bought of it. */
export function PaintForIt({ part, layers }: { readonly part: Part; readonly layers: readonly LayerView[] }) {
  const words = useWords();
  return (
    <FoldingSheet title="Paint for it" className="!p-4">
      <p className="second mt-1 text-small">Out of its container: on {part.name} alone; below it, with every part, piece and nozzle.</p>
      <ul className="mt-2 space-y-1">
        {[...layers].reverse().map((layer) => (
          <li key={layer.layerId}>
            <span className="flex justify-between gap-3">
              <span className="truncate">{layer.name}</span>
              <Why title="Amount" text={amountText(layer, words.volume)} source={layer.source}>
                <span className="figure">{words.volume(layer.paintMl)}</span>
              </Why>
            </span>
            <InAll mix={layer.mix} productId={part.layers.find(({ id }) => id === layer.layerId)?.productId} />
          </li>
        ))}
      </ul>
    </FoldingSheet>
  );
}

/** The figures of Money and Buying, and what there is of it as the shelf has it. */
function InAll({ mix, productId }: { readonly mix: string; readonly productId: string | undefined }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const need = plan.needs.find((own) => own.mix === mix);
  const left = productId === undefined ? undefined : leftOnShelf(facts).get(productId);
  const said = [
    ...(need
      ? [
          `in all ${words.volume(need.neededMl)}`,
          need.missingMl > 0 ? `to buy ${lackText(need, words.volume)}` : lackText(need, words.volume),
        ]
      : []),
    ...(left === undefined ? [] : [`${words.volume(left)} left`]),
  ];
  return said.length === 0 ? null : <span className="second block text-small">{said.join(' · ')}</span>;
}

/** Both ways a coat is reckoned, and the one that holds. */
function amountText({ coats, mlPerCoat, filmMl, sweepsMl, holds, hand, ml, paintMl }: LayerView, volume: (ml: number) => string): string {
  const both = `By its film ${volume(filmMl)} a coat, by its sweeps ${volume(sweepsMl)}`;
  const why = holds === 'film' ? 'the film asks for more' : hand === 'aerosol' ? 'a can empties by time' : 'the sweeps put on more';
  const laid = `${counted(coats, 'coat')} of ${volume(mlPerCoat)}`;
  const mixed = paintMl < ml ? `Of ${volume(ml)} as sprayed ${volume(ml - paintMl)} are reducer and hardener` : '';
  return sentences(laid, `${both}: ${why}`, mixed, 'Nozzle and residue come on top');
}
