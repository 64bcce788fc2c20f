import type { Laid, Nest } from './nesting.ts';

/** The cutting template as an SVG at true size, with a ruler to lay a real one beside. */

const RULER_MM = 50;
const RULER_TALL = 12;

export function templateSvg(nest: Nest, title: string): string {
  const { widthMm, lengthMm } = nest;
  const wide = Math.max(widthMm, RULER_MM + 2);
  const tall = lengthMm + RULER_TALL;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}mm" height="${round(tall)}mm" viewBox="0 0 ${wide} ${round(tall)}">`,
    `<title>${escaped(title)}</title>`,
    `<rect x="0" y="0" width="${widthMm}" height="${round(lengthMm)}" fill="none" stroke="#8a8a8a" stroke-width="0.1"/>`,
    ...nest.laid.map((laid) => `<path d="${outlineOf(laid)}" fill="none" stroke="#000000" stroke-width="0.1"/>`),
    ruler(lengthMm + 3),
    '</svg>',
  ].join('\n');
}

/** 50 mm in millimetres: what is printed is true when a real ruler agrees. */
function ruler(y: number): string {
  const ticks = Array.from({ length: RULER_MM + 1 }, (_, mm) => `M${mm} ${round(y)} v${mm % 10 === 0 ? 4 : mm % 5 === 0 ? 3 : 2}`);
  return `<path d="${ticks.join(' ')}" fill="none" stroke="#000000" stroke-width="0.15"/><text x="0" y="${round(y + 8)}" font-size="3">${RULER_MM} mm</text>`;
}

function outlineOf({ shape, xMm, yMm, wideMm, tallMm, turned }: Laid): string {
  const [cx, cy] = [xMm + wideMm / 2, yMm + tallMm / 2];
  const radius = Math.min(wideMm, tallMm) / 2;
  switch (shape) {
    case 'round':
      return `M${round(cx - radius)} ${round(cy)} a${round(radius)} ${round(radius)} 0 1 0 ${round(2 * radius)} 0 a${round(radius)} ${round(radius)} 0 1 0 ${round(-2 * radius)} 0 Z`;
    case 'star':
      return `M${starPoints(cx, cy, radius).join(' L')} Z`;
    case 'diamond':
      return `M${round(cx)} ${round(yMm)} L${round(xMm + wideMm)} ${round(cy)} L${round(cx)} ${round(yMm + tallMm)} L${round(xMm)} ${round(cy)} Z`;
    case 'badge':
      return turned
        ? `M${round(xMm)} ${round(yMm)} v${round(tallMm)} h${round(wideMm * 0.55)} Q${round(xMm + wideMm)} ${round(yMm + tallMm)} ${round(xMm + wideMm)} ${round(cy)} Q${round(xMm + wideMm)} ${round(yMm)} ${round(xMm + wideMm * 0.55)} ${round(yMm)} Z`
        : `M${round(xMm)} ${round(yMm)} h${round(wideMm)} v${round(tallMm * 0.55)} Q${round(xMm + wideMm)} ${round(yMm + tallMm)} ${round(cx)} ${round(yMm + tallMm)} Q${round(xMm)} ${round(yMm + tallMm)} ${round(xMm)} ${round(yMm + tallMm * 0.55)} Z`;
    default:
      // A number is drawn by its box: which one, the person writes in.
      return `M${round(xMm)} ${round(yMm)} h${round(wideMm)} v${round(tallMm)} h${round(-wideMm)} Z`;
  }
}

/** Inner corners lie where the sides of the star cross. */
const INNER = (3 - Math.sqrt(5)) / 2;

function starPoints(cx: number, cy: number, radius: number): string[] {
  return Array.from({ length: 10 }, (_, index) => {
    const angle = (Math.PI / 5) * index - Math.PI / 2;
    const far = index % 2 === 0 ? radius : radius * INNER;
    return `${round(cx + far * Math.cos(angle))} ${round(cy + far * Math.sin(angle))}`;
  });
}

function round(mm: number): number {
  return Math.round(mm * 1000) / 1000;
}

function escaped(text: string): string {
  return text.replace(/[&<>]/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
