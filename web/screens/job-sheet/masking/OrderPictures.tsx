import { hexOf } from '#core/colour/index';
import type { OrderAnswer } from '#core/masking/index';
import type { PlannedStep, StackView } from '#core/plan/index';
import type { DrawnZone } from '#core/zones/index';
import { useWords } from '../../../app/useWords.ts';
import { ZoneShape } from '../../../views/drawn/PartShape.tsx';
import { PartShapeTape } from '../../../views/drawn/PartShapeTape.tsx';

const SIZE = { wide: 144, tall: 60 };
const UNPAINTED = '#ececec';

/** The steps of the order as small pictures of the part: what is painted, what lies under tape, what is still bare. */
export function OrderPictures({
  order,
  stack,
  drawn,
  steps,
}: {
  order: OrderAnswer;
  stack: StackView;
  drawn: readonly DrawnZone[];
  steps: readonly PlannedStep[];
}) {
  const words = useWords();
  const layerOf = (id: string) => stack.layers.find((layer) => layer.layerId === id);
  return (
    <ol className="mt-2 flex flex-wrap gap-x-5 gap-y-3" aria-label="Order of colours">
      {order.steps.map((step, stage) => {
        const layer = layerOf(step.zoneId);
        if (!layer) return null;
        const before = order.steps.slice(0, stage).flatMap(({ zoneId }) => layerOf(zoneId) ?? []);
        const taped = new Set(step.taped.flatMap((id) => layerOf(id)?.zoneIds ?? []));
        return (
          <li key={step.zoneId} className="w-[150px]">
            <svg viewBox={`-2 -2 ${SIZE.wide + 4} ${SIZE.tall + 4}`} className="w-full" aria-hidden="true">
              <defs>
                <pattern id="tape" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
                  <rect width="9" height="9" fill="#fbfbfb" fillOpacity="0.55" />
                  <line x1="0" x2="0" y1="0" y2="9" stroke="#fbfbfb" strokeWidth="6" />
                </pattern>
              </defs>
              {drawn.map((zone) => {
                const own = layer.zoneIds.includes(zone.zoneId);
                const earlier = before.findLast(({ zoneIds }) => zoneIds.includes(zone.zoneId));
                const over = step.open && !earlier && !own;
                const fill = own || over ? hexOf(layer.lab) : earlier ? hexOf(earlier.lab) : UNPAINTED;
                return (
                  <g key={zone.key}>
                    <ZoneShape zone={zone} size={SIZE} look={{ fill, stroke: '#151515', strokeWidth: 0.8 }} />
                    {taped.has(zone.zoneId) && <PartShapeTape zone={zone} size={SIZE} fill="url(#tape)" />}
                  </g>
                );
              })}
            </svg>
            <span className="block font-[650] leading-snug text-ink">
              {stage + 1} {layer.name}
            </span>
            <span className="second block text-small leading-snug">
              {whereText(layer.zoneNames, step.open, taped.size > 0)}
              {whenText(step.zoneId, steps, words.moment, words.clock)}
            </span>
          </li>
        );
      })}
    </ol>
  );
}

function whereText(names: readonly string[], open: boolean, taped: boolean): string {
  const where = names.join(', ').toLowerCase();
  if (open) return `on ${where}; later ones take its overspray`;
  return taped ? `on ${where}, the hatched under tape` : `on ${where}`;
}

/** When it goes on, and when its tape comes off. */
function whenText(layerId: string, steps: readonly PlannedStep[], moment: (at: number) => string, clock: (at: number) => string): string {
  const coat = steps.find((step) => step.stage === 'coat' && step.coat?.layerId === layerId && step.placed);
  const off = steps.find((step) => step.stage === 'unmask' && step.keys.some((key) => key.split('.')[3] === layerId) && step.placed);
  const on = coat?.placed ? `; ${moment(coat.placed.start)}` : '';
  return off?.placed ? `${on}, tape off ${clock(off.placed.start)}` : on;
}
