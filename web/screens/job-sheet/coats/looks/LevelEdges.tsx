import { usualCost } from '#core/buying/index';
import { resolveLayer } from '#core/coats/index';
import type { Family, Part } from '#core/facts/index';
import { type EdgeFilm, levellings } from '#core/masking/index';
import type { LayerView, StackView } from '#core/plan/index';
import { areaMm2 } from '#core/survey/index';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const WAYS = { 'more-clear': 'More clear', 'flat-edge': 'Flat the edge alone', respray: 'Respray beside it' } as const;

/** The steps at tape edges, and three ways to level each: film left, days, minutes, paint and what it costs side by side. */
export function LevelEdges({ part, stack }: { part: Part; stack: StackView }) {
  const words = useWords();
  const { facts } = usePlan();
  if (stack.edgeSteps.length === 0) return null;
  const layerOf = (id: string | null) => stack.layers.find((layer) => layer.layerId === id);
  const costOf = (layerId: string | null | undefined, ml: number) => {
    const layer = part.layers.find(({ id }) => id === layerId);
    return layer ? usualCost(resolveLayer(layer, facts), ml) : 0;
  };
  const clear = stack.layers.findLast((layer) => layer.role === 'clear');
  return (
    <FoldingSheet title="Level the edges" className="!p-4">
      {stack.edgeSteps.map((edge) => {
        const [colour, beside] = [layerOf(edge.layerId), layerOf(edge.besideLayerId)];
        const areaCm2 = areaMm2(part.faces.filter((face) => face.zoneId === edge.besideZoneId)) / 100;
        const ways =
          colour && beside
            ? levellings({
                stepUm: edge.um,
                mm: edge.mm,
                curve: edge.curve,
                colour: filmOf(colour),
                neighbour: { ...filmOf(beside), areaCm2 },
                clear: clear ? filmOf(clear) : null,
                ...(edge.polish ? { polish: edge.polish } : {}),
              })
            : [];
        return (
          <details key={edge.zones} className="mt-2 border-t border-hairline pt-2">
            <summary>
              {edge.zones}: <span className="figure">{Math.round(edge.um)} µm</span> high
            </summary>
            <ul className="mt-1">
              {ways.map((way) => (
                <li key={way.way} className="border-t border-hairline py-1.5 text-small">
                  <strong className="text-ink">{WAYS[way.way]}</strong>: {way.text}.{' '}
                  <span className="second">
                    {Math.round(way.stepLeftUm)} µm of step and {Math.round(way.filmLeftUm)} µm of film left,{' '}
                    {words.duration(Math.max(1, Math.round(way.minutes)))} more
                    {way.ml > 0
                      ? `, ${words.volume(way.ml)} of paint, about ${words.money(costOf(way.way === 'respray' ? edge.besideLayerId : clear?.layerId, way.ml))}`
                      : ''}
                    , after {words.duration(Math.round(way.days * 24 * 60))} of drying.
                  </span>
                </li>
              ))}
            </ul>
          </details>
        );
      })}
    </FoldingSheet>
  );
}

function filmOf({ name, family, um, coats, mlPerCoat }: LayerView): EdgeFilm {
  return { name, family: family as Family, filmUm: um / Math.max(1, coats), coats, mlPerCoat };
}
