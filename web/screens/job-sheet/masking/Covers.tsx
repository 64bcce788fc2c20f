import { COVERS, type Cover, FEATURES_COVERED, type FeatureKind, type Part, type Piece, plain } from '#core/facts/index';
import { coversOf, usualCover } from '#core/masking/index';
import { parseNumber } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { newId } from '../../../app/writing/newId.ts';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { Why } from '../../../views/Why.tsx';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** What is near and must not take the coat: covered, plugged or wrapped before paint, amended by hand. */
export function Covers({ piece, part }: { piece: Piece; part: Part }) {
  const save = usePieceSave();
  const lines = coversOf(part, piece);
  const features = part.features ?? [];
  const keep = (changed: Part['features'], said: string) => void save(withPart(piece, part.id, { features: changed }), said);
  return (
    <FoldingSheet title="Cover and plug">
      {lines.length === 0 && <p className="second mt-1">Nothing is named: openings, hubs, works, what hangs near.</p>}
      <ul className="mt-1">
        {lines.map((line) => {
          const feature = features.find((own) => own.id === line.featureId);
          return (
            <li key={line.featureId ?? line.text} className="border-b border-hairline py-1.5">
              <span className="flex items-baseline justify-between gap-3">
                <span>{line.text}</span>
                <Why title="Minutes" text={`On and off, for all of them on one copy. Usual: ${line.cover}.`} source={line.source}>
                  <span className="figure whitespace-nowrap">{Math.max(1, Math.round(line.minutes))} min</span>
                </Why>
              </span>
              {feature && (
                <span className="flex items-center justify-end gap-2">
                  <MinutesEach
                    what={line.text}
                    minutes={line.minutes / feature.count}
                    onChange={(coverMinutes) =>
                      keep(
                        features.map((own) => (own === feature ? { ...own, coverMinutes } : own)),
                        'Your own minutes.',
                      )
                    }
                  />
                  <HowCovered
                    what={line.text}
                    cover={line.cover}
                    onChange={(cover) =>
                      keep(
                        features.map((own) => (own === feature ? { ...own, cover } : own)),
                        'Noted.',
                      )
                    }
                  />
                  <RemoveButton
                    what={line.text}
                    onRemove={() =>
                      keep(
                        features.filter((own) => own !== feature),
                        'It is out.',
                      )
                    }
                  />
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <AddCover onAdd={(kind, count) => keep([...features, { id: newId(), kind, count }], 'It is covered before paint.')} />
    </FoldingSheet>
  );
}

/** Minutes for one of them, as the person knows them. */
function MinutesEach({ what, minutes, onChange }: { what: string; minutes: number; onChange: (minutes: number) => void }) {
  return (
    <label className="second flex items-center gap-1 text-small">
      <input
        key={minutes}
        className="field !min-h-8 !w-16 text-right font-mono"
        inputMode="decimal"
        aria-label={`Minutes for one: ${what}`}
        defaultValue={Math.round(minutes * 100) / 100}
        onBlur={(event) => {
          const typed = parseNumber(event.target.value);
          if (typed === null || typed < 0 || typed > 120) {
            event.target.value = String(Math.round(minutes * 100) / 100);
            return void toast.error('Minutes for one: from 0 to 120.');
          }
          if (Math.abs(typed - minutes) > 0.005) onChange(typed);
        }}
      />
      min each
    </label>
  );
}

function HowCovered({ what, cover, onChange }: { what: string; cover: Cover; onChange: (cover: Cover) => void }) {
  return (
    <select
      className="field !min-h-8 !w-28 text-small"
      aria-label={`How: ${what}`}
      value={cover}
      onChange={(event) => onChange(event.target.value as Cover)}
    >
      {COVERS.map((own) => (
        <option key={own} value={own}>
          {plain(own)}
        </option>
      ))}
    </select>
  );
}

function AddCover({ onAdd }: { onAdd: (kind: FeatureKind, count: number) => void }) {
  const [kind, setKind] = useState<(typeof FEATURES_COVERED)[number]>('windows');
  const [count, setCount] = useState('1');
  const [problem, setProblem] = useState('');
  const send = () => {
    const many = Number(count);
    if (!Number.isInteger(many) || many < 1 || many > 2000) return setProblem('How many: a whole number from 1 to 2000.');
    setProblem('');
    onAdd(kind, many);
  };
  return (
    <SmallForm label="Add a cover" className="flex flex-wrap items-end gap-2" problem={problem} onSend={send}>
      <SmallField label="how many" width="!w-16 font-mono" inputMode="numeric" value={count} onText={setCount} />
      <SmallSelect
        label="what is covered"
        width="!w-40"
        value={kind}
        options={FEATURES_COVERED.map((value) => ({ value, label: usualCover(value)?.many ?? usualCover(value)?.one ?? plain(value) }))}
        onChange={setKind}
      />
      <button type="submit" className="act !min-h-10">
        Add
      </button>
    </SmallForm>
  );
}
