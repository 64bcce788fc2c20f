import { flashRustAt } from './flashRust.ts';
import type { AirSeries, Facts, Label, Place, Reading, Workshop } from '#core/facts/index';
import { DAY, HOUR, localMoment, type Minute, toMinute } from '#core/units/index';
import { type AirMovement, type Climate, DryingClock, valueAt } from './clock.ts';
import { assumedSurface, dewPoint, LEAST_DEW_MARGIN } from './dew.ts';
import type { Mechanism } from './familyRow.ts';
import { darkHours, guessedPosition } from './daylight.ts';
import { monthOf, type UsualAir, usualAir } from './usualAir.ts';
import { cloudAt, seriesAt, seriesText, windAt } from './series.ts';

/** Air of every place for the days ahead, hour by hour. An argument of the plan, never read from a clock in here. */
export type Conditions = Readonly<Record<string, PlaceAir>>;

export type PlaceAir = {
  /** Minute of the first value. */
  readonly start: Minute;
  readonly tempC: readonly number[];
  readonly rh: readonly number[];
  /** What the figures stand on, said on the screen. */
  readonly rests: string;
  readonly measured: boolean;
  /** Until when a typed reading counts; null: until the next one; absent: none is typed. */
  readonly countsUntil?: Minute | null;
  /** Wind of each hour in the open, m/s; null where nothing is known of it, absent indoors. */
  readonly windMs?: readonly (number | null)[];
  /** Cloud of each hour in the open, % of the sky; null where nothing is known of it, absent indoors and without a forecast. */
  readonly cloud?: readonly (number | null)[];
  /** Air movement over the parts; absent: still. */
  readonly air?: AirMovement;
  /** Hours without daylight, in the open; absent indoors, where there are lamps. */
  readonly dark?: readonly boolean[];
  /** How much warmer a part was measured than the 2 °C below the air it is taken to be, hour by hour; absent: never measured. */
  readonly warmerC?: readonly number[];
};

const DAYS_AHEAD = 14;
const DAYS_BACK = 30;
const WARMEST_HOUR = 15;
const READING_TRUSTED_FOR = 3 * HOUR;
/** A typed reading of an unheated place; a heated one keeps the air that was typed. */
const TYPED_TRUSTED_FOR = 12 * HOUR;
/** How fast the room forgets what the sensor said and returns to its usual day, hours. */
const MEMORY_HOURS = 36;

/**
 * The air of each place: its usual day (mean and swing, warmest at 15:00), shifted by what the sensor last said.
 * The shift fades over a day and a half. A reading older than 3 h counts no longer, and `rests` says so.
 */
export function conditionsOf(facts: Facts, now: Minute): Conditions {
  const workshop: Workshop | undefined = facts.workshop[0];
  const timeZone = workshop?.timeZone ?? 'UTC';
  return Object.fromEntries(
    facts.places.map((place) => [
      place.id,
      placeAir(
        place,
        facts.readings.filter((reading) => reading.placeId === place.id),
        facts.airSeries.filter((series) => series.placeId === place.id),
        now,
        timeZone,
      ),
    ]),
  );
}

