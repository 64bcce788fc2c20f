import { type Edge, type Face, type Facts, type LogEvent, type Part, type Piece, standingFor } from '#core/facts/index';
import { assembledPiece, type PaintedFace, paintedFaces } from '#core/survey/index';
import { type CutOpen, cutOpen, type Side } from './cutting.ts';
import { lengthMm, type Region, rootRegion } from './region.ts';

/**
 * A part with its cuts worked out: the zones that stand, their faces and the lines between them, as if they had been measured so.
 * Areas always add up to those measured. Layers that cover a zone cover all it was cut into.
 */
export function dividedPart(part: Part): Part {
  if (!part.cuts || part.cuts.length === 0) return part;
  const known = DIVIDED.get(part);
  if (known) return known;
  const divided = dividedAnew(part);
  DIVIDED.set(part, divided);
  return divided;
}

/** A part is divided once for as long as it stands. */
const DIVIDED = new WeakMap<Part, Part>();

/** A line with the side of each zone it lies on. */
export type SidedEdge = Edge & { readonly aSide: Side; readonly bSide: Side };
export type Dividing = { readonly regions: readonly Region[]; readonly lines: readonly SidedEdge[] };

/** Every zone there is or was with the faces it had, by the zones of the divided part: spraying all of it is spraying these. */
type Wholes = { readonly stored: Part; readonly faces: ReadonlyMap<string, readonly Face[]> };
const WHOLES = new WeakMap<Part['zones'], Wholes>();

function dividedAnew(part: Part): Part {
  const state = dividing(part);
  const { regions } = state;
  const lines = [...state.lines, ...nearPairs(state, part.edges)];
  const expand = (ids: readonly string[]) => [...new Set(ids.flatMap((id) => standingFor(part, id)))];
  const zones = regions.map(({ zone }) => zone);
  WHOLES.set(zones, { stored: part, faces: facesOfEach(part) });
  return {
    ...part,
    cuts: [],
    zones,
    faces: regions.flatMap(({ faces }) => faces) as Face[],
    edges: lines.map(({ aSide: _a, bSide: _b, ...edge }) => edge),
    layers: part.layers.map((layer) => (layer.covers === 'all' ? layer : { ...layer, covers: expand(layer.covers) })),
    ...(part.details ? { details: part.details.map((own) => ({ ...own, zoneId: standingFor(part, own.zoneId)[0] })) } : {}),
    ...(part.decals ? { decals: part.decals.map((own) => ({ ...own, zoneId: standingFor(part, own.zoneId)[0] })) } : {}),
  };
}

function facesOfEach(part: Part): Map<string, readonly Face[]> {
  const stages = [0, ...(part.cuts ?? []).map((_, index) => index + 1)];
  return new Map(stages.flatMap((upTo) => dividing(part, upTo).regions.map((region) => [region.zone.id, region.faces] as const)));
}

/**
 * Faces that a coat on these zones is sprayed over: where it covers all that a zone was cut into, that zone's own faces, for the
 * gun knows nothing of the cuts; elsewhere each stretch by itself. Bare zones get no paint.
 */
export function facesToPaint(part: Part, zoneIds: readonly string[]): PaintedFace[] {
  const whole = WHOLES.get(part.zones);
  if (!whole) return paintedFaces(part, zoneIds);
  const { stored, faces } = whole;
  const painted = new Set(part.zones.filter((zone) => zone.bare === undefined && zoneIds.includes(zone.id)).map((zone) => zone.id));
  const under = (zoneId: string): readonly Face[] => {
    const standing = standingFor(stored, zoneId);
    if (standing.every((id) => painted.has(id))) return (faces.get(zoneId) ?? []).map((face) => ({ ...face, zoneId }));
    const cut = stored.cuts?.find((own) => own.of === zoneId && own.merged !== true);
    return cut ? cut.into.flatMap((zone) => under(zone.id)) : [];
  };
  const covered = stored.zones.flatMap((zone) => under(zone.id));
  const zones = [...new Set(covered.map((face) => face.zoneId))].map((id) => ({ id, name: id }));
  return paintedFaces({ ...part, zones, faces: [...covered] }, 'all');
}

/** Zones of a divided part that are sprayed in the first of two positions: the part lies on them for the second. */
export function backZones(part: Part): ReadonlySet<string> {
  const stored = WHOLES.get(part.zones)?.stored;
  const flips = (stored?.cuts ?? []).filter((cut) => cut.how === 'flip' && cut.merged !== true);
  return new Set(stored ? flips.flatMap((cut) => standingFor(stored, cut.into[1].id)) : []);
}

/** How long and how tall a standing zone is, mm. */
export function zoneSize(part: Part, zoneId: string): { readonly longMm: number; readonly tallMm: number } {
  const region = dividing(part).regions.find(({ zone }) => zone.id === zoneId);
  return region ? { longMm: lengthMm(region), tallMm: region.tallMm } : { longMm: 0, tallMm: 0 };
}

/** Regions and sided lines of a part after its first `upTo` cuts; absent: after all. */
export function dividing(part: Part, upTo: number = Number.POSITIVE_INFINITY): Dividing {
  const roots = part.zones.map((zone) =>
    rootRegion(
      zone,
      part.faces.filter((face) => face.zoneId === zone.id),
    ),
  );
  const start: Dividing = { regions: roots, lines: corrected([], part.edges, roots) };
  return (part.cuts ?? []).slice(0, upTo).reduce<Dividing>((state, cut) => {
    const region = cut.merged === true ? undefined : state.regions.find(({ zone }) => zone.id === cut.of);
    if (!region) return state;
    const open = cutOpen(region, cut);
    const regions = state.regions.flatMap((own) => (own === region ? open.regions : [own]));
    const lines = [...state.lines.flatMap((line) => inherited(line, cut.of, open)), ...newLines(open, cut.numbers.mm, cut.numbers.fromMm)];
    return { regions, lines: corrected(lines, part.edges, regions) };
  }, start);
}

