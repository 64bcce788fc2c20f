import { type Part, standingZones } from '#core/facts/index';
import type { LayerView } from '#core/plan/index';

/** On which zone, and after which layer: what a detail and a decal have in common. */

export type Spot = { readonly zoneId: string; readonly after: string | null };

export function WhenAndWhere({
  part,
  layers,
  spot,
  onChange,
}: {
  part: Part;
  layers: readonly LayerView[];
  spot: Spot;
  onChange: (spot: Spot) => void;
}) {
  const zones = standingZones(part);
  return (
    <>
      {zones.length > 1 && (
        <label>
          <span className="second block text-small">on</span>
          <select
            className="field !min-h-10 !w-36"
            aria-label="On which zone"
            value={spot.zoneId}
            onChange={(event) => onChange({ ...spot, zoneId: event.target.value })}
          >
            {zones.map((zone) => (
              <option key={zone.id} value={zone.id}>
                {zone.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <label>
        <span className="second block text-small">after</span>
        <select
          className="field !min-h-10 !w-48"
          aria-label="After which layer"
          value={spot.after ?? ''}
          onChange={(event) => onChange({ ...spot, after: event.target.value || null })}
        >
          <option value="">nothing: on the bare part</option>
          {layers.map((layer) => (
            <option key={layer.layerId} value={layer.layerId}>
              {layer.name}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}

/** The last colour of a zone: where details and decals usually go, under the clear. */
export function usualSpot(part: Part, layers: readonly LayerView[]): Spot {
  const [zone] = standingZones(part).filter((own) => own.bare === undefined);
  const colour = layers.findLast(
    (layer) => (layer.role === 'colour' || layer.role === 'metallic') && layer.zoneIds.includes(zone?.id ?? ''),
  );
  return { zoneId: zone?.id ?? '', after: colour?.layerId ?? null };
}

/** How one sits, in words. */
export function SitsText({ verdict, because }: { verdict: 'sits' | 'care' | 'stop'; because: string }) {
  return (
    <span className={`block text-small ${verdict === 'sits' ? 'second' : 'text-ink'}`}>
      {verdict !== 'sits' && <strong>{verdict}: </strong>}
      {because}
    </span>
  );
}
