import {
  ASTRAY,
  type Astray,
  type Correction,
  type Cup,
  mixedLab,
  ingredientOf,
  type Portion,
  readColour,
  readingOf,
} from '#core/colour/index';
import type { Lab } from '#core/facts/index';
import type { BenchPaint } from '#core/mixing/index';
import { counted, listed } from '#core/units/index';
import { useMemo, useState } from 'react';
import { useWords } from '../../app/useWords.ts';
import { Chips } from '../../views/Chips.tsx';
import { SmallField, SmallForm } from '../../views/SmallField.tsx';
import { useCorrection } from './useMixWorker.ts';

const TOLERANCE = 2;

/** The cup does not look as it should: what brings it back, or that a fresh one is cheaper. */
export function TooFar({ portions, paints, target }: { portions: readonly Portion[]; paints: readonly BenchPaint[]; target: Lab }) {
  const [look, setLook] = useState<Astray | Lab>();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const cup = useMemo<Cup | null>(() => {
    if (!look) return null;
    const own = portions.flatMap(({ id, drops }) => {
      const paint = paints.find((candidate) => candidate.id === id);
      return paint ? [{ ingredient: ingredientOf(paint), drops }] : [];
    });
    const expected = mixedLab(
      own.map(({ ingredient }) => ingredient),
      own.map(({ drops }) => drops),
    );
    const looks = typeof look === 'string' ? readingOf(expected, look) : look;
    return { portions, paints, looks, target, tolerance: TOLERANCE };
  }, [look, portions, paints, target]);
  const correction = useCorrection(cup);
  return (
    <section className="mt-6 border-t border-hairline pt-4" aria-label="It went too far">
      <h3 className="font-[650] text-ink">It went too far?</h3>
      <p className="second">Say what the cup looks like beside the colour wanted.</p>
      <div className="mt-2">
        <Chips
          legend="The cup looks"
          hideLegend
          options={ASTRAY.map((value) => ({ value, label: value }))}
          value={typeof look === 'string' ? look : undefined}
          onChange={setLook}
        />
      </div>
      <SmallForm
        label="A reading of the cup"
        problem={problem}
        onSend={() => {
          const answer = readColour(typed);
          setProblem(answer.ok ? '' : answer.mend);
          if (answer.ok) setLook(answer.lab);
        }}
      >
        <SmallField label="or its reading, hex or L a b" width="!w-56 font-mono" value={typed} onText={setTyped} />
        <button type="submit" className="act !min-h-10">
          So it looks
        </button>
      </SmallForm>
      {correction && <Way correction={correction} paints={paints} />}
    </section>
  );
}

function Way({
  correction: { additions, within, startAgain, ml, deltaE },
  paints,
}: {
  correction: Correction;
  paints: readonly BenchPaint[];
}) {
  const words = useWords();
  const nameOf = (id: string) => paints.find((own) => own.id === id)?.product.name ?? 'paint';
  if (additions.length === 0 && within)
    return <p className="mt-3">That is still near enough: let a dab dry before anything more goes in.</p>;
  if (additions.length === 0) return <p className="mt-3">Nothing on this shelf brings it back: start again with a fresh cup.</p>;
  const pour = listed(additions.map(({ id, drops }) => `${counted(drops, 'drop')} of ${nameOf(id)}`));
  return (
    <div className="mt-3" role="status">
      <p className="font-[650]">{startAgain ? 'Start again' : `${pour}, half a minute of stirring`}</p>
      <p className="second text-small">
        {startAgain
          ? `It would take ${pour} and make ${words.volume(ml)}${within ? '' : `, and still be ΔE ${deltaE.toFixed(1)} off`}.`
          : `brings it within ΔE ${Math.max(deltaE, 0.1).toFixed(1)}; the cup then holds ${words.volume(ml)}.`}
      </p>
    </div>
  );
}
