import { batchMl, CAN_RESIDUE, reserveMl } from '#core/amounts/index';
import { leadDays, type PaintNeed, shelfCans, type ShelfCan, shelfStock, usableMl } from '#core/buying/index';
import { familyDrying } from '#core/drying/index';
import type { Facts, Stock } from '#core/facts/index';
import type { Placed } from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import type { Step } from '../steps/index.ts';

/** Which steps wait for paint that is not on the shelf: until the shop can have it here. */
export function waitForPaint(steps: readonly Step[], facts: Facts, now: Minute): Step[] {
  const cans = shelfCans(facts);
  const left = new Map<string, number>();
  const inHand = paintsInHand(steps, facts);
  return steps.map((step) => {
    const { coat } = step;
    if (!coat || inHand.has(coat.mix)) return step;
    const had = left.get(coat.mix) ?? (coat.productId ? usableMl(cans, coat.productId, CAN_RESIDUE) : 0);
    left.set(coat.mix, had - coat.paintMl);
    if (had >= coat.paintMl) return step;
    const lead = leadDays(facts, coat.productId);
    // Today's evening is no time to shop: what is missing is here tomorrow at the soonest.
    const arrives = now + Math.max(1, lead) * DAY - 6 * 60;
    if (step.notBefore !== undefined && step.notBefore >= arrives) return step;
    return { ...step, notBefore: arrives, notBeforeWhy: `${coat.name} must be bought first` };
  });
}

/** Paints without a can on the shelf that have been sprayed: a layer of them is begun, so the can stands on the bench. */
function paintsInHand(steps: readonly Step[], { cans }: Facts): ReadonlySet<string> {
  const nth = ({ on }: Step, { layerId }: Coat, number: number) => `${layerId} ${on[0]?.zoneIds[0]} ${number}`;
  const toCome = new Set(steps.flatMap((step) => (step.coat ? [nth(step, step.coat, step.coat.number)] : [])));
  return new Set(
    steps.flatMap((step) => {
      const { coat } = step;
      if (!coat || coat.number === 1 || cans.some((can) => can.productId === coat.productId)) return [];
      return toCome.has(nth(step, coat, coat.number - 1)) ? [] : [coat.mix];
    }),
  );
}

/** mL of each paint, reducer and hardener that the pending steps take, batch by batch, against what the shelf holds. */
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
  const paints = [...coats].map(([mix, own]) => paintNeed(mix, own, startOf, facts, cans));
  return [...paints, ...additiveNeeds([...coats.values()].flat(), startOf, shelfStock(facts))];
}

type StartOf = (step: Step) => Minute | undefined;
type Coat = NonNullable<Step['coat']>;

function firstStart(steps: readonly Step[], startOf: StartOf): Minute | null {
  const starts = steps.flatMap((step) => startOf(step) ?? []);
  return starts.length > 0 ? Math.min(...starts) : null;
}

/** Coats of a mix no further apart than this are one batch: one nozzle to clear, one rest in the can. */
const BATCH_MINUTES = 6 * 60;

/** mL of paint of each batch: coats that follow one another within a sitting; those without a date, a piece at a time. */
function batchesOf(own: readonly Step[], startOf: StartOf): number[] {
  const dated = own.flatMap((step) => {
    const at = startOf(step);
    return at === undefined ? [] : [{ at, ml: step.coat?.paintMl ?? 0 }];
  });
  const batches: { last: Minute; ml: number }[] = [];
  for (const { at, ml } of dated.sort((a, b) => a.at - b.at)) {
    const open = batches.at(-1);
    if (open && at - open.last <= BATCH_MINUTES) Object.assign(open, { last: at, ml: open.ml + ml });
    else batches.push({ last: at, ml });
  }
  const undated = new Map<string, number>();
  for (const step of own)
    if (startOf(step) === undefined) undated.set(step.pieceId, (undated.get(step.pieceId) ?? 0) + (step.coat?.paintMl ?? 0));
  return [...batches.map(({ ml }) => ml), ...undated.values()];
}

function paintNeed(mix: string, own: readonly Step[], startOf: StartOf, facts: Facts, cans: readonly ShelfCan[]): PaintNeed {
  const coat = own[0].coat as Coat;
  const batches = batchesOf(own, startOf);
  const coatsMl = batches.reduce((sum, ml) => sum + ml, 0);
  const brushed = coat.hand === 'brush';
  const neededMl = brushed ? coatsMl : batches.reduce((sum, ml) => sum + batchMl(ml) * (1 - CAN_RESIDUE), 0);
  const pieces = new Set(own.map((step) => step.pieceId));
  const keptMl = facts.workshop[0] ? pieces.size * reserveMl(coat.role, facts.workshop[0]) : 0;
  const shelfMl = coat.productId ? usableMl(cans, coat.productId, CAN_RESIDUE) : 0;
  return {
    mix,
    what: 'paint',
    productId: coat.productId,
    // What was mixed here is in no shop: its paints are.
    name: isMixed(coat, facts) ? `${coat.name}, mixed again` : coat.name,
    family: coat.family,
    role: coat.role,
    hand: coat.hand,
    coatsMl,
    neededMl,
    shelfMl,
    keptMl,
    // A can is not bought for the touch-up jar alone; where one is bought, it holds the jar too.
    jarMl: neededMl > shelfMl ? keptMl : Math.min(keptMl, shelfMl - neededMl),
    missingMl: neededMl > shelfMl ? (neededMl + keptMl - shelfMl) / (1 - CAN_RESIDUE) : 0,
    neededBy: firstStart(own, startOf),
    byPiece: takenByPiece(own, (step) => step.coat?.paintMl ?? 0),
  };
}

function takenByPiece(steps: readonly Step[], mlOf: (step: Step) => number): PaintNeed['byPiece'] {
  const taken = new Map<string, number>();
  for (const step of steps) taken.set(step.pieceId, (taken.get(step.pieceId) ?? 0) + mlOf(step));
  return [...taken].map(([pieceId, ml]) => ({ pieceId, ml }));
}

function isMixed({ productId }: Coat, { products }: Facts): boolean {
  return products.find((product) => product.id === productId)?.mix !== undefined;
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

/** Reducer and hardener are needs of their own: one reducer serves every paint that is thinned with it (BRIEF §6). */
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
  return [...needs].map(([mix, { name, what, coat, steps: own, ml }]) => ({
    mix,
    what,
    name,
    family: coat.family,
    role: coat.role,
    hand: coat.hand,
    coatsMl: ml,
    neededMl: ml,
    shelfMl: onShelf(name, ml),
    keptMl: 0,
    jarMl: 0,
    missingMl: Math.max(0, ml - onShelf(name, ml)),
    neededBy: firstStart(own, startOf),
    byPiece: takenByPiece(own, (step) => (what === 'reducer' ? step.coat?.reducerMl : step.coat?.hardenerMl) ?? 0),
  }));
}
