import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, momentMs, openPage, type Running, startServer } from '../harness.ts';
import { keepAir, typeReading } from './air.ts';
import { addPiece, freeOn, liveToEnd, mainText, nextMoment, openWith, strippersOf, textOf, Verdicts } from './living.ts';

/** Job 04: a cast-iron bench vice; what lead forbids, and a cold Saturday. */

let browser: Browser;
let server: Running;
const said = new Verdicts('04');
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(false)];
  await openWith(browser, server, ['Wed', 'Sat']);
});
afterAll(async () => {
  said.print();
  await browser.close();
  await server.stop();
  server.remove();
});

const RAISES_DUST = ['brass or wire brush', 'media blasting'] as const;

/** The laboratory’s answer, where the walk round it asks for it. */
async function clearedOfLead(page: Page, piece: string): Promise<void> {
  await page.goto(`${piece}/survey?view=walk`);
  await page.getByRole('button', { name: 'None of these' }).click();
  await page.getByRole('region', { name: 'Walk round it' }).getByRole('button', { name: 'A laboratory cleared it' }).click();
  await page.getByText('cleared of lead').waitFor();
}

describe('job 04', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await freeOn(page, server, ['Wednesday', 'Saturday'], '18:00', '21:00');
    await keepAir(page, server, 'Spare room', '13', '70');
    const vice = await addPiece(page, server, { name: 'Bench vice', side: '280 mm', looks: 'something else', colours: ['dark grey'] });
    await page.goto(`${vice}/survey?view=parts`);
    await page
      .locator('label', { hasText: /^Material/ })
      .getByRole('combobox')
      .selectOption('cast-iron');
    await page.getByRole('button', { name: 'Flaking', exact: true }).click();

    const before = await strippersOf(page, vice);
    for (const method of RAISES_DUST) expect(before.never).toContain(`${method}: lead in the old paint is not excluded`);
    expect(before.offered).toContain('wet sanding');
    await clearedOfLead(page, vice);
    const after = await strippersOf(page, vice);
    for (const method of RAISES_DUST) expect(after.offered).toContain(method);
    expect(after.never).toContain('heat gun');
    said.holds('1', `${before.never.replace(/\s+/g, ' ').slice(0, 120)} … offered after the answer`);

    await liveToEnd(browser, server, vice, { until: (title) => /Coat 1 of/.test(title) });
    const cold = await openPage(browser, `${server.url}/workshop`);
    await typeReading(cold.page, server, '7', '70', 'until the next one');
    await cold.page.goto(`${vice}/dates`);
    await cold.page.getByRole('heading', { name: 'No end as it stands' }).waitFor();
    expect(await mainText(cold.page)).not.toContain('Nothing is left to do');
    await typeReading(cold.page, server, '7', '70', 'for a day');
    const counted = cold.page.getByText(/It counts until (?!the next one)/).first();
    await counted.waitFor();
    const counts = await textOf(counted);
    const heads: string[] = [];
    for (const place of ['/', `${vice.slice(server.url.length)}/dates`]) {
      await cold.page.goto(`${server.url}${place}`);
      const head = cold.page.getByRole('banner');
      await head.getByText('7.0 °C').waitFor();
      heads.push(await textOf(head));
      expect(await mainText(cold.page), place).not.toContain('13.0 °C');
    }
    await cold.page.goto(`${server.url}/bench`);
    await cold.page.getByText(/^may start in/).waitFor();
    const [atBench = '', moment = ''] = /Next, (\w+ \d+ \w+ \d\d:\d\d)/.exec(await mainText(cold.page)) ?? [];
    const next = await nextMoment(cold.page, vice);
    expect(Date.parse(next ?? '')).toBeGreaterThan(momentMs());
    expect(moment.slice(-5)).toBe(next?.slice(11, 16));
    expect(await mainText(cold.page)).toMatch(/No coat in Spare room on [^\n]*7\.\d °C is outside/);
    expect(await mainText(cold.page)).toContain(moment.slice(0, -6));
    said.holds('8 (two screens)', `${counts} … ${heads.join(' | ')} … at the bench: ${atBench}; the coat next ${next}`);
    for (const [point, why] of [
      ['2', 'soak, prep and blasting set beside each other with money: issue 25'],
      ['3', 'the acid drink: issue 25'],
      ['4', 'a grit for one face alone: not acted out here'],
      ['5 (ruin)', 'faces that stay bare and are oiled last: not acted out here'],
      ['6 (ruin)', 'etch over phosphate: not acted out here'],
      ['7', 'the tin without a label: not acted out here'],
      ['9', 'the hook, and a day earlier refused: not acted out here'],
      ['10 (record)', 'the record: issue 27'],
    ] as const)
      said.waits(point, why);
    await cold.context.close();
    expect(errors).toEqual([]);
    await context.close();
  });
});
