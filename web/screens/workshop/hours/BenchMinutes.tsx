import { benchMinutes } from '#core/amounts/index';
import type { Hand, Workshop } from '#core/facts/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { HAND_NAMES } from '../../../views/words/handNames.ts';
import { QuantityField } from '../../../views/fields/QuantityField.tsx';

type Own = NonNullable<Workshop['benchMinutes']>;

const MOST = 120;

/** Minutes round spraying as this person takes them: the usual ones stand there until another is typed; emptied, they are back. */
export function BenchMinutes() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const usual = benchMinutes({});
  const own = workshop.benchMinutes ?? {};
  const keep = (next: Own) => {
    const { cleanUp, ...rest } = withoutEmpty(next);
    const all = { ...rest, ...(cleanUp && Object.keys(withoutEmpty(cleanUp)).length > 0 ? { cleanUp: withoutEmpty(cleanUp) } : {}) };
    void save('workshop', { ...workshop, benchMinutes: Object.keys(all).length > 0 ? all : undefined }, 'The plan reckons with it.');
  };
  return (
    <div>
      <p className="font-[650] text-ink">Minutes round spraying</p>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-2">
        <Minutes label="Set up" own={own.setUp} usual={usual.setUp} onKeep={(setUp) => keep({ ...own, setUp })} />
        <Minutes label="Change of paint" own={own.change} usual={usual.change} onKeep={(change) => keep({ ...own, change })} />
        {workshop.hands.map((hand: Hand) => (
          <Minutes
            key={hand}
            label={`Clean ${HAND_NAMES[hand]}`}
            own={own.cleanUp?.[hand]}
            usual={usual.cleanUp[hand]}
            onKeep={(minutes) => keep({ ...own, cleanUp: { ...own.cleanUp, [hand]: minutes } })}
          />
        ))}
      </div>
    </div>
  );
}

type MinutesProps = {
  readonly label: string;
  readonly own: number | undefined;
  readonly usual: number;
  readonly onKeep: (minutes: number | undefined) => void;
};

function Minutes({ label, own, usual, onKeep }: MinutesProps) {
  return (
    <QuantityField
      small
      label={label}
      dimension="duration"
      unit="min"
      shown={own === undefined ? '' : String(own)}
      placeholder={String(usual)}
      refused={(minutes) => (minutes >= 0 && minutes <= MOST ? null : 'Between 0 minutes and 2 hours.')}
      onKeep={(minutes) => onKeep(minutes === undefined ? undefined : Math.round(minutes))}
    />
  );
}

/** What nothing is said of is left out. */
function withoutEmpty<T extends object>(fields: T): T {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as T;
}
