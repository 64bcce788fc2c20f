import { AxeBuilder } from '@axe-core/playwright';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { goWithin, launchBrowser, openPage, type Running, startServer } from './harness.ts';

let server: Running;
let browser: Browser;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer(true), launchBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

const PLACES = [
  '/',
  '/bench',
  '/pieces',
  '/pieces/new',
  '/board',
  '/shelf',
  '/buying',
  '/colour',
  '/colour/labels',
  '/log',
  '/workshop',
  '/pieces/tram/masking?view=details',
  ...['survey', 'strip', 'coats', 'masking', 'finish', 'dates', 'money', 'record'].map((section) => `/pieces/tram/${section}`),
  '/pieces/lamp/coats',
  '/pieces/crane/survey',
  '/pieces/crane/survey?view=parts&part=jib',
  '/pieces/crane/survey?view=apart',
  '/pieces/crane/strip?view=surface',
  '/pieces/crane/strip?view=gate',
  '/pieces/vane/survey',
  '/pieces/crane/print/card?part=tower',
  '/pieces/crane/print/labels',
  '/pieces/roller/coats?part=drum',
  '/pieces/red-board/coats',
  '/shelf/sheets/dunlin',
];

/** What axe finds at these addresses; the theme changes contrast only, everything else is the same page. */
async function violationsAt(page: Page, places: readonly string[]): Promise<string[]> {
  const found: string[] = [];
  await page.goto(server.url + places[0]);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  for (const place of places) {
    await goWithin(page, place);
    // The dark theme has the same few colours on every screen: the destinations and one piece's sections show all of them.
    for (const theme of PLACES.indexOf(place) < 20 ? ['light', 'dark'] : ['light']) {
      await page.evaluate((name) => {
        document.documentElement.dataset.theme = name;
      }, theme);
      const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
      const { violations } = await (theme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze();
      found.push(...violations.map((violation) => `${place}, ${theme}: ${violation.id} ${violation.nodes[0]?.html}`));
    }
  }
  return found;
}

describe('every destination', () => {
  it('has nothing for axe to find, light or dark', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    const second = await context.newPage();
    second.on('pageerror', (error) => errors.push(error.message));
    const half = Math.ceil(PLACES.length / 2);
    const found = await Promise.all([violationsAt(page, PLACES.slice(0, half)), violationsAt(second, PLACES.slice(half))]);
    expect(found.flat()).toEqual([]);
    expect(errors).toEqual([]);
    await context.close();
  });

  it('is reached by keys alone', async () => {
    const { page, context } = await openPage(browser, server.url);
    await page.getByRole('heading', { name: /Tonight/ }).waitFor();
    await page.keyboard.press('g');
    await page.keyboard.press('d');
    await page.getByRole('heading', { name: 'Drying board' }).waitFor();
    await page.keyboard.press('f');
    await page.getByText('every hour is drawn alike').waitFor();
    await page
      .getByRole('button', { name: /why then/ })
      .first()
      .focus();
    await page.getByText('All its dates').waitFor();
    await page.keyboard.press('Control+k');
    await page.keyboard.type('seaplane');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Seaplane' }).waitFor();
    await page.keyboard.press('?');
    await page.getByText('done, wait, trouble').waitFor();
    await context.close();
  });
});

