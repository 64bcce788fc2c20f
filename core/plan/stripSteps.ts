import { type ResolvedLayer, stackJoint } from '#core/coats/index';
import { isMetal, type OldFinish, plain, type Part, type StripMethod } from '#core/facts/index';
import { gritLadder, lastWipe } from '#core/prep/index';
import type { Hazard } from '#core/safety/index';
import { PRACTICE, stripMethods, type StripVerdict, stripVerdict } from '#core/strip/index';
import { partAreaCm2 } from '#core/survey/index';
import type { StepChain } from './chain.ts';
import { dwell } from './gaps.ts';
import type { PartGroup } from './step.ts';

/** Minutes of BRIEF §12. */
const WASH_MINUTES = 5;
const SAND_MINUTES_PER_100CM2 = 3;
const SHEET_CM2 = 150;
const SHEET_PRICE = 60;
const CLEAN_MINUTES = 5;
const TEST_PATCH_MINUTES = 5;

/** Old paint that is kept and scuffed: unknown, so the weakest film there is. */
export const KEPT_PAINT = { family: 'unknown' as const, role: 'colour' as const, flatted: true };

export type StripChoice = {
  readonly method: StripMethod | null;
  readonly verdict: StripVerdict | null;
  /** The person's own choice, not the tool's. */
  readonly chosen: boolean;
  readonly because: string;
  /** Set when the chosen method is one that is never used here. */
  readonly refused?: string;
};

/** The method that will be planned: the person's unless it is never (or "I know" where it only ruins the part), else the advised. */
export function stripChoice(part: Part, leadExcluded: boolean, firstLayer?: ResolvedLayer): StripChoice {
  const question = { material: part.material, finish: part.finish, leadExcluded, printed: part.printed, staysClear: part.staysClear };
  if (part.finish === 'bare')
    return { method: null, verdict: null, chosen: false, because: 'The surface is bare: there is nothing to strip.' };
  if (part.stripMethod !== undefined) {
    const verdict = stripVerdict(question, part.stripMethod);
    const allowed = verdict.verdict !== 'never' || (!verdict.noOverride && part.iKnow?.includes(part.stripMethod));
    return { method: part.stripMethod, verdict, chosen: true, because: verdict.because, ...(allowed ? {} : { refused: verdict.because }) };
  }
  const advice = stripMethods(question);
  if (advice.advised === 'scuff' && firstLayer && stackJoint(part.material, KEPT_PAINT, firstLayer, true).verdict === 'stop') {
    const bare = stripMethods({ ...question, finish: 'unknown' });
    const verdict = bare.methods.find((row) => row.method === bare.advised) ?? null;
    return {
      method: bare.advised,
      verdict,
      chosen: false,
      because: `The old paint is sound, but ${firstLayer.name} would lift it: off it comes.`,
    };
  }
  const verdict = advice.methods.find((row) => row.method === advice.advised) ?? null;
  return {
    method: advice.advised,
    verdict,
    chosen: false,
    because: advice.because,
    ...(advice.advised ? {} : { refused: advice.because }),
  };
}

/** Coats of old paint decide how often the stripper goes on: perforated or unknown finish, twice (BRIEF §3). */
export function applicationsOf(method: StripMethod, finish: OldFinish): number {
  const usual = PRACTICE[method].applications;
  return method === 'gel' && finish === 'flaking' ? 1 : usual;
}

/** Minutes, days and cost of one method on a part, for the comparison. */
export function stripEffort(part: Part, method: StripMethod): { minutes: number; waitMinutes: number; cost: number; applications: number } {
  const practice = PRACTICE[method];
  const area = partAreaCm2(part) / 100;
  const applications = applicationsOf(method, part.finish);
  return {
    applications,
    minutes: Math.round(applications * (practice.fixed + practice.per100cm2 * area)),
    waitMinutes: practice.waits ? applications * practice.dwell[0] : 0,
    cost: Math.round(applications * practice.costPer100cm2 * area),
  };
}

