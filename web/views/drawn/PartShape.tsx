import type { DrawnZone } from '#core/zones/index';
import type { ReactNode } from 'react';

/** One drawn zone as a plain shape, in a frame of so many pixels. */

export type ShapeSize = { readonly wide: number; readonly tall: number };

type Look = { readonly fill: string; readonly stroke: string; readonly strokeWidth: number };

export function ZoneShape({ zone, size, look, children }: { zone: DrawnZone; size: ShapeSize; look: Look; children?: ReactNode }) {
  const box = { x: zone.x * size.wide, y: zone.y * size.tall, width: zone.wide * size.wide, height: zone.tall * size.tall };
  const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
  const radius = Math.min(box.width, box.height) / 2;
  switch (zone.shape) {
    case 'round':
      return (
        <circle cx={cx} cy={cy} r={radius} {...look}>
          {children}
        </circle>
      );
    case 'star':
      return (
        <polygon points={starPoints(cx, cy, radius)} {...look}>
          {children}
        </polygon>
      );
    case 'diamond':
      return (
        <polygon points={`${cx},${cy - radius} ${cx + radius},${cy} ${cx},${cy + radius} ${cx - radius},${cy}`} {...look}>
          {children}
        </polygon>
      );
    case 'number':
      return (
        <g>
          <rect {...box} {...look} fillOpacity="0.25" strokeWidth={look.strokeWidth > 1 ? look.strokeWidth : 0.5} />
          <text
            x={cx}
            y={cy + radius * 0.7}
            textAnchor="middle"
            fontSize={radius * 2}
            fontWeight="750"
            fill={look.fill}
            stroke="#151515"
            strokeWidth="0.4"
          >
            7
          </text>
          {children}
        </g>
      );
    case 'badge':
      return (
        <path d={badge(box)} {...look}>
          {children}
        </path>
      );
    default:
      return (
        <rect {...box} rx={zone.shape === 'frame' ? 2 : 0} {...look}>
          {children}
        </rect>
      );
  }
}

/** Inner corners of a star with five points, as a share of its radius. */
const INNER = 0.382;

function starPoints(cx: number, cy: number, radius: number): string {
  return Array.from({ length: 10 }, (_, index) => {
    const angle = (Math.PI / 5) * index - Math.PI / 2;
    const far = index % 2 === 0 ? radius : radius * INNER;
    return `${cx + far * Math.cos(angle)},${cy + far * Math.sin(angle)}`;
  }).join(' ');
}

function badge({ x, y, width, height }: { x: number; y: number; width: number; height: number }): string {
  return `M${x} ${y} H${x + width} V${y + height * 0.55} Q${x + width} ${y + height * 0.85} ${x + width / 2} ${y + height} Q${x} ${y + height * 0.85} ${x} ${y + height * 0.55} Z`;
}
