import { type FeatureKind, type FEATURES_KEYED, isMetal, type Part, plain } from '#core/facts/index';
import { type MendScope, mendOf } from './mendChoice.ts';
import { markText } from './repairs.ts';

/** The inspection before primer, made from the marks and features of this very part (trade §2, stages 3 to 5). */

const KEYED_BY_HAND: Record<(typeof FEATURES_KEYED)[number], string> = {
  edges: 'Edges keyed by hand, none sanded through',
  countersinks: 'Countersinks matt to the bottom: paint pops there first',
  'hole-rims': 'Rims of holes matt all round',
  'inside-corners': 'Inside corners matt, no old paint left in them',
  vents: 'Vents free of old paint and dust',
  'raised-detail': 'Raised detail still crisp, no paper has rounded it',
  'sliding-face': 'Sliding faces still move with room for the film',
  hinge: 'Hinge turns freely with room for the film',
};

/** What is looked at under side light before the last wipe; each item is passed or sends the part back. */
export function gateItems(part: Part, stripped: boolean, scopeOf: (markId: string) => MendScope): string[] {
  const items = [
    ...(stripped ? ['Crevices, undersides and inside corners free of old paint'] : []),
    'Side light: no scratch deeper than the primer fills',
    ...(part.marks ?? []).flatMap((mark) => {
      const mend = mendOf(mark, part, scopeOf(mark.id));
      if (mend === 'leave') return [];
      if (mend === 'replace') return [`Replaced: ${markText(mark)}`];
      return [`Put right (${plain(mend)}): ${markText(mark)}`];
    }),
    ...(part.features ?? []).flatMap(({ kind }) => (isKeyed(kind) ? [KEYED_BY_HAND[kind]] : [])),
    ...(part.zones.some((zone) => zone.bare !== undefined) ? ['What stays bare is marked for masking'] : []),
    ...(isMetal(part.material) ? ['Water break: a film of water stays whole'] : []),
  ];
  return items;
}

function isKeyed(kind: FeatureKind): kind is keyof typeof KEYED_BY_HAND {
  return Object.hasOwn(KEYED_BY_HAND, kind);
}
