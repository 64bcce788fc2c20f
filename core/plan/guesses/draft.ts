import { resolveLayer, readySystems, type SystemKind } from '#core/coats/index';
import { type NamedColour, namedColour } from '#core/colour/index';
import type { Aim, Budget, DoneEvent, Edge, Face, Hand, LaidCoat, Layer, LooksLike, Part, Piece, Zone } from '#core/facts/index';
import { EMPTY_FACTS } from '#core/facts/index';
import { type PartDraft, TEMPLATES } from '#core/survey/index';
import { type Minute, toIso } from '#core/units/index';
import { laidFlat } from '#core/zones/index';
import { coatKey } from '../steps/index.ts';

/** A whole piece drafted from the few answers of quick-add: parts, faces, zones with edges, layers and past, every guess marked. */

export type WhereNow = 'untouched' | 'bare' | 'primed' | 'coloured' | 'cleared';

/** The product a part was last coated with. */
export type LastCoat = Pick<LaidCoat, 'name' | 'family' | 'role' | 'lab'> & { readonly productId: string };

export type QuickAnswers = {
  readonly name: string;
  readonly looksLike: LooksLike;
  readonly longestMm: number;
  readonly colours: readonly { readonly name: string; readonly hex: string }[];
  readonly aim: Aim;
  readonly whereNow: WhereNow;
  /** When the last coat of what is done already went on; needed from *primed* on, and never invented. */
  readonly since?: Minute;
  /** The last coat may have gone on as early as this: only two days are known it lies between. */
  readonly sinceEarliest?: Minute;
  /** What that last coat was of; absent: as the draft plans it. */
  readonly lastCoat?: LastCoat;
  readonly scale?: number;
  readonly budget?: number;
  readonly neededBy?: string;
  readonly system?: SystemKind;
};

export type Drafted = { readonly piece: Piece; readonly events: readonly DoneEvent[]; readonly budget: Budget | null };

const ORDER: readonly WhereNow[] = ['untouched', 'bare', 'primed', 'coloured', 'cleared'];
/** What stands for a colour nobody has named yet: a mid grey, marked as a guess. */
const NO_COLOUR = { name: 'grey', hex: '#8c9094' } as const;
/** Layers below the last one lie at least this much further back, minutes: when they went on no longer matters. */
export const LAYER_APART = 1440;
export const COAT_APART = 15;
const FIRST_PEG = 1;
const MOST_PEGS = 40;

/** `newId` gives a fresh id each call; `pegsTaken` are tags in use. */
export function draftPiece(
  answers: QuickAnswers,
  now: Minute,
  hands: readonly Hand[],
  newId: () => string,
  pegsTaken: readonly number[],
  placeId: string,
): Drafted {
  const parts: Part[] = [];
  const guesses: string[] = ['lead'];
  let pegs = pegsTaken;
  const drafts = TEMPLATES[answers.looksLike](answers.longestMm);
  for (const draft of drafts) {
    const peg = freePeg(pegs);
    if (peg !== null) pegs = [...pegs, peg];
    const part = laidFlat(draftPart(draft, coloursOf(draft, drafts, answers), answers, newId, peg), newId, toIso(now));
    parts.push(part);
    guesses.push(`material:${part.id}`, `size:${part.id}`);
    if (answers.whereNow === 'untouched' && part.zones.some((zone) => zone.bare === undefined)) guesses.push(`finish:${part.id}`);
    if (part.layers.length > 0) guesses.push(`coats:${part.id}`);
  }
  const piece: Piece = {
    id: newId(),
    name: answers.name,
    looksLike: answers.looksLike,
    longestMm: answers.longestMm,
    aim: answers.aim,
    createdAt: toIso(now),
    leadExcluded: false,
    mains: false,
    parts,
    guesses,
    swatches: answers.colours.map((colour) => colour.hex),
    finished: false,
    parcels: [],
    ...(answers.scale ? { scale: answers.scale } : {}),
    ...(answers.neededBy ? { neededBy: answers.neededBy } : {}),
  };
  const { budget: amount } = answers;
  return {
    piece,
    events: recalledEvents(piece, answers, hands, newId, placeId),
    budget: amount === undefined ? null : { id: newId(), pieceIds: [piece.id], amount },
  };
}

function freePeg(taken: readonly number[]): number | null {
  for (let peg = FIRST_PEG; peg <= MOST_PEGS; peg++) if (!taken.includes(peg)) return peg;
  return null;
}

/** The main part takes two colours and the others the last; a part that has nobody to give it to takes all of them. */
function coloursOf(draft: PartDraft, drafts: readonly PartDraft[], { colours }: QuickAnswers): NamedColours {
  const named = colours.length > 0 ? colours : [NO_COLOUR];
  if (!draft.main) return named.slice(-1);
  return drafts.some((other) => !other.main && !other.bare) ? named.slice(0, 2) : named;
}

type NamedColours = readonly { readonly name: string; readonly hex: string }[];

/** Zones of a part, top to bottom, by how many colours it takes. */
const ZONE_NAMES: readonly (readonly string[])[] = [['All over'], ['Upper', 'Lower'], ['Upper', 'Middle', 'Lower']];

