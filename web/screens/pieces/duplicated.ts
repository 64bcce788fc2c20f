import {
  type Cut,
  type Decal,
  type Detail,
  type Part,
  type Piece,
  type Reference,
  type When,
  type Zone,
  zoneIdsOf,
} from '#core/facts/index';
import { islandOf } from '#core/zones/index';
import { toIso } from '#core/units/index';

type Copied = { readonly part: Part; readonly layers: ReadonlyMap<string, string> };

/** The same part again with ids of its own, on no peg yet. */
export function duplicatedPart(part: Part, newId: () => string): Part {
  return copied(part, newId).part;
}

function copied(part: Part, newId: () => string): Copied {
  const zones = new Map([...zoneIdsOf(part)].map((id) => [id, newId()]));
  const layers = new Map(part.layers.map((layer) => [layer.id, newId()]));
  const zone = (id: string) => zones.get(id) ?? id;
  const renamed = (own: Zone): Zone => ({ ...own, id: zone(own.id) });
  const dressed = <T extends Detail | Decal>(own: T): T => ({
    ...own,
    id: newId(),
    zoneId: zone(own.zoneId),
    after: own.after === null ? null : (layers.get(own.after) ?? null),
  });
  const copy: Part = {
    ...part,
    id: newId(),
    pegs: [],
    colourOrder: undefined,
    zones: part.zones.map(renamed),
    faces: part.faces.map((face) => ({ ...face, id: newId(), zoneId: zone(face.zoneId) })),
    edges: part.edges.map(({ ticked: _measured, ...edge }) => ({ ...edge, a: zone(edge.a), b: zone(edge.b) })),
    ...(part.cuts
      ? { cuts: part.cuts.map((cut) => ({ ...untraced(cut), id: newId(), of: zone(cut.of), into: cut.into.map(renamed) })) }
      : {}),
    ...(part.details ? { details: part.details.map(dressed) } : {}),
    ...(part.decals ? { decals: part.decals.map(dressed) } : {}),
    layers: part.layers.map((layer) => ({
      ...layer,
      id: layers.get(layer.id) ?? layer.id,
      covers: layer.covers === 'all' ? 'all' : layer.covers.map(zone),
    })),
  };
  return { part: copy, layers };
}

/** Pictures stay behind: what was traced on one is kept as a panel of its size. */
function untraced({ trace, ...cut }: Cut): Cut {
  const island = trace && islandOf({ ...cut, trace });
  if (!island) return cut;
  const longMm = Math.max(0.1, island.longMm);
  return { ...cut, how: 'panel', numbers: { longMm, shortMm: Math.max(0.1, island.areaMm2 / longMm) } };
}

/** The same piece again with ids and tags of its own: nothing done to it, nothing ordered for it, no spares in its box. */
export function duplicated(piece: Piece, newId: () => string, pegsTaken: readonly number[]): Piece {
  const free = Array.from({ length: 40 }, (_, index) => index + 1).filter((peg) => !pegsTaken.includes(peg));
  const copies = piece.parts.map((part) => copied(part, newId));
  const parts = copies.map(({ part }, index) => ({ ...part, pegs: free.slice(index, index + 1) }));
  const own = new Map(piece.parts.map((part, index) => [part.id, parts[index].id]));
  const layers = new Map(copies.flatMap((copy) => [...copy.layers]));
  const tasks = new Map((piece.tasks ?? []).map((task) => [task.id, newId()]));
  const partId = (id: string) => own.get(id) ?? id;
  const when = (at: When | undefined): When | undefined => {
    if (!at) return undefined;
    if ('taskId' in at) return { taskId: tasks.get(at.taskId) ?? at.taskId };
    if ('layerId' in at) return { partId: partId(at.partId), layerId: layers.get(at.layerId) ?? at.layerId };
    return { ...at, partId: partId(at.partId) };
  };
  // What was known of it was known of parts and steps with other ids.
  const { pictures: _pictures, bags: _bags, fitOrder: _order, spares: _spares, touchUps: _touchUps, knows: _knows, ...kept } = piece;
  return {
    ...kept,
    id: newId(),
    name: `${piece.name}, again`.slice(0, 80),
    createdAt: toIso(Date.now() / 60_000),
    finished: false,
    parcels: piece.parcels.map(({ orderedAt: _ordered, due: _due, holds, ...parcel }) => ({
      ...parcel,
      id: newId(),
      arrived: false,
      ...(holds ? { holds: holdsOf(holds, partId, tasks) } : {}),
    })),
    guesses: [],
    ...(piece.factory?.bodies ? { factory: { ...piece.factory, bodies: piece.factory.bodies.map((body) => body.map(partId)) } } : {}),
    parts: parts.map((part) => ({
      ...part,
      ...(part.within ? { within: own.get(part.within) } : {}),
      ...(part.fit
        ? {
            fit: {
              ...part.fit,
              ...(part.fit.onPartId ? { onPartId: partId(part.fit.onPartId) } : {}),
              ...(part.fit.layerId ? { layerId: layers.get(part.fit.layerId) } : {}),
            },
          }
        : {}),
      edges: part.edges.map((edge) => (edge.runsOnTo ? { ...edge, runsOnTo: partId(edge.runsOnTo) } : edge)),
      marks: part.marks?.map(({ pin: _pin, ...mark }) => ({ ...mark, id: newId() })),
    })),
    ...(piece.tasks
      ? {
          tasks: piece.tasks.map((task) => ({
            ...task,
            id: tasks.get(task.id) ?? task.id,
            partIds: task.partIds.map(partId),
            after: when(task.after),
            before: when(task.before),
          })),
        }
      : {}),
    references: piece.references?.map((reference) => copiedReference(reference, partId)),
    fastenings: piece.fastenings?.map((fastening) => ({
      ...fastening,
      id: newId(),
      a: own.get(fastening.a) ?? fastening.a,
      ...(fastening.b ? { b: own.get(fastening.b) } : {}),
      ...(fastening.behind ? { behind: own.get(fastening.behind) } : {}),
    })),
  };
}

type Holds = NonNullable<Piece['parcels'][number]['holds']>;

function holdsOf(holds: Holds, partId: (id: string) => string, tasks: ReadonlyMap<string, string>): Holds {
  return {
    ...holds,
    ...(holds.partId ? { partId: partId(holds.partId) } : {}),
    ...(holds.taskId ? { taskId: tasks.get(holds.taskId) } : {}),
  };
}

/** What was read on the first piece says nothing of the paint on the second; a chip or another example serves both. */
function copiedReference({ pictureId: _picture, ...reference }: Reference, partId: (id: string) => string): Reference {
  if (reference.partId === undefined) return reference;
  const { lab: _lab, spread: _spread, readAt: _at, ...unread } = reference;
  return { ...unread, partId: partId(reference.partId) };
}
