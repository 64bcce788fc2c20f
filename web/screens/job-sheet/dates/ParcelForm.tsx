import type { Parcel, Piece } from '#core/facts/index';
import { fitOrder } from '#core/survey/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { DateField } from '../../../views/fields/DateField.tsx';
import { SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { TextField } from '../../../views/fields/TextField.tsx';
import { useTyped } from '../../../views/typed/useTyped.ts';
import { usePieceSave } from '../pieceChanges.ts';
import { FRESH_PARCEL, parcelAnswersSchema, typedParcel, type TypedParcel } from './parcelAnswers.ts';

/** Something on the way or still to be ordered, new or changed. */
export function ParcelForm({ piece, was, onKept }: { piece: Piece; was?: Parcel; onKept?: () => void }) {
  const { workshop } = usePlan();
  const save = usePieceSave();
  const { typed, put, problem, send } = useTyped<TypedParcel, Parcel>(
    parcelAnswersSchema(workshop.currency, was?.id ?? newId(), was),
    was ? typedParcel(was) : FRESH_PARCEL,
  );
  const keep = async (parcel: Parcel) => {
    const parcels = was ? piece.parcels.map((own) => (own.id === parcel.id ? parcel : own)) : [...piece.parcels, parcel];
    const said = was ? `${parcel.name} is changed.` : parcel.due ? 'Parcel noted.' : 'Noted: it is still to be ordered.';
    const kept = await save({ ...piece, parcels }, said);
    if (kept) onKept?.();
    return kept;
  };
  const text = (
    key: 'name' | 'price' | 'days' | 'source',
    label: string,
    more: { mono?: boolean; inputMode?: 'decimal' | 'numeric' } = {},
  ) => (
    <TextField
      label={label}
      quiet
      maxLength={80}
      problem={problem(key)}
      value={typed[key]}
      onChange={(event) => put({ [key]: event.target.value })}
      {...more}
    />
  );
  return (
    <SmallForm label={was ? `Change ${was.name}` : 'Expect a parcel'} className="basis-full space-y-2" onSend={() => void send(keep)}>
      {text('name', was ? 'What comes' : 'Decals, tyres, glazing on the way', { mono: false })}
      <div className="grid grid-cols-2 gap-2">
        {text('price', 'Price', { inputMode: 'decimal' })}
        <DateField label="Due" quiet value={typed.due} onChange={(due) => put({ due })} problem={problem('due')} />
        {text('source', 'From', { mono: false })}
        {text('days', 'Or days to come', { inputMode: 'numeric' })}
        <div className="col-span-2">
          <SmallSelect
            label="What waits for it"
            width="!w-full"
            value={typed.holds}
            options={holdChoices(piece, typed.holds)}
            onChange={(holds) => put({ holds })}
          />
        </div>
      </div>
      <button type="submit" className="act !min-h-10">
        {was ? 'Keep it so' : 'Expect it'}
      </button>
    </SmallForm>
  );
}

/** All that can wait for a parcel; what it holds already stays among them. */
function holdChoices(piece: Piece, now: string): { value: string; label: string }[] {
  const lower = (part: { name: string }) => part.name.toLowerCase();
  const choices = [
    { value: '', label: 'putting it together' },
    ...piece.parts.map((part) => ({ value: `part ${part.id}`, label: `all work on ${lower(part)}` })),
    ...piece.parts
      .filter((part) => (part.decals ?? []).length > 0)
      .map((part) => ({ value: `decal ${part.id}`, label: `the decals of ${lower(part)}` })),
    ...fitOrder(piece)
      .slice(1)
      .map((part) => ({ value: `assemble ${part.id}`, label: `fitting ${lower(part)}` })),
    ...(piece.tasks ?? []).map((task) => ({ value: `task ${task.id}`, label: `“${task.name}”` })),
  ];
  return choices.some(({ value }) => value === now) ? choices : [...choices, { value: now, label: 'as it was' }];
}
