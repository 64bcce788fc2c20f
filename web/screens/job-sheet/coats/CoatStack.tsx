import { counted } from '#core/units/index';
import { hexOf } from '#core/colour/index';
import type { JointVerdict } from '#core/coats/index';
import type { Part } from '#core/facts/index';
import type { GroundOfPart, LayerView, StackView } from '#core/plan/index';
import { FilmPatterns } from '../../../views/drawn/filmTextures.tsx';
import { type Block, stackColumns } from './stackColumns.ts';

const WIDTH = 600;
const LEFT = 62;
const NAMES = 200;
const HEIGHT = 380;
const METAL = 52;
const HEAD = 44;

export type JointMark = { readonly layerId: string; readonly verdict: JointVerdict; readonly laid: boolean };

/** The film in section, a column a zone: layers to scale from metal to clear, each joint as line, zigzag or gap. */
export function CoatStack({
  stack,
  part,
  ground,
  marks,
  chosen,
  onChoose,
}: {
  stack: StackView;
  part: Part;
  ground: GroundOfPart;
  marks: readonly JointMark[];
  chosen: string | null;
  onChoose: (layerId: string) => void;
}) {
  const painted = part.zones.filter((zone) => zone.bare === undefined);
  const several = painted.length > 1;
  const wide = several ? WIDTH - LEFT - NAMES : 262;
  const bottom = HEIGHT - METAL;
  const { blocks, labels, zones } = stackColumns(
    stack.layers,
    painted.map((zone) => zone.id),
    { left: LEFT, wide, bottom, room: bottom - (several ? HEAD : 16) },
  );
  const top = Math.max(0, Math.min(...zones.map((zone) => zone.top), ...labels.map((label) => label.y - 16)) - (several ? HEAD : 14));
  const right = LEFT + wide + 18;
  return (
    <svg
      viewBox={`0 ${top} ${WIDTH} ${HEIGHT - top}`}
      className="w-full"
      role="img"
      aria-label={`${part.name}: ${stack.layers.map((layer) => `${layer.name}, ${Math.round(layer.um)} micrometres, on ${layer.zoneNames.join(' and ')}`).join('; ')}`}
    >
      <FilmPatterns />
      <rect x={LEFT} y={bottom} width={wide} height={METAL - 4} fill="url(#metal)" stroke="#8a8a8a" />
      <Names x={right} y={bottom + 20} title={ground.name} detail={ground.ready} />
      {blocks.map((block) => (
        <LayerBlock
          key={`${block.layer.layerId}${block.x}`}
          block={block}
          chosen={chosen === block.layer.layerId}
          onChoose={() => onChoose(block.layer.layerId)}
        />
      ))}
      {blocks.map((block) => {
        const mark = marks.find((own) => own.layerId === block.layer.layerId);
        return mark ? (
          <Joint key={`${block.layer.layerId}${block.x}`} block={block} mark={mark} onChoose={() => onChoose(block.layer.layerId)} />
        ) : null;
      })}
      {labels.map(({ layer, y, from }) => (
        <g key={layer.layerId} onClick={() => onChoose(layer.layerId)} className="cursor-pointer">
          {Math.abs(from - y) > 3 && <line x1={LEFT + wide + 2} x2={right - 3} y1={from} y2={y} stroke="var(--hairline)" />}
          <text x={LEFT - 10} y={from + 5} textAnchor="end" fontSize="14" fontFamily="var(--font-mono)" fill="var(--text)">
            {several && !layer.everywhere ? '' : Math.round(layer.um)}
          </text>
          <Names x={right} y={y - 1} title={layer.name} detail={detailOf(layer)} />
        </g>
      ))}
      {several ? (
        zones.map((zone) => (
          <g key={zone.id}>
            <text x={zone.x + zone.wide / 2} y={zone.top - 26} textAnchor="middle" fontSize="14" fontWeight="650" fill="var(--ink)">
              {short(painted.find((own) => own.id === zone.id)?.name ?? '', zone.wide / 8)}
            </text>
            <text
              x={zone.x + zone.wide / 2}
              y={zone.top - 9}
              textAnchor="middle"
              fontSize="13"
              fontFamily="var(--font-mono)"
              fill="var(--second)"
            >
              {Math.round(zone.um)} µm
            </text>
          </g>
        ))
      ) : (
        <TotalFilm top={zones[0]?.top ?? bottom} um={stack.filmUm} />
      )}
    </svg>
  );
}

