import { AxeBuilder } from '@axe-core/playwright';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { goWithin, launchBrowser, openPage, type Running, startServer, tabTo } from './harness.ts';

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

describe('without a mouse', () => {
  it('opens a bench, adds a piece, and logs its first step', async () => {
    const { page, context } = await openPage(browser, server.url);
    await page.getByRole('heading', { name: 'Open your bench' }).waitFor();
    await tabTo(page, /^Wed/, 'Space');
    await tabTo(page, /^Open the bench$/);
    await page.getByText('The bench is empty').waitFor();
    await page.keyboard.press('n');
    await page.getByRole('heading', { name: 'Add a piece' }).waitFor();
    await page.keyboard.type('Tin whistle stand');
    await page.keyboard.press('Tab');
    await page.keyboard.type('180');
    await tabTo(page, /^sheet case$/, 'Space');
    await tabTo(page, /^maroon$/, 'Space');
    await page.getByLabel('What it will take').getByText('Evenings').waitFor();
    await tabTo(page, /^Add it with this plan$/);
    await page.getByRole('heading', { name: 'Tin whistle stand' }).waitFor();
    await page.goto(`${server.url}/bench`);
    await page.getByRole('button', { name: /^Done/ }).waitFor();
    await page.keyboard.press('1');
    await page.getByText(/^Logged: Photograph/).waitFor();
    await tabTo(page, /^Undo$/);
    await expect
      .poll(async () =>
        (await (await fetch(`${server.url}/api/workshop`)).json()).facts.events.map((event: { kind: string }) => event.kind),
      )
      .toEqual(['done', 'undo']);
    await context.close();
  });

  it('divides a part for a second colour, insists on an order, and agrees the dates', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces`);
    await page
      .getByRole('link', { name: /Tin whistle stand/ })
      .first()
      .click();
    await page.getByRole('link', { name: /^Masking/ }).click();
    await tabTo(page, /^front, rear$/, 'Space');
    await tabTo(page, /^Divide$/);
    await page.getByRole('heading', { name: /: 2 zones$/ }).waitFor();
    await tabTo(page, /^maroon$/);
    await tabTo(page, /^black$/, 'Space');
    await page.keyboard.press('Escape');
    await page.getByRole('heading', { name: 'What the order costs' }).waitFor();
    const first = page.getByLabel('Order of colours').getByRole('listitem').first();
    const before = await first.textContent();
    await tabTo(page, /^Insist on that$/);
    await page.getByRole('button', { name: 'Back to the cheapest order' }).waitFor();
    await expect.poll(() => first.textContent()).not.toBe(before);
    await page.getByRole('link', { name: /^Dates/ }).click();
    await page.getByRole('button', { name: 'Agree these dates' }).click();
    await page.getByText(/^Agreed\./).waitFor();
    await expect
      .poll(async () => {
        const { facts } = await (await fetch(`${server.url}/api/workshop`)).json();
        return Object.keys(facts.agreed[0]?.starts ?? {}).length;
      })
      .toBeGreaterThan(10);
    await context.close();
  });

  it('makes a wanted paint an owned one when it is bought', async () => {
    const { page, context } = await openPage(browser, `${server.url}/buying`);
    const line = page.getByRole('listitem').filter({ hasText: 'maroon' }).first();
    await line.waitFor();
    await line.getByRole('button', { name: 'bought' }).click();
    await expect.poll(() => page.getByRole('listitem').filter({ hasText: '× maroon' }).count()).toBe(0);
    await page.goto(`${server.url}/shelf`);
    await page.getByText('maroon', { exact: true }).first().waitFor();
    await page
      .getByText(/lasts, .* to spare/)
      .first()
      .waitFor();
    await context.close();
  });

  it('puts two changes together, and asks where both say something else', async () => {
    const { page, context } = await openPage(browser, `${server.url}/workshop`);
    await page.getByRole('heading', { name: 'Free hours' }).waitFor();
    // This tab hears nothing of the other until it saves itself.
    await page.addInitScript(() => {
      Object.assign(window, { SharedWorker: undefined, EventSource: class {} });
    });
    await page.reload();
    await page.getByRole('heading', { name: 'Free hours' }).waitFor();
    const workshop = async () => {
      const { facts, revisions } = await (await fetch(`${server.url}/api/workshop`)).json();
      return { value: facts.workshop[0], revision: revisions['workshop/workshop'] };
    };
    const elsewhere = async (change: object) => {
      const { value, revision } = await workshop();
      await fetch(`${server.url}/api/facts/workshop/workshop`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ revision, value: { ...value, ...change } }),
      });
    };
    await elsewhere({ name: 'From the other tab' });
    await page.getByRole('button', { name: 'inches' }).click();
    await expect.poll(async () => (await workshop()).value).toMatchObject({ name: 'From the other tab', units: { length: 'in' } });
    await page.getByRole('heading', { name: 'From the other tab' }).waitFor();
    await elsewhere({ touchUpMl: 33 });
    await page.getByRole('button', { name: 'none', exact: true }).click();
    const asked = page.getByRole('dialog');
    await asked.getByRole('cell', { name: '33' }).waitFor();
    await asked.getByRole('button', { name: 'What is elsewhere stands' }).click();
    await asked.waitFor({ state: 'detached' });
    await expect.poll(async () => (await workshop()).value.touchUpMl).toBe(33);
    await context.close();
  });
});

describe('on a phone', () => {
  it('scrolls no page of a piece, nor sheet, workshop or colours, sideways', async () => {
    const { page, context } = await openPage(browser, server.url, { viewport: { width: 390, height: 844 } });
    const { facts } = await (await fetch(`${server.url}/api/workshop`)).json();
    const [{ id }] = facts.pieces;
    for (const place of [
      `/pieces/${id}/strip`,
      `/pieces/${id}/coats`,
      `/pieces/${id}/masking`,
      `/pieces/${id}/masking?view=details`,
      `/pieces/${id}/finish`,
      `/pieces/${id}/survey?view=parts`,
      `/pieces/${id}/money`,
      `/pieces/${id}/record`,
      '/log',
      `/shelf/sheets/${facts.sheets[0].id}`,
      '/workshop',
      '/colour',
    ]) {
      await goWithin(page, place);
      expect([place, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([place, 390]);
    }
    await context.close();
  });

  it('shows Tonight and the bench without sideways scrolling, and axe finds nothing', async () => {
    const { page, context } = await openPage(browser, server.url, { viewport: { width: 390, height: 844 } });
    for (const place of ['/', '/bench', '/pieces']) {
      await goWithin(page, place);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze();
      expect(violations.map((violation) => `${place}: ${violation.id} ${violation.nodes[0]?.html}`)).toEqual([]);
    }
    await context.close();
  });

  it('makes a shorter evening when there is less time, and says so when nothing fits', async () => {
    const { page, context } = await openPage(browser, server.url);
    await page.getByRole('button', { name: '20 min' }).click();
    await page.getByText('Nothing fits into 20 minutes now').waitFor();
    await page.getByRole('button', { name: '90 min' }).click();
    await page.getByRole('heading', { name: /^Tonight/ }).waitFor();
    const rows = page.locator('section[aria-labelledby=tonight] ol > li');
    await expect.poll(() => rows.count()).toBeGreaterThan(2);
    await context.close();
  });
});
