import { resolveLayer } from '#core/coats/index';
import { namedColour } from '#core/colour/index';
import { aimSchema, type Facts, looksLikeSchema, type Workshop } from '#core/facts/index';
import type { LastCoat, QuickAnswers, WhereNow } from '#core/plan/index';
import { type Minute, parseMoney, parseQuantity } from '#core/units/index';
import { z } from 'zod';
import { readScale } from '../../views/words/scaleText.ts';

const WHERE_NOW = ['untouched', 'bare', 'primed', 'coloured', 'cleared'] as const satisfies readonly WhereNow[];
export const ALREADY_COATED: readonly WhereNow[] = ['primed', 'coloured', 'cleared'];
const LONGEST_BACK = 10 * 366 * 1440;

/** What quick-add takes, read from what was typed; every refusal names its field. */
export function quickAnswersSchema(workshop: Workshop, facts: Facts, now: () => Minute) {
  return z
    .object({
      name: z.string().trim().min(1, 'Give the piece a name, so that you find it again.').max(80, 'A name has at most 80 characters.'),
      longest: z.string().trim().min(1, 'Type its longest side: everything else is guessed from it.').transform(quantityIn(workshop)),
      looksLike: looksLikeSchema,
      colours: z.array(z.string()).max(3),
      whereNow: z.enum(WHERE_NOW),
      since: z.number().nullable(),
      sinceEarliest: z.number().nullable(),
      lastProductId: z.string(),
      aim: aimSchema,
      scale: z.string().transform(scaleIn),
      budget: z.string().transform(moneyIn(workshop.currency)),
      neededBy: z.union([z.literal(''), z.iso.date('A day reads 2026-12-24.')]),
    })
    .superRefine(({ whereNow, since, sinceEarliest }, context) => {
      const why = ALREADY_COATED.includes(whereNow) ? sinceRefused(since, now()) : null;
      if (why) context.addIssue({ code: 'custom', path: ['since'], message: why });
      if (ALREADY_COATED.includes(whereNow) && since !== null && sinceEarliest !== null && sinceEarliest > since)
        context.addIssue({ code: 'custom', path: ['sinceEarliest'], message: 'The earlier of the two moments belongs here.' });
    })
    .transform(
      (typed): QuickAnswers => ({
        name: typed.name,
        looksLike: typed.looksLike,
        longestMm: typed.longest,
        colours: typed.colours.map((hex) => ({ name: namedColour(hex).name, hex })),
        aim: typed.aim,
        whereNow: typed.whereNow,
        ...(ALREADY_COATED.includes(typed.whereNow) && typed.since !== null ? { since: typed.since } : {}),
        ...(ALREADY_COATED.includes(typed.whereNow) && typed.sinceEarliest !== null ? { sinceEarliest: typed.sinceEarliest } : {}),
        ...(ALREADY_COATED.includes(typed.whereNow) && typed.lastProductId ? { lastCoat: lastCoatOf(typed.lastProductId, facts) } : {}),
        ...(typed.scale === null ? {} : { scale: typed.scale }),
        ...(typed.budget === null ? {} : { budget: typed.budget }),
        ...(typed.neededBy === '' ? {} : { neededBy: typed.neededBy }),
      }),
    );
}
export type TypedAnswers = z.input<ReturnType<typeof quickAnswersSchema>>;

function sinceRefused(since: Minute | null, now: Minute): string | null {
  if (since === null) return 'Say when the last coat went on: its clock runs from there.';
  if (since > now + 1) return 'That is still to come. Say when the last coat did go on.';
  return since < now - LONGEST_BACK ? 'That is more than ten years ago. Is the year right?' : null;
}

function lastCoatOf(productId: string, facts: Facts): LastCoat {
  const { name, family, role, lab } = resolveLayer({ id: productId, productId, coats: 1, covers: 'all' }, facts);
  return { productId, name, family, role, lab };
}

function quantityIn(workshop: Workshop) {
  return (text: string, context: z.RefinementCtx): number => {
    const size = parseQuantity(text, 'length', workshop.units.length);
    if (size.ok && size.value >= 5 && size.value <= 3000) return size.value;
    return refused(context, size.ok ? 'The longest side is between 5 mm and 3 m. Check the unit.' : size.mend);
  };
}

function scaleIn(text: string, context: z.RefinementCtx): number | null {
  if (text.trim() === '') return null;
  const scale = readScale(text);
  return scale.ok ? scale.value : refused(context, scale.mend);
}

function moneyIn(currency: string) {
  return (text: string, context: z.RefinementCtx): number | null => {
    if (text.trim() === '') return null;
    const money = parseMoney(text, currency);
    return money.ok ? money.value : refused(context, money.mend);
  };
}

function refused(context: z.RefinementCtx, message: string): never {
  context.addIssue({ code: 'custom', message });
  return z.NEVER;
}
