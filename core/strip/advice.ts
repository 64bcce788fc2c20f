import { type OldFinish, type OldPaint, STRIP_METHODS, type StripMethod } from '#core/facts/index';
import { durationText, sentences, type WorkSize } from '#core/units/index';
import { fitsStays, type Stays } from './inStays.ts';
import { applicationsOf, dwellOn, dwells, methodMinutes, methodMoney, PRACTICE } from './practice.ts';
import { type StripQuestion, type StripVerdict, stripVerdict, VERDICT_RANK } from './verdict.ts';

/** Which method is advised: of those that are right, the one that asks least of the person, the clock and the purse. */

export type StripAdvice = {
  readonly methods: readonly StripVerdict[];
  readonly advised: StripMethod | null;
  readonly because: string;
};

/** What the choice knows of the work beside the question: its size, the tub, and whether the faces are plain. */
export type StripScope = {
  readonly size: WorkSize;
  /** Whether the part fits the tub owned; undefined: no tub is known of. */
  readonly fitsTub?: boolean;
  readonly bathLitres?: number;
  /** Plain faces without relief: paper and brush reach everything. */
  readonly plain?: boolean;
  readonly oldCoats?: number;
  /** The hours there are: no method is advised that cannot go on and come off in them. */
  readonly stays?: Stays;
};

/** A casting the size of a hand, no tub, with relief: what is meant where nothing is said. */
const USUAL_SCOPE: StripScope = { size: { copyCm2: 150, copies: 1, factor: 1 } };

/** What an hour at the bench is worth, minor units of money; and what a minute of waiting counts beside one at work. */
const HOUR_IS_WORTH = 1000;
const WAITING_COUNTS = 0.02;

/** Never one the trade no longer suggests, nor one that few own; mildest first, which breaks ties. */
const SUGGESTED: readonly StripMethod[] = ['gel', 'alcohol', 'alkaline', 'caustic', 'wet-sand', 'brush'];

/** Under this wet sanding to bare is no longer than any other way. */
const PAPER_MOST_CM2 = 100;

/** Alcohol softens hobby and household water paints; on anything else it is a hope. */
const ALCOHOL_TAKES: readonly OldPaint[] = ['household', 'own-coat'];

/** The whole cost of a method in evening-minutes: attended, waited and paid. */
export function methodCost(method: StripMethod, question: StripQuestion, scope: StripScope): number {
  const applications = applicationsOf(method, { finish: question.finish ?? 'unknown', oldCoats: scope.oldCoats });
  const wait = dwells(method) ? applications * dwellOn(method, question.material).usual : 0;
  const money = methodMoney(method, scope.size, scope.bathLitres ?? 0, applications);
  return methodMinutes(method, scope.size, applications) + WAITING_COUNTS * wait + (money / HOUR_IS_WORTH) * 60;
}

/** Whether the hours there are let it go on and come off. */
function inTime(method: StripMethod, { material }: StripQuestion, { size, stays }: StripScope): boolean {
  return stays === undefined || fitsStays(method, material, size, stays);
}

/** Whether a method can be advised at all: it takes this paint, reaches it, and the part fits where it must lie. */
function serves(method: StripMethod, question: StripQuestion, scope: StripScope): boolean {
  const { bath, reaches } = PRACTICE[method];
  if (bath && scope.fitsTub !== true) return false;
  if (!inTime(method, question, scope)) return false;
  if (!reaches && scope.plain !== true) return false;
  return method !== 'alcohol' || (question.oldPaint !== undefined && ALCOHOL_TAKES.includes(question.oldPaint));
}

/**
 * All methods with their verdicts and the advised one; nothing where the surface is bare. Where no method that serves is right,
 * the mildest that is not never.
 * @param without methods that own evidence has ruled out on this part
 */
