import { resolveLayer } from '#core/coats/index';
import { AIDS, changedAir, type Conditions } from '#core/drying/index';
import { type Facts, type Layer, type Piece, type Product, WARM_BY, type Warm, type WarmBy, type Workshop } from '#core/facts/index';
import { freeIntervals } from '#core/schedule/index';
import {
  addDays,
  atLocal,
  clockFigures,
  DAY,
  dayText,
  durationText,
  localMoment,
  type Minute,
  minuteOfDay,
  toIso,
} from '#core/units/index';
import { type Plan, plan } from '../plan.ts';
import { servesAs } from './servesAs.ts';
import { warmthOf } from './warmth.ts';
import { withPiece } from './ways.ts';

/** What would make a piece end sooner: changes a person can make, each one by itself, each planned anew with all else as it is. */

/** One change and the world as it would be with it. */
export type Change = {
  readonly label: string;
  /** Where it is made, in words. */
  readonly where: string;
  readonly facts: Facts;
  readonly conditions: Conditions;
};

/** What a change comes to. */
export type Gain = {
  readonly label: string;
  readonly where: string;
  readonly end: Minute;
  /** By how much the piece ends sooner; never less than {@link WORTH_MINUTES}. */
  readonly gained: Minute;
  readonly sessions: number;
  /** The piece that pays most for it, and how much later that one ends. */
  readonly pays: { readonly pieceId: string; readonly later: Minute } | null;
};

/** Less than this nobody would change anything for. */
export const WORTH_MINUTES: Minute = 60;

/** Days ahead on which one more evening is tried. */
const DAYS_AHEAD = 7;
/** Minutes; shorter ones are kept for something small. */
const LEAST_EVENING = 60;
/** Where no weekly hours show what an evening is. */
const USUAL_EVENING = { from: '19:00', to: '21:00' };

/** The changes worth trying for a piece, the cheapest to make first. */
export function changesFor(piece: Piece, facts: Facts, asIs: Plan, conditions: Conditions): Change[] {
  const same = { facts, conditions };
  const [workshop] = facts.workshop;
  return [
    ...turnOf(piece, facts).map((own) => ({ ...same, label: 'this piece before the others', where: 'its turn, above', facts: own })),
    ...[...otherHabits(workshop), ...moreRoom(workshop)].map(({ label, where, ...own }) => ({
      ...same,
      label,
      where,
      facts: { ...facts, workshop: [own.workshop] },
    })),
    ...extraEvenings(facts, asIs.now).map(({ label, workshop: own }) => ({
      ...same,
      label,
      where: 'Workshop, your hours',
      facts: { ...facts, workshop: [own] },
    })),
    ...AIDS.map(({ name, change, caution }) => ({
      ...same,
      label: `${name} where films dry`,
      where: caution ? `Workshop, its places; ${caution}` : 'Workshop, its places',
      conditions: changedAir(conditions, change, workshop.dryPlaceId),
    })),
    ...warmSpells(piece, same, asIs).map(({ label, piece: own }) => ({ ...same, label, where: 'Coats', facts: withPiece(facts, own) })),
    ...otherPaints(piece, facts, asIs).map(({ label, piece: own }) => ({ ...same, label, where: 'Coats', facts: withPiece(facts, own) })),
  ];
}

/** A step, and when it begins as it is shown. */
export type ShownStep = { readonly id: string; readonly start: Minute | null };

/** When a step would begin with a change; null where that is not at least half an hour sooner than it is shown. */
export function startWith(change: Change, { id: stepId, start: was }: ShownStep, now: Minute): Minute | null {
  const { steps } = plan({ facts: change.facts, now, conditions: change.conditions, datesOf: [] });
  const start = steps.find(({ id }) => id === stepId)?.placed?.start ?? null;
  return start === null || (was !== null && was - start < WORTH_A_CHANGE) ? null : start;
}

/** Half an hour is felt in one step. */
const WORTH_A_CHANGE: Minute = 30;

