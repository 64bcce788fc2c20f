import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from 'playwright-core';

/** Retakes docs/screenshots from the demo at a fixed time: `npm run pictures` (after a build). */

const NOW = '2026-12-01T19:10:00Z';
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

type Picture = {
  readonly name: string;
  readonly path: string;
  readonly size?: typeof DESK;
  readonly dark?: boolean;
  readonly ready?: (page: Page) => Promise<void>;
};

const PICTURES: readonly Picture[] = [
  { name: 'tonight', path: '/' },
  { name: 'bench-phone', path: '/bench', size: PHONE },
  { name: 'pieces', path: '/pieces' },
  { name: 'quick-add', path: '/pieces/new', ready: fillQuickAdd },
  { name: 'survey', path: '/pieces/crane/survey' },
  { name: 'finish', path: '/pieces/crane/finish', ready: gluedTooSoon },
  { name: 'strip', path: '/pieces/crane/strip' },
  { name: 'surface', path: '/pieces/crane/strip?view=surface&part=tower' },
  { name: 'coats', path: '/pieces/lamp/coats' },
  { name: 'masking', path: '/pieces/tram/masking', dark: true },
  { name: 'dates', path: '/pieces/roller/dates' },
  { name: 'money', path: '/pieces/lamp/money' },
  { name: 'board', path: '/board', ready: showWhy },
  { name: 'shelf', path: '/shelf' },
  { name: 'sheet', path: '/shelf/sheets/dunlin?beside=turnstone' },
  { name: 'buying', path: '/buying', ready: waysFound },
  { name: 'colour', path: '/colour' },
  { name: 'log', path: '/log' },
  { name: 'workshop', path: '/workshop' },
];

async function fillQuickAdd(page: Page): Promise<void> {
  await page.getByLabel('Name', { exact: true }).fill('Signal lantern');
  await page.getByLabel('Longest side').fill('140 mm');
  await page.getByRole('button', { name: 'sheet case' }).click();
  await page.getByRole('button', { name: 'cream' }).click();
  await page.getByRole('button', { name: 'green', exact: true }).click();
  await page.getByLabel('What it will take').getByText('Evenings').waitFor();
}

/** A window glued in before the stripper: what the sceptic says of it. */
async function gluedTooSoon(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Add a step' }).click();
  await page.getByRole('button', { name: 'something else' }).click();
  await page.getByLabel('called').fill('Glue the cab window in');
  await page.getByLabel('it comes before').selectOption({ label: 'Tower is sanded' });
  await page.getByRole('button', { name: 'Put it in the plan' }).click();
  const found = page.getByLabel('Read once more', { exact: true }).first();
  await found.waitFor();
  await page.getByRole('button', { name: 'Add a step' }).click();
  await page.getByText('is in the plan').waitFor({ state: 'detached' });
  await found.evaluate((card) => card.scrollIntoView({ block: 'center' }));
}

async function waysFound(page: Page): Promise<void> {
  await page.getByText('Best together').waitFor();
}

async function showWhy(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /Coat 1 of 3, Turnstone estuary blue/ })
    .first()
    .focus();
}

async function withDemo(take: (url: string) => Promise<void>): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'enamelos-pictures-'));
  const child = spawn('node', ['dist/server.js', '--demo'], {
    env: { ...process.env, PORT: '0', ENAMELOS_DATA: data, ENAMELOS_NOW: NOW, ENAMELOS_FAIL: 'sensor' },
  });
  try {
    const url = await new Promise<string>((resolve, reject) => {
      child.stdout.on('data', (chunk) => {
        const ready = /ready at (\S+)/.exec(String(chunk));
        if (ready) resolve(ready[1]);
      });
      child.on('exit', (code) => reject(new Error(`The server ended with ${code}.`)));
    });
    await take(url);
  } finally {
    child.kill('SIGTERM');
    rmSync(data, { recursive: true, force: true });
  }
}

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
});

async function shoot(url: string, picture: Picture): Promise<void> {
  const context = await browser.newContext({
    viewport: picture.size ?? DESK,
    colorScheme: picture.dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
    timezoneId: 'Europe/Lisbon',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  await page.clock.setFixedTime(new Date(NOW));
  await page.goto(url + picture.path);
  await page.getByRole('heading').first().waitFor();
  await picture.ready?.(page);
  await page.waitForTimeout(1500);
  await page.screenshot({ path: new URL(`./screenshots/${picture.name}.png`, import.meta.url).pathname });
  await context.close();
}

await withDemo(async (url) => {
  for (const picture of PICTURES) await shoot(url, picture);
});
await browser.close();
