import type { Label, Layer, LogEvent } from '#core/facts/index';
import { clear, coat, lacquer, NOW, part, piece, planOf, primed, primer, shelf, solePiece as own, steps } from '#core/invented/index';
import { clocksOf, conditionsOf } from '#core/drying/index';
import { plan } from '#core/plan/index';
import { type PlannedFilm, timesOf } from './films/index.ts';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** A window that shuts for good is a stop, and costs no dates: what follows is planned at once (trade §6). */

const DAY = 1440;

/** A silver, a transparent green and a clear; the green with a label of one’s own. */
function workshopWith(label: Label) {
  const [sheet, product, can] = [shelf.sheets[0], shelf.products[0], shelf.cans[0]];
  const green = { ...sheet, id: 's-green', name: 'Green', family: 'candy' as const, role: 'colour' as const, label };
  const silver = { ...sheet, id: 's-silver', name: 'Silver', family: 'solvent-base' as const, role: 'metallic' as const, label: {} };
  return {
    ...shelf,
    sheets: [...shelf.sheets, green, silver],
    products: [
      ...shelf.products,
      { ...product, id: 'green', sheetId: green.id, name: 'Green' },
      { ...product, id: 'silver', sheetId: silver.id, name: 'Silver' },
    ],
    cans: [...shelf.cans, { ...can, id: 'can-green', productId: 'green' }, { ...can, id: 'can-silver', productId: 'silver' }],
  };
}
const layer = (id: string, coats: number): Layer => ({ id, productId: id, coats, covers: 'all' });
const STACK = [primer(), layer('silver', 2), layer('green', 3), clear];
const longAgo = primed.map((event) => ({ ...event, at: toIso(NOW - 3 * DAY) }));

/** A coat of a paint of this workshop. */
function laid(event: LogEvent): LogEvent {
  return event.kind === 'done' && event.coat ? { ...event, coat: { ...event.coat, productId: event.coat.layerId } } : event;
}

/** Silver and so many coats of green, the last of them so many minutes ago. */
function greened(minutesAgo: number, greens = 3): LogEvent[] {
  const silver = [1, 2].map((number) => coat('silver', number, minutesAgo + 80 - 10 * number, 'solvent-base', 'metallic', 12));
  const green = Array.from({ length: greens }, (_, index) =>
    coat('green', index + 1, minutesAgo + 10 * (greens - 1 - index), 'candy', 'colour', 7),
  );
  return [...longAgo, ...[...silver, ...green].map(laid)];
}
const planned = (events: LogEvent[], label: Label = { clearUntilMin: 12 }) =>
  planOf(part({ material: 'steel', layers: STACK }), events, {}, workshopWith(label));
const verdictOf = (result: ReturnType<typeof planned>, layerId: string) =>
  own(result).steps.joints.find((entry) => entry.layerId === layerId)?.joint.verdict;

const ruleOf = (result: ReturnType<typeof planned>, layerId: string) => {
  const answer = own(result).steps.joints.find((entry) => entry.layerId === layerId)?.joint.answer;
  return [answer?.rule, answer?.source];
};

