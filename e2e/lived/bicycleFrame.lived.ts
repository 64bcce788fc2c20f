import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayAhead, launchBrowser, momentMs, moveTo, openPage, type Running, startServer } from '../harness.ts';
import { addCan, addStep, buyAll, daysOf, finish, liveToEnd, openWith, placeOf, stepsSaid, typeLabel, Verdicts } from './living.ts';

/** Job 11: a bicycle frame in silver, transparent green and clear, its silver laid on a day nobody knows. */

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

describe('job 11', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await addCan(page, server, {
      name: 'Frame silver',
      kind: 'Metallic',
      thinner: 'Lacquer thinner',
      colour: 'silver',
      volume: '400 mL',
      left: '140',
    });
    await page.getByRole('combobox', { name: /^Family/ }).selectOption('solvent-base');
    await addCan(page, server, { name: 'Frame green', kind: 'Candy', colour: 'green', volume: '400 mL' });
    await typeLabel(page, 'a clear until', '12');

    await page.goto(`${server.url}/pieces/new`);
    await page.getByLabel('Name', { exact: true }).fill('Bicycle frame');
    await page.getByLabel('Longest side').fill('620 mm');
    await page.getByRole('button', { name: 'something else', exact: true }).click();
    await page.getByRole('button', { name: 'silver', exact: true }).first().click();
    await page.getByRole('button', { name: 'Coloured', exact: true }).click();
    await page.getByRole('button', { name: 'not sure of the day' }).click();
    await page.getByRole('textbox', { name: 'Some time between' }).fill(dayAhead(-6));
    await page.getByLabel('Hour').first().fill('19:00');
    await page.getByRole('textbox', { name: 'and', exact: true }).fill(dayAhead(-4));
    await page.getByLabel('Hour').last().fill('21:00');
    await page.getByLabel('With what').selectOption({ label: 'Frame silver' });
    await page.getByRole('button', { name: 'Add it with this plan' }).click();
    await page.getByRole('heading', { level: 1, name: 'Bicycle frame' }).waitFor();
    const piece = `${server.url}/pieces/${page.url().split('/pieces/')[1].split('/')[0]}`;

    await layer(page, piece, 'Frame green');
    const five = page.getByText('5 coats.');
    for (let presses = 0; presses < 5 && (await five.count()) === 0; presses++) {
      await page.getByRole('button', { name: 'More coats of Frame green' }).click();
      await page
        .getByText(/^\d coats\.$/)
        .first()
        .waitFor();
      await page.waitForTimeout(500);
    }
    await expect.poll(async () => (await stepsSaid(page, piece)).some((step) => step.includes('Coat 5 of 5, Frame green'))).toBe(true);
    const steps = await stepsSaid(page, piece);
    const at = (words: RegExp) => placeOf(steps, words);
    expect(at(/fresh coat, Frame silver/i)).toBeGreaterThan(-1);
    expect(at(/Coat 1 of 5, Frame green/)).toBeGreaterThan(at(/fresh coat, Frame silver/i));
    said.holds('1', `${steps[at(/fresh coat/i)]} … ${steps[at(/Coat 1 of 5/)]}`);
    const greens = steps.flatMap((step, index) => (/Frame green/.test(step) && /Coat/.test(step) ? [index] : []));
    const clearAt = at(/Coat 1 of \d, clear/);
    expect(clearAt).toBe((greens.at(-1) ?? Number.NaN) + 1);
    expect(steps.slice(greens[0], clearAt + 1).join(' ')).not.toMatch(/scuff|sand|flat with|paper/i);
    said.holds('3 (order)', steps.slice(greens[0], clearAt + 1).join(' | '));

    await addStep(page, piece, 'Tape the bands', ['Part']);
    const withTape = await stepsSaid(page, piece);
    const tapeAt = placeOf(withTape, /Tape the bands/);
    expect(tapeAt).toBeGreaterThan(withTape.findLastIndex((step) => /Coat \d of \d, clear/.test(step)));
    const [from, to] = await daysOf(page, piece, [/Coat 2 of 2, clear/, /Tape the bands/]);
    expect(to - from).toBeGreaterThanOrEqual(3);
    said.holds('5 (ruin)', `tape ${to - from} days after the clear: ${withTape[tapeAt]}`);
    await page.goto(`${piece}/finish`);
    await page.getByText('Nothing in it would spoil the piece.').waitFor();

    await buyAll(page, server);
    await liveToEnd(browser, server, piece, { until: (title) => /Coat 1 of \d, clear/.test(title) });
    moveTo(new Date(momentMs() + 30 * 60_000).toISOString());
    await server.stop();
    await server.restart();
    const over = await openPage(browser, `${piece}/coats`);
    await over.page
      .getByRole('button', { name: /clear lacquer.*Frame green|Frame green.*clear/i })
      .first()
      .click()
      .catch(() => undefined);
    const stop = over.page.getByText(/The label of Frame green lets a clear on for 12 min/).first();
    await stop.waitFor();
    await over.page.getByLabel('Ways on').getByText('Strip this part and lay it again').waitFor();
    said.holds('4', `${(await stop.textContent()) ?? ''} ${(await over.page.getByLabel('Ways on').textContent()) ?? ''}`);
    const afterwards = await stepsSaid(over.page, piece);
    expect(afterwards.length).toBeGreaterThan(5);
    await buyAll(over.page, server);
    await over.context.close();
    const lived = (await liveToEnd(browser, server, piece)).map(({ at: when, title }) => `${when} ${title}`);
    const clearDone = lived.findIndex((step) => /coat 1 of \d, clear/i.test(step));
    const lastGreen = lived.findLastIndex((step) => /coat 5 of 5, Frame green/i.test(step));
    const moment = (step: string) => Date.parse(`${step.slice(0, 16)}Z`);
    expect(moment(lived[clearDone]) - moment(lived[lastGreen])).toBeLessThanOrEqual(20 * 60_000);
    expect(placeOf(lived, /Tape the bands/)).toBeGreaterThan(clearDone);
    const end = await openPage(browser, server.url);
    await finish(end.page, piece);
    await end.context.close();
    said.holds('from add to finished', `${lived.length} steps after the missed window, ${lived[0]} … ${lived.at(-1)}`);

    said.waits('10 (record)', 'the record: issue 27');
    expect(errors).toEqual([]);
    await context.close();
  });
});

/** Puts a paint of the shelf into the stack. */
async function layer(page: Page, piece: string, paint: string): Promise<void> {
  await page.goto(`${piece}/coats`);
  await page.getByRole('button', { name: 'Add a layer' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: new RegExp(paint) })
    .first()
    .click();
  await page.getByText(/^Layer added/).waitFor();
}
