import { type Part, standingZones } from '#core/facts/index';
import type { LayerView } from '#core/plan/index';
import { SmallSelect } from '../../../../views/fields/SmallField.tsx';

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
        <SmallSelect
          label="on which zone"
          width="!w-36"
          value={spot.zoneId}
          options={zones.map((zone) => ({ value: zone.id, label: zone.name }))}
          onChange={(zoneId) => onChange({ ...spot, zoneId })}
        />
      )}
      <SmallSelect
        label="after which layer"
        width="!w-48"
        value={spot.after ?? ''}
        options={[
          { value: '', label: 'none: before the first layer' },
          ...layers.map((layer) => ({ value: layer.layerId, label: layer.name })),
        ]}
        onChange={(after) => onChange({ ...spot, after: after || null })}
      />
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
