import { colourDifference, commonDivisor, DROP_ML, ingredientOf, mixedLab, type Portion, type Recipe } from '#core/colour/index';
import type { EventOf, Lab, Product } from '#core/facts/index';
import { flattenedBy } from './gloss.ts';
import type { BenchPaint } from './ranges.ts';

/** A recipe as a cup of a size: how many drops of each, whether there is enough, and what is kept of it. */

export type CupOfMix = {
  readonly portions: readonly Portion[];
  readonly ml: number;
  /** The paint that runs out first, and how many such cups it gives. */
  readonly scarcest: { readonly paint: BenchPaint; readonly needMl: number; readonly cups: number } | null;
  readonly enough: boolean;
};

/** The recipe as often as fills a cup of at least so many mL; whole drops in its own proportion. @param ml above 0 */
export function cupFor({ portions }: Pick<Recipe, 'portions'>, ml: number, paints: readonly BenchPaint[]): CupOfMix {
  const drops = portions.reduce((sum, own) => sum + own.drops, 0);
  const times = Math.max(1, Math.ceil(ml / (drops * DROP_ML) - 1e-9));
  const filled = portions.map(({ id, drops: own }) => ({ id, drops: own * times }));
  const wanted = filled.flatMap(({ id, drops: own }) => {
    const paint = paints.find((candidate) => candidate.id === id);
    return paint ? [{ paint, needMl: own * DROP_ML, cups: paint.ml / (own * DROP_ML) }] : [];
  });
  const scarcest = wanted.length === 0 ? null : wanted.reduce((least, own) => (own.cups < least.cups ? own : least));
  return { portions: filled, ml: drops * times * DROP_ML, scarcest, enough: scarcest === null || scarcest.cups >= 1 };
}

/**
 * The recipe a mix was made by, in its smallest whole drops, so that it comes out as it did; null where a paint of it is not
 * among these any more.
 */
export function keptRecipe({ mix }: Product, target: Lab, paints: readonly BenchPaint[]): Recipe | null {
  const parts = (mix?.parts ?? []).map(({ productId, ml }) => ({
    paint: paints.find(({ id }) => id === productId),
    drops: Math.max(1, Math.round(ml / DROP_ML)),
  }));
  const known = parts.flatMap(({ paint, drops }) => (paint ? [{ paint, drops }] : []));
  if (known.length === 0 || known.length < parts.length) return null;
  const least = known.reduce((divisor, { drops }) => commonDivisor(divisor, drops), 0);
  const portions = known.map(({ paint, drops }) => ({ id: paint.id, drops: drops / least }));
  const lab = mixedLab(
    known.map(({ paint }) => ingredientOf(paint)),
    portions.map(({ drops }) => drops),
  );
  return { portions, lab, deltaE: colourDifference(lab, target), exact: true };
}

export type MixedPaint = { readonly product: Product; readonly event: EventOf<'mixed'> };

export type Mixing = {
  readonly name: string;
  /** What went into the cup, and what that comes to. */
  readonly poured: readonly Portion[];
  readonly lab: Lab;
  readonly paints: readonly BenchPaint[];
  readonly pieceId?: string;
  /** The mix it is made again of: its jar is filled, no second paint made. */
  readonly again?: Product;
};

/** What is kept of a mix: a paint of the main one's sheet, and the entry that fills its jar out of the bottles. */
export function mixedPaint({ name, poured, lab, paints, pieceId, again }: Mixing, at: string, newId: () => string): MixedPaint | null {
  const parts = poured.map(({ id, drops }) => ({ productId: id, ml: drops * DROP_ML }));
  const main = paints.find(({ id }) => id === parts.reduce((most, own) => (own.ml > most.ml ? own : most)).productId);
  if (!main) return null;
  const { share: _share, id: _id, drawdown: _drawdown, measured: _measured, mix: _mix, gloss: _gloss, ...like } = main.product;
  const gloss = flattenedBy(poured, paints)?.to;
  const product: Product = again ?? {
    ...like,
    id: newId(),
    name,
    lab,
    ...(gloss === undefined ? {} : { gloss: Math.round(gloss) }),
    mix: { parts, ...(pieceId ? { forPieceId: pieceId } : {}) },
  };
  return { product, event: { id: newId(), at, kind: 'mixed', productId: product.id, parts, ...(pieceId ? { pieceId } : {}) } };
}
