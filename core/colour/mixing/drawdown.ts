import type { Lab } from '#core/facts/index';
import { fitPaint } from './fit.ts';
import { TO_Y } from '../observer.ts';
import { labOfSpectrum, type Spectrum, spectrumOf } from '../spectrum.ts';

/** One coat of a paint over black and over white: what it lets through and what it looks like hidden, band by band. */

/** The usual black and white to draw a paint down on; the primer shades of the plan have the same. */
export const DRAWN_ON = { black: { l: 15, a: 0, b: 0 }, white: { l: 95, a: 0, b: 1 } } as const satisfies Record<string, Lab>;

export type Drawdown = { readonly black: Lab; readonly white: Lab };

export type DrawdownRead = {
  /** What it looks like once it hides. */
  readonly masstone: Lab;
  /** Of contrast that one coat lets through, 0.01–0.99. */
  readonly share: number;
  /** The same band by band: reflectance hidden, and share let through. */
  readonly reflectance: Spectrum;
  readonly shares: Float64Array;
};

/**
 * Both readings are own + (ground − own) × share on cube roots, as layers are predicted, so two equations give both.
 * @throws RangeError where a reading is none a paint can have
 */
export function readDrawdown(drawdown: Drawdown): DrawdownRead {
  const known = KNOWN.get(drawdown) ?? read(drawdown);
  KNOWN.set(drawdown, known);
  return known;
}

const KNOWN = new WeakMap<Drawdown, DrawdownRead>();

function read({ black, white }: Drawdown): DrawdownRead {
  const roots = [black, white, DRAWN_ON.black, DRAWN_ON.white].map((lab) => spectrumOf(lab).map(Math.cbrt));
  const [overBlack, overWhite, blackRoot, whiteRoot] = roots;
  const shares = overBlack.map((value, band) => kept((overWhite[band] - value) / (whiteRoot[band] - blackRoot[band])));
  const bands = overBlack.map((value, band) => {
    const own = (value - blackRoot[band] * shares[band]) / (1 - shares[band]);
    return Math.min(0.995, Math.max(0.001, own ** 3));
  });
  const bright = shares.reduce((sum, share, band) => sum + share * TO_Y[band], 0);
  // The bands of a colour are rebuilt, so the masstone they give is a start: the two readings themselves settle it.
  const { lab: masstone, share } = fitPaint(
    [
      { ground: DRAWN_ON.black, coats: 1, lab: black },
      { ground: DRAWN_ON.white, coats: 1, lab: white },
    ],
    { lab: labOfSpectrum(bands), share: kept(bright), transparent: false },
  );
  return { masstone, share, reflectance: spectrumOf(masstone), shares };
}

/** A coat that hides wholly lets a hundredth through, one that hides nothing all but that. */
function kept(share: number): number {
  return Math.min(0.99, Math.max(0.01, share));
}
