import type { Workshop } from '#core/facts/index';
import { parseNumber } from '#core/units/index';
import { z } from 'zod';
import { readQuantity, refuse } from '../../views/typed/readFact.ts';

export type DryingPlace = NonNullable<Workshop['dryingPlaces']>[number];

export const FRESH_PLACE = { count: '', long: '', weight: '' };

/** Places as they are typed: how many, for which length, and how much each carries. */
export const placeSchema = (lengthUnit: 'mm' | 'in') =>
  z.object({ count: z.string(), long: z.string(), weight: z.string() }).transform((typed, context): DryingPlace => {
    const count = parseNumber(typed.count) ?? Number.NaN;
    if (!Number.isInteger(count) || count < 1 || count > 500) refuse(context, 'count', 'Count the places: a whole number from 1 to 500.');
    const longMm = readQuantity(typed.long, 'length', lengthUnit, context, 'long');
    if (longMm < 5 || longMm > 5000) refuse(context, 'long', 'A place takes parts of 5 mm to 5 m. Check the unit.');
    const grams = typed.weight.trim() === '' ? undefined : readQuantity(typed.weight, 'mass', 'g', context, 'weight');
    if (grams !== undefined && (grams < 1 || grams > 500_000)) refuse(context, 'weight', 'A place carries 1 g to 500 kg. Check the unit.');
    if (context.issues.length > 0) return z.NEVER;
    return { count, longMm, ...(grams === undefined ? {} : { grams }) };
  });
