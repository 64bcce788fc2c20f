import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'playwright-core';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { doneEvents, plan, type PlannedStep } from '#core/plan/index';
import { keepOnly, launchBrowser, momentMs, openPage, type Running, startServer } from './harness.ts';

/** Survey, teardown, strip and surface of a piece of the restorer's own, through the real pages. */

let browser: Browser;
let server: Running;
let folder = '';

beforeAll(async () => {
  browser = await launchBrowser();
  server = await startServer(true);
  await keepOnly(server, 'crane', 'balance');
  folder = mkdtempSync(join(tmpdir(), 'enamelos-files-'));
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  server.remove();
  rmSync(folder, { recursive: true, force: true });
});

const facts = async () => (await (await fetch(`${server.url}/api/workshop`)).json()).facts;
const pieceNow = async (name: string) => (await facts()).pieces.find((piece: { name: string }) => piece.name === name);

/** Logs as done, one by one, every step that the plan puts before the first of this kind; what is done moves the plan. */
async function doAllBefore(reached: (step: PlannedStep) => boolean): Promise<void> {
  for (let done = 0; done < 60; done++) {
    const known: Facts = await facts();
    const now = momentMs() / 60_000;
    const { steps } = plan({ facts: known, now, conditions: conditionsOf(known, now), datesOf: [] });
    const [next] = steps.filter((step) => step.placed).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
    if (reached(next)) return;
    const events = doneEvents(
      next,
      () => crypto.randomUUID(),
      now,
      known.workshop[0].dryPlaceId,
      undefined,
      () => undefined,
    );
    const reply = await fetch(`${server.url}/api/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events }),
    });
    expect(reply.status).toBe(200);
  }
  throw new Error('The plan has no such step.');
}

/** A pressed-steel ferry, untouched, added on the quick-add screen that is open. */
async function addFerry(page: Page, name: string): Promise<string> {
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
  await page.getByRole('button', { name: /pressed-steel toy/i }).click();
  await page.getByLabel(/longest side/i).fill('220 mm');
  await page.getByRole('button', { name: 'Add it with this plan' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
  return (await pieceNow(name)).id;
}

describe('the survey', () => {
  it('asks one thing at a time, and the plan obeys the answers', async () => {
    const { page, context, errors } = await openPage(browser, `${server.url}/pieces/new`);
    const id = await addFerry(page, 'Ferry model');
    await page.goto(`${server.url}/pieces/${id}/survey`);
    const walk = page.getByLabel('Walk round it');
    const asked = (text: string) => walk.getByRole('heading', { name: text }).waitFor();
    await asked('Is any of this on it?');
    await walk.getByRole('button', { name: /Wound spring/ }).click();
    await walk.getByLabel('Wound spring, on which part').selectOption({ label: 'Wheels' });
    await walk.getByText('Let it down before').waitFor();
    await walk.getByRole('button', { name: 'That is all of it' }).click();
    await asked('Was it made before 1990, or do you not know?');
    await walk.getByRole('button', { name: 'Before 1990' }).click();
    await asked('Is repainting right at all?');
    await walk.getByRole('button', { name: 'Yes, its own scheme' }).click();
    await asked('How far will you go?');
    await walk.getByRole('button', { name: /Outside only/ }).click();
    await page.getByLabel('Decided').getByText('Base: nothing of it is seen').waitFor();
    await asked('Body: what is it made of?');
    await walk.getByRole('button', { name: 'steel', exact: true }).click();
    await asked('Body: does the old paint hold?');
    await page.reload();
    await asked('Body: does the old paint hold?');
    await walk.getByRole('button', { name: 'It flakes, one layer' }).click();
    await expect.poll(async () => (await pieceNow('Ferry model')).parts[0].finish).toBe('flaking');
    const piece = await pieceNow('Ferry model');
    expect(piece.limit).toBe('outside');
    expect(piece.parts.find((part: { name: string }) => part.name === 'Wheels').stops).toEqual(['spring']);
    expect(errors).toEqual([]);
    await context.close();
  });

  it('keeps pictures, pins marks on them, and refuses what is none', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    const id = await addFerry(page, 'Lighter');
    const [picture, text] = [join(folder, 'front.png'), join(folder, 'notes.png')];
    await sharp({ create: { width: 900, height: 600, channels: 3, background: '#7a4526' } })
      .png()
      .toFile(picture);
    writeFileSync(text, 'no picture');
    await page.goto(`${server.url}/pieces/${id}/survey`);
    const input = page.getByLabel('Add front, before');
    await input.setInputFiles(text);
    await page.getByText('This is no picture that can be read here.', { exact: false }).waitFor();
    await input.setInputFiles(picture);
    await page.getByRole('button', { name: 'Mark something on the front' }).click({ position: { x: 100, y: 90 } });
    const form = page.getByLabel('New mark');
    await form.getByRole('button', { name: 'gouge' }).click();
    await form.getByLabel('Where?').fill('bow');
    await form.getByRole('button', { name: 'Mark it' }).click();
    await page.getByRole('button', { name: /Body, mark 1: marked gouge, bow/ }).waitFor();
    await page.getByLabel('Add front, after').setInputFiles(picture);
    const seam = page.getByRole('slider', { name: 'How much of before' });
    await seam.focus();
    await page.keyboard.press('ArrowLeft');
    expect(await seam.getAttribute('aria-valuenow')).toBe('49');
    await page.goto(`${server.url}/pieces/${id}/strip?view=surface`);
    await page.getByLabel('Repairs').getByText('marked gouge, bow').first().waitFor();
    await page.getByText('Fill 10 min', { exact: false }).waitFor();
    await context.close();
  });

  it('measures a mesh in the unit the person confirms', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    const id = await addFerry(page, 'Tug');
    const cube = join(folder, 'cube.obj');
    writeFileSync(
      cube,
      'v 0 0 0\nv 3 0 0\nv 3 2 0\nv 0 2 0\nv 0 0 1\nv 3 0 1\nv 3 2 1\nv 0 2 1\nf 1 2 3 4\nf 5 6 7 8\nf 1 2 6 5\nf 2 3 7 6\nf 3 4 8 7\nf 4 1 5 8\n',
    );
    writeFileSync(join(folder, 'broken.stl'), Buffer.alloc(90, 1));
    await page.goto(`${server.url}/pieces/${id}/survey?view=parts`);
    const input = page.getByLabel(/mesh file/);
    await input.setInputFiles(join(folder, 'broken.stl'));
    await page.getByText('cut short', { exact: false }).waitFor();
    await input.setInputFiles(cube);
    await page.getByRole('button', { name: /if 3.0 is in$/ }).click();
    await page.getByRole('button', { name: 'Outside only' }).click();
    await expect.poll(async () => (await pieceNow('Tug')).parts[0].mesh?.extentsMm[0]).toBeCloseTo(76.2, 3);
    const { mesh } = (await pieceNow('Tug')).parts[0];
    expect(mesh.areaMm2).toBeCloseTo(22 * 25.4 ** 2, 2);
    expect(mesh).toMatchObject({ unit: 'in', triangles: 12, insideToo: false });
    await context.close();
  });

  it('plans riveted posts and the dry fit from what holds the piece together, and prints its labels', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/new`);
    const id = await addFerry(page, 'Barge');
    await page.goto(`${server.url}/pieces/${id}/survey?view=apart`);
    await page.getByRole('button', { name: 'Add a fastening' }).click();
    const form = page.getByLabel('New fastening');
    await form.getByRole('button', { name: 'riveted post' }).click();
    await form.getByLabel('post across').fill('two');
    await form.getByRole('button', { name: 'Note it' }).click();
    await page.getByText('Type the post’s diameter', { exact: false }).waitFor();
    await form.getByLabel('post across').fill('4.2 mm');
    await form.getByLabel('post deep').fill('8 mm');
    await form.getByRole('button', { name: 'Note it' }).click();
    await page.getByText('M2 leaves 1.10 mm of wall', { exact: false }).waitFor();
    await page.getByLabel(/Bag 1 holds/).fill('Rivet heads');
    await page.getByRole('button', { name: 'Bag it' }).click();
    await page.getByLabel(/Bag 2 holds/).waitFor();
    await page.goto(`${server.url}/pieces/${id}/print/labels`);
    await page.getByText('Rivet heads').first().waitFor();
    await page.goto(`${server.url}/pieces/${id}/dates`);
    await page.getByText('Dry fit of the bare parts').first().waitFor();
    await page.getByText('Drill and tap 2 posts, M2').first().waitFor();
    await context.close();
  });
});