function placeAir(place: Place, readings: readonly Reading[], series: readonly AirSeries[], now: Minute, timeZone: string): PlaceAir {
  const start = Math.floor(now / HOUR) * HOUR - DAYS_BACK * DAY;
  const latest = [...readings].sort((a, b) => toMinute(b.at) - toMinute(a.at))[0];
  const age = latest ? now - toMinute(latest.at) : Number.POSITIVE_INFINITY;
  const countsUntil = latest ? until(latest, place) : null;
  const fresh = latest !== undefined && (countsUntil === null || now <= countsUntil);
  const byDay = new Map<number, UsualAir>();
  const usualOn = (day: number): UsualAir => {
    const known = byDay.get(day);
    if (known) return known;
    const found = usualAir(place, monthOf(start + (day + 0.5) * DAY), timeZone, now);
    byDay.set(day, found);
    return found;
  };
  const startOfDay = localMoment(start, timeZone).minuteOfDay;
  const usualAt = (minute: Minute) => {
    const localHour = (startOfDay + (minute - start)) / HOUR;
    const wave = Math.cos(((localHour - WARMEST_HOUR) / 24) * 2 * Math.PI);
    const usual = usualOn(Math.floor((minute - start) / DAY));
    return { tempC: usual.c + place.swingC * wave, rh: Math.min(100, usual.rh - 1.5 * place.swingC * wave) };
  };
  // Heated places keep their own air; outside and unheated the forecast stands in for the usual day.
  const forecast = place.heated ? undefined : series.find((own) => own.from === 'forecast');
  const logged = series.find((own) => own.from === 'logger');
  const baseAt = (minute: Minute) => {
    const known = (logged && seriesAt(logged, minute)) ?? (forecast && seriesAt(forecast, minute));
    return known ?? usualAt(minute);
  };
  const atReading = latest ? baseAt(toMinute(latest.at)) : null;
  const offset = fresh && atReading ? { tempC: latest.airC - atReading.tempC, rh: latest.rh - atReading.rh } : { tempC: 0, rh: 0 };
  const hours = (DAYS_BACK + DAYS_AHEAD) * 24;
  const measuredC = fresh && latest?.surfaceC !== undefined ? latest.surfaceC - assumedSurface(latest.airC) : undefined;
  const tempC: number[] = [];
  const rh: number[] = [];
  const warmerC: number[] = [];
  for (let hour = 0; hour < hours; hour++) {
    const minute = start + hour * HOUR;
    const usual = baseAt(minute);
    const weight = fresh ? weightOf(latest, minute, now, countsUntil) : 0;
    tempC.push(usual.tempC + weight * offset.tempC);
    rh.push(Math.min(100, Math.max(5, usual.rh + weight * offset.rh)));
    warmerC.push(latest && partStays(latest, minute) ? weight * (measuredC ?? 0) : 0);
  }
  const inTheOpen = place.kind === 'outdoors' || place.kind === 'balcony';
  const felt = fresh ? latest?.windMs : undefined;
  const windOf = (hour: number): number | null => {
    const minute = start + hour * HOUR;
    if (felt !== undefined && Math.abs(minute - now) <= READING_TRUSTED_FOR) return felt;
    return forecast ? windAt(forecast, minute) : null;
  };
  return {
    start,
    tempC,
    rh,
    ...(inTheOpen && (forecast || felt !== undefined) ? { windMs: tempC.map((_, hour) => windOf(hour)) } : {}),
    ...(inTheOpen && forecast?.cloud ? { cloud: tempC.map((_, hour) => cloudAt(forecast, start + hour * HOUR)) } : {}),
    ...(inTheOpen ? { dark: darkHours(start, hours, place.position ?? guessedPosition(timeZone, now)) } : {}),
    ...(measuredC === undefined ? {} : { warmerC }),
    measured: fresh,
    rests: restsOn(place, latest, age, fresh, forecast && seriesText(forecast, now)),
    ...(latest?.from === 'typed' && fresh ? { countsUntil } : {}),
  };
}

/** Until when a reading counts; null: until the next one. */
function until(reading: Reading, place: Place): Minute | null {
  if (reading.from === 'sensor') return toMinute(reading.at) + READING_TRUSTED_FOR;
  if (reading.until) return toMinute(reading.until);
  return place.heated ? null : toMinute(reading.at) + TYPED_TRUSTED_FOR;
}

/** What a reading weighs at a moment: a typed one holds until it no longer counts; a sensor's is of now. Either fades over a day and a half. */
function weightOf({ at, from }: Reading, minute: Minute, now: Minute, countsUntil: Minute | null): number {
  const [first, last] = from === 'typed' ? [toMinute(at), countsUntil ?? Number.POSITIVE_INFINITY] : [now, now];
  const away = Math.max(0, first - minute, minute - last);
  return Math.exp(-away / HOUR / MEMORY_HOURS);
}