function short(text: string, letters: number): string {
  const most = Math.max(3, Math.floor(letters));
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}

function TotalFilm({ top, um }: { top: number; um: number }) {
  const middle = (top + HEIGHT - METAL) / 2;
  return (
    <g>
      <line x1="20" x2="20" y1={top} y2={HEIGHT - METAL} stroke="#8a8a8a" />
      <text
        x="14"
        y={middle}
        fontSize="13"
        fontFamily="var(--font-mono)"
        fill="var(--second)"
        textAnchor="middle"
        transform={`rotate(-90 14 ${middle})`}
      >
        {Math.round(um)} µm
      </text>
    </g>
  );
}

function LayerBlock({ block: { layer, x, y, wide, tall }, chosen, onChoose }: { block: Block; chosen: boolean; onChoose: () => void }) {
  const laid = y + tall * (1 - layer.laidCoats / layer.coats);
  return (
    <g onClick={onChoose} className="cursor-pointer">
      <rect
        x={x}
        y={y}
        width={wide}
        height={tall}
        fill={layer.role === 'clear' ? '#f4f4f4' : hexOf(layer.lab)}
        stroke={chosen ? 'var(--accent)' : '#8a8a8a'}
        strokeWidth={chosen ? 3 : 1}
      />
      {layer.laidCoats > 0 && layer.laidCoats < layer.coats && (
        <line x1={x} x2={x + wide} y1={laid} y2={laid} stroke="#151515" strokeDasharray="4 4" />
      )}
    </g>
  );
}

function detailOf(layer: LayerView): string {
  const where = layer.everywhere ? '' : `${layer.zoneNames.join(', ').toLowerCase()}, `;
  const laid = layer.laidCoats === 0 ? '' : layer.laidCoats >= layer.coats ? ', laid' : `, ${layer.laidCoats} laid`;
  return short(`${where}${counted(layer.coats, 'coat')}${laid}${layer.flatAfter ? `, flat P${layer.flatAfter}` : ''}`, 30);
}

function Names({ x, y, title, detail }: { x: number; y: number; title: string; detail: string }) {
  return (
    <>
      <text x={x} y={y} fontSize="15" fontWeight="650" fill="var(--ink)">
        {short(title, 24)}
      </text>
      <text x={x} y={y + 17} fontSize="13" fill="var(--second)">
        {detail}
      </text>
    </>
  );
}

const TOOTH = 10;

function Joint({ block: { x, y: top, wide, tall }, mark, onChoose }: { block: Block; mark: JointMark; onChoose: () => void }) {
  const y = top + tall;
  if (mark.laid || mark.verdict === 'sits') return <line x1={x} x2={x + wide} y1={y} y2={y} stroke="#151515" strokeWidth="2" />;
  const count = Math.max(2, Math.round(wide / TOOTH));
  const teeth = Array.from({ length: count + 1 }, (_, index) => `${x + (index * wide) / count} ${y + (index % 2 ? -5 : 4)}`).join(' L');
  const label = Math.max(x + 2, x + wide - 92);
  return (
    <g onClick={onChoose} className="cursor-pointer">
      {mark.verdict === 'care' ? (
        <path d={`M${teeth}`} fill="none" stroke="#151515" strokeWidth="2.4" />
      ) : (
        <>
          <rect x={x - 3} y={y - 7} width={wide + 6} height="14" fill="var(--sheet)" />
          <line x1={x - 8} x2={x + wide + 8} y1={y - 7} y2={y - 7} stroke="var(--ink)" strokeWidth="2" />
          <line x1={x - 8} x2={x + wide + 8} y1={y + 7} y2={y + 7} stroke="var(--ink)" strokeWidth="2" />
        </>
      )}
      {wide >= 60 && (
        <>
          <rect x={label} y={y - 13} width="58" height="26" rx="3" fill="#ffffff" stroke="#151515" strokeWidth="1.6" />
          <text x={label + 29} y={y + 5} textAnchor="middle" fontSize="14" fontWeight="750" fill="#151515">
            {mark.verdict}
          </text>
        </>
      )}
    </g>
  );
}
