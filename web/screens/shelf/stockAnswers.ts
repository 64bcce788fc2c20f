import { type Stock, type SupplyUnit, stockSchema, supplyUnitSchema } from '#core/facts/index';
import { parseAmount } from '#core/units/index';
import { z } from 'zod';

/** The unit each kind is counted in, until another is chosen. */
export const UNIT_OF: Readonly<Record<Stock['kind'], SupplyUnit>> = {
  paper: 'sheet',
  pad: 'piece',
  tape: 'm',
  cover: 'm',
  stripper: 'mL',
  cleaner: 'mL',
  'metal-prep': 'mL',
  filler: 'mL',
  promoter: 'mL',
  compound: 'mL',
  protection: 'mL',
  gloves: 'pair',
  'tack-cloth': 'piece',
  cup: 'piece',
  'spare-part': 'piece',
};

/** A row of stock as it was typed; what is wrong stands at its field. */
export const stockAnswersSchema = z
  .object({ kind: stockSchema.shape.kind, spec: stockSchema.shape.spec, left: z.string(), unit: supplyUnitSchema })
  .transform(({ kind, spec, left, unit }, context) => {
    const read = left.trim() === '' ? null : parseAmount(left, unit);
    const amount = read?.ok ? read.value : undefined;
    if (read && (!read.ok || read.value < 0 || read.value > 100_000)) {
      const message = read.ok ? 'How much is there? A number from 0, or leave it empty for some.' : read.mend;
      context.addIssue({ code: 'custom', path: ['left'], message });
      return z.NEVER;
    }
    // A paper goes by its grit, however it was typed.
    const grit = kind === 'paper' ? /^p?\s*(\d{2,4})$/i.exec(spec)?.[1] : undefined;
    return { kind, spec: grit ? `P${grit}` : spec, unit, ...(amount === undefined ? {} : { left: amount }) };
  });
