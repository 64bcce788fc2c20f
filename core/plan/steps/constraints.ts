import type { StackJoint } from '#core/coats/index';
import { afterLabel, familyDrying, labelUntilMin } from '#core/drying/index';
import { type Label, plain } from '#core/facts/index';
import { HOUR } from '#core/units/index';
import type { PlanContext, PlannedFilm, Ref } from '../films/index.ts';
import { stepsOf } from '../films/index.ts';
import type { Constraint } from './constraint.ts';

/** The constraints the makers of steps put on them, each with its reason in words. */

export function after(step: string, reason = 'it follows'): Constraint {
  return { rule: { is: 'after', step }, reason, together: [] };
}

/** The next sitting of work half done. */
export function carryOn(step: string): Constraint {
  return { rule: { is: 'carry-on', step }, reason: 'half-done work is carried on within a day', together: [] };
}

/** A wiped or sanded surface stays fit for paint so long; later it is keyed again. */
const KEPT_CLEAN_MINUTES = 24 * HOUR;

export function whileClean(since: Ref): Constraint {
  return {
    rule: { is: 'soon', since, minutes: KEPT_CLEAN_MINUTES },
    reason: 'a wiped surface stays clean a day',
    together: stepsOf([since]),
  };
}

/** Phosphate that nobody touches holds steel for days. */
const PHOSPHATE_HOLDS_MINUTES = 7 * 24 * HOUR;

export function whilePhosphateHolds(since: Ref): Constraint {
  return {
    rule: { is: 'soon', since, minutes: PHOSPHATE_HOLDS_MINUTES },
    reason: 'metal prep that nobody touches holds steel for a week',
    together: [],
  };
}

/** Bright steel waits for nothing but minutes, unless it lies in a dry box. */
export function beforeFlashRust(since: Ref, { workshop }: Pick<PlanContext, 'workshop'>): Constraint {
  return {
    rule: { is: 'before-rust', since, placeId: workshop.sprayPlaceId },
    reason: 'bare steel flash-rusts within hours',
    together: stepsOf([since]),
  };
}

/** Between two moments after a step. */
export function dwell(since: Ref, [least, most]: readonly [number, number | null], reason: string): Constraint {
  return { rule: { is: 'dwell', since, least, most }, reason, together: most === null ? [] : stepsOf([since]) };
}

export function withinPotLife(
  since: Ref,
  label: Pick<Label, 'inductionMin' | 'potLifeMin'>,
  { workshop }: Pick<PlanContext, 'workshop'>,
): Constraint {
  const { inductionMin, potLifeMin } = label;
  return {
    rule: {
      is: 'pot-life',
      since,
      label: { ...(inductionMin === undefined ? {} : { inductionMin }), ...(potLifeMin === undefined ? {} : { potLifeMin }) },
      placeId: workshop.sprayPlaceId,
    },
    reason: 'everything mixed goes on within its pot life',
    together: stepsOf([since]),
  };
}

const PROMOTER_FLASH_MINUTES = 10;
/** Longest that promoter holds a coat by default; then it is laid again. */
export const PROMOTER_WORKS_MINUTES = 60;

/** On promoter once it has flashed, and within its hour. */
export function whilePromoterWorks(since: Ref): Constraint {
  return dwell(since, [PROMOTER_FLASH_MINUTES, PROMOTER_WORKS_MINUTES], 'promoter holds a coat for about an hour');
}

/** The next coat of the same layer: in the window, or again after it has shut. */
export function nextCoat(film: PlannedFilm, mayScuff: boolean): Constraint {
  return {
    rule: { is: 'next-coat', film, mayScuff },
    reason: `the ${film.name} below must be ready for its next coat`,
    together: [...new Set(stepsOf([film.first, film.last]))],
  };
}

/**
 * The first coat of a layer on a film below: the legal branches of the joint, on the clock.
 * @param heldMinutes how long after its last coat own evidence has shown it to hold; 0: not at all
 */
export function onFilm(film: PlannedFilm, joint: StackJoint, heldMinutes = 0): Constraint {
  const { label } = film;
  const until = labelUntilMin(label, joint.above.role);
  const shutsForGood = until === undefined ? familyDrying(film.family).coatUntil !== null : afterLabel(label) === 'never';
  const onlyFresh = joint.branches.every((branch) => branch.state === 'fresh') || until !== undefined;
  return {
    rule: { is: 'on-film', film, joint, heldMinutes },
    reason: `the ${film.name} below (${plain(film.family)}) must let it on`,
    together: onlyFresh && shutsForGood ? stepsOf([film.last]) : [],
  };
}

/** Once a film reaches a later stage. */
export function onceReached(film: PlannedFilm, stage: 'tape' | 'flat' | 'fit' | 'cured' | 'handle', reason: string): Constraint {
  return { rule: { is: 'stage', film, stage }, reason, together: [] };
}

/** Tape off after the last coat, on the clock. */
export function tapeOff(film: PlannedFilm): Constraint {
  return { rule: { is: 'tape-off', film }, reason: 'tape comes off while the edge is soft', together: stepsOf([film.last]) };
}

/** Warmth comes only after flash-off: sooner it drives the solvent through a skin. */
export function flashedOff(film: PlannedFilm): Constraint {
  return { rule: { is: 'flashed-off', film }, reason: `the ${film.name} must have flashed off before it is warmed`, together: [] };
}
