import { airAt, readLoggerCsv, USUAL_AIR, usualPlace } from '#core/drying/index';
import type { Place } from '#core/facts/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { Heating } from './Heating.tsx';
import { ReadingForm } from './ReadingForm.tsx';
import { UsualByMonth } from './UsualByMonth.tsx';
import { PlacePosition } from './PlacePosition.tsx';
import { FileInput } from '../../../views/fields/FileInput.tsx';

/** Each place with its air now, and what it is used for. A typed reading counts until the next one. */
export function Places() {
  const { facts, workshop } = usePlan();
  const { save } = useSaving();
  const use = (key: 'sprayPlaceId' | 'dryPlaceId', id: string) => void save('workshop', { ...workshop, [key]: id }, 'The plan has moved.');
  return (
    <ul className="mt-3">
      {facts.places.map((place) => (
        <li key={place.id} className="grid items-start gap-x-4 gap-y-2 sm:grid-cols-[minmax(0,1fr)_auto] border-t border-hairline py-3">
          <span>
            <PlaceAir place={place} />
            {(place.kind === 'outdoors' || place.kind === 'balcony') && <PlacePosition place={place} />}
          </span>
          <span className="flex flex-wrap gap-2 sm:justify-end">
            <button
              type="button"
              className="chip"
              aria-pressed={place.sleptIn}
              onClick={() => void save('places', { ...place, sleptIn: !place.sleptIn }, 'The plan has moved.')}
            >
              people sleep here
            </button>
            <button
              type="button"
              className="chip"
              aria-pressed={workshop.sprayPlaceId === place.id}
              onClick={() => use('sprayPlaceId', place.id)}
            >
              spray here
            </button>
            <button
              type="button"
              className="chip"
              aria-pressed={workshop.dryPlaceId === place.id}
              onClick={() => use('dryPlaceId', place.id)}
            >
              dry here
            </button>
          </span>
          <UsualByMonth place={place} />
        </li>
      ))}
      <li className="border-t border-hairline pt-3">
        <AddPlace />
      </li>
    </ul>
  );
}

const KINDS = Object.keys(USUAL_AIR) as Place['kind'][];

/** Another place to spray or dry in, with the usual air of its kind until a reading says more. */
function AddPlace() {
  const { facts } = usePlan();
  const { save } = useSaving();
  const [name, setName] = useState('');
  const add = (kind: Place['kind']) => {
    if (!name.trim()) return void toast.error('Give the place a name first.');
    if (facts.places.some((own) => own.name.toLowerCase() === name.trim().toLowerCase()))
      return void toast.error(`There is a ${name.trim()} already: give this one another name.`);
    void save('places', usualPlace(newId(), name.trim(), kind), `${name.trim()} is there.`);
    setName('');
  };
  return (
    <div className="flex flex-wrap items-end gap-2">
      <label>
        <span className="second block text-small">Another place</span>
        <input className="field !w-44" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
      </label>
      {KINDS.map((kind) => (
        <button key={kind} type="button" className="chip !min-h-10" onClick={() => add(kind)}>
          {kind}
        </button>
      ))}
    </div>
  );
}

function PlaceAir({ place }: { place: Place }) {
  const { conditions, plan } = usePlan();
  const words = useWords();
  const [typing, setTyping] = useState(false);
  const air = conditions[place.id];
  const now = air ? airAt(air, plan.now) : null;
  return (
    <div>
      <p>
        <span className="font-[650] text-ink">{place.name}</span>{' '}
        <span className="second text-small">
          {place.heated ? 'heated' : 'unheated'}
          {place.sleptIn ? '; no solvent or 2K film dries where people sleep' : ''}
        </span>
      </p>
      {now && (
        <p>
          <span className="figure">
            {words.temperature(now.airC)} · {Math.round(now.rh)} % · dew margin {now.dewMarginC.toFixed(1)}°
            {now.windMs !== undefined && ` · wind ${now.windMs.toFixed(1)} m/s`}
          </span>{' '}
          <span className="second text-small">
            {air?.rests}
            {air?.countsUntil === null && ' It counts until the next one.'}
            {typeof air?.countsUntil === 'number' && ` It counts until ${words.moment(air.countsUntil)}.`}
          </span>
        </p>
      )}
      <Heating place={place} />
      {typing ? (
        <ReadingForm place={place} onKept={() => setTyping(false)} />
      ) : (
        <span className="flex items-center gap-4">
          <button type="button" className="linklike min-h-9 text-small" onClick={() => setTyping(true)}>
            type a reading
          </button>
          <LoggerFile place={place} />
        </span>
      )}
    </div>
  );
}

/** The file of a real logger: its hours stand in for the usual day where it knows them. */
function LoggerFile({ place }: { place: Place }) {
  const { facts } = usePlan();
  const { save, remove } = useSaving();
  const id = `logger-${place.id}`.slice(0, 64);
  const known = facts.airSeries.find((series) => series.id === id);
  const read = async (file: File) => {
    const logged = readLoggerCsv(await file.text());
    if (!logged.ok) return void toast.error(`${logged.error} ${logged.mend}`);
    const { start, tempC, rh, rows } = logged;
    void save('airSeries', { id, placeId: place.id, from: 'logger', start, tempC, rh }, `${rows} readings of ${file.name} taken.`);
  };
  return (
    <>
      <label className="linklike flex min-h-9 cursor-pointer items-center text-small focus-within:outline-2 focus-within:outline-accent">
        a logger’s CSV file
        <FileInput accept=".csv,text/csv" className="sr-only" onFile={(file) => void read(file)} />
      </label>
      {known && (
        <button
          type="button"
          className="linklike min-h-9 text-small"
          onClick={() => void remove('airSeries', id, 'The logger is left out.')}
        >
          leave the logger out
        </button>
      )}
    </>
  );
}
