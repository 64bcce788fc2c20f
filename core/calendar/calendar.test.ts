import { conditionsOf } from '#core/drying/index';
import { lacquer, NOW, part, piece, planOf, primer, shelf } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { atLocal, DAY, HOUR, toIso } from '#core/units/index';
import fc from 'fast-check';
import ical from 'node-ical';
import { describe, expect, it } from 'vitest';
import { calendarText, MOST_BUSY_SPANS, readBusy } from './index.ts';

const ZONE = 'Europe/Lisbon';
const from = atLocal('2026-10-01', 0, ZONE);
const until = atLocal('2027-06-01', 0, ZONE);
const event = (lines: string, uid = 'e1') =>
  `BEGIN:VEVENT\r\nUID:${uid}\r\nDTSTAMP:20261001T000000Z\r\n${lines.replaceAll('\n', '\r\n')}\r\nEND:VEVENT\r\n`;
const file = (...events: string[]) => `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\n${events.join('')}END:VCALENDAR\r\n`;
const read = (text: string) => {
  const answer = readBusy({ text, from, to: until, timeZone: ZONE });
  if (!answer.ok) throw new Error(answer.mend);
  return answer;
};
const minuteOf = (at: Date | undefined) => Math.round((at?.getTime() ?? Number.NaN) / 60_000);
const local = (date: string, hour: number, minute = 0) => atLocal(date, hour * 60 + minute, ZONE);