/** A line of the zone that was cut goes to those of its new zones that lie on that side. */
function inherited(line: SidedEdge, zoneId: string, open: CutOpen): SidedEdge[] {
  if (line.a !== zoneId && line.b !== zoneId) return [line];
  const side = line.a === zoneId ? line.aSide : line.bSide;
  return open.heirs(side).map(([place, share]) => {
    const id = open.regions[place].zone.id;
    return { ...line, ...(line.a === zoneId ? { a: id } : { b: id }), mm: line.mm * share };
  });
}

/** Lines are set out by the lower edge of the zone where a height was given. */
function newLines(open: CutOpen, mm: number | undefined, fromMm: number | undefined): SidedEdge[] {
  const height = open.lines.length === 2 ? [(fromMm ?? 0) + (mm ?? 0), fromMm] : [mm];
  return open.lines.map(({ a, b, ...line }, index) => ({
    ...line,
    a: open.regions[a].zone.id,
    b: open.regions[b].zone.id,
    ...(line.aSide === 'bottom' && height[index] ? { runs: `${Math.round(height[index] * 10) / 10} mm above the lower edge` } : {}),
  }));
}

/** Lines between zones that stand, as the person measured or corrected them; 0 mm: they do not meet. */
function corrected(lines: readonly SidedEdge[], edges: readonly Edge[], regions: readonly Region[]): SidedEdge[] {
  const stands = new Set(regions.map(({ zone }) => zone.id));
  const said = edges.filter(({ a, b }) => stands.has(a) && stands.has(b));
  const isOf = (edge: Pick<Edge, 'a' | 'b'>, line: Pick<Edge, 'a' | 'b'>) =>
    (edge.a === line.a && edge.b === line.b) || (edge.a === line.b && edge.b === line.a);
  const kept = lines.map((line) => {
    const own = said.find((edge) => isOf(edge, line));
    return own ? { ...line, ...own, a: line.a, b: line.b } : line;
  });
  const added = said
    .filter((edge) => !lines.some((line) => isOf(edge, line)))
    .map((edge): SidedEdge => ({ ...edge, aSide: 'outer', bSide: 'outer' }));
  return [...kept, ...added].filter(({ mm }) => mm > 0);
}

/** Overspray carries so far past a narrow zone under tape, mm. */
const REACH_MM = 30;

/**
 * Zones that do not touch but lie so near, with a narrow band between, that overspray reaches over it: a line of 0 mm between
 * them, which takes a cover and no tape. The person may say that it does not reach.
 */
function nearPairs({ regions, lines }: Dividing, said: readonly Edge[]): SidedEdge[] {
  const beside = (id: string, side: Side) =>
    lines.flatMap((line) => (line.a === id && line.aSide === side ? [line.b] : line.b === id && line.bSide === side ? [line.a] : []));
  const met = new Set([...lines, ...said].flatMap(({ a, b }) => [`${a} ${b}`, `${b} ${a}`]));
  return regions
    .filter(({ tallMm }) => tallMm < REACH_MM)
    .flatMap(({ zone }) => beside(zone.id, 'top').flatMap((a) => beside(zone.id, 'bottom').map((b) => ({ a, b }))))
    .filter(({ a, b }) => a !== b && !met.has(`${a} ${b}`))
    .map(({ a, b }) => ({ a, b, mm: 0, curve: 'straight', aSide: 'bottom', bSide: 'top' }));
}

/** All facts as they are planned: what the factory sprayed as one goes on before its paint, every part divided and the log told of the zones that stand: what was laid on a zone lies on all it became. */
export function dividedFacts(facts: Facts): Facts {
  const cut = new Map(
    facts.pieces.flatMap((piece) => piece.parts.flatMap((part) => (part.cuts?.length ? [[`${piece.id} ${part.id}`, part] as const] : []))),
  );
  const pieces = facts.pieces.map(assembledPiece);
  if (cut.size === 0) return pieces.every((piece, index) => piece === facts.pieces[index]) ? facts : { ...facts, pieces };
  return { ...facts, pieces: pieces.map(dividedPiece), events: facts.events.flatMap((event) => toldOfZones(event, cut)) };
}

export function dividedPiece(piece: Piece): Piece {
  return piece.parts.some((part) => part.cuts?.length) ? { ...piece, parts: piece.parts.map(dividedPart) } : piece;
}

function toldOfZones(event: LogEvent, cut: ReadonlyMap<string, Part>): LogEvent[] {
  if (event.kind === 'done') {
    if (!event.on.some(({ partId }) => cut.has(`${event.pieceId} ${partId}`))) return [event];
    return [
      {
        ...event,
        on: event.on.map((own) => {
          const part = cut.get(`${event.pieceId} ${own.partId}`);
          return part ? { ...own, zoneIds: [...new Set(own.zoneIds.flatMap((id) => standingFor(part, id)))] } : own;
        }),
      },
    ];
  }
  if (event.kind !== 'dryness') return [event];
  const part = cut.get(`${event.pieceId} ${event.partId}`);
  return part ? standingFor(part, event.zoneId).map((zoneId) => ({ ...event, zoneId })) : [event];
}