/** What one change gains, or null where the piece would not end at least an hour sooner. The plan as it is comes from the caller. */
export function gainOf(change: Change, pieceId: string, asIs: Plan): Gain | null {
  const end = endOf(asIs, pieceId);
  const result = plan({ facts: change.facts, now: asIs.now, conditions: change.conditions, datesOf: [] });
  const own = result.pieces.find((piece) => piece.pieceId === pieceId);
  if (own?.planned == null || own.stopped || (end !== null && end - own.planned < WORTH_MINUTES)) return null;
  const gained = end === null ? 0 : end - own.planned;
  return {
    label: change.label,
    where: change.where,
    end: own.planned,
    gained,
    sessions: own.sessions,
    pays: whoPays(asIs, result, pieceId),
  };
}

function whoPays(asIs: Plan, result: Plan, pieceId: string): Gain['pays'] {
  const later = asIs.pieces.flatMap(({ pieceId: other, planned }) => {
    const then = endOf(result, other);
    return other === pieceId || planned === null || then === null ? [] : [{ pieceId: other, later: then - planned }];
  });
  const most = later.reduce<Gain['pays']>((worst, own) => (own.later > (worst?.later ?? 0) ? own : worst), null);
  return most && most.later >= WORTH_MINUTES ? most : null;
}

function endOf(result: Plan, pieceId: string): Minute | null {
  return result.pieces.find((piece) => piece.pieceId === pieceId)?.planned ?? null;
}

function turnOf(piece: Piece, facts: Facts): Facts[] {
  const others = facts.pieces.some((own) => own.id !== piece.id && !own.finished && !own.held);
  return others && piece.turn !== 'first' ? [withPiece(facts, { ...piece, turn: 'first' })] : [];
}

/** Wishes of the workshop that may cost dates. */
function otherHabits(workshop: Workshop): { readonly label: string; readonly where: string; readonly workshop: Workshop }[] {
  const where = 'Workshop, your hours';
  const { goal, longestStay, quietHours } = workshop;
  return [
    ...(goal && goal !== 'soonest' ? [{ label: 'planned for the soonest end', where, workshop: { ...workshop, goal: undefined } }] : []),
    ...(longestStay ? [{ label: 'stays as long as your hours', where, workshop: { ...workshop, longestStay: undefined } }] : []),
    ...(quietHours?.length ? [{ label: 'no quiet hours', where, workshop: { ...workshop, quietHours: undefined } }] : []),
  ];
}

/** Room that the plan runs short of, twice as much of each; what nothing is said of is enough already. */
function moreRoom(workshop: Workshop): ReturnType<typeof otherHabits> {
  const where = 'Workshop, tools and room';
  const { booth, dryingPlaces, tub, tubs = 1 } = workshop;
  return [
    ...(booth ? [{ label: 'a booth twice as long', where, workshop: { ...workshop, booth: { ...booth, longMm: 2 * booth.longMm } } }] : []),
    ...(dryingPlaces?.length
      ? [
          {
            label: 'twice as many drying places',
            where,
            workshop: { ...workshop, dryingPlaces: dryingPlaces.map((place) => ({ ...place, count: 2 * place.count })) },
          },
        ]
      : []),
    ...(tub ? [{ label: 'one tub more', where, workshop: { ...workshop, tubs: tubs + 1 } }] : []),
  ];
}

/** One evening more on each of the next days that have no free hour, as long as the usual one. */
function extraEvenings(facts: Facts, now: Minute): { readonly label: string; readonly workshop: Workshop }[] {
  const [workshop] = facts.workshop;
  const { timeZone, freeHours, extraFree, away, units } = workshop;
  const long = freeHours.filter(({ from, to }) => minuteOfDay(to) - minuteOfDay(from) >= LEAST_EVENING);
  const [usual = USUAL_EVENING] = [...long].sort((a, b) => b.from.localeCompare(a.from));
  const today = localMoment(now, timeZone).date;
  const free = freeIntervals(workshop, now, { days: DAYS_AHEAD + 2 });
  return Array.from({ length: DAYS_AHEAD + 1 }, (_, day) => addDays(today, day)).flatMap((date) => {
    const [from, to] = [usual.from, usual.to].map((clock) => atLocal(date, minuteOfDay(clock), timeZone));
    const midnight = atLocal(date, 0, timeZone);
    const taken = free.some((span) => span.from < midnight + DAY && span.to > midnight);
    if (taken || from <= now || away.some((own) => own.from <= date && date <= own.to)) return [];
    const extra = { from: toIso(from), to: toIso(to) };
    return [
      {
        label: `one more evening, ${dayText(from, timeZone)}, ${clockFigures(usual.from, units.clock)} to ${clockFigures(usual.to, units.clock)}`,
        workshop: { ...workshop, extraFree: [...extraFree, extra] },
      },
    ];
  });
}

