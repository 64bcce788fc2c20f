import { usualPlace } from '#core/drying/index';
import type { Hand, Place, Workshop } from '#core/facts/index';
import { useState } from 'react';
import { CurrencyField } from '../../views/fields/CurrencyField.tsx';
import { useFacts, useSaving } from '../../app/writing/useFacts.ts';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const EVENING = { from: '19:00', to: '21:30' };
const DAYTIME = { from: '10:00', to: '13:00' };

const PLACES: readonly { readonly kind: Place['kind']; readonly label: string; readonly name: string }[] = [
  { kind: 'room', label: 'Spare room', name: 'Spare room' },
  { kind: 'shed', label: 'Garage or shed', name: 'Shed' },
  { kind: 'balcony', label: 'Balcony', name: 'Balcony' },
  { kind: 'outdoors', label: 'Outdoors', name: 'Yard' },
];
const HANDS: readonly { value: Hand; label: string }[] = [
  { value: 'aerosol', label: 'Spray cans' },
  { value: 'airbrush', label: 'Airbrush' },
  { value: 'gun', label: 'Spray gun' },
  { value: 'brush', label: 'Brush' },
];

/** Three cards and the bench is open; every answer can be changed later in Workshop. */
export function FirstRun() {
  const { facts } = useFacts();
  const { save } = useSaving();
  const workshop = facts.workshop[0];
  const [days, setDays] = useState<readonly number[]>(workshop?.freeHours.map((free) => free.weekday) ?? []);
  const [spray, setSpray] = useState<Place['kind']>('room');
  const [dry, setDry] = useState<Place['kind']>('room');
  const [hands, setHands] = useState<readonly Hand[]>(['aerosol']);
  const [currency, setCurrency] = useState(workshop?.currency ?? 'EUR');
  const [busy, setBusy] = useState(false);
  if (!workshop) return null;

  const toggle = <T,>(list: readonly T[], item: T): T[] => (list.includes(item) ? list.filter((own) => own !== item) : [...list, item]);
  const open = async () => {
    setBusy(true);
    // A place of that kind that is there already is that place: nobody has two spare rooms of one name.
    const idOf = (kind: Place['kind']) => facts.places.find((place) => place.kind === kind)?.id ?? `place-${kind}`;
    for (const kind of new Set([spray, dry])) {
      if (facts.places.some(({ id }) => id === idOf(kind))) continue;
      const name = PLACES.find((candidate) => candidate.kind === kind)?.name ?? kind;
      if (!(await save('places', usualPlace(idOf(kind), name, kind)))) return setBusy(false);
    }
    const started: Workshop = {
      ...workshop,
      started: true,
      currency,
      hands: [...hands],
      sprayPlaceId: idOf(spray),
      dryPlaceId: idOf(dry),
      freeHours: [...days].sort().map((weekday) => ({ weekday, ...(weekday >= 6 ? DAYTIME : EVENING) })),
    };
    await save('workshop', started);
    setBusy(false);
  };
  return (
    <main className="mx-auto max-w-[1180px] px-6 py-8">
      <h1 className="!text-[40px]">Open your bench</h1>
      <p className="mt-2 text-lead">
        Three answers, then add a piece. Enamelos plans the coats, the waits, the masks and what to buy around the hours you have.
      </p>
      <div className="mt-6 grid gap-5 md:grid-cols-3">
        <section className="sheet" aria-labelledby="card-hours">
          <h2 id="card-hours">1 Which evenings?</h2>
          <p className="second mt-1">Paint dries without you; only these hours count as work.</p>
          <div className="mt-4 flex flex-wrap gap-2">
            {DAYS.map((day, index) => (
              <button
                key={day}
                type="button"
                className="chip !min-h-11"
                aria-pressed={days.includes(index + 1)}
                onClick={() => setDays(toggle(days, index + 1))}
              >
                {day} <span className="figure">{index >= 5 ? '10–13' : '19–21:30'}</span>
              </button>
            ))}
          </div>
          {days.length === 0 && <p className="mt-3 font-[650]">Choose at least one: without a free hour nothing can be planned.</p>}
        </section>
        <section className="sheet" aria-labelledby="card-place">
          <h2 id="card-place">2 Where?</h2>
          <p className="second mt-1">Its temperature and damp decide how long a film takes.</p>
          <PlaceChips legend="Where you spray" value={spray} onChange={setSpray} />
          <PlaceChips legend="Where it dries" value={dry} onChange={setDry} />
          <p className="second mt-3 text-small">Solvent films never dry where people sleep.</p>
        </section>
        <section className="sheet" aria-labelledby="card-hands">
          <h2 id="card-hands">3 With what?</h2>
          <p className="second mt-1">Each lays another film and uses another amount.</p>
          <div className="mt-4 flex flex-wrap gap-2">
            {HANDS.map(({ value, label }) => (
              <button
                key={value}
                type="button"
                className="chip !min-h-11"
                aria-pressed={hands.includes(value)}
                onClick={() => setHands(toggle(hands, value))}
              >
                {label}
              </button>
            ))}
          </div>
          {hands.length === 0 && <p className="mt-3 font-[650]">Choose at least one: paint needs a hand to lay it.</p>}
          <div className="mt-4">
            <CurrencyField value={currency} onChange={setCurrency} />
          </div>
          <p className="second mt-4">A starter shelf of usual paints is there already, at about their usual prices.</p>
        </section>
      </div>
      <button
        type="button"
        className="act mt-6 !min-h-[56px] px-8 text-lead"
        data-first="true"
        disabled={busy || days.length === 0 || hands.length === 0}
        onClick={() => void open()}
      >
        Open the bench
      </button>
    </main>
  );
}

function PlaceChips({ legend, value, onChange }: { legend: string; value: Place['kind']; onChange: (kind: Place['kind']) => void }) {
  return (
    <fieldset className="mt-4">
      <legend className="mb-2 font-[650]">{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {PLACES.map(({ kind, label }) => (
          <button key={kind} type="button" className="chip !min-h-11" aria-pressed={value === kind} onClick={() => onChange(kind)}>
            {label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
