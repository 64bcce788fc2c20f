import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { shelfCans } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import { keepOnly, launchBrowser, openPage, type Running, startServer } from './harness.ts';

let server: Running;
let browser: Browser;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer(true), launchBrowser()]);
  await keepOnly(server, 'tram', 'lamp');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

const facts = async (): Promise<Facts> => (await (await fetch(`${server.url}/api/workshop`)).json()).facts;
const paintCalled = async (name: string) => (await facts()).products.find((product) => product.name === name);
const leftOf = async (name: string) => {
  const known = await facts();
  const id = known.products.find((product) => product.name === name)?.id;
  return shelfCans(known)
    .filter((can) => can.productId === id)
    .reduce((sum, can) => sum + can.leftMl, 0);
};
const mixIt = (page: Page) => page.getByRole('button', { name: 'Mix it', exact: true }).click();
const kept = (page: Page) => page.getByRole('complementary', { name: 'Kept' });
const wish = async (page: Page, colour: string) => {
  await page.getByRole('button', { name: 'Another colour' }).click();
  await page.getByLabel('as it was read').fill(colour);
  await page.getByRole('button', { name: 'Take it' }).click();
};

describe('a colour no can has', () => {
  it('goes from a picture to a recipe to a jar to a layer', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await page.goto(`${server.url}/colour`);
    await wish(page, '#d9c4a00');
    await page.getByText('A hex colour has three or six digits').waitFor();
    await page.getByRole('button', { name: 'From a picture' }).click();
    await page.getByLabel('or one of a piece').selectOption({ label: 'Tram no. 7, detail, before' });
    const picture = page.getByRole('button', { name: /^Mark on/ });
    await picture.locator('img').waitFor();
    await expect.poll(async () => (await picture.boundingBox())?.height ?? 0).toBeGreaterThan(200);
    await picture.scrollIntoViewIfNeeded();
    const box = await picture.boundingBox();
    if (!box) throw new Error('the picture has no place on the page');
    await page.getByText('Press on the paint in the picture.').waitFor();
    await page.mouse.click(box.x + box.width * 0.3, box.y + box.height * 0.45);
    await page.getByText('Press on the grey card in the picture.').waitFor();
    await page.mouse.click(box.x + box.width * 0.81, box.y + box.height * 0.55);
    await page.getByText(/good to ±4 ΔE/).waitFor();
    await page.getByRole('button', { name: 'Take this colour' }).click();
    await page.getByRole('heading', { name: 'As on the picture of Tram no. 7' }).waitFor();
    await page.getByRole('button', { name: /^hobby acrylic, water type/ }).click();
    const additions = page.getByLabel('Additions').getByRole('listitem');
    await expect.poll(() => additions.count()).toBeGreaterThan(1);
    expect(await additions.first().textContent()).toContain('Plover');
    await page.getByRole('button', { name: 'by weight' }).click();
    await expect.poll(() => additions.first().textContent()).toMatch(/\d\.\d\d g/);

    const before = await leftOf('Plover chalk white');
    await page.getByLabel('cup, mL').fill('0');
    await mixIt(page);
    await page.getByText('A cup has a size').waitFor();
    await page.getByLabel('cup, mL').fill('3');
    await page.getByLabel('called', { exact: true }).fill('Sand of the bar');
    await mixIt(page);
    await kept(page).getByText('Sand of the bar').waitFor();
    await expect.poll(() => leftOf('Sand of the bar')).toBeGreaterThanOrEqual(3 - 1e-6);
    expect(await leftOf('Plover chalk white')).toBeLessThan(before);

    await page.goto(`${server.url}/pieces/lamp/coats?part=trim`);
    await page
      .getByRole('button', { name: /^Another paint for Plover shell cream/ })
      .first()
      .click();
    await page.getByRole('button', { name: /^Sand of the bar/ }).click();
    await page.getByRole('button', { name: 'Move Sand of the bar' }).waitFor();
    const mix = await paintCalled('Sand of the bar');
    await expect
      .poll(async () =>
        (await facts()).pieces.find(({ id }) => id === 'lamp')?.parts.flatMap((part) => part.layers.map((layer) => layer.productId)),
      )
      .toContain(mix?.id);
    expect(errors).toEqual([]);
    await context.close();
  });

  it('gone too far is brought back in its jar, and what is lost is charged', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await page.goto(`${server.url}/colour`);
    await wish(page, '#dccfae');
    await page.getByRole('heading', { name: 'A colour like #dccfae' }).waitFor();
    await page.getByRole('button', { name: /^hobby acrylic, water type/ }).click();
    await page.getByRole('button', { name: 'I poured something else' }).click();
    const drops = page.getByLabel(/^drops of/);
    await drops.first().fill('0.5');
    await page.getByRole('button', { name: 'So it was poured' }).click();
    await page.getByText('Drops are whole, one or more').waitFor();
    // The tints went in three times over.
    for (let at = 0; at < (await drops.count()); at++) {
      const said = Number(await drops.nth(at).getAttribute('placeholder'));
      await drops.nth(at).fill(String(at === 0 ? Math.max(...[said, 20]) : 3 * said));
    }
    await page.getByLabel('called', { exact: true }).fill('Too much of it');
    await page.getByRole('button', { name: 'So it was poured' }).click();
    const jar = page.getByRole('region', { name: 'In the jar' });
    await jar.waitFor();
    const once = await leftOf('Too much of it');
    const wrong = await paintCalled('Too much of it');
    await jar.getByLabel('or its reading').fill('12 13');
    await jar.getByRole('button', { name: 'So it looks' }).click();
    await jar.getByText('Type a hex colour').waitFor();
    await jar.getByRole('button', { name: 'too dark', exact: true }).click();
    await jar.getByRole('button', { name: /^Pour(ed in| it in all the same)$/ }).click();
    await expect.poll(() => leftOf('Too much of it')).toBeGreaterThan(once);
    const mended = await paintCalled('Too much of it');
    expect(mended?.lab.l).toBeGreaterThan(wrong?.lab.l ?? 100);
    expect((await facts()).products.filter((product) => product.name === 'Too much of it')).toHaveLength(1);
    await jar.getByText('It is lost').click();
    await jar.getByRole('button', { name: 'it curdled' }).click();
    await expect.poll(() => leftOf('Too much of it')).toBe(0);
    await jar.waitFor({ state: 'detached' });
    expect(errors).toEqual([]);
    await context.close();
  });

  it('is mixed again at twice the size, as far as its tint goes', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await page.goto(`${server.url}/colour`);
    await kept(page).getByRole('listitem').filter({ hasText: 'Tram ivory, mixed' }).getByRole('button', { name: 'mix it again' }).click();
    await page.getByText('As it was mixed, the light first').waitFor();
    const once = await leftOf('Tram ivory, mixed');
    await page.getByLabel('cup, mL').fill('60');
    await page.getByText(/not enough: .+ at the most/).waitFor();
    await mixIt(page);
    await page.getByText(/the cup takes .+: at most .+ of this mix, or another way/).waitFor();
    expect(await leftOf('Tram ivory, mixed')).toBeCloseTo(once, 9);
    await page.getByLabel('cup, mL').fill('6');
    await mixIt(page);
    await expect.poll(() => leftOf('Tram ivory, mixed')).toBeGreaterThan(once + 5.9);
    expect((await facts()).products.filter((product) => product.name === 'Tram ivory, mixed')).toHaveLength(1);
    await page.goto(`${server.url}/shelf`);
    await page.getByText('Tram ivory, mixed').first().waitFor();
    expect(errors).toEqual([]);
    await context.close();
  });
});
