import { describe, expect, it } from 'vitest';
import { EMPTY_FACTS, type LogEvent } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { coat, done, NOW } from '#core/invented/index';
import { historyOf } from './history.ts';

const fold = (events: LogEvent[]) => historyOf({ ...EMPTY_FACTS, events });
const undo = (id: string, undoes: string, minutesAgo: number): LogEvent => ({ id, at: toIso(NOW - minutesAgo), kind: 'undo', undoes });
const first = coat('primer', 1, 100, 'lacquer-primer', 'fine-primer', 12);
const second = coat('primer', 2, 80, 'lacquer-primer', 'fine-primer', 12);
const films = (events: LogEvent[]) => fold(events).coatsOn('bell', 'body', 'all').length;

describe('the log as it counts', () => {
  it('lays coats from metal to top, whatever the order they came in', () => {
    expect(
      fold([second, first])
        .coatsOn('bell', 'body', 'all')
        .map((own) => own.at),
    ).toEqual([NOW - 100, NOW - 80]);
    expect(fold([first]).coatsOn('bell', 'body', 'elsewhere')).toEqual([]);
    expect(fold([first]).coatsOn('gong', 'body', 'all')).toEqual([]);
  });
  it('takes back what was undone, and brings it back when the undo is undone', () => {
    expect(films([first, second])).toBe(2);
    expect(films([first, second, undo('u', second.id, 60)])).toBe(1);
    expect(films([first, second, undo('u', second.id, 60), undo('v', 'u', 50)])).toBe(2);
    expect(films([first, undo('u', 'nothing-of-the-kind', 60)])).toBe(1);
  });
  it('counts a step once, in however many tabs it was pressed', () => {
    expect(films([first, { ...first, id: 'other-tab', at: toIso(NOW - 99) }])).toBe(1);
    expect(films([first, { ...first, id: 'other-tab', at: toIso(NOW - 99) }, undo('u', first.id, 60)])).toBe(1);
  });
  it('knows the newest wish to wait, until it is taken back', () => {
    const wait = (id: string, until: number, minutesAgo: number): LogEvent => ({
      id,
      at: toIso(NOW - minutesAgo),
      kind: 'wait',
      pieceId: 'bell',
      stepKeys: ['bell.body.prep.-.1'],
      until: toIso(NOW + until),
    });
    const key = 'bell.body.prep.-.1';
    expect(fold([wait('a', 60, 20), wait('b', 600, 10)]).notBefore.get(key)).toBe(NOW + 600);
    expect(fold([wait('a', 60, 20), wait('b', 600, 10), undo('u', 'b', 5)]).notBefore.get(key)).toBe(NOW + 60);
  });
  it('keeps what came of stripper, patches and checks to the part they were of', () => {
    const stripped = (id: string, application: number, minutesAgo: number, partId = 'body'): LogEvent => ({
      id,
      at: toIso(NOW - minutesAgo),
      kind: 'stripped',
      pieceId: 'bell',
      partIds: [partId],
      method: 'gel',
      application,
      outcome: 'most',
      dwellMinutes: 30,
    });
    const history = fold([stripped('b', 2, 10), stripped('a', 1, 90), stripped('c', 1, 50, 'lid')]);
    expect(history.applications('bell', 'body').map((event) => event.application)).toEqual([1, 2]);
    expect(history.applications('bell', 'lid')).toHaveLength(1);
    expect(history.patches('bell', 'body')).toEqual([]);
    expect(history.failedChecks('bell', 'body')).toEqual([]);
  });
  it('hears the newest finger first, and only on its zone', () => {
    const touch = (id: string, minutesAgo: number, zoneId = 'all'): LogEvent => ({
      id,
      at: toIso(NOW - minutesAgo),
      kind: 'dryness',
      pieceId: 'bell',
      partId: 'body',
      zoneId,
      stage: 'coat',
      seen: 'tacky',
    });
    const history = fold([touch('old', 30), touch('new', 5), touch('other', 1, 'roof')]);
    expect(history.dryness('body', 'all').map((event) => event.id)).toEqual(['new', 'old']);
  });
  it('remembers when a step was done, and by which event', () => {
    const wiped = done('clean', 40);
    expect(fold([wiped]).done.get('bell.body.clean.-.1')).toMatchObject({ at: NOW - 40, event: { id: wiped.id } });
    expect(fold([wiped, undo('u', wiped.id, 1)]).done.size).toBe(0);
  });
});
