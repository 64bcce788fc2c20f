import { plain, type StripMethod } from '#core/facts/index';
import { type HazardousWork, hazardsOf } from '../hazards.ts';
import {
  applicationsOf,
  dwellBounds,
  dwellOn,
  dwells,
  looksAt,
  methodMinutes,
  EVENING_DWELL,
  offMinutes,
  onMinutes,
  patchesOf,
  PRACTICE,
  roomForDwell,
  type Stays,
  STRIP_SETUP_MINUTES,
  stripperMl,
} from '#core/strip/index';
import { bathLitres, workSize } from '#core/survey/index';
import { capital, durationText, toMinute, type WorkSize } from '#core/units/index';
import type { PlanContext, Ref } from '../../films/index.ts';
import { dwellFactor, progressOf, type StripChoice } from '../../verdicts/index.ts';
import { usualActs } from '../acts.ts';
import { MOST_TREATMENT_MINUTES, type StepChain } from '../chain.ts';
import { beforeFlashRust, dwell } from '../constraints.ts';
import { coveredFirst, flashRusts, hasFineFaces } from './surfaceParts.ts';
import { keysVents, papers } from '#core/prep/index';

/** Test patch and applications of stripper: all until the old paint is off one part. */

const TEST_PATCH_MINUTES = 5;
/** Laying out again what already stands ready. */
const AGAIN_SETUP_MINUTES = 3;
const PATCH_WAITS_AT_MOST = 7 * 1440;

/** Adds what takes the old paint off; returns when the last of it was off, null where nothing is removed. */
export function addStripping(chain: StepChain, context: PlanContext, choice: StripChoice): Ref | null {
  if (choice.refused) chain.stop(choice.refused);
  const { method } = choice;
  if (!method || method === 'scuff') return null;
  addTestPatch(chain, context, choice, method);
  return addApplications(chain, context, choice, method);
}

function addTestPatch(chain: StepChain, context: PlanContext, choice: StripChoice, method: StripMethod): void {
  const { part, piece } = chain.of;
  const settled = context.history.patches(piece.id, part.id).some((patch) => patch.method === method);
  const begun = context.history.applications(piece.id, part.id).some((own) => own.method === method);
  // Paper and brush show at the first stroke what they do; a patch is for what works unseen, and for what needs care.
  const tellsAtOnce = !dwells(method) && choice.verdict?.verdict === 'ok';
  if (choice.verdict?.testPatch !== 'required' || settled || begun || tellsAtOnce) return;
  const { usual } = dwellOn(method, part.material, dwellFactor(method, part, context));
  const name = plain(method);
  const patch = chain.add({
    stage: 'test-patch',
    subject: method,
    title: `Test patch, ${name}`,
    minutes: TEST_PATCH_MINUTES,
    setup: 2,
    detail: 'on a hidden spot; look after the dwell',
    hazards: hazardsOf(chain.of, PRACTICE[method].hazards),
    method,
    because: choice.because,
    treatment: `test patch ${method}`,
  });
  chain.add(
    {
      stage: 'look',
      subject: `patch-${method}`,
      title: `Look at the patch of ${name}`,
      minutes: 2,
      because: 'What it did settles the method for the whole part.',
      asks: { kind: 'patch', method, application: 1 },
      treatment: `look at the patch ${method}`,
      tight: true,
    },
    [dwell(patch, [dwells(method) ? Math.min(usual, EVENING_DWELL) : 0, PATCH_WAITS_AT_MOST], 'the patch needs its dwell')],
  );
}

type Round = HazardousWork & {
  readonly method: StripMethod;
  readonly number: number;
  readonly of: number;
  readonly size: WorkSize;
  readonly because: string;
  readonly dwellMinutes: number;
  readonly least: number;
  readonly most: number;
};

/** The applications still to come, as many as the log and the old paint ask for. */
function addApplications(chain: StepChain, context: PlanContext, choice: StripChoice, method: StripMethod): Ref | null {
  const { part, piece } = chain.of;
  const applied = context.history.applications(piece.id, part.id).filter((own) => own.method === method);
  const past = applied.length;
  const progress = progressOf(part, piece, method, context.history);
  const last = applied.at(-1);
  // Clean is clean: sittings and patches that were still planned of it are left out.
  if (progress?.next === 'done' && last) return { at: toMinute(last.at) };
  const planned = applicationsOf(method, { finish: part.finish, oldCoats: part.oldCoats });
  const wanted = progress?.next === 'again' ? past + 1 : Math.max(past, planned);
  const longer = progress?.next === 'again' ? progress.dwellMinutes : undefined;
  const { least, usual, most } = dwellOn(method, part.material, dwellFactor(method, part, context));
  const size = workSize(part);
  if (methodMinutes(method, size, wanted) > MOST_TREATMENT_MINUTES) chain.stop(tooMuch(method, methodMinutes(method, size, wanted)));
  let off: Ref | null = null;
  for (let number = 1; number <= wanted; number++) {
    const round: Round = {
      method,
      number,
      of: wanted,
      size,
      because: progress?.next === 'again' ? progress.because : choice.because,
      dwellMinutes: Math.min(most, longer ?? usual),
      least,
      most,
      ...chain.of,
    };
    off = dwells(method) ? addOnAndOff(chain, context, round) : addByHand(chain, context, round);
  }
  return off;
}

