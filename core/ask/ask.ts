import { amountAnswer } from '#core/amounts/index';
import { coatsToHide, joint, labelFinding, outcomeFinding, remediesFor, TILE_OUTCOMES } from '#core/coats/index';
import { belowFamilySchema, familySchema, handSchema, labSchema, materialSchema, plain, problemOf, roleSchema } from '#core/facts/index';
import { dewAnswer, waitHours } from '#core/drying/index';
import { z } from 'zod';
import type { Solve } from '#core/buying/index';
import { buyAnswer, buySchema } from './askBuy.ts';
import { mixQuestion } from './askMix.ts';
import { orderQuestion } from './askOrder.ts';
import { scheduleQuestion } from './askSchedule.ts';
import { ladderQuestion, stripQuestion } from './askPrep.ts';
import { senseQuestion } from './askSense.ts';
import { type Question, question } from './question.ts';

/** Questions a script may ask the core; the contract is documented in docs/format.md. */

const celsius = z.number().min(-60).max(120);
const percent = z.number().gt(0, 'Humidity is above 0 %.').max(100, 'Humidity is at most 100 %.');
const series = (item: z.ZodNumber) =>
  z
    .array(item)
    .min(1)
    .refine((values) => values.length === 1 || values.length >= 24, 'Give one value, or one for each hour: at least 24.');

const QUESTIONS: Record<string, Question> = {
  dew: question(z.strictObject({ airC: celsius, rh: percent, surfaceC: celsius.optional() }), ({ airC, rh, surfaceC }) => ({
    ...dewAnswer(airC, rh, surfaceC),
    rule: 'dew margin',
    source: 'default',
  })),
  clock: question(
    z.strictObject({
      mechanism: z.enum(['evaporation', 'oxidation', 'crosslinking', 'coalescence']),
      referenceHours: z.number().min(0).max(10_000),
      startHour: z.number().min(0).max(24),
      tempC: series(celsius),
      rh: series(percent),
      air: z.enum(['still', 'fan', 'box']).optional(),
      filmRatio: z.number().positive().max(50).optional(),
      stage: z.enum(['touch', 'coat', 'later']).optional(),
    }),
    (input) => {
      const hours = waitHours(input);
      const because =
        hours === null
          ? `At these temperatures ${input.mechanism} stands still: it never dries.`
          : `${input.referenceHours} h at 20 °C and 50 % become ${hours.toFixed(1)} h in this air.`;
      return { hours, because, rule: 'drying clock', source: 'default' };
    },
  ),
  strip: stripQuestion,
  ladder: ladderQuestion,
  order: orderQuestion,
  mix: mixQuestion,
  schedule: scheduleQuestion,
  sense: senseQuestion,
  joint: question(
    z.strictObject({
      below: z.strictObject({
        family: belowFamilySchema.nullable(),
        material: materialSchema,
        state: z.enum(['wet', 'fresh', 'shut', 'dry', 'cured']).default('dry'),
        scuffed: z.boolean().optional(),
        metallic: z.boolean().optional(),
        role: roleSchema.optional(),
        ageDays: z.number().min(0).optional(),
        hours: z.number().min(0).optional(),
      }),
      above: z.strictObject({
        family: familySchema,
        role: roleSchema.optional(),
        thinner: familySchema.optional(),
        coat: z.enum(['mist', 'thin', 'normal', 'wet']).optional(),
        by: handSchema.optional(),
        forPlastics: z.boolean().optional(),
        promoter: z.boolean().optional(),
      }),
      /** What a board or job of one's own has shown of just this joint. */
      own: z.enum(TILE_OUTCOMES).optional(),
      /** What the label of the upper product says of the film below. */
      label: z.enum(['forbids', 'names']).optional(),
    }),
    ({ below, above, own, label }) => {
      const known = {
        own: own ? outcomeFinding(own) : null,
        label: label && below.family ? labelFinding(label, below.family, plain(above.family)) : null,
      };
      const answer = joint(below, above, known);
      const remedies = remediesFor(below, above, known).map(({ kind, text, verdict, barrier }) => ({
        kind,
        text,
        verdict,
        ...(barrier ? { barrier } : {}),
      }));
      return { ...answer, remedies };
    },
  ),
  amount: question(
    z
      .strictObject({
        family: familySchema.optional(),
        role: roleSchema.optional(),
        filmUm: z.number().positive().max(500).optional(),
        solids: z.number().positive().max(1, 'Solids are a share of 1.').optional(),
        tool: z.enum(['aerosol', 'airbrush', 'gun']),
        faces: z
          .array(
            z.strictObject({
              longMm: z.number().positive('A face is longer than 0 mm.').max(20_000),
              shortMm: z.number().positive('A face is wider than 0 mm.').max(20_000),
            }),
          )
          .min(1, 'Give at least one face.'),
        coats: z.int().min(1).max(50),
      })
      .refine(
        (input) => input.family !== undefined || (input.filmUm !== undefined && input.solids !== undefined),
        'Give a family, or filmUm and solids.',
      ),
    ({ family, faces, ...input }) => {
      const turned = faces.map((face) => ({ longMm: Math.max(face.longMm, face.shortMm), shortMm: Math.min(face.longMm, face.shortMm) }));
      const answer = amountAnswer({ ...input, family: family ?? 'unknown', faces: turned });
      const because =
        answer.holds === 'sweeps'
          ? `${answer.mlPerCoat.toFixed(1)} mL a coat: the can empties by time, more than the film of ${answer.filmMl.toFixed(1)} mL needs.`
          : `${answer.mlPerCoat.toFixed(1)} mL a coat: the film needs more than the sweeps give.`;
      return {
        ...answer,
        because,
        rule: 'the larger of film and sweeps',
        source: input.filmUm !== undefined || input.solids !== undefined ? 'label' : 'default',
      };
    },
  ),
  hide: question(
    z.strictObject({
      groundLab: labSchema,
      coatLab: labSchema,
      share: z.number().gt(0).lt(1),
      filmRatio: z.number().positive().max(10).optional(),
    }),
    ({ groundLab, coatLab, share, filmRatio }) => {
      const { coats, contrast } = coatsToHide(groundLab, coatLab, share, filmRatio);
      return {
        coats,
        contrast,
        because: `Contrast ${contrast.toFixed(2)}; each coat hides ${100 - Math.round(share * 100)} % of what shows; after ${coats} at most 2 % is left.`,
        rule: 'hiding',
        source: 'default',
      };
    },
  ),
};