describe('at the bench', () => {
  it('logs one coat for a double press, offers to correct it, and takes it back', async () => {
    const { page, context } = await openPage(browser, `${server.url}/`, { viewport: { width: 390, height: 844 } });
    await page.goto(`${server.url}/bench`);
    await page.getByRole('heading', { name: 'Coat 2 of 3, Dunlin lock green' }).waitFor();
    await page.getByText('now, and it shuts in').waitFor();
    await page.getByRole('button', { name: /^Done/ }).dblclick();
    await page.getByText('Logged: Coat 2 of 3').waitFor();
    const events = async () =>
      (await (await fetch(`${server.url}/api/workshop`)).json()).facts.events as { kind: string; stepKeys?: string[] }[];
    const coats = async () =>
      (await events()).filter((event) => event.kind === 'done' && event.stepKeys?.[0] === 'roller.frame.coat.green-f.2').length;
    await expect.poll(coats).toBe(1);
    await page.getByRole('button', { name: '−5 min' }).click();
    await expect.poll(coats).toBe(2);
    await expect.poll(async () => (await events()).filter((event) => event.kind === 'undo').length).toBe(1);
    const height = await page.evaluate(() => document.querySelector('button')?.getBoundingClientRect().height ?? 0);
    expect(height).toBeGreaterThan(0);
    for (const name of [/^Done/, /^Wait/, /^Trouble/]) {
      const box = await page.getByRole('button', { name }).boundingBox();
      expect(box?.height).toBeGreaterThanOrEqual(56);
      expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(844);
    }
    await context.close();
  });

  it('waits by key, and stops a coat on trouble', async () => {
    const { page, context } = await openPage(browser, `${server.url}/bench`);
    const heading = page.getByRole('heading', { level: 1 });
    await heading.waitFor();
    const before = await heading.textContent();
    await page.keyboard.press('2');
    await page.getByRole('button', { name: 'Another day' }).click();
    await expect.poll(() => heading.textContent()).not.toBe(before);
    await page.keyboard.press('3');
    await page.getByRole('button', { name: /^Milky/ }).click();
    await page.getByText('Let it cure, then look again').waitFor();
    // A press stands on the page before the server has it.
    await expect
      .poll(async () => (await (await fetch(`${server.url}/api/workshop`)).json()).facts.events)
      .toContainEqual(expect.objectContaining({ kind: 'trouble', sign: 'blushing' }));
    await context.close();
  });
});

