import { monthOf, usualAir } from '#core/drying/index';
import type { Place } from '#core/facts/index';
import { parseNumber, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];
const FROM = {
  months: 'as you typed it by month',
  year: 'the same all the year',
  position: 'by where it stands, a guess',
} as const;

/** What is usual in a place now, whose word that is, and a year of one's own. */
export function UsualByMonth({ place }: { place: Place }) {
  const { plan, workshop } = usePlan();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const month = monthOf(plan.now);
  const usual = usualAir(place, month, workshop.timeZone, plan.now);
  return (
    <div className="text-small sm:col-span-2">
      <span>
        Usual in {MONTHS[Math.floor(month)]}: <span className="figure">{words.temperature(usual.c)}</span> ·{' '}
        <span className="figure">{Math.round(usual.rh)} %</span>, <span className="second">{FROM[usual.from]}</span>{' '}
        <button type="button" className="linklike min-h-9" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'close' : 'say it by month'}
        </button>
      </span>
      {open && <Year place={place} onKept={() => setOpen(false)} />}
    </div>
  );
}

type Typed = { readonly c: string; readonly rh: string };

/** Twelve months, begun from what is taken for them now. */
function Year({ place, onKept }: { place: Place; onKept: () => void }) {
  const { plan, workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [typed, setTyped] = useState<readonly Typed[]>(() =>
    MONTHS.map((_, index) => {
      const usual = usualAir(place, index + 0.5, workshop.timeZone, plan.now);
      return { c: words.temperature(usual.c), rh: `${Math.round(usual.rh)} %` };
    }),
  );
  const [problem, setProblem] = useState<string | null>(null);
  const change = (at: number, changed: Partial<Typed>) =>
    setTyped(typed.map((own, index) => (index === at ? { ...own, ...changed } : own)));
  const keep = async () => {
    const read = typed.map(({ c, rh }, index) => monthRead(MONTHS[index], c, rh, workshop.units.temperature));
    const wrong = read.find((own) => typeof own === 'string');
    if (typeof wrong === 'string') return setProblem(wrong);
    setProblem(null);
    const usual = read.filter((own) => typeof own !== 'string');
    if (await save('places', { ...place, usual }, 'The plan has moved.')) onKept();
  };
  const forget = async () => {
    const { usual: _usual, ...rest } = place;
    if (await save('places', rest, 'The plan has moved.')) onKept();
  };
  return (
    <div className="mt-2">
      <ul className="grid grid-cols-1 gap-x-8 gap-y-1 min-[480px]:grid-cols-2 sm:grid-cols-3">
        {MONTHS.map((name, index) => (
          <li key={name} className="grid grid-cols-[2.5rem_5.5rem_5rem] items-center gap-2">
            <span>{name.slice(0, 3)}</span>
            <input
              className="field !min-h-9"
              aria-label={`Temperature in ${name}`}
              value={typed[index].c}
              onChange={(event) => change(index, { c: event.target.value })}
            />
            <input
              className="field !min-h-9"
              aria-label={`Humidity in ${name}, %`}
              value={typed[index].rh}
              onChange={(event) => change(index, { rh: event.target.value })}
            />
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="mt-1 font-[650] text-ink">
          {problem}
        </p>
      )}
      <span className="mt-2 flex gap-2">
        <button type="button" className="chip" onClick={() => void keep()}>
          Keep these months
        </button>
        {place.usual && (
          <button type="button" className="chip" onClick={() => void forget()}>
            Forget them
          </button>
        )}
      </span>
    </div>
  );
}

/** One month as typed, or what is wrong with it. */
function monthRead(name: string, typedC: string, typedRh: string, unit: 'C' | 'F'): { c: number; rh: number } | string {
  const c = parseQuantity(typedC, 'temperature', unit);
  if (!c.ok) return `${name}: ${c.mend}`;
  if (c.value < -30 || c.value > 50) return `${name}: the air of a place is -30 to 50 °C.`;
  const rh = parseNumber(typedRh.replace(/%/, ''));
  if (rh === null || rh < 5 || rh > 100) return `${name}: humidity is 5 to 100 %.`;
  return { c: c.value, rh };
}
