import { mkdirSync } from 'node:fs';
import { converter, formatHex } from 'culori';
import sharp from 'sharp';
import { seededRandom } from '#core/plan/index';

/** Draws the demo's pictures: invented pieces on a bench, before and after, so that no photograph of a real thing is needed. */

const [WIDTH, HEIGHT] = [800, 600];

type Look = { readonly paint: string; readonly worn: boolean };

/** A piece seen on the bench, drawn over a plain wall; `worn` adds flaking and rust where the shapes are. */
function scene(seed: number, shapes: (look: Look) => string, look: Look, clip: string): string {
  const random = seededRandom(seed);
  const flakes = look.worn
    ? Array.from({ length: 170 }, () => {
        const [x, y, r] = [random() * WIDTH, random() * HEIGHT * 0.85, 3 + random() * 16];
        const fill = random() < 0.55 ? '#8f8a84' : random() < 0.6 ? '#7a4526' : '#a8623a';
        const points = Array.from({ length: 9 }, (_, i) => {
          const [angle, reach] = [(i / 9) * Math.PI * 2, r * (0.5 + random())];
          return `${(x + Math.cos(angle) * reach * 1.6).toFixed(1)},${(y + Math.sin(angle) * reach).toFixed(1)}`;
        }).join(' ');
        return `<polygon points="${points}" fill="${fill}" opacity="${(0.55 + random() * 0.4).toFixed(2)}"/>`;
      }).join('')
    : '';
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
  <defs>
    <linearGradient id="wall" x1="0" x2="1" y1="0" y2="1"><stop offset="0" stop-color="#d4d2ce"/><stop offset="1" stop-color="#a9a7a3"/></linearGradient>
    <linearGradient id="bench" x1="0" x2="0" y1="0" y2="1"><stop offset="0" stop-color="#8d8479"/><stop offset="1" stop-color="#6d655c"/></linearGradient>
    <linearGradient id="light" x1="0" x2="1" y1="0" y2="0"><stop offset="0" stop-color="#fff" stop-opacity=".32"/><stop offset=".5" stop-color="#fff" stop-opacity="0"/><stop offset="1" stop-color="#000" stop-opacity=".34"/></linearGradient>
    <clipPath id="piece">${clip}</clipPath>
  </defs>
  <rect width="${WIDTH}" height="${HEIGHT}" fill="url(#wall)"/>
  <rect y="470" width="${WIDTH}" height="130" fill="url(#bench)"/>
  <ellipse cx="400" cy="512" rx="290" ry="22" fill="#000" opacity=".28"/>
  <g stroke="#26221e" stroke-width="2" stroke-linejoin="round">${shapes(look)}</g>
  <g clip-path="url(#piece)">${flakes}<rect width="${WIDTH}" height="${HEIGHT}" fill="url(#light)"/></g>
</svg>`;
}

const CRANE_FRONT = '<path d="M290 505 L340 190 H430 L480 505 Z"/><path d="M330 200 L700 96 V128 L350 236 Z"/>';
const CRANE_LEFT = '<path d="M330 505 L360 150 H450 L480 505 Z"/>';
const CRANE_UNDER = '<path d="M180 200 H620 V470 H180 Z"/>';
const VANE =
  '<path d="M120 250 L250 190 V230 H610 L690 190 V310 L610 270 H250 V310 Z"/><path d="M340 190 Q400 60 470 190 Z"/><path d="M392 270 H412 V510 H392 Z"/>';
const FAN = '<circle cx="400" cy="230" r="170"/><path d="M300 505 Q400 430 500 505 Z"/>';
const BALANCE = '<path d="M385 190 H415 V500 H385 Z"/><path d="M180 180 H620 V200 H180 Z"/><path d="M270 505 H530 V485 H270 Z"/>';

const filled =
  (clip: string, more = '') =>
  (look: Look) =>
    `${clip.replaceAll('/>', ` fill="${look.paint}"/>`)}${more}`;
const line = (d: string, width = 4) => `<path d="${d}" fill="none" stroke-width="${width}"/>`;
const rungs = `${line('M330 260 L450 300 M320 330 L462 372 M308 405 L472 440')}${line('M660 110 V330', 3)}<path d="M640 330 H680 L660 372 Z" fill="#b69a54"/>`;
const wires = Array.from({ length: 24 }, (_, i) => {
  const angle = (i / 24) * Math.PI * 2;
  return line(`M400 230 L${(400 + 168 * Math.cos(angle)).toFixed(0)} ${(230 + 168 * Math.sin(angle)).toFixed(0)}`, 3);
}).join('');
const pans = `${line('M200 200 L150 330 M200 200 L250 330 M600 200 L550 330 M600 200 L650 330', 3)}<path d="M130 330 Q200 390 270 330 Z" fill="#b69a54"/><path d="M530 330 Q600 390 670 330 Z" fill="#b69a54"/>`;

/** A colour as a camera sees it under a warm lamp. */
function inLampLight(hex: string): string {
  const { r, g, b } = converter('lrgb')(hex) ?? { r: 0, g: 0, b: 0 };
  return formatHex({ mode: 'lrgb', r, g: g * 0.84, b: b * 0.56 });
}

/** The tram's roof from near by lamp light, a grey card leaning beside it: what its ivory is read from. */
function cardScene(): string {
  const [wall, roof, shade, card, edge] = ['#bdbbb6', '#e6dcc0', '#b8ad92', '#777777', '#f2f2f0'].map(inLampLight);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
  <rect width="${WIDTH}" height="${HEIGHT}" fill="${wall}"/>
  <path d="M0 210 Q230 120 480 210 V470 H0 Z" fill="${roof}"/>
  <path d="M0 430 H480 V470 H0 Z" fill="${shade}"/>
  <path d="M60 330 H410" stroke="${shade}" stroke-width="7"/>
  <path d="M545 180 L765 200 L755 470 L535 450 Z" fill="${edge}"/>
  <path d="M565 202 L745 218 L737 448 L557 432 Z" fill="${card}"/>
</svg>`;
}

const PICTURES: Record<string, string> = {
  'tram-roof': cardScene(),
  'crane-front': scene(7, filled(CRANE_FRONT, rungs), { paint: '#a8402f', worn: true }, CRANE_FRONT),
  'crane-left': scene(11, filled(CRANE_LEFT), { paint: '#a8402f', worn: true }, CRANE_LEFT),
  'crane-under': scene(13, filled(CRANE_UNDER, line('M240 260 H560 M240 410 H560', 3)), { paint: '#6f6a64', worn: true }, CRANE_UNDER),
  'fan-front': scene(17, filled(FAN, wires), { paint: '#8d8a86', worn: true }, FAN),
  'balance-front': scene(19, filled(BALANCE, pans), { paint: '#5d6d50', worn: true }, BALANCE),
  'vane-before': scene(23, filled(VANE), { paint: '#57524d', worn: true }, VANE),
  'vane-after': scene(23, filled(VANE), { paint: '#26282a', worn: false }, VANE),
};

export const DEMO_PICTURE_SIZE = { width: WIDTH, height: HEIGHT };

export async function drawPictures(folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  for (const [id, svg] of Object.entries(PICTURES)) {
    await sharp(Buffer.from(svg)).png({ palette: true, colours: 96, compressionLevel: 9 }).toFile(`${folder}/${id}.png`);
  }
}
