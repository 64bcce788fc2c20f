import { hexOf, readColour } from '#core/colour/index';
import { capital } from '#core/units/index';
import { type FormEvent, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { FormProblem } from '../../views/fields/SmallField.tsx';
import { SwatchPicker } from '../../views/fields/SwatchPicker.tsx';
import { Adding } from '../job-sheet/Adding.tsx';
import { Charts } from './Charts.tsx';
import { FromPicture } from './FromPicture.tsx';
import { type NamedTarget, paletteTarget, type Target, wantedTargets } from './target.ts';

/** Which colour is wanted: as a paint that is called so, a swatch, or as it was read. */
export function TargetForm({ target, onChange }: { target: Target; onChange: (target: Target) => void }) {
  return (
    <header>
      <h2 className="!text-title">{capital(target.name)}</h2>
      <div className="flex flex-wrap gap-x-3">
        <Adding label="Another colour">
          <div className="basis-full">
            <ChooseTarget onChange={onChange} />
          </div>
        </Adding>
        <Adding label="From a chart">
          <div className="basis-full">
            <Charts target={target.lab} onTake={onChange} />
          </div>
        </Adding>
        <Adding label="From a picture">
          <div className="mt-2 basis-full">
            <FromPicture
              onTake={({ lab, of, pieceId }) => onChange({ name: `As on the picture of ${of}`, lab, ...(pieceId ? { pieceId } : {}) })}
            />
          </div>
        </Adding>
      </div>
    </header>
  );
}

function ChooseTarget({ onChange }: { onChange: (target: Target) => void }) {
  const { facts } = usePlan();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const paints = facts.products.map((product) => ({ key: product.id, name: product.name, lab: product.lab }));
  const named: readonly NamedTarget[] = [...new Map([...wantedTargets(facts), ...paints].map((own) => [own.key, own])).values()];
  const read = (event: FormEvent) => {
    event.preventDefault();
    const answer = readColour(typed);
    if (!answer.ok) return setProblem(answer.mend);
    setProblem('');
    onChange({ name: `A colour like ${hexOf(answer.lab)}`, lab: answer.lab });
  };
  return (
    <div className="mt-2 space-y-3">
      <SwatchPicker chosen={[]} most={1} onChange={([hex]) => hex && onChange(paletteTarget(hex))} />
      <form className="flex flex-wrap items-end gap-3" onSubmit={read} noValidate>
        <label>
          <span className="second block text-small">as it was read, hex or L a b</span>
          <input
            className="field !min-h-10 !w-56 font-mono"
            value={typed}
            maxLength={40}
            placeholder="#e6dcc0 or 88; 0; 14"
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="submit" className="act !min-h-10">
          Take it
        </button>
        {named.length > 0 && (
          <label>
            <span className="second block text-small">or a paint by its name</span>
            <select
              className="field !min-h-10 !w-64"
              value=""
              onChange={(event) => {
                const own = named.find(({ key }) => key === event.target.value);
                if (own) onChange(own);
              }}
            >
              <option value="">choose one</option>
              {named.map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <FormProblem text={problem} />
      </form>
    </div>
  );
}
