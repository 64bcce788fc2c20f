import { z } from 'zod';
import { clockSchema, dateSchema, idSchema, lengthSchema, momentSchema, nameSchema } from './basics.ts';
import { handSchema } from './names.ts';

/** One weekly stretch of free time, local clock. */
export const freeHoursSchema = z
  .strictObject({ weekday: z.int().min(1).max(7), from: clockSchema, to: clockSchema })
  .refine((free) => free.from < free.to, 'A free evening must begin before it ends; split it at midnight.');

/** A single stretch of free time, outside the weekly habit. */
export const spanSchema = z
  .strictObject({ from: momentSchema, to: momentSchema })
  .refine((span) => Date.parse(span.from) < Date.parse(span.to), 'The stretch must begin before it ends.');

/** Days on which nobody is at the bench: a holiday, or a single day that is not to be. */
export const awaySchema = z
  .strictObject({ from: dateSchema, to: dateSchema, why: z.string().trim().max(60).optional() })
  .refine(({ from, to }) => from <= to, 'The first day away is not after the last.');

/** Every day from one hour to another, over midnight where the second is the earlier. */
export const quietSchema = z
  .strictObject({ from: clockSchema, to: clockSchema })
  .refine(({ from, to }) => from !== to, 'Quiet hours begin and end at different times.');

/** Busy time brought in from a calendar file. */
export const busyCalendarSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  readAt: momentSchema,
  spans: z.array(z.strictObject({ from: momentSchema, to: momentSchema })).max(4000, 'At most 4000 busy stretches.'),
});
export type BusyCalendar = z.infer<typeof busyCalendarSchema>;

const benchMinutesSchema = z.int('Minutes are whole.').min(0, 'Minutes are 0 or more.').max(120, 'More than two hours: check it.');

export const workshopSchema = z.strictObject({
  id: z.literal('workshop'),
  name: nameSchema,
  currency: z.string().regex(/^[A-Z]{3}$/, 'A currency has three letters, such as EUR.'),
  timeZone: z.string().refine(isTimeZone, 'Name a time zone such as Europe/Lisbon.'),
  units: z.strictObject({
    length: z.enum(['mm', 'in']),
    volume: z.enum(['mL', 'oz']),
    temperature: z.enum(['C', 'F']),
    clock: z.union([z.literal(12), z.literal(24)]),
    /** Which comes first where a date is typed in figures; absent: the day. */
    dates: z.enum(['day-first', 'month-first']).optional(),
    /** The day a week begins with, Monday or Sunday; absent: Monday. */
    weekStart: z.union([z.literal(1), z.literal(7)]).optional(),
  }),
  freeHours: z.array(freeHoursSchema).max(40),
  extraFree: z.array(spanSchema).max(100),
  away: z.array(awaySchema).max(200),
  /** What the plan is made for; absent: the soonest end. */
  goal: z.enum(['soonest', 'fewest-sessions', 'calmest']).optional(),
  /** A stay at the bench is never longer than this, minutes: heat and stamina; absent: as long as the hours. */
  longestStay: z.int('Minutes are whole.').min(15, 'A stay has at least 15 minutes.').max(1440).optional(),
  /** Minutes at spraying as this person takes them; what is absent takes the usual ones. */
  benchMinutes: z
    .strictObject({
      setUp: benchMinutesSchema.optional(),
      /** To take up another paint, once the tool is clean. */
      change: benchMinutesSchema.optional(),
      cleanUp: z.partialRecord(handSchema, benchMinutesSchema).optional(),
    })
    .optional(),
  /** Hours in which nothing that is loud may run: blasting, a compressor. */
  quietHours: z.array(quietSchema).max(20).optional(),
  hands: z.array(handSchema).min(1, 'Say what you spray or brush with.'),
  sprayPlaceId: idSchema,
  dryPlaceId: idSchema,
  /** The largest tub owned, inside, mm: a bath needs one the part fits into; absent: not asked yet. */
  tub: z.strictObject({ longMm: lengthSchema, wideMm: lengthSchema, deepMm: lengthSchema }).optional(),
  /** How many tubs there are that large; absent: one. */
  tubs: z.int('Tubs are counted whole.').min(1, 'Count 1 tub or more.').max(20).optional(),
  /** The floor of the booth, mm: how much lies or hangs in it side by side; absent: room enough. */
  booth: z.strictObject({ longMm: lengthSchema, wideMm: lengthSchema }).optional(),
  /** Hooks, rods and shelves where films dry: so many copies at a time, each up to a length and a weight; absent: as many as there are. */
  dryingPlaces: z
    .array(
      z.strictObject({
        count: z.int('Places are counted whole.').min(1, 'Count 1 place or more.').max(500),
        longMm: lengthSchema,
        grams: z.number('Type grams.').min(1, 'A place carries 1 g or more.').max(500_000, 'At most 500 kg. Check the unit.').optional(),
      }),
    )
    .max(12, 'At most 12 kinds of drying places.')
    .optional(),
  /** An oven for parts only, inside, mm, and the most its thermostat holds, °C; absent: there is none. */
  oven: z
    .strictObject({
      longMm: lengthSchema,
      wideMm: lengthSchema,
      highMm: lengthSchema,
      mostC: z.number('Type the most it holds.').min(30, 'An oven holds at least 30 °C.').max(300, 'At most 300 °C. Check the unit.'),
    })
    .optional(),
  /** When somebody is at home while an oven is on, beside the hours at the bench; absent: only then. */
  atHome: z.array(freeHoursSchema).max(40).optional(),
  /** mL of each colour kept for touch-up, a piece; absent: the usual few. */
  touchUpMl: z.number('Type mL.').min(0, 'Keep 0 mL or more for touch-up.').max(100, 'A touch-up jar holds at most 100 mL.').optional(),
  /** When the cartridges of the respirator were changed last; absent: nobody counts their hours. */
  cartridgesSince: momentSchema.optional(),
  /** False until the three cards of the first run were answered. */
  started: z.boolean(),
});
export type Workshop = z.infer<typeof workshopSchema>;

