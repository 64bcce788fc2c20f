import { z } from 'zod';

/** The closed vocabularies of the trade. The open file format, the HTTP contract and the scripting contract all use these words. */

export const FAMILIES = [
  'acrylic-lacquer',
  'nitro-lacquer',
  'lacquer-primer',
  'wood-sealer',
  'alkyd-enamel',
  'acrylic-enamel',
  'alcohol-acrylic',
  'water-acrylic',
  'waterborne-base',
  'waterborne-sealer',
  'solvent-base',
  'urethane-2k',
  'epoxy-primer',
  'etch-primer',
  'dye',
  'candy',
  'high-temperature',
  'rust-barrier',
  'texture',
  'latex',
  'unknown',
] as const;
export const familySchema = z.enum(FAMILIES);
export type Family = z.infer<typeof familySchema>;

/** Films a coat may meet but never is: factory finishes, fillers, decals. */
export const BELOW_ONLY = ['baked-enamel', 'powder-coat', 'polyester-filler', 'putty', 'decal', 'printed-decal'] as const;
export const belowFamilySchema = z.enum([...FAMILIES, ...BELOW_ONLY]);
export type BelowFamily = z.infer<typeof belowFamilySchema>;

export const MATERIALS = [
  'zinc',
  'steel',
  'galvanised',
  'tinplate',
  'cast-iron',
  'aluminium',
  'magnesium',
  'brass',
  'abs',
  'polystyrene',
  'resin',
  'clear',
  'pp',
  'vinyl',
  'rubber',
  'plated-plastic',
  'wood',
  'unknown',
] as const;
export const materialSchema = z.enum(MATERIALS);
export type Material = z.infer<typeof materialSchema>;

export const STRIP_METHODS = [
  'gel',
  'chlorinated',
  'caustic',
  'alkaline',
  'alcohol',
  'scuff',
  'wet-sand',
  'brush',
  'blast',
  'heat',
] as const;
export const stripMethodSchema = z.enum(STRIP_METHODS);
export type StripMethod = z.infer<typeof stripMethodSchema>;

export const roleSchema = z.enum(['fine-primer', 'filler-primer', 'primer', 'colour', 'metallic', 'clear']);
export type Role = z.infer<typeof roleSchema>;

export const handSchema = z.enum(['aerosol', 'airbrush', 'gun', 'brush']);
export type Hand = z.infer<typeof handSchema>;

export const finishSchema = z.enum(['sound', 'flaking', 'unknown', 'bare']);
export type OldFinish = z.infer<typeof finishSchema>;

export const aimSchema = z.enum(['as-original', 'own-scheme', 'serviceable', 'preserve', 'aged']);
export type Aim = z.infer<typeof aimSchema>;

/** How far the work goes: what is beyond it is neither stripped nor painted. */
export const limitSchema = z.enum(['outside', 'inside-too', 'to-bare']);
export type Limit = z.infer<typeof limitSchema>;

/** Kinds of work a step can be, in the order of work: the middle of a step key, and what typed minutes are kept by. */
export const WORK_STAGES = [
  'teardown',
  'material-test',
  'corner',
  'touch-in',
  'wash',
  'reference',
  'test-patch',
  'strip',
  'strip-on',
  'strip-off',
  'metal-prep',
  'repair',
  'prep',
  'dry-fit',
  'clean',
  'bare-care',
  'scrap-test',
  'mask',
  'mix',
  'promoter',
  'coat',
  'unmask',
  'warm',
  'detail',
  'decal',
  'flat',
  'rinse',
  'age',
  'look',
  'task',
  'assemble',
  'fit',
  'touch-up',
] as const;
export const workStageSchema = z.enum(WORK_STAGES);
export type WorkStage = z.infer<typeof workStageSchema>;

/**
 * What is done to a part in a step, one word an act: what the sceptic reads a plan by. Stripping has an act for each of its methods;
 * “tape” is the line, “cover” paper or film over more; “press-on” vinyl and pads that hold by their own glue.
 */
