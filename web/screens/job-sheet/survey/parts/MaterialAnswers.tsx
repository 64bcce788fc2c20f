import { type Material, type Part, plain } from '#core/facts/index';
import { MATERIAL_GROUPS, materialByDensity } from '#core/survey/index';
import { parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { withPart } from '../../pieceChanges.ts';
import type { AnswerProps } from '../answerProps.ts';

/** One press by the test that tells it, or a weighing. */
export function MaterialAnswers({ piece, part, onAnswer, onLeaveOpen }: AnswerProps & { part: Part }) {
  return (
    <>
      <div className="mt-3 grid gap-x-6 gap-y-3 md:grid-cols-2">
        {MATERIAL_GROUPS.map(({ told, materials }, group) => (
          <fieldset key={told}>
            <legend className="mb-1 text-small">{told}</legend>
            <div className="flex flex-wrap gap-2">
              {materials.map((material) => (
                <button
                  key={material}
                  type="button"
                  className="chip !min-h-11"
                  aria-pressed={part.material === material}
                  onClick={() =>
                    (material === 'unknown' ? onLeaveOpen : onAnswer)(
                      withPart(piece, part.id, { material, toldBy: group === 0 ? 'magnet' : group === 3 ? 'looks' : 'scratch' }),
                      `${part.name}: ${plain(material)}.`,
                    )
                  }
                >
                  {material === 'unknown' ? 'Cannot tell' : plain(material)}
                </button>
              ))}
            </div>
          </fieldset>
        ))}
      </div>
      <Weighing
        onMaterial={(material) => onAnswer(withPart(piece, part.id, { material, toldBy: 'density' }), `${part.name}: ${plain(material)}.`)}
      />
    </>
  );
}

/** A metal told by its weight and the water it displaces. */
function Weighing({ onMaterial }: { onMaterial: (material: Material) => void }) {
  const [grams, setGrams] = useState('');
  const [displaced, setDisplaced] = useState('');
  const [weight, water] = [parseQuantity(grams, 'mass', 'g'), parseQuantity(displaced, 'volume', 'ml')];
  const answer = weight.ok && water.ok && weight.value > 0 && water.value > 0 ? materialByDensity(weight.value, water.value) : null;
  return (
    <details className="mt-3">
      <summary className="min-h-9 cursor-pointer text-small">Still not sure: weigh it, and dip it in a measuring jug</summary>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <label>
          <span className="second block text-small">it weighs</span>
          <input className="field !w-28 font-mono" value={grams} placeholder="310 g" onChange={(event) => setGrams(event.target.value)} />
        </label>
        <label>
          <span className="second block text-small">the water rises by</span>
          <input
            className="field !w-28 font-mono"
            value={displaced}
            placeholder="46 mL"
            onChange={(event) => setDisplaced(event.target.value)}
          />
        </label>
        {answer && <span role="status">{answer.because}</span>}
        {answer?.materials.map((material) => (
          <button key={material} type="button" className="chip" onClick={() => onMaterial(material)}>
            {plain(material)}
          </button>
        ))}
      </div>
    </details>
  );
}