export const QUESTION_NAMES = [...Object.keys(QUESTIONS), 'buy'];

export type AskProblem = { readonly error: string; readonly at: string; readonly mend: string };

export type Asked = { readonly ok: true; readonly answer: object } | { readonly ok: false; readonly problem: AskProblem };

/** Answers one input of any question, or says what is wrong with it. @param solve answers integer programmes */
export async function askSolved(name: string, input: unknown, solve: Solve): Promise<Asked> {
  if (name !== 'buy') return ask(name, input);
  const parsed = buySchema.safeParse(input);
  return parsed.success ? { ok: true, answer: await buyAnswer(parsed.data, solve) } : { ok: false, problem: problemOf(parsed.error) };
}

/** Answers one input of a question that needs no solver, or says what is wrong with it. */
export function ask(name: string, input: unknown): Asked {
  const asked = Object.hasOwn(QUESTIONS, name) ? QUESTIONS[name] : undefined;
  if (!asked)
    return { ok: false, problem: { error: `No question "${name}"`, at: '(question)', mend: `Ask one of: ${QUESTION_NAMES.join(', ')}.` } };
  const parsed = asked.schema.safeParse(input);
  if (!parsed.success) return { ok: false, problem: problemOf(parsed.error) };
  return { ok: true, answer: asked.answer(parsed.data as never) };
}

/** All questions with the JSON Schema of their input. */
export function questionSchemas(): Record<string, unknown> {
  const schemas = [...Object.entries(QUESTIONS).map(([name, { schema }]) => [name, schema] as const), ['buy', buySchema] as const];
  return Object.fromEntries(schemas.map(([name, schema]) => [name, z.toJSONSchema(schema, { io: 'input' })]));
}
