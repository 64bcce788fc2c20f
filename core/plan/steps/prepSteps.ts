import { FLATTING_TAKES_UM, type ResolvedLayer, resolveLayer } from '#core/coats/index';
import { isMetal, type Part } from '#core/facts/index';
import { cleaningPlan, gateItems, lastWipe, markText, mendOf, ownedGrits, repairSteps, type Surface, surfaceOf } from '#core/prep/index';
import { FLASH_RUSTING } from '#core/strip/index';
import type { PartGroup, PlanContext, Ref } from '../films/index.ts';
import type { StepChain } from './chain.ts';
import { beforeFlashRust, dwell } from './gaps.ts';
import { groupAreaCm2, guardsByPrimer, isTreatedAfterStrip, type Stripped, surfaceHazards } from './stripSteps.ts';

const SAND_MINUTES_PER_100CM2 = 3;
const SHEET_CM2 = 150;
const SHEET_PRICE = 60;
const CLEAN_MINUTES = 5;
const PUT_RIGHT_MINUTES = 10;

/** Grits, scratches and what the planned primer makes of them, for one part. */
export function surfaceOfPart(part: Part, keepsPaint: boolean, context: Pick<PlanContext, 'facts' | 'workshop'>): Surface {
  const first = part.layers[0] && resolveLayer(part.layers[0], context.facts);
  const primer = first && (first.role.endsWith('primer') || first.role === 'primer') ? first : undefined;
  const film = primer ? filmLeft(primer) : null;
  return surfaceOf(part, keepsPaint, first, film, ownedGrits(context.facts));
}

/** Dry film a primer set has left after flatting, µm. */
function filmLeft(primer: ResolvedLayer): number {
  const taken = primer.layer.flatAfter === undefined ? 0 : FLATTING_TAKES_UM;
  return Math.max(0, primer.layer.coats * primer.filmUm - taken);
}

/** Repairs, grit ladder, gate and last wipe of one group of parts. */
export function addPrepSteps(
  chain: StepChain,
  group: PartGroup,
  context: PlanContext,
  stripped: Stripped,
  beforeClean: (lastOfSurface: Ref | null) => void,
  firstLayer?: ResolvedLayer,
): void {
  const { lead } = group;
  const keeps = stripped.choice.method === 'scuff' && lead.finish !== 'bare';
  addRepairs(chain, group, stripped.bareSince !== null && isTreatedAfterStrip(lead, firstLayer));
  addSanding(chain, group, context, stripped, keeps, firstLayer);
  const failures = addPutRight(chain, group, context);
  beforeClean(chain.last);
  const wipe = lastWipe(lead.material);
  const { forbidden } = cleaningPlan(lead.material, { keepsPaint: keeps });
  chain.add({
    stage: 'clean',
    number: failures + 1,
    title: 'Inspect, clean and wipe',
    minutes: CLEAN_MINUTES + group.parts.length,
    detail: `wipe with ${wipe}, one cloth wet on, one dry off; gloves from here on${forbidden.length > 0 ? `; never ${forbidden.map(({ name }) => name).join(', ')}` : ''}`,
    because: 'Side light now shows what primer will not hide. A skipped degrease makes craters.',
    hazards: isMetal(lead.material) ? ['solvent'] : [],
    consumables: 30,
    checks: gateItems(lead, stripped.bareSince !== null),
  });
}

/** `treated`: the whole part has had metal prep after stripping, so no mark needs it again. */
function addRepairs(chain: StepChain, group: PartGroup, treated: boolean): void {
  const { lead } = group;
  for (const mark of lead.marks ?? []) {
    if (treated && mendOf(mark, lead) === 'metal-prep') continue;
    const steps = repairSteps({ mend: mendOf(mark, lead), part: lead, areaCm2: groupAreaCm2(group), where: mark.where });
    let wait: { ref: Ref; minutes: readonly [number, number] } | null = null;
    for (const [index, step] of steps.entries()) {
      const ref = chain.add(
        {
          stage: 'repair',
          subject: mark.id,
          number: index + 1,
          title: step.title,
          minutes: step.minutes,
          detail: step.detail,
          hazards: [...surfaceHazards(lead, group), ...step.hazards],
          because: `The survey marked it: ${markText(mark)}.`,
          consumables: step.consumables,
        },
        wait ? [dwell(wait.ref, wait.minutes, 'it must set first')] : [],
      );
      wait = step.then ? { ref, minutes: step.then } : null;
    }
  }
}

function addSanding(
  chain: StepChain,
  group: PartGroup,
  context: PlanContext,
  stripped: Stripped,
  keeps: boolean,
  firstLayer: ResolvedLayer | undefined,
): void {
  const { lead } = group;
  const surface = surfaceOfPart(lead, keeps, context);
  const grits = surface.rungs.map((rung) => rung.grit);
  const area = groupAreaCm2(group);
  const text = grits.map((grit) => `P${grit}`).join(' then ');
  const rusts = stripped.bareSince !== null && FLASH_RUSTING.includes(lead.material) && guardsByPrimer(lead, firstLayer);
  const missing = surface.buy.length > 0 ? `; buy ${surface.buy.map((grit) => `P${grit}`).join(', ')}` : '';
  const byHand = lead.features?.length ? 'edges, rims and corners of the list by hand' : 'edges, countersinks and hole rims by hand';
  chain.add(
    {
      stage: 'prep',
      grit: grits.at(-1),
      title: keeps ? 'Scuff the sound paint' : `Sand ${text}`,
      minutes: keeps ? 3 + (2 * area) / 100 : 3 + (grits.length * SAND_MINUTES_PER_100CM2 * area) / 100,
      scuffMinutes: 2 + (2 * area) / 100,
      detail: keeps ? `${text}, wet, until evenly matt` : `${byHand}${missing}`,
      hazards: [...surfaceHazards(lead, group), 'dust'],
      because:
        `${surface.start.because} ${surface.rungs.length > 1 ? 'Each paper is at most about twice as fine as the last.' : ''}`.trim(),
      consumables: Math.ceil((grits.length * area) / SHEET_CM2) * SHEET_PRICE,
    },
    rusts && stripped.bareSince ? [beforeFlashRust(stripped.bareSince, context.clocks, context.workshop.sprayPlaceId)] : [],
  );
}

/** What a check did not let pass is put right; the gate is gone through again after it. Returns how many there were. */
function addPutRight(chain: StepChain, group: PartGroup, context: PlanContext): number {
  const failed = context.history.failedChecks(group.piece.id, group.lead.id);
  for (const event of failed) {
    chain.add({
      stage: 'repair',
      subject: event.id,
      title: 'Put right what did not pass',
      minutes: PUT_RIGHT_MINUTES + (SAND_MINUTES_PER_100CM2 * groupAreaCm2(group)) / 100,
      detail: event.item,
      hazards: [...surfaceHazards(group.lead, group), 'dust'],
      because: 'Seen before primer it costs minutes; under colour it costs the coat.',
      consumables: SHEET_PRICE,
    });
  }
  return failed.length;
}
