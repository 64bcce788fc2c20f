import { capital, counted } from '#core/units/index';
import { type OrderCost, type OrderQuestion, type OrderStep, totalCost } from './orderTypes.ts';

/** Why an order won, and why the runner-up lost, as a restorer would say it. */

type Rival = { readonly order: readonly string[]; readonly parts: OrderCost } | null;

export function reasonFor({ zones }: OrderQuestion, steps: readonly OrderStep[], parts: OrderCost, rival: Rival): string {
  const named = (id: string) => zones.find((zone) => zone.id === id) as OrderQuestion['zones'][number];
  const first = named(steps[0].zoneId);
  if (steps.length === 1) return `${first.name} is the only colour.`;
  const open = steps[0].open ? ` ${capital(first.name)} may go over what comes later, so only its own stretch is masked.` : '';
  const locks = steps
    .filter(({ locked }) => locked)
    .map(({ zoneId }) => ` ${capital(named(zoneId).name)} is locked under clear before tape touches it.`)
    .join('');
  if (!rival) return `No other order of colours that touch is possible or different.${open}${locks}`;
  // The orders may begin alike: what is compared is where they part.
  const place = steps.findIndex(({ zoneId }, index) => zoneId !== rival.order[index]);
  const [own, other] = [named(steps[place].zoneId), named(rival.order[place])];
  const saved = totalCost(rival.parts) - totalCost(parts);
  const light = own.lab.l > other.lab.l;
  if (Math.abs(saved) < 0.5)
    return `${capital(own.name)} goes before ${other.name}: both orders cost the same${light ? ', and light goes before dark' : ''}.${open}${locks}`;
  if (saved < 0)
    return `${capital(own.name)} before ${other.name} costs ${counted(Math.round(-saved), 'evening minute')} more than the cheapest order.${open}${locks}`;
  return `${capital(own.name)} before ${other.name} saves ${counted(Math.round(saved), 'evening minute')}, most of it in ${mostOf(parts, rival.parts)}.${open}${locks}`;
}

/** Why the runner-up lost: the part of its cost that grew most. */
export function lostBecause(best: OrderCost, rival: OrderCost): string {
  const more = totalCost(rival) - totalCost(best);
  if (Math.abs(more) < 0.5) return 'It costs the same.';
  if (more < 0) return `It would cost ${counted(Math.round(-more), 'evening minute')} less.`;
  return `It would cost ${counted(Math.round(more), 'evening minute')} more, most of it in ${mostOf(best, rival)}.`;
}

const PART_NAMES: Record<keyof OrderCost, string> = {
  masking: 'tape',
  covering: 'covering',
  extraCoats: 'coats to hide',
  locking: 'locking clears',
  darkBelow: 'a dark colour under a light one',
  waits: 'waits for tape',
  lifting: 'risk under tape',
};

function mostOf(best: OrderCost, rival: OrderCost): string {
  const grown = (Object.keys(PART_NAMES) as (keyof OrderCost)[]).map((key) => [key, rival[key] - best[key]] as const);
  const [key] = grown.reduce((most, next) => (next[1] > most[1] ? next : most));
  return PART_NAMES[key];
}
