import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { shelfCans } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import { launchBrowser, openPage, type Running, startServer } from './harness.ts';

let server: Running;
let browser: Browser;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer(true), launchBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
});

const facts = async (): Promise<Facts> => (await (await fetch(`${server.url}/api/workshop`)).json()).facts;
const leftOf = async (name: string) => {
  const known = await facts();
  const id = known.products.find((product) => product.name === name)?.id;
  return shelfCans(known)
    .filter((can) => can.productId === id)
    .reduce((sum, can) => sum + can.leftMl, 0);
};

describe('a colour no can has', () => {
  it('goes from a reading or a picture to a recipe to a jar, and one that went too far is brought back', async () => {
    const { page, context, errors } = await openPage(browser, server.url);
    await page.goto(`${server.url}/colour`);
    await page.getByRole('button', { name: 'Another colour' }).click();
    await page.getByLabel('as it was read').fill('#d9c4a00');
    await page.getByRole('button', { name: 'Take it' }).click();
    await page.getByText('A hex colour has three or six digits').waitFor();
    await page.getByLabel('as it was read').fill('#cdbb95');
    await page.getByRole('button', { name: 'Take it' }).click();
    await page.getByRole('heading', { name: 'A colour like #cdbb95' }).waitFor();
    await page.getByRole('button', { name: 'From a picture' }).click();
    await page.getByLabel('or one of a piece').selectOption({ label: 'Tram no. 7, detail, before' });
    const picture = page.getByRole('button', { name: /^Mark on/ });
    await picture.locator('img').waitFor();
    await expect.poll(async () => (await picture.boundingBox())?.height ?? 0).toBeGreaterThan(200);
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

    const before = await leftOf('Plover chalk white');
    await page.getByLabel('cup, mL').fill('0');
    await page.getByRole('button', { name: 'Mix it', exact: true }).click();
    await page.getByText('A cup has a size').waitFor();
    await page.getByLabel('cup, mL').fill('400');
    await page.getByRole('button', { name: 'Mix it', exact: true }).click();
    await page.getByText(/the cup takes .+: a smaller cup, or another way/).waitFor();
    await page.getByLabel('cup, mL').fill('3');
    await page.getByRole('button', { name: 'too yellow', exact: true }).click();
    await page
      .getByText(/half a minute of stirring|Start again|near enough/)
      .first()
      .waitFor();
    await page.getByLabel('called', { exact: true }).fill('Sand of the bar');
    await page.getByRole('button', { name: 'Mix it', exact: true }).click();
    await page.getByRole('complementary', { name: 'Kept' }).getByText('Sand of the bar').waitFor();
    await expect.poll(() => leftOf('Sand of the bar')).toBeGreaterThanOrEqual(3 - 1e-6);
    expect(await leftOf('Plover chalk white')).toBeLessThan(before);

    // Once more by its own recipe: the same paint, a second jar; more than the tint gives is refused.
    const jar = page.getByRole('complementary', { name: 'Kept' }).getByRole('listitem').filter({ hasText: 'Sand of the bar' });
    await jar.getByRole('button', { name: 'mix it again' }).click();
    await page.getByText('As it was mixed, the light first').waitFor();
    await page.getByLabel('cup, mL').fill('300');
    await page.getByRole('button', { name: 'Mix it', exact: true }).click();
    await page.getByText(/the cup takes .+: a smaller cup, or another way/).waitFor();
    await page.getByLabel('cup, mL').fill('1');
    const once = await leftOf('Sand of the bar');
    await page.getByRole('button', { name: 'Mix it', exact: true }).click();
    await expect.poll(() => leftOf('Sand of the bar')).toBeGreaterThan(once + 0.9);
    expect((await facts()).products.filter((product) => product.name === 'Sand of the bar')).toHaveLength(1);

    await page.goto(`${server.url}/shelf`);
    await page.getByText('Sand of the bar').first().waitFor();
    expect(errors).toEqual([]);
    await context.close();
  });
});
