import { type Place, type Reading, readingSchema, type Workshop } from '#core/facts/index';
import { parseNumber, parseQuantity, toIso } from '#core/units/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { TextField } from '../../views/TextField.tsx';

/** The air as it was typed, read in the person's own units into the fact; each refusal at its field. */
function typedSchema({ units }: Workshop, placeId: string) {
  return z.object({ airC: z.string(), rh: z.string(), surfaceC: z.string(), windMs: z.string() }).transform((typed, context): Reading => {
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
      at: toIso(nowMinute()),
      airC: degrees('airC'),
      rh: figure('rh', /%/),
      from: 'typed' as const,
      ...(typed.surfaceC.trim() ? { surfaceC: degrees('surfaceC') } : {}),
      ...(typed.windMs.trim() ? { windMs: figure('windMs', /m\/s/) } : {}),
    };
    if (context.issues.length > 0) return z.NEVER;
    const read = readingSchema.safeParse(reading);
    if (read.success) return read.data;
    for (const issue of read.error.issues) refuse(String(issue.path[0]), issue.message);
    return z.NEVER;
  });
}

/** What a thermometer, a hygrometer, a finger in the wind say now. */
export function ReadingForm({ place, onKept }: { place: Place; onKept: () => void }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const schema = useMemo(() => typedSchema(workshop, place.id), [workshop, place.id]);
  const { register, handleSubmit, formState } = useForm<z.input<typeof schema>, unknown, Reading>({
    resolver: zodResolver(schema),
    defaultValues: { airC: '', rh: '', surfaceC: '', windMs: '' },
  });
  const { errors } = formState;
  const keep = handleSubmit(async (reading) => {
    if (await save('readings', reading, 'The plan has moved.')) onKept();
  });
  return (
    <form className="mt-2 flex flex-wrap items-start gap-2" onSubmit={keep} noValidate>
      <span className="w-28">
        <TextField label="Temperature" quiet autoFocus problem={errors.airC?.message} {...register('airC')} />
      </span>
      <span className="w-28">
        <TextField label="Humidity %" quiet problem={errors.rh?.message} {...register('rh')} />
      </span>
      <span className="w-28">
        <TextField label="The part itself" quiet problem={errors.surfaceC?.message} {...register('surfaceC')} />
      </span>
      {place.kind === 'outdoors' && (
        <span className="w-24">
          <TextField label="Wind, m/s" quiet problem={errors.windMs?.message} {...register('windMs')} />
        </span>
      )}
      <button type="submit" className="chip mt-6 !min-h-10" disabled={formState.isSubmitting}>
        Keep
      </button>
    </form>
  );
}
