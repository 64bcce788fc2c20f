import { resolveLayer } from '#core/coats/index';
import type { DoneEvent, Facts, LogEvent, Part, Piece, StripMethod, WorkStage } from '#core/facts/index';
import { pieceKey, partKey } from '#core/plan/index';
import { demoTime, POLISHED, redOverMetal, tramIvoryParts } from './facts.ts';

/** What has happened at Breakwater bench, as log events dated back from the demo's now. */
export function demoLog(facts: Facts): LogEvent[] {
  const log = new DemoLog(facts);
  log.bareMetal('tram', -6 * 1440);
  log.step('tram', 'body', 'mask', 'bare', -4 * 1440 - 60);
  for (const part of ['underframe', 'wheels']) log.coats('tram', part, 0, 2, -3 * 1440, 20);
  for (const part of ['underframe', 'wheels']) log.coats('tram', part, 1, 2, -2 * 1440, 20);
  log.coats('tram', 'body', 0, 2, -4 * 1440, 20);
  log.step('tram', 'body', 'flat', 'primer', -3 * 1440);
  log.coats('tram', 'body', 1, 3, -2 * 1440 - 90, 20);
  log.step('tram', 'body', 'mask', 'line', -1440 - 120);
  log.coats('tram', 'body', 2, 3, -1440 - 60, 20);
  log.step('tram', 'body', 'unmask', 'line', -1440 - 45);

  log.bareMetal('roller', -5 * 1440);
  for (const part of ['frame', 'drum']) log.coats('roller', part, 0, 2, -3 * 1440, 20);
  log.step('roller', 'canopy', 'clean', '-', -30);
  for (const part of ['frame', 'drum']) log.step('roller', part, 'flat', part === 'frame' ? 'primer-f' : 'primer-d', -2 * 1440);
  log.coats('roller', 'frame', 1, 1, -25, 15);
  log.coats('roller', 'drum', 1, 1, -180, 15);

  log.teardown('crane', -2 * 1440);
  for (const part of ['tower', 'jib']) {
    log.step('crane', part, 'wash', '-', -1440);
    log.step('crane', part, 'strip-on', 'gel', -40);
  }
  log.step('crane', '-', 'teardown', 'pivot', -2 * 1440 + 20);
  log.step('fan', 'cage', 'repair', 'cage-rust', -110);
  log.step('fan', 'cage', 'repair', 'cage-rust', -85, 2);
  log.step('fan', 'foot', 'repair', 'foot-pits', -180);
  log.step('fan', 'foot', 'repair', 'foot-pits', -120, 2);
  log.step('fan', '-', 'dry-fit', '-', -45);
  log.bareMetal('fan', -60);
  log.patch('balance', 'column', 'alcohol', 'little', 240, -1500);
  log.patch('balance', 'column', 'gel', 'most', 40, -1400);
  for (const part of ['cage', 'foot']) log.step('fan', part, 'clean', '-', -15);

  log.bareMetal('seaplane', -1440);
  log.coats('seaplane', 'wings', 0, 2, -3 * 1440, 20);
  log.coats('seaplane', 'wings', 1, 3, -2 * 1440, 20);

  log.bareMetal('red-board', -2 * 1440);
  for (const coats of [2, 3, 4]) {
    log.coats('red-board', `tile-${coats}`, 0, coats, -30 * 60, 15);
    log.coats('red-board', `tile-${coats}`, 1, 2, -29 * 60, 15);
  }

  log.coats('vane', 'arrow', 0, 2, -30 * 1440, 20);
  log.trouble('vane', 'arrow', 'soot-v', -29 * 1440);
  log.coats('vane', 'arrow', 1, 3, -20 * 1440, 20);
  log.step('vane', '-', 'fit', '-', -8 * 1440);
  log.mixed('tram-ivory', -2 * 1440 - 30);
  for (const coats of [2, 3]) log.redRead(coats, -8 * 60);
  log.bought('soot', 400, 720, 'quay', 'vane', -31 * 1440);
  return log.events;
}

class DemoLog {
  readonly events: LogEvent[] = [];
  readonly #facts: Facts;

  constructor(facts: Facts) {
    this.#facts = facts;
  }

