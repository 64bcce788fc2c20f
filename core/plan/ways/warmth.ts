import { resolveLayer } from '#core/coats/index';
import { type Conditions, dryingRate, familyDrying, referenceHours, sunAhead, type Sunny, sunSurface } from '#core/drying/index';
import { type Layer, type Part, type Piece, WARM_BY, type Warm, type WarmBy, type Facts, type Workshop } from '#core/facts/index';
import { HOUR, type Minute, minuteOfDay } from '#core/units/index';
import { dividedFacts, dividedPart } from '#core/zones/index';
import { historyOf } from '../films/index.ts';
import { keepsPaint } from '../steps/index.ts';
import { placeInTheSun, stripChoice, type Warming, warmRefused, warmestRoom, warmthBorne } from '../verdicts/index.ts';

/** Ways to warm one layer: oven, sun, warm room, each with how hot, how long, and whether it may be. */

export type WarmOffer = {
  readonly by: WarmBy;
  readonly warm: Warm;
  /** Why it may not be; null where it may. */
  readonly refused: string | null;
  /** The next stretch of sun that the forecast promises; absent where none is known of, or for other warmth. */
  readonly sun?: Sunny;
};

export type Warmth = {
  /** The most that part and films bear, °C, and what sets it. */
  readonly limitC: number;
  readonly by: string;
  readonly offers: readonly WarmOffer[];
  /** Why the spell chosen for the layer is left out of the plan; null where it is in it, or none is chosen. */
  readonly refused: string | null;
};

export type WarmthQuestion = {
  readonly piece: Piece;
  readonly part: Part;
  readonly layer: Layer;
  readonly facts: Facts;
  readonly conditions: Conditions;
  readonly now: Minute;
};

/** Cheap thermostats overshoot by about so much, °C. */
const OVERSHOOT_C = 5;
/** An oven is watched for no longer than somebody is at home at a stretch, and hardly heats up in less than half an hour. */
const OVEN_MINUTES = { least: 30, most: 240, step: 15 };
/** To put the part in, and to be there when it ends. */
const BESIDE_THE_SPELL = 20;
const WARM_ROOM_MINUTES = 12 * HOUR;
const LEAST_SUN: Minute = 90;
const MOST_SUN: Minute = 5 * HOUR;
const USUAL_SUN: Minute = 3 * HOUR;
const USUAL_NOON_C = 20;
const USUAL_ROOM_C = 22;

export function warmthOf({ piece, part: asEntered, layer, facts: known, conditions, now }: WarmthQuestion): Warmth {
  const [part, facts] = [dividedPart(asEntered), dividedFacts(known)];
  const first = part.layers[0] && resolveLayer(part.layers[0], facts);
  const choice = stripChoice(part, piece, first, historyOf(facts), facts.workshop[0]);
  const of: Warming = { piece, part, layer, facts, onOldPaint: keepsPaint(part, choice) };
  const borne = warmthBorne(of);
  const suggested: Readonly<Record<WarmBy, Omit<WarmOffer, 'refused' | 'by'>>> = {
    oven: { warm: ovenSpell(of, borne.limitC) },
    sun: sunSpell(of, conditions, now),
    'warm-room': {
      warm: {
        by: 'warm-room',
        surfaceC: Math.max(20, Math.round(warmestRoom(facts.places)?.meanC ?? USUAL_ROOM_C)),
        minutes: WARM_ROOM_MINUTES,
      },
    },
  };
  return {
    ...borne,
    offers: WARM_BY.map((by) => ({ by, ...suggested[by], refused: warmRefused(suggested[by].warm, of) })),
    refused: layer.warm ? warmRefused(layer.warm, of) : null,
  };
}

/** As hot as is borne with room for a bad thermostat, until the film bears to be worked. */
function ovenSpell({ layer, facts }: Warming, limitC: number): Warm {
  const { family, label } = resolveLayer(layer, facts);
  const drying = familyDrying(family);
  const surfaceC = Math.max(30, Math.min(limitC - OVERSHOOT_C, (facts.workshop[0]?.oven?.mostC ?? limitC) - OVERSHOOT_C));
  const stage = layer.flatAfter === undefined ? 'fit' : 'flat';
  const reference = referenceHours(drying, stage, label).hours ?? referenceHours(drying, 'handle', label).hours ?? 1;
  const minutes = (reference * 60) / dryingRate(drying.mechanism, surfaceC, 50);
  const { least, most, step } = OVEN_MINUTES;
  const attended = Math.floor((longestAtHome(facts.workshop[0]) - BESIDE_THE_SPELL) / step) * step;
  return { by: 'oven', surfaceC, minutes: Math.max(least, Math.min(most, attended, Math.ceil(minutes / step) * step)) };
}

/** The longest stretch of a usual week from the beginning of a stay until nobody is at home any more. */
function longestAtHome({ freeHours, atHome = [] }: Workshop): Minute {
  const until = ({ weekday, from, to }: Workshop['freeHours'][0]) =>
    Math.max(
      ...[to, ...atHome.filter((home) => home.weekday === weekday && home.from <= to && home.to > from).map((home) => home.to)].map(
        minuteOfDay,
      ),
    );
  return Math.max(0, ...freeHours.map((free) => until(free) - minuteOfDay(free.from)));
}

function sunSpell({ layer, facts }: Warming, conditions: Conditions, now: Minute): Omit<WarmOffer, 'refused' | 'by'> {
  const { lab } = resolveLayer(layer, facts);
  const air = conditions[placeInTheSun(facts.places)?.id ?? ''];
  const [sun] = air ? sunAhead(air, now, LEAST_SUN) : [];
  const minutes = sun ? Math.min(MOST_SUN, sun.to - sun.from - 15) : USUAL_SUN;
  const surfaceC = Math.min(120, Math.max(20, Math.round(sunSurface(sun?.airC ?? USUAL_NOON_C, lab.l))));
  return { warm: { by: 'sun', surfaceC, minutes }, ...(sun ? { sun } : {}) };
}
