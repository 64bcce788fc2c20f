import type { ResolvedLayer } from '#core/coats/index';
import { type Part, plain, type StripMethod } from '#core/facts/index';
import { cleaningPlan } from '#core/prep/index';
import type { Hazard } from '#core/safety/index';
import { applicationsOf, dwellOn, dwells, FLASH_RUSTING, looksAt, minutesFactor, PRACTICE } from '#core/strip/index';
import { isPerforated, partAreaCm2 } from '#core/survey/index';
import { durationText } from '#core/units/index';
import type { PartGroup, PlanContext, Ref } from '../films/index.ts';
import { dwellFactor, progressOf, type StripChoice, stripChoice } from '../verdicts/index.ts';
import type { StepChain } from './chain.ts';
import { beforeFlashRust, dwell } from './gaps.ts';

/** Minutes of BRIEF §12. */
const WASH_MINUTES = 5;
const TEST_PATCH_MINUTES = 5;
const PATCH_WAITS_AT_MOST = 7 * 1440;
/** A long soak may be looked at after this: else no evening could begin and end it. */
const EVENING_DWELL = 120;
const METAL_PREP_MINUTES = 20;
const RUB_RUST_MINUTES_PER_100CM2 = 2;

export type Stripped = {
  readonly choice: StripChoice;
  /** When the old paint was off and the metal bare, where anything was removed. */
  readonly bareSince: Ref | null;
};

/** Hazards of working the old surface of a part. */
export function surfaceHazards(part: Part, group: PartGroup): Hazard[] {
  return [
    ...(group.piece.leadExcluded || part.finish === 'bare' ? [] : (['lead'] as const)),
    ...(part.material === 'magnesium' || part.alsoMaterial === 'magnesium' ? (['magnesium'] as const) : []),
    ...(part.stops?.includes('celluloid') ? (['celluloid'] as const) : []),
    ...(part.stops?.includes('spring') ? (['spring'] as const) : []),
  ];
}

export function groupAreaCm2(group: PartGroup): number {
  return group.parts.reduce((sum, part) => sum + partAreaCm2(part), 0);
}

/** Wash, test patch, strip and guard against rust: all until the old paint is off one group of parts. */
export function addStripSteps(chain: StepChain, group: PartGroup, context: PlanContext, firstLayer?: ResolvedLayer): Stripped {
  const { lead, parts, piece } = group;
  const choice = stripChoice(lead, piece, firstLayer, context.history);
  const keeps = choice.method === 'scuff' && lead.finish !== 'bare';
  const { forbidden } = cleaningPlan(lead.material, { keepsPaint: keeps });
  chain.add({
    stage: 'wash',
    title: 'Wash and degrease',
    minutes: WASH_MINUTES + parts.length,
    detail: `warm water and detergent, rinse, dry${forbidden.length > 0 ? `; no ${forbidden.map(({ name }) => name).join(', no ')}` : ''}`,
    because: 'Grease is sanded into scratches and shields paint from stripper.',
    hazards: surfaceHazards(lead, group),
  });
  if (choice.refused) chain.stop(choice.refused);
  if (!choice.method || choice.method === 'scuff') return { choice, bareSince: null };
  addTestPatch(chain, group, context, choice, choice.method);
  const off = addApplications(chain, group, context, choice, choice.method);
  if (off && isTreatedAfterStrip(lead, firstLayer)) addRustGuard(chain, group, context, off);
  return { choice, bareSince: off };
}

function addTestPatch(chain: StepChain, group: PartGroup, context: PlanContext, choice: StripChoice, method: StripMethod): void {
  const { lead, piece } = group;
  const settled = context.history.patches(piece.id, lead.id).some((patch) => patch.method === method);
  const begun = context.history.applications(piece.id, lead.id).some((own) => own.method === method);
  if (choice.verdict?.testPatch !== 'required' || settled || begun) return;
  const { usual } = dwellOn(method, lead.material, dwellFactor(method, lead, context));
  const name = plain(method);
  const patch = chain.add({
    stage: 'test-patch',
    subject: method,
    title: `Test patch, ${name}`,
    minutes: TEST_PATCH_MINUTES,
    detail: 'on a hidden spot; look after the dwell',
    hazards: [...surfaceHazards(lead, group), ...PRACTICE[method].hazards],
    method,
    because: choice.because,
  });
  chain.add(
    {
      stage: 'look',
      subject: `patch-${method}`,
      title: `Look at the patch of ${name}`,
      minutes: 2,
      because: 'What it did settles the method for the whole part.',
      asks: { kind: 'patch', method, application: 1 },
    },
    [dwell(patch, [dwells(method) ? Math.min(usual, EVENING_DWELL) : 0, PATCH_WAITS_AT_MOST], 'the patch needs its dwell')],
  );
}

