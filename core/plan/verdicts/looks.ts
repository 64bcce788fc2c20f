import { glossOf, normalCoats, type ResolvedLayer } from '#core/coats/index';
import { atGloss, coatsToTone, colourDifference, looksAfter, TOLERANCE_DELTA_E } from '#core/colour/index';
import type { ColourTarget, Lab, Material, Piece } from '#core/facts/index';

/** What a layer looks like over what is below it, and how that stands to the colour the piece is to have. */

/** A ground as it looks, face-on and from the edge; null: the bare part. */
export type Ground = { readonly looks: Lab | null; readonly edge: Lab | null; readonly gloss: number };

/** Polished metal as a transparent colour shows it, face-on; from the edge it is dark. */
const METAL_LOOKS: Partial<Record<Material, Lab>> = {
  aluminium: { l: 84, a: 0, b: 1 },
  zinc: { l: 76, a: 0, b: 0 },
  steel: { l: 72, a: 0, b: 1 },
  tinplate: { l: 78, a: 0, b: 1 },
  brass: { l: 78, a: 4, b: 36 },
};
const METAL_EDGE_L = 0.6;

/** What a transparent paint meets on the bare part: its metal, where that has a colour worth showing. */
export function bareGround(material: Material): Ground {
  const looks = METAL_LOOKS[material] ?? null;
  return { looks, edge: looks && { ...looks, l: looks.l * METAL_EDGE_L }, gloss: 0 };
}

export type Looks = {
  readonly lab: Lab;
  /** From the layer's own colour, ΔE2000. */
  readonly offBy: number;
  /** From the edge, where something in or below it glitters; else null. */
  readonly edge: Lab | null;
  /** The ground it is furthest from its own colour on; null where it lies on the bare part. */
  readonly ground: Lab | null;
};

/** A layer over each of its grounds, as it will look where it is furthest from its own colour; a clear shows what is below, deeper or veiled. */
export function looksOver(layer: ResolvedLayer, grounds: readonly Ground[]): Looks {
  const coats = normalCoats(layer.weights);
  const own = glossOf(layer.family, layer.role, layer.label).gloss;
  const over = grounds.flatMap(({ looks, edge, gloss }): Looks[] => {
    if (!looks) return [];
    if (layer.role === 'clear') {
      const lab = atGloss(looks, gloss, own);
      return [{ lab, offBy: colourDifference(lab, looks), edge: edge && atGloss(edge, gloss, own), ground: looks }];
    }
    const lab = looksAfter(looks, layer, coats);
    return [{ lab, offBy: colourDifference(lab, layer.lab), edge: edgeOver(layer, edge, coats), ground: looks }];
  });
  return over.sort((a, b) => b.offBy - a.offBy)[0] ?? { lab: layer.lab, offBy: 0, edge: layer.edgeOn ?? null, ground: null };
}

/** A candy over flakes flops with them; an opaque paint over them does not. */
function edgeOver(layer: ResolvedLayer, edge: Lab | null, coats: number): Lab | null {
  if (layer.transparent) return edge && looksAfter(edge, layer, coats);
  return layer.edgeOn ?? null;
}

/** A layer beside the colour that it is to meet: as planned, the first coat within tolerance, the first past it. */
export type Meets = {
  readonly name: string;
  readonly lab: Lab;
  readonly tolerance: number;
  readonly deltaE: number;
  readonly within: boolean;
  readonly first: number | null;
  readonly past: number | null;
};

export function meetsTarget({ targets = [] }: Piece, layer: ResolvedLayer, looks: Looks): Meets | null {
  const target = targets.find((own) => own.id === layer.layer.targetId);
  return target ? beside(target, layer, looks) : null;
}

function beside({ name, lab, tolerance: word }: ColourTarget, layer: ResolvedLayer, looks: Looks): Meets {
  const tolerance = TOLERANCE_DELTA_E[word];
  const deltaE = colourDifference(looks.lab, lab);
  const { first, past } = looks.ground ? coatsToTone(looks.ground, layer, lab, tolerance, 12) : { first: null, past: null };
  return { name, lab, tolerance, deltaE, within: deltaE <= tolerance, first, past };
}
