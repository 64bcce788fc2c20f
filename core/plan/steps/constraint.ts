import type { StackJoint } from '#core/coats/index';
import type { Label } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { PlannedFilm, Ref } from '../films/index.ts';

/**
 * What must hold between steps, as data: which step or film it looks back to, and the rule. When a step may start follows from it
 * and the drying clock (gaps.ts); a verifier that knows no scheduler works the same rules out again from the facts (core/verify).
 */
export type Rule =
  /** Any time after a step. */
  | { readonly is: 'after'; readonly step: string }
  /** Work half done: within a day where that can be. */
  | { readonly is: 'carry-on'; readonly step: string }
  /** Within minutes; later only keyed anew. */
  | { readonly is: 'soon'; readonly since: Ref; readonly minutes: number }
  /** Before bright steel rusts in the air of a place; later only out of a dry box, or with the rust rubbed off. */
  | { readonly is: 'before-rust'; readonly since: Ref; readonly placeId: string }
  /** Between two moments after a step: a dwell, a set, a flash. */
  | { readonly is: 'dwell'; readonly since: Ref; readonly least: number; readonly most: number | null }
  /** After induction and within the pot life, on the clock of that air. */
  | { readonly is: 'pot-life'; readonly since: Ref; readonly label: Pick<Label, 'inductionMin' | 'potLifeMin'>; readonly placeId: string }
  /** The next coat of the same layer. */
  | { readonly is: 'next-coat'; readonly film: PlannedFilm; readonly mayScuff: boolean }
  /** The first coat of a layer on a film: the legal branches of the joint, and how late it has held before, whatever a label says. */
  | { readonly is: 'on-film'; readonly film: PlannedFilm; readonly joint: StackJoint; readonly heldMinutes: number }
  /** Once a film has reached a stage. */
  | { readonly is: 'stage'; readonly film: PlannedFilm; readonly stage: 'tape' | 'flat' | 'fit' | 'cured' | 'handle' }
  /** Once a film has flashed off enough to be warmed. */
  | { readonly is: 'flashed-off'; readonly film: PlannedFilm }
  /** While tape comes off cleanly. */
  | { readonly is: 'tape-off'; readonly film: PlannedFilm };

export type Constraint = {
  readonly rule: Rule;
  /** In words, for "why then?". */
  readonly reason: string;
  /** Steps that share a short window with this one: placed together, or not at all. */
  readonly together: readonly string[];
  /** What keying the part anew takes where the rule allows it only so; absent: nothing. */
  readonly scuffMinutes?: number;
};

/** Every step a constraint looks back to. */
export function stepsLookedAt({ rule }: Constraint): string[] {
  if ('step' in rule) return [rule.step];
  if ('since' in rule) return stepOfRef(rule.since);
  return stepsOfFilm(rule.film);
}

/** Moments of the log that a constraint counts from. */
export function momentsLookedAt({ rule }: Constraint): Minute[] {
  if ('step' in rule) return [];
  const ref = 'since' in rule ? rule.since : rule.film.last;
  return 'at' in ref ? [ref.at] : [];
}

function stepOfRef(ref: Ref): string[] {
  return 'step' in ref ? [ref.step] : [];
}

/** The coats of a film and of all below it that still count with it. */
export function stepsOfFilm(film: PlannedFilm): string[] {
  const warmed = (film.warmed ?? []).flatMap(({ since }) => stepOfRef(since));
  return [...new Set([...stepOfRef(film.first), ...stepOfRef(film.last), ...warmed, ...(film.below ? stepsOfFilm(film.below) : [])])];
}

/** The constraint with each step named by the row it has been joined into. */
export function renamed(constraint: Constraint, rowOf: (step: string) => string): Constraint {
  const together = [...new Set(constraint.together.map(rowOf))];
  const ref = (own: Ref): Ref => ('step' in own ? { step: rowOf(own.step) } : own);
  const film = (own: PlannedFilm): PlannedFilm => ({
    ...own,
    first: ref(own.first),
    last: ref(own.last),
    ...(own.warmed ? { warmed: own.warmed.map((spell) => ({ ...spell, since: ref(spell.since) })) } : {}),
    ...(own.below ? { below: film(own.below) } : {}),
  });
  const { rule } = constraint;
  if ('step' in rule) return { ...constraint, together, rule: { ...rule, step: rowOf(rule.step) } };
  if ('since' in rule) return { ...constraint, together, rule: { ...rule, since: ref(rule.since) } };
  return { ...constraint, together, rule: { ...rule, film: film(rule.film) } };
}