/** The applications still to come, as many as the log and the old paint ask for; returns when the last was off. */
function addApplications(chain: StepChain, group: PartGroup, context: PlanContext, choice: StripChoice, method: StripMethod): Ref | null {
  const { lead, piece } = group;
  const work = { finish: lead.finish, oldCoats: lead.oldCoats, perforated: isPerforated(lead) };
  const past = context.history.applications(piece.id, lead.id).filter((own) => own.method === method).length;
  const progress = progressOf(lead, piece, method, context.history);
  const wanted = progress?.next === 'done' ? past : progress?.next === 'again' ? past + 1 : Math.max(past, applicationsOf(method, work));
  const longer = progress?.next === 'again' ? progress.dwellMinutes : undefined;
  const { least, usual, most } = dwellOn(method, lead.material, dwellFactor(method, lead, context));
  const dwellMinutes = Math.min(most, longer ?? usual);
  const practice = PRACTICE[method];
  const area = groupAreaCm2(group);
  const offMinutes = (practice.per100cm2 * area * minutesFactor(work)) / 100;
  const shared = {
    method,
    hazards: [...surfaceHazards(lead, group), ...practice.hazards],
    because: progress?.next === 'again' ? progress.because : choice.because,
    subject: method,
  };
  const name = plain(method);
  let off: Ref | null = null;
  for (let number = 1; number <= wanted; number++) {
    const round = wanted > 1 ? `, time ${number} of ${wanted}` : '';
    const asks = { kind: 'stripped' as const, method, application: number };
    if (!dwells(method)) {
      off = chain.add({
        ...shared,
        stage: 'strip',
        number,
        title: `Strip by ${name}${round}`,
        minutes: practice.fixed + offMinutes,
        consumables: (practice.costPer100cm2 * area) / 100,
        asks,
      });
      continue;
    }
    const on = chain.add({
      ...shared,
      stage: 'strip-on',
      number,
      title: `${name[0].toUpperCase()}${name.slice(1)} on${round}`,
      minutes: practice.fixed,
      consumables: (practice.costPer100cm2 * area) / 100,
      detail: method === 'gel' ? 'thick, kept wet under film' : '',
    });
    off = chain.add(
      {
        ...shared,
        stage: 'strip-off',
        number,
        title: `Old paint off, rinse${round}`,
        minutes: Math.max(5, offMinutes),
        because: 'Crevices, undersides and inside corners too.',
        detail: `plastic scraper on soft metal; rinse, dry; ${durationText(most)} on at the most`,
        looks: looksAt(dwellMinutes),
        asks,
      },
      [dwell(on, [Math.max(least, Math.min(dwellMinutes, EVENING_DWELL)), most], 'the stripper needs its dwell')],
    );
  }
  return off;
}

/** Bare steel meets metal prep the same session. */
function addRustGuard(chain: StepChain, group: PartGroup, context: PlanContext, off: Ref): void {
  const area = groupAreaCm2(group);
  chain.add(
    {
      stage: 'metal-prep',
      title: 'Phosphoric metal prep, rinse, dry',
      minutes: METAL_PREP_MINUTES + area / 100,
      scuffMinutes: 2 + (RUB_RUST_MINUTES_PER_100CM2 * area) / 100,
      detail: 'keep it wet 20 min, rinse, warm air; no acid-etch primer over it',
      hazards: ['acid'],
      because: 'Stripped steel flash-rusts within hours; phosphate holds it until it is primed.',
      consumables: 40,
    },
    [beforeFlashRust(off, context.clocks, context.workshop.sprayPlaceId)],
  );
}

/** Phosphate under acid etch is a known adhesion failure: there the primer itself must come in time. */
export function guardsByPrimer(part: Part, firstLayer: ResolvedLayer | undefined): boolean {
  return firstLayer?.family === 'etch-primer' || part.rustGuard === 'prime';
}

/** Whether the bare metal gets phosphoric metal prep right after stripping. */
export function isTreatedAfterStrip(part: Part, firstLayer: ResolvedLayer | undefined): boolean {
  return FLASH_RUSTING.includes(part.material) && !guardsByPrimer(part, firstLayer);
}
