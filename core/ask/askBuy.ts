import { z } from 'zod';
import { billsOf, type BuyingProblem, cheapest, type Cheapest, type Solve } from '#core/buying/index';
import { idSchema } from '#core/facts/index';
import { counted } from '#core/units/index';

/** `ask buy`: needs, shelf, offers and shops in; the cheapest basket out, proven, or with how much cheaper it could be at most. */

const money = z
  .int('Money is in whole minor units, such as cents.')
  .min(0, 'A price is not negative.')
  .max(100_000_000, 'That is too much money. Check the unit.');
const ml = z.number('Type mL.').positive('More than 0 mL.').max(1_000_000, 'That is more than 1000 L. Check the unit.');
const day = z.int('Days are whole.').min(0, 'Days are counted from today: 0 or more.').max(3650, 'That is more than ten years.');

const servingSchema = z.union([idSchema, z.strictObject({ product: idSchema, ml })]);
const choiceSchema = z.tuple([idSchema, idSchema]);

export const buySchema = z
  .strictObject({
    needs: z
      .array(
        z.strictObject({
          id: idSchema,
          ml,
          byDay: day,
          products: z.array(servingSchema).min(1, 'Name at least one product that serves it.').max(60),
        }),
      )
      .max(300),
    exclude: z
      .array(z.tuple([choiceSchema, choiceSchema]))
      .max(5000)
      .optional(),
    shelf: z
      .array(z.strictObject({ product: idSchema, ml: z.number().min(0, 'A shelf holds 0 mL or more.').max(1_000_000) }))
      .max(1000)
      .optional(),
    offers: z
      .array(
        z.strictObject({
          id: idSchema,
          shop: idSchema,
          product: idSchema,
          ml,
          price: money,
          leadDays: day,
          stock: z.int('Packs are whole.').min(0, 'A stock is 0 or more.').max(1_000_000).optional(),
        }),
      )
      .max(3000),
    shops: z.array(z.strictObject({ id: idSchema, delivery: money, freeOver: money.optional(), minimum: money.optional() })).max(100),
    budget: money.optional(),
  })
  .superRefine(({ needs, exclude, offers, shops }, context) => {
    const issue = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    for (const [name, list] of Object.entries({ needs, offers, shops }))
      if (new Set(list.map(({ id }) => id)).size < list.length) issue([name], 'Two have the same id: give each its own.');
    for (const [index, { shop }] of offers.entries())
      if (!shops.some(({ id }) => id === shop)) issue(['offers', index, 'shop'], `No shop “${shop}”: name one of the shops.`);
    for (const [index, { products }] of needs.entries())
      if (new Set(products.map(productOf)).size < products.length)
        issue(['needs', index, 'products'], 'A product is named twice for one need.');
    for (const [index, pair] of (exclude ?? []).entries())
      for (const [side, [need, product]] of pair.entries())
        if (!needs.find(({ id }) => id === need)?.products.some((own) => productOf(own) === product))
          issue(['exclude', index, side], `“${need}” is no need that “${product}” could serve.`);
  });

type BuyQuestion = z.infer<typeof buySchema>;

function productOf(serving: z.infer<typeof servingSchema>): string {
  return typeof serving === 'string' ? serving : serving.product;
}

export async function buyAnswer(input: BuyQuestion, solve: Solve): Promise<object> {
  const problem = problemOf(input);
  const answer = await cheapest(problem, solve);
  const over = input.budget === undefined ? 0 : answer.total - input.budget;
  return {
    lines: [...answer.packs].map(([offer, count]) => ({ offer, count })),
    serve: Object.fromEntries([...answer.serve].map(([need, { product }]) => [need, product])),
    total: answer.total,
    optimal: answer.optimal,
    ...(answer.optimal ? {} : { bound: answer.bound }),
    ...(over > 0 ? { overBy: over } : {}),
    ...(answer.short.length > 0 ? { short: answer.short } : {}),
    because: becauseOf(answer, problem),
    rule: 'cheapest packs, shops and deliveries',
    source: 'label',
  };
}

function problemOf({ needs, exclude = [], shelf = [], offers, shops }: BuyQuestion): BuyingProblem {
  const held = new Map<string, number>();
  for (const { product, ml: own } of shelf) held.set(product, (held.get(product) ?? 0) + own);
  return {
    needs: needs.map(({ id, ml: own, byDay, products }) => ({
      id,
      byDay,
      servings: products.map((serving) => (typeof serving === 'string' ? { product: serving, ml: own } : serving)),
    })),
    excluded: exclude.map(([[need, product], [other, otherProduct]]) => [
      { need, product },
      { need: other, product: otherProduct },
    ]),
    shelf: held,
    offers,
    shops,
  };
}

function becauseOf(answer: Cheapest, problem: BuyingProblem): string {
  const bills = billsOf(answer, problem);
  const packs = [...answer.packs.values()].reduce((sum, count) => sum + count, 0);
  const bought = packs === 0 ? 'Nothing has to be bought' : `${counted(packs, 'pack')} from ${counted(bills.size, 'shop')}`;
  const proven = answer.optimal ? 'no cheaper basket exists' : `at most ${answer.total - answer.bound} cheaper may exist`;
  return `${bought}; ${proven}.`;
}
