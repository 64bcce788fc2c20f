import type { Flake, Lab } from '#core/facts/index';
import { labOf } from '../spaces.ts';

/** Colours to choose from before anything is read: invented names, plain hues, and what glitters. */

type Swatch = {
  readonly name: string;
  readonly hex: string;
  readonly flake?: Flake;
  /** What is seen of it from the edge; its hex is face-on. */
  readonly edgeHex?: string;
};

export const PALETTE: readonly Swatch[] = [
  { name: 'white', hex: '#f4f4f0' },
  { name: 'cream', hex: '#e6dcc0' },
  { name: 'sand', hex: '#c9b48a' },
  { name: 'yellow', hex: '#e8b820' },
  { name: 'orange', hex: '#d8702a' },
  { name: 'red', hex: '#c23a2a' },
  { name: 'maroon', hex: '#6e2430' },
  { name: 'brown', hex: '#6b4a30' },
  { name: 'light green', hex: '#7fa36b' },
  { name: 'green', hex: '#2c6b3a' },
  { name: 'light blue', hex: '#7fb0cc' },
  { name: 'blue', hex: '#1d4b78' },
  { name: 'light grey', hex: '#a9adb0' },
  { name: 'dark grey', hex: '#3c4146' },
  { name: 'black', hex: '#1e1f20' },
  { name: 'silver', hex: '#b9bcbe', flake: 'metallic', edgeHex: '#7d8184' },
  { name: 'gold', hex: '#b8944a', flake: 'metallic', edgeHex: '#7c6128' },
  { name: 'bronze', hex: '#83613c', flake: 'metallic', edgeHex: '#553b22' },
  { name: 'chrome-like', hex: '#d9dde0', flake: 'chrome', edgeHex: '#6a7076' },
];

/** A colour as a layer wants it. */
export type NamedColour = { readonly name: string; readonly lab: Lab; readonly flake?: Flake; readonly edgeOn?: Lab };

/** The colour of a hex, with what the palette knows of it. @throws RangeError on text that is no colour */
export function namedColour(hex: string): NamedColour {
  const own = PALETTE.find((swatch) => swatch.hex === hex);
  return {
    name: own?.name ?? hex,
    lab: labOf(hex),
    ...(own?.flake ? { flake: own.flake } : {}),
    ...(own?.edgeHex ? { edgeOn: labOf(own.edgeHex) } : {}),
  };
}
