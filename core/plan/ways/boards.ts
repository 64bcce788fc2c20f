import { type JointAnswer, PRIMER_SHADES, resolveLayer } from '#core/coats/index';
import { type Facts, type Layer, newPart, newPiece, type Part, type Piece } from '#core/facts/index';
import { counted, type Minute, toIso } from '#core/units/index';
import type { JointOfPart } from '../verdicts/index.ts';

/** Sample boards: small tiles of the real material with the exact stack, one variable apart, planned like a piece (trade §10). */

const TILE = { longMm: 70, shortMm: 50 };
const MOST_TILES = 8;

export type Varies = NonNullable<Piece['board']>['varies'];

/** The open care joints of a piece and the smallest board that would settle them; null where there are none. */
export type BoardProposal = { readonly board: Piece; readonly settles: readonly string[] };

type Needed = { readonly part: Part; readonly upTo: number; readonly text: string };

/**
 * One tile a stack up to its highest open care joint; stacks that begin with another's layers share its tile.
 * @param joints the joints of the piece as planned
 */
export function proposeBoard(
  piece: Piece,
  joints: readonly JointOfPart[],
  facts: Facts,
  now: Minute,
  newId: () => string,
): BoardProposal | null {
  const needed = piece.parts.flatMap((part): Needed[] => {
    const open = joints.filter(
      (entry) => entry.partId === part.id && !entry.laid && entry.joint.verdict === 'care' && isOpenBite(entry.joint.answer),
    );
    const places = open.map((entry) => part.layers.findIndex((layer) => layer.id === entry.layerId)).filter((place) => place >= 0);
    if (places.length === 0) return [];
    const upTo = Math.max(...places);
    const text = `${resolveLayer(part.layers[upTo], facts).name} on ${part.name.toLowerCase()}`;
    return [{ part, upTo, text }];
  });
  const tiles: Needed[] = [];
  for (const one of [...needed].sort((a, b) => b.upTo - a.upTo)) {
    if (!tiles.some((tile) => startsWith(tile, one))) tiles.push(one);
  }
  if (tiles.length === 0) return null;
  const parts = tiles
    .slice(0, MOST_TILES)
    .map(({ part, upTo, text }, index) => tile(`Tile ${index + 1}: ${text}`, part, part.layers.slice(0, upTo + 1), newId));
  return { board: boardOf(`Board for ${piece.name}`, parts, 'joint', piece, now, newId), settles: needed.map(({ text }) => text) };
}

/** Own evidence lifts only a bite verdict; what a board has settled as care is settled. A board for anything else settles nothing. */
function isOpenBite({ rule, source }: JointAnswer): boolean {
  return source !== 'own' && /^([1-5]|unknown product)/.test(rule);
}

function startsWith(longer: Needed, shorter: Needed): boolean {
  if (longer.part.material !== shorter.part.material) return false;
  const same = (a: Layer | undefined, b: Layer) =>
    a !== undefined && a.productId === b.productId && JSON.stringify(a.wanted) === JSON.stringify(b.wanted) && a.flatAfter === b.flatAfter;
  return shorter.part.layers.slice(0, shorter.upTo + 1).every((layer, index) => same(longer.part.layers[index], layer));
}

/** A board of one part's stack, one variable apart: ground shades, coats, with and without clear, or with a wait before the top. */
export function designBoard(
  piece: Piece,
  part: Part,
  varies: Exclude<Varies, 'joint'>,
  facts: Facts,
  now: Minute,
  newId: () => string,
): Piece {
  const variants = VARIANTS[varies](part.layers, facts);
  const parts = variants.slice(0, MOST_TILES).map(({ name, layers }, index) => tile(`Tile ${index + 1}: ${name}`, part, layers, newId));
  return boardOf(`Board: ${varies} of ${part.name.toLowerCase()}`, parts, varies, piece, now, newId);
}

type Variant = { readonly name: string; readonly layers: readonly Layer[] };

const VARIANTS: Record<Exclude<Varies, 'joint'>, (layers: readonly Layer[], facts: Facts) => Variant[]> = {
  ground: (layers, facts) => {
    const first = layers[0] && resolveLayer(layers[0], facts);
    if (!first?.role.endsWith('primer')) return [{ name: 'as planned', layers }];
    return PRIMER_SHADES.map(({ name, lab }) => {
      const { productId: _product, wanted: _wanted, ...rest } = layers[0];
      return {
        name: `${name} ground`,
        layers: [{ ...rest, wanted: { family: first.family, role: first.role, name: `primer, ${name}`, lab } }, ...layers.slice(1)],
      };
    });
  },
  coats: (layers, facts) => {
    const at = layers.findIndex((layer) => resolveLayer(layer, facts).role === 'colour');
    if (at < 0) return [{ name: 'as planned', layers }];
    const { coats } = layers[at];
    return [coats - 1, coats, coats + 1]
      .filter((count) => count >= 1 && count <= 12)
      .map((count) => ({
        name: `${counted(count, 'coat')}`,
        layers: layers.map((layer, index) => (index === at ? { ...layer, coats: count } : layer)),
      }));
  },
  clear: (layers, facts) => {
    const clears = layers.filter((layer) => resolveLayer(layer, facts).role === 'clear');
    return [
      { name: 'as planned', layers },
      ...(clears.length > 0 ? [{ name: 'without clear', layers: layers.filter((layer) => !clears.includes(layer)) }] : []),
    ];
  },
  wait: (layers) => [
    { name: 'as planned', layers },
    {
      name: 'keyed before the top',
      layers: layers.map((layer, index) => (index === layers.length - 2 ? { ...layer, flatAfter: 800 } : layer)),
    },
  ],
};

function tile(name: string, part: Part, layers: readonly Layer[], newId: () => string): Part {
  const id = newId();
  return newPart({
    id,
    name: name.slice(0, 80),
    material: part.material,
    faces: [{ id: newId(), zoneId: 'all', ...TILE, count: 1, seen: true }],
    layers: layers.map((layer) => ({ ...layer, id: newId(), covers: 'all' })),
  });
}

/** A tile that is sprayed along with a part's own coats, in the same batches: it keeps what the piece cannot be asked. */
export function tileAlong(part: Part, newId: () => string): Part {
  return { ...tile(nameAlong(part), part, part.layers, newId), tile: true };
}

/** Whether a part has a tile of its own with it already. */
export function hasTileAlong(piece: Pick<Piece, 'parts'>, part: Part): boolean {
  return piece.parts.some((own) => own.tile === true && own.name === nameAlong(part));
}

function nameAlong({ name }: Part): string {
  return `Tile along: ${name.toLowerCase()}`.slice(0, 80);
}

function boardOf(name: string, parts: Part[], varies: Varies, piece: Piece, now: Minute, newId: () => string): Piece {
  return newPiece({
    id: newId(),
    name: name.slice(0, 80),
    looksLike: 'bracket-set',
    longestMm: TILE.longMm,
    createdAt: toIso(now),
    leadExcluded: true,
    swatches: piece.swatches,
    // Its tiles are held against the same colours.
    ...(piece.targets ? { targets: piece.targets.map(({ referenceId: _reference, ...target }) => target) } : {}),
    parts,
    board: { varies, forPieceId: piece.id },
  });
}