  /** Taken apart, stripped, sanded and cleaned. */
  bareMetal(pieceId: string, at: number): void {
    this.teardown(pieceId, at - 120);
    for (const part of this.#piece(pieceId).parts)
      for (const [index, stage] of (['wash', 'prep', 'clean'] as const).entries())
        this.step(pieceId, part.id, stage, '-', at - 40 + index * 10);
  }

  teardown(pieceId: string, at: number): void {
    this.#done(pieceId, [pieceKey(pieceId, 'teardown')], this.#piece(pieceId).parts, at);
  }

  step(pieceId: string, partId: string, stage: WorkStage, subject: string, at: number, number = 1): void {
    const parts = partId === '-' ? this.#piece(pieceId).parts : [this.#part(pieceId, partId)];
    this.#done(pieceId, [partKey(pieceId, partId, stage, subject, number)], parts, at);
  }

  /** Some coats of one layer, the last ending at `at`. */
  coats(pieceId: string, partId: string, layerIndex: number, count: number, at: number, apart: number): void {
    const part = this.#part(pieceId, partId);
    const resolved = resolveLayer(part.layers[layerIndex], this.#facts);
    for (let number = 1; number <= count; number++) {
      const { id: layerId, covers } = part.layers[layerIndex];
      const zoneIds = covers === 'all' ? part.zones.filter((zone) => zone.bare === undefined).map((zone) => zone.id) : [...covers];
      this.#done(pieceId, [partKey(pieceId, partId, 'coat', layerId, number)], [part], at - (count - number) * apart, zoneIds, {
        layerId,
        productId: resolved.product?.id,
        name: resolved.name,
        family: resolved.family,
        role: resolved.role,
        lab: resolved.lab,
        hand: resolved.hand,
        filmUm: resolved.filmUm,
        placeId: 'shed',
        ml: 4,
      });
    }
  }

  patch(
    pieceId: string,
    partId: string,
    method: StripMethod,
    outcome: 'clean' | 'most' | 'little',
    dwellMinutes: number,
    at: number,
  ): void {
    this.events.push({ id: this.#nextId(), at: demoTime(at), kind: 'patch', pieceId, partIds: [partId], method, outcome, dwellMinutes });
  }

  trouble(pieceId: string, partId: string, layerId: string, at: number): void {
    this.events.push({
      id: this.#nextId(),
      at: demoTime(at),
      kind: 'trouble',
      pieceId,
      stepKeys: [partKey(pieceId, partId, 'coat', layerId)],
      partIds: [partId],
      sign: 'run',
    });
  }

  bought(productId: string, packMl: number, paid: number, shopId: string, pieceId: string, at: number): void {
    this.events.push({ id: this.#nextId(), at: demoTime(at), kind: 'bought', productId, packMl, count: 1, paid, shopId, pieceId });
  }

  /** A tile of the red board as it looks dry. */
  redRead(coats: number, at: number): void {
    const read = { kind: 'colour-read' as const, productId: 'candy-red', coats, groundLab: POLISHED, lab: redOverMetal(coats) };
    this.events.push({ id: this.#nextId(), at: demoTime(at), ...read, pieceId: 'red-board', partId: `tile-${coats}` });
  }

  mixed(productId: string, at: number): void {
    this.events.push({ id: this.#nextId(), at: demoTime(at), kind: 'mixed', productId, parts: tramIvoryParts(), pieceId: 'tram' });
  }

  #done(pieceId: string, stepKeys: string[], parts: readonly Part[], at: number, zoneIds?: string[], coat?: DoneEvent['coat']): void {
    const on = parts.map((part) => ({ partId: part.id, zoneIds: zoneIds ?? part.zones.map((zone) => zone.id) }));
    this.events.push({ id: this.#nextId(), at: demoTime(at), kind: 'done', pieceId, stepKeys, on, ...(coat ? { coat } : {}) });
  }

  #nextId(): string {
    return `demo-${String(this.events.length + 1).padStart(3, '0')}`;
  }

  #piece(id: string): Piece {
    const piece = this.#facts.pieces.find((candidate) => candidate.id === id);
    if (!piece) throw new Error(`No piece ${id} in the demo.`);
    return piece;
  }

  #part(pieceId: string, partId: string): Part {
    const part = this.#piece(pieceId).parts.find((candidate) => candidate.id === partId);
    if (!part) throw new Error(`No part ${partId} on ${pieceId}.`);
    return part;
  }
}
