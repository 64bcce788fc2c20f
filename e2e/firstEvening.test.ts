import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayAhead, Hand, launchBrowser, openPage, type Running, startServer, typeMoment } from './harness.ts';

let server: Running;
let browser: Browser;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer(false), launchBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

describe('the first evening', () => {
  it('goes from an empty workshop to a whole two-colour plan in at most 8 typed values and 30 presses, and on to done', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    const hand = new Hand(page);
    await hand.press(/^Fri/);
    await hand.press('Open the bench');
    await page.getByText('The bench is empty').waitFor();
    await hand.press('Add a piece', 'link');
    await hand.type(/^Name$/, 'Ferry model 🚢');
    await hand.type('Longest side', '14 cm');
    await hand.press('cream');
    await hand.press('blue');
    await page.getByLabel('What it will take').getByText('Evenings').waitFor();
    await hand.press('Add it with this plan');
    await page.getByRole('heading', { name: 'Ferry model' }).waitFor();
    expect(hand.typed).toBeLessThanOrEqual(8);
    expect(hand.presses).toBeLessThanOrEqual(30);

    await page.getByRole('link', { name: /^Masking/ }).click();
    await page.getByLabel('Order of colours').getByRole('listitem').first().getByText('1 cream').waitFor();
    await page.getByRole('link', { name: /^Dates/ }).click();
    await page.getByText('why then?').first().waitFor();
    expect(await page.getByText('why then?').count()).toBeGreaterThan(15);
    await page.getByRole('link', { name: /^Money/ }).click();
    await page.getByText('To buy, its share').waitFor();
    await page.getByRole('link', { name: /^Survey/ }).click();
    await page.getByLabel('Sharpen').getByRole('listitem').first().waitFor();
    expect(await page.getByLabel('Sharpen').getByRole('listitem').count()).toBeLessThanOrEqual(3);

    await page.goto(server.url);
    await page.getByRole('link', { name: 'Start at the bench' }).click();
    await page.getByRole('button', { name: /^Done/ }).waitFor();
    const first = await page.getByRole('heading', { level: 1 }).textContent();
    await page.keyboard.press('1');
    await page.getByText(`Logged: ${first}`).waitFor();
    await expect.poll(() => page.getByRole('heading', { level: 1 }).textContent()).not.toBe(first);
    expect(errors).toEqual([]);
    await context.close();
  });

  it('answers bad input with what to do, and keeps what was typed', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    const add = page.getByRole('button', { name: 'Add it with this plan' });
    await add.click();
    await page.getByText('Give the piece a name').waitFor();
    await page.getByLabel('Name', { exact: true }).fill('עגלה');
    await page.getByLabel('Longest side').fill('-40');
    await page.getByText('between 5 mm and 3 m').waitFor();
    await page.getByLabel('Longest side').fill('9000 m');
    await page.getByText('between 5 mm and 3 m').waitFor();
    await page.getByLabel('Longest side').fill('tall');
    await page.getByText('Type a number').waitFor();
    await page.getByLabel('Longest side').fill('3/4 in');
    await page.getByLabel('Budget in EUR').fill('-3');
    await page.getByText('A sum of money is 0 or more').waitFor();
    await page.getByLabel('Budget in EUR').fill('20');
    await page.getByLabel('Needed by', { exact: false }).first().fill('1.1.2020');
    await page.getByText('That day has passed').waitFor();
    await page.getByLabel('Needed by', { exact: false }).first().fill('');
    await page.getByLabel('Name', { exact: true }).fill('x'.repeat(200));
    await page.getByText('80 characters').waitFor();
    await page.getByLabel('Name', { exact: true }).fill('Small bell');
    await page.getByRole('button', { name: 'red', exact: true }).click();
    await add.dblclick();
    await page.getByRole('heading', { name: 'Small bell' }).waitFor();
    await page.getByRole('link', { name: 'All pieces' }).click();
    await page
      .getByRole('link', { name: /Small bell/ })
      .first()
      .waitFor();
    expect(await page.getByRole('button', { name: 'Duplicate Small bell' }).count()).toBe(1);
    await context.close();
  });

  it('starts in the middle, is duplicated, removed and brought back', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    await page.getByLabel('Name', { exact: true }).fill('Tin boat');
    await page.getByLabel('Longest side').fill('90');
    await page.getByRole('button', { name: 'pressed-steel toy' }).click();
    await page.getByRole('button', { name: 'green', exact: true }).click();
    await page.getByRole('button', { name: 'Primed' }).click();
    await page.getByRole('button', { name: 'Add it with this plan' }).click();
    await page.getByText('Say when the last coat went on').waitFor();
    await typeMoment(page, 'Last coat went on', '2091-01-01T21:00');
    await page.getByText('That is still to come').waitFor();
    await typeMoment(page, 'Last coat went on', `${dayAhead(-1)}T21:00`);
    await page.getByRole('button', { name: 'Add it with this plan' }).click();
    await page.getByRole('link', { name: /^Strip and prep done/ }).waitFor();
    await page.getByRole('link', { name: /^Record/ }).click();
    await page.getByText('(recalled)').first().waitFor();
    await page.getByRole('link', { name: 'All pieces' }).click();
    await page.getByRole('button', { name: 'Duplicate Tin boat' }).click();
    await page.getByText('Tin boat, again', { exact: true }).waitFor();
    await page.getByRole('button', { name: 'Remove Tin boat, again' }).click();
    await page.getByText('Tin boat, again removed.').waitFor();
    await expect.poll(() => page.getByRole('link', { name: /Tin boat, again/ }).count()).toBe(0);
    await page.getByRole('listitem').filter({ hasText: 'Tin boat, again removed.' }).getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('link', { name: /Tin boat, again/ }).waitFor();
    await context.close();
  });

  it('says so when no hour is free, and refuses an evening that ends before it begins', async () => {
    const { page, context } = await openPage(browser, `${server.url}/workshop`);
    const week = page.getByRole('region', { name: 'Free hours' });
    await week.getByLabel('From').fill('22:00');
    await week.getByLabel('To', { exact: true }).fill('19:00');
    await page.getByRole('button', { name: 'Add these hours' }).click();
    await page.getByText('must begin before it ends').waitFor();
    for (let left = await page.getByRole('button', { name: /^Remove \w+day/ }).count(); left > 0; left--) {
      await page
        .getByRole('button', { name: /^Remove \w+day/ })
        .first()
        .click();
      await expect.poll(() => page.getByRole('button', { name: /^Remove \w+day/ }).count()).toBe(left - 1);
    }
    await page.getByText('No hour is free').waitFor();
    await page.goto(server.url);
    await page.getByText('Nothing to do at the bench').waitFor();
    await context.close();
  });
});
