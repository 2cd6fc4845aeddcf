import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import {
  acknowledgeAll,
  address,
  answerStop,
  beginWalk,
  button,
  currentCheck,
  drawSignature,
  goToCheck,
  makePicture,
  saving,
  signIn,
  takeSteps,
  typeReading,
  walkOn,
} from './driver';

const ROOT = join(import.meta.dirname, '..');
const OUT = join(ROOT, '.nazar', 'e2e-files');

function verify(file: string) {
  const run = spawnSync(
    process.execPath,
    ['scripts/verify.mjs', file, '--keys', join(OUT, 'keys.json')],
    { cwd: ROOT, encoding: 'utf8' },
  );
  return { status: run.status, text: run.stdout + run.stderr };
}

test('from sign-in to a sealed report, a repair, and the next driver', async ({
  page,
  context,
  browser,
}) => {
  test.slow();
  mkdirSync(OUT, { recursive: true });
  await signIn(page, 'Tove Brask');
  await beginWalk(page, /^218/);

  await test.step('a sound stop', async () => {
    await expect(page.getByRole('heading', { level: 1 })).toHaveText("Driver's front corner");
    await answerStop(page);
    await expect(page.getByTestId('next-stop')).toHaveText('Go to Front wheel, driver side');
    await page.getByTestId('next-stop').click();
  });

  await test.step('a reading out of its limit becomes a fault by itself', async () => {
    expect(await currentCheck(page)).toBe('Measure the tread · left steer');
    await takeSteps(page);
    await button(page, 'Measure').click();
    await typeReading(page, '2');
    await expect(page.getByText('Answered: major · 2/32 in · Tread below the limit')).toBeVisible();
    await button(page, 'Next check').click();
    expect(await currentCheck(page)).toBe('Gauge the pressure · left steer');
  });

  await test.step('a fault in three short questions, with a photo', async () => {
    await goToCheck(page, /Look at every nut/);
    await button(page, 'Fault').click();
    await button(page, 'Rust streak or shiny mark, nuts tight').click();
    await expect(page.getByText('218, 4.1 ft from the front, driver side')).toBeVisible();
    await page.getByTestId('photo-input').setInputFiles({
      name: 'nuts.jpg',
      mimeType: 'image/jpeg',
      buffer: await makePicture(page),
    });
    await expect(page.getByLabel('Photo 1')).toBeVisible();
    await page.getByLabel('Note').fill('Second nut from the top');
    await expect(page.getByRole('heading', { name: 'Minor' })).toBeVisible();
    await button(page, 'Keep the fault').click();
  });

  await test.step('the network is cut, and the walk goes on', async () => {
    await context.setOffline(true);
    await walkOn(page, 'Engine bay');
    await expect(saving(page)).toContainText(/No network\. \d+ kept on this phone/);
    await context.setOffline(false);
    await expect(saving(page)).toHaveText('All saved and sent', { timeout: 20_000 });
  });

  await test.step('something could not be looked at', async () => {
    await goToCheck(page, /Read the washer fluid/);
    await button(page, 'Could not look').click();
    await button(page, 'Snow or ice on it').click();
  });

  await walkOn(page);

  await test.step('the verdict says why, and is signed', async () => {
    await expect(page.getByRole('heading', { name: 'Does not roll' })).toBeVisible();
    await expect(page.getByText('Tread, left steer', { exact: true })).toBeVisible();
    await button(page, 'Sign and seal').click();
    await expect(page.getByRole('alert')).toHaveText('Sign on the pad first.');
    await drawSignature(page);
    await button(page, 'Sign and seal').click();
  });

  const reportId = await test.step('the report is sealed', async () => {
    await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText('Second nut from the top')).toBeVisible();
    await button(page, 'Files and seal').click();
    await button(page, 'Check the seal').click();
    await expect(page.getByRole('heading', { name: 'Intact' })).toBeVisible();
    await button(page, 'Back').click();
    return new URL(page.url()).pathname.split('/').at(-1) as string;
  });

  await test.step('its PDF opens', async () => {
    const pdf = await context.request.get(address(`/api/reports/${reportId}/pdf`));
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
    const popup = page.waitForEvent('popup');
    await button(page, 'Open the PDF').click();
    expect((await popup).url()).toContain(`/api/reports/${reportId}/pdf`);
  });

  await test.step('its file is verified by anybody, and one changed byte is named', async () => {
    const file = join(OUT, 'report.json');
    const body = await (
      await context.request.get(address(`/api/reports/${reportId}?download`))
    ).body();
    writeFileSync(file, body);
    writeFileSync(
      join(OUT, 'keys.json'),
      await (await context.request.get(address('/api/keys'))).body(),
    );
    expect(verify(file)).toMatchObject({ status: 0, text: expect.stringContaining('intact') });
    const text = readFileSync(file, 'utf8');
    const at =
      text.indexOf('"headline": "stays"', text.indexOf('"verdict": {')) + '"headline": "st'.length;
    const changed = join(OUT, 'changed.json');
    writeFileSync(changed, `${text.slice(0, at)}e${text.slice(at + 1)}`);
    const bad = verify(changed);
    expect(bad.status).toBe(1);
    expect(bad.text).toContain('report.verdict');
    await page.goto(address('/verify'));
    await page.getByTestId('report-input').setInputFiles(changed);
    await expect(page.getByText('report.verdict', { exact: true })).toBeVisible();
    await page.getByTestId('report-input').setInputFiles(file);
    await expect(page.getByRole('heading', { name: 'Intact' })).toBeVisible();
  });

  await test.step('the mechanic certifies every defect of the unit', async () => {
    const bench = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'block',
    });
    const shop = await bench.newPage();
    await signIn(shop, 'Rasmus Feld');
    const rows = shop.getByRole('button', { name: /^218 · / });
    await expect(rows).toHaveCount(3);
    while (await rows.count()) {
      const before = await rows.count();
      await rows.first().click();
      await shop.getByLabel('What was done').fill('Renewed, fitted and tried');
      await drawSignature(shop);
      await button(shop, 'Certify and return to service').click();
      await button(shop, 'Now').click();
      await expect(rows).toHaveCount(before - 1);
    }
    await expect(
      shop.getByText('Certified. The next driver is asked to acknowledge it.'),
    ).toBeVisible();
    await bench.close();
  });

  await test.step('the next driver reads and acknowledges, and walks again', async () => {
    const other = await browser.newContext({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      serviceWorkers: 'block',
    });
    const phone = await other.newPage();
    await signIn(phone, 'Nela Korin');
    await phone.getByRole('button', { name: /^218/ }).click();
    await expect(phone.getByRole('heading', { name: 'Repairs to acknowledge' })).toBeVisible();
    await expect(phone.getByText('Repaired: Renewed, fitted and tried')).toHaveCount(3);
    await beginWalk(phone, /^218/);
    await expect(phone.getByRole('dialog', { name: 'Repairs to acknowledge' })).toBeVisible();
    await acknowledgeAll(phone);
    await expect(phone.getByRole('dialog')).toHaveCount(0);
    await walkOn(phone);
    await expect(phone.getByRole('heading', { name: 'Rolls', exact: true })).toBeVisible();
    await drawSignature(phone);
    await button(phone, 'Sign and seal').click();
    await expect(phone.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
    await other.close();
  });

  await test.step('and the first report tells what came after it, its seal whole', async () => {
    await page.goto(address(`/report/${reportId}`));
    await expect(page.getByText('Read by the next driver').first()).toBeVisible();
    const body = await (await context.request.get(address(`/api/reports/${reportId}`))).body();
    writeFileSync(join(OUT, 'later.json'), body);
    expect(verify(join(OUT, 'later.json')).status).toBe(0);
  });
});