/** A part takes the temperature of the room within so many minutes: a cold one is no colder after it (trade §8). */
const PART_KEEPS_FOR = 180;

/** Whether the part is still as warm or cold as it was typed; a sensor goes on measuring. */
function partStays({ at, from }: Reading, minute: Minute): boolean {
  return from === 'sensor' || minute <= toMinute(at) + PART_KEEPS_FOR;
}

function restsOn(place: Place, latest: Reading | undefined, age: number, fresh: boolean, ahead: string | undefined): string {
  const stands = ahead ?? 'the usual day stands in';
  if (!latest) return place.hasSensor ? `The sensor has not spoken yet; ${stands}.` : `No sensor here; ${stands}.`;
  const minutes = Math.max(0, Math.round(age));
  if (fresh) return latest.from === 'typed' ? 'As you typed it.' : `Sensor, ${minutes} min ago.`;
  const old = minutes < 120 ? `${minutes} min` : `${Math.round(minutes / 60)} h`;
  if (latest.from === 'typed') return `Typed ${old} ago, too old to count: ${stands}.`;
  return `Last reading ${old} ago: the sensor is silent, so ${stands}.`;
}

export type AirNow = {
  readonly airC: number;
  readonly rh: number;
  readonly dewPointC: number;
  readonly dewMarginC: number;
  /** m/s in the open; absent where nothing is known of it. */
  readonly windMs?: number;
  /** In the open, without daylight. */
  readonly dark?: boolean;
};

/** Temperature, humidity and dew margin (measured or assumed surface) at a moment. */
export function airAt(air: PlaceAir, at: Minute): AirNow {
  const hour = Math.max(0, (at - air.start) / HOUR);
  const [airC, rh] = [valueAt(air.tempC, hour), valueAt(air.rh, hour)];
  const dewPointC = dewPoint(airC, rh);
  const windMs = air.windMs?.[Math.floor(hour)] ?? null;
  const surfaceC = assumedSurface(airC) + (air.warmerC ? valueAt(air.warmerC, hour) : 0);
  return {
    airC,
    rh,
    dewPointC,
    dewMarginC: surfaceC - dewPointC,
    ...(darkAt(air.dark, hour) ? { dark: true } : {}),
    ...(windMs === null ? {} : { windMs }),
  };
}

/** Past the hours known the last day repeats, as with the air. */
function darkAt(dark: readonly boolean[] | undefined, hour: number): boolean {
  if (!dark) return false;
  const whole = Math.floor(hour);
  return dark[whole < dark.length ? whole : dark.length - 24 + ((whole - dark.length) % 24)];
}

export type SprayRange = { readonly minC: number; readonly maxC: number; readonly maxRh: number };

/** Air a coat may go on in, label else family (trade §8). */
export function sprayRange(mechanism: Mechanism, family: string, label: Pick<Label, 'minC' | 'maxC' | 'maxRh'> = {}): SprayRange {
  const waterborne = mechanism === 'coalescence';
  const twoPack = family === 'urethane-2k' || family === 'epoxy-primer';
  const narrow = waterborne || twoPack;
  const maxRh = label.maxRh ?? (waterborne ? 80 : twoPack ? 75 : mechanism === 'evaporation' ? 65 : 80);
  return { minC: label.minC ?? (narrow ? 15 : 10), maxC: label.maxC ?? (narrow ? 30 : 32), maxRh };
}

export type AirVerdict = { readonly verdict: 'sits' | 'care' | 'stop'; readonly because: string };

/** Wind a spray bears: to the first without a thought, to the second with care (trade §8), m/s. */
const CALM_MS = 1;
const MOST_WIND_MS = 3;

