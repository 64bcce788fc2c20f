import { afterLabel, type DryingClocks, familyDrying, type FilmTimes, mayBeWarmed } from '#core/drying/index';
import type { Allowed, Gap } from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import { clockHours, type EndOf, type PlannedFilm, resolveRef, tapeOffWindow, timesOf } from '../films/index.ts';
import { type Constraint, type Rule, stepsLookedAt } from './constraint.ts';

/** From a constraint to the stretches in which its step may start: worked out on the drying clock, never constants. */

/** Rules whose window, opened by what the log has, is lost when it shuts. */
const SHUTS: readonly Rule['is'][] = ['soon', 'before-rust', 'dwell', 'tape-off', 'pot-life'];

/** A gap for the scheduler. */
export function gapOf(to: string, constraint: Constraint, clocks: DryingClocks): Gap {
  const from = stepsLookedAt(constraint);
  return {
    from,
    ...(from.length === 0 && SHUTS.includes(constraint.rule.is) ? { opened: true } : {}),
    to,
    together: constraint.together,
    reason: constraint.reason,
    allowed: (endOf) =>
      allowedBy(constraint.rule, clocks, endOf).map((stretch) =>
        stretch.scuff ? { ...stretch, scuffMinutes: constraint.scuffMinutes ?? 0 } : stretch,
      ),
  };
}

/** Legal stretches for the start of a step under one rule, soonest first; empty where it is never legal. */
export function allowedBy(rule: Rule, clocks: DryingClocks, endOf: EndOf): Allowed[] {
  switch (rule.is) {
    case 'after':
      return [{ from: endOf(rule.step), to: null }];
    case 'carry-on': {
      const from = endOf(rule.step);
      return orLater(from, from + DAY, false);
    }
    case 'soon': {
      const from = resolveRef(rule.since, endOf);
      return orLater(from, from + rule.minutes, true);
    }
    case 'before-rust': {
      const from = resolveRef(rule.since, endOf);
      const rusts = clocks.flashRust(rule.placeId, from);
      return [
        { from, to: rusts },
        { from: rusts, to: from + DRY_BOX_HOLDS },
        { from: from + DRY_BOX_HOLDS, to: null, scuff: true },
      ];
    }
    case 'dwell':
      return dwellStretches(rule, endOf);
    case 'pot-life':
      return potLifeStretch(rule, clocks, endOf);
    case 'next-coat':
      return nextCoatStretches(rule, clocks, endOf);
    case 'on-film':
      return onFilmStretches(rule, clocks, endOf);
    case 'stage': {
      const times = timesOf(rule.film, clocks, endOf);
      return span(times[rule.stage] ?? times.handle, null);
    }
    case 'flashed-off':
      return span(mayBeWarmed(rule.film.family, rule.film.placeId, resolveRef(rule.film.last, endOf), clocks), null);
    case 'tape-off':
      return tapeOffStretches(rule.film, clocks, endOf);
  }
}

/** A dry box keeps steel bright for so long; after that its rust is rubbed off. */
const DRY_BOX_HOLDS = 14 * DAY;

/** In time, or later with what that costs. */
function orLater(from: Minute, until: Minute, scuff: boolean): Allowed[] {
  return [
    { from, to: until },
    { from: until, to: null, scuff },
  ];
}

function span(from: number | null, to: number | null, scuff = false): Allowed[] {
  return from === null || (to !== null && to < from) ? [] : [{ from, to, scuff }];
}

/** What was begun at the bench and overstayed comes off as soon as may be. */
function dwellStretches({ since, least, most }: Extract<Rule, { is: 'dwell' }>, endOf: EndOf): Allowed[] {
  const from = resolveRef(since, endOf);
  const inTime = { from: from + least, to: most === null ? null : from + most };
  return 'at' in since && inTime.to !== null ? [inTime, { from: inTime.to, to: null }] : [inTime];
}

