import type { Family, Label, Role } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { DryingClocks } from './climate.ts';
import { filmSlowing } from './clock.ts';
import { familyDrying } from './families.ts';
import type { FamilyDrying, Mechanism } from './familyRow.ts';
import { heatSetAt } from './heatSet.ts';
import { reachedWarmed, type WarmSpell } from './warmed.ts';

/** One set of coats of one product, laid together on a zone. */
export type FilmSet = {
  readonly family: Family;
  readonly label?: Label;
  readonly placeId: string;
  readonly firstCoatEnd: Minute;
  readonly lastCoatEnd: Minute;
  /** Film of the last coat ÷ a normal coat. */
  readonly coatRatio: number;
  /** Film of all coats not yet dry ÷ two normal coats. */
  readonly filmRatio: number;
  /** The person's own factor for this product: observed ÷ predicted. */
  readonly learned?: number;
  /** Spells in which it was, or will be, warmer than the air; absent: none. */
  readonly warmed?: readonly WarmSpell[];
};

export type Stage = 'touch' | 'coatFrom' | 'layerFrom' | 'clearFrom' | 'again' | 'flat' | 'tape' | 'handle' | 'fit' | 'cure';

export type Moment = { readonly at: Minute | null; readonly source: 'own' | 'label' | 'default'; readonly referenceHours: number | null };

/** The line of a label that speaks of each stage. */
export const ON_LABEL = {
  touch: 'touchMin',
  coatFrom: 'coatFromMin',
  layerFrom: 'layerFromMin',
  clearFrom: 'clearFromMin',
  again: 'againMin',
  flat: 'flatMin',
  tape: 'tapeSafeMin',
  handle: 'handleMin',
  fit: 'fitMin',
  cure: 'cureMin',
} as const satisfies Record<Stage, keyof Label>;

const EARLY: readonly Stage[] = ['touch', 'coatFrom'];

/** Reference hours of a stage: label first, then the family; null where the family never reaches it. */
export function referenceHours(drying: FamilyDrying, stage: Stage, label?: Label): { hours: number | null; source: 'label' | 'default' } {
  const fromLabel = label?.[ON_LABEL[stage]];
  if (fromLabel !== undefined) return { hours: fromLabel / 60, source: 'label' };
  if (stage === 'again') return { hours: againHours(drying), source: 'default' };
  if (stage === 'clearFrom') return referenceHours(drying, 'layerFrom', label);
  return { hours: drying[stage], source: 'default' };
}

/** Hours until a film counts as dry under another family: `again`, or tape-safe, or a day past layer-from where never taped. */
function againHours(drying: FamilyDrying): number | null {
  if (typeof drying.again === 'number') return drying.again;
  if (drying.again === 'never') return null;
  if (drying.again === 'scuff') return drying.scuffFrom ?? drying.coatUntil;
  return drying.tape ?? drying.layerFrom + 24;
}

/** On the clock of the place it hangs in, and of the warm spells it goes through. */
function reachedBy({ placeId, warmed }: FilmSet, clocks: DryingClocks, mechanism: Mechanism, from: Minute, hours: number): Minute | null {
  if (!warmed || warmed.length === 0) return clocks.reached(placeId, mechanism, from, hours);
  return reachedWarmed(clocks, { placeId, mechanism, from, hours }, warmed);
}

/**
 * Touch and the next coat wait for one coat, later stages for all of them (trade §6). What takes another paint as soon as its own
 * next coat takes it the same way, however many coats lie below: a clear on candy.
 */
function asACoat(stage: Stage, drying: FamilyDrying): boolean {
  const onTop = stage === 'layerFrom' || stage === 'clearFrom';
  return onTop ? drying.layerFrom === drying.coatFrom : EARLY.includes(stage);
}

/** When a set of coats reaches a stage on the drying clock of its place. */
export function stageReached(film: FilmSet, stage: Stage, clocks: DryingClocks): Moment {
  const drying = familyDrying(film.family);
  const reference = referenceHours(drying, stage, film.label);
  if (reference.hours === null) return { at: null, source: reference.source, referenceHours: null };
  const early = asACoat(stage, drying);
  const mechanism = early ? (drying.early ?? drying.mechanism) : drying.mechanism;
  const slowing = early ? filmSlowing(mechanism, film.coatRatio, 'coat') : filmSlowing(mechanism, film.filmRatio, 'later');
  const learned = film.learned ?? 1;
  const at = reachedBy(film, clocks, mechanism, film.lastCoatEnd, reference.hours * slowing * learned);
  return { at, source: film.learned === undefined ? reference.source : 'own', referenceHours: reference.hours };
}

/** When the recoat window shuts: never later than the reference time; from the first coat for enamels. null: it stays open. */
export function windowShuts(film: FilmSet, clocks: DryingClocks): Minute | null {
  const drying = familyDrying(film.family);
  const hours = film.label?.coatUntilMin !== undefined ? film.label.coatUntilMin / 60 : drying.coatUntil;
  if (hours === null) return null;
  const from = drying.shutsFromFirst ? film.firstCoatEnd : film.lastCoatEnd;
  const onClock = reachedBy(film, clocks, drying.early ?? drying.mechanism, from, hours);
  const onTheWatch = from + hours * 60;
  return onClock === null ? onTheWatch : Math.min(onClock, onTheWatch);
}