function draftPart(draft: PartDraft, colours: NamedColours, answers: QuickAnswers, newId: () => string, peg: number | null): Part {
  const names = ZONE_NAMES[draft.main ? Math.min(colours.length, ZONE_NAMES.length) - 1 : 0];
  const zones = names.map((name): Zone => ({ id: newId(), name, ...(draft.bare ? { bare: draft.bare } : {}) }));
  const faces: Face[] = draft.faces.flatMap((face) => {
    if (zones.length === 1) return [{ ...face, id: newId(), zoneId: zones[0].id }];
    const slice = { ...face, shortMm: Math.max(0.1, Math.round((face.shortMm * 10) / zones.length) / 10) };
    return zones.map(({ id }) => ({ ...slice, id: newId(), zoneId: id }));
  });
  const mm = Math.min(5000, Math.round(2.8 * answers.longestMm));
  const edges = zones.slice(1).map((zone, index): Edge => ({ a: zones[index].id, b: zone.id, mm, curve: 'gentle' }));
  return {
    id: newId(),
    name: draft.name,
    material: draft.material,
    copies: draft.copies,
    finish: answers.whereNow === 'untouched' && !draft.unpainted ? 'unknown' : 'bare',
    printed: false,
    staysClear: draft.staysClear ?? false,
    ...(draft.surface ? { surface: draft.surface } : {}),
    zones,
    faces,
    edges,
    pegs: peg === null ? [] : [peg],
    layers: draft.bare ? [] : draftLayers(draft, colours, answers, zones, newId),
  };
}

function draftLayers(draft: PartDraft, named: NamedColours, answers: QuickAnswers, zones: readonly Zone[], newId: () => string): Layer[] {
  // What is preserved is not painted; colours that were named are kept for the day its aim is another.
  if (answers.aim === 'preserve' && answers.colours.length === 0) return [];
  const colours = named.map((colour, index) => ({
    ...namedColour(colour.hex),
    name: colour.name,
    covers: zones.length > 1 ? [zones[index].id] : ('all' as const),
  }));
  return systemFor(answers.system ?? systemForAim(answers.aim), draft.material, colours).map((layer) => ({ ...layer, id: newId() }));
}

/** A usable system for an aim: what is only to serve is cheapest, what is shown dries quickly and is cleared. */
function systemForAim(aim: Aim): SystemKind {
  return aim === 'serviceable' ? 'cheapest' : 'quickest';
}

function systemFor(
  kind: SystemKind,
  material: Part['material'],
  colours: (NamedColour & { covers: Layer['covers'] })[],
): Omit<Layer, 'id'>[] {
  const systems = readySystems({ material, colours });
  return [...(systems.find((system) => system.kind === kind) ?? systems[0]).layers];
}

/** How far a layer belongs to: primed, coloured or cleared. */
function stageOf(layer: Layer): number {
  const { role } = resolveLayer(layer, EMPTY_FACTS);
  if (role === 'clear') return 4;
  return role.endsWith('primer') ? 2 : 3;
}

/** Matching log events for a start in the middle, the last coat at the time that was named; marked as recalled. */
function recalledEvents(piece: Piece, answers: QuickAnswers, hands: readonly Hand[], newId: () => string, placeId: string): DoneEvent[] {
  const { since, sinceEarliest = since } = answers;
  if (since === undefined) return [];
  const reached = ORDER.indexOf(answers.whereNow);
  return piece.parts.flatMap((part) => {
    const laid = part.layers.filter((layer) => stageOf(layer) <= reached);
    return laid.flatMap((layer, index) => {
      const last = since - (laid.length - 1 - index) * LAYER_APART;
      const top = stageOf(layer) === reached ? answers.lastCoat : undefined;
      return Array.from({ length: layer.coats }, (_, coat) =>
        recalledCoat({
          piece,
          part,
          layer,
          number: coat + 1,
          at: last - (layer.coats - 1 - coat) * COAT_APART,
          doubtMin: Math.max(0, since - (sinceEarliest ?? since)),
          top,
          hands,
          newId,
          placeId,
        }),
      );
    });
  });
}

type Recalled = {
  readonly piece: Piece;
  readonly part: Part;
  readonly layer: Layer;
  readonly number: number;
  readonly at: Minute;
  /** How much earlier it may have been. */
  readonly doubtMin: Minute;
  readonly top: LastCoat | undefined;
  readonly hands: readonly Hand[];
  readonly newId: () => string;
  readonly placeId: string;
};

function recalledCoat({ piece, part, layer, number, at, doubtMin, top, hands, newId, placeId }: Recalled): DoneEvent {
  const planned = resolveLayer(layer, EMPTY_FACTS);
  return {
    id: newId(),
    at: toIso(at),
    kind: 'done',
    pieceId: piece.id,
    stepKeys: [coatKey(piece.id, part.id, layer.id, number)],
    recalled: true,
    ...(doubtMin > 0 ? { between: { from: toIso(at - doubtMin), to: toIso(at) } } : {}),
    on: [{ partId: part.id, zoneIds: layer.covers === 'all' ? part.zones.map((zone) => zone.id) : [...layer.covers] }],
    coat: {
      layerId: layer.id,
      ...(top ? { productId: top.productId } : {}),
      name: top?.name ?? planned.name,
      family: top?.family ?? planned.family,
      role: top?.role ?? planned.role,
      lab: top?.lab ?? planned.lab,
      hand: hands[0] ?? planned.hand,
      filmUm: planned.filmUm,
      placeId,
    },
  };
}

/** Lays a ready system onto a part, keeping its zones; the layers get fresh ids. */
export function layersOfSystem(kind: SystemKind, part: Part, swatches: readonly NamedColour[], newId: () => string): Layer[] {
  const painted = part.zones.filter((zone) => zone.bare === undefined);
  const colours = swatches
    .slice(0, Math.max(1, painted.length))
    .map((swatch, index) => ({ ...swatch, covers: painted.length > 1 && swatches.length > 1 ? [painted[index].id] : ('all' as const) }));
  return systemFor(kind, part.material, colours).map((layer) => ({ ...layer, id: newId() }));
}
