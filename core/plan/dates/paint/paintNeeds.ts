import { batchMl, CAN_RESIDUE, reserveMl } from '#core/amounts/index';
import {
  type PaintNeed,
  portionsLacking,
  residueOf,
  shelfCans,
  type ShelfCan,
  shelfStock,
  unnotedPaint,
  type Use,
  usableMl,
} from '#core/buying/index';
import { familyDrying } from '#core/drying/index';
import { type Facts, type Product, type Sheet, type Stock, standingEvents } from '#core/facts/index';
import type { Placed } from '#core/schedule/index';
import type { Minute } from '#core/units/index';
import type { Step } from '../../steps/index.ts';
import { detailsToCome } from './detailsToCome.ts';

/** What the coats still to come take of each paint, against what the shelf holds. */

/**
 * mL of each paint, reducer and hardener that the pending steps take, batch by batch, against what the shelf holds. What the jar of
 * an own mix lacks is taken of the paints it is mixed from.
 */
export function paintNeeds(
  steps: readonly Step[],
  placed: ReadonlyMap<string, Placed>,
  facts: Facts,
  cans: readonly ShelfCan[] = shelfCans(facts),
): PaintNeed[] {
  const coats = new Map<string, Step[]>();
  for (const step of steps) {
    // Nothing is bought for a coat that would not sit.
    if (!step.coat || step.stopped !== undefined) continue;
    coats.set(step.coat.mix, [...(coats.get(step.coat.mix) ?? []), step]);
  }
  const startOf = (step: Step) => placed.get(step.id)?.start;
  const taken = new Map([...coats].map(([mix, own]) => [mix, takenByCoats(mix, own, startOf)] as const));
  for (const own of takenByDetails(steps, facts, placed)) taken.set(own.mix, together(taken.get(own.mix), own));
  return [...needsOf([...taken.values()], facts, cans), ...additiveNeeds([...coats.values()].flat(), startOf, shelfStock(facts))];
}

type StartOf = (step: Step) => Minute | undefined;
type Coat = NonNullable<Step['coat']>;

/** What is taken of one paint, by coats and by what is mixed from it. */
type Taken = Pick<PaintNeed, 'mix' | 'productId' | 'name' | 'family' | 'role' | 'hand' | 'coatsMl' | 'byPiece'> & {
  /** Out of its container, with what clears the nozzles. */
  readonly uses: readonly Use[];
  /** Pieces that keep a touch-up jar of it. */
  readonly jars: number;
};

function takenByCoats(mix: string, own: readonly Step[], startOf: StartOf): Taken {
  const coat = own[0].coat as Coat;
  const batches = batchesOf(own, startOf);
  const withNozzle = (ml: number) => (coat.hand === 'brush' ? ml : batchMl(ml) * (1 - CAN_RESIDUE));
  const { productId, name, family, role, hand } = coat;
  return {
    mix,
    productId,
    name,
    family,
    role,
    hand,
    coatsMl: batches.reduce((sum, { ml }) => sum + ml, 0),
    uses: batches.map(({ at, ml }) => ({ at, amount: withNozzle(ml) })),
    jars: new Set(own.map((step) => step.pieceId)).size,
    byPiece: takenByPiece(own, (step) => step.coat?.paintMl ?? 0),
  };
}

/** A paint that is taken straight out of its bottle. */
function nameOf(
  { id, name }: Product,
  { family, role, hand }: Sheet,
): Pick<Taken, 'mix' | 'productId' | 'name' | 'family' | 'role' | 'hand'> {
  return { mix: id, productId: id, name, family, role, hand: hand ?? 'airbrush' };
}

/** Details take of the bottle they name by hand: no nozzle is cleared for them. */
function takenByDetails(steps: readonly Step[], facts: Facts, placed: ReadonlyMap<string, Placed>): Taken[] {
  return detailsToCome(steps, facts).flatMap(({ stepId, pieceId, detail, ml }) => {
    const product = facts.products.find(({ id }) => id === detail.productId);
    const sheet = facts.sheets.find(({ id }) => id === product?.sheetId);
    if (!product || !sheet || ml <= 0) return [];
    return [
      {
        ...nameOf(product, sheet),
        coatsMl: ml,
        uses: [{ at: placed.get(stepId)?.start ?? null, amount: ml }],
        jars: 0,
        byPiece: [{ pieceId, ml }],
      },
    ];
  });
}

