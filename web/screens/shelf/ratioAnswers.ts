import type { Label } from '#core/facts/index';
import { parseMix, parseNumber, parseRatio, typedNumber } from '#core/units/index';
import { z } from 'zod';

/** "4:1" or "1:3" where it is so many parts to one, else the share in percent, to the last place that was typed. */
export function ratioText(parts: number | undefined): string {
  if (parts === undefined) return '';
  const [paint, other] = parts > 1 ? [1, parts] : [parts > 0 ? 1 / parts : 0, 1];
  const inTenths = [paint, other].every((own) => Math.abs(own - Math.round(own * 10) / 10) < 1e-6);
  if (paint < 1 || !inTenths) return `${typedNumber(parts * 100)} %`;
  return `${typedNumber(Math.round(paint * 10) / 10)}:${typedNumber(other)}`;
}

export type SaidRatios = Pick<Label, 'thinning' | 'hardener'>;

/** What the label says, as it is typed. */
export function typedRatios({ thinning, hardener }: SaidRatios): z.input<typeof ratioAnswersSchema> {
  return {
    least: ratioText(thinning?.least),
    usual: ratioText(thinning?.usual),
    most: ratioText(thinning?.most),
    hardener: ratioText(hardener?.parts),
    gloss: hardener?.glossAtMost === undefined ? '' : typedNumber(hardener.glossAtMost),
  };
}

/**
 * A mix as the label says it, into the fields it belongs to; null where it is none. Of two parts alone the second is the hardener
 * where the paint has one, else the reducer.
 */
export function typedMix(mix: string, twoPart: boolean): { readonly hardener?: string; readonly usual?: string } | null {
  const read = parseMix(mix);
  if (!read) return null;
  if (read.hardener !== null) return { hardener: ratioText(read.hardener), usual: ratioText(read.reducer) };
  return twoPart ? { hardener: ratioText(read.reducer) } : { usual: ratioText(read.reducer) };
}

/** Ratios as people say them, read into the label; each refusal at its field. */
export const ratioAnswersSchema = z
  .object({ least: z.string(), usual: z.string(), most: z.string(), hardener: z.string(), gloss: z.string() })
  .transform((typed, context): SaidRatios => {
    const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
    const ratio = (path: 'least' | 'usual' | 'most' | 'hardener'): number | undefined => {
      if (typed[path].trim() === '') return undefined;
      const read = parseRatio(typed[path]);
      if (read === null || read < 0) refuse(path, 'A ratio reads 4:1, 25 % or 0.25.');
      return read ?? undefined;
    };
    const [least, usual, most, parts] = [ratio('least'), ratio('usual'), ratio('most'), ratio('hardener')];
    const glossAtMost = typed.gloss.trim() ? parseNumber(typed.gloss) : undefined;
    if (glossAtMost === null) refuse('gloss', 'Gloss is a number of units, such as 10.');
    if (typeof glossAtMost === 'number' && parts === undefined)
      refuse('gloss', 'It goes with the hardener: say how much of that first, or leave the gloss out.');
    if (usual === undefined && (least !== undefined || most !== undefined)) refuse('usual', 'Say what is usual between them.');
    if (usual !== undefined && ((least ?? usual) > usual || (most ?? usual) < usual))
      refuse('usual', 'The usual lies between least and most.');
    if (context.issues.length > 0) return z.NEVER;
    return {
      ...(usual !== undefined ? { thinning: { least: least ?? usual, usual, most: most ?? usual } } : {}),
      ...(parts !== undefined ? { hardener: { parts, ...(typeof glossAtMost === 'number' ? { glossAtMost } : {}) } } : {}),
    };
  });
