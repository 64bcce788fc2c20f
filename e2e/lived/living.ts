import type { Browser, Page } from 'playwright-core';
import type { Running } from '../harness.ts';

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

/** Opens the bench with these evenings, as somebody does on the first day. */
export async function openWith(browser: Browser, server: Running, days: readonly string[]): Promise<void> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  const page = await context.newPage();
  await page.goto(server.url);
  await page.getByRole('heading', { name: 'Open your bench' }).waitFor();
  for (const day of days) await page.getByRole('button', { name: new RegExp(`^${day}`) }).click();
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
};

/** Adds a piece on the quick screen; returns its address. */
export async function addPiece(page: Page, server: Running, { name, side, looks, colours, scale }: Wish): Promise<string> {
  await page.goto(`${server.url}/pieces/new`);
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Longest side').fill(side);
  if (scale) await page.getByLabel('Scale, if any').fill(scale);
  await page.getByRole('button', { name: looks, exact: true }).click();
  for (const colour of colours) await page.getByRole('button', { name: colour, exact: true }).click();
  await page.getByRole('button', { name: 'Add it with this plan' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
  return `${server.url}/pieces/${page.url().split('/pieces/')[1].split('/')[0]}`;
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
