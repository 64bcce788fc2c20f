import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, momentMs, openPage, type Running, startServer } from '../harness.ts';
import { keepAir } from './air.ts';
import { addPiece, liveToEnd, mainText, nextMoment, openWith, Verdicts } from './living.ts';

/** Job 11, its cold shed: a frame is carried into the room and keeps the cold of the shed for three hours. */

let browser: Browser;
let server: Running;
const said = new Verdicts('11');
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(false)];
  await openWith(browser, server, ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']);
});
afterAll(async () => {
  said.print();
  await browser.close();
  await server.stop();
  server.remove();
});

describe('job 11, its cold shed', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await keepAir(page, server, 'Spare room', '18', '55');
    const piece = await addPiece(page, server, {
      name: 'Frame',
      side: '620 mm',
      looks: 'something else',
      colours: ['green'],
      where: 'Bare',
    });
    await liveToEnd(browser, server, piece, { until: (title) => /Coat 1 of/.test(title) });
    const here = await openPage(browser, `${server.url}/workshop`);
    await here.page.getByRole('listitem').filter({ hasText: 'Spare room' }).getByRole('button', { name: 'type a reading' }).click();
    await here.page.getByLabel('Temperature', { exact: true }).fill('18');
    await here.page.getByLabel('Humidity %').fill('55');
    await here.page.getByLabel('The part itself').fill('9');
    await here.page.getByLabel('The part itself').press('Enter');
    await here.page.getByText('The plan has moved.').first().waitFor();
    const next = await nextMoment(here.page, piece);
    const hours = (Date.parse(next ?? '') - momentMs()) / 3_600_000;
    expect(hours).toBeGreaterThan(2.5);
    expect(hours).toBeLessThan(80);
    const why = /No coat in Spare room[^\n]*/.exec(await mainText(here.page))?.[0] ?? '';
    expect(why).toMatch(/dew|moisture/);
    await here.page.goto(`${server.url}/bench`);
    await here.page.getByText(/^may start in/).waitFor();
    expect(await mainText(here.page)).toContain((next ?? '').slice(11, 16));
    said.holds('2, carried in from the shed', `${why} Next ${next}, ${hours.toFixed(1)} h on`);
    await here.context.close();
    expect(errors).toEqual([]);
    await context.close();
  });
});
