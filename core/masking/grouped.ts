import { counted } from '#core/units/index';
import { MOST_COLOURS } from './order.ts';
import type { OrderQuestion, OrderZone } from './orderTypes.ts';

/** More zones than can be ordered one by one are ordered by colour: zones of one paint go on together. */
export type Grouped = {
  readonly question: OrderQuestion;
  /** Zones of each group, by the id of the first. */
  readonly members: ReadonlyMap<string, readonly string[]>;
  /** Said when zones were grouped; empty where none were. */
  readonly because: string;
};

/** The question itself up to twelve zones, else one zone a colour; null where there are too many colours even so. */
export function groupedColours(question: OrderQuestion): Grouped | null {
  const { zones } = question;
  if (zones.length <= MOST_COLOURS) return { question, members: new Map(), because: '' };
  const groups = new Map<string, OrderZone[]>();
  for (const zone of zones) groups.set(paintOf(zone), [...(groups.get(paintOf(zone)) ?? []), zone]);
  if (groups.size > MOST_COLOURS) return null;
  const leader = new Map([...groups.values()].flatMap((group) => group.map((zone) => [zone.id, group[0].id] as const)));
  return {
    question: {
      ...question,
      zones: [...groups.values()].map((group) => ({ ...group[0], areaCm2: group.reduce((sum, zone) => sum + zone.areaCm2, 0) })),
      edges: question.edges.flatMap((edge) => {
        const [a, b] = [leader.get(edge.a) ?? edge.a, leader.get(edge.b) ?? edge.b];
        return a === b ? [] : [{ ...edge, a, b }];
      }),
    },
    members: new Map([...groups.values()].map((group) => [group[0].id, group.map((zone) => zone.id)])),
    because: ` ${counted(zones.length, 'zone')} are more than ${MOST_COLOURS}: those of one colour are ordered together.`,
  };
}

function paintOf({ family, lab, transparent, brushed }: OrderZone): string {
  return `${family} ${lab.l} ${lab.a} ${lab.b} ${transparent === true} ${brushed === true}`;
}
