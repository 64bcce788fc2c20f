import type { Piece } from '#core/facts/index';
import type { PlannedStep, PlanView, Session, WetNearby } from '#core/plan/index';
import { capital, listed, plural } from '#core/units/index';

/** The stay shown on Tonight: the one that is on, else the next. */
export function stayOf(plan: PlanView): { session: Session; on: boolean } | null {
  const session = plan.sessions[0];
  if (!session) return null;
  const on = plan.free.some((span) => span.from <= plan.now && plan.now < span.to && session.from < span.to && session.from >= span.from);
  return { session, on };
}

export type StayRow = {
  readonly id: string;
  readonly at: number;
  readonly title: string;
  readonly detail: string;
  readonly minutes: number;
  readonly step: PlannedStep | null;
};

/** Things to have within reach, from what the steps of the stay use. */
export function layOutText(steps: readonly PlannedStep[]): string {
  const paints = [...new Set(steps.flatMap((step) => (step.coat ? [step.coat.name] : [])))];
  const things = new Set<string>();
  for (const step of steps) {
    if (step.stage === 'mask') things.add('fine line tape 3 mm');
    if (step.coat) {
      things.add('tack cloth');
      things.add('gloves');
    }
    if (step.grit) things.add(`P${step.grit}`);
    if (step.method === 'gel') things.add('stripper, scraper');
    if (step.stage === 'metal-prep') things.add('metal prep, goggles');
    if (step.stage === 'promoter') things.add('adhesion promoter');
    if (step.stage === 'clean') things.add('side light, wipes');
    if (step.stage === 'repair') things.add('filler, files');
  }
  return [...paints, ...things].join(', ') || 'gloves';
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
