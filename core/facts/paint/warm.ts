import { z } from 'zod';

/** Warmth that quickens a film: a low oven, full sun, a warmer room. */

export const WARM_BY = ['oven', 'sun', 'warm-room'] as const;
export const warmBySchema = z.enum(WARM_BY);
export type WarmBy = z.infer<typeof warmBySchema>;

/** A spell of warmth: the part's own surface by a thermometer beside it, °C, and how long. */
export const warmSchema = z.strictObject({
  by: warmBySchema,
  surfaceC: z
    .number('Type the temperature of the part.')
    .min(20, 'Below 20 °C nothing is quickened.')
    .max(260, 'Nothing here is warmed above 260 °C, and only high-temperature paint on metal above 90. Check the unit.'),
  minutes: z
    .number('Type how long.')
    .min(10, 'A warm spell lasts 10 minutes or longer.')
    .max(7 * 1440, 'A warm spell lasts at most 7 days.'),
});
export type Warm = z.infer<typeof warmSchema>;
