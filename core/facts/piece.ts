import { z } from 'zod';
import { copiesSchema, dateSchema, idSchema, labSchema, lengthSchema, momentSchema, moneySchema, nameSchema } from './basics.ts';
import {
  aimSchema,
  curveSchema,
  familySchema,
  finishSchema,
  looksLikeSchema,
  materialSchema,
  portraitSchema,
  roleSchema,
  stripMethodSchema,
} from './names.ts';

/** A flat stretch of surface: longer × shorter × count. Belongs to one zone. */
export const faceSchema = z.strictObject({
  id: idSchema,
  zoneId: idSchema,
  longMm: lengthSchema,
  shortMm: lengthSchema,
  count: copiesSchema,
  seen: z.boolean(),
});
export type Face = z.infer<typeof faceSchema>;

/** A set of faces that gets the same film; a bare zone says why. */
export const zoneSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  bare: z.string().max(80).optional(),
});
export type Zone = z.infer<typeof zoneSchema>;

/** Where two zones meet: the tape line. */
export const edgeSchema = z.strictObject({ a: idSchema, b: idSchema, mm: lengthSchema, curve: curveSchema });
export type Edge = z.infer<typeof edgeSchema>;

/** What a layer wants where no product is chosen yet. */
export const wantedSchema = z.strictObject({ family: familySchema, role: roleSchema, name: nameSchema, lab: labSchema });

export const layerSchema = z
  .strictObject({
    id: idSchema,
    productId: idSchema.optional(),
    wanted: wantedSchema.optional(),
    coats: z.int('Coats are whole.').min(1, 'A layer has at least one coat.').max(12, 'More than 12 coats drown any piece.'),
    covers: z.union([z.literal('all'), z.array(idSchema).min(1, 'A layer covers at least one zone.')]),
    /** Sanded flat after it dries, with this grit. */
    flatAfter: z.int().min(80).max(3000).optional(),
    /** Mist coats first: the mend for a care joint below. */
    mistFirst: z.boolean().optional(),
  })
  .refine(
    (layer) => (layer.productId === undefined) !== (layer.wanted === undefined),
    'A layer names a product or what is wanted, one of the two.',
  );
export type Layer = z.infer<typeof layerSchema>;

export const partSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    material: materialSchema,
    copies: copiesSchema,
    finish: finishSchema,
    printed: z.boolean(),
    staysClear: z.boolean(),
    zones: z.array(zoneSchema).min(1, 'A part has at least one zone.'),
    faces: z.array(faceSchema).min(1, 'A part needs at least one face. Give its longest and shorter side.'),
    edges: z.array(edgeSchema),
    layers: z.array(layerSchema),
    /** Left out: the tool's advice is planned. */
    stripMethod: stripMethodSchema.optional(),
    /** The person's "I know" over a verdict that ruins the part (never over one that hurts a person). */
    iKnow: z.array(stripMethodSchema).optional(),
    /** Order of colours insisted on, by layer id. */
    colourOrder: z.array(idSchema).optional(),
    /** Tag numbers of its copies on the drying line. */
    pegs: z.array(z.int().min(1).max(40)).max(40),
    /** Not planned at all, with the reason (food contact and the like). */
    refused: z.string().max(120).optional(),
  })
  .superRefine((part, context) => {
    const zones = new Set(part.zones.map((zone) => zone.id));
    const check = (id: string, path: (string | number)[]) => {
      if (!zones.has(id)) context.addIssue({ code: 'custom', path, message: `No zone "${id}" on this part.` });
    };
    part.faces.forEach((face, i) => {
      check(face.zoneId, ['faces', i, 'zoneId']);
    });
    part.edges.forEach((edge, i) => {
      check(edge.a, ['edges', i, 'a']);
      check(edge.b, ['edges', i, 'b']);
    });
    part.layers.forEach((layer, i) => {
      if (layer.covers !== 'all')
        layer.covers.forEach((id, k) => {
          check(id, ['layers', i, 'covers', k]);
        });
    });
    if (part.stripMethod === 'caustic' && ['aluminium', 'magnesium', 'galvanised'].includes(part.material)) {
      context.addIssue({
        code: 'custom',
        path: ['stripMethod'],
        message: 'Caustic never meets this metal: it reacts violently. Choose another method.',
      });
    }
    if (part.stripMethod === 'heat') {
      context.addIssue({ code: 'custom', path: ['stripMethod'], message: 'Heat never meets old paint. Choose another method.' });
    }
  });
export type Part = z.infer<typeof partSchema>;

export const pieceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  looksLike: looksLikeSchema,
  /** A drawing of its own for its portrait; absent: drawn by its look. */
  portrait: portraitSchema.optional(),
  longestMm: lengthSchema,
  /** Scale denominator, where it is a scale model; sets only the relief. */
  scale: z.int().min(1).max(2000).optional(),
  aim: aimSchema,
  budget: moneySchema.optional(),
  neededBy: dateSchema.optional(),
  createdAt: momentSchema,
  /** A laboratory or XRF has cleared the old paint of lead, or it was made since 1990 for certain. */
  leadExcluded: z.boolean(),
  /** Runs on the mains: the electrical caution shows. */
  mains: z.boolean(),
  parts: z.array(partSchema).min(1, 'A piece has at least one part.').max(60),
  /** What was drafted and not yet confirmed, by question key. */
  guesses: z.array(z.string().max(160)),
  /** Colours chosen at quick-add, by name and hex, for its portrait. */
  swatches: z.array(z.string().regex(/^#[0-9a-f]{6}$/)).max(3),
  finished: z.boolean(),
  /** What is not planned yet, with dates from outside: parcels. */
  parcels: z.array(z.strictObject({ id: idSchema, name: nameSchema, price: moneySchema, due: dateSchema, arrived: z.boolean() })).max(40),
});
export type Piece = z.infer<typeof pieceSchema>;
