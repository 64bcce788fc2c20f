import { parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { SmallField, SmallForm } from '../../views/fields/SmallField.tsx';

const [LEAST_MM, MOST_MM] = [20, 5000];

/** The inside of something owned, side by side, in the person's units; empty: there is none. */
export function Sizes<K extends string>({
  title,
  sides,
  value,
  thing,
  onKeep,
  onNone,
}: {
  title: string;
  sides: Readonly<Record<K, string>>;
  value: Readonly<Record<K, number>> | undefined;
  /** As it begins a sentence: "A tub". */
  thing: string;
  onKeep: (sizes: Record<K, number>) => void;
  onNone: () => void;
}) {
  const { workshop } = usePlan();
  const words = useWords();
  const keys = Object.keys(sides) as K[];
  const shown = (key: K) => (value ? words.typedLength(value[key]) : '');
  const [typed, setTyped] = useState(() => Object.fromEntries(keys.map((key) => [key, shown(key)])) as Record<K, string>);
  const [problems, setProblems] = useState<Partial<Record<K, string>>>({});
  const keep = () => {
    setProblems({});
    if (keys.every((key) => typed[key].trim() === '')) return onNone();
    const read = keys.map((key) => [key, parseQuantity(typed[key], 'length', workshop.units.length)] as const);
    const wrong = read.filter(([, size]) => !size.ok || size.value < LEAST_MM || size.value > MOST_MM);
    if (wrong.length > 0)
      return setProblems(
        Object.fromEntries(
          wrong.map(([key, size]) => [key, size.ok ? `${thing} is between 20 mm and 5 m. Check the unit.` : size.mend]),
        ) as Partial<Record<K, string>>,
      );
    onKeep(Object.fromEntries(read.map(([key, size]) => [key, size.ok ? size.value : 0])) as Record<K, number>);
  };
  return (
    <div>
      <p className="font-[650] text-ink">{title}</p>
      <SmallForm label={title} className="flex flex-wrap items-end gap-2" onSend={keep}>
        {keys.map((key) => (
          <SmallField
            key={key}
            label={sides[key]}
            width="!w-24 !min-h-9 font-mono"
            value={typed[key]}
            problem={problems[key]}
            onText={(text) => setTyped({ ...typed, [key]: text })}
          />
        ))}
        <button type="submit" className="act !min-h-9">
          Keep
        </button>
      </SmallForm>
    </div>
  );
}
