import type { Parcel, Piece } from '#core/facts/index';
import { fitOrder } from '#core/survey/index';
import { counted, toIso } from '#core/units/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { Controller, useForm } from 'react-hook-form';
import type { z } from 'zod';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { parcelAnswersSchema } from './parcelAnswers.ts';
import { DateField } from '../../../views/fields/DateField.tsx';
import { TextField } from '../../../views/fields/TextField.tsx';

/** What is on the way or still to be ordered for the piece, and what waits for it. */
export function Parcels({ piece }: { piece: Piece }) {
  const { save } = useSaving();
  const words = useWords();
  return (
    <section className="sheet" aria-label="Parcels">
      <h2>Parcels</h2>
      <ul className="mt-1">
        {piece.parcels.map((parcel) => (
          <li key={parcel.id} className="flex items-center justify-between gap-3 border-b border-hairline py-2">
            <span>
              {parcel.name}
              <span className="second block text-small">
                {words.money(parcel.price)}, {parcelState(parcel, words.dayOf)}; {waitsFor(parcel, piece)}
              </span>
            </span>
            {!parcel.arrived && !parcel.due && !parcel.orderedAt && (
              <button
                type="button"
                className="chip"
                onClick={() =>
                  void save(
                    'pieces',
                    {
                      ...piece,
                      parcels: piece.parcels.map((own) =>
                        own.id === parcel.id ? { ...own, orderedAt: toIso(nowMinute()).slice(0, 10) } : own,
                      ),
                    },
                    'Ordered today.',
                  )
                }
              >
                ordered
              </button>
            )}
            <button
              type="button"
              className="chip"
              aria-pressed={parcel.arrived}
              onClick={() =>
                void save(
                  'pieces',
                  { ...piece, parcels: piece.parcels.map((own) => (own.id === parcel.id ? { ...own, arrived: !own.arrived } : own)) },
                  'Noted.',
                )
              }
            >
              {parcel.arrived ? 'arrived' : 'it is here'}
            </button>
          </li>
        ))}
      </ul>
      <ParcelForm piece={piece} />
    </section>
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

/** What the plan keeps back until it is here. */
function waitsFor(parcel: Parcel, piece: Piece): string {
  const part = piece.parts.find((own) => own.id === parcel.holds?.partId);
  const task = piece.tasks?.find((own) => own.id === parcel.holds?.taskId);
  if (task) return `“${task.name}” waits for it`;
  if (part && parcel.holds?.stage === 'decal') return `the decals of ${part.name.toLowerCase()} wait for it`;
  if (part && parcel.holds?.stage === 'assemble') return `fitting ${part.name.toLowerCase()} waits for it`;
  return part ? `${part.name.toLowerCase()} waits for it` : 'putting together waits for it';
}

function parcelState(parcel: Parcel, dayOf: (date: string) => string): string {
  if (parcel.arrived) return 'here';
  if (parcel.due) return `due ${dayOf(parcel.due)}`;
  if (parcel.orderedAt) return `ordered ${dayOf(parcel.orderedAt)}`;
  return parcel.leadDays === undefined ? 'not ordered yet' : `not ordered yet, ${counted(parcel.leadDays, 'day')} to come`;
}