/** A mix comes before its paints: what its jar lacks is poured from them. In the order the coats name them, paints for mixes last. */
function needsOf(byCoats: readonly Taken[], facts: Facts, cans: readonly ShelfCan[]): PaintNeed[] {
  const open = new Map(byCoats.map((taken) => [taken.mix, taken]));
  const needs = new Map<string, PaintNeed | null>(byCoats.map(({ mix }) => [mix, null]));
  while (open.size > 0) {
    const taken = nextOf([...open.values()], facts);
    open.delete(taken.mix);
    const need = paintNeed(taken, facts, cans);
    needs.set(taken.mix, need);
    for (const poured of pouredFor(need, facts)) {
      // Two mixes of each other: the second is taken as it stands.
      if (needs.get(poured.mix)) continue;
      open.set(poured.mix, together(open.get(poured.mix), poured));
      if (!needs.has(poured.mix)) needs.set(poured.mix, null);
    }
  }
  return [...needs.values()].flatMap((need) => need ?? []);
}

/** One that no other of them is mixed from. */
function nextOf(open: readonly Taken[], facts: Facts): Taken {
  const within = new Set(open.flatMap(({ productId }) => partsOf(productId, facts).map(({ product }) => product.id)));
  return open.find(({ productId }) => productId === undefined || !within.has(productId)) ?? open[0];
}

function together(known: Taken | undefined, more: Taken): Taken {
  if (!known) return more;
  const byPiece = new Map(known.byPiece.map(({ pieceId, ml }) => [pieceId, ml]));
  for (const { pieceId, ml } of more.byPiece) byPiece.set(pieceId, (byPiece.get(pieceId) ?? 0) + ml);
  return {
    ...known,
    uses: [...known.uses, ...more.uses],
    coatsMl: known.coatsMl + more.coatsMl,
    byPiece: [...byPiece].map(([pieceId, ml]) => ({ pieceId, ml })),
  };
}

/** What goes of each paint into what must still be mixed. */
function pouredFor({ toMixMl, portions, productId, byPiece }: PaintNeed, facts: Facts): Taken[] {
  if (toMixMl <= 0) return [];
  const inAll = byPiece.reduce((sum, { ml }) => sum + ml, 0);
  return partsOf(productId, facts).flatMap(({ product, share }) => {
    const sheet = facts.sheets.find(({ id }) => id === product.sheetId);
    if (!sheet) return [];
    return [
      {
        ...nameOf(product, sheet),
        coatsMl: toMixMl * share,
        uses: portions.map(({ amount, neededBy }) => ({ at: neededBy, amount: amount * share })),
        jars: 0,
        byPiece: byPiece.map(({ pieceId, ml }) => ({ pieceId, ml: (ml / inAll) * toMixMl * share })),
      },
    ];
  });
}

/** The paints of an own mix with their shares; none where it is no mix, or where one of them is no longer known. */
export function partsOf(
  productId: string | undefined,
  { products }: Pick<Facts, 'products'>,
): { readonly product: Product; readonly share: number }[] {
  const parts = products.find(({ id }) => id === productId)?.mix?.parts ?? [];
  const whole = parts.reduce((sum, { ml }) => sum + ml, 0);
  const known = parts.flatMap(({ productId: id, ml }) => {
    const product = products.find((own) => own.id === id);
    return product ? [{ product, share: ml / whole }] : [];
  });
  return known.length === parts.length ? known : [];
}

/** Coats of a mix no further apart than this are one batch: one nozzle to clear, one rest in the can. */
const BATCH_MINUTES = 6 * 60;

/** What one batch takes, mL of paint: coats that follow one another within a sitting; those without a date, a piece at a time. */
type Batch = { readonly at: Minute | null; readonly ml: number };

function batchesOf(own: readonly Step[], startOf: StartOf): Batch[] {
  const dated = own.flatMap((step) => {
    const at = startOf(step);
    return at === undefined ? [] : [{ at, ml: step.coat?.paintMl ?? 0 }];
  });
  const batches: { at: Minute; last: Minute; ml: number }[] = [];
  for (const { at, ml } of dated.sort((a, b) => a.at - b.at)) {
    const open = batches.at(-1);
    if (open && at - open.last <= BATCH_MINUTES) Object.assign(open, { last: at, ml: open.ml + ml });
    else batches.push({ at, last: at, ml });
  }
  const undated = new Map<string, number>();
  for (const step of own)
    if (startOf(step) === undefined) undated.set(step.pieceId, (undated.get(step.pieceId) ?? 0) + (step.coat?.paintMl ?? 0));
  return [...batches, ...[...undated.values()].map((ml) => ({ at: null, ml }))];
}

