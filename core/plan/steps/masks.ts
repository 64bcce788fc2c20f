import type { Part } from '#core/facts/index';
import { maskMinutes } from '#core/masking/index';
import { areaMm2 } from '#core/survey/index';
import { listed, plural } from '#core/units/index';
import type { PartFilms, PlacedLayer, Ref } from '../films/index.ts';
import type { StepChain } from './chain.ts';
import { onceReached } from './constraints.ts';

/** Tape and covers: what stays bare, and colours that are done while another goes on beside them. */

/** Tape is cut with so much to spare. */
const SPARE = 1.15;
/** Of a mask's minutes, what masks of one treatment share: laying out tape, knife and paper. */
const MASK_SETUP = 2;

/** Zones kept under tape while a layer goes on beside them, by place, and the edges between. */
export type Keepers = { readonly zones: readonly number[]; readonly edges: Part['edges'] };

/**
 * A mask is needed wherever a coat for some zones is sprayed while a zone in reach must not take it, whatever lies below. A zone
 * that a later colour covers may take overspray; one that has its last colour may not (BRIEF §9).
 */
export function keepersOf(part: Part, placed: PlacedLayer, all: readonly PlacedLayer[]): Keepers {
  const at = all.indexOf(placed);
  const isColour = ({ resolved }: PlacedLayer) => resolved.role === 'colour' || resolved.role === 'metallic';
  const coloured = (zone: number) => all.slice(0, at).some((layer) => isColour(layer) && layer.zones.includes(zone));
  const coveredLater = (zone: number) => all.slice(at + 1).some((layer) => isColour(layer) && layer.zones.includes(zone));
  const finished = (zone: number) =>
    !placed.zones.includes(zone) &&
    part.zones[zone].bare === undefined &&
    (placed.closed === true || (coloured(zone) && !coveredLater(zone)));
  const place = (id: string) => part.zones.findIndex((zone) => zone.id === id);
  const edges = part.edges.filter(({ a, b }) => {
    const [one, other] = [place(a), place(b)];
    return (finished(one) && placed.zones.includes(other)) || (finished(other) && placed.zones.includes(one));
  });
  const zones = [...new Set(edges.flatMap((edge) => [place(edge.a), place(edge.b)]).filter(finished))];
  return { zones, edges };
}

/** Masks the keepers of a layer, once their top films are tape-safe. */
export function addMask(chain: StepChain, films: PartFilms, placed: PlacedLayer, keepers: Keepers, because: string): Ref | null {
  if (keepers.zones.length === 0) return null;
  const { part } = chain.of;
  const covered = part.faces.filter((face) => keepers.zones.some((zone) => part.zones[zone].id === face.zoneId));
  const minutes = maskMinutes(keepers.edges, areaMm2(covered) / 100);
  const millimetres = keepers.edges.reduce((sum, edge) => sum + edge.mm, 0) * part.copies;
  const tops = keepers.zones.flatMap((zone) => films.on(zone).slice(-1));
  const names = listed(keepers.zones.map((zone) => part.zones[zone].name.toLowerCase()));
  return chain.add(
    {
      stage: 'mask',
      layerIndex: placed.index,
      zones: keepers.zones,
      title: `Mask ${names}`,
      minutes: (minutes.mask + minutes.cover) * part.copies - MASK_SETUP,
      setup: MASK_SETUP,
      detail: [
        `fine line 3 mm, ${Math.round(millimetres)} mm and 15 % spare; burnish, seal the edge`,
        ...keepers.edges.flatMap((edge) => (edge.runs ? [`it runs ${edge.runs}`] : [])),
      ].join('; '),
      because,
      supplies: [
        { kind: 'tape', spec: 'fine line 3 mm', unit: 'm', amount: (millimetres / 1000) * SPARE },
        { kind: 'cover', spec: 'masking paper', unit: 'm', amount: (Math.sqrt(areaMm2(covered)) / 1000) * part.copies * SPARE },
      ],
      treatment: `mask ${names} ${placed.resolved.mix}`,
    },
    tops.map((film) => onceReached(film, 'tape', `the ${film.name} must be tape-safe`)),
  );
}

/** Zones that stay bare, and fragile parts that are masked where they sit, in words. */
export function keptFree(chain: StepChain): string[] {
  const { piece, part } = chain.of;
  const zones = part.zones.flatMap((zone) => (zone.bare === undefined ? [] : [`${zone.name}: ${zone.bare}`]));
  const inPlace = piece.parts.filter((own) => own.maskedInPlace && own.within === part.id).map((own) => `${own.name}: masked in place`);
  return [...zones, ...inPlace];
}

const KEEP_FREE_MINUTES = 3;

export function addBareMask(chain: StepChain, kept: readonly string[]): void {
  const { part } = chain.of;
  const copies = part.copies;
  chain.add({
    stage: 'mask',
    subject: 'bare',
    title: 'Mask what takes no paint',
    minutes: KEEP_FREE_MINUTES * kept.length * copies,
    setup: 2,
    detail: kept.join('; '),
    because: `Paint here would bind, insulate or flake: ${kept.length} ${plural(kept.length, 'place')}${copies > 1 ? ' on each copy' : ''}.`,
    supplies: [{ kind: 'tape', spec: 'low tack 18 mm', unit: 'm', amount: 0.3 * kept.length * copies }],
    treatment: 'mask what takes no paint',
  });
}
