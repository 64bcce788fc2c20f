import { supplyName } from '#core/amounts/index';
import type { Piece, SupplyLine } from '#core/facts/index';
import type { PlannedStep, PlanView, Session, WetNearby } from '#core/plan/index';
import { capital, listed, localMoment, plural } from '#core/units/index';
import { stepTitle } from '../../../views/words/stepTitle.ts';

/** The stay shown on Tonight: the one that is on, else the next. */
export function stayOf(plan: PlanView): { session: Session; on: boolean } | null {
  const session = plan.sessions[0];
  if (!session) return null;
  const on = plan.free.some((span) => span.from <= plan.now && plan.now < span.to && session.from < span.to && session.from >= span.from);
  return { session, on };
}

/** Whoever begins before five in the afternoon works by day; who is still up before four has not gone to bed. */
export function todayText(at: number, timeZone: string): 'Tonight' | 'Today' {
  const { minuteOfDay } = localMoment(at, timeZone);
  return minuteOfDay >= 17 * 60 || minuteOfDay < 4 * 60 ? 'Tonight' : 'Today';
}

/** Things to have within reach, from what the steps of the stay use. */
export function layOutText(steps: readonly PlannedStep[]): string {
  const paints = [...new Set(steps.flatMap((step) => (step.coat ? [step.coat.name] : [])))];
  const things = new Set<string>();
  for (const step of steps) {
    for (const line of step.supplies) things.add(thingText(line));
    if (step.coat) {
      things.add('tack cloth');
      things.add('gloves');
    }
    for (const tool of TOOLS[step.stage] ?? []) things.add(tool);
    if (step.method === 'gel') things.add('scraper');
  }
  return [...paints, ...things].join(', ') || 'gloves';
}

/** What a stage takes that is not used up. */
const TOOLS: Partial<Record<PlannedStep['stage'], readonly string[]>> = {
  'metal-prep': ['goggles'],
  clean: ['side light', 'wipes'],
  repair: ['files'],
};

/** Paper by its grit and tape by its width, as the steps and the list have them. */
function thingText(line: SupplyLine): string {
  if (line.kind === 'paper') return line.spec;
  return line.kind === 'tape' ? `${line.spec} tape` : supplyName(line).toLowerCase();
}

export function packUpText(steps: readonly PlannedStep[]): string {
  const aerosol = steps.some((step) => step.coat?.hand === 'aerosol');
  const airbrush = steps.some((step) => step.coat?.hand === 'airbrush');
  return [aerosol ? 'clear nozzles upside down, lids on' : '', airbrush ? 'rinse the airbrush' : '', 'hang the tags']
    .filter(Boolean)
    .join(', ');
}

/** Done to the piece as a whole: no part and no peg is named. */
const WHOLE: readonly PlannedStep['stage'][] = ['teardown', 'dry-fit', 'fit'];

/** "pegs 7, 8 · Road roller, frame" */
export function whoText(step: PlannedStep, pieceName: string, partNames: readonly string[]): string {
  const whole = WHOLE.includes(step.stage);
  const pegs = step.pegs.length === 0 || whole ? '' : `${step.pegs.length > 1 ? 'pegs' : 'peg'} ${step.pegs.join(', ')} · `;
  const parts = whole ? '' : ` ${partNames.join(' and ').toLowerCase()}`;
  return `${pegs}${pieceName}${parts}`;
}

/** "Peg 8 (Tram no. 7, body) is wet until 20:22: move it away or cover it first." */
export function wetNearbyText({ who, until }: WetNearby, pieces: readonly Piece[], moment: (at: number) => string): string {
  const names = who.map(({ pieceId, partId, pegs }) => {
    const piece = pieces.find((own) => own.id === pieceId);
    const name = `${piece?.name ?? ''}, ${piece?.parts.find((own) => own.id === partId)?.name.toLowerCase() ?? ''}`;
    return pegs.length > 0 ? `${plural(pegs.length, 'peg')} ${pegs.join(', ')} (${name})` : name;
  });
  return `${capital(listed(names))} ${names.length > 1 ? 'are' : 'is'} wet until ${moment(until)}: move ${names.length > 1 ? 'them' : 'it'} away or cover ${names.length > 1 ? 'them' : 'it'} first.`;
}

/** Parts of each piece in a row, each named once. */
export function partsOf(
  steps: readonly PlannedStep[],
  pieceById: ReadonlyMap<string, Piece>,
): { readonly pieceId: string; readonly names: readonly string[]; readonly pegs: readonly number[] }[] {
  const pieceIds = [...new Set(steps.map(({ pieceId }) => pieceId))];
  return pieceIds.map((pieceId) => {
    const own = steps.filter((step) => step.pieceId === pieceId);
    const parts = [...new Set(own.flatMap(({ on }) => on.map(({ partId }) => partId)))];
    const names = parts.map((id) => pieceById.get(pieceId)?.parts.find((part) => part.id === id)?.name ?? '');
    return { pieceId, names, pegs: [...new Set(own.flatMap(({ pegs }) => pegs))] };
  });
}

/** "Coat 1 of 2, Whimbrel primer" for one round of coats; "Whimbrel primer, coats 1 and 2" for more. */
export function batchTitle(steps: readonly PlannedStep[]): string {
  const [first] = steps;
  if (!first.coat) return stepTitle(first);
  const titles = [...new Set(steps.map(stepTitle))];
  if (titles.length === 1) return titles[0];
  const numbers = [...new Set(steps.map(({ coat }) => coat?.number ?? 1))].sort((a, b) => a - b);
  const scuffed = steps.some(({ placed }) => placed?.scuff) ? ', scuffed first where it has shut' : '';
  return `${first.coat.name}, ${plural(numbers.length, 'coat')} ${listed(numbers.map(String))}${scuffed}`;
}

/** When each later round of coats in a row begins: ", coat 2 from 20:06". */
export function coatTimes(steps: readonly PlannedStep[], clock: (at: number) => string): string {
  const [first] = steps;
  if (!first.coat) return '';
  const begins = new Map<number, number>();
  for (const { coat, placed } of steps) if (coat && placed && !begins.has(coat.number)) begins.set(coat.number, placed.start);
  const later = [...begins].filter(([, at]) => at > (first.placed?.start ?? 0));
  const shared = new Set(steps.map(({ pieceId }) => pieceId)).size > 1 ? ['one shake'] : [];
  return [...shared, ...later.map(([number, at]) => `coat ${number} from ${clock(at)}`)].map((text) => ` · ${text}`).join('');
}
