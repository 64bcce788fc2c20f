import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, type BrowserContext, chromium, type Page } from 'playwright-core';

const root = new URL('..', import.meta.url).pathname;

/** What server and page take for the moment a test file began, so that it holds on any day: another by ENAMELOS_NOW. */
const BEGUN = process.env.ENAMELOS_NOW ?? '2026-12-01T19:10:00Z';
let aheadMs = Date.parse(BEGUN) - Date.now();

/** The moment by the clock that server and page share, milliseconds since 1970. */
export function momentMs(): number {
  return Date.now() + aheadMs;
}

/** Later: what is started and opened from now on takes this for the moment. @param moment as 2026-12-03T19:06:00Z */
export function moveTo(moment: string): void {
  aheadMs = Date.parse(moment) - Date.now();
}

/** The day so many days from that moment, as 2026-12-01. */
export function dayAhead(days: number): string {
  return new Date(momentMs() + days * 86_400_000).toISOString().slice(0, 10);
}

export type Running = {
  readonly url: string;
  readonly data: string;
  stop(signal?: NodeJS.Signals): Promise<void>;
  restart(): Promise<void>;
  remove(): void;
};

/** Starts the built server on a folder of its own; `restart` comes back on the same port. */
export async function startServer(demo: boolean, more: Readonly<Record<string, string>> = {}): Promise<Running> {
  const data = mkdtempSync(join(tmpdir(), 'enamelos-e2e-'));
  let child: ChildProcess;
  let port = '0';
  const start = async () => {
    child = spawn('node', ['dist/server.js', ...(demo ? ['--demo'] : [])], {
      cwd: root,
      env: { ...process.env, PORT: port, ENAMELOS_DATA: data, ENAMELOS_NOW: new Date(momentMs()).toISOString(), ...more },
    });
    const url = await new Promise<string>((resolve, reject) => {
      let said = '';
      const read = (chunk: unknown) => {
        said += String(chunk);
        const ready = /ready at (http:\/\/127\.0\.0\.1:\d+)/.exec(said);
        if (ready) resolve(ready[1]);
      };
      child.stdout?.on('data', read);
      child.stderr?.on('data', read);
      child.on('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
    });
    port = new URL(url).port;
    return url;
  };
  const url = await start();
  return {
    url,
    data,
    async stop(signal = 'SIGTERM') {
      if (child.exitCode !== null || child.signalCode !== null) return;
      const gone = new Promise((resolve) => child.once('exit', resolve));
      child.kill(signal);
      await gone;
    },
    async restart() {
      await start();
    },
    remove: () => rmSync(data, { recursive: true, force: true }),
  };
}

/** Takes the demo's other pieces out: what is not of these need not be planned anew at each press. */
export async function keepOnly(server: Running, ...pieceIds: readonly string[]): Promise<void> {
  const { facts, revisions } = await (await fetch(`${server.url}/api/workshop`)).json();
  const others: { id: string }[] = facts.pieces.filter(({ id }: { id: string }) => !pieceIds.includes(id));
  for (const { id } of others) {
    const reply = await fetch(`${server.url}/api/facts/pieces/${id}?revision=${revisions.pieces?.[id] ?? revisions[`pieces/${id}`]}`, {
      method: 'DELETE',
    });
    if (!reply.ok) throw new Error(`${id} stays: ${await reply.text()}`);
  }
}

export function launchBrowser(...more: string[]): Promise<Browser> {
  return chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--disable-background-networking', ...more],
  });
}

/** Runs in the page before its own scripts: its clock is ahead of the machine's, its timers are the browser's own. */
function moveClock(aheadMs: number): void {
  const Machine = Date;
  class Moved extends Machine {
    constructor(...given: [number]) {
      super(...(given.length > 0 ? given : ([Machine.now() + aheadMs] as [number])));
    }
    static override now(): number {
      return Machine.now() + aheadMs;
    }
  }
  globalThis.Date = Moved as DateConstructor;
}

export async function openPage(
  browser: Browser,
  url: string,
  options: Parameters<Browser['newContext']>[0] = {},
): Promise<{ page: Page; context: BrowserContext; errors: string[] }> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    // What is kept for the time without the server is kept where that is tried.
    serviceWorkers: 'block',
    ...options,
  });
  context.setDefaultTimeout(60_000);
  await context.addInitScript(moveClock, aheadMs);
  const page = await context.newPage();
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await page.goto(url);
  return { page, context, errors };
}

/** An empty workshop with three free evenings. */
export async function openBench(browser: Browser, server: Running): Promise<void> {
  const { page, context } = await openPage(browser, server.url);
  await page.getByRole('heading', { name: 'Open your bench' }).waitFor();
  for (const day of ['Mon', 'Thu', 'Sun']) await page.getByRole('button', { name: new RegExp(`^${day}`) }).click();
  await page.getByRole('button', { name: 'Open the bench' }).click();
  await page.getByText('The bench is empty').waitFor();
  await context.close();
}

/** Counts what a person does: each press of a button or key chord is one, each filled field one typed value. */
export class Hand {
  presses = 0;
  typed = 0;
  readonly page: Page;

  constructor(page: Page) {
    this.page = page;
  }

  async press(name: string | RegExp, role: 'button' | 'link' = 'button'): Promise<void> {
    this.presses++;
    await this.page.getByRole(role, { name }).first().click();
  }

  async type(label: string | RegExp, text: string): Promise<void> {
    this.typed++;
    await this.page.getByLabel(label).first().fill(text);
  }
}

/** Another address as a link goes there: what is planned stays planned. */
export async function goWithin(page: Page, place: string): Promise<void> {
  await page.evaluate((to) => {
    for (const shown of document.querySelectorAll('main h1, main h2, main section')) shown.setAttribute('data-shown-before', '');
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, place);
  // A screen that keeps its heading has new sections; the shortest wait there is for one that keeps all of them.
  await page
    .locator('main :is(h1, h2, section):not([data-shown-before])')
    .first()
    .waitFor({ timeout: 1500 })
    .catch(() => undefined);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
}

/** Types a day and an hour, `moment` as 2026-12-01T21:00. */
export async function typeMoment(page: Page, label: string, moment: string): Promise<void> {
  await page.getByLabel(label).first().fill(moment.slice(0, 10));
  await page.getByLabel('Hour').last().fill(moment.slice(11, 16));
}

/** Tabs until the focused thing has this name, then presses a key on it. */
export async function tabTo(page: Page, name: RegExp, key: 'Enter' | 'Space' | null = 'Enter'): Promise<void> {
  for (let presses = 0; presses < 120; presses++) {
    await page.keyboard.press('Tab');
    const focused = await page.evaluate(() => {
      const here = document.activeElement;
      const label = here instanceof HTMLInputElement ? here.labels?.[0]?.textContent : null;
      return here?.getAttribute('aria-label') ?? label ?? here?.textContent ?? '';
    });
    if (!name.test(focused.trim())) continue;
    if (key) await page.keyboard.press(key);
    return;
  }
  throw new Error(`No ${name} within 120 tabs.`);
}