describe('a clear that the label wants within twelve minutes', () => {
  it('goes on in them, from an empty bench and with the coats below on; no try on scrap takes its minutes', () => {
    for (const events of [longAgo, greened(2), greened(11.5)]) {
      const result = planned(events);
      const [first] = steps(result, 'coat').filter((step) => step.coat?.layerId === 'clear');
      const green = steps(result, 'coat').findLast((step) => step.coat?.layerId === 'green');
      const since =
        green?.placed?.end ?? NOW - (events === longAgo ? 0 : events.length > 0 && events.at(-1)?.at ? minutesSince(events) : 0);
      expect((first.placed?.start ?? Number.NaN) - since).toBeLessThanOrEqual(12);
      const tries = steps(result, 'scrap-test').filter((step) => (step.placed?.start ?? 0) > since);
      expect(tries).toEqual([]);
      expect(verdictOf(result, 'clear')).toBe('sits');
    }
  });
  it.each([12.5, 60, 2 * DAY])('is a stop %d minutes after, and the part keeps a date: stripped and laid again', (late) => {
    const result = planned(greened(late));
    const joint = own(result).steps.joints.find((entry) => entry.layerId === 'clear');
    expect(joint?.joint.verdict).toBe('stop');
    expect(joint?.joint.answer.because).toContain('12 min');
    expect(joint?.overshot).toEqual({ since: NOW - late + 12, way: 'strip' });
    expect(own(result).planned).not.toBeNull();
    expect(steps(result, 'strip-on').length).toBeGreaterThan(0);
    expect(steps(result, 'coat').filter((step) => step.coat?.layerId === 'green')).toHaveLength(3);
  });
  it('waits where the label says when again, and is keyed where it says so', () => {
    for (const [label, scuffed] of [
      [{ clearUntilMin: 12, againMin: DAY }, false],
      [{ clearUntilMin: 12, afterwards: 'again' }, false],
    ] as const) {
      const lacquers = planOf(
        part({ material: 'steel', layers: [primer(), { ...layer('green', 1), id: 'colour' }, clear] }),
        [...longAgo, coat('colour', 1, 3 * DAY, 'acrylic-lacquer', 'colour', 12)],
        {},
        asLacquer(label),
      );
      const [first] = steps(lacquers, 'coat');
      expect([first.coat?.layerId, first.placed?.scuff ?? false]).toEqual(['clear', scuffed]);
      expect(steps(lacquers, 'strip-on')).toEqual([]);
    }
  });
  it('stays in its minutes over a family that would take it for ever', () => {
    const result = planOf(
      part({ material: 'steel', layers: [primer(), { ...layer('green', 1), id: 'colour' }, clear] }),
      [...longAgo, coat('colour', 1, 3 * DAY, 'acrylic-lacquer', 'colour', 12)],
      {},
      asLacquer({ clearUntilMin: 60 }),
    );
    expect(verdictOf(result, 'clear')).toBe('stop');
    expect(own(result).planned).not.toBeNull();
  });
});

/** The green as an ordinary lacquer, which by its family takes a clear at any time. */
function asLacquer(label: Label) {
  const facts = workshopWith(label);
  return {
    ...facts,
    sheets: facts.sheets.map((sheet) => (sheet.id === 's-green' ? { ...sheet, family: 'acrylic-lacquer' as const } : sheet)),
  };
}

/** When the last of these was done. */
function minutesSince(events: readonly LogEvent[]): number {
  return (NOW * 60_000 - Date.parse(events.at(-1)?.at ?? '')) / 60_000;
}

describe('a set of transparent coats broken off', () => {
  it('is stripped, for its next coat never comes', () => {
    const result = planned(greened(30 * 60, 2));
    expect(verdictOf(result, 'green')).toBe('stop');
    expect(ruleOf(result, 'green')).toEqual(['2 window', 'default']);
    expect(ruleOf(planned(greened(60)), 'clear')).toEqual(['1b label', 'label']);
    expect(steps(result, 'coat').filter((step) => step.coat?.layerId === 'green')).toHaveLength(3);
    expect(own(result).planned).not.toBeNull();
  });
  it('once begun again is the same work to its end, and laid anew it is sound', () => {
    const late = greened(30 * 60, 2);
    const first = planned(late);
    const wash = steps(first, 'wash')[0];
    const washed: LogEvent = {
      id: 'washed',
      at: toIso(NOW - 1),
      kind: 'done',
      pieceId: 'bell',
      stepKeys: [...wash.keys],
      minutes: 10,
      on: [...wash.on].map(({ partId, zoneIds }) => ({ partId, zoneIds: [...zoneIds] })),
    } as never;
    const ids = (result: ReturnType<typeof planned>) => result.steps.map((step) => step.id);
    expect(ids(planned([...late, washed]))).toEqual(ids(first).filter((id) => id !== wash.id));
  });
});

describe('a coat laid again, whose sending back was taken back', () => {
  it('is no part that was stripped', () => {
    const laidAgain = [
      ...longAgo,
      coat('colour', 1, 300, 'acrylic-lacquer', 'colour', 12),
      coat('colour', 1001, 200, 'acrylic-lacquer', 'colour', 12),
    ];
    const result = planOf(part({ layers: [primer(), lacquer(2), clear] }), laidAgain);
    expect(steps(result, 'strip-on')).toEqual([]);
    expect(steps(result, 'coat').filter((step) => step.coat?.layerId === 'primer')).toEqual([]);
  });
});

