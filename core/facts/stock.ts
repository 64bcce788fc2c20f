import { z } from 'zod';
import { idSchema, moneySchema, momentSchema } from './basics.ts';

/** What is used up beside paint: papers, tape, stripper, gloves and the rest, as rows a person can count. */

export const SUPPLY_KINDS = [
  'paper',
  'pad',
  'tape',
  'cover',
  'stripper',
  'cleaner',
  'metal-prep',
  'filler',
  'promoter',
  'compound',
  'protection',
  'gloves',
  'tack-cloth',
  'cup',
  /** A wheel, a screw, a pane: its size and condition stand in its spec. */
  'spare-part',
] as const;
export const supplyKindSchema = z.enum(SUPPLY_KINDS);
export type SupplyKind = z.infer<typeof supplyKindSchema>;

export const supplyUnitSchema = z.enum(['sheet', 'm', 'mL', 'pair', 'piece']);
export type SupplyUnit = z.infer<typeof supplyUnitSchema>;

/** One kind of supply on the shelf. `spec` tells it from others of its kind: P400, fine line 3 mm, solvent gel. */
export const stockSchema = z.strictObject({
  id: idSchema,
  kind: supplyKindSchema,
  spec: z.string().trim().min(1, 'Say which it is, such as P400.').max(60),
  unit: supplyUnitSchema,
  /** How much was there when it was last counted; absent: some, never counted. */
  left: z.number().min(0, 'What is left is not negative.').max(100_000, 'That is more than anyone keeps. Check the unit.').optional(),
  leftAt: momentSchema,
  /** What one unit costs, minor units of money, as paid last; absent: a usual price. */
  unitPrice: moneySchema.optional(),
});
export type Stock = z.infer<typeof stockSchema>;

/** So much of one kind of supply that a step uses up; parts of one are added before they are rounded up to what a shop sells. */
export const supplyLineSchema = z.strictObject({
  kind: supplyKindSchema,
  spec: z.string().trim().min(1, 'Say which it is, such as P400.').max(60),
  unit: supplyUnitSchema,
  amount: z.number().positive('An amount is above 0.').max(100_000, 'That is more than anyone keeps. Check the unit.'),
});
export type SupplyLine = Readonly<z.infer<typeof supplyLineSchema>>;
