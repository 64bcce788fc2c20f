import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Facts } from '#core/facts/index';
import { dayAhead, keepOnly, launchBrowser, openPage, type Running, startServer } from './harness.ts';

let server: Running;
let browser: Browser;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer(true), launchBrowser()]);
  await keepOnly(server, 'fan', 'tram', 'lamp');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

const facts = async (): Promise<Facts> => (await (await fetch(`${server.url}/api/workshop`)).json()).facts;
const workshop = async () => (await facts()).workshop[0];
const calendar = async () => (await fetch(`${server.url}/api/calendar.ics`)).text();
/** Days in the text of the calendar on which somebody is at the bench. */
const daysIn = (text: string) => [...text.matchAll(/DTSTART:(\d{8})/g)].map(([, day]) => day);
/** A day so many from now, as a calendar file and as people write it. */
const figures = (date: string) => date.split('-').reverse().join('.');

describe('hours at the bench', () => {
  it('are given up for days away, a calendar and quiet; the plan moves and goes out as a calendar', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await page.goto(`${server.url}/workshop`);
    await page.getByRole('heading', { name: 'Calendars' }).waitFor();
    expect(daysIn(await calendar()).length).toBeGreaterThan(2);

    const away = page.getByRole('form', { name: 'Days away' });
    await away.getByRole('button', { name: 'Away then' }).click();
    await away.getByText('Say which is the first day away.').waitFor();
    await away.getByRole('textbox', { name: 'Away from' }).fill(figures(dayAhead(9)));
    await away.getByRole('textbox', { name: 'to, that day too' }).fill(figures(dayAhead(1)));
    await away.getByRole('button', { name: 'Away then' }).click();
    await away.getByText('The first day away is not after the last.').waitFor();
    await away.getByRole('textbox', { name: 'Away from' }).fill(figures(dayAhead(1)));
    await away.getByRole('textbox', { name: 'to, that day too' }).fill(figures(dayAhead(9)));
    await away.getByRole('button', { name: 'Away then' }).click();
    await expect.poll(async () => (await workshop()).away).toEqual([{ from: dayAhead(1), to: dayAhead(9) }]);
    const within = (from: number, to: number) => (own: string) =>
      own > dayAhead(from).replaceAll('-', '') && own < dayAhead(to).replaceAll('-', '');
    await expect.poll(async () => daysIn(await calendar()).filter(within(1, 9))).toEqual([]);

    // A week after that is taken by a calendar, junk is said, and a series counts as often as it comes.
    const file = page.getByLabel('Busy time from a calendar file (.ics)');
    await file.setInputFiles({ name: 'family.ics', mimeType: 'text/calendar', buffer: Buffer.from('hello') });
    await page.getByText('This is no readable calendar').waitFor();
    const start = dayAhead(10).replaceAll('-', '');
    const text = [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'BEGIN:VEVENT',
      'UID:holiday',
      `DTSTART;VALUE=DATE:${start}`,
      `DTEND;VALUE=DATE:${dayAhead(11).replaceAll('-', '')}`,
      'RRULE:FREQ=DAILY;COUNT=7',
      'END:VEVENT',
      'END:VCALENDAR',
      '',
    ].join('\r\n');
    await file.setInputFiles({ name: 'family.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) });
    await page.getByText('7 entries taken as busy.').waitFor();
    await expect.poll(async () => daysIn(await calendar()).filter(within(1, 16))).toEqual([]);

    await page.getByRole('button', { name: 'Nothing loud then' }).click();
    await expect.poll(async () => (await workshop()).quietHours).toEqual([{ from: '22:00', to: '07:00' }]);
    await page.getByLabel('a stay at the bench, at most, min').fill('5');
    await page.getByRole('button', { name: 'Keep to it' }).click();
    await page.getByText('A stay has at least 15 minutes.').waitFor();
    await page.getByLabel('a stay at the bench, at most, min').fill('45');
    await page.getByRole('button', { name: 'Keep to it' }).click();
    await expect.poll(async () => (await workshop()).longestStay).toBe(45);

    // Tonight only after all not: nothing of today is planned.
    await page.goto(server.url);
    await page.getByRole('button', { name: 'not today' }).click();
    await expect.poll(async () => (await workshop()).away.some(({ why }) => why === 'not today')).toBe(true);
    await page.getByRole('heading', { name: /^Next, / }).waitFor();

    // With the fewest stays as its goal a plan may leave an evening out by itself: so it comes last.
    await page.goto(`${server.url}/workshop`);
    await page.getByRole('button', { name: 'the fewest stays' }).click();
    await expect.poll(async () => (await workshop()).goal).toBe('fewest-sessions');
    await context.close();
    expect(errors).toEqual([]);
  });

  it('of one piece are given to others: it is laid aside, comes last, and is taken up again', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await page.goto(`${server.url}/pieces/fan/dates`);
    const turn = page.getByRole('region', { name: 'Its turn' });
    await turn.getByLabel('lay it aside: where it lies').fill('dry box');
    await turn.getByRole('button', { name: 'Lay it aside' }).click();
    await turn.getByText('Laid aside, dry box.').waitFor();
    await page.getByRole('button', { name: 'laid aside' }).first().waitFor();
    const fan = async () => (await facts()).pieces.find(({ id }) => id === 'fan');
    await expect.poll(async () => (await fan())?.held?.where).toBe('dry box');
    await turn.getByRole('button', { name: 'Take it up again' }).click();
    await turn.getByRole('button', { name: 'Lay it aside' }).waitFor();
    await turn.getByRole('button', { name: 'last', exact: true }).click();
    await expect.poll(async () => (await fan())?.turn).toBe('last');
    await expect.poll(async () => (await fan())?.held).toBeUndefined();
    expect(errors).toEqual([]);
    await context.close();
  });
});
