import { counted } from '#core/units/index';
import { hexOf } from '#core/colour/index';
import type { JointVerdict } from '#core/coats/index';
import { materialText, type Part } from '#core/facts/index';
import type { LayerView, StackView } from '#core/plan/index';
import { FilmPatterns } from '../../../views/filmTextures.tsx';

const WIDTH = 560;
const LEFT = 92;
const BAND = 262;
const HEIGHT = 372;
const METAL = 56;
const LEAST = 22;

export type JointMark = { readonly layerId: string; readonly verdict: JointVerdict; readonly laid: boolean };

/** The film in section: layers to scale in micrometres from metal to clear, each joint as line, zigzag or gap. */
export function CoatStack({
  stack,
  part,
  marks,
  chosen,
  onChoose,
}: {
  stack: StackView;
  part: Part;
  marks: readonly JointMark[];
  chosen: string | null;
  onChoose: (layerId: string) => void;
}) {
  const room = HEIGHT - METAL - 16;
  const total = stack.layers.reduce((sum, layer) => sum + layer.um, 0);
  const scale = total > 0 ? Math.min(3.6, room / Math.max(total, 1)) : 1;
  const heights = stack.layers.map((layer) => Math.max(LEAST, layer.um * scale));
  const sum = heights.reduce((a, b) => a + b, 0);
  const fit = sum > room ? room / sum : 1;
  let bottom = HEIGHT - METAL;
  const bands = stack.layers.map((layer, index) => {
    const height = heights[index] * fit;
    bottom -= height;
    return { layer, y: bottom, height, mark: marks.find((mark) => mark.layerId === layer.layerId) };
  });
  const top = Math.max(0, bottom - 14);
  return (
    <svg
      viewBox={`0 ${top} ${WIDTH} ${HEIGHT - top}`}
      className="w-full"
      role="img"
      aria-label={`${part.name}: ${stack.layers.map((layer) => `${layer.name}, ${Math.round(layer.um)} micrometres`).join('; ')}`}
    >
      <FilmPatterns />
      <rect x={LEFT} y={HEIGHT - METAL} width={BAND} height={METAL - 4} fill="url(#metal)" stroke="#8a8a8a" />
      <Names
        y={HEIGHT - METAL + 22}
        title={materialText(part.material)}
        detail={part.finish === 'bare' ? 'bare, keyed' : 'stripped, keyed'}
      />
      {bands.map(({ layer, y, height }) => (
        <g key={layer.layerId} onClick={() => onChoose(layer.layerId)} className="cursor-pointer">
          <rect
            x={LEFT}
            y={y}
            width={BAND}
            height={height}
            fill={layer.role === 'clear' ? '#f4f4f4' : hexOf(layer.lab)}
            stroke={chosen === layer.layerId ? 'var(--accent)' : '#8a8a8a'}
            strokeWidth={chosen === layer.layerId ? 3 : 1}
          />
          {layer.laidCoats > 0 && layer.laidCoats < layer.coats && (
            <line
              x1={LEFT}
              x2={LEFT + BAND}
              y1={y + height * (1 - layer.laidCoats / layer.coats)}
              y2={y + height * (1 - layer.laidCoats / layer.coats)}
              stroke="#151515"
              strokeDasharray="4 4"
            />
          )}
          <text x={LEFT - 14} y={y + height / 2 + 5} textAnchor="end" fontSize="14" fontFamily="var(--font-mono)" fill="var(--text)">
            {Math.round(layer.um)}
          </text>
          <Names y={y + height / 2 - 2} title={layer.name} detail={detailOf(layer)} />
        </g>
      ))}
      {bands.map(({ layer, y, height, mark }) =>
        mark ? <Joint key={layer.layerId} y={y + height} mark={mark} onChoose={() => onChoose(layer.layerId)} /> : null,
      )}
      {total > 0 && (
        <g>
          <line x1="26" x2="26" y1={bands.at(-1)?.y ?? 0} y2={HEIGHT - METAL} stroke="#8a8a8a" />
          <text
            x="20"
            y={((bands.at(-1)?.y ?? 0) + HEIGHT - METAL) / 2}
            fontSize="13"
            fontFamily="var(--font-mono)"
            fill="var(--second)"
            textAnchor="middle"
            transform={`rotate(-90 20 ${((bands.at(-1)?.y ?? 0) + HEIGHT - METAL) / 2})`}
          >
            {Math.round(stack.filmUm)} µm
          </text>
        </g>
      )}
    </svg>
  );
}

function detailOf(layer: LayerView): string {
  const where = layer.everywhere ? '' : `${layer.zoneNames.join(', ').toLowerCase()}, `;
  const laid = layer.laidCoats === 0 ? '' : layer.laidCoats >= layer.coats ? ', laid' : `, ${layer.laidCoats} laid`;
  return `${where}${counted(layer.coats, 'coat')}${laid}${layer.flatAfter ? `, flat P${layer.flatAfter}` : ''}`;
}

function Names({ y, title, detail }: { y: number; title: string; detail: string }) {
  return (
    <>
      <text x={LEFT + BAND + 18} y={y} fontSize="15" fontWeight="650" fill="var(--ink)">
        {title.length > 25 ? `${title.slice(0, 24)}…` : title}
      </text>
      <text x={LEFT + BAND + 18} y={y + 17} fontSize="13" fill="var(--second)">
        {detail}
      </text>
    </>
  );
}

function Joint({ y, mark, onChoose }: { y: number; mark: JointMark; onChoose: () => void }) {
  if (mark.laid || mark.verdict === 'sits') return <line x1={LEFT} x2={LEFT + BAND} y1={y} y2={y} stroke="#151515" strokeWidth="2" />;
  const teeth = Array.from({ length: 27 }, (_, index) => `${LEFT + (index * BAND) / 26} ${y + (index % 2 ? -5 : 4)}`).join(' L');
  return (
    <g onClick={onChoose} className="cursor-pointer">
      {mark.verdict === 'care' ? (
        <path d={`M${teeth}`} fill="none" stroke="#151515" strokeWidth="2.4" />
      ) : (
        <>
          <rect x={LEFT - 3} y={y - 7} width={BAND + 6} height="14" fill="var(--sheet)" />
          <line x1={LEFT - 8} x2={LEFT + BAND + 8} y1={y - 7} y2={y - 7} stroke="var(--ink)" strokeWidth="2" />
          <line x1={LEFT - 8} x2={LEFT + BAND + 8} y1={y + 7} y2={y + 7} stroke="var(--ink)" strokeWidth="2" />
        </>
      )}
      <rect x={LEFT + BAND - 92} y={y - 13} width="70" height="26" rx="3" fill="#ffffff" stroke="#151515" strokeWidth="1.6" />
      <text x={LEFT + BAND - 57} y={y + 5} textAnchor="middle" fontSize="14" fontWeight="750" fill="#151515">
        {mark.verdict}
      </text>
    </g>
  );
}
