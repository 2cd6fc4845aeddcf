import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import {
  acknowledgeAll,
  address,
  beginWalk,
  button,
  drawSignature,
  goToCheck,
  makePicture,
  signIn,
  walkOn,
} from './driver';

/** Not a test: takes the pictures of the main views from demo data (npm run pictures). */
const FOLDER = join(import.meta.dirname, '..', 'docs', 'screenshots');

async function take(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
}

test('pictures of a walk', async ({ page }) => {
  test.slow();
  await page.goto(address('/'));
  await expect(page.getByLabel('Name')).toBeVisible();
  await take(page, 'sign-in');
  await signIn(page, 'Imre Dahl');
  await page.getByRole('button', { name: /^214/ }).click();
  await take(page, 'today');
  await beginWalk(page, /^214/);
  await acknowledgeAll(page);
  await walkOn(page, 'Front wheel, driver side');
  await goToCheck(page, /Measure the tread/);
  await button(page, 'Measure').click();
  await button(page, '1').click();
  await button(page, '1').click();
  await take(page, 'keypad');
  await button(page, 'Keep the reading').click();
  await walkOn(page, 'Rear wheels, driver side');
  await goToCheck(page, /Look at every nut/);
  await button(page, 'Fault').click();
  await button(page, 'Rust streak or shiny mark, nuts tight').click();
  await page.getByTestId('photo-input').setInputFiles({
    name: 'nuts.jpg',
    mimeType: 'image/jpeg',
    buffer: await makePicture(page),
  });
  await expect(page.getByLabel('Photo 1')).toBeVisible();
  await take(page, 'fault');
  await button(page, 'Keep the fault').click();
  await walkOn(page, 'Trailer coupling and drawbar');
  await goToCheck(page, /Pull the safety chain.*left/);
  await take(page, 'walk');
  await walkOn(page);
  await drawSignature(page);
  await page.mouse.move(10, 10);
  await page.getByRole('heading', { name: 'Rolls with limits' }).scrollIntoViewIfNeeded();
  await take(page, 'verdict');
  await button(page, 'Sign and seal').click();
  await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
  await take(page, 'report');
  await button(page, 'Check the seal').click();
  await expect(page.getByRole('heading', { name: 'Intact' })).toBeVisible();
  await take(page, 'seal');
});

test('pictures of a wide screen', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await signIn(page, 'Rasmus Feld');
  await expect(page.getByLabel('Photo of the defect')).toBeVisible();
  await take(page, 'workshop');
  await page.goto(address('/you'));
  await button(page, 'Sign out').click();
  await signIn(page, 'Jonah Sterk');
  await beginWalk(page, /^305/);
  await walkOn(page, 'Rear wheels, driver side');
  await take(page, 'walk-wide');
  await context.close();
});
