import type { Place, Reading } from '#core/facts/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { readingAnswersSchema } from './readingAnswers.ts';
import { TextField } from '../../../views/fields/TextField.tsx';

const COUNTS = [
  { value: '', label: '' },
  { value: '180', label: 'for 3 hours' },
  { value: '1440', label: 'for a day' },
  { value: '10080', label: 'for a week' },
] as const;

/** What a thermometer, a hygrometer, a finger in the wind say now. */
export function ReadingForm({ place, onKept }: { place: Place; onKept: () => void }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const schema = useMemo(() => readingAnswersSchema(workshop, place.id, nowMinute), [workshop, place.id]);
  const { register, handleSubmit, formState } = useForm<z.input<typeof schema>, unknown, Reading>({
    resolver: zodResolver(schema),
    defaultValues: { airC: '', rh: '', surfaceC: '', windMs: '', counts: '' },
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
      <label className="block">
        <span className="mb-1 block text-small">It counts</span>
        <select className="field" {...register('counts')}>
          {COUNTS.map(({ value, label }) => (
            <option key={value} value={value}>
              {value === '' ? (place.heated ? 'until the next one' : 'for half a day') : label}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="chip mt-6 !min-h-10" disabled={formState.isSubmitting}>
        Keep
      </button>
    </form>
  );
}
