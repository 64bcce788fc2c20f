import type { Page } from 'playwright-core';
import type { Running } from '../harness.ts';

/** What a person says of the air of a place. */

/** A place is kept at a temperature and humidity, as somebody types it. */
export async function keepAir(page: Page, server: Running, place: string, celsius: string, percent: string): Promise<void> {
  await page.goto(`${server.url}/workshop`);
  await page.getByLabel(`${place} is kept at`).fill(celsius);
  await page.getByLabel('humidity, %').first().fill(percent);
  await page.keyboard.press('Enter');
  await page
    .getByText(new RegExp(`${celsius}(\\.0)? °C · ${percent} %`))
    .first()
    .waitFor();
}

/** What thermometer and hygrometer of the first place show, and for how long it is said to count; absent: as the page has it. */
export async function typeReading(page: Page, server: Running, celsius: string, percent: string, counts?: string): Promise<void> {
  await page.goto(`${server.url}/workshop`);
  await page.getByRole('button', { name: 'type a reading' }).first().click();
  await page.getByLabel('Temperature', { exact: true }).fill(celsius);
  await page.getByLabel('Humidity %').fill(percent);
  if (counts) await page.getByLabel('It counts').selectOption({ label: counts });
  await page.getByLabel('Humidity %').press('Enter');
  await page.getByText('The plan has moved.').first().waitFor();
}
