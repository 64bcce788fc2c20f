import { type Part, plain } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';
import { newId } from '../../../app/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';

const REASONS = ['bearing', 'hinge', 'electrical contact', 'earth point', 'works oiled', 'mechanism', 'printing stays'] as const;

/** Which faces are seen, which hidden, and which stay bare with the reason. */
export function ZonesOfPart({ part, onChange }: { part: Part; onChange: (fields: Partial<Part>, said: string) => void }) {
  const words = useWords();
  const zoneOfHidden = part.faces.find((face) => !face.seen)?.zoneId;
  const mixed = zoneOfHidden !== undefined && part.faces.some((face) => face.seen && face.zoneId === zoneOfHidden);
  const apart = () => {
    const zone = { id: newId(), name: 'Hidden faces' };
    onChange(
      {
        zones: [...part.zones, zone],
        faces: part.faces.map((face) => (face.seen ? face : { ...face, zoneId: zone.id })),
      },
      'They are a zone of their own: choose its layers under Coats.',
    );
  };
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
            </li>
          );
        })}
      </ul>
      {part.edges.map((edge, index) => (
        <label key={`${edge.a}${edge.b}`} className="mt-2 flex flex-wrap items-center gap-3">
          <span>
            {zoneName(part, edge.a)} meets {zoneName(part, edge.b)}, {words.length(edge.mm)}: it runs
          </span>
          <input
            className="field !min-h-9 !w-64"
            defaultValue={edge.runs ?? ''}
            maxLength={120}
            placeholder="18 mm above the sill"
            onBlur={(event) => {
              const runs = event.target.value.trim();
              if (runs === (edge.runs ?? '')) return;
              onChange(
                { edges: part.edges.map((own, at) => (at === index ? { ...own, runs: runs || undefined } : own)) },
                'Noted: the mask is set out by it.',
              );
            }}
          />
        </label>
      ))}
      {mixed && (
        <button type="button" className="act mt-2 !min-h-10" onClick={apart}>
          Give the hidden faces a film of their own
        </button>
      )}
      <ul className="mt-2 space-y-2">
        {part.zones.map((zone) => (
          <li key={zone.id} className="flex flex-wrap items-center gap-3">
            <span className="font-[650] text-ink">{zone.name}</span>
            <label className="flex items-center gap-2">
              <span className="second text-small">stays bare</span>
              <select
                className="field !min-h-10 !w-52"
                value={zone.bare ?? ''}
                onChange={(event) => {
                  const bare = event.target.value || undefined;
                  onChange(
                    {
                      zones: part.zones.map(({ bare: was, ...own }) =>
                        own.id === zone.id ? { ...own, ...(bare ? { bare } : {}) } : { ...own, ...(was ? { bare: was } : {}) },
                      ),
                    },
                    bare ? `${zone.name} stays bare: ${bare}.` : `${zone.name} is painted.`,
                  );
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

function zoneName(part: Part, id: string): string {
  return part.zones.find((zone) => zone.id === id)?.name ?? id;
}
