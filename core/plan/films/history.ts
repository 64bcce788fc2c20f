import { type DoneEvent, type EventOf, type Facts, type LaidCoat, type LogEvent, type Material, standingEvents } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';
import type { Warmed } from './warmed.ts';

/** What the log says, folded once: what is done, what lies on each zone, what was put off and where there is trouble. */

/** `doubtMin`: it may have gone on as much earlier than `at`, where only two days are known it lies between. */
export type Coat = LaidCoat & { readonly at: Minute; readonly eventId: string; readonly doubtMin?: Minute };

type Done = { readonly at: Minute; readonly event: DoneEvent };
export type DoneStep = readonly [key: string, done: Done];

export type History = {
  readonly events: readonly LogEvent[];
  /** What was entered about one piece, oldest first. */
  ofPiece(pieceId: string): readonly LogEvent[];
  /** Paint and goods that were bought, whoever bears them. */
  readonly bought: readonly (EventOf<'bought'> | EventOf<'stocked'>)[];
  /** Every application of stripper to parts of one material, whatever piece they are of. */
  strippedFrom(material: Material): readonly EventOf<'stripped'>[];
  readonly done: ReadonlyMap<string, Done>;
  /** Of those, the steps of one part, by their keys. */
  doneOf(pieceId: string, partId: string): readonly DoneStep[];
  readonly notBefore: ReadonlyMap<string, Minute>;
  /** Coats on a zone from metal to top. */
  coatsOn(pieceId: string, partId: string, zoneId: string): readonly Coat[];
  troubles(partId: string): readonly EventOf<'trouble'>[];
  /** What came of each application of stripper to a part, oldest first. */
  applications(pieceId: string, partId: string): readonly EventOf<'stripped'>[];
  patches(pieceId: string, partId: string): readonly EventOf<'patch'>[];
  /** Checks of a part that were not passed, oldest first. */
  failedChecks(pieceId: string, partId: string): readonly EventOf<'failed-check'>[];
  /** What soaks and metal prep have left on a mark, oldest first. */
  treated(pieceId: string, partId: string, markId: string): readonly EventOf<'treated'>[];
  /** Products laid or tried on scrap before, on whatever piece, by id. */
  readonly usedProducts: ReadonlySet<string>;
  /** Spells of warmth a part went through, oldest first. */
  warmed(pieceId: string, partId: string): readonly Warmed[];
  /** What the finger said of a film, newest first. */
  dryness(partId: string, zoneId: string): readonly EventOf<'dryness'>[];
};

export function historyOf(facts: Facts): History {
  const events = standingEvents(facts.events);
  const done = new Map<string, Done>();
  const notBefore = new Map<string, Minute>();
  const coats = new Map<string, Coat[]>();
  const troubles: EventOf<'trouble'>[] = [];
  const dryness: EventOf<'dryness'>[] = [];
  for (const event of events) {
    if (event.kind === 'done') {
      // Done in two tabs, or entered once more with another time, it is done once: the later word lays the film.
      const before = new Set(event.stepKeys.flatMap((key) => done.get(key)?.event.id ?? []));
      for (const key of event.stepKeys) done.set(key, { at: toMinute(event.at), event });
      if (event.coat) layCoat(coats, event, event.coat, before);
    } else if (event.kind === 'wait') for (const key of event.stepKeys) notBefore.set(key, toMinute(event.until));
    else if (event.kind === 'trouble') troubles.push(event);
    else if (event.kind === 'dryness') dryness.push(event);
  }
  const byPiece = new Map<string, LogEvent[]>();
  for (const event of events) {
    if (!('pieceId' in event) || event.pieceId === undefined) continue;
    const own = byPiece.get(event.pieceId);
    if (own) own.push(event);
    else byPiece.set(event.pieceId, [event]);
  }
  const ofPiece = (pieceId: string): readonly LogEvent[] => byPiece.get(pieceId) ?? [];
  const byMaterial = strippedByMaterial(facts, events);
  const byPart = doneByPart(done);
  return {
    events,
    ofPiece,
    bought: events.filter((event) => event.kind === 'bought' || event.kind === 'stocked'),
    strippedFrom: (material) => byMaterial.get(material) ?? [],
    done,
    doneOf: (pieceId, partId) => byPart.get(`${pieceId}.${partId}`) ?? [],
    notBefore,
    coatsOn: (pieceId, partId, zoneId) => coats.get(`${pieceId} ${partId} ${zoneId}`) ?? [],
    applications: (pieceId, partId) => ofPart(ofPiece(pieceId), 'stripped', partId),
    patches: (pieceId, partId) => ofPart(ofPiece(pieceId), 'patch', partId),
    failedChecks: (pieceId, partId) => ofPart(ofPiece(pieceId), 'failed-check', partId),
    treated: (pieceId, partId, markId) => ofPart(ofPiece(pieceId), 'treated', partId).filter((event) => event.markId === markId),
    warmed: (pieceId, partId) =>
      ofPart(ofPiece(pieceId), 'warmed', partId).map(({ at, minutes, surfaceC }) => ({ since: { at: toMinute(at) }, minutes, surfaceC })),
    usedProducts: new Set([
      ...events.flatMap((event) => (event.kind === 'done' && event.coat?.productId ? [event.coat.productId] : [])),
      ...triedOnScrap(facts, done),
    ]),
    troubles: (partId) => troubles.filter((event) => event.partIds.includes(partId)),
    dryness: (partId, zoneId) => dryness.filter((event) => event.partId === partId && event.zoneId === zoneId).reverse(),
  };
}

