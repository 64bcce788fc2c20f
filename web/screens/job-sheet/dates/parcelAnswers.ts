import { type Parcel, parcelSchema } from '#core/facts/index';
import { parseMoney } from '#core/units/index';
import { z } from 'zod';

/** A parcel as it is typed: money as a sum in the currency of the workshop, the rest as the fact itself asks. */
export const parcelAnswersSchema = (currency: string) =>
  z
    .object({
      name: z.string().trim().min(1, 'Say what is to come: glazing, tyres, a part.').max(80),
      price: z.string(),
      due: z.union([z.literal(''), parcelSchema.shape.due.unwrap()]),
      source: z.string().trim().max(80),
      /** A part, its decals, its going on, or a task, by a word and its id; empty: putting together. */
      holds: z.string(),
    })
    .transform(({ name, price, due, source, holds }, context): Omit<Parcel, 'id'> => {
      const amount = parseMoney(price.trim() || '0', currency);
      if (!amount.ok) {
        context.addIssue({ code: 'custom', path: ['price'], message: amount.mend });
        return z.NEVER;
      }
      return {
        name,
        price: amount.value,
        arrived: false,
        ...(source ? { source } : {}),
        ...(due ? { due } : {}),
        ...(holds ? { holds: heldBy(holds) } : {}),
      };
    });

function heldBy(holds: string): NonNullable<Parcel['holds']> {
  const [what, id] = [holds.slice(0, holds.indexOf(' ')), holds.slice(holds.indexOf(' ') + 1)];
  if (what === 'task') return { taskId: id };
  if (what === 'decal' || what === 'assemble') return { partId: id, stage: what };
  return { partId: id };
}
