import type { Flake, Lab } from '#core/facts/index';
import { converter, differenceCiede2000, formatHex } from './modes.ts';

const toLab = converter('lab65');
const difference = differenceCiede2000();

/** Lab (D65) of an sRGB hex colour such as "#1e4a7a". Throws on text that is no colour. */
export function labOf(hex: string): Lab {
  const lab = toLab(hex);
  if (!lab) throw new RangeError(`"${hex}" is no colour.`);
  return { l: clamp(lab.l, 0, 100), a: lab.a, b: lab.b };
}

/** The nearest sRGB hex of a Lab colour, for the screen. */
export function hexOf(lab: Lab): string {
  return formatHex({ mode: 'lab65', ...lab });
}

/** Colour difference ΔE2000. */
export function colourDifference(one: Lab, other: Lab): number {
  return difference({ mode: 'lab65', ...one }, { mode: 'lab65', ...other });
}

/** Contrast of ground and coat, 0–1 and above: the larger of lightness and a quarter of the chroma distance (trade §7). */
export function contrastOf(ground: Lab, coat: Lab): number {
  return Math.max(Math.abs(ground.l - coat.l), 0.25 * Math.hypot(ground.a - coat.a, ground.b - coat.b)) / 100;
}

const SHARES: readonly { readonly name: string; readonly share: number }[] = [
  { name: 'black', share: 0.1 },
  { name: 'grey', share: 0.2 },
  { name: 'brown', share: 0.2 },
  { name: 'green', share: 0.25 },
  { name: 'blue', share: 0.3 },
  { name: 'cream', share: 0.35 },
  { name: 'purple', share: 0.35 },
  { name: 'white', share: 0.4 },
  { name: 'pink', share: 0.45 },
  { name: 'red', share: 0.5 },
  { name: 'yellow', share: 0.6 },
  { name: 'orange', share: 0.6 },
];

/** The plain colour word for a Lab value, as the hiding table uses it. */
export function colourWord(lab: Lab): string {
  const chroma = Math.hypot(lab.a, lab.b);
  const hue = (Math.atan2(lab.b, lab.a) * 180) / Math.PI;
  const angle = (hue + 360) % 360;
  if (lab.l < 22 && chroma < 18) return 'black';
  if (chroma < 9) return lab.l > 85 ? 'white' : 'grey';
  if (lab.l > 80 && chroma < 32 && angle > 60 && angle < 115) return 'cream';
  if (lab.l > 85 && chroma < 20) return 'white';
  if (angle < 20 || angle >= 340) return lab.l > 60 ? 'pink' : 'red';
  if (angle < 50) return lab.l < 35 && chroma < 45 ? 'brown' : 'red';
  if (angle < 75) return lab.l < 50 ? 'brown' : 'orange';
  if (angle < 110) return lab.l < 50 ? 'brown' : 'yellow';
  if (angle < 200) return 'green';
  return angle < 300 ? 'blue' : 'purple';
}

/** Share of the contrast below that one normal coat lets through, by colour word: 0.1 black to 0.6 yellow, and less with flakes (trade §7). */
export function hidingShare(lab: Lab, flake?: Flake): number {
  if (flake) return flakeShare(lab, flake);
  const word = colourWord(lab);
  return SHARES.find((row) => row.name === word)?.share ?? 0.4;
}

/** Flakes lie like scales and hide by them: silver best, gold and bronze nearly so; pearl lets through like a pastel. */
function flakeShare(lab: Lab, flake: Flake): number {
  if (flake === 'pearl') return 0.4;
  return Math.hypot(lab.a, lab.b) < 9 ? 0.15 : 0.2;
}

function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}
