import { additionsFor, DROP_ML, hexOf, likeness, type Portion } from '#core/colour/index';
import type { Lab } from '#core/facts/index';
import { type BenchPaint, gramsOf } from '#core/mixing/index';
import { useWords } from '../../app/useWords.ts';
import { PaintStrip } from '../../views/drawn/paint.tsx';

const LOOK = { match: 'near enough: compare dry', family: 'nearly: look closely', other: 'not there yet' } as const;

/** Drops for a cup, grams for a scale. */
export type Measure = 'drops' | 'grams';

/** Each paint as it is poured, with what the cup should look like by then. */
export function Additions({
  portions,
  paints,
  target,
  measure,
}: {
  portions: readonly Portion[];
  paints: readonly BenchPaint[];
  target: Lab;
  measure: Measure;
}) {
  const words = useWords();
  const stages = additionsFor(portions, paints, target);
  return (
    <ol className="mt-2 flex flex-wrap gap-2" aria-label="Additions">
      {stages.map((stage, at) => {
        const paint = paints.find(({ id }) => id === stage.id);
        const last = at === stages.length - 1;
        return (
          <li key={`${stage.id} ${stage.lab.l}`} className="min-w-[170px] flex-1 border border-hairline p-2">
            <p className="flex items-center gap-2">
              <PaintStrip lab={paint?.product.lab ?? null} className="h-5 w-[9px]" />
              <span className="min-w-0 flex-1 truncate font-[650]" title={paint?.product.name}>
                {paint?.product.name}
              </span>
            </p>
            <p className="figure mt-1">
              {at === 0 ? '' : '+ '}
              {measure === 'grams' && paint ? `${gramsOf(paint.product, stage.drops * DROP_ML).toFixed(2)} g` : words.poured(stage.drops)}
              {at === 0 ? '' : ', look'}
            </p>
            <span aria-hidden className="mt-2 block h-14 border border-[#8c8c8c]" style={{ background: hexOf(stage.lab) }} />
            <p className="second mt-1 text-small">
              {last ? 'stop here, compare dry' : at === 0 ? 'begin here' : LOOK[likeness(stage.deltaE)]}
            </p>
          </li>
        );
      })}
    </ol>
  );
}
