import { type Reading, readingSchema, type Workshop } from '#core/facts/index';
import { type Minute, parseNumber, parseQuantity, toIso } from '#core/units/index';
import { z } from 'zod';

/** The air as it was typed, read in the person's own units into the fact; each refusal at its field. */
export function readingAnswersSchema({ units }: Pick<Workshop, 'units'>, placeId: string, now: () => Minute) {
  return z
    .object({ airC: z.string(), rh: z.string(), surfaceC: z.string(), windMs: z.string(), counts: z.string() })
    .transform((typed, context): Reading => {
      const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
      const degrees = (path: 'airC' | 'surfaceC') => {
        const read = parseQuantity(typed[path], 'temperature', units.temperature);
        if (!read.ok) refuse(path, read.mend);
        return read.ok ? Math.round(read.value * 10) / 10 : Number.NaN;
      };
      const figure = (path: 'rh' | 'windMs', unit: RegExp) => {
        const value = parseNumber(typed[path].replace(unit, ''));
        if (value === null) refuse(path, 'Type a number, such as 55.');
        return value ?? Number.NaN;
      };
      const reading = {
        id: placeId,
        placeId,
        at: toIso(now()),
        airC: degrees('airC'),
        rh: figure('rh', /%/),
        from: 'typed' as const,
        ...(typed.surfaceC.trim() ? { surfaceC: degrees('surfaceC') } : {}),
        ...(typed.counts ? { until: toIso(now() + Number(typed.counts)) } : {}),
        ...(typed.windMs.trim() ? { windMs: figure('windMs', /m\/s/) } : {}),
      };
      if (context.issues.length > 0) return z.NEVER;
      const read = readingSchema.safeParse(reading);
      if (read.success) return read.data;
      for (const issue of read.error.issues) refuse(String(issue.path[0]), issue.message);
      return z.NEVER;
    });
}