/** Warmth after one paint of the piece, on every part that takes it, where part and film bear it and it is there to be had. */
function warmSpells(
  piece: Piece,
  { facts, conditions }: Pick<Change, 'facts' | 'conditions'>,
  asIs: Plan,
): { readonly label: string; readonly piece: Piece }[] {
  const ahead = layersAhead(piece, asIs);
  const layers = piece.parts.flatMap((part) =>
    part.layers.filter(({ id, warm }) => !warm && ahead.has(`${part.id} ${id}`)).map((layer) => ({ part, ...resolveLayer(layer, facts) })),
  );
  const paints = [...new Set(layers.map(({ mix }) => mix))].map((mix) => layers.filter((own) => own.mix === mix));
  return paints.flatMap((same) => {
    const warmths = same.map(({ part, layer }) => warmthOf({ piece, part, layer, facts, conditions, now: asIs.now }).offers);
    return WARM_BY.flatMap((by) => {
      const offers = warmths.flatMap((own) => own.filter((offer) => offer.by === by && offer.refused === null));
      const [offer] = offers;
      // What the sun will be nobody knows beyond the forecast.
      if (offers.length < same.length || (by === 'sun' && !offer.sun)) return [];
      const coolest = offers.map(({ warm }) => warm).reduce((a, b) => (b.surfaceC < a.surfaceC ? b : a));
      const longest = Math.max(...offers.map(({ warm }) => warm.minutes));
      const warm = { ...coolest, minutes: longest };
      const chosen = new Map(same.map(({ part, layer }) => [`${part.id} ${layer.id}`, warm]));
      return [
        {
          label: `${WARM_WORDS[by]} after ${same[0].name}, ${warm.surfaceC} °C for ${durationText(warm.minutes)}`,
          piece: withWarm(piece, chosen),
        },
      ];
    });
  });
}

const WARM_WORDS: Readonly<Record<WarmBy, string>> = { oven: 'the low oven', sun: 'full sun', 'warm-room': 'the warm room' };

function withWarm(piece: Piece, chosen: ReadonlyMap<string, Warm>): Piece {
  const warmed = (partId: string, layer: Layer): Layer => {
    const warm = chosen.get(`${partId} ${layer.id}`);
    return warm ? { ...layer, warm } : layer;
  };
  return { ...piece, parts: piece.parts.map((part) => ({ ...part, layers: part.layers.map((layer) => warmed(part.id, layer)) })) };
}

/** Paints on the shelf that do the same, for layers of which no coat is on: another primer, a clear as glossy, the same colour. */
function otherPaints(piece: Piece, facts: Facts, asIs: Plan): { readonly label: string; readonly piece: Piece }[] {
  const ahead = layersAhead(piece, asIs);
  const layers = piece.parts.flatMap((part) => part.layers.filter(({ id }) => ahead.has(`${part.id} ${id}`)));
  const used = [...new Set(layers.flatMap(({ productId }) => productId ?? []))].flatMap(
    (id) => facts.products.find((own) => own.id === id) ?? [],
  );
  return used.flatMap((from) => {
    const owned = facts.products.filter(
      (to) => to !== from && facts.cans.some((can) => can.productId === to.id) && servesAs(to, from, facts),
    );
    return owned.map((to) => ({ label: `${to.name} for ${from.name}`, piece: withProduct(piece, from, to, ahead) }));
  });
}

/** Layers of which the first coat is still to come. */
function layersAhead({ id }: Piece, { steps }: Plan): ReadonlySet<string> {
  const firsts = steps.filter(({ pieceId, coat }) => pieceId === id && coat?.number === 1);
  return new Set(firsts.flatMap(({ on, coat }) => on.map(({ partId }) => `${partId} ${coat?.layerId}`)));
}

function withProduct(piece: Piece, from: Product, to: Product, ahead: ReadonlySet<string>): Piece {
  const swapped = (partId: string, layer: Layer): Layer =>
    layer.productId === from.id && ahead.has(`${partId} ${layer.id}`) ? { ...layer, productId: to.id } : layer;
  return { ...piece, parts: piece.parts.map((part) => ({ ...part, layers: part.layers.map((layer) => swapped(part.id, layer)) })) };
}