const airCSchema = z.number().min(-30, 'Below -30 °C nothing dries.').max(50, 'Above 50 °C nobody paints.');
const humiditySchema = z.number().min(5, 'Humidity is 5 to 100 %.').max(100, 'Humidity is 5 to 100 %.');

export const placeSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(['room', 'shed', 'balcony', 'outdoors']),
  heated: z.boolean(),
  sleptIn: z.boolean(),
  /** What is usual there when no sensor speaks: mean temperature, daily swing either side of it, mean humidity. */
  meanC: airCSchema,
  swingC: z.number().min(0).max(20),
  meanRh: humiditySchema,
  /** What is usual there from January to December, °C and %; absent: from where it stands, or the means above. */
  usual: z
    .array(z.strictObject({ c: airCSchema, rh: humiditySchema }))
    .length(12, 'A year has twelve months.')
    .optional(),
  hasSensor: z.boolean(),
  /** Where it is on the globe, degrees, for daylight in the open; absent: guessed from the time zone. */
  position: z
    .strictObject({
      latitude: z.number().min(-90, 'A latitude is -90 to 90 degrees.').max(90, 'A latitude is -90 to 90 degrees.'),
      longitude: z.number().min(-180, 'A longitude is -180 to 180 degrees.').max(180, 'A longitude is -180 to 180 degrees.'),
    })
    .optional(),
});
export type Place = z.infer<typeof placeSchema>;

/** The latest word of a sensor or of the person on a place's air; one a place. */
export const readingSchema = z.strictObject({
  id: idSchema,
  placeId: idSchema,
  at: momentSchema,
  airC: z
    .number()
    .min(-40, 'The air is -40 to 60 °C; the sensor may be broken.')
    .max(60, 'The air is -40 to 60 °C; the sensor may be broken.'),
  rh: z.number().min(1, 'Humidity is 1 to 100 %.').max(100, 'Humidity is 1 to 100 %.'),
  /** The part's own surface, measured; absent: air less 2 °C. */
  surfaceC: z.number().min(-40, 'A part is -40 to 90 °C.').max(90, 'A part is -40 to 90 °C.').optional(),
  /** Wind as felt or measured in the open, m/s. */
  windMs: z.number().min(0, 'Wind is not negative.').max(60, 'Wind is at most 60 m/s. Check the unit.').optional(),
  from: z.enum(['sensor', 'typed']),
  /** Until when a typed one counts; absent: half a day where nothing heats, else until the next. */
  until: momentSchema.optional(),
});
export type Reading = z.infer<typeof readingSchema>;

/** Hourly air of a place: what a real logger recorded, or what a forecast says. Hours it knows nothing of are null. */
export const airSeriesSchema = z
  .strictObject({
    id: idSchema,
    placeId: idSchema,
    from: z.enum(['logger', 'forecast']),
    start: momentSchema,
    tempC: z
      .array(z.number().min(-40).max(60).nullable())
      .min(1)
      .max(24 * 400),
    rh: z
      .array(z.number().min(1).max(100).nullable())
      .min(1)
      .max(24 * 400),
    /** Cloud, % of the sky, where the series knows it. */
    cloud: z
      .array(z.number().min(0).max(100).nullable())
      .max(24 * 400)
      .optional(),
    /** Wind, m/s, where the series knows it. */
    windMs: z
      .array(z.number().min(0).max(80).nullable())
      .max(24 * 400)
      .optional(),
  })
  .refine((series) => series.tempC.length === series.rh.length, 'Temperature and humidity are of the same length.')
  .refine((series) => (series.cloud ?? series.rh).length === series.rh.length, 'Cloud is of the same length as the humidity.')
  .refine((series) => (series.windMs ?? series.rh).length === series.rh.length, 'Wind is of the same length as the humidity.');
export type AirSeries = z.infer<typeof airSeriesSchema>;

/** Sessions a person has seen and agreed: step key to start. Replans stay near and say what moved. */
export const agreedSchema = z.strictObject({
  id: z.literal('agreed'),
  at: momentSchema,
  starts: z.record(z.string().max(300), momentSchema),
  /** Steps put to a time by hand: step key to start. A replan keeps them, or says why it cannot. */
  pins: z.record(z.string().max(300), momentSchema).optional(),
});
export type Agreed = z.infer<typeof agreedSchema>;

function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}