/** Warmth shortens a pot life (q = 2, trade §6); cold is never reckoned in its favour. */
function potLifeStretch({ since, label, placeId }: Extract<Rule, { is: 'pot-life' }>, clocks: DryingClocks, endOf: EndOf): Allowed[] {
  const mixed = resolveRef(since, endOf);
  const from = mixed + (label.inductionMin ?? 0);
  if (label.potLifeMin === undefined) return [{ from, to: null }];
  const onClock = clocks.reached(placeId, 'crosslinking', mixed, label.potLifeMin / 60);
  return [{ from, to: Math.min(onClock ?? Number.POSITIVE_INFINITY, mixed + label.potLifeMin) }];
}

/** In the window, or again after it has shut; what may not be scuffed within its set has no second branch that asks for it. */
function nextCoatStretches({ film, mayScuff }: Extract<Rule, { is: 'next-coat' }>, clocks: DryingClocks, endOf: EndOf): Allowed[] {
  const { again } = familyDrying(film.family);
  const times = timesOf(film, clocks, endOf);
  const inWindow = span(times.opens, times.shuts);
  if (times.shuts === null || again === 'never') return inWindow;
  const scuff = again === 'scuff';
  return scuff && !mayScuff ? inWindow : [...inWindow, ...span(times.dry, null, scuff)];
}

function onFilmStretches({ film, joint, heldMinutes }: Extract<Rule, { is: 'on-film' }>, clocks: DryingClocks, endOf: EndOf): Allowed[] {
  const times = timesOf(film, clocks, endOf);
  const clear = joint.above.role === 'clear';
  const labelUntil = clear ? times.clearShuts : times.layerShuts;
  const until = labelUntil === null ? null : Math.max(labelUntil, resolveRef(film.last, endOf) + heldMinutes);
  const afterwards = labelUntil === null ? undefined : afterLabel(film.label);
  return joint.branches
    .flatMap((branch) => {
      if (branch.state === 'fresh') {
        const from = freshFrom(film, times, branch.minHours, clear, clocks, endOf);
        return span(from, earlier(until, times.shuts ?? times.dry), branch.scuff);
      }
      // What a board of one's own has shown of a film as old holds, whatever a label leaves open.
      const shown = times.dry !== null && until !== null && until >= times.dry;
      if (afterwards === 'never' && !shown) return [];
      const scuff = branch.scuff || afterwards === 'scuff';
      // Another colour, tape or clear may ask for longer than the same paint again (acrylic enamel: 48 h against 24).
      const dry = times.dry === null ? null : Math.max(times.dry, times.layer ?? 0);
      const whole = branch.state === 'dry' ? span(dry, times.cured, scuff) : span(times.cured, null, scuff);
      if (branch.keyLastsDays === null) return whole;
      const keyed = resolveRef(film.last, endOf) + branch.keyLastsDays * DAY;
      return whole.flatMap((stretch) => whileItKeys(stretch, keyed));
    })
    .sort((a, b) => a.from - b.from);
}

function earlier(one: Minute | null, other: Minute | null): Minute | null {
  if (one === null) return other;
  return other === null ? one : Math.min(one, other);
}

/** A stretch in which a matt primer is its own key until a moment, and is scuffed after it. */
function whileItKeys(stretch: Allowed, until: Minute): Allowed[] {
  if (stretch.from >= until) return [{ ...stretch, scuff: true }];
  if (stretch.to !== null && stretch.to <= until) return [stretch];
  return [
    { ...stretch, to: until },
    { ...stretch, from: until, scuff: true },
  ];
}

function freshFrom(
  film: PlannedFilm,
  times: FilmTimes,
  minHours: number,
  clear: boolean,
  clocks: DryingClocks,
  endOf: EndOf,
): number | null {
  const layer = (clear ? times.clear : times.layer) ?? times.opens;
  if (layer === null) return null;
  // What the label says of a clear by itself comes before the table's hours.
  const extra = minHours > 0 && !(clear && film.label?.clearFromMin !== undefined) ? clockHours(film, minHours, clocks, endOf) : layer;
  return Math.max(times.opens ?? layer, layer, extra ?? layer);
}

/** After the last coat, on the clock; when that moment was missed at the bench, as soon as may be. */
function tapeOffStretches(film: PlannedFilm, clocks: DryingClocks, endOf: EndOf): Allowed[] {
  const { from, to } = tapeOffWindow(film, clocks, endOf);
  return 'at' in film.last
    ? [
        { from, to },
        { from: to, to: null },
      ]
    : [{ from, to }];
}
