import { launchBrowser, openPage, startServer } from './e2e/harness.ts';
const server = await startServer(true);
const browser = await launchBrowser();
try {
  const shots: [string, string][] = [['masking','/pieces/tram/masking'],['finish','/pieces/lamp/finish'],['coats','/pieces/roller/coats?part=drum'],['roller','/pieces/roller/masking?part=drum']];
  for (const [name, path] of shots) {
    const { page, context, errors } = await openPage(browser, `${server.url}${path}`, { viewport: { width: 1280, height: 800 } }) as any;
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: name !== 'coats' });
    console.log(name, errors);
    await context.close();
  }
} finally { await browser.close(); await server.stop(); }
