import { type Hand, handSchema, type Workshop } from '#core/facts/index';
import { parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { HAND_NAMES } from '../../views/handNames.ts';

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
    <section className="sheet space-y-3" aria-label="Tools">
      <h2>Tools</h2>
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
      <Tub workshop={workshop} />
    </section>
  );
}

type Sides = NonNullable<Workshop['tub']>;

/** A bath is only advised for what fits into it. */
function Tub({ workshop }: { workshop: Workshop }) {
  const { save } = useSaving();
  const words = useWords();
  const shown = (mm: number | undefined) => (mm === undefined ? '' : words.length(mm));
  const [typed, setTyped] = useState<Record<keyof Sides, string>>({
    longMm: shown(workshop.tub?.longMm),
    wideMm: shown(workshop.tub?.wideMm),
    deepMm: shown(workshop.tub?.deepMm),
  });
  const [problem, setProblem] = useState('');
  const keep = () => {
    const sides = Object.values(typed);
    if (sides.every((text) => text.trim() === '')) {
      const { tub: _tub, ...rest } = workshop;
      setProblem('');
      return void save('workshop', rest, 'No tub: no bath is advised.');
    }
    const read = (['longMm', 'wideMm', 'deepMm'] as const).map((key) => parseQuantity(typed[key], 'length', workshop.units.length));
    const wrong = read.find((size) => !size.ok || size.value < 20 || size.value > 5000);
    if (wrong) return setProblem(wrong.ok ? 'A tub is between 20 mm and 5 m. Check the unit.' : wrong.mend);
    const [longMm, wideMm, deepMm] = read.map((size) => (size.ok ? size.value : 0));
    setProblem('');
    void save('workshop', { ...workshop, tub: { longMm, wideMm, deepMm } }, 'Baths go by that tub.');
  };
  const side = (key: keyof Sides, label: string) => (
    <label>
      <span className="second block text-small">{label}</span>
      <input
        className="field !min-h-9 font-mono"
        value={typed[key]}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
      />
    </label>
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <p className="font-[650] text-ink">Largest tub, inside</p>
      <div className="mt-1 grid grid-cols-3 gap-2">
        {side('longMm', 'long')}
        {side('wideMm', 'wide')}
        {side('deepMm', 'deep')}
      </div>
      {problem && (
        <p role="alert" className="mt-1 font-[650]">
          {problem}
        </p>
      )}
      <button type="submit" className="act mt-2 !min-h-9">
        Keep
      </button>
    </form>
  );
}
