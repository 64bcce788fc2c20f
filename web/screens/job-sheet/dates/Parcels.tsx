import type { Parcel, Piece } from '#core/facts/index';
import { fitOrder } from '#core/survey/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { Controller, useForm } from 'react-hook-form';
import type { z } from 'zod';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { ParcelRow } from './ParcelRow.tsx';
import { parcelAnswersSchema } from './parcelAnswers.ts';
import { DateField } from '../../../views/fields/DateField.tsx';
import { TextField } from '../../../views/fields/TextField.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** What is on the way or still to be ordered for the piece, and what waits for it. */
export function Parcels({ piece }: { piece: Piece }) {
  return (
    <FoldingSheet title="Parcels">
      <ul className="mt-1">
        {piece.parcels.map((parcel) => (
          <ParcelRow key={parcel.id} piece={piece} parcel={parcel} />
        ))}
      </ul>
      <ParcelForm piece={piece} />
    </FoldingSheet>
  );
}

const FRESH = { name: '', price: '', due: '', source: '', holds: '' } as const;

function ParcelForm({ piece }: { piece: Piece }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const schema = useMemo(() => parcelAnswersSchema(workshop.currency), [workshop.currency]);
  const { control, register, handleSubmit, reset, formState } = useForm<
    z.input<ReturnType<typeof parcelAnswersSchema>>,
    unknown,
    Omit<Parcel, 'id'>
  >({
    resolver: zodResolver(schema),
    defaultValues: FRESH,
  });
  const { errors } = formState;
  const add = handleSubmit(async (parcel) => {
    const said = parcel.due ? 'Parcel noted.' : 'Noted: it is still to be ordered.';
    if (await save('pieces', { ...piece, parcels: [...piece.parcels, { ...parcel, id: newId() }] }, said)) reset(FRESH);
  });
  return (
    <form className="mt-3 space-y-2" onSubmit={add} noValidate>
      <TextField
        label="Decals, tyres, glazing on the way"
        quiet
        mono={false}
        maxLength={80}
        problem={errors.name?.message}
        {...register('name')}
      />
      <div className="grid grid-cols-2 gap-2">
        <TextField label="Price" quiet inputMode="decimal" problem={errors.price?.message} {...register('price')} />
        <Controller
          control={control}
          name="due"
          render={({ field }) => (
            <DateField label="Due" quiet value={field.value ?? ''} onChange={field.onChange} problem={errors.due?.message} />
          )}
        />
        <TextField label="From" quiet mono={false} maxLength={80} problem={errors.source?.message} {...register('source')} />
        <label className="col-span-2 block">
          <span className="second mb-1 block">What waits for it</span>
          <select className="field" {...register('holds')}>
            <option value="">putting it together</option>
            {piece.parts.map((part) => (
              <option key={part.id} value={`part ${part.id}`}>
                all work on {part.name.toLowerCase()}
              </option>
            ))}
            {piece.parts
              .filter((part) => (part.decals ?? []).length > 0)
              .map((part) => (
                <option key={part.id} value={`decal ${part.id}`}>
                  the decals of {part.name.toLowerCase()}
                </option>
              ))}
            {fitOrder(piece)
              .slice(1)
              .map((part) => (
                <option key={part.id} value={`assemble ${part.id}`}>
                  fitting {part.name.toLowerCase()}
                </option>
              ))}
            {(piece.tasks ?? []).map((task) => (
              <option key={task.id} value={`task ${task.id}`}>
                “{task.name}”
              </option>
            ))}
          </select>
        </label>
      </div>
      <button type="submit" className="act !min-h-10" disabled={formState.isSubmitting}>
        Expect it
      </button>
    </form>
  );
}
