import { supplyKey } from '#core/amounts/index';
import {
  type BesideWanted,
  type PaintNeed,
  portionsLacking,
  shelfStock,
  supplyUses,
  type Use,
  type Want,
  wantsOf,
} from '#core/buying/index';
import type { Facts, Piece } from '#core/facts/index';
import { localMoment, type Minute, splitExactly, toMinute } from '#core/units/index';
import type { PlannedStep, Session } from '../dates/index.ts';
import { toOrder } from './shoppingList.ts';
import { type PricedSupply, pieceSupplies } from './supplies.ts';
import { suppliesToBuy } from './suppliesToBuy.ts';

/** Everything that has to be bought for a plan: paint and what is mixed into it, papers and the rest, parts nobody has ordered. */

/** What each piece uses up beside paint, by its id. */
export type Supplies = ReadonlyMap<string, readonly PricedSupply[]>;

export function suppliesOfAll(
  pieces: readonly Piece[],
  steps: readonly PlannedStep[],
  sessions: readonly Pick<Session, 'stepIds' | 'from'>[],
  facts: Facts,
): Supplies {
  const stock = shelfStock(facts);
  const timeZone = facts.workshop[0]?.timeZone ?? 'UTC';
  const dayOf = (at: Minute) => localMoment(at, timeZone).date;
  const gloved = new Set(
    supplyUses(facts).flatMap(({ pieceId, at, line }) => (line.kind === 'gloves' ? [`${pieceId} ${dayOf(toMinute(at))}`] : [])),
  );
  const worn = (pieceId: string, at: Minute) => gloved.has(`${pieceId} ${dayOf(at)}`);
  const byId = new Map(steps.map((step) => [step.id, step]));
  const ofPiece = grouped(steps, ({ pieceId }) => [pieceId]);
  const stays = sessions.map(({ from, stepIds }) => ({ from, steps: stepIds.flatMap((id) => byId.get(id) ?? []) }));
  const staysOf = grouped(stays, (stay) => [...new Set(stay.steps.map(({ pieceId }) => pieceId))]);
  return shared(
    pieces.map((piece) => [piece.id, pieceSupplies(piece, ofPiece.get(piece.id) ?? [], stock, staysOf.get(piece.id) ?? [], worn)]),
  );
}

/** The same things under each of their keys. */
function grouped<T>(things: readonly T[], keysOf: (thing: T) => readonly string[]): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>();
  for (const thing of things)
    for (const key of keysOf(thing)) {
      const group = groups.get(key);
      if (group) group.push(thing);
      else groups.set(key, [thing]);
    }
  return groups;
}

/** What all pieces together buy of a supply is borne by each for what it uses of it, to the cent: a pack is not bought once a piece. */
function shared(supplies: readonly (readonly [string, readonly PricedSupply[]])[]): Supplies {
  const costs = new Map(suppliesToBuy(supplies.map(([, lines]) => lines)).map((line) => [supplyKey(line), line.cost]));
  const takers = (key: string) =>
    supplies.flatMap(([pieceId, lines]) => lines.flatMap((line) => (supplyKey(line) === key ? [{ pieceId, exact: line.exact }] : [])));
  const shares = new Map(
    [...costs].map(([key, cost]) => {
      const own = takers(key);
      const paid = splitExactly(
        cost,
        own.map(({ exact }) => exact),
      );
      return [key, new Map(own.map(({ pieceId }, at) => [pieceId, paid[at]]))] as const;
    }),
  );
  return new Map(
    supplies.map(([pieceId, lines]) => [pieceId, lines.map((line) => ({ ...line, cost: shares.get(supplyKey(line))?.get(pieceId) ?? 0 }))]),
  );
}

export function lacking(needs: readonly PaintNeed[], supplies: Supplies, steps: readonly PlannedStep[], facts: Facts): Want[] {
  // Where nobody sells anything but paint there is no price to compare.
  if (facts.goods.length === 0) return wantsOf(needs, { supplies: [], parcels: [] }, facts);
  const parcels = toOrder(facts.pieces).map(({ piece, parcel }) => ({ pieceId: piece.id, parcelId: parcel.id, name: parcel.name }));
  return wantsOf(needs, { supplies: suppliesWanted(supplies, steps), parcels }, facts);
}

function suppliesWanted(supplies: Supplies, steps: readonly PlannedStep[]): BesideWanted['supplies'] {
  const uses = usesOf(steps);
  return suppliesToBuy([...supplies.values()]).map(({ kind, spec, unit, toBuy, owned }) => {
    const key = supplyKey({ kind, spec });
    const takers = [...supplies].flatMap(([pieceId, lines]) =>
      lines.flatMap((line) => (supplyKey(line) === key ? [{ pieceId, amount: line.exact }] : [])),
    );
    return { kind, spec, unit, toBuy, portions: portionsLacking(uses.get(key) ?? [], owned ?? 0, toBuy), byPiece: takers };
  });
}

/** When how much of each supply is used, by its key. */
function usesOf(steps: readonly PlannedStep[]): ReadonlyMap<string, readonly Use[]> {
  const uses = new Map<string, Use[]>();
  for (const { placed, supplies } of steps)
    for (const line of supplies) {
      const key = supplyKey(line);
      uses.set(key, [...(uses.get(key) ?? []), { at: placed?.start ?? null, amount: line.amount }]);
    }
  return uses;
}
