import type { DrawnZone } from '#core/zones/index';
import { useWords } from '../../../app/useWords.ts';
import { PartShapeTape } from '../../../views/drawn/PartShapeTape.tsx';
import { ZoneShape } from '../../../views/drawn/PartShape.tsx';
import { fillOf, type ZoneLook } from '../../../views/drawn/zoneColours.ts';

const WIDE = 420;
const LABELS = 220;
const LEAST_TALL = 150;
const LABEL_APART = 42;

/** A part from the side with its zones, each named beside it; press one to choose it. */
export function PartDrawing({
  drawn,
  looks,
  chosen,
  tall,
  onChoose,
}: {
  drawn: readonly DrawnZone[];
  looks: readonly ZoneLook[];
  chosen: string | null;
  /** Height of the part as a share of its length. */
  tall: number;
  onChoose: (zoneId: string) => void;
}) {
  const size = { wide: WIDE, tall: Math.max(LEAST_TALL, Math.min(240, WIDE * tall), LABEL_APART * (looks.length + 0.5)) };
  const labels = labelled(looks, drawn, size.tall);
  return (
    <svg viewBox={`-8 -8 ${WIDE + LABELS + 16} ${size.tall + 16}`} className="mt-3 w-full" role="img" aria-label="The part and its zones">
      <ZoneHatch />
      {drawn.map((zone) => {
        const look = looks.find((own) => own.id === zone.zoneId);
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the same choice is a button of its own beside the drawing
          <g key={zone.key} className="cursor-pointer" onClick={() => onChoose(zone.zoneId)}>
            <ZoneShape zone={zone} size={size} look={{ fill: fillOf(look), stroke: '#151515', strokeWidth: 1 }} />
            {look?.bare !== undefined && <PartShapeTape zone={zone} size={size} fill="url(#bare-zone)" />}
          </g>
        );
      })}
      {drawn
        .filter((zone) => zone.zoneId === chosen)
        .map((zone) => (
          <ZoneShape key={zone.key} zone={zone} size={size} look={{ fill: 'none', stroke: 'var(--accent)', strokeWidth: 3 }} />
        ))}
      {labels.map(({ look, from, y }) => (
        <ZoneLabel key={look.id} look={look} from={from} y={y} chosen={chosen === look.id} onChoose={() => onChoose(look.id)} />
      ))}
    </svg>
  );
}

function ZoneHatch() {
  return (
    <defs>
      <pattern id="bare-zone" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" x2="0" y1="0" y2="8" stroke="#6a6a6a" strokeWidth="1.4" />
      </pattern>
    </defs>
  );
}

type Label = { readonly look: ZoneLook; readonly from: { readonly x: number; readonly y: number }; readonly y: number };

/** One label a zone beside the drawing, in their order from top to bottom, none on another. */
function labelled(looks: readonly ZoneLook[], drawn: readonly DrawnZone[], tall: number): Label[] {
  const wanted = looks
    .flatMap((look) => {
      const zone = drawn.findLast((own) => own.zoneId === look.id);
      return zone ? [{ look, from: { x: (zone.x + zone.wide) * WIDE, y: (zone.y + zone.tall / 2) * tall } }] : [];
    })
    .sort((a, b) => a.from.y - b.from.y);
  const apart = Math.min(LABEL_APART, tall / Math.max(1, wanted.length));
  let least = 14;
  return wanted.map(({ look, from }, index) => {
    const y = Math.min(Math.max(from.y, least), tall - (wanted.length - index - 1) * apart - 18);
    least = y + apart;
    return { look, from, y };
  });
}

function ZoneLabel({ look, from, y, chosen, onChoose }: Label & { chosen: boolean; onChoose: () => void }) {
  const words = useWords();
  const what = look.bare === undefined ? (look.colour?.name ?? 'no colour yet') : `stays bare: ${look.bare}`;
  const x = WIDE + 34;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the same choice is a button of its own beside the drawing
    <g className="cursor-pointer" onClick={onChoose}>
      <polyline points={`${from.x},${from.y} ${WIDE + 8},${from.y} ${x - 6},${y}`} fill="none" stroke="var(--second)" strokeWidth="1" />
      <text x={x} y={y} fontSize="15" fontWeight="650" fill="var(--ink)" textDecoration={chosen ? 'underline' : undefined}>
        {look.name.length > 22 ? `${look.name.slice(0, 21)}…` : look.name}
      </text>
      <text x={x} y={y + 16} fontSize="13" fill="var(--second)">
        {`${what.length > 20 ? `${what.slice(0, 19)}…` : what} · ${words.area(look.areaMm2)}`}
      </text>
    </g>
  );
}