/** Whether a coat may be sprayed in this air: darkness, temperature, dew margin and wind stop, humidity is care up to 10 points over. */
export function airVerdict(air: AirNow, range: SprayRange): AirVerdict {
  if (air.dark) return { verdict: 'stop', because: 'It is dark there: a wet edge is not seen without daylight.' };
  if (air.airC < range.minC || air.airC > range.maxC) {
    return { verdict: 'stop', because: `${air.airC.toFixed(1)} °C is outside ${range.minC}–${range.maxC} °C.` };
  }
  if (air.dewMarginC < LEAST_DEW_MARGIN) {
    return { verdict: 'stop', because: `The part is only ${air.dewMarginC.toFixed(1)} °C above the dew point; 3 °C is the least.` };
  }
  const wind = air.windMs ?? 0;
  if (wind > MOST_WIND_MS)
    return {
      verdict: 'stop',
      because: `Wind of ${wind.toFixed(1)} m/s carries the spray off and dust on; ${MOST_WIND_MS} m/s is the most.`,
    };
  if (air.rh > range.maxRh + 10)
    return { verdict: 'stop', because: `${Math.round(air.rh)} % humidity clouds the film; ${range.maxRh} % is the most.` };
  if (air.rh > range.maxRh)
    return { verdict: 'care', because: `${Math.round(air.rh)} % humidity is a little over ${range.maxRh} %: mist coats, warm the part.` };
  if (wind > CALM_MS)
    return { verdict: 'care', because: `Wind of ${wind.toFixed(1)} m/s: a screen to windward, closer and lighter coats.` };
  return { verdict: 'sits', because: 'The air is right.' };
}

const CLOCKS = new WeakMap<Conditions, DryingClocks>();

/** The clocks of this air, made once: plans that are compared with one another stand in the same air. */
export function clocksOf(conditions: Conditions): DryingClocks {
  const known = CLOCKS.get(conditions);
  if (known) return known;
  const made = new DryingClocks(conditions);
  CLOCKS.set(conditions, made);
  return made;
}

/** Drying clocks of all places, made when first asked for. */
export class DryingClocks {
  readonly #conditions: Conditions;
  readonly #made = new Map<string, Map<Mechanism, Map<AirMovement, DryingClock>>>();

  constructor(conditions: Conditions) {
    this.#conditions = conditions;
  }

  /** The moment at which a wait begun at `from` is over; null if it never is. */
  reached(placeId: string, mechanism: Mechanism, from: Minute, referenceHours: number, air?: AirMovement): Minute | null {
    const hours = this.#clock(placeId, mechanism, air ?? this.#conditions[placeId]?.air ?? 'still').hoursUntil(from / HOUR, referenceHours);
    return hours === null ? null : from + hours * HOUR;
  }

  /** When steel that is bright and bare at `from` begins to flash-rust here. */
  flashRust(placeId: string, from: Minute): Minute {
    return flashRustAt(climateOf(this.#conditions[placeId]), from);
  }

  /** Reference hours passed between two moments. */
  progress(placeId: string, mechanism: Mechanism, from: Minute, to: Minute): number {
    return this.#clock(placeId, mechanism, this.#conditions[placeId]?.air ?? 'still').progress(from / HOUR, to / HOUR);
  }

  #clock(placeId: string, mechanism: Mechanism, air: AirMovement): DryingClock {
    const ofPlace = remembered(this.#made, placeId, () => new Map<Mechanism, Map<AirMovement, DryingClock>>());
    const ofMechanism = remembered(ofPlace, mechanism, () => new Map<AirMovement, DryingClock>());
    return remembered(ofMechanism, air, () => new DryingClock(climateOf(this.#conditions[placeId]), mechanism, air));
  }
}

function remembered<K, V>(known: Map<K, V>, key: K, make: () => V): V {
  const found = known.get(key);
  if (found !== undefined) return found;
  const made = make();
  known.set(key, made);
  return made;
}

function climateOf(air: PlaceAir | undefined): Climate {
  if (!air) return { startHour: 0, tempC: [20], rh: [50] };
  return { startHour: air.start / HOUR, tempC: air.tempC, rh: air.rh };
}
