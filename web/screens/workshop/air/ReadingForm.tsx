import type { Place, Reading } from '#core/facts/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { readingAnswersSchema } from './readingAnswers.ts';
import { TextField } from '../../../views/fields/TextField.tsx';

/** What a thermometer, a hygrometer, a finger in the wind say now. */
export function ReadingForm({ place, onKept }: { place: Place; onKept: () => void }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const schema = useMemo(() => readingAnswersSchema(workshop, place.id, nowMinute), [workshop, place.id]);
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
