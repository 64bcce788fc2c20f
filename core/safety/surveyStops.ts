import type { Part, SurveyStop } from '#core/facts/index';

/** What the survey may meet: how to know it, what to do, and what it does to the plan (trade §15). */
export type StopRule = {
  readonly name: string;
  /** How a person knows it with the piece in hand. */
  readonly sign: string;
  readonly caution: string;
  /** left: nothing is planned on the part, a licensed person sees it. refused: never planned here. care: planned with its limits. */
  readonly effect: 'left' | 'refused' | 'care';
};

const LEAVE = 'Leave it as it is; a licensed person takes it out.';

export const SURVEY_STOP_RULES: Record<SurveyStop, StopRule> = {
  asbestos: {
    name: 'Possible asbestos',
    sign: 'grey board, rope, felt or heater pads, gaskets, underseal',
    caution: LEAVE,
    effect: 'left',
  },
  radium: { name: 'Luminous dial', sign: 'old figures or hands that glow or have turned brown', caution: LEAVE, effect: 'left' },
  celluloid: {
    name: 'Celluloid',
    sign: 'old thin clear or ivory-like plastic that smells of camphor when rubbed',
    caution: 'No heat, no spark, no solvent: celluloid burns fiercely.',
    effect: 'care',
  },
  mercury: { name: 'Mercury', sign: 'a silver drop in a switch or tube', caution: LEAVE, effect: 'left' },
  battery: { name: 'Battery', sign: 'cells, crusts or a leaking holder', caution: 'Take it to a collection point first.', effect: 'left' },
  'picture-tube': { name: 'Picture tube', sign: 'a glass tube with a neck', caution: LEAVE, effect: 'left' },
  spring: {
    name: 'Wound spring',
    sign: 'clockwork, a drum or a door spring under load',
    caution: 'Let it down before anything is opened; eye protection.',
    effect: 'care',
  },
  food: {
    name: 'Food contact',
    sign: 'a pan, bowl, blade or spout',
    caution: 'No paint is planned on a face that food touches.',
    effect: 'refused',
  },
  gas: { name: 'Gas', sign: 'a burner, valve or gas line', caution: 'Parts that carry gas are not planned here.', effect: 'refused' },
  pressure: {
    name: 'Pressure',
    sign: 'a boiler, bottle or pump body',
    caution: 'Parts under pressure are not planned here.',
    effect: 'refused',
  },
  helmet: {
    name: 'Helmet',
    sign: 'it protects a head',
    caution: 'Paint and solvent weaken a helmet: not planned here.',
    effect: 'refused',
  },
  'child-seat': { name: 'Child seat', sign: 'it holds a child', caution: 'Child-seat parts are not planned here.', effect: 'refused' },
};

/** Why nothing is planned on a part with these stops, or null where it may be. */
export function unplannedBecause(stops: readonly SurveyStop[] | undefined): string | null {
  const stop = stops?.find((own) => SURVEY_STOP_RULES[own].effect !== 'care');
  if (!stop) return null;
  const rule = SURVEY_STOP_RULES[stop];
  return `${rule.name}: ${rule.caution}`;
}

/** Whether anything is planned on a part: not where a hazard leaves it alone, nor where it is only masked in place or gone. */
export function isPlanned(part: Part): boolean {
  return unplannedBecause(part.stops) === null && part.maskedInPlace !== true && part.gone !== true;
}
