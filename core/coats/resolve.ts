import { colourDifference, hidingShare } from '#core/colour/index';
import type { Facts, Family, Hand, Label, Lab, Layer, Product, Role, Sheet } from '#core/facts/index';
import { filmOfCoat } from './film.ts';

/** A layer with everything the rules need: from its product and sheet, or from what it wants. */
export type ResolvedLayer = {
  readonly layer: Layer;
  readonly product?: Product;
  readonly sheet?: Sheet;
  readonly name: string;
  readonly family: Family;
  readonly role: Role;
  readonly lab: Lab;
  readonly hand: Hand;
  readonly label?: Label;
  readonly transparent: boolean;
  readonly share: number;
  readonly filmUm: number;
  readonly solids: number;
  readonly isocyanate: boolean;
  readonly forPlastics: boolean;
  readonly thinner?: Family;
  readonly filmSource: 'label' | 'default';
  /** What one batch of it is: the same paint in the same hand. */
  readonly mix: string;
};

/** Colours this near are the same tin: under 2 ΔE2000 a match (BRIEF §10). */
const SAME_COLOUR = 2;

const RESOLVED = new WeakMap<Facts, WeakMap<Layer, ResolvedLayer>>();

/**
 * Finds the product behind a layer; a wanted paint is met by an owned product of the same family, role and colour.
 * Remembered for as long as the same facts stand: a plan asks for each layer many times.
 */
export function resolveLayer(layer: Layer, facts: Facts): ResolvedLayer {
  const known = RESOLVED.get(facts) ?? new WeakMap<Layer, ResolvedLayer>();
  RESOLVED.set(facts, known);
  const resolved = known.get(layer) ?? resolveAnew(layer, facts);
  known.set(layer, resolved);
  return resolved;
}

function resolveAnew(layer: Layer, facts: Facts): ResolvedLayer {
  const product =
    layer.productId === undefined ? ownProduct(layer, facts) : facts.products.find((candidate) => candidate.id === layer.productId);
  const sheet = product && facts.sheets.find((candidate) => candidate.id === product.sheetId);
  if (product && sheet) {
    return complete(layer, {
      product,
      sheet,
      name: product.name,
      family: sheet.family,
      role: sheet.role,
      lab: product.lab,
      hand: sheet.hand,
      label: sheet.label,
      transparent: product.transparent,
      share: product.share,
      isocyanate: sheet.isocyanate,
      forPlastics: sheet.forPlastics,
      thinner: sheet.thinner,
      mix: product.id,
    });
  }
  const wanted = layer.wanted ?? {
    family: 'unknown' as const,
    role: 'colour' as const,
    name: 'a product no longer listed',
    lab: { l: 50, a: 0, b: 0 },
  };
  const hand = usualHand(wanted.family, facts.workshop[0]?.hands ?? ['aerosol']);
  return complete(layer, {
    name: wanted.name,
    family: wanted.family,
    role: wanted.role,
    lab: wanted.lab,
    hand,
    transparent: wanted.family === 'candy',
    isocyanate: wanted.family === 'urethane-2k',
    forPlastics: false,
    mix: `${wanted.family} ${wanted.role} ${wanted.name}`,
  });
}

type Partial = Omit<ResolvedLayer, 'layer' | 'filmUm' | 'solids' | 'filmSource' | 'share'> & { readonly share?: number };

function complete(layer: Layer, data: Partial): ResolvedLayer {
  const film = filmOfCoat(data.family, data.role, data.hand, data.label);
  const share = data.share ?? hidingShare(data.lab);
  return { ...data, layer, share, filmUm: film.filmUm, solids: film.solids, filmSource: film.source };
}

function ownProduct(layer: Layer, facts: Facts): Product | undefined {
  const wanted = layer.wanted;
  if (!wanted) return undefined;
  return facts.products.find((product) => {
    const sheet = facts.sheets.find((candidate) => candidate.id === product.sheetId);
    return (
      sheet?.family === wanted.family &&
      sheet.role === wanted.role &&
      (wanted.role === 'clear' || colourDifference(product.lab, wanted.lab) < SAME_COLOUR)
    );
  });
}

const BY_AIRBRUSH: readonly Family[] = ['alcohol-acrylic', 'water-acrylic', 'waterborne-base', 'waterborne-sealer'];

function usualHand(family: Family, hands: readonly Hand[]): Hand {
  if (family === 'latex') return 'brush';
  if (BY_AIRBRUSH.includes(family) && hands.includes('airbrush')) return 'airbrush';
  return hands.includes('aerosol') ? 'aerosol' : hands[0];
}