/** Over forty hours of one method: a wrong size, or the wrong method. The quicker ones are named. */
function tooMuch(method: StripMethod, minutes: number): string {
  return `${capital(plain(method))} would take ${durationText(minutes)} at the bench here: the size is wrong, or the method. Check sizes and copies; a bath the part fits into, or blasting where lead is excluded, is quicker.`;
}

function roundText({ number, of }: Round): string {
  return of > 1 ? `, time ${number} of ${of}` : '';
}

function addByHand(chain: StepChain, context: PlanContext, round: Round): Ref {
  const { method, number, size, because } = round;
  const fine = hasFineFaces(chain.of.part, chain.of.piece);
  return chain.add(
    {
      stage: 'strip',
      subject: method,
      method,
      number,
      hazards: hazardsOf(round, PRACTICE[method].hazards),
      because,
      title: `Strip by ${plain(method)}${roundText(round)}`,
      minutes: offMinutes(method, size, number),
      setup: STRIP_SETUP_MINUTES,
      detail: coveredFirst(
        chain.of.part,
        chain.of.piece,
        keysVents(chain.of.part) ? 'the vents are only keyed, with a grey pad on a stick: what holds there stays' : '',
      ),
      // Old paint clogs: twice the paper that bare metal takes.
      supplies: method === 'wet-sand' ? papers(fine ? [400, 400] : [240, 240], size) : [],
      asks: { kind: 'stripped', method, application: number },
      treatment: `strip ${method} ${number}${fine ? ' fine' : ''}`,
    },
    [],
    (ref) => (flashRusts(chain.of.part) ? [beforeFlashRust(ref, context)] : []),
  );
}

/** On, dwell, off. What cannot be scraped in one stay goes by patches, each scraped before it dries on. */
function addOnAndOff(chain: StepChain, context: PlanContext, round: Round): Ref {
  const { method, number, size } = round;
  const off = offMinutes(method, size, number);
  const patches = patchesOf(method, size, off, context.workshop, round.dwellMinutes);
  let last: Ref = { at: context.now };
  for (let patch = 1; patch <= patches; patch++) last = addPatch(chain, round, context.workshop, patch, patches);
  return last;
}

function addPatch(chain: StepChain, round: Round, stays: Stays, patch: number, patches: number): Ref {
  const { method, number, size, dwellMinutes, least, most, because } = round;
  const name = plain(method);
  const hazards = hazardsOf(round, PRACTICE[method].hazards);
  const several = patches > 1 ? ` patch ${patch} of ${patches}` : '';
  const key = patch === 1 ? number : number * 100 + patch;
  const litres = bathLitres(chain.of.part);
  const wood = chain.of.part.material === 'wood';
  const on = chain.add({
    stage: 'strip-on',
    subject: method,
    number: key,
    method,
    hazards,
    because,
    title: `${capital(name)} on${several ? `,${several}` : ''}${roundText(round)}`,
    minutes: onMinutes(method, size) / patches,
    setup: number === 1 && patch === 1 ? STRIP_SETUP_MINUTES : AGAIN_SETUP_MINUTES,
    detail: PRACTICE[method].bath ? `about ${litres} L, the part under the level, lid on` : 'thick, kept wet under film',
    supplies: [
      // A bath is used again the second time.
      ...(PRACTICE[method].bath && number > 1
        ? []
        : [{ kind: 'stripper' as const, spec: name, unit: 'mL' as const, amount: stripperMl(method, size, litres) / patches }]),
    ],
    treatment: `strip on ${method} ${number}${several}`,
  });
  const { shortest, longest } = dwellBounds(
    method,
    { least, usual: dwellMinutes, most },
    roomForDwell((onMinutes(method, size) + offMinutes(method, size, number)) / patches, stays),
  );
  return chain.add(
    {
      stage: 'strip-off',
      subject: method,
      number: key,
      method,
      hazards,
      ...(wood ? { acts: usualActs({ stage: 'strip-on', method }) } : {}),
      title: `Old paint off${wood ? ', wiped with spirit' : ', rinse'}${several ? `,${several}` : ''}${roundText(round)}`,
      minutes: Math.max(5, offMinutes(method, size, number) / patches),
      because: 'Old paint is looked for in crevices, undersides and inside corners too.',
      detail: `${wood ? 'scraper with the grain; spirit on a cloth, no water' : `plastic scraper on soft metal; rinse${PRACTICE[method].bath ? ' until neutral' : ''}, dry${flashRusts(chain.of.part) ? ' at once by warm air' : ''}`}; ${durationText(most)} on at the most`,
      looks: looksAt(dwellMinutes),
      ...(patch === patches ? { asks: { kind: 'stripped' as const, method, application: number } } : {}),
      treatment: `strip off ${method} ${number}${several}${wood ? ' wood' : ''}`,
      tight: true,
    },
    [dwell(on, [shortest, longest], 'the stripper needs its dwell')],
  );
}
