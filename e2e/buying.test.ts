import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Locator } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { keepOnly, launchBrowser, openPage, type Running, startServer } from './harness.ts';

/** What is bought where: proven, moved by a price and by an empty shelf in a shop, and prices as a table. */

let browser: Browser;
let server: Running;
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(true)];
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

/** The table a link would save. */
async function tableOf(link: Locator): Promise<string> {
  await link.waitFor();
  return decodeURIComponent(((await link.getAttribute('href')) ?? '').replace(/^[^,]*,/, ''));
}

describe('the list to buy', () => {
  it('shows what is over its budget, and takes the ways that bring it within, and gives them back', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/buying`);
    const budgets = page.getByRole('region', { name: 'Budgets' });
    const ways = page.getByRole('region', { name: 'Ways to spend less' });
    await budgets.getByRole('link', { name: 'Lamp shells' }).waitFor();
    await budgets.getByText(/over, \d+ %/).waitFor();
    await ways.getByText('Best together').waitFor();
    await ways.getByRole('button', { name: 'Take' }).last().click();
    await ways.getByText(/^Taken: /).waitFor();
    await expect.poll(() => budgets.getByText(/over, \d+ %/).count()).toBe(0);
    await page.getByText('proven the cheapest', { exact: true }).waitFor();
    const post = page.getByRole('region', { name: 'Lantern hobby post' });
    expect(await post.getByText(/× Turnstone marram green/).count()).toBe(0);
    await ways.getByRole('button', { name: 'Give it back' }).click();
    await budgets.getByText(/over, \d+ %/).waitFor();
    await post.getByText(/× Turnstone marram green/).waitFor();
    expect(errors).toEqual([]);
    await context.close();
  });

  it('wants an etch primer nobody owns, prices it, looks elsewhere where it is out of stock, and puts it on the shelf once bought', async () => {
    await keepOnly(server, 'fan', 'lamp');
    const { page, context, errors } = await openPage(browser, `${server.url}/pieces/fan/coats`);
    await page.getByRole('button', { name: 'Add a layer' }).click();
    await page.getByRole('button', { name: 'Etch primer', exact: true }).click();
    await page.getByText('Layer added below all others.').waitFor();
    await page.goto(`${server.url}/buying`);
    const inShop = (name: string) =>
      page
        .getByRole('region', { name })
        .getByText(/Etch primer/)
        .first();
    await inShop('Any shop, at a usual price').waitFor();
    await page.getByRole('link', { name: 'shops and prices' }).click();
    await page.getByLabel('What', { exact: true }).selectOption({ label: 'Etch primer, wanted' });
    const price = async (shop: string, sum: string) => {
      await page.getByLabel('in', { exact: true }).selectOption({ label: shop });
      await page.getByLabel('Pack', { exact: true }).fill('400 mL');
      await page.getByLabel('Price, EUR').fill(sum);
      await page.getByRole('button', { name: 'Add', exact: true }).click();
    };
    await price('Quay hardware', '9 USD');
    await page.getByText('Prices are in EUR here').waitFor();
    await price('Quay hardware', '9,90');
    await page.getByLabel('Price of Etch primer, 400 mL, Quay hardware').waitFor();
    await price('Saltmarsh paints', '19');
    await page.getByLabel('Price of Etch primer, 400 mL, Saltmarsh paints').fill('20,00');
    await page.keyboard.press('Enter');
    await page.getByText('Etch primer: 20.00 EUR now. No plan is moved by it.').waitFor();
    await page.getByRole('link', { name: 'the list to buy' }).click();
    await inShop('Quay hardware').waitFor();
    await page.getByText('proven the cheapest', { exact: true }).waitFor();
    const line = page.getByRole('listitem').filter({ hasText: '× Etch primer' });
    await line.getByRole('button', { name: 'out of stock' }).click();
    await inShop('Saltmarsh paints').waitFor();
    await line.getByRole('button', { name: 'otherwise' }).click();
    await line.getByLabel('Paid in all, EUR').fill('18.50');
    await line.getByRole('button', { name: 'Bought so' }).click();
    await expect.poll(() => line.count()).toBe(0);
    await page.goto(`${server.url}/shelf`);
    const card = page.getByRole('listitem').filter({ hasText: 'Etch primer' }).first();
    await card.getByText('400 mL', { exact: true }).waitFor();
    await card.getByText(/^lasts, .* to spare/).waitFor();
    expect(errors).toEqual([]);
    await context.close();
  });

  it('takes what a can weighs; and prices from a table: all of them, the good lines of it, or nothing', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/shelf`);
    const soot = page.getByRole('listitem').filter({ hasText: 'Dunlin soot' }).first();
    await soot.getByRole('button', { name: 'weigh it' }).first().click();
    await soot.getByLabel('or it weighs').fill('90 g');
    await soot.getByLabel('and empty').fill('100 g');
    await soot.getByRole('button', { name: 'Keep' }).click();
    await soot.getByText('the other way round').waitFor();
    await soot.getByLabel('or it weighs').fill('300 g');
    await soot.getByRole('button', { name: 'Keep' }).click();
    await soot.getByText('250 mL', { exact: true }).first().waitFor();
    await page.getByRole('button', { name: 'As a table' }).click();
    const shelf = await tableOf(page.getByRole('link', { name: 'Cans as CSV' }));
    const cans = join(mkdtempSync(join(tmpdir(), 'shelf-')), 'shelf.csv');
    writeFileSync(cans, shelf.replace(/,(14),no,/, ',$1,yes,').replace(/(Plover tar black.*?),9,/, '$1,4.5,'));
    await page.getByLabel('Bring cans in').setInputFiles(cans);
    await page.getByText(/^\d+ cans taken/).waitFor();
    await page.getByRole('row').filter({ hasText: 'Plover tar black' }).getByText('4.5 mL').waitFor();
    await page.getByRole('row').filter({ hasText: 'Dunlin soot' }).getByText('250 mL').waitFor();
    await page.goto(`${server.url}/buying/shops`);
    const table = await tableOf(page.getByRole('link', { name: 'Prices as CSV', exact: true }));
    const [head, ...lines] = table.trim().split(/\r?\n/);
    expect(lines.length).toBeGreaterThan(8);
    const file = join(mkdtempSync(join(tmpdir(), 'prices-')), 'prices.csv');
    const field = page.getByLabel('Bring prices in');
    writeFileSync(file, [head, ...lines.map((line) => line.replace(/,7\.20,/, ',6.60,'))].join('\n'));
    await field.setInputFiles(file);
    await page.getByText(`${lines.length} prices taken`).waitFor();
    await expect.poll(() => page.getByLabel('Price of Dunlin soot, 400 mL, Quay hardware').inputValue()).toBe('6.60');
    writeFileSync(file, `\uFEFFshop;paint;pack_ml;price\nQuay hardware;Dunlin soot;400;6,90\nQuay hardware;Dunlin mauve;400;7,00\n`);
    await field.setInputFiles(file);
    await page.getByText('line 3: No paint is called “Dunlin mauve”').waitFor();
    await page.getByRole('button', { name: 'Take nothing' }).click();
    expect(await page.getByLabel('Price of Dunlin soot, 400 mL, Quay hardware').inputValue()).toBe('6.60');
    await field.setInputFiles(file);
    await page.getByRole('button', { name: 'Take the good ones' }).click();
    await expect.poll(() => page.getByLabel('Price of Dunlin soot, 400 mL, Quay hardware').inputValue()).toBe('6.90');
    expect(errors).toEqual([]);
    await context.close();
  });
});
