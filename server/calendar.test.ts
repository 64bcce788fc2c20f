import ical from 'node-ical';
import { describe, expect, it } from 'vitest';
import { CalendarPlans, NoCalendar } from './planning/calendarPlans.ts';
import { demoText, host, testWorkshop } from './testWorkshop.ts';

/** The plan as a calendar that another program on this machine reads or subscribes to. */

const bench = testWorkshop();
const asked = () => bench.app.inject({ url: '/api/calendar.ics', headers: host });

describe('the plan as a calendar', () => {
  it('of a workshop with nothing to do has no entry', async () => {
    const reply = await asked();
    expect(reply.statusCode).toBe(200);
    expect(reply.payload).toContain('BEGIN:VCALENDAR');
    expect(reply.payload).not.toContain('BEGIN:VEVENT');
  });
  it('is one of the stays of the workshop as it now is', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    const reply = await asked();
    expect(reply.statusCode).toBe(200);
    expect(reply.headers['content-type']).toContain('text/calendar');
    const entries = Object.values(await ical.async.parseICS(reply.payload)).flatMap((own) => (own?.type === 'VEVENT' ? [own] : []));
    expect(entries.length).toBeGreaterThan(3);
    for (const { start, end, summary } of entries) {
      expect(start.getTime()).toBeGreaterThan(Date.now() - 86_400_000);
      expect((end?.getTime() ?? 0) - start.getTime()).toBeGreaterThan(0);
      expect(String(summary).length).toBeGreaterThan(5);
    }
  });
  it('is worked out beside the server: who else asks is answered at once', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    let done = false;
    const calendar = asked().then((reply) => {
      done = true;
      return reply;
    });
    for (let count = 0; count < 5; count++) expect((await bench.get('/api/workshop')).status).toBe(200);
    expect(done).toBe(false);
    expect((await calendar).statusCode).toBe(200);
  });
  it('asked for five times at once is planned once', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    const replies = await Promise.all(Array.from({ length: 5 }, asked));
    expect(new Set(replies.map(({ payload }) => payload)).size).toBe(1);
  });
  it('that the planner cannot make or never ends is said, and asked for again later', async () => {
    const { facts } = bench.opened.store.snapshot();
    const plans = new CalendarPlans(1);
    await expect(plans.text(facts, 1, 29_950_000)).rejects.toThrow(/too long/);
    const patient = new CalendarPlans();
    const broken = { ...facts, workshop: [] };
    await expect(patient.text(broken, 1, 29_950_000)).rejects.toThrow(NoCalendar);
    expect(await patient.text(facts, 1, 29_950_000)).toContain('BEGIN:VCALENDAR');
    await Promise.all([plans.close(), patient.close()]);
  });
  it('is refused to whoever asks from elsewhere', async () => {
    const reply = await bench.app.inject({ url: '/api/calendar.ics', headers: { host: 'elsewhere.example' } });
    expect(reply.statusCode).toBe(403);
  });
});
