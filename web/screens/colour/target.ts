import type { Facts, Lab, Product } from '#core/facts/index';
import { labOf } from '#core/colour/index';
import { colourName, PALETTE } from '../../views/SwatchPicker.tsx';

/** The colour that is wanted, by name, and the piece it is for. */
export type Target = {
  readonly name: string;
  readonly lab: Lab;
  readonly pieceId?: string /** The mix it was, when it is mixed again: no ingredient of itself. */;
  readonly mixId?: string;
};

/** A colour that some layer wants and no can has; else what was mixed last; else the first of the palette that is not white. */
export function firstTarget({ pieces, products }: Facts): Target {
  for (const piece of pieces.filter((own) => !own.finished))
    for (const { wanted } of piece.parts.flatMap((part) => part.layers))
      if (wanted && (wanted.role === 'colour' || wanted.role === 'metallic'))
        return { name: `${wanted.name} for ${piece.name}`, lab: wanted.lab, pieceId: piece.id };
  const mixed = products.filter((product) => product.mix).at(-1);
  return mixed ? mixAgain(mixed) : paletteTarget(PALETTE[1].hex);
}

/** A mix as the colour that is wanted once more. */
export function mixAgain({ id, name, lab, mix }: Product): Target {
  return { name, lab, mixId: id, ...(mix?.forPieceId ? { pieceId: mix.forPieceId } : {}) };
}

export function paletteTarget(hex: string): Target {
  return { name: colourName(hex), lab: labOf(hex) };
}
