import type { Workshop } from '#core/facts/index';
import { counted, parseQuantity, typedNumber, weightText } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { RemoveButton } from '../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm } from '../../views/fields/SmallField.tsx';
import { Sizes } from './Sizes.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** How much there is room for: the booth while it is sprayed, hooks and shelves while it dries. Nothing said: room enough. */
export function Room() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  return (
    <FoldingSheet title="Room" inner="space-y-4 mt-3">
      <Sizes
        title="Floor of the booth"
        sides={{ longMm: 'long', wideMm: 'wide' }}
        value={workshop.booth}
        thing="A booth"
        onKeep={({ longMm, wideMm }) =>
          void save('workshop', { ...workshop, booth: { longMm, wideMm } }, 'What does not fit side by side goes in loads.')
        }
        onNone={() => void save('workshop', { ...workshop, booth: undefined }, 'Room enough in the booth.')}
      />
      <DryingPlaces />
    </FoldingSheet>
  );
}

type Places = NonNullable<Workshop['dryingPlaces']>;

/** Kinds of places where films dry, each with how many it takes and how long they may be. */
function DryingPlaces() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [typed, setTyped] = useState({ count: '', long: '', weight: '' });
  const [problem, setProblem] = useState('');
  const places = workshop.dryingPlaces ?? [];
  const keep = (next: Places, said: string) =>
    void save('workshop', { ...workshop, dryingPlaces: next.length > 0 ? next : undefined }, said);
  const withoutPlace = (gone: Places[number] | undefined) => places.filter((own) => own !== gone);
  const add = () => {
    const count = Number(typed.count);
    const long = parseQuantity(typed.long, 'length', workshop.units.length);
    const weight = typed.weight.trim() === '' ? null : parseQuantity(typed.weight, 'mass', 'g');
    if (!Number.isInteger(count) || count < 1 || count > 500) return setProblem('Count the places: a whole number from 1 to 500.');
    if (!long.ok || long.value < 5 || long.value > 5000)
      return setProblem(long.ok ? 'A place takes parts of 5 mm to 5 m. Check the unit.' : long.mend);
    if (weight && (!weight.ok || weight.value < 1 || weight.value > 500_000))
      return setProblem(weight.ok ? 'A place carries 1 g to 500 kg. Check the unit.' : weight.mend);
    setProblem('');
    setTyped({ count: '', long: '', weight: '' });
    const grams = weight?.ok ? weight.value : undefined;
    // More places of one length and strength are one kind.
    const alike = places.find((place) => typedNumber(place.longMm) === typedNumber(long.value) && place.grams === grams);
    const more = {
      count: Math.min(500, count + (alike?.count ?? 0)),
      longMm: alike?.longMm ?? long.value,
      ...(grams === undefined ? {} : { grams }),
    };
    keep([...withoutPlace(alike), more], 'The plan hangs no more than there is room for.');
  };
  return (
    <div>
      <p className="font-[650] text-ink">Hooks, rods and shelves where films dry</p>
      <ul>
        {places.map((place) => (
          <li key={`${place.longMm} ${place.grams}`} className="flex items-center justify-between border-b border-hairline py-1">
            <span>
              {counted(place.count, 'place')} for parts up to {words.length(place.longMm)}
              {place.grams !== undefined && ` and ${weightText(place.grams)}`}
            </span>
            <RemoveButton
              what={`${counted(place.count, 'place')} for parts up to ${words.length(place.longMm)}`}
              onRemove={() => keep(withoutPlace(place), 'Removed.')}
            />
          </li>
        ))}
      </ul>
      {places.length === 0 && <p className="second text-small">Nothing said: as many as there are parts.</p>}
      <SmallForm label="Places where films dry" className="flex flex-wrap items-end gap-2" problem={problem} onSend={add}>
        <SmallField label="places" width="!w-20" placeholder="12" value={typed.count} onText={(count) => setTyped({ ...typed, count })} />
        <SmallField
          label="for parts up to"
          width="!w-28"
          placeholder="200 mm"
          value={typed.long}
          onText={(long) => setTyped({ ...typed, long })}
        />
        <SmallField
          label="and, if it matters"
          width="!w-24"
          placeholder="500 g"
          value={typed.weight}
          onText={(weight) => setTyped({ ...typed, weight })}
        />
        <button type="submit" className="act !min-h-9">
          Add places
        </button>
      </SmallForm>
    </div>
  );
}
