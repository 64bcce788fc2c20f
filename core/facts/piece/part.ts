import { z } from 'zod';
import { copiesSchema, idSchema, lengthSchema, nameSchema } from '../basics.ts';
import { featureSchema, markSchema, materialTestSchema, meshSchema, serviceSchema, surveyStopSchema } from './condition.ts';
import { finishSchema, materialSchema, oldPaintSchema, stripMethodSchema } from '../names.ts';
import { layerSchema } from '../paint/layer.ts';
import { decalSchema, detailSchema, fitSchema, holdSchema } from './onThePart.ts';
import { type Cut, cutSchema, edgeSchema, zoneSchema } from './zones.ts';
import { zoneIdsOf } from './zoneTree.ts';

/** A pattern of round holes through a face. The wall counts to this face as deep as it is painted from here. */
export const holesSchema = z.strictObject({
  count: z.int('Holes are whole.').min(1, 'At least one hole.').max(200_000),
  acrossMm: lengthSchema,
  wallMm: z.number().min(0).max(500),
});

/** A flat stretch of surface: longer × shorter × count. Belongs to one zone. */
export const faceSchema = z
  .strictObject({
    id: idSchema,
    zoneId: idSchema,
    longMm: lengthSchema,
    shortMm: lengthSchema,
    count: copiesSchema,
    seen: z.boolean(),
    holes: holesSchema.optional(),
  })
  .superRefine((face, context) => {
    if (face.holes && !holesFit(face.holes, face)) {
      context.addIssue({
        code: 'custom',
        path: ['holes'],
        message: 'These holes do not fit the sheet: together they are larger than it. Count and measure them again.',
      });
    }
  });

/** Round holes of one size cover at most π/√12 of a sheet. */
const DENSEST_HOLES = Math.PI / Math.sqrt(12);

