import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, openPage, type Running, startServer, tabTo } from './harness.ts';

/** A choice of one's own that would ruin the part: said where it was chosen, mended or known by one press, and taken back. */

let browser: Browser;
let server: Running;
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(false)];
  await openBench(browser, server);
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

const facts = async () => (await (await fetch(`${server.url}/api/workshop`)).json()).facts;
const card = (page: Page) => page.getByLabel('Read once more', { exact: true });

/** A cast piece whose window its owner glues in before the old paint comes off. */
async function addLoader(page: Page): Promise<string> {
  await page.goto(`${server.url}/pieces/new`);
  await page.getByLabel('Name', { exact: true }).fill('Snow plough');
  await page.getByLabel('Longest side').fill('90 mm');
  await page.getByRole('button', { name: 'cast body', exact: true }).click();
  await page.getByRole('button', { name: 'red', exact: true }).click();
  await page.getByRole('button', { name: 'Add it with this plan' }).click();
  await page.getByRole('heading', { level: 1, name: 'Snow plough' }).waitFor();
  const id = page.url().split('/pieces/')[1].split('/')[0];
  await page.goto(`${server.url}/pieces/${id}/finish`);
  await page.getByText('Nothing in it would spoil the piece.').waitFor();
  await page.getByRole('button', { name: 'Add a step' }).click();
  await page.getByRole('button', { name: 'something else' }).click();
  await page.getByLabel('called').fill('Glue the cab window in');
  await page.getByLabel('it comes before').selectOption({ label: 'Body is stripped' });
  await page.getByRole('button', { name: 'Put it in the plan' }).click();
  return id;
}

describe('a window glued in before the stripper', () => {
  it('is called out at the step, in Dates and on Finish and fit; known, taken back, and mended by one press', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    const id = await addLoader(page);
    await card(page)
      .getByText(/What “Glue the cab window in” puts there is on Body when it is stripped by gel: clear plastic fogs/)
      .waitFor();
    const task = async () => (await facts()).pieces[0].tasks[0];
    expect(await task()).toMatchObject({ acts: ['glue-on'], fits: 'glazing' });
    await page.goto(`${server.url}/pieces/${id}/dates`);
    await card(page).getByRole('button', { name: 'I know' }).click();
    await page.getByText('You said I know').waitFor();
    expect(await card(page).count()).toBe(0);
    await expect.poll(async () => (await facts()).pieces[0].knows).toMatchObject([{ rule: 'ruins-fitted' }]);
    await page.getByRole('button', { name: 'take it back' }).click();
    await card(page).waitFor();
    await page.goto(`${server.url}/pieces/${id}/finish`);
    await card(page).waitFor();
    await tabTo(page, /^Put it on after all that would ruin it$/);
    await page.getByText('Nothing in it would spoil the piece.').waitFor();
    expect((await task()).before).toBeUndefined();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await card(page).waitFor();
    expect(errors).toEqual([]);
    await context.close();
  });
});