describe('a strip that leaves paint', () => {
  it('replans with honest new dates and cost', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/crane/strip?part=jib`);
    const planned = page.getByLabel('Planned steps');
    await planned.getByText('Old paint off, rinse', { exact: false }).first().waitFor();
    expect(await planned.getByText('Solvent gel on', { exact: false }).count()).toBe(0);
    const money = () => page.getByText(/EUR of 70/).textContent();
    const before = await money();
    await page.getByLabel(/solvent gel was on for/).fill('90 days');
    await page.getByRole('button', { name: 'Most came off' }).click();
    await page.getByText('A dwell is at most 7 days', { exact: false }).waitFor();
    await page.getByLabel(/solvent gel was on for/).fill('40 min');
    await page.getByRole('button', { name: 'Most came off' }).click();
    await planned.getByText('Solvent gel on, time 2 of 2').waitFor();
    await page.getByLabel('What was tried').getByText('gel, time 1: most came off after 40 min').waitFor();
    await expect.poll(money).not.toBe(before);
    await context.close();
  });

  it('is asked at the bench for what came off', async () => {
    await doAllBefore((step) => step.asks?.kind === 'stripped');
    const { page, context } = await openPage(browser, `${server.url}/bench`);
    const title = page.getByRole('heading', { level: 1 });
    await expect.poll(() => title.textContent()).toContain('Old paint off');
    await page.getByText('What came off?').waitFor();
    await page.getByText('on since', { exact: false }).waitFor();
    await page.getByRole('button', { name: 'Hardly any' }).click();
    await expect
      .poll(async () => (await facts()).events.at(-1).kind === 'done' && (await facts()).events.at(-2))
      .toMatchObject({
        kind: 'stripped',
        outcome: 'little',
      });
    await context.close();
  });

  it('sends a part back from the gate with its price said first', async () => {
    const { page, context } = await openPage(browser, `${server.url}/pieces/balance/strip?part=column&view=gate`);
    await page.getByRole('button', { name: /Not passed: Side light/ }).click();
    await page.getByText('It goes back to be put right', { exact: false }).waitFor();
    await page.getByRole('button', { name: 'Send it back' }).click();
    await page.getByLabel('Planned steps').getByText('Put right what did not pass').waitFor();
    await context.close();
  });
});
