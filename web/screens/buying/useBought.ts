import { paintWanted } from '#core/buying/index';
import type { Facts, Layer, LogEvent, Piece } from '#core/facts/index';
import { lineShares, type ShoppingLine } from '#core/plan/index';
import { localMoment, splitExactly, toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useListPlan } from './ListPlan.tsx';

/** A line of the list as it was bought: how many packs came, at what price, and of which paint where it was another one. */
export type BoughtLine = {
  readonly line: ShoppingLine;
  readonly count: number;
  readonly paid: number;
  readonly productId?: string;
};

/** As the list says it. */
export function asListed(line: ShoppingLine): BoughtLine {
  return { line, count: line.count, paid: line.price };
}

/** Every line of a shop as listed, its delivery borne by each of them by its price. */
export function wholeOrder(lines: readonly ShoppingLine[], delivery: number): BoughtLine[] {
  const shares = splitExactly(
    delivery,
    lines.map(({ price }) => price),
  );
  return lines.map((line, at) => ({ ...asListed(line), paid: line.price + shares[at] }));
}

/** Marks lines bought: paint and supplies stand on the shelf, parts are on their way. Pressed twice it is bought once. */
export function useBought(): { readonly busy: boolean; readonly bought: (lines: readonly BoughtLine[]) => Promise<void> } {
  const { facts, workshop } = usePlan();
  const plan = useListPlan();
  const { save } = useSaving();
  const [busy, setBusy] = useState(false);

  /** A paint that was only wanted becomes one that is owned: its sheet and colour are written from what the layer asked for. */
  const ownedProduct = async (line: ShoppingLine): Promise<string | null> => {
    const coat = plan.steps.find((step) => step.coat?.mix === line.want)?.coat;
    const known = line.productId ?? facts.products.find((product) => product.name === line.name)?.id;
    if (known || !coat) return known ?? null;
    const { sheet, product } = paintWanted(
      { ...coat, name: line.name, packMl: line.pack, price: Math.round(line.price / line.count) },
      newId,
    );
    return (await save('sheets', sheet)) && (await save('products', product)) ? product.id : null;
  };

  /** What was ordered with one press lies in one piece once: a piece is saved with all its parts of the order. */
  const ordered = async (lines: readonly BoughtLine[]) => {
    const today = localMoment(nowMinute(), workshop.timeZone).date;
    for (const piece of facts.pieces) {
      const own = lines.filter(({ line }) => line.parcel?.pieceId === piece.id);
      if (own.length > 0 && !(await save('pieces', withOrdered(piece, own, today, facts), 'Ordered today.'))) return;
    }
  };

  const eventOf = async ({ line, count, paid, productId }: BoughtLine): Promise<LogEvent[]> => {
    const head = { id: newId(), at: toIso(nowMinute()), ...(line.shopId ? { shopId: line.shopId } : {}) };
    const shares = lineShares(line, paid, plan.wants);
    if (line.of === 'supply' && line.supply)
      return [
        {
          ...head,
          kind: 'stocked',
          supply: line.supply.kind,
          spec: line.supply.spec,
          unit: line.unit,
          amount: line.pack * count,
          paid,
          shares,
        },
      ];
    if (line.of !== 'paint')
      return [{ ...head, kind: 'stocked', supply: 'cleaner', spec: line.name, unit: 'mL', amount: line.pack * count, paid, shares }];
    const id = productId ?? (await ownedProduct(line));
    return id === null ? [] : [{ ...head, kind: 'bought', productId: id, packMl: line.pack, count, paid, shares }];
  };

  /** Another shade was bought: the layers that wanted the one on the list take it. */
  const takenInstead = async ({ line, productId }: BoughtLine) => {
    if (productId === undefined || productId === line.productId) return;
    for (const piece of facts.pieces.filter(({ id }) => line.pieceIds.includes(id)))
      await save('pieces', withPaint(piece, line, productId), 'Its layers take the one that was bought.');
  };

  return {
    busy,
    bought: async (lines) => {
      if (busy) return;
      setBusy(true);
      const parts = lines.filter(({ line }) => line.of === 'parcel');
      const events: LogEvent[] = [];
      for (const own of lines) if (!parts.includes(own)) events.push(...(await eventOf(own)));
      if (events.length > 0) await logEvents(events);
      for (const own of lines) await takenInstead(own);
      await ordered(parts);
      setBusy(false);
    },
  };
}

function withOrdered(piece: Piece, lines: readonly BoughtLine[], orderedAt: string, { shops }: Facts): Piece {
  return {
    ...piece,
    parcels: piece.parcels.map((parcel) => {
      const own = lines.find(({ line }) => line.parcel?.parcelId === parcel.id);
      if (!own) return parcel;
      const source = shops.find(({ id }) => id === own.line.shopId)?.name;
      return { ...parcel, orderedAt, price: own.paid, leadDays: own.line.leadDays, ...(source ? { source } : {}) };
    }),
  };
}

function withPaint(piece: Piece, { name, productId: was }: ShoppingLine, productId: string): Piece {
  const isIt = (layer: Layer) => (was === undefined ? layer.wanted?.name === name : layer.productId === was);
  return {
    ...piece,
    parts: piece.parts.map((part) => ({
      ...part,
      layers: part.layers.map((layer) => {
        if (!isIt(layer)) return layer;
        const { wanted: _wanted, ...rest } = layer;
        return { ...rest, productId };
      }),
    })),
  };
}
