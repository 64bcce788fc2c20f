import { counted, typedNumber, weightText } from '#core/units/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { RemoveButton } from '../../views/fields/RemoveButton.tsx';
import { SmallForm } from '../../views/fields/SmallField.tsx';
import { TypedField } from '../../views/typed/TypedField.tsx';
import { useTyped } from '../../views/typed/useTyped.ts';
import { type DryingPlace, FRESH_PLACE, placeSchema } from './placeAnswers.ts';
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

/** Kinds of places where films dry, each with how many it takes and how long they may be. */
function DryingPlaces() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const form = useTyped<typeof FRESH_PLACE, DryingPlace>(placeSchema(workshop.units.length), FRESH_PLACE);
  const places = workshop.dryingPlaces ?? [];
  const keep = (next: DryingPlace[], said: string) =>
    save('workshop', { ...workshop, dryingPlaces: next.length > 0 ? next : undefined }, said);
  const withoutPlace = (gone: DryingPlace | undefined) => places.filter((own) => own !== gone);
  const add = ({ count, longMm, grams }: DryingPlace) => {
    // More places of one length and strength are one kind.
    const alike = places.find((place) => typedNumber(place.longMm) === typedNumber(longMm) && place.grams === grams);
    const more = { count: Math.min(500, count + (alike?.count ?? 0)), longMm, ...(grams === undefined ? {} : { grams }) };
    return keep([...withoutPlace(alike), more], 'The plan hangs no more than there is room for.');
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
              onRemove={() => void keep(withoutPlace(place), 'Removed.')}
            />
          </li>
        ))}
      </ul>
      {places.length === 0 && <p className="second text-small">Nothing said: as many as there are parts.</p>}
      <SmallForm label="Places where films dry" className="flex flex-wrap items-end gap-2" onSend={() => void form.send(add)}>
        <TypedField form={form} of="count" label="places" width="!w-20" placeholder="12" />
        <TypedField form={form} of="long" label="for parts up to" width="!w-28" placeholder="200 mm" />
        <TypedField form={form} of="weight" label="and, if it matters" width="!w-24" placeholder="500 g" />
        <button type="submit" className="act !min-h-9">
          Add places
        </button>
      </SmallForm>
    </div>
  );
}
