import { namedColour, PALETTE, TOLERANCE_DELTA_E } from '#core/colour/index';
import type { ColourTarget, Facts, Lab, Piece, Product } from '#core/facts/index';

/** The colour that is wanted, by name, and the piece it is for. */
export type Target = {
  readonly name: string;
  readonly lab: Lab;
  readonly pieceId?: string;
  /** ΔE that is near enough; absent: a match in hand. */
  readonly tolerance?: number;
  /** The mix it was, when it is mixed again: no ingredient of itself. */
  readonly mixId?: string;
};

export type NamedTarget = Target & { readonly key: string };

/** What pieces in hand want: their targets, and layers that no can is chosen for. */
export function wantedTargets({ pieces }: Facts): NamedTarget[] {
  return pieces
    .filter((piece) => !piece.finished)
    .flatMap((piece) => [...(piece.targets ?? []).map((own) => targetOfPiece(piece, own)), ...openLayers(piece)]);
}

function targetOfPiece(piece: Piece, { id, name, lab, tolerance }: ColourTarget): NamedTarget {
  return { key: `${piece.id} ${id}`, name: `${name} for ${piece.name}`, lab, pieceId: piece.id, tolerance: TOLERANCE_DELTA_E[tolerance] };
}

function openLayers(piece: Piece): NamedTarget[] {
  return piece.parts.flatMap((part) =>
    part.layers.flatMap(({ wanted }) =>
      wanted && (wanted.role === 'colour' || wanted.role === 'metallic')
        ? [{ key: `${piece.id} ${wanted.name}`, name: `${wanted.name} for ${piece.name}`, lab: wanted.lab, pieceId: piece.id }]
        : [],
    ),
  );
}

/** A target that no paint is held against yet. */
function isOpen({ pieces }: Facts, key: string): boolean {
  return !pieces.some((piece) =>
    piece.parts.some((part) => part.layers.some((layer) => layer.productId !== undefined && `${piece.id} ${layer.targetId}` === key)),
  );
}

/** The target an address names; else what is wanted and no paint is held against; else what was mixed last; else the palette's cream. */
export function firstTarget(facts: Facts, named: { readonly pieceId: string | null; readonly targetId: string | null }): Target {
  const wanted = wantedTargets(facts);
  const asked = wanted.find(({ key }) => key === `${named.pieceId} ${named.targetId}`);
  const mixed = facts.products.filter((product) => product.mix).at(-1);
  return asked ?? wanted.find(({ key }) => isOpen(facts, key)) ?? (mixed ? mixAgain(mixed) : paletteTarget(PALETTE[1].hex));
}

/** A mix as the colour that is wanted once more. */
export function mixAgain({ id, name, lab, mix }: Product): Target {
  return { name, lab, mixId: id, ...(mix?.forPieceId ? { pieceId: mix.forPieceId } : {}) };
}

export function paletteTarget(hex: string): Target {
  const { name, lab } = namedColour(hex);
  return { name, lab };
}
