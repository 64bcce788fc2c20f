import { z } from 'zod';
import { idSchema, lengthSchema } from '../basics.ts';

/** What the survey sees on a part: marks, features that are keyed by hand, what it has to serve, and what stops the work. */

export const MARK_KINDS = [
  'scratch',
  'gouge',
  'pitting',
  'rust-light',
  'rust-deep',
  'mould-line',
  'layer-lines',
  'support-marks',
  'crack',
  'chip',
  'dent',
  'bent',
  'seized',
  'missing',
] as const;
export const markKindSchema = z.enum(MARK_KINDS);
export type MarkKind = z.infer<typeof markKindSchema>;

/** How bad a mark is, by eye and fingernail. */
export const severitySchema = z.enum(['slight', 'marked', 'deep']);
export type Severity = z.infer<typeof severitySchema>;

/** Ways to put a mark right (trade §3, §14). */
export const MENDS = [
  'sand',
  'filler',
  'glue-build-up',
  'straighten',
  'rust-soak',
  'rust-brush',
  'rust-spin',
  'metal-prep',
  'polish',
  'dip',
  'glue',
  'free',
  'replace',
  'leave',
] as const;
export const mendSchema = z.enum(MENDS);
export type Mend = z.infer<typeof mendSchema>;

export const markSchema = z.strictObject({
  id: idSchema,
  kind: markKindSchema,
  severity: severitySchema,
  /** Where on the part, in the person's words. */
  where: z.string().trim().max(80),
  /** Pinned on a picture of the piece, as shares of its width and height. */
  pin: z.strictObject({ pictureId: idSchema, x: z.number().min(0).max(1), y: z.number().min(0).max(1) }).optional(),
  /** Chosen by the person; absent: the tool's advice. */
  mend: mendSchema.optional(),
});
export type Mark = z.infer<typeof markSchema>;

/** Features where paint pops first, or where a film may bind: keyed by hand. */
export const FEATURES_KEYED = [
  'edges',
  'countersinks',
  'hole-rims',
  'inside-corners',
  'vents',
  'raised-detail',
  'sliding-face',
  'hinge',
] as const;
/** Openings, works and neighbours that are covered or plugged while a coat goes on. */
export const FEATURES_COVERED = [
  'windows',
  'arches',
  'grille',
  'lamps',
  'hubs',
  'holes',
  'pivots',
  'tapped-posts',
  'seals',
  'works',
  'neighbour',
  'clip',
] as const;
export const FEATURES = [...FEATURES_KEYED, ...FEATURES_COVERED] as const;
export const featureKindSchema = z.enum(FEATURES);
export type FeatureKind = z.infer<typeof featureKindSchema>;

/** How it is kept free of paint. */
export const COVERS = ['tape', 'plug', 'wrap', 'liquid-mask', 'none'] as const;
export const coverSchema = z.enum(COVERS);
export type Cover = z.infer<typeof coverSchema>;

export const featureSchema = z.strictObject({
  id: idSchema,
  kind: featureKindSchema,
  count: z.int('A count is whole.').min(1, 'At least one.').max(2000),
  /** Its size across, mm. */
  mm: lengthSchema.optional(),
  faceId: idSchema.optional(),
  /** Chosen by the person; absent: as usual for its kind. */
  cover: coverSchema.optional(),
  /** Minutes to cover one, typed by the person. */
  coverMinutes: z.number('Type minutes.').min(0).max(120, 'More than two hours for one cover: check it.').optional(),
});
export type Feature = z.infer<typeof featureSchema>;

export const SERVICES = ['heat', 'fuel', 'sun', 'abrasion', 'handling'] as const;
export const serviceSchema = z.enum(SERVICES);
export type Service = z.infer<typeof serviceSchema>;

/** What the survey may meet that is left alone, cautioned or refused (trade §15). */
export const SURVEY_STOPS = [
  'asbestos',
  'radium',
  'celluloid',
  'mercury',
  'battery',
  'picture-tube',
  'spring',
  'food',
  'gas',
  'pressure',
  'helmet',
  'child-seat',
] as const;
export const surveyStopSchema = z.enum(SURVEY_STOPS);
export type SurveyStop = z.infer<typeof surveyStopSchema>;

/** The test that told the material. */
export const materialTestSchema = z.enum(['magnet', 'scratch', 'density', 'moulded-mark', 'float', 'looks']);
export type MaterialTest = z.infer<typeof materialTestSchema>;

/** What is kept of a mesh file: never the mesh itself. */
export const meshSchema = z.strictObject({
  name: z.string().max(120),
  unit: z.enum(['mm', 'cm', 'm', 'in']),
  triangles: z.int().min(1),
  areaMm2: z.number().positive(),
  extentsMm: z.tuple([z.number().min(0), z.number().min(0), z.number().min(0)]),
  /** SHA-256 of the file, to know it again. */
  hash: z.string().regex(/^[0-9a-f]{64}$/, 'A hash has 64 hexadecimal digits.'),
  /** Whether the inside skin is painted too. */
  insideToo: z.boolean(),
});
export type Mesh = z.infer<typeof meshSchema>;
