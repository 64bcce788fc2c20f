import { faceSchema, type Part, plain, PRINTING_STAYS, standingZones, withZone, type Zone } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';
import { hiddenApart, seenAndHidden } from '#core/zones/index';
import { parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { newId } from '../../../../app/writing/newId.ts';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { useWords } from '../../../../app/useWords.ts';

const REASONS = ['bearing', 'hinge', 'electrical contact', 'earth point', 'works oiled', 'mechanism', PRINTING_STAYS] as const;

type ZonesProps = {
  readonly part: Part;
  readonly onChange: (fields: Partial<Part>, said: string) => void;
};

/** Which faces are seen, which hidden, and which stay bare with the reason. */
export function ZonesOfPart({ part, onChange }: ZonesProps) {
  const words = useWords();
  const mixed = seenAndHidden(part);
  const apart = (of: Zone) =>
    onChange(
      hiddenApart(part, of.id, { id: newId(), name: 'Hidden faces' }),
      'They are a zone of their own: choose its layers under Coats.',
    );
  return (
    <section className="border-t border-hairline pt-3" aria-label="Faces">
      <h3 className="font-[650] text-ink">Faces</h3>
      <ul>
        {part.faces.map((face) => {
          const zone = part.zones.find((own) => own.id === face.zoneId);
          return (
            <li key={face.id} className="flex flex-wrap items-center gap-3 border-b border-hairline py-1.5">
              <span className="figure">
                {face.count} × {words.length(face.longMm)} × {words.length(face.shortMm)}
              </span>
              <span className="second">{zone?.name}</span>
              <span className="figure">{Math.round(areaMm2([face]) / 100)} cm²</span>
              <button
                type="button"
                className="chip ml-auto"
                aria-pressed={face.seen}
                onClick={() =>
                  onChange({ faces: part.faces.map((own) => (own.id === face.id ? { ...own, seen: !own.seen } : own)) }, 'Noted.')
                }
              >
                {face.seen ? 'seen' : 'hidden'}
              </button>
              <label className="flex items-center gap-2">
                <span className="second text-small">so many</span>
                <input
                  className="field !min-h-9 !w-16 font-mono"
                  inputMode="numeric"
                  aria-label={`How many faces of ${words.length(face.longMm)} by ${words.length(face.shortMm)}`}
                  defaultValue={face.count}
                  onBlur={(event) => {
                    const count = Number(event.target.value);
                    if (count === face.count) return;
                    const read = faceSchema.safeParse({ ...face, count });
                    if (!read.success) {
                      event.target.value = String(face.count);
                      return void toast.error(read.error.issues[0].message);
                    }
                    onChange(
                      { faces: part.faces.map((own) => (own.id === face.id ? read.data : own)) },
                      count === 1 ? 'One side only.' : 'Counted.',
                    );
                  }}
                />
              </label>
              {part.faces.length > 1 && (
                <RemoveButton
                  what={`the face of ${words.length(face.longMm)} by ${words.length(face.shortMm)}`}
                  onRemove={() => onChange({ faces: part.faces.filter((own) => own.id !== face.id) }, 'The face is out.')}
                />
              )}
            </li>
          );
        })}
      </ul>
      <AddFace part={part} onChange={onChange} />
      {mixed && (
        <button type="button" className="act mt-2 !min-h-10" onClick={() => apart(mixed)}>
          Give the hidden faces a film of their own
        </button>
      )}
      <ul className="mt-2 space-y-2">
        {standingZones(part).map((zone) => (
          <li key={zone.id} className="flex flex-wrap items-center gap-3">
            <span className="font-[650] text-ink">{zone.name}</span>
            <label className="flex items-center gap-2">
              <span className="second text-small">stays bare</span>
              <select
                className="field !min-h-10 !w-52"
                value={zone.bare ?? ''}
                onChange={(event) => {
                  const bare = event.target.value || undefined;
                  const { zones, cuts } = withZone(part, zone.id, ({ bare: _was, ...own }) => ({ ...own, ...(bare ? { bare } : {}) }));
                  onChange({ zones, ...(cuts ? { cuts } : {}) }, bare ? `${zone.name} stays bare: ${bare}.` : `${zone.name} is painted.`);
                }}
              >
                <option value="">no: it is painted</option>
                {[...new Set([...REASONS, ...(zone.bare ? [zone.bare] : [])])].map((reason) => (
                  <option key={reason} value={reason}>
                    {plain(reason)}
                  </option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Another face: its two sides, how many of it, and the zone it lies in. */
function AddFace({ part, onChange }: { part: Part; onChange: (fields: Partial<Part>, said: string) => void }) {
  const { workshop } = usePlan();
  const [typed, setTyped] = useState({ long: '', short: '', count: '1', zoneId: part.zones[0].id });
  const [problem, setProblem] = useState('');
  const add = () => {
    const [long, short] = [typed.long, typed.short].map((text) => parseQuantity(text, 'length', workshop.units.length));
    if (!long.ok) return setProblem(`Longer side: ${long.mend}`);
    if (!short.ok) return setProblem(`Shorter side: ${short.mend}`);
    const read = faceSchema.safeParse({
      id: newId(),
      zoneId: typed.zoneId,
      longMm: Math.max(long.value, short.value),
      shortMm: Math.min(long.value, short.value),
      count: Number(typed.count),
      seen: true,
    });
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    setTyped({ ...typed, long: '', short: '' });
    onChange({ faces: [...part.faces, read.data] }, 'A face added.');
  };
  const field = (label: string, key: 'long' | 'short' | 'count', width: string) => (
    <label>
      <span className="second block text-small">{label}</span>
      <input
        className={`field !min-h-9 font-mono ${width}`}
        value={typed[key]}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
      />
    </label>
  );
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      aria-label="Another face"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      {field('longer side', 'long', '!w-28')}
      {field('shorter side', 'short', '!w-28')}
      {field('how many', 'count', '!w-16')}
      {part.zones.length > 1 && (
        <select
          aria-label="Zone of the face"
          className="field !min-h-9 !w-36"
          value={typed.zoneId}
          onChange={(event) => setTyped({ ...typed, zoneId: event.target.value })}
        >
          {part.zones.map((zone) => (
            <option key={zone.id} value={zone.id}>
              {zone.name}
            </option>
          ))}
        </select>
      )}
      <button type="submit" className="act !min-h-9">
        Add a face
      </button>
      {problem && (
        <p role="alert" className="basis-full font-[650]">
          {problem}
        </p>
      )}
    </form>
  );
}
