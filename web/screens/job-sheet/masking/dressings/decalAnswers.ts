import { type Decal, decalKindSchema, decalSchema, type Part } from '#core/facts/index';
import { typedQuantity } from '#core/units/index';
import { decalRefused } from '#core/zones/index';
import { z } from 'zod';
import { readFact, readQuantity, refuse } from '../../../../views/typed/readFact.ts';
import type { Spot } from './WhenAndWhere.tsx';

/** A decal as it is typed: what it shows, how large, of which kind, where and after which layer. */

export type TypedDecal = z.input<ReturnType<typeof decalAnswersSchema>>;

export function freshDecal(spot: Spot): TypedDecal {
  return { name: '', long: '', short: '', count: '2', kind: 'waterslide', at: '', spare: false, unseen: false, ...spot };
}

/** A decal that is in the plan already, as it was typed. */
export function typedDecal(decal: Decal, lengthUnit: 'mm' | 'in'): TypedDecal {
  const { name, longMm, shortMm, count, kind, at, spare, unseen, zoneId, after } = decal;
  return {
    name,
    long: typedQuantity(longMm, lengthUnit),
    short: typedQuantity(shortMm, lengthUnit),
    count: String(count),
    kind,
    at: at ?? '',
    spare,
    unseen: unseen ?? false,
    zoneId,
    after,
  };
}

export const decalAnswersSchema = (part: Part, lengthUnit: 'mm' | 'in', id: string) =>
  z
    .object({
      name: z.string(),
      long: z.string(),
      short: z.string(),
      count: z.string(),
      kind: decalKindSchema,
      at: z.string(),
      spare: z.boolean(),
      unseen: z.boolean(),
      zoneId: z.string(),
      after: z.string().nullable(),
    })
    .transform((typed, context): Decal => {
      const long = readQuantity(typed.long, 'length', lengthUnit, context, 'long');
      const short = readQuantity(typed.short, 'length', lengthUnit, context, 'short');
      // Where one of them is no size the other is not to blame.
      const [shortMm, longMm] = short > long ? [long, short] : [short, long];
      const decal = readFact(
        decalSchema,
        {
          id,
          name: typed.name,
          kind: typed.kind,
          count: Number(typed.count),
          spare: typed.spare,
          longMm,
          shortMm,
          zoneId: typed.zoneId,
          after: typed.after,
          ...(typed.at.trim() ? { at: typed.at } : {}),
          ...(typed.unseen ? { unseen: true } : {}),
        },
        context,
        { longMm: 'long', shortMm: 'short' },
      );
      if (context.issues.length > 0) return z.NEVER;
      const refused = decalRefused(part, decal);
      if (refused) refuse(context, 'long', refused);
      return refused ? z.NEVER : decal;
    });
