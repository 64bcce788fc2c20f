import type { Parcel, Piece } from '#core/facts/index';
import { counted, localMoment } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { ChangeButton } from '../../../views/fields/ChangeButton.tsx';
import { DateField } from '../../../views/fields/DateField.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { ParcelForm } from './ParcelForm.tsx';

/** One thing that is to come: when, what waits for it, and all that can be said of it later: ordered, another day, here, not coming. */
export function ParcelRow({ piece, parcel }: { piece: Piece; parcel: Parcel }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [asked, setAsked] = useState(false);
  const [changing, setChanging] = useState(false);
  const change = (fields: Partial<Parcel>, said: string) =>
    void save('pieces', { ...piece, parcels: piece.parcels.map((own) => (own.id === parcel.id ? { ...own, ...fields } : own)) }, said);
  const takeOut = () =>
    void save(
      'pieces',
      { ...piece, parcels: piece.parcels.filter((own) => own.id !== parcel.id) },
      `${parcel.name} is not waited for any more: ${waitsFor(parcel, piece).replace(/ waits? for it$/, '')} goes on without it.`,
    );
  return (
    <li className="flex flex-wrap items-center justify-between gap-3 border-b border-hairline py-2">
      <span className="grow">
        {parcel.name}
        <span className="second block text-small">
          {words.money(parcel.price)}, {parcelState(parcel, words.dayOf)}; {waitsFor(parcel, piece)}
        </span>
      </span>
      {!parcel.arrived && !parcel.due && !parcel.orderedAt && (
        <button
          type="button"
          className="chip"
          onClick={() => change({ orderedAt: localMoment(nowMinute(), workshop.timeZone).date }, 'Ordered today.')}
        >
          ordered
        </button>
      )}
      {!parcel.arrived && (
        <button type="button" className="chip" aria-expanded={asked} onClick={() => setAsked(!asked)}>
          another day
        </button>
      )}
      <button type="button" className="chip" aria-pressed={parcel.arrived} onClick={() => change({ arrived: !parcel.arrived }, 'Noted.')}>
        {parcel.arrived ? 'arrived' : 'it is here'}
      </button>
      <span className="ml-auto flex items-center">
        <ChangeButton what={parcel.name} open={changing} onOpen={setChanging} />
        <RemoveButton what={parcel.name} onRemove={takeOut} />
      </span>
      {changing && <ParcelForm piece={piece} was={parcel} onKept={() => setChanging(false)} />}
      {asked && (
        <div className="basis-full">
          <DateField
            label={`${parcel.name}, due now`}
            quiet
            value={parcel.due ?? ''}
            onChange={(due) => {
              if (due === '' || due === parcel.due) return;
              setAsked(false);
              change({ due }, `${parcel.name} is due ${words.dayOf(due)}: the plan has moved.`);
            }}
          />
        </div>
      )}
    </li>
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
