import { type Feature, FEATURES_KEYED, plain } from '#core/facts/index';
import { isCounted } from '#core/prep/index';
import { useState } from 'react';
import { SmallField } from '../../../../views/fields/SmallField.tsx';

const MOST = 500;

type Features = readonly Feature[];

/** What is keyed by hand: chosen by a press, counted where each is ticked by itself. What is covered stays as it is. */
export function KeyedFeatures({ features, onChange }: { features: Features; onChange: (features: Feature[]) => void }) {
  const known = (kind: string) => features.find((own) => own.kind === kind);
  const toggle = (kind: (typeof FEATURES_KEYED)[number]) =>
    onChange(known(kind) ? features.filter((own) => own.kind !== kind) : [...features, { id: kind, kind, count: 1 }]);
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap gap-2">
        {FEATURES_KEYED.map((kind) => (
          <button key={kind} type="button" className="chip !min-h-11" aria-pressed={known(kind) !== undefined} onClick={() => toggle(kind)}>
            {plain(kind)}
          </button>
        ))}
      </div>
      <div className="flex flex-wrap gap-3">
        {features
          .filter(({ kind }) => isCounted(kind))
          .map(({ kind, count: so }) => (
            <CountField
              key={kind}
              label={`how many ${plain(kind)}`}
              count={so}
              onCount={(next) => onChange(features.map((own) => (own.kind === kind ? { ...own, count: next } : own)))}
            />
          ))}
      </div>
    </div>
  );
}

/** A whole number, taken when the field is left; what is none is said and nothing changes. */
function CountField({ label, count, onCount }: { label: string; count: number; onCount: (count: number) => void }) {
  const [text, setText] = useState(String(count));
  const read = Number(text);
  const whole = text.trim() !== '' && Number.isInteger(read) && read >= 1 && read <= MOST;
  return (
    <div>
      <SmallField
        label={label}
        width="!w-36 font-mono"
        inputMode="numeric"
        value={text}
        aria-invalid={!whole}
        onText={setText}
        onBlur={() => whole && read !== count && onCount(read)}
      />
      {!whole && <p className="text-small font-[650]">A whole number from 1 to {MOST}.</p>}
    </div>
  );
}
