import { type Parcel, parcelSchema } from '#core/facts/index';
import { parseMoney, parseNumber, typedMoney } from '#core/units/index';
import { z } from 'zod';
import { readFact, refuse } from '../../../views/typed/readFact.ts';

export type TypedParcel = z.input<ReturnType<typeof parcelAnswersSchema>>;
export const FRESH_PARCEL: TypedParcel = { name: '', price: '', due: '', days: '', source: '', holds: '' };

/** A parcel that is waited for already, as it was typed. */
export function typedParcel({ name, price, due, leadDays, source, holds }: Parcel): TypedParcel {
  return {
    name,
    price: typedMoney(price),
    due: due ?? '',
    days: leadDays === undefined ? '' : String(leadDays),
    source: source ?? '',
    holds: holds ? keyOfHold(holds) : '',
  };
}

/** A parcel as it is typed: money as a sum in the currency of the workshop, the rest as the fact itself asks. */
export const parcelAnswersSchema = (currency: string, id: string, was?: Parcel) =>
  z
    .object({
      name: z.string(),
      price: z.string(),
      due: z.string(),
      days: z.string(),
      source: z.string(),
      /** A part, its decals, its going on, or a task, by a word and its id; empty: putting together. */
      holds: z.string(),
    })
    .transform(({ name, price, due, days, source, holds }, context): Parcel => {
      const amount = parseMoney(price.trim() || '0', currency);
      if (!amount.ok) refuse(context, 'price', amount.mend);
      if (name.trim() === '') refuse(context, 'name', 'Say what is to come: glazing, tyres, a part.');
      return readFact(
        parcelSchema,
        {
          id,
          name,
          price: amount.ok ? amount.value : 0,
          arrived: was?.arrived ?? false,
          ...(was?.orderedAt ? { orderedAt: was.orderedAt } : {}),
          ...(days.trim() ? { leadDays: parseNumber(days) ?? Number.NaN } : {}),
          ...(source.trim() ? { source } : {}),
          ...(due ? { due } : {}),
          ...(holds ? { holds: heldBy(holds) } : {}),
        },
        context,
        { leadDays: 'days' },
      );
    });

type Holds = NonNullable<Parcel['holds']>;

function keyOfHold({ partId, stage, taskId }: Holds): string {
  if (taskId) return `task ${taskId}`;
  return `${stage ?? 'part'} ${partId}`;
}

function heldBy(holds: string): Holds {
  const [what, id] = [holds.slice(0, holds.indexOf(' ')), holds.slice(holds.indexOf(' ') + 1)];
  if (what === 'task') return { taskId: id };
  return { partId: id, ...(what === 'part' ? {} : { stage: what as Holds['stage'] }) };
}