/** Wash, test patch, strip, sand and clean: all that comes before paint on one group of parts. */
export function addStripSteps(chain: StepChain, group: PartGroup, firstLayer?: ResolvedLayer): StripChoice {
  const { lead, parts, piece } = group;
  const choice = stripChoice(lead, piece.leadExcluded, firstLayer);
  const area = parts.reduce((sum, part) => sum + partAreaCm2(part), 0);
  const oldPaint: Hazard[] = piece.leadExcluded || lead.finish === 'bare' ? [] : ['lead'];
  chain.add({
    stage: 'wash',
    title: 'Wash and degrease',
    minutes: WASH_MINUTES + parts.length,
    detail: 'warm water and detergent, rinse, dry',
    because: 'Grease is sanded into scratches and shields paint from stripper.',
  });
  if (choice.refused) chain.stop(choice.refused);
  if (choice.method && choice.method !== 'scuff') addMethod(chain, choice.method, choice, area, lead.finish, oldPaint);
  addSanding(chain, lead, choice, area, oldPaint);
  chain.add({
    stage: 'clean',
    title: 'Inspect, clean and wipe',
    minutes: CLEAN_MINUTES + parts.length,
    detail: `last wipe with ${lastWipe(lead.material)}; gloves from here on`,
    because: 'Side light now shows what primer will not hide. A skipped degrease makes craters.',
    hazards: isMetal(lead.material) ? ['solvent'] : [],
    consumables: 30,
  });
  return choice;
}

function addMethod(
  chain: StepChain,
  method: StripMethod,
  choice: StripChoice,
  area: number,
  finish: OldFinish,
  oldPaint: readonly Hazard[],
): void {
  const practice = PRACTICE[method];
  const hazards: Hazard[] = [...oldPaint, ...practice.hazard];
  const name = plain(method);
  const cost = (practice.costPer100cm2 * area) / 100;
  const applications = applicationsOf(method, finish);
  if (choice.verdict?.testPatch === 'required') {
    const patch = chain.add({
      stage: 'test-patch',
      title: `Test patch, ${name}`,
      minutes: TEST_PATCH_MINUTES,
      detail: 'a hidden spot; look after the dwell',
      hazards,
      method,
      because: choice.because,
    });
    chain.add({ stage: 'look', subject: 'patch', title: 'Look at the test patch', minutes: 2, because: 'It settles the method.' }, [
      dwell(patch, [Math.max(5, practice.dwell[0]), 7 * 1440], 'the patch needs its dwell'),
    ]);
  }
  for (let number = 1; number <= applications; number++) {
    const round = applications > 1 ? `, time ${number} of ${applications}` : '';
    if (!practice.waits) {
      chain.add({
        stage: 'strip',
        number,
        method,
        title: `Strip by ${name}${round}`,
        minutes: practice.fixed + (practice.per100cm2 * area) / 100,
        hazards,
        because: choice.because,
        consumables: cost,
      });
      continue;
    }
    const on = chain.add({
      stage: 'strip-on',
      number,
      method,
      title: `${name[0].toUpperCase()}${name.slice(1)} on${round}`,
      minutes: practice.fixed,
      hazards,
      because: choice.because,
      consumables: cost,
      detail: method === 'gel' ? 'thick, kept wet under film' : '',
    });
    const wait = [dwell(on, practice.dwell, 'the stripper needs its dwell')];
    chain.add(
      {
        stage: 'strip-off',
        number,
        method,
        title: `Old paint off, rinse${round}`,
        minutes: Math.max(5, (practice.per100cm2 * area) / 100),
        hazards,
        because: 'Crevices, undersides and inside corners too.',
        detail: 'plastic scraper on soft metal; rinse, dry',
      },
      wait,
    );
  }
}

function addSanding(chain: StepChain, lead: Part, choice: StripChoice, area: number, oldPaint: readonly Hazard[]): void {
  const keeps = choice.method === 'scuff';
  const first = lead.layers[0];
  const next = first?.wanted?.role === 'filler-primer' ? ('filler-primer' as const) : ('fine-primer' as const);
  const from = keeps ? 400 : isMetal(lead.material) ? 240 : 400;
  const ladder = gritLadder(from, next) ?? { grits: [from], ratios: [] };
  const grits = keeps ? [from] : ladder.grits;
  const text = grits.map((grit) => `P${grit}`).join(' then ');
  chain.add({
    stage: 'prep',
    grit: grits.at(-1),
    title: keeps ? 'Scuff the sound paint' : `Sand ${text}`,
    minutes: keeps ? 3 + (2 * area) / 100 : 3 + (grits.length * SAND_MINUTES_PER_100CM2 * area) / 100,
    detail: keeps ? `${text}, wet, until evenly matt` : 'edges, countersinks and hole rims by hand',
    hazards: [...oldPaint, 'dust'],
    because: `Each grit is at most twice as fine as the last${ladder.ratios.length ? ` (${ladder.ratios.map((ratio) => ratio.toFixed(2)).join(', ')})` : ''}; paint needs a key to hold.`,
    consumables: Math.ceil((grits.length * area) / SHEET_CM2) * SHEET_PRICE,
  });
}
