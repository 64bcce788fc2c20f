import { type Hand, handSchema } from '#core/facts/index';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { HAND_NAMES } from '../../views/words/handNames.ts';
import { Chips } from '../../views/fields/Chips.tsx';
import { BenchMinutes } from './hours/BenchMinutes.tsx';
import { Sizes } from './Sizes.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

const TUBS = ['1', '2', '3', '4'];

/** What is owned to put paint on with, and the largest tub: layers and baths are planned by them. */
export function Tools() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const [problem, setProblem] = useState('');
  const toggle = (hand: Hand) => {
    const hands = workshop.hands.includes(hand) ? workshop.hands.filter((own) => own !== hand) : [...workshop.hands, hand];
    if (hands.length === 0) return setProblem('Keep at least one: without a tool nothing can be painted.');
    setProblem('');
    void save('workshop', { ...workshop, hands }, 'The plan has moved.');
  };
  return (
    <FoldingSheet title="Tools" inner="space-y-3 mt-3">
      <fieldset>
        <legend className="mb-2 font-[650] text-ink">Paint goes on by</legend>
        <div className="flex flex-wrap gap-2">
          {handSchema.options.map((hand) => (
            <button
              key={hand}
              type="button"
              className="chip !min-h-11"
              aria-pressed={workshop.hands.includes(hand)}
              onClick={() => toggle(hand)}
            >
              {HAND_NAMES[hand]}
            </button>
          ))}
        </div>
      </fieldset>
      {problem && (
        <p role="alert" className="font-[650]">
          {problem}
        </p>
      )}
      <BenchMinutes />
      <Sizes
        title="Largest tub, inside"
        sides={{ longMm: 'long', wideMm: 'wide', deepMm: 'deep' }}
        value={workshop.tub}
        thing="A tub"
        onKeep={({ longMm, wideMm, deepMm }) =>
          void save('workshop', { ...workshop, tub: { longMm, wideMm, deepMm } }, 'Baths go by that tub.')
        }
        onNone={() => void save('workshop', { ...workshop, tub: undefined }, 'No tub: no bath is advised.')}
      />
      {workshop.tub && (
        <Chips
          legend="Tubs that large"
          options={TUBS.map((value) => ({ value, label: value }))}
          value={String(workshop.tubs ?? 1)}
          onChange={(tubs) => void save('workshop', { ...workshop, tubs: Number(tubs) }, 'So many baths may stand at once.')}
        />
      )}
    </FoldingSheet>
  );
}
