import { coatsForColour, resolveLayer } from '#core/coats/index';
import { labOf } from '#core/colour/index';
import type { Layer, Part } from '#core/facts/index';
import { type Division, DIVISIONS, dividePart } from '#core/masking/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { newId } from '../../app/newId.ts';
import { colourName } from '../../views/SwatchPicker.tsx';

/** Drawn divisions to start a second colour from; lengths come from the part's own faces. */
export function Divide({ part, swatches, onDivide }: { part: Part; swatches: readonly string[]; onDivide: (part: Part) => void }) {
  const { facts } = usePlan();
  const colourAt = part.layers.findIndex((layer) => resolveLayer(layer, facts).role === 'colour');
  const divide = (division: Division) => {
    const divided = dividePart(part, division, newId);
    const [first, second] = divided.zones;
    const own = part.layers[colourAt];
    const hex = swatches.find((swatch) => colourName(swatch) !== (own?.wanted?.name ?? '')) ?? '#1e1f20';
    const resolved = own ? resolveLayer(own, facts) : null;
    const lab = labOf(hex);
    const ground = colourAt > 0 ? resolveLayer(part.layers[colourAt - 1], facts).lab : { l: 62, a: 0, b: 0 };
    const other: Layer = {
      id: newId(),
      wanted: { family: resolved?.family ?? 'acrylic-lacquer', role: 'colour', name: colourName(hex), lab },
      coats: coatsForColour(ground, lab),
      covers: [second.id],
    };
    const layers = own
      ? [...part.layers.slice(0, colourAt), { ...own, covers: [first.id] }, other, ...part.layers.slice(colourAt + 1)]
      : [...part.layers, other];
    onDivide({ ...part, ...divided, layers });
  };
  return (
    <ul className="mt-3 grid grid-cols-3 gap-4">
      {DIVISIONS.map(({ division, name, zones }) => (
        <li key={division}>
          <button type="button" className="chip w-full !flex-col !gap-2 !p-3" onClick={() => divide(division)}>
            <svg viewBox="0 0 120 64" className="h-16 w-full" aria-hidden="true">
              <rect x="2" y="2" width="116" height="60" fill="#c8c8c8" stroke="#1c1c1c" />
              {division === 'waist' && <rect x="2" y="32" width="116" height="30" fill="#6a6a6a" stroke="#1c1c1c" />}
              {division === 'ends' && <rect x="60" y="2" width="58" height="60" fill="#6a6a6a" stroke="#1c1c1c" />}
              {division === 'patch' && <rect x="38" y="18" width="44" height="28" rx="8" fill="#6a6a6a" stroke="#1c1c1c" />}
            </svg>
            <span className="font-[650]">{name}</span>
            <span className="second text-small">
              {zones[0].toLowerCase()} and {zones[1].toLowerCase()}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
