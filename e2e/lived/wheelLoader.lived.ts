import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayAhead, launchBrowser, momentMs, moveTo, openPage, type Running, startServer } from '../harness.ts';
import { addPiece, addStep, daysOf, finish, liveToEnd, openWith, placeOf, stepsSaid, Verdicts } from './living.ts';

/** Job 05: a die-cast wheel loader in a friend's own livery. */

let browser: Browser;
let server: Running;
const said = new Verdicts('05');
beforeAll(async () => {
  [browser, server] = [await launchBrowser(), await startServer(false)];
  await openWith(browser, server, ['Mon', 'Tue', 'Wed', 'Thu']);
});
afterAll(async () => {
  said.print();
  await browser.close();
  await server.stop();
  server.remove();
});

describe('job 05', () => {
  it('is acted out by the interface alone', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    const piece = await addPiece(page, server, {
      name: 'Wheel loader',
      side: '90 mm',
      looks: 'cast body',
      colours: ['red', 'brown'],
      scale: '1:50',
    });

    await page.goto(`${piece}/survey?view=apart`);
    const post = async (across: string) => {
      await page.getByRole('button', { name: 'Add a fastening' }).click();
      const form = page.getByLabel('New fastening');
      await form.getByRole('button', { name: 'riveted post' }).click();
      await form.getByLabel('post across').fill(across);
      await form.getByLabel('post deep').fill('7 mm');
      await form.getByRole('button', { name: 'Note it' }).click();
    };
    await post('3.3 mm');
    const wide = page.getByText('leaves 0.85 mm of wall', { exact: false }).first();
    await wide.waitFor();
    said.holds('1', (await wide.textContent()) ?? '');
    await post('2.6 mm');
    const thin = page.getByText(/0\.50 mm|no thread/i).first();
    await thin.waitFor();
    said.holds('2', (await thin.textContent()) ?? '');

    await addStep(page, piece, 'Glue the cab window in', ['Body']);
    await addStep(page, piece, 'Glue the hand-rail on', ['Body'], await beforeClear(page, piece));
    const steps = await stepsSaid(page, piece);
    const at = (words: RegExp) => placeOf(steps, words);
    expect(at(/Photograph every side, measure/)).toBe(0);
    expect(at(/Drill and tap/)).toBeGreaterThan(at(/Photograph/));
    expect(at(/Dry fit/)).toBeGreaterThan(at(/Drill and tap/));
    expect(at(/Coat 1/)).toBeGreaterThan(at(/Dry fit/));
    said.holds('3 (ruin)', `${steps[0]} … ${steps[at(/Drill and tap/)]} … ${steps[at(/Dry fit/)]}`);
    const lastClear = steps.findLastIndex((step) => /Coat \d of \d, clear/.test(step));
    expect(at(/Glue the hand-rail/)).toBeLessThan(at(/Coat 1 of \d, clear/));
    expect(at(/Glue the cab window/)).toBeGreaterThan(lastClear);
    expect(at(/Glue the cab window/)).toBeGreaterThan(at(/Old paint off/));
    said.holds(
      '6 (order), rails and glazing',
      `${steps[at(/Glue the hand-rail/)]} … ${steps[lastClear]} … ${steps[at(/Glue the cab window/)]}`,
    );

    await page.goto(`${piece}/masking?view=details`);
    await page.getByRole('button', { name: 'Add a decal' }).click();
    const decal = page.getByRole('form', { name: 'Add a decal' });
    await decal.getByLabel('what it shows').fill('number 12');
    await decal.getByLabel('longer side').fill('12 mm');
    await decal.getByLabel('shorter side').fill('6 mm');
    await decal.getByLabel('there is a spare').check();
    await decal.getByRole('button', { name: 'Add it' }).click();
    await page.getByLabel('Decals').getByText('number 12').first().waitFor();
    await decal.getByLabel('what it shows').fill('left number');
    await decal.getByLabel('longer side').fill('12 mm');
    await decal.getByLabel('shorter side').fill('6 mm');
    await decal.getByRole('button', { name: 'Add it' }).click();
    await page.getByLabel('Decals').getByText('left number').first().waitFor();
    const dated = await stepsSaid(page, piece);
    const decalAt = placeOf(dated, /Decal number 12/);
    expect(decalAt).toBeGreaterThan(-1);
    await page.goto(`${piece}/finish`);
    await page.getByText('The whole plan was read as a painter would.').waitFor();
    said.holds('6, the decal', dated[decalAt]);

    await addStep(page, piece, 'Slide the tyres on', ['Wheels']);
    const parcels = page.getByLabel('Parcels');
    await parcels.getByRole('button', { name: 'Expect a parcel' }).click();
    await parcels.getByLabel('Decals, tyres, glazing on the way').fill('Tyres');
    await parcels.getByRole('textbox', { name: 'Due', exact: true }).fill(dayAhead(21));
    await parcels.getByLabel('What waits for it').selectOption({ label: '“Slide the tyres on”' });
    await parcels.getByRole('button', { name: 'Expect it' }).click();
    await parcels.getByText('“Slide the tyres on” waits for it').waitFor();
    const told = [/Coat 1 of \d, clear/, /Glue the cab window/, /Slide the tyres on/, /Check and photograph/];
    const before = await daysOf(page, piece, told);
    expect(before[2]).toBeGreaterThan(before[0]);
    await page.goto(`${piece}/finish`);
    await parcels.getByRole('button', { name: 'another day' }).click();
    await parcels.getByRole('textbox', { name: 'Tyres, due now' }).fill(dayAhead(29));
    await page.getByText(/^Tyres is due .*: the plan has moved/).waitFor();
    const after = await daysOf(page, piece, told);
    expect([after[0], after[1]]).toEqual([before[0], before[1]]);
    expect([after[2] - before[2], after[3] - before[3]]).toEqual([8, 8]);
    expect(await page.getByRole('main').textContent()).not.toMatch(/coat.{0,80}late/i);
    said.holds('7', `tyres and the end 8 days later, clear and glazing as before: days ${before} … ${after}`);
    await page.goto(`${piece}/finish`);
    await parcels.getByRole('button', { name: 'it is here' }).click();

    const toDecal = await liveToEnd(browser, server, piece, { until: (title) => /Decal left number/.test(title) });
    expect(toDecal.at(-1)?.title).toMatch(/Decal number 12/);
    const torn = await openPage(browser, `${server.url}/bench`);
    await torn.page.getByRole('button', { name: /^Trouble/ }).click();
    const notServed = torn.page.getByText(/The spare there is belongs to number 12: it does not serve here/);
    await notServed.waitFor();
    const why = (await notServed.textContent()) ?? '';
    await torn.page.getByLabel('Another comes in, days').fill('6');
    await torn.page.getByRole('button', { name: 'It tore: order another' }).click();
    await torn.page
      .getByText(/tore: another comes in 6 days/)
      .first()
      .waitFor();
    await torn.page.goto(`${piece}/dates`);
    const again = await daysOf(torn.page, piece, [/Decal left number/, /Coat 1 of \d, clear/]);
    expect(again[0] - Math.floor(momentMs() / 86_400_000)).toBeGreaterThanOrEqual(6);
    expect(again[1]).toBeGreaterThan(again[0]);
    said.holds('6 (order), the spare of the other side', `${why}; decal and clear on days ${again}`);
    moveTo(new Date(again[0] * 86_400_000 + 12 * 3_600_000).toISOString());
    await server.stop();
    await server.restart();
    await torn.page.goto(`${piece}/finish`);
    await torn.page.getByLabel('Parcels').getByRole('button', { name: 'it is here' }).click();
    await torn.context.close();
    const lived = [...toDecal, ...(await liveToEnd(browser, server, piece))].map(({ at, title }) => `${at} ${title}`);
    const livedAt = (words: RegExp) => placeOf(lived, words);
    const coatsDone = lived.flatMap((step, index) => (/Coat \d of \d/.test(step) ? [index] : []));
    expect(livedAt(/Photograph/)).toBe(0);
    expect(livedAt(/Dry fit/)).toBeGreaterThan(livedAt(/Drill and tap/));
    expect(coatsDone[0]).toBeGreaterThan(livedAt(/Dry fit/));
    expect(livedAt(/Glue the cab window/)).toBeGreaterThan(coatsDone.at(-1) ?? Number.NaN);
    expect(livedAt(/Glue the hand-rail/)).toBeLessThan(lived.findIndex((step) => /Coat 1 of \d, clear/.test(step)));
    expect(livedAt(/Slide the tyres on/)).toBeGreaterThan(coatsDone.at(-1) ?? Number.NaN);
    const clearAt = lived.find((step) => /Coat 1 of \d, clear/.test(step)) ?? '';
    const decalDone = lived[livedAt(/Decal left number/)] ?? '';
    expect(Date.parse(`${clearAt.slice(0, 16)}Z`) - Date.parse(`${decalDone.slice(0, 16)}Z`)).toBeGreaterThanOrEqual(86_000_000);
    said.holds('6 (order), a full day between decal and clear', `${decalDone} … ${clearAt}`);
    await finish(page, piece);
    said.holds('from add to finished', `${lived.length} steps, ${lived[0]} … ${lived.at(-1)}`);

    for (const [point, why] of [
      ['8', 'agreed hours: issue 25'],
      ['9', 'approved sketch and one-page estimate: issues 25 and 27'],
      ['10 (record)', 'lessons and provenance: issue 27'],
    ] as const)
      said.waits(point, why);
    expect(errors).toEqual([]);
    await context.close();
  });
});

/** How the form names the moment before the clear. */
async function beforeClear(page: Page, piece: string): Promise<string> {
  await page.goto(`${piece}/finish`);
  await page.getByRole('button', { name: 'Add a step' }).click();
  const labels = await page.getByLabel('it comes before').locator('option').allInnerTexts();
  const clear = labels.find((label) => /body.*clear|clear.*body/i.test(label));
  if (!clear) throw new Error(`No moment before the clear among: ${labels.join(' | ')}`);
  return clear;
}
