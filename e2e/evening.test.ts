import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { DoneEvent, Facts, LogEvent } from '#core/facts/index';
import { toMinute } from '#core/units/index';
import { launchBrowser, openBench, openPage, type Running, startServer } from './harness.ts';

/** Many pieces and one person: an evening of batches at the bench, and steps put elsewhere on the drying board. */

let server: Running;
let empty: Running;
let browser: Browser;
beforeAll(async () => {
  [server, empty, browser] = await Promise.all([startServer(true), startServer(false), launchBrowser()]);
});
afterAll(async () => {
  await browser.close();
  for (const own of [server, empty]) {
    await own.stop();
    own.remove();
  }
});

const facts = async (): Promise<Facts> => (await (await fetch(`${server.url}/api/workshop`)).json()).facts;
const pins = async () => (await facts()).agreed[0]?.pins ?? {};
const settled = (page: Page) => page.getByText(/the best of \d+ orders tried/).waitFor();

describe('the drying board', () => {
  it('refuses a step where it cannot go, pins it where it can, says what moves, and is undone', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/board`);
    await page.getByRole('heading', { name: 'Drying board' }).waitFor();
    await settled(page);
    const bar = page.getByRole('button', { name: /^Coat 1 of 3, Turnstone estuary blue, Tram no. 7, body/ });
    const { x, y, width, height } = (await bar.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };

    // Into the night: refused at once, and again when it is let go.
    const stays = await page.getByRole('group', { name: 'Drying board' }).locator('rect[fill="var(--quiet)"]').first().boundingBox();
    await page.mouse.move(x + width / 2, y + height / 2);
    await page.mouse.down();
    await page.mouse.move((stays?.x ?? 0) + (stays?.width ?? 0) / 2, y + height / 2, { steps: 8 });
    await page.getByText('Not here.').waitFor();
    await page.mouse.up();
    await page.getByText('Left where it was.').waitFor();
    expect(await pins()).toEqual({});

    // By keys, two stays on: what it moves is said before it is put there.
    await bar.focus();
    await page.keyboard.press('Space');
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await page.getByText(/go(es)? to another stay with it|Nothing else moves/).waitFor();
    await page.keyboard.press('Space');
    await page.getByText(/^Pinned to/).waitFor();
    const [key] = Object.keys(await pins());
    expect(key).toContain('tram.body.coat');
    const pinned = page.getByRole('button', { name: /^Coat 1 of 3, Turnstone estuary blue, Tram no. 7, body.*pinned/ });
    await pinned.waitFor();

    // Why then, what would start it sooner, and the pin out again.
    await page.mouse.move(2, 2);
    // A plan that is found meanwhile draws the bars anew: the card is asked for again.
    const onCard = async (name: string, done: (pressed: boolean) => Promise<boolean>) => {
      let pressed = false;
      for (let tries = 0; tries < 5 && !(await done(pressed)); tries++) {
        await pinned.blur({ timeout: 3000 }).catch(() => undefined);
        await pinned.focus({ timeout: 3000 }).catch(() => undefined);
        pressed = await page
          .getByRole('button', { name })
          .press('Enter', { timeout: 3000 })
          .then(() => true)
          .catch(() => false);
      }
      expect([name, await done(pressed)]).toEqual([name, true]);
    };
    await onCard('What would start it sooner?', async (pressed) => pressed);
    await onCard('Take the pin out', async () => Object.keys(await pins()).length === 0);
    await expect.poll(pins).toEqual({});
    expect(errors).toEqual([]);
    await context.close();
  });
});

/** Tonight once no better evening is looked for any more: the board says so. */
async function laidOut(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Drying board' }).click();
  await settled(page);
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
}

/** Two bare castings that take the same primer, added by what they look like. */
async function addCasting(page: Page, name: string): Promise<void> {
  await page.goto(`${empty.url}/pieces/new`);
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
  await page.getByRole('button', { name: /cast body/i }).click();
  await page.getByLabel(/longest side/i).fill('70 mm');
  await page.getByRole('button', { name: 'Bare', exact: true }).click();
  await page.getByRole('button', { name: 'Add it with this plan' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

describe('an evening', () => {
  it('does the same work on two pieces in one go at the bench, and takes it back together', async () => {
    await openBench(browser, empty);
    const { page, context, errors } = await openPage(browser, empty.url);
    for (const name of ['Bollard one', 'Bollard two']) await addCasting(page, name);
    const known = async (): Promise<Facts> => (await (await fetch(`${empty.url}/api/workshop`)).json()).facts;
    const done = async () => (await known()).events.filter((event): event is DoneEvent => event.kind === 'done');

    await page.goto(empty.url);
    await laidOut(page);
    const row = page.getByRole('listitem').filter({ hasText: 'Bollard one' }).filter({ hasText: 'Bollard two' });
    await row.filter({ hasText: 'Wash and degrease' }).waitFor();
    await page.getByText(/Part by part it would be \d+ min of work/).waitFor();

    await page.getByRole('link', { name: /at the bench/ }).click();
    const who = () => page.getByRole('main').locator('p.text-lead').first().textContent();
    for (let apart = 1; apart <= 2; apart++) {
      await page.getByRole('heading', { level: 1, name: /take apart/ }).waitFor();
      const whose = await who();
      await page.keyboard.press('1');
      await expect.poll(async () => (await done()).length).toBe(apart);
      await expect.poll(who).not.toBe(whose);
    }
    // Back at the desk the rest of the evening is laid out anew.
    await page.getByRole('link', { name: /^Tonight/ }).click();
    await laidOut(page);
    await row.filter({ hasText: 'Wash and degrease' }).waitFor();
    await page.getByRole('link', { name: /at the bench/ }).click();
    await expect.poll(who).toMatch(/Bollard \w+ .* and pegs .*Bollard \w+ /);
    await page.getByRole('heading', { level: 1, name: 'Wash and degrease' }).waitFor();
    await page.getByRole('button', { name: /^Done/ }).click();
    await expect.poll(async () => (await done()).length).toBe(4);
    const [one, two] = (await done()).slice(-2).sort((a, b) => a.at.localeCompare(b.at));
    expect(one.pieceId).not.toBe(two.pieceId);
    expect(toMinute(two.at)).toBeGreaterThan(toMinute(one.at));

    await page.getByRole('button', { name: 'Undo' }).click();
    const undone = async () => (await known()).events.flatMap((event: LogEvent) => (event.kind === 'undo' ? [event.undoes] : []));
    await expect.poll(undone).toEqual(expect.arrayContaining([one.id, two.id]));
    await page.getByRole('heading', { level: 1, name: 'Wash and degrease' }).waitFor();
    expect(errors).toEqual([]);
    await context.close();
  });
});
