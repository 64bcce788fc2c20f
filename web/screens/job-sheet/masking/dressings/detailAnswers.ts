import { knownPaint } from '#core/coats/index';
import { labOf, PALETTE } from '#core/colour/index';
import { type Detail, detailSchema, detailWaySchema, type Facts, familySchema, type Family, type Lab } from '#core/facts/index';
import { parseNumber, typedNumber } from '#core/units/index';
import { z } from 'zod';
import { readFact } from '../../../../views/typed/readFact.ts';
import type { Spot } from './WhenAndWhere.tsx';

/** A detail as it is typed: what is picked out, how, with which paint, where and after which layer. */

const USUAL_FAMILY: Family = 'alcohol-acrylic';
/** The colour stays what it was. */
export const SAME_COLOUR = 'as it was';

export type TypedDetail = z.input<ReturnType<typeof detailAnswersSchema>>;

export function freshDetail(spot: Spot): TypedDetail {
  return { name: '', count: '1', minutes: '', way: 'brush', family: USUAL_FAMILY, colour: PALETTE[12].hex, productId: '', ...spot };
}

/** A detail that is in the plan already, as it was typed. */
export function typedDetail(detail: Detail): TypedDetail {
  const { name, count, minutesEach, way, family, lab, productId, zoneId, after } = detail;
  return {
    name,
    count: String(count),
    minutes: minutesEach === undefined ? '' : typedNumber(minutesEach),
    way,
    family,
    colour: PALETTE.find(({ hex }) => alike(labOf(hex), lab))?.hex ?? SAME_COLOUR,
    productId: productId ?? '',
    zoneId,
    after,
  };
}

export const detailAnswersSchema = (facts: Facts, id: string, was?: Detail) =>
  z
    .object({
      name: z.string(),
      count: z.string(),
      minutes: z.string(),
      way: detailWaySchema,
      family: familySchema,
      colour: z.string(),
      /** A paint of the shelf; empty: any of that family and colour. */
      productId: z.string(),
      zoneId: z.string(),
      after: z.string().nullable(),
    })
    .transform((typed, context): Detail => {
      const paint = facts.products.find((own) => own.id === typed.productId);
      const sheet = paint && facts.sheets.find((own) => own.id === paint.sheetId);
      return readFact(
        detailSchema,
        {
          id,
          name: typed.name,
          count: parseNumber(typed.count) ?? Number.NaN,
          way: typed.way,
          zoneId: typed.zoneId,
          after: typed.after,
          family: sheet?.family ?? typed.family,
          lab: paint ? knownPaint(paint, facts).lab : colourOf(typed.colour, was),
          ...(paint ? { productId: paint.id } : {}),
          ...(typed.minutes.trim() ? { minutesEach: parseNumber(typed.minutes) ?? Number.NaN } : {}),
        },
        context,
        { minutesEach: 'minutes' },
      );
    });

function colourOf(colour: string, was: Detail | undefined): Lab {
  return colour === SAME_COLOUR && was ? was.lab : labOf(colour);
}

function alike(one: Lab, other: Lab): boolean {
  return one.l === other.l && one.a === other.a && one.b === other.b;
}
