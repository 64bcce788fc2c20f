import type { Facts, Layer, Part, Piece, Product, Workshop } from '#core/facts/index';
import { leftOnShelf } from '#core/buying/index';
import { resolveLayer } from '#core/coats/index';
import { DAY, listed, toIso } from '#core/units/index';
import type { Plan } from '../plan.ts';
import { ownMixes } from './ownMix.ts';
import type { SavingWay } from './savingWay.ts';
import { servesAs } from './servesAs.ts';
import { withPiece } from './ways.ts';

/** Ways to spend less that practitioners use, as changes of the facts; none of them is judged here (trade §11). */

/** More ways than this are no help to choose by. */
export const MOST_WAYS = 10;

export function savingWays(facts: Facts, asIs: Plan): SavingWay[] {
  const open = facts.pieces.filter(({ finished, held, board }) => !finished && !held && !board);
  return [
    ...withoutJars(facts.workshop[0]),
    ...otherCans(open, facts, asIs),
    ...ownMixes(
      open.flatMap((piece) => unlaid(piece, asIs, () => true).map(({ layer }) => ({ piece, layer }))),
      facts,
      asIs,
    ),
    ...open.flatMap((piece) => [
      ...unseen(piece, facts, asIs),
      ...clearLess(piece, asIs),
      ...optionalLayers(piece, asIs),
      ...scuffed(piece, asIs),
      ...weekLater(piece, open, asIs),
    ]),
  ];
}

function withoutJars(workshop: Workshop): SavingWay[] {
  if (workshop.touchUpMl === 0) return [];
  return [
    {
      id: 'jars',
      label: 'No touch-up jars',
      lost: 'no paint is kept for a chip later',
      apply: (facts) => ({ ...facts, workshop: [{ ...facts.workshop[0], touchUpMl: 0 }] }),
      touches: ['jars'],
    },
  ];
}

/** Paint that would have to be bought, where another does the same. */
function otherCans(pieces: readonly Piece[], facts: Facts, asIs: Plan): SavingWay[] {
  const missing = asIs.needs.filter(({ what, missingMl }) => what === 'paint' && missingMl > 0);
  return missing.flatMap(({ productId }) => {
    const from = facts.products.find(({ id }) => id === productId);
    if (!from) return [];
    return facts.products.filter((to) => to !== from && servesAs(to, from, facts)).map((to) => otherCan(pieces, from, to, asIs));
  });
}

function otherCan(pieces: readonly Piece[], from: Product, to: Product, asIs: Plan): SavingWay {
  const swapped = pieces.flatMap((piece) => unlaid(piece, asIs, ({ productId }) => productId === from.id).map(({ layer }) => layer.id));
  return {
    id: `${from.id} ${to.id}`,
    label: `${to.name} for ${from.name}`,
    lost: 'another can that does the same',
    apply: (facts) => changedLayers(facts, (layer) => (swapped.includes(layer.id) ? { ...layer, productId: to.id } : layer)),
    touches: swapped,
  };
}

/** An old can on parts nobody sees, in whatever colour it is: of the same family and role, so that no joint is another. */
function unseen(piece: Piece, facts: Facts, asIs: Plan): SavingWay[] {
  const missing = new Set(asIs.needs.flatMap(({ what, mix, missingMl }) => (what === 'paint' && missingMl > 0 ? [mix] : [])));
  const hidden = unlaid(piece, asIs, (layer) => missing.has(resolveLayer(layer, facts).mix)).filter(({ part, layer }) =>
    isUnseen(part, layer),
  );
  return [...new Set(hidden.map(({ layer }) => resolveLayer(layer, facts).mix))].flatMap((mix) => {
    const layers = hidden.filter(({ layer }) => resolveLayer(layer, facts).mix === mix);
    const can = oldCanFor(layers[0].layer, facts);
    if (!can) return [];
    const ids = layers.map(({ layer }) => layer.id);
    const from = resolveLayer(layers[0].layer, facts).name;
    return [
      {
        id: `unseen ${can.id} ${ids[0]}`,
        label: `${can.name} for ${from} inside ${piece.name}`,
        lost: `another colour on ${listed([...new Set(layers.map(({ part }) => part.name.toLowerCase()))])}, where nobody sees it`,
        apply: (own: Facts) =>
          changedLayers(own, (layer) => {
            if (!ids.includes(layer.id)) return layer;
            const { wanted: _wanted, targetId: _target, ...rest } = layer;
            return { ...rest, productId: can.id };
          }),
        touches: ids,
      },
    ];
  });
}

/** No face that the layer covers is seen. */
function isUnseen(part: Part, { covers }: Layer): boolean {
  const faces = part.faces.filter((face) => covers === 'all' || covers.includes(face.zoneId));
  return faces.length > 0 && faces.every(({ seen }) => !seen);
}

/** The fullest can of the same family, role and tool; a primer is no colour, and a clear no paint. */
function oldCanFor(layer: Layer, facts: Facts): Product | undefined {
  const now = resolveLayer(layer, facts);
  const left = leftOnShelf(facts);
  return facts.products
    .filter(({ id, sheetId, mix }) => {
      const sheet = facts.sheets.find((own) => own.id === sheetId);
      return (
        !mix &&
        id !== now.product?.id &&
        sheet?.family === now.family &&
        sheet.role === now.role &&
        sheet.hand === now.hand &&
        (left.get(id) ?? 0) > 0
      );
    })
    .sort((a, b) => (left.get(b.id) ?? 0) - (left.get(a.id) ?? 0))[0];
}

