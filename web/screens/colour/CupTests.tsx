import { familyDrying, isOwnThinner } from '#core/drying/index';
import { type EventOf, FAMILIES, type Family, plain, type Product, type Sheet, standingEvents } from '#core/facts/index';
import { toIso, toMinute } from '#core/units/index';
import { useState } from 'react';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { useOneAtATime } from '../../app/writing/useOneAtATime.ts';
import { useWords } from '../../app/useWords.ts';
import { SmallSelect } from '../../views/fields/SmallField.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** A doubtful thinner is stirred in a cup before any of it goes into the gun. */
export function CupTests({ product, sheet }: { product: Product; sheet: Sheet }) {
  const { facts } = usePlan();
  const words = useWords();
  const others = FAMILIES.filter((family) => family !== 'unknown' && !isOwnThinner(sheet.family, family));
  const [thinner, setThinner] = useState<Family>(sheet.thinner && others.includes(sheet.thinner) ? sheet.thinner : others[0]);
  const tests = standingEvents(facts.events).filter(
    (event): event is EventOf<'cup-test'> => event.kind === 'cup-test' && event.productId === product.id,
  );
  const { busy, once } = useOneAtATime();
  const log = (outcome: EventOf<'cup-test'>['outcome']) =>
    once(() => logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'cup-test', productId: product.id, thinner, outcome }]));
  if (sheet.hand === 'aerosol') return null;
  return (
    <FoldingSheet title="A thinner in doubt">
      <p className="second mt-1">
        Made for it: {ownThinner(sheet.family)}. Any other: a few drops of both in a cup, stirred, ten minutes. Strings, lumps or a ring at
        the wall, and none of it goes into the gun.
      </p>
      <ul className="mt-2">
        {tests.map((event) => (
          <li key={event.id} className="border-b border-hairline py-1.5">
            {plain(event.thinner)} thinner: <strong>{event.outcome === 'smooth' ? 'stays smooth' : 'curdles'}</strong>
            <span className="second"> {words.date(toMinute(event.at))}</span>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <SmallSelect
          label="thinner made for"
          width="!w-56"
          value={thinner}
          options={others.map((value) => ({ value, label: plain(value) }))}
          onChange={setThinner}
        />
        <button type="button" className="act !min-h-10" disabled={busy} onClick={() => log('smooth')}>
          It stays smooth
        </button>
        <button type="button" className="act !min-h-10" disabled={busy} onClick={() => log('curdled')}>
          It curdles
        </button>
      </div>
    </FoldingSheet>
  );
}

function ownThinner(family: Family): string {
  const { thinner } = familyDrying(family);
  return thinner.startsWith('own') || thinner.startsWith('its own') ? 'the thinner of its own range' : thinner;
}
