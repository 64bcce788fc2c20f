import { shelfCans, type ShelfCan } from '#core/buying/index';
import { type Correction, DROP_ML, ingredientOf, mixedLab, type Portion } from '#core/colour/index';
import { familyDrying } from '#core/drying/index';
import type { EventOf, Facts, Family, Lab, Product } from '#core/facts/index';
import type { BenchPaint } from './ranges.ts';

/** A mix that stands on the shelf: what is in its jar, drops that put it right, and the whole bottle tinted like it. */

export type Poured = { readonly product: Product; readonly event: EventOf<'mixed'> };

type Part = { readonly productId: string; readonly ml: number };

/** The fullest jar of a mix; undefined where none has anything left. */
export function jarOfMix(facts: Facts, productId: string): ShelfCan | undefined {
  return shelfCans(facts)
    .filter((can) => can.productId === productId && can.leftMl > 0)
    .sort((a, b) => b.leftMl - a.leftMl)[0];
}

/** What is in so much of a mix, in drops of each of its paints. @param ml what is left of it */
export function inTheJar({ mix }: Product, ml: number): Portion[] {
  const parts = mix?.parts ?? [];
  const whole = parts.reduce((sum, part) => sum + part.ml, 0);
  return parts.map((part) => ({ id: part.productId, drops: ((part.ml / whole) * ml) / DROP_ML }));
}

/** Drops poured into the jar to put it right: the recipe from then on, and the colour it is reckoned to have. */
export function putRight(
  product: Product,
  jar: ShelfCan,
  correction: Pick<Correction, 'additions' | 'lab'>,
  at: string,
  id: string,
): Poured {
  const added = correction.additions.map(({ id: productId, drops }) => ({ productId, ml: drops * DROP_ML }));
  const held = inTheJar(product, jar.leftMl).map(({ id: productId, drops }) => ({ productId, ml: drops * DROP_ML }));
  return {
    product: { ...product, lab: correction.lab, mix: { ...product.mix, parts: together([...held, ...added]) } },
    event: { id, at, kind: 'mixed', productId: product.id, parts: added, intoCanId: jar.id, ...forPiece(product) },
  };
}

export type WholeBottle = {
  /** The paint of which there is most in the mix, and all that is left of it. */
  readonly base: BenchPaint;
  readonly tints: readonly { readonly paint: BenchPaint; readonly ml: number; readonly enough: boolean }[];
};

/**
 * A proven cup made larger: the paint that remains in the bottle is tinted in the cup's own proportion, then the cup goes back to it
 * (trade §10). Null where a paint of the mix is not on the shelf any more.
 */
export function wholeBottle({ mix }: Product, paints: readonly BenchPaint[]): WholeBottle | null {
  const parts = (mix?.parts ?? []).map(({ productId, ml }) => ({ paint: paints.find((own) => own.id === productId && own.owned), ml }));
  const known = parts.flatMap(({ paint, ml }) => (paint ? [{ paint, ml }] : []));
  if (known.length < 2 || known.length < parts.length) return null;
  const base = known.reduce((most, own) => (own.ml > most.ml ? own : most));
  return {
    base: base.paint,
    tints: known
      .filter((own) => own !== base)
      .map(({ paint, ml }) => {
        const wanted = (ml / base.ml) * base.paint.ml;
        return { paint, ml: wanted, enough: wanted <= paint.ml + 1e-9 };
      }),
  };
}

/** The bottle's rest and its tints go into the jar of the mix. */
export function bottleTinted(product: Product, jar: ShelfCan, { base, tints }: WholeBottle, at: string, id: string): EventOf<'mixed'> {
  const parts = [{ productId: base.id, ml: base.ml }, ...tints.map(({ paint, ml }) => ({ productId: paint.id, ml }))];
  return { id, at, kind: 'mixed', productId: product.id, parts, intoCanId: jar.id, ...forPiece(product) };
}

/** What drops that were really poured come to. @throws RangeError where nothing is in the cup */
export function lookOf(portions: readonly Portion[], paints: readonly BenchPaint[]): Lab {
  const own = portions.flatMap(({ id, drops }) => {
    const paint = paints.find((candidate) => candidate.id === id);
    return paint ? [{ ingredient: ingredientOf(paint), drops }] : [];
  });
  return mixedLab(
    own.map(({ ingredient }) => ingredient),
    own.map(({ drops }) => drops),
  );
}

function together(parts: readonly Part[]): Part[] {
  const sums = new Map<string, number>();
  for (const { productId, ml } of parts) sums.set(productId, (sums.get(productId) ?? 0) + ml);
  return [...sums].map(([productId, ml]) => ({ productId, ml }));
}

function forPiece({ mix }: Product): { readonly pieceId?: string } {
  return mix?.forPieceId ? { pieceId: mix.forPieceId } : {};
}

/** Months a mix keeps in a tight jar, by how its family dries: what hardens by water or air goes off first. Defaults. */
const KEEPS_MONTHS = { coalescence: 6, oxidation: 9, evaporation: 12, crosslinking: 0 } as const;

/** Until when a mix is good, re-stirred; null: it never is kept, for it hardens in the jar. @param mixedAt day it was mixed, yyyy-mm-dd */
export function keepsUntil(family: Family, mixedAt: string): string | null {
  const months = KEEPS_MONTHS[familyDrying(family).mechanism];
  if (months === 0) return null;
  const [year, month, day] = mixedAt.split('-').map(Number);
  const end = new Date(Date.UTC(year, month - 1 + months + 1, 0));
  end.setUTCDate(Math.min(day, end.getUTCDate()));
  return end.toISOString().slice(0, 10);
}
