import { type FeatureKind, type FEATURES_KEYED, isMetal, type LogEvent, type Part, plain } from '#core/facts/index';
import { listed } from '#core/units/index';
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
    ...(part.features ?? []).flatMap(({ kind, count }) => (isKeyed(kind) ? keyedItems(part, kind, count) : [])),
    ...(part.zones.some((zone) => zone.bare !== undefined) ? ['What stays bare is marked for masking'] : []),
    ...(isMetal(part.material) ? ['Water break: a film of water stays whole'] : []),
  ];
  return items;
}

/** Of these each is looked at by itself: one that is missed pops the paint. */
const EACH: Partial<Record<FeatureKind, { readonly one: string; readonly matt: string }>> = {
  countersinks: { one: 'Countersink', matt: 'matt to the bottom' },
  'hole-rims': { one: 'Rim', matt: 'matt all round' },
};
/** How many there are is asked of these. */
export function isCounted(kind: FeatureKind): boolean {
  return EACH[kind] !== undefined;
}

/** More than so many are no list any more. */
const MOST_TICKS = 24;

/** Vents moulded in plastic are keyed, not stripped: nothing takes sound paint out of them without harm. */
export function keysVents({ material, features }: Part): boolean {
  return !isMetal(material) && material !== 'wood' && (features?.some(({ kind }) => kind === 'vents') ?? false);
}

function keyedItems(part: Part, kind: keyof typeof KEYED_BY_HAND, count: number): string[] {
  if (kind === 'vents' && keysVents(part)) return ['Vents matt and free of dust; paint that holds stays in them'];
  const each = EACH[kind];
  if (!each || count < 2 || count > MOST_TICKS) return [KEYED_BY_HAND[kind]];
  return Array.from({ length: count }, (_, index) => `${each.one} ${index + 1} of ${count} on ${part.name}: ${each.matt}`.slice(0, 160));
}

/** Items that are ticked one by one, of a list that is looked at. */
export function tickItems(items: readonly string[]): string[] {
  return items.filter((item) => /^\w+ \d+ of \d+ on /.test(item));
}

/** Those of them that are not ticked yet, since the part was last sent back. */
export function openTicks(items: readonly string[], pieceId: string, partIds: readonly string[], events: readonly LogEvent[]): string[] {
  const ticked = new Set<string>();
  for (const event of events) {
    if (event.kind === 'failed-check' && event.pieceId === pieceId && event.partIds.some((id) => partIds.includes(id))) ticked.clear();
    if (event.kind !== 'ticked' || event.pieceId !== pieceId) continue;
    if (event.off) ticked.delete(event.item);
    else ticked.add(event.item);
  }
  return tickItems(items).filter((item) => !ticked.has(item));
}

/** "Not ready: countersinks 7 and 8 on Body are not ticked." Empty where all are. */
export function openTicksText(open: readonly string[]): string {
  if (open.length === 0) return '';
  const named = open.map((item) => item.replace(/ of \d+ on (.*):.*$/, ' on $1').toLowerCase());
  return `Not ready: ${listed(named)} ${open.length === 1 ? 'is' : 'are'} not ticked.`;
}

function isKeyed(kind: FeatureKind): kind is keyof typeof KEYED_BY_HAND {
  return Object.hasOwn(KEYED_BY_HAND, kind);
}
