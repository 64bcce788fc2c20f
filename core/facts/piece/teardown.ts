import { z } from 'zod';
import { copiesSchema, idSchema, momentSchema, nameSchema } from '../basics.ts';

/** How a piece comes apart and what is kept of that: fastenings, bags and pictures. */

export const FASTENINGS = ['tapped-post', 'screw', 'tab', 'glue', 'clip', 'rivet', 'axle'] as const;
export const fasteningKindSchema = z.enum(FASTENINGS);
export type FasteningKind = z.infer<typeof fasteningKindSchema>;

export const THREADS = ['M1.6', 'M2', 'M2.5', '1-72', '2-56'] as const;
export const threadSchema = z.enum(THREADS);
export type Thread = z.infer<typeof threadSchema>;

const millimetres = (what: string, most: number) =>
  z.number(`Type ${what} in millimetres.`).positive(`${what} is above 0 mm.`).max(most, `${what} is at most ${most} mm. Check the unit.`);

/** A joint between two parts of a piece, or between a part and the frame it stays on (b absent). */
export const fasteningSchema = z.strictObject({
  id: idSchema,
  kind: fasteningKindSchema,
  a: idSchema,
  b: idSchema.optional(),
  count: copiesSchema,
  /** A riveted post to be drilled out and tapped. */
  post: z
    .strictObject({
      acrossMm: millimetres('The post’s diameter', 20),
      deepMm: millimetres('The post’s depth', 60),
      thread: threadSchema.optional(),
    })
    .optional(),
  /** Screw × length, which glue, which side is the good one. */
  note: z.string().trim().max(120),
  heads: z.enum(['repaint', 'replace', 'leave']).optional(),
  /** Room between the two faces before paint, µm: what the film takes is reckoned against it. */
  gapUm: z.number().min(0).max(5000, 'A gap is at most 5 mm (5000 µm).').optional(),
  /** Reached only while this part is off. */
  behind: idSchema.optional(),
});
export type Fastening = z.infer<typeof fasteningSchema>;

export const bagSchema = z.strictObject({
  id: idSchema,
  number: z.int('A bag has a whole number.').min(1).max(999),
  contents: nameSchema,
  /** Where it came from: a part, or words. */
  from: z.string().trim().max(80),
  pictureId: idSchema.optional(),
});
export type Bag = z.infer<typeof bagSchema>;

export const PICTURE_VIEWS = ['front', 'back', 'left', 'right', 'top', 'under', 'inside', 'detail'] as const;
export const pictureViewSchema = z.enum(PICTURE_VIEWS);
export type PictureView = z.infer<typeof pictureViewSchema>;

/** A picture of the piece; its image lies in the store by the same id. */
export const pictureSchema = z.strictObject({
  id: idSchema,
  view: pictureViewSchema,
  when: z.enum(['before', 'after']),
  /** Of this part alone, such as a tile of a sample board; absent: of the whole piece. */
  partId: idSchema.optional(),
  at: momentSchema,
  width: z.int().min(1).max(20_000),
  height: z.int().min(1).max(20_000),
});
export type Picture = z.infer<typeof pictureSchema>;
