import type { Browser, Locator, Page } from 'playwright-core';
import { expect } from 'vitest';
import { momentMs, moveTo, openPage, type Running } from '../harness.ts';

/** Whole jobs acted out by the interface alone, each point held against what the screen says. Not in the test command: `npm run lived`. */

export type Verdict = { readonly point: string; readonly verdict: 'holds' | 'waits'; readonly said: string };

/** The verdicts of one job, point by point; printed when it is over. */
export class Verdicts {
  readonly #job: string;
  readonly #all: Verdict[] = [];
  constructor(job: string) {
    this.#job = job;
  }
  /** Asserted by what the screen said. */
  holds(point: string, said: string): void {
    this.#all.push({ point, verdict: 'holds', said });
  }
  /** What a person cannot say or see yet, and where it is to come. */
  waits(point: string, why: string): void {
    this.#all.push({ point, verdict: 'waits', said: why });
  }
  print(): void {
    for (const { point, verdict, said } of this.#all)
      console.log(`${this.#job}.${point} ${verdict}: ${said.replace(/\s+/g, ' ').slice(0, 200)}`);
  }
}

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

export type Opened = {
  /** What is pressed for where one sprays, and where it dries; absent: the spare room. */
  readonly sprays?: string;
  readonly dries?: string;
  /** With what, besides spray cans. */
  readonly hands?: readonly string[];
};

/** Opens the bench with these evenings and no others, as somebody does on the first day. */
export async function openWith(browser: Browser, server: Running, days: readonly string[], how: Opened = {}): Promise<void> {
  const { page, context } = await openPage(browser, server.url);
  await page.getByRole('heading', { name: 'Open your bench' }).waitFor();
  for (const day of DAYS) {
    const button = page.getByRole('button', { name: new RegExp(`^${day}`) });
    if (((await button.getAttribute('aria-pressed')) === 'true') !== days.includes(day)) await button.click();
  }
  if (how.sprays) await page.getByRole('button', { name: how.sprays, exact: true }).first().click();
  if (how.dries) await page.getByRole('button', { name: how.dries, exact: true }).last().click();
  for (const hand of how.hands ?? []) await page.getByRole('button', { name: hand, exact: true }).click();
  await page.getByRole('button', { name: 'Open the bench' }).click();
  await page.getByText('The bench is empty').waitFor();
  await context.close();
}

export type Wish = {
  readonly name: string;
  readonly side: string;
  readonly looks: string;
  readonly colours: readonly string[];
  readonly scale?: string;
  /** Where it is now; absent: with its old paint on. */
  readonly where?: string;
};

/** Adds a piece on the quick screen; returns its address. */
export async function addPiece(page: Page, server: Running, { name, side, looks, colours, scale, where }: Wish): Promise<string> {
  await page.goto(`${server.url}/pieces/new`);
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Longest side').fill(side);
  if (scale) await page.getByLabel('Scale, if any').fill(scale);
  await page.getByRole('button', { name: looks, exact: true }).click();
  for (const colour of colours) await page.getByRole('button', { name: colour, exact: true }).click();
  if (where) await page.getByRole('button', { name: where, exact: true }).click();
  await page.getByRole('button', { name: 'Add it with this plan' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
  return `${server.url}/pieces/${page.url().split('/pieces/')[1].split('/')[0]}`;
}

/** The week in Workshop: these days free between these hours, and no others. */
export async function freeOn(page: Page, server: Running, days: readonly string[], from: string, to: string): Promise<void> {
  await page.goto(`${server.url}/workshop`);
  const week = page.getByRole('region', { name: 'Free hours' });
  await week.getByRole('combobox').waitFor();
  const remove = week.getByRole('button', { name: /^(Remove|Take out|No longer)/ });
  for (let left = await remove.count(); left > 0; left = await remove.count()) {
    await remove.first().click();
    await expect.poll(() => remove.count()).toBe(left - 1);
  }
  for (const day of days) {
    await week.getByRole('combobox').selectOption({ label: day });
    await week.getByRole('textbox').nth(0).fill(from);
    await week.getByRole('textbox').nth(1).fill(to);
    await week.getByRole('button', { name: 'Add these hours' }).click();
    await week.getByRole('listitem').filter({ hasText: day }).waitFor();
  }
}

/** What is seen there, line by line. */
// biome-ignore lint/performance/useDomNodeTextContent: the text of the nodes runs together.
export const textOf = (where: Locator): Promise<string> => where.first().innerText();

/** What the page says, line by line. */
export const mainText = (page: Page): Promise<string> => textOf(page.locator('main'));

/** A part measured as a simple body, on its page of parts: what it is, and each size by its label. */
export async function measure(page: Page, body: string, sizes: Readonly<Record<string, string>>): Promise<void> {
  const way = page.getByRole('button', { name: body, exact: true });
  if (!(await way.isVisible())) await page.getByText('Measure it: a simple body').click();
  await way.click();
  for (const [label, size] of Object.entries(sizes)) await page.getByLabel(label, { exact: true }).fill(size);
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect.poll(() => page.getByText('cm² in all').count()).toBeGreaterThan(0);
}

/** What takes the old paint off: the methods that are offered, and those that never are, each with why. */
export async function strippersOf(page: Page, piece: string): Promise<{ readonly offered: string; readonly never: string }> {
  await page.goto(`${piece}/strip`);
  const table = page.getByRole('table').filter({ has: page.getByRole('columnheader', { name: 'Verdict' }) });
  await table.getByRole('row').nth(1).waitFor();
  return { offered: await textOf(table), never: await textOf(page.getByLabel('Never here')) };
}

/** Another paint for one layer of a part, or the layer taken out. */
export async function relayer(page: Page, piece: string, part: string | null, layer: string, paint: string | null): Promise<void> {
  await page.goto(`${piece}/coats`);
  await page.getByRole('button', { name: 'Add a layer' }).waitFor();
  if (part)
    await page
      .getByRole('button', { name: new RegExp(`^${part}( × \\d+)?$`) })
      .first()
      .click();
  const button = page.getByRole('button', { name: `${paint === null ? 'Take out' : 'Another paint for'} ${layer}`, exact: true });
  await button.click();
  if (paint !== null)
    await page
      .getByRole('dialog')
      .getByRole('button', { name: new RegExp(paint) })
      .first()
      .click();
  await button.waitFor({ state: 'detached' });
}

/** One more part, by its name and material. */
export async function addPart(page: Page, piece: string, name: string, material: string): Promise<void> {
  await page.goto(`${piece}/survey?view=parts`);
  await page.getByRole('button', { name: 'Add a part' }).click();
  const field = page.getByLabel('Name of the part');
  await page.getByText('New part', { exact: true }).first().waitFor();
  await field.fill(name);
  await field.blur();
  await page.getByLabel('Parts', { exact: true }).getByText(name, { exact: true }).waitFor();
  await page
    .locator('label', { hasText: /^Material/ })
    .getByRole('combobox')
    .selectOption(material);
}

export type DecalOf = {
  readonly shows: string;
  readonly long: string;
  readonly short: string;
  readonly kind: string;
  readonly after: string;
};

/** A decal with a spare, on the first part of a piece. */
export async function addDecal(page: Page, piece: string, { shows, long, short, kind, after }: DecalOf): Promise<void> {
  await page.goto(`${piece}/masking?view=details`);
  await page.getByRole('button', { name: 'Add a decal' }).click();
  const form = page.getByRole('form', { name: 'Add a decal' });
  await form.getByLabel('what it shows').fill(shows);
  await form.getByLabel('longer side').fill(long);
  await form.getByLabel('shorter side').fill(short);
  await form.getByLabel('kind').selectOption({ label: kind });
  await form.getByLabel('after which layer').selectOption({ label: after });
  await form.getByLabel('there is a spare').check();
  await form.getByRole('button', { name: 'Add it' }).click();
  await page.getByLabel('Decals').getByText(shows).first().waitFor();
}

/** A step of the person's own, typed as they say it. */
export async function addStep(page: Page, piece: string, name: string, on: readonly string[], before?: string): Promise<void> {
  await page.goto(`${piece}/finish`);
  await page.getByRole('button', { name: 'Add a step' }).click();
  const form = page.getByRole('form', { name: 'Add a step of your own' });
  await form.getByRole('button', { name: 'something else' }).click();
  await form.getByLabel('called').fill(name);
  for (const box of await form.getByRole('checkbox').all()) await box.setChecked(false);
  for (const part of on) await form.getByLabel(part, { exact: true }).check();
  if (before) await form.getByLabel('it comes before').selectOption({ label: before });
  await form.getByRole('button', { name: 'Put it in the plan' }).click();
  await page.getByLabel('Steps of your own').getByText(name).first().waitFor();
}

/** The steps as Dates says them, in order. */
export async function stepsSaid(page: Page, piece: string): Promise<string[]> {
  await page.goto(`${piece}/dates`);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await page.getByText('why then?').first().waitFor();
  const days = page.getByRole('listitem').filter({ has: page.getByText('why then?') });
  return (await days.allInnerTexts()).map((text) => text.replace(/\s+/g, ' '));
}

/** The place of the first step that reads so; -1 where none does. */
export function placeOf(steps: readonly string[], words: RegExp): number {
  return steps.findIndex((step) => words.test(step));
}

/** One step as it was done: its words at the bench, and when it began. */
export type Lived = { readonly title: string; readonly at: string };

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** When the next step of a piece is planned, as Dates says it; null: no step is left. */
export async function nextMoment(page: Page, piece: string): Promise<string | null> {
  await page.goto(`${piece}/dates`);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  const row = page
    .getByRole('listitem')
    .filter({ has: page.getByText('why then?') })
    .first();
  await row
    .or(page.getByText(/Nothing is left to do|No end as it stands|finished/i).first())
    .first()
    .waitFor();
  if ((await row.count()) === 0) return null;
  const clock = /(\d\d):(\d\d)/.exec((await row.textContent()) ?? '');
  const day = await row.evaluate((own) => {
    let at: Element | null = own;
    while (at && !/^(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d+ \w{3}/.test(at.textContent ?? '')) at = at.previousElementSibling ?? at.parentElement;
    return at?.textContent ?? '';
  });
  const date = /^\w{3} (\d+) (\w{3})/.exec(day);
  if (!clock || !date) return null;
  const now = new Date(momentMs());
  const month = MONTHS.indexOf(date[2]);
  const year = now.getUTCFullYear() + (month < now.getUTCMonth() ? 1 : 0);
  return new Date(Date.UTC(year, month, Number(date[1]), Number(clock[1]), Number(clock[2]))).toISOString();
}

/** On which day each of these steps is, counted from the first day of the plan. */
export async function daysOf(page: Page, piece: string, steps: readonly RegExp[]): Promise<number[]> {
  await page.goto(`${piece}/dates`);
  await page.getByText('why then?').first().waitFor();
  const text = (await page.getByRole('main').allInnerTexts()).join('\n');
  let day = Number.NaN;
  const found = steps.map(() => Number.NaN);
  for (const line of text.split('\n')) {
    const date = /^\w{3} (\d+) (\w{3})$/.exec(line.trim());
    if (date) {
      const [now, month] = [new Date(momentMs()), MONTHS.indexOf(date[2])];
      day = Date.UTC(now.getUTCFullYear() + (month < now.getUTCMonth() ? 1 : 0), month, Number(date[1])) / 86_400_000;
    }
    steps.forEach((own, index) => {
      if (Number.isNaN(found[index]) && own.test(line)) found[index] = day;
    });
  }
  return found;
}

/** What a person answers where the bench asks what came of it. */
const ANSWERS = /^(Better: go on|All off|Apart, so|Accepted|Held|All of it|Most)$/;

/** Lives a piece to its end at the bench, or until a step that is told by its words; each step is pressed when the plan has it. */
export async function liveToEnd(
  browser: Browser,
  server: Running,
  piece: string,
  { until = () => false }: { readonly until?: (title: string) => boolean } = {},
): Promise<Lived[]> {
  const done: Lived[] = [];
  for (let turn = 0; turn < 140; turn++) {
    const { page, context } = await openPage(browser, server.url);
    const at = await nextMoment(page, piece);
    if (at === null) {
      await context.close();
      return done;
    }
    await context.close();
    if (Date.parse(at) > momentMs()) {
      moveTo(new Date(Date.parse(at) + 60_000).toISOString());
      await server.stop();
      await server.restart();
    }
    const here = await openPage(browser, `${server.url}/bench`);
    const heading = here.page.getByRole('heading', { level: 1 });
    await heading.waitFor();
    const title = ((await heading.textContent()) ?? '').trim();
    if (until(title)) {
      await here.context.close();
      return done;
    }
    if (title === 'That is all for now') {
      await here.context.close();
      moveTo(new Date(momentMs() + 3_600_000).toISOString());
      await server.stop();
      await server.restart();
      continue;
    }
    const before = await eventsThere(server);
    const asked = here.page.getByRole('button', { name: ANSWERS });
    await ((await asked.count()) > 0 ? asked.first() : here.page.getByRole('button', { name: /^Done/ })).click();
    const logged = here.page.getByText(/^Logged: /).first();
    const early = here.page.getByText(/^Not yet\. /).first();
    await logged.or(early).first().waitFor();
    if (await early.isVisible()) throw new Error(`“${title}” at its planned time: ${await early.textContent()}`);
    // The page is a person’s own: shut at once it would take with it what it has not sent.
    await expect.poll(() => eventsThere(server)).toBeGreaterThan(before);
    done.push({ title, at: new Date(momentMs()).toISOString().slice(0, 16) });
    await here.context.close();
  }
  throw new Error(`It never ended: ${done.map(({ title }) => title).join(' / ')}`);
}

async function eventsThere(server: Running): Promise<number> {
  return (await (await fetch(`${server.url}/api/workshop`)).json()).facts.events.length;
}

/** Closes a piece on Finish and fit. */
export async function finish(page: Page, piece: string): Promise<void> {
  await page.goto(`${piece}/finish`);
  await page.getByRole('button', { name: 'It is finished' }).click();
  await page.getByRole('link', { name: /Dates finished/ }).waitFor();
}

export type CanOf = {
  readonly name: string;
  readonly kind: string;
  readonly thinner?: string;
  readonly colour?: string;
  readonly volume: string;
  readonly left?: string;
  /** How it comes, as the button says; absent: as a spray can. */
  readonly comes?: string;
};

/** A can put on the shelf; ends on the sheet of its label. */
export async function addCan(page: Page, server: Running, { name, kind, thinner, colour, volume, left, comes }: CanOf): Promise<void> {
  await page.goto(`${server.url}/shelf`);
  await page.getByRole('button', { name: 'Enter a can' }).first().click();
  const form = page.getByRole('dialog');
  await form.getByRole('button', { name: kind, exact: true }).click();
  if (comes) await form.getByRole('button', { name: comes, exact: true }).click();
  if (thinner) await form.getByRole('button', { name: thinner, exact: true }).click();
  if (colour) await form.getByRole('button', { name: colour, exact: true }).click();
  await form.getByLabel('Volume').fill(volume);
  if (left) await form.getByLabel('Left, if not full').fill(left);
  await form.getByLabel('Name on the label, if you like').fill(name);
  await form.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.getByText(`${name} stands on the shelf.`).waitFor();
  await page.getByRole('listitem').filter({ hasText: name }).getByRole('link').first().click();
  await page
    .getByRole('heading', { name: new RegExp(name) })
    .first()
    .waitFor();
}

/** One line of the label, on the sheet that is open. */
export async function typeLabel(page: Page, line: string, text: string): Promise<void> {
  const row = page.getByRole('row').filter({ hasText: line });
  await row.getByRole('textbox').fill(text);
  await page.keyboard.press('Enter');
  await row.getByText('the label').waitFor();
}

/** Buys whatever the list has, each line as it stands. */
export async function buyAll(page: Page, server: Running): Promise<void> {
  await page.goto(`${server.url}/buying`);
  await page.getByText('proven the cheapest', { exact: true }).waitFor();
  const bought = page.getByRole('button', { name: /^(all of it bought|bought)/i });
  for (let lines = await bought.count(); lines > 0; lines = await bought.count()) {
    await bought.first().click();
    await page.waitForTimeout(800);
  }
}
