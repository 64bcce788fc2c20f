import type { Lab } from '#core/facts/index';
import { converter } from '../modes.ts';

/**
 * The colour of a patch on a picture: the median of its pixels in linear light, what is clipped left out; where a grey card lies in
 * the same light, corrected by it. A photograph is never a match: ±4 ΔE with a card, ±8 without (trade §10).
 */

export type Pixels = { readonly data: ArrayLike<number>; readonly width: number; readonly height: number };
export type Spot = { readonly x: number; readonly y: number; readonly radius: number };

export type Patch = {
  /** Red, green and blue in linear light, 0–1. */
  readonly linear: readonly [number, number, number];
  readonly lab: Lab;
  /** Four of five pixels lie within so much of it, ΔE 1976. */
  readonly spread: number;
};

export type PatchRead = { readonly ok: true; readonly patch: Patch } | { readonly ok: false; readonly mend: string };

export const UNSURE_DELTA_E = { withCard: 4, without: 8 } as const;

const CLIPPED = { low: 2, high: 252 } as const;
/** More of a patch than this is glare or black. */
const MOST_CLIPPED = 0.5;
/** Beyond this spread two colours lie in it. */
const ONE_COLOUR = 14;
const FOUR_OF_FIVE = 0.8;

const toLab = converter('lab65');

/** @param spot its middle and radius in pixels of the picture */
export function readPatch(pixels: Pixels, spot: Spot): PatchRead {
  const inside = pixelsIn(pixels, spot);
  if (inside.length === 0) return { ok: false, mend: 'The patch lies outside the picture: move it onto the paint.' };
  const clear = inside.filter((rgb) => rgb.every((value) => value > CLIPPED.low && value < CLIPPED.high));
  if (clear.length < inside.length * (1 - MOST_CLIPPED))
    return { ok: false, mend: 'Most of the patch is glare or black: choose a spot in even light, or another picture.' };
  const linear = [0, 1, 2].map((channel) =>
    quantile(
      0.5,
      clear.map((rgb) => linearOf(rgb[channel])),
    ),
  ) as unknown as Patch['linear'];
  const lab = labOfLinear(linear);
  const spread = quantile(
    FOUR_OF_FIVE,
    clear.map((rgb) => distance(labOfLinear(rgb.map(linearOf) as unknown as Patch['linear']), lab)),
  );
  if (spread > ONE_COLOUR) return { ok: false, mend: 'More than one colour lies in the patch: keep off edges, or make it smaller.' };
  return { ok: true, patch: { linear, lab, spread } };
}

export type Corrected = { readonly ok: true; readonly lab: Lab } | { readonly ok: false; readonly mend: string };

/** Reflectance of the usual grey card. */
const CARD_GREY = 0.18;
/** A card looks tinted in warm or blue light, but never as strongly as paint does. */
const MOST_CARD_CHROMA = 45;

/** A patch as it would look if the card beside it looked grey. */
export function correctedByCard(patch: Patch, card: Patch): Corrected {
  if (Math.hypot(card.lab.a, card.lab.b) > MOST_CARD_CHROMA)
    return { ok: false, mend: 'That is no grey card: it is as colourful as paint. Put the second mark on the card.' };
  if (card.lab.l < 15 || card.lab.l > 95)
    return { ok: false, mend: 'The card is too dark or too bright on this picture to go by: photograph both in even light.' };
  const linear = patch.linear.map((value, channel) => Math.min(1, (value * CARD_GREY) / card.linear[channel]));
  return { ok: true, lab: labOfLinear(linear as unknown as Patch['linear']) };
}

export type MarksRead = { readonly ok: true; readonly lab: Lab; readonly spread: number } | { readonly ok: false; readonly mend: string };

/** The paint under one mark, corrected by the grey card under another where there is one. */
export function readMarks(pixels: Pixels, paint: Spot, card: Spot | null): MarksRead {
  const read = readPatch(pixels, paint);
  if (!read.ok) return read;
  if (!card) return { ok: true, lab: read.patch.lab, spread: read.patch.spread };
  const grey = readPatch(pixels, card);
  if (!grey.ok) return { ok: false, mend: `On the card: ${grey.mend}` };
  const corrected = correctedByCard(read.patch, grey.patch);
  return corrected.ok ? { ok: true, lab: corrected.lab, spread: read.patch.spread } : corrected;
}

function pixelsIn({ data, width, height }: Pixels, { x, y, radius }: Spot): number[][] {
  const found: number[][] = [];
  for (let row = Math.max(0, Math.ceil(y - radius)); row <= Math.min(height - 1, Math.floor(y + radius)); row++)
    for (let column = Math.max(0, Math.ceil(x - radius)); column <= Math.min(width - 1, Math.floor(x + radius)); column++) {
      if (Math.hypot(column - x, row - y) > radius) continue;
      const at = (row * width + column) * 4;
      found.push([data[at], data[at + 1], data[at + 2]]);
    }
  return found;
}

/** The value that this share of them does not exceed. */
function quantile(share: number, values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
}

/** IEC 61966-2-1. */
function linearOf(value: number): number {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
}

function labOfLinear([r, g, b]: Patch['linear']): Lab {
  const { l, a, b: yellow } = toLab({ mode: 'lrgb', r, g, b });
  return { l: Math.min(100, Math.max(0, l)), a, b: yellow };
}

function distance(one: Lab, other: Lab): number {
  return Math.hypot(one.l - other.l, one.a - other.a, one.b - other.b);
}
