import ical from 'node-ical';
import { describe, expect, it } from 'vitest';
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
  it('is refused to whoever asks from elsewhere', async () => {
    const reply = await bench.app.inject({ url: '/api/calendar.ics', headers: { host: 'elsewhere.example' } });
    expect(reply.statusCode).toBe(403);
  });
});
