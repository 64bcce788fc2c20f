import { knownPaint, usualShare } from './knownPaint.ts';
import { colourDifference, hidingShare } from '#core/colour/index';
import type { Facts, Family, Hand, Label, Lab, Layer, Product, Role, Sheet, Weight } from '#core/facts/index';
import { handFor, isInSprayCan, isSprayCan } from '../hand.ts';
import { weightsOf } from '../weight.ts';
import { filmOfCoat } from '../film.ts';
import { sheenName } from '../looks/sheen.ts';

/** A layer with everything the rules need: from its product and sheet, or from what it wants. */
export type ResolvedLayer = {
  readonly layer: Layer;
  readonly product?: Product;
  readonly sheet?: Sheet;
  readonly name: string;
  readonly family: Family;
  readonly role: Role;
  readonly lab: Lab;
  /** What glitters in it as seen from the edge. */
  readonly edgeOn?: Lab;
  readonly hand: Hand;
  readonly label?: Label;
  readonly transparent: boolean;
  readonly share: number;
  /** Dry film of one normal coat, µm. */
  readonly filmUm: number;
  /** How heavily each coat goes on, first to last. */
  readonly weights: readonly Weight[];
  readonly solids: number;
  readonly isocyanate: boolean;
  readonly forPlastics: boolean;
  readonly thinner?: Family;
  readonly filmSource: 'label' | 'default';
  /** What one batch of it is: the same paint in the same hand. */
  readonly mix: string;
};

/** Colours this near are the same tin: under 2 ΔE2000 a match (trade §10). */
const SAME_COLOUR = 2;
/** Primers of one shade, such as two greys, do the same service. */
const SAME_SHADE = 12;

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
    const { lab, share } = knownPaint(product, facts);
    return complete(layer, {
      product,
      sheet,
      name: product.name,
      family: sheet.family,
      role: sheet.role,
      lab,
      ...(product.edgeOn ? { edgeOn: product.edgeOn } : {}),
      hand: handOf(layer, product, sheet, facts),
      label: product.gloss === undefined ? sheet.label : { ...sheet.label, gloss: product.gloss },
      transparent: product.transparent,
      share,
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
  const hand = handFor({ layer, family: wanted.family, owned: handsOwned(facts) });
  return complete(layer, {
    name: wanted.name,
    family: wanted.family,
    role: wanted.role,
    lab: wanted.lab,
    ...(wanted.edgeOn ? { edgeOn: wanted.edgeOn } : {}),
    ...(wanted.flake ? { share: hidingShare(wanted.lab, wanted.flake) } : {}),
    hand,
    transparent: wanted.family === 'candy',
    isocyanate: wanted.family === 'urethane-2k',
    forPlastics: false,
    ...(wanted.gloss === undefined ? {} : { label: { gloss: wanted.gloss } }),
    mix: `${wanted.family} ${wanted.role} ${wanted.name}`,
  });
}

/** What was mixed here stands in a jar, though its paints came in spray cans: no can sprays it any more. */
function handOf(layer: Layer, product: Product, sheet: Sheet, facts: Facts): Hand {
  const { family, form, hand } = sheet;
  const isDecanted = isSprayCan(sheet) && !isInSprayCan(product, sheet);
  const comes = isDecanted ? { form: 'bottle' as const } : { form, usual: hand };
  return handFor({ layer, family, ...comes, owned: handsOwned(facts) });
}

type Partial = Omit<ResolvedLayer, 'layer' | 'filmUm' | 'weights' | 'solids' | 'filmSource' | 'share'> & { readonly share?: number };

function complete(layer: Layer, data: Partial): ResolvedLayer {
  const film = filmOfCoat(data.family, data.role, data.hand, data.label);
  const share = data.share ?? usualShare(data.family, hidingShare(data.lab));
  return { ...data, layer, share, filmUm: film.filmUm, weights: weightsOf(layer), solids: film.solids, filmSource: film.source };
}

function handsOwned(facts: Facts): readonly Hand[] {
  return facts.workshop[0]?.hands ?? ['aerosol'];
}

/**
 * The product on the shelf that answers to what is wanted: the same family and role, and near enough in colour. A primer answers
 * by its shade. One with paint left in a can comes before one that is empty.
 */
function ownProduct(layer: Layer, facts: Facts): Product | undefined {
  const wanted = layer.wanted;
  if (!wanted) return undefined;
  const near = wanted.role.endsWith('primer') ? SAME_SHADE : SAME_COLOUR;
  const serves = facts.products.filter((product) => {
    const sheet = facts.sheets.find((candidate) => candidate.id === product.sheetId);
    if (sheet?.family !== wanted.family || sheet.role !== wanted.role || sheet.isocyanate) return false;
    return wanted.role === 'clear' ? sameSheen(wanted.gloss, sheet.label) : colourDifference(product.lab, wanted.lab) < near;
  });
  return serves.find((product) => hasPaintLeft(product, facts)) ?? serves[0];
}

/** A can entered with something in it; what was sprayed since is the shelf's business. */
function hasPaintLeft(product: Product, facts: Facts): boolean {
  return (
    facts.cans.some((can) => can.productId === product.id && can.leftMl > 0.05 * can.packMl) ||
    facts.events.some((event) => (event.kind === 'bought' || event.kind === 'mixed') && event.productId === product.id)
  );
}

/** A satin clear is not met by a gloss one. */
function sameSheen(gloss: number | undefined, label: Label): boolean {
  return gloss === undefined || label.gloss === undefined || sheenName(gloss) === sheenName(label.gloss);
}
