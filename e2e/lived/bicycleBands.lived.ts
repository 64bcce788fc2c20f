import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openPage, type Running, startServer } from '../harness.ts';
import { addPiece, openWith, stepsSaid, textOf, Verdicts } from './living.ts';

/** Job 11, its bands: black bands under clear, levelled with P1000, P2000 and compound. */

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

describe('job 11, its bands', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    const piece = await addPiece(page, server, {
      name: 'Frame tube',
      side: '560 mm',
      looks: 'something else',
      colours: ['green'],
      where: 'Bare',
    });
    await page.goto(`${piece}/masking`);
    await page.getByRole('button', { name: 'by a stripe' }).click();
    await page.getByLabel('width of the stripe').fill('20 mm');
    await page.getByRole('button', { name: 'Divide', exact: true }).click();
    await page.getByRole('heading', { name: /: 3 zones$/ }).waitFor();
    await page.getByRole('button', { name: 'Stripe', exact: true }).click();
    await page.getByRole('button', { name: 'green' }).first().click();
    await page.getByRole('button', { name: 'black', exact: true }).click();
    await page.keyboard.press('Escape');

    await page.goto(`${piece}/coats`);
    const step = page
      .getByRole('region', { name: 'Level the edges' })
      .getByText(/Stripe.*µm high/)
      .first();
    await step.waitFor();
    const stepText = await textOf(step);
    expect(stepText).toMatch(/\d+ µm high/);
    await page.getByRole('button', { name: /^polish stripe/ }).click();
    const polish = page.getByRole('group', { name: 'Polish of Stripe' });
    for (const [paper, wanted] of [
      ['P1000', 'true'],
      ['P1500', 'false'],
      ['P2000', 'true'],
    ] as const) {
      const press = polish.getByRole('button', { name: paper, exact: true });
      if ((await press.getAttribute('aria-pressed')) !== wanted) await press.click();
      await expect.poll(() => press.getAttribute('aria-pressed')).toBe(wanted);
    }
    const left = page.getByText(/stay on flats/).first();
    await left.waitFor();
    const flats = await textOf(left);
    const [, um, stays] = /Of ([\d.]+) µm .* ([\d.]+) µm stay on flats/s.exec(flats) ?? [];
    // P1000, P2000 and compound take 9.5 µm.
    expect(Number(um) - Number(stays)).toBeCloseTo(9.5, 6);
    const buried = page.getByRole('region', { name: 'Level the edges' });
    await buried.locator('summary').first().click();
    await buried
      .getByText(/4 coats .* in all, 48\.5 µm, then P1000, P2000 and compound, flats only/)
      .first()
      .waitFor();
    await polish.getByRole('button', { name: 'edges too' }).click();
    const withEdges = buried.getByText(/6 coats .* in all, 67\.5 µm, then P1000, P2000 and compound, edges too/).first();
    await withEdges.waitFor();
    const more = await textOf(withEdges);
    const edges = page.getByText(/µm on edges/).first();
    await edges.waitFor();
    const [, onEdges] = /and ([\d.]+) µm on edges/.exec(await textOf(edges)) ?? [];
    expect(Math.max(0, Number(um) - 3 * 9.5)).toBeCloseTo(Number(onEdges), 6);

    const steps = await stepsSaid(page, piece);
    for (const words of [/P1000/, /P2000/, /[Pp]olish|[Cc]ompound/])
      expect(
        steps.filter((own) => words.test(own) && /\d+ min/.test(own)),
        String(words),
      ).not.toEqual([]);
    said.holds('6', `${stepText}; ${more}; ${steps.filter((own) => /P1000|P2000|[Pp]olish/.test(own)).join(' | ')}`);
    expect(errors).toEqual([]);
    await context.close();
  });
});
