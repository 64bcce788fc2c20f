import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openPage, type Running, startServer } from './harness.ts';

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

describe('the list to buy', () => {
  it('shows what is over its budget, and takes the ways that bring it within, and gives them back', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/buying`);
    const budgets = page.getByRole('region', { name: 'Budgets' });
    const ways = page.getByRole('region', { name: 'Ways to spend less' });
    await budgets.getByText(/Lamp shells/).waitFor();
    await budgets.getByText(/over, \d+ %/).waitFor();
    await ways.getByText('Best together').waitFor();
    await ways.getByRole('button', { name: 'Take' }).last().click();
    await page.getByText(/^Taken: /).waitFor();
    await expect.poll(() => budgets.getByText(/over, \d+ %/).count()).toBe(0);
    await page.getByText('proven the cheapest', { exact: true }).waitFor();
    const post = page.getByRole('region', { name: 'Lantern hobby post' });
    expect(await post.getByText(/× Turnstone marram green/).count()).toBe(0);
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await budgets.getByText(/over, \d+ %/).waitFor();
    await post.getByText(/× Turnstone marram green/).waitFor();
    expect(errors).toEqual([]);
    await context.close();
  });

  it('is proven the cheapest, and moves to another shop where this one is out of stock or dearer', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/buying`);
    await page.getByText('proven the cheapest', { exact: true }).waitFor();
    const inShop = (name: string) =>
      page
        .getByRole('region', { name })
        .getByText(/Sanderling satin clear/)
        .first();
    await inShop('Quay hardware').waitFor();
    const line = page.getByRole('listitem').filter({ hasText: '× Sanderling satin clear' });
    await line.getByRole('button', { name: 'out of stock' }).click();
    await inShop('Lantern hobby post').waitFor();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await inShop('Quay hardware').waitFor();
    await page.getByRole('link', { name: 'shops and prices' }).click();
    await page.getByLabel('Price of Sanderling satin clear, 400 mL, Quay hardware').fill('12 USD');
    await page.keyboard.press('Enter');
    await page.getByText('Prices are in EUR here').waitFor();
    await page.getByLabel('Price of Sanderling satin clear, 400 mL, Quay hardware').fill('12,00');
    await page.keyboard.press('Enter');
    await page.getByText('Sanderling satin clear: 12.00 EUR now.').waitFor();
    await page.getByRole('link', { name: 'the list to buy' }).click();
    await inShop('Lantern hobby post').waitFor();
    await page.getByText('proven the cheapest', { exact: true }).waitFor();
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
    await page.goto(`${server.url}/buying/shops`);
    const link = page.getByRole('link', { name: 'Prices as CSV' });
    await link.waitFor();
    const table = decodeURIComponent(((await link.getAttribute('href')) ?? '').replace(/^[^,]*,/, ''));
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
