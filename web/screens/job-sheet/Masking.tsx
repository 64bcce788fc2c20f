import { hexOf } from '#core/colour/index';
import { type Part, plain } from '#core/facts/index';
import type { OrderAnswer } from '#core/masking/index';
import type { StackView } from '#core/plan/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Divide } from './Divide.tsx';
import { sentence } from '../../views/sentence.ts';
import type { SectionProps } from './sectionProps.ts';
import { PartTabs, usePart } from './PartTabs.tsx';
import { isPlanned } from '#core/safety/index';

/** Which colour first, what is covered, and when tape goes on and comes off. */
export function Masking({ piece, view }: SectionProps) {
  const { plan } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const { part, parts, choose } = usePart(piece, (own) => isPlanned(own) && own.zones.some((zone) => zone.bare === undefined));
  if (!part) return <section className="sheet">Every part stays bare: there is nothing to mask.</section>;
  const keep = (changed: Part, said: string) =>
    void save('pieces', { ...piece, parts: piece.parts.map((own) => (own.id === part.id ? changed : own)) }, said);
  const order = view.masking[part.id];
  const steps = plan.steps.filter(
    (step) =>
      step.pieceId === piece.id && (step.stage === 'mask' || step.stage === 'unmask') && step.on.some((on) => on.partId === part.id),
  );
  const tapeStays = steps.flatMap((step) => {
    const off = steps.find((own) => own.stage === 'unmask' && own.id === step.id.replace('.mask.', '.unmask.'));
    return step.stage === 'mask' && step.placed && off?.placed ? [off.placed.start - step.placed.end] : [];
  });
  const longest = Math.max(0, ...tapeStays);
  const insist = (colourOrder: string[] | undefined) =>
    keep({ ...part, colourOrder }, colourOrder ? 'Your order is planned.' : 'The cheapest order is planned.');
  const painted = view.stacks[part.id].layers.some(
    (layer) => layer.laidCoats > 0 && layer.role !== 'fine-primer' && layer.role !== 'filler-primer' && layer.role !== 'primer',
  );
  const whole = part.zones.filter((zone) => zone.bare === undefined).length === 1;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="masking">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 id="masking" className="!text-title">
            {part.name}: {order ? `${nameOf(view.stacks[part.id], (part.colourOrder ?? order.order)[0])} first` : 'one colour'}
          </h2>
          <PartTabs parts={parts} part={part} choose={choose} />
        </div>
        {order && (
          <>
            <p className="mt-1">{sentence(order.because)}</p>
            {longest > LONG_TAPE && (
              <p className="mt-2 border-l-4 border-ink pl-3 font-[650]">
                Tape would stay on for {words.duration(longest)}: it tears edges and leaves glue. Fewer coats, a lighter ground or a warmer
                place keep all coats in one stay.
              </p>
            )}
            <ZoneDrawing order={part.colourOrder ?? order.order} stack={view.stacks[part.id]} />
          </>
        )}
        <ul className="mt-3">
          {part.edges.map((edge) => (
            <li key={`${edge.a}${edge.b}`} className="flex justify-between border-b border-hairline py-2">
              <span>
                {part.zones.find((zone) => zone.id === edge.a)?.name} against{' '}
                {part.zones.find((zone) => zone.id === edge.b)?.name.toLowerCase()}, {plain(edge.curve)} line
              </span>
              <span className="figure">{words.length(edge.mm)}</span>
            </li>
          ))}
        </ul>
        {whole && !painted && (
          <>
            <p className="mt-2">A second colour starts from a division; its tape line is measured from the part’s own faces.</p>
            <Divide
              part={part}
              swatches={piece.swatches}
              onDivide={(changed) => keep(changed, 'Divided. The second colour stands under Coats.')}
            />
          </>
        )}
        {(steps.length > 0 || order) && <h3 className="mt-4 font-[650] text-ink">Tape on, tape off</h3>}
        <ol>
          {steps.map((step) => (
            <li key={step.id} className="grid grid-cols-[150px_1fr_auto] gap-4 border-b border-hairline py-2">
              <time className="figure">{step.placed ? words.moment(step.placed.start) : 'no date'}</time>
              <span>
                <span className="font-[650] text-ink">{step.title}</span>
                <span className="second block text-small">{step.detail}</span>
                <span className="second block text-small">{step.placed ? step.placed.hold.text : step.unplacedWhy}</span>
              </span>
              <span className="figure">{step.minutes} min</span>
            </li>
          ))}
        </ol>
        {steps.length === 0 && order && <p className="second">All tape is off.</p>}
      </section>
      {order && (
        <aside className="space-y-5">
          <section className="sheet" aria-label="Cost of the order">
            <h2>What the order costs</h2>
            <dl className="mt-2 grid grid-cols-[1fr_auto] gap-y-1">
              {COSTS.map(([key, name]) => (
                <div key={key} className="contents">
                  <dt>{name}</dt>
                  <dd className="figure text-right">{Math.round(order.parts[key])} min</dd>
                </div>
              ))}
              <dt className="border-t border-hairline pt-1 font-[650]">Evening-minutes</dt>
              <dd className="figure border-t border-hairline pt-1 text-right">{Math.round(order.cost)} min</dd>
            </dl>
            {order.runnerUp && (
              <p className="second mt-3">
                {nameOf(view.stacks[part.id], order.runnerUp.order[0])} first would cost {Math.round(order.runnerUp.cost)}.
              </p>
            )}
            {order.runnerUp && !part.colourOrder && (
              <button type="button" className="chip mt-3" onClick={() => insist([...(order.runnerUp?.order ?? [])])}>
                Insist on that order
              </button>
            )}
            {part.colourOrder && (
              <button type="button" className="chip mt-3" onClick={() => insist(undefined)}>
                Back to the cheapest order
              </button>
            )}
          </section>
        </aside>
      )}
    </div>
  );
}

