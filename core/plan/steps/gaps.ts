import type { StackJoint } from '#core/coats/index';
import { type DryingClocks, familyDrying, type FilmTimes } from '#core/drying/index';
import { type Label, plain } from '#core/facts/index';
import type { Allowed, Gap } from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import {
  clockHours,
  type EndOf,
  type PlanContext,
  type PlannedFilm,
  type Ref,
  resolveRef,
  stepsOf,
  tapeOffWindow,
  timesOf,
} from '../films/index.ts';

/** Gaps between steps as functions of when the earlier one ends: built from the drying clock, never constants. */

type Tail = Omit<Gap, 'to'>;

/** After a step, any time. */
export function after(stepId: string, reason = 'it follows'): Tail {
  return { from: [stepId], together: [], reason, allowed: (endOf) => [{ from: endOf(stepId), to: null }] };
}

/** The next sitting of work half done: within a day where that can be, whenever it can else. */
export function carryOn(stepId: string): Tail {
  return {
    from: [stepId],
    together: [],
    reason: 'half-done work is carried on within a day',
    allowed: (endOf) => [
      { from: endOf(stepId), to: endOf(stepId) + DAY },
      { from: endOf(stepId) + DAY, to: null },
    ],
  };
}

/** After a step, within minutes; later only with a scuff first. */
export function soonAfter(ref: Ref, minutes: number, reason: string): Tail {
  const steps = stepsOf([ref]);
  return {
    from: steps,
    together: steps,
    reason,
    allowed: (endOf) => {
      const from = resolveRef(ref, endOf);
      return [
        { from, to: from + minutes },
        { from: from + minutes, to: null, scuff: true },
      ];
    },
  };
}

/** After steel is bare, before it flash-rusts in the air of that day; later only with the rust rubbed off first. */
export function beforeFlashRust(ref: Ref, clocks: DryingClocks, placeId: string): Tail {
  const steps = stepsOf([ref]);
  return {
    from: steps,
    together: steps,
    reason: 'bare steel flash-rusts within hours',
    allowed: (endOf) => {
      const from = resolveRef(ref, endOf);
      const rusts = clocks.flashRust(placeId, from);
      return [
        { from, to: rusts },
        { from: rusts, to: null, scuff: true },
      ];
    },
  };
}

/** From the end of a mix: after its induction, and on before its pot life is over on the clock of that air (q = 2, BRIEF §6). */
export function withinPotLife(
  ref: Ref,
  label: Pick<Label, 'inductionMin' | 'potLifeMin'>,
  context: Pick<PlanContext, 'clocks' | 'workshop'>,
): Tail {
  const steps = stepsOf([ref]);
  return {
    from: steps,
    together: steps,
    reason: 'everything mixed goes on within its pot life',
    allowed: (endOf) => {
      const mixed = resolveRef(ref, endOf);
      const over =
        label.potLifeMin === undefined
          ? null
          : context.clocks.reached(context.workshop.sprayPlaceId, 'crosslinking', mixed, label.potLifeMin / 60);
      // Warmth shortens a pot life; cold is never reckoned in its favour.
      const watch = label.potLifeMin === undefined ? null : mixed + label.potLifeMin;
      const to = over === null ? watch : Math.min(over, watch ?? over);
      return [{ from: mixed + (label.inductionMin ?? 0), to }];
    },
  };
}

const PROMOTER_FLASH_MINUTES = 10;
/** Longest that promoter holds a coat by default; then it is laid again. */
export const PROMOTER_WORKS_MINUTES = 60;

/** On promoter once it has flashed, and within its hour. */
export function whilePromoterWorks(ref: Ref): Tail {
  return dwell(ref, [PROMOTER_FLASH_MINUTES, PROMOTER_WORKS_MINUTES], 'promoter holds a coat for about an hour');
}

/** Between two moments after a step: a dwell. What was begun at the bench and overstayed comes off as soon as may be. */
export function dwell(ref: Ref, minutes: readonly [number, number], reason: string): Tail {
  const steps = stepsOf([ref]);
  return {
    from: steps,
    together: steps,
    reason,
    allowed: (endOf) => {
      const from = resolveRef(ref, endOf);
      const inTime = { from: from + minutes[0], to: from + minutes[1] };
      return 'at' in ref ? [inTime, { from: inTime.to, to: null }] : [inTime];
    },
  };
}

