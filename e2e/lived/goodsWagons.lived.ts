import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openPage, type Running, startServer } from '../harness.ts';
import { addCan, addDecal, addPiece, finish, liveToEnd, openWith, placeOf, relayer, stepsSaid, Verdicts } from './living.ts';

/** Job 03: goods wagons of an unknown plastic and a larger one of zinc, all in one brown. */

let browser: Browser;
let server: Running;
const said = new Verdicts('03');
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(false)];
  await openWith(browser, server, ['Tue', 'Fri'], { hands: ['Airbrush', 'Brush'] });
});
afterAll(async () => {
  said.print();
  await browser.close();
  await server.stop();
  server.remove();
});

describe('job 03', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await theShelf(page);
    const small = await addPiece(page, server, {
      name: 'Goods wagon',
      side: '115 mm',
      looks: 'plastic shell',
      colours: ['brown'],
      scale: '1:87',
      where: 'Bare',
    });
    await page.goto(`${small}/survey?view=parts`);
    await page
      .getByRole('combobox', { name: /^Material/ })
      .first()
      .selectOption('unknown');
    await page.goto(`${small}/coats`);
    const joint = page.getByLabel('Joint').getByRole('heading').first();
    await joint.waitFor();
    const verdict = (await joint.textContent()) ?? '';
    expect(verdict).not.toContain('sits');
    const steps = await stepsSaid(page, small);
    const test = placeOf(steps, /Find out what it is made of/);
    expect(test).toBeGreaterThan(-1);
    expect(test).toBeLessThanOrEqual(1);
    said.holds('1', `${verdict}; ${steps[test]}`);
    await page.goto(`${small}/strip`);
    expect((await page.locator('main').textContent()) ?? '').not.toMatch(/advised.{0,40}(soak|gel)/);
    said.holds('2, the unknown shell', 'nothing to strip on a bare part');

    const zinc = await addPiece(page, server, {
      name: 'Zinc wagon',
      side: '235 mm',
      looks: 'cast body',
      colours: ['brown'],
      scale: '1:43',
      where: 'Bare',
    });
    for (const part of ['Body', 'Underframe', 'Wheels']) {
      await relayer(page, zinc, part, 'brown', 'Wagon brown');
      await relayer(page, zinc, part, 'primer, black', 'Grey primer');
      await relayer(page, zinc, part, 'clear lacquer, satin', 'Lacquer matt');
    }
    await addDecal(page, zinc, { shows: 'number 31', long: '30 mm', short: '8 mm', kind: 'printed at home', after: 'Wagon brown' });
    await page.goto(`${zinc}/coats`);
    const stop = page
      .getByText(/Lacquer matt over number 31: .*bite 4 against resistance 1.*Lay two water-type coats over it first/)
      .first();
    await stop.waitFor();
    said.holds('7 (ruin), lacquer clear', (await stop.textContent()) ?? '');
    for (const part of ['Body', 'Underframe', 'Wheels']) await relayer(page, zinc, part, 'Lacquer matt', 'Water matt');
    await stop.waitFor({ state: 'detached' });
    const dated = await stepsSaid(page, zinc);
    const firstClear = /coat 1( of \d)?, Water matt/i;
    expect(
      dated.findLastIndex((step) => firstClear.test(step)),
      dated.join('\n'),
    ).toBeGreaterThan(placeOf(dated, /Decal number 31/));
    await page.goto(`${zinc}/finish`);
    const dull = page.getByText(/The decal lies on Wagon brown, which dries too dull/).first();
    await dull.waitFor();
    said.holds('8, before the water', (await dull.textContent()) ?? '');

    const lived = (await liveToEnd(browser, server, zinc)).map(({ at, title }) => `${at} ${title}`);
    const decal = lived[placeOf(lived, /Decal number 31/)];
    const clear = lived.filter((step) => firstClear.test(step)).find((step) => step > decal) ?? '';
    const moment = (step: string) => Date.parse(`${step.slice(0, 16)}Z`);
    expect(moment(clear) - moment(decal)).toBeGreaterThanOrEqual(86_400_000);
    said.holds('7 (ruin), a full day under water-type clear', `${decal} … ${clear}`);
    await finish(page, zinc);
    said.holds('the zinc wagon, from add to finished', `${lived.length} steps, ${lived[0]} … ${lived.at(-1)}`);

    for (const [point, why] of [
      ['3', 'coats by primer shade are in Coats, not asserted here yet'],
      ['4', 'a jar that is mixed ready to spray: not acted out yet'],
      ['5 (two screens)', 'the jar’s rest on the shelf and at the step: not acted out yet'],
      ['6', 'film against relief: not asserted here yet'],
      ['8', 'lessons: issue 27'],
      ['9', 'frames after the clear: issue 25'],
      ['10 (record)', 'lots, lessons and spares in the record: issue 27'],
    ] as const)
      said.waits(point, why);
    expect(errors).toEqual([]);
    await context.close();
  });
});

/** The brown in its jar, both matt clears, and the primer. */
async function theShelf(page: Page): Promise<void> {
  const jar = { comes: 'Bottle, airbrushed', thinner: 'Water' };
  await addCan(page, server, { name: 'Wagon brown', kind: 'Colour', colour: 'brown', volume: '40 mL', ...jar });
  await addCan(page, server, { name: 'Water matt', kind: 'Clear, flat', volume: '60 mL', ...jar });
  await addCan(page, server, { name: 'Lacquer matt', kind: 'Clear, flat', thinner: 'Lacquer thinner', volume: '400 mL' });
  await addCan(page, server, { name: 'Grey primer', kind: 'Primer', thinner: 'Lacquer thinner', colour: 'light grey', volume: '400 mL' });
}
