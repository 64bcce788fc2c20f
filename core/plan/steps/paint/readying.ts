import { mixFor, reserveMl } from '#core/amounts/index';
import { leftOnShelf } from '#core/buying/index';
import { familyDrying, isOwnThinner } from '#core/drying/index';
import { plain } from '#core/facts/index';
import { coatHazards } from '#core/safety/index';
import type { PlacedLayer, PlanContext, Ref } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { type Cup, cupText } from './cup.ts';
import { PROMOTER_WORKS_MINUTES } from '../constraints.ts';

/** What is made ready right before a coat: a try on scrap, a two-part mix, adhesion promoter. */

const SCRAP_MINUTES = 4;
/** To weigh and stir, and to lay out scales, cup and hardener: of that one cup for several parts needs no more. */
const MIX_MINUTES = 1;
const MIX_SETUP_MINUTES = 3;
const PROMOTER_MINUTES = 2;
/** Numbers of what is made ready again, clear of those of later coats. */
const NEXT_ATTEMPT = 100;

/** A paint nobody has used here before goes onto scrap first (trade §6). */
export function addScrapTest(chain: StepChain, context: PlanContext, placed: PlacedLayer): void {
  const { resolved, index } = placed;
  const { product } = resolved;
  // A board is itself the try.
  if (chain.of.piece.board || chain.of.part.tile) return;
  if (!product || context.history.usedProducts.has(product.id)) return;
  chain.add({
    stage: 'scrap-test',
    layerIndex: index,
    title: `Try ${resolved.name} on scrap`,
    // One scrap serves every part that takes the paint.
    minutes: 0,
    setup: SCRAP_MINUTES,
    detail: 'a card or a scrap of the same material: how it sprays, covers and bites',
    hazards: coatHazards(resolved.family, resolved.hand, resolved.isocyanate),
    because: 'It is used here for the first time: the scrap finds out, not the piece.',
    treatment: `scrap ${resolved.mix}`,
  });
}

/** A thinner made for another range is tried in a cup first; one that curdled there is not sprayed (trade §6). */
export function addCupTest(chain: StepChain, context: PlanContext, { resolved, index }: PlacedLayer): void {
  const { product, thinner, family, hand, name } = resolved;
  if (!product || thinner === undefined || hand === 'aerosol' || isOwnThinner(family, thinner)) return;
  const tested = context.history.events
    .filter((event) => event.kind === 'cup-test' && event.productId === product.id && event.thinner === thinner)
    .at(-1);
  if (tested?.kind === 'cup-test') {
    if (tested.outcome === 'curdled')
      chain.stop(`${name} curdles with ${plain(thinner)} thinner, a cup has shown it: thin it with ${familyDrying(family).thinner}.`);
    return;
  }
  chain.add({
    stage: 'scrap-test',
    layerIndex: index,
    number: CUP_TEST,
    title: `Cup test: ${name} with ${plain(thinner)} thinner`,
    minutes: CUP_TEST_MINUTES,
    detail: 'a few drops of both, stirred, ten minutes: strings, lumps or a ring at the wall, and none of it goes into the gun',
    hazards: coatHazards(family, hand, resolved.isocyanate),
    because: 'That thinner is made for another range: it may separate or spit, and a cup is cheaper than the gun and the piece.',
    asks: { kind: 'cup-test', productId: product.id, thinner },
    treatment: `cup test ${resolved.mix}`,
  });
}

/** Its number beside the try on scrap, which is the first of its kind. */
const CUP_TEST = 2;
const CUP_TEST_MINUTES = 12;

export type MixWanted = {
  readonly placed: PlacedLayer;
  /** As sprayed, of the coats this mix is for. */
  readonly needMl: number;
  /** The first coat this mix is for. */
  readonly number: number;
};

/** A two-part paint is mixed before its coats: induction first, and all of it on within its pot life. Null where none is mixed. */
export function addMix(chain: StepChain, context: PlanContext, { placed, needMl, number }: MixWanted): Ref | null {
  const { resolved, index, zones } = placed;
  const { hardener, potLifeMin, inductionMin } = resolved.label ?? {};
  if (!hardener && potLifeMin === undefined && inductionMin === undefined) return null;
  const mix = mixFor({
    needMl,
    label: resolved.label ?? {},
    own: resolved.family,
    ...(resolved.thinner ? { thinner: resolved.thinner } : {}),
  });
  const cup: Cup = {
    parts: mix.parts,
    keptMl: number === 1 ? reserveMl(resolved.role, context.workshop) : 0,
    standMin: inductionMin ?? null,
    shelfMl: (resolved.product && leftOnShelf(context.facts).get(resolved.product.id)) ?? null,
  };
  return chain.add({
    stage: 'mix',
    layerIndex: index,
    number: freshAttempt(chain, context, { stage: 'mix', layerIndex: index }, number, potLifeMin),
    zones,
    title: `Mix ${resolved.name}`,
    minutes: MIX_MINUTES,
    setup: MIX_SETUP_MINUTES,
    cup,
    detail: cupText(cup),
    hazards: coatHazards(resolved.family, resolved.hand, resolved.isocyanate),
    because: mix.warnings.join(' ') || 'Mixed by weight or by the cup’s marks, a fifth more than the coats take.',
    source: 'label',
    supplies: [{ kind: 'cup', spec: 'mixing cup', unit: 'piece', amount: mix.cups }],
    treatment: `mix ${resolved.mix} ${number}`,
  });
}

/** Adhesion promoter on bare plastic that nothing else holds on, right before its first coat. */
export function addPromoter(chain: StepChain, context: PlanContext, placed: PlacedLayer): Ref {
  const { index, zones } = placed;
  const { part } = chain.of;
  return chain.add({
    stage: 'promoter',
    layerIndex: index,
    number: freshAttempt(chain, context, { stage: 'promoter', layerIndex: index }, 1, PROMOTER_WORKS_MINUTES),
    zones,
    title: 'Adhesion promoter',
    minutes: PROMOTER_MINUTES * part.copies,
    setup: 2,
    detail: 'one thin coat, let it flash, then the first coat within the hour; its own label first',
    hazards: ['solvent'],
    because:
      part.material === 'unknown'
        ? 'The material is unknown and may be polypropylene: nothing holds on that without promoter.'
        : 'Nothing holds on polypropylene or polyethylene without promoter.',
    supplies: [{ kind: 'promoter', spec: 'adhesion promoter', unit: 'mL', amount: 5 * part.copies }],
    treatment: 'promoter',
  });
}

/** The number of the attempt that still serves: what has gone off without its coats is made again. */
function freshAttempt(
  chain: StepChain,
  context: PlanContext,
  what: { readonly stage: 'mix' | 'promoter'; readonly layerIndex: number },
  number: number,
  servesMinutes: number | undefined,
): number {
  const at = chain.doneAt({ ...what, number });
  const spoiled = at !== null && servesMinutes !== undefined && context.now > at + servesMinutes;
  return spoiled ? freshAttempt(chain, context, what, number + NEXT_ATTEMPT, servesMinutes) : number;
}
