import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Layer, LogEvent, Part, Piece } from '#core/facts/index';
import { newPart, newPiece } from '#core/facts/index';
import sharp from 'sharp';
import { keepOnly, launchBrowser, momentMs, openPage, type Running, startServer, tabTo } from './harness.ts';

/** Coats, sheets, boards and air as a restorer meets them. */

let browser: Browser;
let server: Running;
let folder = '';

beforeAll(async () => {
  browser = await launchBrowser();
  server = await startServer(true);
  folder = mkdtempSync(join(tmpdir(), 'enamelos-files-'));
  await keepOnly(server, 'tram', 'roller', 'crane', 'balance', 'lamp', 'red-board');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
  rmSync(folder, { recursive: true, force: true });
});

const facts = async () => (await (await fetch(`${server.url}/api/workshop`)).json()).facts;
const send = (method: string, path: string, body: object) =>
  fetch(server.url + path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** A bell buoy with fresh lacquer primer, an enamel to follow; primed at the moment given. */
async function primedBuoy(at: Date): Promise<void> {
  const wanted = (family: 'lacquer-primer' | 'acrylic-enamel', role: 'fine-primer' | 'colour') => ({
    family,
    role,
    name: family,
    lab: { l: 60, a: 0, b: 0 },
  });
  const buoy: Piece = newPiece({
    id: 'buoy',
    name: 'Bell buoy',
    looksLike: 'cast-body',
    longestMm: 90,
    createdAt: at.toISOString(),
    leadExcluded: true,
    parts: [
      newPart({
        id: 'bell',
        name: 'Bell',
        material: 'zinc',
        pegs: [30],
        faces: [{ id: 'f', zoneId: 'all', longMm: 90, shortMm: 40, count: 5, seen: true }],
        layers: [
          { id: 'primer', wanted: wanted('lacquer-primer', 'fine-primer'), coats: 1, covers: 'all' },
          { id: 'enamel', wanted: wanted('acrylic-enamel', 'colour'), coats: 2, covers: 'all' },
        ],
      }),
    ],
  });
  const coat: LogEvent = {
    id: 'buoy-primed',
    at: at.toISOString(),
    kind: 'done',
    pieceId: 'buoy',
    stepKeys: ['buoy.bell.coat.primer.1'],
    on: [{ partId: 'bell', zoneIds: ['all'] }],
    coat: {
      layerId: 'primer',
      name: 'primer',
      family: 'lacquer-primer',
      role: 'fine-primer',
      lab: { l: 60, a: 0, b: 0 },
      hand: 'aerosol',
      filmUm: 12,
      placeId: 'shed',
    },
  };
  expect((await send('PUT', '/api/facts/pieces/buoy', { revision: 0, value: buoy })).status).toBe(200);
  expect((await send('POST', '/api/events', { events: [coat] })).status).toBe(200);
}

describe('a stack', () => {
  it('that fails now and sits later is told apart', async () => {
    const noon = new Date(Math.floor(momentMs() / 60_000) * 60_000);
    await primedBuoy(new Date(noon.getTime() - 25 * 60_000));
    const verdictAt = async (moment: Date) => {
      const { page, context } = await openPage(browser, 'about:blank');
      await page.clock.setFixedTime(moment);
      await page.goto(`${server.url}/pieces/buoy/coats`);
      await page.getByRole('button', { name: 'acrylic-enamel', exact: true }).first().click();
      const said = await page.getByLabel('Joint').getByText('If it went on now', { exact: false }).textContent();
      const heading = await page.getByLabel('Joint').getByRole('heading').first().textContent();
      await context.close();
      return { said, heading };
    };
    const now = await verdictAt(noon);
    expect(now.said).toContain('on a fresh film: stop');
    expect(now.heading).toContain('sits');
    const bedtime = await verdictAt(new Date(noon.getTime() + 11 * 3_600_000));
    expect(bedtime.said).toContain('sits');
  });

  it('is mended with the days and money said first, kept as a system and used again', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/lamp/coats`);
    await page.getByRole('button', { name: /^Take: hobby acrylic, water type instead/ }).waitFor();
    await page
      .getByText(/then it is: sits/)
      .first()
      .waitFor();
    await page.getByLabel('Keep this stack as').fill('Lamp green');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await page.getByRole('button', { name: 'Take the system: Lamp green' }).waitFor();
    await page.getByRole('button', { name: /^Take: hobby acrylic, water type instead/ }).click();
    await page
      .getByRole('link', { name: /^Coats/ })
      .getByText('would not sit')
      .waitFor({ state: 'detached' });
    await context.close();
  });

  it('counts every quick press, and a double click as one', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/pieces/lamp/coats?part=trim`);
    const trim = async () =>
      (await facts()).pieces.find((piece: Piece) => piece.id === 'lamp')?.parts.find((part: Part) => part.id === 'trim');
    const layers = async () => (await trim())?.layers ?? [];
    const more = page.getByRole('button', { name: /^More coats of/ }).first();
    await more.waitFor();
    const before = await layers();
    const top = before.at(-1)?.coats ?? Number.NaN;
    for (const apart of [0, 150, 600]) {
      await more.click();
      await page.waitForTimeout(apart);
    }
    await expect.poll(async () => (await layers()).at(-1)?.coats).toBe(top + 3);
    const fewer = page.getByRole('button', { name: /^Fewer coats of/ }).first();
    for (let press = 0; press < 3; press++) await fewer.click();
    await expect.poll(async () => (await layers()).at(-1)?.coats).toBe(top);
    const repeat = page.getByRole('button', { name: /^Repeat .* on top$/ }).first();
    await repeat.dblclick();
    await expect.poll(async () => (await layers()).length).toBe(before.length + 1);
    await repeat.click();
    await page.waitForTimeout(600);
    await repeat.click();
    await expect.poll(async () => (await layers()).length).toBe(before.length + 3);
    const out = page.getByRole('button', { name: /^Take out/ });
    for (let left = before.length + 3; left > before.length; left--) {
      await expect.poll(() => out.count()).toBe(left);
      await out.first().click();
    }
    await expect.poll(async () => (await layers()).map((layer: Layer) => layer.id)).toEqual(before.map((layer: Layer) => layer.id));
    expect(errors).toEqual([]);
    await context.close();
  });

  it('that has missed its window shows the ways on, each planned to the end', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/roller/coats?part=drum`);
    const ways = page.getByLabel('The window has shut');
    await ways.getByText('Wait until it reopens, scuff, go on').waitFor();
    await expect.poll(() => ways.getByText(/likely .*EUR/).count()).toBe(3);
    await context.close();
  });
});

describe('a sample board', () => {
  it('is proposed for what is care, planned, and its tiles overrule', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/lamp/coats?part=trim`);
    await page.getByRole('button', { name: 'Plan this board' }).click();
    await page.getByRole('heading', { level: 1, name: 'Board for Lamp shells' }).waitFor();
    await page.getByLabel('What became of it').getByText('not laid yet').first().waitFor();
    await page.goto(`${server.url}/pieces/red-board/coats`);
    const tiles = page.getByLabel('What became of it');
    await tiles.getByRole('button', { name: 'held' }).first().click();
    await expect.poll(async () => (await facts()).events.filter((event: LogEvent) => event.kind === 'tile').length).toBe(1);
    await expect.poll(() => tiles.getByRole('button', { name: 'held' }).first().getAttribute('aria-pressed')).toBe('true');
    await context.close();
  });

  it('keeps a picture with each tile, and lets go of it again', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/red-board/coats`);
    const picture = join(folder, 'tile.png');
    await sharp({ create: { width: 600, height: 400, channels: 3, background: '#a31420' } })
      .png()
      .toFile(picture);
    await page.getByLabel('Add a picture of tile, 2 coats').setInputFiles(picture);
    await page
      .getByRole('img', { name: /^Tile, 2 coats/ })
      .nth(1)
      .waitFor();
    const board = async () => (await facts()).pieces.find((piece: Piece) => piece.id === 'red-board') as Piece;
    await expect.poll(async () => (await board()).pictures?.[0]).toMatchObject({ partId: (await board()).parts[0].id, width: 600 });
    await page.getByRole('button', { name: 'Tile, 3 coats' }).click();
    await expect.poll(() => page.getByRole('button', { name: 'Remove this picture' }).count()).toBe(0);
    await page.getByRole('button', { name: 'Tile, 2 coats' }).click();
    await page.getByRole('button', { name: 'Remove this picture' }).click();
    await expect.poll(async () => (await board()).pictures).toEqual([]);
    await context.close();
  });
});

describe('a product sheet', () => {
  it('takes the label line by line, refuses what cannot be, and stands beside another', async () => {
    const { page, context } = await openPage(browser, `${server.url}/shelf/sheets/dunlin`);
    const row = (name: string) => page.getByRole('row').filter({ hasText: name });
    const type = async (name: string, text: string) => {
      await row(name).getByRole('textbox').fill(text);
      await page.keyboard.press('Enter');
    };
    await type('film a coat', '17');
    await row('film a coat').getByText('the label').waitFor();
    await type('solids as sprayed', '140');
    await page.getByText('Solids are at most 100 %.').waitFor();
    await type('window shuts after', '5');
    await page.getByText('closes before it opens', { exact: false }).first().waitFor();
    await type('film a coat', '');
    await row('film a coat').getByText('usual for its family').waitFor();
    await page.getByLabel('beside').selectOption({ label: 'Turnstone lacquer' });
    await page.getByRole('columnheader', { name: 'Turnstone lacquer' }).waitFor();
    await context.close();
  });
});

describe('what a label says of grounds', () => {
  it('speaks before the table, is named as the reason, and can be taken back', async () => {
    const { page, context } = await openPage(browser, `${server.url}/shelf/sheets/turnstone`);
    await page.getByLabel('Forbidden below it: add a family').selectOption({ label: 'lacquer primer' });
    await page.getByRole('button', { name: 'Forbidden below it: take out lacquer primer' }).waitFor();
    await page.goto(`${server.url}/pieces/balance/coats?part=column`);
    const coats = page.getByRole('link', { name: /^Coats/ });
    await coats.getByText('would not sit').waitFor();
    await page
      .getByRole('heading', { name: /^Turnstone marram green on .*: stop/ })
      .or(page.getByRole('button', { name: /Turnstone marram green/ }).first())
      .first()
      .click();
    await page.getByText('forbids lacquer primer below it', { exact: false }).first().waitFor();
    await page.goto(`${server.url}/shelf/sheets/turnstone`);
    await page.getByRole('button', { name: 'Forbidden below it: take out lacquer primer' }).click();
    await page.goto(`${server.url}/pieces/tram/coats`);
    await coats.getByText('would not sit').waitFor({ state: 'detached' });
    await context.close();
  });
});

describe('without a mouse', () => {
  it('a sheet is typed, a colour made transparent, and the start moved', async () => {
    const { page, context } = await openPage(browser, `${server.url}/shelf/sheets/plover`);
    await page.getByRole('heading', { name: 'Plover hobby colour' }).waitFor();
    await tabTo(page, /^touch dry, min$/, null);
    await page.keyboard.type('25 min');
    await page.keyboard.press('Enter');
    await page.getByRole('row').filter({ hasText: 'touch dry' }).getByText('the label').waitFor();
    await tabTo(page, /^Plover shell cream: transparent$/, 'Space');
    await expect
      .poll(async () => (await facts()).products.find((own: { name: string }) => own.name === 'Plover shell cream').transparent)
      .toBe(true);
    await page.goto(`${server.url}/pieces/roller/dates`);
    await page.getByLabel('What if').getByText('Planned end').waitFor();
    await tabTo(page, /^I start/, null);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.getByLabel('What if').getByText('Then it ends', { exact: false }).waitFor();
    await context.close();
  });
});

describe('the air', () => {
  it('of a real logger is taken, and a broken file says why', async () => {
    const { page, context } = await openPage(browser, `${server.url}/workshop`);
    const [good, bad] = [join(folder, 'shed.csv'), join(folder, 'bad.csv')];
    const at = (hours: number) => new Date(momentMs() + hours * 3_600_000).toISOString().slice(0, 16).replace('T', ' ');
    writeFileSync(good, `time,temperature,humidity\n${[-2, -1, 0, 1].map((hour) => `${at(hour)},12.5,71`).join('\n')}\n`);
    writeFileSync(bad, 'a,b\n1,2\n');
    const input = page.getByLabel('a logger’s CSV file').first();
    await input.setInputFiles(bad);
    await page.getByText('lacks a column', { exact: false }).waitFor();
    await input.setInputFiles(good);
    await page.getByText('4 readings of shed.csv taken.').waitFor();
    await page.getByRole('button', { name: 'leave the logger out' }).click();
    await page.getByLabel('Films now and ahead').getByText('tape-safe').first().waitFor();
    await context.close();
  });

  it('moves the end as the finger moves, and changes nothing', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/tram/dates`);
    const strip = page.getByLabel('What if');
    await strip.getByText('Planned end').waitFor();
    await strip.getByLabel('warmth').fill('-8');
    await strip.getByText('Then it ends', { exact: false }).waitFor();
    await strip.getByRole('button', { name: 'as it is' }).click();
    await strip.getByText('Planned end').waitFor();
    await page.goto(`${server.url}/pieces/crane/dates`);
    const sooner = page.getByLabel('What would make it sooner?');
    await sooner.getByRole('button', { name: 'Try what there is' }).click();
    await sooner
      .getByText(/one more evening/)
      .first()
      .waitFor();
    await sooner.getByRole('button', { name: 'try again' }).waitFor();
    expect(await sooner.getByText('tried.').count()).toBe(0);
    await context.close();
  });
});