/** Tape that stays longer than this is worth a word, minutes. */
const LONG_TAPE = 26 * 60;

const COSTS: readonly (readonly [keyof OrderAnswer['parts'], string])[] = [
  ['masking', 'Tape on and off'],
  ['covering', 'Covering'],
  ['extraCoats', 'Extra coats to hide overspray'],
  ['waits', 'Tape-safe waits'],
  ['lifting', 'Chance of lifting'],
];

function nameOf(stack: StackView, layerId: string): string {
  return stack.layers.find((layer) => layer.layerId === layerId)?.name ?? 'that colour';
}

/** The colours in the order they go on; what is already on lies under tape. */
function ZoneDrawing({ order, stack }: { order: readonly string[]; stack: StackView }) {
  const layers = order.flatMap((id) => stack.layers.find((layer) => layer.layerId === id) ?? []);
  return (
    <ol className="mt-4 flex flex-wrap gap-6" aria-label="Order of colours">
      {layers.map((layer, stage) => (
        <li key={layer.layerId}>
          <svg width="190" height="104" viewBox="0 0 190 104" aria-hidden="true">
            {layers.map((zone, index) => {
              const y = (104 / layers.length) * index;
              const height = 104 / layers.length;
              const on = index <= stage;
              return (
                <g key={zone.layerId}>
                  <rect x="1" y={y + 1} width="188" height={height - 2} fill={on ? hexOf(zone.lab) : '#d9d9d9'} stroke="#6a6a6a" />
                  {index < stage &&
                    Array.from({ length: 11 }, (_, place) => place * 19).map((tape) => (
                      <line
                        key={tape}
                        x1={tape}
                        y1={y + height - 2}
                        x2={tape + 14}
                        y2={y + 2}
                        stroke="#fbfbfb"
                        strokeWidth="5"
                        opacity="0.85"
                      />
                    ))}
                </g>
              );
            })}
          </svg>
          <span className="block font-[650] text-ink">
            {stage + 1} {layer.name}
          </span>
          <span className="second text-small">
            {layer.zoneNames.join(', ').toLowerCase()}
            {stage > 0 ? ', the others under tape' : ''}
          </span>
        </li>
      ))}
    </ol>
  );
}
