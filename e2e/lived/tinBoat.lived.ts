import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openPage, type Running, startServer } from '../harness.ts';
import { keepAir } from './air.ts';
import {
  addCan,
  addPart,
  addPiece,
  daysOf,
  freeOn,
  measure,
  mainText,
  openWith,
  placeOf,
  stepsSaid,
  strippersOf,
  Verdicts,
} from './living.ts';

/** Job 02: a tin boat with a printed deck, preserved first, then one of its colours laid anew. */

let browser: Browser;
let server: Running;
const said = new Verdicts('02');
const DAYS = ['Mon', 'Wed', 'Sat'];
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(false)];
  await openWith(browser, server, DAYS, { hands: ['Airbrush', 'Brush'] });
});
afterAll(async () => {
  said.print();
  await browser.close();
  await server.stop();
  server.remove();
});

/** The aim, said anew in the survey. */
async function aimFor(page: Page, piece: string, aim: string): Promise<void> {
  await page.goto(`${piece}/survey?view=walk`);
  await page.getByLabel('the aim').selectOption({ label: aim });
  await page.getByText(new RegExp(`, ${aim.toLowerCase()}`)).waitFor();
}

/** The hull as it is: tinplate, its paint flaking, its sides and bottom alone to be painted. */
async function hull(page: Page, piece: string): Promise<void> {
  await page.goto(`${piece}/survey?view=parts`);
  await page
    .locator('label', { hasText: /^Material/ })
    .getByRole('combobox')
    .selectOption('tinplate');
  await measure(page, 'Box', { length: '310 mm', width: '80 mm', height: '55 mm' });
  await page.getByRole('button', { name: 'Flaking', exact: true }).click();
  const deckSide = page.getByLabel('How many faces of 310 mm by 80 mm');
  await deckSide.fill('1');
  await deckSide.blur();
  await page.getByRole('button', { name: 'Remove the face of 80 mm by 55 mm' }).click();
  await page.getByText('589 cm² in all').waitFor();
}

describe('job 02', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await freeOn(page, server, ['Monday', 'Wednesday', 'Saturday'], '18:00', '20:00');
    await keepAir(page, server, 'Spare room', '16', '60');
    for (const [name, colour] of [
      ['Maroon alkyd', 'maroon'],
      ['Bone alkyd', 'cream'],
    ])
      await addCan(page, server, {
        name,
        kind: 'Colour',
        comes: 'Bottle, airbrushed',
        thinner: 'Mineral spirit',
        colour,
        volume: '14 mL',
      });
    const boat = await addPiece(page, server, { name: 'Tin boat', side: '310 mm', looks: 'something else', colours: ['maroon'] });

    await aimFor(page, boat, 'Preserve');
    const kept = await stepsSaid(page, boat);
    expect(kept.map((step) => /Photograph|Clean a corner|Dust off|Mild wash|Wax/.test(step))).not.toContain(false);
    await page.goto(`${boat}/strip`);
    await page.getByRole('heading', { name: 'It is preserved: kept as it is' }).waitFor();
    expect(await mainText(page)).toContain('Repainting may cost it value');
    said.holds('1, nothing marked yet', kept.join(' … '));

    await aimFor(page, boat, 'Own scheme');
    await hull(page, boat);
    const before = await strippersOf(page, boat);
    expect(before.offered).toContain('alcohol soak');
    const tried = page.getByLabel('What was tried');
    await tried.getByLabel('tried, asked for or not').selectOption({ label: 'alcohol soak' });
    await tried.getByLabel('on', { exact: true }).selectOption({ label: 'a patch on a hidden spot' });
    await tried.getByLabel('alcohol soak was on for').fill('2 min');
    await tried.getByRole('button', { name: 'It harmed the part' }).click();
    await tried
      .getByText(/alcohol/)
      .filter({ hasText: /harmed/ })
      .waitFor();
    const after = await strippersOf(page, boat);
    expect(after.offered).not.toContain('alcohol');
    const dated = await stepsSaid(page, boat);
    expect(dated.join(' ')).not.toMatch(/no date|alcohol/i);
    said.holds('5', `alcohol offered before and not after; ${dated.length} steps with dates`);

    await addPart(page, boat, 'Deck', 'tinplate');
    await page
      .locator('label', { hasText: /^belongs to/ })
      .getByRole('combobox')
      .selectOption({ label: 'Part' });
    await page.getByRole('button', { name: 'Printing that stays' }).click();
    await page.getByRole('button', { name: 'Does not come off: masked in place' }).click();
    await page.getByLabel('Parts', { exact: true }).getByText('masked in place').waitFor();
    const carrying = await strippersOf(page, boat);
    for (const method of ['solvent gel', 'caustic bath', 'alkaline soak', 'media blasting', 'brass or wire brush', 'heat gun'])
      expect(carrying.never, method).toContain(method);
    expect(carrying.offered).toMatch(/wet sanding[\s\S]*the plating is thin/);
    expect(carrying.offered).not.toMatch(/gel|bath|soak|remover/);
    said.holds('2 (ruin)', carrying.never.slice(0, 120));

    const steps = await stepsSaid(page, boat);
    const sanding = steps[placeOf(steps, /Strip by wet sanding/)] ?? '';
    const minutes = Number(/(\d+) min/.exec(sanding.replace(/^.*why then\?/, ''))?.[1]);
    // The work itself: laying out, gloves on and clearing away are ten minutes of any evening (trade §12).
    expect(minutes - 10).toBeGreaterThanOrEqual(43);
    expect(minutes - 10).toBeLessThanOrEqual(50);
    said.holds('3, the minutes', sanding);
    const [bared, guarded] = await daysOf(page, boat, [/Strip by wet sanding/, /metal prep/]);
    expect(guarded).toBe(bared);
    said.holds('4 (ruin)', `bared and in metal prep on day ${bared}`);
    for (const [point, why] of [
      ['3, the papers', 'two quarter sheets a grit: not asserted here'],
      ['6', 'the rub and what may go over the old paint: not acted out here'],
      ['7', 'the forgotten second coat: not acted out here'],
      ['8 (two screens)', 'the shut window on Tonight, bench and Dates: not acted out here'],
      ['9', 'the spring, and a coat against the bottle: not acted out here'],
      ['10 (record)', 'provenance, the aim and its reasons: issues 25 and 27'],
      ['the three ways side by side', 'issue 25'],
    ] as const)
      said.waits(point, why);
    expect(errors).toEqual([]);
    await context.close();
  });
});