function paintNeed({ uses, jars, ...own }: Taken, facts: Facts, cans: readonly ShelfCan[]): PaintNeed {
  const neededMl = uses.reduce((sum, { amount }) => sum + amount, 0);
  const keptMl = facts.workshop[0] ? jars * reserveMl(own.role, facts.workshop[0]) : 0;
  const residue = own.productId ? residueOf(own.productId, facts) : own.hand === 'aerosol' ? CAN_RESIDUE : 0;
  const shelfMl = own.productId ? usableMl(cans, own.productId, residue) : begunMl(own.mix, facts);
  const fromCans = (ml: number) => ml / (1 - residue);
  const lackingMl = neededMl > shelfMl ? fromCans(neededMl + keptMl - shelfMl) : 0;
  const isMixed = partsOf(own.productId, facts).length > 0;
  return {
    ...own,
    what: 'paint',
    neededMl,
    shelfMl,
    keptMl,
    // A can is not bought for the touch-up jar alone; where one is bought, it holds the jar too.
    jarMl: neededMl > shelfMl ? keptMl : Math.min(keptMl, shelfMl - neededMl),
    missingMl: isMixed ? 0 : lackingMl,
    toMixMl: isMixed ? lackingMl : 0,
    portions: portionsLacking(
      uses.map(({ at, amount }) => ({ at, amount: fromCans(amount) })),
      fromCans(shelfMl),
      lackingMl,
    ),
  };
}

/** What is left of a paint that is no product yet, once it is being sprayed. */
function begunMl(mix: string, facts: Facts): number {
  return unnotedPaint(facts, standingEvents(facts.events)).find(({ key }) => key === mix)?.leftMl ?? 0;
}

function takenByPiece(steps: readonly Step[], mlOf: (step: Step) => number): PaintNeed['byPiece'] {
  const taken = new Map<string, number>();
  for (const step of steps) taken.set(step.pieceId, (taken.get(step.pieceId) ?? 0) + mlOf(step));
  return [...taken].map(([pieceId, ml]) => ({ pieceId, ml }));
}

/** What a paint is thinned with, by the name it is bought under. */
function reducerName(coat: Coat): string {
  const { thinner } = familyDrying(coat.family);
  return thinner.startsWith('its own') ? `thinner for ${coat.name}` : thinner;
}

/** They stand on the shelf as rows of stock, whose names are no longer. */
const LONGEST_SPEC = 60;

/** What is mixed into the paint of a coat, by the names it is bought under. Water is had for nothing. */
export function additivesOf(coat: Coat): readonly { readonly what: 'reducer' | 'hardener'; readonly name: string; readonly ml: number }[] {
  return [
    { what: 'reducer' as const, name: reducerName(coat).slice(0, LONGEST_SPEC), ml: coat.reducerMl },
    { what: 'hardener' as const, name: `hardener for ${coat.name}`.slice(0, LONGEST_SPEC), ml: coat.hardenerMl },
  ].filter(({ name, ml }) => ml > 0 && name !== 'water');
}

/** Reducer and hardener are needs of their own: one reducer serves every paint that is thinned with it (trade §6). */
function additiveNeeds(steps: readonly Step[], startOf: StartOf, stock: readonly Stock[]): PaintNeed[] {
  const onShelf = (name: string, ml: number) => {
    const row = stock.find((own) => own.unit === 'mL' && own.spec === name);
    // A row never counted is taken to be enough.
    return row ? (row.left ?? ml) : 0;
  };
  const needs = new Map<string, { name: string; what: 'reducer' | 'hardener'; coat: Coat; steps: Step[]; ml: number }>();
  for (const step of steps) {
    const coat = step.coat as Coat;
    for (const { what, name, ml } of additivesOf(coat)) {
      const key = `${what} ${name}`;
      const known = needs.get(key) ?? { name, what, coat, steps: [], ml: 0 };
      needs.set(key, { ...known, steps: [...known.steps, step], ml: known.ml + ml });
    }
  }
  return [...needs].map(([mix, { name, what, coat, steps: own, ml }]) => {
    const shelfMl = onShelf(name, ml);
    const missingMl = Math.max(0, ml - shelfMl);
    const mlOf = ({ coat: taking }: Step) => (what === 'reducer' ? taking?.reducerMl : taking?.hardenerMl) ?? 0;
    const uses = own.map((step) => ({ at: startOf(step) ?? null, amount: mlOf(step) }));
    return {
      mix,
      what,
      name,
      family: coat.family,
      role: coat.role,
      hand: coat.hand,
      coatsMl: ml,
      neededMl: ml,
      shelfMl,
      keptMl: 0,
      jarMl: 0,
      missingMl,
      toMixMl: 0,
      portions: portionsLacking(uses, shelfMl, missingMl),
      byPiece: takenByPiece(own, mlOf),
    };
  });
}
