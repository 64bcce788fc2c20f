import { z } from 'zod';
import {
  additionsFor,
  besideWords,
  colourDifference,
  DROP_ML,
  ingredientOf,
  likeness,
  LIKENESS_WORDS,
  MOST_PAINTS,
  mixedLab,
  type Offered,
  type Portion,
  recipesFor,
  spectrumOf,
} from '#core/colour/index';
import { idSchema, type Lab, labSchema } from '#core/facts/index';
import { listed } from '#core/units/index';
import { question } from './question.ts';

/** `ask mix`: the recipe that comes nearest to a colour, or what a recipe gives (trade §10). */

const dropsSchema = z.int('Drops are whole.').min(1, 'Less than a drop cannot be counted: leave the paint out.').max(200);

const paintSchema = z.strictObject({
  id: idSchema,
  lab: labSchema,
  share: z.number().gt(0, 'A coat lets something through: a share above 0.').lt(1, 'A share is below 1.').optional(),
  ml: z.number().min(0, 'What is left of a paint is not below 0 mL.').max(100_000).optional(),
});

const mixSchema = z
  .strictObject({
    targetLab: labSchema,
    paints: z.array(paintSchema).min(1, 'Give at least one paint.').max(40),
    maxPaints: z.int().min(1, 'At least one paint goes into a cup.').max(MOST_PAINTS, `More than ${MOST_PAINTS} paints turn to mud.`),
    drops: dropsSchema,
    recipe: z.record(idSchema, dropsSchema).optional(),
  })
  .superRefine(({ targetLab, paints, recipe, drops }, context) => {
    const issue = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    const ids = paints.map((paint) => paint.id);
    if (new Set(ids).size < ids.length) issue(['paints'], 'Two paints have the same id: give each its own.');
    const outside = (lab: Lab, path: (string | number)[]) => {
      const why = outOfGamut(lab);
      if (why) issue(path, why);
    };
    outside(targetLab, ['targetLab']);
    for (const [index, { lab }] of paints.entries()) outside(lab, ['paints', index, 'lab']);
    for (const id of Object.keys(recipe ?? {})) if (!ids.includes(id)) issue(['recipe', id], `No paint “${id}”: name one of the paints.`);
    if (recipe && Object.keys(recipe).length === 0) issue(['recipe'], 'Nothing is in the cup: give at least one paint its drops.');
    if (!recipe && !paints.some(({ ml }) => ml === undefined || ml >= DROP_ML))
      issue(['paints'], `Of none of the paints is a drop left (${DROP_ML} mL): of ${drops} drops there is nothing to mix.`);
  });

function outOfGamut(lab: Lab): string | null {
  try {
    spectrumOf(lab);
    return null;
  } catch (error) {
    return error instanceof RangeError ? error.message : String(error);
  }
}

export const mixQuestion = question(mixSchema, ({ targetLab, paints, maxPaints, drops, recipe }) => {
  const wanted = paints.map(asOffered);
  if (recipe) {
    const portions = Object.entries(recipe).map(([id, own]) => ({ id, drops: own }));
    const own = portions.map(({ id }) => ingredientOf(wanted.find((paint) => paint.id === id) as Offered));
    const lab = mixedLab(
      own,
      portions.map((portion) => portion.drops),
    );
    return answerOf(portions, lab, targetLab, wanted, true);
  }
  const [best] = recipesFor({ target: targetLab, paints: wanted, maxPaints, drops });
  return answerOf(best.portions, best.lab, targetLab, wanted, best.exact);
});

function asOffered({ id, lab, share, ml }: z.infer<typeof paintSchema>): Offered {
  return { id, lab, ...(share === undefined ? {} : { share }), ...(ml === undefined ? {} : { ml }) };
}

function answerOf(portions: readonly Portion[], lab: Lab, target: Lab, paints: readonly Offered[], exact: boolean) {
  const deltaE = colourDifference(lab, target);
  const stages = additionsFor(portions, paints, target);
  const beside = besideWords(lab, target);
  return {
    recipe: Object.fromEntries(portions.map(({ id, drops }) => [id, drops])),
    lab,
    deltaE,
    order: [...new Set(stages.map(({ id }) => id))],
    stages,
    exact,
    because: `${listed(portions.map(({ id, drops }) => `${drops} of ${id}`))} give ${LIKENESS_WORDS[likeness(deltaE)]}, ΔE ${deltaE.toFixed(1)}${beside.length > 0 ? `: ${listed(beside)} than wanted` : ''}. The light goes in first, then the dark into it.`,
    rule: 'Kubelka–Munk mixing',
    source: 'default',
  };
}
