import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { goWithin, keepOnly, launchBrowser, openPage, type Running, startServer } from './harness.ts';

/** One figure on two screens is one figure: read side by side off the demo, as a person with two windows would. */

let browser: Browser;
let server: Running;
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(true)];
  await keepOnly(server, 'tram');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

const textOf = async (page: Page, place: string, ready: string | RegExp): Promise<string> => {
  await goWithin(page, place);
  await page.locator('main').getByText(ready).first().waitFor();
  // biome-ignore lint/performance/useDomNodeTextContent: what is read is what is seen, words apart as they stand.
  return (await page.locator('main').innerText()).replace(/\s+/g, ' ');
};
const found = (text: string, what: RegExp): string => {
  const [, ...groups] = what.exec(text) ?? [];
  expect(groups.length, `${what} in ${text.slice(0, 600)}`).toBeGreaterThan(0);
  return groups.join(' ');
};

describe('what two screens say of one thing', () => {
  it('is the same: paint, tape, money, dates and the next step', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/buying`);
    await page.getByText('proven the cheapest', { exact: true }).waitFor();
    const buying = await textOf(page, '/buying', 'Budgets');
    const shelf = await textOf(page, '/shelf', 'Turnstone estuary blue');
    const pieces = await textOf(page, '/pieces', 'Tram no. 7');
    const money = await textOf(page, '/pieces/tram/money', 'All pieces need');
    const masking = await textOf(page, '/pieces/tram/masking', 'Tape on, tape off');
    const dates = await textOf(page, '/pieces/tram/dates', 'Hanging now');
    const coats = await textOf(page, '/pieces/tram/coats', 'Paint for it');

    // What a paint takes of its cans: shelf, Money and the list.
    const needed = found(money, /Turnstone estuary blue [\d.]+ mL ([\d.]+ mL)/);
    expect(found(shelf, /Turnstone estuary blue.*?Plans take ([\d.]+ mL)/)).toBe(needed);
    expect(found(buying, /Turnstone estuary blue [\d.]+ mL of ([\d.]+ mL)/)).toBe(needed);
    expect(found(coats, /Turnstone estuary blue [\d.]+ mL in all ([\d.]+ mL)/)).toBe(needed);

    // Tape, spare in it, with whole tenths of a metre: Masking, Money and the list.
    const tape = found(masking, /fine line 3 mm, ([\d.]+ m), 15 % spare/);
    expect(found(money, /Tape, fine line 3 mm ([\d.]+ m)/)).toBe(tape);
    expect(found(buying, /Tape, fine line 3 mm.*?([\d.]+ m) wanted/)).toBe(tape);

    // Bought, planned, with rework: pieces, Money, the budgets.
    const spent = found(money, /([\d.]+ EUR bought, (?:about )?[\d.]+ EUR planned, with rework (?:about )?[\d.]+ EUR)/);
    expect(pieces).toContain(spent);

    // Likely and safe, and what comes next: pieces and every section of the job sheet.
    const likely = found(dates, /(likely \w+ \d+ \w+, safe \w+ \d+ \w+)/i).toLowerCase();
    for (const text of [pieces, masking, money, coats]) expect(text.toLowerCase()).toContain(likely);
    const clock = found(dates, /(\d\d:\d\d) Mask waist line and upper/);
    expect(found(pieces, /Next Mask waist line and upper, (?:\w{3} \d+ \w{3} )?(\d\d:\d\d)/)).toBe(clock);
    expect(found(masking, /(\d\d:\d\d) Mask waist line and upper/)).toBe(clock);
    expect(errors).toEqual([]);
    await context.close();
  });
});