export function stripMethods(question: StripQuestion, without: readonly StripMethod[] = [], scope: StripScope = USUAL_SCOPE): StripAdvice {
  const methods = STRIP_METHODS.map((method) => stripVerdict(question, method));
  if (question.finish === 'bare') return { methods, advised: null, because: 'The surface is bare: there is nothing to strip.' };
  if (question.stays) return { methods, advised: null, because: STAYS[question.stays] };
  const kept = keptAdvice(question, methods, without);
  if (kept) return { methods, ...kept };
  const open = methods.filter((row) => row.verdict !== 'never' && SUGGESTED.includes(row.method) && !without.includes(row.method));
  const serving = open.filter((row) => serves(row.method, question, scope));
  // Paper rounds edges and detail: only a palm of area, or where no stripper serves (trade §3).
  const byPaper = scope.size.copyCm2 * scope.size.copies < PAPER_MOST_CM2 || !serving.some(({ method }) => dwells(method));
  const usable = serving.filter(({ method }) => method !== 'wet-sand' || byPaper);
  const byVerdict = (a: StripVerdict, b: StripVerdict) => VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict];
  const byMildness = (a: StripVerdict, b: StripVerdict) => SUGGESTED.indexOf(a.method) - SUGGESTED.indexOf(b.method);
  const byHours = (a: StripVerdict, b: StripVerdict) =>
    Number(inTime(b.method, question, scope)) - Number(inTime(a.method, question, scope));
  const byCost = (a: StripVerdict, b: StripVerdict) => methodCost(a.method, question, scope) - methodCost(b.method, question, scope);
  const best =
    [...usable].sort((a, b) => byVerdict(a, b) || byCost(a, b) || byMildness(a, b))[0] ??
    [...open].sort((a, b) => byHours(a, b) || byVerdict(a, b) || byMildness(a, b))[0];
  if (!best) return { methods, advised: null, because: NO_METHOD[question.material === 'unknown' ? 'unknown' : 'known'] };
  const rivals = usable.filter((row) => row.verdict === best.verdict && row !== best);
  const leftOut = open.filter((row) => row.verdict === best.verdict && !usable.includes(row));
  return {
    methods,
    advised: best.method,
    because: sentences(best.because, reasonFor(best, rivals, question, scope), outOfReach(leftOut, scope)),
  };
}

/** Sound paint that takes a scuff is the plain, cheap road wherever bare metal is not wanted. */
function keptAdvice(
  question: StripQuestion,
  methods: readonly StripVerdict[],
  without: readonly StripMethod[],
): Pick<StripAdvice, 'advised' | 'because'> | null {
  const keep = methods.find((row) => row.method === 'scuff');
  const right = keep?.verdict === 'ok' && question.finish === ('sound' satisfies OldFinish);
  if (!right || question.toBare || without.includes('scuff')) return null;
  return { advised: 'scuff', because: 'The paint is sound: scuffed, it is a fine base, and the cheapest.' };
}

function reasonFor(best: StripVerdict, rivals: readonly StripVerdict[], question: StripQuestion, scope: StripScope): string {
  if (rivals.length === 0) return 'Of what serves here nothing else is as right.';
  const applications = applicationsOf(best.method, { finish: question.finish ?? 'unknown', oldCoats: scope.oldCoats });
  return `Of what is right here it asks least: about ${durationText(methodMinutes(best.method, scope.size, applications))} at the bench.`;
}

/** Why baths that are as right were not weighed: no tub is noted, or it is too small. */
function outOfReach(leftOut: readonly StripVerdict[], { fitsTub }: StripScope): string {
  if (!leftOut.some(({ method }) => PRACTICE[method].bath)) return '';
  return fitsTub === false
    ? 'It fits into no tub you have, so no bath is weighed.'
    : 'A bath may be quicker: note your largest tub in Workshop.';
}

const STAYS: Record<NonNullable<StripQuestion['stays']>, string> = {
  clear: 'It stays clear: it is only washed.',
  plated: 'Its plating stays: it is only washed.',
  printed: 'Its printing stays: it is only washed.',
};

const NO_METHOD = {
  unknown: 'No method is safe on this. Find out the material first: a magnet, a hidden scratch.',
  known: 'No method that is safe here is left. Scuff and keep what holds, or leave the part as it is.',
};