function refs(film: PlannedFilm): string[] {
  const chain = [film.first, film.last];
  return [...new Set([...stepsOf(chain), ...(film.below ? refs(film.below) : [])])];
}

function span(from: number | null, to: number | null, scuff = false): Allowed[] {
  return from === null || (to !== null && to < from) ? [] : [{ from, to, scuff }];
}

/** The next coat of the same layer: in the window, or again after it has shut. */
export function nextCoat(film: PlannedFilm, clocks: DryingClocks): Tail {
  const drying = familyDrying(film.family);
  return {
    from: refs(film),
    together: [...new Set(stepsOf([film.first, film.last]))],
    reason: `the ${film.name} below must be ready for its next coat`,
    allowed: (endOf) => {
      const times = timesOf(film, clocks, endOf);
      const inWindow = span(times.opens, times.shuts);
      if (times.shuts === null || drying.again === 'never') return inWindow;
      return [...inWindow, ...span(times.dry, null, drying.again === 'scuff')];
    },
  };
}

/** The first coat of a layer on a film below: the legal branches of the joint, on the clock. */
export function onFilm(film: PlannedFilm, joint: StackJoint, clocks: DryingClocks): Tail {
  const allowed = (endOf: EndOf) => {
    const times = timesOf(film, clocks, endOf);
    return joint.branches
      .flatMap((branch) => {
        if (branch.state === 'fresh')
          return span(freshFrom(film, times, branch.minHours, clocks, endOf), times.shuts ?? times.dry, branch.scuff);
        // Another colour, tape or clear may ask for longer than the same paint again (acrylic enamel: 48 h against 24).
        const dry = times.dry === null ? null : Math.max(times.dry, times.layer ?? 0);
        const whole = branch.state === 'dry' ? span(dry, times.cured, branch.scuff) : span(times.cured, null, branch.scuff);
        if (branch.keyLastsDays === null) return whole;
        const until = resolveRef(film.last, endOf) + branch.keyLastsDays * DAY;
        return whole.flatMap((stretch) => whileItKeys(stretch, until));
      })
      .sort((a, b) => a.from - b.from);
  };
  const onlyFresh = joint.branches.every((branch) => branch.state === 'fresh') && familyDrying(film.family).coatUntil !== null;
  return {
    from: refs(film),
    together: onlyFresh ? stepsOf([film.last]) : [],
    reason: `the ${film.name} below (${plain(film.family)}) must let it on`,
    allowed,
  };
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

function freshFrom(film: PlannedFilm, times: FilmTimes, minHours: number, clocks: DryingClocks, endOf: EndOf): number | null {
  const layer = times.layer ?? times.opens;
  if (layer === null) return null;
  const extra = minHours > 0 ? clockHours(film, minHours, clocks, endOf) : layer;
  return Math.max(times.opens ?? layer, layer, extra ?? layer);
}

/** Once a film reaches a later stage. */
export function onceReached(
  film: PlannedFilm,
  stage: 'tape' | 'flat' | 'fit' | 'cured' | 'handle',
  clocks: DryingClocks,
  reason: string,
): Tail {
  return {
    from: refs(film),
    together: [],
    reason,
    allowed: (endOf) => {
      const times = timesOf(film, clocks, endOf);
      return span(times[stage] ?? times.handle, null);
    },
  };
}

/** Tape off after the last coat, on the clock; when that moment was missed at the bench, as soon as may be. */
export function tapeOff(film: PlannedFilm, clocks: DryingClocks): Tail {
  const laid = 'at' in film.last;
  return {
    from: refs(film),
    together: stepsOf([film.last]),
    reason: 'tape comes off while the edge is soft',
    allowed: (endOf) => {
      const { from, to } = tapeOffWindow(film, clocks, endOf);
      return laid
        ? [
            { from, to },
            { from: to, to: null },
          ]
        : [{ from, to }];
    },
  };
}