const WAITS_DAYS = 7;

/** A piece without a coat yet waits a week: its order goes with that of another, or with a shop that takes longer. One with a day to keep does not wait. */
function weekLater(piece: Piece, others: readonly Piece[], asIs: Plan): SavingWay[] {
  const orders = asIs.needs.some(({ missingMl, byPiece }) => missingMl > 0 && byPiece.some(({ pieceId }) => pieceId === piece.id));
  const own = asIs.pieces.find(({ pieceId }) => pieceId === piece.id);
  const laid = Object.values(own?.stacks ?? {}).some(({ layers }) => layers.some(({ laidCoats }) => laidCoats > 0));
  // Who has no date has none a week later either.
  if (!orders || laid || others.length < 2 || piece.neededBy !== undefined || !own || own.starts === null || own.planned === null)
    return [];
  const since = toIso(Math.floor(asIs.now));
  const until = toIso(Math.floor(own.starts) + WAITS_DAYS * DAY).slice(0, 10);
  return [
    {
      id: `wait ${piece.id}`,
      label: `Begin ${piece.name} a week later`,
      lost: 'a week; it can be ordered along with the others, or where it takes longer',
      apply: (facts) => {
        const held = facts.pieces.find(({ id }) => id === piece.id) ?? piece;
        return withPiece(facts, { ...held, held: { since, until } });
      },
      touches: [`begin ${piece.id}`],
      shifts: true,
    },
  ];
}

/** A coat less of clear where nothing is flatted. */
function clearLess(piece: Piece, asIs: Plan): SavingWay[] {
  const thick = unlaid(piece, asIs, (layer) => layer.coats > 1 && layer.flatAfter === undefined, 'clear');
  if (thick.length === 0) return [];
  const ids = thick.map(({ layer }) => layer.id);
  return [
    {
      id: `clear ${piece.id}`,
      label: `One clear coat less on ${piece.name}`,
      lost: `a thinner clear on ${listed([...new Set(thick.map(({ part }) => part.name.toLowerCase()))])}; nothing is flatted there`,
      apply: (facts) =>
        changedLayers(facts, ({ weights, ...layer }) =>
          ids.includes(layer.id)
            ? { ...layer, coats: layer.coats - 1, ...(weights ? { weights: weights.slice(0, layer.coats - 1) } : {}) }
            : { ...layer, ...(weights ? { weights } : {}) },
        ),
      touches: ids,
    },
  ];
}

function optionalLayers(piece: Piece, asIs: Plan): SavingWay[] {
  return unlaid(piece, asIs, (layer) => layer.optional === true).map(({ part, layer }) => ({
    id: `drop ${layer.id}`,
    label: `Leave ${nameOf(layer, part, piece, asIs)} off ${piece.name}, ${part.name.toLowerCase()}`,
    lost: 'the layer, which you marked as optional',
    apply: (facts) => changedLayers(facts, (own) => (own.id === layer.id ? null : own)),
    touches: [layer.id],
  }));
}

/** Sound paint is keyed instead of taken off, while nothing has been stripped. */
function scuffed(piece: Piece, asIs: Plan): SavingWay[] {
  const stripped = new Set(
    asIs.steps.flatMap((step) => (step.pieceId === piece.id && step.stage.startsWith('strip') ? step.on.map(({ partId }) => partId) : [])),
  );
  const sound = piece.parts.filter(({ id, finish }) => finish === 'sound' && stripped.has(id));
  if (sound.length === 0) return [];
  return [
    {
      id: `scuff ${piece.id}`,
      label: `Scuff ${piece.name}, not strip`,
      lost: 'the old paint stays under the new: relief fills a little more',
      apply: (facts) => {
        const own = facts.pieces.find(({ id }) => id === piece.id) ?? piece;
        const parts = own.parts.map((part): Part => (sound.some(({ id }) => id === part.id) ? { ...part, stripMethod: 'scuff' } : part));
        return withPiece(facts, { ...own, parts });
      },
      touches: sound.map(({ id }) => `strip ${id}`),
    },
  ];
}

/** Layers of a piece of which no coat is on. */
function unlaid(
  piece: Piece,
  asIs: Plan,
  wanted: (layer: Layer) => boolean,
  role?: string,
): { readonly part: Part; readonly layer: Layer }[] {
  const stacks = asIs.pieces.find(({ pieceId }) => pieceId === piece.id)?.stacks ?? {};
  return piece.parts.flatMap((part) =>
    part.layers.flatMap((layer) => {
      const view = stacks[part.id]?.layers.find(({ layerId }) => layerId === layer.id);
      const fits = view !== undefined && view.laidCoats === 0 && (role === undefined || view.role === role) && wanted(layer);
      return fits ? [{ part, layer }] : [];
    }),
  );
}

function nameOf(layer: Layer, part: Part, piece: Piece, asIs: Plan): string {
  const stack = asIs.pieces.find(({ pieceId }) => pieceId === piece.id)?.stacks[part.id];
  return stack?.layers.find(({ layerId }) => layerId === layer.id)?.name ?? 'a layer';
}

/** Every layer of every piece put through a change; null takes it out. */
function changedLayers(facts: Facts, change: (layer: Layer) => Layer | null): Facts {
  return {
    ...facts,
    pieces: facts.pieces.map((piece) => ({
      ...piece,
      parts: piece.parts.map((part) => ({ ...part, layers: part.layers.flatMap((layer) => change(layer) ?? []) })),
    })),
  };
}