/** A time of the label by which something must follow: on the clock, and never later than on the watch. */
function labelShuts(film: FilmSet, minutes: number | undefined, clocks: DryingClocks): Minute | null {
  if (minutes === undefined) return null;
  const drying = familyDrying(film.family);
  const onClock = reachedBy(film, clocks, drying.early ?? drying.mechanism, film.lastCoatEnd, minutes / 60);
  return Math.min(onClock ?? Number.POSITIVE_INFINITY, film.lastCoatEnd + minutes);
}

/** Minutes after the last coat for which a label lets a clear, or another paint, on; undefined: it says nothing of it. */
export function labelUntilMin(label: FilmSet['label'], role: Role | undefined): number | undefined {
  return role === 'clear' ? (label?.clearUntilMin ?? label?.layerUntilMin) : label?.layerUntilMin;
}

/** What a label asks once its time for the next paint is over; one that says nothing more lets nothing on (trade §6). */
export function afterLabel(label: FilmSet['label']): 'scuff' | 'again' | 'never' {
  return label?.afterwards ?? (label?.againMin === undefined ? 'never' : 'again');
}

export type FilmState = 'wet' | 'fresh' | 'shut' | 'dry' | 'cured';

/** The times at which a film changes state; `null`: never. */
export type FilmTimes = {
  readonly touch: Minute | null;
  readonly opens: Minute | null;
  readonly shuts: Minute | null;
  readonly layer: Minute | null;
  /** From when a clear may follow, and until when another product or a clear may, where the label says. */
  readonly clear: Minute | null;
  readonly layerShuts: Minute | null;
  readonly clearShuts: Minute | null;
  readonly dry: Minute | null;
  readonly tape: Minute | null;
  readonly flat: Minute | null;
  readonly handle: Minute | null;
  readonly fit: Minute | null;
  readonly cured: Minute | null;
};

type Known = { readonly byLabel: Map<Label | undefined, Map<string, FilmTimes>>; size: number };
const KNOWN = new WeakMap<DryingClocks, Known>();
/** A search asks for many films; older answers than these are reckoned anew. */
const MOST_KNOWN = 20_000;

/** All the moments of a film at once; remembered, for a plan asks for the same film a dozen times. */
export function filmTimes(film: FilmSet, clocks: DryingClocks): FilmTimes {
  if (film.warmed && film.warmed.length > 0) return reckonedTimes(film, clocks);
  let known = KNOWN.get(clocks);
  if (!known || known.size >= MOST_KNOWN) {
    known = { byLabel: new Map(), size: 0 };
    KNOWN.set(clocks, known);
  }
  const times = known.byLabel.get(film.label) ?? new Map<string, FilmTimes>();
  known.byLabel.set(film.label, times);
  const { family, placeId, firstCoatEnd, lastCoatEnd, coatRatio, filmRatio, learned } = film;
  const key = `${family} ${placeId} ${firstCoatEnd} ${lastCoatEnd} ${coatRatio} ${filmRatio} ${learned}`;
  const own = times.get(key);
  if (own) return own;
  const reckoned = reckonedTimes(film, clocks);
  times.set(key, reckoned);
  known.size++;
  return reckoned;
}

function reckonedTimes(film: FilmSet, clocks: DryingClocks): FilmTimes {
  const drying = familyDrying(film.family);
  const at = (stage: Stage) => stageReached(film, stage, clocks).at;
  const shuts = windowShuts(film, clocks);
  const heatSet = heatSetAt(film.family, film.lastCoatEnd, film.warmed);
  const again = at('again');
  // Families that ask for a scuff have no shut gap, but 2K: past the window they are dry and want keying.
  const atOnce = drying.again === 'scuff' && drying.scuffFrom === null && film.label?.againMin === undefined;
  const dry = atOnce ? shuts : again;
  return {
    touch: at('touch'),
    opens: at('coatFrom'),
    shuts,
    layer: at('layerFrom'),
    clear: at('clearFrom'),
    layerShuts: labelShuts(film, labelUntilMin(film.label, 'colour'), clocks),
    clearShuts: labelShuts(film, labelUntilMin(film.label, 'clear'), clocks),
    dry,
    tape: at('tape') ?? heatSet,
    flat: at('flat') ?? heatSet,
    handle: at('handle'),
    fit: at('fit'),
    cured: at('cure'),
  };
}

/** State of a film at a moment (trade §6, "States of a film"). */
export function filmState(times: FilmTimes, at: Minute): FilmState {
  if (times.cured !== null && at >= times.cured) return 'cured';
  if (times.opens === null || at < times.opens) return 'wet';
  if (times.shuts !== null) {
    if (at < times.shuts) return 'fresh';
    return times.dry !== null && at >= times.dry ? 'dry' : 'shut';
  }
  return times.dry !== null && at >= times.dry ? 'dry' : 'fresh';
}