function doneByPart(done: ReadonlyMap<string, Done>): ReadonlyMap<string, readonly DoneStep[]> {
  const byPart = new Map<string, DoneStep[]>();
  for (const step of done) {
    const part = step[0].split('.', 2).join('.');
    const own = byPart.get(part);
    if (own) own.push(step);
    else byPart.set(part, [step]);
  }
  return byPart;
}

function strippedByMaterial({ pieces }: Facts, events: readonly LogEvent[]): ReadonlyMap<Material, readonly EventOf<'stripped'>[]> {
  const materials = new Map(pieces.flatMap((piece) => piece.parts.map((part) => [`${piece.id} ${part.id}`, part.material] as const)));
  const byMaterial = new Map<Material, EventOf<'stripped'>[]>();
  for (const event of events) {
    if (event.kind !== 'stripped') continue;
    for (const material of new Set(event.partIds.flatMap((partId) => materials.get(`${event.pieceId} ${partId}`) ?? [])))
      byMaterial.set(material, [...(byMaterial.get(material) ?? []), event]);
  }
  return byMaterial;
}

function ofPart<K extends 'stripped' | 'patch' | 'failed-check' | 'treated' | 'warmed'>(
  events: readonly LogEvent[],
  kind: K,
  partId: string,
): EventOf<K>[] {
  return events.filter((event): event is EventOf<K> => event.kind === kind && 'partIds' in event && event.partIds.includes(partId));
}

/** @param instead entries of the same coat that this one takes the place of */
function layCoat(coats: Map<string, Coat[]>, event: DoneEvent, coat: LaidCoat, instead: ReadonlySet<string>): void {
  for (const { partId, zoneIds } of event.on) {
    for (const zoneId of zoneIds) {
      const key = `${event.pieceId} ${partId} ${zoneId}`;
      const others = (coats.get(key) ?? []).filter(({ eventId }) => !instead.has(eventId));
      coats.set(key, [...others, { ...coat, at: toMinute(event.at), eventId: event.id, ...doubtOf(event) }]);
    }
  }
}

function doubtOf({ between }: DoneEvent): Pick<Coat, 'doubtMin'> {
  return between ? { doubtMin: Math.max(0, toMinute(between.to) - toMinute(between.from)) } : {};
}

/** Paints that a scrap has shown: one try serves every piece. */
function triedOnScrap({ pieces }: Facts, done: ReadonlyMap<string, unknown>): string[] {
  return pieces.flatMap((piece) =>
    piece.parts.flatMap((part) =>
      part.layers.flatMap(({ id, productId }) => (productId && done.has(`${piece.id}.${part.id}.scrap-test.${id}.1`) ? [productId] : [])),
    ),
  );
}