describe('busy time from a calendar', () => {
  it('is read in universal time, by its zone, or as the clock here shows it', () => {
    const { spans } = read(
      file(
        event('DTSTART:20261201T190000Z\nDTEND:20261201T200000Z'),
        event('DTSTART;TZID=Europe/Paris:20261202T200000\nDTEND;TZID=Europe/Paris:20261202T210000', 'e2'),
        event('DTSTART:20261203T190000\nDURATION:PT90M', 'e3'),
      ),
    );
    expect(spans).toEqual([
      { from: local('2026-12-01', 19), to: local('2026-12-01', 20) },
      { from: local('2026-12-02', 19), to: local('2026-12-02', 20) },
      { from: local('2026-12-03', 19), to: local('2026-12-03', 20, 30) },
    ]);
  });
  it('takes whole days from midnight to midnight, also over a change of the clocks', () => {
    const { spans } = read(
      file(
        event('DTSTART;VALUE=DATE:20261025\nDTEND;VALUE=DATE:20261026'),
        event('DTSTART;VALUE=DATE:20270328\nDTEND;VALUE=DATE:20270329', 'e2'),
      ),
    );
    expect(spans.map((span) => span.to - span.from)).toEqual([25 * HOUR, 23 * HOUR]);
  });
  it('follows a series in local time, without its exceptions and with what was moved', () => {
    const series = event(
      'DTSTART;TZID=Europe/Lisbon:20261020T190000\nDTEND;TZID=Europe/Lisbon:20261020T200000\nRRULE:FREQ=WEEKLY;COUNT=5\nEXDATE;TZID=Europe/Lisbon:20261103T190000',
    );
    const moved = event(
      'RECURRENCE-ID;TZID=Europe/Lisbon:20261110T190000\nDTSTART;TZID=Europe/Lisbon:20261111T210000\nDTEND;TZID=Europe/Lisbon:20261111T220000',
    );
    const { spans } = read(file(series, moved));
    expect(spans.map((span) => span.from)).toEqual([
      local('2026-10-20', 19),
      local('2026-10-27', 19),
      local('2026-11-11', 21),
      local('2026-11-17', 19),
    ]);
    // The clocks went back between the first two.
    expect(spans[1].from - spans[0].from).toBe(7 * DAY + HOUR);
  });
  it('leaves out what is cancelled or marked free, joins what meets, and looks no further than asked', () => {
    const { spans, events } = read(
      file(
        event('DTSTART:20261201T190000Z\nDTEND:20261201T200000Z\nSTATUS:CANCELLED'),
        event('DTSTART:20261201T190000Z\nDTEND:20261201T200000Z\nTRANSP:TRANSPARENT', 'e2'),
        event('DTSTART:20261202T190000Z\nDTEND:20261202T200000Z', 'e3'),
        event('DTSTART:20261202T193000Z\nDTEND:20261202T210000Z', 'e4'),
        event('DTSTART:20290101T190000Z\nDTEND:20290101T200000Z', 'e5'),
        event('DTSTART:19990101T080000Z\nDTEND:19990101T090000Z\nRRULE:FREQ=YEARLY', 'e6'),
      ),
    );
    expect(events).toBe(3);
    expect(spans).toEqual([
      { from: local('2026-12-02', 19), to: local('2026-12-02', 21) },
      { from: local('2027-01-01', 8), to: local('2027-01-01', 9) },
    ]);
  });
  it.each([
    ['daily since 1970', '19700101', 'FREQ=DAILY', 243],
    ['every third day since 1901', '19010101', 'FREQ=DAILY;INTERVAL=3', 81],
    ['on weekdays since 1970', '19700105', 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR', 174],
    ['by months since 1900', '19000101', 'FREQ=MONTHLY', 8],
  ])('follows a series %s to its end', (_what, day, rule, busy) => {
    const { spans, notes } = read(file(event(`DTSTART:${day}T190000\nDTEND:${day}T200000\nRRULE:${rule}`)));
    expect([Math.abs(spans.length - busy) <= 1, notes]).toEqual([true, []]);
    expect((spans.at(-1)?.from ?? 0) > until - 32 * DAY).toBe(true);
  });
  it('follows a series from near today as it would from its first day', () => {
    const rule = fc.record({
      year: fc.integer({ min: 2018, max: 2026 }),
      month: fc.integer({ min: 1, max: 12 }),
      day: fc.integer({ min: 1, max: 28 }),
      hour: fc.integer({ min: 0, max: 23 }),
      freq: fc.constantFrom('DAILY', 'WEEKLY', 'HOURLY;BYHOUR=9,20', 'MONTHLY', 'YEARLY'),
      interval: fc.integer({ min: 1, max: 5 }),
      by: fc.constantFrom('', ';BYDAY=MO,TH', ';BYMONTH=1,4,11', ';WKST=SU'),
      whole: fc.boolean(),
    });
    fc.assert(
      fc.property(rule, ({ year, month, day, hour, freq, interval, by, whole }) => {
        const two = (value: number) => String(value).padStart(2, '0');
        const date = `${year}${two(month)}${two(day)}`;
        const wholeDay = whole && !freq.startsWith('HOURLY');
        const lines = wholeDay
          ? `DTSTART;VALUE=DATE:${date}\nRRULE:FREQ=${freq};INTERVAL=${interval}${by}`
          : `DTSTART;TZID=Europe/Lisbon:${date}T${two(hour)}0000\nDURATION:PT90M\nRRULE:FREQ=${freq};INTERVAL=${interval}${by}`;
        // A single day more keeps it from being begun anywhere but at its start.
        const extra = wholeDay ? 'RDATE;VALUE=DATE:20110101' : 'RDATE;TZID=Europe/Lisbon:20110101T120000';
        const [near, all] = [lines, `${lines}\n${extra}`].map((text) =>
          readBusy({ text: file(event(text)), from, to: until, timeZone: ZONE }),
        );
        expect(near).toEqual(all);
      }),
      { numRuns: 8, seed: 4 },
    );
  });
  it('says of a series that never gets to today that it was cut', () => {
    const { spans, notes } = read(
      file(event('DTSTART:19700101T190000\nDTEND:19700101T191000\nRRULE:FREQ=DAILY;COUNT=40000\nSUMMARY:Gulls')),
    );
    expect(spans).toEqual([]);
    expect(notes).toEqual([expect.stringContaining('“Gulls” repeats more than 20000 times')]);
  });
  it.each(['DTSTART:2026AB01T190000', 'DTSTART:99999999', 'DTSTART:20261201T190000\nDTEND:nonsense'])(
    'refuses the broken date in %j with the usual sentence',
    (lines) => {
      expect(readBusy({ text: file(event(lines)), from, to: until, timeZone: ZONE })).toMatchObject({
        ok: false,
        mend: expect.stringContaining('no readable calendar'),
      });
    },
  );
  it('says a zone nobody knows, and takes it as here', () => {
    const { spans, notes } = read(file(event('DTSTART;TZID=Mars/Olympus:20261201T190000\nDTEND;TZID=Mars/Olympus:20261201T200000')));
    expect(spans[0].from).toBe(local('2026-12-01', 19));
    expect(notes).toEqual([expect.stringContaining('Mars/Olympus')]);
  });
  it('refuses junk with a word on what to do, and what is far too much', () => {
    for (const text of ['', 'hello', 'BEGIN:VCARD\r\nEND:VCARD\r\n', '{"a":1}'])
      expect(readBusy({ text, from, to: until, timeZone: ZONE })).toMatchObject({ ok: false, mend: expect.stringContaining('.ics') });
    expect(read(file()).spans).toEqual([]);
    const start = Date.UTC(2026, 9, 2);
    const stamp = (at: number) => new Date(at).toISOString().replace(/[-:]|\.\d+/g, '');
    const many = (count: number) =>
      file(
        ...Array.from({ length: count }, (_, index) =>
          event(`DTSTART:${stamp(start + index * 2_700_000)}\nDTEND:${stamp(start + index * 2_700_000 + 600_000)}`, `n${index}`),
        ),
      );
    expect(readBusy({ text: many(10_000), from, to: until, timeZone: ZONE })).toMatchObject({
      ok: false,
      mend: expect.stringContaining(String(MOST_BUSY_SPANS)),
    });
    expect(read(many(3000)).spans).toHaveLength(3000);
  });
});

describe('the plan as a calendar', () => {
  const result = planOf(part({ finish: 'bare', layers: [primer(), lacquer()] }));
  const text = calendarText(result, { pieces: [piece(part())], workshop: shelf.workshop });
  it('is read back by another program, every stay at its minute, with its alarm', async () => {
    const entries = Object.values(await ical.async.parseICS(text)).flatMap((own) => (own?.type === 'VEVENT' ? [own] : []));
    const stays = entries.filter(({ uid }) => uid.startsWith('stay-'));
    expect(stays).toHaveLength(result.sessions.length);
    for (const session of result.sessions) {
      const own = stays.find(({ uid }) => uid === `stay-${session.stepIds[0]}@enamelos`);
      expect(minuteOf(own?.start)).toBe(Math.round(session.from));
      expect(minuteOf(own?.end)).toBe(Math.round(session.to));
      expect(String(own?.summary)).toContain('At the bench: ');
    }
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(entries.length);
    expect(text).toContain('TRIGGER:-PT1H');
  });
  it('has what shuts, and reads back here as busy time', () => {
    const moments = [{ at: NOW + 90, kind: 'shuts' as const, pegs: [7], name: 'Bell', pieceId: 'bell', text: 'peg 7 shuts' }];
    const own = calendarText({ ...result, moments }, { pieces: [piece(part())], workshop: shelf.workshop });
    expect(own).toContain('SUMMARY:Peg 7 shuts');
    const back = readBusy({ text: own, from: NOW - DAY, to: NOW + 60 * DAY, timeZone: ZONE });
    expect(back.ok && back.spans.length).toBeGreaterThanOrEqual(result.sessions.length);
  });
});

describe('hours that a plan keeps out of', () => {
  const spray = part({ finish: 'bare', layers: [primer(), lacquer()] });
  const planned = (change: Partial<typeof shelf>) => {
    const facts = { ...shelf, pieces: [piece(spray)], ...change };
    return plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
  };
  it('are busy ones: no step lies in them, and it ends later', () => {
    const spans = [{ from: toIso(NOW), to: toIso(NOW + 3 * DAY) }];
    const result = planned({ calendars: [{ id: 'c', name: 'Family', readAt: toIso(NOW), spans }] });
    expect(Math.min(...result.steps.map(({ placed }) => placed?.start ?? Number.NaN))).toBeGreaterThanOrEqual(NOW + 3 * DAY);
  });
  it('are those after the longest stay', () => {
    const result = planned({ workshop: [{ ...shelf.workshop[0], longestStay: 40 }] });
    for (const session of result.sessions) expect(session.to - session.from).toBeLessThanOrEqual(40);
    expect(result.sessions.length).toBeGreaterThan(planned({}).sessions.length);
  });
});
