import { type Warm, warmSchema } from '#core/facts/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { QuantityField } from './QuantityField.tsx';

/** How warm the part gets, by the thermometer beside it, and for how long. */
export function SpellFields({ warm, onWarm }: { warm: Warm; onWarm: (warm: Warm) => void }) {
  const { workshop } = usePlan();
  const words = useWords();
  const refused = (next: Warm) => warmSchema.safeParse(next).error?.issues[0]?.message ?? null;
  return (
    <div className="flex flex-wrap gap-3">
      <QuantityField
        label="The part gets"
        dimension="temperature"
        unit={workshop.units.temperature}
        shown={words.heat(warm.surfaceC)}
        placeholder="50 °C"
        refused={(surfaceC) => refused({ ...warm, surfaceC })}
        onKeep={(surfaceC) => surfaceC !== undefined && onWarm({ ...warm, surfaceC })}
      />
      <QuantityField
        label="For"
        dimension="duration"
        unit="min"
        shown={words.duration(warm.minutes)}
        placeholder="90 min"
        refused={(minutes) => refused({ ...warm, minutes })}
        onKeep={(minutes) => minutes !== undefined && onWarm({ ...warm, minutes })}
      />
    </div>
  );
}
