import { isMetal, type Material, type Part, type Piece, type StripMethod } from '#core/facts/index';
import { type StripAdvice, type StripScope, stripMethods } from './advice.ts';
import { applicationsOf, dwellOn, dwells, methodMinutes, methodMoney, PRACTICE, type StripHazard, type StripWork } from './practice.ts';
import { stripQuestionOf, type StripVerdict } from './verdict.ts';

/** One method on one part in full: what it asks of the person, the purse and the steps after it. */
export type StripOption = StripVerdict & {
  readonly dwell: { readonly least: number; readonly usual: number; readonly most: number } | null;
  readonly applications: number;
  /** Minutes attended in all, and minutes it works alone. */
  readonly minutes: number;
  readonly waitMinutes: number;
  /** Evenings it takes at an hour a sitting, one more for each long soak. */
  readonly days: number;
  /** Stripper and abrasive, minor units. */
  readonly cost: number;
  readonly hazards: readonly StripHazard[];
  readonly followUps: readonly string[];
  /** Of a bath: litres that cover the part, and whether it fits the tub owned; absent: no tub is known of. */
  readonly bathLitres?: number;
  readonly fitsTub?: boolean;
};

const SITTING_MINUTES = 60;
const LONG_SOAK_MINUTES = 180;

/** Metals that flash-rust within minutes to hours once bare. */
export const FLASH_RUSTING: readonly Material[] = ['steel', 'cast-iron', 'tinplate'];

/** Set-up of a treatment: laid out, gloves on, cleared away (trade §12). */
export const STRIP_SETUP_MINUTES = 10;

/** Every method for a part of this size, with the advised one; what own evidence has ruled out is not among them. */
export function stripOptions(
  part: Part,
  piece: Pick<Piece, 'leadExcluded' | 'limit' | 'parts'>,
  scope: StripScope,
  without: readonly StripMethod[] = [],
  learned: (method: StripMethod) => number = () => 1,
): { readonly options: readonly StripOption[] } & Pick<StripAdvice, 'advised' | 'because'> {
  const { methods, advised, because } = stripMethods(stripQuestionOf(part, piece), without, scope);
  const work: StripWork = { finish: part.finish, oldCoats: part.oldCoats };
  const left = methods.filter(({ method }) => !without.includes(method));
  return { advised, because, options: left.map((verdict) => option(verdict, part, work, scope, learned(verdict.method))) };
}

function option(
  verdict: StripVerdict,
  part: Part,
  work: StripWork,
  { size, fitsTub, bathLitres = 0 }: StripScope,
  learned: number,
): StripOption {
  const { method } = verdict;
  const practice = PRACTICE[method];
  const applications = applicationsOf(method, work);
  const dwell = dwells(method) ? dwellOn(method, part.material, learned) : null;
  const minutes = Math.round(STRIP_SETUP_MINUTES + methodMinutes(method, size, applications));
  const soaks = dwell && dwell.usual >= LONG_SOAK_MINUTES ? applications : 0;
  return {
    ...verdict,
    dwell,
    applications,
    minutes,
    waitMinutes: dwell ? applications * dwell.usual : 0,
    days: Math.max(1, Math.ceil(minutes / SITTING_MINUTES)) + soaks,
    cost: Math.round(methodMoney(method, size, bathLitres, applications)),
    hazards: practice.hazards,
    followUps: followUpsOf(method, part.material),
    ...(practice.bath ? { bathLitres, ...(fitsTub === undefined ? {} : { fitsTub }) } : {}),
  };
}

/** What must follow a method on a material before paint. */
export function followUpsOf(method: StripMethod, material: Material): string[] {
  if (method === 'scuff')
    return material === 'pp' ? ['adhesion promoter before any paint', 'wash off the sanding mud'] : ['wash off the sanding mud'];
  const after: string[] = [];
  if (method === 'caustic' || method === 'alkaline') after.push('rinse until the water is neutral');
  if (method === 'gel' || method === 'chlorinated' || method === 'alcohol') after.push('rinse and scrub off the residue');
  if (FLASH_RUSTING.includes(material))
    after.push('dry at once by warm air; metal prep or primer the same session, or it flash-rusts within hours');
  else if (material === 'galvanised') after.push('keep the zinc whole; prime within a day, or scuff again');
  else if (isMetal(material) || material === 'unknown') after.push('prime within a day, or scuff again');
  else if (material === 'wood') after.push('let it dry a day; knock the raised grain back');
  if (method === 'caustic' && material === 'brass') after.push('polish off the tarnish');
  return after;
}