export const ACTS = [
  'record',
  'open',
  'spray',
  'brush-on',
  'solvent-wipe',
  'strip-gel',
  'strip-chlorinated',
  'strip-caustic',
  'strip-alkaline',
  'strip-alcohol',
  'strip-brush',
  'strip-blast',
  'strip-heat',
  'water-wash',
  'acid-prep',
  'scuff',
  'dry-sand',
  'wet-sand',
  'polish',
  'drill',
  'heat',
  'tape',
  'cover',
  'untape',
  'glue-on',
  'screw-on',
  'slide-on',
  'press-on',
  'decal',
  'hang',
  'handle',
  'bath',
  'close',
  'test',
  'look',
] as const;
export const actSchema = z.enum(ACTS);
export type Act = z.infer<typeof actSchema>;

/** What may sit on a part and bear less than its film does. */
export const FITTINGS = ['glazing', 'seal', 'pad', 'rubber', 'wire', 'badge', 'decal'] as const;
export const fittingSchema = z.enum(FITTINGS);
export type Fitting = z.infer<typeof fittingSchema>;

/** The rules by which the sceptic reads a finished plan; what a person knows better is kept by these names. */
export const SENSE_RULES = [
  'record-first',
  'film-bears',
  'ruins-fitted',
  'whole-waits',
  'coat-order',
  'unknown-material',
  'harms-material',
  'watched',
  'lasting-cover',
  'paper-fits',
  'one-go',
  'extras-in-window',
  'no-date',
  'never-scuffed',
  'done-again',
  'decal-ground',
  'polished-through',
  'gone',
  'sealed-wood',
  'bare-steel',
  'air',
] as const;
export const senseRuleSchema = z.enum(SENSE_RULES);
export type SenseRule = z.infer<typeof senseRuleSchema>;

/** How heavily one coat of a layer is laid (trade §6: film, mL and hiding follow). */
export const weightSchema = z.enum(['mist', 'thin', 'normal', 'heavy']);
export type Weight = z.infer<typeof weightSchema>;

/** What the old paint of a part is, where it is known; absent: not asked yet. */
export const OLD_PAINTS = ['baked-enamel', 'household', 'own-coat', 'unknown'] as const;
export const oldPaintSchema = z.enum(OLD_PAINTS);
export type OldPaint = z.infer<typeof oldPaintSchema>;

/** Sheen by its usual names, dullest first. */
export const sheenSchema = z.enum(['flat', 'satin', 'semi-gloss', 'gloss']);
export type Sheen = z.infer<typeof sheenSchema>;

export const looksLikeSchema = z.enum([
  'cast-body',
  'pressed-toy',
  'wheels-axles',
  'wire-cage',
  'sheet-case',
  'plastic-shell',
  'bracket-set',
  'large-panel',
  'tank',
  'clear-kit',
  'wooden-body',
  'grained-trim',
  'tinplate-toy',
  'something-else',
]);
export type LooksLike = z.infer<typeof looksLikeSchema>;

/** Drawings of particular pieces, where the general look is not enough. */
export const portraitSchema = z.enum(['tram', 'roller', 'crane', 'fan', 'balance', 'seaplane', 'lamp', 'vane']);
export type PortraitName = z.infer<typeof portraitSchema>;

export const curveSchema = z.enum(['straight', 'gentle', 'tight', 'double']);
export type Curve = z.infer<typeof curveSchema>;

/** Where a number or a verdict comes from, most trusted first. */
export const sourceSchema = z.enum(['own', 'label', 'default', 'guess']);
export type Source = z.infer<typeof sourceSchema>;

export const METALS: readonly Material[] = ['zinc', 'steel', 'galvanised', 'tinplate', 'cast-iron', 'aluminium', 'magnesium', 'brass'];

export function isMetal(material: Material): boolean {
  return METALS.includes(material);
}
