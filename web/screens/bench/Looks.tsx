import type { LogEvent } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { useWords } from '../../app/useWords.ts';
import { startedAt } from './outcome/outcomes.tsx';

/** While a stripper works: a look at each quarter of its dwell, the next one named. */
export function Looks({ step, events, now }: { step: PlannedStep; events: readonly LogEvent[]; now: number }) {
  const words = useWords();
  const began = startedAt(step, events);
  if (!step.looks || began === null) return null;
  const times = step.looks.map((minutes) => began + minutes);
  const next = times.find((at) => at > now);
  return (
    <div className="mt-3">
      <p className="text-lead text-[#d0d0d0]">
        on since {words.moment(began)}; {next === undefined ? 'look now, it has had its usual dwell' : `look at ${words.moment(next)}`}
      </p>
      <ol className="mt-2 grid grid-cols-4 gap-1" aria-label="Looks">
        {times.map((at) => (
          <li key={at} className={`figure border-t-4 pt-1 ${at <= now ? 'border-white text-white' : 'border-[#5a5a5a] text-[#c4c4c4]'}`}>
            {words.moment(at)}
          </li>
        ))}
      </ol>
    </div>
  );
}
