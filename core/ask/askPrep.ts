import { counted } from '#core/units/index';
import { finishSchema, materialSchema, type Material, plain, staysOf, stripMethodSchema } from '#core/facts/index';
import { GRAIN_UM, gritLadder, GRITS, gritsToBuy, type NextCoat, scratchUm } from '#core/prep/index';
import { applicationsOf, dwellOn, dwells, followUpsOf, PRACTICE, stripMethods, type StripVerdict, stripVerdict } from '#core/strip/index';
import { z } from 'zod';
import { question } from './question.ts';

/** Questions about the work before paint. */

const stripSchema = z.strictObject({
  material: materialSchema,
  method: stripMethodSchema.optional(),
  finish: finishSchema.optional(),
  leadExcluded: z.boolean().optional(),
  printed: z.boolean().optional(),
  staysClear: z.boolean().optional(),
  /** Further materials of the same part or assembly. */
  alsoMaterials: z.array(materialSchema).max(17).optional(),
  celluloid: z.boolean().optional(),
  toBare: z.boolean().optional(),
  oldCoats: z.int().min(1).max(12).optional(),
  perforated: z.boolean().optional(),
});
type StripInput = z.infer<typeof stripSchema>;

export const stripQuestion = question(stripSchema, ({ method, oldCoats, perforated: _counts, printed, staysClear, ...asked }) => {
  const stays = staysOf({ staysClear: staysClear ?? false, printed: printed ?? false });
  const input = { ...asked, ...(stays ? { stays } : {}) };
  const full = (verdict: StripVerdict) => inFull(verdict, input.material, { finish: input.finish, oldCoats });
  if (method) return full(stripVerdict(input, method));
  const { methods, advised, because } = stripMethods(input);
  return { methods: methods.map(full), advised, because, rule: 'strip table', source: 'default' };
});

function inFull(verdict: StripVerdict, material: Material, input: Pick<StripInput, 'finish' | 'oldCoats'>) {
  const { method } = verdict;
  return {
    ...verdict,
    applications: applicationsOf(method, { finish: input.finish ?? 'unknown', oldCoats: input.oldCoats }),
    dwellMinutes: dwells(method) ? dwellOn(method, material) : null,
    hazards: PRACTICE[method].hazards,
    followUps: followUpsOf(method, material),
  };
}

const NEXT_COATS = [
  'filler-primer',
  'fine-primer',
  'colour',
  'metallic',
  'bare-transparent',
  'etch',
  'epoxy',
  'clear-polish',
] as const satisfies readonly NextCoat[];

const gritSchema = z
  .int('A grit is a whole P number.')
  .refine((grit) => GRAIN_UM[grit] !== undefined, `Use a P grade: ${GRITS.join(', ')}.`);

export const ladderQuestion = question(
  z.strictObject({
    from: gritSchema,
    next: z.enum(NEXT_COATS),
    /** Absent: any grade can be had. */
    owned: z.array(gritSchema).max(60).optional(),
  }),
  ({ from, next, owned }) => {
    const ladder = gritLadder(from, next, owned);
    const shared = { rule: 'grit ladder', source: 'default' };
    if (!ladder) {
      const buy = gritsToBuy(from, next, owned ?? GRITS);
      const because = `From P${from} the papers owned do not reach the finish for ${plain(next)}: buy ${buy.map((grit) => `P${grit}`).join(' and ')}.`;
      return { impossible: buy[0], buy, because, ...shared };
    }
    const wide = ladder.ratios.some((ratio) => ratio > 2 + 1e-9);
    const because = `${counted(ladder.grits.length, 'paper')}: each at most ${wide ? '2.5 times (care, the papers owned allow no better)' : 'twice'} as fine as the last.`;
    return { ...ladder, scratchUm: ladder.grits.map((grit) => scratchUm(grit)), because, ...shared };
  },
);
