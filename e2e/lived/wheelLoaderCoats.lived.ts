import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openPage, type Running, startServer } from '../harness.ts';
import { addCan, addPiece, openWith, relayer, stepsSaid, textOf, Verdicts } from './living.ts';

/** Job 05, its coats: pink on a white primer, then on a grey one because the white runs short. */

let browser: Browser;
let server: Running;
const said = new Verdicts('05');
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(false)];
  await openWith(browser, server, ['Mon', 'Tue', 'Wed', 'Thu'], { hands: ['Airbrush'] });
});
afterAll(async () => {
  said.print();
  await browser.close();
  await server.stop();
  server.remove();
});

const BOTTLE = { volume: '60 mL', comes: 'Bottle, airbrushed' } as const;

describe('job 05, its coats', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    for (const [name, colour] of [
      ['White primer', 'white'],
      ['Grey primer', 'light grey'],
    ] as const)
      await addCan(page, server, { name, kind: 'Primer', thinner: 'Lacquer thinner', colour, ...BOTTLE });
    await addCan(page, server, { name: 'Pink', kind: 'Colour', thinner: 'Alcohol or its own', colour: 'red', ...BOTTLE });
    await readColour(page, 'Pink', '65 45 5');
    const piece = await addPiece(page, server, {
      name: 'Wheel loader',
      side: '90 mm',
      looks: 'cast body',
      colours: ['red', 'brown'],
      scale: '1:50',
    });
    await relayer(page, piece, null, 'red', 'Pink');
    await onPrimer(page, piece, 'White primer');
    const white = await pinkOf(page, piece);
    await onPrimer(page, piece, 'Grey primer');
    const grey = await pinkOf(page, piece);
    expect([white.coats, grey.coats]).toEqual([4, 3]);
    expect(white.steps).toHaveLength(4);
    expect(grey.steps).toHaveLength(3);
    expect(white.ml / grey.ml).toBeCloseTo(4 / 3, 1);
    expect(white.minutes).toBeGreaterThan(grey.minutes);
    said.holds('4', `on white ${JSON.stringify(white)}; on grey ${JSON.stringify(grey)}`);

    await page.goto(`${piece}/coats`);
    const film = page.getByText(/\d+ µm film: detail still good/).first();
    await film.waitFor();
    said.holds('5', await textOf(film));
    expect(errors).toEqual([]);
    await context.close();
  });
});

/** The colour of a paint, as it was read. */
async function readColour(page: Page, paint: string, lab: string): Promise<void> {
  await page.goto(`${server.url}/colour`);
  await page.getByRole('link', { name: paint, exact: true }).first().click();
  await page.getByLabel('as read, dry: hex or L a b').fill(lab);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page
    .getByText(new RegExp(`L ${lab.split(' ')[0]}, a ${lab.split(' ')[1]}`))
    .first()
    .waitFor();
}

/** The primer that lies under everything, exchanged for another. */
async function onPrimer(page: Page, piece: string, primer: string): Promise<void> {
  await page.goto(`${piece}/coats`);
  const other = page.getByRole('button', { name: /^Another paint for .*primer/i }).first();
  await other.waitFor();
  const now = ((await other.getAttribute('aria-label')) ?? '').replace('Another paint for ', '');
  if (now !== primer) await relayer(page, piece, null, now, primer);
}

/** Coats, mL and minutes of the pink, as Coats and Dates say them. */
async function pinkOf(page: Page, piece: string) {
  await page.goto(`${piece}/coats`);
  const line = page.getByRole('region', { name: 'Paint for it' }).getByRole('listitem').filter({ hasText: /^Pink/ });
  const ml = Number(/Pink\s+([\d.]+) mL/.exec(await textOf(line))?.[1]);
  const coats = Number(
    await page
      .getByRole('listitem')
      .filter({ has: page.getByRole('button', { name: 'More coats of Pink' }) })
      .getByText(/^\d coats$/)
      .first()
      .textContent()
      .then((text) => text?.[0]),
  );
  const steps = (await stepsSaid(page, piece)).filter((step) => /Coat \d of \d, Pink/.test(step));
  const minutes = steps.reduce((sum, step) => sum + Number(/(\d+) min/.exec(step)?.[1]), 0);
  return { coats, ml, minutes, steps: steps.map((step) => /Coat \d of \d/.exec(step)?.[0]) };
}
