import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayAhead, launchBrowser, openBench, openPage, type Running, startServer, typeMoment } from './harness.ts';

let server: Running;
let browser: Browser;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer(false), launchBrowser()]);
  await openBench(browser, server);
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

type Stored = { facts: { pieces: { id: string; name: string; parts: { id: string; name: string }[] }[]; events: LoggedEvent[] } };
type LoggedEvent = { kind: string; pieceId?: string; at: string; stepKeys?: string[]; on?: { partId: string }[] };
const stored = async (): Promise<Stored> => (await fetch(`${server.url}/api/workshop`)).json();
const idOf = (page: Page) => page.url().split('/pieces/')[1].split('/')[0];

/** Presses whatever the bench asks for until nothing of the piece is left; returns the titles in their order. */
async function workOff(page: Page, until: (title: string) => boolean): Promise<string[]> {
  const titles: string[] = [];
  await page.goto(`${server.url}/bench`);
  for (let step = 0; step < 60; step++) {
    const heading = page.getByRole('heading', { level: 1 });
    await heading.waitFor();
    const title = (await heading.textContent()) ?? '';
    if (title === 'That is all for now' || until(title)) return [...titles, title];
    titles.push(title);
    const asked = page.getByRole('button', { name: /^(Better: go on|All off|Apart, so)$/ });
    await ((await asked.count()) > 0 ? asked.first() : page.getByRole('button', { name: /^Done/ })).click();
    await page.getByText(`Logged: ${title}`).waitFor();
    await page.goto(`${server.url}/bench`);
  }
  throw new Error(`It never ended: ${titles.join(' / ')}`);
}

describe('whole jobs', () => {
  it('gives the hours for tape, for covering and for handling of last night’s clear', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    await page.getByLabel('Name', { exact: true }).fill('Signal lamp');
    await page.getByLabel('Longest side').fill('60 mm');
    await page.getByRole('button', { name: 'red', exact: true }).click();
    await page.getByRole('button', { name: 'Cleared' }).click();
    const lastNight = `${dayAhead(-1)}T21:00`;
    await typeMoment(page, 'Last coat went on', lastNight);
    await page.getByRole('button', { name: 'Add it with this plan' }).click();
    await page.getByRole('link', { name: /^Dates/ }).click();
    const hanging = page.getByLabel('Hanging now');
    for (const stage of ['takes tape and sheeting', 'may be coated', 'may be handled']) {
      const hour = await hanging.locator(`dt:text-is("${stage}") + dd`).first().textContent();
      expect([stage, hour]).toEqual([stage, expect.stringMatching(/\d\d:\d\d$/)]);
    }
    await page.getByRole('link', { name: /^Record/ }).click();
    await page.getByText('21:00', { exact: false }).first().waitFor();
    await page.getByRole('button', { name: 'Another time' }).first().click();
    await typeMoment(page, 'It happened at', '2091-01-01T20:00');
    await page.getByText('still to come').waitFor();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByRole('link', { name: /^Finish and fit/ }).click();
    await page.getByRole('button', { name: 'It is finished' }).click();
    await context.close();
  });

  it('preserves a tinplate toy from add to finish: nothing stripped, filled or painted over', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    await page.getByLabel('Name', { exact: true }).fill('Clockwork hen');
    await page.getByLabel('Longest side').fill('110 mm');
    await page.getByRole('button', { name: 'tinplate toy' }).click();
    await page.getByRole('button', { name: 'Preserve' }).click();
    await page.getByRole('button', { name: 'Add it with this plan' }).click();
    await page.getByRole('heading', { level: 1, name: 'Clockwork hen' }).waitFor();
    const id = idOf(page);
    const titles = await workOff(page, () => false);
    expect(titles.length).toBeGreaterThan(3);
    expect(titles.join(' ')).toContain('corner');
    expect(titles.join(' ')).not.toMatch(/strip|gel|scuff|sand|fill|prim|coat \d/i);
    await expect.poll(async () => (await stored()).facts.events).toContainEqual(expect.objectContaining({ kind: 'corner', pieceId: id }));
    await page.goto(`${server.url}/pieces/${id}/finish`);
    await page.getByRole('button', { name: 'It is finished' }).click();
    await page.getByRole('link', { name: /Dates finished/ }).waitFor();
    await context.close();
  });

  it('scuffs and primes sound factory paint, its five parts washed in one press', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    await page.getByLabel('Name', { exact: true }).fill('Fire engine');
    await page.getByLabel('Longest side').fill('150 mm');
    await page.getByRole('button', { name: 'pressed-steel toy' }).click();
    await page.getByRole('button', { name: 'red', exact: true }).click();
    await page.getByRole('button', { name: 'Add it with this plan' }).click();
    await page.getByRole('heading', { level: 1, name: 'Fire engine' }).waitFor();
    const id = idOf(page);
    await page.goto(`${server.url}/pieces/${id}/survey?view=parts`);
    const tree = page.getByLabel('Parts', { exact: true });
    for (let parts = 3; parts < 5; parts++) {
      await page.getByRole('button', { name: 'Add a part' }).click();
      await expect.poll(() => page.getByLabel('Name of the part').inputValue()).toBe('New part');
      await page.getByLabel('Name of the part').fill(`Ladder ${parts}`);
      await page.getByLabel('Name of the part').blur();
      await page
        .locator('label', { hasText: /^Material/ })
        .getByRole('combobox')
        .selectOption('steel');
      await tree.getByText(`Ladder ${parts}`, { exact: true }).waitFor();
    }
    for (const { name } of (await stored()).facts.pieces.find((piece) => piece.id === id)?.parts ?? []) {
      await tree.getByText(name, { exact: true }).click();
      // The page of the part before still stands for a moment.
      await expect.poll(() => page.getByLabel('Name of the part').inputValue()).toBe(name);
      await page.getByRole('button', { name: 'Sound', exact: true }).click();
      await page.getByRole('button', { name: 'Baked factory enamel' }).click();
      await expect
        .poll(async () =>
          JSON.stringify((await stored()).facts.pieces.find((piece) => piece.id === id)?.parts.find((part) => part.name === name)),
        )
        .toMatch(/"finish":"sound".*"oldPaint":"baked-enamel"/);
    }
    const titles = await workOff(page, (title) => /^Coat 1 of/.test(title));
    expect(titles.at(-1)).toContain('primer');
    expect(titles.join(' ')).not.toMatch(/gel|soak|Old paint off/);
    expect(titles.join(' ')).toMatch(/scuff/i);
    const washed = async () =>
      (await stored()).facts.events
        .filter((event) => event.pieceId === id && event.stepKeys?.some((key) => key.includes('.wash.')))
        .map((event) => event.on?.length);
    await expect.poll(washed).toEqual([5]);
    await context.close();
  });
});
