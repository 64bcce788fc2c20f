import type { Facts, Lab } from '#core/facts/index';
import { labOf } from '#core/colour/index';
import { colourName, PALETTE } from '../../views/SwatchPicker.tsx';

/** The colour that is wanted, by name, and the piece it is for. */
export type Target = {
  readonly name: string;
  readonly lab: Lab;
  readonly pieceId?: string /** The mix it was, when it is mixed again: no ingredient of itself. */;
  readonly mixId?: string;
};

/** A colour that some layer wants and no can has; else the first of the palette that is neither white nor black. */
export function firstTarget({ pieces }: Facts): Target {
  for (const piece of pieces.filter((own) => !own.finished))
    for (const { wanted } of piece.parts.flatMap((part) => part.layers))
      if (wanted && (wanted.role === 'colour' || wanted.role === 'metallic'))
        return { name: `${wanted.name} for ${piece.name}`, lab: wanted.lab, pieceId: piece.id };
  return paletteTarget(PALETTE[1].hex);
}

export function paletteTarget(hex: string): Target {
  return { name: colourName(hex), lab: labOf(hex) };
}
