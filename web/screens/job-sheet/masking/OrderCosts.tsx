import type { Part } from '#core/facts/index';
import type { OrderAnswer, OrderCost } from '#core/masking/index';
import type { StackView } from '#core/plan/index';
import { Why } from '../../../views/Why.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const AT_THE_BENCH: readonly (readonly [keyof OrderCost, string, string])[] = [
  ['masking', 'Tape on and off', '3 min a mask and 4 a metre of straight line, more where it curves; off again 1 and 1 a metre.'],
  ['covering', 'Covering', '2 min for each 100 cm² that is kept free.'],
  ['extraCoats', 'Coats to hide', 'Coats that are needed only because another colour was sprayed there first.'],
  ['locking', 'Clear to lock', 'A film that never takes tape by itself is cleared and scuffed first.'],
];

/** What the order costs at the bench, what else is weighed, and the runner-up with its price. */
export function OrderCosts({
  part,
  order,
  stack,
  onInsist,
  onBrush,
}: {
  part: Part;
  order: OrderAnswer;
  stack: StackView;
  onInsist: (order: string[] | undefined) => void;
  onBrush: (layerId: string) => void;
}) {
  const { parts, runnerUp } = order;
  const bench = parts.masking + parts.covering + parts.extraCoats + parts.locking;
  const name = (id: string) => stack.layers.find((layer) => layer.layerId === id)?.name ?? 'that colour';
  return (
    <FoldingSheet title="What the order costs">
      <dl className="mt-2 grid grid-cols-[1fr_auto] gap-y-2">
        {AT_THE_BENCH.filter(([key]) => key !== 'locking' || parts.locking > 0).map(([key, label, text]) => (
          <div key={key} className="contents">
            <dt>
              <Why title={label} text={text} source="default">
                {label}
              </Why>
            </dt>
            <dd className="figure text-right">{Math.round(parts[key])} min</dd>
          </div>
        ))}
        <dt className="border-t border-hairline pt-2 font-[650] text-ink">At the bench</dt>
        <dd className="figure border-t border-hairline pt-2 text-right font-[650] text-ink">{Math.round(bench)} min</dd>
        <dt className="second border-t border-hairline pt-2 text-small">besides, weighed: waits, chance of lifting, dark under light</dt>
        <dd className="figure second border-t border-hairline pt-2 text-right text-small">
          {Math.round(parts.waits + parts.lifting + parts.darkBelow)}
        </dd>
      </dl>
      <p className="second mt-2 text-small">All its colours from the first, by one hand; what is still ahead stands with the steps.</p>
      {runnerUp && (
        <>
          <p className="second mt-3">
            {runnerUp.order.map(name).join(', then ')}: {runnerUp.because.toLowerCase()}
          </p>
          {!part.colourOrder && (
            <button type="button" className="act mt-3 !min-h-10" onClick={() => onInsist([...runnerUp.order])}>
              Insist on that
            </button>
          )}
        </>
      )}
      {(order.brushed ?? []).length > 0 && (
        <details className="mt-3 border-t border-hairline pt-2">
          <summary>Brush one of them instead</summary>
          <ul>
            {order.brushed?.map(({ zoneId, cost, shows }) => (
              <li key={zoneId} className="flex items-center justify-between gap-2 border-t border-hairline py-1.5">
                <span>
                  {name(zoneId)}
                  <span className="second block text-small">
                    {Math.abs(cost - order.cost) < 1
                      ? 'costs the same'
                      : `${Math.round(Math.abs(cost - order.cost))} min ${cost < order.cost ? 'less' : 'more'}`}
                    ; {shows}
                  </span>
                </span>
                <button type="button" className="chip !min-h-9" aria-label={`Brush ${name(zoneId)}`} onClick={() => onBrush(zoneId)}>
                  brush it
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
      {part.colourOrder && (
        <button type="button" className="act mt-3 !min-h-10" onClick={() => onInsist(undefined)}>
          Back to the cheapest order
        </button>
      )}
    </FoldingSheet>
  );
}
