import type { DryingClocks } from '#core/drying/index';
import type { Part } from '#core/facts/index';
import { maskMinutes } from '#core/masking/index';
import type { PartFilms, PartGroup, PlacedLayer } from '../films/index.ts';
import type { StepChain } from './chain.ts';
import { onceReached } from './gaps.ts';

const TAPE_PRICE_A_METRE = 20;

/** Zones kept under tape while a layer goes on beside them, by place, and the edges between. */
export type Keepers = { readonly zones: readonly number[]; readonly edges: Part['edges'] };

/** Zones coloured before that touch this layer's zones: they are kept under tape. */
export function keepersOf(lead: Part, placed: PlacedLayer, all: readonly PlacedLayer[]): Keepers {
  if (placed.zones.length === lead.zones.filter((zone) => zone.bare === undefined).length) return { zones: [], edges: [] };
  const earlier = all
    .slice(0, all.indexOf(placed))
    .filter((layer) => layer.resolved.role !== 'clear' && !layer.zones.some((zone) => placed.zones.includes(zone)));
  const coloured = new Set(earlier.flatMap((layer) => layer.zones));
  const place = (id: string) => lead.zones.findIndex((zone) => zone.id === id);
  const edges = lead.edges.filter(
    (edge) =>
      (coloured.has(place(edge.a)) && placed.zones.includes(place(edge.b))) ||
      (coloured.has(place(edge.b)) && placed.zones.includes(place(edge.a))),
  );
  const zones = [...new Set(edges.flatMap((edge) => [place(edge.a), place(edge.b)]).filter((zone) => coloured.has(zone)))];
  return { zones, edges };
}

type MaskedPart = {
  readonly chain: StepChain;
  readonly group: PartGroup;
  readonly films: PartFilms;
  readonly clocks: DryingClocks;
};

/** Masks the keepers of a layer, once their top films are tape-safe. */
export function addMask(
  { chain, group, films, clocks }: MaskedPart,
  placed: PlacedLayer,
  keepers: Keepers,
  areaCm2: number,
  because: string,
): void {
  if (keepers.zones.length === 0) return;
  const minutes = maskMinutes(keepers.edges, areaCm2);
  const copies = group.parts.reduce((sum, part) => sum + part.copies, 0);
  const millimetres = keepers.edges.reduce((sum, edge) => sum + edge.mm, 0) * copies;
  const tops = keepers.zones.flatMap((zone) => films.on(zone).slice(-1));
  chain.add(
    {
      stage: 'mask',
      layerIndex: placed.index,
      zones: keepers.zones,
      title: `Mask ${keepers.zones.map((zone) => group.lead.zones[zone].name.toLowerCase()).join(' and ')}`,
      minutes: (minutes.mask + minutes.cover) * copies,
      detail: [
        `fine line 3 mm, ${Math.round(millimetres)} mm and 15 % spare; burnish, seal the edge`,
        ...keepers.edges.flatMap((edge) => (edge.runs ? [`it runs ${edge.runs}`] : [])),
      ].join('; '),
      because,
      consumables: (millimetres / 1000) * 1.15 * TAPE_PRICE_A_METRE + 10,
    },
    tops.map((film) => onceReached(film, 'tape', clocks, `the ${film.name} must be tape-safe`)),
  );
}
