import { z } from 'zod';
import { curveSchema, familySchema, idSchema, labSchema } from '#core/facts/index';
import { bestOrder, groupedColours, insistedOrder, MOST_COLOURS } from '#core/masking/index';
import { question } from './question.ts';

/** `ask order`: which colour first, what is covered, and what masking that costs (trade §9). */

const zoneSchema = z.strictObject({
  id: idSchema,
  family: familySchema,
  lab: labSchema,
  share: z.number().gt(0, 'A coat lets something through: a share above 0.').lt(1, 'A share is below 1.'),
  areaCm2: z.number().positive('A zone has an area above 0 cm².').max(1_000_000),
  transparent: z.boolean().optional(),
  brushed: z.boolean().optional(),
});

const edgeSchema = z.strictObject({
  a: idSchema,
  b: idSchema,
  mm: z.number().positive('An edge is longer than 0 mm.').max(100_000),
  curve: curveSchema,
});

const orderSchema = z
  .strictObject({
    zones: z.array(zoneSchema).min(1, 'Give at least one zone.').max(60),
    edges: z.array(edgeSchema),
    ground: labSchema,
    insist: z.array(idSchema).optional(),
  })
  .superRefine(({ zones, edges, insist }, context) => {
    const ids = zones.map((zone) => zone.id);
    const issue = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    if (new Set(ids).size < ids.length) issue(['zones'], 'Two zones have the same id: give each its own.');
    for (const [index, { a, b }] of edges.entries()) {
      for (const [end, id] of [['a', a] as const, ['b', b] as const])
        if (!ids.includes(id)) issue(['edges', index, end], `No zone “${id}”: an edge lies between two of the zones.`);
      if (a === b) issue(['edges', index], 'An edge lies between two different zones.');
    }
    if (insist && (insist.length !== ids.length || new Set(insist).size < ids.length || insist.some((id) => !ids.includes(id))))
      issue(['insist'], 'Name every zone once.');
    if (insist && ids.length > MOST_COLOURS) issue(['insist'], `An order can be insisted on for up to ${MOST_COLOURS} zones.`);
    if (groupedColours({ zones: zones.map((zone) => ({ ...zone, name: zone.id })), edges, ground: { l: 0, a: 0, b: 0 } }) === null)
      issue(['zones'], `More than ${MOST_COLOURS} colours cannot be ordered exactly. Leave out what is brushed as a detail.`);
  });

export const orderQuestion = question(orderSchema, ({ zones, edges, ground, insist }) => {
  const asked = { zones: zones.map((zone) => ({ ...zone, name: zone.id })), edges, ground };
  if (insist) return { ...insistedOrder(asked, insist), ...RULE };
  const grouped = groupedColours(asked) ?? { question: asked, members: new Map<string, readonly string[]>(), because: '' };
  const answer = bestOrder(grouped.question);
  if ('stop' in answer) return { ...answer, ...RULE };
  const spread = (order: readonly string[]) => order.flatMap((id) => grouped.members.get(id) ?? [id]);
  return {
    ...answer,
    order: spread(answer.order),
    ...(answer.runnerUp ? { runnerUp: { ...answer.runnerUp, order: spread(answer.runnerUp.order) } } : {}),
    because: `${answer.because}${grouped.because}`,
    ...RULE,
  };
});

const RULE = { rule: 'order of colours', source: 'default' } as const;
