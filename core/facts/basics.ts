import { z } from 'zod';

/** Field schemas used by several facts, with messages that say what to do. */

/** An id may stand as a key of a record anywhere, so the names every object of the language already has are none. */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/, 'An id has 1 to 64 letters, digits, _ or -.')
  .refine((id) => !(id in Object.prototype), 'This word has a meaning to the program itself. Choose another id.');

export const nameSchema = z.string().trim().min(1, 'Give it a name.').max(80, 'A name may have 80 characters. Shorten it.');

/** Years a restorer can mean: outside them a typing slip or another calendar would carry the plan away. */
const [FIRST_YEAR, LAST_YEAR] = [1970, 2199];
const inRange = (text: string): boolean => Number(text.slice(0, 4)) >= FIRST_YEAR && Number(text.slice(0, 4)) <= LAST_YEAR;
const OUT_OF_RANGE = `A year lies from ${FIRST_YEAR} to ${LAST_YEAR}. Check the date.`;

export const momentSchema = z.iso
  .datetime({ offset: true, error: 'A time reads like 2026-11-25T19:30:00Z.' })
  .refine(inRange, OUT_OF_RANGE);
export const dateSchema = z.iso.date('A date reads like 2026-12-24.').refine(inRange, OUT_OF_RANGE);
export const clockSchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A clock time reads like 19:30.');

/** Money in whole minor units, at most a million. */
export const moneySchema = z
  .int('Money is in whole cents.')
  .min(0, 'Money is not negative.')
  .max(100_000_000, 'That is more than a million.');

/** A length in mm: above 0, at most 5 m. */
export const lengthSchema = z
  .number('Type a size in millimetres.')
  .min(0.1, 'A size is at least 0.1 mm.')
  .max(5000, 'A size is at most 5 m (5000 mm). Check the unit.');

/** A volume in mL: above 0, at most 20 L. */
export const volumeSchema = z
  .number('Type a volume in millilitres.')
  .positive('The volume must be above 0 mL.')
  .max(20_000, 'A pack is at most 20 L. Check the unit.');

export const labSchema = z.strictObject({
  l: z.number().min(0).max(100),
  a: z.number().min(-128).max(128),
  b: z.number().min(-128).max(128),
});
/** CIE L*a*b*, D65 here as culori's lab65: L 0–100. */
export type Lab = z.infer<typeof labSchema>;

export const copiesSchema = z.int('Copies are whole.').min(1, 'At least one copy.').max(200, 'At most 200 copies.');
