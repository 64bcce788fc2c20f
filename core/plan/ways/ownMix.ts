import { glossOf, resolveLayer, type ResolvedLayer, sheenName } from '#core/coats/index';
import { recipesFor } from '#core/colour/index';
import type { Facts, Layer, Piece, Product } from '#core/facts/index';
import { type BenchPaint, cupFor, mixedPaint, rangesOf } from '#core/mixing/index';
import { listed } from '#core/units/index';
import type { Plan } from '../plan.ts';
import type { SavingWay } from './savingWay.ts';
import { SAME_COLOUR } from './servesAs.ts';

/** A colour mixed from what stands on the shelf instead of a can filled for it (trade §11). */

const MOST_PAINTS = 3;
const DROPS = 20;
const LONGEST_NAME = 60;

type Unlaid = { readonly piece: Piece; readonly layer: Layer };

/** @param unlaid layers of which no coat is on */
export function ownMixes(unlaid: readonly Unlaid[], facts: Facts, asIs: Plan): SavingWay[] {
  // A can sprays itself; what is mixed needs a tool.
  const hand = (['airbrush', 'gun'] as const).find((own) => facts.workshop[0]?.hands.includes(own));
  if (!hand) return [];
  const missing = asIs.needs.filter(({ what, role, missingMl }) => what === 'paint' && role === 'colour' && missingMl > 0);
  return missing.flatMap((need) => {
    const layers = unlaid.filter(({ layer }) => resolveLayer(layer, facts).mix === need.mix);
    const [first] = layers;
    if (!first) return [];
    const colour = resolveLayer(first.layer, facts);
    const mixed = mixFor(colour, need.missingMl, facts, asIs);
    if (!mixed) return [];
    const ids = layers.map(({ layer }) => layer.id);
    const { product, parts, deltaE } = mixed;
    return [
      {
        id: `own mix ${need.mix}`,
        label: `Mix ${colour.name} from ${listed(parts.map(({ name }) => name))}`,
        lost: `${deltaE < 1 ? 'less than a shade' : 'a shade'} off (${deltaE.toFixed(1)} ΔE), by ${hand}; mixed again it is never quite the same`,
        apply: (own) => ({
          ...own,
          products: [...own.products, product],
          pieces: own.pieces.map((piece) => ({
            ...piece,
            parts: piece.parts.map((part) => ({
              ...part,
              layers: part.layers.map((layer) => (ids.includes(layer.id) ? asMixed(layer, product, hand) : layer)),
            })),
          })),
        }),
        touches: ids,
      },
    ];
  });
}

function asMixed({ wanted: _wanted, targetId: _targetId, ...layer }: Layer, product: Product, hand: Layer['hand']): Layer {
  return { ...layer, productId: product.id, hand };
}

type OwnMix = { readonly product: Product; readonly parts: readonly Product[]; readonly deltaE: number };

/** The nearest mix of its own family and sheen, opaque and without flakes, that the shelf has enough for; null where nobody would take it for the same. */
function mixFor(colour: ResolvedLayer, ml: number, facts: Facts, asIs: Plan): OwnMix | null {
  if (colour.transparent || colour.edgeOn || colour.layer.wanted?.flake || colour.product?.flake) return null;
  const sheen = sheenOf(colour, colour.product);
  const paints = (rangesOf(facts).find(({ family }) => family === colour.family)?.paints ?? [])
    .filter(({ product, sheet }) => !product.mix && !product.flake && sheet.hand !== 'aerosol' && sheenOf(sheet, product) === sheen)
    .map((paint) => ({ ...paint, ml: paint.ml - takenOf(paint, asIs) }))
    .filter((paint) => paint.ml > 0);
  const [recipe] = paints.length > 0 ? recipesFor({ target: colour.lab, paints, maxPaints: MOST_PAINTS, drops: DROPS }) : [];
  if (!recipe || recipe.deltaE >= SAME_COLOUR || recipe.portions.length < 2 || !cupFor(recipe, ml, paints).enough) return null;
  const id = `mix-of-${colour.layer.id}`.slice(0, 64);
  if (facts.products.some((product) => product.id === id)) return null;
  const name = `${colour.name}, own mix`.slice(0, LONGEST_NAME);
  const made = mixedPaint({ name, poured: recipe.portions, lab: recipe.lab, paints }, facts.events.at(-1)?.at ?? '', () => id);
  const parts = recipe.portions
    .flatMap((portion) => paints.find((paint) => paint.id === portion.id)?.product ?? [])
    .sort((a, b) => b.lab.l - a.lab.l);
  return made ? { product: made.product, parts, deltaE: recipe.deltaE } : null;
}

function sheenOf({ family, role, label }: Pick<ResolvedLayer, 'family' | 'role' | 'label'>, product?: Product): string {
  return sheenName(product?.gloss ?? glossOf(family, role, label).gloss);
}

/** What plans take of a paint already, mL out of its container. */
function takenOf({ id }: BenchPaint, { needs }: Plan): number {
  return needs.reduce((sum, need) => (need.productId === id ? sum + need.neededMl + need.keptMl : sum), 0);
}