describe('planning at the desk', () => {
  it('mends a stop with one press, and undoes it as easily', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/lamp/coats`);
    await page.getByRole('heading', { name: /polystyrene: stop/ }).waitFor();
    await page.getByLabel('Joint').getByRole('button', { name: 'Take' }).first().click();
    await page
      .getByRole('heading', { name: /polystyrene: sits/ })
      .or(page.getByRole('heading', { name: /: care/ }))
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('heading', { name: /polystyrene: stop/ }).waitFor();
    await context.close();
  });

  it('adds, drags and takes out layers, and never under a laid one', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/lamp/coats`);
    const layers = page.getByRole('list', { name: 'Layers, top first' }).getByRole('listitem');
    await layers.first().waitFor();
    expect(await layers.count()).toBe(2);
    await page.getByRole('button', { name: 'Add a layer' }).click();
    await page.getByRole('button', { name: /Plover shell cream/ }).click();
    await expect.poll(() => layers.count()).toBe(3);
    // A colour lands under the clear that closes the stack.
    expect(await layers.nth(1).textContent()).toContain('Plover');
    const handle = page.getByRole('button', { name: 'Move Plover shell cream' });
    await handle.focus();
    await page.keyboard.press('Space');
    await expect.poll(() => handle.getAttribute('aria-pressed')).toBe('true');
    const said = page.locator('[id^=DndLiveRegion]');
    await expect.poll(() => said.textContent()).toContain('over');
    const before = await said.textContent();
    await page.keyboard.press('ArrowUp');
    await expect.poll(() => said.textContent()).not.toBe(before);
    await page.keyboard.press('Space');
    await expect.poll(() => layers.first().textContent()).toContain('Plover');
    await page.getByRole('button', { name: 'Take out Plover shell cream' }).click();
    await expect.poll(() => layers.count()).toBe(2);
    await page.goto(`${server.url}/pieces/tram/coats`);
    expect(await page.getByRole('button', { name: 'Move Turnstone ivory' }).isDisabled()).toBe(true);
    await context.close();
  });

  it('refuses a method that hurts, takes one that only ruins with "I know"', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/crane/strip`);
    const methods = page.getByRole('table').filter({ has: page.getByRole('columnheader', { name: 'Verdict' }) });
    const row = (name: string) => methods.getByRole('row').filter({ hasText: name });
    const never = (name: string) => page.getByLabel('Never here').getByRole('listitem').filter({ hasText: name });
    await never('media blasting').waitFor();
    expect(await never('media blasting').getByRole('button').count()).toBe(0);
    expect(await never('heat gun').getByText('refused').count()).toBe(1);
    await row('alkaline soak').getByRole('button', { name: 'Take' }).click();
    await row('alkaline soak').getByText('planned').waitFor();
    await page.getByRole('button', { name: 'Back to what is advised' }).click();
    await row('solvent gel').getByText('planned').waitFor();
    await context.close();
  });

  it('buys onto the shelf and enters a can in three presses and a volume', async () => {
    const { page, context } = await openPage(browser, `${server.url}/buying`);
    const line = page.getByRole('listitem').filter({ hasText: 'Dunlin buoy red' }).first();
    await line.getByRole('button', { name: 'bought' }).waitFor();
    const open = await page.getByRole('button', { name: 'bought' }).count();
    await line.getByRole('button', { name: 'bought' }).click();
    await expect.poll(() => page.getByRole('button', { name: 'bought' }).count()).toBeLessThan(open);
    await page.goto(`${server.url}/shelf`);
    await page.getByRole('heading', { name: 'Paint shelf' }).waitFor();
    await page.getByRole('button', { name: 'Enter a can' }).click();
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await page.getByText('Say what it is thinned').waitFor();
    await page.getByRole('button', { name: 'Mineral spirit' }).click();
    await page.getByRole('button', { name: 'yellow' }).click();
    await page.getByLabel('Volume').fill('0');
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await page.getByText('above 0 mL').waitFor();
    await page.getByLabel('Volume').fill('5 oz');
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await page.getByText('yellow paint', { exact: true }).first().waitFor();
    await page.getByText('148 mL', { exact: true }).first().waitFor();
    await context.close();
  });

  it('shows a change in another tab', async () => {
    const one = await openPage(browser, `${server.url}/log`);
    const two = await openPage(browser, `${server.url}/log`);
    await one.page.getByRole('textbox', { name: 'A note' }).fill('Tap size 1.6 mm');
    await one.page.getByRole('button', { name: 'Note it' }).click();
    await two.page.getByText('Tap size 1.6 mm').waitFor();
    await one.context.close();
    await two.context.close();
  });

  it('exports the workshop, refuses junk with a reason, and imports what it exported', async () => {
    const { page, context } = await openPage(browser, `${server.url}/workshop`);
    const folder = mkdtempSync(join(tmpdir(), 'enamelos-files-'));
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Export' }).click()]);
    const path = join(folder, 'out.zip');
    await download.saveAs(path);
    const files = unzipSync(new Uint8Array(readFileSync(path)));
    expect(Object.keys(files).filter((name) => name.startsWith('pictures/'))).toHaveLength(8);
    const exported = JSON.parse(strFromU8(files['workshop.json']));
    expect(exported.facts.pieces).toHaveLength(9);
    const junk = join(folder, 'junk.json');
    writeFileSync(junk, strFromU8(files['workshop.json']).slice(0, 500));
    await page.getByLabel('Import a file').setInputFiles(junk);
    await page.getByText('may be cut short').waitFor();
    exported.facts.pieces = exported.facts.pieces.filter((piece: { id: string }) => piece.id !== 'vane');
    writeFileSync(path, zipSync({ ...files, 'workshop.json': strToU8(JSON.stringify(exported)) }));
    await page.getByLabel('Import a file').setInputFiles(path);
    await page.getByText('would replace everything here').waitFor();
    await page.getByRole('button', { name: 'Replace by the file' }).click();
    await page.getByText('Imported.').waitFor();
    await page.goto(`${server.url}/pieces`);
    await page.getByText('7 in hand, 0 finished').waitFor();
    rmSync(folder, { recursive: true, force: true });
    await context.close();
  });

  it('changes units everywhere', async () => {
    const { page, context } = await openPage(browser, `${server.url}/workshop`);
    await page.getByRole('button', { name: '°F' }).click();
    await expect.poll(() => page.getByRole('banner').textContent()).toContain('°F');
    await page.getByRole('button', { name: '°C' }).click();
    await expect.poll(() => page.getByRole('banner').textContent()).toContain('°C');
    await context.close();
  });
});
