import type { Lab } from '#core/facts/index';
import { converter } from './modes.ts';

/** Transparent paints darken a step with each layer: light goes through the film, back from the ground and through it again. */

const toRgb = converter('lrgb');
const toLab = converter('lab65');

/** A transparent paint's own colour is what this many normal coats give over a bright ground. */
const NOMINAL_COATS = 3;
const BRIGHT = 0.85;
const LEAST = 0.004;

/** Colour of a ground under this many layers of a transparent paint, Lab D65. */
export function overTransparent(ground: Lab, paint: Lab, layers: number): Lab {
  const [below, own] = [toRgb({ mode: 'lab65', ...ground }), toRgb({ mode: 'lab65', ...paint })];
  const through = (channel: 'r' | 'g' | 'b') => {
    const oneLayer = Math.min(1, Math.max(LEAST, own[channel]) / BRIGHT) ** (1 / NOMINAL_COATS);
    return Math.max(0, below[channel]) * oneLayer ** layers;
  };
  const lab = toLab({ mode: 'lrgb', r: through('r'), g: through('g'), b: through('b') });
  return { l: Math.min(100, Math.max(0, lab.l)), a: lab.a, b: lab.b };
}