function holesFit(holes: { count: number; acrossMm: number }, face: { longMm: number; shortMm: number }): boolean {
  const open = (holes.count * Math.PI * holes.acrossMm ** 2) / 4;
  return holes.acrossMm < Math.min(face.longMm, face.shortMm) && open <= DENSEST_HOLES * face.longMm * face.shortMm;
}
export type Face = z.infer<typeof faceSchema>;

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
    /** How zones were divided, oldest first; the zones that get films follow from them. */
    cuts: z.array(cutSchema).max(40, 'A part may be divided forty times.').optional(),
    layers: z.array(layerSchema).max(40, 'At most 40 layers on one part. Were some repeated by mistake?'),
    details: z.array(detailSchema).max(60).optional(),
    decals: z.array(decalSchema).max(60).optional(),
    /** How it is held while it is sprayed. */
    hold: holdSchema.optional(),
    /** When it goes on, and on what; absent: at the end, in the fit order. */
    fit: fitSchema.optional(),
    /** Left out: the tool's advice is planned. */
    stripMethod: stripMethodSchema.optional(),
    /** The person's "I know" over a verdict that ruins the part (never over one that hurts a person). */
    iKnow: z.array(stripMethodSchema).optional(),
    /** Order of colours insisted on, by layer id. */
    colourOrder: z.array(idSchema).optional(),
    /** Tag numbers of its copies on the drying line. */
    pegs: z.array(z.int().min(1).max(40)).max(40),
    /** A second material in the same part: every method is judged by the worse of the two. */
    alsoMaterial: materialSchema.optional(),
    /** The test that told the material; absent: not tested. */
    toldBy: materialTestSchema.optional(),
    /** Layers of old paint that show at a chip. */
    oldCoats: z.int('Layers are whole.').min(1).max(12).optional(),
    /** Lit from inside: light is blocked, then white inside, leak test before it closes. */
    lit: z.boolean().optional(),
    /** The part it belongs to, where it is a sub-assembly's. */
    within: idSchema.optional(),
    /** Reached bare steel is either primed at once or treated with phosphoric metal prep; absent: as advised. */
    rustGuard: z.enum(['prime', 'metal-prep']).optional(),
    marks: z.array(markSchema).max(60).optional(),
    features: z.array(featureSchema).optional(),
    service: z.array(serviceSchema).optional(),
    /** Hazards met on it: left alone, or not planned at all. */
    stops: z.array(surveyStopSchema).optional(),
    /** A tile sprayed along with the real coats: judged dry like those of a board, and never fitted. */
    tile: z.boolean().optional(),
    /** Taken out of the piece after work had been logged on it: kept for the record, not planned. */
    gone: z.boolean().optional(),
    /** Too fragile to take off: masked where it is, not planned itself. */
    maskedInPlace: z.boolean().optional(),
    /** Plating that is to stay: it is only cleaned. */
    staysPlated: z.boolean().optional(),
    /** What its old paint is, asked with the thinner rub; absent: not asked yet. */
    oldPaint: oldPaintSchema.optional(),
    /** What a 30 s rub with lacquer thinner on a hidden spot did; absent: not tried. */
    rub: z.enum(['dissolves', 'wrinkles', 'no-change']).optional(),
    /** A face that takes no paper, or comes from a printer with layer lines and support marks. */
    surface: z.enum(['grained', '3d-printed']).optional(),
    /** How what stays bare by choice is finished; absent: as advised. */
    bareCare: z
      .strictObject({
        brighten: z.enum(['none', 'brighten', 'polish', 'plate']).optional(),
        protect: z.enum(['none', 'oil', 'wax', 'clear']).optional(),
      })
      .optional(),
    /** What one copy weighs, g: a hook or a shelf must carry it; absent: not weighed. */
    grams: z.number('Type grams.').min(0.1, 'A part weighs at least 0.1 g.').max(200_000, 'At most 200 kg. Check the unit.').optional(),
    /** The hottest it gets in service, °C, where it serves in heat. */
    serviceC: z.number().min(20, 'That is no heat: 20 °C is the least.').max(1200, 'At most 1200 °C. Check the unit.').optional(),
    mesh: meshSchema.optional(),
  })
  .superRefine((part, context) => {
    const roots = new Set(part.zones.map((zone) => zone.id));
    const zones = zoneIdsOf(part);
    const layers = new Set(part.layers.map((layer) => layer.id));
    const check = (id: string, path: (string | number)[], among: ReadonlySet<string> = zones) => {
      if (!among.has(id)) context.addIssue({ code: 'custom', path, message: `No zone "${id}" on this part.` });
    };
    for (const { path, message } of cutProblems(part)) context.addIssue({ code: 'custom', path, message });
    for (const kind of ['details', 'decals'] as const) {
      part[kind]?.forEach((own, i) => {
        check(own.zoneId, [kind, i, 'zoneId']);
        if (own.after !== null && !layers.has(own.after))
          context.addIssue({ code: 'custom', path: [kind, i, 'after'], message: 'That layer is not on this part.' });
      });
    }
    part.faces.forEach((face, i) => {
      check(face.zoneId, ['faces', i, 'zoneId'], roots);
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
    if (part.within === part.id) context.addIssue({ code: 'custom', path: ['within'], message: 'A part does not belong to itself.' });
    if (part.stripMethod === 'heat') {
      context.addIssue({ code: 'custom', path: ['stripMethod'], message: 'Heat never meets old paint. Choose another method.' });
    }
  });
export type Part = z.infer<typeof partSchema>;

/** What does not hold together in a fact, at its place. */
export type SchemaIssue = { readonly path: (string | number)[]; readonly message: string };

/** Each cut divides a zone that stands when it is made, into zones that are new. */
function cutProblems({ zones, cuts = [] }: { zones: readonly { id: string }[]; cuts?: readonly Cut[] }): SchemaIssue[] {
  const standing = new Set(zones.map((zone) => zone.id));
  const known = new Set(standing);
  return cuts.flatMap((cut, i) => {
    const problems: SchemaIssue[] = [];
    if (!standing.has(cut.of))
      problems.push({ path: ['cuts', i, 'of'], message: `No zone "${cut.of}" to divide: it is not there, or divided already.` });
    for (const [k, { id }] of cut.into.entries()) {
      if (known.has(id)) problems.push({ path: ['cuts', i, 'into', k, 'id'], message: `There is a zone "${id}" already.` });
      known.add(id);
      if (cut.merged !== true) standing.add(id);
    }
    if (cut.merged !== true) standing.delete(cut.of);
    return problems;
  });
}
