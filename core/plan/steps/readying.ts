import { mixFor, reserveMl } from '#core/amounts/index';
import { coatHazards } from '#core/safety/index';
import type { PartGroup, PlacedLayer, PlanContext, Ref } from '../films/index.ts';
import type { StepChain } from './chain.ts';
import { PROMOTER_WORKS_MINUTES } from './gaps.ts';

/** What is made ready right before a coat: a two-part mix, adhesion promoter. */

const MIX_MINUTES = 4;
const CUP_PRICE = 15;
const PROMOTER_MINUTES = 2;
const PROMOTER_PRICE = 40;
/** Numbers of what is made ready again, clear of those of later coats. */
const NEXT_ATTEMPT = 100;

/** A two-part paint is mixed before its coats: induction first, and all of it on within its pot life. Null where none is mixed. */
export function addMix(chain: StepChain, context: PlanContext, placed: PlacedLayer, mlPerCoat: number, doneCoats: number): Ref | null {
  const { resolved, index, zones } = placed;
  const { hardener, potLifeMin, inductionMin } = resolved.label ?? {};
  if (!hardener && potLifeMin === undefined && inductionMin === undefined) return null;
  const mix = mixFor({
    needMl: mlPerCoat * (resolved.layer.coats - doneCoats),
    label: resolved.label ?? {},
    own: resolved.family,
    ...(resolved.thinner ? { thinner: resolved.thinner } : {}),
  });
  const cups = mix.parts.map((part) => `${part.what} ${part.ml.toFixed(1)} mL (${part.grams.toFixed(1)} g)`).join(', ');
  const kept = reserveMl(resolved.role, context.workshop);
  return chain.add({
    stage: 'mix',
    layerIndex: index,
    number: freshAttempt(chain, context, { stage: 'mix', layerIndex: index }, doneCoats + 1, potLifeMin),
    zones,
    title: `Mix ${resolved.name}`,
    minutes: MIX_MINUTES,
    detail: [
      ...(kept > 0 && doneCoats === 0 ? [`set ${kept} mL aside unmixed for touch-up`] : []),
      cups,
      ...(inductionMin ? [`let it stand ${inductionMin} min`] : []),
    ].join('; '),
    hazards: coatHazards(resolved.family, resolved.hand, resolved.isocyanate),
    because: mix.warnings.join(' ') || 'Mixed by weight or by the cup’s marks, a fifth more than the coats take.',
    source: 'label',
    consumables: CUP_PRICE,
  });
}

/** Adhesion promoter on bare plastic that nothing else holds on, right before its first coat. */
export function addPromoter(chain: StepChain, context: PlanContext, group: PartGroup, placed: PlacedLayer): Ref {
  const { index, zones } = placed;
  const copies = group.parts.reduce((sum, part) => sum + part.copies, 0);
  return chain.add({
    stage: 'promoter',
    layerIndex: index,
    number: freshAttempt(chain, context, { stage: 'promoter', layerIndex: index }, 1, PROMOTER_WORKS_MINUTES),
    zones,
    title: 'Adhesion promoter',
    minutes: PROMOTER_MINUTES * copies,
    detail: 'one thin coat, let it flash, then the first coat within the hour; its own label first',
    hazards: ['solvent'],
    because:
      group.lead.material === 'unknown'
        ? 'The material is unknown and may be polypropylene: nothing holds on that without promoter.'
        : 'Nothing holds on polypropylene or polyethylene without promoter.',
    consumables: PROMOTER_PRICE * copies,
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
