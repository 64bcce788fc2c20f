import { guessedPosition } from '#core/drying/index';
import { type Place, placeSchema } from '#core/facts/index';
import { parseNumber } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';

/** Where a place in the open lies: by its daylight one sprays. Guessed from the time zone until it is typed. */
export function PlacePosition({ place }: { place: Place }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const known = place.position ?? guessedPosition(workshop.timeZone, nowMinute());
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const keep = () => {
    const [latitude, longitude] = (typed ?? '').split(/[;\s]+|,\s/).map((text) => parseNumber(text));
    const read = placeSchema.safeParse({ ...place, position: { latitude, longitude } });
    if (!read.success) return setProblem(`Type latitude and longitude in degrees, such as 38.7 -9.1. ${read.error.issues[0].message}`);
    setProblem('');
    setTyped(null);
    void save('places', read.data, 'Daylight goes by that.');
  };
  if (typed === null) {
    return (
      <button type="button" className="linklike min-h-9 text-small" onClick={() => setTyped(`${known.latitude} ${known.longitude}`)}>
        at {known.latitude.toFixed(1)}°, {known.longitude.toFixed(1)}°{place.position ? '' : ' (guessed)'}
      </button>
    );
  }
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <label className="flex items-end gap-2">
        <span className="second text-small">latitude and longitude</span>
        <input className="field !min-h-9 !w-44 font-mono" value={typed} onChange={(event) => setTyped(event.target.value)} />
        <button type="submit" className="chip !min-h-9">
          Keep
        </button>
      </label>
      {problem && (
        <p role="alert" className="font-[650]">
          {problem}
        </p>
      )}
    </form>
  );
}
