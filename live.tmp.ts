import { launchBrowser, openPage, startServer } from './e2e/harness.ts';
const server = await startServer(false); const browser = await launchBrowser();
const { page, errors } = await openPage(browser, server.url);
await page.getByRole('heading', { name: 'Open your bench' }).waitFor();
for (const day of ['Mon', 'Thu', 'Sat']) await page.getByRole('button', { name: new RegExp(`^${day}`) }).click();
await page.getByRole('button', { name: 'Open the bench' }).click();
await page.getByText('The bench is empty').waitFor();
const jobs = [['Casting', '60 mm', 'cast body', ['red']], ['Panel', '1.3 m', 'large panel', ['blue']], ['Kit', '240 mm', 'kit with clear parts', ['red', 'cream']], ['Trim', '600 mm', 'grained trim', ['black']]] as const;
for (const [name, size, look, colours] of jobs) {
  if (process.argv[2] && process.argv[2] !== name) continue;
  await page.goto(`${server.url}/pieces/new`);
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Longest side').fill(size);
  await page.getByRole('button', { name: look, exact: true }).click();
  for (const c of colours) await page.getByRole('button', { name: c, exact: true }).click();
  await page.waitForTimeout(1500);
  console.log('=====', name, (await page.getByLabel('What it will take').innerText()).replace(/\n+/g, ' | '));
  await page.getByRole('button', { name: 'Add it with this plan' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
  const id = page.url().split('/pieces/')[1].split('/')[0];
  for (const section of ['survey', 'strip', 'coats', 'masking', 'finish', 'dates', 'money']) {
    await page.goto(`${server.url}/pieces/${id}/${section}`); await page.waitForTimeout(900);
    const text = (await page.locator('main').innerText()).split('\n').filter((l) => l.trim()).join(' | ');
    console.log(`--- ${section}:`, text.slice(text.indexOf('All pieces') + 12, text.indexOf('All pieces') + 1400));
  }
  let n = 0;
  await page.goto(`${server.url}/bench`);
  for (; n < 70; n++) {
    const h = page.getByRole('heading', { level: 1 }); await h.waitFor(); const t = (await h.textContent()) ?? '';
    if (t === 'That is all for now') break;
    const body = (await page.locator('main').innerText()).split('\n').filter((l) => l.trim()).join(' | ');
    console.log('  *', body.slice(0, 330));
    const asked = page.getByRole('button', { name: /^(Better: go on|All off|Apart, so)$/ });
    await ((await asked.count()) > 0 ? asked.first() : page.getByRole('button', { name: /^Done/ })).click();
    await page.getByText(/^Logged:/).waitFor();
    await page.goto(`${server.url}/bench`);
  }
  await page.goto(`${server.url}/pieces/${id}/finish`); await page.waitForTimeout(700);
  console.log('--- end finish:', (await page.locator('main').innerText()).split('\n').filter((l) => l.trim()).join(' | ').slice(150, 700));
  await page.getByRole('button', { name: 'It is finished' }).click(); await page.waitForTimeout(500);
}
console.log(errors);
await browser.close(); await server.stop(); server.remove();
