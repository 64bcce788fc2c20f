import type { Part } from '#core/facts/index';
import { type CoverLine, coversOf, maskMinutes, tapesFor } from '#core/masking/index';
import { areaMm2 } from '#core/survey/index';
import { listed, plural } from '#core/units/index';
import type { PartFilms, PlacedLayer, Ref } from '../../films/index.ts';
import { LONGEST_SITTING, type StepChain } from '../chain.ts';
import { onceReached } from '../constraints.ts';

/** Tape and covers: what stays bare, and colours that are done while another goes on beside them. */

/** Tape is cut with so much to spare. */
const SPARE = 1.15;
/** Of a mask's minutes, what masks of one treatment share: laying out tape, knife and paper. */
const MASK_SETUP = 2;

/** Zones kept under tape while a layer goes on beside them, by place, and the edges between. */
export type Keepers = { readonly zones: readonly number[]; readonly edges: Part['edges'] };

/**
 * A mask is needed wherever a coat for some zones is sprayed while a zone in reach must not take it, whatever lies below. A zone
 * that a later colour covers may take overspray; one that has its last colour may not (trade §9).
 */
export function keepersOf(part: Part, placed: PlacedLayer, all: readonly PlacedLayer[]): Keepers {
  // A brush throws no overspray.
  if (placed.resolved.hand === 'brush') return { zones: [], edges: [] };
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
  const minutes = maskMinutes(
    keepers.edges,
    keepers.zones.map((zone) => areaMm2(covered.filter((face) => face.zoneId === part.zones[zone].id)) / 100),
  );
  const tapes = tapesFor(keepers.edges).map(({ widthMm, mm }) => ({ spec: `fine line ${widthMm} mm`, mm: mm * part.copies }));
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
        `${listed(tapes.map(({ spec, mm }) => `${spec}, ${Math.round(mm)} mm`))} and 15 % spare; burnish, seal the edge`,
        ...keepers.edges.flatMap((edge) => (edge.runs ? [`it runs ${edge.runs}`] : [])),
        ...runningOn(chain, keepers.edges),
        ...((minutes.mask + minutes.cover) * part.copies > LONGEST_SITTING ? ['cover first, the line edge last'] : []),
      ].join('; '),
      because,
      supplies: [
        ...tapes.map(({ spec, mm }) => ({ kind: 'tape' as const, spec, unit: 'm' as const, amount: (mm / 1000) * SPARE })),
        { kind: 'cover', spec: 'masking paper', unit: 'm', amount: (Math.sqrt(areaMm2(covered)) / 1000) * part.copies * SPARE },
      ],
      treatment: `mask ${names} ${placed.resolved.mix}`,
    },
    tops.map((film) => onceReached(film, 'tape', `the ${film.name} must be tape-safe`)),
  );
}

/** A line that runs on over another part is marked with both mounted. */
function runningOn({ of: { piece } }: StepChain, edges: Part['edges']): string[] {
  const names = edges.flatMap((edge) => piece.parts.find((part) => part.id === edge.runsOnTo)?.name ?? []);
  return names.length === 0 ? [] : [`marked with ${listed([...new Set(names)])} mounted: the line runs on there`];
}

/** What is kept free of paint through all coats: zones that stay bare, parts masked where they sit, openings and works. */
export type KeptFree = { readonly places: readonly string[]; readonly covers: readonly CoverLine[] };

export function keptFree(chain: StepChain): KeptFree {
  const { piece, part } = chain.of;
  const zones = part.zones.flatMap((zone) => (zone.bare === undefined ? [] : [`${zone.name}: ${zone.bare}`]));
  const inPlace = piece.parts.filter((own) => own.maskedInPlace && own.within === part.id).map((own) => `${own.name}: masked in place`);
  return { places: [...zones, ...inPlace], covers: coversOf(part, piece) };
}

export function keepsAny({ places, covers }: KeptFree): boolean {
  return places.length + covers.length > 0;
}

const KEEP_FREE_MINUTES = 3;
/** Low-tack tape for a place or a taped opening, and liquid mask for a grille. */
const TAPE_A_PLACE_M = 0.3;
const LIQUID_MASK_ML = 5;

export function addBareMask(chain: StepChain, { places, covers }: KeptFree): void {
  const { part } = chain.of;
  const copies = part.copies;
  const taped = places.length + covers.filter(({ cover }) => cover === 'tape' || cover === 'wrap').length;
  const liquid = covers.filter(({ cover }) => cover === 'liquid-mask').length;
  chain.add({
    stage: 'mask',
    subject: 'bare',
    // It stays through all coats: plugs, paper over low tack, liquid mask; plain tape would stay its day (trade §9).
    acts: ['cover'],
    title: places.length > 0 ? 'Mask what takes no paint' : 'Cover and plug',
    minutes: (KEEP_FREE_MINUTES * places.length + covers.reduce((sum, { minutes }) => sum + minutes, 0)) * copies,
    setup: 2,
    detail: [
      ...places,
      ...covers.map(({ text }) => text),
      ...(places.length > 0 ? ['papered over low-tack tape; its edge anew after a day'] : []),
    ].join('; '),
    because: `Paint here would bind, insulate or flake: ${places.length + covers.length} ${plural(places.length + covers.length, 'place')}${copies > 1 ? ' on each copy' : ''}.`,
    supplies: [
      ...(taped > 0
        ? [{ kind: 'tape' as const, spec: 'low tack 18 mm', unit: 'm' as const, amount: TAPE_A_PLACE_M * taped * copies }]
        : []),
      ...(liquid > 0
        ? [{ kind: 'cover' as const, spec: 'liquid mask', unit: 'mL' as const, amount: LIQUID_MASK_ML * liquid * copies }]
        : []),
    ],
    treatment: 'mask what takes no paint',
  });
}
