import { FASTENINGS, type Fastening, type Piece, plain, threadSchema } from '#core/facts/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, type UseFormRegisterReturn } from 'react-hook-form';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { newId } from '../../../../app/writing/newId.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { fasteningAnswersSchema, HEADS, typedFastening, type TypedFastening } from './fasteningAnswers.ts';
import { TextField } from '../../../../views/fields/TextField.tsx';

/** A fastening noted for the first time, or changed. */
export function FasteningForm({
  piece,
  was,
  onKeep,
  onCancel,
}: {
  piece: Piece;
  was: Fastening | undefined;
  onKeep: (fastening: Fastening) => void;
  onCancel: () => void;
}) {
  const { workshop } = usePlan();
  const schema = useMemo(() => fasteningAnswersSchema(workshop.units.length, was?.id ?? newId()), [workshop.units.length, was?.id]);
  const { register, handleSubmit, setValue, watch, formState } = useForm<TypedFastening, unknown, Fastening>({
    resolver: zodResolver(schema),
    defaultValues: typedFastening(was, piece, workshop.units.length),
  });
  const { kind, heads, thread } = watch();
  const { errors } = formState;
  return (
    <form
      className="mt-3 space-y-3 border-l-4 border-ink pl-3"
      aria-label={was ? 'Change the fastening' : 'New fastening'}
      onSubmit={handleSubmit(onKeep)}
      noValidate
    >
      <Chips
        legend="Kind"
        options={FASTENINGS.map((value) => ({ value, label: plain(value) }))}
        value={kind}
        onChange={(value) => setValue('kind', value)}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField label="how many" quiet inputMode="numeric" problem={errors.count?.message} {...register('count')} />
        <PartSelect label="of" piece={piece} field={register('a')} />
        <PartSelect label="to" piece={piece} none="the frame" field={register('b')} />
        <TextField label="gap before paint, µm" quiet inputMode="decimal" problem={errors.gap?.message} {...register('gap')} />
        <PartSelect label="lies behind" piece={piece} none="nothing" field={register('behind')} />
      </div>
      {kind === 'rivet' && (
        <div className="grid items-start gap-3 sm:grid-cols-3">
          <TextField label="post across" quiet problem={errors.across?.message} {...register('across')} />
          <TextField label="post deep" quiet problem={errors.deep?.message} {...register('deep')} />
          <Chips
            legend="Thread"
            options={threadSchema.options.map((value) => ({ value, label: value }))}
            value={thread}
            onChange={(value) => setValue('thread', value)}
          />
        </div>
      )}
      <TextField
        label={kind === 'glue' ? 'which glue; it must not fog clear parts' : 'for going back: screw × length, good side'}
        quiet
        mono={false}
        maxLength={120}
        problem={errors.note?.message}
        {...register('note')}
      />
      {kind !== 'glue' && (
        <Chips
          legend="Visible heads"
          options={HEADS.map((value) => ({ value, label: value }))}
          value={heads}
          onChange={(value) => setValue('heads', value)}
        />
      )}
      <div className="flex gap-3">
        <button type="submit" className="act" data-first="true">
          Note it
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

function PartSelect({ label, piece, none, field }: { label: string; piece: Piece; none?: string; field: UseFormRegisterReturn }) {
  return (
    <label className="block">
      <span className="second mb-1 block">{label}</span>
      <select className="field" {...field}>
        {none && <option value="">{none}</option>}
        {piece.parts.map((part) => (
          <option key={part.id} value={part.id}>
            {part.name}
          </option>
        ))}
      </select>
    </label>
  );
}