describe('a metallic past its window', () => {
  const silvered = greened(30 * 60, 0);
  it('takes a scuff and one fresh coat, then the colour that is seen through it', () => {
    const result = planned(silvered);
    const [fresh, next] = steps(result, 'coat');
    expect(fresh).toMatchObject({ title: 'A fresh coat, Silver', coat: { layerId: 'silver', number: 3 } });
    expect(fresh.placed?.scuff).toBe(true);
    expect(next.coat?.layerId).toBe('green');
    expect(own(result).planned).not.toBeNull();
    expect(steps(result, 'strip-on')).toEqual([]);
  });
  it('with the fresh coat on goes on from there', () => {
    const result = planned([...silvered, coat('silver', 3, 30, 'solvent-base', 'metallic', 12)]);
    expect(steps(result, 'coat')[0].coat?.layerId).toBe('green');
    expect(own(result).planned).not.toBeNull();
  });
});

describe('a board of one’s own', () => {
  const held = (state: 'fresh' | 'dry'): LogEvent[] => {
    const onTile = (event: LogEvent): LogEvent => ({ ...event, id: `tile-${event.id}`, pieceId: 'board' }) as LogEvent;
    const late = state === 'fresh' ? 30 : 20 * 60;
    const laid = [...greened(2 * DAY), coat('clear', 1, 2 * DAY - late, 'acrylic-lacquer', 'clear', 13)].map(onTile);
    const tile = { id: 'tile', at: toIso(NOW - 60), kind: 'tile', pieceId: 'board', partId: 'body', layerId: 'clear', outcome: 'held' };
    return [...laid, tile as LogEvent];
  };
  it('that took the clear half an hour late lets it on for as long, whatever the label says', () => {
    const label: Label = { clearUntilMin: 12 };
    const body = part({ material: 'steel', layers: STACK });
    const board = { ...piece(body), id: 'board', board: { varies: 'wait' as const } };
    const facts = { ...workshopWith(label), pieces: [board] };
    const events = [...greened(25), ...held('fresh')];
    const all = { ...facts, pieces: [piece(body), board], events };
    const result = plan({ facts: all, now: NOW, conditions: conditionsOf(all, NOW), datesOf: [] });
    const own = result.pieces.find(({ pieceId }) => pieceId === 'bell');
    expect(own?.steps.joints.find((entry) => entry.layerId === 'clear')?.overshot).toBeUndefined();
    expect(result.steps.some((step) => step.pieceId === 'bell' && step.stage === 'strip-on')).toBe(false);
    expect(own?.planned).not.toBeNull();
  });
});

describe('a coat of which only two days are known', () => {
  const DAYS_AGO = 12 * 60;
  const doubtful = (hours: number): LogEvent[] =>
    greened(DAYS_AGO, 0).map((event) =>
      event.kind === 'done' && event.coat?.layerId === 'silver'
        ? { ...event, between: { from: toIso(Date.parse(event.at) / 60_000 - hours * 60), to: event.at } }
        : event,
    );
  const firstCoat = (events: LogEvent[]) => steps(planned(events), 'coat')[0].title;
  it('has the windows of the earlier of the two', () => {
    expect(firstCoat(doubtful(2))).toBe('Coat 1 of 3, Green');
    expect(firstCoat(doubtful(20))).toBe('A fresh coat, Silver');
    // On the one day it is too young, on the other too old: no moment serves both.
    expect(firstCoat(doubtful(50))).toBe('A fresh coat, Silver');
  });
});

describe('tape on the clear over a candy', () => {
  it('waits for its cure, and over a colour of the same family hardly for an evening', () => {
    const clocks = clocksOf(conditionsOf(shelf, NOW));
    const film = (family: 'candy' | 'acrylic-lacquer', below?: PlannedFilm): PlannedFilm => ({
      family,
      role: 'clear',
      name: family,
      lab: { l: 50, a: 0, b: 0 },
      layerId: family,
      placeId: 'place-spray',
      first: { at: NOW },
      last: { at: NOW },
      coats: 2,
      filmUm: 26,
      normalUm: 13,
      flatted: false,
      ...(below ? { below } : {}),
    });
    const hours = (own: PlannedFilm) => ((timesOf(own, clocks, () => NOW).tape ?? Number.NaN) - NOW) / 60;
    expect(hours(film('acrylic-lacquer', film('candy')))).toBeCloseTo(72, 0);
    expect(hours(film('acrylic-lacquer'))).toBeLessThan(6);
  });
});
